#pragma once

#include "core/plan/plan.hpp"

namespace yes_square {

/// A line of plain text.
/// @param indent  blanks before it
std::string line(std::size_t indent, const Sentence& sentence, const Voice& voice);

/// What stands or hangs by itself on a wall, in plain text; empty where nothing does.
std::string things_text(const WallPlan& wall, const Voice& voice);

/// A line for each check of a thing, its cures under it.
std::string checks_of_one(const std::vector<Check>& checks, const Voice& voice);

/// The inventory of what could tip, one piece a line; empty where there is none.
std::string inventory_text(const Job& job, const Plan& plan, const Voice& voice);

} // namespace yes_square
