#pragma once

#include "core/job/job.hpp"
#include "core/plan/check.hpp"

#include <string_view>
#include <vector>

namespace yes_square {

/// Where a pass goes, in the order that they are drilled.
enum class DrillStage { part, tile, lining, full };

/// One pass of the drill: tile first, then what is behind it; a clearance hole, then the pilot.
struct DrillPass {
    DrillStage stage = DrillStage::full;
    std::string_view bit;
    Length diameter;
    Length depth; ///< from the face of the wall: where the tape goes on the bit
    bool hammer = false;
    bool look = false;    ///< stop when it is through: a cable or a pipe may be behind
    std::string_view how; ///< what to mind
    bool operator==(const DrillPass&) const = default;
};

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

} // namespace yes_square
