#pragma once

#include "core/plan/plan.hpp"
#include "core/sheets/drawing.hpp"

namespace yes_square {

/// How the plan of a room stands in its frame.
struct RoomFrame {
    double width = 250; ///< mm
    double height = 150;
    double text = 3;
    std::string selected_wall; ///< id
};

/// A room from above: its walls with names and lengths, openings, shelves and units by their depth, the angle in each
/// corner that was measured, and where it does not close, the gap. Walls carry a Reference to be picked by.
Drawing draw_room(const Job& job, const RoomSurvey& room, const RoomFrame& frame, const Voice& voice);

} // namespace yes_square
