#pragma once

#include "core/measure/physical.hpp"
#include "core/measure/unit.hpp"

#include <functional>
#include <string>
#include <string_view>
#include <variant>
#include <vector>

/// Words and figures kept apart: the core says what it means with values in SI, and the place that shows it chooses
/// unit and language.
namespace yes_square {

enum class Kind {
    length,           ///< m, shown in the job's unit
    fine_length,      ///< m, a sag: shown to 0.1 mm or 0.001 in
    stock,            ///< m, a screw, a drill or its depth: as it is sold, 63.5 mm or 2 1/2 in
    force,            ///< N
    moment,           ///< N m
    mass,             ///< kg
    line_load,        ///< N/m
    mass_per_m,       ///< kg/m
    stiffness,        ///< N m2
    modulus,          ///< Pa
    ratio,            ///< a pure number, two decimals
    share,            ///< a probability, shown in per cent
    angle,            ///< rad, shown in degrees
    count,            ///< a whole number
    power,            ///< W
    power_per_m,      ///< W/m
    voltage,          ///< V
    current,          ///< A
    resistance_per_m, ///< ohm/m, of one conductor
    time,             ///< s, shown in minutes or hours
    area,             ///< m2
    volume,           ///< m3, of what is squeezed out of a cartridge
    from_left_end,    ///< m, a place along a wall whose other figures are from its right end: the end is said
    from_right_end,   ///< the other way round
};

struct Quantity {
    Kind kind = Kind::count;
    double si = 0;
    bool operator==(const Quantity&) const = default;
};

inline Quantity quantity(Length length) {
    return {Kind::length, length.in_metres()};
}
inline Quantity minutes(double minutes) {
    return {Kind::time, minutes * 60};
}
inline Quantity fine(double metres) {
    return {Kind::fine_length, metres};
}
inline Quantity stock(Length length) {
    return {Kind::stock, length.in_metres()};
}
/// A physical figure, said in the unit of its dimension.
template <class Figure>
requires is_physical<Figure> Quantity quantity(Figure figure) {
    if constexpr (std::same_as<Figure, Force>)
        return {Kind::force, figure.in_si()};
    else if constexpr (std::same_as<Figure, Moment>)
        return {Kind::moment, figure.in_si()};
    else if constexpr (std::same_as<Figure, Mass>)
        return {Kind::mass, figure.in_si()};
    else if constexpr (std::same_as<Figure, LineLoad>)
        return {Kind::line_load, figure.in_si()};
    else if constexpr (std::same_as<Figure, LineMass>)
        return {Kind::mass_per_m, figure.in_si()};
    else if constexpr (std::same_as<Figure, Stiffness>)
        return {Kind::stiffness, figure.in_si()};
    else if constexpr (std::same_as<Figure, Pressure>)
        return {Kind::modulus, figure.in_si()};
    else
        static_assert(std::same_as<Figure, Distance>, "nobody says such a figure yet");
    return {Kind::length, figure.in_si()};
}
inline Quantity angle(double radians) {
    return {Kind::angle, radians};
}
inline Quantity watts(double value) {
    return {Kind::power, value};
}
inline Quantity volts(double value) {
    return {Kind::voltage, value};
}
inline Quantity amps(double value) {
    return {Kind::current, value};
}
inline Quantity volume(double cubic_metres) {
    return {Kind::volume, cubic_metres};
}
inline Quantity count(std::size_t number) {
    return {Kind::count, static_cast<double>(number)};
}
inline Quantity ratio(double value) {
    return {Kind::ratio, value};
}

/// A figure, a word of ours (translated on display) or a name the user typed (shown as it is).
using Value = std::variant<Quantity, std::string_view, std::string>;

/// "Bracket {0} is {1} beyond the stud" and the values to put in.
struct Sentence {
    std::string_view pattern;
    std::vector<Value> values = {};
    bool operator==(const Sentence&) const = default;
    bool empty() const { return pattern.empty(); }
};

/// How to say it.
struct Voice {
    Unit unit = Unit::mm;
    /// Gives a pattern or word of ours in the user's language; empty: as it is, in English.
    std::function<std::string(std::string_view)> translate = {};
    char decimal = '.'; ///< of the user's region
};

/// Marks a word of ours that nothing else tells from a name in a file, for whoever gathers what is to be translated.
constexpr std::string_view word(std::string_view words) {
    return words;
}

std::string say(const Quantity& quantity, const Voice& voice);
std::string say(std::string_view words, const Voice& voice);
std::string say(const Sentence& sentence, const Voice& voice);
/// A length, and the same without its unit, where a heading has named it.
std::string format(Length length, const Voice& voice);
std::string format_bare(Length length, const Voice& voice);

/// A figure that was written with a point, as the user writes it.
std::string with_decimals(std::string figure, const Voice& voice);

/// The SI unit of a kind, as JSON and CSV state it: "m", "N", "kg/m".
std::string_view si_unit(Kind kind);

} // namespace yes_square
