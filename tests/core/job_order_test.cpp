#include "core/cutting/cutting_plan.hpp"
#include "core/steps/job_order.hpp"
#include "demo_job.hpp"
#include "piece_walls.hpp"

#include <fstream>
#include <map>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>
#include <set>
#include <sstream>

using namespace yes_square;

namespace {

std::size_t steps_of_plan(const Plan& plan) {
    std::size_t number = 0;
    const auto count_in = [&](const auto& parts) {
        for (const auto& part : parts)
            number += static_cast<std::size_t>(
                std::ranges::count_if(part.steps, [](const Step& step) { return !step.of_wall; }));
    };
    for (const auto& wall : plan.walls) {
        count_in(wall->shelves);
        count_in(wall->runs);
        count_in(wall->systems);
        count_in(wall->pieces);
        count_in(wall->boxes);
        count_in(wall->hung);
        count_in(wall->feeds);
    }
    return number;
}

/// What must hold of any order; an empty text: all does.
std::string wrong_with(const JobOrder& order, int crew) {
    std::set<std::string> keys;
    // Of each thing the last step at the bench and the last at the wall: they wait for one another once it is hung.
    std::map<std::pair<std::string, bool>, std::size_t> last_of_item;
    for (std::size_t t = 0; t < order.tasks.size(); ++t) {
        const Task& task = order.tasks[t];
        if (!keys.insert(task.key).second)
            return "twice: " + task.key;
        for (const std::size_t first : task.after) {
            if (first >= t)
                return task.key + " stands before " + order.tasks[first].key;
            if (order.tasks[first].ends() > task.begins + 1e-9)
                return task.key + " begins before the end of " + order.tasks[first].key;
        }
        if (t > 0 && order.tasks[t - 1].begins > task.begins + 1e-9)
            return task.key + " is out of time";
        if (task.kind == TaskKind::step) {
            // A thing's own steps follow one another; what is made, and dries, on the bench needs no wall.
            for (const bool bench : {false, true}) {
                const bool apart = bench != task.step.at_bench && (task.step.at_bench || task.step.phase < Phase::hang);
                if (const auto before = last_of_item.find({task.item, bench});
                    !apart && before != last_of_item.end() && order.tasks[before->second].ends() > task.begins + 1e-9)
                    return task.key + " overtakes its own";
            }
            last_of_item[{task.item, task.step.at_bench}] = t;
        }
        int busy = 0;
        for (const Task& other : order.tasks)
            if (other.step.phase != Phase::cure && other.begins <= task.begins && task.begins < other.ends())
                busy += std::min(crew, other.step.persons);
        if (busy > crew)
            return "more hands than there are at " + task.key;
    }
    return {};
}

std::size_t place_of(const JobOrder& order, const std::string& key) {
    const auto found = std::ranges::find(order.tasks, key, &Task::key);
    REQUIRE(found != order.tasks.end());
    return static_cast<std::size_t>(found - order.tasks.begin());
}

} // namespace

TEST_CASE("the demo's order has every step once and keeps what comes first", "[order]") {
    Job job = demo_job();
    const Plan plan = reckon(job);
    for (const int crew : {1, 2}) {
        job.crew = crew;
        const JobOrder order = job_order(job, plan);
        CHECK(wrong_with(order, crew) == "");
        CHECK(static_cast<std::size_t>(std::ranges::count(order.tasks, TaskKind::step, &Task::kind)) ==
              steps_of_plan(plan));
    }
    job.crew = 1;
    const double alone = job_order(job, plan).minutes;
    job.crew = 2;
    CHECK(job_order(job, plan).minutes < alone);
}

TEST_CASE("no hole is drilled before its wall's gate, no mark made after it", "[order]") {
    const Job job = demo_job();
    const JobOrder order = job_order(job, reckon(job));
    std::set<std::string> passed;
    for (const Task& task : order.tasks) {
        if (task.kind == TaskKind::gate) {
            passed.insert(task.wall);
            CHECK(task.cautions.size() >= 4);
        }
        if (task.kind == TaskKind::step && task.step.phase == Phase::drill)
            CHECK(passed.contains(task.wall));
        if (task.kind == TaskKind::step && task.step.phase == Phase::mark)
            CHECK_FALSE(passed.contains(task.wall));
    }
    CHECK(passed.size() >= 8);
}

TEST_CASE("an order is kept however a job is drawn up", "[order][property]") {
    const Job whole = demo_job();
    rc::prop("dependencies", [&whole] {
        Job job = whole;
        for (Wall& wall : job.walls) {
            const auto thin = [](auto& parts) {
                std::erase_if(parts, [](const auto&) { return *rc::gen::arbitrary<bool>(); });
            };
            thin(wall.shelves);
            thin(wall.runs);
            thin(wall.systems);
            thin(wall.pieces);
            thin(wall.boxes);
            thin(wall.hung);
        }
        job.crew = *rc::gen::inRange(1, 4);
        job.rules.runs.hang_first = *rc::gen::arbitrary<bool>() ? HangFirst::wall_units : HangFirst::base_units;
        const Plan plan = reckon(job);
        const JobOrder order = job_order(job, plan);
        RC_ASSERT(wrong_with(order, job.crew) == "");
        RC_ASSERT(static_cast<std::size_t>(std::ranges::count(order.tasks, TaskKind::step, &Task::kind)) ==
                  steps_of_plan(plan));
    });
}

TEST_CASE("other work is done while resin sets", "[order]") {
    Shelf rods = new_shelf(shelf_preset("hidden_rods"), masonry_wall(MasonryKind::aerated_block));
    std::get<OnHiddenRods>(rods.holding).resin = true;
    Job job = job_with(masonry_wall(MasonryKind::aerated_block), rods);
    const JobOrder only = job_order(job, reckon(job));
    CHECK(only.idle == Approx(job.rules.fitting.resin_min));
    Shelf other = new_shelf(shelf_preset("brackets"), job.walls.front());
    other.id = "other";
    other.name = "Other";
    other.height = 900_mm;
    job.walls.front().shelves.push_back(other);
    const JobOrder both = job_order(job, reckon(job));
    CHECK(both.idle < only.idle);
    const auto wait = std::ranges::find_if(both.tasks, [](const Task& t) { return t.step.phase == Phase::cure; });
    const auto cure = static_cast<std::size_t>(wait - both.tasks.begin());
    CHECK(both.tasks[cure].minutes == Approx(60));
    CHECK(both.tasks[cure + 1].item == "other");
    CHECK(both.tasks[cure + 1].begins < both.tasks[cure].ends());
    CHECK(wrong_with(both, 1) == "");
}

TEST_CASE("house rules and common sense decide the order of things", "[order]") {
    Job job = demo_job();
    const auto first_of = [](const JobOrder& order, const std::string& item, Phase phase) {
        const auto found = std::ranges::find_if(
            order.tasks, [&](const Task& task) { return task.item == item && task.step.phase == phase; });
        REQUIRE(found != order.tasks.end());
        return found - order.tasks.begin();
    };
    std::string upper;
    std::string lower;
    for (const Wall& wall : job.walls)
        for (const Run& run : wall.runs)
            (run.level == RunLevel::wall ? upper : lower) = run.id;
    REQUIRE_FALSE(upper.empty());
    REQUIRE_FALSE(lower.empty());
    const Plan plan = reckon(job);
    JobOrder order = job_order(job, plan);
    CHECK(first_of(order, upper, Phase::hang) < first_of(order, lower, Phase::hang));
    // The cabinet that may fall is emptied before anything else is begun.
    CHECK(order.tasks.front().item == "hung-1");
    CHECK(place_of(order, "room-3/lines") < static_cast<std::size_t>(first_of(order, upper, Phase::mark)));
    CHECK(place_of(order, "room-3/cut") < static_cast<std::size_t>(first_of(order, lower, Phase::hang)));
    job.rules.runs.hang_first = HangFirst::base_units;
    order = job_order(job, reckon(job));
    CHECK(first_of(order, lower, Phase::hang) < first_of(order, upper, Phase::hang));
}

TEST_CASE("alone, what wants two waits for a helper and stands together", "[order]") {
    Job job = demo_job();
    job.crew = 1;
    const JobOrder order = job_order(job, reckon(job));
    const auto wants = static_cast<std::size_t>(std::ranges::count_if(order.tasks, &Task::wants_helper));
    CHECK(wants > 0);
    job.crew = 2;
    const JobOrder two = job_order(job, reckon(job));
    CHECK(std::ranges::none_of(two.tasks, &Task::wants_helper));
}

TEST_CASE("a step that says other figures is another step, and not done", "[order]") {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    const auto keys = [&] {
        std::set<std::string> all;
        for (const Task& task : job_order(job, reckon(job)).tasks)
            all.insert(task.key);
        return all;
    };
    const std::set<std::string> before = keys();
    job.unit = Unit::inch_16;
    CHECK(keys() == before);
    job.walls.front().shelves.front().height += 100_mm;
    const std::set<std::string> after = keys();
    CHECK(after != before);
    CHECK(after.size() == before.size());
    std::vector<std::string> same;
    std::ranges::set_intersection(before, after, std::back_inserter(same));
    CHECK(same.size() > before.size() / 2); // those that do not speak of its height
    CHECK(same.size() < before.size());
}
