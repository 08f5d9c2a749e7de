#include "core/measure/length.hpp"

#include <catch2/catch.hpp>
#include <limits>
#include <stdexcept>

using namespace yes_square;

TEST_CASE("an inch is exactly 25.4 mm, and so are its 64ths", "[measure]") {
    STATIC_REQUIRE((1_in).in_nanometres() == 25'400'000);
    STATIC_REQUIRE(Length::inches(0, {1, 64}).in_nanometres() == 396'875);
    STATIC_REQUIRE(Length::inches(32, {3, 16}) == Length::inches(0, {515, 16}));
}

TEST_CASE("a third of a length is rounded half-even to a nanometre", "[measure]") {
    CHECK((10_mm / 3).in_nanometres() == 3'333'333);
    CHECK((Length::nanometres(5) / 2).in_nanometres() == 2);
    CHECK((Length::nanometres(7) / 2).in_nanometres() == 4);
    CHECK((Length::nanometres(-5) / 2).in_nanometres() == -2);
    CHECK((Length::nanometres(5) / -2).in_nanometres() == -2);
    CHECK_THROWS_AS(10_mm / 0, std::domain_error);
}

TEST_CASE("arithmetic that leaves the range throws instead of wrapping", "[measure]") {
    const Length most = Length::nanometres(std::numeric_limits<std::int64_t>::max());
    CHECK_THROWS_AS(most + Length::nanometres(1), std::overflow_error);
    CHECK_THROWS_AS(most * 2, std::overflow_error);
    CHECK_THROWS_AS(Length::mm(std::numeric_limits<std::int64_t>::max()), std::overflow_error);
    CHECK_THROWS_AS(-Length::nanometres(std::numeric_limits<std::int64_t>::min()), std::overflow_error);
    CHECK_THROWS_AS(Length::nearest_to_metres(1e30), std::overflow_error);
    CHECK_THROWS_AS(Length::nearest_to_metres(std::numeric_limits<double>::quiet_NaN()), std::overflow_error);
}
