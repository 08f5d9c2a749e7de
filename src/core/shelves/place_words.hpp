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

} // namespace yes_square
