#pragma once

#include "core/plan/plan.hpp"
#include "core/runs/run_site.hpp"

namespace yes_square {

/// What it may find.
namespace checks {
inline constexpr CheckCode reading_off_wall{"reading_off_wall", Severity::warning};
inline constexpr CheckCode evidence_doubtful{"evidence_doubtful", Severity::warning};
inline constexpr CheckCode no_wood_behind{"no_wood_behind", Severity::note};
inline constexpr CheckCode ceiling_differs{"ceiling_differs", Severity::warning};
inline constexpr CheckCode floor_falls{"floor_falls", Severity::note};
inline constexpr CheckCode ceiling_without_floor{"ceiling_without_floor", Severity::warning};
inline constexpr CheckCode ends_not_parallel{"ends_not_parallel", Severity::note};
inline constexpr CheckCode face_not_straight{"face_not_straight", Severity::note};
inline constexpr CheckCode corner_not_square{"corner_not_square", Severity::note};
inline constexpr CheckCode corner_impossible{"corner_impossible", Severity::warning};
inline constexpr CheckCode build_up_differs{"build_up_differs", Severity::warning};
inline constexpr CheckCode room_does_not_close{"room_does_not_close", Severity::warning};
} // namespace checks

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
