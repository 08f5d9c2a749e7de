#pragma once

#include "core/survey/limits.hpp"

/// How a corner of the room turns, from a triangle set out in it: 3, 4 and 5, or the two diagonals of a rectangle.
namespace yes_square {

struct CornerAngle {
    double room_side = 0; ///< rad, of the room between the two walls: pi/2 at a square inside corner, 3 pi/2 outside
    double limit = 0;     ///< rad, what the limits of error of the readings come to
    double off = 0;       ///< rad, how much more than square; negative: less
    Length out_of_square; ///< how far the next wall is off square at its mark; more than 0: it opens into the room
    bool square = true;   ///< off by no more than the limit

    bool operator==(const CornerAngle&) const = default;
};

/// A triangle with sides a and b along the walls and c across: cos C = (a^2 + b^2 - c^2) / 2ab. With both diagonals of
/// a rectangle a x b, across from mark to mark and the other from the corner: cos C = (other^2 - across^2) / 4ab.
/// An error with its cure where no triangle has such sides.
struct CornerProblem {
    Length least; ///< `across` must be more than this
    Length most;  ///< and less than this
};
std::variant<CornerAngle, CornerProblem> corner_angle(const CornerReading& reading, WallEnd end, const Reader& reader);

} // namespace yes_square
