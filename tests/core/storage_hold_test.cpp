#include "core/runs/slide.hpp"

#include "core/measure/conversions.hpp"
#include "core/site/site_checks.hpp"
#include "core/storage/bay_cleats.hpp"
#include "core/storage/bay_contents.hpp"
#include "core/storage/bay_widths.hpp"
#include "core/storage/panel_plumb.hpp"
#include "core/storage/system_checks.hpp"
#include "core/storage/system_words.hpp"
#include "piece_walls.hpp"

#include <cmath>
#include <numeric>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>
#include <set>

using namespace yes_square;

namespace {

BayPlan first_bay(const StorageSystem& system) {
    return system_plan(system_job(system)).bays.front();
}

} // namespace

TEST_CASE("each cleat is screwed to every proved stud behind its bay, by half its shelf's load and what keeps it from "
          "tipping",
          "[storage]") {
    StorageSystem system = system_of({BayKind::shelves, BayKind::shelves, BayKind::shelves});
    const Job job = system_job(system);
    const SystemPlan plan = system_plan(job);
    REQUIRE(plan.fixing);
    for (const BayPlan& bay : plan.bays)
        for (const BayCleat& cleat : bay.cleats) {
            std::set<Length> xs;
            for (const PlannedHole& screw : cleat.screws)
                xs.insert(screw.x);
            std::set<Length> inside;
            for (const Stud& stud : job.walls.front().studs)
                if (stud.centre >= bay.left + 25_mm && stud.centre <= bay.right() - 25_mm)
                    inside.insert(stud.centre);
            CHECK(xs == inside);
            REQUIRE(cleat.utilisation.known());
            CHECK(cleat.utilisation.number() <= 1);
        }
    // Followed by hand, bay 1 from 118 to 894 mm with studs at 400 and 800: a half load on its left quarter at 312 is
    // beside them; all of it at 506 gives the stud at 400 (800 - 506) / 400 = 0.735 of it.
    const BayPlan& bay = plan.bays.front();
    const BayCleat& top = bay.cleats.front();
    REQUIRE(top.screws.size() == 2);
    const BayShelf& shelf = bay.shelves.front();
    const Force half = (shelf.load + weight_of(shelf.mass)) / 2;
    CHECK(top.load == approx(half));
    CHECK(top.demands.front().shear() == approx(half * (800 - 506) / 400.0));
    // It turns on the cleat's lower edge: 9 mm out, 60 / 2 - 5 = 25 mm up.
    CHECK(top.demands.front().tension == approx(top.demands.front().shear() * 9 / 25));
    // Two screws keep the bay from tipping: 0.6 of the force each, 220 N at least.
    CHECK(top.demands.back().tension - top.demands.back().shear() * 9 / 25 == approx(std::max(220_n, 0.6 * bay.needs)));
    CHECK(bay.needs > 0);
}

TEST_CASE("a system that hangs has its weight and moment on its cleats", "[storage]") {
    StorageSystem system = system_of({BayKind::shelves, BayKind::shelves, BayKind::shelves});
    system.hung = true;
    system.panel_height = 1400_mm;
    system.top = 2200_mm;
    const SystemPlan plan = system_plan(system_job(system));
    CHECK(plan.foot == 800_mm);
    const BayPlan& bay = plan.bays[1];
    REQUIRE(bay.cleats.size() == 3);
    CHECK(bay.loaded_mass > bay.mass);
    Force shear = 0;
    for (const BayCleat& cleat : bay.cleats)
        for (std::size_t i = 0; i < cleat.screws.size(); ++i)
            shear += cleat.demands.front().shear();
    // All screws together are reckoned with no less than the whole weight.
    CHECK(shear >= weight_of(bay.loaded_mass) - 1e-6_n);
    // And pulled by no less than the moment over its lever.
    CHECK(bay.cleats.front().demands.front().tension * static_cast<double>(bay.cleats.front().screws.size()) * 1.4 *
              3 >=
          weight_of(bay.loaded_mass) * 0.2);
}

TEST_CASE("the slide search finds the nearest place where every bay has its studs, as brute force does",
          "[storage][property]") {
    rc::prop("slide", [] {
        Wall wall = stud_wall();
        wall.studs.clear();
        for (Length at = Length::mm(*rc::gen::inRange(50, 300)); at < wall.length;
             at += Length::mm(*rc::gen::inRange(300, 700)))
            wall.studs.push_back({at, StudState::proved, Length::micrometres(600), {}});
        StorageSystem system = system_of({});
        const int number = *rc::gen::inRange(1, 6);
        for (int i = 0; i < number; ++i)
            system.bays.push_back(bay_of(BayKind::open, i));
        system.width = Length::mm(*rc::gen::inRange(900, 2600));
        system.left = Length::mm(*rc::gen::inRange(0, 1200));
        system.hung = *rc::gen::arbitrary<bool>();
        system.top = 2200_mm;
        const SystemPlan plan = system_plan(system_job(system, wall));

        const std::int64_t wanted = system.hung ? 2 : 1;
        const auto holds = [&](Length left) {
            std::vector<std::int64_t> met;
            const Length cell = plan.bays.front().width;
            for (const BayPlan& bay : plan.bays) {
                const Length from = bay.left - system.left + left + 25_mm;
                const Length to = bay.right() - system.left + left - 25_mm;
                met.push_back(std::ranges::count_if(
                    wall.studs, [&](const Stud& stud) { return stud.centre >= from && stud.centre <= to; }));
            }
            const bool narrow = cell - 50_mm < std::get<Framing>(wall.structure).spacing;
            for (std::size_t i = 0; i < met.size(); ++i) {
                const bool beside = (i > 0 && met[i - 1] >= 2) || (i + 1 < met.size() && met[i + 1] >= 2);
                if (met[i] < wanted && !(met[i] == 1 && narrow && beside))
                    return false;
            }
            return true;
        };
        // Every whole millimetre along the wall.
        std::optional<Length> least;
        for (Length left; left + system.width <= wall.length; left += 1_mm)
            if (holds(left) && (!least || absolute(left - system.left) < *least))
                least = absolute(left - system.left);
        RC_ASSERT(plan.slide.holds_now() == holds(system.left));
        if (least) {
            RC_ASSERT(plan.slide.possible);
            RC_ASSERT(plan.slide.moved <= *least);
            RC_ASSERT(plan.slide.moved > *least - 1_mm);
        }
        if (plan.slide_moves != Length{}) {
            RC_ASSERT(holds(system.left + plan.slide_moves));
            StorageSystem moved = system;
            moved.left += plan.slide_moves;
            RC_ASSERT(system_plan(system_job(moved, wall)).slide.holds_now());
        }
    });
}

TEST_CASE("a bay whose cleats miss the studs is told, and slid by its cure", "[storage]") {
    StorageSystem system = system_of({BayKind::open, BayKind::open, BayKind::open, BayKind::open, BayKind::open});
    system.width = 1900_mm; // openings of 358 mm over studs at 400: some bay misses
    system.left = 10_mm;
    Job job = system_job(system);
    for (Length left = 10_mm; left < 500_mm && system_plan(job).slide.holds_now(); left += 7_mm)
        job.walls.front().systems.front().left = left;
    const SystemPlan plan = system_plan(job);
    const Check* misses = find_check(plan.checks, checks::cleat_misses_studs);
    REQUIRE(misses);
    CHECK(misses->severity == Severity::error);
    REQUIRE(misses->cures.front().edit);
    CHECK_FALSE(find_check(system_plan(apply(*misses->cures.front().edit, job)).checks, checks::cleat_misses_studs));
}

TEST_CASE("only proved studs hold wardrobes, lining alone and steel studs never", "[storage]") {
    StorageSystem system = system_of({BayKind::shelves, BayKind::shelves});
    Job job = system_job(system);
    SECTION("assumed studs") {
        for (Stud& stud : job.walls.front().studs)
            stud.state = StudState::assumed;
    }
    SECTION("nothing behind the lining") {
        job.walls.front().structure = LiningOnly{};
    }
    SECTION("steel studs") {
        std::get<Framing>(job.walls.front().structure).material = StudMaterial::steel;
    }
    const SystemPlan plan = system_plan(job);
    CHECK(find_check(plan.checks, checks::cleat_misses_studs));
    for (const BayPlan& bay : plan.bays)
        for (const BayCleat& cleat : bay.cleats)
            CHECK_FALSE(cleat.utilisation.known());
}

TEST_CASE("a panel out of plumb is put right at its foot by its slope over its height", "[storage]") {
    // 4 mm off a 1.2 m level over 2.1 m: 7 mm. Geometry.
    const StorageRules rules;
    PanelReading reading{2, 4_mm, 1200_mm, true, {}};
    const PanelCorrection found = plumb_correction(reading, 2100_mm, rules);
    CHECK(found.foot_moves == 7_mm);
    CHECK(found.to_right);
    CHECK_FALSE(found.within);
    CHECK(found.error == Length::micrometres(1050)); // half a millimetre for each metre
    reading.off = 1_mm;
    CHECK(plumb_correction(reading, 2100_mm, rules).within); // 1.75 mm where 2.1 may be

    StorageSystem system = system_of({BayKind::shelves, BayKind::shelves});
    system.readings = {{2, 4_mm, 1200_mm, true, {}}, {9, 4_mm, 1200_mm, true, {}}};
    const SystemPlan plan = system_plan(system_job(system));
    CHECK(std::ranges::count(plan.checks, checks::panel_out_of_plumb, &Check::code) == 1); // there is no panel 9
    CHECK(std::ranges::any_of(
        plan.steps, [](const Step& step) { return step.words.pattern == "Panel {0}: foot {1} to the right"; }));
}

TEST_CASE("no panel is let go before a screw through a cleat is in a stud", "[storage][common-practice]") {
    const StorageSystem system = system_of({BayKind::shelves, BayKind::shelves, BayKind::long_hanging});
    const SystemPlan plan = system_plan(system_job(system));
    std::size_t held = 0;
    std::size_t plumbed = 0;
    for (std::size_t i = 0; i < plan.steps.size(); ++i) {
        const Step& step = plan.steps[i];
        if (step.words.pattern.starts_with("Hold {0} until one screw through the cleat")) {
            ++held;
            CHECK(step.hold_point);
        }
        if (step.words.pattern.starts_with("Plumb each panel at its foot")) {
            plumbed = i;
            CHECK(held == 3);
        }
    }
    CHECK(plumbed > 0);
    // Waiting panels lean with their feet 100 to 125 mm out (common practice): 110 of 2100 is 3 degrees.
    const auto lean = std::ranges::find_if(
        plan.steps, [](const Step& step) { return step.words.pattern.starts_with("Lean the waiting panels"); });
    REQUIRE(lean != plan.steps.end());
    CHECK(std::get<Quantity>(lean->words.values[0]).si == Approx(0.110));
    CHECK(std::get<Quantity>(lean->words.values[1]).si == Approx(0.05241).epsilon(1e-3));
    // Alone, each panel is propped.
    const auto props = [](const SystemPlan& of) {
        return std::ranges::count_if(of.steps,
                                     [](const Step& s) { return s.words.pattern.starts_with("Alone: prop"); });
    };
    CHECK(props(plan) == 3);
    StorageSystem two = system;
    two.crew = 2;
    CHECK(props(system_plan(system_job(two))) == 0);
}

TEST_CASE("a heavy panel wants two persons, and the cure sends for the second", "[storage]") {
    StorageSystem system = system_of({BayKind::shelves});
    system.depth = 650_mm;
    system.panel = 22_mm;
    const Job job = system_job(system);
    const SystemPlan plan = system_plan(job);
    const Check* heavy = find_check(plan.checks, checks::panel_lift);
    REQUIRE(heavy);
    CHECK_FALSE(find_check(system_plan(apply(*heavy->cures.front().edit, job)).checks, checks::panel_lift));
    CHECK_FALSE(find_check(system_plan(system_job(system_of({BayKind::shelves}))).checks, checks::panel_lift));
}

TEST_CASE("in a corner bays are hidden, drawers blocked and doors want room", "[storage]") {
    // Two walls meet at the right end of the first; the second's system begins 420 mm from the corner, in front of the
    // first's, and reaches 400 mm along it.
    StorageSystem system = system_of({BayKind::shelves, BayKind::drawers});
    system.left = 4000_mm - 1400_mm;
    system.width = 1400_mm;
    StorageSystem other = system_of({BayKind::shelves});
    other.id = "other";
    other.left = 420_mm;
    other.width = 900_mm;
    Job job = system_job(system);
    Wall next = stud_wall();
    next.id = "next";
    next.name = "Next";
    next.systems = {other};
    job.walls.push_back(next);
    const SystemPlan plan = system_plan(job);
    CHECK(plan.bays[1].hidden == plan.bays[1].right() - 3600_mm);
    CHECK(plan.bays[0].hidden == Length{});
    const Check* hidden = find_check(plan.checks, checks::bay_hidden);
    REQUIRE(hidden);
    CHECK(hidden->severity == Severity::error); // drawers cannot come out
    CHECK(find_check(system_plan(apply(*hidden->cures.front().edit, job)).checks, checks::bay_hidden)->severity ==
          Severity::warning);

    // Nearer to the corner both would stand in the same place.
    job.walls[1].systems.front().left = 100_mm;
    CHECK(find_check(system_plan(job).checks, checks::meets_neighbour));

    // Drawers hard beside the corner's wall want a filler.
    job.walls.pop_back();
    job.walls.front().right_end = WallEnd::corner;
    CHECK(find_check(system_plan(job).checks, checks::door_meets_wall));
}

TEST_CASE("a system clashes with windows, the ceiling and what stands there", "[storage]") {
    StorageSystem system = system_of({BayKind::shelves, BayKind::shelves});
    Job job = system_job(system);
    CHECK_FALSE(find_check(system_plan(job).checks, checks::over_opening));
    job.walls.front().openings = {{OpeningKind::window, 2000_mm, 900_mm, 800_mm, 1000_mm, 50_mm, {}}};
    CHECK(find_check(system_plan(job).checks, checks::over_opening)->amount->si == Approx(0.5));
    job.walls.front().pieces = {dresser()};
    CHECK(find_check(system_plan(job).checks, checks::over_thing));
    CHECK(find_check(reckon(job).walls.front()->pieces.front().checks, checks::over_thing));
    job.walls.front().systems.front().panel_height = 2600_mm;
    CHECK(find_check(system_plan(job).checks, checks::over_ceiling));
    CHECK(find_check(system_plan(job).checks, checks::panel_cannot_tilt));
    job.walls.front().systems.front().left = -50_mm;
    CHECK(find_check(system_plan(job).checks, checks::leaves_wall));
}

TEST_CASE("a wardrobe fills its wall, as far as what stands in the corner lets it", "[storage]") {
    StorageSystem system = system_of({BayKind::shelves, BayKind::shelves});
    Job job = system_job(system);
    const auto filled = [&] {
        return filling(job.walls.front().systems.front(), job.walls.front(), reckon(job).walls.front()->survey);
    };
    CHECK(filled().left == Length{});
    CHECK(filled().width == 4000_mm);
    job.walls.front().widths = {{300_mm, 3988_mm, {}}, {1800_mm, 3994_mm, {}}};
    CHECK(filled().width == 3988_mm);
    StorageSystem other = system_of({BayKind::shelves});
    other.id = "other";
    other.left = Length{};
    other.depth = 450_mm;
    Wall next = stud_wall();
    next.id = "next";
    next.systems = {other};
    job.walls.push_back(next);
    CHECK(filled().width <= 4000_mm - 450_mm);
}

TEST_CASE("a bay of drawers is held as its drawers stand open, their own mass out with them", "[storage][stability]") {
    StorageSystem system = system_of({BayKind::drawers});
    system.width = 700_mm;
    system.left = 300_mm;
    system.bays.front().loose = 3;
    const BayPlan bay = first_bay(system);
    REQUIRE(bay.drawers.size() == 3);
    REQUIRE(bay.drawer_mass > 0);
    // By hand, the floor not known: asin(11 / 400). Everything open and a child on the highest front: drawers come out
    // 0.4 m, their middles 0.2 m before the front; 136 kg/m3 in each of 0.664 x 0.4 x 0.2 m. Or an adult pulls at
    // 1.42 m, all closed.
    const double lean = std::asin(11.0 / 400);
    const auto lever = [&](double back, double up) { return back * std::cos(lean) - up * std::sin(lean); };
    const double each = bay.drawer_mass.in_kg() + 136 * bay.width.in_metres() * 0.4 * 0.2;
    double over = -27.2 * standard_gravity * lever(-0.4, 0.618);
    for (const double up : {0.518, 0.318, 0.118}) // 18 mm of base, fronts of 200 mm
        over -= each * standard_gravity * lever(-0.2, up);
    const double right = (bay.mass - 3 * bay.drawer_mass).in_kg() * standard_gravity * lever(0.2, 1.05);
    double closed = right;
    for (const double up : {0.518, 0.318, 0.118})
        closed += bay.drawer_mass.in_kg() * standard_gravity * lever(0.2, up);
    const double pulled = 200 * 1.42 * std::cos(lean);
    const double height = bay.cleats.front().z.in_metres();
    CHECK(bay.needs == Approx(std::max(1.5 * over - 0.9 * right, 1.5 * pulled - 0.9 * closed) / height));
    // Nor would it stand without: open and climbed it turns over.
    CHECK(over > right);
}

TEST_CASE("an untouched new wardrobe of 18 mm board has no error, in bays of 600 to 850 mm, by either school",
          "[storage]") {
    for (const Region region : {Region::metric, Region::inch})
        for (const Length bay : {600_mm, 700_mm, 780_mm, 850_mm}) {
            Job job = new_job(region);
            job.rooms.push_back({});
            job.rooms.back().id = job.rooms.back().name = "room";
            job.walls = {stud_wall()};
            StorageSystem system = new_system(job, job.walls.front());
            system.id = "wardrobe";
            system.name = "Wardrobe";
            CHECK(system.panel == 18_mm);
            system.width = 3 * bay + 4 * system.panel;
            job.walls.front().systems = {system};
            const SystemPlan plan = reckon(job).walls.front()->systems.front();
            REQUIRE(plan.bays.front().width == bay);
            INFO((region == Region::metric ? "metric " : "inch ") << bay.in_mm());
            for (const Check& check : plan.checks) {
                INFO(say(check.message, {}));
                CHECK(check.severity != Severity::error);
            }
            CHECK(holds(plan) == Holds::yes);
        }
}

TEST_CASE("where one screw in a stud is too little a cleat has two, which share it, the upper pulls more",
          "[storage]") {
    Job job = system_job(system_of({BayKind::shelves, BayKind::shelves, BayKind::shelves}));
    const BayCleat light = system_plan(job).bays.front().cleats.front();
    REQUIRE(light.screws.size() == light.places());
    job.rules.timber = TimberSchool::en;
    const SystemPlan plan = system_plan(job);
    const BayCleat& cleat = plan.bays.front().cleats.front();
    REQUIRE(cleat.places() == light.places());
    REQUIRE(cleat.screws.size() == 2 * cleat.places());
    // 60 mm broad: 30 mm apart, about the middle.
    for (const PlannedHole& screw : cleat.screws)
        CHECK(screw.z - cleat.z == (screw.row == 0 ? 15_mm : -15_mm));
    CHECK(plan.fixing->clearance * 5 <= 30_mm);
    CHECK(cleat.demands.front().down == approx(light.demands.front().down / 2));
    // By hand: M = F x 9 mm about the pressed edge; the pivot is the house's, 30 mm less that the middle's lever.
    const double lever = 0.03 - job.rules.strips.pivot.in_metres();
    const double upper = lever + 0.015;
    const double lower = std::max(0.0, lever - 0.015);
    const Force expected = light.demands.front().down * (0.009 * upper / (upper * upper + lower * lower));
    CHECK(cleat.demands.front().tension == approx(expected));
    CHECK(cleat.demands.front().tension > light.demands.front().tension / 2);
    // What keeps the bay from tipping is shared by the two of a stud as well.
    CHECK(cleat.demands.back().tension < light.demands.back().tension);
    for (const BayPlan& bay : plan.bays)
        for (const BayCleat& each : bay.cleats)
            CHECK(each.utilisation.within());
    SECTION("a narrow cleat has no room for two") {
        StorageSystem& narrow = job.walls.front().systems.front();
        narrow.cleat_breadth = 40_mm;
        const BayCleat one = system_plan(job).bays.front().cleats.front();
        CHECK(one.screws.size() == one.places());
    }
}

TEST_CASE("the lowest shelf of a system that stands lies on the floor and bends nowhere", "[storage]") {
    StorageSystem system = system_of({BayKind::shelves});
    const auto lowest = [&] { return system_plan(system_job(system)).bays.front().shelves.back(); };
    CHECK(lowest().board_utilisation == Utilisation::none());
    CHECK(lowest().sag.long_term == 0);
    system.hung = true;
    system.top = 2300_mm;
    CHECK(lowest().board_utilisation.number() > 0);
    CHECK(lowest().sag.long_term > 0);
}
