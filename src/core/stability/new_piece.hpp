#pragma once

#include "core/job/job.hpp"

namespace yes_square {

/// A piece as a fitter begins with it, in the middle of the wall, its size and mass usual for its kind and its drawers
/// evenly spaced (house rules: every figure is typed over).
Piece new_piece(const Wall& wall, PieceKind kind);

/// So many drawers, evenly spaced and alike in all else, as the first one there is or as usual: 3/4 of the depth out.
void spread_drawers(Piece& piece, int number);

std::string_view words(PieceKind kind);

} // namespace yes_square
