#pragma once

#include "app/bench/theme.hpp"
#include "core/sheets/drawing.hpp"

#include <QPainter>

namespace yes_square::app {

/// Paints a drawing at the painter's origin; `per_mm` device units make a mm of paper.
void paint(QPainter& painter, const Drawing& drawing, const Theme& theme, double per_mm);

} // namespace yes_square::app
