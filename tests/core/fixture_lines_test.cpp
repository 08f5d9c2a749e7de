#include "core/fitting/wall_marks.hpp"
#include "core/fixings/choose_fixing.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

namespace {

Shelf fixture(std::vector<PlateHole> holes) {
    Shelf shelf = new_shelf(shelf_preset("fixture"), stud_wall());
    shelf.left = 1500_mm;
    shelf.length = 600_mm;
    shelf.height = 1200_mm;
    shelf.thickness = 500_mm;
    auto& how = std::get<Fixture>(shelf.holding);
    how.mass = 8_kg;
    how.plate.width = 600_mm;
    how.plate.height = 500_mm;
    how.plate.holes = std::move(holes);
    return shelf;
}

} // namespace

TEST_CASE("rows of given holes are level lines, with two a plumb line through the middle looks over the second",
          "[shelves][fixtures][common-practice]") {
    const Job job = job_with(stud_wall(), fixture({{100_mm, 60_mm, false, {}},
                                                   {500_mm, 60_mm, false, {}},
                                                   {100_mm, 440_mm, false, {}},
                                                   {500_mm, 440_mm, false, {}}}));
    const Plan plan = reckon(job);
    const ShelfPlan& shelf = plan.walls.front()->shelves.front();
    REQUIRE(shelf.lines.size() == 3);
    CHECK_FALSE(shelf.lines[0].plumb);
    CHECK(shelf.lines[0].z == 1140_mm);
    CHECK(shelf.lines[0].x == 1500_mm); // no longer than what hides it
    CHECK(shelf.lines[0].to_x == 2100_mm);
    CHECK(shelf.lines[1].z == 760_mm);
    CHECK(shelf.lines[2].plumb);
    CHECK(shelf.lines[2].x == 1800_mm);
    // They are struck: in the steps and among the marks, whose holes lie on them.
    const auto says = [&](std::string_view words) {
        return std::ranges::any_of(
            shelf.steps, [&](const Step& step) { return say(step.words, {}).find(words) != std::string::npos; });
    };
    CHECK(says("level line through its holes, 1140 mm above the datum, from 1500 mm to 2100 mm"));
    CHECK(says("plumb line at 1800 mm from the reference end: its middle"));
    std::size_t struck = 0;
    for (const WallMark& mark : marks_of(*plan.walls.front())) {
        struck += mark.kind != MarkKind::hole;
        if (mark.kind == MarkKind::hole)
            CHECK((mark.z == 1140_mm || mark.z == 760_mm));
    }
    CHECK(struck == 3);

    // One row: one line.
    const ShelfPlan one =
        shelf_plan(job_with(stud_wall(), fixture({{100_mm, 60_mm, false, {}}, {500_mm, 60_mm, false, {}}})));
    CHECK(one.lines.size() == 1);
}

TEST_CASE("a hole a little off its stud is moved by what its edge distance lacks, and no more",
          "[shelves][fixtures][cures]") {
    const Wall wall = stud_wall();
    const Job usual = job_with(wall, fixture({}));
    const Length room = usable_half_width(std::get<Framing>(wall.structure), wall.studs.front().uncertainty,
                                          usual_screw(usual.rules.timber).diameter_in, usual.rules);
    REQUIRE(room > Length{});
    const Length off = room + Length::micrometres(2250);
    Shelf shelf = fixture({{100_mm + off, 60_mm, true, {}},
                           {500_mm + off, 60_mm, true, {}},
                           {100_mm + off, 440_mm, true, {}},
                           {500_mm + off, 440_mm, true, {}}});
    const Job job = job_with(wall, shelf);
    const ShelfPlan plan = shelf_plan(job);
    const Check* check = find_check(plan, checks::plate_few_holes);
    if (!check)
        check = find_check(plan, checks::hole_must_hold);
    REQUIRE(check);
    const auto cure = std::ranges::find_if(check->cures, [](const Cure& each) { return each.edit.has_value(); });
    REQUIRE(cure != check->cures.end());
    // In figures, to a tenth: not "2 mm".
    CHECK(say(cure->words, {}) == "Move it 2.3 mm left: 4 of its 4 places are in studs then");
    const Length by = shelf.left - std::get<MoveShelf>(*cure->edit).left;
    CHECK(by >= Length::micrometres(2250));
    CHECK(by <= Length::micrometres(2300));
    CHECK_FALSE(find_check(shelf_plan(apply(*cure->edit, job)), check->code));
}
