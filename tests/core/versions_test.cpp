// Two copies of a job: what changed in figures, and both brought together again.
#include "../random_jobs.hpp"
#include "core/job/file.hpp"
#include "core/versions/compare_jobs.hpp"
#include "core/versions/merge_jobs.hpp"
#include "demo_job.hpp"

#include <catch2/catch.hpp>
#include <random>

using namespace yes_square;

namespace {

Shelf& shelf_of(Job& job, const std::string& id) {
    for (Wall& wall : job.walls)
        for (Shelf& shelf : wall.shelves)
            if (shelf.id == id)
                return shelf;
    throw std::out_of_range(id);
}

/// Something that a fitter might do to a job; another for another seed.
void work_on(Job& job, std::uint64_t seed) {
    std::mt19937_64 random{seed};
    const auto some = [&](std::size_t of) { return static_cast<std::size_t>(random() % of); };
    for (int edits = 0; edits < 6; ++edits) {
        Wall& wall = job.walls[some(job.walls.size())];
        switch (random() % 6) {
        case 0:
            if (!wall.shelves.empty())
                wall.shelves[some(wall.shelves.size())].height += Length::mm(1 + static_cast<int>(random() % 90));
            break;
        case 1:
            if (!wall.shelves.empty())
                wall.shelves.erase(wall.shelves.begin() + static_cast<std::ptrdiff_t>(some(wall.shelves.size())));
            break;
        case 2:
            wall.height += Length::mm(1 + static_cast<int>(random() % 40));
            break;
        case 3:
            job.ticks.push_back(
                {"step-" + std::to_string(random() % 1000), TickState::done, {}, "2026-11-30T10:00:00Z", {}, {}, {}});
            break;
        case 4:
            wall.floor.push_back({Length::mm(static_cast<int>(random() % 900)), 1000_mm});
            break;
        default:
            job.client += "x";
        }
    }
}

bool same(const Job& one, const Job& other) {
    return write_job(one) == write_job(other);
}

} // namespace

TEST_CASE("what moved is told in figures, by the thing's name", "[versions]") {
    const Job before = demo_job();
    Job after = before;
    CHECK(changes_between(before, after, {Unit::mm}).empty());
    shelf_of(after, "shelf-1").height += 35_mm;
    after.unit = Unit::mm;
    std::erase_if(after.walls.front().shelves, [](const Shelf& shelf) { return shelf.id == "shelf-2"; });
    const auto changes = changes_between(before, after, {Unit::mm});
    REQUIRE(changes.size() == 2);
    const auto moved = std::ranges::find(changes, std::string{"walls/wall-1/shelves/shelf-1/height"}, &JobChange::path);
    REQUIRE(moved != changes.end());
    CHECK(moved->where == "North wall, Long shelf");
    CHECK(moved->wall == "wall-1");
    const Length was = shelf_of(const_cast<Job&>(before), "shelf-1").height;
    CHECK(moved->before == say(stock(was), {}));
    CHECK(moved->after == say(stock(was + 35_mm), {}));
    const auto gone = std::ranges::find(changes, std::string{"walls/wall-1/shelves/shelf-2"}, &JobChange::path);
    REQUIRE(gone != changes.end());
    CHECK(gone->before == "Low shelf");
    CHECK(gone->after.empty());
    // The other way round the same places.
    CHECK(changes_between(after, before, {Unit::mm}).size() == 2);
}

TEST_CASE("every change of a random job is told, and none where there is none", "[versions][property]") {
    for (std::uint64_t seed = 1; seed <= 40; ++seed) {
        const Job job = RandomJobs{seed}.room(2);
        Job other = read_job(write_job(job)).value().job;
        CHECK(changes_between(job, other, {Unit::mm}).empty());
        work_on(other, seed);
        other.ticks = job.ticks; // records are not told
        CHECK(changes_between(job, other, {Unit::mm}).empty() == same(job, other));
    }
}

TEST_CASE("what one copy changed is taken, whichever it was", "[versions][merge][property]") {
    for (std::uint64_t seed = 1; seed <= 40; ++seed) {
        const Job shared = seed == 1 ? demo_job() : RandomJobs{seed}.room(2);
        Job changed = shared;
        work_on(changed, seed);
        for (const bool here : {true, false}) {
            const auto merged = here ? merge_jobs(shared, changed, shared) : merge_jobs(shared, shared, changed);
            REQUIRE(merged);
            CHECK(merged->collisions.empty());
            CHECK(same(merged->job, changed));
        }
        const auto both = merge_jobs(shared, changed, changed);
        REQUIRE(both);
        CHECK(both->collisions.empty());
        CHECK(same(both->job, changed));
    }
}

TEST_CASE("edits of different members come together in either order", "[versions][merge]") {
    const Job shared = demo_job();
    Job mine = shared;
    Job theirs = shared;
    shelf_of(mine, "shelf-1").height += 20_mm;
    shelf_of(theirs, "shelf-1").length -= 50_mm;
    shelf_of(theirs, "shelf-3").height += 10_mm;
    mine.ticks.push_back({"a", TickState::done, {}, "2026-11-30T10:00:00Z", {}, {}, {}});
    theirs.ticks.push_back({"b", TickState::done, {}, "2026-11-30T11:00:00Z", {}, {}, {}});
    for (const bool swapped : {false, true}) {
        auto merged = swapped ? merge_jobs(shared, theirs, mine) : merge_jobs(shared, mine, theirs);
        REQUIRE(merged);
        CHECK(merged->collisions.empty());
        CHECK(shelf_of(merged->job, "shelf-1").height == shelf_of(mine, "shelf-1").height);
        CHECK(shelf_of(merged->job, "shelf-1").length == shelf_of(theirs, "shelf-1").length);
        CHECK(shelf_of(merged->job, "shelf-3").height == shelf_of(theirs, "shelf-3").height);
        CHECK(merged->job.ticks.size() == shared.ticks.size() + 2);
    }
}

TEST_CASE("what collides is told with all three figures, and chosen one by one", "[versions][merge]") {
    const Job shared = demo_job();
    Job mine = shared;
    Job theirs = shared;
    shelf_of(mine, "shelf-1").height += 20_mm;
    shelf_of(theirs, "shelf-1").height += 30_mm;
    mine.client = "One";
    theirs.client = "Another";
    const auto merged = merge_jobs(shared, mine, theirs);
    REQUIRE(merged);
    REQUIRE(merged->collisions.size() == 2);
    const auto height =
        std::ranges::find(merged->collisions, std::string{"walls/wall-1/shelves/shelf-1/height"}, &Collision::path);
    REQUIRE(height != merged->collisions.end());
    CHECK(height->wall == "wall-1");
    CHECK(height->mine == say(stock(shelf_of(mine, "shelf-1").height), {}));
    CHECK(height->theirs == say(stock(shelf_of(theirs, "shelf-1").height), {}));
    CHECK(say(words(*height), {Unit::mm}).find("North wall, Long shelf") == 0);
    CHECK(merged->job.client == "One");
    auto chosen = merge_jobs(shared, mine, theirs, {height->path});
    REQUIRE(chosen);
    CHECK(shelf_of(chosen->job, "shelf-1").height == shelf_of(theirs, "shelf-1").height);
    CHECK(chosen->job.client == "One");
}

TEST_CASE("nothing is dropped: taken out here and changed there stays, and is told", "[versions][merge]") {
    const Job shared = demo_job();
    Job mine = shared;
    Job theirs = shared;
    std::erase_if(mine.walls.front().shelves, [](const Shelf& shelf) { return shelf.id == "shelf-2"; });
    shelf_of(theirs, "shelf-2").height += 10_mm;
    const auto merged = merge_jobs(shared, mine, theirs);
    REQUIRE(merged);
    REQUIRE(merged->collisions.size() == 1);
    CHECK(merged->collisions.front().mine.empty());
    CHECK(merged->collisions.front().where == "North wall, Low shelf");
    CHECK(merged->job.walls.front().shelves.size() == shared.walls.front().shelves.size());
    // A room that one took out and in which the other put a wall stays too.
    Job without = shared;
    const std::string room = without.rooms.back().id;
    std::erase_if(without.walls, [&](const Wall& wall) { return wall.room == room; });
    without.rooms.pop_back();
    without.ticks.clear();
    Job with = shared;
    Wall more = with.walls.back();
    for (const Wall& wall : with.walls)
        if (wall.room == room)
            more = wall;
    Wall fresh;
    fresh.id = "wall-99";
    fresh.name = "One more";
    fresh.room = room;
    fresh.length = 2000_mm;
    fresh.height = 2400_mm;
    with.walls.push_back(fresh);
    const auto kept = merge_jobs(shared, without, with);
    INFO((kept ? std::string{} : kept.error().text()));
    REQUIRE(kept);
    CHECK(std::ranges::any_of(kept->job.walls, [](const Wall& wall) { return wall.id == "wall-99"; }));
}

TEST_CASE("what each made under one id is two things, and what speaks of it follows", "[versions][merge]") {
    const Job shared = demo_job();
    Job mine = shared;
    Job theirs = shared;
    Shelf shelf = mine.walls.front().shelves.front();
    shelf.id = "shelf-99";
    shelf.name = "Mine";
    mine.walls.front().shelves.push_back(shelf);
    shelf.name = "Theirs";
    shelf.height += 300_mm;
    theirs.walls.front().shelves.push_back(shelf);
    theirs.ticks.push_back({"shelf-99@1000,2000/mark", TickState::done, {}, "2026-11-30T10:00:00Z", {}, {}, {}});
    const auto merged = merge_jobs(shared, mine, theirs);
    REQUIRE(merged);
    CHECK(merged->collisions.empty());
    const auto& shelves = merged->job.walls.front().shelves;
    REQUIRE(shelves.size() == shared.walls.front().shelves.size() + 2);
    const auto ours = std::ranges::find(shelves, std::string{"Mine"}, &Shelf::name);
    const auto other = std::ranges::find(shelves, std::string{"Theirs"}, &Shelf::name);
    REQUIRE((ours != shelves.end() && other != shelves.end()));
    CHECK(ours->id == "shelf-99");
    CHECK(other->id != "shelf-99");
    CHECK(merged->job.ticks.back().key == other->id + "@1000,2000/mark");
}

TEST_CASE("a step that both ticked is ticked once, as done if either did it", "[versions][merge]") {
    const Job shared = demo_job();
    const auto ticked = [&](TickState state, const char* at) {
        Job job = shared;
        job.ticks.push_back({"both", state, {}, at, {}, {}, {}});
        return job;
    };
    const auto state_of = [](const Job& job) {
        REQUIRE(std::ranges::count(job.ticks, std::string{"both"}, &Tick::key) == 1);
        return *std::ranges::find(job.ticks, std::string{"both"}, &Tick::key);
    };
    const Job early = ticked(TickState::done, "2026-11-30T10:00:00Z");
    const Job late = ticked(TickState::done, "2026-11-30T12:00:00Z");
    const Job failed = ticked(TickState::could_not, "2026-11-30T09:00:00Z");
    CHECK(state_of(merge_jobs(shared, early, late)->job).at == "2026-11-30T10:00:00Z");
    CHECK(state_of(merge_jobs(shared, failed, late)->job).state == TickState::done);
    CHECK(state_of(merge_jobs(shared, late, failed)->job).state == TickState::done);
}

TEST_CASE("two copies worked on at random come together without losing a thing", "[versions][merge][property]") {
    for (std::uint64_t seed = 1; seed <= 60; ++seed) {
        INFO(seed);
        const Job shared = RandomJobs{seed}.room(2);
        Job mine = shared;
        Job theirs = shared;
        work_on(mine, seed * 2 + 1);
        work_on(theirs, seed * 2 + 2);
        const auto merged = merge_jobs(shared, mine, theirs);
        REQUIRE(merged);
        // Every figure of it is one of theirs or mine; and taking theirs everywhere is the same merge seen from there.
        std::set<std::string> all;
        for (const Collision& collision : merged->collisions)
            all.insert(collision.path);
        const auto from_there = merge_jobs(shared, theirs, mine);
        const auto taking = merge_jobs(shared, mine, theirs, all);
        REQUIRE((from_there && taking));
        CHECK(from_there->collisions.size() == merged->collisions.size());
        for (std::size_t w = 0; w < merged->job.walls.size() && w < shared.walls.size(); ++w) {
            CHECK(taking->job.walls[w].shelves.size() == from_there->job.walls[w].shelves.size());
            CHECK(taking->job.walls[w].height == from_there->job.walls[w].height);
        }
        CHECK(merged->job.ticks.size() == mine.ticks.size() + theirs.ticks.size() - shared.ticks.size());
    }
}

TEST_CASE("the version that a copy began as is found among those kept", "[versions][merge]") {
    std::vector<Job> versions{demo_job()};
    for (std::uint64_t seed = 1; seed <= 6; ++seed) {
        versions.push_back(versions.back());
        work_on(versions.back(), seed);
    }
    Job copy = versions[3];
    shelf_of(copy, copy.walls.front().shelves.front().id).depth += 3_mm;
    CHECK(shared_version(versions, copy) == 3);
    CHECK_FALSE(shared_version({}, copy));
}
