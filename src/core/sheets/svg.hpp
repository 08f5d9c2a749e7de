#pragma once

#include "core/sheets/drawing.hpp"

#include <string>
#include <string_view>

namespace yes_square {

/// A drawing as an SVG 1.1 document of its own size in mm; `title` is what it shows.
std::string svg(const Drawing& drawing, const std::string& title);

/// Words as they stand in SVG and HTML.
std::string in_markup(std::string_view words);

} // namespace yes_square
