#pragma once

#include "core/site/wall_site.hpp"

namespace yes_square {

/// What a light feed comes to: its length off the drawing, its load, the drop at the lamp that gets least with every
/// lead, the one to take, its drivers and where they go. `plan` holds the wall's shelves and runs already.
FeedPlan reckon_feed(const LightFeed& feed, const WallSite& site, const WallPlan& plan);

} // namespace yes_square
