// A wardrobe of twelve bays reckoned again, and a chest of drawers.
#include "core/reckon/reckon.hpp"
#include "core/stability/new_piece.hpp"
#include "core/stability/tip_cases.hpp"
#include "core/storage/new_system.hpp"

#include <benchmark/benchmark.h>

using namespace yes_square;

namespace {

Job wardrobe_job(int bays, bool hung) {
    Job job = new_job();
    job.rooms.push_back({});
    job.rooms.back().id = "room";
    Wall wall;
    wall.id = "wall";
    wall.room = "room";
    wall.length = 9000_mm;
    wall.height = 2600_mm;
    wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500), {}}};
    for (int i = 1; i < 22; ++i)
        wall.studs.push_back({Length::mm(400 * i + 30), StudState::proved, Length::micrometres(600), {}});
    StorageSystem system;
    system.id = "system";
    system.left = 100_mm;
    system.width = 8600_mm;
    system.hung = hung;
    system.top = 2300_mm;
    for (int i = 0; i < bays; ++i) {
        Bay bay;
        bay.id = "bay-" + std::to_string(i);
        bay.kind = static_cast<BayKind>(i % 6);
        bay.loose = 5;
        bay.garments = 20;
        system.bays.push_back(bay);
    }
    wall.systems = {system};
    job.walls = {wall};
    return job;
}

/// Every turn another width, as while it is dragged: nothing can be kept from the turn before but the survey.
void wardrobe_of_12_bays_again(benchmark::State& state) {
    Job job = wardrobe_job(12, state.range(0) == 1);
    Reckoner reckoner;
    reckoner.reckon(job);
    int turn = 0;
    for (auto _ : state) {
        job.walls.front().systems.front().width = 8600_mm - Length::mm(++turn % 50);
        benchmark::DoNotOptimize(reckoner.reckon(job));
    }
}
BENCHMARK(wardrobe_of_12_bays_again)->ArgName("hung")->Arg(0)->Arg(1)->Unit(benchmark::kMillisecond);

/// Its three ways of sharing the width, as the strip under the wall shows them.
void width_choices_of_12_bays(benchmark::State& state) {
    const Job job = wardrobe_job(12, false);
    const Plan plan = reckon(job);
    for (auto _ : state)
        benchmark::DoNotOptimize(width_choices(job, plan, "system"));
}
BENCHMARK(width_choices_of_12_bays)->Unit(benchmark::kMillisecond);

void cases_of_a_chest(benchmark::State& state) {
    const Job job = wardrobe_job(1, false);
    const Piece chest = new_piece(job.walls.front(), PieceKind::dresser);
    for (auto _ : state)
        benchmark::DoNotOptimize(tip_cases(chest, job.rules.tipping, 0.75));
}
BENCHMARK(cases_of_a_chest)->Unit(benchmark::kMicrosecond);

} // namespace

BENCHMARK_MAIN();
