#include "core/job/job.hpp"

#include <algorithm>

namespace yes_square {

Length Wall::lining_thickness() const {
    Length total;
    for (const LiningLayer& layer : lining)
        total += layer.thickness;
    return total;
}

Length Room::floor_build_up() const {
    Length total;
    for (const FloorLayer& layer : floor_layers)
        total += layer.thickness;
    return total;
}

const Room* room_of(const Job& job, const Wall& wall) {
    const auto found = std::ranges::find(job.rooms, wall.room, &Room::id);
    return found == job.rooms.end() ? nullptr : &*found;
}

Job new_job() {
    Job job;
    job.catalogue = shipped_catalogue();
    return job;
}

} // namespace yes_square
