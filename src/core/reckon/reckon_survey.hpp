#pragma once

#include "core/reckon/surroundings.hpp"

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
inline constexpr CheckCode island_unplaced{"island_unplaced", Severity::error, Bears::elsewhere};
inline constexpr CheckCode room_does_not_close{"room_does_not_close", Severity::warning};
} // namespace checks

/// What the survey of a wall comes to, with its checks and workings. Never throws for a strange wall.
WallSurvey reckon_survey(const Wall& wall, const WallSurroundings& around, const HouseRules& rules);

/// Whether two walls read the same to reckon_survey: everything but what hangs or stands on them.
bool same_survey(const Wall& a, const Wall& b);

RoomSurvey reckon_room(const Job& job, const Room& room);

} // namespace yes_square
