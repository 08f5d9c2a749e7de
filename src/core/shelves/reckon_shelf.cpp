#include "core/shelves/reckon_shelf.hpp"

#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_cures.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "core/shelves/shelf_workings.hpp"

#include "core/fixings/choose_fixing.hpp"

namespace yes_square {

namespace {

Hole hole_at(const Shelf& shelf, const WallSite& site, std::size_t bracket, std::size_t row, Length x, Length drop) {
    const Length z = shelf.underside() - drop;
    return {bracket, row, x, z, site.survey.floor.above_floor_now(x, z)};
}

} // namespace

ShelfPlan draft_shelf(const Shelf& shelf, const WallSite& site) {
    ShelfPlan plan;
    plan.shelf_id = shelf.id;
    plan.shelf_name = shelf.name;
    const ShelfLoads loads = loads_of(shelf, site.rules);
    plan.self_weight_n_per_m = loads.self_n_per_m;
    plan.goods_n_per_m = loads.goods_n_per_m;
    plan.mass_kg = loads.board_kg;
    const ArmRange range = arm_range(shelf.depth, site.rules);
    plan.arm_least = range.least;
    plan.arm_most = range.most;
    plan.bracket = choose_bracket(shelf, site);
    if (!plan.bracket) {
        check_place(shelf, site, plan);
        check_bracket_choice(shelf, site, plan);
        return plan;
    }

    const Bracket& bracket = *plan.bracket;
    auto [chosen, weighed] = chosen_layout(shelf, site, bracket);
    plan.alternatives.push_back(std::move(chosen));
    const std::vector<Length>& places = plan.alternatives[plan.chosen].layout.places;
    plan.brackets = std::move(weighed.brackets);
    if (places.size() >= 2)
        plan.sag = weighed.sag;
    plan.left_overhang = places.front();
    plan.right_overhang = shelf.length - places.back();
    plan.shelf_screw = shelf_screw_length(site.catalogue, site.rules, shelf.thickness, bracket.thickness);
    for (std::size_t i = 0; i < plan.brackets.size(); ++i)
        for (std::size_t row = 0; row < bracket.hole_drops.size(); ++row)
            plan.holes.push_back(hole_at(shelf, site, i, row, plan.brackets[i].x, bracket.hole_drops[row]));

    check_place(shelf, site, plan);
    check_bracket_choice(shelf, site, plan);
    check_hold(shelf, site, plan);
    check_strength(shelf, site, plan, weighed);
    check_clearances(shelf, site, plan);
    check_looks(shelf, site, plan);
    return plan;
}

ShelfPlan reckon_shelf(const Shelf& shelf, const WallSite& site) {
    ShelfPlan plan = draft_shelf(shelf, site);
    add_cures(shelf, site, plan);
    if (plan.bracket) {
        plan.alternatives = alternatives_to(std::move(plan.alternatives.front()), shelf, site, *plan.bracket);
        plan.workings = workings_of(shelf, site, plan);
        plan.steps = steps_of(shelf, site, plan);
    }
    return plan;
}

} // namespace yes_square
