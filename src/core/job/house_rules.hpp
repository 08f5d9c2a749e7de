#pragma once

#include "core/measure/length.hpp"

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
    double extra_per_m = 0.08;     ///< studs that no setting-out explains
    Length edge_gap = 3_mm;        ///< miss to hit, for an edge to be closed
    Length width_tolerance = 3_mm; ///< [hr] of a proved stud's width: 38 +- 3 mm
    double indicated_at = 0.95;    ///< probability from which a stud is called indicated
    std::map<std::string, std::string> unknown = {};

    bool operator==(const StudRules&) const = default;
};

/// Rules of thumb, each in one place. A job saves them, so that a change shows in its record.
/// Marked [cp] common practice, [hr] a house rule of ours.
struct HouseRules {
    Length spacing_good = 32_in;   ///< [cp] 32 in or less between brackets is good
    Length spacing_most = 36_in;   ///< [cp] 36 in is the most
    Length spacing_least = 100_mm; ///< [hr] nearer than this two brackets are one
    Length inset_usual = 2_in;     ///< [cp] end brackets 1 to 2 in from the ends
    Length inset_least = 1_in;     ///< [cp]
    Length overhang_most = 12_in;  ///< [hr] beyond the last bracket where studs decide
    double arm_least_share = 0.70; ///< [cp] of the shelf depth
    Length arm_set_back = 1_in;    ///< [cp] the arm is at least this much shorter than the depth
    Length penetration_wanted = Length::inches(1, {1, 2}); ///< [cp] in the stud
    Length stud_wander = 1_mm;                             ///< [hr] a drill wanders
    Length shelf_screw_margin = 2_mm;                      ///< [hr] between a screw's point and the shelf's top
    Length strip_corner = 150_mm;         ///< BS 7671 522.6 (from memory): along the ceiling and wall corners
    double lining_mass_most_kg = 10;      ///< [hr] an item wholly on lining
    Length lining_reach_most = 200_mm;    ///< [hr]
    double lining_tension_most_n = 50;    ///< [hr] sustained, per anchor
    double lining_shear_share = 0.5;      ///< [hr] of a plug's shear, where a lining other than plaster lets it bend
    double accidental_n = 250;            ///< [hr] leaning on the front edge of a shelf below accidental_below
    Length accidental_below = 1500_mm;    ///< [hr]
    double display_kg_per_m = 10;         ///< [hr] ornaments, a light display
    double lining_pressure_n_per_mm2 = 1; ///< [hr] what a lining bears under a bracket leg
    Length overhang_difference = 5_mm;    ///< [hr] a difference seen by eye
    SagLimit sag_limit = SagLimit::l_200;
    Length strip_thin_wall = 100_mm; ///< BS 7671 522.6 (from memory): services of the far side count up to this
    Length scan_margin = 50_mm;      ///< [hr] on either side of a detected cable or pipe
    Length laser_limit = 2_mm;       ///< [hr] limit of error of a laser measure, unless its sheet says otherwise
    StudRules studs;
    std::map<std::string, std::string> unknown;

    bool operator==(const HouseRules&) const = default;
};

} // namespace yes_square
