#include "core/shelves/shelf_loads.hpp"

#include "core/shelves/way.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr double books_kg_per_m = 37;
constexpr double kitchen_pa = 720;
constexpr double general_pa = 640;
constexpr double worst_kdef = 3.0;
constexpr Length joint_play = Length::micrometres(500);

/// Whoever reaches one of its tiers leans on it; whoever finds one low and deep enough sits down on it. All tiers hang
/// alike, so the worst of them counts.
double accidental_on(const Shelf& shelf, const HouseRules& rules) {
    double worst = 0;
    const bool sat_on = way_of(shelf).sat_on();
    for (int tier = 0; tier < shelf.tiers; ++tier) {
        const Length top = shelf.top_of(tier);
        if (top < rules.accidental_below)
            worst = std::max(worst, rules.accidental_n);
        if (sat_on && top < rules.shelves.sat_on_below && shelf.depth >= rules.shelves.sat_on_depth)
            worst = std::max(worst, rules.shelves.sat_on_n);
    }
    return worst;
}

} // namespace

double ShelfLoads::between_n(Length from, Length to) const {
    const double length = (to - from).in_metres();
    return (self_n_per_m + goods_n_per_m) * length + goods.on(from.in_metres(), length).total();
}

ShelfLoads loads_of(const Shelf& shelf, const HouseRules& rules) {
    ShelfLoads loads;
    const double depth = shelf.depth.in_metres();
    const Way& way = way_of(shelf);
    const double kg_per_m = way.section(shelf).kg_per_m;
    loads.board_kg = kg_per_m * shelf.length.in_metres();
    loads.self_n_per_m = kg_per_m * standard_gravity;
    loads.accidental_n = accidental_on(shelf, rules);
    switch (shelf.load.kind) {
    case LoadKind::books:
        loads.goods_n_per_m = books_kg_per_m * standard_gravity;
        loads.goods_source = {Provenance::common_practice};
        break;
    case LoadKind::kitchen:
        loads.goods_n_per_m = kitchen_pa * depth;
        loads.goods_source = {Provenance::from_memory, "ANSI/KCMA A161.1"};
        break;
    case LoadKind::general:
        loads.goods_n_per_m = general_pa * depth;
        loads.goods_source = {Provenance::from_memory, "EN 14749"};
        break;
    case LoadKind::display:
        loads.goods_n_per_m = rules.display_kg_per_m * standard_gravity;
        loads.goods_source = {Provenance::house_rule};
        break;
    case LoadKind::own:
        loads.goods_n_per_m = shelf.load.own_kg_per_m * standard_gravity;
        loads.goods_source = {Provenance::measured};
        break;
    case LoadKind::desk:
        // The fitter's own figure where there is one.
        loads.goods_n_per_m = standard_gravity * (shelf.load.own_kg_per_m > 0 ? shelf.load.own_kg_per_m
                                                                              : rules.shelves.desk_kg_per_m2 * depth);
        loads.goods_source = {shelf.load.own_kg_per_m > 0 ? Provenance::measured : Provenance::house_rule};
        loads.accidental_n = std::max(loads.accidental_n, rules.shelves.desk_edge_n);
        break;
    case LoadKind::clothes:
        loads.goods_n_per_m = rules.shelves.clothes_kg_per_m * standard_gravity;
        loads.goods_source = {Provenance::common_practice};
        break;
    }
    way.add_goods(shelf, loads);
    for (const Goods& goods : shelf.goods) {
        const double n = goods.kg * standard_gravity;
        const double from = std::clamp(goods.from, Length{}, shelf.length).in_metres();
        const double to = std::min(goods.to, shelf.length).in_metres();
        if (to > from)
            loads.goods.parts.push_back({from, to, n / (to - from)});
        else
            loads.goods.points.push_back({from, n});
    }
    return loads;
}

double creep_factor(BoardMaterial material, ServiceClass service_class) {
    const BoardProperties& board = properties(material);
    if (service_class == ServiceClass::dry)
        return board.kdef_dry;
    return board.kdef_damp > 0 ? board.kdef_damp : worst_kdef;
}

double creep_factor(const Shelf& shelf, ServiceClass service_class) {
    return way_of(shelf).section(shelf).metal ? 0.0 : creep_factor(shelf.material, service_class);
}

bool under_joint(Length place, Length joint) {
    return absolute(place - joint) <= joint_play;
}

Beam beam_of(const Shelf& shelf, const std::vector<Length>& places) {
    Beam beam{shelf.length.in_metres(), {}, way_of(shelf).section(shelf).stiffness};
    for (const Length place : places)
        beam.supports.push_back(place.in_metres());
    for (std::size_t i = 1; i + 1 < places.size(); ++i)
        if (std::ranges::any_of(shelf.joints, [&](Length joint) { return under_joint(places[i], joint); }))
            beam.joints.push_back(i);
    return beam;
}

} // namespace yes_square
