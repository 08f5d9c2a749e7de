// A thing that is measured from the other end than its wall: what is said of it, and what stays where it is.
#include "../random_jobs.hpp"
#include "../sentences.hpp"
#include "core/fitting/wall_marks.hpp"
#include "core/job/along.hpp"
#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/drill_template.hpp"
#include "core/sheets/elevation.hpp"
#include "core/sheets/summary.hpp"
#include "demo_job.hpp"
#include "shelf_walls.hpp"
#include "told_places.hpp"

#include <map>

using namespace yes_square;

namespace {

const Voice mm{Unit::mm, {}};

/// Everything on its walls that may have an end of its own.
void each_that_may(Job& job, const auto& look) {
    for (Wall& wall : job.walls)
        for_each_kind(Things{}, [&]<class Kind>() {
            if constexpr (requires(Kind thing) { thing.measured_from; })
                for (Kind& thing : wall.*parts_of<Kind>)
                    look(thing.measured_from);
        });
}

/// A noggings' place is the wall's, whichever thing tells of it.
bool told_of_the_wall(std::string_view pattern) {
    return told_from_an_end(pattern) || pattern.starts_with("The nogging at {0}");
}

} // namespace

TEST_CASE("a tape held to a thing's own end is turned only where that is another", "[own-end]") {
    const Tape left{TapeEnd::left, 3600_mm};
    CHECK(left.held_to(std::nullopt) == left);
    CHECK(left.held_to(TapeEnd::left) == left);
    const Tape right = left.held_to(TapeEnd::right);
    CHECK(right.turned);
    CHECK(right.reads(1000_mm) == 2600_mm);
    CHECK(say(along(right, 1000_mm), mm) == "2600 mm (right end)");
    CHECK(say(along(right.told_once(), 1000_mm), mm) == "2600 mm");
    CHECK(say(along(Tape{TapeEnd::right, 3600_mm}.held_to(TapeEnd::left), 1000_mm), mm) == "1000 mm (left end)");
    CHECK(say(along(right, Length::inches(10)), {Unit::inch_16, {}}).find(" (right end)") != std::string::npos);
}

TEST_CASE("every place of a thing with an end of its own is said from there, and says so", "[own-end][property]") {
    std::map<std::string, int> silent; // said from the wall's end
    std::map<std::string, int> turned;
    for (std::uint64_t seed = 1; seed <= 300; ++seed) {
        Job job = with_marked_places(seed % 3 == 0 ? RandomJobs{seed}.room(3) : RandomJobs{seed}.next());
        each_that_may(job, [](std::optional<TapeEnd>& own) { own = TapeEnd::right; });
        const Plan plan = reckon(job);
        for (const auto& wall : plan.walls)
            for_each_thing(*wall, [&](const ThingPlan& thing) {
                if (!thing.tape.turned)
                    return;
                each_sentence(thing, [&](const Sentence& sentence) {
                    for (const Value& value : sentence.values)
                        if (const auto* figure = std::get_if<Quantity>(&value)) {
                            if (is_place_from_left(*figure) && !told_of_the_wall(sentence.pattern))
                                ++silent[std::string{sentence.pattern}];
                            if (figure->kind == Kind::from_right_end)
                                ++turned[std::string{sentence.pattern}];
                            CHECK(figure->kind != Kind::from_left_end);
                        }
                });
            });
    }
    CHECK(turned.size() > 40); // else nothing is shown by this
    for (const auto& [pattern, times] : silent) {
        INFO(pattern);
        CHECK(times == 0);
    }
}

TEST_CASE("no thing without an end of its own says one", "[own-end][property]") {
    for (std::uint64_t seed = 1; seed <= 60; ++seed) {
        Job job = RandomJobs{seed}.next();
        each_that_may(job, [](std::optional<TapeEnd>& own) { own.reset(); });
        for (const auto& wall : reckon(job).walls)
            each_sentence(*wall, [](const Sentence& sentence) {
                for (const Value& value : sentence.values)
                    if (const auto* figure = std::get_if<Quantity>(&value))
                        CHECK((figure->kind != Kind::from_right_end && figure->kind != Kind::from_left_end));
            });
    }
}

TEST_CASE("a thing's own end changes nothing but what is said of it", "[own-end][property]") {
    for (std::uint64_t seed = 1; seed <= 60; ++seed) {
        Job job = RandomJobs{seed}.next();
        each_that_may(job, [](std::optional<TapeEnd>& own) { own.reset(); });
        const Plan as_wall = reckon(job);
        each_that_may(job, [](std::optional<TapeEnd>& own) { own = TapeEnd::right; });
        const Plan turned = reckon(job);
        for (std::size_t w = 0; w < job.walls.size(); ++w) {
            const auto ours = marks_of(*as_wall.walls[w]);
            const auto theirs = marks_of(*turned.walls[w]);
            REQUIRE(ours.size() == theirs.size());
            for (std::size_t i = 0; i < ours.size(); ++i) {
                CHECK(ours[i].key() == theirs[i].key());
                CHECK(ours[i].utilisation == theirs[i].utilisation);
                CHECK(theirs[i].tape.reads(theirs[i].x) ==
                      (theirs[i].tape.turned ? job.walls[w].length - ours[i].x : ours[i].x));
            }
        }
        const auto back = read_job(write_job(job));
        REQUIRE(back);
        CHECK(back->job.walls == job.walls);
    }
}

TEST_CASE("a run is set out from the right corner by its total, the shelf beside it from the left", "[own-end]") {
    Job job = demo_job();
    const auto kitchen = std::ranges::find_if(job.walls, [](const Wall& wall) {
        return !wall.runs.empty() && wall.tape().from == TapeEnd::left && !wall.open_floor();
    });
    REQUIRE(kitchen != job.walls.end());
    const std::string id = kitchen->id;
    kitchen->runs.front().measured_from = TapeEnd::right;
    const Plan plan = reckon(job);
    const auto wall = std::ranges::find_if(plan.walls, [&](const auto& each) { return each->wall_id == id; });
    const RunPlan& run = (*wall)->runs.front();
    const Length length = kitchen->length;
    std::string steps;
    for (const Step& step : run.steps)
        steps += say(step.words, mm) + "\n";
    INFO(steps);
    CHECK(steps.find("Strike a plumb line at " + format(length - run.layout.right(), Unit::mm) + " (right end)") !=
          std::string::npos);
    CHECK(steps.find("Its end is at " + format(length - run.layout.left(), Unit::mm) + " (right end)") !=
          std::string::npos);
    // Every list that tells places beside the steps: text, template, drawing.
    const std::string told = summary(job, plan, mm);
    CHECK(told.find(format(length - run.units.front().place.right(), Unit::mm) + " (right end)") != std::string::npos);
    ElevationFrame frame;
    frame.selected_run = run.id;
    const auto figure_drawn = [&](Length figure) {
        const std::string words = format_bare(figure, Unit::mm);
        return std::ranges::any_of(draw_elevation(*kitchen, **wall, frame, mm).drawing.shapes, [&](const Shape& shape) {
            const auto* text = std::get_if<Text>(&shape.form);
            return text && text->text == words;
        });
    };
    const Length from_left = run.layout.right();
    const Length from_right = length - run.layout.right();
    CHECK(figure_drawn(from_left));
    frame.tape = run.tape; // as its own sheet is drawn
    CHECK(figure_drawn(from_right));
    CHECK_FALSE(figure_drawn(from_left));
    for (const WallMark& mark : marks_of(**wall))
        CHECK(mark.tape.turned == (mark.tape == run.tape));
}
