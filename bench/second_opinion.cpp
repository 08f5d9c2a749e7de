// Weighs random things again by the second opinion of tests/opinion: `yes-square-second-opinion [things] [first seed]`.
#include "../tests/opinion/opinion.hpp"
#include "../tests/random_jobs.hpp"
#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/plan_json.hpp"

#include <cstdlib>
#include <fmt/format.h>

int main(int argc, char** argv) {
    using namespace yes_square;
    const std::size_t things = argc > 1 ? std::strtoull(argv[1], nullptr, 10) : 100'000;
    const std::uint64_t first = argc > 2 ? std::strtoull(argv[2], nullptr, 10) : 1;
    opinion::Findings findings;
    std::uint64_t seed = first;
    for (std::size_t told = 0; findings.things < things; ++seed) {
        const Job job = RandomJobs{seed}.next();
        opinion::weigh(opinion::Json::parse(write_job(job)), opinion::Json::parse(plan_json(job, reckon(job), {})),
                       findings);
        for (; told < findings.wrong.size(); ++told)
            fmt::print("seed {}: {}\n", seed, findings.wrong[told]);
    }
    fmt::print("{} things of {} jobs, {} groups of holes balanced, {} holes weighed again, {} boards bent again; {} "
               "found wrong. Worst difference: "
               "balance {:.4f}, capacity and use {:.6f}\n",
               findings.things, seed - first, findings.groups, findings.holes, findings.boards, findings.wrong.size(),
               findings.worst_balance, findings.worst_capacity);
    return findings.wrong.empty() ? 0 : 1;
}
