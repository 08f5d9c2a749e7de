#include "core/measure/length.hpp"

#include "core/measure/conversions.hpp"

#include <cmath>
#include <stdexcept>

namespace yes_square {

Length Length::nearest_to_inches(double inches) {
    return nearest_to_metres(inches * metres_per_inch);
}

Length Length::nearest_to_metres(double metres) {
    const double nanometres = std::nearbyint(metres * 1e9);
    if (!(std::abs(nanometres) < 9.2e18))
        throw_overflow();
    return Length{static_cast<std::int64_t>(nanometres)};
}

void Length::throw_overflow() {
    throw std::overflow_error("length out of range: more than 9.2 million km");
}

void Length::throw_division_by_zero() {
    throw std::domain_error("length divided by zero");
}

} // namespace yes_square
