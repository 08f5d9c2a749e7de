#include "core/fitting/as_found.hpp"
#include "core/job/fresh_name.hpp"
#include "core/reckon/reckon.hpp"
#include "core/runs/unit_library.hpp"
#include "core/shelves/new_shelf.hpp"
#include "core/steps/next_step.hpp"

#include "../random_jobs.hpp"

#include <catch2/catch.hpp>

using namespace yes_square;
using What = NextStep::Kind;

namespace {

Job hall() {
    Job job = new_job();
    Room room;
    room.id = "room";
    room.name = "Hall";
    job.rooms = {room};
    Wall wall;
    wall.id = "wall";
    wall.name = "Hall wall";
    wall.room = "room";
    wall.length = 3000_mm;
    wall.height = 2400_mm;
    for (const Length at : {400_mm, 800_mm, 1200_mm})
        wall.studs.push_back({at, StudState::proved, Length::micrometres(600), {}});
    job.walls = {wall};
    return job;
}

void hang_shelf(Job& job) {
    Wall& wall = job.walls.front();
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.id = "shelf";
    shelf.name = "Shelf 1";
    shelf.left = 350_mm;
    shelf.length = 500_mm;
    wall.shelves.push_back(shelf);
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.rating = 400_n;
}

NextStep next_of(const Job& job, bool printed = false, const std::string& wall = "wall") {
    const Plan plan = reckon(job);
    return next_step(job, plan, job_order(job, plan), wall, printed);
}

} // namespace

TEST_CASE("what is next leads from nothing to the hand-over", "[next]") {
    CHECK(next_of(new_job()).kind == What::begin);
    Job job = hall();
    CHECK(next_of(job).kind == What::hang);
    CHECK(next_of(job).owner == "Hall wall");
    hang_shelf(job);
    INFO(say(next_of(job).words, {}));
    CHECK(next_of(job).kind == What::print);
    const NextStep first = next_of(job, true);
    REQUIRE(first.kind == What::task);
    const JobOrder order = job_order(job, reckon(job));
    CHECK(first.task == order.tasks.front().key);
    for (const Task& task : order.tasks)
        tick(job, task.key, TickState::done, {"2026-11-29T04:00:00Z", "A"}, {});
    CHECK(next_of(job, true).kind == What::sign);
    CHECK(next_of(job, false).kind == What::sign); // nobody prints what is fitted
    write_log(job, LogKind::signature, {}, "taken over", {"2026-11-29T05:00:00Z", "B"});
    CHECK(next_of(job).kind == What::over);
}

TEST_CASE("a stud that nobody found comes before everything", "[next]") {
    Job job = hall();
    hang_shelf(job);
    for (Stud& stud : job.walls.front().studs)
        stud.state = StudState::assumed;
    const NextStep next = next_of(job, true);
    REQUIRE(next.kind == What::find_stud);
    CHECK(next.owner == "Shelf 1");
    REQUIRE(next.x);
    CHECK((*next.x == 400_mm || *next.x == 800_mm));
}

TEST_CASE("a packet's figure that is missing is asked for where it is typed", "[next]") {
    Job job = hall();
    hang_shelf(job);
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.rating.reset();
    const NextStep next = next_of(job);
    CHECK(next.kind == What::put_right);
    CHECK(next.field == "bracket-rating");
}

TEST_CASE("what is wrong on the wall in hand comes before what is wrong elsewhere", "[next]") {
    Job job = hall();
    hang_shelf(job);
    job.walls.front().studs.clear();
    Wall other = job.walls.front();
    other.id = "other";
    other.name = "Other wall";
    other.shelves.front().id = "shelf-2";
    job.walls.push_back(other);
    CHECK(next_of(job, true, "wall").wall == "wall");
    CHECK(next_of(job, true, "other").wall == "other");
}

TEST_CASE("nothing is printed or fitted while anything is wrong or not known to hold", "[next]") {
    for (std::uint64_t seed = 1; seed <= 200; ++seed) {
        const Job job = RandomJobs{seed}.next();
        const Plan plan = reckon(job);
        const NextStep next = next_step(job, plan, {}, job.walls.empty() ? "" : job.walls.front().id, true);
        INFO("seed " << seed);
        CHECK_FALSE(next.words.pattern.empty());
        CHECK_FALSE(next.button.pattern.empty());
        bool sound = count_checks(plan, Severity::error) == 0;
        for (const auto& wall : plan.walls)
            for_each_thing(*wall, [&](const ThingPlan& thing) {
                sound = sound && (thing.holes.empty() || holds(thing) == Holds::yes);
            });
        const bool goes_on = next.kind == What::print || next.kind == What::task || next.kind == What::sign ||
                             next.kind == What::over || next.kind == What::read;
        CHECK((!goes_on || sound));
    }
}

TEST_CASE("names are numbered on through the whole job", "[names]") {
    Job job = hall();
    hang_shelf(job);
    CHECK(fresh_name(job, "Shelf %1") == "Shelf 2");
    CHECK(fresh_name(job, "Desk %1") == "Desk 1");
    const std::string run = "none";
    put_unit(job, 0, usual_unit(UnitKind::wall, 600_mm, 720_mm, 320_mm), run, {});
    put_unit(job, 0, usual_unit(UnitKind::wall, 400_mm, 720_mm, 320_mm), run, 3000_mm);
    put_unit(job, 0, usual_unit(UnitKind::base, 600_mm, 720_mm, 560_mm), run, {});
    std::vector<std::string> names;
    for (const Run& each : job.walls.front().runs)
        for (const CabinetUnit& unit : each.units)
            names.push_back(unit.name);
    CHECK(names == std::vector<std::string>{"W1", "W2", "B1"});
}
