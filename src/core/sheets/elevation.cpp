#include "core/sheets/elevation.hpp"

#include "core/sheets/survey_layer.hpp"
#include "core/shelves/shelf_site.hpp"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace yes_square {
namespace {

using Part = Reference::Part;

/// Mean width of a figure as a share of the type size; the bundled face has tabular figures.
constexpr double figure_width = 0.58;

Ink ink_of(StudState state) {
    return state == StudState::proved      ? Ink::stud_proved
           : state == StudState::indicated ? Ink::stud_indicated
                                           : Ink::stud_assumed;
}

struct Tick {
    Length at;
    bool strong = false;
    Reference reference;
    std::optional<StudState> stud = {};
};

/// One row of the run rod: a shelf's marks, or the studs'.
struct Lane {
    std::string title;
    std::vector<Tick> ticks;
    bool selected = false;
    bool figures = true;        ///< false: ticks alone
    std::vector<int> rows = {}; ///< the row of each tick's figure, so that figures do not overlap
    int row_count = 1;
};

class ElevationDrawer {
public:
    ElevationDrawer(const Wall& wall, const WallPlan& plan, const ElevationFrame& frame, const Voice& voice)
        : wall_{wall}
        , plan_{plan}
        , frame_{frame}
        , voice_{voice} {
        drawing_.width = frame.width;
        drawing_.height = frame.height;
    }

    Elevation draw() {
        place_wall();
        wall_itself();
        if (frame_.survey == SurveyLayer::studs && plan_.survey.findings)
            draw_wood_chance(plan_.survey.findings->posterior, wall_, scale_, drawing_);
        studs();
        openings();
        strips();
        draw_edges(wall_, scale_, frame_, voice_, drawing_);
        services();
        corner_things();
        for (std::size_t i = 0; i < wall_.shelves.size() && i < plan_.shelves.size(); ++i)
            shelf(wall_.shelves[i], plan_.shelves[i]);
        for (const ShelfPlan& shelf : plan_.shelves)
            checks(shelf);
        draw_readings(wall_, plan_.survey, scale_, frame_, voice_, drawing_);
        if (frame_.rods) {
            run_rod();
            height_rod();
        }
        return {std::move(drawing_), scale_};
    }

private:
    double text() const { return frame_.text; }
    double x(Length at) const { return scale_.x(at); }
    double y(Length at) const { return scale_.y(at); }

    template <class Form>
    void add(Form form, Reference reference = {}) {
        drawing_.shapes.push_back({std::move(form), std::move(reference)});
    }
    void rectangle(Length left, Length right, Length bottom, Length top, Ink ink, Fill fill, double line_width,
                   Reference reference = {}, Stroke stroke = Stroke::solid) {
        add(Rectangle{{x(left), y(top)}, x(right) - x(left), y(bottom) - y(top), ink, fill, line_width, stroke},
            std::move(reference));
    }
    void clear_rectangle(double left, double top, double width, double height) {
        add(Rectangle{{left, top}, width, height, Ink::paper, Fill::plain, 0, Stroke::solid});
    }

    /// Height of the strip under the wall that holds the run rod.
    double run_rod_height() const {
        if (!frame_.rods)
            return text();
        return std::accumulate(lanes_.begin(), lanes_.end(), 0.6 * text(),
                               [this](double sum, const Lane& lane) { return sum + lane_height(lane); });
    }
    double height_rod_width() const {
        return frame_.rods ? (std::max(7.0, longest_figure_ + 2.4) + (two_floors() ? longest_figure_ : 0)) * text()
                           : text();
    }
    /// The floor there is now is not the finished floor: heights are told from both.
    bool two_floors() const { return plan_.survey.floor.measured() || plan_.survey.floor.build_up > Length{}; }

    void place_wall() {
        for (const Length length : {wall_.length, wall_.height})
            longest_figure_ = std::max(longest_figure_,
                                       static_cast<double>(format_bare(length, voice_.unit).size()) * figure_width + 1);
        if (is_imperial(voice_.unit))
            longest_figure_ = std::max(longest_figure_, 9 * figure_width + 1); // 100 15/16
        if (frame_.rods)
            collect_lanes();
        // The rows of the run rod depend on the scale and the scale on the rows: a few turns settle it.
        for (int turn = 0; turn < 4; ++turn) {
            const double left = height_rod_width();
            const double right = 3.6 * text();
            const double top = 2.2 * text();
            const double room_x = std::max(10.0, frame_.width - left - right);
            const double room_y = std::max(10.0, frame_.height - top - run_rod_height() - text());
            const double fit = std::min(room_x / wall_.length.in_metres(), room_y / wall_.height.in_metres());
            scale_.per_metre = fit * frame_.zoom;
            const double spare_x = room_x - wall_.length.in_metres() * fit;
            const double spare_y = room_y - wall_.height.in_metres() * fit;
            scale_.left = left + spare_x / 2 + frame_.pan_x;
            scale_.floor = top + spare_y / 2 + wall_.height.in_metres() * fit + frame_.pan_y;
            assign_rows();
        }
    }

    void wall_itself() {
        const bool masonry = std::holds_alternative<Masonry>(wall_.structure);
        rectangle({}, wall_.length, {}, wall_.height, masonry ? Ink::masonry : Ink::wall,
                  masonry ? Fill::hatched : Fill::none, 0.35);
        add(Line{{x({}) - 1.2 * text(), y({})}, {x(wall_.length) + 1.2 * text(), y({})}, Ink::floor, 0.7});
        add(Text{{x(wall_.length) + 0.4 * text(), y({}) - 0.4 * text()},
                 say("datum", voice_),
                 0.85 * text(),
                 Align::left,
                 Ink::faint});
    }

    void studs() {
        const auto* framing = std::get_if<Framing>(&wall_.structure);
        if (!framing)
            return;
        for (std::size_t i = 0; i < plan_.survey.studs.size(); ++i) {
            const Stud& stud = plan_.survey.studs[i];
            const Length half = framing->stud_width / 2;
            const Reference reference{Part::stud, {}, i, stud.centre, {}};
            const Ink ink = ink_of(stud.state);
            // Proved: a solid band. Indicated: dashed edges. Assumed: a dotted centre line and no more.
            if (stud.state == StudState::proved)
                rectangle(stud.centre - half, stud.centre + half, {}, wall_.height, ink, Fill::plain, 0.15, reference);
            else if (stud.state == StudState::indicated)
                rectangle(stud.centre - half, stud.centre + half, {}, wall_.height, ink, Fill::light, 0.25, reference,
                          Stroke::dashed);
            else
                add(Line{{x(stud.centre), y({})}, {x(stud.centre), y(wall_.height)}, ink, 0.35, Stroke::dotted},
                    reference);
        }
    }

    void openings() {
        for (std::size_t i = 0; i < wall_.openings.size(); ++i) {
            const Opening& opening = wall_.openings[i];
            const Box box = box_of(opening);
            const Reference reference{Part::opening, {}, i, {}, {}};
            rectangle(box.left, box.right, box.bottom, box.top, Ink::paper, Fill::plain, 0);
            rectangle(box.left, box.right, box.bottom, box.top, Ink::opening, Fill::none, 0.35, reference);
            if (opening.trim > Length{} && opening.trim * 2 < opening.width)
                rectangle(box.left + opening.trim, box.right - opening.trim,
                          opening.kind == OpeningKind::window ? box.bottom + opening.trim : box.bottom,
                          box.top - opening.trim, Ink::opening, Fill::none, 0.2);
            add(Line{{x(box.left), y(box.bottom)}, {x(box.right), y(box.top)}, Ink::opening, 0.12});
            add(Line{{x(box.left), y(box.top)}, {x(box.right), y(box.bottom)}, Ink::opening, 0.12});
            add(Text{{(x(box.left) + x(box.right)) / 2,
                      y(box.top) + opening.trim.in_metres() * scale_.per_metre + 1.5 * text()},
                     say(opening.kind == OpeningKind::window ? std::string_view{"Window"} : "Door", voice_),
                     text(),
                     Align::centre,
                     Ink::opening},
                reference);
        }
    }

    void strips() {
        for (const Strip& strip : plan_.survey.strips) {
            const bool inferred = strip.basis == Strip::Basis::inferred;
            rectangle(std::max(Length{}, strip.left), std::min(wall_.length, strip.right),
                      std::max(Length{}, strip.bottom), std::min(wall_.height, strip.top),
                      inferred ? Ink::strip : Ink::detected, inferred ? Fill::light : Fill::hatched,
                      inferred ? 0 : 0.35);
        }
    }

    /// What stands in from the next wall: its board's end, dashed.
    void corner_things() {
        for (const CornerThing& thing : plan_.survey.corner_things) {
            const Box box = box_of(thing, wall_);
            rectangle(box.left, box.right, box.bottom, box.top, Ink::board, Fill::light, 0.3, {}, Stroke::dashed);
        }
    }

    void services() {
        for (std::size_t i = 0; i < wall_.services.size(); ++i) {
            const ServicePoint& service = wall_.services[i];
            if (service.far_side) // behind this wall: only its strips show
                continue;
            const Box box = box_of(service);
            const Reference reference{Part::service, {}, i, service.centre, service.height};
            rectangle(box.left, box.right, box.bottom, box.top, Ink::service, Fill::plain, 0.3, reference);
            const std::string_view word = service.kind == ServiceKind::socket    ? "Socket"
                                          : service.kind == ServiceKind::switch_ ? "Switch"
                                          : service.kind == ServiceKind::pipe    ? "Pipe"
                                                                                 : "Appliance";
            add(Text{{x(service.centre), y(box.top) - 0.4 * text()},
                     say(word, voice_),
                     0.85 * text(),
                     Align::centre,
                     Ink::service,
                     true});
        }
    }

    bool selected(const std::string& shelf) const { return shelf == frame_.selected_shelf; }

    void shelf(const Shelf& shelf, const ShelfPlan& plan) {
        const Reference whole{Part::shelf, shelf.id, 0, {}, {}};
        const bool chosen = selected(shelf.id);
        if (chosen || frame_.selected_shelf.empty())
            add(Line{{x({}) - 0.6 * text(), y(shelf.underside())},
                     {x(wall_.length), y(shelf.underside())},
                     Ink::level,
                     0.25,
                     Stroke::dashed});
        for (std::size_t i = 0; i < plan.brackets.size(); ++i) {
            const BracketPlan& place = plan.brackets[i];
            const Box leg = leg_box(shelf, *plan.bracket, place.x);
            const Reference reference{Part::bracket, shelf.id, i, place.x, {}};
            rectangle(leg.left, leg.right, leg.bottom, leg.top, Ink::bracket,
                      place.hold == Hold::lining ? Fill::none : Fill::plain, 0.3, reference);
            add(Text{{x(place.x), y(leg.bottom) + 1.1 * text()},
                     std::to_string(i + 1),
                     text(),
                     Align::centre,
                     Ink::bracket,
                     true},
                reference);
        }
        for (const Hole& hole : plan.holes)
            add(Circle{{x(hole.x), y(hole.z)}, std::max(0.35, 0.006 * scale_.per_metre), Ink::hole, Fill::plain},
                {Part::hole, shelf.id, hole.bracket * 100 + hole.row, hole.x, hole.z});
        rectangle(shelf.left, shelf.right(), shelf.underside(), shelf.height, chosen ? Ink::board_selected : Ink::board,
                  Fill::plain, chosen ? 0.5 : 0.3, whole);
        add(Text{{x(shelf.left), y(shelf.height) - 0.5 * text()},
                 shelf.name,
                 1.1 * text(),
                 Align::left,
                 Ink::figure,
                 true},
            whole);
    }

    /// A triangle with an exclamation mark where trouble is; one for warnings, filled for errors.
    void checks(const ShelfPlan& shelf) {
        const double size = 1.5 * text();
        for (std::size_t i = 0; i < shelf.checks.size(); ++i) {
            const Check& check = shelf.checks[i];
            if (check.severity == Severity::note || !check.x || !check.z)
                continue;
            const Point at{x(*check.x) + 0.9 * size, y(*check.z) + 0.5 * size};
            const Ink ink = check.severity == Severity::error ? Ink::alarm : Ink::caution;
            const Reference reference{Part::check, shelf.shelf_id, i, {}, {}};
            add(Triangle{{at.x, at.y}, {at.x + size, at.y}, {at.x + size / 2, at.y - size}, ink}, reference);
            add(Text{{at.x + size / 2, at.y - 0.12 * size}, "!", 0.75 * size, Align::centre, Ink::paper, true},
                reference);
        }
    }

    void collect_lanes() {
        Lane first{say(plan_.survey.studs.empty() ? std::string_view{"Wall"} : "Studs", voice_), {}, false};
        first.ticks.push_back({{}, false, {Part::none, {}, 0, Length{}, {}}});
        first.ticks.push_back({wall_.length, false, {Part::none, {}, 0, wall_.length, {}}});
        for (std::size_t i = 0; i < plan_.survey.studs.size(); ++i)
            first.ticks.push_back({plan_.survey.studs[i].centre,
                                   plan_.survey.studs[i].state == StudState::proved,
                                   {Part::stud, {}, i, plan_.survey.studs[i].centre, {}},
                                   plan_.survey.studs[i].state});
        lanes_.push_back(std::move(first));
        if (frame_.found)
            if (Lane found = found_lane(); !found.ticks.empty())
                lanes_.push_back(std::move(found));
        Lane others{say("Other shelves", voice_), {}, false, false};
        for (std::size_t s = 0; s < wall_.shelves.size() && s < plan_.shelves.size(); ++s) {
            const Shelf& shelf = wall_.shelves[s];
            const bool with_figures = frame_.selected_shelf.empty() || selected(shelf.id);
            Lane own{shelf.name, {}, selected(shelf.id)};
            Lane& lane = with_figures ? own : others;
            lane.ticks.push_back({shelf.left, false, {Part::shelf, shelf.id, 0, shelf.left, {}}});
            const auto& brackets = plan_.shelves[s].brackets;
            for (std::size_t i = 0; i < brackets.size(); ++i)
                lane.ticks.push_back({brackets[i].x, true, {Part::bracket, shelf.id, i, brackets[i].x, {}}});
            lane.ticks.push_back({shelf.right(), false, {Part::shelf, shelf.id, 1, shelf.right(), {}}});
            if (with_figures)
                lanes_.push_back(std::move(own));
        }
        if (!others.ticks.empty())
            lanes_.push_back(std::move(others));
        for (Lane& lane : lanes_)
            std::ranges::sort(lane.ticks, {}, &Tick::at);
    }

    /// Edges of openings and obstacles, middles of accessories on this face.
    Lane found_lane() const {
        Lane lane{say("Found", voice_), {}, false};
        const auto tick = [&](Length at, Part part, std::size_t index) {
            lane.ticks.push_back({at, false, {part, {}, index, at, {}}});
        };
        for (std::size_t i = 0; i < wall_.openings.size(); ++i) {
            tick(wall_.openings[i].left, Part::opening, i);
            tick(wall_.openings[i].left + wall_.openings[i].width, Part::opening, i);
        }
        for (const Obstacle& obstacle : wall_.obstacles) {
            tick(obstacle.left, Part::none, 0);
            tick(obstacle.left + obstacle.width, Part::none, 0);
        }
        for (std::size_t i = 0; i < wall_.services.size(); ++i)
            if (!wall_.services[i].far_side)
                tick(wall_.services[i].centre, Part::service, i);
        return lane;
    }

    double lane_height(const Lane& lane) const { return (lane.figures ? lane.row_count * 1.25 + 0.75 : 1.4) * text(); }

    double width_of(const std::string& figure) const {
        return (static_cast<double>(figure.size()) * figure_width + 0.8) * text();
    }

    void assign_rows() {
        for (Lane& lane : lanes_) {
            lane.rows.clear();
            std::vector<double> taken_to;
            for (const Tick& tick : lane.ticks) {
                const double half = width_of(format_bare(tick.at, voice_.unit)) / 2;
                const double from = x(tick.at) - half;
                auto row = std::ranges::find_if(taken_to, [&](double to) { return to <= from; });
                if (row == taken_to.end())
                    row = taken_to.insert(taken_to.end(), 0.0);
                *row = x(tick.at) + half;
                lane.rows.push_back(static_cast<int>(row - taken_to.begin()));
            }
            lane.row_count = std::max<int>(1, static_cast<int>(taken_to.size()));
        }
    }

    void run_rod() {
        const double left = height_rod_width();
        double top = frame_.height - run_rod_height();
        clear_rectangle(0, top - 0.3 * text(), frame_.width, run_rod_height() + 0.3 * text());
        for (const Lane& lane : lanes_) {
            const double height = lane_height(lane);
            add(Rectangle{{left - 0.5 * text(), top},
                          frame_.width - left,
                          height,
                          Ink::rod,
                          lane.selected ? Fill::plain : Fill::light,
                          0.2,
                          Stroke::solid});
            add(Text{{0.4 * text(), top + 1.35 * text()},
                     lane.title,
                     0.9 * text(),
                     Align::left,
                     Ink::figure,
                     lane.selected});
            for (std::size_t i = 0; i < lane.ticks.size(); ++i) {
                const Tick& tick = lane.ticks[i];
                const double at = x(tick.at);
                if (at < left - 0.5 * text() || at > frame_.width - 0.5 * text())
                    continue;
                const double mark = (0.45 + (lane.figures ? lane.rows[i] * 1.25 : 0.0)) * text();
                add(Line{{at, top}, {at, top + mark}, tick.strong ? Ink::tick : Ink::faint, tick.strong ? 0.5 : 0.25},
                    tick.reference);
                if (tick.stud)
                    add(Rectangle{{at - 0.28 * text(), top - 0.28 * text()},
                                  0.56 * text(),
                                  0.56 * text(),
                                  ink_of(*tick.stud),
                                  tick.stud == StudState::proved ? Fill::plain : Fill::none,
                                  0.3,
                                  tick.stud == StudState::assumed ? Stroke::dotted : Stroke::solid},
                        tick.reference);
                if (lane.figures)
                    add(Text{{at, top + mark + 1.0 * text()},
                             format_bare(tick.at, voice_.unit),
                             text(),
                             Align::centre,
                             tick.strong ? Ink::figure : Ink::faint,
                             tick.strong},
                        tick.reference);
            }
            top += height;
        }
    }

    void height_rod() {
        struct HeightTick {
            Length at;
            bool strong;
            Reference reference;
        };
        std::vector<HeightTick> ticks;
        const auto tick = [&](Length at, bool strong, Reference reference) {
            if (std::ranges::none_of(ticks, [&](const HeightTick& other) { return other.at == at; }))
                ticks.push_back({at, strong, std::move(reference)});
        };
        for (std::size_t s = 0; s < wall_.shelves.size() && s < plan_.shelves.size(); ++s) {
            const Shelf& shelf = wall_.shelves[s];
            tick(shelf.underside(), true, {Part::shelf, shelf.id, 2, {}, shelf.underside()});
            if (!selected(shelf.id) && !frame_.selected_shelf.empty())
                continue;
            tick(shelf.height, false, {Part::shelf, shelf.id, 3, {}, shelf.height});
            if (plan_.shelves[s].bracket)
                for (std::size_t row = 0; row < plan_.shelves[s].bracket->hole_drops.size(); ++row) {
                    const Length z = shelf.underside() - plan_.shelves[s].bracket->hole_drops[row];
                    tick(z, false, {Part::hole, shelf.id, row, {}, z});
                }
        }
        if (frame_.found) {
            const auto both = [&](Length bottom, Length height, Part part, std::size_t index) {
                for (const Length z : {bottom, bottom + height})
                    if (z > Length{})
                        tick(z, false, {part, {}, index, {}, z});
            };
            for (std::size_t i = 0; i < wall_.openings.size(); ++i)
                both(wall_.openings[i].bottom, wall_.openings[i].height, Part::opening, i);
            for (const Obstacle& obstacle : wall_.obstacles)
                both(obstacle.bottom, obstacle.height, Part::none, 0);
            for (std::size_t i = 0; i < wall_.services.size(); ++i)
                if (!wall_.services[i].far_side)
                    both(wall_.services[i].height, {}, Part::service, i);
        }
        std::ranges::sort(ticks, std::greater{}, &HeightTick::at);
        const double right = height_rod_width() - 1.0 * text();
        const double bottom = frame_.height - run_rod_height() - 0.5 * text();
        clear_rectangle(0, 0, right, bottom);
        add(Rectangle{{right - 0.5 * text(), 0.5 * text()},
                      0.5 * text(),
                      bottom - 0.5 * text(),
                      Ink::rod,
                      Fill::light,
                      0.2,
                      Stroke::solid});
        if (two_floors() && !ticks.empty()) {
            add(Text{
                {right - 1.4 * text(), 1.0 * text()}, say("finished", voice_), 0.8 * text(), Align::right, Ink::faint});
            add(Text{{right - (1.8 + longest_figure_) * text(), 1.0 * text()},
                     say("floor now", voice_),
                     0.8 * text(),
                     Align::right,
                     Ink::faint});
        }
        // Figures are pushed down where they would overlap, then up again from the floor where they ran out of rod.
        std::vector<double> places;
        for (const HeightTick& t : ticks)
            places.push_back(std::max(y(t.at), places.empty() ? 2.2 * text() : places.back() + 1.15 * text()));
        for (std::size_t i = places.size(); i-- > 0;)
            places[i] = std::min(places[i], (i + 1 < places.size() ? places[i + 1] : bottom) -
                                                (i + 1 < places.size() ? 1.15 * text() : 0.2 * text()));
        for (std::size_t i = 0; i < ticks.size(); ++i) {
            const double at = y(ticks[i].at);
            if (at < 0 || at > bottom + 0.5 * text())
                continue;
            const Ink ink = ticks[i].strong ? Ink::level : Ink::faint;
            add(Line{{right - 0.5 * text(), at}, {right, at}, ink, ticks[i].strong ? 0.6 : 0.3}, ticks[i].reference);
            add(Line{{right - 1.2 * text(), places[i]}, {right - 0.5 * text(), at}, ink, 0.15});
            add(Text{{right - 1.4 * text(), places[i] + 0.35 * text()},
                     format_bare(ticks[i].at, voice_.unit),
                     text(),
                     Align::right,
                     ticks[i].strong ? Ink::level : Ink::figure,
                     ticks[i].strong},
                ticks[i].reference);
            if (two_floors())
                add(Text{{right - (1.8 + longest_figure_) * text(), places[i] + 0.35 * text()},
                         format_bare(plan_.survey.floor.above_floor_now({}, ticks[i].at), voice_.unit),
                         text(),
                         Align::right,
                         Ink::faint});
        }
    }

    const Wall& wall_;
    const WallPlan& plan_;
    const ElevationFrame& frame_;
    const Voice& voice_;
    Drawing drawing_;
    ElevationScale scale_;
    std::vector<Lane> lanes_;
    double longest_figure_ = 0; ///< in type sizes
};

} // namespace

Elevation draw_elevation(const Wall& wall, const WallPlan& plan, const ElevationFrame& frame, const Voice& voice) {
    return ElevationDrawer{wall, plan, frame, voice}.draw();
}

Drawing draw_alternative(const std::vector<Stud>& studs, const Shelf& shelf, const std::optional<Bracket>& bracket,
                         const Alternative& alternative, double width, double height) {
    Drawing drawing{width, height, {}};
    const double margin = 2;
    const double length = shelf.length.in_metres();
    const double per_metre = (width - 2 * margin) / length;
    const auto x = [&](Length from_shelf_end) { return margin + from_shelf_end.in_metres() * per_metre; };
    const double top = height * 0.38;
    for (const Stud& stud : studs) {
        const Length at = stud.centre - shelf.left;
        if (at < Length{} || at > shelf.length)
            continue;
        const bool proved = stud.state == StudState::proved;
        drawing.shapes.push_back({Line{{x(at), 1},
                                       {x(at), height - 1},
                                       ink_of(stud.state),
                                       proved ? 1.0 : 0.5,
                                       proved                               ? Stroke::solid
                                       : stud.state == StudState::indicated ? Stroke::dashed
                                                                            : Stroke::dotted}});
    }
    const double leg = height * 0.42;
    const double half = std::max(0.8, bracket ? bracket->width.in_metres() * per_metre / 2 : 0.8);
    for (const Length place : alternative.layout.places)
        drawing.shapes.push_back({Rectangle{{x(place) - half, top}, 2 * half, leg, Ink::bracket, Fill::plain, 0.2}});
    drawing.shapes.push_back({Rectangle{{margin, top - 1.6}, width - 2 * margin, 1.6, Ink::board, Fill::plain, 0.25}});
    return drawing;
}

} // namespace yes_square
