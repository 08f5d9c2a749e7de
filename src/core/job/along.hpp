#pragma once

#include "core/job/job.hpp"
#include "core/measure/sentence.hpp"

namespace yes_square {

/// A place along a wall as it is said to whoever holds the tape.
/// @param x  from the wall's left end, as everything is reckoned
inline Quantity along(const Tape& tape, Length x) {
    Quantity read = quantity(tape.reads(x));
    if (tape.turned)
        read.kind = tape.from_right() ? Kind::from_right_end : Kind::from_left_end;
    return read;
}
/// From the end that this wall is measured from.
inline Quantity along(const Wall& wall, Length x) {
    return along(wall.tape(), x);
}

/// Of two sentences, the one for this tape: what is said of the end of a thing that it reaches first.
inline std::string_view by_tape(const Tape& tape, std::string_view from_left, std::string_view from_right) {
    return tape.from_right() ? from_right : from_left;
}
inline std::string_view by_tape(const Wall& wall, std::string_view from_left, std::string_view from_right) {
    return by_tape(wall.tape(), from_left, from_right);
}

/// The reference end that a thing has of its own; none: its wall's.
template <class Thing>
std::optional<TapeEnd> own_end(const Thing& thing) {
    if constexpr (requires { thing.measured_from; })
        return thing.measured_from;
    else
        return std::nullopt;
}
/// The tape that a thing's places are said by.
template <class Thing>
Tape tape_of(const Wall& wall, const Thing& thing) {
    return wall.tape().held_to(own_end(thing));
}

} // namespace yes_square
