#include "core/fixings/wood_screw.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <limits>
#include <numbers>

namespace yes_square {
namespace {

/// Positive root of A P^2 + B P + C = 0, for the yield modes.
double yield_root(double a, double b, double c) {
    return (-b + std::sqrt(b * b - 4 * a * c)) / (2 * a);
}

/// Reduction term for dowels under 1/4 in root: KD (NDS table 12.3.1B). Load parallel to the grain.
double reduction(double root_in) {
    return root_in <= 0.17 ? 2.2 : 10 * root_in + 0.5;
}

} // namespace

double thread_in_wood_in(const ScrewProperties& screw, double length_in, double penetration_in) {
    const double thread = 2.0 / 3.0 * length_in;
    return std::max(0.0, std::min(penetration_in, thread) - 2 * screw.diameter_in);
}

double withdrawal_lb_per_in(double gravity, double diameter_in) {
    return 2850 * gravity * gravity * diameter_in;
}

double withdrawal_n(const ScrewProperties& screw, double gravity, double length_in, double penetration_in) {
    return withdrawal_lb_per_in(gravity, screw.diameter_in) * thread_in_wood_in(screw, length_in, penetration_in) *
           newtons_per_pound;
}

double head_pull_through_n(double gravity, double head_in, double thickness_in) {
    return 690 * std::numbers::pi * head_in * gravity * gravity * std::min(thickness_in, 2.5 * head_in) *
           newtons_per_pound;
}

double wood_bearing_psi(double gravity) {
    return std::round(16'600 * std::pow(gravity, 1.84) / 50) * 50;
}

double main_bearing_length_in(const ScrewProperties& screw, double penetration_in) {
    return penetration_in < 6 * screw.diameter_in ? 0 : penetration_in - screw.diameter_in;
}

double lateral_n(const ScrewProperties& screw, double gravity, SideMember side, double main_bearing_length_in) {
    if (main_bearing_length_in <= 0)
        return 0;
    const double d = screw.root_in;
    const double g = side.gap_in;
    const double lm = main_bearing_length_in;
    const double ls = side.thickness_in;
    const double qm = wood_bearing_psi(gravity) * d;
    const double qs = side.bearing_psi * d;
    const double moment = screw.bending_yield_psi * d * d * d / 6;
    const std::array modes{
        qm * lm,
        qs * ls,
        yield_root(1 / (4 * qs) + 1 / (4 * qm), ls / 2 + g + lm / 2, -qs * ls * ls / 4 - qm * lm * lm / 4),
        yield_root(1 / (2 * qs) + 1 / (4 * qm), g + lm / 2, -moment - qm * lm * lm / 4),
        yield_root(1 / (4 * qs) + 1 / (2 * qm), ls / 2 + g, -qs * ls * ls / 4 - moment),
        yield_root(1 / (2 * qs) + 1 / (2 * qm), g, -2 * moment),
    };
    return std::ranges::min(modes) / reduction(d) * newtons_per_pound;
}

double steel_tension_n(const ScrewProperties& screw) {
    return 24'000 * std::numbers::pi / 4 * screw.root_in * screw.root_in * newtons_per_pound;
}

double combined_utilisation(double tension_n, double shear_n, double withdrawal_n, double lateral_n) {
    const double load = std::hypot(tension_n, shear_n);
    if (load <= 0)
        return 0;
    if ((tension_n > 0 && withdrawal_n <= 0) || (shear_n > 0 && lateral_n <= 0))
        return std::numeric_limits<double>::infinity();
    const double sine = tension_n / load;
    const double cosine = shear_n / load;
    return load * (withdrawal_n * cosine * cosine + lateral_n * sine * sine) / (withdrawal_n * lateral_n);
}

} // namespace yes_square
