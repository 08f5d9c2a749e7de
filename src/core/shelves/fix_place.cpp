#include "core/shelves/fix_place.hpp"

#include "core/fixings/bracket_forces.hpp"
#include "core/fixings/hidden_rod.hpp"

#include <algorithm>

namespace yes_square {
namespace {

HoleDemand demand(const BracketForces& forces, double duration) {
    return {forces.tension_n.empty() ? 0 : std::ranges::max(forces.tension_n), forces.shear_n, duration};
}

double masonry_mpa(MasonryKind kind, const ShelfRules& rules) {
    switch (kind) {
    case MasonryKind::brick:
        return rules.brick_mpa;
    case MasonryKind::dense_block:
        return rules.dense_block_mpa;
    case MasonryKind::aerated_block:
        return rules.aerated_block_mpa;
    case MasonryKind::concrete:
        return rules.concrete_mpa;
    }
    return 0;
}

/// Wood around a steel rod bears this share of its dowel bearing strength in use: Rd of mode I (NDS table 12.3.1B).
constexpr double rod_reduction = 4;
constexpr double pa_per_psi = 6894.757;
constexpr Length rod_dust_room = 6_mm;

/// A rod in its hole: the steel, what holds it in the wall, and the shelf around it.
void fix_rod(BracketPlan& place, const Shelf& shelf, const WallSite& site, const Carrier& carrier) {
    const auto& how = *shelf.held<OnHiddenRods>();
    const Length lining = site.wall.lining_thickness();
    const Framing* framing = site.timber();
    if (!carries(place.hold) || (framing && how.in_wall > framing->stud_depth))
        return;
    const HiddenRod rod{how.diameter.in_metres(), how.in_wall.in_metres(), lining.in_metres(),
                        std::min(how.in_shelf, shelf.depth).in_metres()};
    const double depth = shelf.depth.in_metres();
    RodStress stress = rod_stress(rod, place.reaction.sustained, carrier.load_at, depth);
    place.rod_sink = stress.sink_m;
    // Whoever leans on the front edge adds to it.
    const double leaning = place.reaction.greatest - place.reaction.sustained;
    const RodStress leaned = rod_stress(rod, leaning, carrier.edge_at, depth);
    ScrewProperties bar{};
    bar.diameter_in = std::max(0.25, how.diameter.in_inches());
    const double wall_pa =
        framing ? wood_bearing_psi(bar, {specific_gravity(framing->species), place.hold == Hold::nogging}) *
                      pa_per_psi / rod_reduction
                : masonry_mpa(std::get<Masonry>(site.wall.structure).kind, site.rules.shelves) * 1e6;
    const double board_gravity = std::min(0.5, properties(shelf.material).density / 1000 * 0.9);
    const double shelf_pa = wood_bearing_psi(bar, {board_gravity, true}) * pa_per_psi / rod_reduction;
    const double used = std::max({(stress.bending_pa + leaned.bending_pa) / (site.rules.shelves.rod_steel_mpa * 1e6),
                                  (stress.on_wall_pa + leaned.on_wall_pa) / wall_pa,
                                  (stress.on_shelf_pa + leaned.on_shelf_pa) / shelf_pa});
    const Length room = framing ? Length{} : rod_dust_room;
    place.fixing = Fixing{how.resin ? "Steel bar set in resin" : "Steel rod",
                          lining + how.in_wall + how.in_shelf,
                          how.in_wall,
                          {},
                          carrier.bracket.hole_diameter,
                          lining + how.in_wall + room,
                          0,
                          used > 0 ? place.reaction.greatest / used : 0,
                          {Provenance::house_rule}};
    place.fixing_utilisation = used;
    place.shear_n = place.reaction.greatest;
    place.tension_n = 0;
}

/// One bracket's fixing: screws into a stud, plugs into masonry, or nothing.
void fix(BracketPlan& place, const WallSite& site, const DrivenThrough& through,
         const std::vector<HoleDemand>& demands) {
    const auto choice = choose_fixing(site.catalogue, site.rules, site.wall, place.hold, through, demands);
    if (!choice)
        return;
    place.fixing = choice->fixing;
    place.fixing_utilisation = choice->utilisation;
    place.tension_n = choice->governing.tension_n;
    place.shear_n = choice->governing.shear_n;
}

constexpr Length joist_width = 38_mm;  ///< nominal (PS 20)
constexpr Length joist_depth = 140_mm; ///< the least usual one
constexpr Length ceiling_lining = Length::micrometres(12'500);
constexpr Length hanger_plate = 3_mm;
constexpr Length hanger_hole = 6_mm;

/// A hanger pulls straight down on the screw in its joist.
void fix_hanger(BracketPlan& place, const WallSite& site) {
    if (place.hold != Hold::joist)
        return;
    Wall ceiling;
    Framing joists;
    joists.stud_depth = joist_depth;
    ceiling.structure = joists;
    ceiling.lining = {{LiningMaterial::plasterboard, ceiling_lining, {}}};
    const DrivenThrough through{hanger_plate, steel_sheet_bearing_psi, hanger_hole};
    const auto choice =
        choose_fixing(site.catalogue, site.rules, ceiling, Hold::proved_stud, through,
                      {{place.reaction.sustained, 0, duration_stored}, {place.reaction.greatest, 0, duration_people}});
    if (!choice)
        return;
    place.fixing = choice->fixing;
    place.fixing_utilisation = choice->utilisation;
    place.tension_n = place.reaction.greatest;
    place.shear_n = 0;
}

BracketForces stored_forces(const Reaction& reaction, const Carrier& carrier, const HouseRules& rules) {
    const double load = carrier.boards * reaction.sustained;
    return bracket_forces_from_moment(carrier.bracket, load, load * carrier.load_at, rules.lining_pressure_n_per_mm2);
}

} // namespace

Hold hold_of_hanger(Length x, const WallSite& site) {
    if (site.wall.joists.empty())
        return Hold::assumed_stud;
    const Length edge = joist_width / 2 - 12_mm;
    const bool met = std::ranges::any_of(site.wall.joists, [&](Length joist) { return absolute(joist - x) <= edge; });
    return met ? Hold::joist : Hold::lining;
}

std::vector<HoleDemand> demands_of(const Reaction& reaction, const Carrier& carrier, const HouseRules& rules) {
    // Somebody leans on one of the boards only.
    const double load = carrier.boards * reaction.sustained;
    const double leaning = reaction.greatest - reaction.sustained;
    const BracketForces leaned =
        bracket_forces_from_moment(carrier.bracket, load + leaning, load * carrier.load_at + leaning * carrier.edge_at,
                                   rules.lining_pressure_n_per_mm2);
    std::vector<HoleDemand> demands{demand(stored_forces(reaction, carrier, rules), duration_stored),
                                    demand(leaned, duration_people)};
    if (carrier.limp_lever > 0) {
        const double one_board = reaction.sustained * carrier.load_at;
        demands[0].tension_n = std::max(demands[0].tension_n, one_board / carrier.limp_lever);
        demands[1].tension_n =
            std::max(demands[1].tension_n, (one_board + leaning * carrier.edge_at) / carrier.limp_lever);
    }
    return demands;
}

bool fix_place(BracketPlan& place, const Shelf& shelf, const WallSite& site, const Carrier& carrier) {
    if (place.hanger) {
        fix_hanger(place, site);
        return true;
    }
    if (carrier.rod) {
        fix_rod(place, shelf, site, carrier);
        return true;
    }
    const BracketForces stored = stored_forces(place.reaction, carrier, site.rules);
    place.tension_n = demand(stored, 0).tension_n;
    place.shear_n = stored.shear_n;
    fix(place, site, carrier.through, demands_of(place.reaction, carrier, site.rules));
    return !stored.refused;
}

} // namespace yes_square
