#pragma once

#include "core/plan/plan.hpp"

namespace yes_square {

/// What it may find.
namespace checks {
/// More hangs on a nogging than the screws in its ends bear.
inline constexpr CheckCode nogging_ends{"nogging_ends", Severity::error};
/// A nogging runs to the wall's end, and nobody entered what is there; or of its fixings nobody knows what they bear.
inline constexpr CheckCode nogging_end_unknown{"nogging_end_unknown", Severity::warning, Bears::on_what_is_known};
} // namespace checks

/// The noggings that the fixings of a wall in open framing want, bay by bay from the wall's left end, lowest first.
/// Stud timber on edge; fixings of any shelves share one where their heights lie within what its face allows, 10 mm
/// from an edge (as usable_half_width()). Empty on any other wall.
///
/// Each lies on its two ends, loaded where its fixings are; two screws or three in an end, their points in end grain
/// (end_screw_bears()). Pocket screws count for as much (house rule).
std::vector<Nogging> noggings_of(const Wall& wall, const WallSurvey& survey, const std::vector<ShelfPlan>& shelves,
                                 const HouseRules& rules);

/// Says of the shelves that hang on noggings what their ends come to; what was said of that before goes.
void check_noggings(const std::vector<Nogging>& noggings, const Wall& wall, const HouseRules& rules,
                    std::vector<ShelfPlan>& shelves);

/// How both ends of one are held: "2 screws through the stud; 2 pocket screws".
Sentence words(Nogging::End end);

} // namespace yes_square
