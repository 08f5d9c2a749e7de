#pragma once

#include "core/fixings/choose_fixing.hpp"
#include "core/site/wall_site.hpp"

namespace yes_square {

/// Least and most arm for a depth: 70 % of it, and at least 1 in short of it (common practice).
struct ArmRange {
    Length least;
    Length most;
    bool holds(Length arm) const { return arm >= least && arm <= most; }
};
ArmRange arm_range(Length depth, const HouseRules& rules);

/// What stands at each place along a shelf and carries it: a bracket, a slotted upright, a hidden rod, a pole's end
/// bracket, or the screws of a rail by themselves. Its geometry on the wall, and how the load comes on it.
struct Carrier {
    Bracket bracket;       ///< as it hangs: a turned one with its holes turned
    Length over;           ///< its top above the highest board's underside
    DrivenThrough through; ///< what its screws pass
    Length most;           ///< furthest apart
    double load_at = 0;    ///< m from the wall's face, where goods and board act
    double edge_at = 0;    ///< m, where somebody leans
    int boards = 1;        ///< that come down on one of it
    bool one_leg = false;  ///< carries all tiers
    bool rod = false;
    /// m; of a slotted upright, which is limp: one board's moment is taken by screws this far apart. 0: a stiff leg.
    double limp_lever = 0;

    Length bottom() const { return over - bracket.leg; } ///< over the highest board's underside; negative: below it
};

/// With goods in the middle of the shelf's depth, somebody at its front, and the usual greatest spacing.
Carrier even_carrier(const Bracket& bracket, const Shelf& shelf, const WallSite& site);

/// Of brackets: the one named by the shelf, or the longest arm in range; failing that the longest that is not too long.
/// None: no bracket at hand fits, or the shelf does not hang at places along it.
std::optional<Carrier> carrier_of(const Shelf& shelf, const WallSite& site);

} // namespace yes_square
