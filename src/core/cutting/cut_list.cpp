#include "core/cutting/cut_list.hpp"

#include <algorithm>
#include <fmt/format.h>

namespace yes_square {
namespace {

constexpr Length in_corner = 10_mm;        ///< a shelf's end this near the wall's is cut to what is measured there
constexpr Length plinth_thickness = 16_mm; ///< usual (house rule)
constexpr Length worktop_thickness = 38_mm;
constexpr Length filler_thickness = 18_mm;
constexpr Length ledger_breadth = 50_mm;
constexpr Length ledger_thickness = 25_mm;
constexpr Length packer_breadth = 60_mm;

/// Boards that are made in sheets; the others are planks.
bool in_sheets(BoardMaterial material) {
    return material <= BoardMaterial::plywood;
}
/// Nobody sees which way these lie.
bool grainless(BoardMaterial material) {
    return material <= BoardMaterial::particleboard_p5;
}

class Lister {
public:
    Lister(const Job& job, const Plan& plan)
        : job_{job}
        , plan_{plan} {}

    std::vector<CutPiece> list() {
        for (std::size_t w = 0; w < job_.walls.size() && w < plan_.walls.size(); ++w) {
            wall_ = &job_.walls[w];
            const WallPlan& plan = *plan_.walls[w];
            for (std::size_t i = 0; i < plan.shelves.size(); ++i)
                shelf(wall_->shelves[i], plan.shelves[i]);
            noggings(plan);
            for (std::size_t i = 0; i < plan.runs.size(); ++i)
                run(wall_->runs[i], plan.runs[i]);
            for (std::size_t i = 0; i < plan.systems.size(); ++i)
                system(wall_->systems[i], plan.systems[i]);
            for (std::size_t i = 0; i < plan.boxes.size(); ++i)
                box(wall_->boxes[i], plan.boxes[i]);
            for (const Piece& piece : wall_->pieces)
                if (piece.restraint.kind == RestraintKind::cleat)
                    strip(piece.id, {"cleat of {0}", {piece.name}}, piece.width, packer_breadth,
                          piece.restraint.through);
        }
        for (std::size_t i = 0; i < pieces_.size(); ++i)
            if (pieces_[i].label.empty())
                pieces_[i].label = std::to_string(i + 1);
        return std::move(pieces_);
    }

private:
    CutPiece& add(const std::string& item, Sentence name, Stuff stuff, Length length, Length breadth) {
        CutPiece& piece = pieces_.emplace_back();
        piece.item = item;
        piece.wall = wall_->id;
        piece.name = std::move(name);
        piece.stuff = std::move(stuff);
        piece.length = length;
        piece.breadth = breadth;
        return piece;
    }

    /// From a sheet or from a plank, as the material is made.
    CutPiece& board(const std::string& item, Sentence name, BoardMaterial material, Length length, Length breadth,
                    Length thickness) {
        Stuff stuff{in_sheets(material) ? StuffKind::sheet : StuffKind::board, std::string{properties(material).words},
                    material, thickness, in_sheets(material) ? Length{} : breadth};
        CutPiece& piece = add(item, std::move(name), std::move(stuff), length, breadth);
        piece.may_turn = grainless(material);
        return piece;
    }
    CutPiece& strip(const std::string& item, Sentence name, Length length, Length breadth, Length thickness,
                    StuffKind kind = StuffKind::cleat, std::string_view what = "strip") {
        return add(item, std::move(name), {kind, std::string{what}, {}, thickness, breadth}, length, breadth);
    }

    /// Leaves something on a part that is cut to what the wall says.
    void leave_on(CutPiece& piece) {
        const Length on = job_.rules.cutting.scribe_allowance;
        if (on <= Length{})
            return;
        piece.working = Working{"cut",
                                {"Left long to be cut to the wall"},
                                "{0} + {1}",
                                {{"wanted", quantity(piece.length), {Provenance::derived}},
                                 {"left on", quantity(on), {Provenance::house_rule}}},
                                quantity(piece.length + on),
                                {Provenance::derived}};
        piece.length += on;
        piece.mind = "left long: measure between the walls at its height, then cut";
    }

    void shelf(const Shelf& shelf, const ShelfPlan& plan) {
        if (const Pole* pole = shelf.held<Pole>()) {
            strip(shelf.id, {"pole of {0}", {shelf.name}}, shelf.length, shelf.thickness, shelf.thickness,
                  StuffKind::rod, pole->stuff == PoleStuff::wood ? "wooden rod" : "metal tube");
            return;
        }
        const bool to_walls = shelf.left <= in_corner && wall_->length - shelf.right() <= in_corner;
        for (int tier = 0; tier < shelf.tiers; ++tier)
            for (const BoardPiece& each : plan.pieces) {
                CutPiece& piece = board(shelf.id,
                                        shelf.held<HookRail>() ? Sentence{"rail of {0}", {shelf.name}}
                                                               : Sentence{"board of {0}", {shelf.name}},
                                        shelf.material, std::max(each.back, each.front),
                                        shelf.held<HookRail>() ? shelf.thickness : shelf.depth,
                                        shelf.held<HookRail>() ? shelf.held<HookRail>()->board : shelf.thickness);
                if (each.back != each.front)
                    piece.mind = "its ends follow the walls: back and front differ, see the sheet";
                if (shelf.held<OnCleats>() || to_walls)
                    leave_on(piece);
                if (shelf.lip)
                    board(shelf.id, {"lip of {0}", {shelf.name}}, shelf.lip->material, std::max(each.back, each.front),
                          shelf.lip->height, shelf.lip->breadth);
            }
        if (const OnCleats* how = shelf.held<OnCleats>())
            for (const CleatPlan& cleat : plan.cleats)
                strip(shelf.id, {"{0} cleat of {1}", {cleat.wall, shelf.name}}, cleat.length, how->breadth,
                      how->thickness);
    }

    void noggings(const WallPlan& plan) {
        const auto* framing = std::get_if<Framing>(&wall_->structure);
        const auto first_of = [&](const Nogging& nogging) -> std::string {
            for (const ShelfPlan& shelf : plan.shelves)
                if (!nogging.holds.empty() && shelf.name == nogging.holds.front().shelf)
                    return shelf.id;
            return {};
        };
        for (const Nogging& nogging : plan.noggings)
            strip(first_of(nogging), {"nogging at {0}, {1} up", {quantity(nogging.left), quantity(nogging.z)}},
                  nogging.length(), framing ? framing->stud_depth : 89_mm, framing ? framing->stud_width : 38_mm,
                  StuffKind::stud, "stud timber");
    }

    void run(const Run& run, const RunPlan& plan) {
        for (std::size_t i = 0; i < run.units.size() && i < plan.units.size(); ++i) {
            const CabinetUnit& unit = run.units[i];
            const UnitPlan& placed = plan.units[i];
            const auto scribe = std::ranges::find(plan.scribes, i, &Scribe::number);
            const Length on = scribe == plan.scribes.end() ? Length{} : job_.rules.cutting.scribe_allowance;
            if (unit.kind == UnitKind::filler || unit.kind == UnitKind::end_panel) {
                const bool filler = unit.kind == UnitKind::filler;
                const Length wanted = filler ? placed.place.width : unit.depth;
                CutPiece& piece =
                    add(unit.id, {filler ? std::string_view{"filler {0}"} : "panel {0}", {unit.name}},
                        {StuffKind::sheet, "board as the fronts", {}, filler ? filler_thickness : unit.width, {}},
                        unit.height, wanted + on);
                if (on > Length{}) {
                    piece.mind = "left broad, then scribed by its cutting table";
                    piece.working = Working{"cut",
                                            {"Left broad to be scribed"},
                                            "{0} + {1}",
                                            {{"wanted", quantity(wanted), {Provenance::derived}},
                                             {"left on", quantity(on), {Provenance::house_rule}}},
                                            quantity(wanted + on),
                                            {Provenance::derived}};
                }
            }
            Length packer;
            for (const Foot& foot : placed.feet)
                packer = std::max(packer, foot.packer);
            if (packer > Length{})
                for (const bool front : {true, false}) {
                    CutPiece& piece = strip(
                        unit.id,
                        {front ? std::string_view{"front packer under {0}"} : "back packer under {0}", {unit.name}},
                        placed.place.width, packer_breadth, packer, StuffKind::packer);
                    piece.mind = "ripped to a wedge by the legs' table, its thickest given here";
                }
        }
        for (const RunPiece& piece : plan.pieces)
            run_piece(run, piece);
    }

    void run_piece(const Run& run, const RunPiece& piece) {
        for (const Length cut : piece.cuts)
            switch (piece.what) {
            case RunPiece::What::worktop:
                strip(run.id, {"worktop of {0}", {run.name}}, cut, piece.breadth, worktop_thickness, StuffKind::worktop,
                      "worktop");
                if (run.start.at == EndKind::wall_end)
                    leave_on(pieces_.back());
                break;
            case RunPiece::What::plinth:
                strip(run.id, {"plinth of {0}", {run.name}}, cut, piece.breadth, plinth_thickness, StuffKind::plinth,
                      "plinth");
                break;
            case RunPiece::What::suspension_rail:
                strip(run.id, {"rail of {0}", {run.name}}, cut, {}, {}, StuffKind::rail, "suspension rail");
                break;
            case RunPiece::What::ledger:
                strip(run.id, {"ledger under {0}, for the time of hanging", {run.name}}, cut, ledger_breadth,
                      ledger_thickness);
                break;
            }
    }

    void system(const StorageSystem& system, const SystemPlan& plan) {
        for (const StoragePart& part : plan.parts) {
            const Sentence name{"{0} of {1}", {part.what, system.name}};
            if (part.what == "rod")
                strip(system.id, name, part.length, part.breadth, part.thickness, StuffKind::rod,
                      system.rod_stuff == PoleStuff::wood ? "wooden rod" : "metal tube");
            else if (part.breadth == system.cleat_breadth && part.thickness == system.cleat_thickness)
                strip(system.id, name, part.length, part.breadth, part.thickness);
            else
                board(system.id, name, system.material, part.length, part.breadth, part.thickness);
            pieces_.back().label = part.label;
        }
    }

    void box(const WallBox& box, const BoxPlan& plan) {
        for (const BoxPart& part : plan.parts)
            for (std::size_t n = 0; n < part.number; ++n) {
                CutPiece& piece = board(box.id, {"{0} of {1}", {part.what, box.name}},
                                        part.what == "back" ? box.back_material : box.material, part.length,
                                        part.breadth, part.thickness);
                piece.mind = part.mind;
            }
        for (CutPiece& piece : pieces_)
            if (piece.item == box.id && piece.mind == "its ends enter housings")
                for (const Working& working : plan.workings)
                    if (working.subject == "shelf")
                        piece.working = working;
    }

    const Job& job_;
    const Plan& plan_;
    const Wall* wall_ = nullptr;
    std::vector<CutPiece> pieces_;
};

} // namespace

std::vector<CutPiece> cut_list(const Job& job, const Plan& plan, const Scope& scope) {
    std::vector<CutPiece> pieces = Lister{job, plan}.list();
    std::erase_if(pieces, [&](const CutPiece& piece) {
        const auto wall = std::ranges::find(job.walls, piece.wall, &Wall::id);
        return wall == job.walls.end() || !scope.takes(*wall);
    });
    return pieces;
}

std::string_view words(StuffKind kind) {
    switch (kind) {
    case StuffKind::sheet:
        return "sheet";
    case StuffKind::board:
        return "plank";
    case StuffKind::cleat:
        return "strip";
    case StuffKind::stud:
        return "stud timber";
    case StuffKind::rod:
        return "rod";
    case StuffKind::rail:
        return "suspension rail";
    case StuffKind::worktop:
        return "worktop";
    case StuffKind::plinth:
        return "plinth";
    case StuffKind::packer:
        return "packer";
    }
    return {};
}

} // namespace yes_square
