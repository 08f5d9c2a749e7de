#include "core/survey/room_plan.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace yes_square {
namespace {

/// Those that stand, in the order they are walked.
std::vector<std::size_t> walls_of(const Job& job, const std::string& room) {
    std::vector<std::size_t> walls;
    for (std::size_t i = 0; i < job.walls.size(); ++i)
        if (job.walls[i].room == room && !job.walls[i].open_floor())
            walls.push_back(i);
    return walls;
}

/// The line of an island that is so set out from another line of the plan.
PlanWall line_from(const PlanWall& other, const Wall& other_wall, const Wall& island, std::size_t index) {
    const OpenFloor& floor = *island.open_floor();
    const bool other_side = other_wall.open_floor() != nullptr;
    const bool turned = other_side || floor.faces_wall;
    const Length left = other_side         ? other_wall.length - floor.along
                        : floor.faces_wall ? floor.along + island.length
                                           : floor.along;
    PlanWall line;
    line.wall = index;
    line.from = off(other, left, (other_side ? -floor.out : floor.out).in_metres());
    line.heading = other.heading + (turned ? std::numbers::pi : 0);
    line.to = off(line, island.length, 0);
    return line;
}

/// Those set out from walls first: another side stands with its back to one of them.
void place_islands(const Job& job, RoomPlan& plan) {
    const auto find_in = [&](const std::vector<PlanWall>& lines, const std::string& id) {
        const auto found = std::ranges::find(lines, id, [&](const PlanWall& line) { return job.walls[line.wall].id; });
        return found == lines.end() ? nullptr : &*found;
    };
    for (const bool other_side : {false, true}) {
        std::vector<PlanWall> placed;
        for (std::size_t i = 0; i < job.walls.size(); ++i) {
            const Wall& wall = job.walls[i];
            const OpenFloor* floor = wall.open_floor();
            if (wall.room != plan.room || !floor)
                continue;
            if (const PlanWall* from = find_in(other_side ? plan.islands : plan.walls, floor->from))
                placed.push_back(line_from(*from, job.walls[from->wall], wall, i));
            else if (other_side && !find_in(plan.islands, wall.id))
                plan.unplaced.push_back(i);
        }
        plan.islands.insert(plan.islands.end(), placed.begin(), placed.end());
    }
}

/// The corner at a wall's right end: as measured, or square.
struct Turn {
    CornerAngle angle;
    bool measured = false;
};
Turn turn_after(const Wall& wall, const Reader& reader) {
    if (wall.corner) {
        const auto found = corner_angle(*wall.corner, wall.right_end, reader);
        if (const auto* angle = std::get_if<CornerAngle>(&found))
            return {*angle, true};
    }
    const double right = std::numbers::pi / 2;
    return {{wall.right_end == WallEnd::outside_corner ? 3 * right : right, 0, 0, {}, true}, false};
}

/// A room goes round from its last wall to its first where there are enough walls for it and no end is free.
bool goes_round(const Job& job, const std::vector<std::size_t>& walls) {
    return walls.size() >= 3 && std::ranges::none_of(walls, [&](std::size_t i) {
               return job.walls[i].left_end == WallEnd::open || job.walls[i].right_end == WallEnd::open;
           });
}

} // namespace

PlanPoint off(const PlanWall& wall, Length along, double into) {
    const double a = along.in_metres();
    const double c = std::cos(wall.heading);
    const double s = std::sin(wall.heading);
    return {wall.from.x + a * c + into * s, wall.from.y + a * s - into * c};
}

RoomPlan room_plan(const Job& job, const std::string& room, const Reader& reader) {
    RoomPlan plan;
    plan.room = room;
    const std::vector<std::size_t> walls = walls_of(job, room);
    plan.closed = goes_round(job, walls);
    plan.every_turn_measured = plan.closed;
    PlanPoint at;
    double heading = 0;
    double squares = 0; // of the closing limit, m2
    std::vector<std::pair<PlanPoint, double>> turns;
    for (const std::size_t index : walls) {
        const Wall& wall = job.walls[index];
        const double length = wall.length.in_metres();
        PlanWall placed{index, at, {at.x + length * std::cos(heading), at.y + length * std::sin(heading)}, heading};
        const Turn turn = turn_after(wall, reader);
        placed.turn_measured = turn.measured;
        plan.every_turn_measured = plan.every_turn_measured && turn.measured;
        at = placed.to;
        turns.emplace_back(at, turn.angle.limit);
        // Walking with the wall ahead on the left hand, an inside corner turns right.
        heading -= std::numbers::pi - turn.angle.room_side;
        const double limit = limit_of_error(wall.length, reader).in_metres();
        squares += limit * limit;
        plan.walls.push_back(placed);
    }
    plan.closing = at;
    plan.closing_error = Length::nearest_to_metres(std::hypot(at.x, at.y));
    for (const auto& [corner, limit] : turns) {
        const double swing = limit * std::hypot(corner.x, corner.y);
        squares += swing * swing;
    }
    plan.closing_limit = Length::nearest_to_metres(std::sqrt(squares));
    plan.closes = !plan.closed || plan.closing_error <= plan.closing_limit;
    place_islands(job, plan);
    return plan;
}

std::optional<Neighbour> neighbour_at(const Job& job, const Wall& wall, bool right, const Reader& reader) {
    if ((right ? wall.right_end : wall.left_end) == WallEnd::open)
        return std::nullopt;
    const std::vector<std::size_t> walls = walls_of(job, wall.room);
    const auto here = std::ranges::find_if(walls, [&](std::size_t i) { return job.walls[i].id == wall.id; });
    if (here == walls.end() || walls.size() < 2)
        return std::nullopt;
    const bool round = goes_round(job, walls);
    const Wall* other = nullptr;
    if (right)
        other = here + 1 != walls.end() ? &job.walls[*(here + 1)] : (round ? &job.walls[walls.front()] : nullptr);
    else
        other = here != walls.begin() ? &job.walls[*(here - 1)] : (round ? &job.walls[walls.back()] : nullptr);
    if (!other || (right ? other->left_end : other->right_end) == WallEnd::open)
        return std::nullopt;
    const Turn turn = turn_after(right ? wall : *other, reader);
    Neighbour neighbour{other->id,    other->name,   right ? wall.right_end : wall.left_end,
                        turn.angle,   turn.measured, other->structure,
                        other->lining};
    for (const Stud& stud : other->studs)
        if (stud.state != StudState::assumed)
            neighbour.studs.push_back(right ? stud.centre : other->length - stud.centre);
    return neighbour;
}

} // namespace yes_square
