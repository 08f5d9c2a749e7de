#pragma once

#include "core/job/job.hpp"

namespace yes_square {

inline constexpr Length joist_width = 38_mm;  ///< nominal (PS 20)
inline constexpr Length joist_depth = 140_mm; ///< the least usual one

/// How hard an anchor is to set well: 0 like a plug, up to resin (common practice).
constexpr int practice_for(AnchorKind kind) {
    switch (kind) {
    case AnchorKind::plug:
    case AnchorKind::frame_plug:
    case AnchorKind::insert_nut:
    case AnchorKind::cavity_anchor:
    case AnchorKind::self_drilling:
        return 0;
    case AnchorKind::concrete_screw:
    case AnchorKind::toggle:
        return 1;
    case AnchorKind::sleeve_anchor:
    case AnchorKind::wedge_anchor:
        return 2;
    case AnchorKind::resin_bar:
        return 3;
    }
    return 3;
}

/// Whether the hands at work do not set it.
inline bool beyond_skill(AnchorKind kind, const HouseRules& rules) {
    return rules.shelves.skill == Skill::everyday && practice_for(kind) >= 2;
}

} // namespace yes_square
