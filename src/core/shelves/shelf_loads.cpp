#include "core/shelves/shelf_loads.hpp"

#include "core/shelves/board_section.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr LineMass books = LineMass::kg_per_metre(37);
constexpr Pressure kitchen = Pressure::pascals(720);
constexpr Pressure general = Pressure::pascals(640);
constexpr double worst_kdef = 3.0;
constexpr Length joint_play = Length::micrometres(500);

/// Whoever reaches one of its tiers leans on it; whoever finds one low and deep enough sits down on it. All tiers hang
/// alike, so the worst of them counts.
Force accidental_on(const Shelf& shelf, const HouseRules& rules) {
    Force worst = 0;
    const bool sat_on = way_of(shelf).sat_on();
    for (int tier = 0; tier < shelf.tiers; ++tier) {
        const Length top = shelf.top_of(tier);
        if (top < rules.accidental_below && !shelf.out_of_reach)
            worst = std::max(worst, rules.accidental);
        if (sat_on && top < rules.shelves.sat_on_below && shelf.depth >= rules.shelves.sat_on_depth)
            worst = std::max(worst, rules.shelves.sat_on);
    }
    return worst;
}

} // namespace

Force ShelfLoads::between(Length from, Length to) const {
    return (self_load + goods_load) * (to - from) +
           Force::newtons(goods.on(from.in_metres(), (to - from).in_metres()).total());
}

ShelfLoads loads_of(const Shelf& shelf, const HouseRules& rules) {
    ShelfLoads loads;
    const Way& way = way_of(shelf);
    const LineMass per_metre = way.section(shelf).per_metre;
    loads.board_mass = per_metre * shelf.length;
    loads.self_load = weight_of(per_metre);
    loads.accidental = accidental_on(shelf, rules);
    switch (shelf.load.kind) {
    case LoadKind::books:
        loads.goods_load = weight_of(books);
        loads.goods_source = {Provenance::common_practice};
        break;
    case LoadKind::kitchen:
        loads.goods_load = kitchen * shelf.depth;
        loads.goods_source = {Provenance::from_memory, "ANSI/KCMA A161.1"};
        break;
    case LoadKind::general:
        loads.goods_load = general * shelf.depth;
        loads.goods_source = {Provenance::from_memory, "EN 14749"};
        break;
    case LoadKind::display:
        loads.goods_load = weight_of(rules.display);
        loads.goods_source = {Provenance::house_rule};
        break;
    case LoadKind::own:
        loads.goods_load = weight_of(shelf.load.own);
        loads.goods_source = {Provenance::measured};
        break;
    case LoadKind::desk:
        // The fitter's own figure where there is one.
        loads.goods_load = weight_of(shelf.load.own > 0 ? shelf.load.own : rules.shelves.desk_load * shelf.depth);
        loads.goods_source = {shelf.load.own > 0 ? Provenance::measured : Provenance::house_rule};
        loads.accidental = std::max(loads.accidental, rules.shelves.desk_edge);
        break;
    case LoadKind::clothes:
        loads.goods_load = weight_of(rules.shelves.clothes);
        loads.goods_source = {Provenance::common_practice};
        break;
    }
    way.add_goods(shelf, loads);
    for (const Goods& goods : shelf.goods) {
        const Force heavy = weight_of(goods.mass);
        const double from = std::clamp(goods.from, Length{}, shelf.length).in_metres();
        const double to = std::min(goods.to, shelf.length).in_metres();
        if (to > from)
            loads.goods.parts.push_back({from, to, heavy / metres(to - from)});
        else
            loads.goods.points.push_back({from, heavy});
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
    const Way& way = way_of(shelf);
    if (way.section(shelf).metal)
        return 0;
    const double board = creep_factor(shelf.material, service_class);
    return shelf.hollow && way.is_board() ? std::max(board, creep_factor(shelf.hollow->frame, service_class)) : board;
}

bool under_joint(Length place, Length joint) {
    return absolute(place - joint) <= joint_play;
}

Beam beam_of(const Shelf& shelf, const std::vector<Length>& places) {
    Length span;
    for (std::size_t i = 1; i < places.size(); ++i)
        span = std::max(span, places[i] - places[i - 1]);
    const Length overhang = places.empty() ? Length{} : std::max(places.front(), shelf.length - places.back());
    Beam beam{shelf.length.in_metres(), {}, with_shear(way_of(shelf).section(shelf), span, overhang, places.size())};
    for (const Length place : places)
        beam.supports.push_back(place.in_metres());
    for (std::size_t i = 1; i + 1 < places.size(); ++i)
        if (std::ranges::any_of(shelf.joints, [&](Length joint) { return under_joint(places[i], joint); }))
            beam.joints.push_back(i);
    return beam;
}

} // namespace yes_square
