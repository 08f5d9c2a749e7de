#pragma once

#include "core/job/job.hpp"

#include <memory>
#include <vector>

namespace yes_square::app {

/// A job as it was at one moment. What did not change since an earlier one is kept once for both, wall by wall, so that
/// hundreds of edits take little more room than what they edited.
class JobSnapshot {
public:
    explicit JobSnapshot(Job job)
        : JobSnapshot{std::move(job), nullptr} {}
    JobSnapshot(Job job, const JobSnapshot& earlier)
        : JobSnapshot{std::move(job), &earlier} {}

    Job job() const;

    /// How many of its parts - walls, catalogue, log, ticks - are kept once for it and the other.
    std::size_t shared_with(const JobSnapshot& other) const;

private:
    JobSnapshot(Job job, const JobSnapshot* earlier);

    Job rest_; ///< without what is below
    std::vector<std::shared_ptr<const Wall>> walls_;
    std::shared_ptr<const Catalogue> catalogue_;
    std::shared_ptr<const std::vector<LogEntry>> log_;
    std::shared_ptr<const std::vector<Tick>> ticks_;
};

} // namespace yes_square::app
