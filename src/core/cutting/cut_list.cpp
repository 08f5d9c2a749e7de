#include "core/cutting/cut_list.hpp"
#include "core/job/along.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// Wood between two studs, for the first thing that it holds.
CutPiece nogging_piece(const Nogging& nogging, const Wall& wall, const WallPlan& plan) {
    std::string item;
    for_each_thing(plan, [&](const ThingPlan& thing) {
        if (item.empty() && !nogging.holds.empty() && thing.name == nogging.holds.front().shelf)
            item = thing.id;
    });
    const auto* framing = std::get_if<Framing>(&wall.structure);
    return {strip_part(std::move(item),
                       {"nogging at {0}, {1} up",
                        {along(wall, wall.tape().near(nogging.left, nogging.right)), quantity(nogging.z)}},
                       nogging.length(), framing ? framing->stud_depth : 89_mm, framing ? framing->stud_width : 38_mm,
                       StuffKind::stud, "stud timber"),
            wall.id};
}

} // namespace

std::vector<CutPiece> cut_list(const Job& job, const Plan& plan, const Scope& scope) {
    std::vector<CutPiece> pieces;
    for (std::size_t w = 0; w < job.walls.size() && w < plan.walls.size(); ++w) {
        const WallPlan& wall = *plan.walls[w];
        for (const Nogging& nogging : wall.noggings)
            pieces.push_back(nogging_piece(nogging, job.walls[w], wall));
        for_each_thing(wall, [&](const ThingPlan& thing) {
            for (const CutPart& part : thing.parts)
                pieces.push_back({part, wall.wall_id});
        });
    }
    for (std::size_t i = 0; i < pieces.size(); ++i)
        if (pieces[i].label.empty())
            pieces[i].label = std::to_string(i + 1);
    std::erase_if(pieces, [&](const CutPiece& piece) {
        const auto wall = std::ranges::find(job.walls, piece.wall, &Wall::id);
        return wall == job.walls.end() || !scope.takes(*wall);
    });
    return pieces;
}

} // namespace yes_square
