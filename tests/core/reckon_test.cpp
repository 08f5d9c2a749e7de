#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/summary.hpp"
#include "core/shelves/layouts.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/site/site_checks.hpp"
#include "core/site/strip_checks.hpp"

#include <algorithm>
#include <catch2/catch.hpp>
#include <fstream>
#include <sstream>

using namespace yes_square;

namespace {

/// A framed wall with proved studs every 400 mm from 400, and one shelf on it.
Job framed_job() {
    Job job = new_job();
    job.rooms = {{"room", "Room", ServiceClass::dry, {}}};
    Wall wall;
    wall.id = "wall";
    wall.name = "Wall";
    wall.room = "room";
    wall.length = 3600_mm;
    wall.height = 2450_mm;
    wall.structure = Framing{38_mm, 89_mm, 400_mm, Species::spruce_pine_fir};
    wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500), {}}};
    for (int i = 1; i < 9; ++i)
        wall.studs.push_back({400_mm * i, StudState::proved, Length::micrometres(600), {}});
    Shelf shelf;
    shelf.id = "shelf";
    shelf.name = "Shelf";
    shelf.left = 700_mm;
    shelf.height = 1700_mm;
    shelf.length = 1000_mm;
    shelf.depth = 200_mm;
    shelf.thickness = 22_mm;
    shelf.material = BoardMaterial::birch_plywood;
    wall.shelves.push_back(shelf);
    job.walls.push_back(wall);
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.rating = 800_n;
    return job;
}

Job masonry_job() {
    Job job = framed_job();
    job.walls[0].structure = Masonry{MasonryKind::brick};
    job.walls[0].studs.clear();
    return job;
}

Shelf& shelf_of(Job& job) {
    return job.walls[0].shelves[0];
}

ShelfPlan plan_of(const Job& job) {
    return reckon(job).walls.at(0)->shelves.at(0);
}

const Check* find(const ShelfPlan& plan, CheckCode code) {
    const auto found = std::ranges::find(plan.checks, code, &Check::code);
    return found == plan.checks.end() ? nullptr : &*found;
}

bool has_error(const ShelfPlan& plan) {
    return std::ranges::any_of(plan.checks, [](const Check& check) { return check.severity == Severity::error; });
}

Job demo() {
    std::ifstream file{YES_SQUARE_SOURCE_DIR "/assets/demo/harbour-lane.yesq"};
    std::ostringstream text;
    text << file.rdbuf();
    return read_job(text.str())->job;
}

} // namespace

TEST_CASE("a shelf over proved studs has its brackets on their centres and nothing wrong", "[reckon]") {
    const ShelfPlan plan = plan_of(framed_job());
    CHECK_FALSE(has_error(plan));
    REQUIRE(plan.brackets.size() == 2);
    CHECK(plan.brackets[0].x == 800_mm);
    CHECK(plan.brackets[1].x == 1600_mm);
    CHECK(plan.brackets[0].substrate == Substrate::proved_stud);
    CHECK(plan.left_overhang == 100_mm);
    CHECK(plan.right_overhang == 100_mm);
}

TEST_CASE("marks are running dimensions: each hole from the reference end and the datum by itself", "[reckon]") {
    const ShelfPlan plan = plan_of(framed_job());
    REQUIRE(plan.bracket);
    for (const PlannedHole& hole : plan.holes) {
        CHECK(hole.x == plan.brackets[hole.place].x);
        CHECK(hole.z == 1700_mm - 22_mm - plan.bracket->hole_drops[hole.row]);
    }
    CHECK(plan.holes.size() == plan.brackets.size() * plan.bracket->hole_drops.size());
}

TEST_CASE("bracket arm for a 15 in shelf: 10 1/2 in to 14 in", "[shelves][common-practice]") {
    const ArmRange range = arm_range(15_in, {});
    CHECK(range.least == Length::inches(10, {1, 2}));
    CHECK(range.most == 14_in);
}

TEST_CASE("one utilisation from the load to the verdict, by hand", "[reckon][worked]") {
    Job job = framed_job();
    shelf_of(job).load = {LoadKind::own, 30_kg_m};
    const ShelfPlan plan = plan_of(job);
    REQUIRE(plan.bracket);
    REQUIRE(plan.bracket->id == "flat-150");
    // Plywood 0.2 x 0.022 m at 700 kg/m3: 3.08 kg/m; with 30 kg/m of goods 33.08 kg/m. Worst for one bracket: its
    // span and its overhang loaded, the other overhang bare. Moments about the other bracket, L 0.8 m, a 0.1 m:
    // goods 30 x 9.80665 x 0.9 m at 0.45 m from it; self-weight evenly.
    const double goods = 30 * 9.80665;
    const double self = 3.08 * 9.80665;
    const double reaction = goods * 0.9 * 0.45 / 0.8 + self * 1.0 / 2;
    CHECK(plan.brackets[0].reaction.sustained == Approx(reaction).epsilon(1e-6));
    // Unstiffened: turns about the lowest of the holes 15, 100, 185 mm down: levers 170, 85, 0 mm.
    const double moment = reaction * 0.1;
    const double tension = moment * 0.170 / (0.170 * 0.170 + 0.085 * 0.085);
    CHECK(plan.brackets[0].tension == Approx(tension).epsilon(1e-6));
    CHECK(plan.brackets[0].shear == Approx(reaction / 3).epsilon(1e-6));
    // #10 in 5 mm holes. 4 + 12.5 mm passed, 38.1 mm wanted: 63.5 mm stock, p = 47 mm = 1.8504 in.
    // Thread min(1.8504, 2.5 x 2/3) - 2 x 0.19 = 1.2867 in; W = 2850 x 0.42^2 x 0.19 = 95.52 lb/in.
    REQUIRE(plan.brackets[0].fixing);
    CHECK(plan.brackets[0].fixing->screw_length == Length::micrometres(63'500));
    CHECK(plan.brackets[0].fixing->penetration == 47_mm);
    const double withdrawal = 95.52 * 1.2867 * 4.44822 * 0.9;
    CHECK(plan.brackets[0].fixing->tension == Approx(withdrawal).epsilon(1e-3));
    // Combined by NDS 12.4 with the lateral capacity that the plan states.
    const double lateral = plan.brackets[0].fixing->shear.in_newtons();
    const double load = std::hypot(tension, reaction / 3);
    const double sine = tension / load;
    const double cosine = reaction / 3 / load;
    const double capacity = withdrawal * lateral / (withdrawal * cosine * cosine + lateral * sine * sine);
    CHECK(plan.brackets[0].fixing_utilisation.number() == Approx(load / capacity).epsilon(1e-3));
    CHECK(plan.brackets[0].bracket_utilisation.number() == Approx(reaction / 800));
}

TEST_CASE("an end bracket carries at least its share, whatever continuity takes from it", "[reckon][house-rule]") {
    Job job = masonry_job();
    Shelf& shelf = shelf_of(job);
    shelf.school = School::even;
    shelf.length = 1500_mm;
    shelf.load = {LoadKind::own, 20_kg_m};
    const ShelfPlan plan = plan_of(job);
    REQUIRE(plan.brackets.size() == 3);
    // Half the space of 699.2 mm and the overhang of 50.8 mm; 0.4375 w L would be less.
    const Force share = (20 * 9.80665 * 1_n_per_m + plan.self_weight) * metres(0.6992 / 2 + 0.0508);
    CHECK(plan.brackets[0].reaction.sustained >= share * 0.999999);
}

TEST_CASE("masonry: ten hole diameters between fixings and to a free edge", "[reckon][common-practice]") {
    Job job = masonry_job();
    CHECK_FALSE(find(plan_of(job), checks::holes_close));
    job.walls[0].openings = {{OpeningKind::door, 1700_mm, 0_mm, 800_mm, 2000_mm, {}}};
    CHECK(find(plan_of(job), checks::holes_close));
    for (Bracket& bracket : job.catalogue.brackets)
        for (std::size_t i = 0; i < bracket.hole_drops.size(); ++i)
            bracket.hole_drops[i] = 20_mm + 70_mm * static_cast<std::int64_t>(i);
    job.walls[0].openings.clear();
    REQUIRE(find(plan_of(job), checks::holes_close));
    CHECK(find(plan_of(job), checks::holes_close)->amount->si == Approx(0.010));
}

TEST_CASE("a shelf with no load entered says so", "[reckon][checks]") {
    Job job = framed_job();
    shelf_of(job).load = {LoadKind::own, 0};
    CHECK(find(plan_of(job), checks::load_missing));
}

TEST_CASE("a low shelf must bear someone leaning on its front edge", "[reckon][house-rule]") {
    Job job = framed_job();
    const double high = plan_of(job).brackets[0].reaction.greatest.in_newtons();
    shelf_of(job).height = 900_mm;
    const ShelfPlan low = plan_of(job);
    // On the end of its 100 mm overhang, over a span of 800 mm: 250 x 0.9/0.8.
    CHECK(low.brackets[0].reaction.greatest == Approx(high + 250 * 0.9 / 0.8));
    CHECK(low.brackets[0].fixing_utilisation.number() > plan_of(framed_job()).brackets[0].fixing_utilisation.number());
}

TEST_CASE("a stud only assumed is an error with a cure", "[reckon][checks]") {
    Job job = framed_job();
    for (Stud& stud : job.walls[0].studs)
        if (stud.centre == 1600_mm)
            stud.state = StudState::assumed;
    job.walls[0].studs.erase(job.walls[0].studs.begin() + 4, job.walls[0].studs.end());
    const ShelfPlan plan = plan_of(job);
    const Check* check = find(plan, checks::stud_assumed);
    REQUIRE(check);
    CHECK(check->severity == Severity::error);
    CHECK_FALSE(check->cures.empty());
}

TEST_CASE("a stud too loosely known is refused however it is called", "[reckon][checks]") {
    Job job = framed_job();
    for (Stud& stud : job.walls[0].studs)
        stud.uncertainty = 5_mm;
    const ShelfPlan plan = plan_of(job);
    const Check* check = find(plan, checks::stud_indicated);
    REQUIRE(check);
    CHECK(check->severity == Severity::error);
}

TEST_CASE("no stud under either of two brackets is an error for books, a warning for a light ledge",
          "[reckon][checks]") {
    Job job = framed_job();
    job.walls[0].studs.clear();
    const ShelfPlan books = plan_of(job);
    REQUIRE(find(books, checks::no_stud));
    CHECK(find(books, checks::no_stud)->severity == Severity::error);

    Shelf& shelf = shelf_of(job);
    shelf.length = 400_mm;
    shelf.depth = 180_mm;
    shelf.thickness = 15_mm;
    shelf.load = {LoadKind::own, 2_kg_m};
    const ShelfPlan light = plan_of(job);
    REQUIRE(find(light, checks::no_stud));
    CHECK(find(light, checks::no_stud)->severity == Severity::warning);
}

TEST_CASE("one bracket in a stud cannot carry books for two", "[reckon][checks]") {
    Job job = framed_job();
    job.walls[0].studs = {{800_mm, StudState::proved, Length::micrometres(600), {}}};
    const ShelfPlan plan = plan_of(job);
    REQUIRE(find(plan, checks::one_stud));
    CHECK(find(plan, checks::one_stud)->severity == Severity::error);
}

TEST_CASE("lining-only brackets stiffen but never carry", "[reckon]") {
    Job job = framed_job();
    shelf_of(job).school = School::even;
    shelf_of(job).length = 1300_mm;
    shelf_of(job).left = 749_mm; // 50.8 in: a stud at the left; others fall between
    job.walls[0].studs = {{800_mm, StudState::proved, Length::micrometres(600), {}},
                          {1998_mm, StudState::proved, Length::micrometres(600), {}}};
    const ShelfPlan plan = plan_of(job);
    const auto on_lining = std::ranges::count(plan.brackets, Substrate::lining, &BracketPlan::substrate);
    REQUIRE(on_lining >= 1);
    REQUIRE(plan.brackets.size() - on_lining == 2);
    // Each of the two carries half of everything, as if the others were not there, or a little more with an end bare.
    const Force total = (plan.goods_load + plan.self_weight) * 1300_mm;
    for (const BracketPlan& place : plan.brackets)
        if (place.substrate != Substrate::lining)
            CHECK(place.reaction.sustained >= total / 2 * 0.999);
}

TEST_CASE("where a service is likely the work is held, the search keeps out where it can", "[reckon][checks]") {
    Job job = framed_job();
    job.walls[0].services = {{ServiceKind::socket, 800_mm, 300_mm, 86_mm, {}}};
    const ShelfPlan avoided = plan_of(job);
    CHECK_FALSE(find(avoided, checks::detect_first));
    for (const BracketPlan& place : avoided.brackets)
        CHECK(absolute(place.x - 800_mm) > 43_mm);

    // Beside the holes' own height the cable may run along the whole shelf: nowhere to go.
    job.walls[0].services = {{ServiceKind::switch_, 3000_mm, 1600_mm, 86_mm, {}}};
    const ShelfPlan crossed = plan_of(job);
    const Check* check = find(crossed, checks::detect_first);
    REQUIRE(check);
    CHECK(check->severity == Severity::warning);
    const bool by_program = std::ranges::any_of(check->cures, [](const Cure& cure) { return cure.edit.has_value(); });
    CHECK(by_program);
}

TEST_CASE("sag over the limit is an error with brackets or a thicker board as cures", "[reckon][checks]") {
    Job job = framed_job();
    job.walls[0].studs = {{800_mm, StudState::proved, Length::micrometres(600), {}},
                          {1600_mm, StudState::proved, Length::micrometres(600), {}}};
    Shelf& shelf = shelf_of(job);
    shelf.material = BoardMaterial::mdf;
    shelf.thickness = 15_mm;
    job.rules.spacing_least = 500_mm; // no room for a third
    const ShelfPlan plan = plan_of(job);
    const Check* check = find(plan, checks::sag_over_limit);
    REQUIRE(check);
    CHECK(check->amount->si == Approx(plan.sag->long_term - plan.sag->limit));
    CHECK_FALSE(check->cures.empty());
}

TEST_CASE("the sag of two brackets is the hand sum", "[reckon][worked]") {
    Job job = masonry_job();
    Shelf& shelf = shelf_of(job);
    shelf.length = 900_mm;
    shelf.material = BoardMaterial::red_oak;
    shelf.school = School::even;
    const ShelfPlan plan = plan_of(job);
    REQUIRE(plan.brackets.size() == 2);
    const double span = (900 - 2 * 50.8) / 1000;
    const double ei = 12.5e9 * 0.2 * 0.022 * 0.022 * 0.022 / 12;
    const double goods = 37 * 9.80665;
    const double self = 700 * 0.2 * 0.022 * 9.80665;
    // Goods on the span alone are worst; the overhangs' self-weight lifts it a little.
    const double a = 0.0508;
    const double sag =
        5 * goods * std::pow(span, 4) / (384 * ei) + self * span * span * (5 * span * span - 24 * a * a) / (384 * ei);
    CHECK(plan.sag->instantaneous == Approx(sag).epsilon(1e-4));
    CHECK(plan.sag->long_term == Approx(sag * 1.6).epsilon(1e-4));
    CHECK(plan.sag->limit == Approx(span / 200));
}

TEST_CASE("an arm too long, a bracket unknown, a bracket overloaded are said", "[reckon][checks]") {
    Job job = framed_job();
    shelf_of(job).bracket = "ribbed-225";
    const ShelfPlan out = plan_of(job);
    REQUIRE(find(out, checks::arm_too_long));
    CHECK(find(out, checks::arm_too_long)->severity == Severity::error);
    CHECK_FALSE(find(out, checks::arm_too_long)->cures.empty());

    shelf_of(job).bracket = "nowhere";
    CHECK(find(plan_of(job), checks::no_bracket_fits));

    shelf_of(job).bracket = "";
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.rating = 90_n;
    CHECK(find(plan_of(job), checks::bracket_overloaded));
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.rating.reset();
    const ShelfPlan unrated = plan_of(job);
    REQUIRE(find(unrated, checks::bracket_unrated));
    CHECK_FALSE(unrated.brackets[0].bracket_utilisation.known());
}

TEST_CASE("a rating for a pair is halved", "[reckon]") {
    Job job = framed_job();
    const double alone = plan_of(job).brackets[0].bracket_utilisation.number();
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.rated_per_pair = true;
    CHECK(plan_of(job).brackets[0].bracket_utilisation.number() == Approx(2 * alone));
}

TEST_CASE("what a shelf may run into is found, and a cure clears it", "[reckon][checks]") {
    Job job = framed_job();
    SECTION("a leg fouls the shelf below") {
        Shelf below = shelf_of(job);
        below.id = "below";
        below.name = "Below";
        below.height = 1550_mm;
        job.walls[0].shelves.push_back(below);
        const ShelfPlan plan = plan_of(job);
        const Check* check = find(plan, checks::leg_fouls_shelf);
        REQUIRE(check);
        // Underside 1678, leg 200: down to 1478, 72 mm into a board whose top is at 1550.
        CHECK(check->amount->si == Approx(0.072));
        REQUIRE_FALSE(check->cures.empty());
        REQUIRE(check->cures.front().edit);
        const Job cured = apply(*check->cures.front().edit, job);
        CHECK_FALSE(find(plan_of(cured), checks::leg_fouls_shelf));
    }
    SECTION("it overlaps an opening") {
        job.walls[0].openings = {{OpeningKind::window, 1500_mm, 1200_mm, 900_mm, 900_mm, {}}};
        const ShelfPlan plan = plan_of(job);
        REQUIRE(find(plan, checks::over_opening));
        CHECK(find(plan, checks::over_opening)->amount->si == Approx(0.2));
    }
    SECTION("it overlaps another shelf") {
        Shelf other = shelf_of(job);
        other.id = "other";
        other.left = 1600_mm;
        job.walls[0].shelves.push_back(other);
        REQUIRE(find(plan_of(job), checks::over_thing));
        CHECK(find(plan_of(job), checks::over_thing)->amount->si == Approx(0.1));
    }
    SECTION("it leaves the wall at any side") {
        shelf_of(job).left = -20_mm;
        REQUIRE(find(plan_of(job), checks::leaves_wall));
        CHECK(find(plan_of(job), checks::leaves_wall)->amount->si == Approx(0.02));
        shelf_of(job).left = 2700_mm;
        CHECK(find(plan_of(job), checks::leaves_wall)->amount->si == Approx(0.1));
        shelf_of(job).left = 700_mm;
        shelf_of(job).height = 2500_mm;
        CHECK(find(plan_of(job), checks::leaves_wall));
        shelf_of(job).height = 100_mm;
        CHECK(find(plan_of(job), checks::leaves_wall));
    }
    SECTION("its back edge or a leg covers a socket") {
        job.walls[0].services = {{ServiceKind::socket, 1200_mm, 1690_mm, 86_mm, {}}};
        CHECK(find(plan_of(job), checks::over_service));
    }
}

TEST_CASE("unequal overhangs are noted, and the cure makes them equal", "[reckon][checks]") {
    Job job = framed_job();
    shelf_of(job).left = 740_mm;
    const ShelfPlan plan = plan_of(job);
    const Check* check = find(plan, checks::overhang_unequal);
    REQUIRE(check);
    REQUIRE_FALSE(check->cures.empty());
    const ShelfPlan cured = plan_of(apply(*check->cures.front().edit, job));
    CHECK(cured.left_overhang == cured.right_overhang);
}

TEST_CASE("a board not made for a damp room is refused there", "[reckon][checks]") {
    Job job = framed_job();
    shelf_of(job).material = BoardMaterial::mdf;
    CHECK_FALSE(find(plan_of(job), checks::board_not_for_damp));
    job.rooms[0].service_class = ServiceClass::damp;
    CHECK(find(plan_of(job), checks::board_not_for_damp));
}

TEST_CASE("every cure the program offers does what it says", "[reckon][cures]") {
    std::vector<Job> jobs{demo(), framed_job(), masonry_job()};
    jobs[1].walls[0].services = {{ServiceKind::socket, 1600_mm, 1600_mm, 86_mm, {}}};
    shelf_of(jobs[2]).bracket = "braced-350";
    int tried = 0;
    for (const Job& job : jobs) {
        const Plan plan = reckon(job);
        for (const auto& wall : plan.walls)
            for (const ShelfPlan& shelf : wall->shelves)
                for (const Check& check : shelf.checks)
                    for (const Cure& cure : check.cures) {
                        if (!cure.edit)
                            continue;
                        ++tried;
                        const Job cured = apply(*cure.edit, job);
                        CHECK(cured != job);
                        for (const auto& w : reckon(cured).walls)
                            for (const ShelfPlan& s : w->shelves)
                                if (s.id == shelf.id)
                                    CHECK_FALSE(find(s, check.code));
                    }
    }
    CHECK(tried > 3);
}

TEST_CASE("a wall that did not change keeps its plan", "[reckon]") {
    Job job = demo();
    Reckoner reckoner;
    const auto first = reckoner.reckon(job).walls;
    job.walls[0].shelves[0].left += 5_mm;
    const auto second = reckoner.reckon(job).walls;
    CHECK(second[0] != first[0]);
    CHECK(second[1] == first[1]);
    job.rules.spacing_good = 700_mm;
    CHECK(reckoner.reckon(job).walls[1] != first[1]);
}

TEST_CASE("every figure shown has a working with terms and a source", "[reckon][workings]") {
    const Plan plan = reckon(demo());
    const Voice voice;
    for (const auto& wall : plan.walls)
        for (const ShelfPlan& shelf : wall->shelves) {
            const auto has = [&](const std::string& subject) {
                return std::ranges::find(shelf.workings, subject, &Working::subject) != shelf.workings.end();
            };
            const bool brackets = shelf.bracket && !shelf.bracket->id.empty(); // of the catalogue; else another kind
            for (const char* subject : {"load", "level", "hole/1"})
                CHECK(has(subject));
            for (const char* subject : {"arm", "sag"})
                CHECK((!brackets || has(subject)));
            if (brackets) // a loose board is screwed to nothing
                CHECK(has("shelf-screw") == shelf.shelf_screw.has_value());
            for (std::size_t i = 1; i <= shelf.brackets.size(); ++i) {
                CHECK(has("bracket/" + std::to_string(i)));
                CHECK(has("fixing/" + std::to_string(i)) == shelf.brackets[i - 1].fixing.has_value());
                CHECK((!brackets || has("reaction/" + std::to_string(i))));
                const bool rated = shelf.brackets[i - 1].is_bracket() || shelf.brackets[i - 1].hanger;
                CHECK((!brackets || !rated || has("rating/" + std::to_string(i))));
            }
            for (const Working& working : shelf.workings) {
                CHECK_FALSE(working.terms.empty());
                CHECK_FALSE(working_text(working, voice).empty());
            }
        }
    const auto& level = *std::ranges::find(plan.walls[0]->shelves[0].workings, std::string{"level"}, &Working::subject);
    CHECK(sum_text(level, voice) == "1665 mm - 22 mm = 1643 mm");
}
