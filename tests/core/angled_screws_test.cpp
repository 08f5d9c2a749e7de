// Screws at an angle through a board's back, where no bracket's leg has room: over a door.
#include "core/fitting/wall_marks.hpp"
#include "core/fixings/drilling.hpp"
#include "core/job/file.hpp"
#include "core/shelves/angled_screws.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/survey/strips.hpp"
#include "shelf_walls.hpp"

#include <cmath>

using namespace yes_square;

namespace {

/// A board over a door from stud to stud, a bracket beyond each side of it.
Shelf over_the_door(std::vector<Length> angled) {
    Shelf shelf = new_shelf(shelf_preset("brackets"), stud_wall());
    shelf.left = 1000_mm;
    shelf.length = 1600_mm;
    shelf.depth = 200_mm;
    shelf.thickness = 18_mm;
    shelf.height = 2150_mm;
    shelf.out_of_reach = true;
    shelf.load = {LoadKind::display, {}};
    shelf.pins = {200_mm, 1400_mm};
    for (const Length at : angled)
        shelf.others.push_back({OtherKind::angled_screw, at, {}, {}});
    return shelf;
}

ShelfPlan planned(const Shelf& shelf, const Wall& wall = stud_wall()) {
    return shelf_plan(job_with(wall, shelf));
}

const BracketPlan& angled_of(const ShelfPlan& plan) {
    const auto found =
        std::ranges::find_if(plan.brackets, [](const BracketPlan& place) { return place.is(OtherKind::angled_screw); });
    REQUIRE(found != plan.brackets.end());
    return *found;
}

} // namespace

TEST_CASE("a screw at 45 degrees passes board and lining by the root of two, and bites with what is left", "[angled]") {
    const ShelfPlan plan = planned(over_the_door({600_mm}));
    const BracketPlan& place = angled_of(plan);
    CHECK(place.x == 1600_mm);
    REQUIRE(place.fixing);
    // By hand: 9 mm of an 18 mm board and 12.5 mm of lining, each times 1.41421.
    const double wood = place.fixing->screw_length.in_mm() - 12.728 - 17.678;
    CHECK(place.fixing->penetration.in_mm() == Approx(wood).margin(0.01));
    CHECK(place.fixing_utilisation.within());
    // Every list tells the tape on the bit by the fixing: from the board's underside, along the bit.
    CHECK(place.fixing->drill_depth.in_mm() == Approx(place.fixing->screw_length.in_mm()).margin(0.02));

    const auto hole = std::ranges::find(plan.holes, true, &PlannedHole::angled);
    REQUIRE(hole != plan.holes.end());
    CHECK(hole->x == 1600_mm);
    CHECK(hole->z == 2150_mm - 9_mm); // out of the back edge in the middle of its thickness
    REQUIRE(hole->passes.size() == 1);
    CHECK(hole->passes.front().depth.in_mm() ==
          Approx(12.728 + 17.678 + place.fixing->penetration.in_mm()).margin(0.01));
    CHECK(hole->passes.front().how.find("45 degrees") != std::string_view::npos);
}

TEST_CASE("half of a load's square draws an angled screw and half bends it", "[angled][safety]") {
    const ShelfPlan plan = planned(over_the_door({600_mm}));
    const BracketPlan& place = angled_of(plan);
    REQUIRE_FALSE(place.row_demands.empty());
    for (const HoleDemand& demand : place.row_demands.front()) {
        CHECK(demand.tension.in_newtons() == Approx(demand.down.in_newtons()));
        CHECK(std::hypot(demand.tension.in_newtons(), demand.down.in_newtons()) ==
              Approx((demand.duration == place.row_demands.front().front().duration ? place.reaction.sustained
                                                                                    : place.reaction.greatest)
                         .in_newtons()));
    }
}

TEST_CASE("a board is no better for its angled screws: nobody knows how stiff they are", "[angled][safety]") {
    Shelf alone = over_the_door({});
    alone.drilled = true; // its brackets are where they are, and none is added
    Shelf held = over_the_door({600_mm, 1000_mm});
    held.drilled = true;
    const ShelfPlan without = planned(alone);
    const ShelfPlan with = planned(held);
    REQUIRE((without.sag && with.sag));
    CHECK(std::ranges::count_if(with.brackets, &BracketPlan::is_bracket) ==
          std::ranges::count_if(without.brackets, &BracketPlan::is_bracket));
    CHECK(with.sag->share() >= Approx(without.sag->share()));
    for (const BracketPlan& place : without.brackets) {
        const auto same = std::ranges::find(with.brackets, place.x, &BracketPlan::x);
        REQUIRE(same != with.brackets.end());
        CHECK(same->reaction.greatest >= place.reaction.greatest - 0.001_n);
        CHECK(same->reaction.sustained >= place.reaction.sustained - 0.001_n);
    }
}

TEST_CASE("an angled screw that meets no wood is an error, and the nearest stud the way out", "[angled][safety]") {
    const Job job = job_with(stud_wall(), over_the_door({730_mm}));
    const ShelfPlan plan = shelf_plan(job);
    const Check* check = find_check(plan, checks::angled_in_no_wood);
    REQUIRE(check);
    CHECK(holds(plan) != Holds::yes);
    CHECK_FALSE(angled_of(plan).fixing);
    const ShelfPlan better = cured(job, checks::angled_in_no_wood);
    CHECK_FALSE(find_check(better, checks::angled_in_no_wood));
    CHECK(angled_of(better).x == 1600_mm);

    const ShelfPlan in_brick = planned(over_the_door({600_mm}), masonry_wall());
    CHECK(find_check(in_brick, checks::angled_in_no_wood));
    CHECK_FALSE(angled_of(in_brick).fixing);
}

TEST_CASE("it holds what a nail toed in holds of one driven square", "[angled][safety]") {
    // By hand, NDS-2018 12.2.2 (from memory): 2850 G^2 D pounds an inch of thread, 0.9 for goods that stay (2.3.2), and
    // 0.67 of that for what is toed in (12.5.4).
    const ShelfPlan plan = planned(over_the_door({600_mm}));
    const BracketPlan& place = angled_of(plan);
    REQUIRE(place.fixing->name.find("#8") == 0);
    const double gravity = specific_gravity(Framing{}.species);
    const double pounds = 2850 * gravity * gravity * 0.164 * place.fixing->thread.in_inches() * 0.9 * 0.67;
    CHECK(place.fixing->tension.in_newtons() <= Approx(pounds * 4.4482216).epsilon(0.002));
    const auto hole = std::ranges::find(plan.holes, true, &PlannedHole::angled);
    CHECK(hole->strength.tension == place.fixing->tension);
    // From the load to the verdict: what comes down, its share along and across, over what each way holds.
    double worst = 0;
    for (const HoleDemand& demand : hole->demands)
        worst = std::max(worst, demand.tension / (hole->strength.tension * lasting(hole->strength, demand.duration)));
    CHECK(hole->utilisation.number() >= worst);
    CHECK(place.fixing_utilisation.number() == Approx(hole->utilisation.number()));
}

TEST_CASE("two boards do not meet over an angled screw", "[angled][safety]") {
    Shelf shelf = over_the_door({600_mm});
    shelf.joints = {600_mm};
    shelf.drilled = true;
    const ShelfPlan plan = planned(shelf);
    CHECK(find_check(plan, checks::joint_unsupported));
    CHECK(holds(plan) != Holds::yes);
}

TEST_CASE("what an angled screw meets behind the face counts, not only where it goes in", "[angled][safety]") {
    // Under a ceiling of 2.5 m cables run along the wall's top: the screw goes in under that strip, its point is in it.
    const auto of = [](Length height) {
        Shelf shelf = over_the_door({600_mm});
        shelf.height = height;
        return planned(shelf);
    };
    const Wall wall = stud_wall();
    const auto strips = service_strips(wall, HouseRules{});
    const auto top = std::ranges::find_if(
        strips, [&](const Strip& strip) { return strip.top >= wall.height && strip.bottom > Length{}; });
    REQUIRE(top != strips.end());
    const auto angled_hole = [](const ShelfPlan& plan) {
        return *std::ranges::find(plan.holes, true, &PlannedHole::angled);
    };
    const ShelfPlan under = of(top->bottom - 12_mm + 9_mm); // it goes in 12 mm below the strip
    CHECK(angled_hole(under).z == top->bottom - 12_mm);
    CHECK(angled_hole(under).in_strip());
    CHECK_FALSE(angled_hole(of(top->bottom - 200_mm)).in_strip());
}

TEST_CASE("angled screws alone carry no board", "[angled][safety]") {
    Shelf shelf = over_the_door({200_mm, 600_mm, 1400_mm});
    shelf.pins = {1000_mm};
    shelf.drilled = true; // nothing is added to these places
    const ShelfPlan plan = planned(shelf);
    const auto brackets = std::ranges::count_if(plan.brackets, &BracketPlan::is_bracket);
    if (brackets < 2) {
        CHECK(find_check(plan, checks::angled_alone));
        CHECK(holds(plan) != Holds::yes);
    } else {
        CHECK_FALSE(find_check(plan, checks::angled_alone));
    }
    CHECK_FALSE(find_check(planned(over_the_door({600_mm})), checks::angled_alone));
}

TEST_CASE("it is drilled when the board lies, and the step says from where and how deep", "[angled][steps]") {
    const Job job = job_with(stud_wall(), over_the_door({600_mm}));
    const Plan plan = reckon(job);
    const ShelfPlan& shelf = plan.walls.front()->shelves.front();
    std::size_t laid = 0;
    std::size_t driven = 0;
    for (std::size_t i = 0; i < shelf.steps.size(); ++i) {
        const std::string words = say(shelf.steps[i].words, {});
        if (words.find("Set the overhang") == 0)
            laid = i;
        if (words.find("start 9 mm out of the wall on its underside") != std::string::npos)
            driven = i;
    }
    CHECK(laid > 0);
    CHECK(driven > laid);
    // At the wall it is a pass of its own, not one of the straight holes.
    for (const WallPass& pass : walk_wall(*plan.walls.front(), job.rules.fitting))
        if (pass.drill) {
            const auto angled = std::ranges::count(pass.marks, true, &WallMark::angled);
            CHECK((angled == 0 || angled == static_cast<std::ptrdiff_t>(pass.marks.size())));
        }
    const auto back = read_job(write_job(job));
    REQUIRE(back);
    CHECK(back->job.walls == job.walls);
}
