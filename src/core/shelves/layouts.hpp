#pragma once

#include "core/plan/wall_site.hpp"
#include "core/shelves/shelf_loads.hpp"

/// From a shelf and its wall to bracket layouts that have been weighed: sag and strength of each.
namespace yes_square {

/// Least and most arm for a depth: 70 % of it, and at least 1 in short of it (common practice).
struct ArmRange {
    Length least;
    Length most;
    bool holds(Length arm) const { return arm >= least && arm <= most; }
};
ArmRange arm_range(Length depth, const HouseRules& rules);

/// The bracket named by the shelf, or the longest arm in range; failing that the longest that is not too long.
std::optional<Bracket> choose_bracket(const Shelf& shelf, const WallSite& site);

/// The search's question for this shelf. Spacing is capped so that, by span, the long-term sag keeps its limit: simply
/// supported for two brackets, 0.0100 w L^4 / EI for more, which no pattern on a continuous shelf exceeds while its
/// neighbours are no longer; the chosen layout is then weighed on the beam itself.
BracketQuestion bracket_question(const Shelf& shelf, const WallSite& site, const Bracket& bracket);

/// The brackets of a layout with their reactions and fixings, and the verdict on sag. Brackets that hold in the lining
/// alone stiffen the shelf but carry nothing: strength is reckoned without them.
struct Weighed {
    std::vector<BracketPlan> brackets;
    SagVerdict sag;
    double utilisation = 0; ///< worst of fixings and rated brackets; infinite where nothing holds
    bool bracket_turns = false;
    bool keeps_limits() const { return sag.share() <= 1 && utilisation <= 1 && !bracket_turns; }
};
Weighed weigh(const Shelf& shelf, const WallSite& site, const Bracket& bracket, const BracketQuestion& question,
              const std::vector<Length>& places);

/// The layout of the shelf's own choice: its school's best that keeps sag and strength or, where none does, its best by
/// order; with the brackets it has extra. Where no layout keeps spacing and keep-outs, the keep-outs are dropped (what
/// then stands in one is flagged); where that fails too, a plain layout stands in.
struct WeighedLayout {
    Alternative alternative;
    Weighed weighed;
};
WeighedLayout chosen_layout(const Shelf& shelf, const WallSite& site, const Bracket& bracket);

/// Up to four more to choose from: each school's best, and the chosen school with one bracket more. The chosen one
/// comes first; same places are listed once; each says what it gives up against the others.
std::vector<Alternative> alternatives_to(Alternative chosen, const Shelf& shelf, const WallSite& site,
                                         const Bracket& bracket);

} // namespace yes_square
