#pragma once

#include "core/site/wall_site.hpp"

/// What is in the way of what: things that take room on a wall.
namespace yes_square {

/// Wall ends, openings, obstacles, sockets behind it, ceiling, what stands in the corner, and the other things.
std::vector<Check> clashes_of(const WallThing& thing, const std::vector<WallThing>& others, const WallSite& site);

/// Holes of a thing that are not in the wall at all: see PlannedHole::no_wall.
std::vector<Check> holes_without_wall(const ThingPlan& thing);

} // namespace yes_square
