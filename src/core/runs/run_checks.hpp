#pragma once

#include "core/runs/run_site.hpp"

namespace yes_square {

/// A run being reckoned, with its units where they stand.
struct DraftRun {
    const Run& run;
    const std::vector<StandingUnit>& units;
    const RunSite& site;
};

/// What the checkers of a run share: its parts, and writing a check with its cures.
class RunChecker {
protected:
    RunChecker(const DraftRun& draft, RunPlan& plan)
        : draft_{draft}
        , site_{draft.site}
        , plan_{plan} {}

    Check& add(CheckCode code, Severity severity, Sentence message, std::optional<Quantity> amount = std::nullopt,
               std::optional<Length> x = std::nullopt, std::optional<Length> z = std::nullopt) {
        return plan_.checks.emplace_back(Check{code, severity, std::move(message), amount, {}, x, z});
    }
    static void advise(Check& check, Sentence words, std::optional<Edit> edit = std::nullopt) {
        check.cures.push_back({std::move(words), std::move(edit)});
    }

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
