#include "core/fixings/bracket_forces.hpp"

#include "core/fixings/hole_group.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

constexpr Length thin_leg = 4_mm;
constexpr double least_pivot_m = 0.005;
constexpr double even = 1e-6; ///< m, of places that are the same

} // namespace

namespace {

/// What a load down the leg's middle puts on holes whose own middle lies beside it.
void share_shear(const Bracket& bracket, Force load, BracketForces& forces) {
    const std::size_t holes = bracket.hole_drops.size();
    forces.down.assign(holes, forces.shear);
    forces.across.assign(holes, Force{});
    double x = 0;
    double z = 0;
    for (std::size_t i = 0; i < holes; ++i) {
        x += bracket.across(i).in_metres() / static_cast<double>(holes);
        z += bracket.hole_drops[i].in_metres() / static_cast<double>(holes);
    }
    double spread = 0;
    for (std::size_t i = 0; i < holes; ++i)
        spread += std::pow(bracket.across(i).in_metres() - x, 2) + std::pow(bracket.hole_drops[i].in_metres() - z, 2);
    if (std::abs(x) < even)
        return;
    if (spread < even * even) { // one hole beside the load: it swings round it
        forces.refused = true;
        return;
    }
    for (std::size_t i = 0; i < holes; ++i) {
        const double beside = bracket.across(i).in_metres() - x;
        const double below = bracket.hole_drops[i].in_metres() - z;
        forces.down[i] += load * (-x * beside / spread);
        forces.across[i] = load * (x * below / spread);
    }
}

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
    share_shear(bracket, load, forces);
    if (forces.refused)
        return forces;

    const double leg = bracket.leg.in_metres();
    const double lowest_hole = leg - bracket.hole_drops.back().in_metres();
    const bool top_alone = !bracket.stiffened && bracket.thickness < thin_leg;
    const auto lever = [&](std::size_t row, double pivot) {
        return top_alone && bracket.hole_drops[row] > bracket.hole_drops.front()
                   ? 0.0
                   : std::max(0.0, leg - bracket.hole_drops[row].in_metres() - pivot);
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
