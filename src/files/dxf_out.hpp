#pragma once

#include "core/sheets/drawing.hpp"
#include "core/sheets/elevation.hpp"
#include "files/wall_outline.hpp"

#include <optional>
#include <string>

namespace yes_square {

/// Writes a drawing as DXF (R12) in mm at true scale, a layer for each ink; with an elevation's scale its x is from the
/// reference end and its y from the datum, else a mm of paper is a mm. Texts grow with it. The outline stands on layers
/// of its own, to be read again. On failure the text says what went wrong.
std::optional<std::string> write_dxf(const std::string& path, const Drawing& drawing,
                                     const std::optional<ElevationScale>& scale,
                                     const std::vector<OutlineMark>& outline = {});

} // namespace yes_square
