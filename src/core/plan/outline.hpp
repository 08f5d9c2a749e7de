#pragma once

#include "core/measure/length.hpp"

#include <algorithm>

namespace yes_square {

/// A rectangle on the wall.
struct Outline {
    Length left;
    Length right;
    Length bottom;
    Length top;
    /// The least that holds both.
    Outline joined(const Outline& other) const {
        return {std::min(left, other.left), std::max(right, other.right), std::min(bottom, other.bottom),
                std::max(top, other.top)};
    }
    bool overlaps(const Outline& other) const {
        return left < other.right && other.left < right && bottom < other.top && other.bottom < top;
    }
    /// The same, or with an edge in common.
    bool touches(const Outline& other) const {
        return left <= other.right && other.left <= right && bottom <= other.top && other.bottom <= top;
    }
};

} // namespace yes_square
