#include "core/job/places.hpp"

#include "core/job/fields.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// A visitor of members that shows every place along the wall to `look`, which may change it.
template <class Look>
struct EachPlace {
    Look look;

    template <class T>
    void required(std::string_view, T& member, const Meaning& meaning = {}) {
        if constexpr (std::same_as<std::remove_const_t<T>, Length>)
            if (meaning.on_wall)
                look(member, meaning.range);
    }
    template <class T>
    void optional(std::string_view name, T& member, const Meaning& meaning = {}) {
        required(name, member, meaning);
    }
    void maybe(std::string_view name, auto& member, const Meaning& meaning = {}) {
        if (member)
            required(name, *member, meaning);
    }
    void lengths(std::string_view name, auto& members, const Meaning& meaning) {
        for (auto& member : members)
            required(name, member, meaning);
    }
    void part(std::string_view, auto& part) { fields(*this, part); }
    void maybe_part(std::string_view, auto& part) {
        if (part)
            fields(*this, *part);
    }
    void list(std::string_view, auto& parts) {
        for (auto& part : parts)
            fields(*this, part);
    }
    void one_of(std::string_view, auto& variant) {
        std::visit([this](auto& part) { fields(*this, part); }, variant);
    }
    void maybe_one_of(std::string_view name, auto& variant) { one_of(name, variant); }
};

void each_place(auto& wall, auto look) {
    EachPlace<decltype(look)> visit{std::move(look)};
    fields(visit, wall);
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
