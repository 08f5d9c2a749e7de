#pragma once

#include "core/sheets/elevation.hpp"
#include "core/shelves/shelf_study.hpp"

namespace yes_square {

/// A shelf of any kind where it hangs, with what carries it and its holes.
void draw_shelf(const Wall& wall, const Shelf& shelf, const ShelfPlan& plan, const ElevationScale& scale,
                const ElevationFrame& frame, Drawing& drawing);

/// Noggings of open framing, each between its studs.
void draw_noggings(const WallPlan& plan, const ElevationScale& scale, Drawing& drawing);

/// Load, bending and sag of a board as three strips over one another, each with its worst place marked and named.
Drawing draw_bending(const Shelf& shelf, const ShelfPlan& plan, const ShelfStudy& study, double width, double height,
                     double text, const Voice& voice);

} // namespace yes_square
