#include "core/shelves/reckon_shelf.hpp"
#include "core/shelves/angled_screws.hpp"

#include "core/shelves/fix_place.hpp"
#include "core/shelves/plate.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_cures.hpp"
#include "core/shelves/shelf_parts.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "core/shelves/shelf_workings.hpp"
#include "core/shelves/way.hpp"

#include "core/fixings/choose_fixing.hpp"

#include "core/site/guarded.hpp"
#include "core/site/plan_hole.hpp"

#include <algorithm>
#include <functional>
#include <set>
#include <utility>

namespace yes_square {

namespace {

/// Boards between the ends and the joints, in order. A loose one is cut short at its ends.
std::vector<BoardPiece> pieces_of(const Shelf& shelf, const ShelfRules& rules) {
    const Length play = is_loose(shelf) ? rules.loose_play : Length{};
    std::vector<Length> cuts{play};
    for (const Length joint : shelf.joints)
        if (joint > Length{} && joint < shelf.length)
            cuts.push_back(joint);
    cuts.push_back(shelf.length - play);
    std::ranges::sort(cuts);
    std::vector<BoardPiece> pieces;
    for (std::size_t i = 1; i < cuts.size(); ++i)
        if (const Length length = cuts[i] - cuts[i - 1]; length > Length{})
            pieces.push_back({shelf.left + cuts[i - 1], length, length});
    return pieces;
}

/// The wall's face behind its board, from the line through its hollowest place: at the house's steps.
std::vector<BackCut> back_cuts(const Shelf& shelf, const WallSite& site) {
    const FaceProfile& face = site.survey.face;
    if (!way_of(shelf).is_board() || !face.measured())
        return {};
    const Length step = std::max(site.rules.runs.scribe_step, shelf.length / 100);
    std::vector<BackCut> cuts;
    Length deepest;
    for (Length at; at < shelf.length + step; at += step) {
        const Length here = std::min(at, shelf.length);
        const Length shim = face.shim_at(shelf.left + here, shelf.height).value_or(Length{});
        deepest = std::max(deepest, shim);
        cuts.push_back({here, shim});
        if (here == shelf.length)
            break;
    }
    for (BackCut& cut : cuts)
        cut.off = deepest - cut.off;
    return bow_of(cuts) > site.rules.shelves.scribe_from ? cuts : std::vector<BackCut>{};
}

/// The wall holes of what stands at the places, tier by tier.
void drill(const Shelf& shelf, ShelfPlan& plan) {
    const int tiers = plan.one_leg ? 1 : shelf.tiers;
    for (std::size_t i = 0; i < plan.brackets.size(); ++i) {
        const BracketPlan& place = plan.brackets[i];
        if (place.hanger || (place.other && !place.let_in))
            continue;
        const auto& drops = (place.let_in ? *place.let_in : *plan.bracket).hole_drops;
        const Length over = place.let_in ? place.let_in_over : plan.leg_over;
        for (int tier = 0; tier < tiers; ++tier)
            for (std::size_t row = 0; row < drops.size(); ++row) {
                PlannedHole& hole = plan.holes.emplace_back();
                hole.place = i;
                hole.row = row + static_cast<std::size_t>(tier) * drops.size();
                hole.x = place.x + (place.let_in ? Length{} : plan.bracket->across(row));
                hole.z = shelf.top_of(tier) - shelf.thickness + over - drops[row];
                if (row < place.row_demands.size()) // a rod that cannot be set bears nothing
                    hole.demands = place.row_demands[row];
                if (place.is_bracket() &&
                    !std::holds_alternative<OnHiddenRods>(shelf.holding)) // a rod is set, not chosen
                    hole.spot = {{}, static_cast<int>(i) + 1, static_cast<int>(row) + 1};
                hole.fixing = place.fixing_of(row);
                if (!hole.fixing)
                    continue;
                hole.strength = hole.fixing->strength();
                hole.utilisation = utilisation_of(hole.strength, place.substrate, hole.demands);
            }
    }
}

/// A level line through each row of holes, from the highest, no longer than what hides it; and where there are two rows
/// a plumb line through its middle, by which the second is looked over.
std::vector<PlannedLine> lines_of_plate(const Shelf& shelf, const HungPlate& hung, const ShelfPlan& plan) {
    std::set<Length, std::greater<>> rows;
    for (const PlannedHole& hole : plan.holes)
        rows.insert(hole.z);
    std::vector<PlannedLine> lines;
    for (const Length z : rows)
        lines.push_back({false,
                         rows.size() > 1 ? Sentence{"{0}: row {1} of its holes", {shelf.name, count(lines.size() + 1)}}
                                         : Sentence{"{0}: its holes", {shelf.name}},
                         hung.left, z, hung.left + hung.width});
    if (rows.size() > 1)
        lines.push_back({true, {"{0}: its middle", {shelf.name}}, hung.left + hung.width / 2, shelf.underside(), {}});
    return lines;
}

/// What its place and the wall say of each hole.
void plan_holes(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    const HungPlate hung = plate_of(shelf);
    for (PlannedHole& hole : plan.holes) {
        const BracketPlan& place = plan.brackets[hole.place];
        hole.item = shelf.id;
        hole.angled = place.is(OtherKind::angled_screw);
        hole.what = hole.angled    ? Sentence{"{0}: angled screw, place {1}", {shelf.name, count(hole.place + 1)}}
                    : place.let_in ? Sentence{"{0}: rod, place {1}", {shelf.name, count(hole.place + 1)}}
                    : plan.bracket ? Sentence{"{0}: bracket {1}, hole {2}",
                                              {shelf.name, count(hole.place + 1), count(hole.row + 1)}}
                                   : Sentence{"{0}: hole {1}", {shelf.name, count(hole.place + 1)}};
        hole.substrate = place.substrate;
        hole.stud = place.stud;
        if (!hole.fixing)
            hole.fixing = place.fixing;
        hole.through = hole.angled ? angled_in_board(shelf) : way_of(shelf).drilled(shelf);
        hole.through_it = place.let_in   ? false
                          : plan.bracket ? plan.bracket->marks_through
                                         : hung.plate && hung.plate->marks_through;
        hole.drilled = place.let_in   ? place.let_in->hole_diameter
                       : plan.bracket ? plan.bracket->hole_diameter
                       : hung.plate   ? hung.plate->hole_diameter
                                      : Length{};
        plan_hole(site, hole);
    }
    if (hung.plate && !plan.holes.empty())
        plan.lines = lines_of_plate(shelf, hung, plan);
    else if (!plan.holes.empty() || !plan.cleats.empty())
        plan.lines = {
            {false, {"{0}: underside of its board", {shelf.name}}, shelf.left, shelf.underside(), shelf.right()}};
}

/// Along the wall at places that the program seeks.
void hang_at_places(const Shelf& shelf, const WallSite& site, LayoutScales& scales, ShelfPlan& plan) {
    const auto& carrier = scales.carrier();
    if (!carrier) {
        check_bracket_choice(shelf, site, plan);
        return;
    }
    const Bracket& bracket = carrier->bracket;
    plan.bracket = bracket;
    plan.leg_over = carrier->over;
    plan.spacing_most = carrier->most;
    plan.one_leg = carrier->one_leg;
    auto [chosen, weighed] = scales.chosen(shelf.school, shelf.extra_brackets);
    plan.alternatives.push_back(std::move(chosen));
    const std::vector<Length>& places = plan.alternatives[plan.chosen].layout.places;
    plan.brackets = std::move(weighed.brackets);
    if (places.size() >= 2)
        plan.sag = weighed.sag;
    plan.board_utilisation = weighed.board_utilisation;
    plan.left_overhang = places.front();
    plan.right_overhang = shelf.length - places.back();
    if (way_of(shelf).boards_on_arms() && !is_loose(shelf))
        plan.shelf_screw = shelf_screw_length(site.catalogue, site.rules, shelf.thickness, bracket.thickness);
    for (const BracketPlan& place : plan.brackets)
        if (place.substrate == Substrate::side_wall && place.other)
            plan.cleats.push_back(end_strip(place, shelf, site));
    plan.cleat_breadth = plan.cleats.empty() ? Length{} : shelf.other_sizes.strip_breadth;
    drill(shelf, plan);
    plan_holes(shelf, site, plan);
    check_bracket_choice(shelf, site, plan);
    check_hold(shelf, site, plan);
    check_strength(shelf, site, plan, weighed);
    check_clearances(shelf, site, plan);
    check_looks(shelf, site, plan);
}

} // namespace

ShelfPlan draft_shelf(const Shelf& shelf, const WallSite& site) {
    LayoutScales scales{shelf, site};
    return draft_shelf(shelf, site, scales);
}

ShelfPlan draft_shelf(const Shelf& shelf, const WallSite& site, LayoutScales& scales) {
    ShelfPlan named;
    named.id = shelf.id;
    named.name = shelf.name;
    return guarded(std::move(named), shelf.name, [&](ShelfPlan& plan) {
        const ShelfLoads loads = loads_of(shelf, site.rules);
        plan.self_weight = loads.self_load;
        plan.goods_load = loads.goods_load;
        const Way& way = way_of(shelf);
        const auto whole = way.whole(shelf);
        plan.mass = whole ? whole->mass : loads.board_mass;
        const ArmRange range = arm_range(shelf.depth, site.rules);
        plan.arm_least = range.least;
        plan.arm_most = range.most;
        if (!whole)
            plan.pieces = pieces_of(shelf, site.rules.shelves);
        plan.back_cuts = back_cuts(shelf, site);
        check_place(shelf, site, plan);
        if (way.at_places()) {
            hang_at_places(shelf, site, scales, plan);
        } else {
            way.hang(shelf, site, plan);
            plan_holes(shelf, site, plan);
            check_board_strength(shelf, site, plan);
            check_clearances(shelf, site, plan);
        }
        check_kind(shelf, site, plan);
        for (CleatPlan& cleat : plan.cleats)
            if (auto strip = std::exchange(cleat.beside, {}))
                plan.beside.push_back(*std::move(strip));
    });
}

ShelfPlan reckon_shelf(const Shelf& shelf, const WallSite& site) {
    LayoutScales scales{shelf, site};
    return guarded(draft_shelf(shelf, site, scales), shelf.name, [&](ShelfPlan& plan) {
        add_cures(shelf, site, scales, plan);
        plan.parts = way_of(shelf).cut(shelf, site, plan);
        if (plan.bracket)
            plan.alternatives =
                scales.alternatives_to(std::move(plan.alternatives.front()), shelf.school, shelf.extra_brackets);
        if (!plan.brackets.empty() || !plan.cleats.empty()) {
            plan.supplies = bought_for(shelf, site, plan);
            plan.workings = workings_of(shelf, site, plan);
            plan.steps = steps_of(shelf, site, plan);
        }
    });
}

} // namespace yes_square
