#pragma once

#include "core/plan/planned_hole.hpp"

#include <vector>

namespace yes_square {

/// What some holes are fixed with and how they are drilled, a sentence for each kind, with the rows that take it where
/// they are unlike.
std::vector<Sentence> words_of_fixings(const std::vector<PlannedHole>& holes);

} // namespace yes_square
