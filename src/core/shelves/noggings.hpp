#pragma once

#include "core/plan/plan.hpp"

namespace yes_square {

/// The noggings that the fixings of a wall in open framing want, bay by bay from the reference end, lowest first. Stud
/// timber on edge; fixings of any shelves share one where their heights lie within what its face allows, 10 mm from an
/// edge (as usable_half_width()). Empty on any other wall.
std::vector<Nogging> noggings_of(const Wall& wall, const WallSurvey& survey, const std::vector<ShelfPlan>& shelves,
                                 const HouseRules& rules);

} // namespace yes_square
