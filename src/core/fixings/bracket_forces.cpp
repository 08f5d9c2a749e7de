#include "core/fixings/bracket_forces.hpp"

#include "core/fixings/hole_group.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

constexpr Length thin_leg = 4_mm;
constexpr double least_pivot_m = 0.005;

} // namespace

BracketForces bracket_forces_from_moment(const Bracket& bracket, Force load, Moment moment, Pressure pressure) {
    BracketForces forces;
    forces.tension.assign(bracket.hole_drops.size(), Force{});
    forces.moment = moment;
    if (bracket.hole_drops.empty()) {
        forces.refused = true;
        return forces;
    }
    forces.shear = load / static_cast<double>(bracket.hole_drops.size());

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
        return moment > 0 ? moment / metres(1) * levers.sum / levers.squares : Force{};
    };
    std::optional<double> pivot;
    if (bracket.stiffened)
        pivot = pressed_pivot(least_pivot_m, bracket.width.in_metres(), pressure, pull_over);
    else
        pivot = std::max(least_pivot_m, lowest_hole);
    if (!pivot || !isfinite(pull_over(*pivot))) {
        forces.refused = true;
        return forces;
    }
    if (moment > 0) {
        const double squares = levers_over(*pivot).squares;
        for (std::size_t row = 0; row < bracket.hole_drops.size(); ++row)
            forces.tension[row] = moment / metres(1) * lever(row, *pivot) / squares;
    }
    forces.pivot = Length::nearest_to_metres(*pivot);
    return forces;
}

BracketForces bracket_forces(const Bracket& bracket, Force load, Length at, Pressure pressure) {
    return bracket_forces_from_moment(bracket, load, load * at, pressure);
}

} // namespace yes_square
