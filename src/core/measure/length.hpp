#pragma once

#include <compare>
#include <cstdint>

namespace yes_square {

/// A proper or improper fraction of an inch, as a tape shows it: {3, 16} is three sixteenths.
struct Fraction {
    std::int64_t numerator = 0;
    std::int64_t denominator = 1;
};

/// A length, exact: a whole number of nanometres, so that sums of 1/64 in and of micrometres never drift.
///
///     const Length board = Length::inches(32, {3, 16});
///     const Length cut = board - Length::mm(3) * 2;
///
/// Range about +-9.2 million km. Arithmetic that would leave it, factories included, throws std::overflow_error.
class Length {
public:
    static constexpr std::int64_t nanometres_per_mm = 1'000'000;
    static constexpr std::int64_t nanometres_per_inch = 25'400'000;

    constexpr Length() = default;

    static constexpr Length nanometres(std::int64_t whole) { return Length{whole}; }
    static constexpr Length micrometres(std::int64_t whole) { return Length{multiply(whole, 1'000)}; }
    static constexpr Length mm(std::int64_t whole) { return Length{multiply(whole, nanometres_per_mm)}; }

    /// Whole inches and a fraction. Denominators up to 64 that are powers of two are exact; others are rounded
    /// half-even to 1 nm. Throws std::domain_error for a denominator of 0.
    static constexpr Length inches(std::int64_t whole, Fraction part = {}) {
        return Length{multiply(whole, nanometres_per_inch)} +
               Length{divide_half_even(multiply(part.numerator, nanometres_per_inch), part.denominator)};
    }

    /// The length nearest to a number of metres that came out of engineering arithmetic.
    /// Throws std::overflow_error when it is out of range or not a number.
    static Length nearest_to_metres(double metres);
    static Length nearest_to_inches(double inches);

    constexpr std::int64_t in_nanometres() const { return nanometres_; }
    constexpr double in_mm() const { return static_cast<double>(nanometres_) / 1e6; }
    constexpr double in_metres() const { return static_cast<double>(nanometres_) / 1e9; }
    constexpr double in_inches() const { return static_cast<double>(nanometres_) / 25.4e6; }

    constexpr auto operator<=>(const Length&) const = default;

    friend constexpr Length operator+(Length a, Length b) { return Length{add(a.nanometres_, b.nanometres_)}; }
    friend constexpr Length operator-(Length a, Length b) { return a + (-b); }
    constexpr Length operator-() const { return Length{multiply(nanometres_, -1)}; }
    friend constexpr Length operator*(Length a, std::int64_t times) { return Length{multiply(a.nanometres_, times)}; }
    friend constexpr Length operator*(std::int64_t times, Length a) { return a * times; }
    /// Rounded half-even to 1 nm. Throws std::domain_error for a divisor of 0.
    friend constexpr Length operator/(Length a, std::int64_t parts) {
        return Length{divide_half_even(a.nanometres_, parts)};
    }
    constexpr Length& operator+=(Length other) { return *this = *this + other; }
    constexpr Length& operator-=(Length other) { return *this = *this - other; }

    /// How many times `step` fits, rounded half-even; what display rounds with. `step` must be more than 0.
    constexpr std::int64_t in_steps_of(Length step) const { return divide_half_even(nanometres_, step.nanometres_); }

private:
    explicit constexpr Length(std::int64_t nanometres)
        : nanometres_{nanometres} {}

    static constexpr std::int64_t add(std::int64_t a, std::int64_t b) {
        std::int64_t sum = 0;
        if (__builtin_add_overflow(a, b, &sum))
            throw_overflow();
        return sum;
    }
    static constexpr std::int64_t multiply(std::int64_t a, std::int64_t b) {
        std::int64_t product = 0;
        if (__builtin_mul_overflow(a, b, &product))
            throw_overflow();
        return product;
    }
    static constexpr std::int64_t divide_half_even(std::int64_t a, std::int64_t b) {
        if (b == 0)
            throw_division_by_zero();
        if (b == -1)
            return multiply(a, -1);
        const std::int64_t quotient = a / b;
        const std::int64_t remainder = a % b;
        // |remainder| and |b| as unsigned, so that twice the remainder cannot overflow.
        const auto magnitude = [](std::int64_t v) {
            return v < 0 ? std::uint64_t{0} - static_cast<std::uint64_t>(v) : static_cast<std::uint64_t>(v);
        };
        const std::uint64_t rest = magnitude(remainder);
        const std::uint64_t half = magnitude(b) - rest;
        const bool away = rest > half || (rest == half && quotient % 2 != 0);
        if (!away)
            return quotient;
        return quotient + (((a < 0) == (b < 0)) ? 1 : -1);
    }
    [[noreturn]] static void throw_overflow();
    [[noreturn]] static void throw_division_by_zero();

    std::int64_t nanometres_ = 0;
};

constexpr Length absolute(Length a) {
    return a < Length{} ? -a : a;
}

inline namespace literals {
constexpr Length operator""_mm(unsigned long long whole) {
    return Length::mm(static_cast<std::int64_t>(whole));
}
constexpr Length operator""_in(unsigned long long whole) {
    return Length::inches(static_cast<std::int64_t>(whole));
}
} // namespace literals

} // namespace yes_square
