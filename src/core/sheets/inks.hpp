#pragma once

#include "core/sheets/drawing.hpp"

#include <string_view>

namespace yes_square {

/// How a file that is no screen shows an ink.
struct InkOnFile {
    std::string_view layer;  ///< of a DXF: capitals, no blanks
    std::string_view colour; ///< of an SVG, "#rrggbb"
    int index = 7;           ///< of the DXF colours
};

InkOnFile on_file(Ink ink);

} // namespace yes_square
