#pragma once

#include "core/shelves/layouts.hpp"

/// What may be wrong with a shelf, each group appended to the plan's checks. No cures here: see shelf_cures.hpp.
namespace yes_square {

/// The board itself: on the wall, clear of openings, service points and other shelves.
void check_place(const Shelf& shelf, const WallSite& site, ShelfPlan& plan);
/// The bracket's arm against the depth, and its rating.
void check_bracket_choice(const Shelf& shelf, const WallSite& site, ShelfPlan& plan);
/// What each bracket holds in.
void check_hold(const Shelf& shelf, const WallSite& site, ShelfPlan& plan);
/// Sag, and bending of the board itself.
void check_board_strength(const Shelf& shelf, const WallSite& site, ShelfPlan& plan);
/// Fixings, brackets, spacing.
void check_strength(const Shelf& shelf, const WallSite& site, ShelfPlan& plan, const Weighed& weighed);
/// Holes in service strips, legs against what is below.
void check_clearances(const Shelf& shelf, const WallSite& site, ShelfPlan& plan);
/// Joints, tiers, lengths to be had, goods, and what each way of hanging asks besides.
void check_kind(const Shelf& shelf, const WallSite& site, ShelfPlan& plan);
/// Equal overhangs, the school asked for.
void check_looks(const Shelf& shelf, const WallSite& site, ShelfPlan& plan);

} // namespace yes_square
