#pragma once

#include "core/site/wall_site.hpp"

/// What is in the way of what: things that take room on a wall.
namespace yes_square {

/// Wall ends, openings, obstacles, sockets behind it, ceiling, what stands in the corner, and the other things.
std::vector<Check> clashes_of(const WallThing& thing, const std::vector<WallThing>& others, const WallSite& site);

/// What it may find.
namespace checks {
inline constexpr CheckCode anchors_too_near{"anchors_too_near", Severity::error};
inline constexpr CheckCode anchor_near_edge{"anchor_near_edge", Severity::error};
} // namespace checks

/// Holes of a thing that are not in the wall at all: see PlannedHole::no_wall.
std::vector<Check> holes_without_wall(const ThingPlan& thing, const Wall& wall);

/// Anchors of a thing that stand nearer to one another, or to an opening or a free end of their wall, than their packet
/// allows. Of each kind the worst.
std::vector<Check> crowded_anchors(const ThingPlan& thing, const Wall& wall);

} // namespace yes_square
