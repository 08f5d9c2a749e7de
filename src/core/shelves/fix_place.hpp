#pragma once

#include "core/shelves/carrier.hpp"

/// From what one place carries to what holds it there.
namespace yes_square {

/// What loads a place, as it is told.
inline constexpr std::string_view stored_case = "goods";
inline constexpr std::string_view leaned_case = "somebody leans on it";

/// What a reaction asks of the wall holes of what stands at a place, goods for good and somebody leaning on the edge.
struct PlaceDemands {
    std::vector<LoadCase> loads;
    /// Of each hole from the top. Of a limp upright also one board's moment on the screws next to it, whichever they
    /// are: cases of that hole alone.
    std::vector<std::vector<HoleDemand>> rows;
    bool turns = false; ///< in one of the cases nothing is above the point it turns about, or it finds no balance
};
/// Not of rods and hangers.
PlaceDemands demands_of(const Reaction& reaction, const Carrier& carrier, const HouseRules& rules);

/// Chooses the fixing of a place for its reaction: screws or plugs through what stands there, a rod in its hole, the
/// screw of a hanger in its joist. None where nothing suits, or where it turns off the wall.
/// @param index  of the place along the shelf, from the left
void fix_place(BracketPlan& place, std::size_t index, const Shelf& shelf, const WallSite& site, const Carrier& carrier);

/// The strip on a side wall at a place where one is, for what comes down there.
CleatPlan end_strip(const BracketPlan& place, const Shelf& shelf, const WallSite& site);

/// What a hanger at x would hang from: a slab, a joist that meets the wall within reach of a screw, the ceiling's
/// lining, or an assumed joist where nobody knows any.
Substrate hold_of_hanger(Length x, const WallSite& site);
/// As what the fixing over a hanger is reckoned: a joist like a stud.
Substrate ground_over(Substrate hanger);

} // namespace yes_square
