#include "core/shelves/fix_place.hpp"

#include "core/fixings/bracket_forces.hpp"
#include "core/fixings/hidden_rod.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr std::string_view stored_case = "goods";
constexpr std::string_view leaned_case = "somebody leans on it";

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
constexpr Length rod_dust_room = 6_mm;

/// A rod in its hole: the steel, what holds it in the wall, and the shelf around it.
void fix_rod(BracketPlan& place, const Shelf& shelf, const WallSite& site, const Carrier& carrier) {
    const auto& how = std::get<OnHiddenRods>(shelf.holding);
    const Length lining = site.wall.lining_thickness();
    const Framing* framing = site.timber();
    if (!carries(place.hold) || (framing && how.in_wall > framing->stud_depth))
        return;
    const Length edge = std::max(10_mm, Length::nearest_to_metres(edge_piloted * how.diameter.in_metres()));
    if (framing && place.stud && to_edge_of(*framing, site.survey.studs[*place.stud], place.x, site.rules) < edge)
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
                      pascals_per_psi / rod_reduction
                : masonry_mpa(std::get<Masonry>(site.wall.structure).kind, site.rules.shelves) * 1e6;
    const double board_gravity = std::min(0.5, properties(shelf.material).density / 1000 * 0.9);
    const double shelf_pa = wood_bearing_psi(bar, {board_gravity, true}) * pascals_per_psi / rod_reduction;
    const Utilisation used{std::max({(stress.bending_pa + leaned.bending_pa) / (site.rules.shelves.rod_steel_mpa * 1e6),
                                     (stress.on_wall_pa + leaned.on_wall_pa) / wall_pa,
                                     (stress.on_shelf_pa + leaned.on_shelf_pa) / shelf_pa})};
    const Length room = framing ? Length{} : rod_dust_room;
    Fixing bar_in_hole;
    bar_in_hole.name = how.resin ? "Steel bar set in resin" : "Steel rod";
    bar_in_hole.screw_length = lining + how.in_wall + how.in_shelf;
    bar_in_hole.penetration = how.in_wall;
    bar_in_hole.hole_diameter = carrier.bracket.hole_diameter;
    bar_in_hole.drill_depth = lining + how.in_wall + room;
    bar_in_hole.shear_n = used.known() && used.number() > 0 ? place.reaction.greatest / used.number() : 0;
    bar_in_hole.gap = lining;
    bar_in_hole.source = {Provenance::house_rule};
    place.fixing = std::move(bar_in_hole);
    place.fixing_utilisation = used;
    place.shear_n = place.reaction.greatest;
    place.tension_n = 0;
    const double x = place.x.in_metres();
    place.loads = {{stored_case, place.reaction.sustained, x, 0, duration_stored},
                   {leaned_case, place.reaction.greatest, x, 0, duration_stored}};
    place.row_demands = {{{0, place.reaction.sustained, duration_stored, stored_case},
                          {0, place.reaction.greatest, duration_stored, leaned_case}}};
}

/// One bracket's fixing: screws into a stud, plugs into masonry, or nothing.
void fix(BracketPlan& place, const WallSite& site, DrivenThrough through) {
    if (const Framing* framing = site.timber(); framing && place.stud)
        through.to_edge = to_edge_of(*framing, site.survey.studs[*place.stud], place.x, site.rules);
    std::vector<HoleDemand> demands;
    for (const auto& row : place.row_demands)
        demands.insert(demands.end(), row.begin(), row.end());
    const auto choice = choose_fixing(site.catalogue, site.rules, site.wall, place.hold, through, demands);
    if (!choice)
        return;
    place.fixing = choice->fixing;
    place.fixing_utilisation = choice->utilisation;
    place.tension_n = choice->governing.tension_n;
    place.shear_n = choice->governing.shear_n();
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
    place.row_demands = {{{place.reaction.sustained, 0, duration_stored, stored_case},
                          {place.reaction.greatest, 0, duration_people, leaned_case}}};
}

} // namespace

Hold hold_of_hanger(Length x, const WallSite& site) {
    if (site.wall.joists.empty())
        return Hold::assumed_stud;
    const Length edge = joist_width / 2 - 12_mm;
    const bool met = std::ranges::any_of(site.wall.joists, [&](Length joist) { return absolute(joist - x) <= edge; });
    return met ? Hold::joist : Hold::lining;
}

PlaceDemands demands_of(const Reaction& reaction, const Carrier& carrier, const HouseRules& rules) {
    // Somebody leans on one of the boards only.
    const double goods = carrier.boards * reaction.sustained;
    const double leaning = reaction.greatest - reaction.sustained;
    const double one_board = reaction.sustained * carrier.load_at;
    PlaceDemands all;
    all.rows.resize(carrier.bracket.hole_drops.size());
    const auto weigh = [&](std::string_view when, std::string_view limp, double more, double duration) {
        const double moment = goods * carrier.load_at + more * carrier.edge_at;
        const BracketForces forces =
            bracket_forces_from_moment(carrier.bracket, goods + more, moment, rules.lining_pressure_n_per_mm2);
        all.turns |= forces.refused;
        all.loads.push_back({when, goods + more, 0, moment, duration});
        for (std::size_t row = 0; row < all.rows.size(); ++row) {
            all.rows[row].push_back({forces.tension_n[row], forces.shear_n, duration, when});
            if (carrier.limp_lever > 0)
                all.rows[row].push_back(
                    {(one_board + more * carrier.edge_at) / carrier.limp_lever, forces.shear_n, duration, limp});
        }
    };
    weigh(stored_case, "goods, the upright bends", 0, duration_stored);
    if (leaning > 0)
        weigh(leaned_case, "somebody leans on it, the upright bends", leaning, duration_people);
    return all;
}

void fix_place(BracketPlan& place, const Shelf& shelf, const WallSite& site, const Carrier& carrier) {
    place.loads.clear();
    if (place.hanger)
        return fix_hanger(place, site);
    if (carrier.rod)
        return fix_rod(place, shelf, site, carrier);
    PlaceDemands demands = demands_of(place.reaction, carrier, site.rules);
    place.loads = std::move(demands.loads);
    for (LoadCase& load : place.loads)
        load.at_x = place.x.in_metres();
    place.row_demands = std::move(demands.rows);
    place.turns = demands.turns;
    for (const auto& row : place.row_demands)
        for (const HoleDemand& demand : row) {
            place.tension_n = std::max(place.tension_n, demand.tension_n);
            place.shear_n = std::max(place.shear_n, demand.shear_n());
        }
    if (!place.turns)
        fix(place, site, carrier.through);
}

} // namespace yes_square
