#pragma once

#include "core/reckon/reckon.hpp"
#include "core/steps/day_schedule.hpp"

#include <algorithm>
#include <functional>

/// Orders of steps that the tests of schedules make, and what must hold of any schedule.
namespace yes_square {

inline constexpr JobTime minute = 60;
inline constexpr JobTime hour = 3600;

inline JobTime at(int day, double hours) {
    return (day - 1) * seconds_a_day + static_cast<JobTime>(hours * 3600);
}

inline Task task(double minutes, int persons = 1, std::vector<std::size_t> after = {}, Phase phase = Phase::hang) {
    Task made;
    made.step = {{"Do it"}, false, phase, persons};
    made.minutes = minutes;
    made.after = std::move(after);
    return made;
}

inline JobOrder order_of(std::vector<Task> tasks) {
    JobOrder order;
    for (std::size_t t = 0; t < tasks.size(); ++t)
        tasks[t].key = tasks[t].item_name = "task " + std::to_string(t);
    order.tasks = std::move(tasks);
    return order;
}

inline Job crew_of(int crew, double begins = 8, double hours = 8) {
    Job job;
    job.crew = crew;
    job.days.begins = begins;
    job.days.hours = hours;
    return job;
}

inline const ScheduledTask& of(const DaySchedule& schedule, std::size_t task) {
    return *std::ranges::find(schedule.tasks, task, &ScheduledTask::task);
}

/// What must hold of any schedule; an empty text: all does.
inline std::string wrong_with(const Job& job, const JobOrder& order, const DaySchedule& schedule) {
    if (schedule.tasks.size() + schedule.done != order.tasks.size())
        return "not every step is in it";
    if (schedule.ends < schedule.least_end)
        return "it ends before the bound";
    if (schedule.helper_there < schedule.least_helper)
        return "the helper is there for less than the bound";
    JobTime last = 0;
    for (const ScheduledTask& each : schedule.tasks) {
        const Task& task = order.tasks[each.task];
        last = std::max(last, each.ends);
        if (each.ends - each.begins != std::llround(task.minutes * 60))
            return "a step takes another time";
        for (const std::size_t first : task.after)
            if (const auto before = std::ranges::find(schedule.tasks, first, &ScheduledTask::task);
                before != schedule.tasks.end() && before->ends > each.begins)
                return "what comes first is not over";
        if (each.slack < 0)
            return "slack less than nothing";
        if (task.step.phase == Phase::cure) {
            if (!each.by.empty())
                return "somebody cures";
            continue;
        }
        if (each.by.size() != static_cast<std::size_t>(std::max(1, task.step.persons)))
            return "other hands than it wants";
        const JobTime day = (day_of(each.begins) - 1) * seconds_a_day;
        if (each.begins < day + std::llround(job.days.begins * 3600) ||
            each.ends > day + std::llround(job.days.ends() * 3600))
            return "out of hours";
        for (const std::size_t who : each.by) {
            for (const ScheduledTask& other : schedule.tasks)
                if (&other != &each && std::ranges::find(other.by, who) != other.by.end() && other.begins < each.ends &&
                    each.begins < other.ends)
                    return "somebody does two things at once";
            if (who >= schedule.crew && !job.days.helpers.empty() &&
                std::ranges::none_of(job.days.helpers, [&](const HelperTime& time) {
                    return at(time.day, time.from) <= each.begins && each.ends <= at(time.day, time.to);
                }))
                return "a helper who is not there";
        }
    }
    if (last != schedule.ends)
        return "it ends otherwise";
    return {};
}

} // namespace yes_square
