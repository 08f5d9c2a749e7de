#pragma once

#include "core/job/job.hpp"
#include "core/measure/sentence.hpp"
#include "core/sheets/drawing.hpp"

#include <string_view>

namespace yes_square {

/// What holds a shelf otherwise than a bracket, or what units hang on, with every measure that is asked for: what a
/// fitter who enters one holds the rule to. Nothing where it has no measures of its own.
/// @param asked  member of a job file that is being asked for; its measure stands out. Empty: none
/// @param width, height  mm of paper
Drawing draw_support(const Holding& holding, std::string_view asked, double width, double height, double text,
                     const Voice& voice);
Drawing draw_support(const Gear& gear, std::string_view asked, double width, double height, double text,
                     const Voice& voice);

} // namespace yes_square
