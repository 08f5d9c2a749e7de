#pragma once

#include "core/shelves/way.hpp"

namespace yes_square {

/// A board as a beam: of one stuff or hollow, with its lip, less what is cut out of it. Where breadth is cut away the
/// least that is left is taken all along (safe side; what it weighs is not lessened).
///
/// A hollow board's skins and frame bend as one, being glued: EI by the transformed section. What joins its skins, the
/// strips along it, gives by shear: GA = G b d^2 / c, d between the skins' middles, c between the skins (theory of
/// sandwich beams). Ribs across it and the core add mass alone. Without a strip along it the skins bend each by itself.
Section board_section(const Shelf& shelf);

/// What EI comes to over supports by the shear that joins a hollow board's skins: over two, EI / (1 + 9.6 k), k = EI /
/// (GA L^2), as at the middle of a simple span evenly loaded; over more, 48 k, as where both ends are held (safe side).
/// @param bay  the longest span, or twice an overhang; m
Stiffness with_shear(const Section& section, double bay, std::size_t supports);

/// Its boards, strips and ribs.
std::vector<CutPart> hollow_board_cut(const Shelf& shelf, Length length);

} // namespace yes_square
