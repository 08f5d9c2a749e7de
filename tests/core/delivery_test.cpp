#include "core/cutting/delivery.hpp"
#include "run_walls.hpp"

using namespace yes_square;

TEST_CASE("a packing list is read by its columns, and a wrong cell is named", "[delivery]") {
    const auto list = packing_list_from_csv("Quantity;Code;Name\n2;W60;Wall unit 600\n;F5;Filler\n");
    REQUIRE(list);
    REQUIRE(list->size() == 2);
    CHECK(list->front().code == "W60");
    CHECK(list->front().listed == 2);
    CHECK(packing_list_from_csv("code,colour\nA,red\n").error().find("colour") != std::string::npos);
    CHECK(packing_list_from_csv("name\nA\n").error().find("no column code") != std::string::npos);
    CHECK(packing_list_from_csv("code,quantity\nA,two\n").error().find("line 2, column quantity") != std::string::npos);
    CHECK(packing_list_from_csv("code,quantity\n,2\n").error().find("line 2, column code") != std::string::npos);
    CHECK_FALSE(packing_list_from_csv(""));
}

TEST_CASE("a shortage says what it stops", "[delivery]") {
    std::vector<CabinetUnit> units{base_unit("a", 600_mm), base_unit("b", 600_mm), base_unit("c", 400_mm)};
    units[0].code = units[1].code = "B60";
    units[2].code = "B40";
    Job job = kitchen_with({run_of(RunLevel::floor, units)});
    CHECK(check_delivery(job, reckon(job)).empty()); // nobody has a list yet

    job.delivery = {{"b60", "Base 600", 2, Received::whole, 0, {}, {}},
                    {"B40", "Base 400", 1, Received::whole, 0, {}, {}}};
    CHECK(check_delivery(job, reckon(job)).empty());

    job.delivery[0].received = Received::damaged;
    job.delivery[0].sound = 1;
    auto findings = check_delivery(job, reckon(job));
    REQUIRE(findings.size() == 1);
    CHECK(say(findings[0].problem, {}) == "Base 600: damaged, 1 of 2 are sound");
    REQUIRE(findings[0].stops.size() == 2);
    CHECK(say(findings[0].stops[0], {}) == "Unit b of Base units");
    CHECK(say(findings[0].stops[1], {}) == "worktop and plinth of Base units");

    job.delivery.pop_back();
    findings = check_delivery(job, reckon(job));
    REQUIRE(findings.size() == 2);
    CHECK(say(findings[1].problem, {}) == "Unit c: not on the packing list, the plan wants 1");
    REQUIRE_FALSE(findings[1].stops.empty());

    job.delivery[0].received = Received::unchecked;
    findings = check_delivery(job, reckon(job));
    CHECK(say(findings[0].problem, {}) == "Base 600: not checked yet, 2 listed");
}
