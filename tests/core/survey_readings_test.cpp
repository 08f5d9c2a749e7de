#include "core/reckon/reckon_survey.hpp"
#include "core/survey/readings_csv.hpp"
#include "survey_walls.hpp"

#include <Eigen/Dense>
#include <algorithm>
#include <catch2/catch.hpp>
#include <cmath>
#include <numbers>
#include <random>

using namespace yes_square;

namespace {

double degrees(double radians) {
    return radians * 180 / std::numbers::pi;
}

CornerAngle angle(const CornerReading& reading, WallEnd end = WallEnd::corner) {
    return std::get<CornerAngle>(corner_angle(reading, end, {}));
}

} // namespace

// EC; OIML R 35-1, from memory: class II +-(0.3 + 0.2 L) mm, class I +-(0.1 + 0.1 L) mm, L rounded up to whole metres.
TEST_CASE("a tape's limit of error follows OIML R 35-1", "[survey][standard]") {
    const Reader second{Instrument::tape_class_2, 2_mm};
    CHECK(limit_of_error(5000_mm, second) == Length::micrometres(1300));
    CHECK(limit_of_error(4001_mm, second) == Length::micrometres(1300));
    CHECK(limit_of_error(1000_mm, second) == Length::micrometres(500));
    CHECK(limit_of_error(1_mm, second) == Length::micrometres(500));
    CHECK(limit_of_error({}, second) == Length::micrometres(300));
    CHECK(limit_of_error(5000_mm, {Instrument::tape_class_1, 2_mm}) == Length::micrometres(600));
    CHECK(limit_of_error(5000_mm, {Instrument::laser, 2_mm}) == 2_mm);
}

TEST_CASE("a difference within the limits of error is called no difference", "[survey]") {
    const Reader tape{Instrument::tape_class_2, 2_mm};
    // Root of 0.7^2 + 0.7^2 is 0.99 mm.
    CHECK_FALSE(differ(1500_mm, Length::micrometres(1'500'900), tape));
    CHECK(differ(1500_mm, 1501_mm, tape));
}

TEST_CASE("the datum is the room's high point with the floor still to be laid on it", "[survey]") {
    Wall first = plain_wall();
    first.floor = {{0_mm, 1012_mm}, {1800_mm, 1009_mm}, {3600_mm, 1015_mm}};
    first.ceiling = {{1800_mm, 1400_mm}};
    Wall second = plain_wall();
    second.id = "wall-2";
    second.floor = {{0_mm, 1006_mm}};
    Job job = job_with({first, second});
    job.rooms[0].floor_layers = {{"tile", 10_mm}, {"bed", 5_mm}};
    const Plan plan = reckon(job);
    const FloorProfile& floor = plan.walls[0]->survey.floor;
    CHECK(floor.level_line == 991_mm); // 1006 - 15
    CHECK(floor.floor[1].z == -18_mm); // 991 - 1009
    CHECK(plan.walls[1]->survey.floor.floor[0].z == -15_mm);
    CHECK(floor.high.x == 1800_mm);
    CHECK(floor.low.x == 3600_mm);
    CHECK(floor.fall() == 6_mm);
    CHECK(floor.uneven);
    CHECK(floor.ceiling[0].z == 2391_mm);
    // Half way between readings: 991 - (1009 + 1015) / 2.
    CHECK(floor.above_floor_now(2700_mm, 900_mm) == 921_mm);
    CHECK(floor.standing_at(0_mm) == -6_mm); // its layers follow the floor, 6 mm under the high point here
    job.rooms[0].floor_under_units = false;
    CHECK(reckon(job).walls[0]->survey.floor.standing_at(0_mm) == -21_mm);
}

TEST_CASE("readings out of order or twice at one place are put in order and averaged", "[survey]") {
    Wall wall = plain_wall();
    wall.floor = {{3000_mm, 1010_mm}, {0_mm, 1000_mm}, {3000_mm, 1014_mm}};
    const Plan plan = reckon(job_with({wall}));
    const auto& points = plan.walls[0]->survey.floor.floor;
    REQUIRE(points.size() == 2);
    CHECK(points[0] == ProfilePoint{0_mm, 0_mm});
    CHECK(points[1] == ProfilePoint{3000_mm, -12_mm});
}

TEST_CASE("a floor level within the tape's error is not said to fall", "[survey]") {
    Wall wall = plain_wall();
    wall.floor = {{0_mm, 1000_mm}, {3600_mm, Length::micrometres(1'000'600)}};
    const Plan plan = reckon(job_with({wall}));
    CHECK_FALSE(plan.walls[0]->survey.floor.uneven);
    CHECK_FALSE(find_check(plan.walls[0]->survey.checks, checks::floor_falls));
}

TEST_CASE("a ceiling lower than the wall's height is pointed out with its cure", "[survey]") {
    Wall wall = plain_wall();
    wall.ceiling = {{0_mm, 1380_mm}};
    Plan plan = reckon(job_with({wall}));
    CHECK(find_check(plan.walls[0]->survey.checks, checks::ceiling_without_floor));
    wall.floor = {{0_mm, 1000_mm}};
    const Job job = job_with({wall});
    plan = reckon(job);
    const Check* differs = find_check(plan.walls[0]->survey.checks, checks::ceiling_differs);
    REQUIRE(differs);
    CHECK(differs->amount->si == Approx(0.020));
    REQUIRE(differs->cures[0].edit);
    const Job cured = apply(*differs->cures[0].edit, job);
    CHECK(cured.walls[0].height == 2380_mm);
    CHECK_FALSE(find_check(reckon(cured).walls[0]->survey.checks, checks::ceiling_differs));
}

TEST_CASE("the front line agrees with Eigen's least squares, moved to the proudest place", "[survey][reference]") {
    std::mt19937_64 random{5};
    std::uniform_int_distribution<int> gap{0, 30};
    Wall wall = plain_wall();
    const std::vector<Length> heights{600_mm, 1400_mm, 2100_mm};
    Eigen::MatrixXd places(24, 4); // slope along the wall, and a level of its own for each string
    Eigen::VectorXd gaps(24);
    places.setZero();
    for (int row = 0; row < 3; ++row)
        for (int i = 0; i < 8; ++i) {
            const FaceReading reading{450_mm * i, heights[static_cast<std::size_t>(row)], Length::mm(gap(random))};
            wall.face.push_back(reading);
            places(row * 8 + i, 0) = reading.x.in_metres();
            places(row * 8 + i, 1 + row) = 1;
            gaps(row * 8 + i) = reading.gap.in_metres();
        }
    const Eigen::VectorXd solved = places.colPivHouseholderQr().solve(gaps);
    const FaceProfile face = face_profile(wall, {});
    CHECK(face.slope == Approx(solved(0)).margin(1e-9));
    double least = 1;
    for (int i = 0; i < 24; ++i)
        least = std::min(least, gaps(i) - solved(0) * places(i, 0));
    CHECK(face.intercept == Approx(least).margin(1e-9));
    // The proudest place needs nothing, no place less than nothing, and the front is straight.
    CHECK(face.shim_at(face.proud_x, face.proud_z)->in_metres() == Approx(0).margin(1e-9));
    for (const FaceReading& reading : wall.face) {
        const double shim = face.shim_at(reading.x, reading.z)->in_metres();
        CHECK(shim >= 0);
        CHECK(reading.gap.in_metres() - shim ==
              Approx(face.intercept + face.slope * reading.x.in_metres()).margin(2e-9));
    }
}

TEST_CASE("bow, hollow, lean and the packing between readings come out as drawn", "[survey]") {
    Wall wall = plain_wall();
    // Proud by 6 mm in the middle, and leaning back 4 mm between the strings.
    for (const auto& [z, back] : {std::pair{800_mm, 0_mm}, {2000_mm, 4_mm}})
        for (const auto& [x, gap] : {std::pair{0_mm, 20_mm}, {1800_mm, 14_mm}, {3600_mm, 20_mm}})
            wall.face.push_back({x, z, gap + back});
    const FaceProfile face = face_profile(wall, {});
    CHECK(face.proud_x == 1800_mm);
    CHECK(face.proud_z == 800_mm);
    CHECK(face.shim_at(0_mm, 800_mm) == 6_mm);
    CHECK(face.shim_at(900_mm, 800_mm) == 3_mm);
    CHECK(face.shim_at(900_mm, 1400_mm) == 5_mm);
    CHECK(face.deepest_between(0_mm, 3600_mm, 2000_mm)->packing == 10_mm);
    CHECK_FALSE(face.plumb);
    CHECK(face.lean * 1.2 == Approx(0.004));
    CHECK(face.rows[0].bow == 4_mm); // out of the fitted line, which passes through the mean
    CHECK(face.covers(900_mm, 1400_mm));
    CHECK_FALSE(face.covers(900_mm, 2300_mm));
    CHECK_FALSE(face_profile(plain_wall(), {}).shim_at(0_mm, 0_mm));
}

TEST_CASE("between leaning ends the least width is the one to use", "[survey]") {
    Wall wall = plain_wall();
    wall.widths = {{100_mm, 3600_mm}, {1200_mm, 3596_mm}, {2300_mm, 3591_mm}};
    const auto widths = width_profile(wall, {});
    REQUIRE(widths);
    CHECK(widths->least == 3591_mm);
    CHECK(widths->least_z == 2300_mm);
    CHECK_FALSE(widths->parallel);
    wall.widths[2].width = Length::micrometres(3'599'200);
    wall.widths[1].width = 3600_mm;
    CHECK(width_profile(wall, {})->parallel); // 0.8 mm is within 1.1 mm a reading
}

// Check values: square by 3-4-5, and a 600 x 800 frame with diagonals 1002 and 998.
TEST_CASE("corners follow from three sides or two diagonals", "[survey][common-practice]") {
    const CornerAngle square = angle({900_mm, 1200_mm, 1500_mm, {}});
    CHECK(degrees(square.room_side) == Approx(90).margin(0.005));
    CHECK(square.square);
    const CornerAngle frame = angle({600_mm, 800_mm, 1002_mm, 998_mm});
    CHECK(std::abs(frame.out_of_square.in_mm()) == Approx(3.33).margin(0.01));
    CHECK_FALSE(frame.square);
    // By geometry: a next wall that runs 10 mm out over 1200 mm.
    const double a = std::asin(10.0 / 1200);
    const double across = std::hypot(900 + 1200 * std::sin(a), 1200 * std::cos(a));
    const CornerAngle open = angle({900_mm, 1200_mm, Length::nearest_to_metres(across / 1e3), {}});
    CHECK(open.out_of_square.in_mm() == Approx(10).margin(0.01));
    CHECK(degrees(angle({900_mm, 1200_mm, 1500_mm, {}}, WallEnd::outside_corner).room_side) ==
          Approx(270).margin(0.005));
    const auto none = corner_angle({900_mm, 1200_mm, 2200_mm, {}}, WallEnd::corner, {});
    REQUIRE(std::holds_alternative<CornerProblem>(none));
    CHECK(std::get<CornerProblem>(none).most == 2100_mm);
    CHECK(std::get<CornerProblem>(none).least == 300_mm);
}

TEST_CASE("accessories on the far side count through a thin wall, or one of unknown thickness", "[survey][standard]") {
    Wall wall = plain_wall();
    wall.left_end = wall.right_end = WallEnd::open;
    HouseRules rules;
    rules.strip_corner = {};
    wall.services = {{ServiceKind::socket, 1000_mm, 300_mm, 86_mm, true}};
    CHECK(service_strips(wall, rules).size() == 2);
    wall.thickness = 100_mm;
    CHECK(service_strips(wall, rules).size() == 2);
    wall.thickness = 115_mm;
    CHECK(service_strips(wall, rules).empty());
}

TEST_CASE("a trial hole names the wall's build-up", "[survey][common-practice]") {
    using enum DrillMet;
    const auto read = [](std::vector<TrialLayer> layers, Length depth) {
        return build_up_of({500_mm, 1500_mm, std::move(layers), depth}, Framing{});
    };
    const Length board = Length::micrometres(12'500);

    const WallBuildUp stud = read({{white_soft_dust, {}}, {wood_shavings, board}}, 70_mm);
    REQUIRE(std::holds_alternative<Framing>(*stud.structure));
    CHECK(stud.lining == std::vector<LiningLayer>{{LiningMaterial::plasterboard, board}});
    CHECK(stud.doubts.empty());

    const WallBuildUp partition = read({{white_soft_dust, {}}, {nothing, board}, {white_soft_dust, 102_mm}}, 110_mm);
    REQUIRE(std::holds_alternative<Framing>(*partition.structure));
    CHECK(std::get<Framing>(*partition.structure).stud_depth == 102_mm - board);

    const WallBuildUp dabs = read({{white_soft_dust, {}}, {nothing, board}, {grey_hard, 35_mm}}, 80_mm);
    CHECK(std::get<Masonry>(*dabs.structure).kind == MasonryKind::dense_block);
    REQUIRE(dabs.lining.size() == 2);
    CHECK(dabs.lining[1] == LiningLayer{LiningMaterial::hollow, 35_mm - board});

    const WallBuildUp brick = read({{white_soft_dust, {}}, {grey_sandy_dust, 3_mm}, {red_dust, 15_mm}}, 60_mm);
    CHECK(std::get<Masonry>(*brick.structure).kind == MasonryKind::brick);
    CHECK(brick.lining[0].material == LiningMaterial::plaster);
    CHECK(brick.lining[1].thickness == 12_mm);

    const WallBuildUp tiled = read({{glazed_chips, {}}, {grey_fibrous, 8_mm}, {metal, 20_mm}}, 21_mm);
    CHECK(tiled.lining[0].material == LiningMaterial::tile);
    CHECK(std::get<Framing>(*tiled.structure).material == StudMaterial::steel);
    CHECK_FALSE(tiled.doubts.empty()); // it may be a pipe

    const WallBuildUp laths = read({{grey_sandy_dust, {}}, {wood_shavings, 15_mm}, {nothing, 23_mm}}, 90_mm);
    CHECK_FALSE(laths.structure);
    CHECK_FALSE(laths.doubts.empty());
    CHECK_FALSE(read({{white_soft_dust, {}}}, 20_mm).structure);
    CHECK_FALSE(read({}, 20_mm).structure);
    // Entered out of order it comes to the same.
    CHECK(read({{wood_shavings, board}, {white_soft_dust, {}}}, 70_mm).lining == stud.lining);
}

TEST_CASE("a trial hole that says otherwise than the wall's figures is pointed out and can be taken", "[survey]") {
    Wall wall = plain_wall();
    wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500)}};
    wall.trial_holes = {{500_mm, 1500_mm, {{DrillMet::grey_sandy_dust, {}}, {DrillMet::red_dust, 14_mm}}, 60_mm}};
    const Job job = job_with({wall});
    const Plan plan = reckon(job);
    const Check* differs = find_check(plan.walls[0]->survey.checks, checks::build_up_differs);
    REQUIRE(differs);
    REQUIRE(differs->cures.back().edit);
    const Job taken = apply(*differs->cures.back().edit, job);
    CHECK(std::holds_alternative<Masonry>(taken.walls[0].structure));
    CHECK(taken.walls[0].lining_thickness() == 14_mm);
    CHECK_FALSE(find_check(reckon(taken).walls[0]->survey.checks, checks::build_up_differs));
}

// Check value: openings 17 13/16 in and 17 9/16 in want packing of 1/4 in.
TEST_CASE("two widths differ by the packing between them", "[survey][common-practice]") {
    Wall wall = plain_wall();
    wall.widths = {{0_mm, Length::inches(17, {13, 16})}, {900_mm, Length::inches(17, {9, 16})}};
    const auto widths = width_profile(wall, {});
    CHECK(widths->most - widths->least == Length::inches(0, {1, 4}));
    CHECK_FALSE(widths->parallel);
}

TEST_CASE("readings beyond the wall are kept, not used, and taken out by their cure", "[survey]") {
    Wall wall = plain_wall();
    wall.floor = {{4000_mm, 900_mm}, {0_mm, 1000_mm}};
    wall.face = {{100_mm, 2600_mm, 5_mm}};
    wall.observations = {{EvidenceKind::nail_pop, 3601_mm}};
    const Job job = job_with({wall});
    const Plan plan = reckon(job);
    const Check* off = find_check(plan.walls[0]->survey.checks, checks::reading_off_wall);
    REQUIRE(off);
    CHECK(off->amount->si == 3);
    CHECK(plan.walls[0]->survey.floor.level_line == 1000_mm);
    const Job cured = apply(*off->cures[0].edit, job);
    CHECK(cured.walls[0].floor.size() == 1);
    CHECK(cured.walls[0].face.empty());
    CHECK(cured.walls[0].observations.empty());
}

TEST_CASE("a table of readings goes out and comes back the same", "[survey][csv]") {
    Wall wall = plain_wall();
    wall.observations = {{EvidenceKind::probe_hit, 1043_mm},
                         {EvidenceKind::detector, Length::micrometres(812'500), 1500_mm, 10_mm}};
    wall.studs = {{463_mm, StudState::proved, Length::micrometres(600)}};
    wall.floor = {{0_mm, 1014_mm}};
    wall.ceiling = {{0_mm, 1401_mm}};
    wall.face = {{400_mm, 850_mm, 17_mm}};
    wall.widths = {{100_mm, 3600_mm}};
    wall.joists = {410_mm};
    wall.openings = {{OpeningKind::window, 900_mm, 905_mm, 1110_mm, 1260_mm, {}}};
    wall.services = {{ServiceKind::socket, 300_mm, 310_mm, 86_mm, true}};
    wall.obstacles = {{ObstacleKind::radiator, 900_mm, 130_mm, 950_mm, 600_mm, 100_mm}};
    wall.scans = {{ScanResult::cable, 2780_mm, {}, 30_mm, 1200_mm}};
    const std::string table = readings_csv(wall);
    Wall again = plain_wall();
    REQUIRE(add_readings_csv(table, again));
    CHECK(again == wall);
    CHECK(readings_csv(again) == table);
}

TEST_CASE("a table is taken with other separators, ends of line, units and order of columns", "[survey][csv]") {
    Wall wall = plain_wall();
    CHECK(add_readings_csv("\xEF\xBB\xBFx_mm;kind;reading_mm\r\n\"40,5 cm\";floor;1,014 m\r\n\r\n16 in;floor;1012\r\n",
                           wall)
              .error()
              .find("1,014") != std::string::npos); // a comma and three digits could be thousands
    const auto added = add_readings_csv(
        "\xEF\xBB\xBFx_mm;kind;reading_mm\r\n\"40,5 cm\";floor;101,4 cm\r\n\r\n16 in;floor;1012\r\n", wall);
    REQUIRE(added);
    CHECK(*added == 2);
    CHECK(wall.floor[0].x == 405_mm);
    CHECK(wall.floor[1].x == 16_in);
}

TEST_CASE("a bad table is refused whole, with line, column and cure", "[survey][csv]") {
    Wall wall = plain_wall();
    const Wall before = wall;
    const auto problem = [&](const std::string& table) {
        const auto added = add_readings_csv(table, wall);
        REQUIRE_FALSE(added);
        CHECK(wall == before);
        return added.error();
    };
    CHECK(problem("kind,x_mm,reading_mm\nfloor,0,1000\nfloor,400\n")
              .find("line 3, reading_mm: floor needs this figure") == 0);
    CHECK(problem("kind,x_mm\nfloor,0\n").find("line 2, reading_mm") == 0);
    CHECK(problem("kind,x_mm\nwallpaper,0\n").find("line 2, kind: \"wallpaper\" is not known") == 0);
    CHECK(problem("kind,where\n").find("line 1, where: there is no such column") == 0);
    CHECK(problem("kind,x_mm\nprobe_hit,twelve\n").find("line 2, x_mm: \"twelve\"") == 0);
    CHECK(problem("kind,x_mm\nprobe_hit,-4\n").find("line 2, x_mm: -4 must be 0 or more") == 0);
    CHECK(problem("kind,x_mm,width_mm\nprobe_hit,4,30\n").find("line 2, width_mm: probe_hit has no such figure") == 0);
    CHECK(problem("kind,x_mm\nprobe_hit,1,2,3\n").find("line 2: 4 cells stand under 2 columns") == 0);
    CHECK(problem("x_mm\n4\n").find("line 1: the first line must name the columns") == 0);
    CHECK(problem("").find("the table holds no reading") == 0);
    CHECK(problem("kind,x_mm\n\"probe_hit,4\n").size() > 0);
}
