#pragma once

#include "core/plan/plan.hpp"

namespace yes_square {

namespace checks {
inline constexpr CheckCode island_stands_in{"island_stands_in", Severity::error, Bears::elsewhere};
inline constexpr CheckCode aisle_narrow{"aisle_narrow", Severity::warning, Bears::elsewhere};
} // namespace checks

/// Whether one gets round the islands of a room: what stands on each against the walls and all that stands or opens
/// at the same height elsewhere, but for its own other side. Of what is too near, the nearest of each.
std::vector<Check> check_aisles(const Job& job, const Plan& plan, const RoomPlan& room);

} // namespace yes_square
