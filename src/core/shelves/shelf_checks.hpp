#pragma once

#include "core/shelves/layouts.hpp"

/// What may be wrong with a shelf, each group appended to the plan's checks. No cures here: see shelf_cures.hpp.
namespace yes_square {

/// What it may find.
namespace checks {
inline constexpr CheckCode on_lining{"on_lining", Severity::note};
inline constexpr CheckCode spacing_over_good{"spacing_over_good", Severity::note};
inline constexpr CheckCode arm_too_long{"arm_too_long", Severity::error};
inline constexpr CheckCode arm_too_short{"arm_too_short", Severity::warning};
inline constexpr CheckCode no_bracket_fits{"no_bracket_fits", Severity::error};
inline constexpr CheckCode bracket_unrated{"bracket_unrated", Severity::warning, Bears::on_what_is_known};
inline constexpr CheckCode bracket_overloaded{"bracket_overloaded", Severity::error};
inline constexpr CheckCode holes_close{"holes_close", Severity::warning};
inline constexpr CheckCode leg_fouls_shelf{"leg_fouls_shelf", Severity::error};
/// Anchors in the lining hold it, by what their packets say.
inline constexpr CheckCode light_use{"light_use", Severity::warning, Bears::on_light_use};
inline constexpr CheckCode leg_fouls_service{"leg_fouls_service", Severity::error};
inline constexpr CheckCode pulls_up{"pulls_up", Severity::error};
inline constexpr CheckCode overhang_unequal{"overhang_unequal", Severity::note};
inline constexpr CheckCode too_short{"too_short", Severity::error};
inline constexpr CheckCode shelf_screw_none{"shelf_screw_none", Severity::warning};
inline constexpr CheckCode school_not_kept{"school_not_kept", Severity::note};
inline constexpr CheckCode load_missing{"load_missing", Severity::warning};
inline constexpr CheckCode joint_unsupported{"joint_unsupported", Severity::error};
inline constexpr CheckCode board_too_long{"board_too_long", Severity::warning};
inline constexpr CheckCode tiers_too_close{"tiers_too_close", Severity::error};
inline constexpr CheckCode slots_missed{"slots_missed", Severity::warning};
inline constexpr CheckCode upright_too_short{"upright_too_short", Severity::error};
inline constexpr CheckCode hole_must_hold{"hole_must_hold", Severity::error};
inline constexpr CheckCode plate_few_holes{"plate_few_holes", Severity::error};
inline constexpr CheckCode keyhole_lifts{"keyhole_lifts", Severity::error};
inline constexpr CheckCode loose_lifts{"loose_lifts", Severity::error};
inline constexpr CheckCode pole_ends{"pole_ends", Severity::error, Bears::elsewhere};
inline constexpr CheckCode pole_finial{"pole_finial", Severity::error, Bears::elsewhere};
inline constexpr CheckCode keyhole_no_room{"keyhole_no_room", Severity::error};
/// The bore through which a head enters its slot leaves the back.
inline constexpr CheckCode keyhole_breaks_out{"keyhole_breaks_out", Severity::error};
inline constexpr CheckCode rod_too_thick{"rod_too_thick", Severity::error};
inline constexpr CheckCode rod_edge_unknown{"rod_edge_unknown", Severity::warning, Bears::on_what_is_known};
inline constexpr CheckCode rod_sinks{"rod_sinks", Severity::warning};
inline constexpr CheckCode rod_through_stud{"rod_through_stud", Severity::error};
inline constexpr CheckCode cleat_sides_missing{"cleat_sides_missing", Severity::error};
inline constexpr CheckCode cleat_wall_unknown{"cleat_wall_unknown", Severity::warning, Bears::on_what_is_known};
inline constexpr CheckCode goods_off_shelf{"goods_off_shelf", Severity::warning};
inline constexpr CheckCode nogging_needed{"nogging_needed", Severity::note};
inline constexpr CheckCode hanger_misses_joist{"hanger_misses_joist", Severity::error};
inline constexpr CheckCode desk_height{"desk_height", Severity::note};
inline constexpr CheckCode pin_off_board{"pin_off_board", Severity::error};
inline constexpr CheckCode bracket_hole_off{"bracket_hole_off", Severity::error};
inline constexpr CheckCode pins_too_close{"pins_too_close", Severity::error};
inline constexpr CheckCode hole_outside{"hole_outside", Severity::error};
inline constexpr CheckCode cut_out_over_bracket{"cut_out_over_bracket", Severity::error};
inline constexpr CheckCode skins_meet{"skins_meet", Severity::error};
inline constexpr CheckCode skins_loose{"skins_loose", Severity::error};
inline constexpr CheckCode leg_overloaded{"leg_overloaded", Severity::error};
inline constexpr CheckCode other_off_board{"other_off_board", Severity::error};
inline constexpr CheckCode others_one_board{"others_one_board", Severity::error};
inline constexpr CheckCode rod_in_lining{"rod_in_lining", Severity::error};
inline constexpr CheckCode angled_in_no_wood{"angled_in_no_wood", Severity::error};
inline constexpr CheckCode angled_alone{"angled_alone", Severity::error};
inline constexpr CheckCode leg_back_free{"leg_back_free", Severity::error};
inline constexpr CheckCode rod_hole_tight{"rod_hole_tight", Severity::error};
inline constexpr CheckCode rod_off_centre{"rod_off_centre", Severity::error};
inline constexpr CheckCode rods_in_hollow{"rods_in_hollow", Severity::error};
} // namespace checks

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
/// Holes of one place, and of places beside one another, too near for their fixing.
void check_hole_spacing(const Shelf& shelf, const WallSite& site, ShelfPlan& plan);
/// Joints, tiers, lengths to be had, goods, and what each way of hanging asks besides.
void check_kind(const Shelf& shelf, const WallSite& site, ShelfPlan& plan);
/// Equal overhangs, the school asked for.
void check_looks(const Shelf& shelf, const WallSite& site, ShelfPlan& plan);

} // namespace yes_square
