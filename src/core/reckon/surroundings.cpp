#include "core/reckon/surroundings.hpp"

#include "core/runs/unit_loads.hpp"
#include "core/site/packing.hpp"
#include "core/site/wall_thing.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// What stands on the next wall so near the corner that something on this wall is deep enough to meet it.
/// @param around  of the next wall
void add_corner_things(const Wall& wall, const Wall& next, const WallSurroundings& around, bool at_right_end,
                       std::vector<CornerThing>& things) {
    Length deepest;
    for_each_thing(wall, [&]<class Thing>(const Thing& thing) {
        if constexpr (std::is_same_v<Thing, Run>)
            for (const CabinetUnit& unit : thing.units)
                deepest = std::max(deepest, unit.depth);
        for (const WallThing& room : room_of(thing)) // what is right before a wardrobe's doors and drawers counts too
            deepest = std::max(deepest, std::is_same_v<Thing, StorageSystem> ? 2 * room.depth : room.depth);
    });
    for (std::size_t r = 0; r < next.runs.size(); ++r)
        for (std::size_t i = 0; i < next.runs[r].units.size(); ++i) {
            const CabinetUnit& unit = next.runs[r].units[i];
            const PlacedUnit& place = around.runs[r].units[i];
            const Length from_corner = at_right_end ? place.left : next.length - place.right();
            if (from_corner >= deepest || unit.kind == UnitKind::appliance_gap)
                continue;
            const StandsOn on = stands_on(unit, next.runs[r].level);
            const auto line = around.lines.find(on.line);
            const Length z = line == around.lines.end() ? Length{} : line->second;
            const Length bottom = on.by_top ? z - unit.height : z;
            things.push_back({at_right_end, std::max(unit.depth, unit.return_width), from_corner, bottom,
                              bottom + unit.height, unit.name});
        }
    for_each_thing(next, [&](const auto& thing) {
        for (const WallThing& room : room_of(thing)) {
            const Length from_corner = at_right_end ? room.box.left : next.length - room.box.right;
            if (from_corner < deepest)
                things.push_back({at_right_end, room.depth, from_corner, room.box.bottom, room.box.top, room.name});
        }
    });
}

/// The wall that an island is set out from, or its other side, if that is set out from a wall itself.
std::optional<SetOutFrom> set_out_from(const Job& job, const Wall& island, const OpenFloor& floor,
                                       bool of_other_side = false) {
    const auto from = std::ranges::find_if(
        job.walls, [&](const Wall& wall) { return wall.id == floor.from && wall.room == island.room; });
    if (from == job.walls.end())
        return std::nullopt;
    const auto* other = from->open_floor();
    if (other && (of_other_side || !set_out_from(job, *from, *other, true)))
        return std::nullopt;
    return SetOutFrom{from->name, other != nullptr};
}

/// The base units of an island's two sides as one sees them from the back of the other. Either is set out from the
/// other.
void add_behind(const Wall& wall, const OpenFloor& floor, const Wall& other, const std::vector<RunLayout>& runs,
                const RunRules& rules, std::vector<StandsBehind>& behind) {
    const auto* other_floor = other.open_floor();
    if (!other_floor || (floor.from != other.id && other_floor->from != wall.id))
        return;
    const bool from_it = floor.from == other.id;
    // Seen from the back, its right end is to the left: at `along`, where this side is set out from it.
    const Length right_end = from_it ? -floor.along : wall.length - other_floor->along - other.length;
    const Length gap = (from_it ? floor : *other_floor).out;
    for (std::size_t r = 0; r < other.runs.size() && r < runs.size(); ++r)
        for (std::size_t u = 0; u < runs[r].units.size(); ++u) {
            const CabinetUnit& unit = other.runs[r].units[u];
            const PlacedUnit& place = runs[r].units[u];
            if (other.runs[r].level == RunLevel::floor && is_cabinet(unit))
                behind.push_back(
                    {unit.name, right_end + other.length - place.right(), right_end + other.length - place.left, gap,
                     unit.depth,
                     rails_of(unit, rules).empty() ? Mass{0} : empty_mass_of(unit)}); // a thin back holds no screw
        }
}

/// How a wall's face leans at one of its ends, by the heights of its strings. Empty: nothing was read there.
std::vector<ProfilePoint> lean_at_end(const Wall& wall, bool right_end, const Reader& reader) {
    const FaceProfile face = face_profile(wall, reader);
    std::vector<ProfilePoint> lean;
    for (const FaceRow& row : face.rows)
        lean.push_back({row.z, *face.shim_at(right_end ? wall.length : Length{}, row.z)});
    return lean;
}

} // namespace

std::vector<WallSurroundings> surroundings_of(const Job& job, const std::vector<RoomLines>& lines) {
    const Reader reader = Reader::of(job);
    std::map<std::string, RoomFloor> floors;
    std::map<std::string, const Wall*> walls;
    for (const Wall& wall : job.walls) {
        walls[wall.id] = &wall;
        if (!floors.contains(wall.room))
            floors[wall.room] = room_floor(job, wall.room);
    }
    std::vector<WallSurroundings> all;
    all.reserve(job.walls.size());
    for (const Wall& wall : job.walls) {
        WallSurroundings& around = all.emplace_back();
        const Room* room = room_of(job, wall);
        around.service_class = room ? room->service_class : ServiceClass::dry;
        around.floor = floors[wall.room];
        around.reader = reader;
        around.left = neighbour_at(job, wall, false, reader);
        around.right = neighbour_at(job, wall, true, reader);
        if (room)
            for (const LinePlan& line : lines[static_cast<std::size_t>(room - job.rooms.data())].lines)
                around.lines.emplace(line.id, line.z);
        if (wall.runs.empty())
            continue;
        RunNeighbours beside;
        for (const auto* neighbour : {&around.left, &around.right})
            if (*neighbour && (*neighbour)->corner == WallEnd::corner)
                for (const Run& run : walls[(*neighbour)->wall]->runs)
                    beside.reach[run.id] = reach_of(run, job.rules.runs, neighbour == &around.left);
        // The wall before this one ends in its left corner, the next begins in its right.
        if (around.left && around.left->corner == WallEnd::corner)
            around.left_lean = lean_at_end(*walls[around.left->wall], true, reader);
        if (around.right && around.right->corner == WallEnd::corner)
            around.right_lean = lean_at_end(*walls[around.right->wall], false, reader);
        const auto widths = width_profile(wall, reader);
        around.runs = place_runs(wall, widths ? widths->least : wall.length, beside);
    }
    for (std::size_t i = 0; i < all.size(); ++i)
        if (const auto* floor = job.walls[i].open_floor()) {
            all[i].set_out_from = set_out_from(job, job.walls[i], *floor);
            for (std::size_t j = 0; j < all.size(); ++j)
                if (job.walls[j].room == job.walls[i].room && i != j)
                    add_behind(job.walls[i], *floor, job.walls[j], all[j].runs, job.rules.runs, all[i].behind);
        }
    for (std::size_t i = 0; i < all.size(); ++i)
        for (const auto* neighbour : {&all[i].left, &all[i].right})
            if (*neighbour && (*neighbour)->corner == WallEnd::corner) {
                const Wall& next = *walls[(*neighbour)->wall];
                add_corner_things(job.walls[i], next, all[static_cast<std::size_t>(&next - job.walls.data())],
                                  neighbour == &all[i].right, all[i].corner_things);
            }
    return all;
}

} // namespace yes_square
