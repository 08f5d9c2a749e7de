#pragma once

#include "core/plan/plan.hpp"
#include "core/sheets/drawing.hpp"

namespace yes_square {

/// The wall cut level through a hole and seen from above, room side below, to scale both ways: what is screwed on,
/// packing, lining layer by layer, the studs that lie there or the masonry, where a cable or pipe is likely or was
/// found, each pass of the drill, the tape on the bit, and the screw with its thread. The screw's shank is drawn as
/// wide as its clearance hole, its head twice that: the plan does not know them.
/// @param width, height  mm of paper
/// @param text  the type size; smaller where a label would not fit otherwise
Drawing draw_hole_section(const Wall& wall, const WallPlan& plan, const PlannedHole& hole, double width, double height,
                          double text, const Voice& voice);

/// Whether the section at `b` tells more than that at `a`: what is drilled before what is not, then what is used more.
bool tells_less(const PlannedHole& a, const PlannedHole& b);
/// The hole whose section tells most; nullptr: there is none.
const PlannedHole* most_telling(const std::vector<PlannedHole>& holes);

} // namespace yes_square
