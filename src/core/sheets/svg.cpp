#include "core/sheets/svg.hpp"

#include "core/sheets/inks.hpp"
#include "core/sheets/lettering.hpp"

#include <fmt/format.h>

namespace yes_square {
namespace {

class SvgWriter {
public:
    std::string form(const Line& line) const {
        return fmt::format(R"(<line x1="{:.3f}" y1="{:.3f}" x2="{:.3f}" y2="{:.3f}" {}/>)", line.from.x, line.from.y,
                           line.to.x, line.to.y, stroke(line.ink, line.width, line.stroke));
    }
    std::string form(const Rectangle& rectangle) const {
        std::string fill = R"(fill="none")";
        if (rectangle.fill == Fill::hatched)
            fill = fmt::format(R"x(fill="url(#hatch)" color="{}")x", on_file(rectangle.ink).colour);
        else if (rectangle.fill != Fill::none)
            fill = fmt::format(R"(fill="{}" fill-opacity="{:.2f}")", on_file(rectangle.ink).colour,
                               rectangle.fill == Fill::light ? 0.25 : rectangle.strength);
        return fmt::format(R"(<rect x="{:.3f}" y="{:.3f}" width="{:.3f}" height="{:.3f}" {} {}/>)", rectangle.at.x,
                           rectangle.at.y, std::max(0.0, rectangle.width), std::max(0.0, rectangle.height), fill,
                           rectangle.line_width > 0 ? stroke(rectangle.ink, rectangle.line_width, rectangle.stroke)
                                                    : std::string{R"(stroke="none")"});
    }
    std::string form(const Circle& circle) const {
        return fmt::format(R"(<circle cx="{:.3f}" cy="{:.3f}" r="{:.3f}" fill="{}" {}/>)", circle.centre.x,
                           circle.centre.y, circle.radius,
                           circle.fill == Fill::none ? std::string_view{"none"} : on_file(circle.ink).colour,
                           stroke(circle.ink, 0.25, Stroke::solid));
    }
    std::string form(const Triangle& t) const {
        return fmt::format(R"(<polygon points="{:.3f},{:.3f} {:.3f},{:.3f} {:.3f},{:.3f}" fill="{}"/>)", t.a.x, t.a.y,
                           t.b.x, t.b.y, t.c.x, t.c.y, on_file(t.ink).colour);
    }
    std::string form(const Text& text) const {
        std::string blank;
        if (text.breaks_lines) {
            const PaperBox box = box_of(text);
            blank = fmt::format(R"(<rect x="{:.3f}" y="{:.3f}" width="{:.3f}" height="{:.3f}" fill="#ffffff"/>)",
                                box.left, box.top, box.right - box.left, box.bottom - box.top);
        }
        return blank +
               fmt::format(R"(<text x="{:.3f}" y="{:.3f}" font-size="{:.3f}" text-anchor="{}" fill="{}"{}>{}</text>)",
                           text.at.x, text.at.y, text.height,
                           text.align == Align::left     ? "start"
                           : text.align == Align::centre ? "middle"
                                                         : "end",
                           on_file(text.ink).colour, text.bold ? R"( font-weight="bold")" : "", in_markup(text.text));
    }

private:
    static std::string stroke(Ink ink, double width, Stroke style) {
        return fmt::format(
            R"(stroke="{}" stroke-width="{:.3f}"{})", on_file(ink).colour, width,
            style == Stroke::dashed   ? fmt::format(R"( stroke-dasharray="{:.2f} {:.2f}")", 6 * width, 4 * width)
            : style == Stroke::dotted ? fmt::format(R"( stroke-dasharray="{:.2f} {:.2f}")", 1.5 * width, 3 * width)
                                      : std::string{});
    }
};

} // namespace

std::string in_markup(std::string_view words) {
    std::string safe;
    for (const char c : words)
        safe += c == '&' ? "&amp;" : c == '<' ? "&lt;" : c == '>' ? "&gt;" : c == '"' ? "&quot;" : std::string(1, c);
    return safe;
}

std::string svg(const Drawing& drawing, const std::string& title) {
    std::string text = fmt::format(
        R"x(<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="{0:.3f}mm" height="{1:.3f}mm" viewBox="0 0 {0:.3f} {1:.3f}" font-family="Roboto, sans-serif">
<title>{2}</title>
<defs><pattern id="hatch" width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><line x1="0" y1="0" x2="0" y2="4" stroke="currentColor" stroke-width="0.15"/></pattern></defs>
<rect width="{0:.3f}" height="{1:.3f}" fill="#ffffff"/>
)x",
        drawing.width, drawing.height, in_markup(title));
    const SvgWriter writer;
    for (const Shape& shape : drawing.shapes)
        text += std::visit([&](const auto& form) { return writer.form(form); }, shape.form) + "\n";
    return text + "</svg>\n";
}

} // namespace yes_square
