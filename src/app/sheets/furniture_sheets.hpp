#pragma once

#include "app/sheets/page.hpp"
#include "core/reckon/reckon.hpp"

namespace yes_square::app {

/// The sheets of a wall's wardrobes, pieces, boxes, hung cabinets and battens. Whether there were any.
bool write_furniture(Page& page, const Job& job, const Plan& plan, std::size_t wall);

/// Every piece that could tip with its verdict, to be handed over and signed. Whether there were any.
bool write_inventory(Page& page, const Job& job, const Plan& plan);

} // namespace yes_square::app
