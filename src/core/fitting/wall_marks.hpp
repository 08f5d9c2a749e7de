#pragma once

#include "core/job/job.hpp"
#include "core/plan/plan.hpp"

#include <optional>
#include <string>
#include <vector>

/// What is marked on a wall and drilled into it, for all that hangs there, in the order that a fitter walks.
namespace yes_square {

/// What it may find.
namespace checks {
inline constexpr CheckCode hole_left_over{"hole_left_over", Severity::warning};
} // namespace checks

enum class MarkKind {
    level_line, ///< from x to to_x at z
    plumb_line, ///< at x, through z
    hole,
};

/// A hole of a thing, or a line to strike for it.
struct WallMark : PlannedHole {
    MarkKind kind = MarkKind::hole;
    Length to_x = {}; ///< of a level line
    Tape tape = {};   ///< as its places are said

    /// Names the mark by its place, so that one which moves is another: "shelf-1@1412000,1800500", micrometres.
    std::string key() const;
};

/// All marks of a wall, as its plan has them.
std::vector<WallMark> marks_of(const WallPlan& plan);

/// A walk along a wall with one thing in the hand.
struct WallPass {
    std::optional<DrillPass> drill; ///< none: tape, pencil and level
    std::vector<WallMark> marks;    ///< from the reference end; those a reach apart from top to bottom
};

/// The walks of a wall, each done once for all that hangs there: lines, then marks, then one for each bit in the order
/// of the holes' own passes. Marks that nothing holds are pencilled but not drilled.
std::vector<WallPass> walk_wall(const WallPlan& plan, const FitRules& rules);

/// "Mark"; "Drill 4.8 mm, wood bit, tape at 12.5 mm". Its marks are some.
Sentence words(const WallPass& pass);

/// The tick of a mark in a pass: pencilled, or drilled with a bit.
std::string tick_key(const WallMark& mark, const WallPass& pass);

/// Holes that are in the wall and that nothing wants any more.
std::vector<Check> left_over_holes(const Wall& wall, const WallPlan& plan, const FitRules& rules);

} // namespace yes_square
