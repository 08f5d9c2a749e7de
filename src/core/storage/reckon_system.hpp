#pragma once

#include "core/plan/system_plan.hpp"
#include "core/site/wall_site.hpp"

namespace yes_square {

/// Everything that follows from a storage system. Never throws for a strange one.
SystemPlan reckon_system(const StorageSystem& system, const WallSite& site);

} // namespace yes_square
