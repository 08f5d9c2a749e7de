#pragma once

#include "core/runs/run_checks.hpp"

namespace yes_square {

/// What is cut for a run: fillers, panels, packers, worktop, plinth, rail, ledger.
std::vector<CutPart> cut_for(const DraftRun& draft, const RunPlan& plan);

/// What is bought for it, and the tools it wants: hooks, joining screws, clamps, a jack.
std::vector<Supply> bought_for(const DraftRun& draft, const RunPlan& plan);

} // namespace yes_square
