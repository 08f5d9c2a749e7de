#pragma once

#include "core/site/wall_site.hpp"

namespace yes_square {

/// What a reading of the work says: how far off it is, against the house rule and the instrument's own error, and which
/// foot, shim, bracket or end puts it right. `plan` holds the wall's shelves, runs, wardrobes and boxes already.
ReadingPlan judge_reading(const WorkReading& reading, const WallSite& site, const WallPlan& plan);

/// Gaps behind a straight edge, less the straight line that fits them best, less the proudest of them: what is packed
/// at each for a straight front. As many as gaps; fewer than two: nothing to pack.
std::vector<Length> packing_to_proudest(const std::vector<Gap>& gaps);

} // namespace yes_square
