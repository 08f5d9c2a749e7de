#pragma once

#include "core/shelves/carrier.hpp"

namespace yes_square {

/// Of screws from a strip's edges.
inline constexpr Length screw_inset = 20_mm;

/// Screws through a board or strip that stands flat on the wall, alone at their places.
/// @param rows  down from the strip's top
Carrier screwed_through(const Shelf& shelf, const WallSite& site, std::string_view name, Length height,
                        Length thickness, std::vector<Length> rows);

/// One row in the middle of a strip, or two near its edges where it is high enough: down from its top.
std::vector<Length> screw_rows(Length height);

} // namespace yes_square
