#include "../random_jobs.hpp"
#include "core/hands/arrange.hpp"
#include "core/hands/copies.hpp"
#include "core/hands/tape.hpp"
#include "core/job/file.hpp"
#include "core/job/job_problem.hpp"
#include "demo_job.hpp"
#include "run_walls.hpp"

#include <set>

using namespace yes_square;

namespace {

Shelf plain_shelf(const std::string& id, const std::string& name, Length left, Length height, Length length) {
    Shelf shelf;
    shelf.id = id;
    shelf.name = name;
    shelf.left = left;
    shelf.height = height;
    shelf.length = length;
    shelf.depth = 200_mm;
    shelf.thickness = 20_mm;
    return shelf;
}

/// 4 m by 2.4 m with three shelves of several lengths and heights.
Job three_shelves() {
    Wall wall = plain_wall(4000_mm);
    wall.shelves = {plain_shelf("shelf-1", "Shelf 1", 200_mm, 1200_mm, 600_mm),
                    plain_shelf("shelf-2", "Shelf 2", 1000_mm, 1500_mm, 800_mm),
                    plain_shelf("shelf-3", "Map shelf", 3000_mm, 1850_mm, 500_mm)};
    return job_with({wall});
}

Job arranged(Job job, const std::vector<std::string>& ids, Arrangement arrangement) {
    const Plan plan = reckon(job);
    for (const Edit& edit : arrange(job.walls.front(), *plan.walls.front(), ids, arrangement))
        job = apply(edit, std::move(job));
    return job;
}

const std::vector<std::string> all{"shelf-2", "shelf-1", "shelf-3"};

} // namespace

TEST_CASE("several are brought in order: the first of them stays", "[hands]") {
    const Job job = three_shelves();
    const auto level = arranged(job, all, Arrangement::tops_level).walls.front().shelves;
    const auto left = arranged(job, all, Arrangement::left_ends_in_line).walls.front().shelves;
    const auto right = arranged(job, all, Arrangement::right_ends_in_line).walls.front().shelves;
    for (std::size_t i = 0; i < 3; ++i) {
        CHECK(level[i].height == 1500_mm);
        CHECK(level[i].left == job.walls.front().shelves[i].left);
        CHECK(left[i].left == 1000_mm);
        CHECK(right[i].right() == 1800_mm);
        CHECK(right[i].height == job.walls.front().shelves[i].height);
    }
}

TEST_CASE("spaced evenly: the outermost stay, the spaces between are alike, along or up", "[hands]") {
    const auto along = arranged(three_shelves(), all, Arrangement::spaced_evenly).walls.front().shelves;
    CHECK(along[0].left == 200_mm);
    CHECK(along[2].left == 3000_mm);
    CHECK(along[1].left - along[0].right() == along[2].left - along[1].right()); // (2200 - 800) / 2 = 700
    CHECK(along[1].left == 1500_mm);

    Job over = three_shelves();
    for (Shelf& shelf : over.walls.front().shelves)
        shelf.left = 500_mm;
    const auto up = arranged(over, all, Arrangement::spaced_evenly).walls.front().shelves;
    CHECK(up[0].height == 1200_mm);
    CHECK(up[2].height == 1850_mm);
    CHECK(absolute((up[1].underside() - up[0].height) - (up[2].underside() - up[1].height)) <= 1_mm);
    CHECK(up[1].left == 500_mm);
}

TEST_CASE("furniture stays on its floor and a run on its line when others are levelled", "[hands]") {
    Job job = three_shelves();
    Piece piece;
    piece.id = "piece-1";
    piece.name = "Chest";
    piece.left = 2000_mm;
    piece.width = 800_mm;
    piece.height = 900_mm;
    piece.depth = 450_mm;
    job.walls.front().pieces = {piece};
    const Job after = arranged(job, {"shelf-1", "piece-1"}, Arrangement::tops_level);
    CHECK(after.walls.front().pieces == job.walls.front().pieces);
    const Job moved = arranged(job, {"shelf-1", "piece-1"}, Arrangement::left_ends_in_line);
    CHECK(moved.walls.front().pieces.front().left == 200_mm);
    CHECK(arranged(job, {"shelf-1"}, Arrangement::tops_level) == job); // nothing to come to it
}

TEST_CASE("pushed together: a run slides by its own rules, what stands on the floor stays on it", "[hands]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 600_mm), wall_unit("b", 400_mm)})});
    job.walls.front().shelves = {plain_shelf("shelf-1", "Shelf 1", 2200_mm, 1200_mm, 600_mm)};
    const Plan plan = reckon(job);
    const Length before = plan.walls.front()->runs.front().layout.left();
    for (const Edit& edit : moved_by(job.walls.front(), *plan.walls.front(), {"wall-run", "shelf-1"}, 100_mm, 50_mm))
        job = apply(edit, std::move(job));
    CHECK(plan_of(job).layout.left() == before + 100_mm);
    CHECK(job.walls.front().shelves.front().left == 2300_mm);
    CHECK(job.walls.front().shelves.front().height == 1250_mm);
}

TEST_CASE("a copy hangs beside what it is of, with an id and a name of its own", "[hands]") {
    Job job = three_shelves();
    const Plan plan = reckon(job);
    const Job copies = copies_of(job, plan, {"shelf-1"});
    REQUIRE(copies.walls.size() == 1);
    CHECK(copies.walls.front().shelves.size() == 1);
    CHECK(copies.walls.front().studs.empty()); // of the wall itself nothing comes along
    const auto hung = hang_copies(job, plan, 0, copies);
    REQUIRE(hung.size() == 1);
    const Shelf& copy = *find_shelf(job, hung.front());
    CHECK(copy.id != "shelf-1");
    CHECK(copy.name == "Shelf 3"); // 2 is taken
    CHECK(copy.height == 1200_mm);
    CHECK(copy.length == 600_mm);
    CHECK(copy.left == 800_mm); // touching its right end; nothing else is there at that height
    // What has no number gets one.
    const Job map = copies_of(job, plan, {"shelf-3"});
    const auto second = hang_copies(job, plan, 0, map);
    CHECK(find_shelf(job, second.front())->name == "Map shelf 2");
}

TEST_CASE("copied as a document: what is written and read again hangs the same", "[hands][file]") {
    const Job job = demo_job();
    const Plan plan = reckon(job);
    std::vector<std::string> ids;
    for_each_thing(job.walls.front(), [&](const auto& thing) { ids.push_back(thing.id); });
    const Job copies = copies_of(job, plan, ids);
    CHECK(copies.client.empty()); // whose job it was is nobody's business
    const auto again = read_job(write_job(copies));
    REQUIRE(again);
    CHECK(again->job.walls == copies.walls);
}

TEST_CASE("whatever is copied hangs on any wall within it, free of others, and the job stays whole", "[hands]") {
    for (std::uint32_t seed = 0; seed < 120; ++seed) {
        Job job = RandomJobs{seed}.room(2);
        if (job_problem(job))
            continue;
        const Plan plan = reckon(job);
        std::vector<std::string> ids;
        for_each_thing(job.walls.front(), [&](const auto& thing) { ids.push_back(thing.id); });
        const Job copies = copies_of(job, plan, ids);
        for (const std::size_t to : {std::size_t{0}, std::size_t{1}}) {
            INFO("seed " << seed << ", wall " << to);
            Job after = job;
            const auto hung = hang_copies(after, plan, to, copies);
            CHECK(hung.size() == ids.size());
            std::set<std::string> once;
            for (const Wall& wall : after.walls)
                for_each_thing(wall, [&]<class Thing>(const Thing& thing) {
                    CHECK(once.insert(thing.id).second);
                    if constexpr (std::is_same_v<Thing, Run>)
                        for (const CabinetUnit& unit : thing.units)
                            CHECK(once.insert(unit.id).second);
                });
            // What was there stays as it was.
            for (std::size_t w = 0; w < 2; ++w)
                for (std::size_t i = 0; i < job.walls[w].shelves.size(); ++i)
                    CHECK(after.walls[w].shelves[i] == job.walls[w].shelves[i]);
            const Plan of_after = reckon(after); // the same wall reckons it
            for (const std::string& id : hung)
                if (find_shelf(after, id))
                    CHECK(whole_room(*of_after.walls[to], id));
        }
    }
}

TEST_CASE("one more of a unit stands beside it in its run", "[hands]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 600_mm), wall_unit("b", 400_mm)})});
    const std::string made = duplicate_unit(job, "a");
    const auto& units = job.walls.front().runs.front().units;
    REQUIRE(units.size() == 3);
    CHECK(units[0].id == "a");
    CHECK(units[1].id == made);
    CHECK(units[1].width == 600_mm);
    CHECK(units[1].name != units[0].name);
    CHECK(units[2].id == "b");
    CHECK(duplicate_unit(job, "nobody").empty());
}

TEST_CASE("what was chosen for a unit's screws goes with it, copied, doubled and taken out", "[hands][chosen]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 600_mm), wall_unit("b", 600_mm)})});
    job = apply(ChooseFixing{"wall-run", ChosenFixing{ScrewGauge::number_8}, {"a", 0, 2}}, job);
    job = apply(ChooseFixing{"wall-run", ChosenFixing{ScrewGauge::number_14}, {"wall-run", 1, 0}}, job);
    const std::string made = duplicate_unit(job, "a");
    const auto chosen = [](const Run& run) {
        std::set<std::string> units;
        for (const FixingAt& at : run.fixing.at)
            units.insert(at.where.unit);
        return units;
    };
    CHECK(chosen(job.walls.front().runs.front()) == std::set<std::string>{"a", made, "wall-run"});
    const Plan plan = reckon(job);
    const auto hung = hang_copies(job, plan, 0, copies_of(job, plan, {"wall-run"}));
    const Run& copy = job.walls.front().runs.back();
    REQUIRE(copy.id == hung.front());
    CHECK(chosen(copy) == std::set<std::string>{copy.units[0].id, copy.units[1].id, copy.id});
    job = apply(RemoveUnit{"a"}, job);
    CHECK(chosen(job.walls.front().runs.front()) == std::set<std::string>{made, "wall-run"});
}

TEST_CASE("a tape takes hold of edges and marks that are near, and of nothing else", "[hands]") {
    Job job = three_shelves();
    job.walls.front().structure = Framing{};
    job.walls.front().studs = {{1600_mm, StudState::proved, {}, {}}};
    const Plan plan = reckon(job);
    const TapeStops stops = tape_stops(job.walls.front(), *plan.walls.front(), {});
    CHECK(held_at(stops.x, 203_mm, 5_mm) == 200_mm);   // the first shelf's end
    CHECK(held_at(stops.x, 1583_mm, 5_mm) == 1581_mm); // the stud's edge: 1600 - 19
    CHECK(held_at(stops.x, 2300_mm, 5_mm) == 2300_mm);
    CHECK(held_at(stops.z, 1201_mm, 5_mm) == 1200_mm);
    CHECK(held_at(stops.x, 3998_mm, 5_mm) == 4000_mm); // the wall's end
    CHECK(std::ranges::is_sorted(stops.x));
    CHECK(held_at({}, 7_mm, 100_mm) == 7_mm);
}
