#include "core/cutting/kit.hpp"
#include "core/fixings/en_screw.hpp"
#include "core/fixings/end_grain.hpp"
#include "core/fixings/weigh_fixing.hpp"
#include "core/fixings/wood_screw.hpp"
#include "core/shelves/new_shelf.hpp"
#include "core/shelves/noggings.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "shelf_walls.hpp"

#include <cmath>

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

namespace {

/// A fixture of one hole, so far from the wall's left end and so heavy.
Job hung_at(Length x, Mass mass, Wall wall = bare_studs()) {
    Shelf mirror = new_shelf(shelf_preset("fixture"), wall);
    mirror.height = 900_mm;
    mirror.length = 200_mm;
    mirror.left = x - 100_mm;
    auto& how = std::get<Fixture>(mirror.holding);
    how.plate.holes = {{100_mm, 60_mm, true, {}}, {100_mm, 160_mm, true, {}}};
    how.mass = mass;
    return job_with(std::move(wall), mirror);
}

const Nogging& first_nogging(const Plan& plan) {
    REQUIRE_FALSE(plan.walls.front()->noggings.empty());
    return plan.walls.front()->noggings.front();
}

} // namespace

TEST_CASE("a nogging lies on its ends: the nearer one takes the more of what hangs on it", "[shelves][noggings]") {
    const Job job = hung_at(1100_mm, 12_kg);
    const Plan plan = reckon(job);
    const Nogging& nogging = first_nogging(plan);
    CHECK(nogging.left == 819_mm);
    CHECK(nogging.right == 1181_mm);
    // A beam on two ends: 281 of 362 mm from the left, so 281/362 of it on the right end.
    double worst = 0;
    double counts = 0;
    const auto& holds = nogging.holds;
    REQUIRE_FALSE(holds.front().demands.empty());
    for (std::size_t one = 0; one < holds.front().demands.size(); ++one) {
        double down = 0;
        double pull = 0;
        for (const Nogging::For& each : holds) {
            down += each.demands[one].down.in_si();
            pull += each.demands[one].tension.in_si();
        }
        // Wood bears a little more of what people do for a moment: their cases count for less.
        const double share = holds.front().demands[one].duration / 0.9;
        const double here = std::hypot(down, pull) * 281 / 362;
        if (here / share > counts) {
            counts = here / share;
            worst = here;
        }
    }
    CHECK(nogging.end_load.in_si() == Approx(worst));
    const EndScrew screw{ScrewGauge::number_10, specific_gravity(Species::unknown), 38_mm, 37_mm};
    CHECK(nogging.ends.number() ==
          Approx(counts / static_cast<double>(nogging.screws) / end_screw_bears(screw, TimberSchool::nds).in_si()));
    CHECK(nogging.left_end == Nogging::End::through);
    CHECK(nogging.screws >= 2);
    CHECK_FALSE(find_check(plan.walls.front()->shelves.front(), checks::nogging_ends));
}

TEST_CASE("a screw in a nogging's end bears two thirds of what it bears across the grain", "[noggings][reference]") {
    // NDS-2018 12.5.2 (from memory): Ceg = 0.67; EN 1995-1-1 8.3.1.2(4): a third.
    const EndScrew screw{ScrewGauge::number_10, 0.42, 38_mm, 37_mm};
    const Force across = lateral_strength(properties(ScrewGauge::number_10), {0.42, false, false},
                                          {Length{38_mm}.in_inches(), wood_bearing(0.42)}, Length{37_mm}.in_inches()) *
                         duration_stored;
    CHECK(end_screw_bears(screw, TimberSchool::nds).in_si() == Approx(across.in_si() * 0.67).epsilon(0.01));
    const EndScrew metric{ScrewGauge::metric_5, 0.42, 38_mm, 37_mm};
    const Density wood = characteristic_density(0.42);
    const Force en = en_lateral(properties(ScrewGauge::metric_5), wood, true, {38_mm, wood}, 37_mm) * en_stored;
    CHECK(end_screw_bears(metric, TimberSchool::en).in_si() == Approx(en.in_si() / 3));
    // Too short to count is nothing, not little.
    CHECK(end_screw_bears({ScrewGauge::number_10, 0.42, 38_mm, 12_mm}, TimberSchool::nds) == Force{0});
}

TEST_CASE("what is too much for a nogging's ends is wrong, whatever its fixings bear", "[noggings][safety]") {
    Plan plan;
    for (const Mass mass : {10_kg, 40_kg, 80_kg, 160_kg, 320_kg}) {
        plan = reckon(hung_at(1000_mm, mass));
        const Nogging& nogging = first_nogging(plan);
        const ShelfPlan& shelf = plan.walls.front()->shelves.front();
        CHECK((find_check(shelf, checks::nogging_ends) != nullptr) == nogging.ends.over());
        if (nogging.ends.over()) {
            CHECK(nogging.screws == 3);
            CHECK(holds(shelf) == Holds::no);
            CHECK_FALSE(find_check(shelf, checks::nogging_ends)->cures.empty());
        }
    }
    CHECK(first_nogging(plan).ends.over());
    // Once and no more, however often the wall is reckoned again.
    Reckoner again;
    Job job = hung_at(1000_mm, 320_kg);
    again.reckon(job);
    job.walls.front().shelves.push_back(job.walls.front().shelves.front());
    job.walls.front().shelves.back().id = "other";
    job.walls.front().shelves.back().left = 3000_mm;
    const Plan& later = again.reckon(job);
    const Plan afresh = reckon(job);
    const auto said = [](const Plan& of) {
        return std::ranges::count(of.walls.front()->shelves.front().checks, checks::nogging_ends, &Check::code);
    };
    CHECK(said(later) == said(afresh));
    CHECK(said(later) > 0);
}

TEST_CASE("its ends are screwed through the studs, or by pocket screws where no driver comes", "[noggings]") {
    Wall wall = bare_studs();
    // A stud that makes the bay beside it 162 mm wide: no room for a driver there.
    wall.studs.push_back({1400_mm, StudState::proved, Length::micrometres(600), {}});
    std::ranges::sort(wall.studs, {}, &Stud::centre);
    const Plan narrow = reckon(hung_at(1000_mm, 10_kg, wall));
    CHECK(first_nogging(narrow).left_end == Nogging::End::through);
    CHECK(first_nogging(narrow).right_end == Nogging::End::pocket);

    // Two side by side at one height: each is in the other's way.
    Job both = hung_at(1000_mm, 10_kg);
    Shelf beside = both.walls.front().shelves.front();
    beside.id = "beside";
    beside.name = "Beside";
    beside.left += 400_mm;
    both.walls.front().shelves.push_back(beside);
    const Plan plan = reckon(both);
    std::vector<Nogging> level;
    for (const Nogging& each : plan.walls.front()->noggings)
        if (each.z == plan.walls.front()->noggings.front().z)
            level.push_back(each);
    REQUIRE(level.size() == 2);
    CHECK(level[0].right_end == Nogging::End::pocket);
    CHECK(level[1].left_end == Nogging::End::pocket);
    CHECK(level[0].left_end == Nogging::End::through);
}

TEST_CASE("at a wall's end where no stud is entered a nogging is not known to hold", "[noggings][safety]") {
    const Plan plan = reckon(hung_at(200_mm, 5_kg)); // the first stud is at 400
    const ShelfPlan& shelf = plan.walls.front()->shelves.front();
    REQUIRE(find_check(shelf, checks::nogging_end_unknown));
    CHECK(holds(shelf) == Holds::unknown);
    Wall ended = bare_studs();
    ended.studs.insert(ended.studs.begin(), {19_mm, StudState::proved, Length::micrometres(600), {}});
    const Plan known = reckon(hung_at(200_mm, 5_kg, ended));
    CHECK_FALSE(find_check(known.walls.front()->shelves.front(), checks::nogging_end_unknown));
}

TEST_CASE("the kit has as many screws as the noggings' ends take", "[noggings][kit]") {
    const Job job = hung_at(1000_mm, 10_kg);
    const Plan plan = reckon(job);
    std::size_t wanted = 0;
    for (const Nogging& nogging : plan.walls.front()->noggings)
        wanted += 2 * nogging.screws;
    const Kit kit = kit_of(job, plan);
    const auto line = std::ranges::find(kit.lines, "nogging screw", &KitLine::item);
    REQUIRE(line != kit.lines.end());
    CHECK(static_cast<std::size_t>(line->wanted) == wanted);
}
