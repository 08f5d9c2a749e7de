#pragma once

#include "core/plan/plan.hpp"
#include "core/survey/room_plan.hpp"

#include <string>
#include <vector>

/// What stands out of the walls of a room, as it is seen from above.
namespace yes_square {

/// The floor under a thing, or under a door or drawer of it as it opens, and the heights between which that is so.
struct Footprint {
    std::string item; ///< id of the thing or the unit
    std::string name;
    std::size_t wall = 0;           ///< index in the job
    std::vector<PlanPoint> corners; ///< convex, in order
    Length bottom;
    Length top;
    bool leaf = false; ///< a door or a drawer, open

    bool at_height_of(const Footprint& other) const { return bottom < other.top && other.bottom < top; }
};

/// Of all that is on a wall: what stands there, arms round the corner, then what opens.
std::vector<Footprint> footprints_of(const PlanWall& placed, const Wall& wall, const WallPlan& plan);

/// Whether two convex shapes share more than an edge.
bool overlap(const std::vector<PlanPoint>& a, const std::vector<PlanPoint>& b);

/// How far two convex shapes are apart, m; 0 where they touch or overlap.
double apart(const std::vector<PlanPoint>& a, const std::vector<PlanPoint>& b);

} // namespace yes_square
