#include "core/sheets/run_layer.hpp"

#include "core/sheets/lettering.hpp"
#include "core/sheets/pen.hpp"
#include "core/sheets/rods.hpp"

#include <algorithm>
#include <array>
#include <set>

namespace yes_square {
namespace {

using Part = Reference::Part;

constexpr double figure_room = 3.6; ///< between two columns of figures, in type sizes

class RunDrawer : Pen {
public:
    RunDrawer(const Run& run, const RunPlan& plan, const ElevationScale& on_paper, const ElevationFrame& frame,
              const Voice& voice, Drawing& into)
        : Pen{on_paper, into}
        , run_{run}
        , plan_{plan}
        , frame_{frame}
        , voice_{voice} {}

    void draw() {
        for (const RunPiece& piece : plan_.pieces)
            if (piece.what == RunPiece::What::plinth)
                rectangle({piece.from, piece.to, piece.z, piece.z + piece.breadth - 2_mm}, Ink::board, Fill::none, 0.2);
        for (const IslandHold& hold : plan_.islands)
            if (hold.frame_height > Length{})
                rectangle({hold.from, hold.to, {}, hold.frame_height}, Ink::board, Fill::light, 0.2);
        for (std::size_t i = 0; i < run_.units.size() && i < plan_.units.size(); ++i)
            unit(run_.units[i], plan_.units[i], i);
        for (const RunPiece& piece : plan_.pieces)
            this->piece(piece);
        if (selected())
            for (const UnitPlan& unit : plan_.units)
                for (std::size_t h = 0; h < unit.holes.size(); ++h)
                    hole(unit, h);
    }

private:
    bool selected() const { return run_.id == frame_.selected_run; }
    double text() const { return frame_.text; }

    void level(Length from, Length to, Length z, Ink ink, double width, Stroke stroke) {
        add(Line{{scale.x(from), scale.y(z)}, {scale.x(to), scale.y(z)}, ink, width, stroke});
    }

    void unit(const CabinetUnit& unit, const UnitPlan& plan, std::size_t index) {
        const Reference reference{Part::unit, unit.id, index, {}, {}};
        const bool chosen = unit.id == frame_.selected_unit;
        const Length left = plan.place.left;
        const Length right = plan.place.right();
        switch (unit.kind) {
        case UnitKind::appliance_gap:
            rectangle({left, right, plan.bottom, plan.top}, Ink::opening, Fill::none, chosen ? 0.6 : 0.25, reference,
                      Stroke::dashed);
            break;
        case UnitKind::filler:
        case UnitKind::corner_post:
        case UnitKind::handle_channel:
            rectangle({left, right, plan.bottom, plan.top}, chosen ? Ink::board_selected : Ink::board, Fill::hatched,
                      chosen ? 0.6 : 0.25, reference);
            break;
        default:
            rectangle({left, right, plan.bottom, plan.top}, chosen ? Ink::board_selected : Ink::board, Fill::light,
                      chosen ? 0.7 : 0.35, reference);
            front(unit, plan);
        }
        for (const Foot& foot : plan.feet)
            if (foot.front)
                rectangle({foot.x - 15_mm, foot.x + 15_mm, plan.bottom - foot.height, plan.bottom}, Ink::bracket,
                          Fill::light, 0.15);
        label(unit, plan, reference);
    }

    /// Hinges as two short ticks on their side; drawers as their joints.
    void front(const CabinetUnit& unit, const UnitPlan& plan) {
        const Length height = plan.top - plan.bottom;
        const auto hinge = [&](Length x, std::int64_t inward) {
            for (const int share : {1, 7})
                level(x, x + 40_mm * inward, plan.bottom + height * share / 8, Ink::faint, 0.5, Stroke::solid);
        };
        const Length left = plan.place.left;
        const Length right = plan.place.right();
        const Length middle = left + plan.place.width / 2;
        switch (unit.hinge) {
        case DoorHinge::left:
            return hinge(left, 1);
        case DoorHinge::right:
            return hinge(right, -1);
        case DoorHinge::both:
            hinge(left, 1);
            hinge(right, -1);
            return add(
                Line{{scale.x(middle), scale.y(plan.top)}, {scale.x(middle), scale.y(plan.bottom)}, Ink::faint, 0.2});
        case DoorHinge::drawers:
            for (const int share : {1, 2})
                level(left, right, plan.bottom + height * share / 3, Ink::faint, 0.25, Stroke::solid);
            return;
        case DoorHinge::none:
            return;
        }
    }

    void label(const CabinetUnit& unit, const UnitPlan& plan, const Reference& reference) {
        const double room = scale.x(plan.place.right()) - scale.x(plan.place.left) - 0.6 * text();
        const double middle = (scale.x(plan.place.left) + scale.x(plan.place.right())) / 2;
        const double centre = (scale.y(plan.bottom) + scale.y(plan.top)) / 2;
        const auto fits = [&](const std::string& words, double size) { return text_width(words, size, true) <= room; };
        const std::string width = format_bare(plan.place.width, voice_);
        const std::string& name = unit.code.empty() ? unit.name : unit.code;
        if (fits(name, text()))
            add(Text{{middle, centre}, name, text(), Align::centre, Ink::figure, unit.id == frame_.selected_unit},
                reference);
        if (fits(width, text()))
            add(Text{{middle, centre + 1.3 * text()}, width, text(), Align::centre, Ink::figure, false}, reference);
    }

    void hole(const UnitPlan& unit, std::size_t index) {
        const PlannedHole& hole = unit.holes[index];
        const bool sure = hole.substrate == Substrate::proved_stud || hole.substrate == Substrate::masonry;
        add(Circle{{scale.x(hole.x), scale.y(hole.z)},
                   std::max(0.4, 0.007 * scale.per_metre),
                   sure ? Ink::hole : Ink::alarm,
                   sure ? Fill::plain : Fill::none},
            {Part::unit_hole, unit.unit_id, index, hole.x, hole.z});
    }

    void piece(const RunPiece& piece) {
        switch (piece.what) {
        case RunPiece::What::worktop:
            rectangle({piece.from, piece.to, piece.z - 30_mm, piece.z}, Ink::bracket, Fill::light, 0.3);
            for (const Length joint : piece.joints)
                add(Line{
                    {scale.x(joint), scale.y(piece.z)}, {scale.x(joint), scale.y(piece.z - 30_mm)}, Ink::bracket, 0.6});
            break;
        case RunPiece::What::suspension_rail:
            rectangle({piece.from, piece.to, piece.z, piece.z + 30_mm}, Ink::bracket, Fill::plain, 0.2);
            if (selected())
                for (std::size_t i = 0; i < piece.fixings.size(); ++i)
                    add(Circle{{scale.x(piece.fixings[i]), scale.y(piece.z + 15_mm)},
                               std::max(0.4, 0.007 * scale.per_metre),
                               Ink::hole,
                               Fill::plain},
                        {Part::unit_hole, run_.id, i, piece.fixings[i], piece.z + 15_mm});
            break;
        case RunPiece::What::ledger:
            if (selected())
                rectangle({piece.from, piece.to, piece.z - 40_mm, piece.z}, Ink::level, Fill::none, 0.2, {},
                          Stroke::dashed);
            break;
        case RunPiece::What::channel:
            rectangle({piece.from, piece.to, piece.z - piece.breadth, piece.z}, Ink::bracket, Fill::hatched, 0.2);
            break;
        case RunPiece::What::plinth:
            break;
        }
    }

    const Run& run_;
    const RunPlan& plan_;
    const ElevationFrame& frame_;
    const Voice& voice_;
};

} // namespace

void draw_runs(const Wall& wall, const WallPlan& plan, const ElevationScale& scale, const ElevationFrame& frame,
               const Voice& voice, Drawing& drawing) {
    for (std::size_t i = 0; i < wall.runs.size() && i < plan.runs.size(); ++i)
        RunDrawer{wall.runs[i], plan.runs[i], scale, frame, voice, drawing}.draw();
}

void draw_lines(const Wall& wall, const ElevationScale& scale, const ElevationFrame& frame, const Voice& voice,
                Drawing& drawing) {
    std::set<std::string> used;
    for (const Run& run : wall.runs)
        for (const CabinetUnit& unit : run.units)
            used.insert(stands_on(unit, run.level).line);
    std::vector<const LinePlan*> lines;
    for (const LinePlan& line : frame.lines)
        if (frame.line_names || used.contains(line.id))
            lines.push_back(&line);
    std::ranges::sort(lines, {}, [](const LinePlan* line) { return line->z; });
    for (const LinePlan* line : lines) {
        const double y = scale.y(line->z);
        const Reference reference{Reference::Part::line, line->id, 0, {}, line->z};
        drawing.shapes.push_back({Line{{scale.x({}) - 0.6 * frame.text, y},
                                       {scale.x(wall.length) + 0.6 * frame.text, y},
                                       Ink::level,
                                       frame.line_names ? 0.45 : 0.25,
                                       frame.line_names ? Stroke::solid : Stroke::dashed},
                                  frame.line_names ? reference : Reference{}});
        if (!frame.line_names)
            continue;
        const std::string by = line->set_by.empty() ? std::string{} : ", " + line->set_by;
        const std::string words = line->name + by + "  " + format_bare(line->z, voice);
        drawing.shapes.push_back({Text{{scale.x(wall.length) - 0.4 * frame.text, y - 0.35 * frame.text},
                                       words,
                                       frame.text,
                                       Align::right,
                                       Ink::level,
                                       true},
                                  reference});
    }
}

Drawing draw_back_card(const CabinetUnit& unit, const UnitPlan& plan, double width, double height, double text,
                       const Voice& voice) {
    Drawing drawing{width, height, {}};
    const auto add = [&](auto form) { drawing.shapes.push_back({std::move(form), {}}); };
    const double w = unit.width.in_metres();
    const double h = unit.height.in_metres();
    // Beside the board stand what its rows of figures are, and half of the figure at its edge.
    constexpr std::array captions{std::string_view{"from right edge"}, std::string_view{"from left edge"},
                                  std::string_view{"inside, from left"}};
    double widest = 0;
    for (const std::string_view caption : captions)
        widest = std::max(widest, text_width(say(caption, voice), 0.9 * text, false));
    const double side_room =
        std::max(7.2 * text, widest + text + text_width(format_bare(unit.width, voice), text, true) / 2);
    const double below = 5.2 * text;
    const double above = 2 * text;
    std::set<Length> columns; // from the unit's left edge
    std::set<Length> rows;    // below its top
    const std::vector<PlannedHole> holes = plan.on_plates ? std::vector<PlannedHole>{} : plan.holes;
    for (const PlannedHole& hole : holes) {
        columns.insert(plan.from_left(hole));
        rows.insert(plan.top - hole.z);
    }
    std::vector<PanelCutOut> cut_outs; // as far as they lie in the back
    for (PanelCutOut cut : unit.cut_outs) {
        cut.width = std::min(cut.far(), unit.width) - cut.across;
        cut.height = std::min(cut.bottom(), unit.height) - cut.down;
        if (cut.panel != UnitPanel::back || cut.width <= Length{} || cut.height <= Length{})
            continue;
        columns.insert({cut.across, cut.far()});
        rows.insert({cut.down, cut.bottom()});
        cut_outs.push_back(std::move(cut));
    }
    // A tall unit is drawn broader than it is, so that its figures can be told apart.
    const double per_metre_up = (height - above - below) / h;
    const double most_across = (width - 2 * side_room) / w;
    double across = std::min(most_across, per_metre_up);
    for (auto column = columns.begin(); column != columns.end() && std::next(column) != columns.end(); ++column) {
        const double apart = (*std::next(column) - *column).in_metres();
        across = std::min(most_across, std::max(across, figure_room * text / apart));
    }
    const double up = std::min(per_metre_up, across);
    if (up <= 0)
        return drawing;
    const double left = (width - w * across) / 2;
    const double top = above;
    // From behind, what is at the unit's left stands at the right of the card.
    const auto x = [&](Length from_left) { return left + (w - from_left.in_metres()) * across; };
    const auto y = [&](Length z) { return top + (plan.top - z).in_metres() * up; };
    add(Rectangle{{left, top}, w * across, h * up, Ink::board, Fill::light, 0.5});
    const double side = unit.side.in_metres() * across;
    for (const double at : {left, left + w * across - side})
        add(Rectangle{{at, top}, side, h * up, Ink::board, Fill::plain, 0.2});
    for (const HangingRail& rail : unit.rails)
        add(Rectangle{{left, y(plan.top - rail.down + rail.breadth / 2)},
                      w * across,
                      rail.breadth.in_metres() * up,
                      Ink::board,
                      Fill::hatched,
                      0.2});
    add(Text{
        {width / 2, top - 0.8 * text}, say("Back, seen from behind, top up", voice), text, Align::centre, Ink::faint});
    add(Text{{left - 0.6 * text, top + text}, say("right side", voice), 0.9 * text, Align::right, Ink::faint});
    add(Text{
        {left + w * across + 0.6 * text, top + text}, say("left side", voice), 0.9 * text, Align::left, Ink::faint});
    for (const PanelCutOut& cut : cut_outs)
        add(Rectangle{{x(cut.far()), y(plan.top - cut.down)},
                      cut.width.in_metres() * across,
                      cut.height.in_metres() * up,
                      Ink::hole,
                      Fill::none,
                      0.5});
    for (const PlannedHole& hole : holes)
        add(Circle{{x(plan.from_left(hole)), y(hole.z)}, 0.35 * text, Ink::hole, Fill::plain});
    const double bottom = top + h * up;
    // Figures of columns that stand close together are smaller, so that none lies on its neighbour.
    double widest_figure = 0;
    for (const Length from_left : columns)
        for (const Length figure : {unit.width - from_left, from_left, from_left - unit.side})
            widest_figure = std::max(widest_figure, text_width(format_bare(figure, voice), text, true));
    double closest = width;
    for (auto column = columns.begin(); column != columns.end() && std::next(column) != columns.end(); ++column)
        closest = std::min(closest, x(*column) - x(*std::next(column)));
    const double figure_text = text * std::min(1.0, closest / (widest_figure + 0.4 * text));
    for (const Length from_left : columns) {
        add(Line{{x(from_left), top}, {x(from_left), bottom + 0.6 * text}, Ink::tick, 0.2, Stroke::dashed});
        add(Text{{x(from_left), bottom + 1.6 * text},
                 format_bare(unit.width - from_left, voice),
                 figure_text,
                 Align::centre,
                 Ink::figure,
                 true});
        add(Text{{x(from_left), bottom + 2.8 * text},
                 format_bare(from_left, voice),
                 figure_text,
                 Align::centre,
                 Ink::figure,
                 true});
        add(Text{{x(from_left), bottom + 4.0 * text},
                 format_bare(from_left - unit.side, voice),
                 figure_text,
                 Align::centre,
                 Ink::level,
                 false});
    }
    // Left of the board, and of the figure of the column at its edge.
    const double figures_from =
        columns.empty() ? left : std::min(left, x(*columns.rbegin()) - widest_figure * figure_text / text / 2);
    const auto caption = [&](double row, std::string_view words, Ink ink) {
        add(Text{{figures_from - 0.6 * text, bottom + row * text}, say(words, voice), 0.9 * text, Align::right, ink});
    };
    if (!columns.empty()) {
        caption(1.6, captions[0], Ink::faint);
        caption(2.8, captions[1], Ink::faint);
        caption(4.0, captions[2], Ink::level);
    }
    double last = top + text; // under the word there
    for (const Length down : rows) {
        const double at = std::max(y(plan.top - down) + 0.35 * text, last + 1.15 * text);
        last = at;
        add(Text{{left + w * across + 0.6 * text, at}, format_bare(down, voice), text, Align::left, Ink::figure, true});
    }
    return drawing;
}

Drawing draw_run_sketch(const std::vector<Stud>& studs, const RunPlan& plan, Length moved,
                        const std::vector<std::size_t>& lost, bool on_rail, double width, double height) {
    Drawing drawing{width, height, {}};
    if (plan.units.empty())
        return drawing;
    const double margin = 2;
    const Length from = std::min(plan.layout.from, plan.layout.left());
    const Length to = std::max(plan.layout.to.value_or(plan.layout.right()), plan.layout.right());
    const double per_metre = (width - 2 * margin) / std::max(0.1, (to - from).in_metres());
    const auto x = [&](Length at) { return margin + (at - from).in_metres() * per_metre; };
    for (const Stud& stud : studs)
        if (stud.centre >= from && stud.centre <= to)
            drawing.shapes.push_back({Line{{x(stud.centre), 1},
                                           {x(stud.centre), height - 1},
                                           ink_of(stud.state),
                                           stud.state == StudState::proved ? 1.0 : 0.5,
                                           stroke_of(stud.state)}});
    for (std::size_t i = 0; i < plan.units.size(); ++i) {
        const bool missing = std::ranges::find(lost, i) != lost.end();
        drawing.shapes.push_back({Rectangle{{x(plan.units[i].place.left + moved), height * 0.22},
                                            plan.units[i].place.width.in_metres() * per_metre,
                                            height * 0.6,
                                            missing ? Ink::alarm : Ink::board,
                                            missing ? Fill::none : Fill::light,
                                            missing ? 0.6 : 0.3,
                                            missing ? Stroke::dashed : Stroke::solid}});
    }
    if (on_rail)
        drawing.shapes.push_back({Rectangle{{x(plan.layout.left()), height * 0.28},
                                            (plan.layout.right() - plan.layout.left()).in_metres() * per_metre,
                                            1.2,
                                            Ink::bracket,
                                            Fill::plain,
                                            0.2}});
    return drawing;
}

} // namespace yes_square
