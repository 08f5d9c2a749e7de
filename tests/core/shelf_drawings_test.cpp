#include "core/sheets/elevation.hpp"
#include "core/sheets/plan_json.hpp"
#include "core/sheets/shelf_layer.hpp"
#include "core/shelves/new_shelf.hpp"
#include "shelf_walls.hpp"

#include <cmath>
#include <nlohmann/json.hpp>

using namespace yes_square;

namespace {

using Part = Reference::Part;

struct Drawn {
    Job job;
    Plan plan;
    Elevation elevation;
};

Drawn drawn(const Wall& wall, const Shelf& shelf) {
    Drawn result{job_with(wall, shelf), {}, {}};
    result.plan = reckon(result.job);
    ElevationFrame frame;
    frame.selected_shelf = "shelf";
    result.elevation = draw_elevation(result.job.walls.front(), *result.plan.walls.front(), frame, {});
    return result;
}

template <class Form>
std::vector<Form> forms(const Drawing& drawing, Part part) {
    std::vector<Form> found;
    for (const Shape& shape : drawing.shapes)
        if (const auto* form = std::get_if<Form>(&shape.form); form && shape.reference.part == part)
            found.push_back(*form);
    return found;
}

bool says(const Drawing& drawing, std::string_view words) {
    return std::ranges::any_of(drawing.shapes, [&](const Shape& shape) {
        const auto* text = std::get_if<Text>(&shape.form);
        return text && text->text.find(words) != std::string::npos;
    });
}

bool inside(const Drawing& drawing) {
    for (const Shape& shape : drawing.shapes)
        if (const auto* line = std::get_if<Line>(&shape.form))
            for (const Point& point : {line->from, line->to})
                if (point.x < -1 || point.x > drawing.width + 1 || point.y < -1 || point.y > drawing.height + 1)
                    return false;
    return true;
}

} // namespace

TEST_CASE("every kind is drawn with its holes where they are, to be picked", "[sheets][kinds]") {
    for (const Wall& wall : {stud_wall(), masonry_wall()})
        for (std::size_t i = 0; i < shelf_presets().size(); ++i) {
            const ShelfPreset& kind = shelf_presets()[i];
            INFO(kind.words);
            const Drawn it = drawn(wall, new_shelf(kind, wall));
            const ShelfPlan& plan = it.plan.walls.front()->shelves.front();
            const auto holes = forms<Circle>(it.elevation.drawing, Part::hole);
            REQUIRE(holes.size() == plan.holes.size());
            for (std::size_t h = 0; h < holes.size(); ++h) {
                CHECK(holes[h].centre.x == Approx(it.elevation.scale.x(plan.holes[h].x)));
                CHECK(holes[h].centre.y == Approx(it.elevation.scale.y(plan.holes[h].z)));
            }
            CHECK_FALSE(forms<Rectangle>(it.elevation.drawing, Part::shelf).empty());
            CHECK(says(it.elevation.drawing, "Shelf"));
        }
}

TEST_CASE("a stack draws every tier once and its uprights once", "[sheets][kinds]") {
    const Shelf shelf = new_shelf(shelf_preset("standards"), masonry_wall());
    const Drawn it = drawn(masonry_wall(), shelf);
    CHECK(forms<Rectangle>(it.elevation.drawing, Part::shelf).size() == 3);
    CHECK(forms<Rectangle>(it.elevation.drawing, Part::bracket).size() ==
          it.plan.walls.front()->shelves.front().brackets.size());
    Shelf tiers = new_shelf(shelf_preset("brackets"), masonry_wall());
    tiers.tiers = 3;
    tiers.rise = 400_mm;
    tiers.height = 1900_mm;
    const Drawn each = drawn(masonry_wall(), tiers);
    CHECK(forms<Rectangle>(each.elevation.drawing, Part::bracket).size() ==
          3 * each.plan.walls.front()->shelves.front().brackets.size());
}

TEST_CASE("a hanger is a line to the ceiling", "[sheets][kinds]") {
    Wall wall = masonry_wall();
    wall.joists = {1600_mm};
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.left = 1000_mm;
    shelf.hangers = {600_mm};
    const Drawn it = drawn(wall, shelf);
    const auto lines = forms<Line>(it.elevation.drawing, Part::bracket);
    CHECK(std::ranges::any_of(lines, [&](const Line& line) {
        return std::abs(line.from.y - it.elevation.scale.y(wall.height)) < 1e-6 &&
               std::abs(line.to.y - it.elevation.scale.y(shelf.height)) < 1e-6 &&
               std::abs(line.from.x - it.elevation.scale.x(1600_mm)) < 1e-6;
    }));
}

TEST_CASE("noggings are drawn between their studs", "[sheets][noggings]") {
    const Wall wall = bare_studs();
    Shelf shelf = new_shelf(shelf_preset("fixture"), wall);
    shelf.left = 1050_mm;
    const Job job = job_with(wall, shelf);
    const Plan plan = reckon(job);
    REQUIRE_FALSE(plan.walls.front()->noggings.empty());
    Drawing drawing;
    ElevationScale scale{0, 100, 50};
    draw_noggings(*plan.walls.front(), scale, drawing);
    REQUIRE(drawing.shapes.size() == plan.walls.front()->noggings.size());
    const auto& first = std::get<Rectangle>(drawing.shapes.front().form);
    CHECK(first.at.x == Approx(scale.x(plan.walls.front()->noggings.front().left)));
    CHECK(first.width == Approx(plan.walls.front()->noggings.front().length().in_metres() * 50));
}

TEST_CASE("load, bending and sag are drawn with their worst figures, inside their frame", "[sheets][study]") {
    const Wall wall = masonry_wall();
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.length = 1800_mm;
    shelf.left = 1000_mm;
    shelf.goods = {{"Clock", 500_mm, 500_mm, 12_kg, {}}};
    const Job job = job_with(wall, shelf);
    const Plan plan = reckon(job);
    const ShelfStudy looked = *study(job, plan, "shelf");
    const ShelfPlan& shelf_plan = plan.walls.front()->shelves.front();
    const Drawing card = draw_bending(job.walls.front().shelves.front(), shelf_plan, looked, 120, 45, 3, {});
    CHECK(inside(card));
    for (const std::string_view words : {"Load", "Bending", "Sag", "N m", "kg/m", "12.0 kg"}) {
        INFO(words);
        CHECK(says(card, words));
    }
    CHECK(says(card, say(fine(looked.diagram[looked.worst_sag].sag), {})));
    const auto supports = std::ranges::count_if(
        card.shapes, [](const Shape& shape) { return std::holds_alternative<Triangle>(shape.form); });
    CHECK(supports == static_cast<std::ptrdiff_t>(shelf_plan.brackets.size()));

    CHECK_FALSE(says(drawn(wall, shelf).elevation.drawing, "Bending")); // of the engineer's, and not on the wall
}

TEST_CASE("a fixture has no bending to draw", "[sheets][study]") {
    const Job job = job_with(masonry_wall(), new_shelf(shelf_preset("fixture"), masonry_wall()));
    const Plan plan = reckon(job);
    const ShelfStudy looked = *study(job, plan, "shelf");
    CHECK(looked.diagram.empty());
    CHECK(draw_bending(job.walls[0].shelves[0], plan.walls[0]->shelves[0], looked, 100, 40, 3, {}).shapes.empty());
    CHECK_FALSE(study(job, plan, "nobody"));
}

TEST_CASE("the plan as JSON has boards, strips, drilling and noggings", "[json][kinds]") {
    Wall wall = masonry_wall();
    wall.length = 1100_mm;
    const Job job = job_with(wall, new_shelf(shelf_preset("cleats"), wall));
    const auto json = nlohmann::json::parse(plan_json(job, reckon(job), {}));
    const auto& shelf = json["walls"][0]["shelves"][0];
    CHECK(shelf["boards"][0]["back_m"] == Approx(1.098));
    REQUIRE(shelf["strips"].size() == 3);
    CHECK(shelf["strips"][2]["wall"] == "back");
    CHECK(shelf["strips"][2]["fixing"]["name"].get<std::string>().find("plug") != std::string::npos);
    CHECK(shelf["drilling"][0]["bit"] == "wood bit"); // through the strip first
    CHECK(json["walls"][0]["noggings"].empty());

    const Wall open = bare_studs();
    Shelf basin = new_shelf(shelf_preset("fixture"), open);
    basin.left = 1050_mm;
    const Job bare = job_with(open, basin);
    const auto noggings = nlohmann::json::parse(plan_json(bare, reckon(bare), {}))["walls"][0]["noggings"];
    REQUIRE_FALSE(noggings.empty());
    CHECK(noggings[0]["length_m"] == Approx(0.362));
}
