#include "core/job/places.hpp"

#include "core/job/each_member.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// Every place along the wall, and which it may be: `look(place, range)`.
void each_place(auto& wall, auto look) {
    each_member(wall, [&]<class T>(std::string_view, std::string_view, T& member, const Meaning& meaning) {
        if constexpr (std::same_as<std::remove_const_t<T>, Length>)
            if (meaning.on_wall)
                look(member, meaning.range);
    });
}

} // namespace

void set_length(Wall& wall, Length length) {
    const Length by = wall.tape().from_right() ? length - wall.length : Length{};
    if (by != Length{})
        each_place(wall, [by](Length& place, Range) { place += by; });
    wall.length = length;
}

Length least_length(const Wall& wall) {
    Length least = Length::nanometres(1);
    if (wall.tape().from_right())
        each_place(wall, [&](const Length& place, Range range) {
            if (range != Range::any)
                least = std::max(least, wall.length - place);
        });
    return least;
}

} // namespace yes_square
