#pragma once

#include "core/job/job.hpp"
#include "core/measure/sentence.hpp"

namespace yes_square {

/// A place along a wall as it is said to whoever holds the tape: from the end that this wall is measured from.
/// @param x  from the wall's left end, as everything is reckoned
inline Quantity along(const Wall& wall, Length x) {
    return quantity(wall.tape().reads(x));
}

/// Of two sentences, the one for this wall: what is said of the end of a thing that the tape reaches first.
inline std::string_view by_tape(const Wall& wall, std::string_view from_left, std::string_view from_right) {
    return wall.tape().from_right() ? from_right : from_left;
}

} // namespace yes_square
