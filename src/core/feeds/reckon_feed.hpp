#pragma once

#include "core/site/wall_site.hpp"

namespace yes_square {

/// What it may find.
namespace checks {
inline constexpr CheckCode feed_drops{"feed_drops", Severity::error};
inline constexpr CheckCode feed_overloaded{"feed_overloaded", Severity::error};
inline constexpr CheckCode feed_along_nothing{"feed_along_nothing", Severity::error};
inline constexpr CheckCode feed_place_off{"feed_place_off", Severity::error};
inline constexpr CheckCode lead_short{"lead_short", Severity::warning};
inline constexpr CheckCode driver_nowhere{"driver_nowhere", Severity::error};
inline constexpr CheckCode switch_nowhere{"switch_nowhere", Severity::error};
inline constexpr CheckCode driver_no_air{"driver_no_air", Severity::warning};
} // namespace checks

/// What a light feed comes to: its length off the drawing, its load, the drop at the lamp that gets least with every
/// lead, the one to take, its drivers and where they go. `plan` holds the wall's shelves and runs already.
FeedPlan reckon_feed(const LightFeed& feed, const WallSite& site, const WallPlan& plan);

} // namespace yes_square
