#pragma once

#include "core/plan/check.hpp"

#include <algorithm>

/// How far apart two fixings stand, between their middles.
namespace yes_square {

/// Nearer than this two of them are not two. Wood: five diameters along the grain in drilled holes (EN 1995-1-1 table
/// 8.2, from memory; NDS-2018 table 12.5.1B wants 4). Masonry: what the packet says, else ten diameters of the hole
/// (common practice).
inline Length least_apart(const Fixing& fixing, bool masonry) {
    if (masonry)
        return fixing.apart > Length{} ? fixing.apart : 10 * fixing.hole_diameter;
    return 5 * fixing.clearance;
}

/// What keeps wood from splitting between screws one above another (ten diameters, four of coach screws) and masonry
/// from breaking between plugs (ten), where nobody says otherwise (common practice).
inline int usual_diameters(const Fixing& fixing, bool masonry) {
    return fixing.coach && !masonry ? 4 : 10;
}
inline Length usual_apart(const Fixing& fixing, bool masonry) {
    return usual_diameters(fixing, masonry) * (masonry ? fixing.hole_diameter : fixing.clearance);
}

} // namespace yes_square
