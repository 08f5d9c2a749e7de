#include "core/shelves/shelf_trials.hpp"

#include "core/job/job_problem.hpp"

#include "core/shelves/reckon_shelf.hpp"

#include <algorithm>

namespace yes_square {

ShelfTrials::ShelfTrials(const Shelf& shelf, const WallSite& site, LayoutScales& scales, const ShelfPlan& plan)
    : shelf_{shelf}
    , site_{site}
    , plan_{plan}
    , scales_{scales} {
    for (const Check& check : plan.checks)
        if (check.severity == Severity::error)
            errors_before_.insert(check.code);
}

bool ShelfTrials::offer(Check& check, Sentence words, Edit edit) const {
    if (repeated(check) || !helps(edit, check.code))
        return false;
    check.cures.push_back({std::move(words), std::move(edit)});
    return true;
}

bool ShelfTrials::helps(const Edit& edit, CheckCode code) const {
    const Outcome& outcome = outcome_of(edit);
    return !outcome.new_error && !outcome.codes.contains(code);
}

const ShelfTrials::Outcome& ShelfTrials::outcome_of(const Edit& edit) const {
    for (const auto& [tried, outcome] : tried_)
        if (tried == edit)
            return outcome;
    Shelf changed = shelf_;
    apply(edit, changed);
    Outcome outcome;
    // What no job may hold is no cure, and is not reckoned.
    outcome.new_error = job_problem(changed).has_value();
    if (outcome.new_error)
        return tried_.emplace_back(edit, std::move(outcome)).second;
    for (const Check& check : draft_after(edit, changed).checks) {
        outcome.codes.insert(check.code);
        outcome.new_error |= check.severity == Severity::error && !errors_before_.contains(check.code);
    }
    return tried_.emplace_back(edit, std::move(outcome)).second;
}

/// Another layout of the same shelf has mostly been weighed already.
ShelfPlan ShelfTrials::draft_after(const Edit& edit, const Shelf& changed) const {
    return std::holds_alternative<ChooseLayout>(edit) ? draft_shelf(changed, site_, scales_)
                                                      : draft_shelf(changed, site_);
}

bool ShelfTrials::repeated(const Check& check) const {
    return &*std::ranges::find(plan_.checks, check.code, &Check::code) != &check;
}

} // namespace yes_square
