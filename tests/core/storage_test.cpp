#include "core/runs/slide.hpp"

#include "core/statics/gravity.hpp"
#include "core/storage/bay_cleats.hpp"
#include "core/storage/bay_contents.hpp"
#include "core/storage/bay_widths.hpp"
#include "core/storage/panel_plumb.hpp"
#include "core/storage/system_words.hpp"
#include "piece_walls.hpp"

#include <numeric>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>
#include <set>

using namespace yes_square;

namespace {

std::vector<Length> tops(const BayPlan& bay, ShelfOfBay what) {
    std::vector<Length> heights;
    for (const BayShelf& shelf : bay.shelves)
        if (shelf.what == what)
            heights.push_back(shelf.top);
    return heights;
}

BayPlan first_bay(const StorageSystem& system) {
    return system_plan(system_job(system)).bays.front();
}

} // namespace

TEST_CASE("bays share the width by policy, panels taken off first", "[storage]") {
    StorageSystem system = system_of({BayKind::shelves, BayKind::double_hanging, BayKind::long_hanging});
    const StorageRules rules;
    SECTION("equal: (2400 - 4 x 18) / 3 = 776") {
        const BayLayout layout = bay_layout(system, rules);
        for (const Length width : layout.widths)
            CHECK(width == 776_mm);
        CHECK(layout.lefts[1] == 100_mm + 18_mm + 776_mm + 18_mm);
        CHECK(layout.left_over == Length{});
    }
    SECTION("fixed, the rest to the bay without a width") {
        system.widths = BayWidths::fixed;
        system.bays[0].width = 600_mm;
        system.bays[2].width = 900_mm;
        CHECK(bay_layout(system, rules).widths == std::vector{600_mm, 828_mm, 900_mm});
        system.bays[1].width = 800_mm;
        CHECK(bay_layout(system, rules).left_over == 28_mm);
        system.bays[1].width = 900_mm;
        CHECK(bay_layout(system, rules).left_over == -72_mm);
        const SystemPlan plan = system_plan(system_job(system));
        const Check* over = find_check(plan.checks, CheckCode::bays_overrun);
        REQUIRE(over);
        CHECK(over->amount->si == Approx(0.072));
        CHECK_FALSE(find_check(system_plan(apply(*over->cures.front().edit, system_job(system))).checks,
                               CheckCode::bays_overrun));
    }
    SECTION("by garments: two rods halve what they need, coats take more than shirts") {
        system.widths = BayWidths::by_garments;
        system.bays[0].width = 600_mm;
        system.bays[1].garments = 60; // shirts, 25 mm each, on two rods: 750
        system.bays[2].garments = 6;  // coats, 65 mm each, on one: 390
        system.bays[2].garment = Garment::coats;
        const BayLayout layout = bay_layout(system, rules);
        CHECK(layout.widths[0] == 600_mm);
        const double shared = 2400 - 4 * 18 - 600;
        CHECK(layout.widths[1].in_mm() == Approx(shared * 750 / 1140));
        CHECK(layout.widths[1] + layout.widths[2] == Length::mm(2400 - 4 * 18 - 600));
    }
}

TEST_CASE("whatever the policy, bays and panels add up to the width", "[storage][property]") {
    rc::prop("widths", [] {
        StorageSystem system;
        system.left = Length::mm(*rc::gen::inRange(0, 500));
        system.panel = Length::mm(*rc::gen::inRange(12, 30));
        system.width = Length::micrometres(*rc::gen::inRange(1'500'000, 5'000'000));
        system.widths = static_cast<BayWidths>(*rc::gen::inRange(0, 3));
        const int number = *rc::gen::inRange(1, 9);
        for (int i = 0; i < number; ++i) {
            Bay bay = bay_of(static_cast<BayKind>(*rc::gen::inRange(0, 6)), i);
            bay.width = Length::mm(*rc::gen::inRange(0, 3) * 200);
            bay.garments = *rc::gen::inRange(0, 60);
            system.bays.push_back(bay);
        }
        const BayLayout layout = bay_layout(system, StorageRules{});
        const Length sum = std::accumulate(layout.widths.begin(), layout.widths.end(), Length{});
        RC_ASSERT(sum + system.panel * (number + 1) + layout.left_over == system.width);
        for (const Length width : layout.widths)
            RC_ASSERT(width >= Length{});
    });
}

TEST_CASE("cleated shelves stand where practice puts them", "[storage][common-practice]") {
    StorageSystem system = system_of({BayKind::shelves});
    system.width = 800_mm;
    SECTION("shelf bays: three, spread evenly from top to bottom, over a plain one at the base") {
        const BayPlan bay = first_bay(system);
        CHECK(tops(bay, ShelfOfBay::cleated) == std::vector{2100_mm, 1406_mm, 712_mm}); // (2100 - 18) / 3 = 694 apart
        CHECK(tops(bay, ShelfOfBay::plain) == std::vector{18_mm});
    }
    SECTION("double hanging: at the top and at mid height, each directly over its rod") {
        system.bays = {bay_of(BayKind::double_hanging)};
        const BayPlan bay = first_bay(system);
        REQUIRE(bay.rods.size() == 2);
        // As high as the panels let it: 2100 - 18 - 60; the lower one at half that height.
        CHECK(bay.rods[0].z == 2022_mm);
        CHECK(bay.rods[1].z == 1011_mm);
        CHECK(tops(bay, ShelfOfBay::cleated) == std::vector{2100_mm, 1089_mm});
    }
    SECTION("tall panels take the usual 80 and 40 in") {
        system.bays = {bay_of(BayKind::double_hanging)};
        system.panel_height = 2400_mm;
        const BayPlan bay = first_bay(system);
        CHECK(bay.rods[0].z == 80_in);
        CHECK(bay.rods[1].z == 40_in);
        // A fixed shelf directly over the upper rod besides the top one.
        CHECK(tops(bay, ShelfOfBay::cleated) == std::vector{2400_mm, 80_in + 78_mm, 40_in + 78_mm});
    }
    SECTION("long hanging: between 65 and 70 in") {
        system.bays = {bay_of(BayKind::long_hanging)};
        const BayPlan bay = first_bay(system);
        REQUIRE(bay.rods.size() == 1);
        CHECK(bay.rods[0].z >= 65_in);
        CHECK(bay.rods[0].z <= 70_in);
        CHECK(tops(bay, ShelfOfBay::cleated).size() == 2);
    }
    SECTION("every bay has one at the top, whatever its kind") {
        for (int kind = 0; kind < 6; ++kind) {
            system.bays = {bay_of(static_cast<BayKind>(kind))};
            const BayPlan bay = first_bay(system);
            CHECK(tops(bay, ShelfOfBay::cleated).front() == 2100_mm);
            CHECK(bay.cleats.size() == tops(bay, ShelfOfBay::cleated).size());
            for (const BayRod& rod : bay.rods)
                CHECK(std::ranges::any_of(bay.shelves, [&](const BayShelf& shelf) {
                    return shelf.what == ShelfOfBay::cleated && shelf.top - 18_mm - rod.z == 60_mm;
                }));
        }
    }
}

TEST_CASE("loose shelves stand on pin holes 32 mm apart, as evenly as those allow", "[storage]") {
    StorageSystem system = system_of({BayKind::shelves});
    system.width = 800_mm;
    system.bays.front().loose = 5;
    const BayPlan bay = first_bay(system);
    CHECK(tops(bay, ShelfOfBay::loose).size() == 5);
    for (const BayShelf& shelf : bay.shelves)
        if (shelf.what == ShelfOfBay::loose) {
            REQUIRE(shelf.pin_hole);
            const Length underside = shelf.top - 18_mm;
            CHECK(underside == 96_mm + 32_mm * static_cast<std::int64_t>(*shelf.pin_hole - 1));
        }
    // 694 between fixed shelves: two in each of two openings, one in the third; never nearer than an even share less
    // half a hole's pitch at either side.
    std::vector<Length> all = tops(bay, ShelfOfBay::loose);
    for (const Length fixed : {2100_mm, 1406_mm, 712_mm, 18_mm})
        all.push_back(fixed);
    std::ranges::sort(all);
    for (std::size_t i = 1; i < all.size(); ++i)
        CHECK(all[i] - all[i - 1] >= 694_mm / 3 - 32_mm);
}

TEST_CASE("rods are cut to the bay less their end cups, and carry their clothes", "[storage]") {
    StorageSystem system = system_of({BayKind::double_hanging});
    system.width = 900_mm;
    const BayPlan bay = first_bay(system);
    CHECK(bay.width == 864_mm);
    CHECK(bay.rods.front().cut == 854_mm);
    // By hand: 40 kg/m of clothes and the tube's own steel over 0.854 m; 5 w L4 / 384 E I of a 25 x 1.2 mm tube.
    const double area = M_PI / 4 * (0.025 * 0.025 - 0.0226 * 0.0226);
    const double inertia = M_PI / 64 * (std::pow(0.025, 4) - std::pow(0.0226, 4));
    const double w = (40 + area * 7850) * standard_gravity;
    CHECK(bay.rods.front().load_n == Approx(w * 0.854));
    CHECK(bay.rods.front().sag.long_term == Approx(5 * w * std::pow(0.854, 4) / (384 * 210e9 * inertia)).epsilon(1e-6));
    const double stress = w * 0.854 * 0.854 / 8 / (inertia / 0.0125);
    CHECK(bay.rods.front().utilisation == Approx(stress / 140e6));
    SECTION("aluminium bears half of what steel does") {
        system.rod_stuff = PoleStuff::aluminium;
        const double lighter = (40 + area * 2700) * standard_gravity;
        CHECK(first_bay(system).rods.front().utilisation ==
              Approx(lighter * 0.854 * 0.854 / 8 / (inertia / 0.0125) / 70e6));
    }
    SECTION("a rod that sags too far is cured by a thicker one") {
        system.width = 1500_mm;
        const Job job = system_job(system);
        const SystemPlan plan = system_plan(job);
        const Check* sags = find_check(plan.checks, CheckCode::rod_sags);
        const Check* bends = find_check(plan.checks, CheckCode::rod_overloaded);
        const Check* either = sags ? sags : bends;
        REQUIRE(either);
        REQUIRE(either->cures.front().edit);
        CHECK(system_plan(apply(*either->cures.front().edit, job)).bays.front().rods.front().utilisation <
              plan.bays.front().rods.front().utilisation);
    }
}

TEST_CASE("shelves sag as simple spans from panel to panel", "[storage]") {
    StorageSystem system = system_of({BayKind::shelves});
    system.width = 836_mm;
    const BayPlan bay = first_bay(system);
    REQUIRE(bay.width == 800_mm);
    const BoardProperties& board = properties(BoardMaterial::particleboard_p2);
    const double self = board.density * 0.4 * 0.018 * standard_gravity;
    const double goods = 640 * 0.4; // EN 14749 general, 0.64 kPa, from memory
    const double stiffness = board.modulus_gpa * 1e9 * 0.4 * std::pow(0.018, 3) / 12;
    const double at_once = 5 * (self + goods) * std::pow(0.8, 4) / (384 * stiffness);
    CHECK(bay.shelves.front().sag.instantaneous == Approx(at_once));
    CHECK(bay.shelves.front().sag.long_term == Approx(at_once * (1 + board.kdef_dry)));
    CHECK(bay.shelves.front().load_n == Approx(goods * 0.8));
}

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
            for (const CleatScrew& screw : cleat.screws)
                xs.insert(screw.x);
            std::set<Length> inside;
            for (const Stud& stud : job.walls.front().studs)
                if (stud.centre >= bay.left + 25_mm && stud.centre <= bay.right() - 25_mm)
                    inside.insert(stud.centre);
            CHECK(xs == inside);
            REQUIRE(cleat.utilisation);
            CHECK(*cleat.utilisation <= 1);
        }
    // Followed by hand, bay 1 from 118 to 894 mm with studs at 400 and 800: a half load on its left quarter at 312 is
    // beside them; all of it at 506 gives the stud at 400 (800 - 506) / 400 = 0.735 of it.
    const BayPlan& bay = plan.bays.front();
    const BayCleat& top = bay.cleats.front();
    REQUIRE(top.screws.size() == 2);
    const BayShelf& shelf = bay.shelves.front();
    const double half = (shelf.load_n + shelf.kg * standard_gravity) / 2;
    CHECK(top.load_n == Approx(half));
    CHECK(top.demands.front().shear_n == Approx(half * (800 - 506) / 400.0));
    // It turns on the cleat's lower edge: 9 mm out, 60 / 2 - 5 = 25 mm up.
    CHECK(top.demands.front().tension_n == Approx(top.demands.front().shear_n * 9 / 25));
    // Two screws keep the bay from tipping: 0.6 of the force each, 220 N at least.
    CHECK(top.demands.back().tension_n - top.demands.back().shear_n * 9 / 25 ==
          Approx(std::max(220.0, 0.6 * bay.needs_n)));
    CHECK(bay.needs_n > 0);
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
    CHECK(bay.loaded_kg > bay.kg);
    double shear = 0;
    for (const BayCleat& cleat : bay.cleats)
        for (std::size_t i = 0; i < cleat.screws.size(); ++i)
            shear += cleat.demands.front().shear_n;
    // All screws together are reckoned with no less than the whole weight.
    CHECK(shear >= bay.loaded_kg * standard_gravity - 1e-6);
    // And pulled by no less than the moment over its lever.
    CHECK(bay.cleats.front().demands.front().tension_n * static_cast<double>(bay.cleats.front().screws.size()) * 1.4 *
              3 >=
          bay.loaded_kg * standard_gravity * 0.2);
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
    const Check* misses = find_check(plan.checks, CheckCode::cleat_misses_studs);
    REQUIRE(misses);
    CHECK(misses->severity == Severity::error);
    REQUIRE(misses->cures.front().edit);
    CHECK_FALSE(find_check(system_plan(apply(*misses->cures.front().edit, job)).checks, CheckCode::cleat_misses_studs));
}

TEST_CASE("only proved studs hold wardrobes; lining alone and steel studs never", "[storage]") {
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
    CHECK(find_check(plan.checks, CheckCode::cleat_misses_studs));
    for (const BayPlan& bay : plan.bays)
        for (const BayCleat& cleat : bay.cleats)
            CHECK_FALSE(cleat.utilisation);
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
    CHECK(std::ranges::count(plan.checks, CheckCode::panel_out_of_plumb, &Check::code) == 1); // there is no panel 9
    CHECK(std::ranges::any_of(
        plan.steps, [](const Step& step) { return step.words.pattern == "Panel {0}: foot {1} to the right"; }));
}

TEST_CASE("what fits is told in figures, and what does not is a check", "[storage]") {
    StorageSystem system = system_of({BayKind::double_hanging});
    system.width = 1036_mm; // 1000 clear, 990 of rod
    system.bays.front().garment = Garment::shirts;
    BayPlan bay = first_bay(system);
    CHECK(bay.rods.front().holds == 39); // 990 / 25
    CHECK(bay.rods.front().under == 2022_mm - 1089_mm);
    system.bays.front().garment = Garment::coats;
    system.bays.front().garments = 40;
    const Job job = system_job(system);
    const SystemPlan plan = system_plan(job);
    const Check* too_long = find_check(plan.checks, CheckCode::clothes_too_long);
    REQUIRE(too_long);
    CHECK(find_check(plan.checks, CheckCode::goods_do_not_fit)); // 15 on each of two rods
    const SystemPlan cured = system_plan(apply(*too_long->cures.front().edit, job));
    CHECK_FALSE(find_check(cured.checks, CheckCode::clothes_too_long));

    system.bays = {bay_of(BayKind::shelves)};
    bay = first_bay(system);
    const auto piles = std::ranges::find(bay.fits, GoodsKind::piles, &Fits::what);
    REQUIRE(piles != bay.fits.end());
    CHECK(piles->number == 3);             // 1000 / 280
    CHECK(piles->clear == 694_mm - 18_mm); // between two shelves
    CHECK(piles->each == (676 - 20) / 30);
    const auto boxes = std::ranges::find(bay.fits, GoodsKind::boxes, &Fits::what);
    REQUIRE(boxes != bay.fits.end());
    CHECK(boxes->number == 3 * 1 * 3); // 1000 / 330, 400 / 380, 656 / 200

    system.bays = {bay_of(BayKind::shoes)};
    bay = first_bay(system);
    const auto pairs = std::ranges::find(bay.fits, GoodsKind::shoes, &Fits::what);
    REQUIRE(pairs != bay.fits.end());
    CHECK(pairs->number == 4); // 1000 / 220
    for (std::size_t i = 1; i < bay.shelves.size(); ++i)
        CHECK(bay.shelves[i - 1].top - bay.shelves[i].top >= 160_mm - 32_mm);
}

TEST_CASE("panels and parts are numbered, each label once", "[storage]") {
    const StorageSystem system = system_of({BayKind::double_hanging, BayKind::shelves, BayKind::drawers});
    const SystemPlan plan = system_plan(system_job(system));
    std::set<std::string> labels;
    for (const StoragePart& part : plan.parts)
        CHECK(labels.insert(part.label).second);
    for (const char* label : {"P1", "P2", "P3", "P4", "1A", "1B", "1R1", "1R2", "1Ac", "2A", "2D", "3A"})
        CHECK(labels.contains(label));
    for (const StoragePart& part : plan.parts)
        if (part.what == "side panel")
            CHECK(part.length == 2100_mm);
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
    // Waiting panels lean with their feet a quarter of their length out: asin 0.25 = 14.48 degrees.
    const auto lean = std::ranges::find_if(
        plan.steps, [](const Step& step) { return step.words.pattern.starts_with("Lean the waiting panels"); });
    REQUIRE(lean != plan.steps.end());
    CHECK(std::get<Quantity>(lean->words.values[1]).si == Approx(0.25268));
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
    const Check* heavy = find_check(plan.checks, CheckCode::panel_lift);
    REQUIRE(heavy);
    CHECK_FALSE(find_check(system_plan(apply(*heavy->cures.front().edit, job)).checks, CheckCode::panel_lift));
    CHECK_FALSE(find_check(system_plan(system_job(system_of({BayKind::shelves}))).checks, CheckCode::panel_lift));
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
    const Check* hidden = find_check(plan.checks, CheckCode::bay_hidden);
    REQUIRE(hidden);
    CHECK(hidden->severity == Severity::error); // drawers cannot come out
    CHECK(find_check(system_plan(apply(*hidden->cures.front().edit, job)).checks, CheckCode::bay_hidden)->severity ==
          Severity::warning);

    // Nearer to the corner both would stand in the same place.
    job.walls[1].systems.front().left = 100_mm;
    CHECK(find_check(system_plan(job).checks, CheckCode::run_meets_neighbour));

    // Drawers hard beside the corner's wall want a filler.
    job.walls.pop_back();
    job.walls.front().right_end = WallEnd::corner;
    CHECK(find_check(system_plan(job).checks, CheckCode::door_meets_wall));
}

TEST_CASE("a system clashes with windows, the ceiling and what stands there", "[storage]") {
    StorageSystem system = system_of({BayKind::shelves, BayKind::shelves});
    Job job = system_job(system);
    CHECK_FALSE(find_check(system_plan(job).checks, CheckCode::run_over_opening));
    job.walls.front().openings = {{OpeningKind::window, 2000_mm, 900_mm, 800_mm, 1000_mm, 50_mm, {}}};
    CHECK(find_check(system_plan(job).checks, CheckCode::run_over_opening)->amount->si == Approx(0.5));
    job.walls.front().pieces = {dresser()};
    CHECK(find_check(system_plan(job).checks, CheckCode::run_over_unit));
    CHECK(find_check(reckon(job).walls.front()->pieces.front().checks, CheckCode::run_over_unit));
    job.walls.front().systems.front().panel_height = 2600_mm;
    CHECK(find_check(system_plan(job).checks, CheckCode::unit_over_ceiling));
    CHECK(find_check(system_plan(job).checks, CheckCode::panel_cannot_tilt));
    job.walls.front().systems.front().left = -50_mm;
    CHECK(find_check(system_plan(job).checks, CheckCode::leaves_wall));
}

TEST_CASE("any system that can be drawn up is reckoned without a throw", "[storage][property]") {
    rc::prop("strange systems", [] {
        StorageSystem system;
        system.id = "system";
        const auto mm = [](int from, int to) { return Length::mm(*rc::gen::inRange(from, to)); };
        system.left = mm(-500, 4500);
        system.width = mm(1, 5000);
        system.depth = mm(1, 900);
        system.panel_height = mm(1, 3000);
        system.panel = mm(1, 60);
        system.hung = *rc::gen::arbitrary<bool>();
        system.top = mm(-100, 3000);
        system.widths = static_cast<BayWidths>(*rc::gen::inRange(0, 3));
        system.rod_diameter = mm(1, 60);
        system.end_cup = mm(0, 400);
        for (int i = *rc::gen::inRange(0, 6); i > 0; --i) {
            Bay bay = bay_of(static_cast<BayKind>(*rc::gen::inRange(0, 6)), i);
            bay.width = mm(0, 1500);
            bay.loose = *rc::gen::inRange(0, 200);
            bay.garments = *rc::gen::inRange(0, 500);
            bay.rod = mm(0, 3500);
            bay.low_rod = mm(0, 3500);
            system.bays.push_back(bay);
        }
        system.readings = {{*rc::gen::inRange(1, 12), mm(0, 50), mm(1, 2000), false, {}}};
        const SystemPlan plan =
            system_plan(system_job(system, *rc::gen::arbitrary<bool>() ? stud_wall() : masonry_wall()));
        RC_ASSERT(plan.bays.size() == system.bays.size());
        for (const BayPlan& bay : plan.bays)
            for (const BayCleat& cleat : bay.cleats)
                RC_ASSERT(!cleat.utilisation || !cleat.screws.empty());
    });
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
