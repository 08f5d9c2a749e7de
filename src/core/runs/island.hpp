#pragma once

#include "core/runs/run_checks.hpp"

/// Units that stand free in the room: what keeps them from tipping, by what they are held to the floor.
namespace yes_square {

/// From an island's fronts back to the line it would tip over: the plinth's own face is set back, and the frame behind
/// it; where sides stand on the floor, to the foot of these.
Length foot_line(const StandingUnit& standing, const RunRules& rules);

/// Of each stretch of cabinets side by side with their bottoms at one height, the unit that asks most: with its drawers
/// and doors open, pulled, climbed on (as any piece that may tip, on a hard floor it is screwed to), and with somebody
/// sitting on the worktop's front edge. What stands behind within the gap that backs are screwed over holds it down,
/// empty. The house's factors on both sides; the force is what the screws at the back bear, two or four for each unit.
/// A cleat is pulled up at its edge and presses on the other: its floor screws bear twice as much. Statics; the
/// layout is common practice. Nothing holds what is tall here or hangs.
/// @param plans  of the units, with their masses
std::vector<IslandHold> hold_island(const std::vector<StandingUnit>& units, const std::vector<UnitPlan>& plans,
                                    const RunSite& site);

/// How it is set out on the floor, held, joined and closed; worktop and doors come after it, as on any run.
std::vector<Step> island_steps(const DraftRun& draft, const RunPlan& plan);

} // namespace yes_square
