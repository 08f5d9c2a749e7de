#include "core/fixings/dowel.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

/// Positive root of A P^2 + B P + C = 0.
double yield_root(double a, double b, double c) {
    return (-b + std::sqrt(b * b - 4 * a * c)) / (2 * a);
}

} // namespace

double DowelModes::least() const {
    return std::min({main_crushes, side_crushes, both_crush, bends_in_side, bends_in_main, bends_in_both});
}

DowelModes dowel_modes(const DowelMember& held, const DowelMember& passed, double gap, double moment) {
    const double qm = held.bearing;
    const double qs = passed.bearing;
    const double main_bears = qm * held.length * held.length / 4;
    const double side_bears = qs * passed.length * passed.length / 4;
    const double hinge = passed.length / 2 + gap;
    return {qm * held.length,
            qs * passed.length,
            yield_root(1 / (4 * qs) + 1 / (4 * qm), hinge + held.length / 2, -side_bears - main_bears),
            yield_root(1 / (2 * qs) + 1 / (4 * qm), gap + held.length / 2, -moment - main_bears),
            yield_root(1 / (4 * qs) + 1 / (2 * qm), hinge, -side_bears - moment),
            yield_root(1 / (2 * qs) + 1 / (2 * qm), gap, -2 * moment)};
}

} // namespace yes_square
