#include "core/shelves/new_shelf.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

TEST_CASE("in open framing a nogging goes behind every fixing that misses the studs, shared on one line",
          "[shelves][noggings][common-practice]") {
    const Wall wall = bare_studs();
    Shelf radiator = new_shelf(shelf_preset("fixture"), wall);
    radiator.left = 1120_mm;
    radiator.height = 900_mm;
    auto& how = std::get<Fixture>(radiator.holding);
    // 112 cm and 4.1 cm, 6.7 cm under the top line.
    how.plate.holes = {{41_mm, 67_mm, false, {}}, {559_mm, 67_mm, false, {}}};
    Job job = job_with(wall, radiator);
    Shelf second = radiator;
    second.id = "second";
    second.name = "Second";
    second.left = 1250_mm;
    job.walls.front().shelves.push_back(second);
    const Plan plan = reckon(job);
    CHECK(plan.walls.front()->shelves.front().holes[0].x == Length::mm(1161));
    CHECK(plan.walls.front()->shelves.front().holes[0].z == 900_mm - 67_mm);
    // 1161, 1679 and 1291, 1809: bays 800-1200, 1200-1600 and 1600-2000; those in one bay share.
    const auto& noggings = plan.walls.front()->noggings;
    REQUIRE(noggings.size() == 3);
    CHECK(noggings[0].left == 819_mm);
    CHECK(noggings[0].length() == 362_mm);
    CHECK(noggings[2].holds.size() == 2);
    CHECK(noggings[2].z == 833_mm);
    CHECK_FALSE(find_check(plan.walls.front()->shelves.front(), checks::plate_few_holes));
    CHECK(find_check(plan.walls.front()->shelves.front(), checks::nogging_needed));
}

TEST_CASE("a hole on a stud's edge is no nogging's: it is moved", "[shelves][noggings][safety]") {
    const Wall wall = bare_studs();
    Shelf basin = new_shelf(shelf_preset("fixture"), wall);
    basin.left = 1000_mm;
    // 1210 lies in the stud at 1200, 9 mm from its edge; 1225 would leave a nogging 6 mm of wood.
    for (const Length across : {210_mm, 225_mm}) {
        std::get<Fixture>(basin.holding).plate.holes = {{across, 60_mm, true, {}}, {500_mm, 60_mm, true, {}}};
        const Job job = job_with(wall, basin);
        const ShelfPlan plan = shelf_plan(job);
        CHECK(plan.brackets[0].substrate == Substrate::lining);
        CHECK(find_check(plan, checks::hole_must_hold)->severity == Severity::error);
        CHECK_FALSE(find_check(cured(job, checks::hole_must_hold), checks::hole_must_hold));
    }
    std::get<Fixture>(basin.holding).plate.holes = {{231_mm, 60_mm, true, {}}, {500_mm, 60_mm, true, {}}};
    CHECK(shelf_plan(job_with(wall, basin)).brackets[0].substrate == Substrate::nogging);
}

TEST_CASE("a stud just beyond a shelf's end leaves no room for a nogging beside it", "[shelves][noggings][safety]") {
    const Wall wall = bare_studs();
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.left = 1202_mm; // the stud at 1200 ends at 1219
    shelf.length = 700_mm;
    shelf.load.kind = LoadKind::display;
    const ShelfPlan plan = shelf_plan(job_with(wall, shelf));
    for (const BracketPlan& place : plan.brackets)
        if (place.substrate == Substrate::nogging)
            for (const Stud& stud : wall.studs)
                CHECK(absolute(place.x - stud.centre) >= 30_mm);
}

TEST_CASE("a rod in a nogging presses across its grain and holds less", "[shelves][noggings][safety]") {
    const Wall wall = bare_studs();
    Shelf shelf = new_shelf(shelf_preset("hidden_rods"), wall);
    shelf.left = 1130_mm;
    shelf.length = 700_mm;
    shelf.school = School::even;
    const ShelfPlan plan = shelf_plan(job_with(wall, shelf));
    const auto nogging = std::ranges::find(plan.brackets, Substrate::nogging, &BracketPlan::substrate);
    REQUIRE(nogging != plan.brackets.end());
    REQUIRE(nogging->fixing);
    CHECK(nogging->fixing_utilisation.number() > 0);
}
