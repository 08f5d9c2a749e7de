// A wall that is measured from its right end: what is said of it, and what stays where it is.
#include "../random_jobs.hpp"
#include "../sentences.hpp"
#include "core/cutting/cut_list.hpp"
#include "core/fitting/wall_marks.hpp"
#include "core/job/along.hpp"
#include "core/job/file.hpp"
#include "core/job/places.hpp"
#include "core/measure/sum.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/drill_template.hpp"
#include "core/sheets/elevation.hpp"
#include "core/survey/readings_csv.hpp"
#include "core/survey/set_out.hpp"
#include "demo_job.hpp"
#include "shelf_walls.hpp"
#include "told_places.hpp"

#include <array>
#include <catch2/catch.hpp>
#include <cmath>
#include <map>
#include <random>
#include <set>

using namespace yes_square;

namespace {

const Voice mm{Unit::mm, {}};

void measure_from(Job& job, TapeEnd end) {
    for (Wall& wall : job.walls)
        wall.measured_from = end;
}

std::size_t places_from_left(const Plan& plan, std::map<std::string, int>& patterns) {
    std::size_t found = 0;
    for (const auto& wall : plan.walls)
        each_sentence(*wall, [&](const Sentence& sentence) {
            for (const Value& value : sentence.values)
                if (const auto* figure = std::get_if<Quantity>(&value);
                    figure && is_place_from_left(*figure) && !told_from_an_end(sentence.pattern)) {
                    ++patterns[std::string{sentence.pattern}];
                    ++found;
                }
        });
    return found;
}

/// Proved studs every 400 mm, not evenly from both ends, and a shelf that is not in the middle.
Job framed_wall() {
    Wall wall = stud_wall();
    for (Stud& stud : wall.studs)
        stud.centre += 33_mm;
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.left = 700_mm;
    shelf.height = 1500_mm;
    shelf.length = 1300_mm;
    return job_with(wall, shelf);
}

} // namespace

TEST_CASE("a tape reads from its own end, and a place is got back from what it reads", "[tape]") {
    const Tape left{TapeEnd::left, 3600_mm};
    const Tape right{TapeEnd::right, 3600_mm};
    CHECK(left.reads(1000_mm) == 1000_mm);
    CHECK(right.reads(1000_mm) == 2600_mm);
    CHECK(right.reads(right.reads(1234_mm)) == 1234_mm);
    CHECK(right.reads(right.near(1000_mm, 1500_mm)) == 2100_mm);
    CHECK(right.reads(right.far(1000_mm, 1500_mm)) == 2600_mm);
    CHECK(left.near(1000_mm, 1500_mm) == 1000_mm);
}

TEST_CASE("all that is said of a wall measured from the right is said from the right", "[tape][property]") {
    std::map<std::string, int> said;
    std::map<std::string, int> missed;
    for (std::uint64_t seed = 1; seed <= 400; ++seed) {
        Job job = with_marked_places(seed % 3 == 0 ? RandomJobs{seed}.room(3) : RandomJobs{seed}.next());
        places_from_left(reckon(job), said);
        measure_from(job, TapeEnd::right);
        places_from_left(reckon(job), missed);
    }
    // The same jobs measured from the left say places in many ways: else nothing is shown by this.
    CHECK(said.size() > 50);
    for (const auto& [pattern, times] : missed) {
        INFO(pattern);
        CHECK(times == 0);
    }
}

TEST_CASE("where it is measured from changes no figure of the plan but those that are said", "[tape][property]") {
    for (std::uint64_t seed = 1; seed <= 60; ++seed) {
        Job job = RandomJobs{seed}.next();
        const Plan from_left = reckon(job);
        measure_from(job, TapeEnd::right);
        const Plan from_right = reckon(job);
        for (std::size_t w = 0; w < job.walls.size(); ++w) {
            const auto ours = marks_of(*from_left.walls[w]);
            const auto theirs = marks_of(*from_right.walls[w]);
            REQUIRE(ours.size() == theirs.size());
            for (std::size_t i = 0; i < ours.size(); ++i) {
                CHECK(ours[i].key() == theirs[i].key());
                CHECK(ours[i].fixing.has_value() == theirs[i].fixing.has_value());
            }
            const auto raised = [](const WallPlan& wall) {
                std::multiset<std::string> codes;
                for_each_thing(wall, [&](const ThingPlan& thing) {
                    for (const Check& check : thing.checks)
                        codes.insert(std::string{check.code.name()} + std::string{name(check.severity)});
                });
                return codes;
            };
            CHECK(raised(*from_left.walls[w]) == raised(*from_right.walls[w]));
        }
    }
}

TEST_CASE("a shelf's steps and sums name its right end and measure from there", "[tape]") {
    Job job = framed_wall();
    Wall& wall = job.walls.front();
    wall.measured_from = TapeEnd::right;
    const Plan plan = reckon(job);
    const ShelfPlan& shelf = plan.walls.front()->shelves.front();
    const Length length = wall.length;
    std::string all;
    for (const Step& step : shelf.steps)
        all += say(step.words, mm) + "\n";
    INFO(all);
    for (const BracketPlan& place : shelf.brackets)
        CHECK(all.find("at " + format(length - place.x, Unit::mm) + " from the reference end") != std::string::npos);
    const Shelf& board = wall.shelves.front();
    CHECK(all.find("from " + format(length - board.right(), Unit::mm) + " to " +
                   format(length - board.left, Unit::mm)) != std::string::npos);
    // A bracket's sum comes out at what the tape reads.
    const auto sum = std::ranges::find(shelf.workings, std::string{"bracket/1"}, &Working::subject);
    REQUIRE(sum != shelf.workings.end());
    std::vector<double> terms;
    for (const Term& term : sum->terms)
        terms.push_back(term.value.si);
    CHECK(redo(sum->sum, terms).value() == Approx((length - shelf.brackets.front().x).in_metres()));
}

TEST_CASE("every sum of a wall measured from the right adds up", "[tape][property]") {
    for (std::uint64_t seed = 1; seed <= 120; ++seed) {
        Job job = seed % 3 == 0 ? RandomJobs{seed}.room(3) : RandomJobs{seed}.next();
        measure_from(job, TapeEnd::right);
        const Plan plan = reckon(job);
        const auto check = [&](const Working& working) {
            if (working.sum.empty())
                return;
            std::vector<double> terms;
            for (const Term& term : working.terms)
                terms.push_back(term.value.si);
            const auto again = redo(working.sum, terms);
            INFO(working.subject << ": " << say(working.title, mm));
            REQUIRE(again.has_value());
            CHECK(*again == Approx(working.result.si).epsilon(1e-6).margin(1e-6));
        };
        for (const auto& wall : plan.walls) {
            for (const Working& working : wall->survey.workings)
                check(working);
            for_each_thing(*wall, [&](const ThingPlan& thing) {
                for (const Working& working : thing.workings)
                    if (working.subject.find("/place") != std::string::npos || working.subject.find("bracket/") == 0 ||
                        working.subject.find("board/") == 0 || working.subject.find("/stud") != std::string::npos ||
                        working.subject == "slack")
                        check(working);
            });
        }
    }
}

TEST_CASE("the rod's figures grow from the right end, and the template's corner reads as the tape does", "[tape]") {
    Job job = framed_wall();
    Wall& wall = job.walls.front();
    wall.measured_from = TapeEnd::right;
    const Plan plan = reckon(job);
    ElevationFrame frame;
    frame.width = 400;
    frame.height = 250;
    const Elevation elevation = draw_elevation(wall, *plan.walls.front(), frame, mm);
    const auto drawn = [&](Length figure) {
        const std::string words = format_bare(figure, Unit::mm);
        return std::ranges::any_of(elevation.drawing.shapes, [&](const Shape& shape) {
            const auto* text = std::get_if<Text>(&shape.form);
            return text && text->text == words;
        });
    };
    for (const BracketPlan& place : plan.walls.front()->shelves.front().brackets) {
        CHECK(drawn(wall.length - place.x));
        CHECK_FALSE(drawn(place.x));
    }
    const auto marks = marks_of(*plan.walls.front());
    const auto pages = drill_template("Shelf", marks, wall.tape(), 1800, 2500, mm);
    REQUIRE_FALSE(pages.empty());
    const std::string corner = format(wall.length - pages.front().left, Unit::mm) + " from the reference end";
    CHECK(std::ranges::any_of(pages.front().drawing.shapes, [&](const Shape& shape) {
        const auto* text = std::get_if<Text>(&shape.form);
        return text && text->text.find(corner) != std::string::npos;
    }));
}

TEST_CASE("one walks from the end that the tape hangs at", "[tape]") {
    Job job = framed_wall();
    job.walls.front().measured_from = TapeEnd::right;
    const Plan plan = reckon(job);
    const auto walk = walk_wall(*plan.walls.front(), job.rules.fitting);
    for (const WallPass& pass : walk)
        if (pass.marks.size() > 1 && pass.marks.front().kind == MarkKind::hole)
            CHECK(pass.marks.front().x > pass.marks.back().x);
}

TEST_CASE("a longer wall keeps its places from the end that they were measured from", "[tape]") {
    Job job = demo_job();
    for (Wall& wall : job.walls) {
        wall.measured_from = TapeEnd::left;
        const Wall before = wall;
        const Length longer = wall.length + 25_mm;
        set_length(wall, longer);
        CHECK(wall.length == longer);
        for (std::size_t i = 0; i < wall.studs.size(); ++i)
            CHECK(wall.studs[i].centre == before.studs[i].centre);
        wall = before;
        wall.measured_from = TapeEnd::right;
        set_length(wall, longer);
        const Tape tape = wall.tape();
        for (std::size_t i = 0; i < wall.studs.size(); ++i)
            CHECK(tape.reads(wall.studs[i].centre) == before.length - before.studs[i].centre);
        for (std::size_t i = 0; i < wall.shelves.size(); ++i)
            CHECK(tape.reads(wall.shelves[i].right()) == before.length - before.shelves[i].right());
        for (std::size_t i = 0; i < wall.observations.size(); ++i)
            CHECK(tape.reads(wall.observations[i].x) == before.length - before.observations[i].x);
        for (std::size_t i = 0; i < wall.openings.size(); ++i)
            CHECK(wall.openings[i].left == before.openings[i].left + 25_mm);
        // And back: nothing else was touched.
        set_length(wall, before.length);
        wall.measured_from = TapeEnd::left;
        CHECK(wall == before);
    }
}

TEST_CASE("a wall cannot become shorter than what is measured from its right end", "[tape]") {
    Wall wall = framed_wall().walls.front();
    CHECK(least_length(wall) == Length::nanometres(1));
    wall.measured_from = TapeEnd::right;
    const Length first = std::ranges::min(wall.studs, {}, &Stud::centre).centre;
    const Length least = least_length(wall);
    CHECK(least == wall.length - first);
    set_length(wall, least);
    CHECK(std::ranges::min(wall.studs, {}, &Stud::centre).centre == Length{});
}

TEST_CASE("the end is kept in the file, and places in it are from the left all the same", "[tape][file]") {
    Job job = framed_wall();
    job.walls.front().measured_from = TapeEnd::right;
    const auto back = read_job(write_job(job));
    REQUIRE(back);
    CHECK(back->job.walls.front() == job.walls.front());
}

TEST_CASE("where framing begins is told from both ends, and the far one as the tape reads it", "[tape][survey]") {
    Wall wall;
    wall.length = 3600_mm;
    wall.structure = Framing{};
    wall.measured_from = TapeEnd::right;
    std::string all;
    for (const Sentence& said : where_studs_begin(wall))
        all += say(said, mm) + "\n";
    INFO(all);
    for (const SetOut& place : first_studs(400_mm, {}, WallEnd::corner)) {
        CHECK(all.find("From the right end: " + format(place.from_corner, Unit::mm)) != std::string::npos);
        CHECK(all.find("that is " + format(3600_mm - place.from_corner, Unit::mm) + " from the reference end") !=
              std::string::npos);
    }
}

TEST_CASE("readings as a table are those of the tape, and come back to where they were", "[tape][survey]") {
    Job job = demo_job();
    for (Wall wall : job.walls) {
        wall.measured_from = TapeEnd::right;
        Wall again;
        again.length = wall.length;
        again.measured_from = TapeEnd::right;
        const std::string table = readings_csv(wall);
        if (!add_readings_csv(table, again))
            continue; // nothing was read on it
        CHECK(readings_csv(again) == table);
        CHECK(again.studs.size() == wall.studs.size());
        for (const Opening& opening : wall.openings)
            CHECK(
                std::ranges::any_of(again.openings, [&](const Opening& other) { return other.left == opening.left; }));
    }
    // A window whose right edge is 300 from the right end of 4 m, 1 m wide, begins at 2700.
    Wall wall;
    wall.length = 4000_mm;
    wall.measured_from = TapeEnd::right;
    REQUIRE(add_readings_csv("kind,x_mm,z_mm,width_mm,height_mm\nwindow,300,900,1000,1200\nprobe_hit,400,,,\n", wall));
    CHECK(wall.openings.front().left == 2700_mm);
    CHECK(wall.observations.front().x == 3600_mm);
    const auto past = add_readings_csv("kind,x_mm\nprobe_hit,4100\n", wall);
    REQUIRE_FALSE(past);
    CHECK(past.error().find("line 2, x_mm") != std::string::npos);
    CHECK(past.error().find("past the left end") != std::string::npos);
}
