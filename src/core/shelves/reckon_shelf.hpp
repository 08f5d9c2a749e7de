#pragma once

#include "core/shelves/layouts.hpp"

namespace yes_square {

/// The plan of one shelf as far as its figures and checks go: the chosen layout alone, no cures, workings
/// or steps yet.
ShelfPlan draft_shelf(const Shelf& shelf, const WallSite& site);
/// With layouts that have been weighed for the shelf, or for one like it but for its school and extra brackets.
ShelfPlan draft_shelf(const Shelf& shelf, const WallSite& site, LayoutScales& scales);

/// The whole plan of one shelf. A cure that the program can make has been tried: the draft after it is free of the
/// check.
ShelfPlan reckon_shelf(const Shelf& shelf, const WallSite& site);

} // namespace yes_square
