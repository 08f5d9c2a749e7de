#include "core/runs/reckon_run.hpp"

#include "core/fixings/choose_fixing.hpp"
#include "core/runs/level_units.hpp"
#include "core/runs/run_checks.hpp"
#include "core/runs/run_pieces.hpp"
#include "core/runs/run_words.hpp"
#include "core/runs/slide.hpp"

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
        plan.units.back().feet = feet_of(standing, site.wall);
    }
    plan.joins = joins_of(units, site);
    plan.pieces = pieces_of(units, site);
    plan.scribes = scribes_of(run, units, site);
    for (RunPiece& piece : plan.pieces)
        if (piece.what == RunPiece::What::suspension_rail)
            piece.hold = hold_of_rail(piece, units, plan.units, site);
    const DraftRun draft{run, units, site};
    check_places(draft, plan);
    check_hold(draft, plan);
    check_fit(draft, plan);
    plan.workings = workings_of(draft, plan);
    plan.steps = steps_of(draft, plan);
    return plan;
}

} // namespace yes_square
