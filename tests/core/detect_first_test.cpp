// Holes where a hidden service may be. One that is only likely, by what shows, holds the work until a detector has
// spoken; one that was found, or is kept free, is wrong.
#include "../random_jobs.hpp"
#include "core/reckon/reckon.hpp"
#include "core/site/strip_checks.hpp"
#include "shelf_walls.hpp"

#include <set>

using namespace yes_square;

namespace {

/// A brick wall with a shelf whose holes lie in the level strip of a socket.
Job over_a_socket() {
    const Wall brick = masonry_wall();
    const Shelf shelf = new_shelf(shelf_preset("brackets"), brick);
    Job job = job_with(brick, shelf);
    job.walls.front().services.push_back({ServiceKind::socket, 2000_mm, shelf.underside() - 100_mm, 86_mm, false, {}});
    return job;
}

/// All of the wall read clear.
ScannedArea all_clear(const Wall& wall) {
    ScannedArea area;
    area.width = wall.length;
    area.height = wall.height;
    area.result = ScanResult::clear;
    return area;
}

std::vector<const Step*> detecting(const ThingPlan& thing) {
    std::vector<const Step*> steps;
    for (const Step& step : thing.steps)
        if (step.hold_point && step.words.pattern.starts_with("Before "))
            steps.push_back(&step);
    return steps;
}

} // namespace

TEST_CASE("where a cable is only likely the work is held, not condemned, the detector's word settles it",
          "[strips][safety]") {
    Job job = over_a_socket();
    const ShelfPlan plan = shelf_plan(job);
    const Check* first = find_check(plan, checks::detect_first);
    REQUIRE(first);
    CHECK(first->severity == Severity::warning);
    CHECK_FALSE(find_check(plan, checks::in_service_strip));
    CHECK(holds(plan) == Holds::unknown);
    REQUIRE_FALSE(first->cures.empty());
    CHECK(say(first->cures.front().words, {}).find("detector") != std::string::npos);

    SECTION("it says before which hole, and what part of the wall") {
        const std::vector<const Step*> steps = detecting(plan);
        REQUIRE_FALSE(steps.empty());
        const auto place = [&](const Step* step) { return step - plan.steps.data(); };
        CHECK(plan.steps[static_cast<std::size_t>(place(steps.front()) - 1)].words == detector_step().words);
        const auto drill = std::ranges::find(plan.steps, Phase::drill, &Step::phase);
        REQUIRE(drill != plan.steps.end());
        CHECK(place(steps.back()) < drill - plan.steps.begin());
    }
    SECTION("clear") {
        Wall& wall = job.walls.front();
        wall.scans.push_back(all_clear(wall));
        const ShelfPlan after = shelf_plan(job);
        CHECK_FALSE(find_check(after, checks::detect_first));
        CHECK(detecting(after).empty());
        CHECK(holds(after) == Holds::yes);
    }
    SECTION("clear where it was told to look is enough") {
        // What is said is what has to be swept: the figures of the cure, entered as read clear.
        for (const Check& check : plan.checks) {
            if (check.code != checks::detect_first)
                continue;
            const Sentence& told = check.cures.front().words;
            const auto figure = [&](std::size_t i) {
                return Length::nearest_to_metres(std::get<Quantity>(told.values[i]).si);
            };
            ScannedArea area;
            area.left = figure(0);
            area.width = figure(1) - figure(0);
            area.bottom = figure(2);
            area.height = figure(3) - figure(2);
            area.result = ScanResult::clear;
            job.walls.front().scans.push_back(area);
        }
        CHECK_FALSE(find_check(shelf_plan(job), checks::detect_first));
    }
    SECTION("a cable") {
        Wall& wall = job.walls.front();
        ScannedArea area = all_clear(wall);
        area.result = ScanResult::cable;
        wall.scans.push_back(area);
        const ShelfPlan after = shelf_plan(job);
        const Check* found = find_check(after, checks::in_service_strip);
        REQUIRE(found);
        CHECK(found->severity == Severity::error);
        CHECK(holds(after) == Holds::no);
    }
    SECTION("holes that are drilled are held by no guess") {
        for (const PlannedHole& hole : plan.holes)
            job.walls.front().made.push_back({"shelf", hole.x, hole.z, {}, {}});
        CHECK_FALSE(find_check(shelf_plan(job), checks::detect_first));
    }
}

TEST_CASE("no hole of any kind of thing lies in a strip unsaid, and nothing that hangs there counts as holding",
          "[strips][safety][property]") {
    std::set<Strip::Basis> met;
    for (std::uint64_t seed = 0; seed < 400; ++seed) {
        Job job = RandomJobs{seed}.next();
        if (seed % 4 == 0) { // a detector found a cable, from end to end
            ScannedArea area = all_clear(job.walls.front());
            area.bottom = Length::mm(static_cast<int>(300 + seed * 4));
            area.height = 100_mm;
            area.result = ScanResult::cable;
            job.walls.front().scans.push_back(area);
        }
        const Plan plan = reckon(job);
        const WallPlan& wall = *plan.walls.front();
        for_each_thing(wall, [&](const ThingPlan& thing) {
            const auto says = [&](CheckCode code) {
                return std::ranges::find(thing.checks, code, &Check::code) != thing.checks.end();
            };
            bool likely = false;
            bool found = false;
            for (const PlannedHole& hole : thing.holes)
                for (const std::size_t s : hole.strips) {
                    const bool inferred = wall.survey.strips[s].basis == Strip::Basis::inferred;
                    likely |= inferred && !hole.made;
                    found |= !inferred;
                    met.insert(wall.survey.strips[s].basis);
                }
            INFO("seed " << seed << ", " << thing.name);
            CHECK(says(checks::detect_first) == likely);
            CHECK(says(checks::in_service_strip) == found);
            CHECK(detecting(thing).empty() == !likely);
            if (likely)
                CHECK(holds(thing) != Holds::yes);
            if (found)
                CHECK(holds(thing) == Holds::no);
        });
    }
    CHECK(met.contains(Strip::Basis::inferred));
    CHECK(met.size() >= 2);
}
