#include "core/steps/day_schedule.hpp"

#include <algorithm>
#include <chrono>
#include <cstdio>

namespace yes_square {
namespace {

/// Seconds since 1970 of "2026-03-05T14:20:00Z"; none: it is no such time.
std::optional<std::int64_t> utc_seconds(const std::string& text) {
    int year = 0;
    unsigned month = 0;
    unsigned day = 0;
    int hour = 0;
    int minute = 0;
    int second = 0;
    if (std::sscanf(text.c_str(), "%d-%u-%uT%d:%d:%dZ", &year, &month, &day, &hour, &minute, &second) != 6)
        return std::nullopt;
    const std::chrono::year_month_day date{std::chrono::year{year}, std::chrono::month{month}, std::chrono::day{day}};
    if (!date.ok())
        return std::nullopt;
    return std::chrono::sys_days{date}.time_since_epoch().count() * seconds_a_day + hour * 3600 + minute * 60 + second;
}

} // namespace

std::vector<LearnedMinutes> learned_minutes(const Job& job, const JobOrder& order) {
    constexpr double longest_min = 240;
    const FitRules& rules = job.rules.fitting;
    std::vector<LearnedMinutes> learned{{Phase::mark, rules.mark_min, 0, 0},
                                        {Phase::drill, rules.drill_min, 0, 0},
                                        {Phase::hang, rules.step_min, 0, 0}};
    std::vector<std::vector<double>> taken(learned.size());
    for (const Task& task : order.tasks) {
        const auto tick = std::ranges::find(job.ticks, task.key, &Tick::key);
        if (task.step.phase == Phase::cure || task.step.minutes > 0 || tick == job.ticks.end() ||
            tick->state != TickState::done)
            continue;
        const auto begun = utc_seconds(tick->begun);
        const auto done = utc_seconds(tick->at);
        if (!begun || !done)
            continue;
        const double took = static_cast<double>(*done - *begun) / 60;
        if (took > 0 && took <= longest_min)
            taken[task.step.phase == Phase::mark ? 0 : task.step.phase == Phase::drill ? 1 : 2].push_back(took);
    }
    for (std::size_t i = 0; i < learned.size(); ++i) {
        learned[i].times = taken[i].size();
        if (taken[i].empty())
            continue;
        std::ranges::sort(taken[i]);
        const std::size_t half = taken[i].size() / 2;
        learned[i].median = taken[i].size() % 2 == 1 ? taken[i][half] : (taken[i][half - 1] + taken[i][half]) / 2;
    }
    return learned;
}

} // namespace yes_square
