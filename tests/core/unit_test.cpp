#include "core/measure/unit.hpp"

#include <catch2/catch.hpp>

using namespace yes_square;

TEST_CASE("each unit writes a length as people write it", "[measure]") {
    const Length stud = Length::inches(53, {11, 16}); // 1363.6625 mm
    CHECK(format(stud, Unit::mm) == "1364 mm");
    CHECK(format(stud, Unit::mm_tenths) == "1363.7 mm");
    CHECK(format(stud, Unit::cm) == "136.4 cm");
    CHECK(format(stud, Unit::inch_8) == "53 3/4 in");
    CHECK(format(stud, Unit::inch_16) == "53 11/16 in");
    CHECK(format(stud, Unit::inch_32) == "53 11/16 in");
    CHECK(format(stud, Unit::inch_64) == "53 11/16 in");
    CHECK(format(stud, Unit::feet_8) == "4' 5 3/4\"");
    CHECK(format(stud, Unit::feet_16) == "4' 5 11/16\"");
    CHECK(format(stud, Unit::feet_64) == "4' 5 11/16\"");
}

TEST_CASE("fractions are in lowest terms and zero is plain", "[measure]") {
    CHECK(format(Length::inches(0, {8, 16}), Unit::inch_16) == "1/2 in");
    CHECK(format(Length::inches(2, {32, 64}), Unit::inch_64) == "2 1/2 in");
    CHECK(format(Length{}, Unit::inch_16) == "0 in");
    CHECK(format(Length{}, Unit::mm) == "0 mm");
    CHECK(format(Length{}, Unit::feet_16) == "0\"");
    CHECK(format(24_in, Unit::feet_16) == "2' 0\"");
    CHECK(format(11_in, Unit::feet_16) == "11\"");
}

TEST_CASE("rounding happens once, half-even, also below zero", "[measure]") {
    CHECK(format(Length::micrometres(500), Unit::mm) == "0 mm");
    CHECK(format(Length::micrometres(1500), Unit::mm) == "2 mm");
    CHECK(format(Length::micrometres(2500), Unit::mm) == "2 mm");
    CHECK(format(Length::micrometres(-1500), Unit::mm) == "-2 mm");
    CHECK(format(Length::micrometres(250), Unit::mm_tenths) == "0.2 mm");
    CHECK(format(Length::inches(0, {3, 32}), Unit::inch_16) == "1/8 in");
    CHECK(format(Length::inches(0, {1, 32}), Unit::inch_16) == "0 in");
    CHECK(format(-Length::inches(1, {1, 2}), Unit::inch_16) == "-1 1/2 in");
    // The last fraction carries into the inch, the inch into the foot.
    CHECK(format(Length::inches(11, {63, 64}), Unit::feet_16) == "1' 0\"");
}

TEST_CASE("without its unit a figure stands under a heading that names it", "[measure]") {
    CHECK(format_bare(1161_mm, Unit::mm) == "1161");
    CHECK(format_bare(1161_mm, Unit::cm) == "116.1");
    CHECK(format_bare(Length::inches(32, {3, 16}), Unit::inch_16) == "32 3/16");
    CHECK(heading(Unit::cm) == "cm");
    CHECK(heading(Unit::inch_32) == "in");
}

TEST_CASE("a unit's name in a file leads back to it", "[measure]") {
    CHECK(all_units().size() == 11);
    for (const Unit unit : all_units()) {
        CHECK(unit_from_file_name(file_name(unit)) == unit);
        CHECK(display_step(unit) > Length{});
    }
    CHECK_FALSE(unit_from_file_name("furlong"));
    CHECK_FALSE(is_imperial(Unit::cm));
    CHECK(is_imperial(Unit::feet_8));
}
