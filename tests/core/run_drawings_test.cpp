#include "core/sheets/run_layer.hpp"

#include "core/sheets/plan_json.hpp"
#include "core/sheets/summary.hpp"
#include "run_walls.hpp"

#include <nlohmann/json.hpp>
#include <set>

using namespace yes_square;

namespace {

using Part = Reference::Part;

Elevation drawn(const Job& job, const Plan& plan, ElevationFrame frame = {}) {
    frame.lines = plan.rooms.front().lines.lines;
    return draw_elevation(job.walls.front(), *plan.walls.front(), frame, {});
}

std::vector<const Shape*> shapes_of(const Drawing& drawing, Part part, const std::string& item) {
    std::vector<const Shape*> found;
    for (const Shape& shape : drawing.shapes)
        if (shape.reference.part == part && shape.reference.item == item)
            found.push_back(&shape);
    return found;
}

bool says(const Drawing& drawing, const std::string& words) {
    return std::ranges::any_of(drawing.shapes, [&](const Shape& shape) {
        const auto* text = std::get_if<Text>(&shape.form);
        return text && text->text.find(words) != std::string::npos;
    });
}

Job small_kitchen() {
    return kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm), wall_unit("b", 600_mm)}),
                         run_of(RunLevel::floor, {base_unit("c", 800_mm), tall_unit("t", 600_mm, 1950_mm)})});
}

} // namespace

TEST_CASE("units stand on the elevation where the plan puts them", "[runs][drawing]") {
    const Job job = small_kitchen();
    const Plan plan = reckon(job);
    const Elevation elevation = drawn(job, plan);
    for (const RunPlan& run : plan.walls.front()->runs)
        for (const UnitPlan& unit : run.units) {
            bool found = false;
            for (const Shape* shape : shapes_of(elevation.drawing, Part::unit, unit.unit_id))
                if (const auto* box = std::get_if<Rectangle>(&shape->form)) {
                    CHECK(box->at.x == Approx(elevation.scale.x(unit.place.left)));
                    CHECK(box->at.y == Approx(elevation.scale.y(unit.top)));
                    CHECK(box->width == Approx(elevation.scale.x(unit.place.right()) - box->at.x));
                    CHECK(box->height == Approx(elevation.scale.y(unit.bottom) - box->at.y));
                    found = true;
                }
            CHECK(found);
        }
}

TEST_CASE("the selected run shows its holes and its edges on the run rod", "[runs][drawing]") {
    const Job job = small_kitchen();
    const Plan plan = reckon(job);
    ElevationFrame frame;
    CHECK(shapes_of(drawn(job, plan, frame).drawing, Part::unit_hole, "a").empty());
    frame.selected_run = "wall-run";
    const Elevation elevation = drawn(job, plan, frame);
    const UnitPlan& unit = plan.walls.front()->runs.front().units.front();
    std::size_t circles = 0;
    for (const Shape* shape : shapes_of(elevation.drawing, Part::unit_hole, "a"))
        if (const auto* hole = std::get_if<Circle>(&shape->form)) {
            ++circles;
            CHECK(std::ranges::any_of(unit.holes, [&](const PlannedHole& each) {
                return std::abs(elevation.scale.x(each.x) - hole->centre.x) < 1e-9 &&
                       std::abs(elevation.scale.y(each.z) - hole->centre.y) < 1e-9;
            }));
        }
    CHECK(circles == unit.holes.size());
    std::set<Length> edges; // ticks with a place on the run rod
    for (const Shape& shape : elevation.drawing.shapes)
        if (shape.reference.part == Part::unit && shape.reference.x)
            edges.insert(*shape.reference.x);
    CHECK(edges == std::set<Length>{0_mm, 900_mm, 1500_mm});
}

TEST_CASE("lines are named with what sets them while they are set, and drop ticks on the height rod",
          "[lines][drawing]") {
    const Job job = small_kitchen();
    const Plan plan = reckon(job);
    ElevationFrame frame;
    frame.line_names = true;
    const Elevation elevation = drawn(job, plan, frame);
    CHECK(says(elevation.drawing, "Tall unit top, Unit t  2100"));
    CHECK(says(elevation.drawing, "Plinth  150"));
    const auto line = shapes_of(elevation.drawing, Part::line, line_id::worktop);
    REQUIRE_FALSE(line.empty());
    CHECK(std::ranges::any_of(line, [&](const Shape* shape) {
        const auto* chalk = std::get_if<Line>(&shape->form);
        return chalk && std::abs(chalk->from.y - elevation.scale.y(900_mm)) < 1e-9;
    }));
    frame.line_names = false;
    const Elevation plain = drawn(job, plan, frame);
    CHECK_FALSE(says(plain.drawing, "Tall unit top"));
    CHECK(shapes_of(plain.drawing, Part::line, line_id::worktop).empty()); // no unit hangs on it
    CHECK_FALSE(shapes_of(plain.drawing, Part::line, line_id::wall_top).empty());
}

TEST_CASE("the band on the run rod is where the slide says every unit holds", "[runs][drawing]") {
    Job job = small_kitchen();
    const Plan plan = reckon(job);
    ElevationFrame frame;
    frame.selected_run = "wall-run";
    const Elevation elevation = drawn(job, plan, frame);
    const SlideChain& chain = plan.walls.front()->runs.front().slide.chains.front();
    for (const SlideBand& band : chain.bands) {
        if (!band.lost.empty() || band.from == band.to)
            continue;
        CHECK(std::ranges::any_of(elevation.drawing.shapes, [&](const Shape& shape) {
            const auto* box = std::get_if<Rectangle>(&shape.form);
            return box && box->ink == Ink::stud_proved && std::abs(box->at.x - elevation.scale.x(band.from)) < 1e-9 &&
                   std::abs(box->width - (elevation.scale.x(band.to) - elevation.scale.x(band.from))) < 1e-9;
        }));
    }
}

TEST_CASE("rods never take the wall's room, however many figures crowd on them", "[runs][drawing]") {
    std::vector<CabinetUnit> units;
    for (int i = 0; i < 30; ++i)
        units.push_back(wall_unit("u" + std::to_string(i), 110_mm));
    const Job job = kitchen_with({run_of(RunLevel::wall, units)}, 3600_mm, 100_mm, 100_mm);
    const Plan plan = reckon(job);
    ElevationFrame frame;
    frame.width = 150;
    frame.height = 90;
    frame.selected_run = "wall-run";
    const Elevation elevation = draw_elevation(job.walls.front(), *plan.walls.front(), frame, {Unit::inch_64});
    CHECK(elevation.scale.per_metre * 2.4 > 20); // mm of paper that the wall is high
}

TEST_CASE("a card gives each hole from both edges and from the top, mirrored", "[runs][drawing]") {
    const Job job = small_kitchen();
    const RunPlan plan = plan_of(job);
    const UnitPlan& unit = plan.units.front();
    const Drawing card = draw_back_card(job.walls.front().runs.front().units.front(), unit, 120, 120, 3, {});
    for (const PlannedHole& hole : unit.holes) {
        CHECK(says(card, format_bare(unit.from_left(hole), Unit::mm)));
        CHECK(says(card, format_bare(unit.place.width - unit.from_left(hole), Unit::mm)));
        CHECK(says(card, format_bare(unit.inside_left(hole), Unit::mm)));
        CHECK(says(card, format_bare(unit.top - hole.z, Unit::mm)));
    }
    CHECK(says(card, "seen from behind"));
    for (const Shape& shape : card.shapes) // nothing off the paper
        if (const auto* text = std::get_if<Text>(&shape.form)) {
            CHECK(text->at.y <= card.height);
            CHECK(text->at.y >= 0);
        }
    CHECK(draw_back_card(job.walls.front().runs.front().units.front(), unit, 5, 5, 3, {}).shapes.empty());
}

TEST_CASE("a unit of every kind can be drawn", "[runs][drawing]") {
    for (int kind = 0; kind < 11; ++kind)
        for (int hinge = 0; hinge < 5; ++hinge) {
            CabinetUnit unit = wall_unit("a", 600_mm);
            unit.kind = static_cast<UnitKind>(kind);
            unit.hinge = static_cast<DoorHinge>(hinge);
            const Job job = kitchen_with({run_of(RunLevel::floor, {unit})});
            const Plan plan = reckon(job);
            CHECK_FALSE(shapes_of(drawn(job, plan).drawing, Part::unit, "a").empty());
        }
}

TEST_CASE("the plan as JSON and as text tells lines and runs", "[runs][json]") {
    const Job job = small_kitchen();
    const Plan plan = reckon(job);
    const auto json = nlohmann::json::parse(plan_json(job, plan, {}));
    const auto& runs = json["walls"][0]["runs"];
    REQUIRE(runs.size() == 2);
    CHECK(runs[0]["units"][1]["left_m"] == Approx(0.9));
    CHECK(runs[0]["units"][0]["holes"].size() == plan.walls.front()->runs[0].units[0].holes.size());
    CHECK(runs[0]["units"][0]["fixing"]["source"]["provenance"] == "from memory");
    CHECK(runs[1]["pieces"][0]["what"] == "worktop");
    CHECK(runs[0]["slide"]["holds_now"] == plan.walls.front()->runs[0].slide.holds_now());
    bool tally = false;
    for (const auto& working : runs[0]["workings"])
        tally = tally || (working["subject"] == "tally" && working["result"]["value"] == Approx(1.5));
    CHECK(tally);
    bool worktop = false;
    for (const auto& line : json["rooms"][0]["lines"])
        worktop = worktop || (line["id"] == "worktop" && line["z_m"] == Approx(0.9));
    CHECK(worktop);
    const std::string text = summary(job, plan, {});
    CHECK(text.find("Unit b") != std::string::npos);
    CHECK(text.find("Worktop") != std::string::npos);
}
