#pragma once

#include "core/job/job.hpp"

namespace yes_square {

/// A bookcase of usual size in the middle of the wall.
WallBox new_box(const Wall& wall);

/// A cabinet that hangs already, of usual size, nothing ticked yet.
HungCabinet new_hung(const Wall& wall);

/// Whether it has a rail in its upper or its lower half, and ticking one that was seen but not measured: 60 mm from top
/// or bottom, 80 mm broad, 16 mm thick (house rule).
bool has_rail(const HungCabinet& hung, bool upper);
void tick_rail(HungCabinet& hung, bool upper, bool there);

} // namespace yes_square
