#pragma once

#include "core/sheets/elevation.hpp"

namespace yes_square {

/// Cabinets of a wall where they stand, with worktop, plinth, rails and, for the selected run, its holes.
void draw_runs(const Wall& wall, const WallPlan& plan, const ElevationScale& scale, const ElevationFrame& frame,
               const Voice& voice, Drawing& drawing);

/// The room's level lines across the wall, as a chalk line would strike them.
void draw_lines(const Wall& wall, const ElevationScale& scale, const ElevationFrame& frame, const Voice& voice,
                Drawing& drawing);

/// The back of a unit with its holes, seen from behind as it lies for drilling: the wall's left is at the right.
/// Figures run from both outer edges and from the top.
Drawing draw_back_card(const CabinetUnit& unit, const UnitPlan& plan, double width, double height, double text,
                       const Voice& voice);

/// A run very small, its units at these places over the studs; those that miss theirs are marked.
Drawing draw_run_sketch(const std::vector<Stud>& studs, const RunPlan& plan, Length moved,
                        const std::vector<std::size_t>& lost, bool on_rail, double width, double height);

} // namespace yes_square
