#include "app/board/picking.hpp"

#include "core/sheets/lettering.hpp"

#include <QPolygonF>
#include <algorithm>
#include <cmath>

namespace yes_square::app {
namespace {

constexpr double near_px = 5;
constexpr double thin_px = 2;

double distance_to_segment(QPointF p, QPointF a, QPointF b) {
    const QPointF along = b - a;
    const double square = QPointF::dotProduct(along, along);
    const double t = square > 0 ? std::clamp(QPointF::dotProduct(p - a, along) / square, 0.0, 1.0) : 0.0;
    const QPointF off = p - (a + t * along);
    return std::hypot(off.x(), off.y());
}

/// How far a point (mm of paper) is from a shape; inside is 0.
struct Distance {
    QPointF at;
    double operator()(const Line& line) const {
        // A thin line that lies on top is meant before what is broad under it.
        return std::max(0.0, distance_to_segment(at, {line.from.x, line.from.y}, {line.to.x, line.to.y}) -
                                 thin_px / pixels_per_mm);
    }
    double operator()(const Rectangle& r) const {
        const double x = std::max({r.at.x - at.x(), at.x() - r.at.x - r.width, 0.0});
        const double y = std::max({r.at.y - at.y(), at.y() - r.at.y - r.height, 0.0});
        return std::hypot(x, y);
    }
    double operator()(const Circle& c) const {
        return std::max(0.0, std::hypot(at.x() - c.centre.x, at.y() - c.centre.y) - c.radius);
    }
    double operator()(const Triangle& t) const {
        const QPolygonF triangle{{QPointF{t.a.x, t.a.y}, QPointF{t.b.x, t.b.y}, QPointF{t.c.x, t.c.y}}};
        return triangle.containsPoint(at, Qt::OddEvenFill) ? 0 : 1e9;
    }
    double operator()(const Text& text) const {
        const PaperBox box = box_of(text);
        return (*this)(Rectangle{{box.left, box.top}, box.right - box.left, box.bottom - box.top});
    }
};

} // namespace

const Shape* shape_at(const Drawing& drawing, QPointF pixels) {
    const Distance distance{pixels / pixels_per_mm};
    const Shape* best = nullptr;
    double nearest = near_px / pixels_per_mm;
    // Last painted lies on top.
    for (auto shape = drawing.shapes.rbegin(); shape != drawing.shapes.rend(); ++shape) {
        if (shape->reference.part == Reference::Part::none)
            continue;
        const double away = std::visit(distance, shape->form);
        if (away < nearest) {
            best = &*shape;
            nearest = away;
        }
    }
    return best;
}

} // namespace yes_square::app
