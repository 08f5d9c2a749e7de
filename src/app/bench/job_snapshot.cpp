#include "app/bench/job_snapshot.hpp"

#include <algorithm>
#include <utility>

namespace yes_square::app {
namespace {

template <class Value>
std::shared_ptr<const Value> keep(Value value, const std::shared_ptr<const Value>& earlier) {
    return earlier && *earlier == value ? earlier : std::make_shared<const Value>(std::move(value));
}

} // namespace

JobSnapshot::JobSnapshot(Job job, const JobSnapshot* earlier) {
    static const std::vector<std::shared_ptr<const Wall>> none;
    const auto& walls_before = earlier ? earlier->walls_ : none;
    walls_.reserve(job.walls.size());
    for (Wall& wall : std::exchange(job.walls, {})) {
        // By its id: walls that come and go move those after them.
        const auto same = std::ranges::find_if(walls_before, [&](const auto& kept) { return kept->id == wall.id; });
        walls_.push_back(keep(std::move(wall), same == walls_before.end() ? nullptr : *same));
    }
    catalogue_ = keep(std::exchange(job.catalogue, {}), earlier ? earlier->catalogue_ : nullptr);
    log_ = keep(std::exchange(job.log, {}), earlier ? earlier->log_ : nullptr);
    ticks_ = keep(std::exchange(job.ticks, {}), earlier ? earlier->ticks_ : nullptr);
    rest_ = std::move(job);
}

Job JobSnapshot::job() const {
    Job job = rest_;
    for (const auto& wall : walls_)
        job.walls.push_back(*wall);
    job.catalogue = *catalogue_;
    job.log = *log_;
    job.ticks = *ticks_;
    return job;
}

std::size_t JobSnapshot::shared_with(const JobSnapshot& other) const {
    std::size_t shared = catalogue_ == other.catalogue_;
    shared += log_ == other.log_;
    shared += ticks_ == other.ticks_;
    for (const auto& wall : walls_)
        shared += std::ranges::find(other.walls_, wall) != other.walls_.end();
    return shared;
}

} // namespace yes_square::app
