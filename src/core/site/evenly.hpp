#pragma once

#include "core/measure/length.hpp"

#include <algorithm>
#include <cstdint>
#include <stdexcept>
#include <vector>

namespace yes_square {

/// Places from one end to the other, both among them, no further apart than `every`, which is more than 0.
/// Throws std::length_error where that is more than 200: no strip has so many screws, and a thing that asks for them is
/// not reckoned.
inline std::vector<Length> evenly(Length from, Length to, Length every) {
    constexpr std::int64_t most = 200;
    if ((to - from).in_nanometres() / every.in_nanometres() >= most)
        throw std::length_error{"more than 200 screws in one strip: make it of shorter lengths, or space them wider"};
    const std::int64_t spaces =
        std::max<std::int64_t>(1, ((to - from).in_nanometres() + every.in_nanometres() - 1) / every.in_nanometres());
    std::vector<Length> places;
    for (std::int64_t i = 0; i <= spaces; ++i)
        places.push_back(from + (to - from) * i / spaces);
    return places;
}

} // namespace yes_square
