#pragma once

#include "app/sheets/page.hpp"
#include "core/plan/plan.hpp"

namespace yes_square::app {

/// What `before` writes, and under it what is drilled for a thing, bit by bit in the order of use, and beside it the
/// wall cut through at the hole that tells most. Nothing is written of a thing without holes.
void write_drilling(Page& page, const Wall& wall, const WallPlan& plan, const std::vector<PlannedHole>& holes,
                    const Voice& voice, const std::function<void()>& before = {});

} // namespace yes_square::app
