#pragma once

#include "core/cutting/cut_list.hpp"
#include "core/cutting/cutting_plan.hpp"

#include <optional>
#include <string>
#include <vector>

namespace yes_square {

/// A thing to take along.
struct KitLine {
    KitGroup group = KitGroup::fixings;
    std::string item; ///< by which its packet and price are told
    Sentence name;
    std::size_t wanted = 0; ///< by the plan; of a tool 1
    std::size_t spares = 0;
    int pack = 1;
    std::size_t on_hand = 0;
    std::size_t packs = 0;              ///< to buy
    std::optional<double> price;        ///< of these packs; none: not known
    std::vector<std::string> for_items; ///< ids of what wants it
    std::size_t total() const { return wanted + spares; }
};

struct Kit {
    std::vector<KitLine> lines; ///< by group
    double price = 0;
    bool all_priced = true; ///< of what is bought
};

/// What stock and kit cost together, in the job's currency.
struct Outlay {
    double price = 0;
    bool all_priced = true; ///< else some of it has no price yet
};
Outlay outlay_of(const Kit& kit, const CuttingPlan& cutting);

/// What a wall, a room or the job takes: fixings with spares by the house rules and by the pack, hardware, every bit
/// the holes want, the tools the steps name, and what is used up.
Kit kit_of(const Job& job, const Plan& plan, const Scope& scope = {});

} // namespace yes_square
