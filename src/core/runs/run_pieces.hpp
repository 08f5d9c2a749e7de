#pragma once

#include "core/runs/run_site.hpp"

namespace yes_square {

/// Worktop and plinth of a run on the floor; suspension rail and temporary ledger of one on the wall. Each section runs
/// as far as units that share it stand side by side.
std::vector<RunPiece> pieces_of(const Run& run, const std::vector<StandingUnit>& units, const RunSite& site);

/// Lengths of a rail cut from stock: whole lengths first; a last piece too short to fix at both ends takes from the one
/// before it.
std::vector<Length> cut_from_stock(Length length, Length stock, Length shortest);

/// How the rail of a run is fixed: a beam over its fixings with the units' hooks at their real places, near the sides
/// of each unit. A fixing bears the greater of what the continuous beam and a beam cut over every fixing put on it,
/// goods in every unit or in any of them. Each unit pulls about its own foot.
RailHold hold_of_rail(const RunPiece& rail, const Run& run, const std::vector<StandingUnit>& units,
                      const std::vector<UnitPlan>& plans, const RunSite& site);

} // namespace yes_square
