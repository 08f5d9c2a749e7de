#pragma once

#include "core/measure/length.hpp"

#include <optional>

namespace yes_square {

/// The end of a wall that marks along it are measured from: its reference end.
enum class TapeEnd { left, right };

/// A tape held along a wall from its reference end. Places are reckoned and kept from the left end, and said and typed
/// as the tape reads them.
struct Tape {
    TapeEnd from = TapeEnd::left;
    Length length;       ///< of the wall
    bool turned = false; ///< held to the other end than the wall's own, for one thing: each figure says its end

    bool from_right() const { return from == TapeEnd::right; }
    /// Of a place from the left end; and the place from the left end of what the tape reads.
    Length reads(Length x) const { return from_right() ? length - x : x; }
    /// Of two places, from the left end, the one that the tape reaches first, and the other.
    Length near(Length left, Length right) const { return from_right() ? right : left; }
    Length far(Length left, Length right) const { return from_right() ? left : right; }
    /// The tape for a thing that may have a reference end of its own.
    Tape held_to(std::optional<TapeEnd> own) const { return own && *own != from ? Tape{*own, length, true} : *this; }
    /// The same where its end is told once for all figures, as at the head of a sheet.
    Tape told_once() const { return {from, length, false}; }
    bool operator==(const Tape&) const = default;
};

} // namespace yes_square
