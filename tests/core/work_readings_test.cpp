#include "core/boxes/box_parts.hpp"
#include "core/fitting/judge_reading.hpp"
#include "run_walls.hpp"
#include "shelf_walls.hpp"

#include <cmath>
#include <numbers>

using namespace yes_square;

namespace {

WorkReading reading_of(ReadingKind kind, const std::string& item) {
    WorkReading reading;
    reading.id = "reading";
    reading.kind = kind;
    reading.item = item;
    return reading;
}

ReadingPlan judged(Job job, WorkReading reading) {
    job.walls.front().work_readings = {std::move(reading)};
    return reckon(job).walls.front()->readings.front();
}

std::vector<std::string> corrections(const ReadingPlan& plan) {
    std::vector<std::string> said;
    for (const Sentence& each : plan.corrections)
        said.push_back(say(each, {}));
    return said;
}

Job base_kitchen() {
    return kitchen_with({run_of(RunLevel::floor, {base_unit("a", 600_mm), base_unit("b", 600_mm)})});
}

} // namespace

TEST_CASE("a unit low on its left is raised by its left feet, so many turns", "[readings]") {
    const Job job = base_kitchen();
    WorkReading reading = reading_of(ReadingKind::level, "a");
    reading.off_at = OffAt::left;
    reading.off = 6_mm;
    reading.over = 1200_mm;
    const ReadingPlan plan = judged(job, reading);
    CHECK(plan.verdict == Verdict::out);
    CHECK(plan.off == 3_mm); // 6 in 1200 is 3 over its 600
    CHECK(plan.limit == Length::micrometres(600));
    // Its feet stand 50 mm in: 500 mm apart, so the left ones go up by 2.5 mm: 1.67 turns of 1.5 mm.
    const auto said = corrections(plan);
    REQUIRE(said.size() == 2);
    for (const std::string& each : said) {
        CHECK(each.find("1.67 turns") != std::string::npos);
        CHECK(each.find("foot at 50 mm") != std::string::npos);
    }
    // Geometry: the unit turned about its right feet by the slope comes level.
    const double slope = 6.0 / 1200;
    CHECK(1.67 * 1.5 == Approx(slope * 500).margin(0.01));
}

TEST_CASE("a level's own error leaves a small slope undecided", "[readings]") {
    const Job job = base_kitchen();
    WorkReading reading = reading_of(ReadingKind::level, "a");
    reading.off = 1_mm; // 0.5 over 600 against 0.6, the level being sure to about 0.4
    CHECK(judged(job, reading).verdict == Verdict::unsure);
    CHECK(corrections(judged(job, reading)).front().find("end for end") != std::string::npos);
    reading.off = {};
    CHECK(judged(job, reading).verdict == Verdict::within);
    CHECK(judged(job, reading).corrections.empty());
}

TEST_CASE("a wall unit that leans out is packed behind its lower screws", "[readings]") {
    const Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("w", 900_mm)})});
    WorkReading reading = reading_of(ReadingKind::plumb, "w");
    reading.off_at = OffAt::front;
    reading.off = 6_mm;
    reading.over = 600_mm;
    const ReadingPlan plan = judged(job, reading);
    CHECK(plan.verdict == Verdict::out);
    // 1 in 100; its rails are 600 mm apart, and with two screws above one another the outer ones 648: 6.5 mm.
    const auto said = corrections(plan);
    REQUIRE(said.size() == 1);
    CHECK(said.front() == "Unit w: pack 6.5 mm behind its lower screws");
    CHECK(plan.off == Length::micrometres(7200));
}

TEST_CASE("an opening's readings say where it is narrow", "[readings]") {
    const Appliance washer{ApplianceKind::undercounter, 820_mm, {}, {}};
    const Job job = kitchen_with(
        {run_of(RunLevel::floor, {base_unit("a", 600_mm), gap("g", 600_mm, washer), base_unit("b", 600_mm)})});
    WorkReading reading = reading_of(ReadingKind::tape, "g");
    // Common practice: 17 13/16 and 17 9/16 in: shim 1/4 in where it is narrow.
    reading.wanted = Length::inches(17, {13, 16});
    reading.read = Length::inches(17, {9, 16});
    reading.off_at = OffAt::back;
    const ReadingPlan plan = judged(job, reading);
    CHECK(plan.verdict == Verdict::out);
    CHECK(plan.off == Length::inches(0, {1, 4}));
    CHECK(say(plan.corrections.front(), {Unit::inch_16, {}}) ==
          "Gap g is 1/4 in narrow at the back: shim its neighbour open there");
    reading.read = reading.wanted - 1_mm;
    CHECK(judged(job, reading).verdict == Verdict::within);
}

TEST_CASE("diagonals say how far the top is pushed, and the frame then is square", "[readings]") {
    // Common practice: 600 x 800, diagonals 1002 and 998: 3.33 mm over 800.
    const Job job = base_kitchen();
    WorkReading reading = reading_of(ReadingKind::diagonals, "a");
    reading.over = 600_mm;
    reading.height = 800_mm;
    reading.read = 1002_mm;
    reading.other = 998_mm;
    const ReadingPlan plan = judged(job, reading);
    CHECK(plan.off.in_mm() == Approx(3.333).margin(0.001));
    CHECK(plan.verdict == Verdict::out);
    CHECK(corrections(plan).back().find("to the left") != std::string::npos);
    // A parallelogram sheared by s has diagonals hypot(W + s, h) and hypot(W - s, h).
    for (const double s : {-7.0, -1.0, 2.0, 5.0}) {
        const double h = std::sqrt(800.0 * 800.0 - s * s);
        const Length rising = Length::nearest_to_metres(std::hypot(600 + s, h) / 1000);
        const Length falling = Length::nearest_to_metres(std::hypot(600 - s, h) / 1000);
        CHECK(shear_of_top(rising, falling, 600_mm).in_mm() == Approx(s).margin(0.001));
    }
    reading.read = reading.other = 1000_mm;
    CHECK(judged(job, reading).verdict != Verdict::out);
}

TEST_CASE("packing brings every place to the proudest, along the line that fits", "[readings]") {
    // Gaps of a straight but slanting face need no packing.
    std::vector<Gap> slant{{0_mm, 0_mm, {}}, {500_mm, 2_mm, {}}, {1000_mm, 4_mm, {}}, {1500_mm, 6_mm, {}}};
    for (const Length pack : packing_to_proudest(slant))
        CHECK(absolute(pack) <= Length::micrometres(1));
    // A hollow in the middle: least squares of 0, 4, 0 is level at 4/3; the hollow lies 4 behind the ends.
    const auto hollow = packing_to_proudest({{0_mm, 0_mm, {}}, {500_mm, 4_mm, {}}, {1000_mm, 0_mm, {}}});
    CHECK(absolute(hollow[0]) <= Length::micrometres(1));
    CHECK(absolute(hollow[1] - 4_mm) <= Length::micrometres(1));
    CHECK(absolute(hollow[2]) <= Length::micrometres(1));
    CHECK(packing_to_proudest({{0_mm, 3_mm, {}}}).front() == Length{});

    const Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("w", 600_mm), wall_unit("v", 600_mm)})});
    WorkReading reading = reading_of(ReadingKind::straightedge, "wall-run");
    reading.gaps = {{0_mm, 0_mm, {}}, {600_mm, 4_mm, {}}, {1200_mm, 0_mm, {}}};
    const ReadingPlan plan = judged(job, reading);
    CHECK(plan.verdict == Verdict::out);
    // Screws stand in the studs at 400 and 800, each two thirds of the way into the hollow: 2.67, to half millimetres.
    const auto said = corrections(plan);
    REQUIRE(said.size() == 2);
    CHECK(said[0].find("at 400 mm and pack 2.5 mm") != std::string::npos);
    CHECK(said[1].find("at 800 mm") != std::string::npos);
}

TEST_CASE("a shelf's low end names the brackets to bring up", "[readings]") {
    Job job = kitchen_with({});
    Shelf shelf;
    shelf.id = shelf.name = "shelf";
    shelf.left = 300_mm;
    shelf.height = 1500_mm;
    shelf.length = 1500_mm;
    shelf.depth = 250_mm;
    shelf.thickness = 22_mm;
    job.walls.front().shelves = {shelf};
    WorkReading reading = reading_of(ReadingKind::level, "shelf");
    reading.off_at = OffAt::right;
    reading.off = 12_mm;
    const ReadingPlan plan = judged(job, reading);
    const auto brackets = reckon(job).walls.front()->shelves.front().brackets;
    REQUIRE(brackets.size() >= 2);
    REQUIRE(plan.corrections.size() == brackets.size() - 1);
    const double rise = 12.0 / 1200 * (brackets.back().x - brackets.front().x).in_mm();
    CHECK(plan.corrections.back().values.size() == 3);
    CHECK(std::get<Quantity>(plan.corrections.back().values[2]).si * 1000 == Approx(rise).margin(0.001));

    reading.item = "gone";
    CHECK(judged(job, reading).verdict == Verdict::unsure);
}

TEST_CASE("a cabinet that hangs already is read as any other", "[readings][nothing-lost]") {
    Job job = kitchen_with({});
    HungCabinet& hung = job.walls.front().hung.emplace_back();
    hung.id = "old";
    hung.unit = wall_unit("old", 900_mm);
    hung.unit.name = "Old cabinet";
    hung.left = 500_mm;
    hung.top = 2100_mm;
    WorkReading reading = reading_of(ReadingKind::level, "old");
    reading.off_at = OffAt::left;
    reading.off = 6_mm;
    reading.over = 1200_mm;
    const ReadingPlan plan = judged(job, reading);
    CHECK(plan.item_name == "Old cabinet");
    CHECK(plan.verdict == Verdict::out);
    CHECK(plan.off == Length::micrometres(4500)); // 6 in 1200 is 4.5 over its 900
    CHECK_FALSE(plan.corrections.empty());
    reading.item = "gone";
    CHECK(say(judged(job, reading).found, {}).find("not on the wall") != std::string::npos);
}

TEST_CASE("a straight edge over a shelf's brackets says what goes between each and the board", "[readings]") {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    Shelf& shelf = job.walls.front().shelves.front();
    shelf.left = 350_mm;
    shelf.length = 1700_mm;
    shelf.pins = {50_mm, 850_mm, 1650_mm}; // studs at 400, 1200 and 2000
    shelf.drilled = true;
    WorkReading reading = reading_of(ReadingKind::straightedge, "shelf");
    reading.gaps = {{400_mm, 0_mm, {}}, {1200_mm, 3_mm, {}}, {2000_mm, 0_mm, {}}};
    const ReadingPlan low = judged(job, reading);
    CHECK(low.verdict == Verdict::out);
    const auto said = corrections(low);
    // Least squares of 0, 3, 0 is level: the middle bracket lies its whole 3 mm low.
    REQUIRE(said.size() == 1);
    CHECK(said.front() == "Shelf: pack 3 mm between the bracket at 1200 mm and the board");
    CHECK(say(low.found, {}).find("under the highest") != std::string::npos);
    // One that stands up by 3 mm has the others packed.
    reading.gaps = {{400_mm, 3_mm, {}}, {1200_mm, 0_mm, {}}, {2000_mm, 3_mm, {}}};
    CHECK(corrections(judged(job, reading)).size() == 2);
}
