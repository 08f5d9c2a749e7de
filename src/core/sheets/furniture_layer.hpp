#pragma once

#include "core/sheets/elevation.hpp"

namespace yes_square {

/// Wardrobes, pieces of furniture, boxes and cabinets that hang already, where they are; of the selected one its
/// fixings.
void draw_furniture(const Wall& wall, const WallPlan& plan, const ElevationScale& scale, const ElevationFrame& frame,
                    const Voice& voice, Drawing& drawing);

/// The bays of a wardrobe very small, over the studs; those whose cleats miss theirs are marked.
Drawing draw_bays_sketch(const std::vector<Stud>& studs, const SystemPlan& plan, Length panel, double width,
                         double height);

} // namespace yes_square
