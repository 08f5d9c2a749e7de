#pragma once

#include "app/sheets/page.hpp"
#include "core/plan/plan.hpp"

namespace yes_square::app {

/// The router and saw schedule: every part that is worked on the bench, drawn, with each cut in a table.
/// @return whether there is any
bool write_bench_work(Page& page, const Job& job, const Plan& plan);

/// The job over days: each day by person, and who does which steps when.
bool write_days(Page& page, const Job& job, const Plan& plan);

} // namespace yes_square::app
