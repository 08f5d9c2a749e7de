#include "core/runs/reckon_run.hpp"

#include "core/fixings/choose_fixing.hpp"
#include "core/fixings/hole_spacing.hpp"
#include "core/runs/island.hpp"
#include "core/runs/level_units.hpp"
#include "core/runs/run_checks.hpp"
#include "core/runs/run_parts.hpp"
#include "core/runs/run_pieces.hpp"
#include "core/runs/run_words.hpp"
#include "core/runs/slide.hpp"
#include "core/site/plan_hole.hpp"

#include <algorithm>

namespace yes_square {
namespace {

/// Through both sides, or both stiles of face frames, and shorter than what they are together.
std::vector<JoinScrew> joins_of(const std::vector<StandingUnit>& units, const RunSite& site) {
    std::vector<JoinScrew> joins;
    const auto part = [](const CabinetUnit& unit) {
        return unit.construction == Construction::face_frame && unit.stile > Length{} ? unit.stile : unit.side;
    };
    for (std::size_t i = 0; i + 1 < units.size(); ++i) {
        if (!is_cabinet(units[i].unit) || !is_cabinet(units[i + 1].unit))
            continue;
        JoinScrew join{i, part(units[i].unit) + part(units[i + 1].unit), std::nullopt};
        for (const Length length : site.wall.catalogue.shelf_screws)
            if (length <= join.passes - site.rules().joint_cover && length > part(units[i].unit) &&
                (!join.length || length > *join.length))
                join.length = length;
        joins.push_back(join);
    }
    return joins;
}

/// Its lines on the wall, and the holes of its units and of its rails, which hang before them.
void mark_out(const Run& run, const WallSite& site, RunPlan& plan) {
    for (RunPiece& piece : plan.pieces)
        for (PlannedHole& hole : piece.hold.places) {
            hole.item = run.id;
            hole.what = {hole.screws > 1 && hole.fixing
                             ? std::string_view{"{0}: rail, fixing {1}, screws there: {2}, along it at least {3} apart"}
                             : "{0}: rail, fixing {1}, screws there: {2}",
                         {run.name, count(hole.place + 1), count(hole.screws),
                          stock(hole.fixing ? least_apart(*hole.fixing, site.masonry()) : Length{})}};
            plan_hole(site, hole);
        }
    for (const UnitPlan& unit : plan.units)
        add_holes(plan, unit.holes);
    for (const RunPiece& piece : plan.pieces)
        add_holes(plan, piece.hold.places);
    if (plan.units.empty())
        return;
    const bool hangs = run.level == RunLevel::wall;
    const Length z = hangs ? plan.units.front().bottom : plan.units.front().top;
    const Length left = plan.layout.left();
    const Length right = plan.layout.right();
    plan.lines = {{false,
                   {hangs ? std::string_view{"{0}: bottoms of its units"} : "{0}: tops of its units", {run.name}},
                   left,
                   z,
                   right},
                  {true, {"{0} begins here", {run.name}}, left, z},
                  {true, {"{0} ends here", {run.name}}, right, z}};
}

} // namespace

RunPlan reckon_run(std::size_t number, const RunSite& site) {
    const Run& run = site.wall.wall.runs[number];
    RunPlan plan;
    plan.id = run.id;
    plan.name = run.name;
    plan.level = run.level;
    plan.layout = site.layouts[number];
    const std::vector<StandingUnit> units = standing_units(run, plan.layout, site);
    plan.slide =
        slide_for_studs(slide_question(run, plan.layout, site.wall.wall, site.wall.survey.studs, site.wall.rules));
    for (const StandingUnit& standing : units) {
        plan.units.push_back(hang_unit(standing, site.wall));
        if (!site.wall.open_floor())
            plan.units.back().feet = feet_of(standing, site.wall);
    }
    plan.islands = hold_island(units, plan.units, site);
    plan.joins = joins_of(units, site);
    plan.pieces = pieces_of(run, units, site);
    plan.scribes = scribes_of(run, units, site);
    for (RunPiece& piece : plan.pieces)
        if (piece.what == RunPiece::What::suspension_rail)
            piece.hold = hold_of_rail(piece, run, units, plan.units, site);
    mark_out(run, site.wall, plan);
    const DraftRun draft{run, units, site};
    check_places(draft, plan);
    check_hold(draft, plan);
    if (site.wall.open_floor())
        check_island(draft, plan);
    check_fit(draft, plan);
    plan.parts = cut_for(draft, plan);
    plan.supplies = bought_for(draft, plan);
    plan.workings = workings_of(draft, plan);
    plan.steps = steps_of(draft, plan);
    return plan;
}

} // namespace yes_square
