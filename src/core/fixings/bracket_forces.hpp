#pragma once

#include "core/job/job.hpp"
#include "core/measure/physical.hpp"

namespace yes_square {

/// What one bracket does to its wall holes.
struct BracketForces {
    std::vector<Force> tension; ///< per hole, top first
    Force shear = 0;            ///< per hole, where they lie in the leg's middle
    std::vector<Force> down;    ///< per hole, with what turns the leg on the wall where its holes lie beside its middle
    std::vector<Force> across;  ///< per hole, along the wall
    Moment moment = 0;
    Length pivot; ///< above the leg's lower end
    bool refused =
        false; ///< no hole above the pivot, no place where it is in balance, one hole beside its middle alone
};

/// Tension per hole T_i = M h_i / sum(h_j^2), h from the pivot (one hole a row).
///
/// The leg turns about a pivot near its lower end: max(5 mm, x/2) above it, where x = C / (b p) is the length that
/// presses on the lining with its bearing pressure p. A leg not stiffened below its lowest hole turns about that hole.
/// A pressed leg under 4 mm hangs on its top hole, or its top row, alone. Statics; the pressure is a house rule. A load
/// in the leg's middle, beside that of its holes, turns it on the wall: each hole takes of that by its distance from
/// their middle (elastic group, statics).
/// @param load_n  on the arm, N   @param at  the load's distance from the wall   @param pressure  N/mm2
BracketForces bracket_forces(const Bracket& bracket, Force load, Length at, Pressure pressure);

/// The same for a moment that is already summed, N m, with the vertical load beside it.
BracketForces bracket_forces_from_moment(const Bracket& bracket, Force load, Moment moment, Pressure pressure);

} // namespace yes_square
