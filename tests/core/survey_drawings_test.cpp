#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/lettering.hpp"
#include "core/sheets/profile_drawing.hpp"
#include "core/sheets/room_drawing.hpp"

#include <algorithm>
#include <catch2/catch.hpp>
#include <cmath>
#include <fstream>
#include <sstream>

using namespace yes_square;

namespace {

const Job& demo() {
    static const Job job = [] {
        std::ifstream file{YES_SQUARE_SOURCE_DIR "/assets/demo/harbour-lane.yesq"};
        std::ostringstream text;
        text << file.rdbuf();
        return read_job(text.str())->job;
    }();
    return job;
}
const Plan& plan() {
    static const Plan reckoned = reckon(demo());
    return reckoned;
}
constexpr std::size_t surveyed = 2; ///< the wall with everything read of it

const Wall& wall() {
    return demo().walls[surveyed];
}
const WallSurvey& survey() {
    return plan().walls[surveyed]->survey;
}

template <class Form>
std::vector<Form> all(const Drawing& drawing) {
    std::vector<Form> forms;
    for (const Shape& shape : drawing.shapes)
        if (const auto* form = std::get_if<Form>(&shape.form))
            forms.push_back(*form);
    return forms;
}
bool says(const Drawing& drawing, const std::string& words) {
    const auto texts = all<Text>(drawing);
    return std::ranges::any_of(texts, [&](const Text& text) { return text.text.find(words) != std::string::npos; });
}
std::size_t with_ink(const std::vector<Rectangle>& rectangles, Ink ink) {
    return static_cast<std::size_t>(std::ranges::count(rectangles, ink, &Rectangle::ink));
}

Elevation elevation(SurveyLayer layer, std::optional<ProbeAdvice> advice = {}, Unit unit = Unit::mm) {
    ElevationFrame frame;
    frame.width = 240;
    frame.height = 140;
    frame.survey = layer;
    frame.advice = std::move(advice);
    return draw_elevation(wall(), *plan().walls[surveyed], frame, {unit});
}

} // namespace

TEST_CASE("the chance of wood is a soft band, darkest where a stud is proved", "[sheets][survey]") {
    const Elevation drawn = elevation(SurveyLayer::studs);
    const auto rectangles = all<Rectangle>(drawn.drawing);
    double at_stud = 0;
    double between = 0;
    for (const Rectangle& r : rectangles) {
        if (r.ink != Ink::chance)
            continue;
        CHECK(r.strength > 0);
        CHECK(r.strength <= 0.75);
        const auto covers = [&](Length x) {
            return drawn.scale.x(x) >= r.at.x && drawn.scale.x(x) <= r.at.x + r.width;
        };
        if (covers(1116_mm))
            at_stud = std::max(at_stud, r.strength);
        if (covers(1000_mm))
            between = std::max(between, r.strength);
    }
    CHECK(at_stud == Approx(0.75));
    CHECK(between < 0.2);
    CHECK(with_ink(all<Rectangle>(elevation(SurveyLayer::none).drawing), Ink::chance) == 0);
}

TEST_CASE("every reading of studs has its mark: full for wood, open for nothing", "[sheets][survey]") {
    const Drawing drawing = elevation(SurveyLayer::studs).drawing;
    std::size_t full = 0;
    std::size_t open = 0;
    for (const Circle& circle : all<Circle>(drawing))
        if (circle.ink == Ink::probe)
            ++(circle.fill == Fill::plain ? full : open);
    const auto count_of = [](EvidenceKind kind) {
        return static_cast<std::size_t>(std::ranges::count(wall().observations, kind, &Observation::kind));
    };
    CHECK(full == count_of(EvidenceKind::probe_hit));
    CHECK(open == count_of(EvidenceKind::probe_miss) + wall().trial_holes.size());
}

TEST_CASE("where to probe next is a plumb line with its figure, inside the drawing even at the wall's end",
          "[sheets][survey]") {
    for (const Length x : {Length{}, 1310_mm, 3200_mm}) {
        ProbeAdvice advice;
        advice.x = x;
        const Elevation drawn = elevation(SurveyLayer::studs, advice);
        CHECK(says(drawn.drawing, "Probe at " + format(x, Unit::mm)));
        for (const Text& text : all<Text>(drawn.drawing))
            if (text.text.find("Probe at") == 0) {
                const PaperBox box = box_of(text);
                CHECK(box.left > 0);
                CHECK(box.right < drawn.drawing.width);
            }
    }
}

TEST_CASE("the level line stands at its height with what was read from it", "[sheets][survey]") {
    const Elevation drawn = elevation(SurveyLayer::level);
    const Length line = *survey().floor.level_line;
    CHECK(says(drawn.drawing, "Level line, " + format(line, Unit::mm) + " above the datum"));
    const auto lines = all<Line>(drawn.drawing);
    CHECK(std::ranges::any_of(lines, [&](const Line& l) {
        return l.ink == Ink::level && l.stroke == Stroke::solid && std::abs(l.from.y - drawn.scale.y(line)) < 1e-6 &&
               std::abs(l.to.y - l.from.y) < 1e-6;
    }));
    CHECK(says(drawn.drawing, "1014"));
    CHECK(says(drawn.drawing, "1409"));
}

TEST_CASE("the face shows the packing at each reading", "[sheets][survey]") {
    const Drawing drawing = elevation(SurveyLayer::face).drawing;
    for (const FaceRow& row : survey().face.rows)
        CHECK(says(drawing, format_bare(*survey().face.shim_at(row.places[0].x, row.z), Unit::mm)));
}

TEST_CASE("what stands along a wall and what was found in it is drawn whatever is looked at", "[sheets][survey]") {
    const auto rectangles = all<Rectangle>(elevation(SurveyLayer::none).drawing);
    CHECK(with_ink(rectangles, Ink::detected) == 1); // the cable
    CHECK(std::ranges::any_of(rectangles,
                              [](const Rectangle& r) { return r.ink == Ink::detected && r.fill == Fill::hatched; }));
    std::size_t joists = 0;
    const Elevation drawn = elevation(SurveyLayer::none);
    for (const Rectangle& r : all<Rectangle>(drawn.drawing))
        joists += r.ink == Ink::stud_proved && r.at.y < drawn.scale.y(wall().height) ? 1 : 0;
    CHECK(joists >= wall().joists.size());
    const Wall& window = demo().walls[3];
    const Drawing other = draw_elevation(window, *plan().walls[3], {}, {}).drawing;
    CHECK(says(other, "Radiator"));
    CHECK(std::ranges::any_of(all<Rectangle>(other), [](const Rectangle& r) { return r.stroke == Stroke::dotted; }));
}

TEST_CASE("the height rod tells heights from the finished floor and from the floor as it is", "[sheets][survey]") {
    const Drawing drawing = elevation(SurveyLayer::none).drawing;
    CHECK(says(drawing, "finished"));
    CHECK(says(drawing, "floor now"));
    const Length level = wall().shelves[0].underside();
    CHECK(says(drawing, format_bare(level, Unit::mm)));
    CHECK(says(drawing, format_bare(survey().floor.above_floor_now({}, level), Unit::mm)));
    // Where the floor is finished and was not read there is one column.
    CHECK_FALSE(says(draw_elevation(demo().walls[0], *plan().walls[0], {}, {}).drawing, "floor now"));
}

TEST_CASE("the floor's profile is drawn in order under its datum, with figures that keep apart", "[sheets][survey]") {
    for (const double width : {60.0, 90.0, 200.0}) {
        const Drawing drawing = draw_floor_profile(wall(), survey().floor, width, 28, 3, {});
        const auto circles = all<Circle>(drawing);
        REQUIRE(circles.size() == survey().floor.floor.size());
        double datum = 0;
        for (const Line& line : all<Line>(drawing))
            if (line.ink == Ink::level)
                datum = line.from.y;
        double lowest = 0;
        for (std::size_t i = 0; i < circles.size(); ++i) {
            CHECK(circles[i].centre.y > datum);
            CHECK(circles[i].centre.y < 28);
            lowest = std::max(lowest, circles[i].centre.y);
            if (i > 0)
                CHECK(circles[i].centre.x > circles[i - 1].centre.x);
        }
        CHECK(circles.back().centre.y == lowest); // it falls to the far end
        std::vector<Text> figures;
        for (const Text& text : all<Text>(drawing))
            if (text.align == Align::centre)
                figures.push_back(text);
        for (std::size_t i = 1; i < figures.size(); ++i)
            CHECK(figures[i].at.x - figures[i - 1].at.x >=
                  0.58 * 3 * static_cast<double>(figures[i].text.size()) * 0.99);
    }
    CHECK(draw_floor_profile(wall(), FloorProfile{}, 90, 28, 3, {}).shapes.empty());
}

TEST_CASE("the face's profile stands behind the straight front and touches it at the proudest place",
          "[sheets][survey]") {
    const FaceProfile& face = survey().face;
    for (std::size_t row = 0; row < face.rows.size(); ++row) {
        const Drawing drawing = draw_face_profile(wall(), face, row, 90, 28, 3, {});
        double front = 0;
        for (const Line& line : all<Line>(drawing))
            if (line.ink == Ink::level)
                front = line.from.y;
        double nearest = 1e9;
        for (const Circle& circle : all<Circle>(drawing)) {
            CHECK(circle.centre.y <= front + 1e-9);
            nearest = std::min(nearest, front - circle.centre.y);
        }
        if (face.rows[row].z == face.proud_z)
            CHECK(nearest == Approx(0).margin(1e-9));
        CHECK(says(drawing, format(face.rows[row].z, Unit::mm)));
    }
    CHECK(draw_face_profile(wall(), face, 99, 90, 28, 3, {}).shapes.empty());
}

TEST_CASE("a room from above keeps its shape, picks by wall and says whether it closes", "[sheets][survey]") {
    RoomFrame frame;
    frame.selected_wall = "wall-4";
    const Drawing drawing = draw_room(demo(), plan(), plan().rooms[1], frame, {});
    CHECK(says(drawing, "Map wall"));
    CHECK(says(drawing, "2604 mm"));
    CHECK(says(drawing, "90.24°"));
    CHECK(says(drawing, "Closes within the limits of error"));
    std::vector<Line> walls;
    for (const Shape& shape : drawing.shapes)
        if (const auto* line = std::get_if<Line>(&shape.form); line && shape.reference.part == Reference::Part::wall) {
            walls.push_back(*line);
            CHECK((line->ink == Ink::level) == (shape.reference.index == 3));
        }
    REQUIRE(walls.size() == 4);
    const auto length = [](const Line& l) { return std::hypot(l.to.x - l.from.x, l.to.y - l.from.y); };
    for (std::size_t i = 0; i < 4; ++i) {
        const double scale = length(walls[i]) / demo().walls[i + 2].length.in_metres();
        CHECK(scale == Approx(length(walls[0]) / 3.2).epsilon(1e-6));
        CHECK(walls[i].from.x >= 0);
        CHECK(walls[i].from.x <= frame.width);
        CHECK(walls[i].from.y >= 0);
        CHECK(walls[i].from.y <= frame.height);
        if (i > 0)
            CHECK(walls[i].from.x == Approx(walls[i - 1].to.x));
    }
    // Seen from inside, walking right: the next wall turns down the sheet.
    CHECK(walls[1].to.y > walls[1].from.y);
}

TEST_CASE("a room that does not close shows the gap", "[sheets][survey]") {
    Job job = demo();
    job.walls[4].length += 300_mm;
    const Plan wrong = reckon(job);
    const Drawing drawing = draw_room(job, wrong, wrong.rooms[1], {}, {});
    CHECK(says(drawing, "missing; the limits of error allow"));
    const auto lines = all<Line>(drawing);
    CHECK(std::ranges::any_of(lines, [](const Line& l) { return l.ink == Ink::caution; }));
    // Two walls and an open end are no ring: nothing is said of closing.
    CHECK_FALSE(says(draw_room(job, wrong, wrong.rooms[0], {}, {}), "limits of error"));
    CHECK(draw_room(job, wrong, RoomSurvey{}, {}, {}).shapes.empty());
}

TEST_CASE("drawings of the survey hold no figure that is none, in any unit", "[sheets][survey]") {
    for (const Unit unit : {Unit::mm, Unit::mm_tenths, Unit::cm, Unit::inch_16, Unit::feet_32})
        for (const SurveyLayer layer : {SurveyLayer::none, SurveyLayer::studs, SurveyLayer::level, SurveyLayer::face}) {
            const Drawing drawing = elevation(layer, {}, unit).drawing;
            for (const Shape& shape : drawing.shapes)
                if (const auto* line = std::get_if<Line>(&shape.form)) {
                    CHECK(std::isfinite(line->from.x + line->from.y + line->to.x + line->to.y));
                } else if (const auto* text = std::get_if<Text>(&shape.form)) {
                    CHECK_FALSE(text->text.empty());
                    CHECK(text->text.find("nan") == std::string::npos);
                }
        }
}

TEST_CASE("while a wall is surveyed, what was found on it drops its ticks on both rods", "[sheets][survey]") {
    const Wall& window = demo().walls[3];
    ElevationFrame frame;
    frame.width = 240;
    frame.height = 140;
    const auto drawn = [&] { return draw_elevation(window, *plan().walls[3], frame, {}).drawing; };
    CHECK_FALSE(says(drawn(), "1930"));     // the window's far edge
    CHECK_FALSE(says(drawn(), "finished")); // no figure, no heading
    frame.found = true;
    const Drawing drawing = drawn();
    for (const char* figure : {"Found", "820", "1930", "900", "1850", "905", "2165", "730", "finished"})
        CHECK(says(drawing, figure));
}
