#include "core/measure/entry.hpp"

#include <catch2/catch.hpp>

using namespace yes_square;

namespace {

Length read(std::string_view text, Unit unit = Unit::mm) {
    const auto length = parse_length(text, unit);
    INFO(text << ": " << (length ? "" : length.error().text()));
    REQUIRE(length);
    return *length;
}

EntryProblem refuse(std::string_view text, Unit unit = Unit::mm) {
    const auto length = parse_length(text, unit);
    INFO(text);
    REQUIRE_FALSE(length);
    return length.error();
}

Length sixteenths(std::int64_t count) {
    return Length::inches(0, {count, 16});
}

} // namespace

TEST_CASE("a length is read as people write it", "[measure]") {
    CHECK(read("1161") == 1161_mm);
    CHECK(read("116.1cm") == 1161_mm);
    CHECK(read("116,1 cm") == 1161_mm);
    CHECK(read("1.161 m") == 1161_mm);
    CHECK(read("32 3/16", Unit::inch_16) == sixteenths(32 * 16 + 3));
    CHECK(read("32-3/16\"") == sixteenths(32 * 16 + 3));
    CHECK(read("6' 2 1/2\"") == Length::inches(74, {1, 2}));
    CHECK(read("6ft 2in") == 74_in);
    CHECK(read("6'-2 1/2\"") == Length::inches(74, {1, 2}));
    CHECK(read("6\u2032 2\u2033") == 74_in);
    CHECK(read("5 FEET") == 60_in);
    CHECK(read("3/4\"") == sixteenths(12));
    CHECK(read(".5 in") == sixteenths(8));
    CHECK(read("0,5in") == sixteenths(8));
}

TEST_CASE("a sum is worked out exactly", "[measure]") {
    CHECK(read("112cm + 4.1cm") == 1161_mm);
    CHECK(read("204 1/2 - 2*25", Unit::inch_16) == Length::inches(154, {1, 2}));
    CHECK(read("(120 - 2*2)/4", Unit::inch_16) == 29_in);
    CHECK(read("12/3/4", Unit::inch_16) == 1_in);
    CHECK(read("2*3/16\"") == sixteenths(6));
    CHECK(read("120-2*2") == 116_mm);
    CHECK(read("12 - 3/16", Unit::inch_16) == sixteenths(12 * 16 - 3));
    CHECK(read("-(3 + 4)") == Length::mm(-7));
    CHECK(read("1m / 3").in_nanometres() == 333'333'333);
    CHECK(read("0.1mm + 0.2mm").in_nanometres() == 300'000);
}

TEST_CASE("a bare number is in the field's unit", "[measure]") {
    CHECK(read("12", Unit::cm) == 120_mm);
    CHECK(read("12", Unit::inch_64) == 12_in);
    CHECK(read("12", Unit::feet_16) == 12_in);
    CHECK(read("12 mm", Unit::inch_64) == 12_mm);
}

TEST_CASE("what could mean two things is refused, and at its place", "[measure]") {
    const EntryProblem thousands = refuse("1,161");
    CHECK(thousands.text().find("1.161") != std::string::npos);
    CHECK(thousands.text().find("1161") != std::string::npos);
    CHECK(thousands.position == 1);
    CHECK(refuse("112cm + 4.1").position == 6);
    CHECK(refuse("2cm * 3cm").position == 4);
    CHECK(refuse("10 / 2cm").position == 3);
    CHECK(refuse("5 / 0").text() == "Division by zero");
    CHECK(refuse("5 / (2-2)").position == 2);
    CHECK(refuse("twelve").position == 0);
    CHECK(refuse("12 yards").position == 3);
    CHECK(refuse("12 13").position == 3);
    CHECK(refuse("(12").position == 0);
    CHECK(refuse("12)").position == 2);
    CHECK(refuse("12 +").position == 4);
    CHECK(refuse("1.2.3").position == 3);
    CHECK(refuse("6' 2cm").position == 3);
    CHECK(refuse("").position == 0);
    CHECK(refuse("99999999999999999999 m").text() == "That is longer than any wall");
    CHECK(refuse(std::string(5000, '(')).text().find("long") != std::string::npos);
    CHECK(refuse(std::string(100, '(')).text().find("inside one another") != std::string::npos);
}
