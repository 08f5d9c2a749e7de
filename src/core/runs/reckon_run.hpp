#pragma once

#include "core/runs/run_site.hpp"

namespace yes_square {

/// Everything that follows from a run. Never throws for a strange one: what cannot be reckoned becomes a check on it.
/// @param number  of the run on its wall, from 0
RunPlan reckon_run(std::size_t number, const RunSite& site);

} // namespace yes_square
