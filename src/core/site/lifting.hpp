#pragma once

#include "core/job/house_rules.hpp"
#include "core/plan/lift.hpp"

namespace yes_square {

/// A lift as the HSE lifting filter takes it (INDG143, from memory): the most that one person lifts falls from knuckle
/// height upwards, and again at arm's length. Told by the two figures of the house, close at knuckle height and close
/// above the shoulder; those between are the lesser of the filter's shares for women and men. Two together lift two
/// thirds of what each lifts alone, added (L23, from memory).
/// @param to       above the floor, where hands hold it at the last: about its middle
/// @param work_up  the highest place that hands go to
Lift lift_of(Mass mass, Length to, Length work_up, bool at_arms_length, const RunRules& rules);

} // namespace yes_square
