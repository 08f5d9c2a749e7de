#pragma once

#include "core/job/job.hpp"

/// All places along a wall that its file gives from its left end: readings, openings, things.
namespace yes_square {

/// As long as it is told now, and what was measured from its right end stays as far from there.
void set_length(Wall& wall, Length length);

/// The shortest that a wall can be said to be: what was measured from its right end has to be on it.
Length least_length(const Wall& wall);

} // namespace yes_square
