#pragma once

#include "core/shelves/shelf_loads.hpp"
#include "core/shelves/shelf_site.hpp"

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
std::optional<Bracket> choose_bracket(const Shelf& shelf, const ShelfSite& site);

/// The search's question for this shelf. Spacing is capped so that, by span, the long-term sag keeps its limit: simply
/// supported for two brackets, 0.0100 w L^4 / EI for more, which no pattern on a continuous shelf exceeds while its
/// neighbours are no longer; the chosen layout is then weighed on the beam itself.
BracketQuestion bracket_question(const Shelf& shelf, const ShelfSite& site, const Bracket& bracket);

/// The brackets of a layout with their reactions and fixings, and the verdict on sag. Brackets that hold in the lining
/// alone stiffen the shelf but carry nothing: strength is reckoned without them.
struct Weighed {
    std::vector<BracketPlan> brackets;
    SagVerdict sag;
    double utilisation = 0; ///< worst of fixings and rated brackets; infinite where nothing holds
    bool bracket_turns = false;
    bool keeps_limits() const { return sag.share() <= 1 && utilisation <= 1 && !bracket_turns; }
};
Weighed weigh(const Shelf& shelf, const ShelfSite& site, const Bracket& bracket, const BracketQuestion& question,
              const std::vector<Length>& places);

/// Up to five layouts, the shelf's own choice first: each school's best that keeps sag and strength (or, where none
/// does, its best by order), and the chosen school with one bracket more. Same places are listed once.
struct Layouts {
    std::vector<Alternative> alternatives;
    bool limits_dropped = false; ///< no layout keeps spacing and keep-outs; a plain one stands in
};
Layouts find_layouts(const Shelf& shelf, const ShelfSite& site, const Bracket& bracket);

} // namespace yes_square
