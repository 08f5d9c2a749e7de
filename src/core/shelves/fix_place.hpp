#pragma once

#include "core/shelves/carrier.hpp"

/// From what one place carries to what holds it there.
namespace yes_square {

/// What a reaction asks of each wall hole of what stands there: goods for good, and somebody leaning on the edge. Not
/// of rods and hangers.
std::vector<HoleDemand> demands_of(const Reaction& reaction, const Carrier& carrier, const HouseRules& rules);

/// Chooses the fixing of a place for its reaction: screws or plugs through what stands there, a rod in its hole, the
/// screw of a hanger in its joist. None where nothing suits. False: no hole is above the point it turns about, so that
/// it would pull off the wall.
bool fix_place(BracketPlan& place, const Shelf& shelf, const WallSite& site, const Carrier& carrier);

/// What a hanger at x would hang from: a joist that meets the wall within reach of a screw, the ceiling's lining, or an
/// assumed joist where nobody knows any.
Hold hold_of_hanger(Length x, const WallSite& site);

} // namespace yes_square
