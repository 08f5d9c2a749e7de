#include "core/shelves/shelf_checks.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

namespace {

/// 4 m of masonry read with a string at 1500: 20 mm off at both ends, 12 in the middle, which stands out by 8.
Wall bowed() {
    Wall wall = masonry_wall();
    for (const auto& [x, gap] : {std::pair{0_mm, 20_mm}, std::pair{1000_mm, 16_mm}, std::pair{2000_mm, 12_mm},
                                 std::pair{3000_mm, 16_mm}, std::pair{4000_mm, 20_mm}})
        wall.face.push_back({x, 1500_mm, gap, {}});
    return wall;
}

Shelf board(Length left, Length length) {
    Shelf shelf = new_shelf(shelf_preset("brackets"), masonry_wall());
    shelf.left = left;
    shelf.length = length;
    shelf.height = 1500_mm;
    return shelf;
}

} // namespace

TEST_CASE("a board along a bowed wall is cut back to it: most where the wall stands out",
          "[shelves][bow][check-value]") {
    // From 500 to 3500 the wall is 18 mm from the string at both ends and 12 in the middle: 6 mm come off there.
    const ShelfPlan plan = shelf_plan(job_with(bowed(), board(500_mm, 3000_mm)));
    REQUIRE_FALSE(plan.back_cuts.empty());
    CHECK(plan.back_cuts.front().at == Length{});
    CHECK(plan.back_cuts.back().at == 3000_mm);
    CHECK(plan.back_cuts.front().off.in_mm() == Approx(0).margin(0.01));
    CHECK(plan.back_cuts.back().off.in_mm() == Approx(0).margin(0.01));
    const auto middle = std::ranges::find(plan.back_cuts, 1500_mm, &BackCut::at);
    REQUIRE(middle != plan.back_cuts.end());
    CHECK(middle->off.in_mm() == Approx(6).margin(0.01));
    for (const BackCut& cut : plan.back_cuts) {
        CHECK(cut.off >= Length{});
        CHECK(cut.off <= middle->off);
    }
    // It is left so much broader, and the steps say so.
    REQUIRE_FALSE(plan.parts.empty());
    CHECK((plan.parts.front().breadth - 250_mm).in_mm() == Approx(6).margin(0.01));
    CHECK(std::ranges::any_of(plan.steps, [](const Step& step) {
        return say(step.words, {}).find("The wall bows by 6 mm") != std::string::npos;
    }));
}

TEST_CASE("a wall that is straight enough, or was not read, is not scribed to", "[shelves][bow]") {
    CHECK(shelf_plan(job_with(masonry_wall(), board(500_mm, 3000_mm))).back_cuts.empty());
    // Over 400 mm beside the middle it bows by less than 2 mm.
    CHECK(shelf_plan(job_with(bowed(), board(1800_mm, 400_mm))).back_cuts.empty());
    Job careful = job_with(bowed(), board(1800_mm, 400_mm));
    careful.rules.shelves.scribe_from = {};
    CHECK_FALSE(shelf_plan(careful).back_cuts.empty());
    // A pole has no back.
    Shelf pole = new_shelf(shelf_preset("pole"), masonry_wall());
    CHECK(shelf_plan(job_with(bowed(), pole)).back_cuts.empty());
}

TEST_CASE("from corner to corner no board is sawn longer than boards are to be had", "[shelves][joints]") {
    Shelf shelf = board({}, 2440_mm);
    Wall wall = masonry_wall();
    wall.length = 2440_mm;
    // As long as boards are, and 10 mm left on to scribe: too long.
    const ShelfPlan plan = shelf_plan(job_with(wall, shelf));
    const Check* check = find_check(plan, checks::board_too_long);
    REQUIRE(check);
    CHECK(check->amount->si == Approx(0.010));
    wall.length = 2430_mm;
    shelf.length = 2430_mm;
    CHECK_FALSE(find_check(shelf_plan(job_with(wall, shelf)), checks::board_too_long));

    // Shelves round a room are joined so that each board comes out of a length.
    Job job = new_job();
    job.rooms.push_back({});
    job.rooms.back().id = job.rooms.back().name = "room";
    Wall long_wall = masonry_wall();
    long_wall.id = "long";
    long_wall.name = "Long wall";
    long_wall.room = "room";
    long_wall.length = 4880_mm;
    job.walls = {long_wall};
    Shelf like = board({}, 1000_mm);
    like.name = "High shelf";
    const auto round = shelves_round_room(job, "room", like);
    REQUIRE(round.size() == 1);
    CHECK(round.front().second.name == "High shelf, Long wall");
    job.walls.front().shelves = {round.front().second};
    const ShelfPlan joined = shelf_plan(job);
    CHECK_FALSE(find_check(joined, checks::board_too_long));
    for (const CutPart& part : joined.parts)
        CHECK(part.length <= job.rules.shelves.board_longest);
}

TEST_CASE("what hangs from the ceiling over a door has no leg that stands in it", "[shelves][hangers]") {
    Wall wall = masonry_wall();
    wall.joists = {1450_mm, 1850_mm, 2250_mm};
    wall.openings.push_back({OpeningKind::door, 1400_mm, 0_mm, 900_mm, 2050_mm, 50_mm, {}});
    Shelf shelf = board(800_mm, 2100_mm);
    shelf.height = 2150_mm;
    shelf.load.kind = LoadKind::display;
    shelf.hangers = {1050_mm}; // in the middle of the door
    for (const Check& check : shelf_plan(job_with(wall, shelf)).checks)
        CHECK(say(check.message, {}).find("stands in the door") == std::string::npos);
}

TEST_CASE("a top is scribed before anything is cut out of it, what was left over shared by its ends",
          "[shelves][bow][cut-outs]") {
    Wall wall = bowed();
    Shelf shelf = board({}, 4000_mm);
    CutOut outlet;
    outlet.name = "cables";
    outlet.across = 1000_mm;
    outlet.back = 60_mm;
    outlet.width = 60_mm;
    outlet.depth = 60_mm;
    shelf.cut_outs = {outlet};
    std::vector<std::string> said;
    for (const Step& step : shelf_plan(job_with(wall, shelf)).steps)
        said.push_back(say(step.words, {}));
    const auto place = [&](std::string_view words) {
        return std::ranges::find_if(said,
                                    [&](const std::string& each) { return each.find(words) != std::string::npos; }) -
               said.begin();
    };
    const auto last = static_cast<std::ptrdiff_t>(said.size());
    CHECK(place("The wall bows by") < place("share what was left over between both"));
    CHECK(place("share what was left over between both") < place("Cut out cables"));
    CHECK(place("Cut out cables") < last);
    // One that is free at its ends has nothing to share.
    shelf.left = 500_mm;
    shelf.length = 3000_mm;
    said.clear();
    for (const Step& step : shelf_plan(job_with(wall, shelf)).steps)
        said.push_back(say(step.words, {}));
    CHECK(place("share what was left over") == static_cast<std::ptrdiff_t>(said.size()));
    CHECK(place("Cut out cables") < static_cast<std::ptrdiff_t>(said.size()));
}
