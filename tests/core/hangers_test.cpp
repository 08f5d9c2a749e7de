// Hangers from a ceiling: what they bear, what holds them, what is kept of them.
#include "core/cutting/kit.hpp"
#include "core/job/own_entries.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_kind_checks.hpp"
#include "core/shelves/shelf_study.hpp"
#include "core/site/site_checks.hpp"
#include "shelf_walls.hpp"

#include <algorithm>

using namespace yes_square;

namespace {

/// Over a door, from the joist in its middle.
Job over_a_door() {
    Wall wall = masonry_wall();
    wall.openings.push_back({OpeningKind::door, 1400_mm, 0_mm, 900_mm, 2050_mm, 50_mm, {}});
    wall.joists = {1450_mm, 1850_mm, 2250_mm};
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.left = 800_mm;
    shelf.length = 2100_mm;
    shelf.height = 2200_mm;
    shelf.load.kind = LoadKind::display;
    shelf.hangers = {1050_mm};
    return job_with(wall, shelf);
}

Shelf& shelf_of(Job& job) {
    return job.walls.front().shelves.front();
}

BracketPlan hanger_of(const Job& job) {
    const ShelfPlan plan = shelf_plan(job);
    const auto hanger = std::ranges::find_if(plan.brackets, &BracketPlan::hanger);
    REQUIRE(hanger != plan.brackets.end());
    return *hanger;
}

Capacity capacity_in(const Job& job) {
    return *capacity(job, reckon(job), "shelf");
}

int bought(const Job& job, std::string_view item) {
    int number = 0;
    for (const KitLine& line : kit_of(job, reckon(job)).lines)
        if (line.item == item)
            number += static_cast<int>(line.wanted);
    return number;
}

bool steps_say(const Job& job, std::string_view words) {
    const ShelfPlan plan = shelf_plan(job);
    return std::ranges::any_of(plan.steps,
                               [&](const Step& step) { return say(step.words, {}).find(words) != std::string::npos; });
}

} // namespace

TEST_CASE("a hanger that nobody rated is not known to bear, rated, it bears so much and no more", "[hangers][safety]") {
    Job job = over_a_door();
    CHECK(find_check(shelf_plan(job), checks::bracket_unrated));
    CHECK(capacity_in(job).hanger_unknown);
    CHECK_FALSE(hanger_of(job).bracket_utilisation.known());

    const Force carries = hanger_of(job).reaction.greatest;
    shelf_of(job).hanger_rating = 2 * carries;
    CHECK_FALSE(find_check(shelf_plan(job), checks::bracket_unrated));
    CHECK_FALSE(capacity_in(job).hanger_unknown);
    CHECK(hanger_of(job).bracket_utilisation.number() == Approx(0.5));

    // What the packet calls an ultimate load is that only once: a quarter of it may hang there.
    shelf_of(job).hanger_basis = FigureBasis::ultimate;
    CHECK(hanger_of(job).bracket_utilisation.number() == Approx(2));
    CHECK(find_check(shelf_plan(job), checks::bracket_overloaded));
    shelf_of(job).hanger_basis = FigureBasis::characteristic;
    CHECK(hanger_of(job).bracket_utilisation.number() == Approx(3.5 / 2));
    shelf_of(job).hanger_basis = FigureBasis::recommended;

    shelf_of(job).hanger_rating = 0.8 * carries;
    const ShelfPlan over = shelf_plan(job);
    const Check* check = find_check(over, checks::bracket_overloaded);
    REQUIRE(check);
    CHECK(check->amount->si == Approx(1.25));
    CHECK(say(check->message, {}).find("Bracket") == std::string::npos);
    CHECK(holds(over) == Holds::no);
    CHECK(capacity_in(job).by_hanger < capacity_in(job).by_fixing);
}

TEST_CASE("two screws of a hanger share its pull, and the kit buys both", "[hangers]") {
    Job job = over_a_door();
    const BracketPlan one = hanger_of(job);
    CHECK(one.tension == approx(one.reaction.greatest));
    shelf_of(job).hanger.screws = 2;
    const BracketPlan two = hanger_of(job);
    CHECK(two.tension == approx(two.reaction.greatest / 2));
    CHECK(two.fixing_utilisation < one.fixing_utilisation);
    CHECK(steps_say(job, "Screws of one hanger: at least")); // nearer they are no two
    CHECK(two.fixing_utilisation.number() > 0.49 * one.fixing_utilisation.number());
}

TEST_CASE("a block over a hanger takes length from its screw, goes into the kit and into the steps",
          "[hangers][safety]") {
    Job job = over_a_door();
    const BracketPlan bare = hanger_of(job);
    REQUIRE(bare.fixing);
    CHECK(bought(job, "hanger-block") == 0);
    shelf_of(job).hanger_spacer = 20_mm;
    const BracketPlan spaced = hanger_of(job);
    REQUIRE(spaced.fixing);
    // What holds is what is left beyond plate, block and ceiling lining (12.5 mm).
    CHECK(spaced.fixing->penetration <= spaced.fixing->screw_length - 20_mm - 15_mm);
    CHECK(bought(job, "hanger-block") == 1);
    CHECK(steps_say(job, "a block 20 mm thick"));
    shelf_of(job).hanger_spacer = 400_mm; // longer than any screw
    CHECK_FALSE(hanger_of(job).fixing);
    const ShelfPlan loose = shelf_plan(job);
    CHECK(holds(loose) == Holds::no);
    // No bracket is the cure of a hanger.
    const Check* check = find_check(loose, checks::no_fixing);
    REQUIRE(check);
    CHECK(say(check->message, {}).find("Hanger") == 0);
    REQUIRE(check->cures.size() == 1);
    CHECK(say(check->cures.front().words, {}).find("thinner block") != std::string::npos);
    // One whose joist nobody knows is told that, and nothing of screws.
    job.walls.front().joists.clear();
    const ShelfPlan unknown = shelf_plan(job);
    CHECK(find_check(unknown, checks::hanger_misses_joist));
    CHECK_FALSE(find_check(unknown, checks::no_fixing));
    CHECK(holds(unknown) != Holds::yes);
}

TEST_CASE("a concrete ceiling needs no joist, and no plastic plug is pulled at overhead", "[hangers][safety]") {
    Job job = over_a_door();
    Wall& wall = job.walls.front();
    wall.joists.clear();
    CHECK(find_check(shelf_plan(job), checks::hanger_misses_joist));
    wall.ceiling_built = CeilingBuilt::concrete;
    shelf_of(job).hanger.hole = 10_mm; // for an anchor's bolt
    CHECK_FALSE(find_check(shelf_plan(job), checks::hanger_misses_joist));
    const BracketPlan hanger = hanger_of(job);
    CHECK(hanger.substrate == Substrate::masonry);
    REQUIRE(hanger.fixing);
    const auto of = std::ranges::find(job.catalogue.plugs, hanger.fixing->name, &MasonryAnchor::name);
    REQUIRE(of != job.catalogue.plugs.end());
    CHECK(of->substrate == MasonryKind::concrete);
    CHECK(of->kind != AnchorKind::plug);
    CHECK(of->kind != AnchorKind::frame_plug);
    CHECK(steps_say(job, "never a plastic plug overhead"));
    CHECK_FALSE(steps_say(job, "find the joist"));
    // With plugs alone in the van nothing holds it.
    std::erase_if(job.catalogue.plugs, [](const MasonryAnchor& anchor) {
        return anchor.kind != AnchorKind::plug && anchor.kind != AnchorKind::frame_plug;
    });
    CHECK_FALSE(hanger_of(job).fixing);
    CHECK(holds(shelf_plan(job)) == Holds::no);
}

TEST_CASE("a hanger is kept as one of the fitter's own, goes through both kinds of file, and hangs the next shelf",
          "[hangers][catalogue][file]") {
    Job job = over_a_door();
    shelf_of(job).hanger = {4_mm, 7_mm, 2, {}};
    shelf_of(job).hanger_rating = 600_n;
    keep_gear(job.catalogue, gear_of(shelf_of(job)), "Long hanger");
    job.catalogue.hanging_gear.back().picture = "iVBORw0KGgo=";
    const auto table = entries_csv(job.catalogue.hanging_gear);
    CHECK(table.find("iVBOR") == std::string::npos); // no spreadsheet takes a picture
    const auto read = entries_from_csv<HangingGear>(table);
    REQUIRE(read);
    // Taken in again its picture stays.
    take_in(job.catalogue, *read);
    CHECK(job.catalogue.hanging_gear.size() == 1);
    CHECK(job.catalogue.hanging_gear.front().picture == "iVBORw0KGgo=");
    CHECK(std::get<CeilingHanger>(job.catalogue.hanging_gear.front().gear) == shelf_of(job).hanger);

    Shelf next;
    hang_on(next, read->front());
    CHECK(next.hanger == shelf_of(job).hanger);
    CHECK(next.hanger_rating == shelf_of(job).hanger_rating);
    Run run;
    const Run before = run;
    hang_on(run, read->front()); // units do not hang from a ceiling
    CHECK(run == before);
    CHECK_FALSE(for_units(read->front()));
}

TEST_CASE("a board that is drilled has brackets at its holes and nowhere else", "[shelves][pins]") {
    Shelf shelf = new_shelf(shelf_preset("brackets"), stud_wall());
    shelf.left = 350_mm;
    shelf.length = 1300_mm;
    shelf.pins = {50_mm, 850_mm}; // studs at 400 and 1200
    shelf.load = {LoadKind::own, 60_kg_m};
    const auto places = [&] {
        std::vector<Length> all;
        for (const BracketPlan& place : shelf_plan(job_with(stud_wall(), shelf)).brackets)
            all.push_back(place.x - shelf.left);
        return all;
    };
    CHECK(places().size() > 2); // the search adds what the load needs
    shelf.drilled = true;
    CHECK(places() == shelf.pins);
    // What that costs is said: its end hangs out by 450 mm.
    CHECK(has_error(shelf_plan(job_with(stud_wall(), shelf))));
    shelf.school = School::mirrored;
    CHECK(places() == shelf.pins);
    shelf.hangers = {1250_mm};
    CHECK(places() == std::vector{50_mm, 850_mm, 1250_mm});
}

TEST_CASE("a hanger that is pulled along stays a hanger, and stays under its joist when its shelf grows", "[hangers]") {
    Job job = over_a_door();
    job = apply(PinPlace{"shelf", 1050_mm, 1100_mm}, job);
    CHECK(shelf_of(job).hangers == std::vector{1100_mm});
    CHECK(shelf_of(job).pins.empty());
    const Length x = shelf_of(job).left + 1100_mm;
    job = apply(ResizeShelf{"shelf", 700_mm, 2200_mm}, job);
    CHECK(shelf_of(job).left + shelf_of(job).hangers.front() == x);
}
