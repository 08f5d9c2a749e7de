#include "core/reckon/aisles.hpp"

#include "core/site/check_writer.hpp"
#include "core/site/footprint.hpp"

#include <algorithm>
#include <map>

namespace yes_square {
namespace {

constexpr double touches = 0.001; // m: it stands against that on purpose

/// What stands in one's way, with a name of its own.
struct InTheWay : Footprint {
    std::string said;
};

class AisleChecker : CheckWriter {
public:
    AisleChecker(const Job& job, const Plan& plan, const RoomPlan& room, std::vector<Check>& checks)
        : CheckWriter{checks}
        , job_{job}
        , plan_{plan}
        , room_{room} {}

    void check() {
        for (const PlanWall& line : room_.walls)
            add_wall(line);
        for (const auto* lines : {&room_.walls, &room_.islands})
            for (const PlanWall& line : *lines)
                for (Footprint& each : footprints_of(line, wall(line.wall), *plan_.walls[line.wall]))
                    if (!each.leaf)
                        static_cast<Footprint&>(all_.emplace_back()) = std::move(each);
        for (InTheWay& each : all_)
            if (each.said.empty())
                each.said = each.name + " (" + wall(each.wall).name + ")";
        for (const PlanWall& line : room_.islands)
            island(line.wall);
    }

private:
    const Wall& wall(std::size_t index) const { return job_.walls[index]; }

    /// From the floor to as high as one walks.
    void add_wall(const PlanWall& line) {
        constexpr double thick = 0.1;
        const Wall& of = wall(line.wall);
        InTheWay& stands = all_.emplace_back();
        stands.wall = line.wall;
        stands.corners = {line.from, line.to, off(line, of.length, -thick), off(line, Length{}, -thick)};
        stands.top = 2000_mm;
        stands.said = of.name;
    }

    /// Two sides of one island share their backs.
    bool one_island(std::size_t a, std::size_t b) const {
        const auto* one = wall(a).open_floor();
        const auto* other = wall(b).open_floor();
        return a == b || (one && other && (one->from == wall(b).id || other->from == wall(a).id));
    }

    /// What is nearest to an island of another wall.
    struct Nearest {
        double away = 1e9;
        const InTheWay* own = nullptr;
        const InTheWay* other = nullptr;
    };

    void island(std::size_t index) {
        std::map<std::size_t, Nearest> of_walls;
        for (const InTheWay& mine : all_) {
            if (mine.wall != index)
                continue;
            for (const InTheWay& other : all_) {
                if (one_island(index, other.wall) || !mine.at_height_of(other))
                    continue;
                if (overlap(mine.corners, other.corners))
                    return stands_in(mine, other);
                Nearest& nearest = of_walls[other.wall];
                if (const double away = apart(mine.corners, other.corners); away < nearest.away)
                    nearest = {away, &mine, &other};
            }
        }
        // What stands against something of a wall on purpose leaves no aisle there.
        std::erase_if(of_walls, [](const auto& of_wall) { return of_wall.second.away <= touches; });
        const auto found =
            std::ranges::min_element(of_walls, {}, [](const auto& of_wall) { return of_wall.second.away; });
        if (found == of_walls.end())
            return;
        const auto [least, own, nearest] = found->second;
        const Length wanted = job_.rules.runs.aisle_least;
        // Carcasses were measured between; doors and worktops stand out before them.
        const Length fronts = job_.rules.runs.worktop_overhang * (nearest->item.empty() ? 1 : 2);
        const Length away = std::max(Length{}, Length::nearest_to_metres(least) - fronts);
        if (away >= wanted)
            return;
        Check& narrow = add(checks::aisle_narrow,
                            {"Between {0} and {1} there are {2}: {3} less than one wants to walk and work",
                             {own->said, nearest->said, quantity(away), quantity(wanted - away)}},
                            quantity(wanted - away));
        advise(narrow, {"Set the island {0} further off, or make it less deep", {quantity(wanted - away)}});
        advise(narrow, {"Doors and drawers that meet there are dotted in the room from above"});
    }

    void stands_in(const InTheWay& mine, const InTheWay& other) {
        advise(add(checks::island_stands_in, {"{0} stands in {1}", {mine.said, other.said}}),
               {"Set the island out anew: how far out of its wall, and where along it"});
    }

    const Job& job_;
    const Plan& plan_;
    const RoomPlan& room_;
    std::vector<InTheWay> all_;
};

} // namespace

std::vector<Check> check_aisles(const Job& job, const Plan& plan, const RoomPlan& room) {
    std::vector<Check> checks;
    if (!room.islands.empty())
        AisleChecker{job, plan, room, checks}.check();
    return checks;
}

} // namespace yes_square
