#include "core/steps/day_schedule.hpp"

#include "core/steps/placing.hpp"

#include <algorithm>
#include <array>
#include <fmt/format.h>
#include <map>
#include <numeric>
#include <random>

namespace yes_square {
namespace {

constexpr std::size_t few_steps = 7;      ///< so many are tried in every order
constexpr std::size_t anew_below = 40;    ///< up to so many, all of an order is drawn anew too
constexpr JobTime nobody_minds = 900;     ///< a quarter of an hour later is as early
constexpr std::size_t most_work = 60'000; ///< orders times steps that the search may weigh

class Scheduler : public Placing {
public:
    using Placing::Placing;

    DaySchedule find() {
        DaySchedule schedule;
        schedule.crew = static_cast<std::size_t>(crew_);
        say_impossible(schedule);
        schedule.done = static_cast<std::size_t>(std::ranges::count(works_, true, &Work::done));
        if (schedule.done == works_.size() || !schedule.impossible.empty())
            return schedule;
        schedule.least_end = least_end();
        schedule.least_helper = least_helper();
        bound_ = schedule.least_end;
        search(schedule.least_end);
        fill(schedule);
        return schedule;
    }

    /// The same hands at the same steps in the same order, each no earlier than it was: what a longer step pushes on.
    std::vector<JobTime> pushed_on(const DaySchedule& schedule) const {
        const Hands none; // who does what is kept, so nobody is wanted twice at a time
        std::map<std::size_t, JobTime> free_from;
        std::vector<JobTime> begins(works_.size(), 0);
        for (const ScheduledTask& each : schedule.tasks) {
            const Work& work = works_[each.task];
            JobTime at = each.begins;
            for (const std::size_t first : work.after)
                at = std::max(at, begins[first] + works_[first].takes);
            for (const std::size_t who : each.by)
                at = std::max(at, free_from[who]);
            at = fit(work, at, none, none);
            begins[each.task] = at;
            for (const std::size_t who : each.by)
                free_from[who] = at + work.takes;
        }
        return begins;
    }

private:
    /// When it ends, in steps that nobody minds; how long a helper is there; how often one goes over to another wall;
    /// when it ends to the minute. Less is better.
    using Merit = std::array<JobTime, 4>;
    struct Found {
        std::vector<std::size_t> order;
        std::vector<JobTime> begins;
        Merit merit{never, never, never, never};
    };

    void weigh(std::vector<std::size_t> order) {
        Found here;
        weigh(std::move(order), here);
    }
    /// Takes an order where it is better than what was found here, and than all that was found.
    void weigh(std::vector<std::size_t> order, Found& here) {
        ++placings_;
        std::vector<JobTime> begins = begun_in(order);
        const JobTime end = end_of(begins);
        earliest_ = std::min(earliest_, end);
        const Merit merit{std::max<JobTime>(0, end - bound_) / nobody_minds, helper_there(begins), goings(begins), end};
        if (merit >= here.merit)
            return;
        here = {std::move(order), std::move(begins), merit};
        if (merit < best_.merit)
            best_ = here;
    }

    void every_order(std::vector<std::size_t>& order, std::vector<bool>& taken) {
        if (order.size() == works_.size())
            return weigh(order);
        for (std::size_t t = 0; t < works_.size(); ++t) {
            if (taken[t] || std::ranges::any_of(works_[t].after, [&](std::size_t first) { return !taken[first]; }))
                continue;
            taken[t] = true;
            order.push_back(t);
            every_order(order, taken);
            order.pop_back();
            taken[t] = false;
        }
    }

    void search(JobTime& least) {
        const std::size_t number = works_.size();
        std::vector<double> as_told(number);
        std::iota(as_told.begin(), as_told.end(), 0.0);
        std::vector<double> urgent(number);
        std::vector<double> helped(number);
        std::vector<double> waits_soon(number); // and what leads to a wait first of all
        const std::vector<bool> to_helper = leads_to([](const Work& work) { return work.helpers > 0; });
        const std::vector<bool> to_cure = leads_to([](const Work& work) { return work.cures(); });
        for (std::size_t t = 0; t < number; ++t) {
            urgent[t] = -static_cast<double>(tails_[t] + works_[t].takes);
            // All that leads to them, then what wants a helper, then the rest: they come together.
            helped[t] = as_told[t] + (works_[t].helpers > 0 ? 1e6 : to_helper[t] ? 0 : 2e6);
            waits_soon[t] = to_cure[t] ? as_told[t] - 1e6 : helped[t];
        }
        std::vector<double> wall_by_wall(number);
        std::vector<double> helped_by_wall(number);
        for (std::size_t t = 0; t < number; ++t) {
            wall_by_wall[t] = static_cast<double>(places_[t]) * 1e4 + as_told[t] / 1e2;
            helped_by_wall[t] = wall_by_wall[t] + (works_[t].helpers > 0 ? 1e9 : to_helper[t] ? 0 : 2e9);
        }
        for (const auto* rank : {&as_told, &urgent, &helped, &waits_soon, &wall_by_wall, &helped_by_wall})
            weigh(ordered(*rank));
        if (number <= few_steps) {
            std::vector<std::size_t> order;
            std::vector<bool> taken(number);
            every_order(order, taken);
            least = earliest_; // nothing that was not tried
            return;
        }
        // Some of the best order is moved at random, then each step is tried in every place near it, as long as that
        // helps; and again, from the best so far.
        std::minstd_rand dice{20260301};
        std::uniform_real_distribution<double> shift{0, 1};
        const std::size_t most_placings = most_work / number;
        const auto over = [&] { return placings_ >= most_placings; };
        // Of few steps every second order is a new one altogether: what rooms that are shut part is not near.
        for (bool afresh = false; !over(); afresh = !afresh && number <= anew_below) {
            Found here;
            std::vector<double> rank(number);
            const double reach = static_cast<double>(number) * (0.05 + shift(dice));
            for (std::size_t i = 0; i < number; ++i)
                rank[best_.order[i]] =
                    afresh ? shift(dice) : static_cast<double>(i) + reach * (shift(dice) < 0.4 ? shift(dice) - 0.5 : 0);
            weigh(ordered(rank), here);
            descend(here, over);
        }
    }

    void descend(Found& here, const auto& over) {
        constexpr int reach = 12;
        for (bool better = true; better && !over();) {
            better = false;
            for (std::size_t i = 0; i < here.order.size() && !over(); ++i)
                for (int by = -reach; by <= reach && !over(); ++by) {
                    if (by == 0)
                        continue;
                    std::vector<double> rank(here.order.size());
                    for (std::size_t k = 0; k < here.order.size(); ++k)
                        rank[here.order[k]] = static_cast<double>(k);
                    rank[here.order[i]] += by + (by > 0 ? 0.5 : -0.5);
                    const auto before = here.merit;
                    weigh(ordered(rank), here);
                    better = better || here.merit < before;
                }
        }
    }

    /// Whether something of a sort comes after each step, however far.
    std::vector<bool> leads_to(auto&& sort) const {
        std::vector<bool> leads(works_.size(), false);
        for (std::size_t t = works_.size(); t-- > 0;)
            leads[t] =
                std::ranges::any_of(then_[t], [&](std::size_t next) { return leads[next] || sort(works_[next]); });
        return leads;
    }

    void fill(DaySchedule& schedule) const {
        for (std::size_t t = 0; t < works_.size(); ++t)
            if (!works_[t].done)
                schedule.tasks.push_back({t, best_.begins[t], best_.begins[t] + works_[t].takes, {}, 0});
        std::ranges::stable_sort(schedule.tasks, {}, [](const ScheduledTask& each) {
            return std::tuple{each.begins, each.ends, each.task};
        });
        schedule.ends = end_of(best_.begins);
        schedule.helper_there = helper_there(best_.begins);
        name_hands(schedule);
        find_slack(schedule);
    }

    /// Who was at what a step follows goes on with it, then who is at the same thing, then whoever is free.
    void name_hands(DaySchedule& schedule) const {
        struct Person {
            JobTime free_from = 0;
            std::optional<std::size_t> last = {};
        };
        std::vector<Person> persons(static_cast<std::size_t>(crew_));
        std::vector<JobTime> helpers;
        for (ScheduledTask& each : schedule.tasks) {
            const Work& work = works_[each.task];
            const auto strangeness = [&](std::size_t p) {
                const auto& last = persons[p].last;
                const bool follows = last && std::ranges::find(work.after, *last) != work.after.end();
                const bool same = last && order_.tasks[*last].item_name == order_.tasks[each.task].item_name;
                return std::pair{follows ? 0 : same ? 1 : 2, p};
            };
            std::vector<std::size_t> free;
            for (std::size_t p = 0; p < persons.size(); ++p)
                if (persons[p].free_from <= each.begins)
                    free.push_back(p);
            std::ranges::sort(free, {}, strangeness);
            free.resize(std::min(free.size(), static_cast<std::size_t>(work.crew)));
            for (const std::size_t p : free) {
                persons[p] = {each.ends, each.task};
                each.by.push_back(p);
            }
            for (int h = 0; h < work.helpers; ++h) {
                auto idle = std::ranges::find_if(helpers, [&](JobTime from) { return from <= each.begins; });
                if (idle == helpers.end())
                    idle = helpers.insert(helpers.end(), 0);
                *idle = each.ends;
                each.by.push_back(schedule.crew + static_cast<std::size_t>(idle - helpers.begin()));
            }
            std::ranges::sort(each.by);
        }
        schedule.helpers = helpers.size();
    }

    /// As late as each could end with the same hands in the same order, the job's end kept.
    void find_slack(DaySchedule& schedule) const {
        std::vector<JobTime> latest(works_.size(), schedule.ends);
        std::map<std::size_t, JobTime> hands_wanted; // from when on, by person
        for (auto each = schedule.tasks.rbegin(); each != schedule.tasks.rend(); ++each) {
            JobTime end = schedule.ends;
            for (const std::size_t next : then_[each->task])
                end = std::min(end, latest[next] - works_[next].takes);
            for (const std::size_t person : each->by)
                if (const auto wanted = hands_wanted.find(person); wanted != hands_wanted.end())
                    end = std::min(end, wanted->second);
            const Work& work = works_[each->task];
            // It is not broken off overnight: later is later on its own day.
            if (!work.cures())
                end = std::min(end, each->begins / seconds_a_day * seconds_a_day + begins_ + day_long());
            end = std::max(end, each->ends);
            latest[each->task] = end;
            each->slack = end - each->ends;
            for (const std::size_t person : each->by)
                hands_wanted[person] = end - work.takes;
        }
    }

    void say_impossible(DaySchedule& schedule) const {
        const WorkDays& days = job_.days;
        if (days.begins >= 24 || days.ends() > 24) {
            schedule.impossible.push_back(
                {"Work from {0} o'clock for {1} goes past midnight: begin earlier or work fewer hours",
                 {fmt::format("{:g}", days.begins), minutes(days.hours * 60)}});
            return;
        }
        for (std::size_t t = 0; t < works_.size(); ++t)
            if (!works_[t].cures() && works_[t].takes > day_long()) {
                schedule.impossible.push_back(
                    {"\"{0}\" takes {1}, more than a day's work, and is not broken off: work longer hours, or put its "
                     "minutes right",
                     {say(order_.tasks[t].step.words, {job_.unit}), minutes(order_.tasks[t].minutes)}});
                return;
            }
        if (!helpers_told())
            return;
        for (std::size_t t = 0; t < works_.size(); ++t)
            if (heads_[t] >= never / 2) {
                schedule.impossible.push_back(
                    {"\"{0}\" wants {1} persons, and no helper is there for {2} at a stretch in working hours: give "
                     "one more time, or none at all and see when one is wanted",
                     {say(order_.tasks[t].step.words, {job_.unit}),
                      count(static_cast<std::size_t>(works_[t].crew + works_[t].helpers)),
                      minutes(static_cast<double>(works_[t].takes) / 60)}});
                return;
            }
        const std::vector<JobTime> begins = begun_in(ordered(std::vector<double>(works_.size(), 0)));
        if (end_of(begins) >= never / 2)
            schedule.impossible.push_back(
                {"The helper's time is too short for all that wants one: give more of it, or none at all and see when "
                 "one is wanted"});
    }
    JobTime bound_ = 0;
    JobTime earliest_ = never; ///< end of any that was weighed
    Found best_;
    std::size_t placings_ = 0; ///< orders that were weighed
};

} // namespace

DaySchedule day_schedule(const Job& job, const JobOrder& order) {
    DaySchedule schedule = Scheduler{job, order}.find();
    for (const Fitter& fitter : job.fitters)
        schedule.names.push_back(fitter.name);
    return schedule;
}

Slips slips_when(const Job& job, const JobOrder& order, const DaySchedule& schedule, std::size_t task, JobTime longer) {
    Slips slips;
    if (schedule.tasks.size() + schedule.done != order.tasks.size() || task >= order.tasks.size())
        return slips;
    Scheduler scheduler{job, order};
    scheduler.longer(task, longer);
    const std::vector<JobTime> begins = scheduler.pushed_on(schedule);
    for (const ScheduledTask& each : schedule.tasks)
        if (begins[each.task] > each.begins)
            slips.tasks.push_back({each.task, each.begins, begins[each.task]});
    slips.ends = scheduler.end_of(begins);
    return slips;
}

} // namespace yes_square
