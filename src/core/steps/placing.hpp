#pragma once

#include "core/steps/day_schedule.hpp"

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>
#include <vector>

/// Steps put into the hours of days: what an order of them comes to.
namespace yes_square {

inline constexpr JobTime never = std::numeric_limits<JobTime>::max() / 4;

/// How many hands of a kind are taken over time.
class Hands {
public:
    int used(JobTime at) const {
        const auto next = steps_.upper_bound(at);
        return next == steps_.begin() ? 0 : std::prev(next)->second;
    }
    int most_used(JobTime from, JobTime to) const {
        int most = used(from);
        for (auto step = steps_.upper_bound(from); step != steps_.end() && step->first < to; ++step)
            most = std::max(most, step->second);
        return most;
    }
    void take(JobTime from, JobTime to, int hands) {
        if (from == to)
            return; // what takes no time takes no hands
        split(from);
        split(to);
        for (auto step = steps_.find(from); step->first < to; ++step)
            step->second += hands;
        join(from);
        join(to);
    }
    /// The next moment after this at which fewer may be taken.
    JobTime next_change(JobTime after) const {
        const auto next = steps_.upper_bound(after);
        return next == steps_.end() ? never : next->first;
    }

private:
    void split(JobTime at) { steps_.emplace(at, used(at)); }
    /// A day without a gap is one stretch.
    void join(JobTime at) {
        const auto step = steps_.find(at);
        if (step->second == (step == steps_.begin() ? 0 : std::prev(step)->second))
            steps_.erase(step);
    }
    std::map<JobTime, int> steps_;
};

struct ShutHours {
    JobTime from = 0;
    JobTime to = 0;
};

struct Work {
    JobTime takes = 0;
    JobTime not_before = 0;
    int crew = 0;      ///< of the crew's hands
    int helpers = 0;   ///< and others
    bool done = false; ///< ticked off: it takes nothing any more
    std::vector<std::size_t> after;
    std::vector<ShutHours> shut; ///< when nobody may be at it: its room is shut
    bool cures() const { return crew == 0; }
};

/// The steps of a job with its hours and hands: an order of them made into the earliest schedule that keeps it, what it
/// comes to, and what no order can be better than. Refers to the job and its order, which must outlive it.
class Placing {
public:
    Placing(const Job& job, const JobOrder& order);

    void longer(std::size_t task, JobTime by) { works_[task].takes += by; }

    /// Each step as early as it can be, in an order that keeps what comes before what.
    std::vector<JobTime> begun_in(const std::vector<std::size_t>& order) const;
    JobTime end_of(const std::vector<JobTime>& begins) const {
        JobTime end = 0;
        for (std::size_t t = 0; t < works_.size(); ++t)
            end = std::max(end, begins[t] + works_[t].takes);
        return end;
    }

    JobTime least_end() const;
    /// Steps that want a helper, one after another without a gap where the crew has hands for one at a time.
    JobTime least_helper() const;
    JobTime helper_there(const std::vector<JobTime>& begins) const;
    /// How often the next thing that somebody does is on another wall.
    JobTime goings(const std::vector<JobTime>& begins) const;
    /// An order by a rank, the lowest of those first that may come.
    std::vector<std::size_t> ordered(const std::vector<double>& rank) const;

protected:
    static JobTime seconds(double hours) { return static_cast<JobTime>(std::llround(hours * 3600)); }
    static JobTime morning(int day) { return (day - 1) * seconds_a_day; }
    Work work_of(const Task& task) const;
    JobTime day_long() const { return std::max<JobTime>(60, ends_ - begins_); }
    /// The first moment from `at` on at which the crew may do something of this length without breaking off.
    JobTime in_hours(JobTime at, JobTime takes) const;
    bool helpers_told() const { return !job_.days.helpers.empty(); }
    /// How many helpers are there all through a stretch.
    int helpers_there(JobTime from, JobTime to) const;
    /// The next moment at which a helper comes.
    JobTime next_helper(JobTime after) const;
    /// The first moment from `at` on at which the crew may do something of this length in its room.
    JobTime in_open_room(const Work& work, JobTime at) const;
    JobTime fit(const Work& work, JobTime at, const Hands& crew, const Hands& helpers) const;
    /// What follows each step at the least, without hours or hands: for what is urgent, and for the bound.
    void find_tails();
    /// When each step could begin at the earliest, as many hands as it likes.
    void find_heads();
    /// When so much work of one pair of hands is done at the earliest, begun at `from` and broken off overnight.
    JobTime worked_off(JobTime from, JobTime work) const;

    const Job& job_;
    const JobOrder& order_;
    const JobTime begins_; ///< of a working day, from midnight
    const JobTime ends_;
    const int crew_;
    std::vector<Work> works_;
    std::vector<std::vector<std::size_t>> then_;
    std::vector<JobTime> tails_;
    std::vector<JobTime> heads_;
    std::vector<std::size_t> places_; ///< of each step: the first step on its wall, or of its thing
};

} // namespace yes_square
