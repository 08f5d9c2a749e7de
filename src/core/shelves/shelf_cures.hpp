#pragma once

#include "core/shelves/layouts.hpp"

namespace yes_square {

/// Gives each check its cures. One that the program can make has been tried on the shelf: its draft is free of the
/// check and brings no new error. The rest are in words.
/// @param scales  of this shelf
void add_cures(const Shelf& shelf, const WallSite& site, LayoutScales& scales, ShelfPlan& plan);

} // namespace yes_square
