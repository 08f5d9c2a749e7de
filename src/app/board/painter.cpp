#include "app/board/painter.hpp"

#include "core/sheets/lettering.hpp"

#include <QCoreApplication>
#include <QFontMetricsF>
#include <QStaticText>
#include <algorithm>
#include <map>
#include <mutex>
#include <tuple>

namespace yes_square::app {
namespace {

class DrawingPainter {
public:
    DrawingPainter(QPainter& painter, const Theme& theme, double per_mm)
        : painter_{painter}
        , theme_{theme}
        , per_mm_{per_mm} {}

    void operator()(const Line& line) const {
        const double half = line.width * per_mm_ / 2;
        if (line.stroke == Stroke::solid && line.from.x == line.to.x) { // filled: a pen takes far longer
            const auto [top, bottom] = std::minmax(line.from.y, line.to.y);
            painter_.fillRect(
                QRectF{point({line.from.x, top}) - QPointF{half, 0}, QSizeF{2 * half, (bottom - top) * per_mm_}},
                theme_.of(line.ink));
            return;
        }
        if (line.stroke == Stroke::solid && line.from.y == line.to.y) {
            const auto [left, right] = std::minmax(line.from.x, line.to.x);
            painter_.fillRect(
                QRectF{point({left, line.from.y}) - QPointF{0, half}, QSizeF{(right - left) * per_mm_, 2 * half}},
                theme_.of(line.ink));
            return;
        }
        painter_.setPen(pen(line.ink, line.width, line.stroke));
        painter_.drawLine(point(line.from), point(line.to));
    }

    void operator()(const Rectangle& rectangle) const {
        const QRectF area{point(rectangle.at), QSizeF{rectangle.width, rectangle.height} * per_mm_};
        switch (rectangle.fill) {
        case Fill::none:
            break;
        case Fill::plain: {
            QColor colour = theme_.fill_of(rectangle.ink);
            colour.setAlphaF(colour.alphaF() * static_cast<float>(rectangle.strength));
            painter_.fillRect(area, colour);
            break;
        }
        case Fill::light: {
            QColor colour = theme_.fill_of(rectangle.ink);
            if (colour.alpha() == 255)
                colour.setAlphaF(0.35F);
            painter_.fillRect(area, colour);
            break;
        }
        case Fill::hatched:
            hatch(area, rectangle.ink);
            break;
        }
        if (rectangle.line_width > 0)
            outline(area, rectangle.ink == Ink::masonry ? Ink::wall : rectangle.ink, rectangle.line_width,
                    rectangle.stroke);
    }

    void operator()(const Circle& circle) const {
        painter_.setPen(pen(circle.ink, 0.25, Stroke::solid));
        painter_.setBrush(circle.fill == Fill::none ? QBrush{Qt::NoBrush} : QBrush{theme_.fill_of(circle.ink)});
        painter_.drawEllipse(point(circle.centre), circle.radius * per_mm_, circle.radius * per_mm_);
        painter_.setBrush(Qt::NoBrush);
    }

    void operator()(const Triangle& triangle) const {
        painter_.setPen(Qt::NoPen);
        painter_.setBrush(theme_.of(triangle.ink));
        painter_.drawPolygon(QPolygonF{{point(triangle.a), point(triangle.b), point(triangle.c)}});
        painter_.setBrush(Qt::NoBrush);
    }

    void operator()(const Text& text) const {
        const QFont& font = font_for(std::max(1, qRound(text.height * per_mm_)), text.bold);
        painter_.setFont(font);
        painter_.setPen(theme_.of(text.ink));
        const QStaticText& words = set_in_type(text, font);
        const double width = words.size().width();
        const double shift = text.align == Align::left ? 0 : text.align == Align::centre ? width / 2 : width;
        if (text.breaks_lines) {
            const PaperBox box = box_of(text);
            painter_.fillRect(QRectF{point({box.left, box.top}), point({box.right, box.bottom})}, theme_.paper);
        }
        painter_.drawStaticText(point(text.at) - QPointF{shift, QFontMetricsF{font}.ascent()}, words);
    }

private:
    QPointF point(Point at) const { return {at.x * per_mm_, at.y * per_mm_}; }

    /// As a pen with mitred corners draws it.
    void outline(const QRectF& area, Ink ink, double width, Stroke stroke) const {
        if (stroke != Stroke::solid) {
            painter_.setPen(pen(ink, width, stroke));
            painter_.drawRect(area);
            return;
        }
        const double half = width * per_mm_ / 2;
        const QRectF out = area.normalized().adjusted(-half, -half, half, half);
        const QRectF in = area.normalized().adjusted(half, half, -half, -half);
        const QColor colour = theme_.of(ink);
        if (in.width() <= 0 || in.height() <= 0)
            return painter_.fillRect(out, colour);
        painter_.fillRect(QRectF{out.topLeft(), QPointF{out.right(), in.top()}}, colour);
        painter_.fillRect(QRectF{QPointF{out.left(), in.bottom()}, out.bottomRight()}, colour);
        painter_.fillRect(QRectF{QPointF{out.left(), in.top()}, in.bottomLeft()}, colour);
        painter_.fillRect(QRectF{in.topRight(), QPointF{out.right(), in.bottom()}}, colour);
    }

    QPen pen(Ink ink, double width, Stroke stroke) const {
        QPen pen{theme_.of(ink), width * per_mm_};
        pen.setCapStyle(Qt::FlatCap);
        pen.setJoinStyle(Qt::MiterJoin);
        if (stroke == Stroke::dashed)
            pen.setDashPattern({6, 4});
        else if (stroke == Stroke::dotted)
            pen.setDashPattern({1.5, 3});
        return pen;
    }

    /// Diagonal hatching, as masonry is drawn on building drawings; as lines, so that paper gets lines too.
    void hatch(const QRectF& area, Ink ink) const {
        painter_.save();
        painter_.setClipRect(area, Qt::IntersectClip);
        painter_.setPen(pen(ink, 0.15, Stroke::solid));
        const double step = 4 * per_mm_;
        for (double x = area.left() - area.height(); x < area.right(); x += step)
            painter_.drawLine(QPointF{x, area.bottom()}, QPointF{x + area.height(), area.top()});
        painter_.restore();
    }

    /// Words stay where they are from one painting to the next: their letters are looked up once.
    static const QStaticText& set_in_type(const Text& text, const QFont& font) {
        using Key = std::tuple<std::string, int, bool>;
        constexpr std::size_t most_kept = 4000;
        static std::map<Key, QStaticText> kept;
        static std::once_flag once;
        std::call_once(once, [] { qAddPostRoutine([] { kept.clear(); }); }); // before the fonts go
        if (kept.size() > most_kept)
            kept.clear();
        QStaticText& words = kept[Key{text.text, font.pixelSize(), text.bold}];
        if (words.text().isEmpty()) {
            words.setTextFormat(Qt::PlainText);
            words.setText(QString::fromStdString(text.text));
            words.prepare({}, font);
        }
        return words;
    }

    /// A drawing has a few sizes of type and hundreds of words in them.
    const QFont& font_for(int pixels, bool bold) const {
        QFont& font = fonts_[{pixels, bold}];
        if (font.pixelSize() != pixels) {
            font = painter_.font();
            font.setPixelSize(pixels);
            font.setBold(bold);
        }
        return font;
    }

    QPainter& painter_;
    const Theme& theme_;
    double per_mm_;
    mutable std::map<std::pair<int, bool>, QFont> fonts_;
};

} // namespace

void paint(QPainter& painter, const Drawing& drawing, const Theme& theme, double per_mm) {
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    const DrawingPainter paint_form{painter, theme, per_mm};
    for (const Shape& shape : drawing.shapes)
        std::visit(paint_form, shape.form);
    painter.restore();
}

} // namespace yes_square::app
