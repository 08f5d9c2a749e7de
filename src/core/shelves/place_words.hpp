#pragma once

#include "core/shelves/way.hpp"

/// How what stands at a shelf's places is named in its checks.
namespace yes_square {

inline Quantity place_number(std::size_t index) {
    return count(index + 1);
}

/// Brackets are called so; what else stands at a place goes by its number.
inline std::string_view of_place(const Shelf& shelf, std::string_view bracket, std::string_view other) {
    return way_of(shelf).chooses_bracket() ? bracket : other;
}

/// Of what stands at one of its places.
inline std::string_view of_place(const BracketPlan& place, const Shelf& shelf, std::string_view bracket,
                                 std::string_view other) {
    return place.other || place.hanger ? other : of_place(shelf, bracket, other);
}

/// What a place is called with its number: "Leg".
inline std::string_view name_of_place(const BracketPlan& place, const Shelf& shelf) {
    if (place.hanger)
        return "Hanger";
    if (!place.other)
        return way_of(shelf).one_of_them();
    switch (place.other->kind) {
    case OtherKind::leg:
        return "Leg";
    case OtherKind::left_strip:
    case OtherKind::right_strip:
        return "End strip";
    case OtherKind::rod:
        return "Rod";
    case OtherKind::angled_screw:
        return "Angled screw";
    }
    return {};
}

} // namespace yes_square
