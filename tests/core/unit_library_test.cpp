#include "core/runs/unit_library.hpp"

#include "core/measure/csv_table.hpp"
#include "run_walls.hpp"

#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

TEST_CASE("standard units are whole modules in either unit", "[runs][library]") {
    for (const CabinetUnit& unit : standard_units(Unit::mm))
        if (is_cabinet(unit)) {
            INFO(unit.name);
            CHECK(unit.width.in_nanometres() % (50_mm).in_nanometres() == 0); // EN 1116 coordinating sizes, from memory
            CHECK_FALSE(unit.rails.empty());
        }
    for (const CabinetUnit& unit : standard_units(Unit::inch_16))
        if (is_cabinet(unit) && unit.kind != UnitKind::tall) {
            INFO(unit.name);
            CHECK(unit.width.in_nanometres() % (3_in).in_nanometres() == 0); // inch modules, common practice
        }
    std::vector<UnitKind> kinds;
    for (const CabinetUnit& unit : standard_units(Unit::mm))
        kinds.push_back(unit.kind);
    for (int kind = 0; kind < 11; ++kind)
        CHECK(std::ranges::find(kinds, static_cast<UnitKind>(kind)) != kinds.end()); // every kind can be had
}

TEST_CASE("each kind comes with what it needs", "[runs][library]") {
    CHECK(usual_unit(UnitKind::wall, 600_mm, 720_mm, 320_mm).rails.size() == 2);
    CHECK(usual_unit(UnitKind::wall, 600_mm, 150_mm, 320_mm).rails.size() == 1); // too low for two
    CHECK(usual_unit(UnitKind::wall, 900_mm, 720_mm, 320_mm).hinge == DoorHinge::both);
    CHECK(usual_unit(UnitKind::open_shelf, 300_mm, 720_mm, 320_mm).hinge == DoorHinge::none);
    CHECK(usual_unit(UnitKind::corner_l, 900_mm, 720_mm, 560_mm).return_width == 900_mm);
    CHECK(usual_unit(UnitKind::appliance_gap, 600_mm, 820_mm, 600_mm).appliance->kind == ApplianceKind::undercounter);
    CHECK(usual_unit(UnitKind::appliance_gap, 600_mm, 1800_mm, 600_mm).appliance->kind == ApplianceKind::cooling);
    const CabinetUnit narrow = usual_unit(UnitKind::filler, 10_mm, 720_mm, 18_mm);
    CHECK(narrow.least == 10_mm);
    CHECK(narrow.most == 100_mm);
}

TEST_CASE("shallow corners hang, deep ones stand", "[runs][library]") {
    CHECK(level_of(usual_unit(UnitKind::corner_diagonal, 600_mm, 720_mm, 320_mm)) == RunLevel::wall);
    CHECK(level_of(usual_unit(UnitKind::corner_diagonal, 900_mm, 720_mm, 560_mm)) == RunLevel::floor);
    CHECK(level_of(usual_unit(UnitKind::tall, 600_mm, 2000_mm, 560_mm)) == RunLevel::floor);
}

TEST_CASE("a unit is put where its place falls among the others, into a run of its level", "[runs][library]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 600_mm), wall_unit("b", 600_mm)})});
    const CabinetUnit third = usual_unit(UnitKind::wall, 300_mm, 720_mm, 320_mm);
    const std::string first = put_unit(job, 0, third, {}, 100_mm);
    const std::string last = put_unit(job, 0, third, {}, 3000_mm);
    const auto& units = job.walls.front().runs.front().units;
    CHECK(units.front().id == first);
    CHECK(units.back().id == last);
    CHECK(first != last);
    put_unit(job, 0, usual_unit(UnitKind::base, 600_mm, 720_mm, 560_mm), "wall-run", {});
    REQUIRE(job.walls.front().runs.size() == 2); // a base unit does not join wall units
    CHECK(job.walls.front().runs[1].level == RunLevel::floor);
    put_unit(job, 0, usual_unit(UnitKind::filler, 40_mm, 720_mm, 18_mm), "wall-run", {});
    CHECK(is_filler(job.walls.front().runs[0].units.front())); // a filler joins whatever run is named
}

TEST_CASE("a list of units is read in any order of columns, with any mark between them", "[runs][library][csv]") {
    const auto commas = units_from_csv("kind,code,w,h,d,mass,qty\nwall,W60,600,720,320,21.5,3\n", Unit::mm);
    REQUIRE(commas);
    const auto semicolons = units_from_csv("qty;mass;d;h;w;code;kind\r\n3;21,5;320;720;600;W60;wall\r\n", Unit::mm);
    REQUIRE(semicolons);
    CHECK(*commas == *semicolons);
    CHECK(commas->front().quantity == 3);
    CHECK(commas->front().unit.mass == 21.5_kg);
    const auto inches = units_from_csv("kind\tw\th\td\nbase\t36\t34 1/2\t24\n", Unit::inch_16);
    REQUIRE(inches);
    CHECK(inches->front().unit.height == Length::inches(34, {1, 2}));
    const auto mixed = units_from_csv("kind,w,h,d\ntall,\"60 cm\",2.1 m,580\n", Unit::mm);
    REQUIRE(mixed);
    CHECK(mixed->front().unit.width == 600_mm);
    CHECK(mixed->front().unit.height == 2100_mm);
}

TEST_CASE("what is wrong with a list is told by line and column, with a cure", "[runs][library][csv]") {
    const auto problem = [](const char* text) {
        const auto read = units_from_csv(text, Unit::mm);
        REQUIRE_FALSE(read);
        return read.error();
    };
    using Catch::Contains;
    CHECK_THAT(problem(""), Contains("no unit"));
    CHECK_THAT(problem("kind,w,h,d\n"), Contains("no unit"));
    CHECK_THAT(problem("kind,w,h,depth\nwall,1,2,3\n"), Contains("line 1, depth") && Contains("code, kind, w"));
    CHECK_THAT(problem("kind,w,h\nwall,1,2\n"), Contains("\"d\""));
    CHECK_THAT(problem("kind,w,h,d\n\nwall,600,720,\n"), Contains("line 3, d") && Contains("needs this size"));
    CHECK_THAT(problem("kind,w,h,d\nwall,600,720,0\n"), Contains("line 2, d") && Contains("more than 0"));
    CHECK_THAT(problem("kind,w,h,d\nwall,600,720,320,9\n"), Contains("5 cells stand under 4 columns"));
    CHECK_THAT(problem("kind,w,h,d,mass\nwall,600,720,320,heavy\n"), Contains("line 2, mass"));
    CHECK_THAT(problem("kind,w,h,d,mass\nwall,600,720,320,-4\n"), Contains("line 2, mass"));
    CHECK_THAT(problem("kind,w,h,d,qty\nwall,600,720,320,1.5\n"), Contains("whole number"));
    CHECK_THAT(problem("kind,w,h,d\nwall,600,720,320\ncupboard,600,720,320\n"), Contains("line 3, kind"));
}

TEST_CASE("no text at all breaks the reading of a list", "[runs][library][csv][property]") {
    rc::prop("any text comes to units or to words", [](const std::string& text) {
        const auto read = units_from_csv(text, Unit::mm);
        RC_ASSERT(read || !read.error().empty());
    });
    rc::prop("any cells under the right head come to units or to words", [](const std::vector<std::string>& cells) {
        std::string text = "code,kind,w,h,d,mass,qty\n";
        for (const std::string& cell : cells)
            text += cell + ",";
        const auto read = units_from_csv(text, Unit::mm);
        RC_ASSERT(read || !read.error().empty());
    });
}

TEST_CASE("how many of a list are placed is counted by code, else by name and width", "[runs][library]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 600_mm), wall_unit("b", 450_mm)})});
    ListedUnit listed{wall_unit("x", 600_mm), 2, {}};
    listed.unit.name = "Unit a";
    CHECK(placed_of(listed, job) == 1);
    listed.unit.code = "W60";
    CHECK(placed_of(listed, job) == 0);
    for (CabinetUnit& unit : job.walls.front().runs.front().units)
        unit.code = "W60";
    CHECK(placed_of(listed, job) == 2);
}

TEST_CASE("lines of a table keep their numbers, quotes and empty cells", "[csv]") {
    const auto lines = read_csv("\xEF\xBB\xBFone,two\n\n\"a, b\",\n,\"say \"\"so\"\"\"\n");
    REQUIRE(lines);
    REQUIRE(lines->size() == 3);
    CHECK((*lines)[0].cells == std::vector<std::string>{"one", "two"});
    CHECK((*lines)[1].cells == std::vector<std::string>{"a, b", ""});
    CHECK((*lines)[2].cells == std::vector<std::string>{"", "say \"so\""});
    CHECK((*lines)[1].number == 3);
}
