#pragma once

#include "core/job/job.hpp"
#include "core/measure/provenance.hpp"
#include "core/statics/beam.hpp"
#include "core/statics/gravity.hpp"

namespace yes_square {

/// What stands on a shelf and what it weighs itself.
struct ShelfLoads {
    double self_n_per_m = 0;
    double goods_n_per_m = 0;
    double accidental_n = 0; ///< someone leaning on the front edge; 0 out of reach
    double board_kg = 0;
    Source goods_source;

    double total_n(Length length) const { return (self_n_per_m + goods_n_per_m) * length.in_metres(); }
};

/// One row of books 37 kg/m (common practice, upper figure); kitchen 0.72 kPa (ANSI/KCMA A161.1) and general 0.64 kPa
/// (EN 14749) over the depth, both from memory; display a house rule; or the fitter's own figure.
ShelfLoads loads_of(const Shelf& shelf, const HouseRules& rules);

/// EI of the board, N m2.
double stiffness_of(const Shelf& shelf);

/// The creep factor in this room. A board not made for damp rooms is reckoned with 3.00, the worst of the table.
double creep_factor(BoardMaterial material, ServiceClass service_class);

/// The beam that the shelf is over these places (from its left end).
Beam beam_of(const Shelf& shelf, const std::vector<Length>& places);

} // namespace yes_square
