#pragma once

#include "core/job/materials.hpp"
#include "core/measure/physical.hpp"

#include <map>
#include <string>

namespace yes_square {

/// How much a shelf may sag over a span L, bracket centre to bracket centre.
enum class SagLimit { l_200, l_300, l_384, l_600 };

/// The whole number n in L/n.
int divisor(SagLimit limit);

/// How far each trace of a stud is trusted, and how framing strays from its setting-out: starting values [hr].
struct StudRules {
    double probe_false = 0.01;     ///< a probe that reads wrong
    double knock_right = 0.65;     ///< a knock that sounds as it should
    double box_side_right = 0.60;  ///< wood stands against the side of the box thought
    double detector_true = 0.90;   ///< a detector's middle that is a stud's
    double screw_line_true = 0.95; ///< a line of screws that is in a stud
    double nail_pop_true = 0.85;
    double skirting_nails_true = 0.80;
    Length detector_error = 12_mm; ///< limit of error where none is stated
    Length screw_scatter = 8_mm;   ///< screws and nails about the stud's middle, standard deviation
    Length scatter = 4_mm;         ///< of a stud about its nominal place, standard deviation
    double missing = 0.03;         ///< a stud that is not at its place
    double told_right = 0.70;      ///< a spacing, or a stud's place, that somebody said
    Length told_scatter = 10_mm;   ///< of such a place about where the stud stands, standard deviation
    double extra_per_m = 0.08;     ///< studs that no setting-out explains
    Length edge_gap = 3_mm;        ///< miss to hit, for an edge to be closed
    Length width_tolerance = 3_mm; ///< [hr] of a proved stud's width: 38 +- 3 mm
    double worth_looking = 0.10; ///< [hr] a stretch is done when no unproved stud is likelier than this anywhere in it
    Length framing_from =
        10_mm; ///< [cp] from an opening's trim inwards, the face of its framing: behind trim, jamb, shims
    Length framing_to = 65_mm;    ///< [cp] and at the most
    Length probe_margin = 2_mm;   ///< [hr] from the hole of a probe to a strip's edge
    Length easy_height = 1200_mm; ///< [hr] where a probe is used without bending
    double indicated_at = 0.95;   ///< probability from which a stud is called indicated
    std::map<std::string, std::string> unknown = {};

    bool operator==(const StudRules&) const = default;
};

/// Which go up first, and where a run is begun.
enum class HangFirst { wall_units, base_units };
enum class StartAt { corner, end };

/// How cabinets are hung, stood and lifted.
struct RunRules {
    Length driver_room = 25_mm;                    ///< [hr] from a side's inner face to a screw: room for the driver
    Length side_grip = 60_mm;                      ///< [hr] screws into masonry stand this far in from a side
    Length thin_back = Length::inches(0, {1, 4});  ///< [cp] a back up to this holds nothing
    Length rail_back = 15_mm;                      ///< [hr] a back this thick stands for rails that nobody entered
    Length screw_head = Length::inches(0, {1, 2}); ///< [cp] a cabinet screw's broad head, or its washer
    Length joint_cover = 4_mm;      ///< [hr] a screw that joins two units is at least this much shorter than both sides
    Length hook_drop = 52_mm;       ///< [cp] of a hook bracket's wall plate below the unit's top
    Length rail_drop = 40_mm;       ///< [hr] of a suspension rail's lower edge below the unit's top; its sheet says
    Length rail_stock = 84_in;      ///< [cp] suspension rail is cut from this
    Length channel_stock = 2500_mm; ///< [hr] handle channel is cut from this
    Length worktop_stock = 4100_mm; ///< [cp] worktops are to be had up to this, where no stock is entered
    Length joint_clear = 300_mm;    ///< [cp] a worktop's joint keeps this off what is cut out of it
    Length rail_studs = 16_in;      ///< [cp] fixed this often into studs
    Length rail_masonry = 12_in;    ///< [cp] and this often into masonry
    Length leg_least = 100_mm;      ///< [hr] of an adjustable leg, and at its longest
    Length leg_most = 170_mm;
    Length shim_most = 12_mm;            ///< [hr] under a unit that stands on the floor itself; more is a packer strip
    Length foot_inset = 50_mm;           ///< [hr] of a foot from the unit's sides, back and front
    Length worktop_overhang = 20_mm;     ///< [hr] in front of the carcass
    Length worktop_thick = 38_mm;        ///< [cp] as kitchens have it
    Density worktop_density = 700_kg_m3; ///< [cp] of laminated board; stone is near four times as heavy
    Length plinth_set_back = 50_mm;      ///< [hr]
    Length corner_clear = 50_mm;         ///< [hr] for a door or drawer beside a wall or another run's front
    Length door_thickness = 20_mm;       ///< [hr]
    Length tilt_clear = 10_mm;           ///< [hr] under the ceiling when a tall unit is tilted up
    Length hood_over_hob = 650_mm;       ///< [hr] where no maker's sheet and no local code says more
    Length opening_parallel = 2_mm;      ///< [hr] front and back may differ by this
    Length scribe_step = 100_mm;         ///< [hr] between the figures of a cutting table
    int worktop_screws = 4;              ///< [cp] up into the worktop out of each unit under it
    Length shelf_every = 300_mm;         ///< [hr] shelves a unit is taken to have, for its contents
    AreaMass contents_per_area = AreaMass::kg_per_square_metre(73.4); ///< 0.72 kPa, ANSI/KCMA A161.1 (from memory)
    Mass lift_alone = 7_kg;           ///< HSE lifting filter, close above the shoulder, the lower figure (from memory)
    Mass lift_floor_alone = 16_kg;    ///< close, at knuckle height
    Length shoulder = 1400_mm;        ///< [hr] of who lifts, above the floor
    Length elbow = 1050_mm;           ///< [hr]
    Length reach_up = 1900_mm;        ///< [hr] hands that go higher want a step
    Length tower_from = 2700_mm;      ///< [hr] and from here on a tower or trestles
    double stack_diameters = 10;      ///< [cp] between two screws above one another in a stud, in screw diameters
    Length wide_unit = 900_mm;        ///< [hr] on masonry: from this width a third pair of plugs in the middle
    Length plinth_thickness = 16_mm;  ///< [hr]
    Length shortest_rail = 300_mm;    ///< [hr] of a suspension rail: two fixings and a unit's hook
    Length two_carry_from = 1500_mm;  ///< [hr] a worktop this long is carried by two
    Length aisle_least = 900_mm;      ///< [hr] to walk and work between an island and what stands opposite
    Length backs_apart_most = 100_mm; ///< [hr] an island's two sides are screwed to one another up to such a gap
    Length frame_timber = 38_mm;      ///< [cp] of an island's frame and cleats, nominal 2 in (PS 20)
    Length cleat_breadth = 89_mm;     ///< [cp] of a cleat laid flat, nominal 4 in
    HangFirst hang_first = HangFirst::wall_units;
    StartAt start_at = StartAt::corner;
    std::map<std::string, std::string> unknown = {};

    bool operator==(const RunRules&) const = default;
};

/// Who does the work: setting resin or expanding anchors in masonry wants practice.
enum class Skill { everyday, practised };

/// Shelves of every kind, rails and poles.
struct ShelfRules {
    Force desk_edge = 1000_n;                               ///< [hr] someone sits or leans on a desk's front edge
    AreaMass desk_load = AreaMass::kg_per_square_metre(50); ///< [hr] what stands on a desk
    Force sat_on = 1000_n;        ///< [hr] someone sits down on a shelf that is low and deep enough for it
    Length sat_on_below = 650_mm; ///< [hr] its top
    Length sat_on_depth = 200_mm; ///< [hr] from this depth
    LineMass clothes = LineMass::kg_per_metre(40); ///< [cp] on a pole
    Length board_longest = 2440_mm;                ///< [cp] boards are to be had up to this
    Length nogging_screw = 75_mm;                  ///< [hr] in a nogging's ends
    Length nogging_driver = 220_mm;                ///< [hr] a bay wants to be so wide for a driver with its bit
    Length standards_most = 24_in;                 ///< [hr] between slotted uprights
    Length rods_most = 16_in;                      ///< [hr] between hidden rods
    Length rail_most = 24_in;                      ///< [hr] between the screws of a hook rail
    Length pole_most = 48_in;                      ///< [hr] between supports of a pole
    double rod_cover = 2.5;                        ///< [hr] a shelf is at least this many rod diameters thick
    Pressure rod_steel = 140_mpa;                  ///< [hr] bending stress in a mild steel rod, in use
    Pressure aluminium = 70_mpa;                   ///< [hr] bending stress in an aluminium tube, in use
    double rod_slope = 0.01;                       ///< [hr] a rod's front may sink by this share of the shelf's depth
    Pressure brick = 2.0_mpa;                      ///< [hr] a rod presses on brick, in use
    Pressure dense_block = 1.5_mpa;                ///< [hr]
    Pressure aerated_block = 0.4_mpa;              ///< [hr]
    Pressure concrete = 4.0_mpa;                   ///< [hr]
    Length lift_off_room = 5_mm;                   ///< [hr] over what a keyhole shelf must rise to come off
    Length tier_room = 20_mm;                      ///< [hr] between a bracket's leg and the shelf below it
    Length ledge_deepest = 150_mm;                 ///< [hr] of a picture ledge: deeper ones wring their strip
    Length ledge_screw_room = 30_mm;               ///< [hr] of its strip over its board, for a screw
    Length loose_play = 1_mm;                      ///< [cp] a loose board is cut this much short at either end
    Length cleat_play = 2_mm;                      ///< [hr] a shelf is cut this much short of its alcove
    Length desk_least = 680_mm;                    ///< [cp] a desk's top is usually 700 to 760 up
    Length desk_most = 780_mm;                     ///< [cp]
    Length helper_from = 1800_mm;                  ///< [hr] a board this long wants two pairs of hands
    Length scribe_from = 3_mm;       ///< [hr] a wall that bows more behind a board has its back edge scribed to it
    int screws_in_arm = 2;           ///< [hr] up through a bracket's arm into the board
    Length resin_room = 2_mm;        ///< [cp] a hole for resin is this much wider than its bar
    Length leg_back_within = 300_mm; ///< [hr] of a leg in front of a board's middle: something holds the back there
    Pressure leg_modulus = 6_gpa;    ///< [hr] of the softest wood sold for legs
    Pressure leg_pressed = 4_mpa;    ///< [hr] along its grain, in use
    double leg_buckling = 3;         ///< [hr] a leg bears Euler's load by this
    double resin_over = 1.5;         ///< [hr] resin to buy over what a hole takes: nozzle, waste, crumbled walls
    Length tight_most = 2_mm; ///< [hr] a hole in soft block no thinner than this under its rod: more splits the block
    Length cut_out_margin = 50_mm; ///< [cp] board left before and behind a sink or a hob
    Length leg_room = 350_mm;      ///< [hr] wall that brackets want under a board: the usual longest leg
    Length near_corner = 10_mm;    ///< [hr] a shelf's end this near the wall's is in the corner
    Skill skill = Skill::everyday;
    std::map<std::string, std::string> unknown = {};

    bool operator==(const ShelfRules&) const = default;
};

/// When furniture tips, and what holds it.
struct TippingRules {
    Density drawer_density = 136_kg_m3; ///< 8.5 lb/ft3, ASTM F2057-23 (from memory)
    Mass person_mass = 27.2_kg;         ///< 60 lb, ASTM F2057-23 (from memory)
    Force child_pull = 44.5_n;          ///< 10 lbf, ASTM F2057-23 (from memory)
    Force adult_pull = 200_n;           ///< [hr]
    Length hand_most = 1420_mm;         ///< 56 in: pulled no higher, ASTM F2057-23 (from memory)
    Length rear_raised = 11_mm;         ///< 0.43 in on carpet, ASTM F2057-23 (from memory)
    Force restraint_least = 220_n;      ///< 50 lbf, ASTM F3096-14 (from memory); the later edition was not at hand
    double over_factor = 1.5;           ///< [hr] on what overturns
    double righting_factor = 0.9;       ///< [hr] on what rights
    double pair_share = 0.6;            ///< [hr] of the whole force, each of two or more
    Length advised_from = 27_in;        ///< a restraint is advised for any piece this tall, ASTM F2057-23 (from memory)
    Length top_load_up = 150_mm;        ///< [hr] over the top: the middle of what stands there
    Length side_inset = 30_mm;          ///< [hr] of a fixing from the piece's sides
    Length angle_steel = 3_mm;          ///< [hr] of an angle bracket at its hole
    Length angle_hole = 6_mm;           ///< [hr]
    Length angle_up = 20_mm;            ///< [hr] its hole over the piece's top
    std::map<std::string, std::string> unknown = {};

    bool operator==(const TippingRules&) const = default;
};

/// Wardrobe bays, and what goes into them.
struct StorageRules {
    Length upper_rod = 80_in;                      ///< [cp] double hanging: about 40 and 80 in
    Length lower_rod = 40_in;                      ///< [cp]
    Length long_rod = 68_in;                       ///< [cp] long hanging: about 65 to 70 in
    Length under_shelf = 60_mm;                    ///< [hr] a rod's middle under the shelf over it
    Length hole_pitch = 32_mm;                     ///< [cp] of the holes for shelf pins
    Length shoe_pitch = 160_mm;                    ///< [hr] between shoe shelves, least
    Length bay_least = 300_mm;                     ///< [hr]
    Length bay_most = 1000_mm;                     ///< [hr]
    Length plain_bay = 600_mm;                     ///< [hr] of a bay without a width where others go by garments
    Length shirt_room = 25_mm;                     ///< [hr] of rod for one
    Length trousers_room = 30_mm;                  ///< [hr]
    Length jacket_room = 50_mm;                    ///< [hr]
    Length dress_room = 40_mm;                     ///< [hr]
    Length coat_room = 65_mm;                      ///< [hr]
    Length shirt_drop = 880_mm;                    ///< [hr] from the rod's middle to the hem
    Length trousers_drop = 720_mm;                 ///< [hr] folded over a hanger
    Length jacket_drop = 1000_mm;                  ///< [hr]
    Length dress_drop = 1400_mm;                   ///< [hr]
    Length coat_drop = 1500_mm;                    ///< [hr]
    Length hem_clear = 30_mm;                      ///< [hr] under the hem
    Length stack_width = 280_mm;                   ///< [hr] of a pile of folded clothes
    Length fold_high = 30_mm;                      ///< [hr] of one piece in it
    Length pile_most = 400_mm;                     ///< [hr] no pile is made higher
    Length box_width = 330_mm;                     ///< [hr] of a storage box
    Length box_depth = 380_mm;                     ///< [hr]
    Length box_height = 200_mm;                    ///< [hr]
    Length shoe_width = 220_mm;                    ///< [hr] of a pair
    Length hand_room = 20_mm;                      ///< [hr] over what stands on a shelf
    Length plumb_per_m = 1_mm;                     ///< [hr] a panel may be out of plumb by this for each metre
    Length level_error = Length::micrometres(500); ///< [hr] of a level for each metre of it
    int panel_screws = 2;                          ///< [cp] through a panel into each end of a fixed shelf
    Length panel_screw_grip = 32_mm;               ///< [hr] of such a screw in the shelf
    Length lean_foot = 110_mm;                     ///< [cp] a leaning panel's foot stands out by 100 to 125 mm
    std::map<std::string, std::string> unknown = {};

    bool operator==(const StorageRules&) const = default;
};

/// Boxes for a wall.
struct BoxRules {
    Length back_screws = 150_mm; ///< [hr] between the screws that hold a back to its box
    Length hole_in = 60_mm;      ///< [hr] of wall fixings below the top and above the bottom
    Length square_per_m = 1_mm;  ///< [hr] the top of a box may stand out of square by this for each metre of height
    Length joint_screw = 50_mm;  ///< [hr] how long the screws are that hold a joint of its boards
    Length joint_every = 150_mm; ///< [hr] between them, at the most
    Length joint_in = 40_mm;     ///< [hr] of the first and last from the edges of what they hold
    Length router_pass = 5_mm;   ///< [cp] a router takes off this much at a time
    Length keyhole_bore = 10_mm; ///< [cp] through which a screw's head enters a keyhole slot
    Length keyhole_head = 4_mm;  ///< [cp] under its lip, for a countersunk head
    Length keyhole_wood = 3_mm;  ///< [hr] left below its bore
    Length keyhole_in = 50_mm;   ///< [hr] of a slot from the shelf's end, at the least
    std::map<std::string, std::string> unknown = {};

    bool operator==(const BoxRules&) const = default;
};

/// Cutting parts from stock, and what is taken along.
struct CutRules {
    Length kerf = 3_mm;              ///< [hr] that the saw eats
    Length end_trim = {};            ///< [hr] off each end of a new length
    Length sheet_trim = {};          ///< [hr] off each edge of a new sheet
    Length offcut_kept = 300_mm;     ///< [hr] a shorter offcut is waste
    double spare_share = 0.1;        ///< [hr] of screws and plugs, besides those the plan wants
    int spare_least = 2;             ///< [hr]
    Length scribe_allowance = 10_mm; ///< [hr] left on a board that is scribed to a wall
    std::map<std::string, std::string> unknown = {};

    bool operator==(const CutRules&) const = default;
};

/// Fitting: how true work must be, and how long things take.
struct FitRules {
    Length level_per_m = 1_mm;                    ///< [hr] work may be out of level by this for each metre
    Length plumb_per_m = 1_mm;                    ///< [hr] and out of plumb
    Length straight = 1_mm;                       ///< [hr] a front may be off a straight line by this
    Length place = 2_mm;                          ///< [hr] a thing may stand this far from where it should
    Length leg_pitch = Length::micrometres(1500); ///< of a leg's thread: M10 coarse, ISO 261 (from memory)
    Length shim_step = Length::micrometres(500);  ///< [hr] thinnest packing at hand
    Length reach = 600_mm;                        ///< [hr] marked and drilled without taking a step
    Length service_room = 50_mm;                  ///< [hr] kept out round a place where a service answered
    Length same_hole = 2_mm;                      ///< [hr] nearer than this two holes are one
    double mark_min = 1;                          ///< [hr] minutes for a mark
    double drill_min = 2;                         ///< [hr] for a hole
    double step_min = 5;                          ///< [hr] for any other step
    double join_min = 5;                          ///< [hr] two units clamped and joined
    double door_min = 8;                          ///< [hr] a door hung and set
    double drawer_min = 4;                        ///< [hr] a unit's drawers set
    double worktop_min = 30;                      ///< [hr] a length of worktop scribed and screwed down
    double worktop_joint_min = 45;                ///< [hr] a joint in it
    double plinth_min = 15;                       ///< [hr] a length of plinth or handle channel
    double resin_min = 60;                        ///< [hr] until resin bears, where its packet says no other
    double sealant_min = 720;                     ///< [hr] until sealant or glue may be wetted or strained
    double paint_min = 240;                       ///< [hr] until a coat of paint or oil may be painted over or touched
    std::map<std::string, std::string> unknown = {};

    bool operator==(const FitRules&) const = default;
};

/// Strips screwed to a wall: cleats, battens.
struct StripRules {
    Length end_inset = 40_mm;      ///< [hr] of a strip's first and last screw
    Length masonry_every = 300_mm; ///< [hr] between screws along a strip in masonry, at the most
    Length pivot = 5_mm;           ///< [hr] a strip turns about its lower edge this far up
    Length alone_up_to = 2000_mm;  ///< [hr] one person holds a strip this long while it is screwed on
    std::map<std::string, std::string> unknown = {};

    bool operator==(const StripRules&) const = default;
};

/// Low-voltage feeds.
struct FeedRules {
    double drop_most = 0.05;      ///< [hr] of the voltage, at the farthest lamp
    double driver_share = 0.8;    ///< [hr] a driver is loaded to this share of its rating at most
    double driver_watts = 60;     ///< [hr] the largest driver that is taken; more is shared among several
    double amps_per_mm2 = 6;      ///< [hr] a lead carries this much at most
    Length lead_hole = 10_mm;     ///< [hr] drilled for a lead
    Length lead_in = 25_mm;       ///< [hr] of such a hole's middle from the boards beside it
    Length driver_room = 80_mm;   ///< [hr] over units a driver wants as much, for air and a hand
    Length plinth_driver = 50_mm; ///< [hr] up, of a driver that lies behind a plinth
    std::map<std::string, std::string> unknown = {};

    bool operator==(const FeedRules&) const = default;
};

/// Rules of thumb, each in one place. A job saves them, so that a change shows in its record.
/// Marked [cp] common practice, [hr] a house rule of ours.
struct HouseRules {
    Length spacing_good = 32_in;             ///< [cp] 32 in or less between brackets is good
    Length spacing_most = 36_in;             ///< [cp] 36 in is the most
    Length spacing_least = 100_mm;           ///< [hr] nearer than this two brackets are one
    Length inset_usual = 2_in;               ///< [cp] end brackets 1 to 2 in from the ends
    Length inset_least = 1_in;               ///< [cp]
    Length overhang_most = 12_in;            ///< [hr] beyond the last bracket where studs decide
    double arm_least_share = 0.70;           ///< [cp] of the shelf depth
    Length arm_set_back = 1_in;              ///< [cp] the arm is at least this much shorter than the depth
    TimberSchool timber = TimberSchool::nds; ///< how joints of screws in timber are reckoned
    double arm_back_share = 0.15;            ///< [hr] or by this share of it, where that is less: of a shallow shelf
    Length penetration_wanted = Length::inches(1, {1, 2}); ///< [cp] in the stud
    Length stud_wander = 1_mm;                             ///< [hr] a drill wanders
    Length shelf_screw_margin = 2_mm;                      ///< [hr] between a screw's point and the shelf's top
    Length strip_corner = 150_mm;      ///< BS 7671 522.6 (from memory): along the ceiling and wall corners
    Mass lining_mass_most = 10_kg;     ///< [hr] an item wholly on lining
    Length lining_reach_most = 200_mm; ///< [hr]
    Force lining_tension_most = 50_n;  ///< [hr] sustained, per anchor
    Length behind_lining = 15_mm;      ///< [cp] a lining anchor's screw reaches; its packet's own comes first
    double screw_root_share =
        0.64; ///< [hr] of a screw's diameter where its packet says no more; EN 1995-1-1: 0.6 to 0.75
    double lining_shear_share = 0.5;   ///< [hr] of a plug's shear, where a lining other than plaster lets it bend
    Force accidental = 250_n;          ///< [hr] leaning on the front edge of a shelf below accidental_below
    Length accidental_below = 1500_mm; ///< [hr]
    LineMass display = LineMass::kg_per_metre(10); ///< [hr] ornaments, a light display
    Pressure lining_pressure = 1_mpa;              ///< [hr] what a lining bears under a bracket leg
    Length overhang_difference = 5_mm;             ///< [hr] a difference seen by eye
    SagLimit sag_limit = SagLimit::l_200;
    Length pipe_strip = 100_mm;      ///< [hr] upright strip at each end of a radiator
    Length strip_thin_wall = 100_mm; ///< BS 7671 522.6 (from memory): services of the far side count up to this
    Length scan_margin = 50_mm;      ///< [hr] on either side of a detected cable or pipe
    Length detector_sweep = 50_mm;   ///< [cp] a detector is led so far past a hole on every side
    Length laser_limit = 2_mm;       ///< [hr] limit of error of a laser measure, unless its sheet says otherwise
    StudRules studs;
    RunRules runs;
    StripRules strips;
    ShelfRules shelves = {};
    TippingRules tipping = {};
    StorageRules storage = {};
    BoxRules boxes = {};
    CutRules cutting = {};
    FitRules fitting = {};
    FeedRules feeds = {};
    std::map<std::string, std::string> unknown;

    bool operator==(const HouseRules&) const = default;
};

} // namespace yes_square
