#include "core/sheets/profile_drawing.hpp"
#include "core/sheets/lettering.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

/// A strip as long as the wall in which small differences are drawn large.
class Ribbon {
public:
    Ribbon(const Wall& wall, double width, double height, double text, const Voice& voice)
        : drawing{width, height, {}}
        , text_{text}
        , voice_{voice}
        , per_metre_{(width - 4 * text) / std::max(0.001, wall.length.in_metres())} {}

    Drawing drawing;

    double x(Length at) const { return 2 * text_ + at.in_metres() * per_metre_; }
    void line(double x1, double y1, double x2, double y2, Ink ink, double line_width, Stroke stroke = Stroke::solid) {
        drawing.shapes.push_back({Line{{x1, y1}, {x2, y2}, ink, line_width, stroke}});
    }
    void words(double at_x, double at_y, std::string text, Ink ink, Align align = Align::centre, bool bold = false) {
        drawing.shapes.push_back({Text{{at_x, at_y}, std::move(text), text_, align, ink, bold}});
    }
    /// A figure, unless it would run into the one before it.
    void figure(double at_x, double at_y, Length value, Ink ink) {
        const std::string text = format_bare(value, voice_);
        const double half = text_width(text, text_, true) / 2 + 0.3 * text_;
        if (at_x - half < taken_to_)
            return;
        taken_to_ = at_x + half;
        words(at_x, at_y, text, ink);
    }

private:
    double text_;
    const Voice& voice_;
    double per_metre_;
    double taken_to_ = -1e9;
};

} // namespace

Drawing draw_floor_profile(const Wall& wall, const FloorProfile& floor, double width, double height, double text,
                           const Voice& voice) {
    Ribbon ribbon{wall, width, height, text, voice};
    if (!floor.measured())
        return std::move(ribbon.drawing);
    const double top = 2.4 * text;
    const double bottom = height - 2.2 * text;
    const double lowest = std::min({floor.low.z.in_metres(), -floor.build_up.in_metres(), -0.004});
    const auto y = [&](Length z) { return top + (bottom - top) * z.in_metres() / lowest; };
    const double left = ribbon.x({});
    const double right = ribbon.x(wall.length);
    ribbon.line(left, y({}), right, y({}), Ink::level, 0.5);
    ribbon.words(
        left, y({}) - 0.5 * text,
        say(floor.build_up > Length{} ? std::string_view{"Finished floor, the datum"} : "High point, the datum", voice),
        Ink::level, Align::left);
    const auto& points = floor.floor;
    ribbon.line(left, y(points.front().z), ribbon.x(points.front().x), y(points.front().z), Ink::floor, 0.5,
                Stroke::dotted);
    ribbon.line(ribbon.x(points.back().x), y(points.back().z), right, y(points.back().z), Ink::floor, 0.5,
                Stroke::dotted);
    for (std::size_t i = 1; i < points.size(); ++i)
        ribbon.line(ribbon.x(points[i - 1].x), y(points[i - 1].z), ribbon.x(points[i].x), y(points[i].z), Ink::floor,
                    0.7);
    for (const ProfilePoint& point : points) {
        const double at = ribbon.x(point.x);
        ribbon.line(at, y({}), at, y(point.z), Ink::faint, 0.2);
        ribbon.drawing.shapes.push_back({Circle{{at, y(point.z)}, 0.22 * text, Ink::probe, Fill::plain}});
        ribbon.figure(at, y(point.z) + 1.3 * text, point.z, Ink::figure);
    }
    settle_lettering(ribbon.drawing, {0, 0, width, height});
    return std::move(ribbon.drawing);
}

Drawing draw_face_profile(const Wall& wall, const FaceProfile& face, std::size_t row_index, double width, double height,
                          double text, const Voice& voice) {
    Ribbon ribbon{wall, width, height, text, voice};
    if (row_index >= face.rows.size())
        return std::move(ribbon.drawing);
    const FaceRow& row = face.rows[row_index];
    const double top = 1.6 * text;
    const double front = height - 2.4 * text;
    double most = 0.004;
    for (const FaceRow::Place& place : row.places)
        most = std::max(most, face.shim_at(place.x, row.z)->in_metres());
    // The room is below: the straight front, and the wall behind it.
    const auto y = [&](Length shim) { return front - (front - top) * shim.in_metres() / most; };
    ribbon.line(ribbon.x({}), front, ribbon.x(wall.length), front, Ink::level, 0.5);
    ribbon.words(ribbon.x({}), front + 1.4 * text,
                 say({"Straight front from above, string at {0}", {quantity(row.z)}}, voice), Ink::level, Align::left);
    for (std::size_t i = 0; i < row.places.size(); ++i) {
        const Length shim = *face.shim_at(row.places[i].x, row.z);
        const double at = ribbon.x(row.places[i].x);
        if (i > 0)
            ribbon.line(ribbon.x(row.places[i - 1].x), y(*face.shim_at(row.places[i - 1].x, row.z)), at, y(shim),
                        Ink::wall, 0.7);
        ribbon.line(at, front, at, y(shim), Ink::faint, 0.2);
        ribbon.drawing.shapes.push_back({Circle{{at, y(shim)}, 0.22 * text, Ink::probe, Fill::plain}});
        ribbon.figure(at, y(shim) - 0.5 * text, shim, Ink::figure);
    }
    settle_lettering(ribbon.drawing, {0, 0, width, height});
    return std::move(ribbon.drawing);
}

} // namespace yes_square
