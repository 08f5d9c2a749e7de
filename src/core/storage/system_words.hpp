#pragma once

#include "core/plan/system_plan.hpp"
#include "core/site/wall_site.hpp"

namespace yes_square {

/// The sums behind a system: "widths", and of bay N "bay/N/rod", "bay/N/shelf", "bay/N/cleat", "bay/N/tip"; of a
/// reading "plumb/N".
std::vector<Working> workings_of(const StorageSystem& system, const SystemPlan& plan, const WallSite& site);

/// How it goes up: panels made lying, leant ready with their feet out, stood one by one and never let go before a screw
/// through a cleat is in a stud; then plumbed at the foot, screwed, fitted out.
std::vector<Step> steps_of(const StorageSystem& system, const SystemPlan& plan, const WallSite& site);

/// How many persons a panel takes by its mass.
int persons_for(const SystemPlan& plan, const RunRules& rules);

std::string_view words(BayKind kind);
std::string_view words(Garment garment);
/// "12 shirts, 950 mm to hang in"
Sentence words(const Fits& fits, const Bay& bay);

} // namespace yes_square
