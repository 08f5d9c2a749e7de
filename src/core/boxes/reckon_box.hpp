#pragma once

#include "core/plan/box_plan.hpp"
#include "core/site/wall_site.hpp"

namespace yes_square {

/// Everything that follows from a box: its parts, mass, shelves, and its fixings through its back, coach screws first.
/// Never throws for a strange one: what cannot be made is a check.
BoxPlan reckon_box(const WallBox& box, const WallSite& site);

} // namespace yes_square
