#pragma once

#include "core/measure/length.hpp"

namespace yes_square {

/// How much more or less the front edge of a board sags that lies on a cleat all along its back and is carried at its
/// ends, against the same board as a plain span: it can sag only by turning about the cleat, which twists it.
/// 1.5 / (1 + 12 G L^2 / (pi^2 E b^2)) from the shape sin(pi x / L) y / b, and 3 % more, so that plates of finite
/// elements of any of these shapes sag no more (derived; tests/reference/back_held_plate_test.cpp). More than 1 where a
/// deep board twists easily.
/// @param depth  front to back
/// @param shear  G / E of the board
double back_held_share(Length span, Length depth, double shear);

} // namespace yes_square
