#pragma once

#include "core/job/job.hpp"
#include "core/plan/check.hpp"
#include "core/plan/drill_pass.hpp"
#include "core/plan/planned_hole.hpp"

#include <numbers>
#include <string_view>
#include <vector>

namespace yes_square {

/// How long a way at 45 degrees is through so much: the angle of every angled screw (common practice).
inline Length at_angle(Length thickness) {
    return Length::nearest_to_metres(thickness.in_metres() * std::numbers::sqrt2);
}

/// Whether a pass is drilled before another of the same wall.
bool drilled_before(const DrillPass& a, const DrillPass& b);

/// The passes for one hole of a fixing, in order (common practice). Tile: a carbide or diamond bit, no hammer, slow,
/// cooled. Through tile and lining the hole is as wide as the screw's shank, so that nothing binds or cracks; the pilot
/// begins behind them. Where a service may be, the drill stops behind the lining before it goes deep. Masonry: blow out
/// the dust; hammer off in aerated block and behind tile. Wood: the pilot.
/// @param through  what is screwed on, where it is wood and has to be drilled too
/// @param service_near  the hole lies where a cable or a pipe is likely or was found
std::vector<DrillPass> drill_passes(const Wall& wall, const Fixing& fixing, Length through = {},
                                    bool service_near = false);
/// The same of a screw at 45 degrees, upwards into wood: one pass, through the board as it lies.
std::vector<DrillPass> angled_passes(const Fixing& fixing, bool service_near);
/// The same of an anchor that grips the lining alone.
std::vector<DrillPass> lining_passes(const Fixing& fixing, Length through, bool service_near);

/// A pass of the drill and the places of a thing that want it.
struct DrillRow {
    DrillPass pass;
    std::vector<std::size_t> places; ///< PlannedHole::place, each once
};

/// Holes that are fixed alike, with the same fixing in the same length.
struct FixedAlike {
    std::vector<const PlannedHole*> holes; ///< never empty; each has its fixing

    const Fixing& fixing() const { return *holes.front()->fixing; }
};
/// All that are fixed, as they come.
std::vector<FixedAlike> fixed_alike(const std::vector<PlannedHole>& holes);

/// What to drill for a thing's holes, alike passes together, in order.
std::vector<DrillRow> drilling_of(const std::vector<PlannedHole>& holes);

} // namespace yes_square
