#include "core/cutting/cutting_plan.hpp"
#include "core/job/file.hpp"
#include "core/runs/level_units.hpp"
#include "core/runs/run_checks.hpp"
#include "core/runs/unit_library.hpp"
#include "core/site/site_checks.hpp"
#include "core/steps/job_order.hpp"
#include "demo_job.hpp"
#include "run_walls.hpp"

#include <fstream>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>
#include <sstream>

using namespace yes_square;

namespace {

/// What a sum of plus and minus over its terms comes to, in SI.
double worked_out(const Working& working) {
    double total = 0;
    double sign = 1;
    std::string_view rest = working.sum;
    while (!rest.empty()) {
        if (rest.starts_with("{")) {
            const auto end = rest.find('}');
            const auto term = static_cast<std::size_t>(std::stoi(std::string{rest.substr(1, end - 1)}));
            total += sign * working.terms.at(term).value.si;
            rest.remove_prefix(end + 1);
            continue;
        }
        if (rest.front() == '-')
            sign = -1;
        if (rest.front() == '+')
            sign = 1;
        REQUIRE((rest.front() == ' ' || rest.front() == '+' || rest.front() == '-'));
        rest.remove_prefix(1);
    }
    return total;
}

/// Two walls that meet: the right end of the first is the left end of the second.
Job corner_kitchen(Run first, Run second) {
    Job job = kitchen_with({std::move(first)}, 3000_mm);
    Wall next = job.walls.front();
    next.id = "wall-2";
    next.name = "Next wall";
    second.id = "next-run";
    for (CabinetUnit& unit : second.units)
        unit.id += "-next";
    next.runs = {std::move(second)};
    job.walls.push_back(std::move(next));
    return job;
}

} // namespace

TEST_CASE("every sum shown for a run or a line comes to its result", "[runs][lines][workings]") {
    Job job = demo_job();
    for (const bool slid : {false, true}) {
        if (slid)
            job = apply(SetHanging{"run-3", Hanging::suspension_rail}, job);
        const Plan plan = reckon(job);
        std::size_t checked = 0;
        const auto check = [&](const std::vector<Working>& workings) {
            for (const Working& working : workings) {
                if (working.sum.empty() || working.subject.starts_with("island/"))
                    continue; // with factors: workings_test.cpp reads those as they are printed
                INFO(working.subject);
                CHECK(worked_out(working) == Approx(working.result.si).margin(1e-9));
                ++checked;
            }
        };
        for (const auto& wall : plan.walls)
            for (const RunPlan& run : wall->runs)
                check(run.workings);
        for (const RoomSurvey& room : plan.rooms)
            check(room.lines.workings);
        CHECK(checked > 50);
    }
}

TEST_CASE("the unit lengths are shown in changes nothing that is reckoned", "[runs]") {
    Job job = demo_job();
    const Plan metric = reckon(job);
    job.unit = Unit::inch_32;
    const Plan inches = reckon(job);
    for (std::size_t w = 0; w < metric.walls.size(); ++w)
        for (std::size_t r = 0; r < metric.walls[w]->runs.size(); ++r) {
            const RunPlan& a = metric.walls[w]->runs[r];
            const RunPlan& b = inches.walls[w]->runs[r];
            CHECK(a.layout == b.layout);
            CHECK(a.checks.size() == b.checks.size());
            for (std::size_t u = 0; u < a.units.size(); ++u) {
                CHECK(a.units[u].utilisation == b.units[u].utilisation);
                CHECK(a.units[u].bottom == b.units[u].bottom);
            }
        }
}

TEST_CASE("a corner unit that reaches round the corner is stood in front of", "[runs][corner]") {
    CabinetUnit corner = base_unit("corner", 900_mm);
    corner.kind = UnitKind::corner_l;
    corner.return_width = 900_mm;
    Run first = run_of(RunLevel::floor, {base_unit("a", 600_mm), corner}, Slack::left_end);
    Run second = run_of(RunLevel::floor, {base_unit("b", 600_mm)});
    second.start = {EndKind::run, 1, "floor-run", {}, {}, {}};
    const Plan plan = reckon(corner_kitchen(first, second));
    CHECK(plan.walls[1]->runs.front().layout.left() == 900_mm);
    CHECK_FALSE(find_check(plan.walls[1]->runs.front().checks, checks::meets_neighbour));
    // A plain deep unit at the corner is stood in front of with its doors: 560 and 20.
    first.units.back() = base_unit("plain", 900_mm);
    first.units.back().hinge = DoorHinge::left;
    const Plan plain = reckon(corner_kitchen(first, second));
    CHECK(plain.walls[1]->runs.front().layout.left() == 580_mm);
}

TEST_CASE("drawers in a corner want their clearance from the other run's front", "[runs][corner]") {
    Run first = run_of(RunLevel::floor, {base_unit("a", 600_mm)}, Slack::left_end);
    Run second = run_of(RunLevel::floor, {base_unit("b", 600_mm)});
    second.units.front().hinge = DoorHinge::drawers;
    second.start = {EndKind::run, 1, "floor-run", {}, {}, {}};
    const Job tight = corner_kitchen(first, second);
    const Plan plan = reckon(tight);
    const Check* meets = find_check(plan.walls[1]->runs.front().checks, checks::door_meets_wall);
    REQUIRE(meets);
    CHECK(meets->amount->si == Approx(0.05));
    second.start.clear = 50_mm;
    const Plan clear = reckon(corner_kitchen(first, second));
    CHECK_FALSE(find_check(clear.walls[1]->runs.front().checks, checks::door_meets_wall));
}

TEST_CASE("a run begins at an opening's edge, at a place, or where another ends", "[runs]") {
    Run low = run_of(RunLevel::wall, {wall_unit("a", 600_mm)});
    Run follows = run_of(RunLevel::wall, {wall_unit("b", 500_mm)});
    follows.id = "follows";
    follows.start = {EndKind::run, 1, "wall-run", {}, 10_mm, {}};
    Job job = kitchen_with({low, follows});
    job.walls.front().openings.push_back({OpeningKind::door, 2000_mm, {}, 900_mm, 2000_mm, {}, {}});
    CHECK(plan_of(job, 1).layout.left() == 610_mm);
    job.walls.front().runs[0].start = {EndKind::opening, 1, {}, {}, {}, {}};
    CHECK(plan_of(job, 0).layout.left() == 2900_mm);
    job.walls.front().runs[0].start = {};
    job.walls.front().runs[0].end = {EndKind::opening, 1, {}, {}, {}, {}};
    job.walls.front().runs[0].slack = Slack::left_end;
    CHECK(plan_of(job, 0).layout.right() == 2000_mm);
    job.walls.front().runs[0].start = {EndKind::place, 1, {}, 700_mm, {}, {}};
    job.walls.front().runs[0].slack = Slack::right_end;
    CHECK(plan_of(job, 0).layout.left() == 700_mm);
    CHECK(plan_of(job, 1).layout.left() == 1310_mm); // what follows it comes along
}

TEST_CASE("a filler at the left end follows the wall before it, as that wall's strings tell", "[runs][corner]") {
    Run second = run_of(RunLevel::wall, {filler("f", 50_mm, 20_mm, 90_mm), wall_unit("b", 600_mm)});
    Job job = corner_kitchen(run_of(RunLevel::wall, {}), second);
    // The first wall leans back towards its top: 8 mm more behind the plumb string at 2100 than at 1300.
    for (const Length x : {100_mm, 1500_mm, 3000_mm}) {
        job.walls[0].face.push_back({x, 1300_mm, 10_mm, {}});
        job.walls[0].face.push_back({x, 2100_mm, 18_mm, {}});
    }
    const Plan plan = reckon(job);
    const RunPlan& run = plan.walls[1]->runs.front();
    REQUIRE(run.scribes.size() == 1);
    const Scribe& scribe = run.scribes.front();
    CHECK(scribe.number == 0);
    CHECK_FALSE(scribe.to_face);
    // From 1350 to 2070: half a millimetre and seven and seven tenths more than the 50 it was reckoned with.
    CHECK(scribe.cuts.front().width.in_mm() == Approx(50.5));
    CHECK(scribe.cuts.back().width.in_mm() == Approx(57.7));
}

TEST_CASE("a hook carries half its unit, or most of what stands on its side", "[runs]") { // statics
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm)})});
    CabinetUnit& unit = job.walls.front().runs.front().units.front();
    unit.hanging = Hanging::hook_brackets;
    unit.mass = 20_kg;
    unit.loaded_mass = 60_kg;
    CHECK(*plan_of(job).units.front().hook_load == Approx(30 * 9.80665)); // 10 + 0.75 x 20 = 25 is less
    unit.hook_rating = weight_of(60_kg);
    CHECK(plan_of(job).units.front().hook_utilisation.number() == Approx(0.5));
}

TEST_CASE("a unit that stands on the floor itself is shimmed, and packed where shims run out", "[runs]") {
    Job job = kitchen_with({run_of(RunLevel::floor, {base_unit("a", 600_mm)})});
    job.walls.front().runs.front().units.front().line = line_id::floor;
    job.walls.front().floor = {{Length{}, 1000_mm, {}}, {600_mm, 1024_mm, {}}};
    const RunPlan plan = plan_of(job);
    const auto& feet = plan.units.front().feet;
    REQUIRE(feet.size() == 4);
    CHECK(feet.front().height == 2_mm); // 50 of 600 along a fall of 24
    CHECK(feet.back().height == 22_mm);
    CHECK(feet.back().packer == 10_mm); // shims make up 12
    CHECK(find_check(plan.checks, checks::legs_run_out));
}

TEST_CASE("legs too long for the plinth are told with the height that lets them in", "[runs]") {
    Job job = kitchen_with({run_of(RunLevel::floor, {base_unit("a", 600_mm)})});
    job.rooms.front().line_relations.front().by = 80_mm; // the plinth
    const RunPlan plan = plan_of(job);
    const Check* low = find_check(plan.checks, checks::legs_run_out);
    REQUIRE(low);
    CHECK(low->severity == Severity::error);
    CHECK(low->amount->si == Approx(0.020));
    CHECK(say(low->cures.front().words, {}).find("100 mm") != std::string::npos);
}

TEST_CASE("on masonry every unit is plugged near its sides, whatever the studs", "[runs]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 600_mm), wall_unit("b", 1000_mm)})});
    job.walls.front().structure = Masonry{MasonryKind::brick};
    job.walls.front().lining = {{LiningMaterial::plaster, 13_mm, {}}};
    const RunPlan plan = plan_of(job);
    CHECK_FALSE(plan.slide.needed);
    CHECK(plan.units[0].holes.size() == 4);
    CHECK(plan.units[1].holes.size() == 6); // a third pair in the middle
    for (const UnitPlan& unit : plan.units) {
        REQUIRE(unit.fixing);
        for (const PlannedHole& hole : unit.holes) {
            CHECK(hole.substrate == Substrate::masonry);
            CHECK(unit.inside_left(hole) >= job.rules.runs.side_grip);
        }
    }
    CHECK_FALSE(find_check(plan.checks, checks::few_studs));
}

TEST_CASE("one screw that does not bear the load is doubled before it is refused", "[runs][safety]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm)})});
    CabinetUnit& unit = job.walls.front().runs.front().units.front();
    std::size_t fewest = 99;
    std::size_t most = 0;
    for (int mass = 30; mass <= 300; mass += 10) {
        unit.loaded_mass = Mass::kg(mass);
        const RunPlan plan = plan_of(job);
        fewest = std::min(fewest, plan.units.front().holes.size());
        most = std::max(most, plan.units.front().holes.size());
        const bool told = find_check(plan.checks, checks::fixing_overloaded) != nullptr;
        CHECK(told == plan.units.front().utilisation.over());
    }
    CHECK(fewest == 4); // two studs, two rails
    CHECK(most == 8);
}

TEST_CASE("a top rail alone, packed off the wall, holds nothing", "[runs][safety]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm)})});
    job.walls.front().runs.front().units.front().rails.pop_back();
    CHECK(plan_of(job).units.front().fixing); // against a flat wall its foot presses
    job.walls.front().face = {{Length{}, 1400_mm, 20_mm, {}}, {800_mm, 1400_mm, 32_mm, {}},
                              {1600_mm, 1400_mm, 20_mm, {}},  {Length{}, 2000_mm, 20_mm, {}},
                              {800_mm, 2000_mm, 32_mm, {}},   {1600_mm, 2000_mm, 20_mm, {}}};
    const RunPlan packed = plan_of(job);
    CHECK_FALSE(packed.units.front().fixing);
    const Check* top = find_check(packed.checks, checks::unit_top_only);
    REQUIRE(top);
    CHECK(top->severity == Severity::error);
}

TEST_CASE("the demo kitchen is slid by its cure and then catches every stud", "[runs][demo]") {
    const Job job = demo_job();
    const Plan plan = reckon(job);
    const auto wall = std::ranges::find(job.walls, "wall-7", &Wall::id) - job.walls.begin();
    const RunPlan& run = plan.walls[static_cast<std::size_t>(wall)]->runs[2];
    const Check* few = find_check(run.checks, checks::few_studs);
    REQUIRE(few);
    const Plan after = reckon(apply(*few->cures.front().edit, job));
    CHECK(after.walls[static_cast<std::size_t>(wall)]->runs[2].slide.holds_now());
    // The larder decides the line of the wall units' tops, the cooler that of the box over it.
    const auto room = std::ranges::find(job.rooms, "room-3", &Room::id) - job.rooms.begin();
    for (const LinePlan& line : plan.rooms[static_cast<std::size_t>(room)].lines.lines) {
        if (line.id == line_id::wall_top || line.id == line_id::tall_top)
            CHECK(line.set_by == "Larder");
        if (line.id == line_id::over_cooling)
            CHECK(line.set_by == "Cooler");
        if (line.id == line_id::hood)
            CHECK(line.set_by == "Hood box");
    }
}

TEST_CASE("a corner post takes its room on both walls, is cut in two strips, and is set before the fronts",
          "[runs][corner]") {
    CabinetUnit post = usual_unit(UnitKind::corner_post, 60_mm, 720_mm, 560_mm);
    post.id = "post";
    post.name = "Post";
    post.return_width = 70_mm;
    const Run first = run_of(RunLevel::floor, {base_unit("a", 600_mm), post}, Slack::left_end);
    Run second = run_of(RunLevel::floor, {base_unit("b", 600_mm)});
    second.start = {EndKind::run, 1, "floor-run", {}, {}, {}};
    const Job job = corner_kitchen(first, second);
    const Plan plan = reckon(job);
    // 560 to the fronts of the one run, then the return strip, then the other's first unit.
    CHECK(plan.walls[1]->runs.front().layout.left() == 630_mm);
    const RunPlan& run = plan.walls.front()->runs.front();
    CHECK(run.layout.right() - run.layout.left() == 660_mm);
    std::vector<std::pair<std::string, Length>> strips;
    for (const CutPart& part : run.parts)
        if (part.item == "post")
            strips.emplace_back(say(part.name, {}), part.breadth);
    CHECK(strips ==
          std::vector<std::pair<std::string, Length>>{{"front strip of Post", 60_mm}, {"return strip of Post", 52_mm}});
    CHECK(place_of(run, "glue and screw its two strips") < run.steps.size());
    // Nothing hangs on it, no neighbour is joined through it, the worktop passes over it.
    CHECK(run.units.back().holes.empty());
    CHECK(run.joins.empty());
    const auto worktop = std::ranges::find(run.pieces, RunPiece::What::worktop, &RunPiece::what);
    REQUIRE(worktop != run.pieces.end());
    CHECK(worktop->to - worktop->from == 660_mm);
}

TEST_CASE("handle channels take their room: upright between tall units, level under the worktop", "[runs]") {
    CabinetUnit upright = usual_unit(UnitKind::handle_channel, 50_mm, 1950_mm, 560_mm);
    upright.id = "channel";
    upright.name = "Channel";
    Run run = run_of(RunLevel::floor,
                     {base_unit("a", 600_mm), base_unit("b", 600_mm), tall_unit("t", 600_mm, 1950_mm), upright,
                      tall_unit("u", 600_mm, 1950_mm)},
                     Slack::right_end);
    run.channel = 45_mm;
    Job job = kitchen_with({run});
    job.rules.runs.channel_stock = 1000_mm;
    const RunPlan plan = plan_of(job);
    CHECK(plan.layout.right() - plan.layout.left() == 2450_mm);
    std::vector<RunPiece> level;
    Length under_worktop;
    for (const RunPiece& piece : plan.pieces) {
        if (piece.what == RunPiece::What::channel)
            level.push_back(piece);
        if (piece.what == RunPiece::What::worktop)
            under_worktop += piece.to - piece.from;
    }
    CHECK(under_worktop == 1200_mm); // none over what is taller than it
    REQUIRE(level.size() == 1);
    CHECK(level.front().to - level.front().from == 1200_mm);
    CHECK(level.front().z == plan.units.front().top);
    CHECK(level.front().breadth == 45_mm);
    Length cut;
    for (const Length length : level.front().cuts) {
        CHECK(length <= 1000_mm);
        CHECK(length >= job.rules.runs.shortest_rail);
        cut += length;
    }
    CHECK(cut == 1200_mm);
    std::vector<Length> bars;
    for (const CutPart& part : plan.parts)
        if (part.stuff.kind == StuffKind::channel)
            bars.push_back(part.length);
    std::ranges::sort(bars);
    REQUIRE(bars.size() == 3);
    CHECK(bars.back() == 1950_mm);
    CHECK(place_of(plan, "into the cut-outs of the units' sides, 45 mm high") < plan.steps.size());
    CHECK(place_of(plan, "screw its clips to the sides") < plan.steps.size());
    // A bar of 1000 mm is too short for the upright one: said, with what to do.
    const CuttingPlan cutting = cutting_plan(job, reckon(job));
    const auto channel = std::ranges::find_if(
        cutting.stuffs, [](const StuffPlan& stuff) { return stuff.stuff.kind == StuffKind::channel; });
    REQUIRE(channel != cutting.stuffs.end());
    CHECK_FALSE(channel->checks.empty());
    const auto back = read_job(write_job(job));
    REQUIRE(back);
    CHECK(back->job.walls.front().runs == job.walls.front().runs);
}

TEST_CASE("a worktop longer than can be had is jointed over a unit's side, clear of what is cut out", "[runs]") {
    Run run = run_of(RunLevel::floor,
                     {base_unit("a", 600_mm), base_unit("b", 900_mm), base_unit("c", 900_mm), base_unit("d", 600_mm),
                      base_unit("e", 600_mm)},
                     Slack::left_end);
    Job job = kitchen_with({run});
    std::erase_if(job.catalogue.stock, [](const Stock& stock) { return stock.kind == StuffKind::worktop; });
    job.rules.runs.worktop_stock = 3100_mm;
    const auto worktop = [](const RunPlan& plan) {
        return *std::ranges::find(plan.pieces, RunPiece::What::worktop, &RunPiece::what);
    };
    const RunPlan plan = plan_of(job);
    const RunPiece top = worktop(plan);
    REQUIRE(top.joints.size() == 1);
    CHECK(top.joints.front() == top.from + 3000_mm); // over the side between d and e: 600 + 900 + 900 + 600
    CHECK(top.cuts == std::vector<Length>{3000_mm, 600_mm});
    CHECK(place_of(plan, "Worktop joint at") < plan.steps.size());
    // A sink beside that side moves the joint to the one before it.
    job.walls.front().runs.front().cut_outs = {{"sink", 3100_mm, 60_mm, 450_mm, 450_mm}};
    const RunPlan beside = plan_of(job);
    CHECK(worktop(beside).joints == std::vector<Length>{top.from + 2400_mm});
    CHECK_FALSE(find_check(beside.checks, checks::joint_at_cut_out));
    for (const CutPart& part : beside.parts)
        if (part.stuff.kind == StuffKind::worktop) {
            const bool has_sink = say(part.mind, {}).find("sink") != std::string::npos;
            CHECK(has_sink == (part.length == 1200_mm));
        }
    // Sinks everywhere: it is jointed beside one, and that is said.
    for (const Length at : {400_mm, 1300_mm, 2200_mm, 2800_mm})
        job.walls.front().runs.front().cut_outs.push_back({"sink", at, 60_mm, 200_mm, 450_mm});
    CHECK(find_check(plan_of(job).checks, checks::joint_at_cut_out));
    // Stock that is entered goes before the rule.
    Stock longer;
    longer.kind = StuffKind::worktop;
    longer.length = 4100_mm;
    job.catalogue.stock.push_back(longer);
    CHECK(worktop(plan_of(job)).joints.empty());
}

TEST_CASE("where two worktops meet in a corner there is a joint, with its bolts and its time", "[runs][corner]") {
    const Run first = run_of(RunLevel::floor, {base_unit("a", 600_mm), base_unit("c", 600_mm)}, Slack::left_end);
    Run second = run_of(RunLevel::floor, {base_unit("b", 600_mm)});
    second.start = {EndKind::run, 1, "floor-run", {}, {}, {}};
    const Job job = corner_kitchen(first, second);
    const Plan plan = reckon(job);
    const RunPlan& run = plan.walls[1]->runs.front();
    const std::size_t step = place_of(run, "Worktop joint in the corner");
    REQUIRE(step < run.steps.size());
    CHECK(run.steps[step].minutes == job.rules.fitting.worktop_joint_min);
    const auto bolts = std::ranges::find(run.supplies, std::string{"worktop bolts"}, &Supply::item);
    REQUIRE(bolts != run.supplies.end());
    CHECK(bolts->number == 1);
    CHECK(place_of(plan.walls[0]->runs.front(), "Worktop joint") ==
          plan.walls[0]->runs.front().steps.size()); // said once
}

TEST_CASE("doors, drawers, joints and plinths take the minutes that they take", "[runs][schedule]") {
    CabinetUnit doors = base_unit("a", 900_mm);
    doors.hinge = DoorHinge::both;
    CabinetUnit drawers = base_unit("b", 600_mm);
    drawers.hinge = DoorHinge::drawers;
    CabinetUnit door = base_unit("c", 600_mm);
    door.hinge = DoorHinge::left;
    Job job = kitchen_with({run_of(RunLevel::floor, {doors, drawers, door})});
    job.rules.fitting.door_min = 7;
    job.rules.fitting.drawer_min = 3;
    const Plan plan = reckon(job);
    const RunPlan& run = *plan.walls.front()->runs.begin();
    const auto minutes = [&](const char* words) {
        const std::size_t step = place_of(run, words);
        REQUIRE(step < run.steps.size());
        return run.steps[step].minutes;
    };
    CHECK(minutes("Hang the doors") == 3 * 7);
    CHECK(minutes("Drawers in") == 3);
    CHECK(minutes("Join the units") == job.rules.fitting.step_min + 2 * job.rules.fitting.join_min);
    const JobOrder order = job_order(job, plan);
    const auto task = std::ranges::find_if(order.tasks, [](const Task& each) {
        return say(each.step.words, {}).find("Hang the doors") != std::string::npos;
    });
    REQUIRE(task != order.tasks.end());
    CHECK(task->minutes == 21);
}
