#pragma once

#include "core/job/job.hpp"

#include <string>
#include <tl/expected.hpp>
#include <vector>

namespace yes_square {

struct DrawnWall {
    Wall wall;
    std::vector<std::string> unread; ///< layers with something on them that this program does not know
};

/// What a DXF says of a wall seen square on, by the layers of files/wall_outline.hpp: WALL gives its outline (the
/// reference end is the left, the datum the lower edge), the others what is in and on it. Outlines may be closed
/// polylines, lines that meet, circles or points. Units as the file states them, else mm. On error the text names layer
/// and cure.
tl::expected<DrawnWall, std::string> wall_from_dxf(const std::string& path);

/// What a drawing says of the wall put into it; all else of it stays as it was. A drawing without studs leaves those
/// that are there.
void take_outline(Wall& wall, Wall drawn);

} // namespace yes_square
