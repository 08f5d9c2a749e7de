#pragma once

#include "core/measure/length.hpp"
#include "core/measure/sentence.hpp"
#include "core/measure/unit.hpp"

#include <string>
#include <string_view>
#include <tl/expected.hpp>

namespace yes_square {

/// Why a typed length was not understood, and at which character (counted in bytes from 0).
struct EntryProblem {
    Sentence words;
    std::size_t position = 0;

    std::string text(const Voice& voice = {}) const { return say(words, voice); }
};

/// Reads a length as people write it:
///
///     1161   116.1cm   116,1 cm   32 3/16   32-3/16"   6' 2 1/2"   112cm + 4.1cm   (120 - 2*2)/4
///
/// - A bare number is in `unit`, but only where no term names a unit; mixing the two is refused.
/// - A bare factor of * or / is a pure number.
/// - A hyphen without spaces between a whole number and a proper fraction, or between feet and inches, joins them;
///   any other minus subtracts.
/// - A comma is decimal. One comma and exactly three digits could be thousands: refused, both readings named.
///
/// The sum is exact; what is left of a division is rounded half-even to 1 nm. Never throws on any text.
tl::expected<Length, EntryProblem> parse_length(std::string_view text, Unit unit);

} // namespace yes_square
