#pragma once

#include <string_view>

/// Weights and moments about the line of the front feet. SI units: kg, m, N, N m, rad.
namespace yes_square {

/// A weight where it stands on a level floor.
struct TipWeight {
    std::string_view what;
    double kg = 0;
    double back = 0;     ///< m behind the front foot line; less than 0: before it
    double up = 0;       ///< m above the floor
    bool may_go = false; ///< goods, which somebody may take out: never counted on to hold the piece down
};

/// A level pull towards the room.
struct TipPull {
    double n = 0;
    double back = 0; ///< where it takes hold, as of a weight
    double up = 0;
};

struct TipBalance {
    double over_nm = 0;     ///< what turns it over
    double righting_nm = 0; ///< what holds it back
    double goes_at = 0;     ///< rad: leaned so far forward from a level floor it goes by itself; less than 0: has gone
    double margin_nm() const { return righting_nm - over_nm; }
    bool tips() const { return over_nm >= righting_nm; }
};

} // namespace yes_square
