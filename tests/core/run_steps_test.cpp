#include "core/fixings/hole_group.hpp"
#include "core/fixings/wood_screw.hpp"
#include "core/runs/run_checks.hpp"
#include "core/runs/run_pieces.hpp"
#include "core/runs/slide.hpp"
#include "core/runs/unit_loads.hpp"
#include "core/site/site_checks.hpp"
#include "run_walls.hpp"

#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

TEST_CASE("a wall run goes up from its ledger, held until one screw is in, then joined, then tightened",
          "[runs][steps]") {
    const RunPlan plan =
        plan_of(kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm), wall_unit("b", 900_mm)})}));
    const std::size_t ledger = place_of(plan, "ledger");
    const std::size_t hold = place_of(plan, "keep hold until it is in");
    const std::size_t join = place_of(plan, "clamp it to its neighbour", "Unit b");
    const std::size_t tighten = place_of(plan, "tighten every screw");
    CHECK(place_of(plan, "detector") == 0);
    CHECK(ledger < hold);
    CHECK(hold < join);
    CHECK(join < tighten);
    REQUIRE(tighten < plan.steps.size());
    CHECK(plan.steps[hold].hold_point);
    CHECK(plan.steps[tighten].hold_point);
    CHECK(place_of(plan, "clamp it", "Unit a") == plan.steps.size()); // the first has no neighbour yet
}

TEST_CASE("the order begins in the corner, or at the free end where the house says so", "[runs][steps]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm), wall_unit("b", 900_mm)})});
    job.walls.front().left_end = WallEnd::open; // the corner is at the right
    CHECK(place_of(plan_of(job), "lift", "Unit b") < place_of(plan_of(job), "lift", "Unit a"));
    job.rules.runs.start_at = StartAt::end;
    CHECK(place_of(plan_of(job), "lift", "Unit a") < place_of(plan_of(job), "lift", "Unit b"));
    CHECK(place_of(plan_of(job), "free end") < plan_of(job).steps.size()); // and says why
    CHECK(place_of(plan_of(job), "your back is saved") < plan_of(job).steps.size());
    job.rules.runs.hang_first = HangFirst::base_units;
    CHECK(place_of(plan_of(job), "they carry the wall units") < plan_of(job).steps.size());
}

TEST_CASE("two lift what one may not", "[runs][steps]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm)})});
    CabinetUnit& unit = job.walls.front().runs.front().units.front();
    unit.mass = 12_kg;
    unit.doors_mass = 4_kg;
    CHECK(place_of(plan_of(job), "two lift 8.0 kg") < plan_of(job).steps.size());
    unit.doors_mass = 6_kg;
    CHECK(place_of(plan_of(job), "two lift") == plan_of(job).steps.size());
    CHECK(place_of(plan_of(job), "lift 6.0 kg up") < plan_of(job).steps.size());
}

TEST_CASE("units on a rail are locked before they are levelled, the rail comes first", "[runs][steps]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm)})});
    job = apply(SetHanging{"wall-run", Hanging::suspension_rail}, job);
    const RunPlan plan = plan_of(job);
    const std::size_t rail = place_of(plan, "Screw the rail on");
    const std::size_t lock = place_of(plan, "lock them; only then level it");
    CHECK(rail < lock);
    REQUIRE(lock < plan.steps.size());
    CHECK(plan.steps[lock].hold_point);
}

TEST_CASE("a run on the floor has its legs set first, its tall units held, its openings measured", "[runs][steps]") {
    const RunPlan plan =
        plan_of(kitchen_with({run_of(RunLevel::floor, {tall_unit("t", 900_mm, 1900_mm),
                                                       gap("g", 600_mm, {ApplianceKind::undercounter, 820_mm, {}})})}));
    CHECK(place_of(plan, "set its legs") < place_of(plan, "stand and level them"));
    const std::size_t held = place_of(plan, "hold it until its top screws are in the studs");
    REQUIRE(held < plan.steps.size());
    CHECK(plan.steps[held].hold_point);
    CHECK(place_of(plan, "measure its opening in front and at the back") < plan.steps.size());
}

TEST_CASE("what is wrong with a run stands before its steps", "[runs][steps]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm)})});
    CHECK(place_of(plan_of(job), "Clear the errors") == plan_of(job).steps.size());
    job.walls.front().studs.clear();
    CHECK(place_of(plan_of(job), "Clear the errors") == 1);
}

TEST_CASE("a rail's fixings carry by hand sums what hangs on it", "[runs][safety]") {
    // One 900 unit on studs at 400 and 800: by levers about its middle, 450, the first carries (800 - 450) / 400 = 7/8,
    // more than the two thirds that lie nearer to it.
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm)})});
    job = apply(SetHanging{"wall-run", Hanging::suspension_rail}, job);
    job.walls.front().runs.front().units.front().loaded_mass = 45_kg;
    const RunPlan plan = plan_of(job);
    const RailHold& rail = plan.pieces.front().hold;
    REQUIRE(rail.fixing);
    const double weight = 45 * 9.80665;
    const double lever = 0.720 - 0.040; // from the rail's lower edge to the unit's bottom
    const double pull = weight * 0.16 / lever * 7 / 8 / static_cast<double>(rail.screws);
    const double shear = weight * 7 / 8 / static_cast<double>(rail.screws);
    // The combined check of one screw by its two capacities gives the utilisation shown.
    CHECK(rail.utilisation.number() == Approx(combined_utilisation(Force::newtons(pull), Force::newtons(shear),
                                                                   rail.fixing->tension, rail.fixing->shear)
                                                  .number())
                                           .epsilon(0.01));
}

TEST_CASE("a rail that reaches far beyond its last stud loads that stud by levers", "[runs][safety]") { // statics
    // Studs at 400 and 800 under a rail of 1800: its middle, 900, lies beyond both. By levers the second carries
    // (900 - 400) / 400 = 1.25 of all that hangs there; by what is nearest to it only 1200 / 1800. With goods on the
    // right half of the first unit alone, which the first stud then need not help to hold down, a little more.
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm), wall_unit("b", 900_mm)})});
    job = apply(SetHanging{"wall-run", Hanging::suspension_rail}, job);
    job.walls.front().studs.resize(2);
    for (CabinetUnit& unit : job.walls.front().runs.front().units)
        unit.loaded_mass = 22_kg;
    const RunPlan plan = plan_of(job);
    const RailHold& rail = plan.pieces.front().hold;
    REQUIRE(rail.fixing);
    const double each = 1.25 / static_cast<double>(rail.screws);
    const Force weight = weight_of(44_kg);
    CHECK(rail.utilisation.number() == Approx(combined_utilisation(weight * 0.16 / 0.680 * each, weight * each,
                                                                   rail.fixing->tension, rail.fixing->shear)
                                                  .number())
                                           .epsilon(0.01));
    const Check* beyond = find_check(plan.checks, checks::spacing_over_limit);
    REQUIRE(beyond);
    CHECK(beyond->amount->si == Approx(1.0 - 0.4064)); // 1000 beyond 800, 16 in allowed
}

TEST_CASE("places on one rigid part share a load by levers", "[runs][safety]") { // statics
    CHECK(greatest_share({0.4, 0.8}, 0.6) == Approx(0.5));
    CHECK(greatest_share({0.4, 0.8}, 0.9) == Approx(1.25));
    CHECK(greatest_share({0.4}, 0.9) == Approx(1));
    CHECK(greatest_share({0.0, 0.5, 1.0}, 0.5) == Approx(1.0 / 3));
}

TEST_CASE("cuts of a rail add up to it and none is longer than its stock or too short to fix", "[runs][property]") {
    rc::prop("any length from any usual stock", [] {
        const Length length = Length::mm(*rc::gen::inRange(300, 20'000));
        const Length stock = Length::mm(*rc::gen::inRange(700, 3000));
        const std::vector<Length> cuts = cut_from_stock(length, stock, 300_mm);
        Length sum;
        for (const Length cut : cuts) {
            RC_ASSERT(cut <= stock);
            RC_ASSERT(cut >= 300_mm);
            sum += cut;
        }
        RC_ASSERT(sum == length);
        const auto least = (length.in_nanometres() + stock.in_nanometres() - 1) / stock.in_nanometres();
        RC_ASSERT(static_cast<std::int64_t>(cuts.size()) == least); // no more pieces than needed
    });
}

TEST_CASE("a pushed run goes as far as it is pushed, its end fillers giving and taking", "[runs][property]") {
    rc::prop("units keep together and fillers their limits", [] {
        std::vector<CabinetUnit> units{filler("l", 40_mm, 10_mm, 90_mm), wall_unit("a", 600_mm), wall_unit("b", 500_mm),
                                       filler("r", 60_mm, 10_mm, 110_mm)};
        Job job = kitchen_with({run_of(RunLevel::wall, units)}, 1200_mm);
        const RunPlan before = plan_of(job);
        const Length by = Length::mm(*rc::gen::inRange(-200, 200));
        const RunPlan after = plan_of(apply(push_run(job.walls.front().runs.front(), before.layout, by), job));
        RC_ASSERT(after.layout.left() == before.layout.left());
        RC_ASSERT(after.layout.right() == before.layout.right());
        const Length moved = after.layout.units[1].left - before.layout.units[1].left;
        RC_ASSERT(moved == std::max(-30_mm, std::min(50_mm, by)));
        for (const std::size_t end : {std::size_t{0}, std::size_t{3}}) {
            RC_ASSERT(after.layout.units[end].width >= units[end].least);
            RC_ASSERT(after.layout.units[end].width <= units[end].most);
        }
    });
    Job free = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 600_mm)})});
    const RunPlan before = plan_of(free);
    const RunPlan after = plan_of(apply(push_run(free.walls.front().runs.front(), before.layout, 250_mm), free));
    CHECK(after.layout.left() == 250_mm);
}

TEST_CASE("the slide's edit puts every chain where the search put it", "[runs][slide][property]") {
    rc::prop("several chains with fillers between", [] {
        std::vector<CabinetUnit> units;
        const int chains = *rc::gen::inRange(1, 4);
        Length least;
        for (int c = 0; c < chains; ++c) {
            units.push_back(filler("f" + std::to_string(c), 40_mm, 10_mm, Length::mm(*rc::gen::inRange(40, 400))));
            for (int u = 0, n = *rc::gen::inRange(1, 3); u < n; ++u)
                units.push_back(
                    wall_unit("u" + std::to_string(c) + std::to_string(u), Length::mm(10 * *rc::gen::inRange(60, 95))));
        }
        units.push_back(filler("last", 40_mm, 10_mm, 400_mm));
        for (const CabinetUnit& unit : units)
            least += is_filler(unit) ? unit.least : unit.width;
        const Job job = kitchen_with({run_of(RunLevel::wall, units, Slack::fillers)},
                                     least + Length::mm(*rc::gen::inRange(0, 400)), 400_mm, 350_mm);
        const RunPlan before = plan_of(job);
        RC_CLASSIFY(before.slide.possible);
        if (!before.slide.possible)
            return;
        const Run& run = job.walls.front().runs.front();
        const RunPlan after = plan_of(apply(place_by_slide(run, before.layout, before.slide), job));
        for (std::size_t c = 0; c < before.slide.chains.size(); ++c)
            RC_ASSERT(after.slide.chains[c].now == before.slide.places[c]);
        RC_ASSERT(after.slide.holds_now());
        RC_ASSERT(after.layout.right() == *after.layout.to);
        RC_ASSERT(!find_check(after.checks, checks::few_studs));
        RC_ASSERT(!find_check(after.checks, checks::filler_out_of_range));
    });
}

TEST_CASE("edits of runs change what they name and leave a job without it alone", "[runs][edits]") {
    const Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 600_mm), wall_unit("b", 500_mm)})});
    const auto units = [](const Job& of) { return of.walls.front().runs.front().units; };
    CHECK(units(apply(ReorderUnit{"b", 0}, job))[0].id == "b");
    CHECK(units(apply(ReorderUnit{"a", 99}, job))[1].id == "a");
    CHECK(units(apply(RemoveUnit{"a"}, job)).size() == 1);
    CHECK(units(apply(SetHinge{"a", DoorHinge::right}, job))[0].hinge == DoorHinge::right);
    CHECK(units(apply(ResizeUnit{"b", 450_mm}, job))[1].width == 450_mm);
    CHECK(apply(SetSlack{"wall-run", Slack::both_ends}, job).walls.front().runs.front().slack == Slack::both_ends);
    for (const Edit& edit :
         {Edit{ReorderUnit{"z", 0}}, Edit{RemoveUnit{"z"}}, Edit{ResizeUnit{"z", 1_mm}}, Edit{SetHinge{"z"}},
          Edit{SetSlack{"z"}}, Edit{SetHanging{"z"}}, Edit{PlaceRun{"z", 1_mm, {}}},
          Edit{SetLine{"z", "worktop", 1_mm}}, Edit{SetRelation{"room-1", 99, 1_mm}}, Edit{TakeLines{"z", {}, {}}},
          Edit{SetLine{"room-1", "z", 1_mm}}})
        CHECK(apply(edit, job) == job);
}

TEST_CASE("a unit without a mass is weighed by its panels", "[runs]") {
    CabinetUnit unit = wall_unit("a", 600_mm);
    unit.mass = 0;
    unit.loaded_mass.reset();
    unit.back = 8_mm;
    unit.hinge = DoorHinge::left;
    // Two sides, three boards across, a door, all 18 mm; the back 8 mm; 700 kg/m3 (common practice).
    const double boards = 2 * 0.72 * 0.32 + 3 * 0.6 * 0.32 + 0.6 * 0.72;
    CHECK(empty_mass_of(unit) == Approx((boards * 0.018 + 0.6 * 0.72 * 0.008) * 700));
    // Two shelves of 0.72 kPa in 720 mm of height, and a unit told lighter than empty weighs what it is.
    const RunRules rules;
    CHECK(loaded_mass_of(unit, rules) == approx(empty_mass_of(unit) + 2 * 0.6 * 0.32 * 73.4_kg));
    unit.loaded_mass = 1_kg;
    CHECK(loaded_mass_of(unit, rules) == approx(empty_mass_of(unit)));
}

TEST_CASE("joining, drawers, doors, caps and plinth are steps of their own, and name what they are for",
          "[runs][steps]") {
    CabinetUnit drawers = base_unit("d", 600_mm);
    drawers.hinge = DoorHinge::drawers;
    CabinetUnit door = base_unit("e", 600_mm);
    door.hinge = DoorHinge::left;
    const RunPlan floor = plan_of(kitchen_with({run_of(RunLevel::floor, {drawers, door})}));
    const std::size_t in = place_of(floor, "Drawers in", "Unit d");
    const std::size_t doors = place_of(floor, "Hang the doors", "Unit e");
    CHECK(place_of(floor, "tighten every screw") < in);
    CHECK(in < doors);
    CHECK(doors < place_of(floor, "Shelves in"));
    CHECK(place_of(floor, "Hang the doors", "Unit d") == floor.steps.size());
    CHECK(place_of(floor, "Plinth from") < floor.steps.size());
    CHECK(place_of(floor, "carry the worktop in") < in); // nothing falls onto what is set
    CabinetUnit left = wall_unit("a", 900_mm);
    CabinetUnit right = wall_unit("b", 900_mm);
    const RunPlan wall = plan_of(kitchen_with({run_of(RunLevel::wall, {left, right})}));
    const std::size_t clamp = place_of(wall, "clamp it to its neighbour", "Unit b");
    CHECK(wall.steps[clamp].hold_point);
    CHECK(place_of(wall, "join them through the sides", "Unit b") == clamp + 1);
    CHECK(place_of(wall, "clamps off, caps on") == clamp + 1);
    CHECK(place_of(wall, "Drawers in") == wall.steps.size()); // there are none
    CHECK(place_of(wall, "Hang the doors") == wall.steps.size());
}
