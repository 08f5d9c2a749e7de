#pragma once

#include "core/shelves/way.hpp"

namespace yes_square {

/// A board as a beam: of one stuff or hollow, with its lip, less what is cut out of it. Where breadth is cut away the
/// least that is left is taken all along (safe side; what it weighs is not lessened).
///
/// A hollow board's skins and frame bend as one, being glued: EI by the transformed section. What joins its skins, the
/// strips along it, gives by shear: GA = G b d^2 / c, d between the skins' middles, c between the skins (theory of
/// sandwich beams). Of the skins between the strips only so much counts as shear lag and buckling leave (EN 1995-1-1
/// 9.1.2, from memory), half of that beside one strip alone. Ribs across it and the core add mass alone. Without a
/// strip along it the skins bend each by itself.
Section board_section(const Shelf& shelf);

/// What EI comes to by the shear that joins a hollow board's skins: EI / (1 + f EI / (GA L^2)), f 9.6 over two
/// supports, as at the middle of a simple span evenly loaded, 48 over more, as where both ends are held (safe side),
/// and 4 where an overhang of more than half the longest span governs.
/// @param span, overhang  the longest of each
Stiffness with_shear(const Section& section, Length span, Length overhang, std::size_t supports);

/// Its boards, strips and ribs.
std::vector<CutPart> hollow_board_cut(const Shelf& shelf, Length length);

} // namespace yes_square
