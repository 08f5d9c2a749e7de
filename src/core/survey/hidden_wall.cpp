#include "core/survey/hidden_wall.hpp"

#include <algorithm>
#include <array>
#include <cmath>

namespace yes_square {
namespace {

constexpr std::size_t most_holes = 600;

Length from_mm(double mm) {
    return Length::micrometres(std::llround(mm * 1000));
}

/// A reader that adds each reading to what is known.
class Prober {
public:
    Prober(const HiddenWall& hidden, double wrong, std::mt19937_64& random)
        : hidden_{hidden}
        , wrong_{wrong}
        , random_{random} {}
    bool read(Length x, ProbeSession& session) const {
        const bool hit = probe(hidden_, x, wrong_, random_);
        ++session.holes;
        session.readings.push_back({hit ? EvidenceKind::probe_hit : EvidenceKind::probe_miss, x});
        return hit;
    }

private:
    const HiddenWall& hidden_;
    double wrong_;
    std::mt19937_64& random_;
};

} // namespace

bool HiddenWall::wood_at(Length x) const {
    return std::ranges::any_of(studs,
                               [&](const HiddenStud& stud) { return absolute(x - stud.centre) * 2 <= stud.width; });
}

const HiddenStud* HiddenWall::stud_near(Length x, Length reach) const {
    const HiddenStud* best = nullptr;
    for (const HiddenStud& stud : studs)
        if (absolute(stud.centre - x) <= reach && (!best || absolute(stud.centre - x) < absolute(best->centre - x)))
            best = &stud;
    return best;
}

HiddenWall make_hidden_wall(std::mt19937_64& random, const HiddenWallMix& mix) {
    const auto uniform = [&](double from, double to) { return std::uniform_real_distribution{from, to}(random); };
    const auto chance = [&](double share) { return uniform(0, 1) < share; };
    const auto normal = [&](double sigma) { return std::normal_distribution{0.0, sigma}(random); };

    HiddenWall hidden;
    Wall& wall = hidden.wall;
    wall.length = mix.length;
    wall.height = 2400_mm;
    wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500), {}}};
    const double length = wall.length.in_mm();
    constexpr std::array spacings{406.4, 406.4, 406.4, 609.6, 400.0, 400.0, 600.0, 450.0, 487.68};
    const double spacing = spacings[std::uniform_int_distribution<std::size_t>{0, spacings.size() - 1}(random)];
    hidden.spacing = from_mm(spacing);
    const bool irregular = chance(mix.irregular);

    // Set out from an end by one of the usual corners, or from anywhere.
    double first = uniform(0, spacing);
    if (chance(0.7)) {
        const double lining = 12.5 + normal(3);
        first = chance(0.5) ? spacing - lining : spacing - 89 - lining;
        if (chance(0.4))
            first = std::fmod(length - first, spacing);
    }
    std::vector<double> centres;
    for (double at = first; at < length; at += spacing)
        if (at > 0 && !chance(irregular ? 0.12 : 0.02))
            centres.push_back(at + normal(irregular && chance(0.3) ? 12 : 4));
    const int extras = irregular ? std::uniform_int_distribution{0, 2}(random) : (chance(0.15) ? 1 : 0);
    for (int i = 0; i < extras; ++i)
        centres.push_back(uniform(60, length - 60));
    if (chance(0.6))
        centres.push_back(uniform(0, 25));
    if (chance(0.6))
        centres.push_back(length - uniform(0, 25));
    if (chance(mix.opening) && length > 2000) { // in the interior the studs stay: cripples stand at the set-out places
        const double width = uniform(700, 1200);
        const double left = uniform(300, length - width - 300);
        wall.openings.push_back({chance(0.5) ? OpeningKind::door : OpeningKind::window,
                                 from_mm(left),
                                 {},
                                 from_mm(width),
                                 2050_mm,
                                 {},
                                 {}});
        // A jack under the lintel on either side, mostly with a king beside it.
        for (const double side : {-1.0, 1.0}) {
            const double edge = (side < 0 ? left : left + width) - side * uniform(20, 55);
            std::erase_if(centres, [&](double c) { return std::abs(c - edge) < 80; });
            centres.push_back(edge + side * 19);
            if (chance(0.8))
                centres.push_back(edge + side * 57);
        }
    }
    std::ranges::sort(centres);
    for (const double centre : centres)
        if (centre > 0 && centre < length &&
            (hidden.studs.empty() || centre - hidden.studs.back().centre.in_mm() >= 37.5))
            hidden.studs.push_back({from_mm(centre), from_mm(38 + std::clamp(normal(0.6), -1.5, 1.5))});
    return hidden;
}

bool probe(const HiddenWall& hidden, Length x, double wrong, std::mt19937_64& random) {
    const bool misread = std::uniform_real_distribution{0.0, 1.0}(random) < wrong;
    return hidden.wood_at(x) != misread;
}

ProbeSession probe_by_advice(const HiddenWall& hidden, Stretch stretch, double wrong, std::mt19937_64& random,
                             std::vector<Observation> known) {
    const Framing framing;
    const StudRules rules;
    const Prober prober{hidden, wrong, random};
    ProbeSession session;
    Wall wall = hidden.wall;
    wall.observations = std::move(known);
    for (;;) {
        StudFindings findings = find_studs(wall, framing, rules);
        const auto advice = session.holes < most_holes ? next_probe(findings, framing, rules, {stretch}) : std::nullopt;
        if (!advice) {
            for (const FoundStud& found : findings.studs)
                if (found.stud.state == StudState::proved)
                    session.proved.push_back(found.stud);
            session.found = std::move(findings.studs);
            return session;
        }
        prober.read(advice->x, session);
        wall.observations.push_back(session.readings.back());
    }
}

ProbeSession probe_by_stepping(const HiddenWall& hidden, Stretch stretch, Length step, double wrong,
                               std::mt19937_64& random) {
    const StudRules rules;
    const Prober prober{hidden, wrong, random};
    ProbeSession session;
    std::vector<std::pair<Length, bool>> readings;
    for (Length x = stretch.left; x <= stretch.right; x += step)
        readings.emplace_back(x, prober.read(x, session));
    for (std::size_t i = 1; i < readings.size(); ++i) {
        if (readings[i].second == readings[i - 1].second)
            continue;
        Length miss = readings[i].second ? readings[i - 1].first : readings[i].first;
        Length hit = readings[i].second ? readings[i].first : readings[i - 1].first;
        while (absolute(hit - miss) > rules.edge_gap) {
            const Length middle = (hit + miss) / 2;
            (prober.read(middle, session) ? hit : miss) = middle;
        }
    }
    for (const ProvedWood& wood : proved_wood(probed_places(session.readings, rules), 38_mm, rules))
        if (wood.verdict == ProvedWood::Verdict::stud)
            session.proved.push_back({wood.centre(), StudState::proved, wood.uncertainty, {}});
        else if (wood.verdict == ProvedWood::Verdict::doubled_stud)
            for (const Length centre : {wood.left + 19_mm, wood.right - 19_mm})
                session.proved.push_back({centre, StudState::proved, wood.uncertainty, {}});
    return session;
}

std::vector<Observation> visible_traces(const HiddenWall& hidden, std::mt19937_64& random) {
    struct Trace {
        EvidenceKind kind;
        double seen; ///< share of studs that show it
        double true_share;
        double sigma; ///< mm
    };
    constexpr std::array traces{Trace{EvidenceKind::detector, 0.5, 0.9, 6},
                                Trace{EvidenceKind::nail_pop, 0.15, 0.85, 8},
                                Trace{EvidenceKind::screw_line, 0.2, 0.95, 8}};
    const double length = hidden.wall.length.in_mm();
    std::uniform_real_distribution<double> chance{0, 1};
    std::vector<Observation> seen;
    for (const HiddenStud& stud : hidden.studs)
        for (const Trace& trace : traces) {
            if (chance(random) >= trace.seen)
                continue;
            const double at = chance(random) < trace.true_share
                                  ? stud.centre.in_mm() + std::normal_distribution{0.0, trace.sigma}(random)
                                  : chance(random) * length;
            seen.push_back({trace.kind, from_mm(std::clamp(at, 0.0, length))});
        }
    return seen;
}

Stretch where_work_goes(const HiddenWall& hidden) {
    constexpr Length longest = 1800_mm;
    const std::vector<Stretch> clear = clear_of_openings(hidden.wall);
    const Stretch best = *std::ranges::max_element(clear, {}, [](const Stretch& s) { return s.right - s.left; });
    const Length over = best.right - best.left - longest;
    return over > Length{} ? Stretch{best.left + over / 2, best.right - over / 2} : best;
}

PracticeResult judge_practice(const HiddenWall& hidden, Stretch stretch, const std::vector<Observation>& readings,
                              std::mt19937_64& random) {
    constexpr Length near = 10_mm;
    PracticeResult result;
    Wall wall = hidden.wall;
    wall.observations = readings;
    const StudRules rules;
    const auto is_probe = [](const Observation& seen) {
        return seen.kind == EvidenceKind::probe_hit || seen.kind == EvidenceKind::probe_miss;
    };
    result.holes = static_cast<std::size_t>(std::ranges::count_if(readings, is_probe));
    const auto inside = [&](Length x) { return x >= stretch.left && x <= stretch.right; };
    std::vector<Length> proved;
    for (const FoundStud& found : find_studs(wall, Framing{}, rules).studs)
        if (found.stud.state == StudState::proved && inside(found.stud.centre)) {
            proved.push_back(found.stud.centre);
            result.wrong += hidden.stud_near(found.stud.centre, near) ? 0 : 1;
        }
    for (const HiddenStud& stud : hidden.studs)
        if (inside(stud.centre)) {
            ++result.studs;
            result.proved += std::ranges::any_of(proved, [&](Length c) { return absolute(c - stud.centre) <= near; });
        }
    std::vector<Observation> known = readings;
    std::erase_if(known, is_probe);
    result.advice_holes = probe_by_advice(hidden, stretch, rules.probe_false, random, std::move(known)).holes;
    return result;
}

} // namespace yes_square
