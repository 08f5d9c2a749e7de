#include "core/site/plan_hole.hpp"

#include "core/fixings/drilling.hpp"

#include <algorithm>
#include <cassert>
#include <numbers>

namespace yes_square {

std::string_view no_wall_at(const Wall& wall, Length x, Length z, Length radius) {
    if (wall.open_floor())
        return "on the open floor, where an island stands";
    const Outline circle{x - radius, x + radius, z - radius, z + radius};
    for (const Opening& opening : wall.openings)
        if (box_of(opening).overlaps(circle))
            return opening.kind == OpeningKind::window ? "in the window" : "in the door";
    const bool inside = x >= Length{} && x <= wall.length && z >= Length{} && z <= wall.height;
    return inside ? std::string_view{} : "beyond the wall's edge";
}

void plan_hole(const WallSite& site, PlannedHole& hole) {
    assert(!hole.stud || *hole.stud < site.survey.studs.size());
    hole.above_now = site.survey.floor.above_floor_now(hole.x, hole.z);
    const auto& fixing = hole.fixing;
    hole.radius =
        std::max({hole.drilled, fixing ? fixing->hole_diameter : Length{}, fixing ? fixing->clearance : Length{}}) / 2;
    // One at an angle rises behind the face: all of its way counts.
    const Length rise =
        hole.angled && fixing
            ? Length::nearest_to_metres((fixing->drill_depth - hole.through).in_metres() / std::numbers::sqrt2)
            : Length{};
    hole.strips = strips_at(site.survey.strips, hole.x, hole.z + rise / 2, hole.radius + rise / 2);
    // What goes into a ceiling is over the wall's top.
    if (hole.substrate != Substrate::joist)
        hole.no_wall = no_wall_at(site.wall, hole.x, hole.z, std::max(hole.radius, usual_hole / 2));
    hole.passes.clear();
    if (fixing && (carries(hole.substrate) || hole.held_by_lining()) && hole.no_wall.empty())
        hole.passes = hole.angled             ? angled_passes(*fixing, hole.in_strip())
                      : hole.held_by_lining() ? lining_passes(*fixing, hole.through, hole.in_strip())
                                              : drill_passes(site.wall, *fixing, hole.through, hole.in_strip());
    hole.made = std::ranges::any_of(site.wall.made, [&](const MadeHole& made) {
        return made.item == hole.item && absolute(made.x - hole.x) <= site.rules.fitting.same_hole &&
               absolute(made.z - hole.z) <= site.rules.fitting.same_hole;
    });
}

} // namespace yes_square
