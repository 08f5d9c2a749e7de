#pragma once

#include "core/job/work_rule_fields.hpp"

/// The members of the house rules: see fields.hpp.
namespace yes_square {

void fields(auto& visit, Is<StudRules> auto& rules) {
    constexpr Meaning probability{"a probability", Range::fraction};
    constexpr Meaning length{"a length", Range::more_than_zero};
    visit.optional("probe_false", rules.probe_false,
                   Meaning{"a probability below one half", Range::minority}.told("A probe that reads wrong"));
    visit.optional("knock_right", rules.knock_right, probability.told("A knock that sounds as it should"));
    visit.optional("box_side_right", rules.box_side_right,
                   probability.told("Wood stands against the side of the box thought"));
    visit.optional("detector_true", rules.detector_true, probability.told("A detector's middle that is a stud's"));
    visit.optional("screw_line_true", rules.screw_line_true, probability.told("A line of screws that is in a stud"));
    visit.optional("nail_pop_true", rules.nail_pop_true, probability);
    visit.optional("skirting_nails_true", rules.skirting_nails_true, probability);
    visit.optional("detector_error", rules.detector_error, length.told("Limit of error where none is stated"));
    visit.optional("screw_scatter", rules.screw_scatter,
                   length.told("Screws and nails about the stud's middle, standard deviation"));
    visit.optional("scatter", rules.scatter, length.told("Of a stud about its nominal place, standard deviation"));
    visit.optional("told_right", rules.told_right,
                   probability.told("A spacing, or a stud's place, that somebody said"));
    visit.optional("told_scatter", rules.told_scatter, length.told("Of such a place, standard deviation"));
    visit.optional("missing", rules.missing,
                   Meaning{"a probability below one half", Range::minority}.told("A stud that is not at its place"));
    visit.optional("extra_per_m", rules.extra_per_m,
                   Meaning{"a number of studs", Range::not_negative}.told("Studs that no setting-out explains"));
    visit.optional("edge_gap", rules.edge_gap, length.told("Miss to hit, for an edge to be closed"));
    visit.optional("width_tolerance", rules.width_tolerance,
                   length.told("Of a proved stud's width: 38 +- 3 mm (house rule)"));
    visit.optional("indicated_at", rules.indicated_at,
                   probability.told("Probability from which a stud is called indicated"));
    visit.optional(
        "worth_looking", rules.worth_looking,
        probability.told("A stretch is done when no unproved stud is likelier than this anywhere in it (house rule)"));
    visit.optional(
        "framing_from", rules.framing_from,
        length.told(
            "From an opening's trim inwards, the face of its framing: behind trim, jamb, shims (common practice)"));
    visit.optional("framing_to", rules.framing_to, length.told("And at the most (common practice)"));
    visit.optional(
        "probe_margin", rules.probe_margin,
        Meaning{"a margin", Range::not_negative}.told("From the hole of a probe to a strip's edge (house rule)"));
    visit.optional("easy_height", rules.easy_height, length.told("Where a probe is used without bending (house rule)"));
}

void fields(auto& visit, Is<RunRules> auto& rules) {
    constexpr Meaning length{"a length", Range::more_than_zero};
    constexpr Meaning margin{"a margin", Range::not_negative};
    constexpr Meaning mass{"a mass", Range::more_than_zero};
    visit.optional("driver_room", rules.driver_room,
                   margin.told("From a side's inner face to a screw: room for the driver (house rule)"));
    visit.optional("side_grip", rules.side_grip,
                   margin.told("Screws into masonry stand this far in from a side (house rule)"));
    visit.optional("thin_back", rules.thin_back, margin.told("A back up to this holds nothing (common practice)"));
    visit.optional("rail_back", rules.rail_back,
                   margin.told("A back this thick stands for rails that nobody entered (house rule)"));
    visit.optional("screw_head", rules.screw_head,
                   length.told("A cabinet screw's broad head, or its washer (common practice)"));
    visit.optional(
        "joint_cover", rules.joint_cover,
        margin.told("A screw that joins two units is at least this much shorter than both sides (house rule)"));
    visit.optional("hook_drop", rules.hook_drop,
                   margin.told("Of a hook bracket's wall plate below the unit's top (common practice)"));
    visit.optional("rail_drop", rules.rail_drop,
                   margin.told("Of a suspension rail's lower edge below the unit's top; its sheet says (house rule)"));
    visit.optional("rail_stock", rules.rail_stock, length.told("Suspension rail is cut from this (common practice)"));
    visit.optional(
        "worktop_stock", rules.worktop_stock,
        length.told("Worktops are to be had up to this, where no stock of them is entered (common practice)"));
    visit.optional("joint_clear", rules.joint_clear,
                   length.told("A worktop's joint keeps this off what is cut out of it (common practice)"));
    visit.optional("channel_stock", rules.channel_stock, length.told("Handle channel is cut from this (house rule)"));
    visit.optional("rail_studs", rules.rail_studs, length.told("Fixed this often into studs (common practice)"));
    visit.optional("rail_masonry", rules.rail_masonry, length.told("And this often into masonry (common practice)"));
    visit.optional("leg_least", rules.leg_least, margin.told("Of an adjustable leg, and at its longest (house rule)"));
    visit.optional("leg_most", rules.leg_most, length.told("leg most"));
    visit.optional("shim_most", rules.shim_most,
                   length.told("Under a unit that stands on the floor itself; more is a packer strip (house rule)"));
    visit.optional("foot_inset", rules.foot_inset,
                   margin.told("Of a foot from the unit's sides, back and front (house rule)"));
    visit.optional("worktop_overhang", rules.worktop_overhang, margin.told("In front of the carcass (house rule)"));
    visit.optional("worktop_thick", rules.worktop_thick,
                   Meaning{"a thickness", Range::more_than_zero}.told("As kitchens have it (common practice)"));
    visit.optional("worktop_kg_per_m3", rules.worktop_density,
                   Meaning{"a density", Range::more_than_zero}.told(
                       "Of laminated board; stone is near four times as heavy (common practice)"));
    visit.optional("plinth_set_back", rules.plinth_set_back, margin.told("House rule"));
    visit.optional("corner_clear", rules.corner_clear,
                   margin.told("For a door or drawer beside a wall or another run's front (house rule)"));
    visit.optional("door_thickness", rules.door_thickness, margin.told("House rule"));
    visit.optional("tilt_clear", rules.tilt_clear,
                   margin.told("Under the ceiling when a tall unit is tilted up (house rule)"));
    visit.optional("hood_over_hob", rules.hood_over_hob,
                   length.told("Where no maker's sheet and no local code says more (house rule)"));
    visit.optional("opening_parallel", rules.opening_parallel,
                   margin.told("Front and back may differ by this (house rule)"));
    visit.optional("scribe_step", rules.scribe_step,
                   length.told("Between the figures of a cutting table (house rule)"));
    visit.optional("shelf_every", rules.shelf_every,
                   length.told("Shelves a unit is taken to have, for its contents (house rule)"));
    visit.optional("contents_kg_per_m2", rules.contents_per_area,
                   mass.told("0.72 kPa, ANSI/KCMA A161.1 (from memory)"));
    visit.optional("lift_alone_kg", rules.lift_alone,
                   mass.told("HSE lifting filter, close above the shoulder, the lower figure (from memory)"));
    visit.optional("lift_floor_alone_kg", rules.lift_floor_alone, mass.told("Close, at knuckle height"));
    constexpr Meaning body{"a height", Range::more_than_zero};
    visit.optional("shoulder", rules.shoulder, body.told("Of who lifts, above the floor (house rule)"));
    visit.optional("elbow", rules.elbow, body.told("Of who lifts, above the floor (house rule)"));
    visit.optional("reach_up", rules.reach_up, body.told("Hands that go higher want a step (house rule)"));
    visit.optional("tower_from", rules.tower_from, body.told("Hands that go higher want a tower (house rule)"));
    visit.optional("worktop_screws", rules.worktop_screws,
                   Meaning{"a number of screws", Range::more_than_zero}.told(
                       "Up into the worktop out of each unit under it (common practice)"));
    visit.optional("hang_first", rules.hang_first);
    visit.optional("start_at", rules.start_at);
    visit.optional("stack_diameters", rules.stack_diameters,
                   Meaning{"a number of diameters", Range::more_than_zero}.told(
                       "Between two screws above one another in a stud, in screw diameters (common practice)"));
    visit.optional("wide_unit", rules.wide_unit,
                   length.told("On masonry: from this width a third pair of plugs in the middle (house rule)"));
    visit.optional("plinth_thickness", rules.plinth_thickness, length.told("House rule"));
    visit.optional("shortest_rail", rules.shortest_rail,
                   length.told("Of a suspension rail: two fixings and a unit's hook (house rule)"));
    visit.optional("two_carry_from", rules.two_carry_from,
                   length.told("A worktop this long is carried by two (house rule)"));
    visit.optional(
        "aisle_least", rules.aisle_least,
        margin.told("To walk and work between an island and what stands opposite (house rule; local codes may say)"));
    visit.optional("backs_apart_most", rules.backs_apart_most,
                   margin.told("An island's two sides are screwed to one another up to such a gap (house rule)"));
    visit.optional("frame_timber", rules.frame_timber,
                   length.told("Of an island's frame and cleats, how thick (common practice)"));
    visit.optional("cleat_breadth", rules.cleat_breadth,
                   length.told("Of a cleat laid flat on the floor (common practice)"));
}

void fields(auto& visit, Is<ShelfRules> auto& rules) {
    constexpr Meaning length{"a length", Range::more_than_zero};
    constexpr Meaning margin{"a margin", Range::not_negative};
    constexpr Meaning load{"a load", Range::more_than_zero};
    constexpr Meaning stress{"a stress", Range::more_than_zero};
    visit.optional("nogging_screw", rules.nogging_screw, length.told("Screws in a nogging's ends (house rule)"));
    visit.optional("nogging_driver", rules.nogging_driver,
                   length.told("A bay wants to be so wide for a driver with its bit (house rule)"));
    visit.optional(
        "desk_edge_n", rules.desk_edge,
        Meaning{"a force", Range::not_negative}.told("Someone sits or leans on a desk's front edge (house rule)"));
    visit.optional("desk_kg_per_m2", rules.desk_load, load.told("What stands on a desk (house rule)"));
    visit.optional("sat_on_n", rules.sat_on,
                   Meaning{"a force", Range::not_negative}.told(
                       "Someone sits down on a shelf that is low and deep enough for it (house rule)"));
    visit.optional("sat_on_below", rules.sat_on_below, margin.told("Its top (house rule)"));
    visit.optional("sat_on_depth", rules.sat_on_depth, margin.told("From this depth (house rule)"));
    visit.optional("clothes_kg_per_m", rules.clothes, load.told("On a pole (common practice)"));
    visit.optional("board_longest", rules.board_longest,
                   length.told("Boards are to be had up to this (common practice)"));
    visit.optional("standards_most", rules.standards_most, length.told("Between slotted uprights (house rule)"));
    visit.optional("rods_most", rules.rods_most, length.told("Between hidden rods (house rule)"));
    visit.optional("rail_most", rules.rail_most, length.told("Between the screws of a hook rail (house rule)"));
    visit.optional("pole_most", rules.pole_most, length.told("Between supports of a pole (house rule)"));
    visit.optional("rod_cover", rules.rod_cover,
                   Meaning{"a number of diameters", Range::more_than_zero}.told(
                       "A shelf is at least this many rod diameters thick (house rule)"));
    visit.optional("rod_steel_mpa", rules.rod_steel,
                   stress.told("Bending stress in a mild steel rod, in use (house rule)"));
    visit.optional("aluminium_mpa", rules.aluminium,
                   stress.told("Bending stress in an aluminium tube, in use (house rule)"));
    visit.optional("rod_slope", rules.rod_slope,
                   Meaning{"a share", Range::fraction}.told(
                       "A rod's front may sink by this share of the shelf's depth (house rule)"));
    visit.optional("brick_mpa", rules.brick, stress.told("A rod presses on brick, in use (house rule)"));
    visit.optional("dense_block_mpa", rules.dense_block, stress.told("House rule"));
    visit.optional("aerated_block_mpa", rules.aerated_block, stress.told("House rule"));
    visit.optional("concrete_mpa", rules.concrete, stress.told("House rule"));
    visit.optional("lift_off_room", rules.lift_off_room,
                   margin.told("Over what a keyhole shelf must rise to come off (house rule)"));
    visit.optional("tier_room", rules.tier_room,
                   margin.told("Between a bracket's leg and the shelf below it (house rule)"));
    visit.optional("ledge_deepest", rules.ledge_deepest,
                   length.told("Of a picture ledge: deeper ones wring their strip (house rule)"));
    visit.optional("ledge_screw_room", rules.ledge_screw_room,
                   length.told("Of its strip over its board, for a screw (house rule)"));
    visit.optional("loose_play", rules.loose_play,
                   length.told("A loose board is cut this much short at either end (common practice)"));
    visit.optional("cleat_play", rules.cleat_play,
                   margin.told("A shelf is cut this much short of its alcove (house rule)"));
    visit.optional("skill", rules.skill);
    visit.optional("desk_least", rules.desk_least,
                   length.told("A desk's top is usually 700 to 760 up (common practice)"));
    visit.optional("desk_most", rules.desk_most, length.told("Common practice"));
    visit.optional("scribe_from", rules.scribe_from,
                   Meaning{"a length", Range::not_negative}.told(
                       "A wall that bows more behind a board has its back edge scribed to it (house rule)"));
    visit.optional("helper_from", rules.helper_from,
                   length.told("A board this long wants two pairs of hands (house rule)"));
    visit.optional("screws_in_arm", rules.screws_in_arm,
                   Meaning{"a number of screws", Range::more_than_zero}.told(
                       "Up through a bracket's arm into the board (house rule)"));
    visit.optional("resin_room", rules.resin_room,
                   margin.told("A hole for resin is this much wider than its bar (common practice)"));
    visit.optional("leg_back_within", rules.leg_back_within,
                   length.told("Of a leg in front of a board's middle: something holds the back there (house rule)"));
    visit.optional("leg_modulus_mpa", rules.leg_modulus,
                   stress.told("Modulus of the softest wood sold for legs (house rule)"));
    visit.optional("leg_pressed_mpa", rules.leg_pressed, stress.told("A leg along its grain, in use (house rule)"));
    visit.optional("leg_buckling", rules.leg_buckling,
                   Meaning{"a factor", Range::more_than_zero}.told("A leg bears Euler's load by this (house rule)"));
    visit.optional("resin_over", rules.resin_over,
                   Meaning{"a factor", Range::more_than_zero}.told(
                       "Resin to buy over what a hole takes: nozzle, waste, crumbled walls (house rule)"));
    visit.optional("tight_most", rules.tight_most,
                   margin.told("A hole in soft block no thinner than this under its rod: more splits the block (house "
                               "rule)"));
    visit.optional("cut_out_margin", rules.cut_out_margin,
                   margin.told("Board left before and behind a sink or a hob (common practice)"));
    visit.optional("leg_room", rules.leg_room,
                   length.told("Wall that brackets want under a board: the usual longest leg (house rule)"));
    visit.optional("near_corner", rules.near_corner,
                   margin.told("A shelf's end this near the wall's is in the corner (house rule)"));
}

void fields(auto& visit, Is<TippingRules> auto& rules) {
    visit.optional("drawer_kg_per_m3", rules.drawer_density,
                   Meaning{"a figure", Range::more_than_zero}.told("8.5 lb/ft3, ASTM F2057-23 (from memory)"));
    visit.optional("person_kg", rules.person_mass,
                   Meaning{"a figure", Range::more_than_zero}.told("60 lb, ASTM F2057-23 (from memory)"));
    visit.optional("child_pull_n", rules.child_pull,
                   Meaning{"a figure", Range::more_than_zero}.told("10 lbf, ASTM F2057-23 (from memory)"));
    visit.optional("adult_pull_n", rules.adult_pull, Meaning{"a figure", Range::more_than_zero}.told("House rule"));
    visit.optional(
        "hand_most", rules.hand_most,
        Meaning{"a length", Range::more_than_zero}.told("56 in: pulled no higher, ASTM F2057-23 (from memory)"));
    visit.optional("rear_raised", rules.rear_raised,
                   Meaning{"a length", Range::more_than_zero}.told("0.43 in on carpet, ASTM F2057-23 (from memory)"));
    visit.optional("restraint_least_n", rules.restraint_least,
                   Meaning{"a figure", Range::more_than_zero}.told(
                       "50 lbf, ASTM F3096-14 (from memory); the later edition was not at hand"));
    visit.optional("over_factor", rules.over_factor,
                   Meaning{"a figure", Range::more_than_zero}.told("On what overturns (house rule)"));
    visit.optional("righting_factor", rules.righting_factor,
                   Meaning{"a figure", Range::more_than_zero}.told("On what rights (house rule)"));
    visit.optional(
        "pair_share", rules.pair_share,
        Meaning{"a figure", Range::more_than_zero}.told("Of the whole force, each of two or more (house rule)"));
    visit.optional("advised_from", rules.advised_from,
                   Meaning{"a length", Range::more_than_zero}.told(
                       "A restraint is advised for any piece this tall, ASTM F2057-23 (from memory)"));
    visit.optional("angle_steel", rules.angle_steel,
                   Meaning{"a length", Range::more_than_zero}.told("Of an angle bracket at its hole (house rule)"));
    visit.optional("angle_hole", rules.angle_hole, Meaning{"a length", Range::more_than_zero}.told("House rule"));
    visit.optional("angle_up", rules.angle_up,
                   Meaning{"a length", Range::more_than_zero}.told("Its hole over the piece's top (house rule)"));
    visit.optional(
        "top_load_up", rules.top_load_up,
        Meaning{"a height", Range::not_negative}.told("Over the top: the middle of what stands there (house rule)"));
    visit.optional("side_inset", rules.side_inset,
                   Meaning{"a distance", Range::not_negative}.told("Of a fixing from the piece's sides (house rule)"));
}

void fields(auto& visit, Is<StorageRules> auto& rules) {
    visit.optional(
        "upper_rod", rules.upper_rod,
        Meaning{"a length", Range::more_than_zero}.told("Double hanging: about 40 and 80 in (common practice)"));
    visit.optional("lower_rod", rules.lower_rod, Meaning{"a length", Range::more_than_zero}.told("Common practice"));
    visit.optional(
        "long_rod", rules.long_rod,
        Meaning{"a length", Range::more_than_zero}.told("Long hanging: about 65 to 70 in (common practice)"));
    visit.optional(
        "under_shelf", rules.under_shelf,
        Meaning{"a length", Range::more_than_zero}.told("A rod's middle under the shelf over it (house rule)"));
    visit.optional("hole_pitch", rules.hole_pitch,
                   Meaning{"a length", Range::more_than_zero}.told("Of the holes for shelf pins (common practice)"));
    visit.optional("shoe_pitch", rules.shoe_pitch,
                   Meaning{"a length", Range::more_than_zero}.told("Between shoe shelves, least (house rule)"));
    visit.optional("bay_least", rules.bay_least, Meaning{"a length", Range::more_than_zero}.told("House rule"));
    visit.optional("bay_most", rules.bay_most, Meaning{"a length", Range::more_than_zero}.told("House rule"));
    visit.optional("plain_bay", rules.plain_bay,
                   Meaning{"a length", Range::more_than_zero}.told(
                       "Of a bay without a width where others go by garments (house rule)"));
    visit.optional("shirt_room", rules.shirt_room,
                   Meaning{"a length", Range::more_than_zero}.told("Of rod for one (house rule)"));
    visit.optional("trousers_room", rules.trousers_room, Meaning{"a length", Range::more_than_zero}.told("House rule"));
    visit.optional("jacket_room", rules.jacket_room, Meaning{"a length", Range::more_than_zero}.told("House rule"));
    visit.optional("dress_room", rules.dress_room, Meaning{"a length", Range::more_than_zero}.told("House rule"));
    visit.optional("coat_room", rules.coat_room, Meaning{"a length", Range::more_than_zero}.told("House rule"));
    visit.optional("shirt_drop", rules.shirt_drop,
                   Meaning{"a length", Range::more_than_zero}.told("From the rod's middle to the hem (house rule)"));
    visit.optional("trousers_drop", rules.trousers_drop,
                   Meaning{"a length", Range::more_than_zero}.told("Folded over a hanger (house rule)"));
    visit.optional("jacket_drop", rules.jacket_drop, Meaning{"a length", Range::more_than_zero}.told("House rule"));
    visit.optional("dress_drop", rules.dress_drop, Meaning{"a length", Range::more_than_zero}.told("House rule"));
    visit.optional("coat_drop", rules.coat_drop, Meaning{"a length", Range::more_than_zero}.told("House rule"));
    visit.optional("hem_clear", rules.hem_clear,
                   Meaning{"a length", Range::more_than_zero}.told("Under the hem (house rule)"));
    visit.optional("stack_width", rules.stack_width,
                   Meaning{"a length", Range::more_than_zero}.told("Of a pile of folded clothes (house rule)"));
    visit.optional("fold_high", rules.fold_high,
                   Meaning{"a length", Range::more_than_zero}.told("Of one piece in it (house rule)"));
    visit.optional("pile_most", rules.pile_most,
                   Meaning{"a length", Range::more_than_zero}.told("No pile is made higher (house rule)"));
    visit.optional("box_width", rules.box_width,
                   Meaning{"a length", Range::more_than_zero}.told("Of a storage box (house rule)"));
    visit.optional("box_depth", rules.box_depth, Meaning{"a length", Range::more_than_zero}.told("House rule"));
    visit.optional("box_height", rules.box_height, Meaning{"a length", Range::more_than_zero}.told("House rule"));
    visit.optional("shoe_width", rules.shoe_width,
                   Meaning{"a length", Range::more_than_zero}.told("Of a pair (house rule)"));
    visit.optional("hand_room", rules.hand_room,
                   Meaning{"a length", Range::more_than_zero}.told("Over what stands on a shelf (house rule)"));
    visit.optional("plumb_per_m", rules.plumb_per_m,
                   Meaning{"a length", Range::more_than_zero}.told(
                       "A panel may be out of plumb by this for each metre (house rule)"));
    visit.optional("level_error", rules.level_error,
                   Meaning{"a length", Range::more_than_zero}.told("Of a level for each metre of it (house rule)"));
    visit.optional("panel_screw_grip", rules.panel_screw_grip,
                   Meaning{"a length", Range::more_than_zero}.told("Of such a screw in the shelf (house rule)"));
    visit.optional("panel_screws", rules.panel_screws,
                   Meaning{"a number of screws", Range::more_than_zero}.told(
                       "Through a panel into each end of a fixed shelf (common practice)"));
    visit.optional("lean_foot", rules.lean_foot,
                   Meaning{"a distance", Range::more_than_zero}.told(
                       "A leaning panel's foot stands out by 100 to 125 mm (common practice)"));
}

void fields(auto& visit, Is<HouseRules> auto& rules) {
    constexpr Meaning length{"a length", Range::more_than_zero};
    constexpr Meaning margin{"a margin", Range::not_negative};
    constexpr Meaning force{"a force", Range::more_than_zero};
    visit.optional("spacing_good", rules.spacing_good,
                   length.told("32 in or less between brackets is good (common practice)"));
    visit.optional("spacing_most", rules.spacing_most, length.told("36 in is the most (common practice)"));
    visit.optional("spacing_least", rules.spacing_least,
                   length.told("Nearer than this two brackets are one (house rule)"));
    visit.optional("inset_usual", rules.inset_usual,
                   length.told("End brackets 1 to 2 in from the ends (common practice)"));
    visit.optional("inset_least", rules.inset_least, length.told("Common practice"));
    visit.optional("overhang_most", rules.overhang_most,
                   length.told("Beyond the last bracket where studs decide (house rule)"));
    visit.optional("arm_least_share", rules.arm_least_share,
                   Meaning{"a share", Range::fraction}.told("Of the shelf depth (common practice)"));
    visit.optional("arm_set_back", rules.arm_set_back,
                   margin.told("The arm is at least this much shorter than the depth (common practice)"));
    visit.optional("timber", rules.timber,
                   Meaning{}.told("How joints of screws in timber are reckoned").asked("Timber joints by"));
    visit.optional("arm_back_share", rules.arm_back_share,
                   Meaning{"a share", Range::fraction}.told("Or by this share of it, where that is less (house rule)"));
    visit.optional("penetration_wanted", rules.penetration_wanted, length.told("In the stud (common practice)"));
    visit.optional("stud_wander", rules.stud_wander, margin.told("A drill wanders (house rule)"));
    visit.optional("shelf_screw_margin", rules.shelf_screw_margin,
                   margin.told("Between a screw's point and the shelf's top (house rule)"));
    visit.optional("strip_corner", rules.strip_corner,
                   margin.told("BS 7671 522.6 (from memory): along the ceiling and wall corners"));
    visit.optional("lining_mass_most_kg", rules.lining_mass_most,
                   Meaning{"a mass", Range::more_than_zero}.told("An item wholly on lining (house rule)"));
    visit.optional("lining_reach_most", rules.lining_reach_most, length.told("House rule"));
    visit.optional("lining_tension_most_n", rules.lining_tension_most,
                   force.told("Sustained, per anchor (house rule)"));
    visit.optional(
        "behind_lining", rules.behind_lining,
        margin.told("A lining anchor's screw reaches so far; its packet's own comes first (common practice)"));
    visit.optional("screw_root_share", rules.screw_root_share,
                   Meaning{"a share", Range::fraction}.told(
                       "Of a screw's diameter where its packet says no more; EN 1995-1-1: 0.6 to 0.75 (house rule)"));
    visit.optional("lining_shear_share", rules.lining_shear_share,
                   Meaning{"a share", Range::fraction}.told(
                       "Of a plug's shear, where a lining other than plaster lets it bend (house rule)"));
    visit.optional("accidental_n", rules.accidental,
                   force.told("Leaning on the front edge of a shelf below accidental_below (house rule)"));
    visit.optional("accidental_below", rules.accidental_below, length.told("House rule"));
    visit.optional("display_kg_per_m", rules.display,
                   Meaning{"a load", Range::more_than_zero}.told("Ornaments, a light display (house rule)"));
    visit.optional(
        "lining_pressure_n_per_mm2", rules.lining_pressure,
        Meaning{"a pressure", Range::more_than_zero}.told("What a lining bears under a bracket leg (house rule)"));
    visit.optional("overhang_difference", rules.overhang_difference,
                   margin.told("A difference seen by eye (house rule)"));
    visit.optional("sag_limit", rules.sag_limit);
    visit.optional("strip_thin_wall", rules.strip_thin_wall,
                   margin.told("BS 7671 522.6 (from memory): services of the far side count up to this"));
    visit.optional("scan_margin", rules.scan_margin,
                   margin.told("On either side of a detected cable or pipe (house rule)"));
    visit.optional("detector_sweep", rules.detector_sweep,
                   margin.told("A detector is led so far past a hole on every side (common practice)"));
    visit.optional("laser_limit", rules.laser_limit,
                   length.told("Limit of error of a laser measure, unless its sheet says otherwise (house rule)"));
    visit.optional(
        "pipe_strip", rules.pipe_strip,
        Meaning{"a width", Range::more_than_zero}.told("Upright strip at each end of a radiator (house rule)"));
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
