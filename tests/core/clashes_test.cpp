#include "core/boxes/new_box.hpp"
#include "core/reckon/clashes.hpp"
#include "core/site/site_checks.hpp"
#include "piece_walls.hpp"
#include "run_walls.hpp"

using namespace yes_square;

namespace {

WallBox box_at(Length left, Length top) {
    WallBox box = new_box(stud_wall());
    box.id = box.name = "box";
    box.left = left;
    box.top = top;
    return box;
}

bool clashes(const std::vector<Check>& checks) {
    return find_check(checks, checks::over_thing) != nullptr;
}

} // namespace

TEST_CASE("everything that takes room on a wall is known to everything else", "[clashes]") {
    Job job = kitchen_with({run_of(RunLevel::floor, {base_unit("base", 600_mm)})});
    Wall& wall = job.walls.front();
    Shelf shelf;
    shelf.id = shelf.name = "shelf";
    shelf.left = 1000_mm;
    shelf.height = 1500_mm;
    shelf.length = 600_mm;
    shelf.depth = 250_mm;
    shelf.thickness = 18_mm;
    shelf.tiers = 2;
    shelf.rise = 300_mm;
    wall.shelves = {shelf};
    wall.pieces = {dresser()};
    wall.boxes = {box_at(2600_mm, 2000_mm)};
    StorageSystem system = system_of({BayKind::shelves});
    system.left = 2600_mm;
    system.width = 500_mm;
    system.panel_height = 900_mm;
    wall.systems = {system};
    const Plan plan = reckon(job);
    const std::vector<WallThing> things = things_on(*plan.walls.front());
    std::vector<std::string> ids;
    for (const WallThing& thing : things)
        ids.push_back(thing.id);
    CHECK(ids == std::vector<std::string>{"shelf", "shelf", "base", "system", "chest", "box"});
    CHECK_FALSE(clashes(plan.walls.front()->systems[0].checks));
    CHECK_FALSE(clashes(plan.walls.front()->pieces[0].checks));
    CHECK_FALSE(clashes(plan.walls.front()->boxes[0].checks));
}

TEST_CASE("furniture clashes with shelves, cabinets and each other", "[clashes]") {
    Job job = kitchen_with({run_of(RunLevel::floor, {base_unit("base", 600_mm)})});
    Wall& wall = job.walls.front();
    Piece chest = dresser();
    chest.left = 300_mm; // in the base unit
    wall.pieces = {chest};
    CHECK(clashes(reckon(job).walls.front()->pieces[0].checks));
    wall.pieces.front().left = 1500_mm;
    CHECK_FALSE(clashes(reckon(job).walls.front()->pieces[0].checks));
    wall.boxes = {box_at(1600_mm, 1000_mm)}; // down into the chest
    const auto both = reckon(job).walls.front();
    CHECK(clashes(both->pieces[0].checks));
    CHECK(clashes(both->boxes[0].checks));
    wall.boxes.front().top = 2000_mm; // over it
    CHECK_FALSE(clashes(reckon(job).walls.front()->boxes[0].checks));
}

TEST_CASE("a window behind, a radiator beside, a socket covered, a ceiling too low", "[clashes]") {
    Job job = piece_job(dresser());
    Wall& wall = job.walls.front();
    const auto checks = [&] { return reckon(job).walls.front()->pieces.front().checks; };
    wall.openings = {{OpeningKind::door, 2200_mm, {}, 800_mm, 2000_mm, 50_mm, {}}};
    const std::vector<Check> door = checks();
    REQUIRE(find_check(door, checks::over_opening));
    CHECK(find_check(door, checks::over_opening)->amount->si == Approx(0.2));
    wall.openings.clear();
    wall.services = {{ServiceKind::socket, 1900_mm, 300_mm, 86_mm, {}}};
    const std::vector<Check> socket = checks();
    REQUIRE(find_check(socket, checks::over_service));
    CHECK(find_check(socket, checks::over_service)->severity == Severity::warning);
    wall.services.front().far_side = true;
    CHECK_FALSE(find_check(checks(), checks::over_service));
    wall.height = 700_mm;
    const std::vector<Check> low = checks();
    REQUIRE(find_check(low, checks::over_ceiling));
    CHECK(find_check(low, checks::over_ceiling)->amount->si == Approx(0.1));
}

TEST_CASE("what hangs below the floor or beyond the wall says so, with how much", "[clashes]") {
    Job job = bare_job();
    job.walls.front().boxes = {box_at(3500_mm, 800_mm)};
    const std::vector<Check> checks = reckon(job).walls.front()->boxes.front().checks;
    REQUIRE(find_check(checks, checks::leaves_wall));
    CHECK(find_check(checks, checks::leaves_wall)->amount->si == Approx(0.3)); // 3500 + 800 - 4000
    REQUIRE(find_check(checks, checks::leaves_floor));
    CHECK(find_check(checks, checks::leaves_floor)->amount->si == Approx(0.1)); // 800 - 900
}

TEST_CASE("a change of furniture keeps the wall's survey and the other walls' plans", "[reckon][clashes]") {
    Job job = piece_job(dresser());
    Wall other = stud_wall();
    other.id = "other";
    other.left_end = other.right_end = WallEnd::open;
    job.walls.front().left_end = job.walls.front().right_end = WallEnd::open;
    job.walls.push_back(other);
    Reckoner reckoner;
    const std::shared_ptr<const WallPlan> before = reckoner.reckon(job).walls[1];
    job.walls[0].pieces[0].mass += 10_kg;
    const Plan& after = reckoner.reckon(job);
    CHECK(after.walls[1] == before);
    CHECK(after.walls[0]->pieces[0].cases.front().balance.righting >
          reckon(piece_job(dresser())).walls[0]->pieces[0].cases.front().balance.righting);
}

TEST_CASE("whatever the next wall holds in the corner is met there: every tier, and what hangs already", "[clashes]") {
    // A chest against the right-hand corner; round it, on the next wall, one more thing near that corner.
    Job job = kitchen_with({}, 3000_mm);
    Wall next = job.walls.front();
    next.id = "wall-2";
    next.name = "Next wall";
    Piece chest = dresser(); // 800 high, 500 deep
    chest.left = job.walls.front().length - chest.width;
    job.walls.front().pieces = {chest};
    const auto met = [&](const Wall& with) {
        Job made = job;
        made.walls.push_back(with);
        return find_check(reckon(made).walls.front()->pieces.front().checks, checks::meets_neighbour) != nullptr;
    };
    CHECK_FALSE(met(next));
    Shelf shelf;
    shelf.id = shelf.name = "shelf";
    shelf.left = 100_mm;
    shelf.length = 800_mm;
    shelf.depth = 300_mm;
    shelf.height = 1500_mm;
    shelf.rise = 400_mm;
    Wall shelved = next;
    shelved.shelves = {shelf};
    CHECK_FALSE(met(shelved)); // over it
    shelved.shelves.front().tiers = 3;
    CHECK(met(shelved)); // its lowest tier, at 700
    HungCabinet hung;
    hung.id = "old";
    hung.unit = wall_unit("old", 600_mm);
    hung.unit.height = 700_mm;
    hung.top = 1200_mm;
    Wall hanging = next;
    hanging.hung = {hung};
    CHECK(met(hanging));
    hanging.hung.front().top = 2200_mm;
    CHECK_FALSE(met(hanging));
}
