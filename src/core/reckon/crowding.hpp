#pragma once

#include "core/plan/plan.hpp"

/// Holes that stand too near one another, of one thing, of two, or of a thing and what was drilled before.
namespace yes_square {

namespace checks {
inline constexpr CheckCode anchors_too_near{"anchors_too_near", Severity::error};
inline constexpr CheckCode anchor_near_edge{"anchor_near_edge", Severity::error};
inline constexpr CheckCode holes_meet{"holes_meet", Severity::error};
inline constexpr CheckCode holes_crowded{"holes_crowded", Severity::warning};
} // namespace checks

/// Anchors of a thing that stand nearer to one another, or to an opening or a free end of their wall, than their packet
/// allows. Of each kind the worst.
std::vector<Check> crowded_anchors(const ThingPlan& thing, const Wall& wall);

/// Says of each thing of a wall which other one has a hole too near to one of its own, and where a hole that is in the
/// wall already lies in the way of a new one; what was said of that before is taken back. Of two things the worst.
void say_crowding(const Wall& wall, const FitRules& rules, WallPlan& plan);

} // namespace yes_square
