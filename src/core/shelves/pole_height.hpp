#pragma once

#include "core/job/job.hpp"

#include <optional>

/// How high a curtain pole hangs over its window.
namespace yes_square {

/// Between a window's trim and what is over it.
struct PoleRoom {
    Length trim;    ///< top of the window with its trim
    Length ceiling; ///< at the wall
    Length
        highest; ///< that a pole's top goes: its plate's holes stay under the strip along the ceiling where cables run
};

/// Over the window that is most under the pole; none: there is no window under it.
std::optional<PoleRoom> pole_room(const Wall& wall, const Shelf& pole, const HouseRules& rules);

/// Of its top, so far of the way from trim to ceiling: half to two thirds is common practice. No higher than its
/// plate's holes allow, as long as that is over the trim.
/// @param share  0 to 1
Length pole_height(const PoleRoom& room, double share);
/// And the share that a height is.
double pole_share(const PoleRoom& room, Length height);

} // namespace yes_square
