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
    std::vector<StandsBehind> behind; ///< of a line on the open floor
    std::optional<SetOutFrom> set_out_from;
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
               left == other.left && right == other.right && set_out_from == other.set_out_from;
    }
};

/// Of every wall, as in the job.
/// @param lines  of every room, as in the job
std::vector<WallSurroundings> surroundings_of(const Job& job, const std::vector<RoomLines>& lines);

} // namespace yes_square
