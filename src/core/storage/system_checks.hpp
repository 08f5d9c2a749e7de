#pragma once

#include "core/plan/system_plan.hpp"
#include "core/site/wall_site.hpp"

namespace yes_square {

/// Widths, studs, loads, clothes, corners, doors and drawers, ceiling, plumb. Cures that the program can make carry the
/// whole system as it would be after them.
void check_system(const StorageSystem& system, const WallSite& site, SystemPlan& plan);

} // namespace yes_square
