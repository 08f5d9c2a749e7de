#pragma once

#include "core/job/boxes.hpp"
#include "core/plan/box_plan.hpp"
#include "core/site/wall_site.hpp"

namespace yes_square {

/// From the cut parts to the box that hangs and was pulled at.
/// @param plan  all else that is reckoned of it
std::vector<Step> box_steps(const WallBox& box, const BoxPlan& plan, const WallSite& site);

} // namespace yes_square
