#include "core/runs/run_parts.hpp"

#include "core/fixings/fixing_supplies.hpp"
#include "core/site/cut_outs.hpp"

#include <algorithm>

namespace yes_square {
namespace {

constexpr Length filler_thickness = 18_mm;
constexpr Length ledger_breadth = 50_mm;
constexpr Length ledger_thickness = 25_mm;
constexpr Length packer_breadth = 60_mm;

class RunCutter {
public:
    RunCutter(const DraftRun& draft, const RunPlan& plan)
        : run_{draft.run}
        , rules_{draft.site.wall.rules.runs}
        , scribed_{draft.site.wall.rules.cutting.scribe_allowance}
        , plan_{plan} {}

    std::vector<CutPart> cut() {
        for (std::size_t i = 0; i < run_.units.size() && i < plan_.units.size(); ++i) {
            front_board(i);
            packers(i);
        }
        for (const RunPiece& piece : plan_.pieces)
            for (const Length length : piece.cuts)
                strip(piece, length);
        return std::move(parts_);
    }

private:
    /// A filler or an end panel, of the board that the fronts are of.
    void front_board(std::size_t i) {
        const CabinetUnit& unit = run_.units[i];
        const bool filler = unit.kind == UnitKind::filler;
        if (!filler && unit.kind != UnitKind::end_panel)
            return;
        CutPart& part = parts_.emplace_back(
            CutPart{unit.id,
                    {filler ? std::string_view{"filler {0}"} : "panel {0}", {unit.name}},
                    {StuffKind::sheet, "board as the fronts", {}, filler ? filler_thickness : unit.width, {}},
                    unit.height,
                    filler ? plan_.units[i].place.width : unit.depth});
        if (std::ranges::find(plan_.scribes, i, &Scribe::number) != plan_.scribes.end())
            leave_broad(part, scribed_);
    }

    void packers(std::size_t i) {
        const UnitPlan& unit = plan_.units[i];
        Length packer;
        for (const Foot& foot : unit.feet)
            packer = std::max(packer, foot.packer);
        if (packer <= Length{})
            return;
        for (const std::string_view what : {"front packer under {0}", "back packer under {0}"}) {
            CutPart& part = parts_.emplace_back(strip_part(unit.unit_id, {what, {unit.name}}, unit.place.width,
                                                           packer_breadth, packer, StuffKind::packer));
            part.mind = {"ripped to a wedge by the legs' table, its thickest given here"};
        }
    }

    void strip(const RunPiece& piece, Length length) {
        switch (piece.what) {
        case RunPiece::What::worktop:
            parts_.push_back(strip_part(run_.id, {"worktop of {0}", {run_.name}}, length, piece.breadth,
                                        rules_.worktop_thick, StuffKind::worktop, "worktop"));
            parts_.back().mind = cut_outs_to_mind(piece.cut_outs);
            if (run_.start.at == EndKind::wall_end)
                leave_long(parts_.back(), scribed_);
            break;
        case RunPiece::What::plinth:
            parts_.push_back(strip_part(run_.id, {"plinth of {0}", {run_.name}}, length, piece.breadth,
                                        rules_.plinth_thickness, StuffKind::plinth, "plinth"));
            break;
        case RunPiece::What::suspension_rail:
            parts_.push_back(
                strip_part(run_.id, {"rail of {0}", {run_.name}}, length, {}, {}, StuffKind::rail, "suspension rail"));
            break;
        case RunPiece::What::ledger:
            parts_.push_back(strip_part(run_.id, {"ledger under {0}, for the time of hanging", {run_.name}}, length,
                                        ledger_breadth, ledger_thickness));
            break;
        }
    }

    const Run& run_;
    const RunRules& rules_;
    const Length scribed_;
    const RunPlan& plan_;
    std::vector<CutPart> parts_;
};

} // namespace

std::vector<CutPart> cut_for(const DraftRun& draft, const RunPlan& plan) {
    return RunCutter{draft, plan}.cut();
}

std::vector<Supply> bought_for(const DraftRun& draft, const RunPlan& plan) {
    std::vector<Supply> supplies;
    for (const JoinScrew& join : plan.joins)
        if (join.length)
            supplies.push_back(screws_of(*join.length, "Screw that joins two units", 2));
    for (std::size_t i = 0; i < plan.units.size(); ++i) {
        const UnitPlan& unit = plan.units[i];
        if (draft.units[i].on_plates())
            supplies.push_back(
                {KitGroup::hardware, "hook bracket", {"Hook bracket with its wall plate"}, 2, unit.unit_id});
        else if (unit.hook_load)
            supplies.push_back({KitGroup::hardware, "rail hook", {"Hook for a suspension rail"}, 2, unit.unit_id});
    }
    if (!plan.units.empty()) {
        supplies.push_back({KitGroup::tools, "clamps", {"Clamps, two"}});
        supplies.push_back(
            {KitGroup::tools, "straightedge", {"Straight edge, as long as the run's longest three units"}});
        supplies.push_back({KitGroup::consumables, "shims", {"Shims, a bag"}});
    }
    const bool lifts = draft.run.level == RunLevel::wall && std::ranges::any_of(plan.units, [&](const UnitPlan& unit) {
                           return unit.lift_mass > draft.site.rules().lift_alone;
                       });
    if (lifts)
        supplies.push_back({KitGroup::tools, "jack", {"Cabinet jack, or a temporary ledger and a helper"}});
    for (const RunPiece& piece : plan.pieces)
        if (piece.what == RunPiece::What::worktop) {
            supplies.push_back({KitGroup::consumables, "sealant", {"Sealant"}});
            if (piece.screws > 0)
                supplies.push_back({KitGroup::fixings,
                                    "worktop screw",
                                    {"Screw up into a worktop, shorter than it and the unit's rail together"},
                                    piece.screws});
        }
    return supplies;
}

} // namespace yes_square
