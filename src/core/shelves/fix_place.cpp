#include "core/shelves/fix_place.hpp"

#include "core/fixings/bracket_forces.hpp"
#include "core/fixings/choose_each.hpp"
#include "core/fixings/drilling.hpp"
#include "core/fixings/lining_anchor.hpp"
#include "core/fixings/practice.hpp"
#include "core/shelves/angled_screws.hpp"
#include "core/shelves/cleats.hpp"
#include "core/shelves/hidden_rods.hpp"
#include "core/shelves/way.hpp"

#include <algorithm>
#include <numbers>

namespace yes_square {
namespace {

/// What a lining may carry at all: one board or pole, nothing that people sit or work at, no cabinet.
bool is_light(const Shelf& shelf) {
    return shelf.tiers == 1 && shelf.load.kind != LoadKind::desk && !way_of(shelf).whole(shelf);
}

/// One bracket's fixing: screws into a stud, plugs into masonry, an anchor that its packet rates for the lining, or
/// nothing.
void fix(BracketPlan& place, int number, const Shelf& shelf, const WallSite& site, const Carrier& carrier) {
    std::vector<SpottedPart> rows;
    for (const auto& row : place.row_demands) {
        DrivenThrough through = carrier.through;
        if (const Framing* framing = site.timber(); framing && place.stud)
            through.to_edge = to_edge_of(*framing, site.survey.studs[*place.stud],
                                         place.x + carrier.bracket.across(rows.size()), site.rules);
        rows.push_back({{through, row}, {{}, number, static_cast<int>(rows.size()) + 1}});
    }
    const FixedGroup fixed = place.substrate == Substrate::lining && is_light(shelf)
                                 ? choose_each(rows, site.chosen,
                                               [&](const ChosenFixing* chosen, const std::vector<HeldPart>& parts) {
                                                   return choose_lining_anchor(site.fixings(chosen), parts);
                                               })
                                 : choose_each(site.fixings(), site.chosen, place.substrate, rows);
    if (!fixed.worst)
        return;
    place.fixing = fixed.worst->fixing;
    place.row_fixings.clear();
    place.fixing_utilisation = fixed.worst->utilisation;
    place.tension = fixed.worst->governing.tension;
    place.shear = fixed.worst->governing.shear();
    if (fixed.unlike())
        for (const auto& row : fixed.parts)
            place.row_fixings.push_back(row->fixing);
}

constexpr Length ceiling_lining = Length::micrometres(12'500);

/// A ceiling as a wall that is drilled upwards.
Wall as_wall(CeilingBuilt ceiling) {
    Wall wall;
    if (ceiling == CeilingBuilt::concrete) {
        wall.structure = Masonry{MasonryKind::concrete};
        return wall;
    }
    Framing joists;
    joists.stud_depth = joist_depth;
    wall.structure = joists;
    wall.lining = {{LiningMaterial::plasterboard, ceiling_lining, {}}};
    return wall;
}

/// Of the anchors those that may be pulled at for good, overhead: a plastic plug creeps and lets go (common practice).
Catalogue for_ceilings(const Catalogue& catalogue) {
    Catalogue held;
    held.wood_screws = catalogue.wood_screws;
    std::ranges::copy_if(catalogue.plugs, std::back_inserter(held.plugs), [](const MasonryAnchor& anchor) {
        return anchor.kind != AnchorKind::plug && anchor.kind != AnchorKind::frame_plug && !anchor.in_timber();
    });
    return held;
}

/// A hanger pulls straight down on its screws in a joist, or on its anchors in a slab.
void fix_hanger(BracketPlan& place, const Shelf& shelf, const WallSite& site) {
    if (place.substrate != Substrate::joist && place.substrate != Substrate::masonry)
        return;
    const Wall ceiling = as_wall(site.wall.ceiling_built);
    const Catalogue held = for_ceilings(site.catalogue);
    const CeilingHanger& hanger = shelf.hanger;
    DrivenThrough through{hanger.plate, steel_sheet_bearing, hanger.hole};
    through.packing = shelf.hanger_spacer;
    through.together = static_cast<std::size_t>(hanger.screws);
    const HoleDemand stored{place.reaction.sustained / hanger.screws, 0, duration_stored, stored_case};
    const HoleDemand leaned{place.reaction.greatest / hanger.screws, 0, duration_people, leaned_case};
    const auto choice =
        choose_fixing({held, site.rules, ceiling}, ground_over(place.substrate), through, {stored, leaned});
    if (!choice)
        return;
    place.fixing = choice->fixing;
    place.fixing_utilisation = choice->utilisation;
    place.tension = leaned.tension;
    place.shear = 0;
    place.row_demands = {{stored, leaned}};
}

/// A leg of wood under what comes down on it: a share of Euler's load of a strut that is turned at both ends, and
/// pressed along its grain. Nothing is driven anywhere.
void stand_on_leg(BracketPlan& place, const Shelf& shelf, const ShelfRules& rules) {
    const Length side = shelf.other_sizes.leg;
    const double length = std::max(shelf.underside(), 100_mm).in_metres();
    const Stiffness stiffness = board_stiffness(rules.leg_modulus, side.in_metres(), side.in_metres());
    const Force buckles = std::numbers::pi * std::numbers::pi * stiffness / metres(length) / metres(length);
    place.fixing_utilisation = Utilisation::of(place.reaction.greatest,
                                               std::min(buckles / rules.leg_buckling, rules.leg_pressed * side * side));
    place.shear = place.reaction.greatest;
}

void lie_on_strip(BracketPlan& place, const Shelf& shelf, const WallSite& site) {
    const CleatPlan strip = end_strip(place, shelf, site);
    place.fixing = strip.fixing;
    place.fixing_utilisation = strip.utilisation;
    place.tension = strip.demand.tension;
    place.shear = strip.demand.shear();
    place.row_demands = {strip.loads};
}

void hang_on_rod(BracketPlan& place, const Shelf& shelf, const WallSite& site) {
    const OnHiddenRods& rods = shelf.other_sizes.rods;
    const Carrier carrier = rod_carrier(rods, shelf, site);
    place.let_in = carrier.bracket;
    place.let_in_over = carrier.over;
    set_rod(place, rods, shelf, site, carrier);
}

void screw_at_angle(BracketPlan& place, std::size_t index, const Shelf& shelf, const WallSite& site) {
    const Carrier carrier = angled_carrier(shelf, site);
    place.let_in = carrier.bracket;
    place.let_in_over = carrier.over;
    place.row_demands = {demands_of_angled(place.reaction)};
    place.loads = {{stored_case, place.reaction.sustained, place.x.in_metres(), 0, duration_stored},
                   {leaned_case, place.reaction.greatest, place.x.in_metres(), 0, duration_people}};
    if (site.timber() && carries(place.substrate))
        fix(place, static_cast<int>(index) + 1, shelf, site, carrier);
    // It is drilled through the board as it lies, so the tape on the bit is told from the board's underside.
    if (place.fixing)
        place.fixing->drill_depth =
            angled_in_board(shelf) + at_angle(site.wall.lining_thickness()) + place.fixing->penetration;
}

} // namespace

CleatPlan end_strip(const BracketPlan& place, const Shelf& shelf, const WallSite& site) {
    const OtherSizes& sizes = shelf.other_sizes;
    const SideStrip strip{place.other->kind == OtherKind::left_strip,
                          shelf.depth,
                          sizes.strip_breadth,
                          sizes.strip,
                          sizes.strip_wood,
                          sizes.strip_screws};
    return strip_on_side(strip, place.reaction.sustained, place.reaction.greatest - place.reaction.sustained, shelf,
                         site);
}

Substrate ground_over(Substrate hanger) {
    return hanger == Substrate::joist ? Substrate::proved_stud : hanger;
}

Substrate hold_of_hanger(Length x, const WallSite& site) {
    if (site.wall.ceiling_built == CeilingBuilt::concrete)
        return Substrate::masonry;
    if (site.wall.joists.empty())
        return Substrate::assumed_stud;
    const Length edge = joist_width / 2 - 12_mm;
    const bool met = std::ranges::any_of(site.wall.joists, [&](Length joist) { return absolute(joist - x) <= edge; });
    return met ? Substrate::joist : Substrate::lining;
}

PlaceDemands demands_of(const Reaction& reaction, const Carrier& carrier, const HouseRules& rules) {
    // Somebody leans on one of the boards only.
    const Force goods = carrier.boards * reaction.sustained;
    const Force leaning = reaction.greatest - reaction.sustained;
    const Moment one_board = reaction.sustained * metres(carrier.load_at);
    PlaceDemands all;
    all.rows.resize(carrier.bracket.hole_drops.size());
    const auto weigh = [&](std::string_view when, std::string_view limp, Force more, double duration) {
        const Moment moment = goods * metres(carrier.load_at) + more * metres(carrier.edge_at);
        const BracketForces forces =
            bracket_forces_from_moment(carrier.bracket, goods + more, moment, rules.lining_pressure);
        all.turns |= forces.refused;
        all.loads.push_back({when, goods + more, 0, moment, duration});
        for (std::size_t row = 0; row < all.rows.size(); ++row) {
            all.rows[row].push_back({forces.tension[row], forces.down[row], duration, when, forces.across[row]});
            if (carrier.limp_lever > 0)
                all.rows[row].push_back({(one_board + more * metres(carrier.edge_at)) / metres(carrier.limp_lever),
                                         forces.down[row], duration, limp, forces.across[row]});
        }
    };
    weigh(stored_case, "goods, the upright bends", 0, duration_stored);
    if (leaning > 0)
        weigh(leaned_case, "somebody leans on it, the upright bends", leaning, duration_people);
    return all;
}

void fix_place(BracketPlan& place, std::size_t index, const Shelf& shelf, const WallSite& site,
               const Carrier& carrier) {
    place.loads.clear();
    if (place.hanger)
        return fix_hanger(place, shelf, site);
    if (place.other) {
        switch (place.other->kind) {
        case OtherKind::leg:
            return stand_on_leg(place, shelf, site.rules.shelves);
        case OtherKind::left_strip:
        case OtherKind::right_strip:
            return lie_on_strip(place, shelf, site);
        case OtherKind::rod:
            return hang_on_rod(place, shelf, site);
        case OtherKind::angled_screw:
            return screw_at_angle(place, index, shelf, site);
        }
    }
    if (way_of(shelf).fix(place, shelf, site, carrier))
        return;
    PlaceDemands demands = demands_of(place.reaction, carrier, site.rules);
    place.loads = std::move(demands.loads);
    for (LoadCase& load : place.loads)
        load.at_x = place.x.in_metres();
    place.row_demands = std::move(demands.rows);
    place.turns = demands.turns;
    for (const auto& row : place.row_demands)
        for (const HoleDemand& demand : row) {
            place.tension = std::max(place.tension, demand.tension);
            place.shear = std::max(place.shear, demand.shear());
        }
    if (!place.turns)
        fix(place, static_cast<int>(index) + 1, shelf, site, carrier);
}

} // namespace yes_square
