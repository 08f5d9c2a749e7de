#pragma once

#include "core/job/job.hpp"
#include "core/plan/run_plan.hpp"

#include <map>

/// Where the units of a run stand along its wall.
namespace yes_square {

/// What the runs of a wall need to know from outside it.
struct RunNeighbours {
    /// How far the runs of the walls beside this one reach out from theirs, doors included, by the run's id.
    std::map<std::string, Length> reach;
    bool operator==(const RunNeighbours&) const = default;
};

/// How far a run takes up the next wall from the corner at its right or left end: its depth with the doors, or what a
/// corner unit there reaches along that wall.
Length reach_of(const Run& run, const RunRules& rules, bool at_right_end);

/// Every run of a wall, as in the wall. A run that begins where another of this wall ends follows it.
/// @param width  between the wall's ends: the least that was read, so that a run fits between leaning walls
std::vector<RunLayout> place_runs(const Wall& wall, Length width, const RunNeighbours& neighbours);

/// Units by number, without a filler between them: they move together.
struct UnitChain {
    std::size_t first = 0;
    std::size_t last = 0;
};
std::vector<UnitChain> chains_of(const Run& run);

bool is_filler(const CabinetUnit& unit);

/// Least and most width of a filler. A filler without them keeps its own.
Length least_of(const CabinetUnit& filler);
Length most_of(const CabinetUnit& filler);

} // namespace yes_square
