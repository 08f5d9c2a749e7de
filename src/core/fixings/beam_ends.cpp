#include "core/fixings/beam_ends.hpp"

#include "core/fixings/end_grain.hpp"
#include "core/fixings/wood_screw.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

EndLoad end_of(double down, double pull, bool for_a_moment, TimberSchool school) {
    const Force here = Force::si(std::hypot(down, pull));
    return {here, for_a_moment ? here / people_share(school) : here};
}

bool passes(const HoleDemand& demand) {
    return demand.duration > duration_stored;
}

/// All cases together, one by one.
EndLoad case_by_case(std::span<const OnBeam> loads, bool left, TimberSchool school) {
    EndLoad worst;
    for (std::size_t which = 0; which < loads.front().demands.size(); ++which) {
        double down = 0;
        double pull = 0;
        bool for_a_moment = true;
        for (const OnBeam& one : loads) {
            const double part = left ? 1 - one.from_left : one.from_left;
            const HoleDemand& demand = one.demands[which];
            down += demand.down.in_si() * part;
            pull += demand.tension.in_si() * part;
            for_a_moment = for_a_moment && passes(demand);
        }
        worst = std::max(worst, end_of(down, pull, for_a_moment, school));
    }
    return worst;
}

EndLoad each_at_its_worst(std::span<const OnBeam> loads, bool left, TimberSchool school) {
    EndLoad all;
    for (const OnBeam& one : loads)
        all = all + case_by_case({&one, 1}, left, school);
    return all;
}

} // namespace

std::optional<BeamEnds> beam_ends(std::span<const OnBeam> loads, TimberSchool school) {
    if (std::ranges::any_of(loads, [](const OnBeam& one) { return one.demands.empty(); }))
        return std::nullopt;
    if (loads.empty())
        return BeamEnds{};
    const bool alike = std::ranges::all_of(
        loads, [&](const OnBeam& one) { return one.demands.size() == loads.front().demands.size(); });
    const auto end = [&](bool left) {
        return alike ? case_by_case(loads, left, school) : each_at_its_worst(loads, left, school);
    };
    return BeamEnds{end(true), end(false)};
}

} // namespace yes_square
