#include "core/survey/corner.hpp"

#include <array>
#include <cmath>
#include <numbers>

namespace yes_square {
namespace {

constexpr double square_angle = std::numbers::pi / 2;

/// Along this wall, along the next, across, and the other diagonal or 0, in m.
using Sides = std::array<double, 4>;

/// Between the two walls, on the side where they were measured; not a number where no triangle has such sides.
double inner_angle(const Sides& sides) {
    const auto& [a, b, across, other] = sides;
    return std::acos(other > 0 ? (other * other - across * across) / (4 * a * b)
                               : (a * a + b * b - across * across) / (2 * a * b));
}

/// How far the angle moves when one reading is off by its limit, summed as squares over the readings.
double limit_of_angle(const std::array<Length, 4>& readings, const Sides& sides, const Reader& reader) {
    double squares = 0;
    for (std::size_t i = 0; i < sides.size(); ++i) {
        if (readings[i] == Length{})
            continue;
        Sides moved = sides;
        moved[i] += limit_of_error(readings[i], reader).in_metres();
        const double change = inner_angle(moved) - inner_angle(sides);
        // Near a flat triangle the angle may cease to exist; take it as loose as can be.
        squares += std::isfinite(change) ? change * change : square_angle * square_angle;
    }
    return std::sqrt(squares);
}

} // namespace

std::variant<CornerAngle, CornerProblem> corner_angle(const CornerReading& reading, WallEnd end, const Reader& reader) {
    const std::array<Length, 4> readings{reading.along, reading.along_next, reading.across,
                                         reading.other_across.value_or(Length{})};
    Sides sides{};
    for (std::size_t i = 0; i < readings.size(); ++i)
        sides[i] = readings[i].in_metres();
    const double inner = inner_angle(sides);
    if (!std::isfinite(inner) || inner <= 0)
        return CornerProblem{absolute(reading.along - reading.along_next), reading.along + reading.along_next};
    const bool outside = end == WallEnd::outside_corner;
    CornerAngle angle;
    angle.room_side = outside ? 2 * std::numbers::pi - inner : inner;
    angle.off = outside ? square_angle - inner : inner - square_angle;
    angle.limit = limit_of_angle(readings, sides, reader);
    angle.out_of_square = Length::nearest_to_metres(sides[1] * std::sin(angle.off));
    angle.square = std::abs(angle.off) <= angle.limit;
    return angle;
}

} // namespace yes_square
