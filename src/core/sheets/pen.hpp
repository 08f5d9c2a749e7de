#pragma once

#include "core/plan/outline.hpp"
#include "core/sheets/elevation.hpp"

namespace yes_square {

/// Draws in places on the wall. Refers to what it is given, which must outlive it.
struct Pen {
    const ElevationScale& scale;
    Drawing& drawing;

    void add(auto form, Reference reference = {}) { drawing.shapes.push_back({std::move(form), std::move(reference)}); }
    /// In mm of paper.
    void line(double x1, double y1, double x2, double y2, Ink ink, double width, Stroke stroke = Stroke::solid) {
        add(Line{{x1, y1}, {x2, y2}, ink, width, stroke});
    }
    void text(double x, double y, std::string words, double height, Ink ink, Align align = Align::centre,
              bool bold = false) {
        add(Text{{x, y}, std::move(words), height, align, ink, bold});
    }
    /// A stretch of the wall.
    void rectangle(const Outline& box, Ink ink, Fill fill, double line_width, Reference reference = {},
                   Stroke stroke = Stroke::solid, double strength = 1) {
        const double left = scale.x(box.left);
        const double top = scale.y(box.top);
        add(Rectangle{{left, top},
                      scale.x(box.right) - left,
                      scale.y(box.bottom) - top,
                      ink,
                      fill,
                      line_width,
                      stroke,
                      strength},
            std::move(reference));
    }
};

} // namespace yes_square
