#include "core/reckon/reckon_survey.hpp"
#include "core/site/site_checks.hpp"
#include "survey_walls.hpp"

#include <algorithm>
#include <catch2/catch.hpp>
#include <cmath>
#include <numbers>

using namespace yes_square;

TEST_CASE("a room of true readings closes, and a wall 50 mm wrong is found out", "[survey]") {
    // A quadrilateral by its corners, mm; sides and angles follow.
    const std::vector<std::pair<double, double>> at{{0, 0}, {4000, 0}, {4020, -3000}, {-15, -3010}};
    std::vector<Wall> walls;
    const auto to = [&](std::size_t a, std::size_t b) {
        return std::pair{at[b % 4].first - at[a % 4].first, at[b % 4].second - at[a % 4].second};
    };
    for (std::size_t i = 0; i < 4; ++i) {
        const auto [x, y] = to(i, i + 1);
        Wall wall = plain_wall(Length::nearest_to_metres(std::hypot(x, y) / 1e3));
        wall.id = "wall-" + std::to_string(i + 1);
        const auto [bx, by] = to(i + 1, i);
        const auto [cx, cy] = to(i + 1, i + 2);
        const double corner = std::acos((bx * cx + by * cy) / std::hypot(bx, by) / std::hypot(cx, cy));
        const double across = std::sqrt(900.0 * 900 + 1200.0 * 1200 - 2 * 900 * 1200 * std::cos(corner));
        wall.corner = CornerReading{900_mm, 1200_mm, Length::nearest_to_metres(across / 1e3), {}};
        walls.push_back(wall);
    }
    Job job = job_with(walls);
    Plan plan = reckon(job);
    REQUIRE(plan.rooms[0].plan.closed);
    CHECK(plan.rooms[0].plan.every_turn_measured);
    CHECK(plan.rooms[0].plan.closing_error < 1_mm);
    CHECK(plan.rooms[0].checks.empty());
    job.walls[2].length += 50_mm;
    plan = reckon(job);
    CHECK(plan.rooms[0].plan.closing_error.in_mm() == Approx(50).margin(1));
    REQUIRE(plan.rooms[0].checks.size() == 1);
    CHECK(plan.rooms[0].checks[0].severity == Severity::warning);
    // Without a reading of its corner the wall after it is drawn square, and the room says so.
    job.walls[0].corner.reset();
    CHECK(reckon(job).rooms[0].checks[0].severity == Severity::note);
    job.walls[3].right_end = WallEnd::open;
    CHECK_FALSE(reckon(job).rooms[0].plan.closed);
}

TEST_CASE("an L-shaped room turns the other way at its outside corner and closes", "[survey]") {
    const std::vector<std::pair<std::int64_t, WallEnd>> sides{{4000, WallEnd::corner},         {1500, WallEnd::corner},
                                                              {1800, WallEnd::outside_corner}, {1700, WallEnd::corner},
                                                              {2200, WallEnd::corner},         {3200, WallEnd::corner}};
    std::vector<Wall> walls;
    for (std::size_t i = 0; i < sides.size(); ++i) {
        Wall wall = plain_wall(Length::mm(sides[i].first));
        wall.id = "wall-" + std::to_string(i + 1);
        wall.right_end = sides[i].second;
        wall.left_end = sides[(i + sides.size() - 1) % sides.size()].second;
        walls.push_back(wall);
    }
    const Plan plan = reckon(job_with(walls));
    CHECK(plan.rooms[0].plan.closed);
    CHECK(plan.rooms[0].plan.closing_error < 1_mm);
    CHECK(plan.walls[0]->survey.right->wall == "wall-2");
    CHECK(plan.walls[0]->survey.left->wall == "wall-6");
    CHECK(plan.walls[2]->survey.right->corner == WallEnd::outside_corner);
}

TEST_CASE("shelves that meet in a corner are found out by depth, and one gives way", "[survey][shelves]") {
    Wall first = plain_wall();
    Wall second = plain_wall();
    second.id = "wall-2";
    second.name = "Next";
    for (Wall* wall : {&first, &second}) {
        wall->structure = Masonry{MasonryKind::concrete};
        Shelf shelf;
        shelf.id = "shelf-" + wall->id;
        shelf.name = "Shelf of " + wall->name;
        shelf.length = 1000_mm;
        shelf.depth = 250_mm;
        shelf.thickness = 22_mm;
        shelf.height = 1500_mm;
        wall->shelves = {shelf};
    }
    first.shelves[0].left = 2500_mm; // ends 100 mm before the corner
    second.shelves[0].left = 50_mm;  // begins 50 mm after it
    Job job = job_with({first, second});
    Plan plan = reckon(job);
    const Check* meets = find_check(plan.walls[0]->shelves[0].checks, checks::meets_neighbour);
    REQUIRE(meets);
    CHECK(meets->amount->si == Approx(0.150)); // 250 deep, less the 100 left free
    CHECK(find_check(plan.walls[1]->shelves[0].checks, checks::meets_neighbour));
    REQUIRE(meets->cures[0].edit);
    job = apply(*meets->cures[0].edit, job);
    CHECK(job.walls[0].shelves[0].right() == 3350_mm);
    plan = reckon(job);
    CHECK_FALSE(find_check(plan.walls[0]->shelves[0].checks, checks::meets_neighbour));
    // At another height they do not meet.
    job.walls[0].shelves[0].length = 1000_mm;
    job.walls[1].shelves[0].height = 1800_mm;
    CHECK_FALSE(find_check(reckon(job).walls[0]->shelves[0].checks, checks::meets_neighbour));
}

TEST_CASE("a detector's word edits the strips: clear cuts them, found ones stay", "[survey]") {
    Wall wall = plain_wall();
    wall.left_end = wall.right_end = WallEnd::open;
    HouseRules rules;
    rules.strip_corner = {};
    wall.services = {{ServiceKind::socket, 1000_mm, 300_mm, 86_mm, false}};
    wall.scans = {{ScanResult::clear, 900_mm, 1000_mm, 400_mm, 500_mm}};
    const auto covers = [&](Length x, Length z) {
        return std::ranges::any_of(service_strips(wall, rules), [&](const Strip& strip) {
            return x > strip.left && x < strip.right && z > strip.bottom && z < strip.top;
        });
    };
    CHECK(covers(1000_mm, 900_mm));
    CHECK_FALSE(covers(1000_mm, 1200_mm));
    CHECK(covers(1000_mm, 1600_mm));
    CHECK(covers(2500_mm, 300_mm));
    // A cable that was found is not argued away by an area read as clear.
    wall.scans.push_back({ScanResult::cable, 1100_mm, 1100_mm, 20_mm, 200_mm});
    CHECK(covers(1110_mm, 1200_mm));
    CHECK(covers(1060_mm, 1200_mm)); // its margin
    CHECK_FALSE(covers(1000_mm, 1200_mm));
    wall.scans.push_back({ScanResult::keep_out, 2000_mm, 2000_mm, 100_mm, 100_mm});
    CHECK(covers(2050_mm, 2050_mm));
    CHECK_FALSE(covers(1990_mm, 2050_mm)); // as drawn, no margin
}

// BS 7671 522.6, from memory: accessories on the far side count where the wall is no thicker than 100 mm.
TEST_CASE("radiators and boilers have their pipes, and keep shelves off", "[survey]") {
    Wall wall = plain_wall();
    wall.structure = Masonry{MasonryKind::concrete};
    wall.left_end = wall.right_end = WallEnd::open;
    wall.obstacles = {{ObstacleKind::radiator, 1000_mm, 150_mm, 800_mm, 600_mm, 100_mm},
                      {ObstacleKind::boiler, 2600_mm, 1200_mm, 400_mm, 700_mm, {}}};
    HouseRules rules;
    rules.strip_corner = {};
    CHECK(service_strips(wall, rules).size() == 3);
    Shelf shelf;
    shelf.id = "shelf";
    shelf.left = 900_mm;
    shelf.length = 900_mm;
    shelf.depth = 200_mm;
    shelf.thickness = 18_mm;
    shelf.height = 840_mm; // 90 mm over the radiator: inside what is kept free
    wall.shelves = {shelf};
    CHECK(find_check(reckon(job_with({wall})).walls[0]->shelves[0].checks, checks::over_obstacle));
    wall.shelves[0].height = 1200_mm;
    wall.services.clear();
    const Plan plan = reckon(job_with({wall}));
    CHECK(std::ranges::none_of(plan.walls[0]->shelves[0].checks, [](const Check& check) {
        return check.code == checks::over_obstacle && check.message.pattern.find("reaches") != std::string_view::npos;
    }));
}

TEST_CASE("nothing is hung on steel studs or a bare lining as if it were timber", "[survey][safety]") {
    for (const Structure& structure : {Structure{Framing{.material = StudMaterial::steel}}, Structure{LiningOnly{}}}) {
        Wall wall = plain_wall();
        wall.structure = structure;
        wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500)}};
        for (int i = 1; i < 9; ++i)
            wall.studs.push_back({400_mm * i, StudState::proved, Length::micrometres(600)});
        Shelf shelf;
        shelf.id = "shelf";
        shelf.left = 700_mm;
        shelf.length = 1300_mm;
        shelf.depth = 250_mm;
        shelf.thickness = 22_mm;
        shelf.height = 1600_mm;
        wall.shelves = {shelf};
        const Plan plan = reckon(job_with({wall}));
        CHECK(find_check(plan.walls[0]->survey.checks, checks::no_wood_behind));
        const ShelfPlan& hung = plan.walls[0]->shelves[0];
        const Check* none = find_check(hung.checks, checks::no_stud);
        REQUIRE(none);
        CHECK(none->severity == Severity::error);
        for (const BracketPlan& place : hung.brackets)
            CHECK(place.substrate == Substrate::lining);
    }
}

TEST_CASE("a shelf keeps to the least width, off the skirting, the cornice and under the ceiling",
          "[survey][shelves]") {
    Wall wall = plain_wall();
    wall.structure = Masonry{MasonryKind::concrete};
    Shelf shelf;
    shelf.id = "shelf";
    shelf.length = 3595_mm;
    shelf.depth = 200_mm;
    shelf.thickness = 20_mm;
    shelf.height = 1520_mm;
    wall.shelves = {shelf};
    const auto check = [&](CheckCode code) {
        const Plan plan = reckon(job_with({wall}));
        const Check* found = find_check(plan.walls[0]->shelves[0].checks, code);
        return found && found->amount ? found->amount->si : (found ? -1 : 0);
    };
    CHECK(check(checks::leaves_wall) == 0);
    wall.widths = {{1500_mm, 3591_mm}};
    CHECK(check(checks::leaves_wall) == Approx(0.004));
    wall.widths.clear();
    wall.shelves[0].length = 1000_mm;
    wall.shelves[0].height = 2350_mm;
    CHECK(check(checks::over_obstacle) == 0);
    wall.cornice_height = 80_mm;
    CHECK(check(checks::over_obstacle) == Approx(0.030));
    wall.floor = {{0_mm, 1000_mm}};
    wall.ceiling = {{0_mm, 1340_mm}, {3600_mm, 1360_mm}};
    CHECK(check(checks::over_ceiling) == Approx(0.010));
    wall.shelves[0].height = 330_mm;
    wall.skirting_height = 120_mm;
    CHECK(check(checks::over_obstacle) > 0); // the bracket's leg
}

TEST_CASE("heights are told from the finished floor and from the floor as it is", "[survey]") {
    Wall wall = plain_wall();
    wall.structure = Masonry{MasonryKind::concrete};
    wall.floor = {{0_mm, 1000_mm}, {3600_mm, 1012_mm}};
    Shelf shelf;
    shelf.id = "shelf";
    shelf.left = 900_mm;
    shelf.length = 900_mm;
    shelf.depth = 200_mm;
    shelf.thickness = 20_mm;
    shelf.height = 1520_mm;
    wall.shelves = {shelf};
    Job job = job_with({wall});
    job.rooms[0].floor_layers = {{"covering", 8_mm}};
    const Plan plan = reckon(job);
    const ShelfPlan& hung = plan.walls[0]->shelves[0];
    const auto working = [&](std::string_view subject) {
        const auto found = std::ranges::find(hung.workings, subject, &Working::subject);
        REQUIRE(found != hung.workings.end());
        return found->result.si;
    };
    CHECK(working("level") == Approx(1.500));
    CHECK(working("level-left") == Approx(1.511));  // 1500 + 8 + 3
    CHECK(working("level-right") == Approx(1.514)); // 1500 + 8 + 6
    for (const PlannedHole& hole : hung.holes)
        CHECK((hole.above_now - hole.z).in_mm() == Approx(8 + 12 * hole.x.in_metres() / 3.6).margin(0.001));
}
