#pragma once

#include "core/shelves/carrier.hpp"
#include "core/shelves/shelf_curer.hpp"
#include "core/shelves/shelf_kind_checks.hpp"
#include "core/shelves/shelf_steps.hpp"

/// Screws through a board's back into the wall at 45 degrees, from its underside upwards: where neither a bracket's leg
/// nor a hanger has a place, as over a door. They hold the back edge in line. The board is judged with and without
/// them, and they by all that would come down on them (safe side): nobody has measured how stiff one is.
namespace yes_square {

/// The board's wood that one passes: it leaves the back edge in the middle of its thickness.
Length angled_in_board(const Shelf& shelf);

Carrier angled_carrier(const Shelf& shelf, const WallSite& site);

/// What a reaction asks of one. The load is square to neither the screw nor its axis: half of its square is on each.
std::vector<HoleDemand> demands_of_angled(const Reaction& reaction);

/// What may be wrong with those of a board.
void check_angled(KindChecker& checker);
void cure_angled(const ShelfCurer& curer, Check& check);
void say_angled(ShelfSteps& steps);

} // namespace yes_square
