#pragma once

#include "core/reckon/reckon.hpp"

#include <algorithm>

/// Walls and jobs that the tests of the survey start from.
namespace yes_square {

inline Wall plain_wall(Length length = 3600_mm) {
    Wall wall;
    wall.id = "wall-1";
    wall.name = "Wall";
    wall.room = "room-1";
    wall.length = length;
    wall.height = 2400_mm;
    return wall;
}

inline Job job_with(std::vector<Wall> walls) {
    Job job = new_job();
    Room room;
    room.id = "room-1";
    room.name = "Room";
    job.rooms.push_back(room);
    job.walls = std::move(walls);
    return job;
}

inline const Check* find_check(const std::vector<Check>& checks, CheckCode code) {
    const auto found = std::ranges::find(checks, code, &Check::code);
    return found == checks.end() ? nullptr : &*found;
}

} // namespace yes_square
