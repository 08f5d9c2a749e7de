// The two schools of timber joints, from the job to the plan.
#include "core/cutting/kit.hpp"
#include "core/job/file.hpp"
#include "core/job/trade_sizes.hpp"
#include "core/measure/sum.hpp"
#include "core/reckon/fixing_options.hpp"
#include "core/reckon/reckon.hpp"
#include "core/site/site_checks.hpp"
#include "demo_job.hpp"
#include "piece_walls.hpp"
#include "run_walls.hpp"
#include "shelf_walls.hpp"

#include <fmt/format.h>
#include <fstream>

using namespace yes_square;

namespace {

Job by(TimberSchool school, Job job) {
    return apply(SetTimberSchool{school}, std::move(job));
}

Job shelf_job() {
    Shelf shelf = new_shelf(shelf_preset("brackets"), stud_wall());
    shelf.length = 1200_mm;
    return job_with(stud_wall(), shelf);
}

/// Every screw into timber that the wall's things take.
std::vector<std::string> screws_of(const WallPlan& plan) {
    std::vector<std::string> names;
    for_each_thing(plan, [&](const ThingPlan& thing) {
        for (const PlannedHole& hole : thing.holes)
            if (hole.fixing && hole.strength.thread > Length{})
                names.push_back(hole.fixing->name);
    });
    return names;
}

bool is_metric(const std::string& name) {
    return std::ranges::any_of(all_gauges(), [&](const ScrewProperties& screw) {
        return screw.wood_screw_words == name && screw.school == TimberSchool::en;
    });
}

/// "#10 wood screw, 0.43": what a thing is screwed to studs with, and how much its worst screw is used.
std::string screwed_with(const ThingPlan& thing) {
    const PlannedHole* worst = nullptr;
    for (const PlannedHole& hole : thing.holes)
        if (hole.fixing && hole.strength.thread > Length{} && (!worst || hole.utilisation > worst->utilisation))
            worst = &hole;
    return worst ? fmt::format("{}, {:.2f}", worst->fixing->name, worst->utilisation.number()) : std::string{};
}

/// A line of the comparison page for each thing of a job that is screwed into timber by either school.
std::vector<std::string> comparison(const Job& job) {
    const Plan nds = reckon(by(TimberSchool::nds, job));
    const Plan en = reckon(by(TimberSchool::en, job));
    std::vector<std::string> rows;
    for (std::size_t w = 0; w < job.walls.size(); ++w) {
        std::vector<std::string> there;
        for_each_thing(*en.walls[w], [&](const ThingPlan& thing) { there.push_back(screwed_with(thing)); });
        std::size_t at = 0;
        for_each_thing(*nds.walls[w], [&](const ThingPlan& thing) {
            const std::string here = screwed_with(thing);
            const std::string& other = there[at++];
            if (!here.empty() || !other.empty())
                rows.push_back(fmt::format("| {} | {} | {} |", thing.name, here.empty() ? "nothing holds" : here,
                                           other.empty() ? "nothing holds" : other));
        });
    }
    return rows;
}

} // namespace

TEST_CASE("the comparison page says what the demo comes to by both schools", "[school][docs]") {
    std::ifstream file{YES_SQUARE_SOURCE_DIR "/docs/timber.md"};
    const std::string page{std::istreambuf_iterator<char>{file}, {}};
    const std::vector<std::string> rows = comparison(demo_job());
    CHECK(rows.size() > 5);
    std::string all;
    for (const std::string& row : rows)
        all += row + "\n";
    INFO(all);
    CHECK(page.find(all) != std::string::npos);
}

TEST_CASE("a job buys screws of its own school alone, for whatever hangs there", "[school]") {
    for (const TimberSchool school : {TimberSchool::nds, TimberSchool::en}) {
        std::vector<Job> jobs{shelf_job(), system_job(system_of({BayKind::shelves})), piece_job(dresser()),
                              kitchen_with({run_of(RunLevel::wall, {wall_unit("w1", 600_mm)})})};
        int found = 0;
        for (const Job& job : jobs)
            for (const std::string& name : screws_of(*reckon(by(school, job)).walls.front())) {
                ++found;
                INFO(name);
                CHECK(is_metric(name) == (school == TimberSchool::en));
            }
        CHECK(found > 8);
    }
}

TEST_CASE("a job of the old kind stays with NDS, and takes metric screws when it turns to EN", "[school][file]") {
    Job old = shelf_job();
    std::erase_if(old.catalogue.wood_screws,
                  [](const WoodScrew& screw) { return properties(screw.gauge).school == TimberSchool::en; });
    std::string text = write_job(old);
    const std::size_t at = text.find("\"timber\"");
    REQUIRE(at != std::string::npos);
    text.erase(at, text.find('\n', at) - at); // as it was written before there were two
    const auto read = read_job(text);
    REQUIRE(read);
    CHECK(read->job.rules.timber == TimberSchool::nds);
    const Job turned = by(TimberSchool::en, read->job);
    const auto names = screws_of(*reckon(turned).walls.front());
    REQUIRE_FALSE(names.empty());
    CHECK(std::ranges::all_of(names, is_metric));
    const auto again = read_job(write_job(turned));
    REQUIRE(again);
    CHECK(again->job == turned);
}

TEST_CASE("a new job is as its region measures and what its shops have", "[school]") {
    CHECK(new_job(Region::metric).rules.timber == TimberSchool::en);
    CHECK(new_job(Region::metric).unit == Unit::mm);
    CHECK(new_job(Region::inch).rules.timber == TimberSchool::nds);
    CHECK(new_job(Region::inch).unit == Unit::inch_16);
}

TEST_CASE("where EN has no figure of its own, a thin back and a screw's steel, it allows no more than NDS",
          "[school][safety]") {
    Wall wall = stud_wall();
    std::get<Framing>(wall.structure).species = Species::red_oak; // holds more than the back's 4 mm
    HouseRules rules;
    const auto pull = [&](TimberSchool school, const DrivenThrough& through, double duration) {
        rules.timber = school;
        const auto weighed = weigh_given(ScrewGauge::metric_4, 60_mm, {shipped_catalogue(), rules, wall}, through,
                                         {{1_n, 0_n, duration}});
        REQUIRE(weighed);
        return 1 / weighed->utilisation.number();
    };
    DrivenThrough back{4_mm, wood_bearing(0.36)};
    back.gravity = 0.36;
    back.head = 8_mm;
    const DrivenThrough steel{2_mm};
    for (const DrivenThrough& through : {back, steel})
        for (const double duration : {duration_stored, duration_people})
            CHECK(pull(TimberSchool::en, through, duration) <= pull(TimberSchool::nds, through, duration) * 1.0000001);
}

TEST_CASE("usual sizes are those of the place: 16 in, 8 ft, 48 x 10 x 3/4 in", "[school][inches]") {
    const Wall wall = new_wall("room", Unit::inch_16);
    CHECK(wall.height == 96_in);
    CHECK(std::get<Framing>(wall.structure).spacing == 16_in);
    CHECK(wall.lining.front().thickness == Length::inches(0, {1, 2}));
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    to_trade_sizes(shelf, Unit::inch_16);
    CHECK(shelf.length == 48_in);
    CHECK(shelf.depth == 10_in);
    CHECK(shelf.thickness == Length::inches(0, {3, 4}));
    // Where they are measured in mm they stay.
    CHECK(new_wall("room", Unit::mm).height == 2400_mm);
    CHECK(trade_size(1200_mm, Unit::mm_tenths) == 1200_mm);
    CHECK(trade_size(-1200_mm, Unit::feet_16) == -48_in);
}

TEST_CASE("by EN a screw keeps three diameters to the edge, and no stouter one goes into the middle than keeps four",
          "[school]") {
    // EN 1995-1-1 tables 8.2 and 8.6 (from memory).
    for (const ScrewProperties& screw : all_gauges())
        CHECK(edge_distance(screw, TimberSchool::en).in_mm() == Approx(std::max(10.0, 3 * screw.diameter_in * 25.4)));
    Job job = by(TimberSchool::en, shelf_job());
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.hole_diameter = 6_mm;
    for (const auto& [width, diameter] : {std::pair{38_mm, 4.5}, {45_mm, 5.0}, {60_mm, 6.0}}) {
        std::get<Framing>(job.walls.front().structure).stud_width = width;
        const ShelfPlan plan = shelf_plan(job);
        REQUIRE(plan.brackets.front().fixing);
        CHECK(plan.brackets.front().fixing->clearance.in_mm() == Approx(diameter));
        for (const FixingOption& option : fixing_options(job, reckon(job), "shelf"))
            if (option.as.gauge && 4 * properties(*option.as.gauge).diameter_in * 25.4 > width.in_mm() / 2)
                CHECK_FALSE(option.refused.empty());
    }
}

TEST_CASE("the sum behind a screw's use adds up by either school", "[school][workings]") {
    for (const TimberSchool school : {TimberSchool::nds, TimberSchool::en}) {
        int sums = 0;
        const ShelfPlan plan = shelf_plan(by(school, shelf_job()));
        for (const Working& working : plan.workings) {
            if (working.sum.empty())
                continue;
            std::vector<double> terms;
            for (const Term& term : working.terms)
                terms.push_back(term.value.si);
            INFO(working.subject);
            CHECK(redo(working.sum, terms).value() == Approx(working.result.si).epsilon(1e-6));
            ++sums;
        }
        CHECK(sums > 3);
    }
}
