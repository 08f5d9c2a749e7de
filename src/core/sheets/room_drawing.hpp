#pragma once

#include "core/plan/plan.hpp"
#include "core/sheets/drawing.hpp"

namespace yes_square {

/// How the plan of a room stands in its frame.
struct RoomFrame {
    double width = 250; ///< mm
    double height = 150;
    double text = 3;
    std::string selected_wall;              ///< id
    std::vector<std::string> selected = {}; ///< ids of things and units
};

/// A room from above: its walls with names and lengths, openings, all that stands out of each wall to scale, doors and
/// drawers open (dotted), the angle in each corner that was measured, and where it does not close, the gap. What would
/// clash with a thing of another wall at the same height is in the colour of alarm; the checks say what to do. Walls
/// and things carry a Reference to be picked by.
Drawing draw_room(const Job& job, const Plan& plan, const RoomSurvey& room, const RoomFrame& frame, const Voice& voice);

} // namespace yes_square
