#pragma once

#include "core/site/wall_site.hpp"

namespace yes_square {

/// Its boards, tier by tier, with their lips. A little long to be scribed where they reach from wall to wall.
std::vector<CutPart> boards_cut(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan,
                                bool between_walls = false);
/// By another name, breadth and thickness than the shelf's own.
std::vector<CutPart> boards_cut(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan, bool between_walls,
                                const Sentence& name, Length breadth, Length thickness);

/// By how much the wall behind a board bows: the most that comes off its back edge.
Length bow_of(const std::vector<BackCut>& cuts);

/// What is bought for it: brackets, rods, uprights, hooks, screws into its board, the fixings of what holds it
/// elsewhere than in its wall, anchors that steady it.
std::vector<Supply> bought_for(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan);

} // namespace yes_square
