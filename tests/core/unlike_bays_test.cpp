// Bays of one wardrobe that end at unlike heights, or hang beside those that stand.
#include "core/sheets/plan_json.hpp"
#include "core/site/site_checks.hpp"
#include "core/storage/bay_cleats.hpp"
#include "core/storage/system_checks.hpp"
#include "piece_walls.hpp"

#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

namespace {

StorageSystem three() {
    return system_of({BayKind::shelves, BayKind::shelves, BayKind::double_hanging});
}

bool clashes(const SystemPlan& plan) {
    return find_check(plan.checks, checks::over_opening) != nullptr;
}

} // namespace

TEST_CASE("a low bay goes under a window, its panels as high as what stands beside them", "[storage][unlike]") {
    StorageSystem system = three();
    Wall wall = stud_wall();
    Opening window;
    window.kind = OpeningKind::window;
    window.left = 920_mm;
    window.width = 700_mm;
    window.bottom = 950_mm;
    window.height = 1000_mm;
    wall.openings.push_back(window);
    CHECK(clashes(system_plan(system_job(system, wall))));

    system.bays[1].height = 850_mm;
    const SystemPlan plan = system_plan(system_job(system, wall));
    CHECK_FALSE(clashes(plan));
    const BayPlan& low = plan.bays[1];
    CHECK(low.sides.foot == Length{});
    CHECK(low.sides.head == 850_mm);
    CHECK(low.shelves.front().top == 850_mm);
    CHECK(low.cleats.front().z < 850_mm);
    for (const PanelPlan& panel : plan.panels) // each has a tall bay at one side
        CHECK(panel.height() == system.panel_height);

    SECTION("at the end of the wardrobe its outer panel is as low as itself, and is cut so") {
        std::swap(system.bays[0], system.bays[1]);
        const SystemPlan other = system_plan(system_job(system));
        CHECK(other.panels.front().height() == 850_mm);
        CHECK(other.panels[1].height() == 2100_mm);
        CHECK(std::ranges::count_if(other.parts, [](const CutPart& part) {
                  return part.what == "side panel" && part.length == 850_mm;
              }) == 1);
        CHECK(other.panels.front().mass.in_si() * 2100 / 850 == Approx(other.panels[1].mass.in_si()));
    }
    SECTION("it tips as one that stands among its like") {
        StorageSystem all_low = three();
        all_low.panel_height = 850_mm;
        all_low.bays[2].kind = BayKind::shelves;
        const SystemPlan like = system_plan(system_job(all_low));
        CHECK(low.needs.in_si() == Approx(like.bays[1].needs.in_si()));
        CHECK(low.mass.in_si() == Approx(like.bays[1].mass.in_si()));
    }
}

TEST_CASE("a bay hangs between two that stand: from the common top, all of it on its cleats", "[storage][unlike]") {
    StorageSystem system = three();
    system.bays[1].stands = BayStands::hung;
    system.bays[1].height = 1200_mm;
    const Job job = system_job(system);
    const SystemPlan plan = system_plan(job);
    const BayPlan& hung = plan.bays[1];
    CHECK(hung.sides.foot == 900_mm);
    CHECK(hung.sides.head == 2100_mm);
    for (const BayShelf& shelf : hung.shelves)
        CHECK(shelf.top > 900_mm);
    CHECK_FALSE(hung.loads.empty());
    CHECK(hung.needs == 0);
    for (const std::size_t standing : {std::size_t{0}, std::size_t{2}}) {
        CHECK(plan.bays[standing].loads.empty());
        CHECK(plan.bays[standing].needs > 0);
    }
    // It is taken to carry half of the tall panels beside it, which the floor carries: the safe side.
    StorageSystem all_hung = three();
    all_hung.hung = true;
    all_hung.top = 2100_mm;
    all_hung.panel_height = 1200_mm;
    const SystemPlan like = system_plan(system_job(all_hung));
    CHECK(hung.mass > like.bays[1].mass);
    CHECK(hung.cleats.front().demands.front().tension >= like.bays[1].cleats.front().demands.front().tension);

    const auto says = [](const SystemPlan& of, std::string_view words) {
        return std::ranges::any_of(
            of.steps, [&](const Step& step) { return step.words.pattern.find(words) != std::string_view::npos; });
    };
    // Between panels that stand nothing wants a ledger; at the end of the wardrobe its outer panel does.
    CHECK_FALSE(says(plan, "temporary ledger"));
    std::swap(system.bays[0], system.bays[1]);
    const SystemPlan at_end = system_plan(system_job(system));
    CHECK(says(at_end, "temporary ledger on behind bay {0}"));
    CHECK_FALSE(says(at_end, "the panels stand on it"));
    std::swap(system.bays[0], system.bays[1]);

    SECTION("hung lower than there is room for, it is said") {
        system.bays[1].height = 2200_mm;
        CHECK(find_check(system_plan(system_job(system)).checks, checks::leaves_floor));
    }
    SECTION("a wardrobe that hangs may have one bay down to the floor") {
        all_hung.bays[0].stands = BayStands::on_floor;
        const SystemPlan mixed = system_plan(system_job(all_hung));
        CHECK(mixed.bays[0].sides == BaySides{Length{}, 2100_mm, false});
        CHECK(mixed.panels[0].height() == 2100_mm);
        CHECK(mixed.panels[1].height() == 2100_mm);
        CHECK(mixed.panels[2].height() == 1200_mm);
        CHECK(mixed.bays[0].needs > 0);
    }
}

TEST_CASE("whatever its bays do, panels reach past both beside them and nothing stands out of its sides",
          "[storage][unlike][property]") {
    rc::prop("unlike bays", [] {
        constexpr std::array kinds{BayKind::double_hanging, BayKind::long_hanging, BayKind::shelves,
                                   BayKind::drawers,        BayKind::shoes,        BayKind::open};
        StorageSystem system = system_of(*rc::gen::container<std::vector<BayKind>>(3, rc::gen::elementOf(kinds)));
        system.hung = *rc::gen::arbitrary<bool>();
        system.top = 2200_mm;
        StorageSystem told = system;
        for (std::size_t i = 0; i < 3; ++i) {
            system.bays[i].height = Length::mm(*rc::gen::elementOf(std::vector{0, 700, 1250, 2000}));
            system.bays[i].stands = *rc::gen::element(BayStands::as_the_rest, BayStands::on_floor, BayStands::hung);
            // The same as the rest, said bay by bay.
            told.bays[i].height = system.hung ? system.panel_height : system.head();
            told.bays[i].stands = system.hung ? BayStands::hung : BayStands::on_floor;
        }
        const SystemPlan plan = system_plan(system_job(system));
        for (const BayPlan& bay : plan.bays) {
            for (const PanelPlan* panel : {&plan.panels[bay.number - 1], &plan.panels[bay.number]}) {
                RC_ASSERT(panel->foot <= bay.sides.foot);
                RC_ASSERT(panel->head >= bay.sides.head);
            }
            for (const BayShelf& shelf : bay.shelves)
                RC_ASSERT(shelf.top <= bay.sides.head && shelf.top > bay.sides.foot);
            for (const BayRod& rod : bay.rods)
                RC_ASSERT(rod.z < bay.sides.head && rod.z > bay.sides.foot);
            RC_ASSERT((bay.sides.hung ? bay.needs == 0 : bay.loads.empty()));
        }
        StorageSystem plain = told;
        for (Bay& bay : plain.bays) {
            bay.height = {};
            bay.stands = BayStands::as_the_rest;
        }
        const Job one = system_job(told);
        const Job other = system_job(plain);
        RC_ASSERT(plan_json(one, reckon(one), {}) == plan_json(other, reckon(other), {}));
    });
}
