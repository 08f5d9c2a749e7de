#pragma once

#include "core/site/wall_site.hpp"

namespace yes_square {

/// What stands under a board at one of its places: a stretch along it, from its left end, and out of the wall.
struct UnderBoard {
    Length from;
    Length to;
    Length back;
    Length front;
};
/// Of a shelf with a bracket, or what stands in its stead.
UnderBoard under_board(const Shelf& shelf, const ShelfPlan& plan, const BracketPlan& place);

/// How long a leg is cut: to the floor as it is there now.
Length leg_length(const Shelf& shelf, const WallSite& site, const BracketPlan& leg);

} // namespace yes_square
