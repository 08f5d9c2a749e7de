#pragma once

#include "core/job/field_visits.hpp"
#include "core/measure/sentence.hpp"

#include <fmt/format.h>
#include <string>

/// Members of a job as words, whatever they are.
namespace yes_square {

template <class Figure>
constexpr bool is_said_figure =
    std::same_as<Figure, Force> || std::same_as<Figure, Moment> || std::same_as<Figure, Mass> ||
    std::same_as<Figure, LineLoad> || std::same_as<Figure, LineMass> || std::same_as<Figure, Pressure>;

/// A member's value as it is shown to a fitter.
template <class T>
std::string member_words(const T& value, const Meaning& meaning, const Voice& voice) {
    if constexpr (std::same_as<T, Length>)
        return say(stock(value), voice);
    else if constexpr (std::same_as<T, std::string>)
        return value;
    else if constexpr (std::is_enum_v<T>)
        return say(enum_words(value), voice);
    else if constexpr (std::same_as<T, bool>)
        return say(value ? word("yes") : word("no"), voice);
    else if constexpr (std::same_as<T, AreaMass>)
        return with_decimals(fmt::format("{:g} kg/m\u00b2", value.in_si()), voice);
    else if constexpr (std::same_as<T, Density>)
        return with_decimals(fmt::format("{:g} kg/m\u00b3", value.in_si()), voice);
    else if constexpr (is_said_figure<T>)
        return say(quantity(value), voice);
    else if constexpr (is_physical<T>)
        return with_decimals(fmt::format("{:g}", value.in_si()), voice);
    else
        return with_decimals(meaning.unit.empty() ? fmt::format("{:g}", static_cast<double>(value))
                                                  : fmt::format("{:g} {}", static_cast<double>(value), meaning.unit),
                             voice);
}

/// To the last digit, for whether two are the same.
template <class T>
std::string member_exactly(const T& value) {
    if constexpr (std::same_as<T, std::string>)
        return value;
    else if constexpr (std::same_as<T, Length>)
        return fmt::format("{}", value.in_nanometres());
    else if constexpr (is_physical<T>)
        return fmt::format("{:.17g}", value.in_si());
    else
        return fmt::format("{:.17g}", static_cast<double>(value));
}

/// What a member is called on a form: its label, or its name in the file as words.
inline std::string member_label(std::string_view name, const Meaning& meaning, const Voice& voice) {
    std::string words{meaning.label.empty() ? name : meaning.label};
    for (char& c : words)
        c = c == '_' ? ' ' : c;
    if (!words.empty() && words.front() >= 'a' && words.front() <= 'z')
        words.front() = static_cast<char>(words.front() - 'a' + 'A');
    return say(std::string_view{words}, voice);
}

/// What a member is, what it may be and what nothing typed means: for whoever asks what a field is.
std::string member_help(const Meaning& meaning, const Voice& voice);

} // namespace yes_square
