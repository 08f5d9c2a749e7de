#pragma once

#include "core/cutting/cut_bars.hpp"
#include "core/cutting/cut_list.hpp"
#include "core/cutting/cut_sheets.hpp"

namespace yes_square {

/// What it may find.
namespace checks {
inline constexpr CheckCode stock_too_short{"stock_too_short", Severity::error};
} // namespace checks

/// One stuff: its parts, what they are cut from, and how.
struct StuffPlan {
    Stuff stuff;
    std::vector<CutPiece> pieces;
    std::vector<Stock> stock; ///< that suits, as Bar::stock and Sheet::stock count it
    bool sheets = false;
    BarPlan bars;                ///< of lengths
    SheetPlan sheet_plan;        ///< of sheets
    std::optional<double> price; ///< of what is bought; none: not every price is known
    std::vector<Check> checks;

    std::size_t bought() const { return sheets ? sheet_plan.bought : bars.bought; }
    bool proved() const { return sheets ? sheet_plan.proved() : bars.proved(); }
};

struct CuttingPlan {
    std::vector<StuffPlan> stuffs;
    double price = 0;
    bool all_priced = true;
};

/// Shares the parts of a wall, a room or the job among what lies there and what can be bought. Lengths: the fewest, or
/// the cheapest where all have prices; sheets: a good guillotine plan. A stuff without stock of its own takes the
/// shipped sizes. `seconds` is what one stuff's search may take.
CuttingPlan cutting_plan(const Job& job, const Plan& plan, const Scope& scope = {}, double seconds = 1.5);

/// The sizes that suit a stuff: the job's, or where it has none the shipped ones; those that lie there first.
std::vector<Stock> stock_for(const Stuff& stuff, const Job& job);

} // namespace yes_square
