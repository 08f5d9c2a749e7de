#pragma once

#include "core/plan/plan.hpp"
#include "core/runs/run_site.hpp"

namespace yes_square {

/// What a wall's survey depends on beyond the wall itself: its room and its neighbours.
struct WallSurroundings {
    ServiceClass service_class = ServiceClass::dry;
    RoomFloor floor;
    Reader reader;
    std::optional<Neighbour> left;
    std::optional<Neighbour> right;
    std::vector<CornerThing> corner_things;
    LineHeights lines;
    std::vector<RunLayout> runs; ///< where the wall's runs stand
    /// How the walls at its ends lean, as their own strings tell: x is a height, z the packing behind a plumb line
    /// there.
    std::vector<ProfilePoint> left_lean;
    std::vector<ProfilePoint> right_lean;

    bool operator==(const WallSurroundings&) const = default;
    /// Whether the survey itself reads the same: lines, runs and what stands in the corners do not touch it.
    bool same_ground(const WallSurroundings& other) const {
        return service_class == other.service_class && floor == other.floor && reader == other.reader &&
               left == other.left && right == other.right;
    }
};

/// Of every wall, as in the job.
/// @param lines  of every room, as in the job
std::vector<WallSurroundings> surroundings_of(const Job& job, const std::vector<RoomLines>& lines);

/// What the survey of a wall comes to, with its checks and workings. Never throws for a strange wall.
WallSurvey reckon_survey(const Wall& wall, const WallSurroundings& around, const HouseRules& rules);

/// Whether two walls read the same to reckon_survey: everything but what hangs or stands on them.
bool same_survey(const Wall& a, const Wall& b);

RoomSurvey reckon_room(const Job& job, const Room& room);

} // namespace yes_square
