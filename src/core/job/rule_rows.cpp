#include "core/job/rule_rows.hpp"

#include "core/job/each_member.hpp"
#include "core/job/member_words.hpp"

#include <any>
#include <array>
#include <utility>

namespace yes_square {

std::vector<RuleRow> rule_rows(const HouseRules& now, const HouseRules& usual, const Voice& voice) {
    std::vector<RuleRow> rows;
    std::vector<std::string> exact;
    each_member(now, [&](std::string_view group, std::string_view name, const auto& value, const Meaning& meaning) {
        rows.push_back(
            {std::string{group}, std::string{name}, meaning.says, member_words(value, meaning, voice), {}, false});
        exact.push_back(member_exactly(value));
    });
    std::size_t row = 0;
    each_member(usual, [&](std::string_view, std::string_view, const auto& value, const Meaning& meaning) {
        rows[row].usual = member_words(value, meaning, voice);
        rows[row].changed = exact[row] != member_exactly(value);
        ++row;
    });
    return rows;
}

void take_rule(HouseRules& rules, const HouseRules& from, std::string_view group, std::string_view member) {
    std::any taken;
    each_member(from, [&](std::string_view of, std::string_view name, const auto& value, const Meaning&) {
        if (of == group && name == member)
            taken = value;
    });
    each_member(rules, [&]<class T>(std::string_view of, std::string_view name, T& value, const Meaning&) {
        if (of == group && name == member)
            if (const T* same = std::any_cast<T>(&taken))
                value = *same;
    });
}

std::string_view words_of_group(std::string_view group) {
    static constexpr std::array words{
        std::pair<std::string_view, std::string_view>{"", "Brackets, boards, linings"},
        std::pair<std::string_view, std::string_view>{"studs", "Finding studs"},
        std::pair<std::string_view, std::string_view>{"runs", "Runs of cabinets"},
        std::pair<std::string_view, std::string_view>{"strips", "Battens and strips"},
        std::pair<std::string_view, std::string_view>{"shelves", "Shelves, rails, poles"},
        std::pair<std::string_view, std::string_view>{"tipping", "What could tip"},
        std::pair<std::string_view, std::string_view>{"storage", "Wardrobes"},
        std::pair<std::string_view, std::string_view>{"boxes", "Boxes"},
        std::pair<std::string_view, std::string_view>{"cutting", "Cutting"},
        std::pair<std::string_view, std::string_view>{"fitting", "Fitting, and how long it takes"},
        std::pair<std::string_view, std::string_view>{"feeds", "Lights"},
    };
    for (const auto& [name, said] : words)
        if (name == group)
            return said;
    return group;
}

} // namespace yes_square
