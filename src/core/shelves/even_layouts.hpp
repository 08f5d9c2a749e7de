#pragma once

#include "core/shelves/bracket_limits.hpp"

namespace yes_square {

/// Exactly even layouts of `count` brackets: one inset c decides all places, and the number in studs changes only
/// where a place enters or leaves a stud's usable width. So those insets, and the usual one, are all that need trying.
///
/// `good` has the limits these layouts keep: what breaks them is dropped before its places are made out.
void even_layouts(const BracketQuestion& question, const BracketQuestion& good, int count,
                  std::vector<std::vector<Length>>& found);

} // namespace yes_square
