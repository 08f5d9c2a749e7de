#pragma once

#include "app/sheets/page.hpp"
#include "core/plan/plan.hpp"
#include "core/sheets/drawing.hpp"

/// What several sheets have in common.
namespace yes_square::app {

/// "Hall shelves. A. Client, 3 Lane": under a sheet's heading.
QString under(const Job& job);

/// The wall with one thing of it picked out.
Drawing picture_of(const Wall& wall, const WallPlan& plan, const std::string& item, double width, double height,
                   const Voice& voice);

/// That a wall is measured from its right end, in large words at the head of its sheets; of one measured from its left
/// nothing, as every foot says so.
void write_tape(Page& page, const Tape& tape);

/// Steps by their numbers, what a lift asks of hands under each.
void write_steps(Page& page, const std::vector<Step>& steps, const Voice& voice);

} // namespace yes_square::app
