#pragma once

#include "core/plan/plan.hpp"

namespace yes_square {

/// The stretch that is nearest to its sag limit, or furthest over it: long-term sag over span / divisor, an overhang
/// counting twice.
SagVerdict worst_sag(const BeamResult& beam, int limit_divisor);

/// Bending stress in the board over what it may bear: goods for good and, for a moment, somebody on top of them in the
/// worst place.
double board_utilisation(const Shelf& shelf, const BeamResult& beam, double accidental_n, const HouseRules& rules);

} // namespace yes_square
