#pragma once

#include "core/measure/conversions.hpp"
#include "core/measure/length.hpp"

#include <cmath>
#include <compare>
#include <concepts>
#include <stdexcept>
#include <type_traits>

/// Forces, masses, moments and the like as types: what is reckoned from them carries its dimension, so that kilograms
/// are never added to newtons, and a unit stands only where a figure comes in or goes out.
///
///     const Force weight = weight_of(Mass::kg(12));          // 117.7 N
///     const Moment turning = weight * 300_mm;                // 35.3 N m
///     const Force pull = turning / 80_mm;                    // 441 N
///     if (pull > Force::pounds(90)) ...
///
/// Kept in SI as a double; what comes of dividing by nothing is what a double makes of it.
namespace yes_square {

/// A figure of the dimension kg^M m^L s^T.
template <int M, int L, int T>
class Physical {
    template <int m, int l, int t>
    static constexpr bool is = M == m&& L == l&& T == t;

public:
    constexpr Physical() = default;
    /// Nothing is nothing in every unit: `if (pull > 0)`, `Force pull = 0`. No other bare number is taken.
    template <class Number>
    requires std::is_arithmetic_v<Number>
    consteval Physical(Number zero) {
        if (zero != 0)
            throw std::invalid_argument{"a figure without its unit"};
    }
    static constexpr Physical si(double figure) {
        Physical made;
        made.si_ = figure;
        return made;
    }
    constexpr double in_si() const { return si_; }

    static constexpr Physical kg(double figure) requires is<1, 0, 0> { return si(figure); }
    static constexpr Physical pounds(double figure) requires is<1, 0, 0> { return si(figure * kg_per_pound); }
    constexpr double in_kg() const requires is<1, 0, 0> { return si_; }

    static constexpr Physical newtons(double figure) requires is<1, 1, -2> { return si(figure); }
    static constexpr Physical pounds(double figure) requires is<1, 1, -2> { return si(figure * newtons_per_pound); }
    constexpr double in_newtons() const requires is<1, 1, -2> { return si_; }

    static constexpr Physical newton_metres(double figure) requires is<1, 2, -2> { return si(figure); }
    constexpr double in_newton_metres() const requires is<1, 2, -2> { return si_; }

    static constexpr Physical newtons_per_metre(double figure) requires is<1, 0, -2> { return si(figure); }
    constexpr double in_newtons_per_metre() const requires is<1, 0, -2> { return si_; }

    static constexpr Physical kg_per_metre(double figure) requires is<1, -1, 0> { return si(figure); }
    static constexpr Physical kg_per_square_metre(double figure) requires is<1, -2, 0> { return si(figure); }
    static constexpr Physical kg_per_cubic_metre(double figure) requires is<1, -3, 0> { return si(figure); }

    static constexpr Physical pascals(double figure) requires is<1, -1, -2> { return si(figure); }
    /// N/mm2.
    static constexpr Physical megapascals(double figure) requires is<1, -1, -2> { return si(figure * 1e6); }
    static constexpr Physical gigapascals(double figure) requires is<1, -1, -2> { return si(figure * 1e9); }
    static constexpr Physical psi(double figure) requires is<1, -1, -2> { return si(figure * pascals_per_psi); }
    constexpr double in_pascals() const requires is<1, -1, -2> { return si_; }
    constexpr double in_megapascals() const requires is<1, -1, -2> { return si_ / 1e6; }
    constexpr double in_psi() const requires is<1, -1, -2> { return si_ / pascals_per_psi; }

    /// EI of a beam.
    static constexpr Physical newton_square_metres(double figure) requires is<1, 3, -2> { return si(figure); }
    constexpr double in_newton_square_metres() const requires is<1, 3, -2> { return si_; }

    static constexpr Physical metres(double figure) requires is<0, 1, 0> { return si(figure); }
    constexpr double in_metres() const requires is<0, 1, 0> { return si_; }

    constexpr bool operator==(const Physical&) const = default;
    constexpr auto operator<=>(const Physical&) const = default;

    constexpr Physical operator-() const { return si(-si_); }
    constexpr Physical& operator+=(Physical other) {
        si_ += other.si_;
        return *this;
    }
    constexpr Physical& operator-=(Physical other) {
        si_ -= other.si_;
        return *this;
    }
    constexpr Physical& operator*=(double times) {
        si_ *= times;
        return *this;
    }
    constexpr Physical& operator/=(double times) {
        si_ /= times;
        return *this;
    }
    friend constexpr Physical operator+(Physical a, Physical b) { return a += b; }
    friend constexpr Physical operator-(Physical a, Physical b) { return a -= b; }
    friend constexpr Physical operator*(Physical a, double times) { return a *= times; }
    friend constexpr Physical operator*(double times, Physical a) { return a *= times; }
    friend constexpr Physical operator/(Physical a, double times) { return a /= times; }

    friend Physical abs(Physical a) { return si(std::abs(a.si_)); }
    friend Physical hypot(Physical a, Physical b) { return si(std::hypot(a.si_, b.si_)); }
    /// Down to whole kilograms, newtons, ...
    friend Physical floor(Physical a) { return si(std::floor(a.si_)); }
    friend bool isfinite(Physical a) { return std::isfinite(a.si_); }

private:
    double si_ = 0;
};

/// The figure itself where no dimension is left.
template <int M, int L, int T>
constexpr auto plain(Physical<M, L, T> figure) {
    if constexpr (M == 0 && L == 0 && T == 0)
        return figure.in_si();
    else
        return figure;
}
template <int M, int L, int T, int m, int l, int t>
constexpr auto operator*(Physical<M, L, T> a, Physical<m, l, t> b) {
    return plain(Physical<M + m, L + l, T + t>::si(a.in_si() * b.in_si()));
}
template <int M, int L, int T, int m, int l, int t>
constexpr auto operator/(Physical<M, L, T> a, Physical<m, l, t> b) {
    return plain(Physical<M - m, L - l, T - t>::si(a.in_si() / b.in_si()));
}

using Distance = Physical<0, 1, 0>; ///< a length as it is reckoned with; what is measured or marked is a Length
using Mass = Physical<1, 0, 0>;
using Force = Physical<1, 1, -2>;
using Moment = Physical<1, 2, -2>;
using LineLoad = Physical<1, 0, -2>;
using LineMass = Physical<1, -1, 0>;
using AreaMass = Physical<1, -2, 0>;
using Density = Physical<1, -3, 0>;
using Pressure = Physical<1, -1, -2>;
using Stiffness = Physical<1, 3, -2>; ///< EI
using SectionModulus = Physical<0, 3, 0>;

constexpr Distance metres(double figure) {
    return Distance::metres(figure);
}
constexpr Distance distance(Length length) {
    return metres(length.in_metres());
}
template <int M, int L, int T>
constexpr auto operator*(Physical<M, L, T> a, Length length) {
    return a * distance(length);
}
template <int M, int L, int T>
constexpr auto operator/(Physical<M, L, T> a, Length length) {
    return a / distance(length);
}

/// 250_n, 7_kg, 37_kg_m, 30.5_nm, 2.2_gpa.
consteval Force operator""_n(long double figure) {
    return Force::newtons(static_cast<double>(figure));
}
consteval Force operator""_n(unsigned long long figure) {
    return Force::newtons(static_cast<double>(figure));
}
consteval Mass operator""_kg(long double figure) {
    return Mass::kg(static_cast<double>(figure));
}
consteval Mass operator""_kg(unsigned long long figure) {
    return Mass::kg(static_cast<double>(figure));
}
consteval LineMass operator""_kg_m(long double figure) {
    return LineMass::kg_per_metre(static_cast<double>(figure));
}
consteval LineMass operator""_kg_m(unsigned long long figure) {
    return LineMass::kg_per_metre(static_cast<double>(figure));
}
consteval Density operator""_kg_m3(long double figure) {
    return Density::kg_per_cubic_metre(static_cast<double>(figure));
}
consteval Density operator""_kg_m3(unsigned long long figure) {
    return Density::kg_per_cubic_metre(static_cast<double>(figure));
}
consteval Moment operator""_nm(long double figure) {
    return Moment::newton_metres(static_cast<double>(figure));
}
consteval Moment operator""_nm(unsigned long long figure) {
    return Moment::newton_metres(static_cast<double>(figure));
}
consteval Stiffness operator""_nm2(long double figure) {
    return Stiffness::newton_square_metres(static_cast<double>(figure));
}
consteval LineLoad operator""_n_per_m(long double figure) {
    return LineLoad::newtons_per_metre(static_cast<double>(figure));
}
consteval LineLoad operator""_n_per_m(unsigned long long figure) {
    return LineLoad::newtons_per_metre(static_cast<double>(figure));
}
consteval Pressure operator""_mpa(long double figure) {
    return Pressure::megapascals(static_cast<double>(figure));
}
consteval Pressure operator""_mpa(unsigned long long figure) {
    return Pressure::megapascals(static_cast<double>(figure));
}
consteval Pressure operator""_gpa(long double figure) {
    return Pressure::gigapascals(static_cast<double>(figure));
}
consteval Pressure operator""_gpa(unsigned long long figure) {
    return Pressure::gigapascals(static_cast<double>(figure));
}
consteval Pressure operator""_psi(long double figure) {
    return Pressure::psi(static_cast<double>(figure));
}
consteval Pressure operator""_psi(unsigned long long figure) {
    return Pressure::psi(static_cast<double>(figure));
}

/// What a mass weighs, and the mass of a weight.
template <int L>
constexpr Physical<1, L + 1, -2> weight_of(Physical<1, L, 0> mass) {
    return Physical<1, L + 1, -2>::si(mass.in_si() * standard_gravity);
}
template <int L>
constexpr Physical<1, L - 1, 0> mass_of(Physical<1, L, -2> weight) {
    return Physical<1, L - 1, 0>::si(weight.in_si() / standard_gravity);
}

template <class T>
inline constexpr bool is_physical = false;
template <int M, int L, int T>
inline constexpr bool is_physical<Physical<M, L, T>> = true;

/// The unit that a job file keeps a figure in: SI, but N/mm2 for a pressure.
template <class Figure>
requires is_physical<Figure>
inline constexpr double in_file_unit = std::same_as<Figure, Pressure> ? 1e6 : 1;

} // namespace yes_square
