#pragma once

#include "core/job/job.hpp"
#include "core/plan/check.hpp"

#include <string_view>
#include <vector>

namespace yes_square {

/// One pass of the drill: tile first, then what is behind it; a clearance hole, then the pilot.
struct DrillPass {
    std::string_view bit;
    Length diameter;
    Length depth; ///< from the face of the wall: where the tape goes on the bit
    bool hammer = false;
    std::string_view how; ///< what to mind
    bool operator==(const DrillPass&) const = default;
};

/// The passes for one hole of a fixing, in order (common practice). Tile: a carbide or diamond bit, no hammer, slow,
/// cooled. Masonry: blow out the dust; hammer off in aerated block and behind tile. Wood: the pilot, and for coach
/// screws the shank's clearance hole before it.
/// @param through  what is screwed on, where it is wood and has to be drilled too
std::vector<DrillPass> drill_passes(const Wall& wall, const Fixing& fixing, Length through = {});

} // namespace yes_square
