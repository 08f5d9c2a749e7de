#pragma once

#include "core/measure/length.hpp"

namespace yes_square {

/// A rectangle on the wall.
struct Outline {
    Length left;
    Length right;
    Length bottom;
    Length top;
    bool overlaps(const Outline& other) const {
        return left < other.right && other.left < right && bottom < other.top && other.bottom < top;
    }
};

} // namespace yes_square
