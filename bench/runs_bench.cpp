// How long runs of cabinets take: build/release/bench/yes-square-runs-bench. Aims and figures measured are in
// docs/performance.md.
#include "core/lines/room_lines.hpp"
#include "core/lines/solve_lines.hpp"
#include "core/reckon/reckon.hpp"
#include "core/runs/slide.hpp"
#include "core/runs/unit_library.hpp"

#include <benchmark/benchmark.h>

using namespace yes_square;

namespace {

CabinetUnit unit(std::size_t number, UnitKind kind, Length width) {
    const bool wall = kind == UnitKind::wall;
    CabinetUnit made = usual_unit(kind, width, 720_mm, wall ? 320_mm : 560_mm);
    made.id = "unit-" + std::to_string(number);
    made.name = "Unit " + std::to_string(number);
    made.mass = 18_kg;
    made.loaded_mass = 55_kg;
    return made;
}

/// Walls in rooms of four, each with a wall run and a floor run; studs a little off their places, a floor and a face
/// that were read.
Job kitchens(int walls, int units_a_wall) {
    Job job = new_job();
    std::size_t number = 0;
    for (int w = 0; w < walls; ++w) {
        if (w % 4 == 0) {
            Room room;
            room.id = "room-" + std::to_string(w / 4);
            room.name = room.id;
            const HouseLines house = house_lines(Unit::mm, job.rules.runs);
            room.lines = house.lines;
            room.line_relations = house.relations;
            job.rooms.push_back(room);
        }
        Wall wall;
        wall.id = "wall-" + std::to_string(w);
        wall.name = wall.id;
        wall.room = job.rooms.back().id;
        wall.length = Length::mm(500 * (units_a_wall / 2) + 1400);
        wall.height = 2500_mm;
        wall.structure = Framing{38_mm, 89_mm, 400_mm, Species::spruce_pine_fir};
        wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500), {}}};
        for (int i = 1; 400_mm * i < wall.length; ++i)
            wall.studs.push_back({Length::mm(400 * i + (i * 7) % 11), StudState::proved, Length::micrometres(600), {}});
        for (int i = 0; i < 5; ++i) {
            wall.floor.push_back({wall.length * i / 5, Length::mm(1000 + 3 * i), {}});
            for (const Length z : {400_mm, 2000_mm})
                wall.face.push_back({wall.length * i / 5, z, Length::mm(12 + (i * 5) % 7), {}});
        }
        for (const RunLevel level : {RunLevel::wall, RunLevel::floor}) {
            Run run;
            run.id = (level == RunLevel::wall ? "wall-run-" : "floor-run-") + std::to_string(w);
            run.name = run.id;
            run.level = level;
            run.start = {EndKind::place, 1, {}, 700_mm, {}, {}}; // clear of the corner
            run.end = {EndKind::place, 1, {}, wall.length - 700_mm, {}, {}};
            const UnitKind kind = level == RunLevel::wall ? UnitKind::wall : UnitKind::base;
            for (int i = 0; i < units_a_wall / 2; ++i)
                run.units.push_back(unit(++number, kind, Length::mm(i % 3 == 0 ? 400 : (i % 3 == 1 ? 600 : 450))));
            wall.runs.push_back(std::move(run));
        }
        job.walls.push_back(std::move(wall));
    }
    return job;
}

void reckon_kitchen(benchmark::State& state) {
    const Job job = kitchens(4, 10);
    for (auto _ : state)
        benchmark::DoNotOptimize(reckon(job));
}
BENCHMARK(reckon_kitchen)->Unit(benchmark::kMillisecond);

/// A run pushed along by 1 mm, as one frame of a drag, in a kitchen of 4 walls and 40 units.
void one_edit_in_a_kitchen(benchmark::State& state) {
    Reckoner reckoner;
    Job job = kitchens(4, 10);
    benchmark::DoNotOptimize(reckoner.reckon(job));
    Run& run = job.walls[1].runs[0];
    run.slack = Slack::by_hand;
    run.left = 700_mm;
    for (auto _ : state) {
        run.left = run.left == 700_mm ? 701_mm : 700_mm;
        benchmark::DoNotOptimize(reckoner.reckon(job));
    }
}
BENCHMARK(one_edit_in_a_kitchen)->Unit(benchmark::kMillisecond)->UseRealTime();

/// A line pulled up by 1 mm: every wall of its room follows.
void one_line_in_a_kitchen(benchmark::State& state) {
    Reckoner reckoner;
    Job job = kitchens(4, 10);
    benchmark::DoNotOptimize(reckoner.reckon(job));
    Length by = 1_mm;
    for (auto _ : state) {
        job.rooms[0].line_relations[3].by += by;
        by = -by;
        benchmark::DoNotOptimize(reckoner.reckon(job));
    }
}
BENCHMARK(one_line_in_a_kitchen)->Unit(benchmark::kMillisecond)->UseRealTime();

void reckon_1500_units(benchmark::State& state) {
    const Job job = kitchens(60, 26);
    for (auto _ : state)
        benchmark::DoNotOptimize(reckon(job));
}
BENCHMARK(reckon_1500_units)->Unit(benchmark::kMillisecond)->UseRealTime();

void slide_12_units(benchmark::State& state) {
    Job job = kitchens(1, 24);
    const Wall& wall = job.walls[0];
    const std::vector<RunLayout> layouts = place_runs(wall, wall.length, {});
    const SlideQuestion question = slide_question(wall.runs[0], layouts[0], wall, wall.studs, job.rules);
    for (auto _ : state)
        benchmark::DoNotOptimize(slide_for_studs(question));
}
BENCHMARK(slide_12_units)->Unit(benchmark::kMicrosecond);

} // namespace

BENCHMARK_MAIN();
