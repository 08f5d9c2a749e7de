#include "core/hands/islands.hpp"

#include "core/job/trade_sizes.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr Length usual_length = 2400_mm;
constexpr Length usual_out = 2200_mm; ///< base units with their worktop on either side of a good metre
constexpr Length free_at_ends = 900_mm;

} // namespace

Wall new_island(const Wall& before, Unit unit) {
    Wall island;
    island.room = before.room;
    island.length = std::max(trade_size(600_mm, unit), std::min(trade_size(usual_length, unit),
                                                                before.length - 2 * trade_size(free_at_ends, unit)));
    island.height = before.height;
    island.left_end = island.right_end = WallEnd::open;
    OpenFloor floor;
    floor.from = before.id;
    floor.along = (before.length - island.length) / 2;
    floor.out = trade_size(usual_out, unit);
    floor.faces_wall = true;
    island.structure = floor;
    return island;
}

Wall other_side_of(const Wall& island) {
    Wall other;
    other.room = island.room;
    other.length = island.length;
    other.height = island.height;
    other.left_end = other.right_end = WallEnd::open;
    OpenFloor floor;
    if (const OpenFloor* of = island.open_floor())
        floor = *of; // its floor is the same
    floor.from = island.id;
    floor.along = floor.out = {};
    floor.faces_wall = false;
    other.structure = floor;
    return other;
}

std::vector<const Wall*> bases_of(const Job& job, const Wall& island) {
    const auto of = [&](const std::string& id) {
        const auto found = std::ranges::find(job.walls, id, &Wall::id);
        return found == job.walls.end() ? nullptr : &*found;
    };
    const bool has_other_side = std::ranges::any_of(job.walls, [&](const Wall& wall) {
        const OpenFloor* floor = wall.open_floor();
        return floor && floor->from == island.id;
    });
    std::vector<const Wall*> bases;
    for (const Wall& wall : job.walls) {
        if (wall.room != island.room || wall.id == island.id)
            continue;
        const OpenFloor* floor = wall.open_floor();
        if (floor) {
            const Wall* base = of(floor->from);
            if (has_other_side || !base || base->open_floor())
                continue;
        }
        bases.push_back(&wall);
    }
    return bases;
}

} // namespace yes_square
