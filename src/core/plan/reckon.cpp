#include "core/plan/reckon.hpp"

#include "core/shelves/reckon_shelf.hpp"

#include <algorithm>
#include <atomic>
#include <functional>
#include <future>
#include <thread>

namespace yes_square {
namespace {

ServiceClass service_class_of(const Job& job, const Wall& wall) {
    const Room* room = room_of(job, wall);
    return room ? room->service_class : ServiceClass::dry;
}

/// Walls do not depend on one another, so a job of many is shared among the processors.
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

std::shared_ptr<const WallPlan> reckon_wall(const Job& job, const Wall& wall) {
    auto plan = std::make_shared<WallPlan>();
    plan->wall_id = wall.id;
    plan->strips = service_strips(wall, job.rules);
    const ShelfSite site{job.rules, job.catalogue, wall, service_class_of(job, wall), plan->strips};
    plan->shelves.reserve(wall.shelves.size());
    for (const Shelf& shelf : wall.shelves)
        plan->shelves.push_back(reckon_shelf(shelf, site));
    return plan;
}

} // namespace

Plan reckon(const Job& job) {
    return Reckoner{}.reckon(job);
}

const Plan& Reckoner::reckon(const Job& job) {
    const bool same_rules = job.rules == last_.rules && job.catalogue == last_.catalogue;
    Plan plan;
    plan.walls.resize(job.walls.size());
    std::vector<std::size_t> changed;
    for (std::size_t i = 0; i < job.walls.size(); ++i) {
        const Wall& wall = job.walls[i];
        const auto before = std::ranges::find(last_.walls, wall.id, &Wall::id);
        if (same_rules && before != last_.walls.end() && *before == wall &&
            service_class_of(job, wall) == service_class_of(last_, *before))
            plan.walls[i] = plan_.walls[static_cast<std::size_t>(before - last_.walls.begin())];
        else
            changed.push_back(i);
    }
    each_in_parallel(changed, [&](std::size_t i) { plan.walls[i] = reckon_wall(job, job.walls[i]); });
    last_ = job;
    plan_ = std::move(plan);
    return plan_;
}

} // namespace yes_square
