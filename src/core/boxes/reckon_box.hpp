#pragma once

#include "core/plan/box_plan.hpp"
#include "core/site/wall_site.hpp"

namespace yes_square {

/// What it may find.
namespace checks {
inline constexpr CheckCode box_back_pinned{"box_back_pinned", Severity::error};
inline constexpr CheckCode box_back_thin{"box_back_thin", Severity::error};
inline constexpr CheckCode box_not_square{"box_not_square", Severity::warning};
/// A back in grooves with no strip behind it.
inline constexpr CheckCode box_back_off_wall{"box_back_off_wall", Severity::error};
/// Top and bottom are held by end-grain screws or by glue, which is not reckoned.
inline constexpr CheckCode box_corner_unknown{"box_corner_unknown", Severity::warning, Bears::on_what_is_known};
inline constexpr CheckCode box_joint_overloaded{"box_joint_overloaded", Severity::error};
inline constexpr CheckCode box_cannot_be_made{"box_cannot_be_made", Severity::error};
} // namespace checks

/// Everything that follows from a box: its parts, mass, shelves, and its fixings through its back, coach screws first.
/// Never throws for a strange one: what cannot be made is a check.
BoxPlan reckon_box(const WallBox& box, const WallSite& site);

} // namespace yes_square
