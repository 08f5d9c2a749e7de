#include "core/shelves/new_shelf.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr Length end_inset = 50_mm;
constexpr Length corner_gap = 2_mm;     ///< a board is cut this much short of the one it meets in a corner
constexpr Length hanger_every = 600_mm; ///< where nobody knows the joists

/// Whether brackets could stand under a stretch of the shelf: no opening takes the wall there.
bool wall_under(const Wall& wall, Length leg_room, const Shelf& shelf, Length x) {
    return std::ranges::none_of(wall.openings, [&](const Opening& opening) {
        return x > opening.left && x < opening.left + opening.width && opening.bottom < shelf.underside() &&
               opening.bottom + opening.height > shelf.underside() - leg_room;
    });
}

/// Hangers over the stretches that have no wall under them.
void hang_over_openings(const Wall& wall, Length leg_room, Shelf& shelf) {
    std::vector<Length> places = wall.joists;
    if (places.empty())
        for (Length at = hanger_every / 2; at < wall.length; at += hanger_every)
            places.push_back(at);
    for (const Length at : places)
        if (at > shelf.left + end_inset && at < shelf.right() - end_inset && !wall_under(wall, leg_room, shelf, at))
            shelf.hangers.push_back(at - shelf.left);
}

/// Joints over studs, so that no board is longer than boards are to be had.
void join_boards(const Wall& wall, const HouseRules& house, Shelf& shelf) {
    const ShelfRules& rules = house.shelves;
    // From corner to corner each is sawn longer than it is.
    const Length longest = std::max(1_mm, rules.board_longest - house.cutting.scribe_allowance);
    Length from;
    while (shelf.length - from > longest) {
        Length best;
        for (const Stud& stud : wall.studs) {
            const Length at = stud.centre - shelf.left;
            if (stud.state != StudState::assumed && at - from <= longest && at > best &&
                at < shelf.length - end_inset && wall_under(wall, rules.leg_room, shelf, stud.centre))
                best = at;
        }
        if (best <= from)
            best = from + longest; // no stud known: flagged by its check
        shelf.joints.push_back(best);
        from = best;
    }
}

} // namespace

Shelf new_shelf(const ShelfPreset& preset, const Wall& wall) {
    Shelf shelf;
    shelf.length = std::min(preset.length, wall.length);
    shelf.left = (wall.length - shelf.length) / 2;
    shelf.height = std::min(preset.height, wall.height);
    shelf.depth = preset.depth;
    shelf.thickness = preset.thickness;
    shelf.material = preset.material;
    shelf.load.kind = preset.load;
    preset.way->place(wall, shelf);
    shelf.holding = preset.way->usual(shelf);
    shelf.hollow = preset.way->make_up();
    return shelf;
}

void hang_as(const ShelfPreset& preset, Shelf& shelf, const Wall& wall) {
    const Shelf usual = new_shelf(preset, wall);
    const bool desk = preset.load == LoadKind::desk;
    if (desk || shelf.load.kind == LoadKind::desk)
        shelf.load = usual.load;
    // A board's thickness is no rail's height and no pole's diameter.
    if (preset.way->own_thickness() || way_of(shelf).own_thickness()) {
        shelf.thickness = usual.thickness;
        shelf.depth = usual.depth;
        shelf.load = usual.load;
        shelf.material = usual.material;
        shelf.hollow = usual.hollow;
        shelf.board_mass = {};
    }
    if (!preset.way->is_board()) {
        shelf.hollow.reset();
        shelf.cut_outs.clear();
        shelf.board_mass = {};
    }
    if (desk)
        shelf.height = usual.height;
    if (!preset.way->boards_on_arms() || desk) {
        shelf.tiers = 1;
        shelf.joints.clear();
        shelf.hangers.clear();
    }
    shelf.holding = preset.way->usual(shelf);
}

std::vector<std::pair<std::string, Shelf>> shelves_round_room(const Job& job, const std::string& room,
                                                              const Shelf& like) {
    std::vector<std::pair<std::string, Shelf>> shelves;
    for (const Wall& wall : job.walls) {
        if (wall.room != room)
            continue;
        Shelf shelf = like;
        shelf.id.clear();
        shelf.name = like.name + ", " + wall.name; // each is known apart
        shelf.joints.clear();
        shelf.hangers.clear();
        shelf.tiers = 1;
        // Walls come in walking order: of two boards in a corner the earlier runs through.
        const bool butts = !shelves.empty() && wall.left_end == WallEnd::corner;
        shelf.left = butts ? like.depth + corner_gap : Length{};
        Length right = wall.length;
        const bool last = &wall == &*std::find_if(job.walls.rbegin(), job.walls.rend(),
                                                  [&](const Wall& other) { return other.room == room; });
        if (last && shelves.size() >= 3 && wall.right_end == WallEnd::corner)
            right -= like.depth + corner_gap; // comes back to the first
        shelf.length = right - shelf.left;
        if (shelf.length <= 2 * end_inset)
            continue;
        hang_over_openings(wall, job.rules.shelves.leg_room, shelf);
        join_boards(wall, job.rules, shelf);
        shelves.emplace_back(wall.id, std::move(shelf));
    }
    return shelves;
}

} // namespace yes_square
