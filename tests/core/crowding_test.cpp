// Holes that stand too near one another: of two things on a wall, and beside what was drilled before.
#include "core/reckon/crowding.hpp"
#include "core/reckon/reckon.hpp"
#include "shelf_walls.hpp"

#include <algorithm>

using namespace yes_square;

namespace {

/// Two shelves on brackets, the second so far under the first.
Job two_shelves(Wall wall, Length under) {
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.left = 600_mm;
    shelf.length = 1200_mm;
    shelf.height = 1500_mm;
    Job job = job_with(std::move(wall), shelf);
    Shelf second = job.walls.front().shelves.front();
    second.id = "second";
    second.name = "Second";
    second.height -= under;
    job.walls.front().shelves.push_back(second);
    return job;
}

const Check* crowd_of(const ShelfPlan& plan, CheckCode code) {
    const auto found = std::ranges::find_if(
        plan.checks, [&](const Check& check) { return check.code == code && check.between_things; });
    return found == plan.checks.end() ? nullptr : &*found;
}

/// Nearest two holes of the first two shelves.
double apart_mm(const WallPlan& plan) {
    double least = 1e9;
    for (const PlannedHole& one : plan.shelves[0].holes)
        for (const PlannedHole& other : plan.shelves[1].holes)
            least = std::min(least, std::hypot((one.x - other.x).in_mm(), (one.z - other.z).in_mm()));
    return least;
}

/// So far under the first that a hole of the second comes so near to one of the first.
Length under_for(const Wall& wall, Length wanted) {
    const ShelfPlan plan = shelf_plan(two_shelves(wall, 1000_mm));
    Length upper = plan.holes.front().z;
    Length lower = upper;
    for (const PlannedHole& hole : plan.holes) {
        upper = std::max(upper, hole.z);
        lower = std::min(lower, hole.z);
    }
    return upper - lower + wanted; // the second's upper row so far under the first's lower row
}

} // namespace

TEST_CASE("anchors of two things keep the distance their packet wants, and the cure says by how much",
          "[crowding][checks][safety]") {
    const Wall wall = masonry_wall();
    Job job = two_shelves(wall, under_for(wall, 60_mm));
    for (MasonryAnchor& anchor : job.catalogue.plugs)
        anchor.apart = 50_mm;
    Plan plan = reckon(job);
    REQUIRE(apart_mm(*plan.walls.front()) == Approx(60));
    for (const ShelfPlan& shelf : plan.walls.front()->shelves)
        CHECK_FALSE(crowd_of(shelf, checks::anchors_too_near));
    for (MasonryAnchor& anchor : job.catalogue.plugs)
        anchor.apart = 75_mm;
    plan = reckon(job);
    // Each of the two says it, by its own name first: neither may be loaded.
    for (const ShelfPlan& shelf : plan.walls.front()->shelves) {
        const Check* check = crowd_of(shelf, checks::anchors_too_near);
        REQUIRE(check);
        CHECK(check->amount->si == Approx(0.015));
        CHECK(say(check->message, {}).rfind("An anchor of " + shelf.name, 0) == 0);
        CHECK(holds(shelf) == Holds::no);
    }
    // Moved by what it lacks, it is enough.
    job.walls.front().shelves.back().height -= 15_mm;
    for (const ShelfPlan& shelf : reckon(job).walls.front()->shelves)
        CHECK_FALSE(crowd_of(shelf, checks::anchors_too_near));
}

TEST_CASE("holes of two things that run into one another hold neither", "[crowding][checks][safety]") {
    for (const Wall& wall : {masonry_wall(), stud_wall()}) {
        const Job job = two_shelves(wall, under_for(wall, 2_mm));
        for (const ShelfPlan& shelf : reckon(job).walls.front()->shelves) {
            CHECK(crowd_of(shelf, checks::holes_meet));
            CHECK(holds(shelf) == Holds::no);
        }
    }
}

TEST_CASE("screws of two things near one another in one stud split it, in two studs they do not",
          "[crowding][checks]") {
    const Wall wall = stud_wall();
    const Job near = two_shelves(wall, under_for(wall, 20_mm));
    const Plan plan = reckon(near);
    for (const ShelfPlan& shelf : plan.walls.front()->shelves)
        CHECK(crowd_of(shelf, checks::holes_crowded));
    const PlannedHole& hole = plan.walls.front()->shelves.front().holes.front();
    REQUIRE(hole.fixing);
    // Ten diameters along the grain, four of coach screws: common practice.
    const Length usual = (hole.fixing->coach ? 4 : 10) * hole.fixing->clearance;
    const Job far = two_shelves(wall, under_for(wall, usual + 5_mm));
    for (const ShelfPlan& shelf : reckon(far).walls.front()->shelves)
        CHECK_FALSE(crowd_of(shelf, checks::holes_crowded));
}

TEST_CASE("a new hole beside an old one is told, until it is the same hole or far enough", "[crowding][checks]") {
    Job job = two_shelves(masonry_wall(), 700_mm);
    const PlannedHole hole = shelf_plan(job).holes.front();
    const auto told = [&](Length beside) {
        Job drilled = job;
        MadeHole& made = drilled.walls.front().made.emplace_back();
        made.item = "gone";
        made.x = hole.x + beside;
        made.z = hole.z;
        return crowd_of(shelf_plan(drilled), checks::holes_crowded) != nullptr;
    };
    const Length touching = 2 * hole.radius;
    CHECK(told(touching));
    CHECK_FALSE(told({}));
    CHECK_FALSE(told(3 * touching));
}

TEST_CASE("a plan that is kept up says of crowding what a plan made afresh says", "[crowding][property]") {
    const Wall wall = masonry_wall();
    const Length near = under_for(wall, 2_mm);
    Job job = two_shelves(wall, near);
    Reckoner kept;
    kept.reckon(job);
    for (const Length under : {near + 300_mm, near, near + 20_mm, near + 21_mm, near}) {
        job.walls.front().shelves.back().height = job.walls.front().shelves.front().height - under;
        const Plan& now = kept.reckon(job);
        const Plan fresh = reckon(job);
        for (std::size_t i = 0; i < 2; ++i) {
            const auto& checks = now.walls.front()->shelves[i].checks;
            const auto& wanted = fresh.walls.front()->shelves[i].checks;
            REQUIRE(checks.size() == wanted.size());
            for (std::size_t c = 0; c < checks.size(); ++c)
                CHECK(say(checks[c].message, {}) == say(wanted[c].message, {}));
        }
    }
}
