// A picture ledge, whole: a way of holding that is one file of the core (core/shelves/picture_ledge.cpp).
#include "core/cutting/kit.hpp"
#include "core/fitting/wall_marks.hpp"
#include "core/job/file.hpp"
#include "core/sheets/plan_json.hpp"
#include "core/sheets/tables.hpp"
#include "core/site/site_checks.hpp"
#include "shelf_walls.hpp"

#include <algorithm>
#include <catch2/catch.hpp>

using namespace yes_square;

namespace {

Shelf ledge() {
    Shelf shelf = new_shelf(shelf_preset("picture_ledge"), stud_wall());
    shelf.id = "ledge";
    shelf.name = "Hall ledge";
    return shelf;
}

PictureLedge& how(Shelf& shelf) {
    return std::get<PictureLedge>(shelf.holding);
}

ShelfPlan planned(const Shelf& shelf) {
    return reckon(job_with(stud_wall(), shelf)).walls.front()->shelves.front();
}

bool finds(const Shelf& shelf, std::string_view code) {
    const ShelfPlan plan = planned(shelf);
    return std::ranges::any_of(plan.checks, [&](const Check& check) { return check.code.name() == code; });
}

} // namespace

TEST_CASE("a picture ledge is screwed through its strip, over its board", "[ledge]") {
    const Shelf shelf = ledge();
    const ShelfPlan plan = planned(shelf);
    REQUIRE(plan.holes.size() >= 2);
    for (const PlannedHole& hole : plan.holes) {
        CHECK(hole.z == shelf.underside() + 90_mm - 20_mm);
        CHECK(hole.through == 18_mm);
        CHECK(hole.passes.empty() ==
              !carries(hole.substrate)); // its end beyond the last stud is steadied by the lining
    }
    CHECK(std::ranges::count(plan.holes, Substrate::proved_stud, &PlannedHole::substrate) >= 2);
    for (const Check& check : plan.checks) {
        INFO(say(check.message, {}));
        CHECK(check.severity != Severity::error);
    }
}

TEST_CASE("a ledge's screws are pulled no less than its longest lever allows", "[ledge]") {
    const Shelf shelf = ledge();
    const ShelfPlan plan = planned(shelf);
    const double out = shelf.depth.in_metres() / 2;
    const double lever = 0.070; // from the strip's foot to its screw
    for (const BracketPlan& place : plan.brackets)
        CHECK(place.tension >= place.reaction.sustained * out / lever);
}

TEST_CASE("a ledge is cut as board, strip and lip, and glued up before it is hung", "[ledge]") {
    const ShelfPlan plan = planned(ledge());
    REQUIRE(plan.parts.size() == 3);
    const auto breadth = [&](std::size_t part) { return plan.parts[part].breadth; };
    CHECK(breadth(0) == 100_mm - 18_mm - 12_mm);
    CHECK(breadth(1) == 90_mm);
    CHECK(breadth(2) == 40_mm);
    const auto wait = std::ranges::find(plan.steps, Phase::cure, &Step::phase);
    REQUIRE(wait != plan.steps.end());
    CHECK(std::any_of(wait, plan.steps.end(), [](const Step& step) { return step.phase == Phase::hang; }));
}

TEST_CASE("a strip too low for a screw, no room for pictures, and a ledge too deep are said", "[ledge][checks]") {
    Shelf shelf = ledge();
    for (const std::string_view code : {"ledge_strip_low", "ledge_no_room", "ledge_deep"})
        CHECK_FALSE(finds(shelf, code)); // checks::ledge_strip_low, checks::ledge_no_room, checks::ledge_deep
    how(shelf).strip = 40_mm;
    CHECK(finds(shelf, "ledge_strip_low"));
    shelf = ledge();
    shelf.depth = 30_mm;
    CHECK(finds(shelf, "ledge_no_room"));
    shelf = ledge();
    shelf.depth = 180_mm;
    CHECK(finds(shelf, "ledge_deep"));
}

TEST_CASE("each of them has a cure that was tried: after it the check is gone", "[ledge][cures]") {
    const auto cures_away = [](const Shelf& shelf, std::string_view code) {
        const Job job = job_with(stud_wall(), shelf);
        const ShelfPlan plan = shelf_plan(job);
        const auto check = std::ranges::find(plan.checks, code, [](const Check& each) { return each.code.name(); });
        REQUIRE(check != plan.checks.end());
        const auto cure = std::ranges::find_if(check->cures, [](const Cure& each) { return each.edit.has_value(); });
        REQUIRE(cure != check->cures.end());
        return !finds(apply(*cure->edit, job).walls.front().shelves.front(), code);
    };
    Shelf shelf = ledge();
    how(shelf).strip = 40_mm;
    CHECK(cures_away(shelf, "ledge_strip_low"));
    shelf = ledge();
    shelf.depth = 180_mm;
    CHECK(cures_away(shelf, "ledge_deep"));
    shelf = ledge();
    shelf.depth = 30_mm;
    CHECK(cures_away(shelf, "ledge_no_room"));
}

TEST_CASE("a ledge reaches every list", "[ledge]") {
    Job job = job_with(stud_wall(), ledge());
    job.walls.front().shelves.front().name = "Hall ledge";
    const Plan plan = reckon(job);
    const std::size_t holes = plan.walls.front()->shelves.front().holes.size();
    CHECK(std::ranges::count(marks_of(*plan.walls.front()), MarkKind::hole, &WallMark::kind) ==
          static_cast<std::ptrdiff_t>(holes));
    const std::vector<Table> tables = tables_of(job, plan);
    const auto named = [&](std::string_view table) {
        const auto found = std::ranges::find(tables, table, &Table::name);
        REQUIRE(found != tables.end());
        const std::string text = csv(*found);
        return text.find("Hall ledge") != std::string::npos || text.find(",shelf,") != std::string::npos;
    };
    for (const std::string_view table : {"cut-list", "fixings", "steps"}) {
        INFO(table);
        CHECK(named(table));
    }
    CHECK(plan_json(job, plan, {job.unit, {}}).find("Hall ledge") != std::string::npos);
    CHECK(read_job(write_job(job))->job.walls.front().shelves == job.walls.front().shelves);
}

TEST_CASE("something over a ledge is met by the strip that stands up behind it", "[ledge]") {
    const Shelf shelf = ledge();
    Job job = job_with(stud_wall(), shelf);
    Batten batten = {};
    batten.id = batten.name = "rail";
    batten.left = shelf.left;
    batten.length = shelf.length;
    batten.breadth = 30_mm;
    batten.top = shelf.height + 35_mm; // its foot 5 mm over the board, 37 mm under the strip's top
    kept<Batten>(job.walls.front()).push_back(batten);
    const Plan plan = reckon(job);
    CHECK(std::ranges::any_of(((*plan.walls.front()).*plans_of<Batten>).front().checks,
                              [](const Check& check) { return check.code == checks::over_thing; }));
}
