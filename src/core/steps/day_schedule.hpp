#pragma once

#include "core/steps/job_order.hpp"

#include <cstdint>
#include <optional>
#include <string>
#include <vector>

/// A job over days: who does which step when.
namespace yes_square {

/// Seconds since midnight before the first day of work.
using JobTime = std::int64_t;
inline constexpr JobTime seconds_a_day = 86400;
inline int day_of(JobTime time) {
    return static_cast<int>(time / seconds_a_day) + 1;
}

struct ScheduledTask {
    std::size_t task = 0; ///< in JobOrder::tasks
    JobTime begins = 0;
    JobTime ends = 0;
    std::vector<std::size_t> by; ///< of the crew, from 0; from the crew's number on helpers. Nobody: it cures
    JobTime slack = 0;           ///< it may end so much later, all else as it is, before the job ends later
};

struct DaySchedule {
    std::vector<ScheduledTask> tasks; ///< what is not ticked off, by when it begins
    std::size_t done = 0;             ///< steps that are
    std::size_t crew = 1;
    std::vector<std::string> names;   ///< of the crew, as far as the job knows them
    std::size_t helpers = 0;          ///< most of them at a time
    JobTime ends = 0;                 ///< when the last step is done
    JobTime least_end = 0;            ///< no schedule ends earlier
    JobTime helper_there = 0;         ///< from the first to the last step of each day that wants one, all days together
    JobTime least_helper = 0;         ///< no schedule has one there for less
    std::vector<Sentence> impossible; ///< what cannot be done as told: hours that are none, a helper who never comes

    bool earliest() const { return ends == least_end; } ///< proved
    int days() const { return tasks.empty() ? 0 : day_of(ends - 1); }
};

/// Shares the steps of a job out among its persons and days: steps are not broken off overnight; what cures goes on day
/// and night and wants nobody; more hands than the crew are a helper's, who is there when the job says or, where it
/// says nothing of helpers, whenever one is wanted; nothing begins before its room is free and its parts are there, and
/// nothing at all before the day of work that comes next, with all that is ticked off done.
/// Ends as early as a search finds, within a quarter of an hour; of those it has the helper there for as short, and of
/// those goes over to another wall as seldom as it finds. End and helper are held against bounds: every chain of steps
/// by itself, and all work from any moment on shared out among all hands without a gap (as heads and tails bound a
/// single machine). The search: priority rules, then seeded random changes of the order and every step tried in each
/// place near its own, each order made into the earliest schedule that keeps it (serial generation, which among all
/// orders makes one that ends earliest); with few steps every order is tried.
DaySchedule day_schedule(const Job& job, const JobOrder& order);

/// What comes later when a step takes longer: everybody goes on with what was theirs, in its order.
struct Slip {
    std::size_t task = 0;
    JobTime from = 0; ///< it was to begin
    JobTime to = 0;
};
struct Slips {
    std::vector<Slip> tasks;
    JobTime ends = 0;
};
Slips slips_when(const Job& job, const JobOrder& order, const DaySchedule& schedule, std::size_t task, JobTime longer);

/// How long steps took that were begun and ticked off, by the house rule they go by.
struct LearnedMinutes {
    Phase phase = Phase::hang; ///< mark, drill, or any other
    double house = 0;          ///< as the house has it
    double median = 0;
    std::size_t times = 0; ///< it was measured
};
/// Nothing that took no time or more than four hours: that was a break, not a step.
std::vector<LearnedMinutes> learned_minutes(const Job& job, const JobOrder& order);

} // namespace yes_square
