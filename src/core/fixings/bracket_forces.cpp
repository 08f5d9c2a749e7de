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
        const auto lever = [&](std::size_t row) {
            return top_alone && row > 0 ? 0.0 : std::max(0.0, leg - bracket.hole_drops[row].in_metres() - pivot);
        };
        double squares = 0;
        for (std::size_t row = 0; row < bracket.hole_drops.size(); ++row)
            squares += lever(row) * lever(row);
        if (squares <= 0) {
            forces.refused = true;
            break;
        }
        for (std::size_t row = 0; row < bracket.hole_drops.size(); ++row)
            forces.tension_n[row] = moment_nm * lever(row) / squares;
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
