#pragma once

#include "core/job/field_visits.hpp"

/// The members of the house rules: see fields.hpp.
namespace yes_square {

void fields(auto& visit, Is<StudRules> auto& rules) {
    constexpr Meaning probability{"a probability", Range::fraction};
    constexpr Meaning length{"a length", Range::more_than_zero};
    visit.optional("probe_false", rules.probe_false, Meaning{"a probability below one half", Range::minority});
    visit.optional("knock_right", rules.knock_right, probability);
    visit.optional("box_side_right", rules.box_side_right, probability);
    visit.optional("detector_true", rules.detector_true, probability);
    visit.optional("screw_line_true", rules.screw_line_true, probability);
    visit.optional("nail_pop_true", rules.nail_pop_true, probability);
    visit.optional("skirting_nails_true", rules.skirting_nails_true, probability);
    visit.optional("detector_error", rules.detector_error, length);
    visit.optional("screw_scatter", rules.screw_scatter, length);
    visit.optional("scatter", rules.scatter, length);
    visit.optional("missing", rules.missing, Meaning{"a probability below one half", Range::minority});
    visit.optional("extra_per_m", rules.extra_per_m, Meaning{"a number of studs", Range::not_negative});
    visit.optional("edge_gap", rules.edge_gap, length);
    visit.optional("width_tolerance", rules.width_tolerance, length);
    visit.optional("indicated_at", rules.indicated_at, probability);
}

void fields(auto& visit, Is<RunRules> auto& rules) {
    constexpr Meaning length{"a length", Range::more_than_zero};
    constexpr Meaning margin{"a margin", Range::not_negative};
    constexpr Meaning mass{"a mass", Range::more_than_zero};
    visit.optional("driver_room", rules.driver_room, margin);
    visit.optional("side_grip", rules.side_grip, margin);
    visit.optional("thin_back", rules.thin_back, margin);
    visit.optional("rail_back", rules.rail_back, margin);
    visit.optional("screw_head", rules.screw_head, length);
    visit.optional("joint_cover", rules.joint_cover, margin);
    visit.optional("hook_drop", rules.hook_drop, margin);
    visit.optional("rail_drop", rules.rail_drop, margin);
    visit.optional("rail_stock", rules.rail_stock, length);
    visit.optional("rail_studs", rules.rail_studs, length);
    visit.optional("rail_masonry", rules.rail_masonry, length);
    visit.optional("leg_least", rules.leg_least, margin);
    visit.optional("leg_most", rules.leg_most, length);
    visit.optional("shim_most", rules.shim_most, length);
    visit.optional("foot_inset", rules.foot_inset, margin);
    visit.optional("worktop_overhang", rules.worktop_overhang, margin);
    visit.optional("plinth_set_back", rules.plinth_set_back, margin);
    visit.optional("corner_clear", rules.corner_clear, margin);
    visit.optional("door_thickness", rules.door_thickness, margin);
    visit.optional("tilt_clear", rules.tilt_clear, margin);
    visit.optional("hood_over_hob", rules.hood_over_hob, length);
    visit.optional("opening_parallel", rules.opening_parallel, margin);
    visit.optional("scribe_step", rules.scribe_step, length);
    visit.optional("shelf_every", rules.shelf_every, length);
    visit.optional("contents_kg_per_m2", rules.contents_kg_per_m2, mass);
    visit.optional("lift_alone_kg", rules.lift_alone_kg, mass);
    visit.optional("lift_floor_alone_kg", rules.lift_floor_alone_kg, mass);
    visit.optional("worktop_screws", rules.worktop_screws, Meaning{"a number of screws", Range::more_than_zero});
    visit.optional("hang_first", rules.hang_first);
    visit.optional("start_at", rules.start_at);
}

void fields(auto& visit, Is<ShelfRules> auto& rules) {
    constexpr Meaning length{"a length", Range::more_than_zero};
    constexpr Meaning margin{"a margin", Range::not_negative};
    constexpr Meaning load{"a load", Range::more_than_zero};
    constexpr Meaning stress{"a stress", Range::more_than_zero};
    visit.optional("desk_edge_n", rules.desk_edge_n, Meaning{"a force", Range::not_negative});
    visit.optional("desk_kg_per_m2", rules.desk_kg_per_m2, load);
    visit.optional("sat_on_n", rules.sat_on_n, Meaning{"a force", Range::not_negative});
    visit.optional("sat_on_below", rules.sat_on_below, margin);
    visit.optional("sat_on_depth", rules.sat_on_depth, margin);
    visit.optional("clothes_kg_per_m", rules.clothes_kg_per_m, load);
    visit.optional("board_longest", rules.board_longest, length);
    visit.optional("standards_most", rules.standards_most, length);
    visit.optional("rods_most", rules.rods_most, length);
    visit.optional("rail_most", rules.rail_most, length);
    visit.optional("pole_most", rules.pole_most, length);
    visit.optional("rod_cover", rules.rod_cover, Meaning{"a number of diameters", Range::more_than_zero});
    visit.optional("rod_steel_mpa", rules.rod_steel_mpa, stress);
    visit.optional("aluminium_mpa", rules.aluminium_mpa, stress);
    visit.optional("rod_slope", rules.rod_slope, Meaning{"a share", Range::fraction});
    visit.optional("brick_mpa", rules.brick_mpa, stress);
    visit.optional("dense_block_mpa", rules.dense_block_mpa, stress);
    visit.optional("aerated_block_mpa", rules.aerated_block_mpa, stress);
    visit.optional("concrete_mpa", rules.concrete_mpa, stress);
    visit.optional("lift_off_room", rules.lift_off_room, margin);
    visit.optional("tier_room", rules.tier_room, margin);
    visit.optional("cleat_play", rules.cleat_play, margin);
    visit.optional("skill", rules.skill);
}

void fields(auto& visit, Is<TippingRules> auto& rules) {
    visit.optional("drawer_kg_per_m3", rules.drawer_kg_per_m3, Meaning{"a figure", Range::more_than_zero});
    visit.optional("person_kg", rules.person_kg, Meaning{"a figure", Range::more_than_zero});
    visit.optional("child_pull_n", rules.child_pull_n, Meaning{"a figure", Range::more_than_zero});
    visit.optional("adult_pull_n", rules.adult_pull_n, Meaning{"a figure", Range::more_than_zero});
    visit.optional("hand_most", rules.hand_most, Meaning{"a length", Range::more_than_zero});
    visit.optional("rear_raised", rules.rear_raised, Meaning{"a length", Range::more_than_zero});
    visit.optional("restraint_least_n", rules.restraint_least_n, Meaning{"a figure", Range::more_than_zero});
    visit.optional("over_factor", rules.over_factor, Meaning{"a figure", Range::more_than_zero});
    visit.optional("righting_factor", rules.righting_factor, Meaning{"a figure", Range::more_than_zero});
    visit.optional("pair_share", rules.pair_share, Meaning{"a figure", Range::more_than_zero});
    visit.optional("advised_from", rules.advised_from, Meaning{"a length", Range::more_than_zero});
    visit.optional("angle_steel", rules.angle_steel, Meaning{"a length", Range::more_than_zero});
    visit.optional("angle_hole", rules.angle_hole, Meaning{"a length", Range::more_than_zero});
    visit.optional("angle_up", rules.angle_up, Meaning{"a length", Range::more_than_zero});
}

void fields(auto& visit, Is<StorageRules> auto& rules) {
    visit.optional("upper_rod", rules.upper_rod, Meaning{"a length", Range::more_than_zero});
    visit.optional("lower_rod", rules.lower_rod, Meaning{"a length", Range::more_than_zero});
    visit.optional("long_rod", rules.long_rod, Meaning{"a length", Range::more_than_zero});
    visit.optional("under_shelf", rules.under_shelf, Meaning{"a length", Range::more_than_zero});
    visit.optional("hole_pitch", rules.hole_pitch, Meaning{"a length", Range::more_than_zero});
    visit.optional("shoe_pitch", rules.shoe_pitch, Meaning{"a length", Range::more_than_zero});
    visit.optional("bay_least", rules.bay_least, Meaning{"a length", Range::more_than_zero});
    visit.optional("bay_most", rules.bay_most, Meaning{"a length", Range::more_than_zero});
    visit.optional("plain_bay", rules.plain_bay, Meaning{"a length", Range::more_than_zero});
    visit.optional("shirt_room", rules.shirt_room, Meaning{"a length", Range::more_than_zero});
    visit.optional("trousers_room", rules.trousers_room, Meaning{"a length", Range::more_than_zero});
    visit.optional("jacket_room", rules.jacket_room, Meaning{"a length", Range::more_than_zero});
    visit.optional("dress_room", rules.dress_room, Meaning{"a length", Range::more_than_zero});
    visit.optional("coat_room", rules.coat_room, Meaning{"a length", Range::more_than_zero});
    visit.optional("shirt_drop", rules.shirt_drop, Meaning{"a length", Range::more_than_zero});
    visit.optional("trousers_drop", rules.trousers_drop, Meaning{"a length", Range::more_than_zero});
    visit.optional("jacket_drop", rules.jacket_drop, Meaning{"a length", Range::more_than_zero});
    visit.optional("dress_drop", rules.dress_drop, Meaning{"a length", Range::more_than_zero});
    visit.optional("coat_drop", rules.coat_drop, Meaning{"a length", Range::more_than_zero});
    visit.optional("hem_clear", rules.hem_clear, Meaning{"a length", Range::more_than_zero});
    visit.optional("stack_width", rules.stack_width, Meaning{"a length", Range::more_than_zero});
    visit.optional("fold_high", rules.fold_high, Meaning{"a length", Range::more_than_zero});
    visit.optional("pile_most", rules.pile_most, Meaning{"a length", Range::more_than_zero});
    visit.optional("box_width", rules.box_width, Meaning{"a length", Range::more_than_zero});
    visit.optional("box_depth", rules.box_depth, Meaning{"a length", Range::more_than_zero});
    visit.optional("box_height", rules.box_height, Meaning{"a length", Range::more_than_zero});
    visit.optional("shoe_width", rules.shoe_width, Meaning{"a length", Range::more_than_zero});
    visit.optional("hand_room", rules.hand_room, Meaning{"a length", Range::more_than_zero});
    visit.optional("plumb_per_m", rules.plumb_per_m, Meaning{"a length", Range::more_than_zero});
    visit.optional("level_error", rules.level_error, Meaning{"a length", Range::more_than_zero});
    visit.optional("panel_screw_grip", rules.panel_screw_grip, Meaning{"a length", Range::more_than_zero});
    visit.optional("panel_screws", rules.panel_screws, Meaning{"a number of screws", Range::more_than_zero});
    visit.optional("lean_share", rules.lean_share, Meaning{"a figure", Range::more_than_zero});
}

void fields(auto& visit, Is<StripRules> auto& rules) {
    visit.optional("end_inset", rules.end_inset, Meaning{"a distance", Range::not_negative});
    visit.optional("masonry_every", rules.masonry_every, Meaning{"a spacing", Range::more_than_zero});
    visit.optional("alone_up_to", rules.alone_up_to, Meaning{"a length", Range::not_negative});
}

void fields(auto& visit, Is<BoxRules> auto& rules) {
    visit.optional("back_screws", rules.back_screws, Meaning{"a length", Range::more_than_zero});
    visit.optional("hole_in", rules.hole_in, Meaning{"a length", Range::more_than_zero});
    visit.optional("square_per_m", rules.square_per_m, Meaning{"a length", Range::more_than_zero});
}

void fields(auto& visit, Is<CutRules> auto& rules) {
    constexpr Meaning margin{"a length", Range::not_negative};
    visit.optional("kerf", rules.kerf, margin);
    visit.optional("end_trim", rules.end_trim, margin);
    visit.optional("sheet_trim", rules.sheet_trim, margin);
    visit.optional("offcut_kept", rules.offcut_kept, margin);
    visit.optional("spare_share", rules.spare_share, Meaning{"a share", Range::not_negative});
    visit.optional("spare_least", rules.spare_least, Meaning{"a number of spares", Range::not_negative});
    visit.optional("scribe_allowance", rules.scribe_allowance, margin);
}

void fields(auto& visit, Is<FitRules> auto& rules) {
    constexpr Meaning length{"a length", Range::more_than_zero};
    constexpr Meaning minutes{"a time in minutes", Range::not_negative};
    visit.optional("level_per_m", rules.level_per_m, length);
    visit.optional("plumb_per_m", rules.plumb_per_m, length);
    visit.optional("straight", rules.straight, length);
    visit.optional("place", rules.place, length);
    visit.optional("leg_pitch", rules.leg_pitch, length);
    visit.optional("shim_step", rules.shim_step, length);
    visit.optional("reach", rules.reach, length);
    visit.optional("mark_min", rules.mark_min, minutes);
    visit.optional("drill_min", rules.drill_min, minutes);
    visit.optional("step_min", rules.step_min, minutes);
    visit.optional("resin_min", rules.resin_min, minutes);
    visit.optional("sealant_min", rules.sealant_min, minutes);
}

void fields(auto& visit, Is<FeedRules> auto& rules) {
    visit.optional("drop_most", rules.drop_most, Meaning{"a share", Range::fraction});
    visit.optional("driver_share", rules.driver_share, Meaning{"a share", Range::fraction});
    visit.optional("driver_watts", rules.driver_watts, Meaning{"a power", Range::more_than_zero});
    visit.optional("amps_per_mm2", rules.amps_per_mm2, Meaning{"a current", Range::more_than_zero});
}

void fields(auto& visit, Is<HouseRules> auto& rules) {
    constexpr Meaning length{"a length", Range::more_than_zero};
    constexpr Meaning margin{"a margin", Range::not_negative};
    constexpr Meaning force{"a force", Range::more_than_zero};
    visit.optional("spacing_good", rules.spacing_good, length);
    visit.optional("spacing_most", rules.spacing_most, length);
    visit.optional("spacing_least", rules.spacing_least, length);
    visit.optional("inset_usual", rules.inset_usual, length);
    visit.optional("inset_least", rules.inset_least, length);
    visit.optional("overhang_most", rules.overhang_most, length);
    visit.optional("arm_least_share", rules.arm_least_share, Meaning{"a share", Range::fraction});
    visit.optional("arm_set_back", rules.arm_set_back, margin);
    visit.optional("penetration_wanted", rules.penetration_wanted, length);
    visit.optional("stud_wander", rules.stud_wander, margin);
    visit.optional("shelf_screw_margin", rules.shelf_screw_margin, margin);
    visit.optional("strip_corner", rules.strip_corner, margin);
    visit.optional("lining_mass_most_kg", rules.lining_mass_most_kg, Meaning{"a mass", Range::more_than_zero});
    visit.optional("lining_reach_most", rules.lining_reach_most, length);
    visit.optional("lining_tension_most_n", rules.lining_tension_most_n, force);
    visit.optional("lining_shear_share", rules.lining_shear_share, Meaning{"a share", Range::fraction});
    visit.optional("accidental_n", rules.accidental_n, force);
    visit.optional("accidental_below", rules.accidental_below, length);
    visit.optional("display_kg_per_m", rules.display_kg_per_m, Meaning{"a load", Range::more_than_zero});
    visit.optional("lining_pressure_n_per_mm2", rules.lining_pressure_n_per_mm2,
                   Meaning{"a pressure", Range::more_than_zero});
    visit.optional("overhang_difference", rules.overhang_difference, margin);
    visit.optional("sag_limit", rules.sag_limit);
    visit.optional("strip_thin_wall", rules.strip_thin_wall, margin);
    visit.optional("scan_margin", rules.scan_margin, margin);
    visit.optional("laser_limit", rules.laser_limit, length);
    visit.part("studs", rules.studs);
    visit.part("runs", rules.runs);
    visit.part("strips", rules.strips);
    visit.part("shelves", rules.shelves);
    visit.part("tipping", rules.tipping);
    visit.part("storage", rules.storage);
    visit.part("boxes", rules.boxes);
    visit.part("cutting", rules.cutting);
    visit.part("fitting", rules.fitting);
    visit.part("feeds", rules.feeds);
}

} // namespace yes_square
