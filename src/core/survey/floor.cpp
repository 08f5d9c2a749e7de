#include "core/survey/floor.hpp"

#include <algorithm>
#include <map>

namespace yes_square {
namespace {

/// Readings by place, those of one place averaged.
template <class Reading>
std::vector<ProfilePoint> by_place(const std::vector<Reading>& readings, Length length, auto&& height) {
    struct Sum {
        Length total;
        std::int64_t number = 0;
    };
    std::map<Length, Sum> places;
    for (const Reading& reading : readings)
        if (reading.x <= length) {
            Sum& sum = places[reading.x];
            sum.total += height(reading);
            ++sum.number;
        }
    std::vector<ProfilePoint> points;
    for (const auto& [x, sum] : places)
        points.push_back({x, sum.total / sum.number});
    return points;
}

} // namespace

RoomFloor room_floor(const Job& job, const std::string& room) {
    RoomFloor floor;
    const auto found = std::ranges::find(job.rooms, room, &Room::id);
    if (found != job.rooms.end()) {
        floor.build_up = found->floor_build_up();
        floor.under_units = found->floor_under_units;
    }
    for (const Wall& wall : job.walls) {
        if (wall.room != room)
            continue;
        for (const ProfilePoint& point :
             by_place(wall.floor, wall.length, [](const FloorReading& reading) { return reading.down; }))
            if (!floor.least_down || point.z < *floor.least_down) {
                floor.least_down = point.z;
                floor.high_wall = wall.id;
                floor.high_x = point.x;
            }
    }
    return floor;
}

std::optional<Length> height_at(const std::vector<ProfilePoint>& points, Length x) {
    if (points.empty())
        return std::nullopt;
    const auto after = std::ranges::lower_bound(points, x, {}, &ProfilePoint::x);
    if (after == points.begin())
        return points.front().z;
    if (after == points.end())
        return points.back().z;
    const ProfilePoint& from = *(after - 1);
    const double share = (x - from.x).in_metres() / (after->x - from.x).in_metres();
    return from.z + Length::nearest_to_metres((after->z - from.z).in_metres() * share);
}

std::optional<Length> lowest_between(const std::vector<ProfilePoint>& points, Length from, Length to) {
    if (points.empty())
        return std::nullopt;
    Length lowest = std::min(*height_at(points, from), *height_at(points, to));
    for (const ProfilePoint& point : points)
        if (point.x > from && point.x < to)
            lowest = std::min(lowest, point.z);
    return lowest;
}

Length FloorProfile::standing_at(Length x) const {
    return height_at(floor, x).value_or(-build_up) + (under_units ? build_up : Length{});
}

FloorProfile floor_profile(const Wall& wall, const RoomFloor& room, const Reader& reader) {
    FloorProfile profile;
    profile.build_up = room.build_up;
    profile.under_units = room.under_units;
    if (!room.least_down)
        return profile;
    const Length line = *room.least_down - room.build_up;
    profile.level_line = line;
    profile.floor = by_place(wall.floor, wall.length, [&](const FloorReading& reading) { return line - reading.down; });
    profile.ceiling =
        by_place(wall.ceiling, wall.length, [&](const CeilingReading& reading) { return line + reading.up; });
    if (profile.floor.empty())
        return profile;
    profile.high = *std::ranges::max_element(profile.floor, {}, &ProfilePoint::z);
    profile.low = *std::ranges::min_element(profile.floor, {}, &ProfilePoint::z);
    profile.limit =
        combined_limit({limit_of_error(line - profile.high.z, reader), limit_of_error(line - profile.low.z, reader)});
    profile.uneven = profile.fall() > profile.limit;
    return profile;
}

} // namespace yes_square
