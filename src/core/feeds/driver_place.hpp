#pragma once

#include "core/site/wall_site.hpp"

namespace yes_square {

/// Where a feed's driver goes and how its leads reach the light, as far as the fitter has told. The near lead comes to
/// the light's left end, the far one to its right.
///
/// Over wall units a lead comes down through the top and the bottom of the unit that the light's end is under; out of a
/// unit it goes through the sides between, near their backs. Behind a plinth and on the wall it goes through nothing.
/// A switch of the light's own is in the line between both: both leads go by it. Under a unit it sits in that
/// unit's bottom, its lead up through it; from there as the driver's.
/// Lengths are along and up, no slack counted.
/// @param feed  placed already: its ends and its height; its driver and its switch are filled in, as far as told
void place_driver(const LightFeed& light, const WallSite& site, const WallPlan& plan, FeedPlan& feed);

/// Where it is put, and how much lead goes from there.
Sentence put_driver(const DriverPlan& driver, Length lead, const WallSite& site);
/// Where the switch is put, and what it must bear.
/// @param amps  through it
Sentence put_switch(const SwitchPlan& place, double amps, const WallSite& site);
/// A hole for a lead, as it is drilled while its unit is on the floor: on the wall there is no room for the drill.
Sentence drill_for_lead(const LeadHole& hole, Length bore);

} // namespace yes_square
