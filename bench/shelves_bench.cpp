// Beams, places of brackets against a general mixed-integer program, and one shelf looked at closely.
#include "../tests/reference/placement_mip.hpp"
#include "core/reckon/fixing_options.hpp"
#include "core/reckon/reckon.hpp"
#include "core/shelves/bracket_search.hpp"
#include "core/shelves/new_shelf.hpp"
#include "core/statics/beam.hpp"
#include "large_job.hpp"

#include <benchmark/benchmark.h>

using namespace yes_square;

namespace {

Beam long_beam(std::size_t supports) {
    Beam beam{0.4 * static_cast<double>(supports) + 0.2, {}, Stiffness::newton_square_metres(900)};
    for (std::size_t i = 0; i < supports; ++i)
        beam.supports.push_back(0.3 + 0.4 * static_cast<double>(i));
    return beam;
}

void beam_of_12_supports(benchmark::State& state) {
    const Beam beam = long_beam(12);
    for (auto _ : state)
        benchmark::DoNotOptimize(analyse(beam, {40_n_per_m, 360_n_per_m, 250_n}, 0.8));
}
BENCHMARK(beam_of_12_supports)->Unit(benchmark::kMicrosecond);

void beam_of_12_supports_with_goods_and_joints(benchmark::State& state) {
    Beam beam = long_beam(12);
    beam.joints = {4, 8};
    const BeamLoad load{
        40_n_per_m, 360_n_per_m, 250_n, {{{0.5, 1.1, 300_n_per_m}, {2.0, 2.2, 500_n_per_m}}, {{3.1, 90_n}}}};
    for (auto _ : state)
        benchmark::DoNotOptimize(analyse(beam, load, 0.8));
}
BENCHMARK(beam_of_12_supports_with_goods_and_joints)->Unit(benchmark::kMicrosecond);

const std::vector<BracketQuestion>& questions() {
    static const std::vector<BracketQuestion> made = [] {
        std::mt19937 random{20261125};
        std::vector<BracketQuestion> all;
        for (int i = 0; i < 60; ++i)
            all.push_back(random_question(random));
        return all;
    }();
    return made;
}

/// Both are run over the same shelves, the next one in each turn.
void places_by_search(benchmark::State& state) {
    std::size_t next = 0;
    for (auto _ : state)
        benchmark::DoNotOptimize(place_by_search(questions()[next++ % questions().size()]));
}
BENCHMARK(places_by_search)->Unit(benchmark::kMicrosecond);

void places_by_mixed_integer_program(benchmark::State& state) {
    std::size_t next = 0;
    for (auto _ : state)
        benchmark::DoNotOptimize(place_by_mip(questions()[next++ % questions().size()]));
}
BENCHMARK(places_by_mixed_integer_program)->Unit(benchmark::kMicrosecond)->Iterations(60);

Job one_shelf(const ShelfPreset& kind) {
    Job job = new_job();
    Wall wall;
    wall.id = "wall";
    wall.length = 4000_mm;
    wall.height = 2500_mm;
    wall.structure = Masonry{};
    wall.lining = {{LiningMaterial::plaster, 10_mm, {}}};
    Shelf shelf = new_shelf(kind, wall);
    shelf.id = "shelf";
    wall.shelves = {shelf};
    job.walls = {wall};
    return job;
}

void one_shelf_looked_at_closely(benchmark::State& state) {
    const Job job = one_shelf(shelf_presets()[static_cast<std::size_t>(state.range(0))]);
    const Plan plan = reckon(job);
    for (auto _ : state)
        benchmark::DoNotOptimize(study(job, plan, "shelf"));
}
BENCHMARK(one_shelf_looked_at_closely)
    ->DenseRange(0, static_cast<int>(shelf_presets().size()) - 1)
    ->Unit(benchmark::kMicrosecond);

void one_shelf_reckoned(benchmark::State& state) {
    const Job job = one_shelf(shelf_presets()[static_cast<std::size_t>(state.range(0))]);
    for (auto _ : state)
        benchmark::DoNotOptimize(reckon(job));
}
BENCHMARK(one_shelf_reckoned)
    ->DenseRange(0, static_cast<int>(shelf_presets().size()) - 1)
    ->Unit(benchmark::kMicrosecond);

} // namespace

/// Every fixing at hand tried on one thing: of the demo, and of a wall of 25 shelves, as *Fix with* does.
void fixings_tried(benchmark::State& state) {
    Job job = demo();
    if (state.range(0) > 0) {
        job = large_job(Mix::usual);
        job.walls.resize(1);
    }
    const Plan plan = reckon(job);
    const std::string thing = job.walls.front().shelves.front().id;
    for (auto _ : state)
        benchmark::DoNotOptimize(fixing_options(job, plan, thing));
}
BENCHMARK(fixings_tried)->Arg(0)->Arg(25)->Unit(benchmark::kMillisecond);

BENCHMARK_MAIN();
