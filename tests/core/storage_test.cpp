#include "core/runs/slide.hpp"

#include "core/measure/conversions.hpp"
#include "core/statics/back_held.hpp"
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
        const Check* over = find_check(plan.checks, checks::bays_overrun);
        REQUIRE(over);
        CHECK(over->amount->si == Approx(0.072));
        CHECK_FALSE(
            find_check(system_plan(apply(*over->cures.front().edit, system_job(system))).checks, checks::bays_overrun));
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
    CHECK(bay.rods.front().load == Approx(w * 0.854));
    CHECK(bay.rods.front().sag.long_term == Approx(5 * w * std::pow(0.854, 4) / (384 * 210e9 * inertia)).epsilon(1e-6));
    const double stress = w * 0.854 * 0.854 / 8 / (inertia / 0.0125);
    CHECK(bay.rods.front().utilisation.number() == Approx(stress / 140e6));
    SECTION("aluminium bears half of what steel does") {
        system.rod_stuff = PoleStuff::aluminium;
        const double lighter = (40 + area * 2700) * standard_gravity;
        CHECK(first_bay(system).rods.front().utilisation.number() ==
              Approx(lighter * 0.854 * 0.854 / 8 / (inertia / 0.0125) / 70e6));
    }
    SECTION("a rod that sags too far is cured by a thicker one") {
        system.width = 1500_mm;
        const Job job = system_job(system);
        const SystemPlan plan = system_plan(job);
        const Check* sags = find_check(plan.checks, checks::rod_sags);
        const Check* bends = find_check(plan.checks, checks::rod_overloaded);
        const Check* either = sags ? sags : bends;
        REQUIRE(either);
        REQUIRE(either->cures.front().edit);
        CHECK(system_plan(apply(*either->cures.front().edit, job)).bays.front().rods.front().utilisation.number() <
              plan.bays.front().rods.front().utilisation.number());
    }
}

TEST_CASE("shelves sag as simple spans from panel to panel, those on a cleat by turning about it", "[storage]") {
    StorageSystem system = system_of({BayKind::shelves});
    system.width = 836_mm;
    const BayPlan bay = first_bay(system);
    REQUIRE(bay.width == 800_mm);
    const BoardProperties& board = properties(BoardMaterial::particleboard_p2);
    const double self = board.density.in_si() * 0.4 * 0.018 * standard_gravity;
    const double goods = 640 * 0.4; // EN 14749 general, 0.64 kPa, from memory
    const double stiffness = board.modulus.in_pascals() * 0.4 * std::pow(0.018, 3) / 12;
    const double at_once = 5 * (self + goods) * std::pow(0.8, 4) / (384 * stiffness);
    REQUIRE(bay.shelves.front().what == ShelfOfBay::cleated);
    const double held = back_held_share(800_mm, 400_mm, 1 / 2.6);
    CHECK(bay.shelves.front().sag.instantaneous == Approx(held * at_once));
    CHECK(bay.shelves.front().sag.long_term == Approx(held * at_once * (1 + board.kdef_dry)));
    // A deep board that twists easily bends more along its front than as a plain span, and that is no strength. Nobody
    // leans on the topmost.
    system.material = BoardMaterial::plywood;
    system.depth = 600_mm;
    const BayShelf top = first_bay(system).shelves.front();
    const BoardProperties& plywood = properties(BoardMaterial::plywood);
    const double load = plywood.density.in_si() * 0.6 * 0.018 * standard_gravity + 640 * 0.6;
    const double stress = load * 0.8 * 0.8 / 8 / (0.6 * 0.018 * 0.018 / 6);
    const double turning = back_held_share(800_mm, 600_mm, 1.0 / 13);
    REQUIRE(turning > 1.2);
    CHECK(top.board_utilisation.number() == Approx(turning * stress / bending_stored(plywood).in_pascals()));
    const auto loose = std::ranges::find(bay.shelves, ShelfOfBay::loose, &BayShelf::what);
    if (loose != bay.shelves.end())
        CHECK(loose->sag.instantaneous == Approx(at_once));
    CHECK(bay.shelves.front().load == Approx(goods * 0.8));
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
    const Check* too_long = find_check(plan.checks, checks::clothes_too_long);
    REQUIRE(too_long);
    CHECK(find_check(plan.checks, checks::goods_do_not_fit)); // 15 on each of two rods
    const SystemPlan cured = system_plan(apply(*too_long->cures.front().edit, job));
    CHECK_FALSE(find_check(cured.checks, checks::clothes_too_long));

    system.bays = {bay_of(BayKind::shelves)};
    bay = first_bay(system);
    const auto piles = std::ranges::find(bay.fits, GoodsKind::piles, &Fits::what);
    REQUIRE(piles != bay.fits.end());
    CHECK(piles->number == 3 * 3);         // 1000 / 280
    CHECK(piles->clear == 694_mm - 18_mm); // between two shelves
    CHECK(piles->each == 400 / 30);        // no pile is made higher than 400
    const auto boxes = std::ranges::find(bay.fits, GoodsKind::boxes, &Fits::what);
    REQUIRE(boxes != bay.fits.end());
    CHECK(boxes->number == 3 * 1 * 3 * 3); // 1000 / 330, 400 / 380, 656 / 200

    system.bays = {bay_of(BayKind::shoes)};
    bay = first_bay(system);
    const auto pairs = std::ranges::find(bay.fits, GoodsKind::shoes, &Fits::what);
    REQUIRE(pairs != bay.fits.end());
    CHECK(pairs->number == 4 * (bay.shelves.size() - 1)); // 1000 / 220
    for (std::size_t i = 1; i < bay.shelves.size(); ++i)
        CHECK(bay.shelves[i - 1].top - bay.shelves[i].top >= 160_mm - 32_mm);
}

TEST_CASE("panels and parts are numbered, each label once", "[storage]") {
    const StorageSystem system = system_of({BayKind::double_hanging, BayKind::shelves, BayKind::drawers});
    const SystemPlan plan = system_plan(system_job(system));
    std::set<std::string> labels;
    for (const CutPart& part : plan.parts)
        CHECK(labels.insert(part.label).second);
    for (const char* label : {"P1", "P2", "P3", "P4", "1A", "1B", "1R1", "1R2", "1Ac", "2A", "2D", "3A"})
        CHECK(labels.contains(label));
    for (const CutPart& part : plan.parts)
        if (part.what == "side panel")
            CHECK(part.length == 2100_mm);
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
                RC_ASSERT(!cleat.utilisation.known() || !cleat.screws.empty());
    });
}
