#pragma once

#include "core/job/job.hpp"
#include "core/shelves/new_shelf.hpp"

namespace yes_square {

/// A room with one framed wall whose studs are all proved, nothing on it.
inline Job hall() {
    Job job = new_job();
    Room room;
    room.id = "room";
    room.name = "Hall";
    job.rooms = {room};
    Wall wall;
    wall.id = "wall";
    wall.name = "Hall wall";
    wall.room = "room";
    wall.length = 3600_mm;
    wall.height = 2400_mm;
    for (const Length at : {400_mm, 800_mm, 1200_mm, 1600_mm})
        wall.studs.push_back({at, StudState::proved, Length::micrometres(600), {}});
    job.walls = {wall};
    return job;
}

/// The same with a shelf from 350 mm on, over two of the studs.
inline Job hall_with_shelf(Length length = 500_mm) {
    Job job = hall();
    Shelf shelf = new_shelf(shelf_preset("brackets"), job.walls.front());
    shelf.id = "shelf";
    shelf.name = "Shelf 1";
    shelf.left = 350_mm;
    shelf.length = length;
    job.walls.front().shelves = {shelf};
    return job;
}

} // namespace yes_square
