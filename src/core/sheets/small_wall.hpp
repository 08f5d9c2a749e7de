#pragma once

#include "core/plan/plan.hpp"
#include "core/sheets/drawing.hpp"

/// A job as one knows it again from afar.
namespace yes_square {

/// The wall that most hangs on, the first of several; nothing: there is no wall.
std::optional<std::size_t> fullest_wall(const Job& job);

/// A wall with what is on it, small and without words.
/// @param width, height  of the paper, mm
Drawing draw_small_wall(const Wall& wall, const WallPlan& plan, double width, double height);

} // namespace yes_square
