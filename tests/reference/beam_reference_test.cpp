#include "core/statics/beam.hpp"

#include <catch2/catch.hpp>
#include <cmath>

using namespace yes_square;

// Closed forms and coefficients of the AISC Steel Construction Manual, beam diagrams, and Roark's Formulas for Stress
// and Strain, from memory. w = 1, L = 1 and EI = 1 make the coefficients the results.
namespace {

BeamResult variable(double length, std::vector<double> supports) {
    return analyse({length, std::move(supports), 1.0_nm2}, {0.0_n_per_m, 1.0_n_per_m}, 0.0);
}
BeamResult permanent(double length, std::vector<double> supports) {
    return analyse({length, std::move(supports), 1.0_nm2}, {1.0_n_per_m, 0.0_n_per_m}, 0.0);
}
double worst_sag(const BeamResult& result) {
    double worst = 0;
    for (const SpanSag& sag : result.sags)
        worst = std::max(worst, sag.instantaneous);
    return worst;
}

} // namespace

TEST_CASE("a simple span sags 5wL4/384EI and bends wL2/8", "[statics][reference]") {
    const BeamResult result = variable(1, {0, 1});
    CHECK(result.sags.at(0).instantaneous == Approx(5.0 / 384).epsilon(1e-6));
    CHECK(result.sags.at(0).place == Approx(0.5).margin(1e-6));
    CHECK(result.greatest_moment == Approx(0.125));
    CHECK(result.reactions.at(0).greatest == Approx(0.5));
}

TEST_CASE("two equal spans under full load: 0.375, 1.25, 0.375 wL, -wL2/8, 0.00542 wL4/EI", "[statics][reference]") {
    const BeamResult result = permanent(2, {0, 1, 2});
    CHECK(result.reactions.at(0).all_loaded == Approx(0.375));
    CHECK(result.reactions.at(1).all_loaded == Approx(1.25));
    CHECK(result.greatest_moment == Approx(0.125));
    CHECK(worst_sag(result) == Approx(0.00542).margin(5e-6));
}

TEST_CASE("two equal spans, one loaded: 0.4375 and -0.0625 wL, 0.00915 wL4/EI", "[statics][reference]") {
    const BeamResult result = variable(2, {0, 1, 2});
    CHECK(result.reactions.at(0).sustained == Approx(0.4375));
    CHECK(result.reactions.at(0).least == Approx(-0.0625));
    CHECK(result.reactions.at(1).sustained == Approx(1.25));
    CHECK(worst_sag(result) == Approx(0.00915).margin(5e-6));
}

TEST_CASE("three equal spans: 0.4, 1.1 wL, -0.1 wL2, 0.00688 wL4/EI, outer two loaded 0.00992",
          "[statics][reference]") {
    const BeamResult all = permanent(3, {0, 1, 2, 3});
    CHECK(all.reactions.at(0).all_loaded == Approx(0.4));
    CHECK(all.reactions.at(1).all_loaded == Approx(1.1));
    CHECK(all.greatest_moment == Approx(0.1));
    CHECK(worst_sag(all) == Approx(0.00688).margin(5e-6));
    const BeamResult pattern = variable(3, {0, 1, 2, 3});
    CHECK(worst_sag(pattern) == Approx(0.00992).margin(5e-6));
    CHECK(pattern.reactions.at(0).sustained == Approx(0.45));
}

TEST_CASE("four equal spans: 0.393, 1.143, 0.929 wL, -0.1071 wL2, 0.00646 wL4/EI", "[statics][reference]") {
    const BeamResult result = permanent(4, {0, 1, 2, 3, 4});
    CHECK(result.reactions.at(0).all_loaded == Approx(0.393).margin(5e-4));
    CHECK(result.reactions.at(1).all_loaded == Approx(1.143).margin(5e-4));
    CHECK(result.reactions.at(2).all_loaded == Approx(0.929).margin(5e-4));
    CHECK(result.greatest_moment == Approx(0.1071).margin(5e-5));
    CHECK(worst_sag(result) == Approx(0.00646).margin(1e-5));
}

TEST_CASE("equal overhangs: mid sag wL2(5L2 - 24a2)/384EI", "[statics][reference]") {
    const double a = 0.2;
    const BeamResult result = permanent(1 + 2 * a, {a, 1 + a});
    REQUIRE(result.sags.size() == 3);
    CHECK(result.sags[1].instantaneous == Approx((5 - 24 * a * a) / 384).epsilon(1e-6));
    CHECK(result.reactions.at(0).all_loaded == Approx(0.5 + a));
}

TEST_CASE("a bar on two supports sags least with overhangs of 0.2232 of its length", "[statics][reference]") {
    const auto sag = [](double overhang) { return worst_sag(permanent(1, {overhang, 1 - overhang})); };
    CHECK(sag(0.2232) < sag(0.2132));
    CHECK(sag(0.2232) < sag(0.2332));
    CHECK(sag(0.2232) / sag(0.0) == Approx(1.0 / 48).epsilon(0.01));
}

TEST_CASE("a cantilever end sags wL4/8EI beyond the slope at its root", "[statics][reference]") {
    // The span is so stiff beside the overhang, being short, that the root hardly turns: slope is w a2 s / 6 EI.
    const double a = 1;
    const double s = 0.001;
    const BeamResult result = permanent(s + a, {0, s});
    CHECK(result.sags.back().overhang);
    CHECK(result.sags.back().instantaneous == Approx(a * a * a * a / 8).epsilon(0.002));
}

TEST_CASE("a point load is worst right over a bracket, or on the end of an overhang by its lever", "[statics]") {
    const BeamResult ends = analyse({2, {0, 2}, 1.0_nm2}, {0_n_per_m, 0_n_per_m, 100_n}, 0);
    CHECK(ends.reactions.at(0).greatest == Approx(100));
    const BeamResult overhang = analyse({2.5, {0, 2}, 1.0_nm2}, {0_n_per_m, 0_n_per_m, 100_n}, 0);
    CHECK(overhang.reactions.at(1).greatest == Approx(100 * 2.5 / 2));
    CHECK(overhang.reactions.at(0).least == Approx(-100 * 0.5 / 2));
}

TEST_CASE("stored goods creep with the board: EN 1995-1-1 2.2.3", "[statics][standard]") {
    const BeamResult result = analyse({1, {0, 1}, 1.0_nm2}, {0.5_n_per_m, 1.5_n_per_m}, 2.25);
    CHECK(result.sags.at(0).long_term == Approx(result.sags.at(0).instantaneous * 3.25));
}

TEST_CASE("EI of a bare 250 x 18 MDF board is 267 N m2", "[statics][reference]") {
    CHECK(board_stiffness(2.2_gpa, 0.250, 0.018) == Approx(267).margin(0.5));
}

TEST_CASE("a beam without two supports in order is refused", "[statics]") {
    CHECK_THROWS_AS(analyse({1, {0.5}, 1.0_nm2}, {1_n_per_m, 0_n_per_m}, 0), std::invalid_argument);
    CHECK_THROWS_AS(analyse({1, {0.5, 0.5}, 1.0_nm2}, {1_n_per_m, 0_n_per_m}, 0), std::invalid_argument);
    CHECK_THROWS_AS(analyse({1, {0.5, 1.5}, 1.0_nm2}, {1_n_per_m, 0_n_per_m}, 0), std::invalid_argument);
    CHECK_THROWS_AS(analyse({1, {0, 1}, 0.0_nm2}, {1_n_per_m, 0_n_per_m}, 0), std::invalid_argument);
}

TEST_CASE("a point load on a simple span: PL3/48EI at its middle, PL/4", "[statics][reference]") {
    const BeamResult result = analyse({1, {0, 1}, 1.0_nm2}, {0_n_per_m, 0_n_per_m, 0_n, {{}, {{0.5, 1.0_n}}}}, 0.0);
    CHECK(result.sags.at(0).instantaneous == Approx(1.0 / 48).epsilon(1e-6));
    CHECK(result.greatest_moment == Approx(0.25));
    CHECK(result.reactions.at(0).sustained == Approx(0.5));
}

TEST_CASE("a point load at a quarter: 3/4 and 1/4 of it, Pab/L", "[statics][reference]") {
    const BeamResult result = analyse({1, {0, 1}, 1.0_nm2}, {0_n_per_m, 0_n_per_m, 0_n, {{}, {{0.25, 1.0_n}}}}, 0.0);
    CHECK(result.reactions.at(0).sustained == Approx(0.75));
    CHECK(result.reactions.at(1).sustained == Approx(0.25));
    CHECK(result.greatest_moment == Approx(0.25 * 0.75));
    // Greatest sag P b (L2 - b2)^(3/2) / (9 sqrt(3) L EI), b the shorter part (AISC beam diagrams, case 8).
    CHECK(result.sags.at(0).instantaneous ==
          Approx(0.25 * std::pow(1 - 0.0625, 1.5) / (9 * std::sqrt(3.0))).epsilon(1e-4));
}

TEST_CASE("a cantilever with a load at its end: PL3/3EI beyond a root held fast by a long back span",
          "[statics][reference]") {
    // The back span lets the root turn by M L / 3 EI.
    const BeamResult result = analyse({1.5, {0, 1}, 1.0_nm2}, {0_n_per_m, 0_n_per_m, 0_n, {{}, {{1.5, 1.0_n}}}}, 0.0);
    const double root = 0.5 * 1.0 / 3;
    CHECK(result.sags.back().overhang);
    CHECK(result.sags.back().instantaneous == Approx(0.125 / 3 + root * 0.5).epsilon(1e-6));
    CHECK(result.reactions.at(0).least == Approx(-0.5));
    CHECK(result.greatest_moment == Approx(0.5));
}

TEST_CASE("a span half loaded from one end: 3/8 and 1/8 wL, 9wL2/128", "[statics][reference]") { // AISC case 5
    const BeamResult result =
        analyse({1, {0, 1}, 1.0_nm2}, {0_n_per_m, 0_n_per_m, 0_n, {{{0, 0.5, 1.0_n_per_m}}, {}}}, 0.0);
    CHECK(result.reactions.at(0).sustained == Approx(0.375));
    CHECK(result.reactions.at(1).sustained == Approx(0.125));
    const auto places =
        diagram({1, {0, 1}, 1.0_nm2}, {0_n_per_m, 0_n_per_m, 0_n, {{{0, 0.5, 1.0_n_per_m}}, {}}}, 0.0, 64);
    Moment greatest = 0;
    for (const BeamPlace& place : places)
        greatest = std::max(greatest, place.greatest_moment);
    CHECK(greatest == Approx(9.0 / 128).epsilon(1e-3));
}

TEST_CASE("over a joint no moment passes: two boards are two simple spans", "[statics][reference]") {
    const BeamResult joined = analyse({2, {0, 1, 2}, 1.0_nm2, {1}}, {1.0_n_per_m, 0.0_n_per_m}, 0.0);
    CHECK(joined.reactions.at(0).all_loaded == Approx(0.5));
    CHECK(joined.reactions.at(1).all_loaded == Approx(1.0));
    CHECK(joined.reactions.at(2).all_loaded == Approx(0.5));
    CHECK(joined.greatest_moment == Approx(0.125));
    REQUIRE(joined.sags.size() == 2);
    CHECK(joined.sags[0].instantaneous == Approx(5.0 / 384).epsilon(1e-6));
    CHECK(joined.sags[1].place == Approx(1.5).margin(1e-6));
    // Somebody leans on one of the boards, not on both.
    const BeamResult leaned = analyse({2, {0, 1, 2}, 1.0_nm2, {1}}, {1.0_n_per_m, 0.0_n_per_m, 10.0_n}, 0.0);
    CHECK(leaned.reactions.at(1).greatest == Approx(1.0 + 10));
}

TEST_CASE("the diagram is the closed form: wx(L-x)/2, w x (L3 - 2Lx2 + x3)/24EI", "[statics][reference]") {
    for (const BeamPlace& place : diagram({1, {0, 1}, 1.0_nm2}, {0.0_n_per_m, 1.0_n_per_m}, 0.0, 20)) {
        const double x = place.x;
        CHECK(place.greatest_moment == Approx(x * (1 - x) / 2).margin(1e-12));
        CHECK(place.sag == Approx(x * (1 - 2 * x * x + x * x * x) / 24).margin(1e-12));
    }
}

TEST_CASE("a 250 x 18 MDF board with a 20 x 40 oak lip, tops flush, has 2203 N m2", "[statics][reference]") {
    CHECK(section_stiffness({{2.2_gpa, 0.250, 0.018, -0.009}, {12.5_gpa, 0.020, 0.040, -0.020}}) ==
          Approx(2203).margin(1));
    CHECK(section_stiffness({{2.2_gpa, 0.250, 0.018, -0.009}}) == Approx(267.3).margin(0.1));
}

TEST_CASE("a round bar has EI of pi D4 / 64, a tube less its hole", "[statics][reference]") {
    CHECK(round_stiffness(Pressure::pascals(1), 2) == Approx(0.785398).epsilon(1e-6));
    CHECK(round_stiffness(Pressure::pascals(1), 2, 1) == Approx(0.785398 * 15 / 16).epsilon(1e-6));
}
