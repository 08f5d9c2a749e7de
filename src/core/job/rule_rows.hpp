#pragma once

#include "core/job/house_rules.hpp"
#include "core/measure/sentence.hpp"

#include <string>
#include <string_view>
#include <vector>

/// The house rules one by one, as their members describe them: for a window, a search, a comparison.
namespace yes_square {

struct RuleRow {
    std::string group;     ///< "runs", as in the file; empty: of the rules themselves
    std::string member;    ///< "rail_stock"
    std::string_view says; ///< what it is, with where it comes from at its end
    std::string now;       ///< in the unit of the hand
    std::string usual;
    bool changed = false;
};

/// All of them, in the order of the file.
/// @param usual  what they are held against: as shipped, or those of another house
std::vector<RuleRow> rule_rows(const HouseRules& now, const HouseRules& usual, const Voice& voice);

/// Makes one rule what it is elsewhere. Nothing where there is none of that name.
void take_rule(HouseRules& rules, const HouseRules& from, std::string_view group, std::string_view member);

/// Of what kind of work the rules of a group are: "Runs of cabinets".
std::string_view words_of_group(std::string_view group);

} // namespace yes_square
