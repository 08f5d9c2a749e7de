#pragma once

#include "core/site/wall_site.hpp"

namespace yes_square {

/// Where a feed's driver goes and how its leads reach the light, as far as the fitter has told. The near lead comes to
/// the light's left end, the far one to its right.
///
/// Over wall units a lead comes down through the top and the bottom of the unit that the light's end is under; out of a
/// unit it goes through the sides between, near their backs. Behind a plinth and on the wall it goes through nothing.
/// Lengths are along and up, no slack counted.
/// @param feed  placed already: its ends and its height
/// @return none: nobody has told where the driver is
std::optional<DriverPlan> place_driver(const LightFeed& light, const FeedPlan& feed, const WallSite& site,
                                       const WallPlan& plan);

} // namespace yes_square
