#include "core/sheets/rods.hpp"

#include "core/measure/overloaded.hpp"
#include "core/sheets/lettering.hpp"

#include <algorithm>
#include <cmath>
#include <functional>
#include <numeric>

namespace yes_square {
namespace {

using Part = Reference::Part;

constexpr double between = 0.5;             ///< two figures side by side, type sizes
constexpr double stub = 0.35;               ///< of a tick, over the thin line to a figure that stands beside it
constexpr double reach = 0.8;               ///< of that line
constexpr double widest_mixed_figure = 5.6; ///< 100 15/16, type sizes

/// A rod lies on the wall: what is under it does not show through.
void clear(Drawing& drawing, double left, double top, double width, double height) {
    drawing.shapes.push_back({Rectangle{{left, top}, width, height, Ink::paper, Fill::plain, 0, Stroke::solid}});
}

} // namespace

Ink ink_of(StudState state) {
    return state == StudState::proved      ? Ink::stud_proved
           : state == StudState::indicated ? Ink::stud_indicated
                                           : Ink::stud_assumed;
}

Rods::Rods(const Wall& wall, const WallPlan& plan, const ElevationFrame& frame, const Voice& voice)
    : wall_{wall}
    , plan_{plan}
    , frame_{frame}
    , voice_{voice} {
    for (const Length length : {wall_.length, wall_.height})
        longest_figure_ = std::max(longest_figure_, text_width(format_bare(length, voice_.unit), 1, true) + 1);
    if (is_imperial(voice_.unit))
        longest_figure_ = std::max(longest_figure_, widest_mixed_figure);
    if (frame_.rods)
        collect_lanes();
}

double Rods::run_rod_height() const {
    if (!frame_.rods)
        return text();
    return std::accumulate(lanes_.begin(), lanes_.end(), 0.6 * text(),
                           [this](double sum, const Lane& lane) { return sum + lane_height(lane); });
}

double Rods::height_rod_width() const {
    return frame_.rods ? (std::max(7.0, longest_figure_ + 2.4) + (two_floors() ? longest_figure_ : 0)) * text()
                       : text();
}

/// The floor there is now is not the finished floor: heights are told from both.
bool Rods::two_floors() const {
    return plan_.survey.floor.measured() || plan_.survey.floor.build_up > Length{};
}

void Rods::collect_lanes() {
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
        const bool with_figures =
            (frame_.selected_shelf.empty() && frame_.selected_thing.empty()) || selected(shelf.id);
        Lane own{shelf.name, {}, selected(shelf.id)};
        Lane& lane = with_figures ? own : others;
        lane.ticks.push_back({shelf.left, false, {Part::shelf, shelf.id, 0, shelf.left, {}}});
        const auto& brackets = plan_.shelves[s].brackets;
        for (std::size_t i = 0; i < brackets.size(); ++i)
            if (std::ranges::none_of(brackets.begin(), brackets.begin() + static_cast<std::ptrdiff_t>(i),
                                     [&](const BracketPlan& before) { return before.x == brackets[i].x; }))
                lane.ticks.push_back({brackets[i].x, true, {Part::bracket, shelf.id, i, brackets[i].x, {}}});
        lane.ticks.push_back({shelf.right(), false, {Part::shelf, shelf.id, 1, shelf.right(), {}}});
        if (with_figures)
            lanes_.push_back(std::move(own));
    }
    if (!others.ticks.empty())
        lanes_.push_back(std::move(others));
    collect_run_lanes();
    collect_thing_lanes();
    for (Lane& lane : lanes_)
        std::ranges::sort(lane.ticks, {}, &Tick::at);
}

/// A run's unit edges, and over them, as a band, where its left end may be for every unit to have its studs.
void Rods::collect_run_lanes() {
    for (std::size_t r = 0; r < wall_.runs.size() && r < plan_.runs.size(); ++r) {
        const Run& run = wall_.runs[r];
        const RunPlan& plan = plan_.runs[r];
        if (!frame_.selected_run.empty() ? run.id != frame_.selected_run
                                         : !frame_.selected_shelf.empty() || !frame_.selected_thing.empty())
            continue;
        Lane lane{run.name, {}, run.id == frame_.selected_run};
        for (std::size_t i = 0; i < plan.units.size(); ++i)
            lane.ticks.push_back(
                {plan.units[i].place.left, true, {Part::unit, run.units[i].id, i, plan.units[i].place.left, {}}});
        if (!plan.units.empty())
            lane.ticks.push_back({plan.layout.right(),
                                  true,
                                  {Part::unit, run.units.back().id, run.units.size() - 1, plan.layout.right(), {}}});
        if (plan.slide.needed && lane.selected)
            for (const SlideChain& chain : plan.slide.chains)
                for (const SlideBand& band : chain.bands)
                    if (band.lost.empty())
                        lane.bands.push_back({band.from, band.to});
        lanes_.push_back(std::move(lane));
    }
}

bool Rods::thing_shown(const std::string& id) const {
    return frame_.selected_thing.empty() ? frame_.selected_shelf.empty() && frame_.selected_run.empty()
                                         : id == frame_.selected_thing;
}

/// Faces of panels and sides, and where the fixings go; of a wardrobe, as a band, where its left end may be for every
/// bay to have its studs.
void Rods::collect_thing_lanes() {
    const auto lane_of = [&](const std::string& id, const std::string& name, const std::vector<Length>& faces,
                             const std::vector<Length>& fixings) -> Lane& {
        Lane lane{name, {}, id == frame_.selected_thing};
        std::vector<Length> told;
        const auto tick = [&](Length at, bool strong) {
            if (std::ranges::find(told, at) == told.end())
                lane.ticks.push_back({at, strong, {Part::thing, id, 0, at, {}}});
            told.push_back(at);
        };
        for (const Length at : fixings)
            tick(at, true);
        for (const Length at : faces)
            tick(at, false);
        return lanes_.emplace_back(std::move(lane));
    };
    const auto xs_of = [](const std::vector<PlannedHole>& holes) {
        std::vector<Length> xs;
        for (const PlannedHole& hole : holes)
            xs.push_back(hole.x);
        return xs;
    };
    const auto add =
        overloaded{[&](const StorageSystem& system, const SystemPlan& plan) {
                       std::vector<Length> faces;
                       for (const PanelPlan& panel : plan.panels)
                           faces.push_back(panel.left);
                       faces.push_back(system.right());
                       Lane& lane = lane_of(system.id, system.name, {}, faces);
                       if (lane.selected)
                           for (const SlideChain& chain : plan.slide.chains)
                               for (const SlideBand& band : chain.bands)
                                   if (band.lost.empty())
                                       lane.bands.push_back({band.from - system.panel / 2, band.to - system.panel / 2});
                   },
                   [&](const auto&, const ThingPlan& plan) {
                       std::vector<Length> sides;
                       for (const WallThing& room : plan.room)
                           sides.insert(sides.end(), {room.box.left, room.box.right});
                       lane_of(plan.id, plan.name, sides, xs_of(plan.holes));
                   }};
    for_each_kind(Things{}, [&]<class Kind>() {
        if constexpr (by_itself<Kind>)
            each_of<Kind>(wall_, plan_, [&](const Kind& thing, const auto& plan) {
                if (thing_shown(thing.id))
                    add(thing, plan);
            });
    });
}

/// Edges of openings and obstacles, middles of accessories on this face.
Rods::Lane Rods::found_lane() const {
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

double Rods::lane_height(const Lane& lane) const {
    return (lane.figures ? 2.0 + (lane.aside ? reach : 0.0) : 1.4) * text() + (lane.bands.empty() ? 0 : 1.1 * text());
}

double Rods::room_of(const Tick& tick) const {
    return text_width(format_bare(tick.at, voice_.unit), text(), tick.strong) + between * text();
}

/// The ticks whose figures are shown: all that are in sight, else the strong ones, else every second of those.
std::vector<std::size_t> Rods::shown_figures(const Lane& lane, const ElevationScale& scale, double from,
                                             double to) const {
    std::vector<std::size_t> shown;
    for (std::size_t i = 0; i < lane.ticks.size(); ++i)
        if (const double at = scale.x(lane.ticks[i].at); at >= from && at <= to)
            shown.push_back(i);
    const auto too_many = [&] {
        return std::accumulate(shown.begin(), shown.end(), 0.0,
                               [&](double sum, std::size_t i) { return sum + room_of(lane.ticks[i]); }) > to - from;
    };
    if (too_many())
        std::erase_if(shown, [&](std::size_t i) { return !lane.ticks[i].strong; });
    while (shown.size() > 1 && too_many()) {
        std::size_t number = 0;
        std::erase_if(shown, [&](std::size_t) { return number++ % 2 == 1; });
    }
    if (too_many()) // not even for one
        shown.clear();
    return shown;
}

/// Figures stand in one row under their ticks. Where they would overlap they step aside and a thin line leads to each;
/// where even that has no room, the lesser ones are left to a nearer view.
void Rods::settle(const ElevationScale& scale) {
    const double from = height_rod_width() - 0.4 * text();
    const double to = frame_.width - 0.3 * text();
    for (Lane& lane : lanes_) {
        lane.places.assign(lane.ticks.size(), std::nullopt);
        lane.aside = false;
        if (!lane.figures)
            continue;
        const std::vector<std::size_t> shown = shown_figures(lane, scale, from, to);
        // Pushed right where they overlap, then left again from the end.
        std::vector<double> middles;
        double last = from;
        for (const std::size_t i : shown) {
            const double half = room_of(lane.ticks[i]) / 2;
            middles.push_back(std::max(scale.x(lane.ticks[i].at), last + half));
            last = middles.back() + half;
        }
        double next = to;
        for (std::size_t k = shown.size(); k-- > 0;) {
            const double half = room_of(lane.ticks[shown[k]]) / 2;
            middles[k] = std::min(middles[k], next - half);
            next = middles[k] - half;
            lane.places[shown[k]] = middles[k];
            lane.aside |= std::abs(middles[k] - scale.x(lane.ticks[shown[k]].at)) > 0.05 * text();
        }
    }
}

void Rods::draw_tick(const Lane& lane, std::size_t i, double at, double top, Drawing& drawing) const {
    const Tick& tick = lane.ticks[i];
    const auto add = [&](auto form) { drawing.shapes.push_back({std::move(form), tick.reference}); };
    const double mark = stub * text();
    add(Line{{at, top}, {at, top + mark}, tick.strong ? Ink::tick : Ink::faint, tick.strong ? 0.5 : 0.25});
    if (tick.stud)
        add(Rectangle{{at - 0.28 * text(), top - 0.28 * text()},
                      0.56 * text(),
                      0.56 * text(),
                      ink_of(*tick.stud),
                      tick.stud == StudState::proved ? Fill::plain : Fill::none,
                      0.3,
                      tick.stud == StudState::assumed ? Stroke::dotted : Stroke::solid});
    if (!lane.places[i])
        return;
    const double foot = top + mark + (lane.aside ? reach : 0.1) * text();
    if (lane.aside)
        add(Line{{at, top + mark}, {*lane.places[i], foot}, tick.strong ? Ink::tick : Ink::faint, 0.15});
    add(Text{{*lane.places[i], foot + 0.95 * text()},
             format_bare(tick.at, voice_.unit),
             text(),
             Align::centre,
             tick.strong ? Ink::figure : Ink::faint,
             tick.strong});
}

void Rods::draw_bands(const Lane& lane, const ElevationScale& scale, double foot, Drawing& drawing) const {
    if (lane.bands.empty())
        return;
    for (const Stretch& band : lane.bands)
        drawing.shapes.push_back({Rectangle{{scale.x(band.left), foot - 0.9 * text()},
                                            std::max(0.6, scale.x(band.right) - scale.x(band.left)),
                                            0.6 * text(),
                                            Ink::stud_proved,
                                            Fill::plain,
                                            0.2,
                                            Stroke::solid}});
    drawing.shapes.push_back({Text{
        {0.4 * text(), foot - 0.35 * text()}, say("left end may be", voice_), 0.8 * text(), Align::left, Ink::faint}});
}

void Rods::draw_run_rod(const ElevationScale& scale, Drawing& drawing) const {
    const double left = height_rod_width();
    double top = frame_.height - run_rod_height();
    clear(drawing, 0, top - 0.3 * text(), frame_.width, run_rod_height() + 0.3 * text());
    for (const Lane& lane : lanes_) {
        const double height = lane_height(lane);
        drawing.shapes.push_back({Rectangle{{left - 0.5 * text(), top},
                                            frame_.width - left,
                                            height,
                                            Ink::rod,
                                            lane.selected ? Fill::plain : Fill::light,
                                            0.2,
                                            Stroke::solid}});
        draw_title(lane, top, left - 1.3 * text(), drawing);
        draw_bands(lane, scale, top + height, drawing);
        for (std::size_t i = 0; i < lane.ticks.size(); ++i)
            if (const double at = scale.x(lane.ticks[i].at);
                at >= left - 0.5 * text() && at <= frame_.width - 0.5 * text())
                draw_tick(lane, i, at, top, drawing);
        top += height;
    }
}

/// In one line, or in two smaller ones; what has no room even so keeps the words that have.
void Rods::draw_title(const Lane& lane, double top, double room, Drawing& drawing) const {
    const auto line = [&](double down, const std::string& words, double size) {
        drawing.shapes.push_back(
            {Text{{0.4 * text(), top + down * text()}, words, size * text(), Align::left, Ink::figure, lane.selected}});
    };
    constexpr double small = 0.78;
    const auto fits = [&](const std::string& words, double size) {
        return text_width(words, size * text(), lane.selected) <= room;
    };
    if (fits(lane.title, 0.9) || !lane.figures)
        return line(lane.figures ? 1.35 : 1.05, lane.title, fits(lane.title, 0.9) ? 0.9 : small);
    std::string first = lane.title;
    while (!fits(first, small) && first.find(' ') != std::string::npos)
        first.erase(first.rfind(' '));
    std::string second = lane.title.substr(std::min(lane.title.size(), first.size() + 1));
    while (!fits(second, small) && second.find(' ') != std::string::npos)
        second.erase(second.rfind(' '));
    line(0.85, first, small);
    line(1.75, second, small);
}

/// Whether a unit of this wall hangs on a line or stands on it.
bool Rods::hangs_here(const std::string& line) const {
    return std::ranges::any_of(wall_.runs, [&](const Run& run) {
        return std::ranges::any_of(run.units,
                                   [&](const CabinetUnit& unit) { return stands_on(unit, run.level).line == line; });
    });
}

void Rods::thing_heights(const auto& tick) const {
    const auto at = [&](const std::string& id, Length z, bool strong) {
        tick(z, strong, Reference{Part::thing, id, 0, {}, z});
    };
    const auto add = overloaded{[&](const StorageSystem& system, const SystemPlan& plan) {
                                    at(system.id, plan.head, false);
                                    for (const BayPlan& bay : plan.bays) {
                                        for (const BayCleat& cleat : bay.cleats)
                                            at(system.id, cleat.z, true);
                                        for (const BayRod& rod : bay.rods)
                                            at(system.id, rod.z, false);
                                    }
                                },
                                [&](const auto&, const ThingPlan& plan) {
                                    for (const WallThing& room : plan.room) {
                                        if (room.box.bottom > Length{})
                                            at(plan.id, room.box.bottom, false);
                                        const bool struck =
                                            std::ranges::any_of(plan.lines, [&](const PlannedLine& line) {
                                                return !line.plumb && line.z == room.box.top;
                                            });
                                        at(plan.id, room.box.top, struck);
                                    }
                                    for (const PlannedHole& hole : plan.holes)
                                        at(plan.id, hole.z, true);
                                }};
    for_each_kind(Things{}, [&]<class Kind>() {
        if constexpr (by_itself<Kind>)
            each_of<Kind>(wall_, plan_, [&](const Kind& thing, const auto& plan) {
                if (thing.id == frame_.selected_thing)
                    add(thing, plan);
            });
    });
}

std::vector<Rods::HeightTick> Rods::height_ticks() const {
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
        // Of what stands at places the holes of one tell the heights of all.
        for (const PlannedHole& hole : plan_.shelves[s].holes)
            if (!plan_.shelves[s].bracket || hole.place == plan_.shelves[s].holes.front().place)
                tick(hole.z, false, {Part::hole, shelf.id, hole.place * 100 + hole.row, {}, hole.z});
    }
    for (const RunPlan& run : plan_.runs)
        if (run.id == frame_.selected_run && !frame_.line_names)
            for (const UnitPlan& unit : run.units) {
                if (unit.loaded_mass > 0 && unit.bottom > Length{})
                    tick(unit.bottom, true, {Part::unit, unit.unit_id, 0, {}, unit.bottom});
                for (const PlannedHole& hole : unit.holes)
                    tick(hole.z, false, {Part::unit_hole, unit.unit_id, 0, {}, hole.z});
            }
    thing_heights(tick);
    for (const LinePlan& line : frame_.lines)
        if (line.z > Length{} && (frame_.line_names || hangs_here(line.id)))
            tick(line.z, true, {Part::line, line.id, 0, {}, line.z});
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
    return ticks;
}

void Rods::draw_height_rod(const ElevationScale& scale, Drawing& drawing) const {
    const auto add = [&](auto form, Reference reference = {}) {
        drawing.shapes.push_back({std::move(form), std::move(reference)});
    };
    std::vector<HeightTick> ticks = height_ticks();
    const double right = height_rod_width() - 1.0 * text();
    const double bottom = frame_.height - run_rod_height() - 0.5 * text();
    clear(drawing, 0, 0, right, bottom);
    // Where not all figures find room, those of holes are left to a nearer view.
    const auto room = static_cast<std::size_t>(std::max(1.0, (bottom - 2.4 * text()) / (1.15 * text())));
    if (ticks.size() > room)
        std::erase_if(ticks, [](const HeightTick& tick) { return !tick.strong; });
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
        places.push_back(std::max(scale.y(t.at), places.empty() ? 2.2 * text() : places.back() + 1.15 * text()));
    for (std::size_t i = places.size(); i-- > 0;)
        places[i] = std::min(places[i], (i + 1 < places.size() ? places[i + 1] : bottom) -
                                            (i + 1 < places.size() ? 1.15 * text() : 0.2 * text()));
    for (std::size_t i = 0; i < ticks.size(); ++i) {
        const double at = scale.y(ticks[i].at);
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

void Rods::draw(const ElevationScale& scale, Drawing& drawing) const {
    if (!frame_.rods)
        return;
    draw_run_rod(scale, drawing);
    draw_height_rod(scale, drawing);
}

} // namespace yes_square
