#pragma once

#include "core/sheets/drawing.hpp"
#include "core/sheets/elevation.hpp"
#include "files/wall_outline.hpp"

#include <optional>
#include <string>
#include <tl/expected.hpp>

namespace yes_square {

/// A drawing as a DXF file (R12) in mm at true scale, a layer for each ink; with an elevation's scale its x is from the
/// reference end and its y from the datum, else a mm of paper is a mm. Texts grow with it. The outline stands on layers
/// of its own, to be read again. Error: what went wrong.
tl::expected<std::string, std::string> dxf_text(const Drawing& drawing, const std::optional<ElevationScale>& scale,
                                                const std::vector<OutlineMark>& outline = {});

} // namespace yes_square
