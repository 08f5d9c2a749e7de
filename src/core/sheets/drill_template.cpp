#include "core/sheets/drill_template.hpp"

#include "core/job/along.hpp"

#include <algorithm>
#include <fmt/format.h>

namespace yes_square {
namespace {

void add_hole(TemplateFrame& frame, const WallMark& mark, const Tape& tape, const Voice& voice) {
    const Point at = frame.on_page(mark.x.in_mm(), mark.z.in_mm());
    const double radius = mark.fixing ? std::max(0.8, mark.fixing->hole_diameter.in_mm() / 2) : 1.5;
    const Ink ink = mark.in_strip() ? Ink::alarm : Ink::hole;
    frame.add(Circle{at, radius, ink, Fill::none});
    frame.add(Line{{at.x - radius - 4, at.y}, {at.x + radius + 4, at.y}, ink, 0.2});
    frame.add(Line{{at.x, at.y - radius - 4}, {at.x, at.y + radius + 4}, ink, 0.2});
    // To the left where the page ends at the right.
    const bool over_right = mark.x.in_mm() > frame.right() - 60;
    const Align align = over_right ? Align::right : Align::left;
    const double x = over_right ? at.x - radius - 2 : at.x + radius + 2;
    frame.words({x, at.y - 1.5},
                fmt::format("{}, {}",
                            tape.turned ? say(along(tape, mark.x), voice) : format_bare(tape.reads(mark.x), voice),
                            format(mark.z, voice)),
                2.8, ink, true, align);
    if (mark.fixing)
        frame.words(
            {x, at.y + 4},
            say(Sentence{"{0}, tape at {1}", {stock(mark.fixing->hole_diameter), stock(mark.fixing->drill_depth)}},
                voice),
            2.5, Ink::faint, false, align);
}

void add_level_line(TemplateFrame& frame, const WallMark& mark, const Voice& voice) {
    const double z = mark.z.in_mm();
    const double from = std::max(frame.left(), mark.x.in_mm());
    const double to = std::min(frame.right(), mark.to_x.in_mm());
    if (z < frame.bottom() || z > frame.top() || to <= from)
        return;
    const Point start = frame.on_page(from, z);
    frame.add(Line{start, frame.on_page(to, z), Ink::level, 0.35});
    frame.words({start.x + 12, start.y - 1.2}, say(mark.what, voice), 2.5, Ink::level);
}

} // namespace

std::vector<TemplatePage> drill_template(const std::string& name, const std::vector<WallMark>& marks, const Tape& tape,
                                         double width, double height, const Voice& voice) {
    FullSize holes{name, "Frame's lower left corner: {0} from the reference end, {1} above the datum", {}, {}, {},
                   tape};
    for (const WallMark& mark : marks)
        if (mark.kind == MarkKind::hole) {
            holes.along.push_back(mark.x.in_mm());
            holes.up.push_back(mark.z.in_mm());
        }
    holes.draw = [&](TemplateFrame& frame) {
        bool any = false;
        for (const WallMark& mark : marks)
            if (mark.kind == MarkKind::hole && frame.holds(mark.x.in_mm(), mark.z.in_mm())) {
                any = true;
                add_hole(frame, mark, tape, voice);
            } else if (mark.kind == MarkKind::level_line) {
                add_level_line(frame, mark, voice);
            }
        return any;
    };
    return full_size_pages(holes, width, height, voice);
}

} // namespace yes_square
