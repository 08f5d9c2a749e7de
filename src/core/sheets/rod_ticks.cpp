#include "core/sheets/rods.hpp"

#include "core/measure/overloaded.hpp"

#include <algorithm>
#include <functional>

/// What drops its ticks on the rods.
namespace yes_square {
namespace {

using Part = Reference::Part;

} // namespace

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

} // namespace yes_square
