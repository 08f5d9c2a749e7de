#pragma once

#include <vector>

/// Screws through given holes of one stiff plate or back: how its load is shared among them. SI units: m, N, N m.
namespace yes_square {

/// The greatest share of a load at `at` that one of these places carries, all on one rigid part: the shares vary evenly
/// along it, and more than the whole load is possible where it hangs beyond the last place. Statics.
double greatest_share(const std::vector<double>& places, double at);

struct HolePlace {
    double x = 0; ///< from the plate's left end
    double z = 0; ///< over the edge it turns about
};

struct GroupLoad {
    double down_n = 0;    ///< weight
    double at_x = 0;      ///< of its centre of gravity, from the plate's left end
    double moment_nm = 0; ///< that pulls the top off the wall
};

struct HoleForce {
    double tension_n = 0;
    double shear_n = 0;
};

/// Pull: T_i = M z_i / sum(z^2), more by sideways levers where the load hangs beside the holes' middle (the shares of a
/// rigid back vary evenly along it). Shear: the elastic method for eccentrically loaded groups (AISC Steel Construction
/// Manual, part 7, from memory): an even share and a turning share in proportion to the distance from the centroid.
/// Empty: nothing above the edge holds it, or one hole alone would have to stop it turning.
std::vector<HoleForce> hole_group_forces(const std::vector<HolePlace>& holes, const GroupLoad& load);

} // namespace yes_square
