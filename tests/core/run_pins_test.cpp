// What the fitter sets in a run: places of a unit's and a rail's screws, and what is cut out of its worktops.
#include "core/runs/run_checks.hpp"
#include "core/site/cut_outs.hpp"
#include "core/site/site_checks.hpp"
#include "run_walls.hpp"

using namespace yes_square;

namespace {

Run wall_run(std::vector<Length> pins = {}, Hanging hanging = Hanging::screws) {
    CabinetUnit unit = wall_unit("w1", 900_mm);
    unit.pins = std::move(pins);
    unit.hanging = hanging;
    CabinetUnit other = wall_unit("w2", 900_mm);
    other.hanging = hanging;
    Run run = run_of(RunLevel::wall, {unit, other}, Slack::by_hand);
    run.left = 300_mm; // studs at 400, 800, 1200, 1600, 2000
    return run;
}

std::vector<Length> columns_of(const UnitPlan& unit) {
    std::vector<Length> xs;
    for (const PlannedHole& hole : unit.holes)
        if (std::ranges::find(xs, hole.x) == xs.end())
            xs.push_back(hole.x);
    return xs;
}

bool finds(const RunPlan& plan, CheckCode code) {
    return std::ranges::any_of(plan.checks, [&](const Check& check) { return check.code == code; });
}

Run cured(const RunPlan& plan, CheckCode code, const Job& job) {
    for (const Check& check : plan.checks)
        for (const Cure& cure : check.cures)
            if (check.code == code && cure.edit)
                return apply(*cure.edit, job).walls.front().runs.front();
    FAIL("no cure");
    return {};
}

} // namespace

TEST_CASE("a unit's screw is where the fitter pins it, the others where the program finds studs", "[runs][pins]") {
    const RunPlan free = plan_of(kitchen_with({wall_run()}));
    CHECK(columns_of(free.units.front()) == std::vector<Length>{400_mm, 800_mm});
    const RunPlan pinned = plan_of(kitchen_with({wall_run({104_mm})}));
    CHECK(columns_of(pinned.units.front()) == std::vector<Length>{404_mm, 800_mm});
    for (const PlannedHole& hole : pinned.units.front().holes)
        CHECK(hole.substrate == Substrate::proved_stud);
    CHECK_FALSE(finds(pinned, checks::screw_pin_off));
    CHECK_FALSE(finds(pinned, checks::screw_pin_misses));
}

TEST_CASE("a screw pinned off the wood holds nothing, one pinned off its unit is no screw: said with where and a cure",
          "[runs][pins][safety]") {
    const Job job = kitchen_with({wall_run({300_mm})}); // 600: between studs
    const RunPlan plan = plan_of(job);
    CHECK(finds(plan, checks::screw_pin_misses));
    for (const PlannedHole& hole : plan.units.front().holes)
        if (hole.x == 600_mm) {
            CHECK_FALSE(hole.fixing);
            CHECK(hole.passes.empty());
        }
    CHECK(cured(plan, checks::screw_pin_misses, job).units.front().pins.empty());
    const Job off = kitchen_with({wall_run({895_mm})});
    const RunPlan beyond = plan_of(off);
    CHECK(finds(beyond, checks::screw_pin_off));
    CHECK(cured(beyond, checks::screw_pin_off, off).units.front().pins.empty());
}

TEST_CASE("pins in one place hold once, and are said", "[runs][pins][safety]") {
    const RunPlan once = plan_of(kitchen_with({wall_run({104_mm})}));
    const RunPlan twice = plan_of(kitchen_with({wall_run({104_mm, 104_mm, 120_mm})}));
    CHECK(columns_of(twice.units.front()) == columns_of(once.units.front()));
    CHECK(twice.units.front().holes.size() == once.units.front().holes.size());
    CHECK(twice.units.front().utilisation == once.units.front().utilisation);
    CHECK(finds(twice, checks::screw_pins_close));
    CHECK_FALSE(finds(once, checks::screw_pins_close));
    Run rail = wall_run({}, Hanging::suspension_rail);
    rail.rail_pins = {903_mm, 905_mm};
    const RunPlan plan = plan_of(kitchen_with({rail}));
    CHECK(finds(plan, checks::screw_pins_close));
    CHECK(std::ranges::find(plan.pieces, RunPiece::What::suspension_rail, &RunPiece::what)->fixings.size() == 5);
}

TEST_CASE("a rail is fixed where it is pinned, and round that where the program finds studs", "[runs][pins]") {
    const auto rail_of = [](const RunPlan& plan) {
        return *std::ranges::find(plan.pieces, RunPiece::What::suspension_rail, &RunPiece::what);
    };
    Run run = wall_run({}, Hanging::suspension_rail);
    const std::vector<Length> found = rail_of(plan_of(kitchen_with({run}))).fixings;
    REQUIRE(found == std::vector<Length>{400_mm, 800_mm, 1200_mm, 1600_mm, 2000_mm});
    run.rail_pins = {903_mm}; // 1203
    const RunPlan plan = plan_of(kitchen_with({run}));
    CHECK(rail_of(plan).fixings == std::vector<Length>{400_mm, 800_mm, 1203_mm, 1600_mm, 2000_mm});
    CHECK(rail_of(plan).hold.places[2].substrate == Substrate::proved_stud);
    CHECK(rail_of(plan).hold.utilisation.known());
    Job only_told = kitchen_with({run});
    only_told.walls.front().studs[2].state = StudState::assumed; // nobody met it
    CHECK(rail_of(plan_of(only_told)).fixings == std::vector<Length>{400_mm, 800_mm, 1600_mm, 2000_mm});
    CHECK(finds(plan_of(only_told), checks::screw_pin_misses));
    run.rail_pins = {1000_mm};
    const Job missing = kitchen_with({run});
    const RunPlan misses = plan_of(missing);
    CHECK(rail_of(misses).fixings == found);
    CHECK(finds(misses, checks::screw_pin_misses));
    CHECK(cured(misses, checks::screw_pin_misses, missing).rail_pins.empty());
    run.rail_pins = {3000_mm};
    CHECK(finds(plan_of(kitchen_with({run})), checks::screw_pin_off));
}

TEST_CASE("a worktop's cut-outs are told from the run's left end, on the piece they lie in", "[boards][runs]") {
    Run run = run_of(RunLevel::floor, {base_unit("b1", 600_mm), base_unit("b2", 900_mm), base_unit("b3", 600_mm)},
                     Slack::by_hand);
    run.left = 300_mm;
    run.cut_outs = {{"sink", 700_mm, 60_mm, 700_mm, 450_mm, {}}};
    const RunPlan plan = plan_of(kitchen_with({run}));
    const auto top = std::ranges::find(plan.pieces, RunPiece::What::worktop, &RunPiece::what);
    REQUIRE(top != plan.pieces.end());
    REQUIRE(top->cut_outs.size() == 1);
    CHECK(top->cut_outs.front().across == 700_mm);
    const auto part =
        std::ranges::find_if(plan.parts, [](const CutPart& each) { return each.stuff.kind == StuffKind::worktop; });
    REQUIRE(part != plan.parts.end());
    CHECK(say(part->mind, {}).starts_with("sink: 700 mm x 450 mm, 700 mm from the left end"));
    CHECK_FALSE(finds(plan, checks::cut_out_off_board));
    CHECK(std::ranges::any_of(
        plan.steps, [](const Step& step) { return say(step.words, {}).starts_with("Cut out sink: 700 mm x 450 mm"); }));
    run.cut_outs.front().across = 2500_mm;
    CHECK(finds(plan_of(kitchen_with({run})), checks::cut_out_off_board));
    run.cut_outs.front().across = 1800_mm; // begins on it, ends beyond it
    CHECK(finds(plan_of(kitchen_with({run})), checks::cut_out_off_board));
}

TEST_CASE("a stud in a unit's corner is named, and a screw pinned in it counts", "[runs][pins][safety]") {
    // Studs at 400, 800: a unit from 370 to 770 has the first 30 in, 14 inside its side, and no other.
    CabinetUnit unit = wall_unit("w1", 400_mm);
    Run run = run_of(RunLevel::wall, {unit}, Slack::by_hand);
    run.left = 370_mm;
    const Job job = kitchen_with({run});
    const RunPlan plan = plan_of(job);
    CHECK(plan.units.front().out_of_reach == std::vector<Length>{400_mm});
    CHECK(finds(plan, checks::few_studs));
    bool pinned = false;
    for (const Check& check : plan.checks)
        for (const Cure& cure : check.cures)
            if (cure.edit && std::holds_alternative<PinScrew>(*cure.edit)) {
                const RunPlan after = plan_of(apply(*cure.edit, job));
                CHECK(columns_of(after.units.front()) == std::vector<Length>{400_mm});
                CHECK(after.units.front().out_of_reach.empty());
                pinned = true;
            }
    CHECK(pinned);
    // Behind the side itself no screw goes in at all.
    run.left = 392_mm;
    const RunPlan behind = plan_of(kitchen_with({run}));
    for (const Check& check : behind.checks)
        for (const Cure& cure : check.cures)
            CHECK_FALSE((cure.edit && std::holds_alternative<PinScrew>(*cure.edit)));
}
