#pragma once

#include "core/fixings/hole_group.hpp"
#include "core/job/house_rules.hpp"
#include "core/job/runs.hpp"
#include "core/measure/conversions.hpp"
#include "core/measure/physical.hpp"
#include "core/plan/check.hpp"

#include <vector>

/// What a unit weighs and what that does to the screws through its rails.
namespace yes_square {

/// Mass of an empty unit, doors on, kg: as entered, else from its panels as 700 kg/m3 board (common practice).
Mass empty_mass_of(const CabinetUnit& unit);

/// With everything in it: as entered, else the empty mass and the house's load on every shelf and the bottom.
Mass loaded_mass_of(const CabinetUnit& unit, const RunRules& rules);

/// What is lifted: doors off. Loose shelves are in the mass; the figure is on the safe side by them.
Mass lift_mass_of(const CabinetUnit& unit);

/// Where a unit's screws are, seen from the front: from its left edge and above its bottom, top rail first.
struct ScrewPattern {
    std::vector<HolePlace> holes;
    bool packed_at_bottom = false; ///< shimmed or scribed off the wall below: it turns about its lowest screws
};
/// A screw at every one of these columns in every one of these rows, m.
ScrewPattern screw_grid(const std::vector<double>& columns, const std::vector<double>& rows);

/// What a load case of a unit asks of its screws.
struct UnitCase {
    LoadCase load;                ///< at_x from the unit's left edge
    double pivot_m = 0;           ///< above the unit's bottom
    std::vector<HoleForce> holes; ///< as the pattern's
};

struct UnitForces {
    std::vector<UnitCase> cases; ///< goods all over, on its left half, on its right half
    bool refused = false;        ///< in one of them the unit turns about its screws: nothing holds its top

    HoleForce worst() const; ///< greatest pull and greatest shear of any screw in any case
};

/// Shear across the width by levers about the true centre of gravity (two columns at 2 and 18 in under a 24 in unit:
/// 0.375 and 0.625), with the whole load and with only the left or right half of the contents. Tension
/// T_i = M h_i / sum(h_j^2), h above the pivot, M the load at half the depth and the doors, standing open, at depth +
/// half a door's width; more in the column nearer to the load. A unit on one column alone also turns on the wall about
/// it, by how far its load hangs beside it: its screws hold that by pushing sideways, in proportion to their height
/// from their middle. Statics.
/// @param pressure  that its lower edge presses with
UnitForces unit_forces(const CabinetUnit& unit, Mass empty_mass, Mass loaded_mass, const ScrewPattern& pattern,
                       Pressure pressure = 1_mpa);

} // namespace yes_square
