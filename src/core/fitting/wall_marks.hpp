#pragma once

#include "core/job/job.hpp"
#include "core/plan/plan.hpp"

#include <optional>
#include <string>
#include <vector>

/// What is marked on a wall and drilled into it, for all that hangs there, in the order that a fitter walks.
namespace yes_square {

enum class MarkKind {
    level_line, ///< from x to to_x at z
    plumb_line, ///< at x, through z
    hole,
};

struct WallMark {
    MarkKind kind = MarkKind::hole;
    std::string item; ///< id of what it is for; a cabinet's own, not its run's
    Sentence what;    ///< "Bracket 2 of Map shelf, hole 1"
    Length x;
    Length z;
    Length to_x = {};      ///< of a level line
    Length above_now = {}; ///< z above the floor as it is now
    Hold hold = Hold::lining;
    std::optional<Fixing> fixing = {};  ///< of a hole; none: nothing known to hold there
    bool in_strip = false;              ///< where a hidden service is likely
    bool made = false;                  ///< the hole is in the wall
    std::vector<DrillPass> passes = {}; ///< of a hole, in order; none: nothing holds there
    std::size_t screws = 1;             ///< at this place

    /// Names the mark by its place, so that one which moves is another: "shelf-1@1412000,1800500", micrometres.
    std::string key() const;
};

/// All marks of a wall, as its plan has them.
std::vector<WallMark> marks_of(const Wall& wall, const WallPlan& plan);

/// A walk along a wall with one thing in the hand.
struct WallPass {
    std::optional<DrillPass> drill; ///< none: tape, pencil and level
    std::vector<WallMark> marks;    ///< from the reference end; those a reach apart from top to bottom
};

/// The walks of a wall, each done once for all that hangs there: lines, then marks, then one for each bit in the order
/// of the holes' own passes. Marks that nothing holds are pencilled but not drilled.
std::vector<WallPass> walk_wall(const Wall& wall, const WallPlan& plan, const FitRules& rules);

/// The tick of a mark in a pass: pencilled, or drilled with a bit.
std::string tick_key(const WallMark& mark, const WallPass& pass);

/// Holes that are in the wall and that nothing wants any more.
std::vector<Check> left_over_holes(const Wall& wall, const WallPlan& plan);

} // namespace yes_square
