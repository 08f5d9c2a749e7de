#include "../random_jobs.hpp"
#include "collisions.hpp"
#include "core/job/file.hpp"
#include "core/sheets/hole_section.hpp"
#include "demo_job.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

namespace {

constexpr double width = 80;
constexpr double height = 64;

struct Cut {
    Job job;
    Plan plan = reckon(job);
    const Wall& wall() const { return job.walls.front(); }
    const PlannedHole& hole() const {
        const PlannedHole* most = most_telling(plan.walls.front()->shelves.front().holes);
        REQUIRE(most);
        return *most;
    }
    Drawing drawing(const Voice& voice = {}) const {
        return draw_hole_section(wall(), *plan.walls.front(), hole(), width, height, 3, voice);
    }
};

/// A shelf on brackets of steel, on a wall.
Cut on(const Wall& wall) {
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.left = 340_mm;
    shelf.length = 1200_mm;
    shelf.depth = 240_mm;
    return {job_with(wall, shelf)};
}

bool says(const Drawing& drawing, const std::string& words) {
    return std::ranges::any_of(drawing.shapes, [&](const Shape& shape) {
        const auto* text = std::get_if<Text>(&shape.form);
        return text && text->text.find(words) != std::string::npos;
    });
}

std::vector<Rectangle> boxes(const Drawing& drawing, Ink ink) {
    std::vector<Rectangle> found;
    for (const Shape& shape : drawing.shapes)
        if (const auto* box = std::get_if<Rectangle>(&shape.form); box && box->ink == ink)
            found.push_back(*box);
    return found;
}

} // namespace

TEST_CASE("through a stud wall: all of it to one scale, as its figures say", "[sheets][section]") {
    const Cut cut = on(stud_wall());
    const Drawing drawing = cut.drawing();
    const auto studs = boxes(drawing, Ink::stud_proved);
    REQUIRE(studs.size() == 1); // the next is 400 mm away
    const double scale = studs.front().width / 38;
    CHECK(studs.front().height == Approx(89 * scale)); // 38 x 89
    const auto lining = boxes(drawing, Ink::wall);
    REQUIRE(lining.size() == 1);
    CHECK(lining.front().height == Approx(12.5 * scale));
    CHECK(lining.front().at.y == Approx(studs.front().at.y + studs.front().height)); // the stud stands behind it
    // Every pass is as wide and as deep as it is drilled, from the face.
    const double face = lining.front().at.y + lining.front().height;
    const auto holes = boxes(drawing, Ink::paper);
    REQUIRE(holes.size() == cut.hole().passes.size());
    for (const DrillPass& pass : cut.hole().passes) {
        INFO(pass.bit);
        CHECK(std::ranges::any_of(holes, [&](const Rectangle& hole) {
            return hole.width == Approx(pass.diameter.in_metres() * 1000 * scale) &&
                   hole.height == Approx(pass.depth.in_metres() * 1000 * scale) &&
                   hole.at.y + hole.height == Approx(face);
        }));
    }
    // Steel of the bracket before the wall, and the screw's tip as deep as the screw is long, less what it passes
    // first.
    const auto bracket = boxes(drawing, Ink::bracket);
    REQUIRE(bracket.size() == 1);
    CHECK(bracket.front().height == Approx(cut.hole().strength.side.in_metres() * 1000 * scale));
    double tip = face;
    for (const Shape& shape : drawing.shapes)
        if (const auto* point = std::get_if<Triangle>(&shape.form))
            tip = std::min(tip, point->c.y);
    const Length goes_in = cut.hole().fixing->screw_length - cut.hole().strength.side;
    CHECK(face - tip == Approx(goes_in.in_metres() * 1000 * scale));

    CHECK(says(drawing, "Plasterboard, 12.5 mm"));
    CHECK(says(drawing, "In proved stud, at its middle"));
    CHECK(says(drawing, "Thread in wood"));
    CHECK(says(drawing, "tape at " + say(stock(cut.hole().fixing->drill_depth), {})));
    CHECK(says(drawing, cut.hole().fixing->name));
    CHECK_FALSE(says(drawing, "Stop and look"));
}

TEST_CASE("a hole beside a stud's middle is drawn and said beside it", "[sheets][section]") {
    Cut cut = on(stud_wall());
    PlannedHole hole = cut.hole();
    hole.x += 8_mm;
    const Drawing drawing = draw_hole_section(cut.wall(), *cut.plan.walls.front(), hole, width, height, 3, {});
    CHECK(says(drawing, "8 mm right of its middle"));
    const Rectangle stud = boxes(drawing, Ink::stud_proved).front();
    const Rectangle drilled = boxes(drawing, Ink::paper).front();
    CHECK(drilled.at.x + drilled.width / 2 - (stud.at.x + stud.width / 2) == Approx(8 * stud.width / 38));
}

TEST_CASE("through masonry: the plaster, the brick behind it, and how deep the plug goes", "[sheets][section]") {
    const Cut cut = on(masonry_wall());
    const Drawing drawing = cut.drawing();
    CHECK(boxes(drawing, Ink::masonry).size() == 1);
    CHECK(says(drawing, "Plaster, 10 mm"));
    CHECK(says(drawing, "In masonry"));
    CHECK(says(drawing, "So deep in it: " + say(stock(cut.hole().strength.penetration), {})));
    CHECK_FALSE(says(drawing, "stud"));
}

TEST_CASE("where a cable is likely the section says stop, where nothing holds it says so", "[sheets][section]") {
    Wall wall = stud_wall();
    // A socket at the height of a row of holes: its cable may run sideways behind all of them.
    wall.services.push_back({ServiceKind::socket, 3000_mm, on(wall).hole().z, 86_mm, false, {}});
    const Cut cut = on(wall);
    const auto& holes = cut.plan.walls.front()->shelves.front().holes;
    const auto hit = std::ranges::find_if(holes, [](const PlannedHole& hole) { return hole.in_strip(); });
    REQUIRE(hit != holes.end());
    const Drawing drawing = draw_hole_section(wall, *cut.plan.walls.front(), *hit, width, height, 3, {});
    CHECK(says(drawing, "Stop and look: a cable to the socket"));
    CHECK_FALSE(boxes(drawing, Ink::caution).empty());

    PlannedHole bare = cut.hole();
    bare.fixing.reset();
    bare.passes.clear();
    const Drawing nothing = draw_hole_section(wall, *cut.plan.walls.front(), bare, width, height, 3, {});
    CHECK(says(nothing, "Nothing known holds here"));
    CHECK(boxes(nothing, Ink::paper).empty());
}

TEST_CASE("of every hole of the demo and of random jobs the section is readable, in every size", "[sheets][section]") {
    const auto look_at = [](const Job& job, const Plan& plan) {
        for (std::size_t w = 0; w < plan.walls.size(); ++w)
            for_each_thing(*plan.walls[w], [&](const ThingPlan& thing) {
                for (const PlannedHole& hole : thing.holes)
                    for (const auto& [broad, high, type] :
                         {std::tuple{76.0, 60.0, 3.2}, std::tuple{84.0, 56.0, 2.8}, std::tuple{150.0, 70.0, 5.0}})
                        for (const Unit unit : {Unit::mm, Unit::inch_16}) {
                            const auto wrong = collisions(
                                draw_hole_section(job.walls[w], *plan.walls[w], hole, broad, high, type, {unit}));
                            INFO(say(hole.what, {}) << " " << broad);
                            CHECK(wrong == std::vector<std::string>{});
                        }
            });
    };
    const Job shown = demo_job();
    look_at(shown, reckon(shown));
    for (std::uint32_t seed = 0; seed < 60; ++seed) {
        const Job job = RandomJobs{seed}.next();
        look_at(job, reckon(job));
    }
}
