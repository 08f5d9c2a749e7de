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
/// @param back_held  share of a board along a cleat: see back_held_share(). Its front bends as much more as it sags
///                   more, twice that under somebody on its front edge; never less than a plain span (safe side)
Utilisation board_utilisation(const Shelf& shelf, const BeamResult& beam, Force accidental, const HouseRules& rules,
                              std::optional<double> back_held = {});

/// A board or rod on supports at its two ends alone, or along a cleat besides.
struct SimpleSpan {
    ShelfLoads loads;
    SagVerdict sag;
    Utilisation utilisation = Utilisation::none(); ///< of its bending strength
};
SimpleSpan simple_span(const Shelf& shelf, const HouseRules& rules, ServiceClass service_class,
                       std::optional<double> back_held = {});

} // namespace yes_square
