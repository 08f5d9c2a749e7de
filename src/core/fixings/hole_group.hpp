#pragma once

#include "core/measure/physical.hpp"

#include <cmath>
#include <functional>
#include <optional>
#include <vector>

/// Screws through given holes of one stiff plate or back: how its load is shared among them. SI units: m, N, N m.
namespace yes_square {

/// Places nearer than this, m, are one place: nothing is divided by such a spread (rounding noise is far less).
inline constexpr double same_place = 1e-6;

/// The greatest share of a load at `at` that one of these places carries, all on one rigid part: the shares vary evenly
/// along it, and more than the whole load is possible where it hangs beyond the last place. Statics.
double greatest_share(const std::vector<double>& places, double at);

/// Where a stiff part turns about its pressed lower edge: max(least, x/2) above that edge, where x = C / (b p) is how
/// high the edge presses with the sum C of the pulls. The pulls grow as that place rises.
/// @param least  m   @param breadth  of what presses, m   @param pressure  N/m2
/// @param pull_over  N, the sum of the pulls when the part turns about a height, m
/// None: no height is in balance; nothing holds the part.
std::optional<double> pressed_pivot(double least, double breadth, Pressure pressure,
                                    const std::function<Force(double)>& pull_over);

struct HolePlace {
    double x = 0;      ///< from the plate's left end
    double z = 0;      ///< over its lower edge
    bool pulls = true; ///< false: of a limp plate, not in its top row; it bears shear only
};

struct GroupLoad {
    Force down = 0;    ///< weight
    double at_x = 0;   ///< of its centre of gravity, from the plate's left end
    Moment moment = 0; ///< that pulls the top off the wall
};

struct HoleForce {
    Force tension = 0;
    Force down = 0;
    Force across = 0; ///< to the right
    Force shear() const { return hypot(down, across); }
};

/// How a plate's holes share a load that hangs beside them.
enum class ShearBy {
    distance, ///< turning about the holes' middle, each by its distance from it
    levers,   ///< a wide part: down by levers along its width, unless all its holes are in one column
};

/// Pull: T_i = M h_i s_i / sum(h^2 s), h over the pivot, s the sideways share where the load hangs beside the holes'
/// middle (the shares of a rigid back vary evenly along it), so that the pulls balance the moment. Shear: the elastic
/// method for eccentrically loaded groups (AISC Steel Construction Manual, part 7, from memory): an even share and a
/// turning share in proportion to the distance from the centroid, over all holes, whether they pull or not.
/// @param pivot  m over the lower edge
/// Empty: nothing above the pivot holds it, or holes in one place would have to stop it turning.
std::vector<HoleForce> hole_group_forces(const std::vector<HolePlace>& holes, const GroupLoad& load, double pivot = 0,
                                         ShearBy shear = ShearBy::distance);

} // namespace yes_square
