#pragma once

#include "core/measure/length.hpp"

#include <string_view>

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

} // namespace yes_square
