#include "core/fixings/bracket_forces.hpp"

#include "core/fixings/hole_group.hpp"

#include <algorithm>
#include <cmath>
#include <numeric>

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
    const auto pulls_over = [&](double pivot) {
        const auto lever = [&](std::size_t row) {
            return top_alone && row > 0 ? 0.0 : std::max(0.0, leg - bracket.hole_drops[row].in_metres() - pivot);
        };
        double squares = 0;
        for (std::size_t row = 0; row < bracket.hole_drops.size(); ++row)
            squares += lever(row) * lever(row);
        std::vector<double> pulls;
        for (std::size_t row = 0; row < bracket.hole_drops.size(); ++row)
            pulls.push_back(moment_nm > 0 ? moment_nm * lever(row) / squares : 0.0);
        return pulls;
    };
    const auto pull_over = [&](double pivot) {
        const std::vector<double> pulls = pulls_over(pivot);
        return std::accumulate(pulls.begin(), pulls.end(), 0.0);
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
    forces.tension_n = pulls_over(*pivot);
    forces.pivot = Length::nearest_to_metres(*pivot);
    return forces;
}

BracketForces bracket_forces(const Bracket& bracket, double load_n, Length at, double pressure) {
    return bracket_forces_from_moment(bracket, load_n, load_n * at.in_metres(), pressure);
}

} // namespace yes_square
