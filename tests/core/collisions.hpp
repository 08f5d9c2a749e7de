#pragma once

#include "core/sheets/drawing.hpp"
#include "core/sheets/lettering.hpp"

#include <algorithm>
#include <cmath>
#include <string>
#include <variant>
#include <vector>

/// Reads a finished drawing as an eye would: which of its words lie on others, are struck through, hidden or cut off.
namespace yes_square {

inline constexpr double touch = 0.06; ///< mm of paper: what only touches is no collision

/// What somebody who looks at the drawing would see of one text, in mm; worked out from the shapes as they are painted,
/// without the code that places them.
struct Seen {
    const Text* text;
    double left, top, right, bottom;
    std::size_t painted; ///< its place in the order of painting
};

inline Seen seen(const Text& text, std::size_t painted) {
    const double width = text_width(text.text, text.height, text.bold);
    const double left = text.at.x - (text.align == Align::left ? 0 : text.align == Align::right ? width : width / 2);
    return {&text,  left + touch, text.at.y - 0.72 * text.height + touch, left + width - touch, text.at.y - touch,
            painted};
}

inline bool crosses(Point a, Point b, const Seen& box) {
    if (std::max(a.x, b.x) <= box.left || std::min(a.x, b.x) >= box.right || std::max(a.y, b.y) <= box.top ||
        std::min(a.y, b.y) >= box.bottom)
        return false;
    // Walked in small steps: slow and plain.
    const double length = std::hypot(b.x - a.x, b.y - a.y);
    const int steps = std::max(1, static_cast<int>(length / 0.05));
    for (int i = 0; i <= steps; ++i) {
        const double x = a.x + (b.x - a.x) * i / steps;
        const double y = a.y + (b.y - a.y) * i / steps;
        if (x > box.left && x < box.right && y > box.top && y < box.bottom)
            return true;
    }
    return false;
}

inline bool struck_by(const Shape& shape, const Seen& box) {
    if (const auto* line = std::get_if<Line>(&shape.form))
        return crosses(line->from, line->to, box);
    if (const auto* r = std::get_if<Rectangle>(&shape.form)) {
        if (r->fill == Fill::none && r->line_width == 0)
            return false;
        const Point a = r->at;
        const Point b{r->at.x + r->width, r->at.y};
        const Point c{r->at.x + r->width, r->at.y + r->height};
        const Point d{r->at.x, r->at.y + r->height};
        if (r->fill == Fill::plain && r->ink == Ink::paper && r->line_width == 0)
            return false; // blank paper has no edge to be seen
        return crosses(a, b, box) || crosses(b, c, box) || crosses(c, d, box) || crosses(d, a, box);
    }
    if (const auto* c = std::get_if<Circle>(&shape.form)) {
        const double x = std::clamp(c->centre.x, box.left, box.right);
        const double y = std::clamp(c->centre.y, box.top, box.bottom);
        return std::hypot(x - c->centre.x, y - c->centre.y) < c->radius;
    }
    if (const auto* t = std::get_if<Triangle>(&shape.form))
        return crosses(t->a, t->b, box) || crosses(t->b, t->c, box) || crosses(t->c, t->a, box);
    return false;
}

inline bool hides(const Shape& shape, const Seen& box) {
    const auto* r = std::get_if<Rectangle>(&shape.form);
    return r && r->ink == Ink::paper && r->fill == Fill::plain && r->strength >= 1 && r->at.x <= box.left &&
           r->at.y <= box.top && r->at.x + r->width >= box.right && r->at.y + r->height >= box.bottom;
}

/// Every collision of a drawing, in words.
inline std::vector<std::string> collisions(const Drawing& drawing) {
    std::vector<Seen> texts;
    for (std::size_t i = 0; i < drawing.shapes.size(); ++i)
        if (const auto* text = std::get_if<Text>(&drawing.shapes[i].form); text && text->text != "!")
            texts.push_back(seen(*text, i));
    std::vector<std::string> found;
    for (const Seen& one : texts) {
        bool hidden = false; // under a rod, and not to be seen at all
        for (std::size_t i = one.painted + 1; i < drawing.shapes.size(); ++i)
            hidden |= hides(drawing.shapes[i], one);
        if (hidden)
            found.push_back("\"" + one.text->text + "\" is hidden");
        if (one.left < 0 || one.top < 0 || one.right > drawing.width || one.bottom > drawing.height)
            found.push_back("\"" + one.text->text + "\" is cut off");
        for (const Seen& other : texts)
            if (other.painted > one.painted && one.left < other.right && other.left < one.right &&
                one.top < other.bottom && other.top < one.bottom)
                found.push_back("\"" + one.text->text + "\" lies on \"" + other.text->text + "\"");
        // What was painted before it and is seen there still; none where the text breaks what it lies on.
        std::size_t from = 0;
        for (std::size_t i = 0; i < one.painted; ++i)
            if (hides(drawing.shapes[i], one))
                from = i + 1;
        if (one.text->breaks_lines)
            from = one.painted + 1;
        for (std::size_t i = from; i < drawing.shapes.size(); ++i)
            if (i != one.painted && struck_by(drawing.shapes[i], one))
                found.push_back("\"" + one.text->text + "\" is struck through by shape " + std::to_string(i) + " of " +
                                std::to_string(drawing.shapes.size()) + ", form " +
                                std::to_string(drawing.shapes[i].form.index()));
        // What breaks lines hides nothing that must be seen.
        for (std::size_t i = 0; one.text->breaks_lines && i < one.painted; ++i)
            if (std::holds_alternative<Circle>(drawing.shapes[i].form) && struck_by(drawing.shapes[i], one))
                found.push_back("\"" + one.text->text + "\" hides a hole");
    }
    return found;
}

} // namespace yes_square
