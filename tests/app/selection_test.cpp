#include "app/bench/workbench.hpp"

#include <QSignalSpy>
#include <catch2/catch.hpp>

using namespace yes_square;
using namespace yes_square::app;

namespace {

/// Two walls: a shelf, a run of two units and a wardrobe of two bays; a piece on the second.
Job mixed_job() {
    Job job = new_job();
    Wall wall;
    wall.id = "one";
    wall.length = 6000_mm;
    wall.height = 2400_mm;
    Shelf shelf;
    shelf.id = "shelf";
    shelf.length = 600_mm;
    shelf.depth = 200_mm;
    shelf.thickness = 18_mm;
    shelf.height = 1500_mm;
    wall.shelves = {shelf};
    Run run;
    run.id = "run";
    for (const char* id : {"unit-1", "unit-2"}) {
        CabinetUnit unit;
        unit.id = id;
        unit.width = 600_mm;
        unit.height = 700_mm;
        unit.depth = 300_mm;
        run.units.push_back(unit);
    }
    wall.runs = {run};
    StorageSystem system;
    system.id = "system";
    system.left = 3000_mm;
    system.width = 1500_mm;
    for (const char* id : {"bay-1", "bay-2"}) {
        Bay bay;
        bay.id = id;
        system.bays.push_back(bay);
    }
    wall.systems = {system};
    Wall second = wall;
    second.id = "two";
    second.shelves.clear();
    second.runs.clear();
    second.systems.clear();
    Piece piece;
    piece.id = "piece";
    piece.width = 800_mm;
    piece.height = 900_mm;
    piece.depth = 400_mm;
    piece.mass = 30_kg;
    second.pieces = {piece};
    job.walls = {wall, second};
    return job;
}

} // namespace

TEST_CASE("an id selects what has it, of whatever kind and on whatever wall", "[app][selection]") {
    Workbench bench;
    bench.start(mixed_job());
    CHECK(bench.shelf()); // the first thing there is
    bench.select("unit-2");
    CHECK_FALSE(bench.shelf());
    CHECK(bench.run()->id == "run");
    CHECK(bench.unit()->id == "unit-2");
    CHECK(bench.thing().empty());
    bench.select("bay-2");
    CHECK(bench.thing() == "system");
    CHECK(bench.bay()->id == "bay-2");
    CHECK(bench.bay_plan()->number == 2);
    CHECK(bench.selected_plan<StorageSystem>()->id == "system");
    CHECK_FALSE(bench.run());
    bench.select("system"); // the whole of it: what was chosen within it stays out of it
    CHECK(bench.thing() == "system");
    bench.select("piece");
    CHECK(bench.wall()->id == "two");
    CHECK(bench.selected<Piece>());
    CHECK(bench.thing_plan()->name == bench.selected_plan<Piece>()->name);
    bench.select("nobody has this");
    CHECK(bench.selected<Piece>());
}

TEST_CASE("a selection is told once, and not again for what is selected already", "[app][selection]") {
    Workbench bench;
    bench.start(mixed_job());
    QSignalSpy spy{&bench, &Workbench::selection_changed};
    bench.select("bay-1");
    CHECK(spy.count() == 1);
    bench.select("bay-1");
    CHECK(spy.count() == 1);
    bench.select("bay-2");
    CHECK(spy.count() == 2);
}

TEST_CASE("what is removed leaves the selection to something that is there, and undo brings it back",
          "[app][selection]") {
    Workbench bench;
    bench.start(mixed_job());
    bench.select("bay-2");
    QSignalSpy spy{&bench, &Workbench::selection_changed};
    bench.edit("remove the bay", [](Job& job) { job.walls[0].systems[0].bays.pop_back(); });
    REQUIRE(bench.bay());
    CHECK(bench.bay()->id == "bay-1");
    CHECK(spy.count() == 1);
    bench.apply("remove the wardrobe", RemoveThing{"system"});
    CHECK(bench.thing().empty());
    CHECK(bench.shelf());
    CHECK(spy.count() == 2);
    bench.undo_stack().undo();
    bench.undo_stack().undo();
    CHECK(bench.job() == mixed_job());
    bench.undo_stack().setClean();
}
