#include "core/fixings/bracket_forces.hpp"

#include "core/fixings/hole_group.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

constexpr Length thin_leg = 4_mm;
constexpr double least_pivot_m = 0.005;
constexpr double pa_per_n_mm2 = 1e6;

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
    const auto lever = [&](std::size_t row, double pivot) {
        return top_alone && row > 0 ? 0.0 : std::max(0.0, leg - bracket.hole_drops[row].in_metres() - pivot);
    };
    struct Levers {
        double sum = 0;
        double squares = 0;
    };
    const auto levers_over = [&](double pivot) {
        Levers levers;
        for (std::size_t row = 0; row < bracket.hole_drops.size(); ++row) {
            levers.sum += lever(row, pivot);
            levers.squares += lever(row, pivot) * lever(row, pivot);
        }
        return levers;
    };
    const auto pull_over = [&](double pivot) {
        const Levers levers = levers_over(pivot);
        return moment_nm > 0 ? moment_nm * levers.sum / levers.squares : 0.0;
    };
    std::optional<double> pivot;
    if (bracket.stiffened)
        pivot = pressed_pivot(least_pivot_m, bracket.width.in_metres(), pressure * pa_per_n_mm2, pull_over);
    else
        pivot = std::max(least_pivot_m, lowest_hole);
    if (!pivot || !std::isfinite(pull_over(*pivot))) {
        forces.refused = true;
        return forces;
    }
    if (moment_nm > 0) {
        const double squares = levers_over(*pivot).squares;
        for (std::size_t row = 0; row < bracket.hole_drops.size(); ++row)
            forces.tension_n[row] = moment_nm * lever(row, *pivot) / squares;
    }
    forces.pivot = Length::nearest_to_metres(*pivot);
    return forces;
}

BracketForces bracket_forces(const Bracket& bracket, double load_n, Length at, double pressure) {
    return bracket_forces_from_moment(bracket, load_n, load_n * at.in_metres(), pressure);
}

} // namespace yes_square
