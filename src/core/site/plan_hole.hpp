#pragma once

#include "core/site/wall_site.hpp"

namespace yes_square {

/// A hole is at least this wide before its screw is chosen.
inline constexpr Length usual_hole = 6_mm;

/// Why a hole is not in the wall at all: any of its circle is in a window or a door, or its middle beyond the wall's
/// edges, whatever stud the list has at that distance. Empty: it is in the wall.
std::string_view no_wall_at(const Wall& wall, Length x, Length z, Length radius);

/// Fills in what the wall says of a hole: how high it is above the floor as it is now, whether there is wall at all,
/// whether any of its circle lies where a service is likely or was found, the passes of the drill, and whether it is
/// made already. A hole that nothing holds, or nothing may be trusted to hold in, has no passes: nobody drills it.
void plan_hole(const WallSite& site, PlannedHole& hole);

} // namespace yes_square
