#include "core/site/plan_hole.hpp"

#include "core/fixings/drilling.hpp"

#include <algorithm>
#include <cassert>

namespace yes_square {

void plan_hole(const WallSite& site, PlannedHole& hole) {
    assert(!hole.stud || *hole.stud < site.survey.studs.size());
    hole.above_now = site.survey.floor.above_floor_now(hole.x, hole.z);
    const auto& fixing = hole.fixing;
    hole.radius =
        std::max({hole.drilled, fixing ? fixing->hole_diameter : Length{}, fixing ? fixing->clearance : Length{}}) / 2;
    hole.strips = strips_at(site.survey.strips, hole.x, hole.z, hole.radius);
    hole.passes.clear();
    if (fixing && carries(hole.substrate))
        hole.passes = drill_passes(site.wall, *fixing, hole.through, hole.in_strip());
    hole.made = std::ranges::any_of(site.wall.made, [&](const MadeHole& made) {
        return made.item == hole.item && absolute(made.x - hole.x) <= site.rules.fitting.same_hole &&
               absolute(made.z - hole.z) <= site.rules.fitting.same_hole;
    });
}

} // namespace yes_square
