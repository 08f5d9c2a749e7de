#include "../random_jobs.hpp"
#include "collisions.hpp"
#include "core/cutting/cutting_plan.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/cut_drawing.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/lettering.hpp"
#include "core/sheets/profile_drawing.hpp"
#include "core/sheets/room_drawing.hpp"
#include "core/sheets/run_layer.hpp"
#include "core/sheets/side_view.hpp"
#include "demo_job.hpp"

#include <algorithm>
#include <array>
#include <catch2/catch.hpp>
#include <cmath>

using namespace yes_square;

namespace {

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
    Job job = demo_job();
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
    const Job job = demo_job();
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

TEST_CASE("no words collide on the smaller drawings: room, profiles, cards of backs, cutting plans, cases of tipping",
          "[lettering]") {
    const auto look = [](const std::string& of, const Drawing& drawing) {
        INFO(of);
        CHECK(collisions(drawing) == std::vector<std::string>{});
        return std::ranges::count_if(drawing.shapes,
                                     [](const Shape& s) { return std::holds_alternative<Text>(s.form); });
    };
    std::ptrdiff_t words = 0;
    for (const Unit unit : {Unit::mm, Unit::inch_16}) {
        Job job = demo_job();
        job.unit = unit;
        const Plan plan = reckon(job);
        const Voice voice{unit};
        for (std::size_t r = 0; r < job.rooms.size(); ++r)
            for (const Size& size : sizes)
                words += look(job.rooms[r].name,
                              draw_room(job, plan, plan.rooms[r], {size.width, size.height, size.text, {}}, voice));
        for (std::size_t w = 0; w < job.walls.size(); ++w) {
            const Wall& wall = job.walls[w];
            const WallPlan& of = *plan.walls[w];
            words += look(wall.name + " floor", draw_floor_profile(wall, of.survey.floor, 170, 40, 3, voice));
            for (std::size_t row = 0; row < of.survey.face.rows.size(); ++row)
                words += look(wall.name + " face", draw_face_profile(wall, of.survey.face, row, 170, 34, 3, voice));
            for (std::size_t i = 0; i < wall.runs.size(); ++i)
                for (std::size_t u = 0; u < wall.runs[i].units.size(); ++u)
                    for (const auto& [wide, high] : {std::pair{180.0, 92.0}, std::pair{80.0, 55.0}})
                        words += look(wall.runs[i].units[u].name + " card",
                                      draw_back_card(wall.runs[i].units[u], of.runs[i].units[u], wide, high, 3, voice));
            for (std::size_t i = 0; i < wall.pieces.size(); ++i)
                for (const TipCase& tip : of.pieces[i].cases)
                    words += look(wall.pieces[i].name,
                                  draw_side_view(wall.pieces[i], of.pieces[i], tip, 56, 53, 2.7, voice));
        }
        for (const StuffPlan& stuff : cutting_plan(job, plan).stuffs)
            words += look("cutting plan", draw_cutting(stuff, job.rules.cutting.kerf, 180, 3, voice, {}));
    }
    CHECK(words > 400); // nothing is gained by leaving them out
}
