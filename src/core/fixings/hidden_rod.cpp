#include "core/fixings/hidden_rod.hpp"

#include <cmath>
#include <numbers>

namespace yes_square {
namespace {

constexpr double steel_pa = 210e9;

} // namespace

RodStress rod_stress(const HiddenRod& rod, double load_n, double at, double depth) {
    const double d = rod.diameter;
    const double arm = at + rod.gap;
    const double inertia = std::numbers::pi / 64 * std::pow(d, 4);
    RodStress stress;
    stress.moment_nm = load_n * arm;
    stress.bending_pa = stress.moment_nm * (d / 2) / inertia;
    stress.on_wall_pa = load_n / (d * rod.in_wall) * (4 + 6 * arm / rod.in_wall);
    stress.on_shelf_pa = load_n / (d * rod.in_shelf) * (1 + 6 * std::abs(at - rod.in_shelf / 2) / rod.in_shelf);
    const double slope = load_n * arm * arm / (2 * steel_pa * inertia);
    stress.sink_m = load_n * arm * arm * arm / (3 * steel_pa * inertia) + slope * (depth - at);
    return stress;
}

} // namespace yes_square
