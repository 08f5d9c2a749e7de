#include "core/plan/reckon.hpp"

#include "core/lines/room_lines.hpp"
#include "core/plan/reckon_survey.hpp"
#include "core/runs/reckon_run.hpp"
#include "core/shelves/noggings.hpp"
#include "core/shelves/reckon_shelf.hpp"

#include <algorithm>
#include <atomic>
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
    std::shared_ptr<const WallPlan> plan;
    bool whole = false;  ///< nothing changed
    bool survey = false; ///< nothing but what hangs on the wall changed
};

std::shared_ptr<const WallPlan> reckon_wall(const Job& job, const Wall& wall, const WallSurroundings& around,
                                            const Earlier& earlier) {
    auto plan = std::make_shared<WallPlan>();
    plan->wall_id = wall.id;
    plan->wall_name = wall.name;
    plan->survey = earlier.survey ? earlier.plan->survey : reckon_survey(wall, around, job.rules);
    plan->survey.corner_things = around.corner_things;
    const WallSite site{job.rules, job.catalogue, wall, around.service_class, plan->survey};
    plan->shelves.reserve(wall.shelves.size());
    for (const Shelf& shelf : wall.shelves)
        plan->shelves.push_back(reckon_shelf(shelf, site));
    plan->noggings = noggings_of(wall, plan->survey, plan->shelves, job.rules);
    const RunSite runs{site, around.lines, around.runs, around.left_lean, around.right_lean};
    plan->runs.reserve(wall.runs.size());
    for (std::size_t i = 0; i < wall.runs.size(); ++i)
        plan->runs.push_back(reckon_run(i, runs));
    return plan;
}

/// Calls `look(shelf, site, plan)` for a shelf of a plan.
auto look_at(const Job& job, const Plan& plan, const std::string& id, auto&& look)
    -> std::optional<decltype(look(std::declval<const Shelf&>(), std::declval<const WallSite&>(),
                                   std::declval<const ShelfPlan&>()))> {
    for (std::size_t w = 0; w < job.walls.size() && w < plan.walls.size(); ++w) {
        const Wall& wall = job.walls[w];
        const Room* room = room_of(job, wall);
        const WallSite site{job.rules, job.catalogue, wall, room ? room->service_class : ServiceClass::dry,
                            plan.walls[w]->survey};
        for (std::size_t s = 0; s < wall.shelves.size(); ++s)
            if (wall.shelves[s].id == id)
                return look(wall.shelves[s], site, plan.walls[w]->shelves[s]);
    }
    return std::nullopt;
}

} // namespace

std::optional<ShelfStudy> study(const Job& job, const Plan& plan, const std::string& shelf) {
    return look_at(job, plan, shelf, study_shelf);
}

std::optional<Capacity> capacity(const Job& job, const Plan& plan, const std::string& shelf) {
    return look_at(job, plan, shelf, capacity_of);
}

Plan reckon(const Job& job) {
    return Reckoner{}.reckon(job);
}

const Plan& Reckoner::reckon(const Job& job) {
    const bool same_rules = job.rules == last_.rules && job.catalogue == last_.catalogue;
    std::vector<RoomLines> lines;
    for (const Room& room : job.rooms)
        lines.push_back(reckon_lines(job, room));
    std::vector<WallSurroundings> around = surroundings_of(job, lines);
    Plan plan;
    plan.walls.resize(job.walls.size());
    std::vector<Earlier> earlier(job.walls.size());
    std::vector<std::size_t> changed;
    for (std::size_t i = 0; i < job.walls.size(); ++i) {
        const Wall& wall = job.walls[i];
        const auto before = std::ranges::find(last_.walls, wall.id, &Wall::id);
        if (before != last_.walls.end()) {
            const auto index = static_cast<std::size_t>(before - last_.walls.begin());
            const WallSurroundings& around_before = last_around_[index];
            earlier[i].plan = plan_.walls[index];
            earlier[i].whole = same_rules && around[i] == around_before && *before == wall;
            earlier[i].survey =
                same_rules && !earlier[i].whole && around[i].same_ground(around_before) && same_survey(*before, wall);
        }
        if (earlier[i].whole)
            plan.walls[i] = earlier[i].plan;
        else
            changed.push_back(i);
    }
    each_in_parallel(changed,
                     [&](std::size_t i) { plan.walls[i] = reckon_wall(job, job.walls[i], around[i], earlier[i]); });
    for (std::size_t i = 0; i < job.rooms.size(); ++i) {
        plan.rooms.push_back(reckon_room(job, job.rooms[i]));
        plan.rooms.back().lines = std::move(lines[i]);
    }
    last_ = job;
    last_around_ = std::move(around);
    plan_ = std::move(plan);
    return plan_;
}

} // namespace yes_square
