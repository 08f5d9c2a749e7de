#pragma once

#include "core/sheets/drawing.hpp"

#include <string>

namespace yes_square {

/// A drawing as an SVG 1.1 document of its own size in mm; `title` is what it shows.
std::string svg(const Drawing& drawing, const std::string& title);

} // namespace yes_square
