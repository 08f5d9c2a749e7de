#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/lettering.hpp"

#include <algorithm>
#include <catch2/catch.hpp>
#include <fstream>
#include <set>
#include <sstream>

using namespace yes_square;
using Part = Reference::Part;

namespace {

struct Drawn {
    Job job;
    Plan plan;
    Elevation elevation;
};

Drawn draw(Unit unit, double width, double height, std::size_t wall = 0, const std::string& shelf = "shelf-1",
           double zoom = 1) {
    std::ifstream file{YES_SQUARE_SOURCE_DIR "/assets/demo/harbour-lane.yesq"};
    std::ostringstream text;
    text << file.rdbuf();
    Drawn drawn;
    drawn.job = read_job(text.str())->job;
    drawn.job.unit = unit;
    drawn.plan = reckon(drawn.job);
    ElevationFrame frame;
    frame.width = width;
    frame.height = height;
    frame.selected_shelf = shelf;
    frame.zoom = zoom;
    drawn.elevation = draw_elevation(drawn.job.walls[wall], *drawn.plan.walls[wall], frame, {unit});
    return drawn;
}

std::vector<Text> texts(const Drawing& drawing) {
    std::vector<Text> found;
    for (const Shape& shape : drawing.shapes)
        if (const auto* text = std::get_if<Text>(&shape.form))
            found.push_back(*text);
    return found;
}

bool says(const Drawing& drawing, const std::string& words) {
    return std::ranges::any_of(texts(drawing), [&](const Text& text) { return text.text == words; });
}

} // namespace

TEST_CASE("what is on the wall drops its figure on the rods", "[sheets]") {
    const Drawn drawn = draw(Unit::mm, 220, 130);
    const Drawing& drawing = drawn.elevation.drawing;
    for (const Stud& stud : drawn.job.walls[0].studs)
        CHECK(says(drawing, format_bare(stud.centre, Unit::mm)));
    const ShelfPlan& shelf = drawn.plan.walls[0]->shelves[0];
    for (const BracketPlan& place : shelf.brackets)
        CHECK(says(drawing, format_bare(place.x, Unit::mm)));
    for (const PlannedHole& hole : shelf.holes)
        CHECK(says(drawing, format_bare(hole.z, Unit::mm)));
    CHECK(says(drawing, "330"));
    CHECK(says(drawing, "1950"));
    CHECK(says(drawing, "1643")); // the level line
    CHECK(says(drawing, "768"));  // that of the other shelf
    CHECK(says(drawing, "Window"));
    CHECK(says(drawing, "Socket"));
    CHECK(says(drawing, "Low shelf"));
}

TEST_CASE("figures on the run rod do not overlap, at any size and in any unit", "[sheets]") {
    for (const Unit unit : {Unit::mm, Unit::mm_tenths, Unit::cm, Unit::inch_64, Unit::feet_16})
        for (const auto& [width, height] : {std::pair{120.0, 90.0}, {220.0, 130.0}, {260.0, 100.0}}) {
            const Drawn drawn = draw(unit, width, height);
            std::vector<Text> figures;
            for (const Shape& shape : drawn.elevation.drawing.shapes)
                if (const auto* text = std::get_if<Text>(&shape.form);
                    text && shape.reference.x && text->align == Align::centre && shape.reference.part != Part::none &&
                    text->text.size() > 1)
                    figures.push_back(*text);
            REQUIRE(figures.size() > 5);
            for (std::size_t a = 0; a < figures.size(); ++a)
                for (std::size_t b = a + 1; b < figures.size(); ++b) {
                    if (std::abs(figures[a].at.y - figures[b].at.y) > 0.5 * figures[a].height)
                        continue;
                    const auto half = [](const Text& text) {
                        return text_width(text.text, text.height, text.bold) / 2;
                    };
                    const double room = half(figures[a]) + half(figures[b]);
                    INFO(figures[a].text << " and " << figures[b].text << " on " << width << " mm");
                    CHECK(std::abs(figures[a].at.x - figures[b].at.x) >= room);
                }
        }
}

TEST_CASE("figures on the height rod keep apart, top down", "[sheets]") {
    const Drawn drawn = draw(Unit::mm, 220, 110);
    std::vector<double> heights;
    for (const Shape& shape : drawn.elevation.drawing.shapes)
        if (const auto* text = std::get_if<Text>(&shape.form); text && text->align == Align::right && shape.reference.z)
            heights.push_back(text->at.y);
    REQUIRE(heights.size() >= 5);
    for (std::size_t i = 1; i < heights.size(); ++i)
        CHECK(heights[i] - heights[i - 1] >= 3.0);
}

TEST_CASE("places go to paper and back", "[sheets]") {
    const Drawn drawn = draw(Unit::mm, 220, 130);
    const ElevationScale& scale = drawn.elevation.scale;
    CHECK(absolute(scale.wall_x(scale.x(1364_mm)) - 1364_mm) < Length::micrometres(1));
    CHECK(absolute(scale.wall_z(scale.y(1643_mm)) - 1643_mm) < Length::micrometres(1));
    CHECK(scale.x(3640_mm) > scale.x(0_mm));
    CHECK(scale.y(2520_mm) < scale.y(0_mm));
    // Both directions have one scale.
    CHECK(scale.x(1000_mm) - scale.x(0_mm) == Approx(scale.y(0_mm) - scale.y(1000_mm)));
}

TEST_CASE("the whole wall stands inside its frame, clear of the rods", "[sheets]") {
    for (const std::size_t wall : {std::size_t{0}, std::size_t{1}}) {
        const Drawn drawn = draw(Unit::inch_16, 180, 120, wall, wall == 0 ? "shelf-2" : "shelf-3");
        const Wall& it = drawn.job.walls[wall];
        const ElevationScale& scale = drawn.elevation.scale;
        CHECK(scale.x(0_mm) > 0);
        CHECK(scale.x(it.length) < 180);
        CHECK(scale.y(it.height) > 0);
        double rod_top = 120;
        for (const Shape& shape : drawn.elevation.drawing.shapes)
            if (const auto* box = std::get_if<Rectangle>(&shape.form);
                box && box->ink == Ink::rod && box->width > box->height)
                rod_top = std::min(rod_top, box->at.y);
        CHECK(scale.y(0_mm) <= rod_top);
    }
}

TEST_CASE("zoom enlarges the wall and keeps the rods", "[sheets]") {
    const Drawn whole = draw(Unit::mm, 220, 130);
    const Drawn near = draw(Unit::mm, 220, 130, 0, "shelf-1", 3);
    // Nearer, fewer figures step aside on the rod, which leaves the wall a little more room still.
    CHECK(near.elevation.scale.per_metre >= 3 * whole.elevation.scale.per_metre * 0.999);
    CHECK(near.elevation.scale.per_metre < 3.5 * whole.elevation.scale.per_metre);
    for (const Text& text : texts(near.elevation.drawing))
        CHECK(text.height <= 6);
}

TEST_CASE("studs are told apart by shape, not by colour alone", "[sheets]") {
    const Drawn drawn = draw(Unit::mm, 220, 130);
    std::set<Stroke> assumed;
    std::set<Stroke> indicated;
    bool proved_filled = false;
    for (const Shape& shape : drawn.elevation.drawing.shapes) {
        if (shape.reference.part != Part::stud)
            continue;
        const StudState state = drawn.job.walls[0].studs[shape.reference.index].state;
        if (const auto* box = std::get_if<Rectangle>(&shape.form)) {
            if (state == StudState::proved)
                proved_filled |= box->fill == Fill::plain;
            if (state == StudState::indicated)
                indicated.insert(box->stroke);
        }
        if (const auto* line = std::get_if<Line>(&shape.form); line && state == StudState::assumed)
            assumed.insert(line->stroke);
    }
    CHECK(proved_filled);
    CHECK(indicated.contains(Stroke::dashed));
    CHECK(assumed.contains(Stroke::dotted));
}

TEST_CASE("an error stands on the wall where the trouble is", "[sheets]") {
    const Drawn drawn = draw(Unit::mm, 220, 130);
    const auto trouble = std::ranges::find_if(drawn.elevation.drawing.shapes, [](const Shape& shape) {
        return std::holds_alternative<Triangle>(shape.form) && shape.reference.part == Part::check;
    });
    REQUIRE(trouble != drawn.elevation.drawing.shapes.end());
    CHECK(trouble->reference.item == "shelf-2");
    const auto& triangle = std::get<Triangle>(trouble->form);
    CHECK(triangle.ink == Ink::alarm);
    CHECK(absolute(drawn.elevation.scale.wall_x(triangle.a.x) - 2719_mm) < 200_mm);
}

TEST_CASE("a small wall shows an alternative's brackets over the studs", "[sheets]") {
    const Drawn drawn = draw(Unit::mm, 220, 130);
    const ShelfPlan& plan = drawn.plan.walls[0]->shelves[0];
    for (const Alternative& alternative : plan.alternatives) {
        const Drawing small = draw_alternative(drawn.job.walls[0].studs, drawn.job.walls[0].shelves[0], plan.bracket,
                                               alternative, 50, 10);
        const auto brackets = std::ranges::count_if(small.shapes, [](const Shape& shape) {
            const auto* box = std::get_if<Rectangle>(&shape.form);
            return box && box->ink == Ink::bracket;
        });
        CHECK(static_cast<std::size_t>(brackets) == alternative.layout.places.size());
        for (const Shape& shape : small.shapes)
            if (const auto* box = std::get_if<Rectangle>(&shape.form)) {
                CHECK(box->at.x >= 0);
                CHECK(box->at.x + box->width <= 50.001);
            }
    }
}
