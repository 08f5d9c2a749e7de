#pragma once

#include "core/site/wall_site.hpp"

#include <optional>
#include <vector>

/// A thing whose own holes set its places is slid as a whole, so that most of them meet wood.
namespace yes_square {

/// Wood that a fixing may go into: a stretch of the wall.
struct WoodStretch {
    Length from;
    Length to;
};

struct WholeSlide {
    Length by;                ///< to the right
    std::size_t meet = 0;     ///< holes in wood after it
    std::size_t meet_now = 0; ///< and before
};

/// The slide after which most holes are in wood; of those alike the least, to the right where it is as far either way.
/// Exact: a hole meets wood over stretches of slides, so all slides are covered by where these begin and end.
/// @param holes  of the thing as it stands   @param least, most  how far it may go
WholeSlide slide_whole(const std::vector<Length>& holes, const std::vector<WoodStretch>& wood, Length least,
                       Length most);

/// Where a usual screw is sure to be in a stud that somebody found.
std::vector<WoodStretch> wood_found(const WallSite& site);

} // namespace yes_square
