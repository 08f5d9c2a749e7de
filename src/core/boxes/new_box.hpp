#pragma once

#include "core/job/job.hpp"

namespace yes_square {

/// A bookcase of usual size in the middle of the wall.
WallBox new_box(const Wall& wall);

/// A cabinet that hangs already, of usual size, nothing ticked yet.
HungCabinet new_hung(const Wall& wall);

} // namespace yes_square
