// How long a plan takes: build/release/bench/yes-square-bench. Aims and figures measured are in docs/performance.md.
#include "../tests/random_jobs.hpp"
#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"
#include "core/shelves/bracket_search.hpp"
#include "large_job.hpp"

#include <algorithm>
#include <benchmark/benchmark.h>
#include <fstream>
#include <sstream>
#include <sys/resource.h>

using namespace yes_square;

namespace {

double share_with_errors(const Plan& plan) {
    int shelves = 0;
    int wrong = 0;
    for (const auto& wall : plan.walls)
        for (const ShelfPlan& shelf : wall->shelves) {
            ++shelves;
            wrong += std::ranges::any_of(shelf.checks, [](const Check& c) { return c.severity == Severity::error; });
        }
    return double(wrong) / shelves;
}

void reckon_demo(benchmark::State& state) {
    for (auto _ : state)
        benchmark::DoNotOptimize(reckon(demo()));
}
BENCHMARK(reckon_demo)->Unit(benchmark::kMillisecond);

void reckon_1500_shelves(benchmark::State& state) {
    const Job& job = large(static_cast<Mix>(state.range(0)));
    for (auto _ : state)
        benchmark::DoNotOptimize(reckon(job));
    state.counters["with_errors"] = share_with_errors(reckon(job));
}
BENCHMARK(reckon_1500_shelves)->Arg(0)->Arg(1)->ArgName("mix")->Unit(benchmark::kMillisecond)->UseRealTime();

/// One shelf moved by 1 mm in the large job, as one frame of a drag: what the window waits for.
void reckon_one_edit_in_1500(benchmark::State& state) {
    Reckoner reckoner;
    Job job = large(static_cast<Mix>(state.range(0)));
    benchmark::DoNotOptimize(reckoner.reckon(job));
    Length step = 1_mm;
    for (auto _ : state) {
        job.walls[20].shelves[7].left += step;
        step = -step;
        benchmark::DoNotOptimize(reckoner.reckon(job));
    }
}
BENCHMARK(reckon_one_edit_in_1500)->Arg(0)->Arg(1)->ArgName("mix")->Unit(benchmark::kMillisecond)->UseRealTime();

/// A job file of 1 MB: every kind of thing, random and some hostile, wall after wall of it.
const Job& megabyte() {
    static const Job job = [] {
        constexpr std::size_t wanted = 1'000'000;
        int walls = 10;
        Job made = RandomJobs{1}.room(walls);
        while (write_job(made).size() < wanted)
            made = RandomJobs{1}.room(walls += 10);
        return made;
    }();
    return job;
}

void reckon_a_megabyte(benchmark::State& state) {
    const Job& job = megabyte();
    for (auto _ : state)
        benchmark::DoNotOptimize(reckon(job));
    rusage used{};
    getrusage(RUSAGE_SELF, &used);
    state.counters["walls"] = static_cast<double>(job.walls.size());
    state.counters["peak_MB"] = static_cast<double>(used.ru_maxrss) / 1024; // of the whole bench until here
}
BENCHMARK(reckon_a_megabyte)->Unit(benchmark::kMillisecond)->UseRealTime();

/// What an edit costs to be found fit to be kept.
void look_for_problems_in_a_megabyte(benchmark::State& state) {
    for (auto _ : state)
        benchmark::DoNotOptimize(job_problem(megabyte()));
}
BENCHMARK(look_for_problems_in_a_megabyte)->Unit(benchmark::kMillisecond)->UseRealTime();

void search_6_m_shelf(benchmark::State& state) {
    BracketQuestion question;
    question.length = 6000_mm;
    for (int i = 0; i < 15; ++i)
        question.studs.push_back({Length::mm(130 + 400 * i + (i * 5) % 9), 5_mm, Substrate::proved_stud});
    question.keep_outs = {{900_mm, 1000_mm}, {3480_mm, 3560_mm}};
    question.spacing_least = 100_mm;
    question.spacing_good = 813_mm;
    question.spacing_two = 914_mm;
    question.spacing_more = 914_mm;
    question.inset_usual = 50_mm;
    question.inset_least = 25_mm;
    question.overhang_most = 305_mm;
    const auto school = static_cast<School>(state.range(0));
    for (auto _ : state)
        benchmark::DoNotOptimize(best_layouts(question, school));
}
BENCHMARK(search_6_m_shelf)->Arg(0)->Arg(1)->Arg(2)->ArgName("school")->Unit(benchmark::kMillisecond);

void read_demo(benchmark::State& state) {
    for (auto _ : state)
        benchmark::DoNotOptimize(read_job(demo_text()));
}
BENCHMARK(read_demo)->Unit(benchmark::kMillisecond);

} // namespace

BENCHMARK_MAIN();
