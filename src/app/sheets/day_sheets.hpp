#pragma once

#include "app/sheets/page.hpp"
#include "core/reckon/reckon.hpp"

namespace yes_square::app {

/// Cut and kit: every stuff's parts and its cutting plan drawn, then what is taken along. Whether there was any.
bool write_cut_and_kit(Page& page, const Job& job, const Plan& plan);

/// The steps of the whole job in their order, to be ticked by hand. Whether there were any.
bool write_job_steps(Page& page, const Job& job, const Plan& plan);

/// What is handed over: each wall as it was built, what holds it and how sure that is, readings, what was otherwise
/// than planned, care, signatures. Whether there was anything.
bool write_hand_over(Page& page, const Job& job, const Plan& plan);

/// Templates at full size, tile by tile: the holes of everything on every wall, and the cut-outs of its boards and
/// worktops. Whether there were any.
bool write_templates(Page& page, const Job& job, const Plan& plan);

/// What the owner is told about using and keeping it.
std::vector<Sentence> care_notes();

} // namespace yes_square::app
