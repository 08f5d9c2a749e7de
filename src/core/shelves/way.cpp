#include "core/shelves/way.hpp"

#include "core/shelves/board_section.hpp"
#include "core/shelves/shelf_parts.hpp"

#include <algorithm>
#include <stdexcept>

namespace yes_square {

const Way& way_of(const Shelf& shelf) {
    return std::visit([](const auto& how) -> const Way& { return way(how); }, shelf.holding);
}

bool in_left_corner(const Shelf& shelf, const WallSite& site) {
    return shelf.left <= site.rules.shelves.near_corner;
}

bool in_right_corner(const Shelf& shelf, const WallSite& site) {
    return site.wall.length - shelf.right() <= site.rules.shelves.near_corner;
}

std::vector<WallThing> room_of(const Shelf& shelf) {
    std::vector<WallThing> room;
    for (const Outline& box : board_boxes(shelf))
        room.push_back({shelf.id, shelf.name, box, shelf.depth});
    for (const SeenPart& part : way_of(shelf).seen(shelf))
        if (part.look == SeenPart::Look::strip || part.look == SeenPart::Look::strip_behind)
            room.push_back({shelf.id, shelf.name, part.box, part.out});
    return room;
}

namespace {

template <std::size_t... Is>
std::vector<ShelfPreset> all_presets(std::index_sequence<Is...>) {
    std::vector<ShelfPreset> all;
    const auto add = [&](const Way& each) {
        for (ShelfPreset& preset : each.presets()) {
            preset.way = &each;
            all.push_back(preset);
        }
    };
    (add(way(std::variant_alternative_t<Is, Holding>{})), ...);
    return all;
}

} // namespace

const std::vector<ShelfPreset>& shelf_presets() {
    static const std::vector<ShelfPreset> all = all_presets(std::make_index_sequence<std::variant_size_v<Holding>>{});
    return all;
}

const ShelfPreset& shelf_preset(std::string_view name) {
    const auto found = std::ranges::find(shelf_presets(), name, &ShelfPreset::name);
    if (found == shelf_presets().end())
        throw std::out_of_range("no way of holding a shelf is called " + std::string{name});
    return *found;
}

const ShelfPreset& preset_of(const Shelf& shelf) {
    const std::vector<ShelfPreset> own = way_of(shelf).presets();
    const auto like = std::ranges::find(own, shelf.load.kind, &ShelfPreset::load);
    // Only a desk is told from others by what it carries.
    const bool desk = like != own.end() && like->load == LoadKind::desk;
    return shelf_preset(desk ? like->name : own.front().name);
}

Section Way::section(const Shelf& shelf) const {
    return board_section(shelf);
}

void Way::load(Shelf& shelf, LineMass per_metre) const {
    if (shelf.load.kind != LoadKind::desk) // on whose edge somebody sits, whatever stands on it
        shelf.load.kind = LoadKind::own;
    shelf.load.own = std::max(per_metre, LineMass::kg_per_metre(1e-6)); // none at all would be the usual load of a desk
}

void Way::hang(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) const {
    hang_on_plate(shelf, site, plan);
}

std::vector<Length> Way::bears_at(const Shelf& shelf, const ShelfPlan& plan) const {
    std::vector<Length> places;
    if (!plan.bracket && !bends_over_holes())
        return places;
    // On what carries, where two do.
    const auto carrying = std::ranges::count_if(plan.brackets, &BracketPlan::bears_board);
    for (const BracketPlan& place : plan.brackets)
        if (place.bears_board() || (plan.bracket && carrying < 2))
            places.push_back(std::clamp(place.x - shelf.left, Length{}, shelf.length));
    std::ranges::sort(places);
    places.erase(std::ranges::unique(places).begin(), places.end());
    return places;
}

Length Way::screwed_on(const Shelf& shelf, const ShelfPlan& plan) const {
    if (const Plate* on = plate(shelf).plate)
        return on->thickness;
    return plan.bracket ? plan.bracket->thickness : Length{};
}

std::vector<CutPart> Way::cut(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) const {
    return boards_cut(shelf, site, plan);
}

std::vector<Supply> Way::bought(const Shelf& shelf, const ShelfPlan& plan) const {
    const auto brackets = static_cast<std::size_t>(std::ranges::count_if(plan.brackets, &BracketPlan::is_bracket));
    if (!plan.bracket || plan.bracket->id.empty() || brackets == 0)
        return {};
    return {{KitGroup::hardware,
             plan.bracket->id,
             {"Bracket: {0}", {plan.bracket->name}},
             brackets * static_cast<std::size_t>(plan.one_leg ? 1 : shelf.tiers)}};
}

} // namespace yes_square
