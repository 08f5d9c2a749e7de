#pragma once

#include "core/site/wall_site.hpp"

namespace yes_square {

/// How the shelf goes up, in order. Common practice: first bracket plumb on its mark, the second by a level laid on
/// the first, those between up to the line, then tighten.
std::vector<Step> steps_of(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan);

/// What anyone drilling a wall is told first; the licensed trades and local code have the last word.
std::vector<Sentence> general_cautions();

} // namespace yes_square
