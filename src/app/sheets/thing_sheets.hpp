#pragma once

#include "app/sheets/page.hpp"
#include "core/reckon/reckon.hpp"

namespace yes_square::app {

/// For each thing a page with the wall's elevation and both rods, marks, drilling, checks that stand, cautions and
/// steps: wall after wall. Whether there was any.
bool write_things(Page& page, const Job& job, const Plan& plan);

} // namespace yes_square::app
