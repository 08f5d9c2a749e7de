#include "core/cutting/cutting_plan.hpp"
#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"
#include "core/steps/day_schedule.hpp"
#include "files/job_book.hpp"

#include <array>
#include <benchmark/benchmark.h>
#include <fstream>
#include <random>
#include <sstream>

using namespace yes_square;

/// The day: cutting plans, the order of the job.
namespace {

/// So many parts of a workshop's usual spread out of lengths of 2.4 m: all different, or a few sizes again and again.
BarQuestion parts(std::size_t number, int sizes) {
    std::mt19937 random{7};
    std::vector<Length> lengths;
    for (int i = 0; i < sizes; ++i)
        lengths.push_back(Length::mm(static_cast<std::int64_t>(180 + random() % 1500)));
    BarQuestion question;
    for (std::size_t i = 0; i < number; ++i)
        question.pieces.push_back(lengths[random() % lengths.size()]);
    question.stock = {{2400_mm, {}, {}}, {900_mm, 2, {}}, {1250_mm, 1, {}}};
    question.kerf = 3_mm;
    question.seconds = 4;
    return question;
}

void cut_200_parts(benchmark::State& state) {
    const BarQuestion question = parts(200, static_cast<int>(state.range(0)));
    BarPlan plan;
    for (auto _ : state)
        plan = cut_bars(question);
    state.counters["bars"] = static_cast<double>(plan.bars.size());
    state.counters["bought"] = static_cast<double>(plan.bought);
    state.counters["least"] = plan.least;
    state.counters["proved"] = plan.proved();
    state.counters["offcut_proved"] = plan.offcut_proved;
}
BENCHMARK(cut_200_parts)->Arg(8)->Arg(25)->Arg(60)->Arg(1000)->Unit(benchmark::kMillisecond);

void cut_200_panels(benchmark::State& state) {
    std::mt19937 random{11};
    SheetQuestion question;
    question.stock = {{2440_mm, 1220_mm, {}}};
    question.kerf = 3_mm;
    for (int i = 0; i < 200; ++i)
        question.pieces.push_back({Length::mm(static_cast<std::int64_t>(250 + random() % 900)),
                                   Length::mm(static_cast<std::int64_t>(150 + random() % 450)), random() % 2 == 0});
    SheetPlan plan;
    for (auto _ : state)
        plan = cut_sheets(question);
    state.counters["sheets"] = static_cast<double>(plan.bought);
    state.counters["least"] = static_cast<double>(plan.least);
    state.counters["used"] = plan.used_share;
}
BENCHMARK(cut_200_panels)->Unit(benchmark::kMillisecond);

Job demo() {
    std::ifstream file{YES_SQUARE_SOURCE_DIR "/assets/demo/harbour-lane.yesq"};
    std::ostringstream text;
    text << file.rdbuf();
    return read_job(text.str()).value().job;
}

void demo_order(benchmark::State& state) {
    const Job job = demo();
    const Plan plan = reckon(job);
    for (auto _ : state)
        benchmark::DoNotOptimize(job_order(job, plan));
}
BENCHMARK(demo_order)->Unit(benchmark::kMillisecond);

/// 60 walls with 1,500 shelves.
Job with_1500_shelves() {
    Job job = demo();
    const Wall pattern = job.walls.front();
    job.walls.clear();
    for (int w = 0; w < 60; ++w) {
        Wall wall = pattern;
        wall.id = "wall-" + std::to_string(w);
        const Shelf shelf = wall.shelves.front();
        wall.shelves.assign(25, shelf);
        for (std::size_t s = 0; s < wall.shelves.size(); ++s) {
            wall.shelves[s].id = wall.id + "-" + std::to_string(s);
            wall.shelves[s].height = 300_mm + Length::mm(80) * static_cast<std::int64_t>(s);
        }
        job.walls.push_back(std::move(wall));
    }
    return job;
}

/// What the stage strip asks after an edit.
void order_of_1500_shelves(benchmark::State& state) {
    const Job job = with_1500_shelves();
    const Plan plan = reckon(job);
    for (auto _ : state)
        benchmark::DoNotOptimize(job_order(job, plan));
}
BENCHMARK(order_of_1500_shelves)->Unit(benchmark::kMillisecond);

void days_of_1500_shelves(benchmark::State& state) {
    const Job job = with_1500_shelves();
    const Plan plan = reckon(job);
    const JobOrder order = job_order(job, plan);
    for (auto _ : state)
        benchmark::DoNotOptimize(day_schedule(job, order));
    state.counters["steps"] = static_cast<double>(order.tasks.size());
}
BENCHMARK(days_of_1500_shelves)->Unit(benchmark::kMillisecond);

/// The demo over days, with so many persons.
void demo_days(benchmark::State& state) {
    Job job = demo();
    job.crew = static_cast<int>(state.range(0));
    const Plan plan = reckon(job);
    const JobOrder order = job_order(job, plan);
    DaySchedule schedule;
    for (auto _ : state)
        benchmark::DoNotOptimize(schedule = day_schedule(job, order));
    state.counters["steps"] = static_cast<double>(order.tasks.size());
    state.counters["min_over_bound"] = static_cast<double>(schedule.ends - schedule.least_end) / 60;
    state.counters["helper_min"] = static_cast<double>(schedule.helper_there) / 60;
    state.counters["helper_least_min"] = static_cast<double>(schedule.least_helper) / 60;
}
BENCHMARK(demo_days)->Arg(1)->Arg(2)->Arg(3)->Unit(benchmark::kMillisecond);

void demo_cutting_plan(benchmark::State& state) {
    const Job job = demo();
    const Plan plan = reckon(job);
    for (auto _ : state)
        benchmark::DoNotOptimize(cutting_plan(job, plan));
}
BENCHMARK(demo_cutting_plan)->Unit(benchmark::kMillisecond);

/// 5,000 jobs of made-up words, each with a log of twenty lines.
const JobBook& large_book() {
    static JobBook book = [] {
        JobBook fresh = JobBook::open(":memory:").value();
        constexpr std::array words{"shelf",    "loft",  "stud",  "bracket", "plaster", "quay",
                                   "larder",   "oak",   "rail",  "moved",   "level",   "kitchen",
                                   "wardrobe", "plumb", "north", "chest",   "hook",    "tile"};
        std::mt19937 random{3};
        const auto some = [&](int number) {
            std::string text;
            for (int i = 0; i < number; ++i)
                text += std::string{words[random() % words.size()]} + " ";
            return text;
        };
        fresh.begin();
        for (int i = 0; i < 5000; ++i) {
            Job job;
            job.title = some(3) + std::to_string(i);
            job.client = some(2);
            job.place = some(2);
            for (int line = 0; line < 20; ++line)
                job.log.push_back({line % 7 == 0 ? LogKind::deviation : LogKind::reading,
                                   "2026-03-05T10:00:00Z",
                                   "A",
                                   "",
                                   some(9) + std::to_string(random() % 5000),
                                   "",
                                   "",
                                   "",
                                   {}});
            fresh.put("job-" + std::to_string(i) + ".yesq", job);
        }
        fresh.commit();
        return fresh;
    }();
    return book;
}

void search_5000_jobs(benchmark::State& state, const char* words, const char* kind) {
    const JobBook& book = large_book();
    BookQuery query;
    query.words = words;
    query.kind = kind;
    std::size_t found = 0;
    for (auto _ : state)
        found = book.search(query).size();
    state.counters["found"] = static_cast<double>(found);
}
BENCHMARK_CAPTURE(search_5000_jobs, a_rare_word, "1412", "")->Unit(benchmark::kMillisecond);
BENCHMARK_CAPTURE(search_5000_jobs, two_words, "larder 77", "")->Unit(benchmark::kMillisecond);
BENCHMARK_CAPTURE(search_5000_jobs, in_every_job, "shelf", "deviation")->Unit(benchmark::kMillisecond);
BENCHMARK_CAPTURE(search_5000_jobs, by_kind, "", "deviation")->Unit(benchmark::kMillisecond);

} // namespace

BENCHMARK_MAIN();
