#pragma once

#include "app/sheets/page.hpp"
#include "core/plan/plan.hpp"

namespace yes_square::app {

/// For the owner: every cabinet that hung already, what was found in it screw by screw, what that comes to, and what is
/// to be done.
/// @return whether there is any
bool write_findings(Page& page, const Job& job, const Plan& plan);

} // namespace yes_square::app
