#pragma once

#include "core/job/job.hpp"
#include "core/measure/sentence.hpp"
#include "core/sheets/drawing.hpp"

#include <string_view>

namespace yes_square {

/// A bracket from its side, against its wall, and its leg from the front, with every measure that is asked for: what a
/// fitter who enters one holds the rule to.
/// @param asked  member of a job file that is being asked for; its measure stands out. Empty: none
/// @param width, height  mm of paper
Drawing draw_bracket(const Bracket& bracket, std::string_view asked, double width, double height, double text,
                     const Voice& voice);

} // namespace yes_square
