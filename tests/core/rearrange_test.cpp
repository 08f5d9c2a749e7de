#include "core/reckon/reckon.hpp"
#include "core/runs/rearrange.hpp"
#include "run_walls.hpp"

#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

namespace {

Run three() {
    Run run;
    run.id = "run";
    run.name = "Run";
    run.units = {wall_unit("a", 600_mm), wall_unit("b", 400_mm), wall_unit("c", 800_mm)};
    run.units[0].hinge = DoorHinge::left;
    run.units[1].hinge = DoorHinge::both;
    run.units[2].hinge = DoorHinge::right;
    run.units[0].pins = {100_mm};
    run.units[2].cut_outs = {{"duct", UnitPanel::back, 50_mm, 100_mm, 200_mm, 150_mm, {}},
                             {"pipe", UnitPanel::left_side, 60_mm, 100_mm, 80_mm, 80_mm, {}}};
    run.cut_outs = {{"sink", 100_mm, 60_mm, 500_mm, 400_mm, {}}};
    return run;
}

} // namespace

TEST_CASE("a mirrored run: last first, hinges, cuts and pins on the other side", "[runs][rearrange]") {
    const Run run = mirrored(three(), 1800_mm);
    REQUIRE(run.units.size() == 3);
    CHECK(run.units[0].id == "c");
    CHECK(run.units[2].id == "a");
    CHECK(run.units[0].hinge == DoorHinge::left);
    CHECK(run.units[1].hinge == DoorHinge::both);
    CHECK(run.units[2].hinge == DoorHinge::right);
    CHECK(run.units[2].pins == std::vector{500_mm});
    CHECK(run.units[0].cut_outs[0].across == 800_mm - 50_mm - 200_mm);
    CHECK(run.units[0].cut_outs[1].panel == UnitPanel::right_side);
    CHECK(run.units[0].cut_outs[1].across == 60_mm); // from the back edge still
    CHECK(run.cut_outs.front().across == 1200_mm);
    CHECK(run.slack == Slack::left_end); // what was left over at the right
}

TEST_CASE("mirrored twice is the same run", "[runs][rearrange]") {
    rc::prop("an involution", [] {
        Run run = three();
        run.slack = static_cast<Slack>(*rc::gen::inRange(0, 7));
        run.start.clear = Length::mm(*rc::gen::inRange(0, 50));
        run.end.clear = Length::mm(*rc::gen::inRange(0, 50));
        run.rail_pins = {Length::mm(*rc::gen::inRange(0, 900)), Length::mm(*rc::gen::inRange(900, 1800))};
        for (CabinetUnit& unit : run.units)
            unit.width = Length::mm(*rc::gen::inRange(300, 1000));
        const Length length = run.units[0].width + run.units[1].width + run.units[2].width;
        RC_ASSERT(mirrored(mirrored(run, length), length) == run);
    });
}

TEST_CASE("a unit in another's place keeps its name and line, and what still has room", "[runs][rearrange]") {
    CabinetUnit before = wall_unit("w", 800_mm);
    before.line = "line";
    before.pins = {100_mm, 700_mm};
    before.cut_outs = {{"duct", UnitPanel::back, 500_mm, 100_mm, 200_mm, 150_mm, {}},
                       {"socket", UnitPanel::back, 50_mm, 400_mm, 80_mm, 80_mm, {}},
                       {"pipe", UnitPanel::left_side, 250_mm, 100_mm, 60_mm, 60_mm, {}}};
    CabinetUnit next = wall_unit("listed", 600_mm);
    next.code = "W60";
    next.depth = 320_mm;
    const CabinetUnit now = in_place_of(before, next);
    CHECK(now.id == before.id);
    CHECK(now.name == before.name);
    CHECK(now.line == "line");
    CHECK(now.code == "W60");
    CHECK(now.width == 600_mm);
    CHECK(now.pins == std::vector{100_mm});
    REQUIRE(now.cut_outs.size() == 2);
    CHECK(now.cut_outs[0].name == "socket");
    CHECK(now.cut_outs[1].name == "pipe");
}
