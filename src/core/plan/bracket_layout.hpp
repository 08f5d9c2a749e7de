#pragma once

#include "core/job/shelf.hpp"

#include <vector>

namespace yes_square {

/// What a layout costs, by which the schools rank.
struct Merits {
    int on_lining = 0; ///< brackets that hold in the lining alone
    int in_assumed = 0;
    int in_indicated = 0;
    int in_noggings = 0;
    int count = 0;
    Length extra_overhang;      ///< beyond the usual inset, both ends together
    double unevenness_mm2 = 0;  ///< squared differences of the spaces from their mean, summed
    Length overhang_difference; ///< left against right
};

struct BracketLayout {
    School school = School::studs_first;
    std::vector<Length> places;
    Merits merits;
};

} // namespace yes_square
