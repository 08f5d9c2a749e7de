#pragma once

#include "core/survey/limits.hpp"

#include <optional>
#include <string>
#include <vector>

/// Floor and ceiling along a wall, from one level line. The datum is the finished floor at its highest: the high point
/// of the floor that is there now, in the whole room, with every layer still to be laid on it.
namespace yes_square {

/// What a room's readings come to together.
struct RoomFloor {
    std::optional<Length> least_down; ///< of all its walls, from the level line; none: no readings
    std::string high_wall;            ///< id of the wall where the floor is highest
    Length high_x;
    Length build_up; ///< layers still to be laid
    bool under_units = true;
    bool operator==(const RoomFloor&) const = default;
};
RoomFloor room_floor(const Job& job, const std::string& room);

/// A place along the wall and a height there above the datum.
struct ProfilePoint {
    Length x;
    Length z;
    bool operator==(const ProfilePoint&) const = default;
};

/// Straight between points, level beyond the first and the last. No points: none.
std::optional<Length> height_at(const std::vector<ProfilePoint>& points, Length x);
/// Lowest height over a stretch; none without points.
std::optional<Length> lowest_between(const std::vector<ProfilePoint>& points, Length from, Length to);

struct FloorProfile {
    std::vector<ProfilePoint> floor;   ///< as it is now, in order; readings of one place are averaged
    std::vector<ProfilePoint> ceiling; ///< empty without floor readings: its height hangs on them
    std::optional<Length> level_line;  ///< above the datum
    Length build_up;
    bool under_units = true;
    ProfilePoint high; ///< of this wall's floor
    ProfilePoint low;
    Length limit;        ///< of error of a difference between two floor readings
    bool uneven = false; ///< high and low differ by more than the limit

    bool measured() const { return !floor.empty(); }
    Length fall() const { return high.z - low.z; }
    /// Height above the floor as it is now at x of something at z above the datum. Without readings the floor is level.
    Length above_floor_now(Length x, Length z) const { return z - height_at(floor, x).value_or(-build_up); }
    /// What base units stand on at x: the finished floor where it is laid first, its layers following the floor as it
    /// is; else the floor as it is now.
    Length standing_at(Length x) const;
};

/// Readings beyond the wall's ends are left out.
FloorProfile floor_profile(const Wall& wall, const RoomFloor& room, const Reader& reader);

} // namespace yes_square
