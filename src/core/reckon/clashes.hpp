#pragma once

#include "core/site/wall_site.hpp"

/// What is in the way of what: things that take room on a wall.
namespace yes_square {

/// Wall ends, openings, obstacles, sockets behind it, ceiling, what stands in the corner, and the other things.
std::vector<Check> clashes_of(const WallThing& thing, const std::vector<WallThing>& others, const WallSite& site);

} // namespace yes_square
