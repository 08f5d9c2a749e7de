#pragma once

#include "app/sheets/page.hpp"
#include "core/plan/plan.hpp"

namespace yes_square::app {

/// The sheets of one run: the wall, where each unit stands, its fixings and steps; then a card of every unit's back,
/// and its scribes as tables and at full size.
void write_run(Page& page, const Job& job, const Plan& plan, std::size_t wall, std::size_t run);

} // namespace yes_square::app
