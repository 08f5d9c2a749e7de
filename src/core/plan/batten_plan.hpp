#pragma once

#include "core/job/batten.hpp"
#include "core/measure/physical.hpp"
#include "core/plan/thing_plan.hpp"

namespace yes_square {

/// What follows from a batten. All else is in its holes.
struct BattenPlan : ThingPlan {
    Force load = 0;          ///< on all of it, itself included
    Utilisation utilisation; ///< of its worst screw; unknown: nothing known holds it
};

template <>
struct PlanOf<Batten> {
    using type = BattenPlan;
};

} // namespace yes_square
