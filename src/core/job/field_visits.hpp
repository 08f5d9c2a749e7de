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

/// What a member is: in the words an error message uses, on a form, and to whoever reads the published schema.
///
///     Meaning{"a mass", Range::not_negative}.asked("Weighs empty").told("Without what is in it")
struct Meaning {
    std::string_view noun = {}; ///< with its article: "a depth"
    Range range = Range::any;
    std::string_view label = {}; ///< on a form; empty: its name in the file
    std::string_view unit = {};  ///< of a plain number
    std::string_view says = {};  ///< what it is, for the schema
    std::string_view none = {};  ///< what 0 or an absent member means; shown where nothing is typed
    std::string_view no = {};    ///< of a flag, what its two values mean; empty: no and yes
    std::string_view yes = {};
    bool by_mass = false;              ///< a force that a fitter knows as the mass it bears
    bool on_wall = false;              ///< a place along a wall, typed as the tape reads it: see along_wall()
    std::string_view right_label = {}; ///< of a thing's left edge, where its right one is typed instead

    constexpr Meaning told(std::string_view words) const {
        return with([&](Meaning& meaning) { meaning.says = words; });
    }
    constexpr Meaning asked(std::string_view words) const {
        return with([&](Meaning& meaning) { meaning.label = words; });
    }
    constexpr Meaning or_none(std::string_view words) const {
        return with([&](Meaning& meaning) { meaning.none = words; });
    }
    constexpr Meaning either(std::string_view if_not, std::string_view if_so) const {
        return with([&](Meaning& meaning) {
            meaning.no = if_not;
            meaning.yes = if_so;
        });
    }
    constexpr Meaning asked(std::string_view words, std::string_view from_right) const {
        return with([&](Meaning& meaning) {
            meaning.label = words;
            meaning.right_label = from_right;
        });
    }
    constexpr Meaning along_wall() const {
        return with([](Meaning& meaning) { meaning.on_wall = true; });
    }
    constexpr Meaning known_by_mass() const {
        return with([](Meaning& meaning) { meaning.by_mass = true; });
    }

private:
    constexpr Meaning with(auto&& change) const {
        Meaning meaning = *this;
        change(meaning);
        return meaning;
    }
};

/// A place along a wall: in a file from the wall's left end, on a form from the end that the wall is measured from.
constexpr Meaning along_wall(Range range = Range::not_negative) {
    return Meaning{"a distance from the wall's left end", range}.told("Distance from the wall's left end").along_wall();
}

/// The reference end that a thing may have of its own.
constexpr Meaning own_reference_end() {
    return Meaning{}
        .told(
            "The end of its wall that its marks are measured from when they are said and typed; absent: as the wall's. "
            "In this file they are from the left end all the same")
        .asked("Measured from")
        .or_none("as its wall is");
}

/// A member that is asked for under its own label and needs no more words.
constexpr Meaning asked(std::string_view label) {
    return Meaning{}.asked(label);
}

template <class T, class U>
concept Is = std::same_as<std::remove_const_t<T>, U>;

template <class E>
struct EnumName {
    E value;
    std::string_view name;       ///< in a file
    std::string_view words = {}; ///< to a fitter, on a form; empty: its name
};

/// The names a file uses for the values of E, and what a fitter calls them, in the order that forms offer them. Defined
/// for each enumeration of the job in names.cpp and names_of_things.cpp.
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
