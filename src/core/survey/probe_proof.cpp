#include "core/survey/probe_proof.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

constexpr Length one_place = 1_mm;

/// A doubled stud is two widths, and its tolerance a third more: 76 +- 4 mm.
bool is_doubled(Length width, Length stud_width, Length tolerance) {
    return absolute(width - stud_width * 2) <= tolerance * 4 / 3;
}

/// Standard deviation of an edge anywhere within its gap.
double edge_deviation(Length gap) {
    return gap.in_metres() / std::sqrt(12.0);
}

} // namespace

std::vector<ProbedPlace> probed_places(const std::vector<Observation>& observations, const StudRules& rules) {
    std::vector<std::pair<Length, bool>> readings;
    for (const Observation& seen : observations) {
        const Length half = seen.error.value_or(rules.edge_gap) / 2;
        switch (seen.kind) {
        case EvidenceKind::probe_hit:
            readings.emplace_back(seen.x, true);
            break;
        case EvidenceKind::probe_miss:
            readings.emplace_back(seen.x, false);
            break;
        case EvidenceKind::left_edge:
            readings.emplace_back(seen.x - half, false);
            readings.emplace_back(seen.x + half, true);
            break;
        case EvidenceKind::right_edge:
            readings.emplace_back(seen.x - half, true);
            readings.emplace_back(seen.x + half, false);
            break;
        default:
            break;
        }
    }
    std::ranges::sort(readings);
    std::vector<ProbedPlace> places;
    for (const auto& [x, wood] : readings) {
        if (places.empty() || x - places.back().x >= one_place)
            places.push_back({x});
        ++(wood ? places.back().hits : places.back().misses);
    }
    return places;
}

std::vector<ProvedWood> proved_wood(const std::vector<ProbedPlace>& places, Length stud_width, const StudRules& rules) {
    std::vector<ProvedWood> proved;
    for (std::size_t first = 0; first < places.size(); ++first) {
        if (!places[first].settled() || !places[first].wood())
            continue;
        std::size_t last = first;
        while (last + 1 < places.size() && places[last + 1].settled() && places[last + 1].wood())
            ++last;
        const auto closes = [&](std::size_t miss, std::size_t hit) {
            return miss < places.size() && places[miss].settled() &&
                   absolute(places[hit].x - places[miss].x) <= rules.edge_gap;
        };
        if (closes(first - 1, first) && closes(last + 1, last)) {
            const Length left_gap = places[first].x - places[first - 1].x;
            const Length right_gap = places[last + 1].x - places[last].x;
            ProvedWood wood{places[first].x - left_gap / 2, places[last].x + right_gap / 2};
            wood.uncertainty =
                Length::nearest_to_metres(std::hypot(edge_deviation(left_gap), edge_deviation(right_gap)) / 2);
            if (is_doubled(wood.width(), stud_width, rules.width_tolerance))
                wood.verdict = ProvedWood::Verdict::doubled_stud;
            else if (absolute(wood.width() - stud_width) > rules.width_tolerance)
                wood.verdict = ProvedWood::Verdict::not_a_plain_stud;
            proved.push_back(wood);
        }
        first = last;
    }
    return proved;
}

} // namespace yes_square
