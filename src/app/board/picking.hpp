#pragma once

#include "core/measure/conversions.hpp"

#include "core/sheets/drawing.hpp"

#include <QPointF>

namespace yes_square::app {

/// Screen pixels, before scaling, in a mm of paper.
constexpr double pixels_per_mm = 96 / mm_per_inch;

/// The shape at a place, in pixels, or the nearest within a finger's breadth; those that belong to nothing are passed
/// over. nullptr: none.
const Shape* shape_at(const Drawing& drawing, QPointF pixels);

} // namespace yes_square::app
