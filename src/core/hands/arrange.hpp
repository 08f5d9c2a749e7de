#pragma once

#include "core/job/edits.hpp"
#include "core/plan/plan.hpp"

#include <string>
#include <vector>

namespace yes_square {

enum class Arrangement { tops_level, undersides_level, left_ends_in_line, right_ends_in_line, spaced_evenly };

/// What brings things of a wall in order. The first of them stays, and the others come to it; spaced evenly, the two
/// outermost stay and the spaces between all become alike, along the wall or, where they are one over another, up it.
/// What cannot go there stays: a run along its line's height, furniture on its floor.
std::vector<Edit> arrange(const Wall& wall, const WallPlan& plan, const std::vector<std::string>& ids,
                          Arrangement arrangement);

/// What pushes them all by as much; a run goes along only, its fillers within their limits.
std::vector<Edit> moved_by(const Wall& wall, const WallPlan& plan, const std::vector<std::string>& ids, Length dx,
                           Length dz);

/// What brings their tops to a height.
std::vector<Edit> tops_to(const Wall& wall, const WallPlan& plan, const std::vector<std::string>& ids, Length z);

} // namespace yes_square
