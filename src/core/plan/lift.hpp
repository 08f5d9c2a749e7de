#pragma once

#include "core/measure/length.hpp"
#include "core/measure/physical.hpp"
#include "core/measure/sentence.hpp"

#include <vector>

namespace yes_square {

/// Something is lifted and held up, and what that asks of hands.
struct Lift {
    Mass mass = 0;
    Length to;                   ///< where hands hold it at the last, about its middle, above the floor
    Length work_up;              ///< the highest place that hands go to meanwhile
    bool at_arms_length = false; ///< over something that stands in front
    Mass alone = 0;              ///< most that one person lifts there
    Mass by_two = 0;             ///< and two together
    enum class From { floor, step, tower };
    From from = From::floor; ///< where one stands

    int persons() const { return mass > alone ? 2 : 1; }
    /// More than two may hold: a jack, a ledger or a prop takes its weight, and hands steady it.
    bool borne() const { return mass > by_two; }
    bool operator==(const Lift&) const = default;
};

/// What a fitter minds before a lift; nothing where one person does it from the floor.
std::vector<Sentence> lift_words(const Lift& lift);

} // namespace yes_square
