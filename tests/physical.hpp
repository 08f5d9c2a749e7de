#pragma once

#include "core/measure/physical.hpp"

#include <catch2/catch.hpp>
#include <ostream>
#include <string>

/// Physical figures in the tests: compared with Approx in SI, and printed so.
namespace yes_square {

template <int M, int L, int T>
bool operator==(Physical<M, L, T> figure, const Catch::Detail::Approx& expected) {
    return figure.in_si() == expected;
}
template <int M, int L, int T>
bool operator!=(Physical<M, L, T> figure, const Catch::Detail::Approx& expected) {
    return figure.in_si() != expected;
}
template <int M, int L, int T>
bool operator<=(Physical<M, L, T> figure, const Catch::Detail::Approx& expected) {
    return figure.in_si() <= expected;
}
template <int M, int L, int T>
bool operator>=(Physical<M, L, T> figure, const Catch::Detail::Approx& expected) {
    return figure.in_si() >= expected;
}
/// Where a framework has taken `figure > 0` apart, its 0 is no constant any more.
template <int M, int L, int T>
bool operator==(Physical<M, L, T> figure, const int& zero) {
    return figure.in_si() == zero;
}
template <int M, int L, int T>
bool operator!=(Physical<M, L, T> figure, const int& zero) {
    return figure.in_si() != zero;
}
template <int M, int L, int T>
bool operator<(Physical<M, L, T> figure, const int& zero) {
    return figure.in_si() < zero;
}
template <int M, int L, int T>
bool operator>(Physical<M, L, T> figure, const int& zero) {
    return figure.in_si() > zero;
}
template <int M, int L, int T>
bool operator<=(Physical<M, L, T> figure, const int& zero) {
    return figure.in_si() <= zero;
}
template <int M, int L, int T>
bool operator>=(Physical<M, L, T> figure, const int& zero) {
    return figure.in_si() >= zero;
}
template <int M, int L, int T>
std::ostream& operator<<(std::ostream& out, Physical<M, L, T> figure) {
    return out << figure.in_si() << " (kg^" << M << " m^" << L << " s^" << T << ')';
}

/// Approx of a figure: Approx(weight) is of its SI value.
template <int M, int L, int T>
Catch::Detail::Approx approx(Physical<M, L, T> figure) {
    return Catch::Detail::Approx{figure.in_si()};
}

} // namespace yes_square
