#include "core/shelves/shelf_checks.hpp"
#include "core/site/site_checks.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

namespace {

/// Slots 800 apart, on studs at 1600 and 2400.
Shelf slotted() {
    Shelf shelf = new_shelf(shelf_preset("keyholes"), stud_wall());
    shelf.left = 1500_mm;
    shelf.length = 1000_mm;
    OnKeyholes& how = std::get<OnKeyholes>(shelf.holding);
    how.plate.width = 1000_mm;
    how.plate.holes = {{100_mm, 30_mm, false, {}}, {900_mm, 30_mm, false, {}}};
    how.slot = 25_mm;
    return shelf;
}

} // namespace

TEST_CASE("slots and their bores are measured on the shelf's back, the screw hangs at the slot's upper end",
          "[shelves][work]") {
    const Job job = job_with(stud_wall(), slotted());
    const ShelfPlan plan = shelf_plan(job);
    REQUIRE(plan.parts.size() == 1);
    const PartWork& work = plan.parts.front().work;
    CHECK(work.face == "back");
    REQUIRE(work.cuts.size() == 4);
    const PartCut& bore = work.cuts[0];
    const PartCut& slot = work.cuts[1];
    CHECK(bore.kind == Machining::bore);
    CHECK(bore.from == 100_mm);
    CHECK(bore.in == 55_mm); // 30 where it hangs, and the slot's 25 below
    CHECK(bore.along == job.rules.boxes.keyhole_bore);
    CHECK(slot.kind == Machining::slot);
    CHECK(slot.in == 30_mm);
    CHECK(slot.in + slot.across == bore.in);
    CHECK(slot.depth > std::get<OnKeyholes>(job.walls.front().shelves.front().holding).lip);
    // The wall's screws are where the slots' upper ends come to be.
    REQUIRE(plan.holes.size() == 2);
    CHECK(plan.holes[0].x == 1600_mm);
    CHECK(job.walls.front().shelves.front().height - plan.holes[0].z == slot.in);
}

TEST_CASE("a bore that breaks out of the lower edge is an error, a shorter slot cures it", "[shelves][work]") {
    Shelf shelf = slotted();
    shelf.thickness = 60_mm; // 30 + 25 + half a bore of 10 + 3 of wood are 63
    Job job = job_with(stud_wall(), shelf);
    const ShelfPlan plan = shelf_plan(job);
    const Check* out = find_check(plan, checks::keyhole_breaks_out);
    REQUIRE(out);
    CHECK(out->severity == Severity::error);
    REQUIRE(out->amount);
    CHECK(out->amount->si == Approx(0.003));
    const auto cure = std::ranges::find_if(out->cures, [](const Cure& each) { return each.edit.has_value(); });
    REQUIRE(cure != out->cures.end());
    job = apply(*cure->edit, std::move(job));
    CHECK(std::get<OnKeyholes>(job.walls.front().shelves.front().holding).slot == 22_mm);
    CHECK_FALSE(find_check(shelf_plan(job), checks::keyhole_breaks_out));
}

TEST_CASE("the slots follow the studs: the outermost two, and one between where they are far apart",
          "[shelves][work]") {
    Shelf shelf = slotted();
    std::get<OnKeyholes>(shelf.holding).plate.holes = {{200_mm, 30_mm, false, {}}, {500_mm, 30_mm, false, {}}};
    Job job = job_with(stud_wall(), shelf); // studs at 1600, 2000, 2400: 100, 500 and 900 along it
    const ShelfPlan plan = shelf_plan(job);
    const Cure* cure = nullptr;
    for (const Check& check : plan.checks)
        for (const Cure& each : check.cures)
            if (each.words.pattern == "Put {0} slots where the studs are, the first {1} from its left end")
                cure = &each;
    REQUIRE(cure);
    REQUIRE(cure->edit);
    job = apply(*cure->edit, std::move(job));
    const auto& holes = std::get<OnKeyholes>(job.walls.front().shelves.front().holding).plate.holes;
    REQUIRE(holes.size() == 2);
    CHECK(holes[0].across == 100_mm);
    CHECK(holes[1].across == 900_mm);
}

TEST_CASE("a board on hidden rods is bored in the middle of its back edge, one by one, deeper than they reach in",
          "[shelves][work]") {
    const Shelf shelf = new_shelf(shelf_preset("hidden_rods"), stud_wall());
    const Job job = job_with(stud_wall(), shelf);
    const ShelfPlan plan = shelf_plan(job);
    REQUIRE_FALSE(plan.parts.empty());
    const PartWork& work = plan.parts.front().work;
    REQUIRE(work.cuts.size() == plan.brackets.size());
    const auto& how = std::get<OnHiddenRods>(job.walls.front().shelves.front().holding);
    for (std::size_t i = 0; i < work.cuts.size(); ++i) {
        CHECK(work.cuts[i].from == plan.brackets[i].x - job.walls.front().shelves.front().left);
        CHECK(work.cuts[i].in == shelf.thickness / 2);
        CHECK(work.cuts[i].along == how.diameter);
        CHECK(work.cuts[i].depth > how.in_shelf);
    }
}
