#pragma once

#include "core/runs/run_site.hpp"

namespace yes_square {

/// Worktop and plinth of a run on the floor; suspension rail and temporary ledger of one on the wall. Each section runs
/// as far as units that share it stand side by side.
std::vector<RunPiece> pieces_of(const std::vector<StandingUnit>& units, const RunSite& site);

/// Lengths of a rail cut from stock: whole lengths first; a last piece too short to fix at both ends takes from the one
/// before it.
std::vector<Length> cut_from_stock(Length length, Length stock);

/// How the rail of a run is fixed, for its own load: every unit's weight hangs on it, shared by its fixings.
struct RailHold {
    std::optional<Fixing> fixing;
    double utilisation = 0; ///< infinite: nothing holds it
    std::size_t screws = 1; ///< at each place: a second one where one does not bear it
};
RailHold hold_of_rail(const RunPiece& rail, const std::vector<StandingUnit>& units, const std::vector<UnitPlan>& plans,
                      const RunSite& site);

} // namespace yes_square
