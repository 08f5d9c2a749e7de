#pragma once

#include "core/measure/physical.hpp"

#include <string_view>

/// Weights and moments about the line of the front feet. SI units: kg, m, N, N m, rad.
namespace yes_square {

/// A weight where it stands on a level floor.
struct TipWeight {
    std::string_view what;
    Mass mass = 0;
    double back = 0;     ///< m behind the front foot line; less than 0: before it
    double up = 0;       ///< m above the floor
    bool may_go = false; ///< goods, which somebody may take out: never counted on to hold the piece down
};

/// A level pull towards the room.
struct TipPull {
    Force force = 0;
    double back = 0; ///< where it takes hold, as of a weight
    double up = 0;
};

struct TipBalance {
    Moment over = 0;     ///< what turns it over
    Moment righting = 0; ///< what holds it back
    double goes_at = 0;  ///< rad: leaned so far forward from a level floor it goes by itself; less than 0: has gone
    Moment margin() const { return righting - over; }
    bool tips() const { return over >= righting; }
};

} // namespace yes_square
