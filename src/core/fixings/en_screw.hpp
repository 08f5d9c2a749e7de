#pragma once

#include "core/job/materials.hpp"
#include "core/measure/length.hpp"
#include "core/measure/physical.hpp"
#include "core/measure/utilisation.hpp"

/// What a wood screw or coach screw holds in timber after EN 1995-1-1:2004+A2:2014, sections 8.2, 8.3 and 8.7 (from
/// memory). Characteristic values; `en_stored` and `en_people` make of them what may be used.
namespace yes_square {

/// What of a characteristic value may be used under loads as they come: k_mod / (1.3 gamma), k_mod of table 3.1 for
/// service classes 1 and 2 and the load factors of EN 1990. Stored goods stand with own weight: the less of
/// 0.6 / (1.3 x 1.35), own weight alone, and 0.7 / (1.3 x 1.5) covers both, a twentieth on the safe side. People and
/// pulls: 0.9 / (1.3 x 1.5); anti-tip loads that a standard gives already factored are taken so too (safe side).
inline constexpr double en_stored = 0.6 / (1.3 * 1.35);
inline constexpr double en_people = 0.9 / (1.3 * 1.5);

/// Of a piloted screw from the timber's edge, in diameters: as it is sure to be (table 8.2, holes drilled first, edge
/// not loaded), and at the middle of its stud (table 8.6, pulled).
inline constexpr double en_edge = 3;
inline constexpr double en_middle = 4;

/// Withdrawal of the thread that grips: 0.52 d^-0.5 l^-0.1 rho^0.8 d l min(d/8, 1) for 6 mm <= d <= 12 mm and a root of
/// 0.6 to 0.75 d (8.38, 8.40), else f_ax d l (rho/350)^0.8, f_ax what the packet declares or a cautious 9 N/mm2 (8.39);
/// what is declared goes before what is reckoned. 0: the thread is shorter than 6 d.
Force en_withdrawal(const ScrewProperties& screw, Density wood, Length thread);

/// Pull-through of a round head or washer: f_head d_head^2 (rho/350)^0.8 (8.40b).
/// @param declared  f_head by the packet; 0: a cautious 9 N/mm2
Force en_pull_through(Density side, Length head, Pressure declared = 0);

/// What a screw's steel bears in tension, in use: f_tens / (1.25 x 1.5), gamma_M2 of EN 1993-1-1 and the load factor of
/// EN 1990. 0: no packet declares it.
Force en_tension(const ScrewProperties& screw);

/// What a part that a screw passes is, across the screw.
struct EnSide {
    Length thickness;
    std::optional<Density> wood = {}; ///< none: steel, 600 N/mm2 in bearing
    Length gap = {};                  ///< lining and packing behind it, which bear nothing
};

/// Lateral strength by the yield modes with a gap, the least governing, on the effective diameter 1.1 root: bearing
/// 0.082 rho d^-0.3 up to 6 mm, 0.082 (1 - 0.01 d) rho above, there divided by 1.35 + 0.015 d across the grain; bending
/// 0.3 x 400 N/mm2 x d^2.6. The factors 1.05 and 1.15 of 8.2.2 and the rope effect are left out (safe side). 0: the
/// point is less than 6 d in the wood.
Force en_lateral(const ScrewProperties& screw, Density wood, bool across, const EnSide& side, Length penetration);

/// What of n screws pulled together each bears: n^0.9 / n (8.41).
double en_together(std::size_t number);

/// Pull and shear together: (F/R)^2 + (F/R)^2 <= 1 (8.28), as a share of the load that may be there.
Utilisation en_combined(Force tension, Force shear, Force withdrawal, Force lateral);

} // namespace yes_square
