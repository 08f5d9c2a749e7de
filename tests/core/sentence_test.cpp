#include "core/measure/sentence.hpp"
#include "core/sheets/summary.hpp"

#include <catch2/catch.hpp>
#include <limits>

using namespace yes_square;

TEST_CASE("a quantity is said in the units of the job", "[plan]") {
    const Voice metric{Unit::mm};
    const Voice imperial{Unit::inch_16};
    CHECK(say(quantity(1364_mm), metric) == "1364 mm");
    CHECK(say(quantity(Length::inches(18, {1, 4})), imperial) == "18 1/4 in");
    CHECK(say(fine(0.00452), metric) == "4.5 mm");
    CHECK(say(fine(0.00452), imperial) == "0.178 in");
    CHECK(say(stock(Length::micrometres(63'500)), metric) == "63.5 mm");
    CHECK(say(stock(Length::micrometres(63'500)), imperial) == "2 1/2 in");
    CHECK(say(stock(8_mm), metric) == "8 mm");
    CHECK(say(quantity(220_n), metric) == "220 N");
    CHECK(say(quantity(222.411_n), imperial) == "50 lb"); // 50 lbf
    CHECK(say(quantity(10_kg), metric) == "10.0 kg");
    CHECK(say(quantity(4.5359237_kg), imperial) == "10.0 lb");
    CHECK(say(quantity(37_kg_m), metric) == "37.0 kg/m");
    CHECK(say(quantity(37_kg_m), imperial) == "24.9 lb/ft");
    CHECK(say(quantity(363_n_per_m), metric) == "363 N/m");
    CHECK(say(quantity(30.01_nm), metric) == "30.0 N m");
    CHECK(say(quantity(1.3558179_nm), imperial) == "1.00 lb ft");
    CHECK(say(quantity(2.2_gpa), metric) == "2.2 GPa");
    CHECK(say(quantity(267.3_nm2), metric) == "267 N m2");
    CHECK(say(ratio(0.534), metric) == "0.53");
    CHECK(say(count(4), metric) == "4");
    CHECK(say(ratio(std::numeric_limits<double>::infinity()), metric) == "beyond all measure");
}

TEST_CASE("a sentence puts figures, words and names in their places", "[plan]") {
    const Sentence sentence{"Bracket {0} is {1} at {2}, {0} again",
                            {count(2), std::string_view{"loose"}, quantity(915_mm)}};
    CHECK(say(sentence, {Unit::mm}) == "Bracket 2 is loose at 915 mm, 2 again");
    CHECK(say(sentence, {Unit::cm}) == "Bracket 2 is loose at 91.5 cm, 2 again");
    CHECK(say(Sentence{"{7} nothing {", {}}, {Unit::mm}) == " nothing {");
}

TEST_CASE("patterns and words of ours are translated, names the user typed are not", "[plan]") {
    const Voice voice{Unit::mm, [](std::string_view words) {
                          return words == "The {0} {1}" ? std::string{"{1}, das {0}"}
                                 : words == "shelf"     ? std::string{"Brett"}
                                                        : std::string{words};
                      }};
    CHECK(say(Sentence{"The {0} {1}", {std::string_view{"shelf"}, std::string{"shelf"}}}, voice) == "shelf, das Brett");
}

TEST_CASE("a working reads as a person would write it", "[plan]") {
    const Working working{"spacing",
                          {"Even spaces"},
                          "({0} - 2 x {1}) / {2}",
                          {{"shelf", quantity(3048_mm), {Provenance::measured}},
                           {"inset", quantity(Length::micrometres(50'800)), {Provenance::common_practice}},
                           {"spaces", count(4), {}}},
                          quantity(29_in),
                          {Provenance::from_memory, "a book"}};
    CHECK(sum_text(working, {Unit::inch_16}) == "(120 in - 2 x 2 in) / 4 = 29 in");
    const std::string text = working_text(working, {Unit::inch_16});
    CHECK(text.find("inset: 2 in (common practice)") != std::string::npos);
    CHECK(text.find("from memory: a book") != std::string::npos);
}

TEST_CASE("every kind of quantity names its SI unit", "[plan]") {
    CHECK(si_unit(Kind::length) == "m");
    CHECK(si_unit(Kind::stock) == "m");
    CHECK(si_unit(Kind::force) == "N");
    CHECK(si_unit(Kind::moment) == "N m");
    CHECK(si_unit(Kind::mass_per_m) == "kg/m");
    CHECK(si_unit(Kind::modulus) == "Pa");
    CHECK(si_unit(Kind::ratio) == "1");
}
