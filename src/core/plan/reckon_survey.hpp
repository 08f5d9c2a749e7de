#pragma once

#include "core/plan/plan.hpp"

namespace yes_square {

/// What a wall's survey depends on beyond the wall itself: its room and its neighbours.
struct WallSurroundings {
    ServiceClass service_class = ServiceClass::dry;
    RoomFloor floor;
    Reader reader;
    std::optional<Neighbour> left;
    std::optional<Neighbour> right;
    std::vector<CornerThing> corner_things;

    bool operator==(const WallSurroundings&) const = default;
};

/// Of every wall, as in the job.
std::vector<WallSurroundings> surroundings_of(const Job& job);

/// What the survey of a wall comes to, with its checks and workings. Never throws for a strange wall.
WallSurvey reckon_survey(const Wall& wall, const WallSurroundings& around, const HouseRules& rules);

/// Whether two walls read the same to reckon_survey: everything but what hangs on them.
bool same_survey(const Wall& a, const Wall& b);

RoomSurvey reckon_room(const Job& job, const Room& room);

} // namespace yes_square
