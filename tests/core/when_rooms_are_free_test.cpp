// Rooms that are shut for hours, and boards that dry while others work.
#include "core/cutting/kit.hpp"
#include "demo_job.hpp"
#include "schedules.hpp"

#include <set>

using namespace yes_square;

TEST_CASE("nobody works in a room while it is shut, and a room is free from an hour on", "[schedule]") {
    Job job = crew_of(2);
    job.rooms = {{}};
    job.rooms[0].id = "classroom";
    job.walls = {{}};
    job.walls[0].id = "wall";
    job.walls[0].room = "classroom";
    std::vector<Task> tasks{task(90), task(60), task(30), task(300, 1, {}, Phase::cure)};
    for (std::size_t t : {0U, 1U, 3U})
        tasks[t].wall = "wall";
    const JobOrder order = order_of(tasks);
    job.days.shut = {{"classroom", 1, 8, 12, {}}, {"classroom", 1, 13, 14.5, {}}};
    DaySchedule schedule = day_schedule(job, order);
    CHECK(wrong_with(job, order, schedule) == "");
    // An hour fits before the afternoon's lesson, an hour and a half does not; what is of no wall is done in between,
    // and what dries dries on.
    CHECK(of(schedule, 1).begins == at(1, 12));
    CHECK(of(schedule, 0).begins == at(1, 14.5));
    CHECK(of(schedule, 2).begins == at(1, 8));
    CHECK(of(schedule, 3).begins < at(1, 8) + 1);
    CHECK(schedule.ends == at(1, 16));
    CHECK(schedule.earliest());
    // Hours of another room are none of its own; a stretch that ends before it begins shuts nothing.
    job.days.shut = {{"hall", 1, 8, 16, {}}, {"classroom", 1, 12, 9, {}}};
    CHECK(of(day_schedule(job, order), 0).begins == at(1, 8));
    job.days.shut.clear();
    job.days.not_before = {{"classroom", 2, 10.5, {}}};
    schedule = day_schedule(job, order);
    CHECK(of(schedule, 0).begins >= at(2, 10.5));
    CHECK(of(schedule, 1).begins >= at(2, 10.5));
    CHECK(of(schedule, 2).begins == at(1, 8));
}

TEST_CASE("boards are painted on the bench while the wall is marked and drilled, and hung when they are dry",
          "[schedule][shelves]") {
    Job job = demo_job();
    const auto wall = std::ranges::find_if(job.walls, [](const Wall& each) {
        return std::ranges::any_of(
            each.shelves, [](const Shelf& shelf) { return std::holds_alternative<OnBrackets>(shelf.holding); });
    });
    REQUIRE(wall != job.walls.end());
    Shelf& shelf = *std::ranges::find_if(
        wall->shelves, [](const Shelf& each) { return std::holds_alternative<OnBrackets>(each.holding); });
    shelf.coats = 2;
    job.rules.fitting.paint_min = 200;
    const Plan plan = reckon(job);
    const JobOrder order = job_order(job, plan);
    std::vector<std::size_t> paint;
    std::vector<std::size_t> dry;
    std::vector<std::size_t> others;
    for (std::size_t t = 0; t < order.tasks.size(); ++t) {
        const Task& each = order.tasks[t];
        if (each.item != shelf.id)
            continue;
        const std::string words = say(each.step.words, {});
        (words.starts_with("Paint") ? paint : words.starts_with("Let coat") ? dry : others).push_back(t);
    }
    REQUIRE(paint.size() == 2);
    REQUIRE(dry.size() == 2);
    CHECK(order.tasks[dry.front()].minutes == 200);
    const DaySchedule schedule = day_schedule(job, order);
    CHECK(wrong_with(job, order, schedule) == "");
    const auto waits_for = [&](std::size_t then, std::size_t first) {
        std::vector<std::size_t> open{then};
        std::set<std::size_t> seen;
        while (!open.empty()) {
            const std::size_t t = open.back();
            open.pop_back();
            if (t == first)
                return true;
            for (const std::size_t before : order.tasks[t].after)
                if (seen.insert(before).second)
                    open.push_back(before);
        }
        return false;
    };
    CHECK(waits_for(paint.back(), dry.front()));
    for (std::size_t t = 0; t < order.tasks.size(); ++t)
        if (order.tasks[t].kind == TaskKind::gate)
            CHECK_FALSE(waits_for(dry.back(), t)); // no hole is made at the bench
    bool hung = false;
    for (const std::size_t t : others) {
        const Phase phase = order.tasks[t].step.phase;
        CHECK(waits_for(t, dry.back()) == (phase >= Phase::hang));
        hung |= phase == Phase::hang;
    }
    CHECK(hung);
    const Kit kit = kit_of(job, plan);
    CHECK(std::ranges::any_of(kit.lines, [](const KitLine& line) { return line.item == "paint"; }));
}
