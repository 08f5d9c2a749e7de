#pragma once

#include "core/fitting/wall_marks.hpp"
#include "core/sheets/full_size.hpp"

#include <string>
#include <vector>

namespace yes_square {

/// The holes of one thing at full size, with the level line where it crosses. See full_size_pages().
std::vector<TemplatePage> drill_template(const std::string& name, const std::vector<WallMark>& marks, const Tape& tape,
                                         double width, double height, const Voice& voice);

} // namespace yes_square
