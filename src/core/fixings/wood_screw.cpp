#include "core/fixings/wood_screw.hpp"

#include "core/fixings/dowel.hpp"

#include <algorithm>
#include <cmath>
#include <limits>
#include <numbers>

namespace yes_square {
namespace {

constexpr double quarter_inch = 0.25;
constexpr double end_grain_withdrawal = 0.75;
constexpr double end_grain_lateral = 0.67;

/// Reduction terms Rd (NDS table 12.3.1B): KD for a root under 1/4 in, else 4, 3.6 and 3.2 for modes I, II, III and
/// IV; from 1/4 in nominal up times 1 + theta/360, theta the load's angle to the grain of the main member.
struct Reduction {
    double one;
    double two;
    double rest;
};
Reduction reduction(const ScrewProperties& screw, Wood wood) {
    const double angle = screw.diameter_in >= quarter_inch && wood.across ? 1.25 : 1.0;
    if (screw.root_in >= quarter_inch)
        return {4 * angle, 3.6 * angle, 3.2 * angle};
    const double kd = (screw.root_in <= 0.17 ? 2.2 : 10 * screw.root_in + 0.5) * angle;
    return {kd, kd, kd};
}

} // namespace

double thread_of_in(const ScrewProperties& screw, double length_in) {
    return screw.thread_in > 0 ? std::min(screw.thread_in, length_in) : threaded_share * length_in;
}

double thread_in_wood_in(const ScrewProperties& screw, double length_in, double penetration_in) {
    return std::max(0.0, std::min(penetration_in, thread_of_in(screw, length_in)) - screw.tip_in);
}

double withdrawal_lb_per_in(const ScrewProperties& screw, Wood wood) {
    if (!screw.coach)
        return wood.end_grain ? 0 : 2850 * wood.gravity * wood.gravity * screw.diameter_in;
    const double side_grain = 1800 * std::pow(wood.gravity, 1.5) * std::pow(screw.diameter_in, 0.75);
    return wood.end_grain ? end_grain_withdrawal * side_grain : side_grain;
}

Force withdrawal_strength(const ScrewProperties& screw, Wood wood, double length_in, double penetration_in) {
    return Force::pounds(withdrawal_lb_per_in(screw, wood) * thread_in_wood_in(screw, length_in, penetration_in));
}

Force head_pull_through(double gravity, double head_in, double thickness_in) {
    return Force::pounds(690 * std::numbers::pi * head_in * gravity * gravity * std::min(thickness_in, 2.5 * head_in));
}

Pressure wood_bearing(double gravity) {
    return Pressure::psi(std::round(16'600 * std::pow(gravity, 1.84) / 50) * 50);
}

Pressure wood_bearing(const ScrewProperties& screw, Wood wood) {
    if (screw.diameter_in < quarter_inch)
        return wood_bearing(wood.gravity);
    return Pressure::psi(wood.across ? 6100 * std::pow(wood.gravity, 1.45) / std::sqrt(screw.diameter_in)
                                     : 11'200 * wood.gravity);
}

double main_bearing_length_in(const ScrewProperties& screw, double penetration_in) {
    if (screw.coach) {
        const double bearing = penetration_in - screw.tip_in;
        return bearing < 4 * screw.diameter_in ? 0 : bearing;
    }
    return penetration_in < 6 * screw.diameter_in ? 0 : penetration_in - screw.diameter_in;
}

Force lateral_strength(const ScrewProperties& screw, Wood wood, SideMember side, double penetration_in) {
    const double lm = main_bearing_length_in(screw, penetration_in);
    if (lm <= 0)
        return 0;
    const double d = screw.root_in;
    const double moment = screw.bending_yield.in_psi() * d * d * d / 6;                // lb in
    const DowelModes modes = dowel_modes({wood_bearing(screw, wood).in_psi() * d, lm}, // lb/in
                                         {side.bearing.in_psi() * d, side.thickness_in}, side.gap_in, moment);
    const Reduction by = reduction(screw, wood);
    const double least =
        std::min({modes.main_crushes / by.one, modes.side_crushes / by.one, modes.both_crush / by.two,
                  modes.bends_in_side / by.rest, modes.bends_in_main / by.rest, modes.bends_in_both / by.rest});
    const double depth = screw.coach ? std::min(1.0, lm / (8 * screw.diameter_in)) : 1.0;
    return Force::pounds(least * depth * (wood.end_grain ? end_grain_lateral : 1.0));
}

Force steel_tension(const ScrewProperties& screw) {
    return Force::pounds(24'000 * std::numbers::pi / 4 * screw.root_in * screw.root_in);
}

Force bearing_strength(double diameter_in, SideMember side) {
    const double reduction = diameter_in >= quarter_inch ? 4 : (diameter_in <= 0.17 ? 2.2 : 10 * diameter_in + 0.5);
    return Force::pounds(side.bearing.in_psi() * diameter_in * side.thickness_in / reduction);
}

Force bent_shear_strength(double root_in, double lever_in) {
    constexpr Pressure yield = Pressure::psi(70'000);                       // the least of the list of wood screws
    const double moment = yield.in_psi() * root_in * root_in * root_in / 6; // lb in
    const double reduction = root_in <= 0.17 ? 2.2 : 10 * root_in + 0.5;
    return lever_in > 0 ? Force::pounds(moment / reduction / lever_in)
                        : Force::newtons(std::numeric_limits<double>::max());
}

Utilisation combined_utilisation(Force tension, Force shear, Force withdrawal, Force lateral) {
    const Utilisation pulled = Utilisation::of(tension, withdrawal);
    const Utilisation sheared = Utilisation::of(shear, lateral);
    const Utilisation worse = std::max(pulled, sheared);
    if (worse.is_refused() || tension == 0 || shear == 0)
        return worse;
    const Force load = hypot(tension, shear);
    const double sine = tension / load;
    const double cosine = shear / load;
    return std::max(
        worse, Utilisation::of(load * (withdrawal * cosine * cosine + lateral * sine * sine), withdrawal * lateral));
}

} // namespace yes_square
