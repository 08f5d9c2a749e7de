#include "core/shelves/shelf_loads.hpp"

namespace yes_square {
namespace {

constexpr double books_kg_per_m = 37;
constexpr double kitchen_pa = 720;
constexpr double general_pa = 640;
constexpr double worst_kdef = 3.0;

} // namespace

ShelfLoads loads_of(const Shelf& shelf, const HouseRules& rules) {
    ShelfLoads loads;
    const double depth = shelf.depth.in_metres();
    const double kg_per_m = properties(shelf.material).density * depth * shelf.thickness.in_metres();
    loads.board_kg = kg_per_m * shelf.length.in_metres();
    loads.self_n_per_m = kg_per_m * standard_gravity;
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
    }
    if (shelf.height < rules.accidental_below)
        loads.accidental_n = rules.accidental_n;
    return loads;
}

double stiffness_of(const Shelf& shelf) {
    return board_stiffness(properties(shelf.material).modulus_gpa * 1e9, shelf.depth.in_metres(),
                           shelf.thickness.in_metres());
}

double creep_factor(BoardMaterial material, ServiceClass service_class) {
    const BoardProperties& board = properties(material);
    if (service_class == ServiceClass::dry)
        return board.kdef_dry;
    return board.kdef_damp > 0 ? board.kdef_damp : worst_kdef;
}

Beam beam_of(const Shelf& shelf, const std::vector<Length>& places) {
    Beam beam{shelf.length.in_metres(), {}, stiffness_of(shelf)};
    for (const Length place : places)
        beam.supports.push_back(place.in_metres());
    return beam;
}

} // namespace yes_square
