#pragma once

#include "core/plan/piece_plan.hpp"
#include "core/site/wall_site.hpp"

namespace yes_square {

/// Everything that follows from a piece: its cases, what holds it, checks with their cures, workings and steps. A cure
/// that holds the piece has been tried on it before it is offered.
PiecePlan reckon_piece(const Piece& piece, const WallSite& site);

} // namespace yes_square
