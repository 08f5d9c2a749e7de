#pragma once

#include "core/shelves/bracket_search.hpp"
#include "core/shelves/carrier.hpp"
#include "core/shelves/shelf_loads.hpp"

#include <memory>

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
/// Whether packets say that the lining bears what no two studs do: where a place is in the lining, its anchor is rated
/// for it and for what it carries.
bool hangs_on_lining(const std::vector<BracketPlan>& places);

/// A joint needs a bracket that carries under it.
Weighed weigh(const Shelf& shelf, const WallSite& site, const Carrier& carrier, const BracketQuestion& question,
              const std::vector<Length>& places);

/// A layout with what it comes to.
struct WeighedLayout {
    Alternative alternative;
    Weighed weighed;
};

/// The layouts of one shelf. Each is weighed once, and only as far as asked: fixings not before its sag has passed.
/// Good for a shelf that differs in nothing but its school and its extra brackets.
class LayoutScales {
public:
    /// Refers to both. What stands at its places is asked for when it is wanted, and may throw.
    LayoutScales(const Shelf& shelf, const WallSite& site);
    ~LayoutScales();

    /// None: no bracket at hand fits.
    const std::optional<Carrier>& carrier();

    /// The layout of a school's choice: its best that keeps sag and strength or, where none does, its best by order;
    /// with the brackets it has extra. Where no layout keeps spacing and keep-outs, the keep-outs are dropped (what
    /// then stands in one is flagged); where that fails too, a plain layout stands in. Wants a carrier.
    WeighedLayout chosen(School school, int extra);

    /// Up to four more to choose from: each school's best, and the chosen school with one bracket more. The chosen one
    /// comes first; same places are listed once; each says what it gives up against the others. Wants a carrier.
    std::vector<Alternative> alternatives_to(Alternative chosen, School school, int extra);

private:
    class Weighing;
    Weighing& weighing(bool keep_outs);

    const Shelf& shelf_;
    const WallSite& site_;
    std::optional<std::optional<Carrier>> carrier_;
    std::unique_ptr<Weighing> with_keep_outs_;
    std::unique_ptr<Weighing> without_;
};

} // namespace yes_square
