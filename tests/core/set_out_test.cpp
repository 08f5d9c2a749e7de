// Where framing usually begins, and how evidence of it is looked for.
#include "core/job/field_visits.hpp"
#include "core/plan/cautions.hpp"
#include "core/sheets/evidence_drawing.hpp"
#include "core/survey/look_for.hpp"
#include "core/survey/set_out.hpp"
#include "survey_walls.hpp"

#include <catch2/catch.hpp>
#include <set>

using namespace yes_square;

namespace {

Wall framed(Length lining) {
    Wall wall = plain_wall(144_in);
    wall.structure = Framing{Length::inches(1, {1, 2}), Length::inches(3, {1, 2}), 16_in};
    wall.lining = {{LiningMaterial::plasterboard, lining, {}}};
    return wall;
}

} // namespace

TEST_CASE("first studs stand where sheets are set out from", "[survey][common-practice]") {
    // 16 in framing, 1/2 in lining: 15 1/2 in where this wall butts the next, 16 - 4 = 12 in where it runs behind.
    const auto in_corner = first_studs(16_in, Length::inches(0, {1, 2}), WallEnd::corner);
    REQUIRE(in_corner.size() == 2);
    CHECK(in_corner[0].from_corner == Length::inches(15, {1, 2}));
    CHECK(absolute(in_corner[1].from_corner - 12_in) < 1_mm); // 89 mm stand for 3 1/2 in
    const auto free = first_studs(16_in, Length::inches(0, {1, 2}), WallEnd::open);
    REQUIRE(free.size() == 1);
    CHECK(free[0].from_corner == Length::inches(16, {1, 2}));
}

TEST_CASE("they are told from both ends, and where that is from the reference end", "[survey]") {
    Wall wall = framed(Length::inches(0, {1, 2}));
    wall.right_end = WallEnd::open;
    const auto said = where_studs_begin(wall);
    REQUIRE(said.size() == 3);
    Voice inches;
    inches.unit = Unit::inch_16;
    CHECK(say(said[0], inches).find("15 1/2 in") != std::string::npos);
    CHECK(say(said[2], inches).find("127 1/2 in from the reference end") != std::string::npos);
    wall.structure = Masonry{};
    CHECK(where_studs_begin(wall).empty());
}

TEST_CASE("each kind of evidence is told and drawn, no two alike where they are looked for otherwise", "[survey]") {
    std::set<std::string> words;
    for (const auto& kind : enum_names<EvidenceKind>()) {
        const std::string how = say(what_to_look_for(kind.value), {});
        CHECK(how.size() > 40);
        words.insert(how);
        const Drawing drawing = draw_evidence(kind.value, 30, 20);
        CHECK(drawing.shapes.size() >= 3);
        for (const Shape& shape : drawing.shapes)
            if (const auto* line = std::get_if<Line>(&shape.form)) {
                CHECK(line->from.x >= 0);
                CHECK(line->to.x <= 30);
                CHECK(std::max(line->from.y, line->to.y) <= 20);
            }
    }
    CHECK(words.size() == 8);
}

TEST_CASE("the caution of cables and pipes is the first of the cautions", "[safety]") {
    CHECK(general_cautions().front() == caution_of_services());
}
