#pragma once

#include "core/job/house_rules.hpp"
#include "core/job/materials.hpp"
#include "core/measure/physical.hpp"

/// Screws whose point is in the end of a piece: joints of boxes, ends of noggings.
namespace yes_square {

/// What holds a joint of two pieces across the grain of the first and in the end of the second.
struct EndScrew {
    ScrewGauge gauge = ScrewGauge::number_8;
    double gravity = 0.36; ///< specific gravity of both
    Length side;           ///< of the piece that it passes
    Length in_end;         ///< of it in the other's end
};

/// What one bears across itself under goods that stay: by NDS-2018 two thirds of what it bears across the grain
/// (12.5.2), by EN 1995-1-1 a third (8.3.1.2(4), what it allows of nails). It is not counted on to be pulled.
Force end_screw_bears(const EndScrew& screw, TimberSchool school);

/// The screw that a nogging's ends are held with.
ScrewGauge nogging_gauge(TimberSchool school);

/// How much more it bears while people lean.
double people_share(TimberSchool school);

} // namespace yes_square
