#pragma once

#include "app/sheets/page.hpp"
#include "core/plan/plan.hpp"

namespace yes_square::app {

/// What is drilled for a thing, bit by bit in the order of use, and beside it the wall cut through at the hole that
/// tells most. Nothing is written of a thing without holes.
void write_drilling(Page& page, const Wall& wall, const WallPlan& plan, const std::vector<PlannedHole>& holes,
                    const Voice& voice);

} // namespace yes_square::app
