#pragma once

#include "core/site/wall_site.hpp"

namespace yes_square {

/// The arithmetic behind every figure of a shelf's plan. Subjects: "load", "arm", "level", "spacing", "bracket/N",
/// "reaction/N", "fixing/N", "rating/N", "hole/ROW", "sag", "shelf-screw", N and ROW counted from 1.
std::vector<Working> workings_of(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan);

} // namespace yes_square
