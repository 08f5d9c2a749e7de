#pragma once

#include "core/fitting/wall_marks.hpp"
#include "core/sheets/drawing.hpp"

#include <string>
#include <vector>

namespace yes_square {

/// A page of a drilling template at full size: 1 mm of paper is 1 mm of wall. It is taped to the wall by its frame, or
/// to its neighbour by the crosses that both have.
struct TemplatePage {
    Drawing drawing;
    std::string name; ///< "Map shelf B2": column letter and row
    Length left;      ///< of its frame's lower left corner on the wall
    Length bottom;
};

inline constexpr double template_overlap = 10;     ///< mm that neighbours share
inline constexpr double template_check_line = 100; ///< mm

/// The holes of one thing as pages of a given size in mm (what the printer leaves free taken off), each with a line of
/// 100 mm to measure, the level line where it crosses, crosses to lay neighbours on one another, and the wall figures
/// of its corner. Pages without a hole are left out.
std::vector<TemplatePage> drill_template(const std::string& name, const std::vector<WallMark>& marks, double width,
                                         double height, const Voice& voice);

} // namespace yes_square
