#pragma once

#include "core/job/job.hpp"
#include "core/measure/conversions.hpp"
#include "core/measure/physical.hpp"
#include "core/measure/provenance.hpp"
#include "core/statics/beam.hpp"

namespace yes_square {

/// What stands on a shelf (on one tier of it) and what it weighs itself.
struct ShelfLoads {
    LineLoad self_load = 0;
    LineLoad goods_load = 0;
    SpanLoad goods = {};  ///< besides the even load
    Force accidental = 0; ///< someone leaning on a front edge, or sitting on it; 0 out of reach of every tier
    Mass board_mass = 0;
    Source goods_source;

    Force total(Length length) const { return between({}, length); }
    /// What lies on a stretch, places from the shelf's left end, self-weight included.
    Force between(Length from, Length to) const;
    BeamLoad on_beam() const { return {self_load, goods_load, accidental, goods}; }
};

/// One row of books 37 kg/m (common practice, upper figure); kitchen 0.72 kPa (ANSI/KCMA A161.1) and general 0.64 kPa
/// (EN 14749) over the depth, both from memory; clothes on a pole 40 kg/m (common practice); display and desks house
/// rules; or the fitter's own figure. The hooks of a rail are spread evenly along it.
ShelfLoads loads_of(const Shelf& shelf, const HouseRules& rules);

/// The creep factor in this room. A board not made for damp rooms is reckoned with 3.00, the worst of the table.
double creep_factor(BoardMaterial material, ServiceClass service_class);
/// Metal poles do not creep.
double creep_factor(const Shelf& shelf, ServiceClass service_class);

/// The beam that the shelf is over these places (from its left end). A joint counts where a place is under it and both
/// boards beside it keep two places.
Beam beam_of(const Shelf& shelf, const std::vector<Length>& places);

/// Whether a joint lies on a bracket's middle: within half a millimetre.
bool under_joint(Length place, Length joint);

} // namespace yes_square
