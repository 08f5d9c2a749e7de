#include "../random_jobs.hpp"
#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/lettering.hpp"

#include <algorithm>
#include <array>
#include <catch2/catch.hpp>
#include <cmath>
#include <fstream>
#include <sstream>

using namespace yes_square;

namespace {

constexpr double touch = 0.06; ///< mm of paper: what only touches is no collision

/// What somebody who looks at the drawing would see of one text, in mm; worked out from the shapes as they are painted,
/// without the code that places them.
struct Seen {
    const Text* text;
    double left, top, right, bottom;
    std::size_t painted; ///< its place in the order of painting
};

Seen seen(const Text& text, std::size_t painted) {
    const double width = text_width(text.text, text.height, text.bold);
    const double left = text.at.x - (text.align == Align::left ? 0 : text.align == Align::right ? width : width / 2);
    return {&text,  left + touch, text.at.y - 0.72 * text.height + touch, left + width - touch, text.at.y - touch,
            painted};
}

bool crosses(Point a, Point b, const Seen& box) {
    if (std::max(a.x, b.x) <= box.left || std::min(a.x, b.x) >= box.right || std::max(a.y, b.y) <= box.top ||
        std::min(a.y, b.y) >= box.bottom)
        return false;
    // Walked in small steps: slow and plain.
    const double length = std::hypot(b.x - a.x, b.y - a.y);
    const int steps = std::max(1, static_cast<int>(length / 0.05));
    for (int i = 0; i <= steps; ++i) {
        const double x = a.x + (b.x - a.x) * i / steps;
        const double y = a.y + (b.y - a.y) * i / steps;
        if (x > box.left && x < box.right && y > box.top && y < box.bottom)
            return true;
    }
    return false;
}

bool struck_by(const Shape& shape, const Seen& box) {
    if (const auto* line = std::get_if<Line>(&shape.form))
        return crosses(line->from, line->to, box);
    if (const auto* r = std::get_if<Rectangle>(&shape.form)) {
        if (r->fill == Fill::none && r->line_width == 0)
            return false;
        const Point a = r->at;
        const Point b{r->at.x + r->width, r->at.y};
        const Point c{r->at.x + r->width, r->at.y + r->height};
        const Point d{r->at.x, r->at.y + r->height};
        if (r->fill == Fill::plain && r->ink == Ink::paper && r->line_width == 0)
            return false; // blank paper has no edge to be seen
        return crosses(a, b, box) || crosses(b, c, box) || crosses(c, d, box) || crosses(d, a, box);
    }
    if (const auto* c = std::get_if<Circle>(&shape.form)) {
        const double x = std::clamp(c->centre.x, box.left, box.right);
        const double y = std::clamp(c->centre.y, box.top, box.bottom);
        return std::hypot(x - c->centre.x, y - c->centre.y) < c->radius;
    }
    if (const auto* t = std::get_if<Triangle>(&shape.form))
        return crosses(t->a, t->b, box) || crosses(t->b, t->c, box) || crosses(t->c, t->a, box);
    return false;
}

bool hides(const Shape& shape, const Seen& box) {
    const auto* r = std::get_if<Rectangle>(&shape.form);
    return r && r->ink == Ink::paper && r->fill == Fill::plain && r->strength >= 1 && r->at.x <= box.left &&
           r->at.y <= box.top && r->at.x + r->width >= box.right && r->at.y + r->height >= box.bottom;
}

/// Every collision of a drawing, in words.
std::vector<std::string> collisions(const Drawing& drawing) {
    std::vector<Seen> texts;
    for (std::size_t i = 0; i < drawing.shapes.size(); ++i)
        if (const auto* text = std::get_if<Text>(&drawing.shapes[i].form); text && text->text != "!")
            texts.push_back(seen(*text, i));
    std::vector<std::string> found;
    for (const Seen& one : texts) {
        bool hidden = false; // under a rod, and not to be seen at all
        for (std::size_t i = one.painted + 1; i < drawing.shapes.size(); ++i)
            hidden |= hides(drawing.shapes[i], one);
        if (hidden)
            found.push_back("\"" + one.text->text + "\" is hidden");
        if (one.left < 0 || one.top < 0 || one.right > drawing.width || one.bottom > drawing.height)
            found.push_back("\"" + one.text->text + "\" is cut off");
        for (const Seen& other : texts)
            if (other.painted > one.painted && one.left < other.right && other.left < one.right &&
                one.top < other.bottom && other.top < one.bottom)
                found.push_back("\"" + one.text->text + "\" lies on \"" + other.text->text + "\"");
        // What was painted before it and is seen there still; none where the text breaks what it lies on.
        std::size_t from = 0;
        for (std::size_t i = 0; i < one.painted; ++i)
            if (hides(drawing.shapes[i], one))
                from = i + 1;
        if (one.text->breaks_lines)
            from = one.painted + 1;
        for (std::size_t i = from; i < drawing.shapes.size(); ++i)
            if (i != one.painted && struck_by(drawing.shapes[i], one))
                found.push_back("\"" + one.text->text + "\" is struck through by shape " + std::to_string(i) + " of " +
                                std::to_string(drawing.shapes.size()) + ", form " +
                                std::to_string(drawing.shapes[i].form.index()));
        // What breaks lines hides nothing that must be seen.
        for (std::size_t i = 0; one.text->breaks_lines && i < one.painted; ++i)
            if (std::holds_alternative<Circle>(drawing.shapes[i].form) && struck_by(drawing.shapes[i], one))
                found.push_back("\"" + one.text->text + "\" hides a hole");
    }
    return found;
}

Job demo() {
    std::ifstream file{YES_SQUARE_SOURCE_DIR "/assets/demo/harbour-lane.yesq"};
    std::ostringstream text;
    text << file.rdbuf();
    return read_job(text.str())->job;
}

struct Size {
    double width, height, text; // mm of paper
};

/// The board in windows of 1280x800, 1024x700 and 1920x1080, and the sheet.
constexpr std::array sizes{Size{244, 171, 3.65}, Size{176, 145, 3.65}, Size{414, 245, 3.65}, Size{180, 105, 2.7}};

enum class Look { survey_studs, survey_level, survey_face, lines, layout };
constexpr std::array looks{Look::survey_studs, Look::survey_level, Look::survey_face, Look::lines, Look::layout};

ElevationFrame frame_of(const Size& size, Look look, const Job& job, const Plan& plan, const Wall& wall) {
    ElevationFrame frame;
    frame.width = size.width;
    frame.height = size.height;
    frame.text = size.text;
    frame.line_names = look == Look::lines;
    frame.found = look < Look::lines;
    frame.survey = look == Look::survey_studs   ? SurveyLayer::studs
                   : look == Look::survey_level ? SurveyLayer::level
                   : look == Look::survey_face  ? SurveyLayer::face
                                                : SurveyLayer::none;
    for (std::size_t r = 0; r < job.rooms.size(); ++r)
        if (job.rooms[r].id == wall.room)
            frame.lines = plan.rooms[r].lines.lines;
    return frame;
}

} // namespace

TEST_CASE("no name or figure of the demo's walls lies on another, is struck through, or is cut off",
          "[sheets][lettering]") {
    Job job = demo();
    for (const Unit unit : {Unit::mm, Unit::inch_16}) {
        job.unit = unit;
        const Plan plan = reckon(job);
        for (std::size_t w = 0; w < job.walls.size(); ++w)
            for (const Look look : looks)
                for (const Size& size : sizes) {
                    const Wall& wall = job.walls[w];
                    std::vector<ElevationFrame> frames{frame_of(size, look, job, plan, wall)};
                    if (look == Look::layout)
                        for_each_thing(wall, [&]<class Thing>(const Thing& thing) {
                            frames.push_back(frames.front());
                            if constexpr (std::is_same_v<Thing, Shelf>)
                                frames.back().selected_shelf = thing.id;
                            else if constexpr (std::is_same_v<Thing, Run>)
                                frames.back().selected_run = thing.id;
                            else
                                frames.back().selected_thing = thing.id;
                        });
                    for (const ElevationFrame& frame : frames) {
                        const Elevation drawn = draw_elevation(wall, *plan.walls[w], frame, {unit});
                        INFO(wall.name << ", " << static_cast<int>(look) << ", " << size.width << " wide, "
                                       << frame.selected_shelf << frame.selected_run << frame.selected_thing);
                        CHECK(collisions(drawn.drawing) == std::vector<std::string>{});
                    }
                }
    }
}

TEST_CASE("a wall can be drawn on next to no paper", "[sheets][lettering]") {
    const Job job = demo();
    const Plan plan = reckon(job);
    for (const double edge : {0.0, 1.0, 10.0, 40.0}) {
        ElevationFrame frame = frame_of({edge, edge, 3.65}, Look::lines, job, plan, job.walls[0]);
        CHECK(draw_elevation(job.walls[0], *plan.walls[0], frame, {}).drawing.width == edge);
    }
}

TEST_CASE("nor of three hundred random walls, near or far", "[sheets][lettering]") {
    int walls = 0;
    for (unsigned seed = 1; walls < 300; ++seed) {
        const Job job = seed % 3 == 0 ? RandomJobs{seed}.room(3) : RandomJobs{seed}.next();
        const Plan plan = reckon(job);
        for (std::size_t w = 0; w < job.walls.size() && walls < 300; ++w, ++walls) {
            ElevationFrame frame =
                frame_of(sizes[static_cast<std::size_t>(walls) % sizes.size()],
                         looks[static_cast<std::size_t>(walls) % looks.size()], job, plan, job.walls[w]);
            frame.zoom = 1 + walls % 4;
            INFO("seed " << seed << ", wall " << w);
            CHECK(collisions(draw_elevation(job.walls[w], *plan.walls[w], frame, {job.unit}).drawing) ==
                  std::vector<std::string>{});
        }
    }
}
