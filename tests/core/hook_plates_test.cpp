// Wall plates of hook brackets, and base units whose backs hang on a rail.
#include "core/cutting/kit.hpp"
#include "core/hands/screw_pins.hpp"
#include "core/job/file.hpp"
#include "core/job/own_entries.hpp"
#include "core/runs/run_checks.hpp"
#include "core/sheets/support_drawing.hpp"
#include "core/site/site_checks.hpp"
#include "run_walls.hpp"

using namespace yes_square;

namespace {

Run hooked(Hanging hanging = Hanging::hook_brackets) {
    CabinetUnit unit = wall_unit("w1", 600_mm);
    unit.hanging = hanging;
    unit.mass = 20_kg;
    unit.loaded_mass = 60_kg;
    unit.doors_mass = 0_kg;
    unit.hook_rating = weight_of(65_kg);
    Run run = run_of(RunLevel::wall, {unit}, Slack::by_hand);
    run.left = 300_mm;
    return run;
}

Job on_brick(Job job) {
    job.walls.front().structure = Masonry{MasonryKind::brick};
    job.walls.front().lining = {{LiningMaterial::plaster, 13_mm, {}}};
    return job;
}

bool steps_say(const RunPlan& plan, const char* words) {
    return place_of(plan, words) < plan.steps.size();
}

bool kit_has(const Job& job, const char* words) {
    const Kit kit = kit_of(job, reckon(job));
    return std::ranges::any_of(
        kit.lines, [&](const KitLine& line) { return say(line.name, {}).find(words) != std::string::npos; });
}

} // namespace

TEST_CASE("two plates to a unit, where its hooks are, no rail, no ledger", "[runs][hook-plates]") {
    const Job job = on_brick(kitchen_with({hooked()}));
    const RunPlan plan = plan_of(job);
    const UnitPlan& unit = plan.units.front();
    REQUIRE(unit.holes.size() == 2);
    CHECK(unit.holes[0].x == 340_mm); // 40 in from either side
    CHECK(unit.holes[1].x == 860_mm);
    for (const PlannedHole& hole : unit.holes) {
        CHECK(unit.top - hole.z == 52_mm); // common practice: one system's drop
        CHECK(hole.substrate == Substrate::masonry);
        CHECK(hole.fixing);
        CHECK(hole.drilled == 7_mm);
    }
    CHECK(plan.pieces.empty());
    CHECK(kit_has(job, "Hook bracket with its wall plate"));
    CHECK_FALSE(kit_has(job, "rail"));
    CHECK(steps_say(plan, "hook plates at 340 mm and 860 mm"));
    CHECK(steps_say(plan, "then lock them"));
    CHECK_FALSE(steps_say(plan, "ledger"));
    CHECK(stays_up(holds(plan)));
}

TEST_CASE("what a hook plate bears is statics", "[runs][hook-plates][statics]") {
    const RunPlan plan = plan_of(on_brick(kitchen_with({hooked()})));
    const UnitPlan& unit = plan.units.front();
    const double weight = 60 * 9.80665;
    // 60 kg at half the depth of 320 mm, held at 668 of its 720 mm: 132 N off the wall if it turned about its very
    // edge; it presses a strip, so somewhat more.
    const double lever = (unit.holes.front().z - unit.bottom).in_metres();
    const double out = weight * 0.160 / lever;
    double pull = 0;
    double down = 0;
    for (const PlannedHole& hole : unit.holes) {
        const HoleDemand& full = hole.demands.front();
        CHECK(full.when == "goods all over");
        pull += full.tension.in_si();
        down += full.down.in_si();
    }
    CHECK(down == Approx(weight));
    CHECK(pull >= out);
    CHECK(pull <= out * 1.05);
    // 20 kg of goods on the left half, 410 mm from the right plate of 520: that plate bears 10 + 15.8 kg.
    const HoleDemand& half = unit.holes.front().demands[1];
    CHECK(half.down.in_si() == Approx((10 + 20 * 410 / 520.0) * 9.80665));
    CHECK(unit.hook_load->in_si() == Approx(30 * 9.80665));
}

TEST_CASE("a hook plate that has no wood behind it holds nothing: an error with its place, and a rail as the cure",
          "[runs][hook-plates][safety][checks]") {
    const Job job = kitchen_with({hooked()}); // studs at 400 and 800; plates at 340 and 860
    const RunPlan plan = plan_of(job);
    std::vector<Length> at;
    const Check* loose = nullptr;
    for (const Check& check : plan.checks)
        if (check.code == checks::hook_plate_loose) {
            at.push_back(*check.x);
            loose = &check;
        }
    CHECK(at == std::vector<Length>{340_mm, 860_mm});
    CHECK(holds(plan) == Holds::no);
    CHECK_FALSE(plan.units.front().fixing);
    CHECK_FALSE(find_check(plan.checks, checks::no_fixing)); // said once
    REQUIRE(loose);
    REQUIRE(loose->cures.front().edit);
    const RunPlan railed = plan_of(apply(*loose->cures.front().edit, job));
    CHECK_FALSE(find_check(railed.checks, checks::hook_plate_loose));
    CHECK(railed.pieces.front().what == RunPiece::What::suspension_rail);
    // Where both plates meet studs it hangs.
    Run good = hooked();
    good.units.front().hook_plate.in = 100_mm;
    good.units.front().hook_plate.screws = 2; // one bears 264 N sideways through the lining
    const RunPlan held = plan_of(kitchen_with({good}));
    CHECK(held.units.front().fixing);
    CHECK(stays_up(holds(held)));
    // With one in wood and one in lining half a unit would hang: nothing is reckoned.
    Run one = hooked();
    one.left = 360_mm;
    const RunPlan half = plan_of(kitchen_with({one}));
    CHECK(find_check(half.checks, checks::hook_plate_loose));
    CHECK_FALSE(half.units.front().utilisation.known());
}

TEST_CASE("a hook plate on a stud that nobody has met waits for its pilot hole: not known to hold",
          "[runs][hook-plates][safety]") {
    Run run = hooked();
    run.units.front().hook_plate.in = 100_mm;
    run.units.front().hook_plate.screws = 2;
    Job job = kitchen_with({run});
    REQUIRE(stays_up(holds(plan_of(job))));
    for (Stud& stud : job.walls.front().studs)
        if (stud.centre == 800_mm)
            stud.state = StudState::detected; // the right plate's
    const RunPlan plan = plan_of(job);
    REQUIRE(find_check(plan.checks, checks::pilot_first));
    CHECK(find_check(plan.checks, checks::pilot_first)->x == 800_mm);
    CHECK(holds(plan) == Holds::unknown);
}

TEST_CASE("plates off the unit, and plates too low to hold it, are errors", "[runs][hook-plates][checks]") {
    Run run = hooked();
    run.units.front().hook_plate.in = 310_mm;
    CHECK(find_check(plan_of(on_brick(kitchen_with({run}))).checks, checks::hook_plate_off));
    run.units.front().hook_plate.in = 40_mm;
    run.units.front().hook_plate.down = 800_mm; // of 720
    CHECK(find_check(plan_of(on_brick(kitchen_with({run}))).checks, checks::hook_plate_off));
    run.units.front().hook_plate.down = 60_mm;
    run.units.front().hook_plate.screws = 2;
    const RunPlan two = plan_of(on_brick(kitchen_with({run})));
    CHECK(two.units.front().holes.size() == 4);
    CHECK_FALSE(find_check(two.checks, checks::hook_plate_off));
    CHECK(two.units.front().utilisation < plan_of(on_brick(kitchen_with({hooked()}))).units.front().utilisation);
}

TEST_CASE("base units hang their backs on a rail: rail first, hooks locked before the feet are wound",
          "[runs][hook-plates]") {
    CabinetUnit left = base_unit("b1", 600_mm);
    left.hanging = Hanging::suspension_rail;
    CabinetUnit right = base_unit("b2", 600_mm);
    right.hanging = Hanging::suspension_rail;
    Run run = run_of(RunLevel::floor, {left, right}, Slack::by_hand);
    run.left = 300_mm;
    const Job job = kitchen_with({run});
    const RunPlan plan = plan_of(job);
    const auto rail = std::ranges::find(plan.pieces, RunPiece::What::suspension_rail, &RunPiece::what);
    REQUIRE(rail != plan.pieces.end());
    CHECK(rail->from == 300_mm);
    CHECK(rail->to == 1500_mm);
    CHECK(plan.units.front().top - rail->z == job.rules.runs.rail_drop);
    CHECK(rail->fixings == std::vector<Length>{400_mm, 800_mm, 1200_mm});
    for (const UnitPlan& unit : plan.units) {
        CHECK(unit.holes.empty());
        CHECK(unit.hook_load);
        CHECK_FALSE(unit.feet.empty());
    }
    CHECK(kit_has(job, "Hook for a suspension rail"));
    CHECK(place_of(plan, "Screw the rail on") < place_of(plan, "lock the hooks"));
    CHECK(place_of(plan, "lock the hooks") < place_of(plan, "level them by their feet"));
    CHECK(place_of(plan, "level them by their feet") < plan.steps.size());
    // One beside them that is screwed is told so, by itself.
    Run mixed = run;
    mixed.units.back().hanging = Hanging::screws;
    CHECK(steps_say(plan_of(kitchen_with({mixed})), "b2: level, then through its back rail"));
}

TEST_CASE("a screw of a unit or of a rail is pinned where it is pulled to, and let go of", "[runs][pins]") {
    Run run = hooked(Hanging::screws);
    Job job = kitchen_with({run});
    RunPlan plan = plan_of(job);
    auto screw = pinnable_screw(job.walls.front().runs.front(), plan, "w1", 400_mm);
    REQUIRE(screw);
    CHECK(screw->at == 100_mm);
    CHECK(screw->most == 600_mm);
    CHECK_FALSE(screw->pin);
    job = apply(PinScrew{"w1", std::nullopt, 104_mm}, job);
    plan = plan_of(job);
    screw = pinnable_screw(job.walls.front().runs.front(), plan, "w1", 404_mm);
    REQUIRE(screw);
    CHECK(screw->pin == 104_mm);
    job = apply(PinScrew{"w1", 104_mm, 96_mm}, job);
    CHECK(job.walls.front().runs.front().units.front().pins == std::vector<Length>{96_mm});
    CHECK_FALSE(pinnable_screw(job.walls.front().runs.front(), plan, run.id, 400_mm)); // there is no rail
    job = apply(SetHanging{run.id, Hanging::suspension_rail}, job);
    plan = plan_of(job);
    screw = pinnable_screw(job.walls.front().runs.front(), plan, run.id, 400_mm);
    REQUIRE(screw);
    CHECK(screw->id == run.id);
    job = apply(PinScrew{run.id, std::nullopt, screw->at + 5_mm}, job);
    CHECK(job.walls.front().runs.front().rail_pins == std::vector<Length>{105_mm});
    CHECK_FALSE(pinnable_screw(job.walls.front().runs.front(), plan, "nobody", 400_mm));
}

TEST_CASE("what units hang on is kept, given out and taken in, and hangs the next run",
          "[runs][hook-plates][catalogue]") {
    Catalogue catalogue;
    CHECK_FALSE(gear_of(hooked(Hanging::screws)));
    Run plates = hooked();
    plates.units.front().hook_plate.in = 33_mm;
    Run railed = hooked(Hanging::suspension_rail);
    railed.rail.drop = 36_mm;
    railed.rail.stock = 2000_mm;
    keep_gear(catalogue, *gear_of(plates), "Plates");
    keep_gear(catalogue, *gear_of(railed), "Rail");
    REQUIRE(catalogue.hanging_gear.size() == 2);
    CHECK(catalogue.hanging_gear[0].rating == weight_of(65_kg));
    const auto read = entries_from_csv<HangingGear>(entries_csv(catalogue.hanging_gear));
    REQUIRE(read);
    CHECK(*read == catalogue.hanging_gear);
    const auto document = read_catalogue(write_catalogue(catalogue));
    REQUIRE(document);
    CHECK(document->hanging_gear == catalogue.hanging_gear);
    const auto wrong = entries_from_csv<HangingGear>("id,name,hung_by/kind\na,A,nail\n");
    REQUIRE_FALSE(wrong);
    CHECK(wrong.error().find("line 2") == 0);
    Run next = hooked(Hanging::suspension_rail);
    hang_on(next, catalogue.hanging_gear[0]);
    CHECK(next.units.front().hanging == Hanging::hook_brackets);
    CHECK(next.units.front().hook_plate.in == 33_mm);
    hang_on(next, catalogue.hanging_gear[1]);
    CHECK(next.rail.drop == 36_mm);
    const RunPlan plan = plan_of(kitchen_with({next}));
    REQUIRE_FALSE(plan.pieces.empty());
    CHECK(plan.units.front().top - plan.pieces.front().z == 36_mm);
    Run screwed = hooked(Hanging::screws);
    hang_on(screwed, catalogue.hanging_gear[0]);
    CHECK(screwed.units.front().hanging == Hanging::screws); // what is screwed stays so
}

TEST_CASE("every support that has measures is drawn with each of them, and the one that is asked for stands out",
          "[catalogue][drawing]") {
    const auto looks = [](const Drawing& drawing) {
        std::size_t out = 0;
        for (const Shape& shape : drawing.shapes)
            if (const auto* line = std::get_if<Line>(&shape.form))
                out += line->ink == Ink::level;
        return out;
    };
    const std::vector<std::pair<Holding, std::vector<std::string_view>>> asked{
        {OnStandards{}, {"width", "first_slot", "slot_pitch", "first_hole", "hole_every"}},
        {OnHiddenRods{}, {"in_wall", "in_shelf", "diameter"}},
        {PictureLedge{}, {"strip", "strip_thickness", "lip", "lip_thickness"}},
        {OnCleats{}, {"breadth", "thickness"}},
        {Pole{}, {"plate"}}};
    for (const auto& [holding, members] : asked) {
        CHECK(looks(draw_support(holding, "", 120, 70, 3, {})) == 0);
        for (const std::string_view member : members) {
            INFO(member);
            CHECK(looks(draw_support(holding, member, 120, 70, 3, {})) >= 3);
        }
    }
    for (const std::string_view member : {"in", "down"})
        CHECK(looks(draw_support(Gear{HookPlate{}}, member, 120, 70, 3, {})) >= 3);
    CHECK(looks(draw_support(Gear{SuspensionRail{}}, "drop", 120, 70, 3, {})) >= 3);
    CHECK(draw_support(Holding{OnBrackets{}}, "", 120, 70, 3, {}).shapes.empty());
}

TEST_CASE("what a hook bears goes by what its maker calls the figure, and goes with the gear",
          "[runs][hook-plates][safety]") {
    Run run = hooked();
    const double as_recommended = plan_of(kitchen_with({run})).units.front().hook_utilisation.number();
    run.units.front().hook_basis = FigureBasis::not_stated;
    const RunPlan plan = plan_of(kitchen_with({run}));
    CHECK(plan.units.front().hook_utilisation.number() == Approx(4 * as_recommended));
    const auto gear = gear_of(run);
    REQUIRE(gear);
    CHECK(gear->basis == FigureBasis::not_stated);
    Run next = hooked();
    hang_on(next, *gear);
    CHECK(next.units.front().hook_basis == FigureBasis::not_stated);
    Job job = kitchen_with({run});
    keep_gear(job.catalogue, *gear, "Mine");
    const auto back = read_job(write_job(job));
    REQUIRE(back);
    CHECK(back->job.walls.front().runs.front().units.front().hook_basis == FigureBasis::not_stated);
    CHECK(back->job.catalogue.hanging_gear.front().basis == FigureBasis::not_stated);
}
