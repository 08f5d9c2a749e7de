#pragma once

#include "core/job/job.hpp"

#include <array>
#include <concepts>
#include <span>
#include <string_view>
#include <utility>
#include <variant>

/// What every list of a part's members is written with: see fields.hpp.
namespace yes_square {

enum class Range { any, not_negative, more_than_zero, fraction, minority };

/// Longer than any wall, in mm; keeps every sum of a job's lengths far from overflow. Other figures go as far.
inline constexpr double greatest_figure = 1e6;

/// What a figure would have to be; none: it is in its range.
inline std::optional<std::string_view> range_problem(double figure, Range range) {
    if (range == Range::more_than_zero && !(figure > 0))
        return "more than 0";
    if (range == Range::not_negative && !(figure >= 0))
        return "0 or more";
    if (range == Range::fraction && !(figure > 0 && figure <= 1))
        return "more than 0 and at most 1";
    if (range == Range::minority && !(figure > 0 && figure < 0.5))
        return "more than 0 and less than 0.5";
    if (!(figure >= -greatest_figure && figure <= greatest_figure))
        return "at most 1000000";
    return std::nullopt;
}

/// What a number stands for, in the words an error message uses, and its range.
struct Meaning {
    std::string_view noun; ///< with its article: "a depth"
    Range range = Range::any;
    std::string_view label = {}; ///< on a form; empty: its name in the file
    std::string_view unit = {};  ///< of a plain number
    std::string_view says = {};  ///< what it is, for whoever reads the published schema

    constexpr Meaning told(std::string_view words) const {
        Meaning meaning = *this;
        meaning.says = words;
        return meaning;
    }
};

template <class T, class U>
concept Is = std::same_as<std::remove_const_t<T>, U>;

template <class E>
struct EnumName {
    E value;
    std::string_view name;       ///< in a file
    std::string_view words = {}; ///< to a fitter, on a form; empty: its name
};

/// The names a file uses for the values of E, and what a fitter calls them, in the order that forms offer them. Defined
/// for each enumeration of the job in names.cpp.
template <class E>
std::span<const EnumName<E>> enum_names();

template <class E>
std::string_view enum_name(E value) {
    for (const auto& row : enum_names<E>())
        if (row.value == value)
            return row.name;
    return {};
}

template <class E>
std::string_view enum_words(E value) {
    for (const auto& row : enum_names<E>())
        if (row.value == value)
            return row.words.empty() ? row.name : row.words;
    return {};
}

/// Where a value stands among those of its kind, and the value that stands there.
template <class E>
std::size_t enum_row(E value) {
    std::size_t row = 0;
    for (const auto& each : enum_names<E>()) {
        if (each.value == value)
            break;
        ++row;
    }
    return row;
}
template <class E>
E enum_at(std::size_t row) {
    return enum_names<E>()[row].value;
}

/// The names a file uses for the kinds of a variant, as its `kind` member, in the variant's order.
template <class Variant>
inline constexpr std::array<std::string_view, std::variant_size_v<Variant>> kind_names{};

} // namespace yes_square
