// The house rules one by one.
#include "core/job/each_member.hpp"
#include "core/job/job.hpp"
#include "core/job/rule_rows.hpp"

#include <catch2/catch.hpp>
#include <set>

using namespace yes_square;

namespace {

/// Every rule another one, within its range.
HouseRules another_house() {
    HouseRules rules;
    each_member(rules, []<class T>(std::string_view, std::string_view, T& value, const Meaning& meaning) {
        if constexpr (std::same_as<T, Length>)
            value += 1_mm;
        else if constexpr (std::same_as<T, bool>)
            value = !value;
        else if constexpr (std::is_enum_v<T>)
            value = enum_at<T>((enum_row(value) + 1) % enum_names<T>().size());
        else if constexpr (std::is_integral_v<T>)
            ++value;
        else if constexpr (is_physical<T>)
            value = value * 1.5 + T::si(1);
        else
            value = meaning.range == Range::fraction || meaning.range == Range::minority ? value * 0.9 : value + 1;
    });
    return rules;
}

} // namespace

TEST_CASE("every house rule is a row, known by its name and by what it is", "[house]") {
    const auto rows = rule_rows({}, {}, {Unit::mm});
    CHECK(rows.size() > 200);
    std::set<std::pair<std::string, std::string>> names;
    for (const RuleRow& row : rows) {
        INFO(row.group << " " << row.member);
        CHECK(names.emplace(row.group, row.member).second);
        CHECK_FALSE(row.changed);
        CHECK(row.now == row.usual);
        CHECK_FALSE(row.now.empty());
        CHECK_FALSE(words_of_group(row.group).empty());
    }
}

TEST_CASE("what was changed is told, rule by rule, and each can be put back by itself", "[house]") {
    const HouseRules changed = another_house();
    const auto rows = rule_rows(changed, {}, {Unit::mm});
    for (const RuleRow& row : rows) {
        INFO(row.group << " " << row.member);
        CHECK(row.changed);
    }
    // One put back is that one and no other.
    for (std::size_t i = 0; i < rows.size(); ++i) {
        HouseRules rules = changed;
        take_rule(rules, {}, rows[i].group, rows[i].member);
        const auto after = rule_rows(rules, {}, {Unit::mm});
        for (std::size_t k = 0; k < after.size(); ++k)
            if (after[k].changed == (k == i)) {
                INFO(rows[i].member << " moved " << after[k].member);
                CHECK(false);
            }
    }
    // All of them, and it is the other house.
    HouseRules all = changed;
    for (const RuleRow& row : rows)
        take_rule(all, {}, row.group, row.member);
    CHECK(all == HouseRules{});
    take_rule(all, changed, "runs", "no_such_rule");
    CHECK(all == HouseRules{});
}

TEST_CASE("figures are told in the unit of the hand", "[house]") {
    const auto find = [](const std::vector<RuleRow>& rows, std::string_view member) {
        return *std::ranges::find(rows, member, &RuleRow::member);
    };
    CHECK(find(rule_rows({}, {}, {Unit::mm}), "rail_stock").now == "2134 mm");
    CHECK(find(rule_rows({}, {}, {Unit::inch_16}), "rail_stock").now == "84 in");
    CHECK(find(rule_rows({}, {}, {Unit::mm}), "desk_kg_per_m2").now == "50 kg/m\u00b2");
}
