#pragma once

#include "core/shelves/carrier.hpp"
#include "core/shelves/shelf_curer.hpp"
#include "core/shelves/shelf_kind_checks.hpp"
#include "core/shelves/shelf_steps.hpp"

/// Rods let into the wall and into a board's back edge: of a shelf that hangs on them alone, or among its brackets.
namespace yes_square {

/// Those of a shelf.
OnHiddenRods& rods_of(Shelf& shelf);
const OnHiddenRods& rods_of(const Shelf& shelf);

/// How long a rod is: in the lining, in what holds it, and in the board.
Length rod_length(const OnHiddenRods& how, const Wall& wall);

/// What stands at a place where a rod is.
Carrier rod_carrier(const OnHiddenRods& how, const Shelf& shelf, const WallSite& site);

/// Sets a rod in its hole: the steel, what holds it in the wall, and the board around it. No fixing where it holds in
/// nothing, or where it cannot be set so.
void set_rod(BracketPlan& place, const OnHiddenRods& how, const Shelf& shelf, const WallSite& site,
             const Carrier& carrier);

/// What may be wrong with them, and what helps.
void check_rods(const OnHiddenRods& how, KindChecker& checker);
void cure_rods(const ShelfCurer& curer, Check& check);

/// How deep a board is bored for one: a little more than it reaches in.
Length rod_bore(const OnHiddenRods& how);

/// How they are cut and set in the wall.
void say_rods_set(ShelfSteps& steps, const OnHiddenRods& how);
/// How the board is drilled for them.
Sentence drill_board_step(const OnHiddenRods& how, const Shelf& shelf);

} // namespace yes_square
