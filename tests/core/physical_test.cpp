#include <catch2/catch.hpp>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

#include "../physical.hpp"
#include "core/measure/sentence.hpp"

using namespace yes_square;

namespace {

template <class A, class B>
concept Adds = requires(A a, B b) {
    a + b;
};
template <class A, class B>
concept Compares = requires(A a, B b) {
    a < b;
};

} // namespace

TEST_CASE("pounds and pounds per square inch are those of NIST SP 811, appendix B", "[measure][standard]") {
    // The publication's table B.8 (from memory): lb 4.535 924 E-01 kg, lbf 4.448 222 N, psi 6.894 757 E+03 Pa.
    CHECK(Mass::pounds(1) == Approx(0.4535924).epsilon(1e-7));
    CHECK(Force::pounds(1) == Approx(4.448222).epsilon(1e-7));
    CHECK(Pressure::psi(1) == Approx(6894.757).epsilon(1e-7));
    CHECK(weight_of(1_kg) == Approx(9.80665)); // standard gravity
    CHECK(Pressure::psi(70'000).in_psi() == Approx(70'000));
    CHECK((2.2_gpa).in_megapascals() == Approx(2200));
}

TEST_CASE("what is reckoned from figures has the dimension it must have", "[measure]") {
    static_assert(std::is_same_v<decltype(weight_of(12_kg) * 300_mm), Moment>);
    static_assert(std::is_same_v<decltype(1_nm / 80_mm), Force>);
    static_assert(std::is_same_v<decltype(1_n / 1_n), double>);
    static_assert(std::is_same_v<decltype(weight_of(1_kg_m)), LineLoad>);
    static_assert(std::is_same_v<decltype(1_kg_m3 * 1_mm * 1_mm * 1_mm), Mass>);
    static_assert(std::is_same_v<decltype(1_mpa * metres(1) * metres(1)), Force>);
    // By hand: 12 kg at 300 mm turn with 12 x 9.80665 x 0.3 = 35.30 N m; over 80 mm that pulls 441.3 N.
    CHECK(weight_of(12_kg) * 300_mm == Approx(35.304).epsilon(1e-4));
    CHECK(weight_of(12_kg) * 300_mm / 80_mm == Approx(441.3).epsilon(1e-4));
}

TEST_CASE("kilograms are not added to newtons, nor newtons to newton metres", "[measure][safety]") {
    static_assert(!Adds<Mass, Force>);
    static_assert(!Adds<Force, Moment>);
    static_assert(!Compares<Mass, Force>);
    static_assert(!std::is_convertible_v<Force, double>);
    static_assert(Adds<Force, Force>);
    CHECK((1_n > 0)); // nothing is nothing in every unit; any other bare number does not compile
    CHECK((Force{} == 0));
}

TEST_CASE("a figure is said in the unit of the hand, whatever it was made from", "[measure]") {
    const Voice imperial{Unit::inch_16, {}};
    CHECK(say(quantity(Mass::pounds(10)), imperial) == "10.0 lb");
    CHECK(say(quantity(Force::pounds(50)), imperial) == "50 lb");
    CHECK(say(quantity(weight_of(10_kg)), {}) == "98 N");
}

TEST_CASE("sums and products of figures go by the rules of numbers", "[measure][property]") {
    rc::prop("distributive, and a quotient undoes a product", [] {
        const Force a = Force::newtons(*rc::gen::inRange(-1000, 1000));
        const Force b = Force::newtons(*rc::gen::inRange(-1000, 1000));
        const Length arm = Length::mm(*rc::gen::inRange(1, 3000));
        RC_ASSERT(abs((a + b) * arm - (a * arm + b * arm)) <= 1e-9_nm);
        RC_ASSERT(abs(a * arm / arm - a) <= 1e-9_n);
        RC_ASSERT(hypot(a, b) >= abs(a));
        RC_ASSERT(mass_of(weight_of(Mass::kg(a.in_newtons()))) == approx(Mass::kg(a.in_newtons())));
    });
}
