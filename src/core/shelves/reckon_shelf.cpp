#include "core/shelves/reckon_shelf.hpp"

#include "core/shelves/cleats.hpp"
#include "core/shelves/plate.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_cures.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "core/shelves/shelf_workings.hpp"

#include "core/fixings/choose_fixing.hpp"

#include <algorithm>

namespace yes_square {

namespace {

/// Boards between the ends and the joints, in order.
std::vector<BoardPiece> pieces_of(const Shelf& shelf) {
    std::vector<Length> cuts{Length{}};
    for (const Length joint : shelf.joints)
        if (joint > Length{} && joint < shelf.length)
            cuts.push_back(joint);
    cuts.push_back(shelf.length);
    std::ranges::sort(cuts);
    std::vector<BoardPiece> pieces;
    for (std::size_t i = 1; i < cuts.size(); ++i)
        if (const Length length = cuts[i] - cuts[i - 1]; length > Length{})
            pieces.push_back({shelf.left + cuts[i - 1], length, length});
    return pieces;
}

/// The wall holes of what stands at the places, tier by tier.
void drill(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    const auto& drops = plan.bracket->hole_drops;
    const int tiers = plan.one_leg ? 1 : shelf.tiers;
    for (std::size_t i = 0; i < plan.brackets.size(); ++i) {
        if (plan.brackets[i].hanger)
            continue;
        for (int tier = 0; tier < tiers; ++tier)
            for (std::size_t row = 0; row < drops.size(); ++row) {
                const Length x = plan.brackets[i].x;
                const Length z = shelf.top_of(tier) - shelf.thickness + plan.leg_over - drops[row];
                plan.holes.push_back({i, row + static_cast<std::size_t>(tier) * drops.size(), x, z,
                                      site.survey.floor.above_floor_now(x, z)});
            }
    }
}

/// Along the wall at places that the program seeks.
void hang_at_places(const Shelf& shelf, const WallSite& site, ShelfPlan& plan) {
    const auto carrier = carrier_of(shelf, site);
    if (!carrier) {
        check_bracket_choice(shelf, site, plan);
        return;
    }
    const Bracket& bracket = carrier->bracket;
    plan.bracket = bracket;
    plan.leg_over = carrier->over;
    plan.spacing_most = carrier->most;
    plan.one_leg = carrier->boards > 1 || shelf.held<OnStandards>();
    auto [chosen, weighed] = chosen_layout(shelf, site, *carrier);
    plan.alternatives.push_back(std::move(chosen));
    const std::vector<Length>& places = plan.alternatives[plan.chosen].layout.places;
    plan.brackets = std::move(weighed.brackets);
    if (places.size() >= 2)
        plan.sag = weighed.sag;
    plan.board_utilisation = weighed.board_utilisation;
    plan.left_overhang = places.front();
    plan.right_overhang = shelf.length - places.back();
    if (shelf.held<OnBrackets>() || shelf.held<OnStandards>())
        plan.shelf_screw = shelf_screw_length(site.catalogue, site.rules, shelf.thickness, bracket.thickness);
    drill(shelf, site, plan);
    check_bracket_choice(shelf, site, plan);
    check_hold(shelf, site, plan);
    check_strength(shelf, site, plan, weighed);
    check_clearances(shelf, site, plan);
    check_looks(shelf, site, plan);
}

/// Whether a hole of a place lies where a cable or a pipe is likely or was found.
bool in_a_strip(std::size_t place, const WallSite& site, const ShelfPlan& plan) {
    return std::ranges::any_of(plan.holes, [&](const Hole& hole) {
        return hole.bracket == place && std::ranges::any_of(site.survey.strips, [&](const Strip& strip) {
                   return hole.x >= strip.left && hole.x <= strip.right && hole.z >= strip.bottom &&
                          hole.z <= strip.top;
               });
    });
}

/// What to drill for all its fixings, alike passes together.
std::vector<DrillRow> drilling_of(const Shelf& shelf, const WallSite& site, const ShelfPlan& plan) {
    const auto* rail = shelf.held<HookRail>();
    const auto* cleats = shelf.held<OnCleats>();
    const Length through = rail ? rail->board : cleats ? cleats->thickness : Length{};
    std::vector<DrillRow> rows;
    for (std::size_t i = 0; i < plan.brackets.size(); ++i) {
        const BracketPlan& place = plan.brackets[i];
        if (!place.fixing || place.hanger)
            continue;
        std::vector<DrillPass> passes = drill_passes(site.wall, *place.fixing, through);
        if (const Length lining = site.wall.lining_thickness(); lining > Length{} && in_a_strip(i, site, plan))
            passes.insert(
                passes.begin(),
                {passes.front().bit, place.fixing->hole_diameter, lining, false,
                 "stop behind the lining and look: a cable or pipe is likely here; have it isolated or move"});
        for (const DrillPass& pass : passes) {
            const auto same = std::ranges::find(rows, pass, &DrillRow::pass);
            if (same == rows.end())
                rows.push_back({pass, {i}});
            else if (same->places.back() != i)
                same->places.push_back(i);
        }
    }
    return rows;
}

} // namespace

ShelfPlan draft_shelf(const Shelf& shelf, const WallSite& site) {
    ShelfPlan plan;
    plan.shelf_id = shelf.id;
    plan.shelf_name = shelf.name;
    const ShelfLoads loads = loads_of(shelf, site.rules);
    plan.self_weight_n_per_m = loads.self_n_per_m;
    plan.goods_n_per_m = loads.goods_n_per_m;
    const auto* fixture = shelf.held<Fixture>();
    plan.mass_kg = fixture ? fixture->mass_kg : loads.board_kg;
    const ArmRange range = arm_range(shelf.depth, site.rules);
    plan.arm_least = range.least;
    plan.arm_most = range.most;
    if (!fixture)
        plan.pieces = pieces_of(shelf);
    check_place(shelf, site, plan);
    if (hangs_at_places(shelf)) {
        hang_at_places(shelf, site, plan);
    } else {
        if (shelf.held<OnCleats>())
            hang_on_cleats(shelf, site, plan);
        else
            hang_on_plate(shelf, site, plan);
        check_board_strength(shelf, site, plan);
        check_clearances(shelf, site, plan);
    }
    check_kind(shelf, site, plan);
    return plan;
}

ShelfPlan reckon_shelf(const Shelf& shelf, const WallSite& site) {
    ShelfPlan plan = draft_shelf(shelf, site);
    add_cures(shelf, site, plan);
    if (plan.bracket)
        plan.alternatives =
            alternatives_to(std::move(plan.alternatives.front()), shelf, site, *carrier_of(shelf, site));
    if (!plan.brackets.empty() || !plan.cleats.empty()) {
        plan.drilling = drilling_of(shelf, site, plan);
        plan.workings = workings_of(shelf, site, plan);
        plan.steps = steps_of(shelf, site, plan);
    }
    return plan;
}

} // namespace yes_square
