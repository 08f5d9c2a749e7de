#include "core/boxes/new_box.hpp"
#include "core/job/file.hpp"
#include "core/job/schema.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/furniture_layer.hpp"
#include "core/sheets/plan_json.hpp"
#include "core/sheets/side_view.hpp"
#include "core/sheets/summary.hpp"
#include "piece_walls.hpp"

#include <nlohmann/json.hpp>
#include <set>

using namespace yes_square;
using json = nlohmann::json;

namespace {

/// One of each, no figure at its default.
Job furnished_job() {
    Job job = bare_job();
    Wall& wall = job.walls.front();
    StorageSystem system = system_of({BayKind::double_hanging, BayKind::drawers, BayKind::shoes});
    system.left = 20_mm;
    system.width = 1400_mm;
    system.hung = true;
    system.top = 2200_mm;
    system.widths = BayWidths::by_garments;
    system.bays[0].garment = Garment::coats;
    system.bays[0].garments = 14;
    system.bays[1].loose = 3;
    system.bays[2].width = Length::inches(19, {3, 8});
    system.readings = {{2, Length::inches(0, {5, 64}), 600_mm, true, {}}};
    Piece chest = dresser();
    chest.left = 1500_mm;
    chest.restraint.kind = RestraintKind::straps;
    chest.restraint.gauge = ScrewGauge::number_10;
    chest.restraint.screw_length = 3_in;
    chest.restraint.rating = 700_n;
    chest.drawers.front().load = 5_kg;
    WallBox box = new_box(wall);
    box.id = box.name = "box";
    box.left = 2500_mm;
    box.diagonal_rising = 1204_mm;
    box.diagonal_falling = 1204_mm;
    HungCabinet hung = new_hung(wall);
    hung.id = "hung";
    hung.unit.name = "Old one";
    hung.left = 3350_mm;
    hung.gauge = ScrewGauge::number_8;
    hung.top_screws = 3;
    wall.systems = {system};
    wall.pieces = {chest};
    wall.boxes = {box};
    wall.hung = {hung};
    return job;
}

std::size_t texts_with(const Drawing& drawing, std::string_view words) {
    return static_cast<std::size_t>(std::ranges::count_if(drawing.shapes, [&](const Shape& shape) {
        const auto* text = std::get_if<Text>(&shape.form);
        return text && text->text.find(words) != std::string::npos;
    }));
}

} // namespace

TEST_CASE("furniture comes back from its file as it went, by the published schema", "[file][furniture]") {
    const Job job = furnished_job();
    const std::string text = write_job(job);
    CHECK_FALSE(schema_problem(json::parse(text)));
    const auto loaded = read_job(text);
    REQUIRE(loaded);
    CHECK(loaded->job == job);
    CHECK(write_job(loaded->job) == text);
}

TEST_CASE("bad figures of furniture are refused by name, and ids twice", "[file][furniture]") {
    const auto problem_with = [](const char* pointer, const json& value) {
        json document = json::parse(write_job(furnished_job()));
        document[json::json_pointer(pointer)] = value;
        const auto loaded = read_job(document.dump());
        REQUIRE_FALSE(loaded);
        return loaded.error().text();
    };
    CHECK(problem_with("/walls/0/systems/0/width", 0).starts_with("walls[0].systems[0].width"));
    CHECK(problem_with("/walls/0/systems/0/bays/1/kind", "cellar").find("double_hanging") != std::string::npos);
    CHECK(problem_with("/walls/0/pieces/0/mass_kg", -1).starts_with("walls[0].pieces[0].mass_kg"));
    CHECK(problem_with("/walls/0/pieces/0/restraint/gauge", "#9").starts_with("walls[0].pieces[0].restraint.gauge"));
    CHECK(problem_with("/walls/0/boxes/0/shelves", -2).starts_with("walls[0].boxes[0].shelves"));
    CHECK(problem_with("/walls/0/hung/0/id", "box").find("used twice") != std::string::npos);
    CHECK(problem_with("/walls/0/systems/0/bays/0/id", "chest").find("used twice") != std::string::npos);
}

TEST_CASE("edits move, change and remove furniture, and leave what is gone alone", "[edits][furniture]") {
    const Job job = furnished_job();
    const Job moved = apply(MoveThing{"system", 10_mm, 20_mm}, job);
    CHECK(moved.walls[0].systems[0].left == 30_mm);
    CHECK(moved.walls[0].systems[0].top == 2220_mm);
    CHECK(apply(MoveThing{"chest", 10_mm, 20_mm}, job).walls[0].pieces[0].left == 1510_mm);
    CHECK(apply(MoveThing{"box", -10_mm, 5_mm}, job).walls[0].boxes[0].left == 2490_mm);
    CHECK(apply(MoveThing{"hung", {}, 5_mm}, job).walls[0].hung[0].top == job.walls[0].hung[0].top + 5_mm);
    CHECK(apply(RemoveThing{"chest"}, job).walls[0].pieces.empty());
    Piece gone = dresser();
    gone.id = "gone";
    CHECK(apply(Change<Piece>{gone}, job) == job);
    CHECK(apply(RemoveThing{"gone"}, job) == job);
    CHECK(fresh_id(job, "bay") == "bay-4");
}

TEST_CASE("the wall shows furniture with its names, and the rods its marks", "[drawing][furniture]") {
    const Job job = furnished_job();
    const Plan plan = reckon(job);
    const Voice voice{Unit::mm, {}};
    ElevationFrame frame;
    frame.selected_thing = "system";
    frame.selected_bay = "bay-2";
    const Drawing drawing = draw_elevation(job.walls[0], *plan.walls[0], frame, voice).drawing;
    for (const char* words : {"Wardrobe", "Chest", "box", "Old one", "P1", "2: drawers"})
        CHECK(texts_with(drawing, words) > 0);
    // Its panels' faces stand on the run rod, its cleats on the height rod.
    for (const PanelPlan& panel : plan.walls[0]->systems[0].panels)
        CHECK(texts_with(drawing, format_bare(panel.left, Unit::mm)) > 0);
    CHECK(texts_with(drawing, format_bare(plan.walls[0]->systems[0].bays[0].cleats[0].z, Unit::mm)) > 0);
    // Every shape of a bay leads back to it.
    CHECK(std::ranges::any_of(drawing.shapes, [](const Shape& shape) {
        return shape.reference.part == Reference::Part::bay && shape.reference.item == "bay-2";
    }));
    frame.selected_thing = "chest";
    const Drawing chest = draw_elevation(job.walls[0], *plan.walls[0], frame, voice).drawing;
    for (const PlannedHole& place : plan.walls[0]->pieces[0].holes)
        CHECK(texts_with(chest, format_bare(place.x, Unit::mm)) > 0);
}

TEST_CASE("a side view stays on its card, says what is left over and marks the pivot", "[drawing][furniture]") {
    const Job job = furnished_job();
    const PiecePlan plan = reckon(job).walls[0]->pieces[0];
    const Voice voice{Unit::mm, {}};
    for (const TipCase& tip : plan.cases) {
        const Drawing view = draw_side_view(job.walls[0].pieces[0], plan, tip, 40, 45, 3, voice);
        CHECK(texts_with(view, tip.balance.tips() ? "tips by" : "to spare") == 1);
        CHECK(std::ranges::any_of(view.shapes,
                                  [](const Shape& shape) { return std::holds_alternative<Triangle>(shape.form); }));
        for (const Shape& shape : view.shapes)
            if (const auto* line = std::get_if<Line>(&shape.form); line && line->ink == Ink::board)
                for (const Point at : {line->from, line->to}) {
                    CHECK(at.x >= -0.5);
                    CHECK(at.x <= 40.5);
                    CHECK(at.y <= 45.5);
                }
    }
}

TEST_CASE("plan as JSON and as text name furniture, verdicts and the inventory", "[furniture]") {
    const Job job = furnished_job();
    const Plan plan = reckon(job);
    const Voice voice{Unit::mm, {}};
    const json document = json::parse(plan_json(job, plan, voice));
    const json& wall = document["walls"][0];
    CHECK(wall["systems"][0]["bays"].size() == 3);
    CHECK(wall["systems"][0]["parts"].size() == plan.walls[0]->systems[0].parts.size());
    CHECK(wall["pieces"][0]["cases"].size() == 6);
    CHECK(wall["pieces"][0]["needs_n"].get<double>() == approx(plan.walls[0]->pieces[0].needs));
    CHECK(wall["boxes"][0]["parts"].size() == plan.walls[0]->boxes[0].pieces.size());
    CHECK(wall["hung"][0].contains("verdict"));
    CHECK(document["inventory"].size() == 1); // what hangs does not tip
    const std::string text = summary(job, plan, voice);
    for (const char* words : {"What could tip", "Chest", "cut to", "cleat of 1A", "climbed on"})
        CHECK(text.find(words) != std::string::npos);
}
