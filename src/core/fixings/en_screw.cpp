#include "core/fixings/en_screw.hpp"

#include "core/fixings/dowel.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

constexpr double cautious_axial = 9;  ///< N/mm2, f_ax and f_head where the packet says nothing
constexpr double axial_density = 350; ///< kg/m3, the timber they are declared for
constexpr double steel_bearing = 600; ///< N/mm2
constexpr double steel_tears = 400;   ///< N/mm2, f_u
constexpr double least_thread = 6;    ///< diameters
constexpr Length stout = 6_mm;        ///< screws from this on are reckoned as such

double kg_per_m3(Density density) {
    return density / 1_kg_m3;
}

/// N/mm2.
double declared_or_cautious(Pressure declared) {
    return declared > 0 ? declared.in_megapascals() : cautious_axial;
}

double diameter_mm(const ScrewProperties& screw) {
    return Length::nearest_to_inches(screw.diameter_in).in_mm();
}

double root_mm(const ScrewProperties& screw) {
    return Length::nearest_to_inches(screw.root_in).in_mm();
}

/// N/mm2, around a fastener of an effective diameter in mm.
double embedment(Density wood, double d, bool across) {
    if (d <= stout.in_mm())
        return 0.082 * kg_per_m3(wood) * std::pow(d, -0.3);
    return 0.082 * (1 - 0.01 * d) * kg_per_m3(wood) / (across ? 1.35 + 0.015 * d : 1);
}

} // namespace

Force en_withdrawal(const ScrewProperties& screw, Density wood, Length thread) {
    const double d = diameter_mm(screw);
    const double l = thread.in_mm();
    if (l < least_thread * d)
        return 0;
    const double slim = root_mm(screw) / d;
    if (!(screw.withdrawal > 0) && d >= stout.in_mm() && d <= 12 && slim >= 0.6 && slim <= 0.75)
        return Force::newtons(0.52 * std::pow(d, -0.5) * std::pow(l, -0.1) * std::pow(kg_per_m3(wood), 0.8) * d * l *
                              std::min(d / 8, 1.0));
    return Force::newtons(declared_or_cautious(screw.withdrawal) * d * l *
                          std::pow(kg_per_m3(wood) / axial_density, 0.8));
}

Force en_pull_through(Density side, Length head, Pressure declared) {
    return Force::newtons(declared_or_cautious(declared) * head.in_mm() * head.in_mm() *
                          std::pow(kg_per_m3(side) / axial_density, 0.8));
}

Force en_tension(const ScrewProperties& screw) {
    return screw.tensile / (1.25 * 1.5);
}

Force en_lateral(const ScrewProperties& screw, Density wood, bool across, const EnSide& side, Length penetration) {
    if (penetration.in_mm() < least_thread * diameter_mm(screw))
        return 0;
    const double d = 1.1 * root_mm(screw);
    const double held = embedment(wood, d, across);
    const double passed = side.wood ? embedment(*side.wood, d, false) : steel_bearing;
    const double moment = 0.3 * steel_tears * std::pow(d, 2.6); // N mm
    return Force::newtons(
        dowel_modes({held * d, penetration.in_mm()}, {passed * d, side.thickness.in_mm()}, side.gap.in_mm(), moment)
            .least());
}

double en_together(std::size_t number) {
    return std::pow(static_cast<double>(std::max<std::size_t>(number, 1)), -0.1);
}

Utilisation en_combined(Force tension, Force shear, Force withdrawal, Force lateral) {
    const Utilisation pulled = Utilisation::of(tension, withdrawal);
    const Utilisation sheared = Utilisation::of(shear, lateral);
    const Utilisation worse = std::max(pulled, sheared);
    if (worse.is_refused() || tension == 0 || shear == 0)
        return worse;
    return Utilisation{std::hypot(pulled.number(), sheared.number())};
}

} // namespace yes_square
