#pragma once

#include "core/measure/sentence.hpp"

#include <vector>

namespace yes_square {

/// What anyone is told before a hole is made in a wall.
Sentence caution_of_services();

/// What anyone drilling a wall is told first; the licensed trades and local code have the last word.
std::vector<Sentence> general_cautions();

} // namespace yes_square
