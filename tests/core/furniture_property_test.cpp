#include "core/boxes/box_parts.hpp"
#include "core/boxes/new_box.hpp"
#include "core/fixings/choose_fixing.hpp"
#include "core/fixings/wood_screw.hpp"
#include "core/storage/bay_contents.hpp"
#include "core/storage/bay_widths.hpp"
#include "piece_walls.hpp"

#include <cmath>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

/// What must hold of wardrobes, boxes and hung cabinets however they are drawn up.
namespace {

Length mm(int from, int to) {
    return Length::mm(*rc::gen::inRange(from, to));
}

HungCabinet any_hung() {
    HungCabinet hung = new_hung(stud_wall());
    hung.id = hung.unit.name = "hung";
    hung.left = mm(-300, 4200);
    hung.top = mm(100, 2600);
    hung.unit.width = mm(1, 1500);
    hung.unit.height = mm(1, 1200);
    hung.unit.depth = mm(1, 700);
    hung.unit.back = mm(0, 20);
    hung.unit.loaded_mass = Mass::kg(*rc::gen::inRange(1, 150));
    tick_rail(hung, true, *rc::gen::arbitrary<bool>());
    tick_rail(hung, false, *rc::gen::arbitrary<bool>());
    hung.top_screws = *rc::gen::inRange(0, 7);
    hung.bottom_screws = *rc::gen::inRange(0, 7);
    hung.back_screws = *rc::gen::inRange(0, 7);
    hung.studs = *rc::gen::inRange(0, 5);
    hung.joined_left = *rc::gen::arbitrary<bool>();
    if (*rc::gen::arbitrary<bool>())
        hung.gauge = static_cast<ScrewGauge>(*rc::gen::inRange(0, 6));
    hung.screw_length = mm(0, 130);
    hung.broad_heads = *rc::gen::arbitrary<bool>();
    return hung;
}

HungPlan plan_of_hung(const HungCabinet& hung, Wall wall = stud_wall()) {
    Job job = bare_job(std::move(wall));
    job.walls.front().hung = {hung};
    return reckon(job).walls.front()->hung.front();
}

} // namespace

TEST_CASE("every rod has a fixed shelf directly over it and stays inside its panels", "[storage][property]") {
    rc::prop("heights", [] {
        StorageSystem system;
        system.panel = mm(12, 30);
        system.panel_height = mm(1200, 2700);
        Bay bay = bay_of(static_cast<BayKind>(*rc::gen::inRange(0, 6)));
        bay.rod = mm(0, 3000);
        bay.low_rod = mm(0, 3000);
        bay.loose = *rc::gen::inRange(1, 6);
        const StorageRules rules;
        const BayHeights heights = bay_heights(system, bay, rules);
        RC_ASSERT(heights.rods.size() == rods_of(bay.kind));
        RC_ASSERT(heights.shelves.front().top == system.panel_height);
        RC_ASSERT(heights.shelves.front().cleated);
        for (std::size_t i = 1; i < heights.shelves.size(); ++i)
            RC_ASSERT(heights.shelves[i].top < heights.shelves[i - 1].top);
        for (const Length rod : heights.rods) {
            RC_ASSERT(rod > Length{});
            RC_ASSERT(std::ranges::any_of(heights.shelves, [&](const BayHeights::Fixed& shelf) {
                return shelf.cleated && absolute(shelf.top - system.panel - rod - rules.under_shelf) <= 1_mm;
            }));
        }
    });
}

TEST_CASE("a heavier load or a longer bay never uses a cleat less", "[storage][property]") {
    rc::prop("cleats", [] {
        StorageSystem system = system_of({BayKind::shelves});
        system.left = 100_mm;
        system.width = mm(500, 1000);
        system.bays.front().load.kind = LoadKind::own;
        system.bays.front().load.own = LineMass::kg_per_metre(*rc::gen::inRange(1, 40));
        const SystemPlan light = system_plan(system_job(system));
        system.bays.front().load.own += LineMass::kg_per_metre(*rc::gen::inRange(1, 40));
        const SystemPlan heavy = system_plan(system_job(system));
        RC_ASSERT(heavy.bays[0].shelves[0].sag.long_term >= light.bays[0].shelves[0].sag.long_term);
        for (std::size_t i = 0; i < light.bays[0].cleats.size(); ++i)
            for (std::size_t k = 0; k < light.bays[0].cleats[i].demands.size(); ++k)
                RC_ASSERT(heavy.bays[0].cleats[i].demands[k].shear() >= light.bays[0].cleats[i].demands[k].shear());
    });
}

TEST_CASE("a box's parts fill its outer size, whatever its joints", "[boxes][property]") {
    rc::prop("parts", [] {
        WallBox box;
        box.side = mm(12, 30);
        box.width = mm(200, 1500);
        box.height = mm(300, 2000);
        box.depth = mm(120, 400);
        box.shelves = *rc::gen::inRange(0, 5);
        box.joint = static_cast<BoxJoint>(*rc::gen::inRange(0, 2));
        box.back = static_cast<BoxBack>(*rc::gen::inRange(0, 2));
        box.housing = box.side / 2;
        box.top = box.height;
        const std::vector<BoxPart> parts = box_parts(box);
        const Length top = std::ranges::find(parts, "top", &BoxPart::what)->length;
        // Between the sides, plus what enters both housings, less the room left in them.
        const Length enters = box.joint == BoxJoint::housing ? 2 * (box.housing - box.clearance) : Length{};
        RC_ASSERT(top + 2 * box.side - enters == box.width);
        const std::vector<Length> tops = shelf_tops(box);
        RC_ASSERT(tops.size() == static_cast<std::size_t>(box.shelves));
        // Equal clear heights, to the nanometre that division leaves.
        Length above = box.top - box.side;
        std::vector<Length> clear;
        for (const Length each : tops) {
            clear.push_back(above - each);
            above = each - box.side;
        }
        clear.push_back(above - box.side);
        for (const Length each : clear)
            RC_ASSERT(absolute(each - clear.front()) <= Length::nanometres(box.shelves + 1));
    });
}

TEST_CASE("the correction from two diagonals squares the frame they were measured on", "[boxes][property]") {
    rc::prop("square", [] {
        const double w = *rc::gen::inRange(200, 2000) / 1000.0;
        const double h = *rc::gen::inRange(200, 2000) / 1000.0;
        const double aside = *rc::gen::inRange(-20, 21) / 1000.0;
        // A frame with its bottom level and its top pushed aside, its sides as long as ever.
        const double up = std::sqrt(h * h - aside * aside);
        const Length rising = Length::nearest_to_metres(std::hypot(w + aside, up));
        const Length falling = Length::nearest_to_metres(std::hypot(w - aside, up));
        const Squareness found =
            squareness(Length::nearest_to_metres(w), Length::nearest_to_metres(h), rising, falling, BoxRules{});
        RC_ASSERT(std::abs(found.top_moves.in_metres() - std::abs(aside)) < 1e-6);
        if (aside != 0)
            RC_ASSERT(found.to_right == (aside < 0));
    });
}

TEST_CASE("a cabinet is never sound on nothing", "[audit][property]") {
    rc::prop("audit", [] {
        const HungCabinet hung = any_hung();
        const HungPlan plan = plan_of_hung(hung);
        if (plan.verdict != HungVerdict::sound)
            return;
        RC_ASSERT(hung.gauge.has_value());
        RC_ASSERT(hung.top_screws >= 2);
        RC_ASSERT(hung.studs >= 1);
        RC_ASSERT(hung.studs >= 2 || hung.joined_left || hung.joined_right);
        RC_ASSERT(!hung.unit.rails.empty() || hung.unit.back > Length::inches(0, {1, 4}));
        RC_ASSERT(plan.utilisation.number() <= 1);
        // Its weight on all its screws together, each with no more than its greatest shear.
        const auto screws = static_cast<double>(hung.top_screws + hung.bottom_screws);
        const DrivenThrough rail{hung.unit.rails.empty() ? hung.unit.back : hung.unit.rails.front().thickness,
                                 wood_bearing(0.36)};
        const auto one = weigh_given(*hung.gauge, hung.screw_length, {shipped_catalogue(), {}, stud_wall()}, rail,
                                     {{0_n, 1_n, duration_stored}});
        RC_ASSERT(one.has_value());
        RC_ASSERT(weight_of(plan.loaded_mass) / screws <= one->fixing.shear * 1.5);
    });
}

TEST_CASE("any box and any hung cabinet is reckoned without a throw", "[boxes][audit][property]") {
    rc::prop("strange ones", [] {
        WallBox box;
        box.id = box.name = "box";
        box.left = mm(-500, 4500);
        box.top = mm(-500, 3500);
        box.width = mm(1, 2500);
        box.height = mm(1, 2500);
        box.depth = mm(1, 700);
        box.side = mm(1, 60);
        box.shelves = *rc::gen::inRange(0, 40);
        box.housing = mm(0, 40);
        box.clearance = mm(0, 20);
        box.rebate = mm(0, 300);
        box.back_thickness = mm(1, 30);
        box.back_screwed = *rc::gen::arbitrary<bool>();
        box.joint = static_cast<BoxJoint>(*rc::gen::inRange(0, 2));
        box.back = static_cast<BoxBack>(*rc::gen::inRange(0, 2));
        if (*rc::gen::arbitrary<bool>()) {
            box.diagonal_rising = mm(1, 4000);
            box.diagonal_falling = mm(1, 4000);
        }
        Job job = bare_job(*rc::gen::arbitrary<bool>() ? stud_wall() : masonry_wall());
        job.walls.front().boxes = {box};
        const BoxPlan plan = reckon(job).walls.front()->boxes.front();
        RC_ASSERT(box.back_screwed || !plan.hang.fixing);
        plan_of_hung(any_hung(), *rc::gen::arbitrary<bool>() ? stud_wall() : masonry_wall());
    });
}

TEST_CASE("a given screw is weighed as it is, however little reaches the wood", "[fixings][standard]") {
    // NDS-2018 12.2 (from memory), G 0.42: #8 holds 82 lb for each inch of thread less its point of 2 D.
    Wall wall = stud_wall();
    std::get<Framing>(wall.structure).species = Species::spruce_pine_fir;
    wall.lining = {{LiningMaterial::plasterboard, Length::inches(0, {1, 2}), {}}};
    DrivenThrough through{Length::inches(0, {1, 2}), wood_bearing(0.42)};
    const auto weighed = [&](Length length) {
        return weigh_given(ScrewGauge::number_8, length, {shipped_catalogue(), {}, wall}, through, {{1_n, 0_n, 1.0}});
    };
    CHECK_FALSE(weighed(Length::inches(0, {3, 4}))); // it ends in the lining
    const auto two = weighed(2_in);
    REQUIRE(two);
    CHECK(two->fixing.penetration == 1_in);
    CHECK(1 / two->utilisation.number() == Approx(82 * (1 - 2 * 0.164) * 4.4482216).epsilon(0.01));
    CHECK_FALSE(weighed(5_in)); // comes out of a 3 1/2 in stud
    wall.structure = Masonry{};
    CHECK_FALSE(weighed(2_in));
}
