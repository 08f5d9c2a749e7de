#pragma once

#include "core/runs/run_site.hpp"
#include "core/site/check_writer.hpp"

namespace yes_square {

/// A run being reckoned, with its units where they stand.
struct DraftRun {
    const Run& run;
    const std::vector<StandingUnit>& units;
    const RunSite& site;
};

/// What the checkers of a run share.
class RunChecker : protected CheckWriter {
protected:
    RunChecker(const DraftRun& draft, RunPlan& plan)
        : CheckWriter{plan.checks}
        , draft_{draft}
        , site_{draft.site}
        , plan_{plan} {}

    const DraftRun& draft_;
    const RunSite& site_;
    RunPlan& plan_;
};

/// Ends, overrun and gaps, openings, obstacles, other runs, shelves, the next wall, ceiling and floor.
void check_places(const DraftRun& draft, RunPlan& plan);

/// Studs, rails, backs, strips, loads, lifts, hooks, joining screws.
void check_hold(const DraftRun& draft, RunPlan& plan);

/// Legs, parallel openings, scribes, hoods, doors, and tall units that must be tilted upright.
void check_fit(const DraftRun& draft, RunPlan& plan);

} // namespace yes_square
