#pragma once

#include "core/cutting/cut_list.hpp"
#include "core/plan/plan.hpp"

#include <string>

namespace yes_square {

/// A job, a room or a wall as one HTML file for a phone: each wall's drawing, its marks in walking order, the gate
/// before the drill, the hole through the wall, every step, what to take along, notes and readings. It wants no network
/// and no other file; what is ticked on it comes back by take_pocket().
/// @param revision  of the job's figures, to be told from another print; empty: not told
std::string pocket_sheet(const Job& job, const Plan& plan, const Voice& voice, const Scope& scope = {},
                         const std::string& revision = {});

} // namespace yes_square
