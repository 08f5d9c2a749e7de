#include "core/reckon/reckon.hpp"

#include "core/battens/reckon_batten.hpp"
#include "core/boxes/audit_cabinet.hpp"
#include "core/boxes/reckon_box.hpp"
#include "core/feeds/reckon_feed.hpp"
#include "core/fitting/judge_reading.hpp"
#include "core/fitting/wall_marks.hpp"
#include "core/lines/room_lines.hpp"
#include "core/reckon/aisles.hpp"
#include "core/reckon/chosen.hpp"
#include "core/reckon/clashes.hpp"
#include "core/reckon/crowding.hpp"
#include "core/reckon/reckon_survey.hpp"
#include "core/runs/reckon_run.hpp"
#include "core/shelves/noggings.hpp"
#include "core/shelves/reckon_shelf.hpp"
#include "core/site/guarded.hpp"
#include "core/site/strip_checks.hpp"
#include "core/stability/reckon_piece.hpp"
#include "core/storage/reckon_system.hpp"

#include <algorithm>
#include <atomic>
#include <cassert>
#include <functional>
#include <future>
#include <thread>
#include <utility>

namespace yes_square {
namespace {

/// Once their surroundings are known walls do not depend on one another, so a job of many is shared among the
/// processors.
void each_in_parallel(const std::vector<std::size_t>& indices, const std::function<void(std::size_t)>& work) {
    std::atomic<std::size_t> next = 0;
    const auto take = [&] {
        for (std::size_t i = next++; i < indices.size(); i = next++)
            work(indices[i]);
    };
    std::vector<std::future<void>> helpers;
    const std::size_t hands = std::max(1U, std::thread::hardware_concurrency());
    for (std::size_t i = 1; i < std::min(hands, indices.size() / 4); ++i)
        helpers.push_back(std::async(std::launch::async, take));
    take();
    for (std::future<void>& helper : helpers)
        helper.get();
}

/// What a wall's last plan may still serve for.
struct Earlier {
    const Wall* wall = nullptr;
    std::shared_ptr<const WallPlan> plan;
    std::shared_ptr<const LookedAt> looked_at;
    bool whole = false;                ///< nothing changed
    bool survey = false;               ///< nothing but what hangs on the wall changed
    bool ground = false;               ///< nor the holes that are in it, nor what stands in its corners
    std::vector<Outline> changed = {}; ///< with ground: boards of shelves that are no more what they were, old and new

    /// Which of the wall's shelves it was, if all that it was reckoned from is as it was.
    std::optional<std::size_t> kept(const Shelf& shelf) const {
        if (!ground)
            return std::nullopt;
        const auto before = std::ranges::find(wall->shelves, shelf.id, &Shelf::id);
        if (before == wall->shelves.end() || *before != shelf)
            return std::nullopt;
        const auto index = static_cast<std::size_t>(before - wall->shelves.begin());
        const bool seen = std::ranges::any_of((*looked_at)[index], [&](const Outline& zone) {
            return std::ranges::any_of(changed, [&](const Outline& board) { return board.touches(zone); });
        });
        return seen ? std::nullopt : std::optional{index};
    }
};

/// The boards of the shelves that one wall has and the other has not, or not so.
void add_changed(const Wall& wall, const Wall& other, std::vector<Outline>& changed) {
    for (const Shelf& shelf : wall.shelves)
        if (std::ranges::find(other.shelves, shelf) == other.shelves.end())
            std::ranges::copy(board_boxes(shelf), std::back_inserter(changed));
}

/// Whether the shelves that both have come in the same order, which is that of what is said of them.
bool same_order(const Wall& wall, const Wall& other) {
    const auto shared = [](const Wall& of, const Wall& with) {
        std::vector<std::string_view> ids;
        for (const Shelf& shelf : of.shelves)
            if (std::ranges::find(with.shelves, shelf.id, &Shelf::id) != with.shelves.end())
                ids.push_back(shelf.id);
        return ids;
    };
    return shared(wall, other) == shared(other, wall);
}

/// A thing's plan with nothing known of it but its name.
template <class Part>
auto named(const Part& part) {
    std::remove_cvref_t<decltype((std::declval<WallPlan&>().*plans_of<Part>).front())> plan;
    plan.id = part.id;
    plan.name = name_of(part);
    return plan;
}
PiecePlan named(const Piece& piece) {
    PiecePlan plan = named<Piece>(piece);
    plan.cases.emplace_back();
    return plan;
}
/// Where it stands.
template <class Part>
void take_room(const Part& part, ThingPlan& plan) {
    plan.room = room_of(part);
}
/// Of its bays: those beside one another that begin and end alike together.
void take_room(const StorageSystem& system, SystemPlan& plan) {
    if (plan.bays.empty()) {
        plan.room = room_of(system);
        return;
    }
    for (const BayPlan& bay : plan.bays) {
        const Length right = bay.number == plan.bays.size() ? std::max(bay.right() + system.panel, system.right())
                                                            : bay.right() + system.panel;
        if (bay.number > 1 && plan.bays[bay.number - 2].sides == bay.sides)
            plan.room.back().box.right = right;
        else
            plan.room.push_back({system.id,
                                 system.name,
                                 {bay.left - system.panel, right, bay.sides.foot, bay.sides.head},
                                 system.depth});
    }
}
/// Of its units, but for room that is left for an appliance.
void take_room(const Run& run, RunPlan& plan) {
    for (std::size_t u = 0; u < plan.units.size() && u < run.units.size(); ++u) {
        const UnitPlan& unit = plan.units[u];
        if (run.units[u].kind != UnitKind::appliance_gap)
            plan.room.push_back({unit.unit_id,
                                 unit.name,
                                 {unit.place.left, unit.place.right(), unit.bottom, unit.top},
                                 run.units[u].depth});
    }
}
/// As many units as the run has, nothing known of them but their names.
RunPlan named(const Run& run, const RunLayout& layout) {
    RunPlan plan = named(run);
    plan.level = run.level;
    plan.layout = layout;
    for (std::size_t i = 0; i < run.units.size(); ++i) {
        UnitPlan& unit = plan.units.emplace_back();
        unit.unit_id = run.units[i].id;
        unit.name = run.units[i].name;
        if (i < layout.units.size())
            unit.place = layout.units[i];
    }
    return plan;
}

/// What the things of a wall are reckoned with.
struct With {
    const WallSite& site;
    const RunSite& runs;
    const WallPlan& plan; ///< of the kinds before
};

// How each kind is reckoned; those listed say it themselves.
ShelfPlan reckon_kind(const Shelf& shelf, const With& on) {
    return reckon_shelf(shelf, on.site);
}
RunPlan reckon_kind(const Run& run, const With& on) {
    return reckon_run(static_cast<std::size_t>(&run - on.site.wall.runs.data()), on.runs);
}
SystemPlan reckon_kind(const StorageSystem& system, const With& on) {
    return reckon_system(system, on.site);
}
PiecePlan reckon_kind(const Piece& piece, const With& on) {
    return reckon_piece(piece, on.site);
}
BoxPlan reckon_kind(const WallBox& box, const With& on) {
    return reckon_box(box, on.site);
}
HungPlan reckon_kind(const HungCabinet& hung, const With& on) {
    return audit_cabinet(hung, on.site);
}
FeedPlan reckon_kind(const LightFeed& feed, const With& on) {
    return reckon_feed(feed, on.site, on.plan);
}
template <class Kind>
auto reckon_kind(const Kind& thing, const With& on) {
    return reckon_thing(thing, on.site);
}

/// A thing on its wall, fixed with what the fitter chose; nullptr: with what the program takes.
auto reckon_fixed(const auto& part, const FixingChoices* chosen, const With& on) {
    const WallSite site = on.site.with(chosen);
    return reckon_kind(part,
                       {site, {site, on.runs.lines, on.runs.layouts, on.runs.left_lean, on.runs.right_lean}, on.plan});
}

/// Whether a kind says itself that its holes lie in strips: a shelf, whose drafts must know, and a run, unit by unit.
template <class Kind>
constexpr bool finds_strips = std::is_same_v<Kind, Shelf> || std::is_same_v<Kind, Run>;

/// Everything on a wall, kind after kind, whatever happens to one of it.
void reckon_things(const WallSite& wall_site, const RunSite& runs, const Earlier& earlier, WallPlan& plan,
                   LookedAt& looked_at) {
    WallSite site = wall_site;
    const Wall& wall = site.wall;
    for_each_kind(Things{}, [&]<class Kind>() {
        auto& plans = plan.*plans_of<Kind>;
        const auto& parts = wall.*parts_of<Kind>;
        plans.reserve(parts.size());
        for (const Kind& part : parts) {
            if constexpr (std::is_same_v<Kind, Shelf>) {
                if (const auto kept = earlier.kept(part)) {
                    plans.push_back(earlier.plan->shelves[*kept]);
                    looked_at.push_back((*earlier.looked_at)[*kept]);
                    continue;
                }
                site.looked_at = &looked_at.emplace_back();
            }
            const WallSite own = site.with(tape_of(wall, part));
            const With ground{own, runs, plan};
            auto unknown = named(part);
            if constexpr (std::is_same_v<Kind, Run>)
                unknown = named(part, runs.layouts[plans.size()]);
            take_room(part, unknown);
            plans.push_back(guarded(std::move(unknown), name_of(part), [&](auto& reckoned) {
                const FixingChoices* chosen = chosen_for(part);
                reckoned = reckon_fixed(part, chosen, ground);
                take_room(part, reckoned);
                if (chosen)
                    say_chosen(reckoned, *chosen, site.catalogue, [&](const FixingChoices& other) {
                        return fixing_fails(reckon_fixed(part, &other, ground));
                    });
            }));
            ThingPlan& thing = plans.back();
            thing.tape = own.tape;
            const std::vector<Check> off_wall = holes_without_wall(thing);
            thing.checks.insert(thing.checks.begin(), off_wall.begin(), off_wall.end());
            std::ranges::move(crowded_anchors(thing, wall), std::back_inserter(thing.checks));
            if constexpr (!finds_strips<Kind>)
                std::ranges::move(strip_checks({}, thing.holes, own), std::back_inserter(thing.checks));
            say_detect_first(thing, own);
            say_pilot_first(thing, own);
        }
        site.looked_at = nullptr;
    });
}

/// What is in the way of what stands or hangs by itself. Shelves and runs find that themselves; what hangs already
/// hangs where it is.
void find_clashes(const WallSite& site, WallPlan& plan) {
    bool any = false;
    for_each_kind(Things{}, [&]<class Kind>() { any |= by_itself<Kind> && !(plan.*plans_of<Kind>).empty(); });
    if (!any)
        return;
    const std::vector<WallThing> things = things_on(plan);
    for_each_kind(Things{}, [&]<class Kind>() {
        if constexpr (by_itself<Kind> && !std::is_same_v<Kind, HungCabinet>)
            for (auto& thing : plan.*plans_of<Kind>)
                for (const WallThing& room : thing.room) {
                    const std::vector<Check> clashes = clashes_of(room, things, site.with(thing.tape));
                    thing.checks.insert(thing.checks.begin(), clashes.begin(), clashes.end());
                }
    });
}

std::shared_ptr<const WallPlan> reckon_wall(const Job& job, const Wall& wall, const WallSurroundings& around,
                                            const Earlier& earlier, LookedAt& looked_at) {
    auto plan = std::make_shared<WallPlan>();
    plan->wall_id = wall.id;
    plan->wall_name = wall.name;
    plan->tape = wall.tape();
    plan->survey = earlier.survey ? earlier.plan->survey : guarded(WallSurvey{}, wall.name, [&](WallSurvey& survey) {
        survey = reckon_survey(wall, around, job.rules);
    });
    plan->survey.corner_things = around.corner_things;
    plan->survey.behind = around.behind;
    const WallSite site{job.rules, job.catalogue, wall, around.service_class, plan->survey};
    const RunSite runs{site, around.lines, around.runs, around.left_lean, around.right_lean};
    reckon_things(site, runs, earlier, *plan, looked_at);
    find_clashes(site, *plan);
    say_crowding(wall, job.rules.fitting, *plan);
    plan->noggings = noggings_of(wall, plan->survey, plan->shelves, job.rules);
    check_noggings(plan->noggings, wall, job.rules, plan->shelves);
    // What follows from all of it together.
    struct Rest {
        std::vector<ReadingPlan> readings;
        std::vector<Check> checks;
    };
    Rest rest = guarded(Rest{}, wall.name, [&](Rest& filled) {
        for (const WorkReading& reading : wall.work_readings)
            filled.readings.push_back(judge_reading(reading, site, *plan));
        filled.checks = left_over_holes(wall, *plan, site.rules.fitting);
    });
    for (std::size_t i = rest.readings.size(); i < wall.work_readings.size(); ++i) {
        ReadingPlan& unread = rest.readings.emplace_back();
        unread.reading_id = wall.work_readings[i].id;
        unread.verdict = Verdict::unsure;
    }
    plan->readings = std::move(rest.readings);
    plan->checks = std::move(rest.checks);
    for_each_kind(Things{},
                  [&]<class Kind>() { assert(((*plan).*plans_of<Kind>).size() == (wall.*parts_of<Kind>).size()); });
    return plan;
}

/// Calls `look(part, site, plan)` for a part of a plan.
template <class Part>
auto look_at(const Job& job, const Plan& plan, const std::string& id, auto&& look)
    -> std::optional<decltype(look(std::declval<const Part&>(), std::declval<const WallSite&>(),
                                   (std::declval<const WallPlan&>().*plans_of<Part>).front()))> {
    for (std::size_t w = 0; w < job.walls.size() && w < plan.walls.size(); ++w) {
        const Wall& wall = job.walls[w];
        const Room* room = room_of(job, wall);
        const std::vector<Part>& parts = wall.*parts_of<Part>;
        for (std::size_t i = 0; i < parts.size(); ++i)
            if (const WallSite site{job.rules, job.catalogue, wall, room ? room->service_class : ServiceClass::dry,
                                    plan.walls[w]->survey, chosen_for(parts[i]), nullptr, tape_of(wall, parts[i])};
                parts[i].id == id)
                return look(parts[i], site, ((*plan.walls[w]).*plans_of<Part>)[i]);
    }
    return std::nullopt;
}

} // namespace

std::optional<ShelfStudy> study(const Job& job, const Plan& plan, const std::string& shelf) {
    return look_at<Shelf>(job, plan, shelf, study_shelf);
}

std::optional<Capacity> capacity(const Job& job, const Plan& plan, const std::string& shelf) {
    return look_at<Shelf>(job, plan, shelf, capacity_of);
}

std::vector<SystemPlan> width_choices(const Job& job, const Plan& plan, const std::string& system) {
    const auto tried = look_at<StorageSystem>(
        job, plan, system, [](const StorageSystem& chosen, const WallSite& site, const SystemPlan&) {
            std::vector<SystemPlan> plans;
            for (const BayWidths widths : {BayWidths::equal, BayWidths::fixed, BayWidths::by_garments}) {
                StorageSystem other = chosen;
                other.widths = widths;
                plans.push_back(reckon_system(other, site));
            }
            return plans;
        });
    return tried.value_or(std::vector<SystemPlan>{});
}

Plan reckon(const Job& job) {
    return Reckoner{}.reckon(job);
}

const Plan& Reckoner::reckon(const Job& job) {
    const bool same_rules = job.rules == last_.rules && job.catalogue == last_.catalogue;
    std::vector<RoomLines> lines;
    for (const Room& room : job.rooms)
        lines.push_back(guarded(RoomLines{}, room.name, [&](RoomLines& solved) { solved = reckon_lines(job, room); }));
    std::vector<WallSurroundings> around = surroundings_of(job, lines);
    Plan plan;
    plan.walls.resize(job.walls.size());
    std::vector<Earlier> earlier(job.walls.size());
    std::vector<std::shared_ptr<const LookedAt>> looked_at(job.walls.size());
    std::vector<std::size_t> changed;
    for (std::size_t i = 0; i < job.walls.size(); ++i) {
        const Wall& wall = job.walls[i];
        const auto before = std::ranges::find(last_.walls, wall.id, &Wall::id);
        if (before != last_.walls.end()) {
            const auto index = static_cast<std::size_t>(before - last_.walls.begin());
            const WallSurroundings& around_before = last_around_[index];
            earlier[i].wall = &*before;
            earlier[i].plan = plan_.walls[index];
            earlier[i].looked_at = looked_at_[index];
            earlier[i].whole = same_rules && around[i] == around_before && *before == wall;
            earlier[i].survey =
                same_rules && !earlier[i].whole && around[i].same_ground(around_before) && same_survey(*before, wall);
            earlier[i].ground = earlier[i].survey && before->made == wall.made && same_order(*before, wall) &&
                                around[i].corner_things == around_before.corner_things &&
                                around[i].behind == around_before.behind;
            if (earlier[i].ground) {
                add_changed(*before, wall, earlier[i].changed);
                add_changed(wall, *before, earlier[i].changed);
            }
        }
        if (earlier[i].whole) {
            plan.walls[i] = earlier[i].plan;
            looked_at[i] = earlier[i].looked_at;
        } else {
            changed.push_back(i);
        }
    }
    each_in_parallel(changed, [&](std::size_t i) {
        auto seen = std::make_shared<LookedAt>();
        plan.walls[i] = reckon_wall(job, job.walls[i], around[i], earlier[i], *seen);
        looked_at[i] = std::move(seen);
    });
    for (std::size_t i = 0; i < job.rooms.size(); ++i) {
        plan.rooms.push_back(guarded(RoomSurvey{}, job.rooms[i].name, [&](RoomSurvey& room) {
            room = reckon_room(job, job.rooms[i]);
            std::ranges::move(check_aisles(job, plan, room.plan), std::back_inserter(room.checks));
        }));
        plan.rooms.back().lines = std::move(lines[i]);
    }
    last_ = job;
    last_around_ = std::move(around);
    looked_at_ = std::move(looked_at);
    plan_ = std::move(plan);
    return plan_;
}

} // namespace yes_square
