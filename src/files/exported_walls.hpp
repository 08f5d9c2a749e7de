#pragma once

#include "core/sheets/elevation.hpp"
#include "files/export_job.hpp"

namespace yes_square {

/// Calls `look(wall, its plan, its elevation)` for each wall, as drawings of it are exported.
void for_each_elevation(const Exported& what, auto&& look) {
    for (std::size_t w = 0; w < what.job.walls.size(); ++w) {
        const Wall& wall = what.job.walls[w];
        ElevationFrame frame;
        frame.width = 280;
        frame.height = 180;
        if (const Room* room = room_of(what.job, wall))
            frame.lines = what.plan.rooms[static_cast<std::size_t>(room - what.job.rooms.data())].lines.lines;
        look(wall, *what.plan.walls[w], draw_elevation(wall, *what.plan.walls[w], frame, what.voice));
    }
}

} // namespace yes_square
