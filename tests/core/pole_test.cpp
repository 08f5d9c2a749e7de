#include "core/shelves/pole_height.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

namespace {

Wall with_window() {
    Wall wall = masonry_wall();
    wall.openings.push_back({OpeningKind::window, 1200_mm, 900_mm, 1000_mm, 1200_mm, 60_mm, {}});
    return wall;
}

Pole& how(Shelf& shelf) {
    return std::get<Pole>(shelf.holding);
}

bool says(const ShelfPlan& plan, std::string_view words) {
    return std::ranges::any_of(plan.steps,
                               [&](const Step& step) { return say(step.words, {}).find(words) != std::string::npos; });
}

} // namespace

TEST_CASE("a pole over a window: past the trim, between trim and ceiling, under the strip along the ceiling",
          "[shelves][pole][common-practice]") {
    // Trim to 2100, ceiling at 2500: six tenths of the way is 2340; the strip begins 150 under the ceiling and the
    // plate of 70 reaches 35 over the pole's middle: 2315 at the highest.
    const Shelf pole = new_shelf(shelf_preset("pole"), with_window());
    CHECK(pole.left == 1200_mm - 5_in);
    CHECK(pole.right() == 2200_mm + 5_in);
    CHECK(pole.height == 2315_mm);
    Wall high = with_window();
    high.height = 3000_mm;
    CHECK(new_shelf(shelf_preset("pole"), high).height == 2100_mm + 900_mm * 6 / 10);
    // Where there is no room under the strip it stays between trim and ceiling, and the strip's own check speaks.
    Wall low = with_window();
    low.height = 2250_mm;
    CHECK(new_shelf(shelf_preset("pole"), low).height == 2190_mm);
}

TEST_CASE("returns are of the same rod, finials are bought, it cannot have both", "[shelves][pole]") {
    Shelf pole = new_shelf(shelf_preset("pole"), with_window());
    CHECK(shelf_plan(job_with(with_window(), pole)).parts.front().length == pole.length);
    how(pole).returns = true;
    ShelfPlan plan = shelf_plan(job_with(with_window(), pole));
    CHECK(plan.parts.front().length == pole.length + 2 * pole.depth);
    CHECK(says(plan, "back to the wall"));
    const auto bought = [&](std::string_view item) {
        const auto found = std::ranges::find(plan.supplies, item, &Supply::item);
        return found == plan.supplies.end() ? 0 : found->number;
    };
    CHECK(bought("return plate") == 2);
    how(pole).finial = 80_mm;
    plan = shelf_plan(job_with(with_window(), pole));
    REQUIRE(find_check(plan, checks::pole_ends));
    CHECK_FALSE(find_check(cured(job_with(with_window(), pole), checks::pole_ends), checks::pole_ends));
    how(pole).returns = false;
    plan = shelf_plan(job_with(with_window(), pole));
    CHECK(bought("finial") == 2);
    CHECK(says(plan, "one of them between each end bracket and its finial"));
}

TEST_CASE("a finial stays out of the wall beside it", "[shelves][pole]") {
    Shelf pole = new_shelf(shelf_preset("pole"), with_window());
    pole.left = 50_mm;
    how(pole).finial = 80_mm;
    const Job job = job_with(with_window(), pole);
    const Check* check = nullptr;
    const ShelfPlan plan = shelf_plan(job);
    check = find_check(plan, checks::pole_finial);
    REQUIRE(check);
    CHECK(check->amount->si == Approx(0.030));
    CHECK_FALSE(find_check(cured(job, checks::pole_finial), checks::pole_finial));
    // A free end has nothing beside it.
    Wall open = with_window();
    open.left_end = WallEnd::open;
    CHECK_FALSE(find_check(shelf_plan(job_with(open, pole)), checks::pole_finial));
}

TEST_CASE("each bracket is levelled from the one before it, with screws that hold", "[shelves][pole]") {
    Shelf pole = new_shelf(shelf_preset("pole"), with_window());
    pole.left = 400_mm;
    pole.length = 3000_mm;
    const ShelfPlan plan = shelf_plan(job_with(with_window(), pole));
    REQUIRE(plan.brackets.size() >= 3);
    CHECK(says(plan, "Bracket 2: level across from bracket 1"));
    CHECK(says(plan, "Bracket 3: level across from bracket 2"));
    CHECK(says(plan, "never into the trim"));
    CHECK(says(plan, "The screws that came with the brackets"));
}

TEST_CASE("a pole hangs at a share of the way from trim to ceiling, under the strip", "[shelves][pole]") {
    const Wall wall = with_window(); // trim to 2100, ceiling at 2500
    const Shelf pole = new_shelf(shelf_preset("pole"), wall);
    const auto room = pole_room(wall, pole, HouseRules{});
    REQUIRE(room);
    CHECK(room->trim == 2100_mm);
    CHECK(room->highest == 2315_mm);
    CHECK(pole_height(*room, 0.5) == 2300_mm);
    CHECK(pole_height(*room, 0.25) == 2200_mm);
    CHECK(pole_height(*room, 2.0 / 3) == 2315_mm);
    Shelf elsewhere = pole;
    elsewhere.left = 2400_mm;
    elsewhere.length = 800_mm;
    CHECK_FALSE(pole_room(wall, elsewhere, HouseRules{}));
}
