#include "core/measure/sentence.hpp"

#include "core/measure/conversions.hpp"

#include <algorithm>
#include <cmath>
#include <cstdlib>
#include <fmt/format.h>
#include <numbers>

namespace yes_square {
namespace {

/// Three figures are enough for a load: 7.35, 73.5, 735.
std::string figures(double value) {
    const double size = std::abs(value);
    return size >= 99.95 ? fmt::format("{:.0f}", value)
                         : (size >= 9.995 ? fmt::format("{:.1f}", value) : fmt::format("{:.2f}", value));
}

/// With a point for decimals.
std::string in_figures(const Quantity& quantity, const Voice& voice) {
    const double si = quantity.si;
    const bool imperial = is_imperial(voice.unit);
    switch (quantity.kind) {
    case Kind::length:
        return format(Length::nearest_to_metres(si), voice.unit);
    case Kind::fine_length:
        return imperial ? fmt::format("{:.3f} in", si / metres_per_inch) : fmt::format("{:.1f} mm", si * 1000);
    case Kind::stock:
        return imperial ? format(Length::nearest_to_metres(si), Unit::inch_32)
                        : fmt::format("{:.4g} mm", std::round(si * 1e4) / 10);
    case Kind::force:
        return imperial ? fmt::format("{:.0f} lb", si / newtons_per_pound) : fmt::format("{:.0f} N", si);
    case Kind::moment:
        return imperial ? fmt::format("{} lb ft", figures(si / newtons_per_pound / metres_per_foot))
                        : fmt::format("{} N m", figures(si));
    case Kind::mass:
        return imperial ? fmt::format("{:.1f} lb", si / kg_per_pound) : fmt::format("{:.1f} kg", si);
    case Kind::line_load:
        return imperial ? fmt::format("{} lb/ft", figures(si / newtons_per_pound * metres_per_foot))
                        : fmt::format("{} N/m", figures(si));
    case Kind::mass_per_m:
        return imperial ? fmt::format("{:.1f} lb/ft", si / kg_per_pound * metres_per_foot)
                        : fmt::format("{:.1f} kg/m", si);
    case Kind::stiffness:
        return fmt::format("{} N m2", figures(si));
    case Kind::modulus:
        return fmt::format("{:.1f} GPa", si / 1e9);
    case Kind::ratio:
        return std::isnan(si)   ? say(word("not known"), voice)
               : std::isinf(si) ? say(word("beyond all measure"), voice)
                                : fmt::format("{:.2f}", si);
    case Kind::share:
        // Never rounded up to certainty.
        return fmt::format("{:.0f} %", si < 1 ? std::min(99.0, std::round(si * 100)) : 100.0);
    case Kind::angle:
        return fmt::format("{:.2f}°", si * 180 / std::numbers::pi);
    case Kind::count:
        return fmt::format("{:.0f}", si);
    case Kind::power:
        return fmt::format("{} W", figures(si));
    case Kind::power_per_m:
        return imperial ? fmt::format("{} W/ft", figures(si * metres_per_foot)) : fmt::format("{} W/m", figures(si));
    case Kind::voltage:
        return fmt::format("{} V", figures(si));
    case Kind::current:
        return fmt::format("{} A", figures(si));
    case Kind::resistance_per_m:
        return imperial ? fmt::format("{:.3f} {}", si * 1000 * metres_per_foot, say(word("ohm per 1000 ft"), voice))
                        : fmt::format("{:.2f} {}", si * 1000, say(word("ohm per 1000 m"), voice));
    case Kind::time:
        return si < 5400 ? fmt::format("{:.0f} min", si / 60) : fmt::format("{:.1f} h", si / 3600);
    case Kind::area:
        return imperial ? fmt::format("{:.1f} {}", si / metres_per_foot / metres_per_foot, say(word("sq ft"), voice))
                        : fmt::format("{:.2f} m\u00b2", si);
    case Kind::volume:
        // Cartridges are sold by the millilitre in inch shops too.
        return fmt::format("{:.0f} ml", si * 1e6);
    case Kind::from_left_end:
    case Kind::from_right_end:
        break;
    }
    std::abort();
}

} // namespace

std::string with_decimals(std::string figure, const Voice& voice) {
    std::ranges::replace(figure, '.', voice.decimal);
    return figure;
}

std::string say(const Quantity& quantity, const Voice& voice) {
    switch (quantity.kind) {
    case Kind::from_left_end:
        return say(Sentence{"{0} (left end)", {Quantity{Kind::length, quantity.si}}}, voice);
    case Kind::from_right_end:
        return say(Sentence{"{0} (right end)", {Quantity{Kind::length, quantity.si}}}, voice);
    default:
        return with_decimals(in_figures(quantity, voice), voice);
    }
}

std::string format(Length length, const Voice& voice) {
    return with_decimals(format(length, voice.unit), voice);
}

std::string format_bare(Length length, const Voice& voice) {
    return with_decimals(format_bare(length, voice.unit), voice);
}

std::string say(std::string_view words, const Voice& voice) {
    return voice.translate ? voice.translate(words) : std::string{words};
}

std::string say(const Sentence& sentence, const Voice& voice) {
    const std::string pattern = say(sentence.pattern, voice);
    std::string text;
    for (std::size_t at = 0; at < pattern.size();) {
        const std::size_t close = pattern[at] == '{' ? pattern.find('}', at) : std::string::npos;
        if (close == std::string::npos) {
            text += pattern[at++];
            continue;
        }
        const std::size_t index = std::strtoul(pattern.c_str() + at + 1, nullptr, 10);
        if (index < sentence.values.size())
            std::visit(
                [&](const auto& value) {
                    if constexpr (std::is_same_v<std::decay_t<decltype(value)>, std::string>)
                        text += value;
                    else
                        text += say(value, voice);
                },
                sentence.values[index]);
        at = close + 1;
    }
    return text;
}

std::string_view si_unit(Kind kind) {
    switch (kind) {
    case Kind::length:
    case Kind::fine_length:
    case Kind::stock:
    case Kind::from_left_end:
    case Kind::from_right_end:
        return "m";
    case Kind::force:
        return "N";
    case Kind::moment:
        return "N m";
    case Kind::mass:
        return "kg";
    case Kind::line_load:
        return "N/m";
    case Kind::mass_per_m:
        return "kg/m";
    case Kind::stiffness:
        return "N m2";
    case Kind::modulus:
        return "Pa";
    case Kind::angle:
        return "rad";
    case Kind::power:
        return "W";
    case Kind::power_per_m:
        return "W/m";
    case Kind::voltage:
        return "V";
    case Kind::current:
        return "A";
    case Kind::resistance_per_m:
        return "ohm/m";
    case Kind::time:
        return "s";
    case Kind::area:
        return "m2";
    case Kind::volume:
        return "m3";
    case Kind::ratio:
    case Kind::share:
    case Kind::count:
        return "1";
    }
    std::abort();
}

} // namespace yes_square
