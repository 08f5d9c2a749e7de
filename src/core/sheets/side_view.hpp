#pragma once

#include "core/plan/piece_plan.hpp"
#include "core/sheets/drawing.hpp"

namespace yes_square {

/// A piece from its side as one case has it: leaning as it stands, its drawers and doors out, the line it turns about,
/// every force that is reckoned with, what is left over to hold it, and, dashed, the lean at which it goes by itself.
/// The wall is at the left; a restraint is drawn where it takes hold.
Drawing draw_side_view(const Piece& piece, const PiecePlan& plan, const TipCase& tip, double width, double height,
                       double text, const Voice& voice);

} // namespace yes_square
