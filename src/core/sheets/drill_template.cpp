#include "core/sheets/drill_template.hpp"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace yes_square {
namespace {

constexpr double head = 9;        ///< mm over the frame, for its figures
constexpr double foot = 16;       ///< mm under it, for the check line
constexpr double least_round = 8; ///< mm, where all of them fit one page by it
constexpr double room_round = 25; ///< mm kept round the outermost holes, where they fill less than a page

class TemplateDrawer {
public:
    TemplateDrawer(const std::string& name, const std::vector<WallMark>& marks, double width, double height,
                   const Voice& voice)
        : name_{name}
        , marks_{marks}
        , width_{width}
        , frame_{height - head - foot}
        , voice_{voice} {}

    std::vector<TemplatePage> draw() {
        std::vector<TemplatePage> pages;
        std::vector<double> xs;
        std::vector<double> zs;
        for (const WallMark& mark : marks_)
            if (mark.kind == MarkKind::hole) {
                xs.push_back(mark.x.in_mm());
                zs.push_back(mark.z.in_mm());
            }
        const std::vector<double> lefts = starts(std::move(xs), width_);
        const std::vector<double> bottoms = starts(std::move(zs), frame_);
        for (std::size_t row = bottoms.size(); row-- > 0;)
            for (std::size_t column = 0; column < lefts.size(); ++column)
                if (auto page = this->page(lefts[column], bottoms[row], static_cast<int>(column),
                                           static_cast<int>(bottoms.size() - row)))
                    pages.push_back(std::move(*page));
        return pages;
    }

private:
    /// Where pages of a size begin, so that every place lies on one and few are printed: all on one where they fit, in
    /// its middle; else side by side with what they share, and a new beginning beyond a wide gap. Whole mm, so that a
    /// frame's own figures are easy to find with a tape.
    static std::vector<double> starts(std::vector<double> places, double size) {
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

    Point on_page(double x, double z) const { return {x - left_, head + frame_ - (z - bottom_)}; }
    void add(auto form) { page_->drawing.shapes.push_back({std::move(form), {}}); }
    void words(Point at, std::string text, double size = 3, Ink ink = Ink::figure, bool bold = false,
               Align align = Align::left) {
        add(Text{at, std::move(text), size, align, ink, bold});
    }
    std::string figure(double mm) const { return format(Length::nearest_to_metres(mm / 1000), voice_.unit); }

    std::optional<TemplatePage> page(double left, double bottom, int column, int row) {
        left_ = left;
        bottom_ = bottom;
        const auto inside = [&](const WallMark& mark) {
            return mark.kind == MarkKind::hole && mark.x.in_mm() >= left && mark.x.in_mm() <= left + width_ &&
                   mark.z.in_mm() >= bottom && mark.z.in_mm() <= bottom + frame_;
        };
        if (std::ranges::none_of(marks_, inside))
            return std::nullopt;
        TemplatePage page;
        page_ = &page;
        const std::string place = fmt::format(
            "{}{}", column < 26 ? std::string(1, static_cast<char>('A' + column)) : std::to_string(column + 1), row);
        page.name = fmt::format("{} {}", name_, place);
        page.left = Length::nearest_to_metres(left / 1000);
        page.bottom = Length::nearest_to_metres(bottom / 1000);
        page.drawing = {width_, head + frame_ + foot, {}};
        words({0, 6}, say(Sentence{"Frame's lower left corner: {0} from the reference end, {1} above the datum",
                                   {figure(left), figure(bottom)}},
                          voice_));
        add(Rectangle{{0, head}, width_, frame_, Ink::wall, Fill::none, 0.2});
        crosses();
        for (const WallMark& mark : marks_)
            if (inside(mark))
                hole(mark);
            else if (mark.kind == MarkKind::level_line)
                level_line(mark);
        check_line();
        return page;
    }

    /// In the middle of what neighbours share: a page's crosses lie on its neighbour's.
    void crosses() {
        const double in = template_overlap / 2;
        for (const double x : {in, width_ - in})
            for (const double y : {head + in, head + frame_ - in}) {
                add(Line{{x - 4, y}, {x + 4, y}, Ink::faint, 0.2});
                add(Line{{x, y - 4}, {x, y + 4}, Ink::faint, 0.2});
            }
    }

    void hole(const WallMark& mark) {
        const Point at = on_page(mark.x.in_mm(), mark.z.in_mm());
        const double radius = mark.fixing ? std::max(0.8, mark.fixing->hole_diameter.in_mm() / 2) : 1.5;
        const Ink ink = mark.in_strip() ? Ink::alarm : Ink::hole;
        add(Circle{at, radius, ink, Fill::none});
        add(Line{{at.x - radius - 4, at.y}, {at.x + radius + 4, at.y}, ink, 0.2});
        add(Line{{at.x, at.y - radius - 4}, {at.x, at.y + radius + 4}, ink, 0.2});
        // To the left where the page ends at the right.
        const bool over_right = at.x > width_ - 60;
        const Align align = over_right ? Align::right : Align::left;
        const double x = over_right ? at.x - radius - 2 : at.x + radius + 2;
        words({x, at.y - 1.5}, fmt::format("{}, {}", format_bare(mark.x, voice_.unit), format(mark.z, voice_.unit)),
              2.8, ink, true, align);
        if (mark.fixing)
            words(
                {x, at.y + 4},
                say(Sentence{"{0}, tape at {1}", {stock(mark.fixing->hole_diameter), stock(mark.fixing->drill_depth)}},
                    voice_),
                2.5, Ink::faint, false, align);
    }

    void level_line(const WallMark& mark) {
        const double z = mark.z.in_mm();
        if (z < bottom_ || z > bottom_ + frame_)
            return;
        const double from = std::max(left_, mark.x.in_mm());
        const double to = std::min(left_ + width_, mark.to_x.in_mm());
        if (to <= from)
            return;
        add(Line{on_page(from, z), on_page(to, z), Ink::level, 0.35});
        words({on_page(from, z).x + 12, on_page(from, z).y - 1.2}, say(mark.what, voice_), 2.5, Ink::level);
    }

    void check_line() {
        const double y = head + frame_ + 9;
        add(Line{{0, y}, {template_check_line, y}, Ink::wall, 0.4});
        for (const double x : {0.0, template_check_line})
            add(Line{{x, y - 3}, {x, y + 3}, Ink::wall, 0.4});
        words({2, y + 5},
              say(Sentence{"Measure this line: {0}. If it is not, print at 100 %, not fitted to the page",
                           {quantity(Length::mm(static_cast<std::int64_t>(template_check_line)))}},
                  voice_),
              2.8);
    }

    const std::string& name_;
    const std::vector<WallMark>& marks_;
    double width_;
    double frame_;
    const Voice& voice_;
    double left_ = 0;
    double bottom_ = 0;
    TemplatePage* page_ = nullptr;
};

} // namespace

std::vector<TemplatePage> drill_template(const std::string& name, const std::vector<WallMark>& marks, double width,
                                         double height, const Voice& voice) {
    return TemplateDrawer{name, marks, width, height, voice}.draw();
}

} // namespace yes_square
