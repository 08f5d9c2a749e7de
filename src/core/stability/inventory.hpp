#pragma once

#include "core/plan/plan.hpp"

namespace yes_square {

/// Every piece of a job that could tip, with its verdict, for the sheet that is handed over: pieces, tall cabinets of
/// runs, and wardrobes.
std::vector<InventoryRow> inventory(const Job& job, const Plan& plan);

} // namespace yes_square
