#pragma once

namespace yes_square {

/// What a dowel-type fastener bears across its axis, in single shear through a side member, by each yield mode
/// (Johansen), in any one set of units.
struct DowelModes {
    double main_crushes = 0;  ///< Im
    double side_crushes = 0;  ///< Is
    double both_crush = 0;    ///< II
    double bends_in_side = 0; ///< IIIm: one hinge, at the side member
    double bends_in_main = 0; ///< IIIs: one hinge, in the main member
    double bends_in_both = 0; ///< IV
    double least() const;
};

/// One part that it passes: its bearing strength per length of the fastener, and how much of that bears.
struct DowelMember {
    double bearing = 0;
    double length = 0;
};

/// With a gap between the two that bears nothing (the general dowel equations, AWC TR12; without a gap those of NDS
/// 12.3.1 and EN 1995-1-1 8.2.2).
/// @param held  the wood that the point is in; `passed` the part before it
/// @param moment  at which the fastener yields in bending
DowelModes dowel_modes(const DowelMember& held, const DowelMember& passed, double gap, double moment);

} // namespace yes_square
