#pragma once

#include "core/plan/batten_plan.hpp"
#include "core/site/wall_thing.hpp"

namespace yes_square {

/// A usual one in the middle of a wall, at the height of a row of pegs.
Batten new_batten(const Wall& wall);

/// A screw in every stud behind it, or in masonry evenly, no further apart than the house rule for strips. Each bears
/// what a continuous beam over the screws puts on it, the worst of the beam whole and cut over a screw; goods on any
/// part of it, its own weight, and within reach, of pegs always, somebody leaning or hanging on it at the worst place.
/// That load stands off the wall, and the batten turns about its lower edge, 5 mm up (statics).
BattenPlan reckon_thing(const Batten& batten, const WallSite& site);

} // namespace yes_square
