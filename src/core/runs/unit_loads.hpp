#pragma once

#include "core/job/house_rules.hpp"
#include "core/job/runs.hpp"
#include "core/statics/gravity.hpp"

#include <vector>

/// What a unit weighs and what that does to the screws through its rails.
namespace yes_square {

/// Mass of an empty unit, doors on, kg: as entered, else from its panels as 700 kg/m3 board (common practice).
double empty_mass_kg(const CabinetUnit& unit);

/// With everything in it: as entered, else the empty mass and the house's load on every shelf and the bottom.
double loaded_mass_kg(const CabinetUnit& unit, const RunRules& rules);

/// What is lifted: doors off. Loose shelves are in the mass; the figure is on the safe side by them.
double lift_mass_kg(const CabinetUnit& unit);

/// Where a unit's screws are, seen from the front.
struct ScrewPattern {
    std::vector<double> columns;   ///< m from the unit's left edge
    std::vector<double> rows;      ///< m above the unit's bottom, top first
    double screws_in_row = 1;      ///< in each column of each row: 2 where they stand above one another
    double stacked_m = 0;          ///< between those two
    bool packed_at_bottom = false; ///< shimmed or scribed off the wall below: it turns about its lowest screws
};

struct UnitForces {
    double tension_n = 0; ///< on the worst screw
    double shear_n = 0;   ///< on the worst screw
    double moment_nm = 0;
    double pivot_m = 0;   ///< above the unit's bottom
    double share = 0;     ///< of the load, on the worst column
    bool refused = false; ///< one row only, and the unit turns about it: nothing holds its top
};

/// Shear across the width by levers about the true centre of gravity (two columns at 2 and 18 in under a 24 in unit:
/// 0.375 and 0.625), with the whole load and with only the left or right half of the contents. Tension
/// T_i = M h_i / sum(h_j^2) in the column that carries most, h above the pivot, M the load at half the depth and the
/// doors, standing open, at depth + half a door's width. A unit on one stud alone also turns on the wall about it, by
/// how far its load hangs beside that stud: its screws hold that by pushing sideways, in proportion to their height
/// from their middle. Statics.
UnitForces unit_forces(const CabinetUnit& unit, double empty_kg, double loaded_kg, const ScrewPattern& pattern);

} // namespace yes_square
