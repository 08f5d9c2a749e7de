#include "run_walls.hpp"

#include "core/hands/islands.hpp"
#include "core/job/file.hpp"
#include "core/reckon/aisles.hpp"
#include "core/reckon/reckon_survey.hpp"
#include "core/runs/island.hpp"
#include "core/runs/run_checks.hpp"
#include "core/sheets/room_drawing.hpp"
#include "core/shelves/new_shelf.hpp"
#include "core/steps/standings.hpp"

#include <numbers>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

/// Units that stand free in the room. Statics and geometry; sizes are made up.
namespace {

Wall with_shelf(Wall wall, std::string_view way) {
    wall.shelves = {new_shelf(shelf_preset(way), wall)};
    wall.shelves.front().id = "shelf";
    return wall;
}

/// A kitchen wall of 4 m with base units, and before it an island of the same kind of units, its fronts towards it.
Job island_job(std::vector<CabinetUnit> units, FloorBuilt floor = FloorBuilt::concrete) {
    Job job = kitchen_with({run_of(RunLevel::floor, {base_unit("w", 600_mm)})}, 4000_mm);
    Wall island = new_island(job.walls.front(), Unit::mm);
    island.id = "island";
    island.name = "Island";
    std::get<OpenFloor>(island.structure).floor = floor;
    Run run = run_of(RunLevel::floor, std::move(units));
    run.id = "island-run";
    run.name = "Island units";
    island.runs = {run};
    job.walls.push_back(island);
    return job;
}

OpenFloor& floor_of(Job& job, std::size_t wall = 1) {
    return std::get<OpenFloor>(job.walls[wall].structure);
}

Job with_other_side(Job job, std::vector<CabinetUnit> units) {
    Wall other = other_side_of(job.walls[1]);
    other.id = "other";
    other.name = "Other side";
    Run run = run_of(RunLevel::floor, std::move(units));
    run.id = "other-run";
    run.name = "Other units";
    other.runs = {run};
    job.walls.push_back(other);
    return job;
}

const RunPlan& run_plan(const Plan& plan, std::size_t wall = 1) {
    return plan.walls.at(wall)->runs.front();
}

bool raises(const RunPlan& run, CheckCode code) {
    return std::ranges::any_of(run.checks, [&](const Check& check) { return check.code == code; });
}
bool room_raises(const Plan& plan, CheckCode code) {
    return std::ranges::any_of(plan.rooms.front().checks, [&](const Check& check) { return check.code == code; });
}

std::string all_steps(const RunPlan& run) {
    std::string all;
    for (const Step& step : run.steps)
        all += say(step.words, {}) + "\n";
    return all;
}

} // namespace

TEST_CASE("an island lies where it is set out, either way about, and its other side behind it", "[islands][survey]") {
    Job job = island_job({base_unit("a", 600_mm)});
    OpenFloor& floor = floor_of(job);
    floor.along = 800_mm;
    floor.out = 2200_mm;
    job.walls[1].length = 2400_mm;
    const auto line = [&](std::size_t number) {
        return room_plan(job, job.rooms.front().id, Reader::of(job)).islands.at(number);
    };
    // The first wall runs along x; the room lies at negative y. Fronts towards it: seen from there left is right.
    CHECK(line(0).from.x == Approx(3.2));
    CHECK(line(0).from.y == Approx(-2.2));
    CHECK(line(0).to.x == Approx(0.8));
    CHECK(off(line(0), 0_mm, 0.5).y == Approx(-1.7)); // out of it is towards the wall
    floor.faces_wall = false;
    CHECK(line(0).from.x == Approx(0.8));
    CHECK(line(0).to.x == Approx(3.2));
    CHECK(off(line(0), 0_mm, 0.5).y == Approx(-2.7));

    job = with_other_side(job, {base_unit("o", 600_mm)});
    floor_of(job, 2).along = 100_mm;
    floor_of(job, 2).out = 50_mm;
    CHECK(line(1).from.x == Approx(3.1)); // 100 mm in from the other's right end
    CHECK(line(1).from.y == Approx(-2.15));
    CHECK(off(line(1), 0_mm, 0.5).y == Approx(-1.65)); // and looks the other way
    CHECK(room_plan(job, job.rooms.front().id, Reader::of(job)).walls.size() == 1);
    CHECK_FALSE(neighbour_at(job, job.walls[1], true, Reader::of(job)));
}

TEST_CASE("what is set out from nothing, or in a ring, lies nowhere and says so", "[islands][survey][checks]") {
    Job job = with_other_side(island_job({base_unit("a", 600_mm)}), {base_unit("o", 600_mm)});
    const auto lost = [&](std::size_t wall) {
        const Plan plan = reckon(job);
        const auto& checks_found = plan.walls[wall]->survey.checks;
        const bool said =
            std::ranges::any_of(checks_found, [](const Check& check) { return check.code == checks::island_unplaced; });
        const auto& unplaced = plan.rooms.front().plan.unplaced;
        CHECK(said == (std::ranges::find(unplaced, wall) != unplaced.end()));
        return said;
    };
    CHECK_FALSE(lost(1));
    CHECK_FALSE(lost(2));
    floor_of(job, 1).from = "other"; // either from the other
    CHECK(lost(1));
    CHECK(lost(2));
    floor_of(job, 1).from = "gone";
    CHECK(lost(1));
    CHECK(lost(2));
}

TEST_CASE("what holds an island down is the sum one does by hand", "[islands]") {
    // 20 kg, 560 deep, no doors: over the frame's front edge 50 + 16 behind the fronts.
    const Job job = island_job({base_unit("a", 600_mm)});
    const Plan plan = reckon(job);
    const RunPlan& run = run_plan(plan);
    REQUIRE(run.islands.size() == 1);
    const IslandHold& hold = run.islands.front();
    const double top = run.units.front().top.in_metres();
    const double weight = 20 * 9.80665;
    const double righting = weight * (0.280 - 0.066);
    const double pulled = 200 * top; // an adult pulls at its top edge
    REQUIRE(top < 1.42);
    CHECK(hold.frame_height == run.units.front().bottom);
    CHECK(hold.frame_depth == 494_mm);
    CHECK(hold.lever == 475_mm);
    CHECK(hold.over.in_si() == Approx(pulled));
    CHECK(hold.righting.in_si() == Approx(righting));
    CHECK(hold.pull.in_si() == Approx((1.5 * pulled - 0.9 * righting) / 0.475));
    // Four screws of each kind, since a plug does not bear half of it; a cleat's is pried up by twice as much.
    CHECK(hold.screws == 4);
    REQUIRE(hold.joints.size() == 3);
    CHECK(hold.joints[0].demand.tension.in_si() == Approx(hold.pull.in_si() / 4));
    CHECK(hold.joints[1].demand.down.in_si() == Approx(hold.pull.in_si() / 4));
    CHECK(hold.joints[2].demand.tension.in_si() == Approx(hold.pull.in_si() / 2));
    CHECK(hold.used().within());
    CHECK(holds(run) == Holds::yes);

    SECTION("a frame as deep as the shallowest unit lets the deeper one stand out before it") {
        CabinetUnit shallow = base_unit("s", 600_mm);
        shallow.depth = 400_mm;
        const Plan mixed = reckon(island_job({base_unit("a", 600_mm), shallow}));
        const IslandHold& held = run_plan(mixed).islands.front();
        CHECK(held.frame_depth == 334_mm);
        const double less = weight * (0.280 - (0.560 - 0.334));
        CHECK(held.worst == 0);
        CHECK(held.righting.in_si() == Approx(less));
        const double sat_on = 1000 * (0.560 - 0.334 + 0.020); // on the worktop's edge: worse than the pull there
        REQUIRE(sat_on > pulled);
        CHECK(held.pull.in_si() == Approx((1.5 * sat_on - 0.9 * less) / 0.315));
    }
    SECTION("what stands behind, screwed to it, holds it down by its weight and its lever") {
        const Plan both = reckon(with_other_side(job, {base_unit("o", 600_mm)}));
        // Both at the left ends of their own sides: back to back only as far as 2400 long lines let them.
        CHECK(run_plan(both).islands.front().behind == Mass{0});
        Job aligned = with_other_side(job, {base_unit("o", 600_mm)});
        aligned.walls[2].runs.front().slack = Slack::left_end; // all its room at its left
        const Plan backed = reckon(aligned);
        const IslandHold& held = run_plan(backed).islands.front();
        CHECK(held.behind.in_si() == Approx(20));
        const double more = weight * (0.560 - 0.066 + 0.280);
        CHECK(held.righting.in_si() == Approx(righting + more));
        CHECK(held.pull.in_si() == Approx((1.5 * pulled - 0.9 * (righting + more)) / 0.475));
    }
    SECTION("no nearer than the backs are screwed over") {
        Job aligned = with_other_side(job, {base_unit("o", 600_mm)});
        aligned.walls[2].runs.front().slack = Slack::left_end;
        floor_of(aligned, 2).out = 101_mm;
        const Plan apart_plan = reckon(aligned);
        CHECK(run_plan(apart_plan).islands.front().behind == Mass{0});
        CHECK(raises(run_plan(apart_plan), checks::island_backs_apart));
        CHECK(raises(run_plan(apart_plan, 2), checks::island_backs_apart));
    }
}

TEST_CASE("an island on a floor that nobody knows is not known to hold", "[islands][checks]") {
    const auto on = [](FloorBuilt floor) { return reckon(island_job({base_unit("a", 600_mm)}, floor)); };
    const Plan unknown = on(FloorBuilt::not_known);
    CHECK(raises(run_plan(unknown), checks::island_floor_unknown));
    CHECK(holds(run_plan(unknown)) == Holds::unknown);
    const Plan heated = on(FloorBuilt::heated);
    CHECK(holds(run_plan(heated)) == Holds::unknown);
    CHECK(all_steps(run_plan(heated)).find("drill nothing") != std::string::npos);
    CHECK(all_steps(run_plan(heated)).find("into the floor") == std::string::npos);
    CHECK(holds(run_plan(on(FloorBuilt::concrete))) == Holds::yes);
    CHECK(holds(run_plan(on(FloorBuilt::joists))) == Holds::yes);

    SECTION("thin boards alone do not hold it; the cure puts the screws where joists are") {
        const Job thin = island_job({base_unit("a", 600_mm)}, FloorBuilt::boards);
        const Plan plan = reckon(thin);
        CHECK(holds(run_plan(plan)) == Holds::no);
        const auto lifted = std::ranges::find(run_plan(plan).checks, checks::island_lifts, &Check::code);
        REQUIRE(lifted != run_plan(plan).checks.end());
        REQUIRE(lifted->cures.front().edit);
        CHECK(holds(run_plan(reckon(apply(*lifted->cures.front().edit, thin)))) == Holds::yes);
    }
    SECTION("what no case tips wants no floor, only to be told for the kit") {
        CabinetUnit heavy = base_unit("a", 600_mm);
        heavy.mass = 400_kg;
        const Plan plan = reckon(island_job({heavy}, FloorBuilt::not_known));
        CHECK(run_plan(plan).islands.front().pull == Force{0});
        CHECK(raises(run_plan(plan), checks::island_floor_untold));
        CHECK_FALSE(raises(run_plan(plan), checks::island_floor_unknown));
        CHECK(holds(run_plan(plan)) == Holds::yes);
    }
}

TEST_CASE("nothing hangs on an island and nothing tall stands free on it", "[islands][checks]") {
    Job job = island_job({base_unit("a", 600_mm), tall_unit("t", 600_mm, 2000_mm)});
    const Plan tall = reckon(job);
    CHECK(raises(run_plan(tall), checks::island_no_wall));
    CHECK(holds(run_plan(tall)) == Holds::no);
    for (const Hanging hanging : {Hanging::screws, Hanging::suspension_rail, Hanging::hook_brackets}) {
        CabinetUnit unit = wall_unit("u", 600_mm);
        unit.hanging = hanging;
        job.walls[1].runs = {run_of(RunLevel::wall, {unit})};
        const Plan plan = reckon(job);
        CHECK(raises(run_plan(plan), checks::island_no_wall));
        CHECK(holds(run_plan(plan)) == Holds::no);
        CHECK(run_plan(plan).pieces.empty());
        CHECK(run_plan(plan).holes.empty());
    }
}

TEST_CASE("nothing of any kind is fixed to a wall that is not there", "[islands][checks]") {
    for (const char* way : {"brackets", "pole", "picture_ledge"}) {
        Wall island = plain_wall(4000_mm);
        island.structure = OpenFloor{};
        // As a file may have it: a lining with nothing to be on.
        island.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500), {}}};
        const Plan plan = reckon(job_with({with_shelf(island, way)}));
        INFO(way);
        CHECK(holds(plan.walls.front()->shelves.front()) == Holds::no);
    }
}

TEST_CASE("two islands that share a piece of floor stand in one another", "[islands][checks]") {
    Job job = island_job({base_unit("a", 600_mm)});
    Wall second = job.walls[1];
    second.id = "second";
    second.name = "Second island";
    std::get<OpenFloor>(second.structure).out -= 300_mm;
    second.runs.front().id = "second-run";
    second.runs.front().units.front().id = "b";
    job.walls.push_back(second);
    CHECK(room_raises(reckon(job), checks::island_stands_in));
    std::get<OpenFloor>(job.walls[2].structure).out = 4200_mm;
    CHECK_FALSE(room_raises(reckon(job), checks::island_stands_in));
}

TEST_CASE("the aisle is what lies free between the fronts", "[islands][checks]") {
    Job job = island_job({base_unit("a", 600_mm)});
    job.walls.front().runs.front().slack = Slack::right_end;
    job.walls.front().runs.front().units.front().width = 4000_mm; // units along all of the wall
    OpenFloor& floor = floor_of(job);
    const auto aisle = [&](Length out) -> std::optional<double> {
        floor.out = out;
        const Plan plan = reckon(job);
        for (const Check& check : plan.rooms.front().checks)
            if (check.code == checks::aisle_narrow)
                return check.amount->si;
        return std::nullopt;
    };
    // 560 of base unit with 20 of door and worktop before it, the aisle, and as much of island.
    CHECK_FALSE(aisle(580_mm + 900_mm + 580_mm));
    const auto lacks = aisle(580_mm + 888_mm + 580_mm);
    REQUIRE(lacks);
    CHECK(*lacks == Approx(0.012));
    // Against what stands there on purpose it is a peninsula, and no aisle.
    CHECK_FALSE(aisle(560_mm + 560_mm));
    CHECK(room_raises(reckon(job), checks::aisle_narrow) == false);
    aisle(560_mm + 540_mm);
    CHECK(room_raises(reckon(job), checks::island_stands_in));
    // Over one's head there is no aisle: wall units hang higher than an island stands.
    job.walls.front().runs = {run_of(RunLevel::wall, {wall_unit("h", 4000_mm)})};
    CHECK_FALSE(aisle(900_mm + 580_mm));
    CHECK(aisle(890_mm + 580_mm)); // the wall itself
}

TEST_CASE("the room from above shows an island, and one picks it there", "[islands][drawing]") {
    const Job job = island_job({base_unit("a", 600_mm)});
    const Plan plan = reckon(job);
    const Drawing drawing = draw_room(job, plan, plan.rooms.front(), {250, 180, 3, "island"}, {});
    std::size_t of_island = 0;
    bool named = false;
    for (const Shape& shape : drawing.shapes) {
        of_island += shape.reference.part == Reference::Part::wall && shape.reference.index == 1;
        if (const auto* words = std::get_if<Text>(&shape.form))
            named = named || words->text.find("Island") != std::string::npos;
    }
    CHECK(of_island >= 2);
    CHECK(named);
}

TEST_CASE("an island is set out, levelled both ways, held down and closed in that order", "[islands][steps]") {
    Job job = with_other_side(island_job({base_unit("a", 600_mm), base_unit("b", 600_mm)}), {base_unit("o", 600_mm)});
    CabinetUnit panel = base_unit("p", 18_mm);
    panel.kind = UnitKind::end_panel;
    panel.name = "End panel";
    job.walls[1].runs.front().units.push_back(panel);
    job.walls[2].runs.front().slack = Slack::left_end;
    const Plan plan = reckon(job);
    const std::string said = all_steps(run_plan(plan));
    std::size_t before = 0;
    for (const std::string_view words :
         {"Chalk the line of its backs on the floor, 2200 mm out from ", "measure both diagonals", "Screw the frame",
          "level both ways", "heating lie in floors too", "Cleats to the floor", "through the frame into the cleats",
          "stand it on its place", "Screw the backs to those of the other side",
          "down through the units' bottoms into the frame", "End panel: last of all", "carry the worktop in"}) {
        const std::size_t at = said.find(words);
        INFO(words << "\n" << said);
        REQUIRE(at != std::string::npos);
        CHECK(at > before);
        before = at;
    }
    CHECK(said.find("wall,") == std::string::npos); // nothing is scribed or sealed to a wall that is not there
    CHECK(said.find("Strike a plumb line") == std::string::npos);
    CHECK(all_steps(run_plan(plan, 2)).find("Its backs stand 0 mm behind those of Island") != std::string::npos);

    // Parts: two rails, a piece across at each end and each joint, two cleats; no back panel, since units stand behind.
    const auto parts = [&](std::string_view name) {
        return std::ranges::count_if(run_plan(plan).parts,
                                     [&](const CutPart& part) { return part.name.pattern == name; });
    };
    CHECK(parts("frame rail of {0}") == 2);
    CHECK(parts("frame piece across, of {0}") == 3);
    CHECK(parts("floor cleat of {0}") == 2);
    CHECK(parts("back panel of {0}") == 0);
    const Plan alone = reckon(island_job({base_unit("a", 600_mm)}));
    CHECK(std::ranges::count_if(run_plan(alone).parts,
                                [](const CutPart& part) { return part.name.pattern == "back panel of {0}"; }) == 1);
}

TEST_CASE("survey is not done before the floor under an island is told", "[islands][steps]") {
    for (const FloorBuilt floor : {FloorBuilt::not_known, FloorBuilt::concrete}) {
        const Job job = island_job({base_unit("a", 600_mm)}, floor);
        const Plan plan = reckon(job);
        std::string said;
        for (const Sentence& words : survey_standing(job, plan).words)
            said += say(words, {});
        CHECK((said.find("floor to be told") != std::string::npos) == (floor == FloorBuilt::not_known));
        // Not known to hold, though it has no hole in any wall.
        CHECK((fixings_standing(plan).progress == Progress::missing) == (floor == FloorBuilt::not_known));
    }
}

TEST_CASE("an island's own figures come back out of a file", "[islands][file]") {
    Job job = with_other_side(island_job({base_unit("a", 600_mm)}, FloorBuilt::boards), {base_unit("o", 450_mm)});
    floor_of(job).boards = 19_mm;
    const auto loaded = read_job(write_job(job));
    REQUIRE(loaded);
    CHECK(loaded->job == job);
    CHECK(bases_of(job, job.walls[1]).size() == 1); // its other side hangs on it
    CHECK(bases_of(job, job.walls[2]).size() == 2); // the wall, and the side it stands behind
}

TEST_CASE("laws of what stands free", "[islands][property]") {
    rc::prop("more behind it, more weight, fewer drawers: never more to hold down", [] {
        CabinetUnit unit = base_unit("a", Length::mm(*rc::gen::inRange(300, 1200)));
        unit.depth = Length::mm(*rc::gen::inRange(350, 700));
        unit.mass = Mass::kg(*rc::gen::inRange(10, 60));
        unit.loaded_mass = unit.mass + 40_kg;
        unit.hinge = *rc::gen::element(DoorHinge::none, DoorHinge::left, DoorHinge::both, DoorHinge::drawers);
        const FloorBuilt floor = *rc::gen::element(FloorBuilt::joists, FloorBuilt::concrete, FloorBuilt::not_known);
        const auto asked = [&](const CabinetUnit& of, bool backed) {
            Job job = island_job({of}, floor);
            if (backed) {
                CabinetUnit other = base_unit("o", of.width);
                job = with_other_side(job, {other});
                job.walls[2].runs.front().slack = Slack::left_end;
            }
            const Plan plan = reckon(job);
            const RunPlan& run = run_plan(plan);
            // What is known to hold has every joint within, and a floor that is known or nothing to hold down.
            if (holds(run) == Holds::yes)
                for (const IslandHold& hold : run.islands) {
                    RC_ASSERT(hold.used().within());
                    RC_ASSERT((hold.pull == Force{0} || floor != FloorBuilt::not_known));
                }
            return run.islands.front().pull;
        };
        const Force alone = asked(unit, false);
        RC_ASSERT(asked(unit, true) <= alone);
        CabinetUnit heavier = unit;
        heavier.mass += 30_kg;
        heavier.loaded_mass = *unit.loaded_mass + 30_kg;
        RC_ASSERT(asked(heavier, false) <= alone);
        CabinetUnit shut = unit;
        shut.hinge = DoorHinge::none;
        RC_ASSERT(asked(shut, false) <= alone);
    });
}
