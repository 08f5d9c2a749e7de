#include "core/survey/strips.hpp"

#include <algorithm>
#include <catch2/catch.hpp>

using namespace yes_square;

namespace {

Wall bare_wall() {
    Wall wall;
    wall.length = 4000_mm;
    wall.height = 2500_mm;
    wall.left_end = WallEnd::open;
    wall.right_end = WallEnd::open;
    return wall;
}

HouseRules without_ceiling() {
    HouseRules rules;
    rules.strip_corner = {};
    return rules;
}

} // namespace

// BS 7671 522.6, from memory.
TEST_CASE("a socket has a strip up and down and one both ways along the wall, as wide as itself",
          "[survey][standard]") {
    Wall wall = bare_wall();
    wall.services = {{ServiceKind::socket, 1200_mm, 300_mm, 86_mm, {}}};
    const auto strips = service_strips(wall, without_ceiling());
    REQUIRE(strips.size() == 2);
    CHECK(strips[0].left == 1157_mm);
    CHECK(strips[0].right == 1243_mm);
    CHECK(strips[0].bottom == 0_mm);
    CHECK(strips[0].top == 2500_mm);
    CHECK(strips[1].left == 0_mm);
    CHECK(strips[1].right == 4000_mm);
    CHECK(strips[1].bottom == 257_mm);
    CHECK(strips[1].top == 343_mm);
}

TEST_CASE("a pipe has its vertical strip alone", "[survey][common-practice]") {
    Wall wall = bare_wall();
    wall.services = {{ServiceKind::pipe, 700_mm, 900_mm, 100_mm, {}}};
    const auto strips = service_strips(wall, without_ceiling());
    REQUIRE(strips.size() == 1);
    CHECK(strips[0].left == 650_mm);
    CHECK(strips[0].top == 2500_mm);
}

TEST_CASE("150 mm beside wall corners and along the ceiling, where there is a corner", "[survey][standard]") {
    Wall wall = bare_wall();
    CHECK(service_strips(wall, {}).size() == 1);
    wall.left_end = WallEnd::corner;
    auto strips = service_strips(wall, {});
    REQUIRE(strips.size() == 2);
    CHECK(strips[0].right == 150_mm);
    CHECK(strips[1].bottom == 2350_mm);
    wall.right_end = WallEnd::corner;
    strips = service_strips(wall, {});
    REQUIRE(strips.size() == 3);
    CHECK(strips[1].left == 3850_mm);
}

TEST_CASE("the lining's thickness is that of all its layers", "[survey]") {
    Wall wall = bare_wall();
    CHECK(wall.lining_thickness() == Length{});
    wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500), {}}, {LiningMaterial::tile, 8_mm, {}}};
    CHECK(wall.lining_thickness() == Length::micrometres(20'500));
}
