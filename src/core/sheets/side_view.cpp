#include "core/sheets/side_view.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

constexpr double arrow_head = 0.55; ///< of the type size

class SideView {
public:
    SideView(const Piece& piece, const PiecePlan& plan, const TipCase& tip, double width, double height, double text,
             const Voice& voice)
        : piece_{piece}
        , plan_{plan}
        , tip_{tip}
        , text_{text}
        , voice_{voice} {
        drawing_.width = width;
        drawing_.height = height;
        depth_ = piece.depth.in_metres();
        height_ = piece.height.in_metres();
        feet_ = piece.feet_back.in_metres();
        for (const TipWeight& weight : tip.weights)
            reach_ = std::max(reach_, -weight.back);
        for (const std::size_t i : tip.open)
            reach_ = std::max(reach_, piece.drawers[i].reach.in_metres() + feet_);
        const double behind = depth_ - feet_ + 0.08;
        const double before = reach_ + feet_ + 0.12;
        const double room_x = width - 2.2 * text;
        const double room_y = height - 5.2 * text;
        scale_ = std::max(1.0, std::min(room_x / (behind + before), room_y / (height_ + 0.22)));
        pivot_.x = 1.1 * text + behind * scale_ + std::max(0.0, (room_x - (behind + before) * scale_) / 2);
        pivot_.y = 1.4 * text + room_y;
    }

    Drawing draw() {
        ground();
        body();
        if (tip_.balance.goes_at > tip_.lean)
            going();
        for (const TipWeight& weight : tip_.weights)
            this->weight(weight);
        if (tip_.pull)
            pull();
        if (piece_.restraint.kind != RestraintKind::none)
            restraint();
        pivot();
        words();
        return std::move(drawing_);
    }

private:
    void add(auto form) { drawing_.shapes.push_back({std::move(form), {}}); }
    void line(Point a, Point b, Ink ink, double width, Stroke stroke = Stroke::solid) {
        add(Line{a, b, ink, width, stroke});
    }

    /// A place behind the front foot line and over the floor, leaning by so much, on paper. The wall is at the left.
    Point at(double back, double up, double lean) const {
        return {pivot_.x - (back * std::cos(lean) - up * std::sin(lean)) * scale_,
                pivot_.y - (up * std::cos(lean) + back * std::sin(lean)) * scale_};
    }
    Point at(double back, double up) const { return at(back, up, tip_.lean); }

    void ground() {
        line({0.4 * text_, pivot_.y}, {drawing_.width - 0.4 * text_, pivot_.y}, Ink::floor, 0.5);
        const double wall = at(depth_ - feet_ + 0.03, 0, 0).x;
        line({wall, 0.8 * text_}, {wall, pivot_.y}, Ink::wall, 0.4);
    }

    void outline(double lean, Ink ink, double width, Stroke stroke) {
        const Point corners[]{at(-feet_, 0, lean), at(-feet_, height_, lean), at(depth_ - feet_, height_, lean),
                              at(depth_ - feet_, 0, lean)};
        for (int i = 0; i < 4; ++i)
            line(corners[i], corners[(i + 1) % 4], ink, width, stroke);
    }

    void body() {
        outline(tip_.lean, Ink::board, 0.45, Stroke::solid);
        for (std::size_t i = 0; i < piece_.drawers.size(); ++i) {
            const Drawer& drawer = piece_.drawers[i];
            const bool open = std::ranges::find(tip_.open, i) != tip_.open.end();
            const double out = open ? drawer.reach.in_metres() : 0;
            const double top = drawer.top.in_metres();
            const double foot = (drawer.top - drawer.height * 9 / 10).in_metres();
            const double back = depth_ * 0.92 - feet_ - out;
            const Point corners[]{at(-feet_ - out, foot), at(-feet_ - out, top), at(back, top), at(back, foot)};
            for (int k = 0; k < 4; ++k)
                line(corners[k], corners[(k + 1) % 4], open ? Ink::board_selected : Ink::faint, open ? 0.4 : 0.2);
        }
        if (tip_.doors_open && piece_.doors > 0) {
            const double out = piece_.width.in_metres() / piece_.doors;
            const Point corners[]{at(-feet_ - out, 0.02), at(-feet_ - out, height_ - 0.02), at(-feet_, height_ - 0.02),
                                  at(-feet_, 0.02)};
            for (int k = 0; k < 4; ++k)
                line(corners[k], corners[(k + 1) % 4], Ink::board_selected, 0.4);
        }
    }

    /// Where it would be when it goes, its middle right over the pivot.
    void going() { outline(tip_.balance.goes_at, Ink::faint, 0.2, Stroke::dashed); }

    void arrow(Point from, Point to, Ink ink) {
        line(from, to, ink, 0.5);
        const double length = std::max(1e-6, std::hypot(to.x - from.x, to.y - from.y));
        const Point along{(to.x - from.x) / length, (to.y - from.y) / length};
        const double head = arrow_head * text_;
        const Point root{to.x - along.x * head, to.y - along.y * head};
        add(Triangle{to,
                     {root.x - along.y * head * 0.45, root.y + along.x * head * 0.45},
                     {root.x + along.y * head * 0.45, root.y - along.x * head * 0.45},
                     ink});
    }

    void weight(const TipWeight& weight) {
        const bool over = weight.back * std::cos(tip_.lean) < weight.up * std::sin(tip_.lean);
        if (weight.may_go && !over)
            return; // not counted on
        const Point from = at(weight.back, weight.up);
        const double length = std::clamp(weight.mass / 30_kg, 0.5, 1.6) * 1.6 * text_;
        const Ink ink = over ? Ink::alarm : Ink::level;
        add(Circle{from, 0.22 * text_, ink, Fill::plain});
        arrow(from, {from.x, std::min(pivot_.y, from.y + length)}, ink);
    }

    void pull() {
        const Point from = at(tip_.pull->back, tip_.pull->up);
        arrow(from, {std::min(drawing_.width - 0.3 * text_, from.x + 2.2 * text_), from.y}, Ink::alarm);
    }

    void restraint() {
        const Point hold = at(depth_ - feet_, plan_.restraint_height.in_metres());
        const double wall = at(depth_ - feet_ + 0.03, 0, 0).x;
        const bool held = plan_.verdict == PieceVerdict::held;
        line(hold, {wall - 0.6 * text_, hold.y}, held ? Ink::hole : Ink::alarm, 0.9,
             held ? Stroke::solid : Stroke::dotted);
    }

    void pivot() {
        add(Triangle{{pivot_.x, pivot_.y},
                     {pivot_.x - 0.5 * text_, pivot_.y + 0.85 * text_},
                     {pivot_.x + 0.5 * text_, pivot_.y + 0.85 * text_},
                     Ink::figure});
    }

    void words() {
        const bool tips = tip_.balance.tips();
        const double baseline = drawing_.height - 1.6 * text_;
        add(Text{{drawing_.width / 2, baseline},
                 say(tips ? Sentence{"tips by {0}", {quantity(-tip_.balance.margin())}}
                          : Sentence{"{0} to spare", {quantity(tip_.balance.margin())}},
                     voice_),
                 text_,
                 Align::centre,
                 tips ? Ink::alarm : Ink::figure,
                 true});
        add(Text{{drawing_.width / 2, baseline + 1.25 * text_},
                 say(tip_.balance.goes_at > 0 ? Sentence{"goes at {0}", {Quantity{Kind::angle, tip_.balance.goes_at}}}
                                              : Sentence{"goes where it stands"},
                     voice_),
                 0.9 * text_,
                 Align::centre,
                 Ink::faint});
    }

    const Piece& piece_;
    const PiecePlan& plan_;
    const TipCase& tip_;
    const double text_;
    const Voice& voice_;
    Drawing drawing_;
    double depth_ = 0;
    double height_ = 0;
    double feet_ = 0;  ///< front feet behind the front
    double reach_ = 0; ///< farthest before the foot line
    double scale_ = 1;
    Point pivot_;
};

} // namespace

Drawing draw_side_view(const Piece& piece, const PiecePlan& plan, const TipCase& tip, double width, double height,
                       double text, const Voice& voice) {
    return SideView{piece, plan, tip, width, height, text, voice}.draw();
}

} // namespace yes_square
