#include "core/stability/inventory.hpp"

#include "core/stability/piece_words.hpp"
#include "core/stability/tipping.hpp"

#include <algorithm>

namespace yes_square {
namespace {

InventoryRow row_of(const Wall& wall, const Piece& piece, const PiecePlan& plan) {
    InventoryRow row{wall.name,         piece.name, piece.height, piece.mass, plan.verdict, words(piece.restraint.kind),
                     plan.holes.size(), {}};
    if (piece.restraint.kind != RestraintKind::none)
        row.each = plan.each;
    return row;
}

bool is_tall(const CabinetUnit& unit) {
    return unit.kind == UnitKind::tall || unit.kind == UnitKind::appliance_housing;
}

InventoryRow row_of(const Wall& wall, const CabinetUnit& unit, const UnitPlan& plan) {
    InventoryRow row{
        wall.name, unit.name, unit.height, plan.empty_mass, PieceVerdict::unsafe, "screws through its rail", 0, {}};
    std::optional<std::size_t> last;
    bool sure = true;
    for (const PlannedHole& hole : plan.holes) {
        if (hole.row > 0 || (hole.stud && hole.stud == last))
            continue;
        last = hole.stud;
        ++row.places;
        sure = sure && hole.no_wall.empty() &&
               (hole.substrate == Substrate::proved_stud || hole.substrate == Substrate::masonry);
    }
    if (row.places > 0)
        row.each = plan.tension;
    if (row.places > 0 && sure && plan.utilisation.within())
        row.verdict = PieceVerdict::held;
    return row;
}

InventoryRow row_of(const Wall& wall, const StorageSystem& system, const SystemPlan& plan) {
    Mass mass = 0;
    for (const BayPlan& bay : plan.bays)
        mass += bay.mass;
    InventoryRow row{wall.name, system.name, plan.head, mass, PieceVerdict::held, "the cleats of its bays", 0, {}};
    for (const BayPlan& bay : plan.bays) {
        // Its top cleat is what keeps a bay from tipping.
        const BayCleat* top = bay.cleats.empty() ? nullptr : &bay.cleats.front();
        if (!top || top->screws.empty() || !top->utilisation.within())
            row.verdict = PieceVerdict::unsafe;
        if (!bay.cleats.empty())
            row.places += bay.cleats.front().screws.size();
    }
    if (plan.bays.empty() || holds(plan) == Holds::no)
        row.verdict = PieceVerdict::unsafe;
    return row;
}

} // namespace

std::vector<InventoryRow> inventory(const Job& job, const Plan& plan) {
    std::vector<InventoryRow> rows;
    for (std::size_t w = 0; w < job.walls.size() && w < plan.walls.size(); ++w) {
        const Wall& wall = job.walls[w];
        const WallPlan& reckoned = *plan.walls[w];
        for (std::size_t i = 0; i < wall.pieces.size(); ++i)
            rows.push_back(row_of(wall, wall.pieces[i], reckoned.pieces[i]));
        for (std::size_t i = 0; i < wall.systems.size(); ++i)
            if (!wall.systems[i].hung)
                rows.push_back(row_of(wall, wall.systems[i], reckoned.systems[i]));
        for (std::size_t r = 0; r < wall.runs.size(); ++r)
            for (std::size_t u = 0; u < wall.runs[r].units.size(); ++u)
                if (wall.runs[r].level == RunLevel::floor && is_tall(wall.runs[r].units[u]))
                    rows.push_back(row_of(wall, wall.runs[r].units[u], reckoned.runs[r].units[u]));
    }
    return rows;
}

} // namespace yes_square
