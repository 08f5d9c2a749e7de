#pragma once

#include "core/measure/length.hpp"

#include <optional>
#include <span>
#include <string>
#include <string_view>

namespace yes_square {

/// How lengths are shown and what a bare number means. Switching it changes no stored value.
enum class Unit {
    mm,
    mm_tenths,
    cm,
    inch_8,
    inch_16,
    inch_32,
    inch_64,
    feet_8,
    feet_16,
    feet_32,
    feet_64,
};

/// Every unit, in the order a menu lists them.
std::span<const Unit> all_units();

/// The name a job file uses: "mm", "mm/10", "cm", "in/16", "ft-in/16".
std::string_view file_name(Unit unit);
std::optional<Unit> unit_from_file_name(std::string_view name);

/// The smallest difference the unit shows: 1 mm, 0.1 mm, 1 mm (cm has one decimal), 1/16 in.
Length display_step(Unit unit);

/// True for inches and for feet and inches.
bool is_imperial(Unit unit);

/// The length as a person writes it, rounded once, half-even, to the unit's step: `1161 mm`, `116.1 cm`,
/// `32 3/16 in`, `6' 2 1/2"`. What it returns, parse_length reads back.
std::string format(Length length, Unit unit);

/// The same without the unit, where a heading has named it: `1161`, `32 3/16`, `6' 2 1/2"`.
std::string format_bare(Length length, Unit unit);

/// The word that stands in such a heading: "mm", "cm", "in", "ft in".
std::string_view heading(Unit unit);

} // namespace yes_square
