#pragma once

#include "core/runs/run_checks.hpp"

namespace yes_square {

/// The sums behind a run: its tally, its slack, and for unit N (counted from 1) "unit/N/place", "unit/N/stud",
/// "unit/N/load", "unit/N/screw", "unit/N/lift", "unit/N/feet"; of a join "join/N"; of units on the open floor
/// "island/N/pull" and "island/N/joint/M".
std::vector<Working> workings_of(const DraftRun& draft, const RunPlan& plan);

/// How the run goes up, in order, with its hold points: for wall units or base units, from the corner or from an end.
std::vector<Step> steps_of(const DraftRun& draft, const RunPlan& plan);

/// Why a school of hanging is chosen, and what it gives up.
Sentence reason_of(HangFirst first);
Sentence reason_of(StartAt start);

} // namespace yes_square
