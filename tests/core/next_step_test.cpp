#include "core/fitting/as_found.hpp"
#include "core/job/fresh_name.hpp"
#include "core/reckon/reckon.hpp"
#include "core/runs/unit_library.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/steps/next_step.hpp"

#include "../hall.hpp"
#include "../random_jobs.hpp"
#include "shelf_walls.hpp"

#include <catch2/catch.hpp>

using namespace yes_square;
using What = NextStep::Kind;

namespace {

/// The packet's figure typed in, so that nothing is unknown.
Job sound_hall() {
    Job job = hall_with_shelf();
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.rating = 400_n;
    return job;
}

NextStep next_of(const Job& job, bool printed = false, const std::string& wall = "wall") {
    const Plan plan = reckon(job);
    const JobOrder order = job_order(job, plan);
    return next_step(job, plan, {wall, [&]() -> const JobOrder& { return order; }, [&] { return printed; }});
}

} // namespace

TEST_CASE("what is next leads from nothing to the hand-over", "[next]") {
    CHECK(next_of(new_job()).kind == What::begin);
    Job job = hall();
    CHECK(next_of(job).kind == What::hang);
    CHECK(next_of(job).owner == "Hall wall");
    job = sound_hall();
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
    Job job = sound_hall();
    for (Stud& stud : job.walls.front().studs)
        stud.state = StudState::assumed;
    const NextStep next = next_of(job, true);
    REQUIRE(next.kind == What::find_stud);
    CHECK(next.owner == "Shelf 1");
    REQUIRE(next.x);
    CHECK((*next.x == 400_mm || *next.x == 800_mm));
}

TEST_CASE("a packet's figure that is missing is asked for where it is typed", "[next]") {
    Job job = sound_hall();
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.rating.reset();
    const NextStep next = next_of(job);
    CHECK(next.kind == What::put_right);
    CHECK(next.field == "bracket-rating");
}

TEST_CASE("what the survey or the room says is wrong is not passed over", "[next]") {
    const Job job = sound_hall();
    const Plan sound = reckon(job);
    REQUIRE(next_of(job).kind == What::print);
    const auto next_with = [&](const Plan& plan) {
        static const JobOrder none;
        return next_step(job, plan, {"wall", []() -> const JobOrder& { return none; }, [] { return true; }}).kind;
    };
    const Check wrong{checks::bracket_overloaded, Severity::error, {"It is wrong"}};
    Plan plan = sound;
    auto wall = std::make_shared<WallPlan>(*plan.walls.front());
    wall->survey.checks.push_back(wrong);
    plan.walls.front() = wall;
    CHECK(next_with(plan) == What::put_right);
    plan = sound;
    plan.rooms.front().checks.push_back(wrong);
    CHECK(next_with(plan) == What::put_right);
    plan = sound;
    plan.rooms.front().lines.checks.push_back(wrong);
    CHECK(next_with(plan) == What::put_right);
}

TEST_CASE("what is wrong on the wall in hand comes before what is wrong elsewhere", "[next]") {
    Job job = sound_hall();
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
        bool order_asked = false;
        static const JobOrder none;
        const NextStep next = next_step(job, plan,
                                        {job.walls.empty() ? "" : job.walls.front().id,
                                         [&]() -> const JobOrder& {
                                             order_asked = true;
                                             return none;
                                         },
                                         [] { return true; }});
        INFO("seed " << seed);
        CHECK_FALSE(next.words.pattern.empty());
        CHECK_FALSE(next.button.pattern.empty());
        bool sound = count_checks(plan, Severity::error) == 0;
        for (const auto& wall : plan.walls)
            for_each_thing(*wall, [&](const ThingPlan& thing) {
                sound = sound && holds(thing) == Holds::yes; // with holes or without
            });
        const bool goes_on = next.kind == What::print || next.kind == What::task || next.kind == What::sign ||
                             next.kind == What::over || next.kind == What::read;
        CHECK((!goes_on || sound));
        CHECK((!order_asked || sound)); // it takes its time, and is not asked for nothing
    }
}

TEST_CASE("names are numbered on through the whole job", "[names]") {
    Job job = hall_with_shelf();
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

TEST_CASE("where a service is likely behind a hole, next is the detector, then the sheets", "[next][strips]") {
    Wall brick = masonry_wall();
    const Shelf shelf = new_shelf(shelf_preset("brackets"), brick);
    brick.services.push_back({ServiceKind::socket, 2000_mm, shelf.underside() - 100_mm, 86_mm, false, {}});
    Job job = job_with(brick, shelf);
    const NextStep next = next_of(job);
    CHECK(next.kind == NextStep::Kind::detect);
    REQUIRE(next.how);
    CHECK(say(*next.how, {}).find("detector") != std::string::npos);
    ScannedArea clear;
    clear.width = brick.length;
    clear.height = brick.height;
    clear.result = ScanResult::clear;
    job.walls.front().scans.push_back(clear);
    CHECK(next_of(job).kind == NextStep::Kind::print);
}
