#include "core/sheets/shelf_layer.hpp"

#include "core/measure/conversions.hpp"
#include "core/shelves/way.hpp"
#include "core/site/wall_site.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

using Part = Reference::Part;

class ShelfDrawer {
public:
    ShelfDrawer(const Wall& wall, const Shelf& shelf, const ShelfPlan& plan, const ElevationScale& scale,
                const ElevationFrame& frame, Drawing& drawing)
        : wall_{wall}
        , shelf_{shelf}
        , plan_{plan}
        , scale_{scale}
        , text_{frame.text}
        , chosen_{shelf.id == frame.selected_shelf}
        , level_{chosen_ || frame.selected_shelf.empty()}
        , drawing_{drawing} {}

    void draw() {
        if (level_ && plan_.bracket)
            add(Line{{scale_.x({}) - 0.6 * text_, scale_.y(shelf_.underside())},
                     {scale_.x(wall_.length), scale_.y(shelf_.underside())},
                     Ink::level,
                     0.25,
                     Stroke::dashed});
        const bool holes_seen = plate_of(shelf_).whole; // through its back
        if (holes_seen)
            boards();
        plate();
        seen(SeenPart::Look::strip_behind);
        seen(SeenPart::Look::strip);
        for (std::size_t i = 0; i < plan_.brackets.size(); ++i)
            place(i);
        if (!holes_seen)
            boards();
        seen(SeenPart::Look::lip);
        seen(SeenPart::Look::hook);
        for (const PlannedHole& hole : plan_.holes)
            add(Circle{{scale_.x(hole.x), scale_.y(hole.z)},
                       std::max(0.35, 0.006 * scale_.per_metre),
                       Ink::hole,
                       carries(plan_.brackets[hole.place].substrate) ? Fill::plain : Fill::none},
                {Part::hole, shelf_.id, hole.place * 100 + hole.row, hole.x, hole.z});
        add(Text{{scale_.x(shelf_.left), scale_.y(shelf_.height) - 0.5 * text_},
                 shelf_.name,
                 1.1 * text_,
                 Align::left,
                 Ink::figure,
                 true},
            whole());
    }

private:
    Reference whole() const { return {Part::shelf, shelf_.id, 0, {}, {}}; }

    void add(auto form, Reference reference = {}) {
        drawing_.shapes.push_back({std::move(form), std::move(reference)});
    }
    void box(const Outline& box, Ink ink, Fill fill, double line, Reference reference = {},
             Stroke stroke = Stroke::solid) {
        add(Rectangle{{scale_.x(box.left), scale_.y(box.top)},
                      scale_.x(box.right) - scale_.x(box.left),
                      scale_.y(box.bottom) - scale_.y(box.top),
                      ink,
                      fill,
                      line,
                      stroke},
            std::move(reference));
    }

    void boards() {
        const Ink ink = chosen_ ? Ink::board_selected : Ink::board;
        const bool solid = !plate_of(shelf_).whole;
        for (const Outline& board : board_boxes(shelf_)) {
            box(board, ink, solid ? Fill::plain : Fill::light, chosen_ ? 0.5 : 0.3, whole());
            if (shelf_.lip)
                box({board.left, board.right, board.top - shelf_.lip->height, board.top}, ink, Fill::none, 0.2);
            for (const Length joint : shelf_.joints)
                add(Line{{scale_.x(shelf_.left + joint), scale_.y(board.top)},
                         {scale_.x(shelf_.left + joint), scale_.y(board.bottom)},
                         Ink::paper,
                         0.5});
        }
    }

    void plate() {
        const HungPlate hung = plate_of(shelf_);
        if (hung.plate && !hung.whole)
            box({hung.left, hung.left + hung.width, hung.top - hung.height, hung.top}, Ink::bracket, Fill::light, 0.3,
                whole());
    }

    void seen(SeenPart::Look look) {
        for (const SeenPart& part : way_of(shelf_).seen(shelf_)) {
            if (part.look != look)
                continue;
            switch (look) {
            case SeenPart::Look::strip_behind:
                box(part.box, Ink::bracket, Fill::light, 0.25, whole());
                break;
            case SeenPart::Look::strip:
                box(part.box, Ink::bracket, Fill::plain, 0.3, whole());
                break;
            case SeenPart::Look::lip:
                box(part.box, chosen_ ? Ink::board_selected : Ink::board, Fill::light, chosen_ ? 0.5 : 0.3, whole());
                break;
            case SeenPart::Look::hook:
                hook(part.box);
                break;
            }
        }
    }

    void hook(const Outline& at) {
        const double x = scale_.x(at.left);
        const double y = scale_.y(at.top);
        const double size = std::max(1.0, 0.03 * scale_.per_metre);
        add(Line{{x, y}, {x, y + size}, Ink::bracket, 0.5});
        add(Line{{x, y + size}, {x + size / 2, y + size / 2}, Ink::bracket, 0.5});
    }

    void place(std::size_t i) {
        const BracketPlan& place = plan_.brackets[i];
        const Reference reference{Part::bracket, shelf_.id, i, place.x, {}};
        Length label = shelf_.lowest_underside();
        if (place.hanger) {
            add(Line{{scale_.x(place.x), scale_.y(wall_.height)},
                     {scale_.x(place.x), scale_.y(shelf_.height)},
                     Ink::bracket,
                     0.6},
                reference);
        } else {
            for (const Outline& leg : leg_boxes(shelf_, plan_, place.x)) {
                box(leg, Ink::bracket, carries(place.substrate) ? Fill::plain : Fill::none, 0.3, reference);
                label = std::min(label, leg.bottom);
            }
            for (const SeenPart& part : way_of(shelf_).seen(shelf_))
                label = std::min(label, part.box.bottom);
            if (plate_of(shelf_).plate) {
                const PlannedHole& hole = plan_.holes[i];
                add(Text{{scale_.x(hole.x) + 0.5 * text_, scale_.y(hole.z) + 0.9 * text_},
                         std::to_string(i + 1),
                         0.85 * text_,
                         Align::left,
                         Ink::bracket,
                         true},
                    reference);
                return;
            }
        }
        add(Text{{scale_.x(place.x), scale_.y(label) + 1.1 * text_},
                 std::to_string(i + 1),
                 text_,
                 Align::centre,
                 Ink::bracket,
                 true},
            reference);
    }

    const Wall& wall_;
    const Shelf& shelf_;
    const ShelfPlan& plan_;
    const ElevationScale& scale_;
    double text_;
    bool chosen_;
    bool level_;
    Drawing& drawing_;
};

/// One strip of a bending drawing: a figure along the shelf, its zero line, and its worst place.
class BendingStrip {
public:
    BendingStrip(Drawing& drawing, double left, double width, double text, double length)
        : drawing_{drawing}
        , left_{left}
        , width_{width}
        , text_{text}
        , length_{length} {}

    double x(double at) const { return left_ + at / length_ * width_; }

    /// @param up, down  room over and under the zero line at `y`
    void draw(double y, double up, double down, const std::vector<BeamPlace>& places, auto&& high, auto&& low,
              auto scale) {
        line({left_, y}, {left_ + width_, y}, Ink::faint, 0.2);
        for (std::size_t i = 1; i < places.size(); ++i) {
            if (places[i].x < places[i - 1].x)
                continue;
            const double from = x(places[i - 1].x);
            const double to = x(places[i].x);
            const auto edge = [&](auto&& figure) {
                const auto at = [&](const BeamPlace& place) {
                    const double off = figure(place) / scale; // of one dimension
                    return y + (off > 0 ? off * down : off * up);
                };
                line({from, at(places[i - 1])}, {to, at(places[i])}, Ink::figure, 0.35);
            };
            edge(high);
            edge(low);
        }
    }

    void mark(double y, double at, double off, std::string words) {
        const double place = x(at);
        line({place, y}, {place, y + off}, Ink::level, 0.5);
        drawing_.shapes.push_back({Circle{{place, y + off}, 0.28 * text_, Ink::level, Fill::plain}});
        const bool right = place > left_ + width_ * 0.6;
        drawing_.shapes.push_back(
            {Text{{place + (right ? -0.6 : 0.6) * text_, y + off + (off < 0 ? -0.2 : 0.9) * text_},
                  std::move(words),
                  text_,
                  right ? Align::right : Align::left,
                  Ink::figure,
                  true}});
    }

private:
    void line(Point from, Point to, Ink ink, double width) { drawing_.shapes.push_back({Line{from, to, ink, width}}); }

    Drawing& drawing_;
    double left_;
    double width_;
    double text_;
    double length_;
};

} // namespace

void draw_shelf(const Wall& wall, const Shelf& shelf, const ShelfPlan& plan, const ElevationScale& scale,
                const ElevationFrame& frame, Drawing& drawing) {
    ShelfDrawer{wall, shelf, plan, scale, frame, drawing}.draw();
}

void draw_noggings(const WallPlan& plan, const ElevationScale& scale, Drawing& drawing) {
    constexpr Length face = 38_mm; // stud timber on edge
    for (const Nogging& nogging : plan.noggings)
        drawing.shapes.push_back({Rectangle{{scale.x(nogging.left), scale.y(nogging.z + face / 2)},
                                            scale.x(nogging.right) - scale.x(nogging.left),
                                            face.in_metres() * scale.per_metre,
                                            Ink::stud_proved,
                                            Fill::hatched,
                                            0.25}});
}

namespace {

constexpr double names_room = 4.6;   ///< left of the board, in type sizes
constexpr double figures_room = 3.0; ///< right of it
constexpr double card_height = 13;

struct Area {
    double left; ///< of the board
    double across;
    double top;
    double height;
};

void draw_strips(const Shelf& shelf, const ShelfPlan& plan, const ShelfStudy& study, const Area& area, double text,
                 const Voice& voice, Drawing& drawing) {
    const auto [left, across, top, height] = area;
    const double names = names_room * text;
    BendingStrip strip{drawing, left, across, text, shelf.length.in_metres()};
    const auto name = [&](double y, std::string_view words) {
        drawing.shapes.push_back(
            {Text{{left - names, y + 0.35 * text}, say(words, voice), text, Align::left, Ink::faint}});
    };

    // The board with what carries it, load standing on it.
    LineLoad heaviest = 0;
    Moment bending = 0;
    double sag = 0;
    for (const BeamPlace& place : study.diagram) {
        heaviest = std::max(heaviest, place.load);
        bending = std::max({bending, place.greatest_moment, -place.least_moment});
        sag = std::max(sag, std::abs(place.sag));
    }
    const double third = height / 3;
    const double board = top + 0.8 * third;
    name(board - 0.3 * third, "Load");
    const auto load = [](const BeamPlace& place) { return -place.load; };
    if (heaviest > 0) {
        strip.draw(board, 0.62 * third, 0, study.diagram, load, load, heaviest);
        drawing.shapes.push_back({Text{{left + across / 2, board - 0.2 * third},
                                       say(quantity(mass_of(heaviest)), voice),
                                       text,
                                       Align::centre,
                                       Ink::figure,
                                       true}});
    }
    for (const Goods& goods : shelf.goods)
        if (goods.to <= goods.from)
            strip.mark(board, std::min(goods.from, shelf.length).in_metres(), -0.62 * third,
                       say(quantity(goods.mass), voice));
    drawing.shapes.push_back({Line{{left, board}, {left + across, board}, Ink::board, 0.9}});
    for (const BracketPlan& place : plan.brackets) {
        const double x = strip.x(std::clamp(place.x - shelf.left, Length{}, shelf.length).in_metres());
        drawing.shapes.push_back({Triangle{{x - 0.5 * text, board + 0.9 * text},
                                           {x + 0.5 * text, board + 0.9 * text},
                                           {x, board},
                                           carries(place.substrate) ? Ink::bracket : Ink::faint}});
    }

    const double middle = top + 1.68 * third;
    name(middle, "Bending");
    if (bending > 0) {
        strip.draw(
            middle, 0.36 * third, 0.36 * third, study.diagram, [](const BeamPlace& p) { return p.greatest_moment; },
            [](const BeamPlace& p) { return p.least_moment; }, bending);
        const BeamPlace& worst = study.diagram[study.worst_moment];
        const bool hogs = -worst.least_moment > worst.greatest_moment;
        strip.mark(middle, worst.x, (hogs ? -0.36 : 0.36) * third, say(quantity(bending), voice));
    }

    const double line = top + 2.3 * third;
    name(line + 0.2 * third, "Sag");
    if (sag > 0) {
        const auto down = [](const BeamPlace& p) { return p.sag; };
        strip.draw(line, 0.2 * third, 0.38 * third, study.diagram, down, down, sag);
        const BeamPlace& worst = study.diagram[study.worst_sag];
        strip.mark(line, worst.x, 0.38 * third, say(fine(worst.sag), voice));
    }
}

} // namespace

void draw_bending(const Shelf& shelf, const ShelfPlan& plan, const ShelfStudy& study, const ElevationScale& scale,
                  double text, const Voice& voice, Drawing& drawing) {
    if (study.diagram.empty())
        return;
    Length lowest = shelf.lowest_underside();
    for (const BracketPlan& place : plan.brackets)
        for (const Outline& leg : leg_boxes(shelf, plan, place.x))
            lowest = std::min(lowest, leg.bottom);
    const double height = card_height * text;
    const double under = scale.y(lowest) + 1.8 * text;
    const double over = scale.y(shelf.height + plan.leg_over) - 2 * text - height;
    const double left = scale.x(shelf.left);
    const double across = scale.x(shelf.right()) - left;
    if (left < (names_room + 1) * text || (under + height > scale.y({}) && over < text))
        return;
    const double top = under + height > scale.y({}) ? over : under;
    const Point corner{left - (names_room + 0.5) * text, top - 0.4 * text};
    const double width = across + (names_room + figures_room + 0.5) * text;
    drawing.shapes.push_back({Rectangle{corner, width, height + 0.8 * text, Ink::paper, Fill::plain, 0}});
    drawing.shapes.push_back({Rectangle{corner, width, height + 0.8 * text, Ink::tick, Fill::none, 0.25}});
    draw_strips(shelf, plan, study, {left, across, top, height}, text, voice, drawing);
}

Drawing draw_bending(const Shelf& shelf, const ShelfPlan& plan, const ShelfStudy& study, double width, double height,
                     double text, const Voice& voice) {
    Drawing drawing{width, height, {}};
    if (!study.diagram.empty())
        draw_strips(shelf, plan, study, {names_room * text, std::max(text, width - (names_room + 1) * text), 0, height},
                    text, voice, drawing);
    return drawing;
}

} // namespace yes_square
