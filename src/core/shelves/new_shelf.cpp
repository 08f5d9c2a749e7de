#include "core/shelves/new_shelf.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr Length end_inset = 50_mm;
constexpr Length pole_past_trim = 5_in;
constexpr Length corner_gap = 2_mm;     ///< a board is cut this much short of the one it meets in a corner
constexpr Length leg_room = 350_mm;     ///< wall that brackets want under a board (house rule, the usual longest leg)
constexpr Length hanger_every = 600_mm; ///< where nobody knows the joists

Plate plate_with(Length width, Length height, Length thickness, Length hole, std::vector<PlateHole> holes) {
    Plate plate;
    plate.width = width;
    plate.height = height;
    plate.thickness = thickness;
    plate.hole_diameter = hole;
    plate.holes = std::move(holes);
    return plate;
}

/// Two holes in a row near the ends, or two rows of them.
std::vector<PlateHole> corner_holes(Length width, Length height, bool two_rows) {
    std::vector<PlateHole> holes{{end_inset, 30_mm}, {width - end_inset, 30_mm}};
    if (two_rows) {
        holes.push_back({end_inset, height - 30_mm});
        holes.push_back({width - end_inset, height - 30_mm});
    }
    return holes;
}

struct Size {
    Length length;
    Length height;
    Length depth;
    Length thickness;
    BoardMaterial material = BoardMaterial::birch_plywood;
    LoadKind load = LoadKind::books;
};

Size usual_size(ShelfKind kind) {
    switch (kind) {
    case ShelfKind::brackets:
        return {1200_mm, 1500_mm, 250_mm, 22_mm};
    case ShelfKind::standards:
        return {1200_mm, 1800_mm, 250_mm, 22_mm};
    case ShelfKind::hidden_bracket:
        return {900_mm, 1500_mm, 235_mm, 50_mm, BoardMaterial::particleboard_p2, LoadKind::display};
    case ShelfKind::hidden_rods:
        return {900_mm, 1500_mm, 200_mm, 40_mm, BoardMaterial::red_oak, LoadKind::display};
    case ShelfKind::keyholes:
        return {1000_mm, 1500_mm, 150_mm, 100_mm, BoardMaterial::birch_plywood, LoadKind::display};
    case ShelfKind::cleats:
        return {900_mm, 1500_mm, 300_mm, 25_mm};
    case ShelfKind::desk:
        return {1400_mm, 730_mm, 600_mm, 30_mm, BoardMaterial::birch_plywood, LoadKind::desk};
    case ShelfKind::hook_rail:
        return {1000_mm, 1700_mm, 80_mm, 95_mm, BoardMaterial::red_oak, LoadKind::clothes};
    case ShelfKind::pole:
        return {1400_mm, 2100_mm, 90_mm, 28_mm, BoardMaterial::red_oak, LoadKind::display};
    case ShelfKind::fixture:
        return {600_mm, 1100_mm, 100_mm, 500_mm, BoardMaterial::birch_plywood, LoadKind::display};
    }
    return {};
}

Holding usual_holding(ShelfKind kind, const Shelf& shelf) {
    switch (kind) {
    case ShelfKind::brackets:
    case ShelfKind::desk:
        return OnBrackets{};
    case ShelfKind::standards:
        return OnStandards{};
    case ShelfKind::hidden_bracket: {
        OnHiddenBracket how;
        how.offset = 40_mm;
        how.down = 10_mm;
        const Length width = shelf.length - 2 * how.offset;
        how.plate = plate_with(width, 40_mm, 5_mm, Length::micrometres(5500), {});
        for (int i = 0; i < 4; ++i)
            how.plate.holes.push_back({30_mm + (width - 60_mm) * i / 3, 8_mm, i == 0 || i == 3});
        return how;
    }
    case ShelfKind::hidden_rods: {
        OnHiddenRods how;
        how.diameter = 10_mm;
        return how;
    }
    case ShelfKind::keyholes: {
        OnKeyholes how;
        how.plate =
            plate_with(shelf.length, shelf.thickness, 4_mm, 5_mm, corner_holes(shelf.length, shelf.thickness, false));
        return how;
    }
    case ShelfKind::cleats:
        return OnCleats{};
    case ShelfKind::hook_rail:
        return HookRail{};
    case ShelfKind::pole:
        return Pole{};
    case ShelfKind::fixture: {
        Fixture how;
        how.plate =
            plate_with(shelf.length, shelf.thickness, 4_mm, 6_mm, corner_holes(shelf.length, shelf.thickness, true));
        how.mass_kg = 20;
        return how;
    }
    }
    return OnBrackets{};
}

/// A curtain pole over the first window: 5 in past its trim at each end, six tenths of the way from trim to ceiling
/// (common practice: 4 to 6 in, one half to two thirds).
void over_window(const Wall& wall, Shelf& shelf) {
    const auto window = std::ranges::find(wall.openings, OpeningKind::window, &Opening::kind);
    if (window == wall.openings.end())
        return;
    const Length trim = window->bottom + window->height;
    shelf.left = std::max(Length{}, window->left - pole_past_trim);
    shelf.length = std::min(wall.length, window->left + window->width + pole_past_trim) - shelf.left;
    shelf.height = trim + (wall.height - trim) * 6 / 10;
}

/// Whether brackets could stand under a stretch of the shelf: no opening takes the wall there.
bool wall_under(const Wall& wall, const Shelf& shelf, Length x) {
    return std::ranges::none_of(wall.openings, [&](const Opening& opening) {
        return x > opening.left && x < opening.left + opening.width && opening.bottom < shelf.underside() &&
               opening.bottom + opening.height > shelf.underside() - leg_room;
    });
}

/// Hangers over the stretches that have no wall under them.
void hang_over_openings(const Wall& wall, Shelf& shelf) {
    std::vector<Length> places = wall.joists;
    if (places.empty())
        for (Length at = hanger_every / 2; at < wall.length; at += hanger_every)
            places.push_back(at);
    for (const Length at : places)
        if (at > shelf.left + end_inset && at < shelf.right() - end_inset && !wall_under(wall, shelf, at))
            shelf.hangers.push_back(at - shelf.left);
}

/// Joints over studs, so that no board is longer than boards are to be had.
void join_boards(const Wall& wall, Length longest, Shelf& shelf) {
    Length from;
    while (shelf.length - from > longest) {
        Length best;
        for (const Stud& stud : wall.studs) {
            const Length at = stud.centre - shelf.left;
            if (stud.state != StudState::assumed && at - from <= longest && at > best &&
                at < shelf.length - end_inset && wall_under(wall, shelf, stud.centre))
                best = at;
        }
        if (best <= from)
            best = from + longest; // no stud known: flagged by its check
        shelf.joints.push_back(best);
        from = best;
    }
}

} // namespace

std::string_view words(ShelfKind kind) {
    switch (kind) {
    case ShelfKind::brackets:
        return "Brackets";
    case ShelfKind::standards:
        return "Slotted uprights";
    case ShelfKind::hidden_bracket:
        return "Hidden bracket";
    case ShelfKind::hidden_rods:
        return "Hidden rods";
    case ShelfKind::keyholes:
        return "Keyhole slots";
    case ShelfKind::cleats:
        return "Cleats, alcove";
    case ShelfKind::desk:
        return "Brackets, a desk";
    case ShelfKind::hook_rail:
        return "Rail with hooks";
    case ShelfKind::pole:
        return "Pole";
    case ShelfKind::fixture:
        return "Fixture's own holes";
    }
    return {};
}

ShelfKind kind_of(const Shelf& shelf) {
    if (shelf.held<OnBrackets>())
        return shelf.load.kind == LoadKind::desk ? ShelfKind::desk : ShelfKind::brackets;
    if (shelf.held<OnStandards>())
        return ShelfKind::standards;
    if (shelf.held<OnHiddenBracket>())
        return ShelfKind::hidden_bracket;
    if (shelf.held<OnHiddenRods>())
        return ShelfKind::hidden_rods;
    if (shelf.held<OnKeyholes>())
        return ShelfKind::keyholes;
    if (shelf.held<OnCleats>())
        return ShelfKind::cleats;
    if (shelf.held<HookRail>())
        return ShelfKind::hook_rail;
    return shelf.held<Pole>() ? ShelfKind::pole : ShelfKind::fixture;
}

Shelf new_shelf(ShelfKind kind, const Wall& wall) {
    const Size size = usual_size(kind);
    Shelf shelf;
    shelf.length = std::min(kind == ShelfKind::cleats ? wall.length : size.length, wall.length);
    shelf.left = (wall.length - shelf.length) / 2;
    shelf.height = std::min(size.height, wall.height);
    shelf.depth = size.depth;
    shelf.thickness = size.thickness;
    shelf.material = size.material;
    shelf.load.kind = size.load;
    if (kind == ShelfKind::pole)
        over_window(wall, shelf);
    if (kind == ShelfKind::standards) {
        shelf.tiers = 3;
        shelf.rise = 320_mm;
    }
    shelf.holding = usual_holding(kind, shelf);
    if (auto* how = std::get_if<OnStandards>(&shelf.holding))
        how->top_over = how->first_slot + 2 * how->slot_pitch;
    return shelf;
}

void hang_as(ShelfKind kind, Shelf& shelf, const Wall& wall) {
    const Shelf usual = new_shelf(kind, wall);
    const bool was_desk = shelf.load.kind == LoadKind::desk;
    if (kind == ShelfKind::desk || was_desk)
        shelf.load = usual.load;
    // A board's thickness is no rail's height and no pole's diameter.
    const auto own_size = [](ShelfKind k) {
        return k == ShelfKind::hook_rail || k == ShelfKind::pole || k == ShelfKind::fixture ||
               k == ShelfKind::keyholes || k == ShelfKind::hidden_bracket || k == ShelfKind::hidden_rods;
    };
    if (own_size(kind) || own_size(kind_of(shelf))) {
        shelf.thickness = usual.thickness;
        shelf.depth = usual.depth;
        shelf.load = usual.load;
        shelf.material = usual.material;
    }
    if (kind == ShelfKind::desk)
        shelf.height = usual.height;
    if (kind != ShelfKind::brackets && kind != ShelfKind::standards) {
        shelf.tiers = 1;
        shelf.joints.clear();
        shelf.hangers.clear();
    }
    shelf.holding = usual_holding(kind, shelf);
}

std::vector<std::pair<std::string, Shelf>> shelves_round_room(const Job& job, const std::string& room,
                                                              const Shelf& like) {
    std::vector<std::pair<std::string, Shelf>> shelves;
    for (const Wall& wall : job.walls) {
        if (wall.room != room)
            continue;
        Shelf shelf = like;
        shelf.id.clear();
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
        hang_over_openings(wall, shelf);
        join_boards(wall, job.rules.shelves.board_longest, shelf);
        shelves.emplace_back(wall.id, std::move(shelf));
    }
    return shelves;
}

} // namespace yes_square
