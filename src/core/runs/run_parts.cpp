#include "core/runs/run_parts.hpp"

#include "core/fixings/fixing_supplies.hpp"
#include "core/site/cut_outs.hpp"

#include <algorithm>
#include <fmt/format.h>

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
        , behind_{draft.site.wall.survey.behind}
        , plan_{plan} {}

    std::vector<CutPart> cut() {
        for (std::size_t i = 0; i < run_.units.size() && i < plan_.units.size(); ++i) {
            front_board(i);
            packers(i);
        }
        for (const RunPiece& piece : plan_.pieces)
            for (Length from; const Length length : piece.cuts) {
                strip(piece, from, length);
                from += length;
            }
        for (const IslandHold& hold : plan_.islands)
            base(hold);
        return std::move(parts_);
    }

private:
    /// What an island stands on and is held by, and its back where none stands behind it.
    void base(const IslandHold& hold) {
        const auto timber = [&](std::string_view what, Length length, Length breadth) {
            parts_.push_back(strip_part(run_.id, {what, {run_.name}}, length, breadth, rules_.frame_timber,
                                        StuffKind::stud, "stud timber"));
        };
        const auto units = static_cast<std::int64_t>(hold.last - hold.first + 1);
        const Length inside = hold.frame_depth - 2 * rules_.frame_timber;
        if (hold.frame_height > Length{}) {
            for (int rail = 0; rail < 2; ++rail)
                timber("frame rail of {0}", hold.to - hold.from, hold.frame_height);
            for (std::int64_t piece = 0; piece <= units; ++piece)
                timber("frame piece across, of {0}", inside, hold.frame_height);
            for (int rail = 0; rail < 2; ++rail)
                timber("floor cleat of {0}", hold.to - hold.from - 2 * rules_.frame_timber, rules_.cleat_breadth);
        } else {
            for (std::int64_t side = 0; side < 2 * units; ++side)
                timber("floor cleat of {0}", hold.frame_depth, rules_.cleat_breadth);
        }
        if (!behind_.empty())
            return;
        CutPart& back = parts_.emplace_back();
        back.item = run_.id;
        back.name = {"back panel of {0}", {run_.name}};
        back.stuff.kind = StuffKind::sheet;
        back.stuff.words = "board as the fronts";
        back.stuff.thickness = filler_thickness;
        back.length = hold.to - hold.from;
        back.breadth = plan_.units[hold.first].top;
        leave_broad(back, scribed_);
    }

    /// The two strips of a post, glued and screwed along one edge: the one behind gives up the other's thickness.
    void post(const CabinetUnit& unit) {
        const Stuff stuff{StuffKind::sheet, "board as the fronts", {}, filler_thickness, {}};
        parts_.push_back({unit.id, {"front strip of {0}", {unit.name}}, stuff, unit.height, unit.width});
        parts_.push_back({unit.id,
                          {"return strip of {0}", {unit.name}},
                          stuff,
                          unit.height,
                          std::max(unit.return_width - filler_thickness, filler_thickness)});
    }

    /// A filler or an end panel, of the board that the fronts are of; what else stands between units and is cut.
    void front_board(std::size_t i) {
        const CabinetUnit& unit = run_.units[i];
        if (unit.kind == UnitKind::corner_post)
            return post(unit);
        if (unit.kind == UnitKind::handle_channel)
            return parts_.push_back(
                strip_part(unit.id, {"{0}", {unit.name}}, unit.height, {}, {}, StuffKind::channel, "handle channel"));
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

    /// @param from  of this length, along the piece
    void strip(const RunPiece& piece, Length from, Length length) {
        switch (piece.what) {
        case RunPiece::What::worktop:
            parts_.push_back(strip_part(run_.id, {"worktop of {0}", {run_.name}}, length, piece.breadth,
                                        rules_.worktop_thick, StuffKind::worktop, "worktop"));
            parts_.back().mind = cut_outs_to_mind(cut_outs_between(piece.cut_outs, from, from + length), from);
            if (run_.start.at == EndKind::wall_end && from == Length{})
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
        case RunPiece::What::channel:
            parts_.push_back(strip_part(run_.id, {"handle channel of {0}", {run_.name}}, length, {}, {},
                                        StuffKind::channel, "handle channel"));
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
    const std::vector<StandsBehind>& behind_;
    const RunPlan& plan_;
    std::vector<CutPart> parts_;
};

} // namespace

std::vector<CutPart> cut_for(const DraftRun& draft, const RunPlan& plan) {
    return RunCutter{draft, plan}.cut();
}

namespace {

/// As the kit counts those for a wall's holes.
Supply bit_for(const Fixing& fixing, bool masonry) {
    const std::string_view bit = masonry ? "masonry bit" : "wood bit";
    return {KitGroup::bits,
            fmt::format("{} {:.4g} mm", bit, fixing.hole_diameter.in_mm()),
            {"{0} {1}, tape on it at {2}", {bit, stock(fixing.hole_diameter), stock(fixing.drill_depth)}}};
}

} // namespace

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
    const OpenFloor* floor = draft.site.wall.open_floor();
    for (const IslandHold& hold : plan.islands)
        for (const IslandJoint& joint : hold.joints)
            if (joint.fixing) {
                std::ranges::move(supplies_of(*joint.fixing, hold.screws * (hold.last - hold.first + 1)),
                                  std::back_inserter(supplies));
                const bool concrete =
                    joint.what == IslandJoint::What::cleat_to_floor && floor->floor == FloorBuilt::concrete;
                supplies.push_back(bit_for(*joint.fixing, concrete));
                if (concrete)
                    supplies.push_back({KitGroup::tools, "hammer drill", {"Hammer drill, ear protection"}});
            }
    if (floor && floor->floor == FloorBuilt::heated)
        supplies.push_back({KitGroup::consumables, "floor adhesive", {"Adhesive for timber on a heated floor"}});
    const bool upright = std::ranges::any_of(
        draft.run.units, [](const CabinetUnit& unit) { return unit.kind == UnitKind::handle_channel; });
    const bool level =
        std::ranges::any_of(plan.pieces, [](const RunPiece& piece) { return piece.what == RunPiece::What::channel; });
    if (upright || level)
        supplies.push_back(
            {KitGroup::hardware, "channel trims", {"Clips, end caps and corner trims of the handle channel"}});
    for (const RunPiece& piece : plan.pieces)
        if (piece.what == RunPiece::What::worktop) {
            supplies.push_back({KitGroup::consumables, "sealant", {"Sealant"}});
            if (!piece.joints.empty())
                supplies.push_back({KitGroup::hardware,
                                    "worktop bolts",
                                    {"Bolts that draw a worktop's joint together, a set"},
                                    piece.joints.size()});
            if (piece.screws > 0)
                supplies.push_back({KitGroup::fixings,
                                    "worktop screw",
                                    {"Screw up into a worktop, shorter than it and the unit's rail together"},
                                    piece.screws});
        }
    return supplies;
}

} // namespace yes_square
