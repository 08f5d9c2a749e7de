#include "core/sheets/drawing.hpp"

#include <utility>

namespace yes_square {
namespace {

/// Every point of a shape, whatever it is.
struct Mover {
    double x;
    double y;
    void move(Point& point) const {
        point.x += x;
        point.y += y;
    }
    void operator()(Line& line) const {
        move(line.from);
        move(line.to);
    }
    void operator()(Rectangle& rectangle) const { move(rectangle.at); }
    void operator()(Circle& circle) const { move(circle.centre); }
    void operator()(Triangle& triangle) const {
        move(triangle.a);
        move(triangle.b);
        move(triangle.c);
    }
    void operator()(Text& text) const { move(text.at); }
};

} // namespace

void append(Drawing& into, Drawing part, double x, double y) {
    for (Shape& shape : part.shapes) {
        std::visit(Mover{x, y}, shape.form);
        into.shapes.push_back(std::move(shape));
    }
}

} // namespace yes_square
