// How good the advice on probing is and how long it takes: build/release/bench/yes-square-survey-bench. The first run
// of each benchmark simulates hidden walls; its counters are the result. Aims and figures are in docs/studs.md.
#include "core/survey/hidden_wall.hpp"

#include <algorithm>
#include <array>
#include <benchmark/benchmark.h>
#include <cmath>

using namespace yes_square;

namespace {

constexpr std::size_t walls = 2400;
constexpr double wrong = 0.01;
constexpr Length really_there = 10_mm; ///< a stud called there is there when its centre is within this

/// Verdicts counted: how many, and how many of them true.
struct Verdicts {
    std::size_t called = 0;
    std::size_t there = 0;
    void add(bool is_there) {
        ++called;
        there += is_there ? 1 : 0;
    }
    double share() const { return called ? static_cast<double>(there) / static_cast<double>(called) : 1; }
};

bool inside(Length x, const Stretch& stretch) {
    return x >= stretch.left && x <= stretch.right;
}

/// Studs under the stretch that were not proved.
std::size_t missed(const HiddenWall& hidden, const std::vector<Stud>& proved, const Stretch& stretch) {
    std::size_t number = 0;
    for (const HiddenStud& stud : hidden.studs)
        if (inside(stud.centre, stretch) &&
            std::ranges::none_of(proved, [&](const Stud& p) { return absolute(p.centre - stud.centre) < 10_mm; }))
            ++number;
    return number;
}

double median(std::vector<double> values) {
    std::ranges::nth_element(values, values.begin() + static_cast<std::ptrdiff_t>(values.size() / 2));
    return values[values.size() / 2];
}

enum class Way { advice, stepping };

/// Probes until every stud under the stretch is proved.
void probes(benchmark::State& state, Way way) {
    std::vector<double> holes;
    Verdicts proved;
    std::size_t studs = 0;
    std::size_t not_found = 0;
    for (auto _ : state) {
        holes.clear();
        proved = {};
        studs = not_found = 0;
        for (std::size_t i = 0; i < walls; ++i) {
            std::mt19937_64 random{1000 + i};
            const HiddenWall hidden = make_hidden_wall(random, {});
            const Stretch stretch = where_work_goes(hidden);
            const ProbeSession session =
                way == Way::advice ? probe_by_advice(hidden, stretch, wrong, random)
                                   : probe_by_stepping(hidden, stretch, Length::inches(0, {1, 2}), wrong, random);
            holes.push_back(static_cast<double>(session.holes));
            for (const Stud& stud : session.proved)
                if (inside(stud.centre, stretch))
                    proved.add(hidden.stud_near(stud.centre, 5_mm) != nullptr);
            not_found += missed(hidden, session.proved, stretch);
            studs += static_cast<std::size_t>(
                std::ranges::count_if(hidden.studs, [&](const HiddenStud& s) { return inside(s.centre, stretch); }));
        }
    }
    state.counters["walls"] = walls;
    state.counters["probes_median"] = median(holes);
    state.counters["probes_mean"] =
        std::accumulate(holes.begin(), holes.end(), 0.0) / static_cast<double>(holes.size());
    state.counters["proved_true_%"] = 100 * proved.share();
    state.counters["studs_missed_%"] = 100 * static_cast<double>(not_found) / static_cast<double>(studs);
}

/// How often what is thought likely by probability is there: by tenths, and by the words "proved" and "indicated".
void calibration(benchmark::State& state) {
    std::array<Verdicts, 20> by_probability{};
    Verdicts proved;
    Verdicts indicated;
    std::array<Verdicts, 20> wood{};
    for (auto _ : state) {
        by_probability = {};
        wood = {};
        proved = indicated = {};
        for (std::size_t i = 0; i < walls; ++i) {
            std::mt19937_64 random{50'000 + i};
            const HiddenWall hidden = make_hidden_wall(random, {});
            Wall wall = hidden.wall;
            wall.observations = visible_traces(hidden, random);
            // And some probing, anywhere from none to much.
            const auto limit = i % 40;
            const StudRules rules;
            for (std::size_t n = 0; n < limit; ++n) {
                const auto advice = next_probe(find_studs(wall, {}, rules), {}, rules, clear_of_openings(wall));
                if (!advice)
                    break;
                wall.observations.push_back(
                    {probe(hidden, advice->x, wrong, random) ? EvidenceKind::probe_hit : EvidenceKind::probe_miss,
                     advice->x});
            }
            const StudFindings findings = find_studs(wall, {}, rules);
            for (const FoundStud& found : findings.studs) {
                const bool there = hidden.stud_near(found.stud.centre, 19_mm) != nullptr;
                const bool close = hidden.stud_near(found.stud.centre, really_there) != nullptr;
                if (found.stud.state == StudState::proved) {
                    proved.add(close);
                    continue;
                }
                if (found.stud.state == StudState::indicated)
                    indicated.add(there);
                by_probability[std::min<std::size_t>(19, static_cast<std::size_t>(found.probability * 20))].add(there);
            }
            std::uniform_real_distribution<double> anywhere{0, wall.length.in_mm()};
            for (int n = 0; n < 20; ++n) {
                const Length x = Length::micrometres(std::llround(anywhere(random) * 1000));
                if (std::ranges::none_of(clear_of_openings(wall), [&](const Stretch& s) { return inside(x, s); }))
                    continue;
                const double p = findings.posterior.wood_at(x);
                wood[std::min<std::size_t>(19, static_cast<std::size_t>(p * 20))].add(hidden.wood_at(x));
            }
        }
    }
    state.counters["proved_called"] = static_cast<double>(proved.called);
    state.counters["proved_there_%"] = 100 * proved.share();
    state.counters["indicated_called"] = static_cast<double>(indicated.called);
    state.counters["indicated_there_%"] = 100 * indicated.share();
    for (std::size_t b = 0; b < 20; ++b) {
        if (by_probability[b].called > 30)
            state.counters["stud_p" + std::to_string(b * 5) + "_%"] = 100 * by_probability[b].share();
        if (wood[b].called > 30)
            state.counters["wood_p" + std::to_string(b * 5) + "_%"] = 100 * wood[b].share();
    }
}

/// An update with its advice, on a wall part way through.
void update(benchmark::State& state) {
    std::mt19937_64 random{7};
    HiddenWallMix mix;
    mix.length = Length::mm(state.range(0));
    const HiddenWall hidden = make_hidden_wall(random, mix);
    Wall wall = hidden.wall;
    wall.observations = probe_by_advice(hidden, {Length{}, wall.length}, wrong, random).readings;
    wall.observations.resize(wall.observations.size() / 2);
    const StudRules rules;
    for (auto _ : state) {
        const StudFindings findings = find_studs(wall, {}, rules);
        benchmark::DoNotOptimize(next_probe(findings, {}, rules, clear_of_openings(wall)));
    }
    state.counters["readings"] = static_cast<double>(wall.observations.size());
}

/// The same with ten thousand observations.
void update_ten_thousand(benchmark::State& state) {
    std::mt19937_64 random{7};
    const HiddenWall hidden = make_hidden_wall(random, {});
    Wall wall = hidden.wall;
    for (int i = 0; i < 10'000; ++i) {
        const Length x = Length::micrometres(std::uniform_int_distribution<std::int64_t>{0, 3'600'000}(random));
        wall.observations.push_back(
            {probe(hidden, x, wrong, random) ? EvidenceKind::probe_hit : EvidenceKind::probe_miss, x});
    }
    const StudRules rules;
    for (auto _ : state) {
        const StudFindings findings = find_studs(wall, {}, rules);
        benchmark::DoNotOptimize(next_probe(findings, {}, rules, clear_of_openings(wall)));
    }
}

} // namespace

BENCHMARK_CAPTURE(probes, by_advice, Way::advice)->Unit(benchmark::kSecond)->Iterations(1);
BENCHMARK_CAPTURE(probes, by_half_inch_steps, Way::stepping)->Unit(benchmark::kSecond)->Iterations(1);
BENCHMARK(calibration)->Unit(benchmark::kSecond)->Iterations(1);
BENCHMARK(update)->Arg(3600)->Arg(12'000)->Unit(benchmark::kMillisecond);
BENCHMARK(update_ten_thousand)->Unit(benchmark::kMillisecond);

BENCHMARK_MAIN();
