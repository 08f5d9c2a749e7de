#include "core/job/rule_rows.hpp"

#include "core/job/each_member.hpp"
#include "core/measure/sentence.hpp"

#include <any>
#include <array>
#include <fmt/format.h>
#include <utility>

namespace yes_square {
namespace {

template <class Figure>
constexpr bool is_said =
    std::same_as<Figure, Force> || std::same_as<Figure, Moment> || std::same_as<Figure, Mass> ||
    std::same_as<Figure, LineLoad> || std::same_as<Figure, LineMass> || std::same_as<Figure, Pressure>;

template <class T>
std::string shown(const T& value, const Meaning& meaning, Unit unit) {
    if constexpr (std::same_as<T, Length>)
        return say(stock(value), {unit});
    else if constexpr (std::is_enum_v<T>)
        return std::string{enum_words(value)};
    else if constexpr (std::same_as<T, bool>)
        return value ? "yes" : "no";
    else if constexpr (std::same_as<T, AreaMass>)
        return fmt::format("{:g} kg/m\u00b2", value.in_si());
    else if constexpr (std::same_as<T, Density>)
        return fmt::format("{:g} kg/m\u00b3", value.in_si());
    else if constexpr (is_said<T>)
        return say(quantity(value), {unit});
    else if constexpr (is_physical<T>)
        return fmt::format("{:g}", value.in_si());
    else
        return meaning.unit.empty() ? fmt::format("{:g}", static_cast<double>(value))
                                    : fmt::format("{:g} {}", static_cast<double>(value), meaning.unit);
}

/// To the last digit, for whether two are the same.
template <class T>
std::string exactly(const T& value) {
    if constexpr (std::same_as<T, Length>)
        return fmt::format("{}", value.in_nanometres());
    else if constexpr (is_physical<T>)
        return fmt::format("{:.17g}", value.in_si());
    else
        return fmt::format("{:.17g}", static_cast<double>(value));
}

} // namespace

std::vector<RuleRow> rule_rows(const HouseRules& now, const HouseRules& usual, Unit unit) {
    std::vector<RuleRow> rows;
    std::vector<std::string> exact;
    each_member(now, [&](std::string_view group, std::string_view name, const auto& value, const Meaning& meaning) {
        rows.push_back({std::string{group}, std::string{name}, meaning.says, shown(value, meaning, unit), {}, false});
        exact.push_back(exactly(value));
    });
    std::size_t row = 0;
    each_member(usual, [&](std::string_view, std::string_view, const auto& value, const Meaning& meaning) {
        rows[row].usual = shown(value, meaning, unit);
        rows[row].changed = exact[row] != exactly(value);
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
