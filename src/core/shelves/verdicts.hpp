#pragma once

#include "core/measure/physical.hpp"
#include "core/plan/plan.hpp"
#include "core/shelves/shelf_loads.hpp"

namespace yes_square {

/// The stretch that is nearest to its sag limit, or furthest over it: long-term sag over span / divisor, an overhang
/// counting twice.
SagVerdict worst_sag(const BeamResult& beam, int limit_divisor);

/// Bending stress in the board over what it may bear: goods for good and, for a moment, somebody on top of them in the
/// worst place.
Utilisation board_utilisation(const Shelf& shelf, const BeamResult& beam, Force accidental, const HouseRules& rules);

/// A board or rod on supports at its two ends alone.
struct SimpleSpan {
    ShelfLoads loads;
    SagVerdict sag;
    Utilisation utilisation = Utilisation::none(); ///< of its bending strength
};
SimpleSpan simple_span(const Shelf& shelf, const HouseRules& rules, ServiceClass service_class);

} // namespace yes_square
