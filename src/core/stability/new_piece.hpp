#pragma once

#include "core/job/job.hpp"

namespace yes_square {

/// A piece as a fitter begins with it, in the middle of the wall, its size and mass usual for its kind and its drawers
/// evenly spaced (house rules: every figure is typed over).
Piece new_piece(const Wall& wall, PieceKind kind);

std::string_view words(PieceKind kind);

} // namespace yes_square
