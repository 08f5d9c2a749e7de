#include "core/statics/back_held.hpp"

#include <numbers>

namespace yes_square {

double back_held_share(Length span, Length depth, double shear) {
    constexpr double safe_side = 1.03;
    const double slim = span.in_metres() / depth.in_metres();
    return safe_side * 1.5 / (1 + 12 * shear * slim * slim / (std::numbers::pi * std::numbers::pi));
}

} // namespace yes_square
