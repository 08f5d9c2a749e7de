#include "core/steps/placing.hpp"

#include "core/fitting/as_found.hpp"

#include <functional>
#include <numeric>
#include <optional>
#include <queue>

namespace yes_square {

Placing::Placing(const Job& job, const JobOrder& order)
    : job_{job}
    , order_{order}
    , begins_{seconds(std::clamp(job.days.begins, 0.0, 23.0))}
    , ends_{std::min(seconds_a_day, begins_ + seconds(std::clamp(job.days.hours, 0.0, 24.0)))}
    , crew_{std::max(1, job.crew)} {
    for (std::size_t t = 0; t < order.tasks.size(); ++t)
        works_.push_back(work_of(order.tasks[t]));
    then_.resize(works_.size());
    for (std::size_t t = 0; t < works_.size(); ++t)
        for (const std::size_t first : works_[t].after)
            then_[first].push_back(t);
    find_tails();
    find_heads();
    std::map<std::string, std::size_t> firsts;
    for (std::size_t t = 0; t < order.tasks.size(); ++t) {
        const Task& task = order.tasks[t];
        places_.push_back(firsts.try_emplace(task.wall.empty() ? "-" + task.item_name : task.wall, t).first->second);
    }
}

std::vector<JobTime> Placing::begun_in(const std::vector<std::size_t>& order) const {
    Hands crew;
    Hands helpers;
    std::vector<JobTime> begins(works_.size(), 0);
    for (const std::size_t t : order) {
        const Work& work = works_[t];
        JobTime at = work.not_before;
        for (const std::size_t first : work.after)
            at = std::max(at, begins[first] + works_[first].takes);
        at = fit(work, at, crew, helpers);
        begins[t] = at;
        if (work.crew > 0)
            crew.take(at, at + work.takes, work.crew);
        if (work.helpers > 0)
            helpers.take(at, at + work.takes, work.helpers);
    }
    return begins;
}

Work Placing::work_of(const Task& task) const {
    Work work;
    if (const Tick* tick = find_tick(job_, task.key); tick && tick->state == TickState::done) {
        work.after = task.after;
        work.done = true;
        return work;
    }
    work.not_before = morning(std::max(1, job_.days.next));
    work.takes = static_cast<JobTime>(std::llround(std::max(0.0, task.minutes) * 60));
    work.after = task.after;
    if (task.step.phase != Phase::cure) {
        work.crew = std::clamp(task.step.persons, 1, crew_);
        work.helpers = std::max(0, task.step.persons - crew_);
    }
    const auto wall = std::ranges::find(job_.walls, task.wall, &Wall::id);
    for (const NotBefore& wait : job_.days.not_before) {
        const bool of_room = !wait.of.empty() && wall != job_.walls.end() && wall->room == wait.of;
        const bool of_thing = !wait.of.empty() && task.item == wait.of;
        const bool of_parts = wait.of.empty() && (task.kind == TaskKind::parts || task.kind == TaskKind::cut ||
                                                  task.step.phase >= Phase::assemble);
        if (of_room || of_thing || of_parts)
            work.not_before =
                std::max(work.not_before, morning(std::max(1, wait.day)) + seconds(std::clamp(wait.from, 0.0, 24.0)));
    }
    for (const RoomShut& shut : job_.days.shut)
        if (wall != job_.walls.end() && wall->room == shut.room && shut.to > shut.from)
            work.shut.push_back({morning(std::max(1, shut.day)) + seconds(std::clamp(shut.from, 0.0, 24.0)),
                                 morning(std::max(1, shut.day)) + seconds(std::clamp(shut.to, 0.0, 24.0))});
    std::ranges::sort(work.shut, {}, &ShutHours::from);
    return work;
}

JobTime Placing::in_hours(JobTime at, JobTime takes) const {
    const JobTime day = at / seconds_a_day * seconds_a_day;
    if (at < day + begins_)
        return day + begins_;
    const JobTime fits = std::min(takes, day_long()); // what is longer is refused, not looked for without an end
    return at + fits <= day + begins_ + day_long() ? at : day + seconds_a_day + begins_;
}

JobTime Placing::in_open_room(const Work& work, JobTime at) const {
    at = in_hours(at, work.takes);
    for (const ShutHours& shut : work.shut)
        if (at < shut.to && (at + work.takes > shut.from || at >= shut.from))
            at = in_hours(std::max(at, shut.to), work.takes);
    return at;
}

int Placing::helpers_there(JobTime from, JobTime to) const {
    if (!helpers_told())
        return std::numeric_limits<int>::max();
    return static_cast<int>(std::ranges::count_if(job_.days.helpers, [&](const HelperTime& time) {
        return morning(time.day) + seconds(time.from) <= from && to <= morning(time.day) + seconds(time.to);
    }));
}

JobTime Placing::next_helper(JobTime after) const {
    JobTime next = never;
    for (const HelperTime& time : job_.days.helpers)
        if (const JobTime comes = morning(time.day) + seconds(time.from); comes > after)
            next = std::min(next, comes);
    return next;
}

JobTime Placing::fit(const Work& work, JobTime at, const Hands& crew, const Hands& helpers) const {
    if (work.cures())
        return at;
    while (at < never) {
        at = in_open_room(work, at);
        const JobTime to = at + work.takes;
        if (crew.most_used(at, to) + work.crew > crew_) {
            at = crew.next_change(at);
            continue;
        }
        if (work.helpers > 0) {
            const int there = helpers_there(at, to);
            if (there < work.helpers) {
                at = std::max(at + 1, next_helper(at));
                continue;
            }
            if (helpers_told() && helpers.most_used(at, to) + work.helpers > there) {
                at = std::max(at + 1, helpers.next_change(at));
                continue;
            }
        }
        return at;
    }
    return never;
}

void Placing::find_tails() {
    tails_.assign(works_.size(), 0);
    for (std::size_t t = works_.size(); t-- > 0;)
        for (const std::size_t next : then_[t])
            tails_[t] = std::max(tails_[t], works_[next].takes + tails_[next]);
}

void Placing::find_heads() {
    const Hands none;
    heads_.assign(works_.size(), 0);
    for (std::size_t t = 0; t < works_.size(); ++t) {
        JobTime at = works_[t].not_before;
        for (const std::size_t first : works_[t].after)
            at = std::max(at, heads_[first] + works_[first].takes);
        heads_[t] = fit(works_[t], at, none, none);
    }
}

JobTime Placing::worked_off(JobTime from, JobTime work) const {
    JobTime day = from / seconds_a_day * seconds_a_day;
    from = std::max(from, day + begins_);
    while (work > 0) {
        const JobTime room = std::max<JobTime>(0, day + begins_ + day_long() - from);
        if (work <= room)
            return from + work;
        work -= room;
        day += seconds_a_day;
        from = day + begins_;
    }
    return from;
}

JobTime Placing::least_end() const {
    JobTime least = 0;
    for (std::size_t t = 0; t < works_.size(); ++t)
        least = std::max(least, heads_[t] + works_[t].takes);
    // From any moment on: all that cannot begin before it, shared out without a gap, and the least that follows.
    std::vector<std::size_t> latest_first(works_.size());
    std::iota(latest_first.begin(), latest_first.end(), std::size_t{0});
    std::ranges::sort(latest_first, std::greater{}, [&](std::size_t t) { return heads_[t]; });
    std::vector<JobTime> tails = tails_;
    std::ranges::sort(tails);
    tails.erase(std::ranges::unique(tails).begin(), tails.end());
    const std::size_t each = std::max<std::size_t>(1, tails.size() / 40);
    for (std::size_t q = 0; q < tails.size(); q += each) {
        JobTime work = 0;
        for (std::size_t i = 0; i < latest_first.size(); ++i) {
            const std::size_t t = latest_first[i];
            if (tails_[t] >= tails[q])
                work += works_[t].takes * works_[t].crew;
            const bool all_of_it = i + 1 == latest_first.size() || heads_[latest_first[i + 1]] < heads_[t];
            if (work > 0 && all_of_it)
                least = std::max(least, worked_off(heads_[t], (work + crew_ - 1) / crew_) + tails[q]);
        }
    }
    return least;
}

JobTime Placing::least_helper() const {
    JobTime least = 0;
    for (const Work& work : works_)
        if (work.helpers > 0)
            least += work.takes; // all of the crew is in it: no two at once
    return least;
}

JobTime Placing::helper_there(const std::vector<JobTime>& begins) const {
    std::map<JobTime, std::pair<JobTime, JobTime>> days;
    for (std::size_t t = 0; t < works_.size(); ++t)
        if (works_[t].helpers > 0) {
            auto& [from, to] = days.try_emplace(begins[t] / seconds_a_day, never, 0).first->second;
            from = std::min(from, begins[t]);
            to = std::max(to, begins[t] + works_[t].takes);
        }
    return std::accumulate(days.begin(), days.end(), JobTime{0},
                           [](JobTime sum, const auto& day) { return sum + day.second.second - day.second.first; });
}

JobTime Placing::goings(const std::vector<JobTime>& begins) const {
    std::vector<std::size_t> order(works_.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    std::ranges::stable_sort(order, {}, [&](std::size_t t) { return begins[t]; });
    JobTime number = 0;
    std::optional<std::size_t> last;
    for (const std::size_t t : order) {
        if (works_[t].cures())
            continue;
        number += last && places_[t] != *last;
        last = places_[t];
    }
    return number;
}

std::vector<std::size_t> Placing::ordered(const std::vector<double>& rank) const {
    using Ranked = std::pair<double, std::size_t>;
    std::priority_queue<Ranked, std::vector<Ranked>, std::greater<>> ready;
    std::vector<std::size_t> waiting(works_.size());
    for (std::size_t t = 0; t < works_.size(); ++t) {
        waiting[t] = works_[t].after.size();
        if (waiting[t] == 0)
            ready.push({rank[t], t});
    }
    std::vector<std::size_t> order;
    while (!ready.empty()) {
        const std::size_t t = ready.top().second;
        ready.pop();
        order.push_back(t);
        for (const std::size_t then : then_[t])
            if (--waiting[then] == 0)
                ready.push({rank[then], then});
    }
    return order;
}

} // namespace yes_square
