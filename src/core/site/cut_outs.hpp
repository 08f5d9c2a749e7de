#pragma once

#include "core/job/boards.hpp"
#include "core/site/wall_site.hpp"

#include <vector>

/// What is cut out of boards and worktops: what is left of them, what is said of it, what may be wrong with it.
namespace yes_square {

namespace checks {
inline constexpr CheckCode cut_out_off_board{"cut_out_off_board", Severity::error};
inline constexpr CheckCode cut_out_leaves_little{"cut_out_leaves_little", Severity::warning};
inline constexpr CheckCode cut_outs_meet{"cut_outs_meet", Severity::warning};
} // namespace checks

/// The least breadth that is left of a band of the board, from a distance to another from its back edge, at any place
/// along it. Never negative.
Length least_left(const std::vector<CutOut>& cut_outs, Length from, Length to);

/// Cut-outs that a piece of board has, one running from `from` to `to`.
std::vector<CutOut> cut_outs_between(const std::vector<CutOut>& cut_outs, Length from, Length to);

/// "cable outlet: 60 mm x 60 mm, 300 mm from the left end, 40 mm from the back": of the board from its left end.
Sentence words_of(const CutOut& cut);

/// All of them in one sentence for the cut list, places from `left` of what they are told from; empty: there are none.
Sentence cut_outs_to_mind(const std::vector<CutOut>& cut_outs, Length left = {});

/// What may be wrong with those of one board.
/// @param left  of the board on the wall   @param z  where they are shown
void check_cut_outs(const std::vector<CutOut>& cut_outs, Length length, Length depth, const HouseRules& rules,
                    Length left, Length z, std::vector<Check>& checks);

/// How they are made.
Sentence cut_out_step(const CutOut& cut);

} // namespace yes_square
