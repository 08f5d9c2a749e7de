#pragma once

#include "core/cutting/cutting_plan.hpp"
#include "core/sheets/drawing.hpp"

namespace yes_square {

/// One stuff's bars under one another to one scale, parts with their labels and lengths, kerfs and offcuts; or its
/// sheets. As high as it needs to be for a width in mm. `selected`: label of a part that is picked out.
Drawing draw_cutting(const StuffPlan& stuff, Length kerf, double width, double text, const Voice& voice,
                     const std::string& selected = {});

} // namespace yes_square
