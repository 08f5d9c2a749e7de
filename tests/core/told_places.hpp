#pragma once

#include "core/job/places.hpp"
#include "core/measure/sentence.hpp"

#include <algorithm>
#include <array>
#include <cmath>

/// How a test knows a place along a wall among the figures of a plan, and from which end it is said.
namespace yes_square {

/// Every place along its walls a little to the right, by a length that no size of a random job ends in: in what is said
/// a place shows by it, and so does whether it was turned to the tape.
inline constexpr Length told_by = Length::micrometres(137);
inline Job with_marked_places(Job job) {
    for (Wall& wall : job.walls) {
        wall.measured_from = TapeEnd::right;
        set_length(wall, wall.length + told_by);
        wall.measured_from = TapeEnd::left;
        wall.length -= told_by;
    }
    return job;
}
inline bool is_place_from_left(const Quantity& value) {
    if (value.kind != Kind::length)
        return false;
    const double ends_in = std::fmod(value.si * 1e6, 1000);
    return std::abs(ends_in - 137) < 0.01;
}

/// Distances from a place to one of the wall's ends, which end as it does.
inline bool told_from_an_end(std::string_view pattern) {
    constexpr std::array patterns{
        std::string_view{"The shelf passes {0} by {1}"},
        std::string_view{"{0} reaches {1} beyond the wall's end"},
        std::string_view{"Bay {0}: {1} of its width is behind what stands on the next wall"},
        std::string_view{"In the corner the shelf meets"},
        std::string_view{"from its left end"}, // of a shelf, to a place reckoned from the wall's
        std::string_view{"span"}};
    return std::ranges::any_of(patterns, [&](std::string_view each) { return pattern.starts_with(each); });
}

} // namespace yes_square
