#include "core/shelves/shelf_loads.hpp"

#include <algorithm>
#include <numbers>

namespace yes_square {
namespace {

constexpr double books_kg_per_m = 37;
constexpr double kitchen_pa = 720;
constexpr double general_pa = 640;
constexpr double worst_kdef = 3.0;
constexpr Length joint_play = Length::micrometres(500);

struct Metal {
    double modulus_pa;
    double kg_per_m3;
};
/// Structural steel and aluminium alloys (EN 1993-1-1 and EN 1999-1-1, from memory).
Metal metal_of(PoleStuff stuff) {
    return stuff == PoleStuff::steel ? Metal{210e9, 7850} : Metal{70e9, 2700};
}

double inside_of(const Shelf& shelf, const Pole& pole) {
    return pole.wall > Length{} ? std::max(Length{}, shelf.thickness - 2 * pole.wall).in_metres() : 0.0;
}

double board_depth(const Shelf& shelf) {
    return (shelf.lip ? std::max(Length{}, shelf.depth - shelf.lip->breadth) : shelf.depth).in_metres();
}

/// Mass of a metre of the shelf itself.
double kg_per_metre(const Shelf& shelf) {
    const double board = properties(shelf.material).density;
    const double thickness = shelf.thickness.in_metres();
    if (const auto* pole = shelf.held<Pole>()) {
        const double inside = inside_of(shelf, *pole);
        const double kg_per_m3 = pole->stuff == PoleStuff::wood ? board : metal_of(pole->stuff).kg_per_m3;
        return kg_per_m3 * std::numbers::pi / 4 * (thickness * thickness - inside * inside);
    }
    if (const auto* rail = shelf.held<HookRail>())
        return board * rail->board.in_metres() * thickness;
    double kg = board * board_depth(shelf) * thickness;
    if (shelf.lip)
        kg += properties(shelf.lip->material).density * shelf.lip->breadth.in_metres() * shelf.lip->height.in_metres();
    return kg;
}

/// Whoever reaches one of its tiers leans on it; whoever finds one low and deep enough sits down on it. All tiers hang
/// alike, so the worst of them counts.
double accidental_on(const Shelf& shelf, const HouseRules& rules) {
    double worst = 0;
    const bool board = !shelf.held<HookRail>() && !shelf.held<Pole>();
    for (int tier = 0; tier < shelf.tiers; ++tier) {
        const Length top = shelf.top_of(tier);
        if (top < rules.accidental_below)
            worst = std::max(worst, rules.accidental_n);
        if (board && top < rules.shelves.sat_on_below && shelf.depth >= rules.shelves.sat_on_depth)
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
    const double kg_per_m = kg_per_metre(shelf);
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
    if (const auto* rail = shelf.held<HookRail>()) {
        loads.goods_n_per_m = rail->hooks * rail->kg_per_hook * standard_gravity / shelf.length.in_metres();
        loads.goods_source = {Provenance::measured};
    }
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

double stiffness_of(const Shelf& shelf) {
    const double modulus = properties(shelf.material).modulus_gpa * 1e9;
    const double thickness = shelf.thickness.in_metres();
    if (const auto* pole = shelf.held<Pole>())
        return round_stiffness(pole->stuff == PoleStuff::wood ? modulus : metal_of(pole->stuff).modulus_pa, thickness,
                               inside_of(shelf, *pole));
    if (const auto* rail = shelf.held<HookRail>()) // stands on edge
        return board_stiffness(modulus, rail->board.in_metres(), thickness);
    if (!shelf.lip)
        return board_stiffness(modulus, shelf.depth.in_metres(), thickness);
    const double lip = shelf.lip->height.in_metres();
    return section_stiffness(
        {{modulus, board_depth(shelf), thickness, -thickness / 2},
         {properties(shelf.lip->material).modulus_gpa * 1e9, shelf.lip->breadth.in_metres(), lip, -lip / 2}});
}

double section_modulus_of(const Shelf& shelf) {
    const double thickness = shelf.thickness.in_metres();
    if (const auto* pole = shelf.held<Pole>())
        return round_stiffness(1, thickness, inside_of(shelf, *pole)) / (thickness / 2);
    if (const auto* rail = shelf.held<HookRail>())
        return rail->board.in_metres() * thickness * thickness / 6;
    return board_depth(shelf) * thickness * thickness / 6;
}

double creep_factor(BoardMaterial material, ServiceClass service_class) {
    const BoardProperties& board = properties(material);
    if (service_class == ServiceClass::dry)
        return board.kdef_dry;
    return board.kdef_damp > 0 ? board.kdef_damp : worst_kdef;
}

double creep_factor(const Shelf& shelf, ServiceClass service_class) {
    const auto* pole = shelf.held<Pole>();
    return pole && pole->stuff != PoleStuff::wood ? 0.0 : creep_factor(shelf.material, service_class);
}

bool under_joint(Length place, Length joint) {
    return absolute(place - joint) <= joint_play;
}

Beam beam_of(const Shelf& shelf, const std::vector<Length>& places) {
    Beam beam{shelf.length.in_metres(), {}, stiffness_of(shelf)};
    for (const Length place : places)
        beam.supports.push_back(place.in_metres());
    for (std::size_t i = 1; i + 1 < places.size(); ++i)
        if (std::ranges::any_of(shelf.joints, [&](Length joint) { return under_joint(places[i], joint); }))
            beam.joints.push_back(i);
    return beam;
}

} // namespace yes_square
