// What the program says of the demo and of random jobs of every kind, as hashes, a line a job: run before a change of
// shape and after it, and compared. Goes when the move is done.
#include "../random_jobs.hpp"
#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/plan_json.hpp"
#include "core/sheets/summary.hpp"
#include "core/sheets/svg.hpp"
#include "core/sheets/tables.hpp"

#include <cstdlib>
#include <fmt/format.h>
#include <fstream>
#include <sstream>

using namespace yes_square;

namespace {

/// FNV-1a.
std::uint32_t hash(const std::string& text) {
    std::uint32_t value = 2166136261U;
    for (const unsigned char c : text)
        value = (value ^ c) * 16777619U;
    return value;
}

void print(const std::string& name, const Job& job) {
    const Plan plan = reckon(job);
    const Voice voice{job.unit, {}};
    fmt::print("{} json {:08x} summary {:08x}", name, hash(plan_json(job, plan, voice)),
               hash(summary(job, plan, voice)));
    std::string drawn;
    for (std::size_t w = 0; w < job.walls.size(); ++w)
        drawn += svg(draw_elevation(job.walls[w], *plan.walls[w], {}, voice).drawing, "");
    fmt::print(" svg {:08x}", hash(drawn));
    for (const Table& table : tables_of(job, plan))
        fmt::print(" {} {:08x}", table.name, hash(csv(table)));
    fmt::print("\n");
}

} // namespace

int main(int argc, char** argv) {
    if (argc > 2) {
        const std::uint64_t seed = std::strtoull(argv[2], nullptr, 10);
        const Job job = seed % 5 == 0 ? RandomJobs{seed}.room(3) : RandomJobs{seed}.next();
        const Plan plan = reckon(job);
        for (const Table& table : tables_of(job, plan))
            fmt::print("== {}\n{}", table.name, csv(table));
        for (std::size_t w = 0; w < job.walls.size(); ++w)
            fmt::print("{}", svg(draw_elevation(job.walls[w], *plan.walls[w], {}, {job.unit, {}}).drawing, ""));
        fmt::print("{}", plan_json(job, plan, {job.unit, {}}));
        return 0;
    }
    const std::uint64_t jobs = argc > 1 ? std::strtoull(argv[1], nullptr, 10) : 3000;
    std::ostringstream demo;
    demo << std::ifstream{YES_SQUARE_SOURCE_DIR "/assets/demo/harbour-lane.yesq"}.rdbuf();
    print("demo", read_job(demo.str()).value().job);
    for (std::uint64_t seed = 1; seed <= jobs; ++seed)
        print(fmt::format("seed-{}", seed), seed % 5 == 0 ? RandomJobs{seed}.room(3) : RandomJobs{seed}.next());
}
