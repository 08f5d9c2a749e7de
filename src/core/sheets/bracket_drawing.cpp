#include "core/sheets/bracket_drawing.hpp"

#include "core/sheets/lettering.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr double least_thick = 0.5; ///< mm of paper: what is thinner could not be seen

/// Measures are mm of the bracket; (0, 0) is where wall and the arm's upper face meet, z down.
class BracketDrawing {
public:
    BracketDrawing(const Bracket& bracket, std::string_view asked, double width, double height, double text,
                   const Voice& voice)
        : bracket_{bracket}
        , asked_{asked}
        , text_{text}
        , voice_{voice}
        , arm_{bracket.arm.in_mm()}
        , leg_{bracket.leg.in_mm()}
        , wide_{bracket.width.in_mm()} {
        drawing_.width = width;
        drawing_.height = height;
        const double across = arm_ + wide_;
        const double for_shapes = width - 18 * text;
        scale_ =
            across > 0 && leg_ > 0 ? std::max(0.0, std::min(for_shapes / across, (height - 5.5 * text) / leg_)) : 0;
        wall_at_ = 5.5 * text;
        top_ = 3 * text;
        front_at_ = wall_at_ + arm_ * scale_ + 4 * text;
    }

    Drawing draw() {
        if (!(scale_ > 0))
            return std::move(drawing_);
        side();
        front();
        settle_lettering(drawing_, {0, 0, drawing_.width, drawing_.height});
        return std::move(drawing_);
    }

private:
    void add(auto form) { drawing_.shapes.push_back({std::move(form), {}}); }
    void line(Point a, Point b, Ink ink, double width, Stroke stroke = Stroke::solid) {
        add(Line{a, b, ink, width, stroke});
    }
    double y(double down) const { return top_ + down * scale_; }
    double thick() const { return std::max(least_thick, bracket_.thickness.in_mm() * scale_); }

    /// A measure between two points, both ends ticked, its figure at a place.
    void measure(std::string_view member, Point a, Point b, Point words, Align align, Length length) {
        const bool on = member == asked_;
        const Ink ink = on ? Ink::level : Ink::faint;
        line(a, b, ink, on ? 0.5 : 0.25);
        const bool level = a.y == b.y;
        for (const Point end : {a, b})
            line({end.x - (level ? 0 : 0.3 * text_), end.y - (level ? 0.3 * text_ : 0)},
                 {end.x + (level ? 0 : 0.3 * text_), end.y + (level ? 0.3 * text_ : 0)}, ink, on ? 0.5 : 0.25);
        add(Text{words, say(stock(length), voice_), text_, align, on ? Ink::level : Ink::figure, on});
    }

    void side() {
        const double bottom = y(leg_);
        line({wall_at_, top_ - 1.5 * text_}, {wall_at_, bottom + text_}, Ink::wall, 0.5);
        const double tip = wall_at_ + arm_ * scale_;
        add(Rectangle{{wall_at_, top_}, arm_ * scale_, thick(), Ink::bracket, Fill::plain, 0.2});
        add(Rectangle{{wall_at_, top_}, thick(), leg_ * scale_, Ink::bracket, Fill::plain, 0.2});
        if (bracket_.stiffened)
            line({wall_at_ + thick(), bottom}, {tip, top_ + thick()}, Ink::bracket, thick());
        measure("arm", {wall_at_, top_ - 0.9 * text_}, {tip, top_ - 0.9 * text_},
                {(wall_at_ + tip) / 2, top_ - 1.3 * text_}, Align::centre, bracket_.arm);
        measure("leg", {wall_at_ - text_, top_}, {wall_at_ - text_, bottom},
                {wall_at_ - 1.4 * text_, (top_ + bottom) / 2}, Align::right, bracket_.leg);
        measure("thickness", {wall_at_, bottom + 0.7 * text_}, {wall_at_ + thick(), bottom + 0.7 * text_},
                {wall_at_ + thick() + 0.5 * text_, bottom + text_}, Align::left, bracket_.thickness);
    }

    void front() {
        const double left = front_at_;
        const double right = left + wide_ * scale_;
        const double middle = (left + right) / 2;
        const double bottom = y(leg_);
        add(Rectangle{{left, top_}, right - left, bottom - top_, Ink::bracket, Fill::light, 0.3});
        measure("width", {left, bottom + 0.7 * text_}, {right, bottom + 0.7 * text_}, {middle, bottom + 1.9 * text_},
                Align::centre, bracket_.width);
        const double radius = std::max(0.5, bracket_.hole_diameter.in_mm() * scale_ / 2);
        double at = right + 1.2 * text_;
        for (std::size_t i = 0; i < bracket_.hole_drops.size(); ++i) {
            const Length drop = bracket_.hole_drops[i];
            const double centre = y(drop.in_mm());
            const double beside = middle + bracket_.across(i).in_mm() * scale_;
            add(Circle{{beside, centre}, radius, Ink::hole, Fill::plain});
            if (asked_ == "hole_across")
                measure("hole_across", {middle, centre}, {beside, centre}, {middle, centre - radius - 0.3 * text_},
                        Align::centre, bracket_.across(i));
            line({beside + radius, centre}, {at, centre}, Ink::faint, 0.2, Stroke::dotted);
            measure("hole_drops", {at, top_}, {at, centre}, {at + 0.5 * text_, centre}, Align::left, drop);
            at += 0.9 * text_;
        }
        if (!bracket_.hole_drops.empty()) {
            const double centre = y(bracket_.hole_drops.front().in_mm());
            const double from = left - 0.6 * text_;
            const bool on = asked_ == "hole_diameter";
            line({from, centre}, {middle + bracket_.across(0).in_mm() * scale_ - radius, centre},
                 on ? Ink::level : Ink::faint, on ? 0.5 : 0.2);
            add(Text{{from - 0.2 * text_, centre + 0.35 * text_},
                     "\u00d8 " + say(stock(bracket_.hole_diameter), voice_),
                     text_,
                     Align::right,
                     on ? Ink::level : Ink::figure,
                     on});
        }
    }

    const Bracket& bracket_;
    std::string_view asked_;
    double text_;
    const Voice& voice_;
    double arm_;
    double leg_;
    double wide_;
    Drawing drawing_;
    double scale_ = 0; ///< mm of paper to one of bracket
    double wall_at_ = 0;
    double top_ = 0;
    double front_at_ = 0;
};

} // namespace

Drawing draw_bracket(const Bracket& bracket, std::string_view asked, double width, double height, double text,
                     const Voice& voice) {
    return BracketDrawing{bracket, asked, width, height, text, voice}.draw();
}

} // namespace yes_square
