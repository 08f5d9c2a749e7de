#include "core/sheets/shelf_layer.hpp"

#include "core/measure/conversions.hpp"
#include "core/sheets/pen.hpp"
#include "core/shelves/way.hpp"
#include "core/site/wall_site.hpp"

#include <algorithm>
#include <cmath>

namespace yes_square {
namespace {

using Part = Reference::Part;

class ShelfDrawer : Pen {
public:
    ShelfDrawer(const Wall& wall, const Shelf& shelf, const ShelfPlan& plan, const ElevationScale& on_paper,
                const ElevationFrame& frame, Drawing& into)
        : Pen{on_paper, into}
        , wall_{wall}
        , shelf_{shelf}
        , plan_{plan}
        , text_{frame.text}
        , chosen_{shelf.id == frame.selected_shelf}
        , level_{chosen_ || frame.selected_shelf.empty()} {}

    void draw() {
        if (level_ && plan_.bracket)
            add(Line{{scale.x({}) - 0.6 * text_, scale.y(shelf_.underside())},
                     {scale.x(wall_.length), scale.y(shelf_.underside())},
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
            add(Circle{{scale.x(hole.x), scale.y(hole.z)},
                       std::max(0.35, 0.006 * scale.per_metre),
                       Ink::hole,
                       carries(plan_.brackets[hole.place].substrate) ? Fill::plain : Fill::none},
                {Part::hole, shelf_.id, hole.place * 100 + hole.row, hole.x, hole.z});
        add(Text{{scale.x(shelf_.left), scale.y(shelf_.height) - 0.5 * text_},
                 shelf_.name,
                 1.1 * text_,
                 Align::left,
                 Ink::figure,
                 true},
            whole());
    }

private:
    Reference whole() const { return {Part::shelf, shelf_.id, 0, {}, {}}; }

    void boards() {
        const Ink ink = chosen_ ? Ink::board_selected : Ink::board;
        const bool solid = !plate_of(shelf_).whole;
        for (const Outline& board : board_boxes(shelf_)) {
            rectangle(board, ink, solid ? Fill::plain : Fill::light, chosen_ ? 0.5 : 0.3, whole());
            if (shelf_.lip)
                rectangle({board.left, board.right, board.top - shelf_.lip->height, board.top}, ink, Fill::none, 0.2);
            for (const Length joint : shelf_.joints)
                add(Line{{scale.x(shelf_.left + joint), scale.y(board.top)},
                         {scale.x(shelf_.left + joint), scale.y(board.bottom)},
                         Ink::paper,
                         0.5});
        }
    }

    void plate() {
        const HungPlate hung = plate_of(shelf_);
        if (hung.plate && !hung.whole)
            rectangle({hung.left, hung.left + hung.width, hung.top - hung.height, hung.top}, Ink::bracket, Fill::light,
                      0.3, whole());
    }

    void seen(SeenPart::Look look) {
        for (const SeenPart& part : way_of(shelf_).seen(shelf_)) {
            if (part.look != look)
                continue;
            switch (look) {
            case SeenPart::Look::strip_behind:
                rectangle(part.box, Ink::bracket, Fill::light, 0.25, whole());
                break;
            case SeenPart::Look::strip:
                rectangle(part.box, Ink::bracket, Fill::plain, 0.3, whole());
                break;
            case SeenPart::Look::lip:
                rectangle(part.box, chosen_ ? Ink::board_selected : Ink::board, Fill::light, chosen_ ? 0.5 : 0.3,
                          whole());
                break;
            case SeenPart::Look::hook:
                hook(part.box);
                break;
            }
        }
    }

    void hook(const Outline& at) {
        const double x = scale.x(at.left);
        const double y = scale.y(at.top);
        const double size = std::max(1.0, 0.03 * scale.per_metre);
        add(Line{{x, y}, {x, y + size}, Ink::bracket, 0.5});
        add(Line{{x, y + size}, {x + size / 2, y + size / 2}, Ink::bracket, 0.5});
    }

    void place(std::size_t i) {
        const BracketPlan& place = plan_.brackets[i];
        const Reference reference{Part::bracket, shelf_.id, i, place.x, {}};
        Length label = shelf_.lowest_underside();
        if (place.hanger) {
            add(Line{{scale.x(place.x), scale.y(wall_.height)},
                     {scale.x(place.x), scale.y(shelf_.height)},
                     Ink::bracket,
                     0.6},
                reference);
        } else {
            for (const Outline& leg : leg_boxes(shelf_, plan_, place)) {
                rectangle(leg, Ink::bracket, carries(place.substrate) ? Fill::plain : Fill::none, 0.3, reference);
                label = std::min(label, leg.bottom);
            }
            for (const SeenPart& part : way_of(shelf_).seen(shelf_))
                label = std::min(label, part.box.bottom);
            if (plate_of(shelf_).plate) {
                const PlannedHole& hole = plan_.holes[i];
                add(Text{{scale.x(hole.x) + 0.5 * text_, scale.y(hole.z) + 0.9 * text_},
                         std::to_string(i + 1),
                         0.85 * text_,
                         Align::left,
                         Ink::bracket,
                         true},
                    reference);
                return;
            }
        }
        if (place.pinned) { // a pin's head on its leg
            const double head = 0.22 * text_;
            add(
                Circle{
                    {scale.x(place.x), scale.y(shelf_.lowest_underside()) + 2 * head}, head, Ink::level, Fill::plain},
                reference);
        }
        add(Text{{scale.x(place.x), scale.y(label) + 1.1 * text_},
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
    double text_;
    bool chosen_;
    bool level_;
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

constexpr double names_room = 4.6; ///< left of the board, in type sizes

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

Drawing draw_bending(const Shelf& shelf, const ShelfPlan& plan, const ShelfStudy& study, double width, double height,
                     double text, const Voice& voice) {
    Drawing drawing{width, height, {}};
    if (!study.diagram.empty())
        draw_strips(shelf, plan, study, {names_room * text, std::max(text, width - (names_room + 1) * text), 0, height},
                    text, voice, drawing);
    return drawing;
}

} // namespace yes_square
