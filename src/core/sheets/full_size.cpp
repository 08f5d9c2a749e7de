#include "core/sheets/full_size.hpp"

#include "core/job/along.hpp"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace yes_square {
namespace {

constexpr double head = 9;        ///< mm over the frame, for its figures
constexpr double foot = 16;       ///< mm under it, for the check line
constexpr double least_round = 8; ///< mm, where all of them fit one page by it
constexpr double room_round = 25; ///< mm kept round the outermost places, where they fill less than a page

/// Where pages of a size begin, so that every place lies on one and few are printed: all on one where they fit, in
/// its middle; else side by side with what they share, and a new beginning beyond a wide gap. Whole mm, so that a
/// frame's own figures are easy to find with a tape.
std::vector<double> starts(std::vector<double> places, double size) {
    std::vector<double> found;
    if (places.empty())
        return found;
    std::ranges::sort(places);
    if (places.back() - places.front() + 2 * least_round <= size)
        return {std::floor((places.front() + places.back() - size) / 2)};
    const double step = size - template_overlap;
    for (const double place : places) {
        if (!found.empty() && place <= found.back() + size - template_overlap / 2)
            continue;
        const double fresh = std::floor(place - room_round);
        found.push_back(found.empty() ? fresh : std::max(fresh, found.back() + step));
    }
    return found;
}

/// In the middle of what neighbours share: a page's crosses lie on its neighbour's.
void add_crosses(TemplateFrame& frame) {
    const double in = template_overlap / 2;
    for (const double x : {frame.left() + in, frame.right() - in})
        for (const double z : {frame.bottom() + in, frame.top() - in}) {
            const Point at = frame.on_page(x, z);
            frame.add(Line{{at.x - 4, at.y}, {at.x + 4, at.y}, Ink::faint, 0.2});
            frame.add(Line{{at.x, at.y - 4}, {at.x, at.y + 4}, Ink::faint, 0.2});
        }
}

void add_check_line(TemplateFrame& frame, const Voice& voice) {
    const double y = frame.on_page(frame.left(), frame.bottom()).y + 9;
    frame.add(Line{{0, y}, {template_check_line, y}, Ink::wall, 0.4});
    for (const double x : {0.0, template_check_line})
        frame.add(Line{{x, y - 3}, {x, y + 3}, Ink::wall, 0.4});
    frame.words({2, y + 5},
                say(Sentence{"Measure this line: {0}. If it is not, print at 100 %, not fitted to the page",
                             {quantity(Length::mm(static_cast<std::int64_t>(template_check_line)))}},
                    voice),
                2.8);
}

} // namespace

Point TemplateFrame::on_page(double x, double z) const {
    return {x - left_, head + height_ - (z - bottom_)};
}

std::vector<TemplatePage> full_size_pages(const FullSize& what, double width, double height, const Voice& voice) {
    const double frame_height = height - head - foot;
    const std::vector<double> lefts = starts(what.along, width);
    const std::vector<double> bottoms = starts(what.up, frame_height);
    std::vector<TemplatePage> pages;
    for (std::size_t row = bottoms.size(); row-- > 0;)
        for (std::size_t column = 0; column < lefts.size(); ++column) {
            TemplatePage page;
            TemplateFrame frame{page, lefts[column], bottoms[row], width, frame_height};
            const std::string letter =
                column < 26 ? std::string(1, static_cast<char>('A' + column)) : std::to_string(column + 1);
            page.name = fmt::format("{} {}{}", what.name, letter, bottoms.size() - row);
            page.left = Length::nearest_to_metres(frame.left() / 1000);
            page.bottom = Length::nearest_to_metres(frame.bottom() / 1000);
            page.drawing = {width, height, {}};
            frame.words({0, 6},
                        say(Sentence{what.corner, {along(what.tape, page.left), quantity(page.bottom)}}, voice));
            frame.add(Rectangle{{0, head}, width, frame_height, Ink::wall, Fill::none, 0.2});
            add_crosses(frame);
            if (!what.draw(frame))
                continue;
            add_check_line(frame, voice);
            pages.push_back(std::move(page));
        }
    return pages;
}

} // namespace yes_square
