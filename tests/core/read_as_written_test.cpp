// What is read from people, files and tables, and what a spreadsheet makes of ours.
#include "core/job/file.hpp"
#include "core/job/ranges.hpp"
#include "core/measure/csv_table.hpp"
#include "core/measure/entry.hpp"
#include "core/sheets/tables.hpp"
#include "demo_job.hpp"
#include "shelf_walls.hpp"

#include <set>

using namespace yes_square;

TEST_CASE("a file is read within the sizes a trade knows", "[file]") {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    const auto refused = [](const Job& asked) {
        const auto read = read_job(write_job(asked));
        return read ? std::string{} : read.error().text();
    };
    CHECK(refused(job).empty());
    Job tall = job;
    tall.walls[0].shelves[0].tiers = 900;
    CHECK(refused(tall).find("20 is the most") != std::string::npos);
    Job many = job;
    many.walls[0].studs.resize(501, many.walls[0].studs.front());
    CHECK(refused(many).find("500 is the most") != std::string::npos);
    Job outside = job;
    outside.walls[0].id = "../../x";
    CHECK(refused(outside).find("letters, digits") != std::string::npos);
    Job bell = job;
    bell.walls[0].name = "a\ab";
    CHECK(refused(bell).find("control character") != std::string::npos);
    Job longest = job;
    longest.walls[0].name = std::string(201, 'x');
    CHECK(refused(longest).find("200 characters") != std::string::npos);
    Job latin = job;
    latin.walls[0].name = "K\xfc\x63he"; // Latin-1: never ends the program
    CHECK_NOTHROW(write_job(latin));
}

TEST_CASE("1.330 may be a metre and more or a little over one: it is asked", "[measure][entry]") {
    CHECK_FALSE(parse_length("1.330", Unit::mm));
    CHECK(parse_length("1.330", Unit::mm).error().text().find("1330") != std::string::npos);
    CHECK(parse_length("1.330 m", Unit::mm).value() == 1330_mm);
    CHECK(parse_length("1.330mm", Unit::mm).value() == Length::micrometres(1330));
    CHECK(parse_length("0.330", Unit::mm).value() == Length::micrometres(330));
    CHECK(parse_length("1.125", Unit::inch_16).value() == Length::inches(1, {1, 8}));
    CHECK(parse_length("1.33", Unit::mm).value() == Length::micrometres(1330));
}

TEST_CASE("lengths are read as people and our own sheets write them", "[measure][entry]") {
    CHECK(parse_length("32\u00bd", Unit::inch_16).value() == Length::inches(32, {1, 2}));
    CHECK(parse_length("32 \u00be\u2033", Unit::mm).value() == Length::inches(32, {3, 4}));
    CHECK(parse_length("\u215b in", Unit::mm).value() == Length::inches(0, {1, 8}));
    CHECK(parse_length("1161\u00a0mm", Unit::mm).value() == 1161_mm);
    CHECK(parse_length("1161\u202fmm", Unit::cm).value() == 1161_mm);
    CHECK(parse_length("100 \u2212 20", Unit::mm).value() == 80_mm);
    CHECK(parse_length("2 \u00d7 50", Unit::mm).value() == 100_mm);
    CHECK(parse_length("\u00bd x", Unit::mm).error().position == 3); // counted in what was typed
}

TEST_CASE("a cell that begins like a formula is made harmless, a figure is not", "[formats]") {
    const std::string text =
        csv({"t", {"name", "x"}, {{"=cmd|'/c calc'!A1", "-5.5"}, {"@sum", "+3"}, {"-rm", "plain"}}});
    CHECK(text.find("'=cmd") != std::string::npos);
    CHECK(text.find("'@sum") != std::string::npos);
    CHECK(text.find("'-rm") != std::string::npos);
    CHECK(text.find(",-5.5") != std::string::npos);
    CHECK(text.find(",+3") != std::string::npos);
}

TEST_CASE("a table in an old encoding is refused with its line", "[formats][nothing-lost]") {
    const auto read = read_csv("code,kind\nW60,wall\nK\xfc\x63he,wall\n");
    REQUIRE_FALSE(read);
    CHECK(read.error().find("line 3") != std::string::npos);
    CHECK(read_csv("code,kind\nK\u00fcche,wall\n"));
}
