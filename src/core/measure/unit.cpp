#include "core/measure/unit.hpp"

#include <algorithm>
#include <array>
#include <cstdlib>
#include <fmt/format.h>
#include <numeric>

namespace yes_square {
namespace {

enum class System { metric, inches, feet };

struct Row {
    Unit unit;
    std::string_view file_name;
    System system;
    Length step;
    std::string_view word;
    int decimals;    // metric: digits after the point
    int denominator; // imperial: the finest fraction
};

constexpr std::array rows{
    Row{Unit::mm, "mm", System::metric, 1_mm, "mm", 0, 1},
    Row{Unit::mm_tenths, "mm/10", System::metric, Length::micrometres(100), "mm", 1, 1},
    Row{Unit::cm, "cm", System::metric, 1_mm, "cm", 1, 1},
    Row{Unit::inch_8, "in/8", System::inches, 1_in / 8, "in", 0, 8},
    Row{Unit::inch_16, "in/16", System::inches, 1_in / 16, "in", 0, 16},
    Row{Unit::inch_32, "in/32", System::inches, 1_in / 32, "in", 0, 32},
    Row{Unit::inch_64, "in/64", System::inches, 1_in / 64, "in", 0, 64},
    Row{Unit::feet_8, "ft-in/8", System::feet, 1_in / 8, "ft in", 0, 8},
    Row{Unit::feet_16, "ft-in/16", System::feet, 1_in / 16, "ft in", 0, 16},
    Row{Unit::feet_32, "ft-in/32", System::feet, 1_in / 32, "ft in", 0, 32},
    Row{Unit::feet_64, "ft-in/64", System::feet, 1_in / 64, "ft in", 0, 64},
};

constexpr auto units = [] {
    std::array<Unit, rows.size()> all{};
    std::transform(rows.begin(), rows.end(), all.begin(), [](const Row& row) { return row.unit; });
    return all;
}();

const Row& row_of(Unit unit) {
    return rows[static_cast<std::size_t>(unit)];
}

std::string inches_text(std::int64_t steps, std::int64_t denominator) {
    const std::int64_t whole = steps / denominator;
    const std::int64_t part = steps % denominator;
    if (part == 0)
        return fmt::format("{}", whole);
    const std::int64_t common = std::gcd(part, denominator);
    const std::string fraction = fmt::format("{}/{}", part / common, denominator / common);
    return whole == 0 ? fraction : fmt::format("{} {}", whole, fraction);
}

} // namespace

std::span<const Unit> all_units() {
    return units;
}

std::string_view file_name(Unit unit) {
    return row_of(unit).file_name;
}

std::optional<Unit> unit_from_file_name(std::string_view name) {
    const auto found = std::ranges::find(rows, name, &Row::file_name);
    return found == rows.end() ? std::nullopt : std::optional{found->unit};
}

Length display_step(Unit unit) {
    return row_of(unit).step;
}

bool is_imperial(Unit unit) {
    return row_of(unit).system != System::metric;
}

std::string_view heading(Unit unit) {
    return row_of(unit).word;
}

std::string format_bare(Length length, Unit unit) {
    const Row& row = row_of(unit);
    const std::int64_t signed_steps = length.in_steps_of(row.step);
    const std::int64_t steps = std::abs(signed_steps);
    const std::string_view sign = signed_steps < 0 ? "-" : "";
    switch (row.system) {
    case System::metric: {
        // One step is a tenth of what is shown wherever a decimal is shown.
        if (row.decimals == 0)
            return fmt::format("{}{}", sign, steps);
        return fmt::format("{}{}.{}", sign, steps / 10, steps % 10);
    }
    case System::inches:
        return fmt::format("{}{}", sign, inches_text(steps, row.denominator));
    case System::feet: {
        const std::int64_t per_foot = std::int64_t{12} * row.denominator;
        if (steps < per_foot)
            return fmt::format("{}{}\"", sign, inches_text(steps, row.denominator));
        return fmt::format("{}{}' {}\"", sign, steps / per_foot, inches_text(steps % per_foot, row.denominator));
    }
    }
    std::abort();
}

std::string format(Length length, Unit unit) {
    const Row& row = row_of(unit);
    return row.system == System::feet ? format_bare(length, unit)
                                      : fmt::format("{} {}", format_bare(length, unit), row.word);
}

} // namespace yes_square
