#pragma once

#include "core/job/job.hpp"

#include <string>
#include <tl/expected.hpp>

namespace yes_square {

/// What a DXF says of a wall seen square on, by named layers: WALL gives its outline (the reference end is the left,
/// the datum the lower edge); WINDOW and DOOR its openings; SOCKET, SWITCH and PIPE its services, by circle, point or
/// outline; STUD its studs, by their lines, as assumed ones; OBSTACLE what stays. Other layers are left alone. Outlines
/// may be closed polylines or lines that meet. Units as the file states them, else mm. On error the text names layer
/// and cure.
tl::expected<Wall, std::string> wall_from_dxf(const std::string& path);

} // namespace yes_square
