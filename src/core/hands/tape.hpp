#pragma once

#include "core/plan/plan.hpp"

#include <vector>

namespace yes_square {

/// Where a tape is likely to be held: along the wall, and up it. In order, each once.
struct TapeStops {
    std::vector<Length> x; ///< the wall's ends, edges of studs, openings and things, holes
    std::vector<Length> z; ///< floor, ceiling, edges of openings and things, holes, level lines
};

TapeStops tape_stops(const Wall& wall, const WallPlan& plan, const std::vector<LinePlan>& lines);

/// The stop nearest to a place, if one is within reach; else the place itself.
Length held_at(const std::vector<Length>& stops, Length at, Length reach);

} // namespace yes_square
