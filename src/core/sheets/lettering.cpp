#include "core/sheets/lettering.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <functional>
#include <optional>
#include <span>
#include <utility>

namespace yes_square {
namespace {

/// Advances of the shipped typeface's letters from space to tilde, in thousandths of the type size; read from its
/// files.
constexpr std::array<int, 95> regular_advance{
    248, 258, 320, 616, 562, 732, 622, 175, 342, 348, 431, 567, 197, 276, 264, 413, 562, 562, 562,
    562, 562, 562, 562, 562, 562, 562, 242, 211, 508, 549, 523, 473, 898, 652, 623, 651, 656, 568,
    553, 681, 713, 272, 552, 627, 539, 873, 713, 688, 631, 688, 616, 594, 597, 648, 637, 887, 627,
    601, 599, 265, 411, 265, 418, 451, 309, 544, 562, 523, 564, 530, 348, 562, 551, 243, 239, 507,
    243, 877, 552, 570, 562, 568, 339, 516, 327, 551, 484, 751, 496, 473, 496, 338, 244, 338, 680};
constexpr std::array<int, 95> bold_advance{
    249, 272, 321, 596, 574, 738, 656, 162, 351, 353, 454, 546, 245, 388, 291, 374, 574, 574, 574,
    574, 574, 574, 574, 574, 574, 574, 282, 262, 509, 572, 517, 498, 895, 673, 638, 655, 650, 562,
    548, 681, 707, 292, 559, 635, 542, 876, 707, 690, 646, 690, 638, 615, 619, 658, 654, 875, 636,
    619, 606, 278, 422, 278, 438, 447, 331, 536, 563, 522, 564, 541, 358, 571, 560, 265, 260, 534,
    265, 866, 560, 565, 563, 565, 365, 515, 338, 560, 506, 735, 509, 502, 509, 331, 253, 331, 649};
constexpr int other_advance = 700;

constexpr double cap_height = 0.74; ///< of the type size, over the baseline
constexpr double tail_depth = 0.22; ///< under it
constexpr double air = 0.12;        ///< of the type size, kept round a text
constexpr double touching = 0.05;   ///< mm: an edge that only touches strikes nothing
constexpr double far_away = 1.6;    ///< type sizes; a text that went farther is led back
constexpr double small_thing = 1.2; ///< of a text's own width and height: what is smaller is not hidden under it

struct Segment {
    Point a;
    Point b;
};

/// Whether a segment runs through a box: clipped to it, something is left.
bool runs_through(const Segment& segment, const PaperBox& box) {
    double from = 0;
    double to = 1;
    const auto clip = [&](double start, double step, double least, double most) {
        if (std::abs(step) < 1e-12)
            return start > least && start < most;
        double enters = (least - start) / step;
        double leaves = (most - start) / step;
        if (enters > leaves)
            std::swap(enters, leaves);
        from = std::max(from, enters);
        to = std::min(to, leaves);
        return from < to;
    };
    return clip(segment.a.x, segment.b.x - segment.a.x, box.left, box.right) &&
           clip(segment.a.y, segment.b.y - segment.a.y, box.top, box.bottom);
}

PaperBox grown(const PaperBox& box, double by) {
    return {box.left - by, box.top - by, box.right + by, box.bottom + by};
}

PaperBox box_of(const Rectangle& r) {
    return {std::min(r.at.x, r.at.x + r.width), std::min(r.at.y, r.at.y + r.height), std::max(r.at.x, r.at.x + r.width),
            std::max(r.at.y, r.at.y + r.height)};
}
PaperBox box_of(const Circle& c) {
    return {c.centre.x - c.radius, c.centre.y - c.radius, c.centre.x + c.radius, c.centre.y + c.radius};
}
PaperBox box_of(const Triangle& t) {
    return {std::min({t.a.x, t.b.x, t.c.x}), std::min({t.a.y, t.b.y, t.c.y}), std::max({t.a.x, t.b.x, t.c.x}),
            std::max({t.a.y, t.b.y, t.c.y})};
}

double area(const PaperBox& box) {
    return (box.right - box.left) * (box.bottom - box.top);
}

/// What a text meets at a place.
enum class Meets { nothing, lines, what_it_must_not };

/// One drawing's lettering, as it is placed.
class Settler {
public:
    Settler(Drawing& drawing, const PaperBox& room)
        : drawing_{drawing}
        , room_{room} {}

    void settle() {
        take_out();
        for (Warning& warning : warnings_)
            place(warning);
        std::ranges::stable_sort(blocks_, std::greater{}, [](const Block& block) { return block.front_text().bold; });
        for (Block& block : blocks_)
            place(block);
        std::ranges::move(leaders_, std::back_inserter(drawing_.shapes));
        std::ranges::move(placed_, std::back_inserter(drawing_.shapes));
    }

private:
    /// A triangle with its mark of exclamation.
    struct Warning {
        Shape triangle;
        Shape mark;
    };
    /// Lines of words about one thing, one under the other: they keep together.
    struct Block {
        std::vector<Shape> lines;

        const Text& front_text() const { return std::get<Text>(lines.front().form); }
        const Text& last_text() const { return std::get<Text>(lines.back().form); }
        PaperBox box() const {
            PaperBox whole = yes_square::box_of(front_text());
            for (const Shape& line : lines) {
                const PaperBox one = yes_square::box_of(std::get<Text>(line.form));
                whole = {std::min(whole.left, one.left), std::min(whole.top, one.top), std::max(whole.right, one.right),
                         std::max(whole.bottom, one.bottom)};
            }
            return grown(whole, air * front_text().height);
        }
        /// Whether a text that was drawn next is this block's next line.
        bool goes_on_with(const Shape& shape) const {
            const Text& text = std::get<Text>(shape.form);
            const double down = text.at.y - last_text().at.y;
            return same_owner(shape.reference, lines.back().reference) && text.align == front_text().align &&
                   text.at.x == front_text().at.x && down > 0 && down < 2 * text.height;
        }
    };

    static bool same_owner(const Reference& a, const Reference& b) {
        return a.part != Reference::Part::none && a.part == b.part && a.item == b.item && a.index == b.index;
    }

    void take_out() {
        std::vector<Shape> rest;
        bool follows_text = false;
        for (std::size_t i = 0; i < drawing_.shapes.size(); ++i) {
            Shape& shape = drawing_.shapes[i];
            if (std::holds_alternative<Triangle>(shape.form) && i + 1 < drawing_.shapes.size() &&
                std::holds_alternative<Text>(drawing_.shapes[i + 1].form)) {
                warnings_.push_back({std::move(shape), std::move(drawing_.shapes[i + 1])});
                ++i;
            } else if (std::holds_alternative<Text>(shape.form)) {
                if (i > 0 && follows_text && blocks_.back().goes_on_with(shape))
                    blocks_.back().lines.push_back(std::move(shape));
                else
                    blocks_.push_back({{std::move(shape)}});
                follows_text = true;
                continue;
            } else {
                rest.push_back(std::move(shape));
            }
            follows_text = false;
        }
        drawing_.shapes = std::move(rest);
        for (const Shape& shape : drawing_.shapes)
            bounds_.push_back(std::visit([](const auto& form) { return bounds_of(form); }, shape.form));
    }

    /// Of these shapes the last that hides all that was painted before it under a box; those before it are not seen.
    std::size_t seen_from(const PaperBox& box, const std::vector<std::size_t>& shapes) const {
        for (std::size_t n = shapes.size(); n-- > 0;)
            if (const auto* r = std::get_if<Rectangle>(&drawing_.shapes[shapes[n]].form);
                r && r->ink == Ink::paper && r->fill == Fill::plain && r->strength >= 1 && box_of(*r).holds(box))
                return n + 1;
        return 0;
    }

    /// Whether something must not be hidden: holes, brackets, sockets, whatever would vanish whole.
    static bool must_be_seen(const Rectangle& rectangle, const PaperBox& box) {
        const PaperBox its = box_of(rectangle);
        return rectangle.ink == Ink::bracket || rectangle.ink == Ink::service ||
               (its.right - its.left < small_thing * (box.right - box.left) &&
                its.bottom - its.top < small_thing * (box.bottom - box.top));
    }

    /// Shapes that lie or reach within a box, by number, in the order they are painted.
    std::vector<std::size_t> near(const PaperBox& box) const {
        std::vector<std::size_t> found;
        for (std::size_t i = 0; i < bounds_.size(); ++i)
            if (bounds_[i].left <= box.right && box.left <= bounds_[i].right && bounds_[i].top <= box.bottom &&
                box.top <= bounds_[i].bottom)
                found.push_back(i);
        return found;
    }

    /// All that a shape could strike.
    static PaperBox bounds_of(const Line& line) {
        return grown({std::min(line.from.x, line.to.x), std::min(line.from.y, line.to.y),
                      std::max(line.from.x, line.to.x), std::max(line.from.y, line.to.y)},
                     line.width / 2);
    }
    static PaperBox bounds_of(const auto& form) { return box_of(form); }

    /// @param shapes  by number: those that are near it, at least
    Meets meets(const PaperBox& box, const std::vector<std::size_t>& shapes) const {
        if (!room_.holds(box))
            return Meets::what_it_must_not;
        for (const PaperBox& taken : taken_)
            if (taken.meets(box))
                return Meets::what_it_must_not;
        for (const Segment& leader : leads_)
            if (runs_through(leader, box))
                return Meets::what_it_must_not;
        Meets worst = Meets::nothing;
        for (std::size_t n = seen_from(box, shapes); n < shapes.size(); ++n) {
            worst = std::max(
                worst, std::visit([&](const auto& form) { return over(form, box); }, drawing_.shapes[shapes[n]].form));
            if (worst == Meets::what_it_must_not)
                break;
        }
        return worst;
    }

    Meets over(const Line& line, const PaperBox& box) const {
        return runs_through({line.from, line.to}, grown(box, line.width / 2)) ? Meets::lines : Meets::nothing;
    }
    Meets over(const Rectangle& rectangle, const PaperBox& box) const {
        const PaperBox its = box_of(rectangle);
        if (!its.meets(box) || (rectangle.ink == Ink::paper && rectangle.fill == Fill::plain && its.holds(box)))
            return Meets::nothing;
        if (its.holds(grown(box, -touching)))
            return rectangle.fill == Fill::hatched ? Meets::lines : Meets::nothing;
        return must_be_seen(rectangle, box) ? Meets::what_it_must_not : Meets::lines;
    }
    Meets over(const Circle& circle, const PaperBox& box) const {
        return box_of(circle).meets(box) ? Meets::what_it_must_not : Meets::nothing;
    }
    Meets over(const Triangle& triangle, const PaperBox& box) const {
        return box_of(triangle).meets(box) ? Meets::what_it_must_not : Meets::nothing;
    }
    Meets over(const Text&, const PaperBox&) const { return Meets::nothing; } // all are taken out

    static constexpr int rows = 7; ///< of half its height, that a text may go up or down
    static constexpr int columns = 4;

    /// Places round the one it was put at, the nearest first. Of the many the first few mostly do: a heap.
    class Places {
    public:
        Places(double width, double height) {
            for (int row = -rows; row <= rows; ++row)
                for (int column = -columns; column <= columns; ++column) {
                    const Point shift{column * 0.5 * width, row * 0.5 * height};
                    left_[count_] = {shift.x * shift.x + 1.5 * shift.y * shift.y, count_, shift};
                    ++count_;
                }
            std::ranges::make_heap(left_, farther);
        }
        std::optional<Point> next() {
            if (count_ == 0)
                return {};
            std::pop_heap(left_.begin(), left_.begin() + count_, farther);
            return left_[--count_].shift;
        }

    private:
        struct Place {
            double away;
            int number; ///< of alike the first
            Point shift;
        };
        static bool farther(const Place& a, const Place& b) {
            return std::pair{a.away, a.number} > std::pair{b.away, b.number};
        }
        std::array<Place, (2 * rows + 1) * (2 * columns + 1)> left_;
        int count_ = 0;
    };

    /// The best shift for something that takes this box; none: it finds no room.
    /// @param home  what it is about, and stays in if it can
    std::optional<std::pair<Point, Meets>> best(const PaperBox& box, const std::optional<PaperBox>& home = {}) const {
        if (meets(box, near(box)) == Meets::nothing) // as most do where they were put
            return std::pair{Point{}, Meets::nothing};
        std::optional<std::pair<Point, Meets>> found;
        const double height = box.bottom - box.top;
        const double width = box.right - box.left;
        const std::vector<std::size_t> round =
            near({box.left - columns * 0.5 * width, box.top - rows * 0.5 * height, box.right + columns * 0.5 * width,
                  box.bottom + rows * 0.5 * height});
        Places places{width, height};
        while (const auto shift = places.next()) {
            const PaperBox there{box.left + shift->x, box.top + shift->y, box.right + shift->x, box.bottom + shift->y};
            const Meets met = meets(there, round);
            if (met == Meets::what_it_must_not)
                continue;
            const bool near = home ? home->holds(there) : std::hypot(shift->x, shift->y) <= 2 * height;
            // A free place near by is better than one on a line; a line near by better than a free place far off.
            if (met == Meets::nothing && (near || !found))
                return std::pair{*shift, met};
            if (!found)
                found = std::pair{*shift, met};
            if (!near && !home)
                break;
        }
        return found;
    }

    void place(Warning& warning) {
        auto& triangle = std::get<Triangle>(warning.triangle.form);
        auto& mark = std::get<Text>(warning.mark.form);
        if (const auto found = best(box_of(triangle))) {
            for (Point* point : {&triangle.a, &triangle.b, &triangle.c, &mark.at})
                *point = {point->x + found->first.x, point->y + found->first.y};
        } else if (!room_.holds(box_of(triangle))) {
            return; // out of sight with what it is about
        }
        taken_.push_back(box_of(triangle));
        placed_.push_back(std::move(warning.triangle));
        placed_.push_back(std::move(warning.mark));
    }

    void place(Block& block) {
        const PaperBox box = block.box();
        const auto found = best(box, home_of(block.lines.front().reference, box));
        if (!found)
            return;
        const auto [shift, met] = *found;
        for (Shape& shape : block.lines) {
            auto& text = std::get<Text>(shape.form);
            text.at = {text.at.x + shift.x, text.at.y + shift.y};
            text.breaks_lines = met == Meets::lines;
        }
        const PaperBox there = block.box();
        if (std::hypot(shift.x, shift.y) > far_away * block.front_text().height &&
            !still_at_its_own(block.lines.front().reference, there, block.front_text().height))
            lead({(box.left + box.right) / 2, (box.top + box.bottom) / 2}, there, block.front_text());
        taken_.push_back(there);
        std::ranges::move(block.lines, std::back_inserter(placed_));
    }

    /// The smallest of its owner's rectangles that holds a box.
    std::optional<PaperBox> home_of(const Reference& reference, const PaperBox& box) const {
        std::optional<PaperBox> home;
        for (const Shape& shape : drawing_.shapes)
            if (const auto* rectangle = std::get_if<Rectangle>(&shape.form);
                rectangle && same_owner(shape.reference, reference))
                if (const PaperBox its = box_of(*rectangle); its.holds(box) && (!home || area(its) < area(*home)))
                    home = its;
        return home;
    }

    /// Whether words still stand in, on or close by what they are about.
    bool still_at_its_own(const Reference& reference, const PaperBox& box, double height) const {
        const PaperBox round = grown(box, 0.7 * height);
        return std::ranges::any_of(drawing_.shapes, [&](const Shape& shape) {
            if (!same_owner(shape.reference, reference))
                return false;
            if (const auto* line = std::get_if<Line>(&shape.form))
                return runs_through({line->from, line->to}, round);
            const auto* rectangle = std::get_if<Rectangle>(&shape.form);
            return rectangle && box_of(*rectangle).meets(round);
        });
    }

    /// A thin line from where a text was to be to where it is, if it runs through no other.
    void lead(Point from, const PaperBox& to, const Text& text) {
        const Point end{std::clamp(from.x, to.left, to.right), std::clamp(from.y, to.top, to.bottom)};
        const Segment line{from, end};
        if (std::ranges::any_of(taken_, [&](const PaperBox& box) { return runs_through(line, box); }))
            return;
        leads_.push_back(line);
        leaders_.push_back({Line{from, end, text.ink, 0.15}});
    }

    Drawing& drawing_;
    PaperBox room_;
    std::vector<Warning> warnings_;
    std::vector<Block> blocks_;
    std::vector<PaperBox> bounds_; ///< of the drawing's shapes
    std::vector<PaperBox> taken_;
    std::vector<Segment> leads_;
    std::vector<Shape> leaders_;
    std::vector<Shape> placed_;
};

} // namespace

double text_width(const std::string& words, double height, bool bold) {
    const auto& advances = bold ? bold_advance : regular_advance;
    int thousandths = 0;
    for (const char letter : words) {
        const auto code = static_cast<unsigned char>(letter);
        if (code >= 0x20 && code < 0x7f)
            thousandths += advances[code - 0x20U];
        else if ((code & 0xC0U) != 0x80U) // the first byte of a letter in UTF-8
            thousandths += other_advance;
    }
    return thousandths * height / 1000;
}

PaperBox box_of(const Text& text) {
    const double width = text_width(text.text, text.height, text.bold);
    const double left = text.at.x - (text.align == Align::left ? 0 : text.align == Align::centre ? width / 2 : width);
    return {left, text.at.y - cap_height * text.height, left + width, text.at.y + tail_depth * text.height};
}

void settle_lettering(Drawing& drawing, const PaperBox& room) {
    Settler{drawing, room}.settle();
}

} // namespace yes_square
