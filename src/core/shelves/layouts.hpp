#pragma once

#include "core/shelves/bracket_search.hpp"
#include "core/shelves/carrier.hpp"
#include "core/shelves/shelf_loads.hpp"

/// From a shelf and its wall to bracket layouts that have been weighed: sag and strength of each.
namespace yes_square {

/// The search's question for this shelf. Spacing is capped so that, by span, the long-term sag keeps its limit: simply
/// supported for two brackets, 0.0100 w L^4 / EI for more, which no pattern on a continuous shelf exceeds while its
/// neighbours are no longer; the chosen layout is then weighed on the beam itself.
BracketQuestion bracket_question(const Shelf& shelf, const WallSite& site, const Carrier& carrier);

/// The brackets of a layout with their reactions and fixings, and the verdict on sag. Brackets that hold in the lining
/// alone steady the shelf and carry nothing: it is judged with them and without, and the worse counts.
struct Weighed {
    std::vector<BracketPlan> brackets;
    SagVerdict sag;
    Utilisation board_utilisation = Utilisation::none(); ///< bending stress in the board over what it may bear
    Utilisation utilisation =
        Utilisation::none(); ///< worst of board, fixings, rods and rated brackets; refused where nothing holds
    bool bracket_turns = false;
    bool keeps_limits() const { return sag.share() <= 1 && !utilisation.over() && !bracket_turns; }
};
/// A joint needs a bracket that carries under it.
Weighed weigh(const Shelf& shelf, const WallSite& site, const Carrier& carrier, const BracketQuestion& question,
              const std::vector<Length>& places);

/// The layout of the shelf's own choice: its school's best that keeps sag and strength or, where none does, its best by
/// order; with the brackets it has extra. Where no layout keeps spacing and keep-outs, the keep-outs are dropped (what
/// then stands in one is flagged); where that fails too, a plain layout stands in.
struct WeighedLayout {
    Alternative alternative;
    Weighed weighed;
};
WeighedLayout chosen_layout(const Shelf& shelf, const WallSite& site, const Carrier& carrier);

/// Up to four more to choose from: each school's best, and the chosen school with one bracket more. The chosen one
/// comes first; same places are listed once; each says what it gives up against the others.
std::vector<Alternative> alternatives_to(Alternative chosen, const Shelf& shelf, const WallSite& site,
                                         const Carrier& carrier);

} // namespace yes_square
