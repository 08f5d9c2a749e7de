#include "core/fixings/hole_group.hpp"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace yes_square {
namespace {

constexpr int most_turns = 200;

/// The square of a spread, and nothing where it is only rounding noise.
double spread(double squares) {
    return squares > same_place * same_place ? squares : 0;
}

} // namespace

double greatest_share(const std::vector<double>& columns, double at) {
    const auto number = static_cast<double>(columns.size());
    const double mean = std::accumulate(columns.begin(), columns.end(), 0.0) / number;
    double squares = 0;
    for (const double x : columns)
        squares += (x - mean) * (x - mean);
    squares = spread(squares);
    double greatest = 0;
    for (const double x : columns) {
        const double share = 1 / number + (squares > 0 ? (x - mean) * (at - mean) / squares : 0.0);
        greatest = std::max(greatest, std::abs(share));
    }
    return greatest;
}

std::optional<double> pressed_pivot(double least, double breadth, Pressure pressure,
                                    const std::function<Force(double)>& pull_over) {
    double pivot = least;
    for (int turn = 0; turn < most_turns; ++turn) {
        const double next = std::max(least, pull_over(pivot) / metres(breadth) / pressure / metres(2));
        if (!std::isfinite(next))
            return std::nullopt;
        if (std::abs(next - pivot) < same_place)
            return next;
        pivot = next;
    }
    return std::nullopt;
}

std::vector<HoleForce> hole_group_forces(const std::vector<HolePlace>& holes, const GroupLoad& load, double pivot,
                                         ShearBy shear) {
    const auto number = static_cast<double>(holes.size());
    const auto lever = [pivot](const HolePlace& hole) { return hole.pulls ? std::max(0.0, hole.z - pivot) : 0.0; };
    double middle_x = 0;
    double middle_z = 0;
    for (const HolePlace& hole : holes) {
        middle_x += hole.x / number;
        middle_z += hole.z / number;
    }
    double across = 0;
    double polar = 0;
    for (const HolePlace& hole : holes) {
        across += (hole.x - middle_x) * (hole.x - middle_x);
        polar += (hole.x - middle_x) * (hole.x - middle_x) + (hole.z - middle_z) * (hole.z - middle_z);
    }
    across = spread(across);
    polar = spread(polar);
    const double beside = load.at_x - middle_x;
    if (holes.empty() || (polar <= 0 && std::abs(beside) > same_place))
        return {};
    // Of all holes at its height one takes more, the nearer it is to the load; together they balance the moment.
    const auto sideways = [&](const HolePlace& hole) {
        return across > 0 ? std::max(0.0, 1 + number * (hole.x - middle_x) * beside / across) : 1.0;
    };
    double held = 0;
    for (const HolePlace& hole : holes)
        held += lever(hole) * lever(hole) * sideways(hole);
    if (load.moment > 0 && spread(held) <= 0)
        return {};
    std::vector<HoleForce> forces;
    for (const HolePlace& hole : holes) {
        HoleForce force;
        if (load.moment > 0)
            force.tension = load.moment / metres(1) * lever(hole) * sideways(hole) / held;
        const bool levers = shear == ShearBy::levers && across > 0;
        const double squares = levers ? across : polar;
        const Force turning = squares > 0 ? load.down * beside / squares : Force{}; // a metre off
        force.down = load.down / number + turning * (hole.x - middle_x);
        force.across = levers ? Force{} : turning * (hole.z - middle_z);
        forces.push_back(force);
    }
    return forces;
}

} // namespace yes_square
