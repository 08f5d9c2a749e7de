#pragma once

#include "core/survey/corner.hpp"

#include <string>

/// A room from above: its walls in the order they are walked, from left to right seen from inside.
namespace yes_square {

/// A place on the floor, m. The first wall runs from the origin along x; y points out of the room behind it, so that
/// the room lies at negative y.
struct PlanPoint {
    double x = 0;
    double y = 0;
};

struct PlanWall {
    std::size_t wall = 0; ///< index in the job
    PlanPoint from;       ///< its left end
    PlanPoint to;
    double heading = 0;         ///< rad, of its run from the wall's left end
    bool turn_measured = false; ///< the corner after it was measured, not taken as square
};

/// What stands at one end of a wall.
struct Neighbour {
    std::string wall; ///< id
    std::string name;
    WallEnd corner = WallEnd::corner;
    CornerAngle angle; ///< as measured, else square
    bool measured = false;
    Structure structure = LiningOnly{};
    std::vector<LiningLayer> lining = {};
    std::vector<Length> studs = {}; ///< those entered as found, from this corner
    bool operator==(const Neighbour&) const = default;
};

struct RoomPlan {
    std::string room;
    std::vector<PlanWall> walls;
    std::vector<PlanWall> islands;     ///< lines of units that stand free, the units on the room's side as a wall's are
    std::vector<std::size_t> unplaced; ///< such lines of which nobody knows where they are, by their index in the job
    bool closed = false;               ///< the last wall comes back to the first
    PlanPoint closing;                 ///< where the last wall ends, from where the first begins, m
    Length closing_error;              ///< its length
    Length closing_limit;              ///< what the limits of error of lengths and angles would allow
    bool every_turn_measured = false;
    bool closes = true; ///< the error is within the limit
};

/// A place along a wall and so many metres into the room from it.
PlanPoint off(const PlanWall& wall, Length along, double into);

/// Corners that were not measured are taken as square. A closed room whose corners are all measured closes or does not
/// by what the limits of error allow.
RoomPlan room_plan(const Job& job, const std::string& room, const Reader& reader);

/// The wall met at an end, if it is a corner and the room has one there.
std::optional<Neighbour> neighbour_at(const Job& job, const Wall& wall, bool right, const Reader& reader);

} // namespace yes_square
