#include "core/plan/reckon.hpp"

#include "core/shelves/reckon_shelf.hpp"

#include <algorithm>

namespace yes_square {
namespace {

ServiceClass service_class_of(const Job& job, const Wall& wall) {
    const Room* room = room_of(job, wall);
    return room ? room->service_class : ServiceClass::dry;
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
    plan.walls.reserve(job.walls.size());
    for (const Wall& wall : job.walls) {
        const auto before = std::ranges::find(last_.walls, wall.id, &Wall::id);
        const bool unchanged = same_rules && before != last_.walls.end() && *before == wall &&
                               service_class_of(job, wall) == service_class_of(last_, *before);
        plan.walls.push_back(unchanged ? plan_.walls[static_cast<std::size_t>(before - last_.walls.begin())]
                                       : reckon_wall(job, wall));
    }
    last_ = job;
    plan_ = std::move(plan);
    return plan_;
}

} // namespace yes_square
