#include "run_walls.hpp"

#include "core/job/file.hpp"
#include "core/runs/run_checks.hpp"
#include "core/runs/run_pieces.hpp"
#include "core/runs/unit_loads.hpp"
#include "core/site/site_checks.hpp"
#include "core/site/strip_checks.hpp"

#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

namespace {

Length left_of(const RunPlan& plan, std::size_t unit) {
    return plan.layout.units[unit].left;
}

} // namespace

TEST_CASE("units stand side by side and the tally is the sum a person would write", "[runs]") {
    const RunPlan plan = plan_of(kitchen_with(
        {run_of(RunLevel::wall, {wall_unit("a", 600_mm), wall_unit("b", 450_mm), filler("f", 38_mm, 20_mm, 60_mm)})}));
    CHECK(left_of(plan, 1) == 600_mm);
    CHECK(left_of(plan, 2) == 1050_mm);
    const auto tally = std::ranges::find(plan.workings, "tally", &Working::subject);
    REQUIRE(tally != plan.workings.end());
    CHECK(tally->result.si == Approx(1.088));
    CHECK(tally->sum == "{0} + {1} + {2}");
    CHECK(tally->terms[2].own == "Filler f");
}

TEST_CASE("slack goes where the policy says", "[runs]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 600_mm), wall_unit("b", 600_mm)})}, 2000_mm);
    Run& run = job.walls.front().runs.front();
    const auto first_left = [&](Slack slack) {
        run.slack = slack;
        return left_of(plan_of(job), 0);
    };
    CHECK(first_left(Slack::right_end) == Length{});
    CHECK(first_left(Slack::left_end) == 800_mm);
    CHECK(first_left(Slack::both_ends) == 400_mm);
    job.walls.front().openings.push_back({OpeningKind::window, 900_mm, 1000_mm, 500_mm, 300_mm, {}, {}});
    CHECK(first_left(Slack::on_opening) == 550_mm); // its middle under the window's, at 1150
    run.centre_unit = "a";
    CHECK(first_left(Slack::on_opening) == 800_mm); // as far as the wall lets it: 850 wanted
}

TEST_CASE("a hood is centred over the hob, wherever the hob stands", "[runs]") {
    CabinetUnit hob = base_unit("hob", 600_mm);
    hob.appliance = Appliance{ApplianceKind::hob, {}, {}};
    CabinetUnit hood = wall_unit("hood", 900_mm, 400_mm);
    hood.appliance = Appliance{ApplianceKind::hood, {}, 650_mm};
    Job job = kitchen_with({run_of(RunLevel::floor, {base_unit("a", 800_mm), hob}),
                            run_of(RunLevel::wall, {wall_unit("w", 400_mm), hood}, Slack::on_hob)});
    const RunPlan plan = plan_of(job, 1);
    CHECK(left_of(plan, 1) + 450_mm == 1100_mm); // hob 800..1400
}

TEST_CASE("fillers share the slack between their least and most", "[runs][property]") {
    rc::prop("whatever their limits let be shared is shared, and no limit is broken", [] {
        std::vector<CabinetUnit> units;
        Length least;
        Length most;
        const int number = *rc::gen::inRange(1, 5);
        for (int i = 0; i < number; ++i) {
            const Length low = Length::mm(*rc::gen::inRange(0, 80));
            const Length high = low + Length::mm(*rc::gen::inRange(1, 120));
            units.push_back(filler("f" + std::to_string(i), low + 1_mm, low, high));
            units.push_back(wall_unit("u" + std::to_string(i), 300_mm));
            least += low + 300_mm;
            most += high + 300_mm;
        }
        const Length room = least + Length::mm(*rc::gen::inRange(-100, 500));
        RC_PRE(room > Length{});
        const RunPlan plan = plan_of(kitchen_with({run_of(RunLevel::wall, units, Slack::fillers)}, room));
        const Length over = plan.layout.right() - room;
        RC_ASSERT(over == std::max(least - room, Length{}) || (room > most && over == most - room));
        for (std::size_t i = 0; i < units.size(); i += 2) {
            RC_ASSERT(plan.layout.units[i].width >= units[i].least);
            RC_ASSERT(plan.layout.units[i].width <= units[i].most);
        }
    });
}

TEST_CASE("a run between leaning walls takes the narrowest", "[runs]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 1000_mm), wall_unit("b", 1000_mm)})}, 2010_mm);
    job.walls.front().widths = {{100_mm, 2012_mm, {}}, {1400_mm, 2004_mm, {}}, {2200_mm, 1995_mm, {}}};
    const RunPlan plan = plan_of(job);
    CHECK(plan.layout.to == 1995_mm);
    const Check* over = find_check(plan.checks, checks::run_overruns);
    REQUIRE(over);
    CHECK(over->amount->si == Approx(0.005));
}

TEST_CASE("an overrun is told in figures and cured by the button", "[runs]") {
    Job job = kitchen_with(
        {run_of(RunLevel::wall, {filler("f", 60_mm, 20_mm, 80_mm), wall_unit("a", 900_mm), wall_unit("b", 560_mm)})},
        1500_mm);
    const RunPlan plan = plan_of(job);
    const Check* over = find_check(plan.checks, checks::run_overruns);
    REQUIRE(over);
    CHECK(over->amount->si == Approx(0.020));
    REQUIRE(over->cures.front().edit);
    const RunPlan after = plan_of(apply(*over->cures.front().edit, job));
    CHECK_FALSE(find_check(after.checks, checks::run_overruns));
    CHECK(after.layout.right() == 1500_mm);
}

TEST_CASE("a run that waits for itself says so and reckons on", "[runs]") {
    Job job = kitchen_with(
        {run_of(RunLevel::wall, {wall_unit("a", 600_mm)}), run_of(RunLevel::floor, {base_unit("b", 600_mm)})});
    job.walls.front().runs[0].start = {EndKind::run, 1, "floor-run", {}, {}, {}};
    job.walls.front().runs[1].start = {EndKind::run, 1, "wall-run", {}, {}, {}};
    CHECK((find_check(plan_of(job, 0).checks, checks::run_end_unknown) ||
           find_check(plan_of(job, 1).checks, checks::run_end_unknown)));
    job.walls.front().runs[0].start = {EndKind::opening, 3, {}, {}, {}, {}};
    CHECK(find_check(plan_of(job, 0).checks, checks::run_end_unknown));
}

TEST_CASE("a run in a corner begins in front of the next wall's units", "[runs]") {
    Job job = kitchen_with({run_of(RunLevel::floor, {base_unit("a", 600_mm)})}, 3000_mm);
    Wall next = job.walls.front();
    next.id = "wall-2";
    next.runs.front().id = "other";
    next.runs.front().units.front().id = "b";
    next.runs.front().start = {EndKind::run, 1, "floor-run", {}, 30_mm, {}};
    job.walls.front().runs.front().slack = Slack::left_end; // against its right corner
    job.walls.push_back(next);
    const Plan plan = reckon(job);
    CHECK(plan.walls[1]->runs.front().layout.left() == 590_mm); // 560 deep, no door, 30 kept clear
    CHECK_FALSE(find_check(plan.walls[1]->runs.front().checks, checks::meets_neighbour));
    job.walls[1].runs.front().start = {};
    const Plan meeting = reckon(job);
    CHECK(find_check(meeting.walls[1]->runs.front().checks, checks::meets_neighbour));
}

TEST_CASE("what a unit must not do is told with an amount and a cure", "[runs][checks]") {
    const auto has = [](const Job& job, CheckCode code, std::size_t run = 0) {
        const RunPlan plan = plan_of(job, run);
        const Check* check = find_check(plan.checks, code);
        if (check) {
            CHECK_FALSE(check->cures.empty());
        }
        return check != nullptr;
    };
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm)})});
    CabinetUnit& unit = job.walls.front().runs.front().units.front();
    CHECK_FALSE(has(job, checks::unit_top_only));
    SECTION("a top rail alone") {
        unit.rails.pop_back();
        CHECK(has(job, checks::unit_top_only));
    }
    SECTION("a thin back and no rail") {
        unit.rails.clear();
        unit.back = 6_mm;
        CHECK(has(job, checks::rails_unknown));
        unit.back = 16_mm; // thick enough to stand for rails
        CHECK_FALSE(has(job, checks::rails_unknown));
    }
    SECTION("a screw in a service strip") {
        job.walls.front().services.push_back({ServiceKind::socket, 800_mm, 1100_mm, 86_mm, false, {}});
        CHECK(has(job, checks::detect_first));
    }
    SECTION("over an opening") {
        job.walls.front().openings.push_back({OpeningKind::window, 700_mm, 900_mm, 900_mm, 1000_mm, {}, {}});
        CHECK(has(job, checks::over_opening));
    }
    SECTION("above the ceiling") {
        unit.height = 1600_mm; // it would reach the worktop before the ceiling: its line is lifted
        CHECK(has(job, checks::over_ceiling));
    }
    SECTION("loaded beyond its screws") {
        unit.loaded_mass = 600_kg;
        CHECK(has(job, checks::fixing_overloaded));
    }
    SECTION("too heavy to lift alone") {
        CHECK(has(job, checks::lift_over_limit));
        unit.mass = 6_kg;
        CHECK_FALSE(has(job, checks::lift_over_limit));
    }
    SECTION("a door into the side wall") {
        unit.hinge = DoorHinge::left;
        CHECK(has(job, checks::door_meets_wall));
        const RunPlan plan = plan_of(job);
        const Check* door = find_check(plan.checks, checks::door_meets_wall);
        CHECK_FALSE(has(apply(*door->cures.front().edit, job), checks::door_meets_wall));
    }
    SECTION("hooks of unknown strength, or too weak") {
        unit.hanging = Hanging::hook_brackets;
        CHECK(has(job, checks::unit_hardware_unrated));
        unit.hook_rating = 100_n;
        CHECK(has(job, checks::fixing_overloaded));
        unit.hook_rating = 1000_n;
        CHECK_FALSE(has(job, checks::fixing_overloaded));
    }
    SECTION("a tall unit that cannot be tilted upright, and one that can") {
        Job tall = kitchen_with({run_of(RunLevel::floor, {tall_unit("t", 600_mm, 2200_mm)})});
        // sqrt(2350^2 + 560^2) = 2415.8 mm under 2400.
        CHECK(has(tall, checks::unit_cannot_tilt));
        tall.walls.front().height = 2450_mm;
        CHECK_FALSE(has(tall, checks::unit_cannot_tilt));
    }
    SECTION("anything low over a hob") {
        CabinetUnit hob = base_unit("hob", 600_mm);
        hob.appliance = Appliance{ApplianceKind::hob, {}, {}};
        job.walls.front().runs.push_back(run_of(RunLevel::floor, {hob}));
        CHECK(has(job, checks::hood_near_hob)); // 450 mm over it, 650 kept
    }
    SECTION("an opening that is not parallel") {
        CabinetUnit room = gap("g", 450_mm, {ApplianceKind::undercounter, 820_mm, {}});
        room.gap_front = Length::inches(17, {13, 16});
        room.gap_back = Length::inches(17, {9, 16});
        job.walls.front().runs.push_back(run_of(RunLevel::floor, {room}));
        const RunPlan plan = plan_of(job, 1);
        const Check* check = find_check(plan.checks, checks::opening_not_parallel);
        REQUIRE(check);
        CHECK(check->amount->si == Approx(Length::inches(0, {1, 4}).in_metres())); // common practice
    }
    SECTION("two runs through one another") {
        Run second = run_of(RunLevel::wall, {wall_unit("z", 500_mm)});
        second.id = "second";
        second.slack = Slack::by_hand;
        second.left = 800_mm;
        job.walls.front().runs.push_back(second);
        CHECK(has(job, checks::over_thing));
    }
}

TEST_CASE("nothing is counted on in assumed studs, lining or steel", "[runs][safety]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm)})});
    const auto verdict = [&] {
        const RunPlan plan = plan_of(job);
        const Check* few = find_check(plan.checks, checks::few_studs);
        CHECK_FALSE(plan.units.front().fixing);
        return few && few->severity == Severity::error;
    };
    for (Stud& stud : job.walls.front().studs)
        stud.state = StudState::assumed;
    CHECK(verdict());
    for (Stud& stud : job.walls.front().studs) { // told as proved, and yet known to a hand's breadth only
        stud.state = StudState::proved;
        stud.uncertainty = 12_mm;
    }
    CHECK(verdict());
    job.walls.front().studs.clear();
    CHECK(verdict());
    job.walls.front().structure = LiningOnly{};
    CHECK(verdict());
    job.walls.front().structure = Framing{38_mm, 89_mm, 400_mm, Species::unknown, StudMaterial::steel};
    CHECK(verdict());
}

TEST_CASE("marks on a unit's back are the wall's marks less its edge and its side", "[runs][property]") {
    rc::prop("outside, inside and from the right agree with the place on the wall", [] {
        Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", Length::mm(*rc::gen::inRange(300, 1200)))})});
        Run& run = job.walls.front().runs.front();
        run.slack = Slack::by_hand;
        run.left = Length::mm(*rc::gen::inRange(0, 2000));
        const RunPlan plan = plan_of(job);
        const UnitPlan& unit = plan.units.front();
        for (const PlannedHole& hole : unit.holes) {
            RC_ASSERT(unit.from_left(hole) + unit.place.left == hole.x);
            RC_ASSERT(unit.inside_left(hole) + 16_mm == unit.from_left(hole));
            RC_ASSERT(unit.inside_left(hole) + unit.inside_right(hole) + 32_mm == unit.place.width);
            RC_ASSERT(unit.inside_left(hole) >= job.rules.runs.driver_room);
            RC_ASSERT(unit.inside_right(hole) >= job.rules.runs.driver_room);
        }
    });
}

TEST_CASE("more load never pulls less on a screw through the same holes", "[runs][safety][property]") {
    rc::prop("tension and shear grow with the load", [] {
        Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm)})});
        std::optional<Mass>& loaded = job.walls.front().runs.front().units.front().loaded_mass;
        loaded = Mass::kg(*rc::gen::inRange(20, 200));
        const UnitPlan before = plan_of(job).units.front();
        *loaded += Mass::kg(*rc::gen::inRange(1, 100));
        const UnitPlan after = plan_of(job).units.front();
        RC_ASSERT(after.holes.size() >= before.holes.size()); // a second screw in each stud, never one fewer
        if (after.holes.size() == before.holes.size()) {
            RC_ASSERT(after.tension > before.tension);
            RC_ASSERT(after.shear > before.shear);
        }
    });
}

TEST_CASE("legs reach from the floor as it is to the plinth line, where they run out a packer takes over", "[runs]") {
    Job job = kitchen_with({run_of(RunLevel::floor, {base_unit("a", 600_mm), base_unit("b", 600_mm)})});
    // The floor falls 12 mm over 1200: down from the level line 1000 at 0, 1012 at 1200.
    job.walls.front().floor = {{Length{}, 1000_mm, {}}, {1200_mm, 1012_mm, {}}};
    RunPlan plan = plan_of(job);
    const auto& feet = plan.units[1].feet;
    REQUIRE(feet.size() == 4);
    CHECK(feet.front().x == 650_mm);
    CHECK(feet.front().height == 156_mm + Length::micrometres(500)); // 650/1200 of 12
    CHECK(feet.front().packer == Length{});
    CHECK_FALSE(find_check(plan.checks, checks::legs_run_out));
    job.walls.front().floor[1].down = 1060_mm;
    plan = plan_of(job);
    const Foot& far = plan.units[1].feet.back();
    CHECK(far.height == 207_mm + Length::micrometres(500)); // 1150/1200 of 60
    CHECK(far.packer == far.height - 170_mm);
    CHECK(find_check(plan.checks, checks::legs_run_out));
}

TEST_CASE("every screw is packed out to the proudest place, and the screw grows by it", "[runs]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm)})});
    const Length flat = plan_of(job).units.front().fixing->screw_length;
    // A string 20 mm off: the wall is 12 mm hollow at 800.
    job.walls.front().face = {{Length{}, 1400_mm, 20_mm, {}}, {800_mm, 1400_mm, 32_mm, {}},
                              {1600_mm, 1400_mm, 20_mm, {}},  {Length{}, 2000_mm, 20_mm, {}},
                              {800_mm, 2000_mm, 32_mm, {}},   {1600_mm, 2000_mm, 20_mm, {}}};
    const RunPlan plan = plan_of(job);
    Length most;
    for (const PlannedHole& hole : plan.units.front().holes)
        most = std::max(most, hole.packing);
    CHECK(most >= 11_mm);
    CHECK(plan.units.front().fixing->screw_length > flat);
    CHECK(plan.units.front().fixing->penetration >= job.rules.penetration_wanted);
}

TEST_CASE("a filler against a leaning wall gets a cutting table", "[runs]") {
    Job job = kitchen_with(
        {run_of(RunLevel::wall, {wall_unit("a", 900_mm), filler("f", 50_mm, 20_mm, 100_mm)}, Slack::fillers)}, 960_mm);
    job.walls.front().widths = {{1350_mm, 956_mm, {}}, {2070_mm, 944_mm, {}}};
    const RunPlan plan = plan_of(job);
    REQUIRE(plan.scribes.size() == 1);
    CHECK(plan.scribes.front().cuts.front().width == 56_mm);
    CHECK(plan.scribes.front().cuts.back().width == 44_mm);
    CHECK(plan.scribes.front().cuts.size() == 9);                // every 100 mm of 720 and its top
    CHECK(find_check(plan.checks, checks::filler_out_of_range)); // 12 mm, and no stock left on
}

TEST_CASE("rail, worktop, plinth and ledger run as far as the units that share them", "[runs]") {
    Job job = kitchen_with(
        {run_of(RunLevel::floor, {base_unit("a", 600_mm), gap("g", 600_mm, {ApplianceKind::undercounter, 820_mm, {}}),
                                  tall_unit("t", 600_mm, 1920_mm), base_unit("b", 400_mm)}),
         run_of(RunLevel::wall, {wall_unit("c", 800_mm), wall_unit("d", 800_mm)})});
    const RunPlan floor = plan_of(job, 0);
    std::vector<Length> tops;
    std::vector<Length> plinths;
    for (const RunPiece& piece : floor.pieces)
        (piece.what == RunPiece::What::worktop ? tops : plinths).push_back(piece.to - piece.from);
    CHECK(tops == std::vector<Length>{1200_mm, 400_mm});
    CHECK(plinths == std::vector<Length>{2200_mm});
    const RunPlan wall = plan_of(job, 1);
    REQUIRE(wall.pieces.size() == 1);
    CHECK(wall.pieces.front().what == RunPiece::What::ledger);
    CHECK(wall.pieces.front().z == wall.units.front().bottom);
    CHECK(wall.pieces.front().fixings == std::vector<Length>{400_mm, 800_mm, 1200_mm, 1600_mm});
}

TEST_CASE("a suspension rail is cut from stock and fixed at every stud, or every 12 in into masonry", "[runs]") {
    CHECK(cut_from_stock(5000_mm, 84_in, 300_mm) ==
          std::vector<Length>{84_in, 84_in, 5000_mm - 2 * 84_in}); // common practice: stock of 84 in
    CHECK(cut_from_stock(84_in + 100_mm, 84_in, 300_mm) == std::vector<Length>{84_in - 200_mm, 300_mm});
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm), wall_unit("b", 900_mm)})});
    job = apply(SetHanging{"wall-run", Hanging::suspension_rail}, job);
    const RunPlan framed = plan_of(job);
    REQUIRE(framed.pieces.front().what == RunPiece::What::suspension_rail);
    CHECK(framed.pieces.front().fixings.size() == 4);
    CHECK(framed.pieces.front().hold.utilisation.known());
    CHECK(framed.units.front().holes.empty());
    job.walls.front().structure = Masonry{MasonryKind::brick};
    const RunPlan brick = plan_of(job);
    for (std::size_t i = 1; i < brick.pieces.front().fixings.size(); ++i)
        CHECK(brick.pieces.front().fixings[i] - brick.pieces.front().fixings[i - 1] <= 12_in);
    const auto hook = std::ranges::find_if(
        brick.steps, [](const Step& step) { return step.words.pattern.find("lock") != std::string_view::npos; });
    CHECK(hook != brick.steps.end()); // locked before it is levelled
    CHECK(hook->hold_point);
}

TEST_CASE("lines and runs keep through a file, what does not fit is refused with its place", "[runs][file]") {
    Job job = kitchen_with(
        {run_of(RunLevel::floor, {base_unit("a", 600_mm), gap("g", 600_mm, {ApplianceKind::cooling, 1786_mm, 6_mm})}),
         run_of(RunLevel::wall, {filler("f", 38_mm, 20_mm, 60_mm), wall_unit("b", 600_mm)})});
    job.walls.front().runs[0].units[1].gap_front = 601_mm;
    job.walls.front().runs[1].end = {EndKind::place, 1, {}, 2000_mm, 10_mm, {}};
    job.rooms.front().lines.front().wanted = 160_mm;
    const auto loaded = read_job(write_job(job));
    REQUIRE(loaded);
    CHECK(loaded->job == job);
    Job broken = job;
    broken.rooms.front().line_relations.front().over = "attic";
    const auto refused = read_job(write_job(broken));
    REQUIRE_FALSE(refused);
    CHECK(refused.error().place == "rooms[0].line_relations[0].over");
    broken = job;
    broken.walls.front().runs[1].units[1].id = "a";
    REQUIRE_FALSE(read_job(write_job(broken)));
}

TEST_CASE("no run is too strange to be reckoned", "[runs][property]") {
    rc::prop("any sizes, ends, hangings and readings come to a plan", [] {
        const auto length = [](int low, int high) { return Length::mm(*rc::gen::inRange(low, high)); };
        std::vector<Run> runs;
        const int number = *rc::gen::inRange(1, 4);
        for (int r = 0; r < number; ++r) {
            Run run;
            run.id = "run-" + std::to_string(r);
            run.name = run.id;
            run.level = *rc::gen::element(RunLevel::wall, RunLevel::floor);
            run.slack = static_cast<Slack>(*rc::gen::inRange(0, 7));
            run.left = length(-5000, 9000);
            run.open_end = *rc::gen::arbitrary<bool>();
            for (RunEnd* end : {&run.start, &run.end})
                *end = {static_cast<EndKind>(*rc::gen::inRange(0, 4)),
                        *rc::gen::inRange(-1, 4),
                        "run-" + std::to_string(*rc::gen::inRange(0, 4)),
                        length(-3000, 6000),
                        length(0, 400),
                        {}};
            const int units = *rc::gen::inRange(0, 6);
            for (int u = 0; u < units; ++u) {
                CabinetUnit unit = wall_unit(run.id + "-" + std::to_string(u), length(1, 2500), length(1, 4000));
                unit.kind = static_cast<UnitKind>(*rc::gen::inRange(0, 11));
                unit.hanging = static_cast<Hanging>(*rc::gen::inRange(0, 3));
                unit.hinge = static_cast<DoorHinge>(*rc::gen::inRange(0, 5));
                unit.side = length(0, 400);
                unit.back = length(0, 30);
                unit.least = length(0, 200);
                unit.most = length(0, 200);
                unit.loaded_mass = Mass::kg(*rc::gen::inRange(0, 5000));
                unit.rails.resize(static_cast<std::size_t>(*rc::gen::inRange(0, 3)));
                if (*rc::gen::arbitrary<bool>())
                    unit.appliance =
                        Appliance{static_cast<ApplianceKind>(*rc::gen::inRange(0, 7)), length(0, 3000), length(0, 900)};
                if (*rc::gen::inRange(0, 4) == 0)
                    unit.line = *rc::gen::element<std::string>("hood", "attic", "floor");
                run.units.push_back(std::move(unit));
            }
            runs.push_back(std::move(run));
        }
        Job job = kitchen_with(runs, length(100, 6000), length(30, 900));
        job.walls.front().widths = {{length(0, 2000), length(1, 6000), {}}};
        job.walls.front().floor = {{Length{}, length(0, 2000), {}}, {length(1, 90), length(0, 2000), {}}};
        const Plan plan = reckon(job);
        RC_ASSERT(plan.walls.front()->runs.size() == runs.size());
        for (const RunPlan& run : plan.walls.front()->runs)
            for (const UnitPlan& unit : run.units)
                if (unit.utilisation.over()) // never a wrong "fine"
                    RC_ASSERT(find_check(run.checks, checks::fixing_overloaded));
    });
}

TEST_CASE("an edit of a run re-reckons its wall alone and keeps its survey", "[runs]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm)})});
    Wall other = job.walls.front();
    other.id = "wall-2";
    other.left_end = other.right_end = WallEnd::open;
    job.walls.front().left_end = job.walls.front().right_end = WallEnd::open;
    other.runs.front().id = "run-2";
    other.runs.front().units.front().id = "z";
    job.walls.push_back(other);
    Reckoner reckoner;
    const auto before = reckoner.reckon(job).walls;
    const auto after = reckoner.reckon(apply(ResizeUnit{"a", 800_mm}, job)).walls;
    CHECK(before[0] != after[0]);
    CHECK(before[1] == after[1]);
    CHECK(after[0]->runs.front().layout.units.front().width == 800_mm);
}
