#include "core/sheets/support_drawing.hpp"

#include "core/sheets/lettering.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// A thing to scale with its measures. Places are mm of the thing, x to the right, down from its top.
class MeasuredSketch {
public:
    MeasuredSketch(std::string_view asked, double width, double height, double text, const Voice& voice)
        : asked_{asked}
        , text_{text}
        , voice_{voice} {
        drawing_.width = width;
        drawing_.height = height;
    }

    void box(double left, double top, double right, double bottom, Ink ink, Fill fill = Fill::light) {
        boxes_.push_back({left, top, right, bottom, ink, fill});
        reach(left, top);
        reach(right, bottom);
    }
    void hole(double x, double down, double diameter) { holes_.push_back({x, down, diameter}); }
    /// Lengthways, its figure above it; or down, its figure to its right.
    void measure(std::string_view member, double x0, double down0, double x1, double down1, Length length) {
        measures_.push_back({member, x0, down0, x1, down1, say(stock(length), voice_)});
        reach(x0, down0);
        reach(x1, down1);
    }
    /// A figure at a place that is no distance: a hole's width.
    void figure(std::string_view member, double x, double down, const std::string& words) {
        measures_.push_back({member, x, down, x, down, words});
        reach(x, down);
    }
    std::string diameter(Length length) const { return "\u00d8 " + say(stock(length), voice_); }

    Drawing draw() {
        const double wide = right_ - left_;
        const double high = bottom_ - top_;
        const double room_x = drawing_.width - 9 * text_;
        const double room_y = drawing_.height - 5 * text_;
        if (!(wide > 0) || !(high > 0) || !(room_x > 0) || !(room_y > 0))
            return std::move(drawing_);
        scale_ = std::min(room_x / wide, room_y / high);
        from_x_ = (drawing_.width - 3 * text_ - wide * scale_) / 2;
        from_y_ = (drawing_.height - high * scale_) / 2;
        for (const Box& box : boxes_)
            add(Rectangle{{x(box.left), y(box.top)},
                          std::max(0.4, (box.right - box.left) * scale_),
                          std::max(0.4, (box.bottom - box.top) * scale_),
                          box.ink,
                          box.fill,
                          0.3});
        for (const Hole& hole : holes_)
            add(Circle{{x(hole.x), y(hole.down)}, std::max(0.5, hole.diameter * scale_ / 2), Ink::hole, Fill::plain});
        for (const Measure& measure : measures_)
            draw(measure);
        settle_lettering(drawing_, {0, 0, drawing_.width, drawing_.height});
        return std::move(drawing_);
    }

private:
    struct Box {
        double left;
        double top;
        double right;
        double bottom;
        Ink ink;
        Fill fill;
    };
    struct Hole {
        double x;
        double down;
        double diameter;
    };
    struct Measure {
        std::string_view member;
        double x0;
        double down0;
        double x1;
        double down1;
        std::string words;
    };

    void reach(double x, double down) {
        left_ = std::min(left_, x);
        right_ = std::max(right_, x);
        top_ = std::min(top_, down);
        bottom_ = std::max(bottom_, down);
    }
    double x(double at) const { return from_x_ + (at - left_) * scale_; }
    double y(double down) const { return from_y_ + (down - top_) * scale_; }
    void add(auto form) { drawing_.shapes.push_back({std::move(form), {}}); }

    void draw(const Measure& measure) {
        const bool on = measure.member == asked_;
        const Ink ink = on ? Ink::level : Ink::faint;
        const double width = on ? 0.5 : 0.25;
        const Point a{x(measure.x0), y(measure.down0)};
        const Point b{x(measure.x1), y(measure.down1)};
        const bool level = a.y == b.y;
        const double tick = 0.3 * text_;
        if (a.x != b.x || a.y != b.y) {
            add(Line{a, b, ink, width});
            for (const Point end : {a, b})
                add(Line{{end.x - (level ? 0 : tick), end.y - (level ? tick : 0)},
                         {end.x + (level ? 0 : tick), end.y + (level ? tick : 0)},
                         ink,
                         width});
        }
        const Point at = level ? Point{(a.x + b.x) / 2, a.y - 0.5 * text_}
                               : Point{a.x + 0.6 * text_, (a.y + b.y) / 2 + 0.35 * text_};
        add(Text{at, measure.words, text_, level ? Align::centre : Align::left, on ? Ink::level : Ink::figure, on});
    }

    std::string_view asked_;
    double text_;
    const Voice& voice_;
    Drawing drawing_;
    std::vector<Box> boxes_;
    std::vector<Hole> holes_;
    std::vector<Measure> measures_;
    double left_ = 0;
    double right_ = 0;
    double top_ = 0;
    double bottom_ = 0;
    double scale_ = 0;
    double from_x_ = 0;
    double from_y_ = 0;
};

constexpr double seen_upright = 360; ///< mm of it that is drawn: its slots and screws repeat
constexpr double seen_rail = 300;
constexpr double seen_wall = 30;
constexpr double board = 20;

void sketch(MeasuredSketch& draw, const Plate& plate, double left, double top) {
    const double right = left + plate.width.in_mm();
    const double bottom = top + plate.height.in_mm();
    draw.box(left, top, right, bottom, Ink::bracket);
    for (const PlateHole& hole : plate.holes)
        draw.hole(left + hole.across.in_mm(), top + hole.down.in_mm(), plate.hole_diameter.in_mm());
    draw.measure("width", left, bottom + 12, right, bottom + 12, plate.width);
    draw.measure("height", right + 8, top, right + 8, bottom, plate.height);
    if (!plate.holes.empty())
        draw.figure("hole_diameter", left + plate.holes.front().across.in_mm() + plate.hole_diameter.in_mm(),
                    top + plate.holes.front().down.in_mm(), draw.diameter(plate.hole_diameter));
}

void sketch(MeasuredSketch&, const OnBrackets&) {}

/// The top of an upright, from the front.
void sketch(MeasuredSketch& draw, const OnStandards& how) {
    const double wide = how.width.in_mm();
    const double shown = std::min(how.standard.in_mm(), seen_upright);
    draw.box(0, 0, wide, shown, Ink::bracket);
    const double pitch = std::max(1.0, how.slot_pitch.in_mm());
    for (double slot = how.first_slot.in_mm(); slot < shown; slot += pitch)
        draw.box(wide * 0.4, slot - pitch * 0.15, wide * 0.6, slot + pitch * 0.15, Ink::hole, Fill::plain);
    const double every = std::max(1.0, how.hole_every.in_mm());
    for (double hole = how.first_hole.in_mm(); hole < shown; hole += every)
        draw.hole(wide * 0.2, hole, how.hole_diameter.in_mm());
    const double first = how.first_slot.in_mm();
    const double screw = how.first_hole.in_mm();
    draw.measure("width", 0, -12, wide, -12, how.width);
    draw.measure("first_slot", wide + 12, 0, wide + 12, first, how.first_slot);
    draw.measure("slot_pitch", wide + 12, first, wide + 12, first + pitch, how.slot_pitch);
    draw.measure("first_hole", -60, 0, -60, screw, how.first_hole);
    draw.measure("hole_every", -60, screw, -60, screw + every, how.hole_every);
    draw.figure("hole_diameter", -110, screw, draw.diameter(how.hole_diameter));
}

void sketch(MeasuredSketch& draw, const OnHiddenBracket& how) {
    // The shelf over it, as far as its top and its left end are measured from.
    const double right = how.offset.in_mm() + how.plate.width.in_mm();
    draw.box(0, 0, right + how.offset.in_mm(), how.down.in_mm() + how.plate.height.in_mm() + 10, Ink::board,
             Fill::none);
    sketch(draw, how.plate, how.offset.in_mm(), how.down.in_mm());
    draw.measure("offset", 0, -12, how.offset.in_mm(), -12, how.offset);
    draw.measure(word("down"), -10, 0, -10, how.down.in_mm(), how.down);
}

/// A rod in wall and shelf, cut through.
void sketch(MeasuredSketch& draw, const OnHiddenRods& how) {
    const double in = how.in_wall.in_mm();
    const double out = how.in_shelf.in_mm();
    const double thick = how.diameter.in_mm();
    draw.box(-in - 15, -thick * 2, 0, thick * 3, Ink::wall, Fill::hatched);
    draw.box(0, -thick, out + 40, thick * 2, Ink::board);
    draw.box(-in, 0, out, thick, Ink::bracket, Fill::plain);
    draw.measure("in_wall", -in, thick * 3 + 8, 0, thick * 3 + 8, how.in_wall);
    draw.measure("in_shelf", 0, thick * 3 + 8, out, thick * 3 + 8, how.in_shelf);
    draw.measure("diameter", out + 50, 0, out + 50, thick, how.diameter);
}

/// A screw's head behind a back, cut through; its plate beside it.
void sketch(MeasuredSketch& draw, const OnKeyholes& how) {
    const double lip = how.lip.in_mm();
    const double slot = how.slot.in_mm();
    draw.box(-seen_wall, 0, 0, slot + 30, Ink::wall, Fill::hatched);
    draw.box(-seen_wall, slot / 2 + 10, lip, slot / 2 + 14, Ink::bracket, Fill::plain);
    draw.box(lip, slot / 2 + 8, lip + 2, slot / 2 + 16, Ink::bracket, Fill::plain);
    draw.measure("lip", 0, -8, lip, -8, how.lip);
    draw.measure("slot", lip + 12, slot / 2 + 12, lip + 12, slot * 1.5 + 12, how.slot);
    sketch(draw, how.plate, lip + 80, 0);
}

/// A strip on its wall, cut through, a board on it.
void sketch(MeasuredSketch& draw, const OnCleats& how) {
    const double high = how.breadth.in_mm();
    const double thick = how.thickness.in_mm();
    draw.box(-seen_wall, -board, 0, high + 15, Ink::wall, Fill::hatched);
    draw.box(0, -board, thick * 3, 0, Ink::board);
    draw.box(0, 0, thick, high, Ink::bracket);
    draw.measure("breadth", thick + 8, 0, thick + 8, high, how.breadth);
    draw.measure("thickness", 0, high + 12, thick, high + 12, how.thickness);
}

void sketch(MeasuredSketch& draw, const HookRail& how) {
    const double thick = how.board.in_mm();
    draw.box(-seen_wall, -10, 0, 110, Ink::wall, Fill::hatched);
    draw.box(0, 0, thick, 100, Ink::board);
    draw.box(thick, 45, thick + 40, 53, Ink::bracket, Fill::plain);
    draw.measure("board", 0, 112, thick, 112, how.board);
}

void sketch(MeasuredSketch& draw, const Pole& how) {
    const double plate = how.plate.in_mm();
    draw.box(-seen_wall, -10, 0, plate + 10, Ink::wall, Fill::hatched);
    draw.box(0, 0, 4, plate, Ink::bracket, Fill::plain);
    draw.box(4, plate / 2 - 4, 70, plate / 2 + 4, Ink::bracket, Fill::plain);
    draw.measure("plate", 12, 0, 12, plate, how.plate);
    draw.figure("hole_diameter", 40, plate, draw.diameter(how.hole_diameter));
}

void sketch(MeasuredSketch& draw, const Fixture& how) {
    sketch(draw, how.plate, 0, 0);
}

/// Cut through: strip behind, board, lip in front.
void sketch(MeasuredSketch& draw, const PictureLedge& how) {
    const double strip = how.strip.in_mm();
    const double lip = how.lip.in_mm();
    const double behind = how.strip_thickness.in_mm();
    const double front = behind + 100;
    const double end = front + how.lip_thickness.in_mm();
    draw.box(-seen_wall, -10, 0, strip + 10, Ink::wall, Fill::hatched);
    draw.box(0, 0, behind, strip, Ink::bracket);
    draw.box(behind, strip - 12, front, strip, Ink::board);
    draw.box(front, strip - lip, end, strip, Ink::board);
    draw.measure("strip", -75, 0, -75, strip, how.strip);
    draw.measure("strip_thickness", 0, -18, behind, -18, how.strip_thickness);
    draw.measure("lip", end + 8, strip - lip, end + 8, strip, how.lip);
    draw.measure("lip_thickness", front, strip + 14, end, strip + 14, how.lip_thickness);
}

/// On the wall from the front, the unit's outline round it.
void sketch(MeasuredSketch& draw, const HookPlate& plate) {
    const double in = plate.in.in_mm();
    const double down = plate.down > Length{} ? plate.down.in_mm() : 52;
    const double low = down + plate.apart.in_mm() * (plate.screws - 1);
    draw.box(0, 0, in + 120, low + 60, Ink::board, Fill::none);
    draw.box(in - 18, down - 15, in + 18, low + 15, Ink::bracket);
    for (int row = 0; row < plate.screws; ++row)
        draw.hole(in, down + plate.apart.in_mm() * row, plate.hole.in_mm());
    draw.measure("in", 0, down, in, down, plate.in);
    draw.measure(word("down"), in + 30, 0, in + 30, down, Length::nearest_to_metres(down / 1000));
    if (plate.screws > 1)
        draw.measure("apart", in + 60, down, in + 60, low, plate.apart);
    draw.figure("hole", in + 30, low + 25, draw.diameter(plate.hole));
}

/// On the wall from the front, under the line of the units' tops.
void sketch(MeasuredSketch& draw, const SuspensionRail& rail) {
    const double drop = rail.drop > Length{} ? rail.drop.in_mm() : 40;
    draw.box(0, 0, seen_rail, drop + 60, Ink::board, Fill::none);
    draw.box(0, drop - 30, seen_rail, drop, Ink::bracket);
    for (const double at : {50.0, 150.0, 250.0})
        draw.hole(at, drop - 15, rail.hole.in_mm());
    draw.measure("drop", seen_rail + 10, 0, seen_rail + 10, drop, Length::nearest_to_metres(drop / 1000));
    draw.figure("hole", 100, drop + 25, draw.diameter(rail.hole));
}

/// From the side, under a joist that is cut across.
void sketch(MeasuredSketch& draw, const CeilingHanger& hanger) {
    constexpr double joist = 140;
    constexpr double wide = 38;
    constexpr double foot = 60; // of its plate, along the joist
    const double thick = hanger.plate.in_mm();
    draw.box(0, 0, wide, joist, Ink::stud_proved);
    draw.box(-foot, joist, wide + foot, joist + 12, Ink::wall, Fill::none);
    const double under = joist + 12;
    draw.box((wide - foot) / 2, under, (wide + foot) / 2, under + thick, Ink::bracket);
    draw.box(wide / 2 - 4, under + thick, wide / 2 + 4, under + 110, Ink::bracket);
    draw.hole(wide / 2, under + thick / 2, hanger.hole.in_mm());
    draw.measure("plate", (wide + foot) / 2 + 12, under, (wide + foot) / 2 + 12, under + thick, hanger.plate);
    draw.figure("hole", wide / 2 + 20, under + 45, draw.diameter(hanger.hole));
}

Drawing drawn(const auto& kinds, std::string_view asked, double width, double height, double text, const Voice& voice) {
    MeasuredSketch draw{asked, width, height, text, voice};
    std::visit([&](const auto& how) { sketch(draw, how); }, kinds);
    return draw.draw();
}

} // namespace

Drawing draw_support(const Holding& holding, std::string_view asked, double width, double height, double text,
                     const Voice& voice) {
    return drawn(holding, asked, width, height, text, voice);
}

Drawing draw_support(const Gear& gear, std::string_view asked, double width, double height, double text,
                     const Voice& voice) {
    return drawn(gear, asked, width, height, text, voice);
}

} // namespace yes_square
