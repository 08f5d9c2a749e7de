#pragma once

#include "core/plan/system_plan.hpp"
#include "core/site/wall_site.hpp"

namespace yes_square {

/// What it may find.
namespace checks {
inline constexpr CheckCode bays_overrun{"bays_overrun", Severity::error, Bears::elsewhere};
inline constexpr CheckCode bay_width{"bay_width", Severity::warning};
inline constexpr CheckCode bay_narrow{"bay_narrow", Severity::warning};
inline constexpr CheckCode bay_hidden{"bay_hidden", Severity::error, Bears::elsewhere};
inline constexpr CheckCode rod_sags{"rod_sags", Severity::error, Bears::elsewhere};
inline constexpr CheckCode rod_overloaded{"rod_overloaded", Severity::error, Bears::elsewhere};
inline constexpr CheckCode clothes_too_long{"clothes_too_long", Severity::warning};
inline constexpr CheckCode goods_do_not_fit{"goods_do_not_fit", Severity::error, Bears::elsewhere};
inline constexpr CheckCode panel_out_of_plumb{"panel_out_of_plumb", Severity::warning};
inline constexpr CheckCode panel_cannot_tilt{"panel_cannot_tilt", Severity::error, Bears::elsewhere};
inline constexpr CheckCode panel_lift{"panel_lift", Severity::warning};
inline constexpr CheckCode cleat_misses_studs{"cleat_misses_studs", Severity::error};
} // namespace checks

/// Widths, studs, loads, clothes, corners, doors and drawers, ceiling, plumb. Cures that the program can make carry the
/// whole system as it would be after them.
void check_system(const StorageSystem& system, const WallSite& site, SystemPlan& plan);

} // namespace yes_square
