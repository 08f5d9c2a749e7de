#include "core/fixings/hidden_rod.hpp"

#include "core/statics/beam.hpp"

#include <cmath>
#include <numbers>

namespace yes_square {
namespace {

constexpr Pressure steel = Pressure::gigapascals(210);

} // namespace

RodStress rod_stress(const HiddenRod& rod, Force load, double at, double depth) {
    const double d = rod.diameter;
    const double arm = at + rod.gap;
    RodStress stress;
    stress.moment = load * metres(arm);
    stress.bending = stress.moment / SectionModulus::si(std::numbers::pi / 32 * std::pow(d, 3));
    stress.on_wall = load / metres(d) / metres(rod.in_wall) * (4 + 6 * arm / rod.in_wall);
    stress.on_shelf =
        load / metres(d) / metres(rod.in_shelf) * (1 + 6 * std::abs(at - rod.in_shelf / 2) / rod.in_shelf);
    const double bend = load * metres(arm) * metres(arm) / round_stiffness(steel, d);
    stress.sink_m = bend * arm / 3 + bend / 2 * (depth - at);
    return stress;
}

} // namespace yes_square
