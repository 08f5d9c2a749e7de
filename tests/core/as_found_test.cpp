#include "core/fitting/as_found.hpp"
#include "core/fitting/wall_marks.hpp"
#include "core/job/file.hpp"
#include "run_walls.hpp"

#include <rapidcheck.h>
#include <rapidcheck/catch.h>
#include <set>

using namespace yes_square;

namespace {

const Stamp stamp{"2026-03-05T09:10:00Z", "R. Field"};

Job shelf_job() {
    Job job = kitchen_with({});
    Shelf shelf;
    shelf.id = "shelf";
    shelf.name = "Shelf";
    shelf.left = 300_mm;
    shelf.height = 1500_mm;
    shelf.length = 2400_mm;
    shelf.depth = 250_mm;
    shelf.thickness = 22_mm;
    shelf.material = BoardMaterial::birch_plywood;
    job.walls.front().shelves = {shelf};
    return job;
}

std::vector<WallMark> holes(const Plan& plan) {
    std::vector<WallMark> marks = marks_of(*plan.walls.front());
    std::erase_if(marks, [](const WallMark& mark) { return mark.kind != MarkKind::hole; });
    return marks;
}

std::vector<Length> places(const Plan& plan) {
    std::vector<Length> found;
    for (const BracketPlan& bracket : plan.walls.front()->shelves.front().brackets)
        found.push_back(bracket.x);
    return found;
}

bool stands_at(const Plan& plan, Length x) {
    const std::vector<Length> all = places(plan);
    return std::ranges::find(all, x) != all.end();
}

} // namespace

TEST_CASE("a walk meets every mark once, from the reference end, a reach at a time", "[marks]") {
    const Job job = shelf_job();
    const Plan plan = reckon(job);
    const auto walk = walk_wall(*plan.walls.front(), job.rules.fitting);
    REQUIRE(walk.size() == 4); // lines, marks, clearance through the lining, pilot
    CHECK(walk[0].marks.front().kind == MarkKind::level_line);
    CHECK(walk[1].marks.size() == holes(plan).size());
    CHECK(walk[2].drill->stage == DrillStage::lining);
    CHECK(walk[3].drill->stage == DrillStage::full);
    CHECK(walk[2].drill->diameter > walk[3].drill->diameter);
    Length furthest;
    std::set<std::string> keys;
    for (const WallMark& mark : walk[1].marks) {
        CHECK(mark.x + job.rules.fitting.reach >= furthest); // never walks back
        furthest = std::max(furthest, mark.x);
        CHECK(keys.insert(tick_key(mark, walk[1])).second);
        CHECK(keys.insert(tick_key(mark, walk[2])).second);
    }
}

TEST_CASE("marks of all things on a wall are walked together", "[marks]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("w", 600_mm), wall_unit("v", 600_mm)})});
    Shelf shelf = shelf_job().walls.front().shelves.front();
    shelf.height = 1100_mm;
    shelf.left = 0_mm;
    shelf.length = 1200_mm;
    job.walls.front().shelves = {shelf};
    const Plan plan = reckon(job);
    const auto walk = walk_wall(*plan.walls.front(), job.rules.fitting);
    const auto& marks = walk[1].marks;
    std::size_t changes = 0;
    for (std::size_t i = 1; i < marks.size(); ++i)
        changes += (marks[i].item == "shelf") != (marks[i - 1].item == "shelf");
    CHECK(changes >= 2); // not thing by thing
    CHECK(std::ranges::is_sorted(marks, {}, &WallMark::x));
}

TEST_CASE("a stud that was not there changes the plan, holes that are made stay", "[as-found]") {
    Job job = shelf_job();
    Plan plan = reckon(job);
    const std::vector<WallMark> marks = holes(plan);
    const Length first = marks.front().x;
    const Length last = places(plan)[1];
    REQUIRE(places(plan).size() >= 3);
    const auto missed = std::ranges::find(marks, last, &WallMark::x);
    // The first bracket's holes are drilled; at the second there is no wood.
    for (const WallMark& mark : marks)
        if (mark.x == first)
            record_hole(job, plan, "wall-1", mark, stamp);
    record_could_not(job, "wall-1", *missed, "key", CouldNot::no_stud, stamp);
    plan = reckon(job);
    CHECK(stands_at(plan, first));
    CHECK_FALSE(stands_at(plan, last));
    for (const BracketPlan& bracket : plan.walls.front()->shelves.front().brackets)
        CHECK(bracket.substrate == Substrate::proved_stud);
    CHECK(plan.walls.front()->checks.empty()); // every hole that was made is still wanted
    REQUIRE(find_tick(job, "key"));
    CHECK(find_tick(job, "key")->because == "no stud there");
    REQUIRE(job.log.size() == 1);
    CHECK(job.log.front().kind == LogKind::deviation);
    CHECK(job.log.front().words.find("no stud there") != std::string::npos);
    const auto remade = holes(plan);
    CHECK(std::ranges::count_if(remade, &WallMark::made) == std::ranges::count(marks, first, &WallMark::x));

    // All of it goes through the file.
    const auto again = read_job(write_job(job));
    REQUIRE(again);
    CHECK(again->job == job);
}

TEST_CASE("brackets stay where their holes are, whatever else is learned", "[as-found][property]") {
    rc::prop("made holes are kept", [] {
        Job job = shelf_job();
        Plan plan = reckon(job);
        std::vector<Length> kept;
        const auto all = places(plan);
        for (const Length x : all)
            if (*rc::gen::arbitrary<bool>())
                kept.push_back(x);
        for (const WallMark& mark : holes(plan))
            if (std::ranges::find(kept, mark.x) != kept.end())
                record_hole(job, plan, "wall-1", mark, stamp);
        for (const WallMark& mark : holes(plan))
            if (std::ranges::find(kept, mark.x) == kept.end() && *rc::gen::arbitrary<bool>())
                record_could_not(job, "wall-1", mark, mark.key(),
                                 *rc::gen::arbitrary<bool>() ? CouldNot::no_stud : CouldNot::service_found, stamp);
        job.walls.front().shelves.front().school = static_cast<School>(*rc::gen::inRange(0, 3));
        plan = reckon(job);
        for (const Length x : kept)
            RC_ASSERT(stands_at(plan, x));
        RC_ASSERT(plan.walls.front()->checks.empty());
    });
}

TEST_CASE("a run stays where its first hole is, and its screws where they were driven", "[as-found]") {
    Run run = run_of(RunLevel::wall, {filler("f", 40_mm, 20_mm, 90_mm), wall_unit("w", 600_mm), wall_unit("v", 600_mm)},
                     Slack::fillers);
    run.end.at = EndKind::place;
    run.end.place = 1260_mm;
    Job job = kitchen_with({run});
    Plan plan = reckon(job);
    const auto marks = holes(plan);
    REQUIRE_FALSE(marks.empty());
    WallMark off = marks.front();
    off.x += 3_mm; // driven a little beside the stud's middle, still well in it
    record_hole(job, plan, "wall-1", off, stamp);
    CHECK(job.walls.front().runs.front().slack == Slack::by_hand);
    job.walls.front().runs.front().end.place = 1300_mm; // what would have moved it
    plan = reckon(job);
    CHECK(plan.walls.front()->runs.front().layout.left() == Length{});
    const auto again = holes(plan);
    CHECK(std::ranges::any_of(again, [&](const WallMark& mark) { return mark.made && mark.x == off.x; }));
    CHECK(plan.walls.front()->checks.empty());
}

TEST_CASE("a hole that nothing uses any more is said, and can be forgotten", "[as-found]") {
    Job job = shelf_job();
    Plan plan = reckon(job);
    record_hole(job, plan, "wall-1", holes(plan).front(), stamp);
    job.walls.front().shelves.front().height = 1200_mm;
    plan = reckon(job);
    REQUIRE(plan.walls.front()->checks.size() == 1);
    const Check& check = plan.walls.front()->checks.front();
    CHECK(check.code == checks::hole_left_over);
    job = yes_square::apply(*check.cures.front().edit, job);
    CHECK(reckon(job).walls.front()->checks.empty());
}

TEST_CASE("ticks are begun, done, given up and taken back", "[as-found]") {
    Job job;
    tick(job, "a/hang/1", TickState::begun, stamp);
    CHECK_FALSE(is_done(job, "a/hang/1"));
    tick(job, "a/hang/1", TickState::done, {"2026-03-05T09:20:00Z", "R. Field"});
    REQUIRE(job.ticks.size() == 1);
    CHECK(job.ticks.front().begun == stamp.at);
    CHECK(job.ticks.front().at == "2026-03-05T09:20:00Z");
    CHECK(is_done(job, "a/hang/1"));
    untick(job, "a/hang/1");
    CHECK(job.ticks.empty());
}

TEST_CASE("where a service answered nothing is drilled any more", "[as-found]") {
    Job job = shelf_job();
    Plan plan = reckon(job);
    const WallMark mark = holes(plan).front();
    record_could_not(job, "wall-1", mark, "key", CouldNot::service_found, stamp);
    plan = reckon(job);
    for (const WallMark& each : holes(plan))
        CHECK((each.x <= mark.x - 50_mm || each.x >= mark.x + 50_mm));
}

TEST_CASE("once work has begun, what is changed of the plan is logged", "[as-found]") {
    Job job = shelf_job();
    const Plan plan = reckon(job);
    Job moved = job;
    moved.walls.front().shelves.front().height = 1400_mm;
    log_change(job, moved, "Move shelf", stamp);
    CHECK(moved.log.empty()); // nothing is in the wall yet
    record_hole(job, plan, "wall-1", holes(plan).front(), stamp);
    moved = job;
    moved.walls.front().shelves.front().height = 1400_mm;
    log_change(job, moved, "Move shelf", stamp);
    REQUIRE(moved.log.size() == 1);
    CHECK(moved.log.front().kind == LogKind::change);
    CHECK(moved.log.front().words == "Move shelf");
    CHECK(moved.log.front().by == "R. Field");
    Job ticked = job;
    tick(ticked, "shelf/mark/1", TickState::done, stamp);
    log_change(job, ticked, "Tick", stamp);
    CHECK(ticked.log.empty());
    Job told_already = job;
    record_could_not(told_already, "wall-1", holes(plan).back(), "key", CouldNot::no_stud, stamp);
    log_change(job, told_already, "Could not", stamp);
    CHECK(told_already.log.size() == 1);
}
