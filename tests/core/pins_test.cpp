// Places of brackets that the fitter says: they stand there, and the others round them.
#include "../random_jobs.hpp"
#include "core/job/file.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/slide_whole.hpp"
#include "core/site/site_checks.hpp"
#include "shelf_walls.hpp"

#include <random>

using namespace yes_square;

namespace {

/// 1.8 m on brackets over studs at every 400 mm, from 300 mm on.
Job pinned_at(std::vector<Length> pins, const Wall& wall = stud_wall()) {
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.left = 300_mm;
    shelf.length = 1800_mm;
    shelf.depth = 240_mm;
    shelf.pins = std::move(pins);
    return job_with(wall, shelf);
}

bool stands_at(const ShelfPlan& plan, Length x) {
    return std::ranges::any_of(plan.brackets, [&](const BracketPlan& place) { return place.x == x; });
}

} // namespace

TEST_CASE("a pinned bracket stands where it was pinned, whatever the school, and the others round it", "[pins]") {
    for (const School school : {School::studs_first, School::even, School::mirrored}) {
        Job job = pinned_at({850_mm}); // 1150 on the wall: beside the stud at 1200
        job.walls.front().shelves.front().school = school;
        const ShelfPlan plan = shelf_plan(job);
        REQUIRE(stands_at(plan, 1150_mm));
        CHECK(plan.brackets.size() >= 3);
        for (const BracketPlan& place : plan.brackets)
            CHECK(place.pinned == (place.x == 1150_mm));
        for (const Alternative& other : plan.alternatives)
            CHECK(std::ranges::find(other.layout.places, 850_mm) != other.layout.places.end());
    }
    CHECK_FALSE(stands_at(shelf_plan(pinned_at({})), 1150_mm));
}

TEST_CASE("the verdict follows the pin: what is pinned to the lining holds nothing there", "[pins]") {
    const ShelfPlan on_stud = shelf_plan(pinned_at({900_mm})); // 1200: a stud
    CHECK_FALSE(has_error(on_stud));
    const ShelfPlan beside = shelf_plan(pinned_at({800_mm})); // 1100: none
    const auto at = std::ranges::find(beside.brackets, 1100_mm, &BracketPlan::x);
    REQUIRE(at != beside.brackets.end());
    CHECK(at->substrate == Substrate::lining);
    CHECK(find_check(beside, checks::on_lining));
}

TEST_CASE("a pin beyond the board, and two in one place, say so and are let go of", "[pins][checks]") {
    CHECK_FALSE(find_check(shelf_plan(pinned_at({400_mm})), checks::pin_off_board));
    CHECK_FALSE(find_check(shelf_plan(pinned_at({400_mm, 1200_mm})), checks::pins_too_close));
    const auto heals = [](const Job& job, CheckCode code) {
        const ShelfPlan plan = shelf_plan(job);
        const Check* check = find_check(plan, code);
        REQUIRE(check);
        CHECK(check->severity == Severity::error);
        REQUIRE_FALSE(check->cures.empty());
        REQUIRE(check->cures.front().edit);
        CHECK_FALSE(find_check(shelf_plan(apply(*check->cures.front().edit, job)), code));
    };
    heals(pinned_at({1900_mm}), checks::pin_off_board);
    heals(pinned_at({400_mm, 410_mm}), checks::pins_too_close);
}

TEST_CASE("a hole in a window, a door or beyond the wall holds nothing, whatever stud is listed there",
          "[pins][checks]") {
    Wall wall = stud_wall();
    wall.openings = {{OpeningKind::window, 1100_mm, 900_mm, 300_mm, 450_mm, {}, {}}}; // over the stud at 1200
    const auto pinned = [&](Length pin) {
        const Job job = pinned_at({pin}, wall);
        const Plan plan = reckon(job);
        const ShelfPlan& shelf = plan.walls.front()->shelves.front();
        return std::pair{find_check(shelf, checks::hole_without_wall) != nullptr, holds(shelf)};
    };
    CHECK(pinned(900_mm) == std::pair{true, Holds::no});   // 1200
    CHECK(pinned(500_mm) == std::pair{false, Holds::yes}); // 800
    wall.openings.front().kind = OpeningKind::door;
    CHECK(pinned(900_mm).second == Holds::no);
    wall.openings.clear();
    CHECK(pinned(900_mm) == std::pair{false, Holds::yes});
    wall.length = 2000_mm; // its right end hangs beyond, with a bracket
    wall.studs.push_back({2050_mm, StudState::proved, {}, {}});
    CHECK(pinned(1750_mm).second == Holds::no);
}

TEST_CASE("pinned and let go of, and a board made longer at its left end leaves a pin on its stud", "[pins]") {
    Job job = pinned_at({});
    job = apply(PinPlace{"shelf", std::nullopt, 900_mm}, std::move(job));
    job = apply(PinPlace{"shelf", std::nullopt, 500_mm}, std::move(job));
    CHECK(job.walls.front().shelves.front().pins == std::vector<Length>{500_mm, 900_mm});
    job = apply(PinPlace{"shelf", 900_mm, 905_mm}, std::move(job)); // pulled along
    CHECK(job.walls.front().shelves.front().pins == std::vector<Length>{500_mm, 905_mm});
    job = apply(ResizeShelf{"shelf", 200_mm, 1900_mm}, std::move(job));
    CHECK(stands_at(shelf_plan(job), 800_mm)); // 300 + 500, as before
    job = apply(PinPlace{"shelf", 600_mm, std::nullopt}, std::move(job));
    CHECK(job.walls.front().shelves.front().pins == std::vector<Length>{1005_mm});
}

TEST_CASE("pins are kept in the file, and their own plan says them", "[pins][file]") {
    const Job job = pinned_at({850_mm, 1300_mm});
    const auto again = read_job(write_job(job));
    REQUIRE(again);
    CHECK(again->job == job);
}

TEST_CASE("whatever is pinned on a random job stands there or is said to be wrong", "[pins][property]") {
    int pinned = 0;
    for (std::uint32_t seed = 0; seed < 400; ++seed) {
        const Job job = RandomJobs{seed}.next();
        const Plan plan = reckon(job);
        for (std::size_t i = 0; i < job.walls.front().shelves.size(); ++i) {
            const Shelf& shelf = job.walls.front().shelves[i];
            const ShelfPlan& of = plan.walls.front()->shelves[i];
            if (!of.bracket || of.brackets.empty())
                continue;
            for (const Length pin : shelf.pins) {
                ++pinned;
                INFO("seed " << seed);
                CHECK((stands_at(of, shelf.left + pin) || find_check(of, checks::pin_off_board)));
            }
        }
    }
    CHECK(pinned > 20);
}

TEST_CASE("the slide of a thing with its own holes is the best there is, against every millimetre", "[pins][slide]") {
    std::mt19937 draw{4};
    const auto mm = [&](int least, int most) {
        return Length::mm(std::uniform_int_distribution<int>{least, most}(draw));
    };
    for (int round = 0; round < 500; ++round) {
        std::vector<Length> holes;
        std::vector<WoodStretch> wood;
        for (int i = 0; i < 6; ++i)
            holes.push_back(mm(0, 1500));
        for (int i = 0; i < 5; ++i) {
            const Length from = mm(-200, 1700);
            wood.push_back({from, from + mm(0, 20)});
        }
        const WholeSlide found = slide_whole(holes, wood, -400_mm, 400_mm);
        const auto meet = [&](Length by) {
            return static_cast<std::size_t>(std::ranges::count_if(holes, [&](Length hole) {
                return std::ranges::any_of(wood, [&](const WoodStretch& stretch) {
                    return hole + by >= stretch.from && hole + by <= stretch.to;
                });
            }));
        };
        CHECK(found.meet == meet(found.by));
        CHECK(found.meet_now == meet(Length{}));
        std::size_t most = 0;
        Length least = 1000_mm;
        for (int by = -400; by <= 400; ++by)
            if (const std::size_t here = meet(Length::mm(by));
                here > most || (here == most && absolute(Length::mm(by)) < least)) {
                most = here;
                least = absolute(Length::mm(by));
            }
        CHECK(found.meet == most);
        CHECK(absolute(found.by) == least);
    }
}

TEST_CASE("a thing whose holes miss the studs is told how far to move as a whole", "[pins][slide]") {
    // Studs at 400, 800, 1200: holes at 430, 830 and 1000.
    Shelf shelf = new_shelf(shelf_preset("brackets"), stud_wall());
    shelf.left = 330_mm;
    shelf.length = 1000_mm;
    shelf.pins = {100_mm, 500_mm, 670_mm};
    const ShelfPlan plan = shelf_plan(job_with(stud_wall(), shelf));
    bool told = false;
    for (const Check& check : plan.checks)
        for (const Cure& cure : check.cures)
            told = told || (say(cure.words, {}).starts_with("Move it 2") &&
                            say(cure.words, {}).ends_with("left: 2 of its 3 places are in studs then"));
    CHECK(told);
    shelf.left = 300_mm; // two of three already
    for (const Check& check : shelf_plan(job_with(stud_wall(), shelf)).checks)
        for (const Cure& cure : check.cures)
            CHECK_FALSE(say(cure.words, {}).starts_with("Move it"));
}
