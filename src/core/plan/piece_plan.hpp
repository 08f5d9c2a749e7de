#pragma once

#include "core/job/pieces.hpp"
#include "core/measure/physical.hpp"
#include "core/plan/substrate.hpp"
#include "core/plan/thing_plan.hpp"
#include "core/plan/tip_balance.hpp"

#include <optional>
#include <string>
#include <vector>

/// What follows from a piece of furniture that may tip: whether it stands, and what holds it.
namespace yes_square {

enum class TipCaseKind { closed, closed_pulled, one_open, all_open, all_open_pulled, climbed };

std::string_view words(TipCaseKind kind);

/// One way a piece is used, drawn as it is seen from its left side.
struct TipCase {
    TipCaseKind kind = TipCaseKind::closed;
    double lean = 0; ///< rad, forwards: a sloping floor, its back raised on carpet
    std::vector<TipWeight> weights;
    std::optional<TipPull> pull;
    std::vector<std::size_t> open; ///< drawers
    bool doors_open = false;
    TipBalance balance;
    Force needs = 0; ///< of a restraint at its height
};

enum class PieceVerdict {
    stands,  ///< low, and no case tips it
    held,    ///< whatever its cases say, its restraint holds it
    advised, ///< no case tips it, but it is tall enough to be held
    unsafe,
};

std::string_view words(PieceVerdict verdict);

struct PiecePlan : ThingPlan {
    std::vector<TipCase> cases;
    std::size_t worst = 0; ///< of the cases: the one that asks most of a restraint, or else with the least margin
    bool tips = false;     ///< in any case
    PieceVerdict verdict = PieceVerdict::unsafe;
    Length restraint_height; ///< above the floor
    Force needs = 0;         ///< of all restraints together
    Force each = 0;          ///< of each one, along its screw
    std::optional<Fixing> fixing;
    Utilisation fixing_utilisation;
    Utilisation rating_utilisation; ///< of the maker's figure for a bracket or strap
    std::size_t frame_screws = 0;   ///< of its frame to a cleat, in all; 0: none would hold, or no cleat
};

/// A tall piece of the job and how it stands, for the sheet that is handed over. Cabinets of a run and wardrobes are
/// among them.
struct InventoryRow {
    std::string wall;
    std::string name;
    Length height;
    Mass mass = 0;
    PieceVerdict verdict = PieceVerdict::unsafe;
    std::string_view held_by; ///< what holds it
    std::size_t places = 0;
    std::optional<Force> each; ///< what each place must hold
};

} // namespace yes_square
