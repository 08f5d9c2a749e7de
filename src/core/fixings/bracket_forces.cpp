#include "core/fixings/bracket_forces.hpp"

#include <algorithm>
#include <numeric>

namespace yes_square {
namespace {

constexpr Length thin_leg = 4_mm;
constexpr double least_pivot_m = 0.005;

} // namespace

BracketForces bracket_forces_from_moment(const Bracket& bracket, double load_n, double moment_nm, double pressure) {
    BracketForces forces;
    forces.tension_n.assign(bracket.hole_drops.size(), 0.0);
    forces.moment_nm = moment_nm;
    if (bracket.hole_drops.empty()) {
        forces.refused = true;
        return forces;
    }
    forces.shear_n = load_n / static_cast<double>(bracket.hole_drops.size());

    const double leg = bracket.leg.in_metres();
    const double lowest_hole = leg - bracket.hole_drops.back().in_metres();
    const bool top_alone = !bracket.stiffened && bracket.thickness < thin_leg;
    double pivot = bracket.stiffened ? least_pivot_m : std::max(least_pivot_m, lowest_hole);
    // The pressed length grows with the tension, which grows as the pivot rises: a few turns settle it.
    for (int turn = 0; turn < 20; ++turn) {
        std::vector<double> lever;
        for (const Length drop : bracket.hole_drops)
            lever.push_back(std::max(0.0, leg - drop.in_metres() - pivot));
        if (top_alone)
            std::fill(lever.begin() + 1, lever.end(), 0.0);
        const double squares = std::inner_product(lever.begin(), lever.end(), lever.begin(), 0.0);
        if (squares <= 0) {
            forces.refused = true;
            break;
        }
        std::ranges::transform(lever, forces.tension_n.begin(), [&](double h) { return moment_nm * h / squares; });
        if (!bracket.stiffened)
            break;
        const double pressed = std::accumulate(forces.tension_n.begin(), forces.tension_n.end(), 0.0) /
                               (bracket.width.in_mm() * pressure) / 1000;
        const double next = std::max(least_pivot_m, pressed / 2);
        if (std::abs(next - pivot) < 1e-6)
            break;
        pivot = next;
    }
    forces.pivot = Length::nearest_to_metres(pivot);
    return forces;
}

BracketForces bracket_forces(const Bracket& bracket, double load_n, Length at, double pressure) {
    return bracket_forces_from_moment(bracket, load_n, load_n * at.in_metres(), pressure);
}

} // namespace yes_square
