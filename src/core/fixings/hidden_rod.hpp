#pragma once

#include "core/measure/physical.hpp"

/// A bar that stands out of the wall and carries a solid shelf from inside. SI units: m, N, Pa.
namespace yes_square {

struct HiddenRod {
    double diameter = 0;
    double in_wall = 0;  ///< in stud or masonry
    double gap = 0;      ///< lining, which bears nothing
    double in_shelf = 0; ///< out of the wall's face
};

/// What a load does to one rod.
struct RodStress {
    Moment moment = 0;     ///< at the face of the stud or the masonry
    Pressure bending = 0;  ///< in the steel
    Pressure on_wall = 0;  ///< where the rod presses hardest on stud or masonry, at its mouth
    Pressure on_shelf = 0; ///< and on the shelf around it
    double sink_m = 0;     ///< of the shelf's front, by the rod's own bending
};

/// A cantilever of steel from the face of what holds it: M = W (at + gap). In the wall it is held by pressures that
/// vary evenly along it, greatest at the mouth: W / (d l) (4 + 6 a / l); in the shelf by W / (d s) (1 + 6 e / s), e the
/// load's distance from the middle of the rod's part in the shelf. Statics.
/// @param load_n  on this rod   @param at  from the wall's face   @param depth  of the shelf
RodStress rod_stress(const HiddenRod& rod, Force load, double at, double depth);

} // namespace yes_square
