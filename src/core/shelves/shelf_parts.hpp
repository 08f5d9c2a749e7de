#pragma once

#include "core/site/wall_site.hpp"

namespace yes_square {

/// What is cut for a shelf: its boards with their lips, its pole or rail, the strips it lies on.
std::vector<CutPart> cut_for(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan);

/// What is bought for it: brackets, rods, uprights, hooks, screws into its board, the fixings of what holds it
/// elsewhere than in its wall, anchors that steady it.
std::vector<Supply> bought_for(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan);

} // namespace yes_square
