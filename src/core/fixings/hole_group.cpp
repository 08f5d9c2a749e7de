#include "core/fixings/hole_group.hpp"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace yes_square {
namespace {

constexpr double no_lever = 1e-6; // m

} // namespace

double greatest_share(const std::vector<double>& columns, double at) {
    const auto number = static_cast<double>(columns.size());
    const double mean = std::accumulate(columns.begin(), columns.end(), 0.0) / number;
    double squares = 0;
    for (const double x : columns)
        squares += (x - mean) * (x - mean);
    double greatest = 0;
    for (const double x : columns) {
        const double share = 1 / number + (squares > 0 ? (x - mean) * (at - mean) / squares : 0.0);
        greatest = std::max(greatest, std::abs(share));
    }
    return greatest;
}

std::vector<HoleForce> hole_group_forces(const std::vector<HolePlace>& holes, const GroupLoad& load) {
    const auto number = static_cast<double>(holes.size());
    double squares_z = 0;
    HolePlace middle;
    for (const HolePlace& hole : holes) {
        squares_z += std::max(0.0, hole.z) * std::max(0.0, hole.z);
        middle.x += hole.x / number;
        middle.z += hole.z / number;
    }
    double across = 0;
    double polar = 0;
    for (const HolePlace& hole : holes) {
        across += (hole.x - middle.x) * (hole.x - middle.x);
        polar += (hole.x - middle.x) * (hole.x - middle.x) + (hole.z - middle.z) * (hole.z - middle.z);
    }
    const double beside = load.at_x - middle.x;
    if (holes.empty() || (load.moment_nm > 0 && squares_z <= 0) ||
        (polar < no_lever * no_lever && std::abs(beside) > no_lever))
        return {};
    std::vector<HoleForce> forces;
    for (const HolePlace& hole : holes) {
        // Of all holes at its height this one takes more, the nearer it is to the load.
        const double sideways = across > 0 ? 1 + number * (hole.x - middle.x) * beside / across : 1;
        HoleForce force;
        if (load.moment_nm > 0)
            force.tension_n = std::max(0.0, load.moment_nm * std::max(0.0, hole.z) / squares_z * sideways);
        const double turning = polar > 0 ? load.down_n * beside / polar : 0;
        force.shear_n = std::hypot(load.down_n / number + turning * (hole.x - middle.x), turning * (hole.z - middle.z));
        forces.push_back(force);
    }
    return forces;
}

} // namespace yes_square
