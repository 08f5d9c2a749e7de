#include "box_walls.hpp"
#include "core/boxes/box_parts.hpp"
#include "core/boxes/box_work.hpp"
#include "core/boxes/reckon_box.hpp"
#include "core/cutting/worked_parts.hpp"
#include "core/fixings/en_screw.hpp"
#include "core/fixings/wood_screw.hpp"
#include "core/sheets/work_drawing.hpp"
#include "core/site/site_checks.hpp"

#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

namespace {

const BoxPart& part(const std::vector<BoxPart>& parts, std::string_view what) {
    return *std::ranges::find(parts, what, &BoxPart::what);
}
std::vector<BoxPart> worked(const WallBox& box, const HouseRules& rules = {}) {
    std::vector<BoxPart> parts = box_parts(box);
    work_parts(box, rules, parts);
    return parts;
}
std::vector<PartCut> cuts_of(const BoxPart& part, Machining kind) {
    std::vector<PartCut> found;
    std::ranges::copy_if(part.work.cuts, std::back_inserter(found),
                         [&](const PartCut& cut) { return cut.kind == kind; });
    return found;
}

} // namespace

TEST_CASE("top and bottom over the sides, the shelf housed: 700, 700, 680, 500, 500", "[boxes][work][check-value]") {
    // Common practice row of the check values: two boards of 1800 give 700, 700, 680, 500, 500.
    const std::vector<BoxPart> parts = worked(small_box());
    CHECK(part(parts, "top").length == 700_mm);
    CHECK(part(parts, "bottom").length == 700_mm);
    CHECK(part(parts, "shelf").length == 680_mm);
    CHECK(part(parts, "side").length == 500_mm);
    CHECK(part(parts, "side").number == 2);

    // The shelf stands midway: 500 less its own 20, halved, is 240 down each side. 10 mm deep is two passes of 5.
    const std::vector<PartCut> housings = cuts_of(part(parts, "side"), Machining::housing);
    REQUIRE(housings.size() == 1);
    CHECK(housings.front().from == 240_mm);
    CHECK(housings.front().along == 20_mm);
    CHECK(housings.front().in == Length{});
    CHECK(housings.front().across == 200_mm);
    CHECK(housings.front().depth == 10_mm);
    CHECK(housings.front().passes == 2);
    CHECK(part(parts, "side").work.end == "top end");
    CHECK(part(parts, "side").work.edge == "back edge");

    HouseRules careful;
    careful.boxes.router_pass = 3_mm;
    CHECK(cuts_of(part(worked(small_box(), careful), "side"), Machining::housing).front().passes == 4);
}

TEST_CASE("the corners: sides that run through, top and bottom over them, mitres", "[boxes][work]") {
    WallBox box = small_box();
    box.corner = BoxCorner::sides_through;
    std::vector<BoxPart> parts = worked(box);
    CHECK(part(parts, "side").length == 540_mm);
    CHECK(part(parts, "top").length == 680_mm);
    // Top and bottom enter at the very ends of the sides.
    std::vector<PartCut> ends = cuts_of(part(parts, "side"), Machining::rebate);
    REQUIRE(ends.size() == 2);
    CHECK(ends[0].from == Length{});
    CHECK(ends[1].from + ends[1].along == 540_mm);

    box.corner = BoxCorner::mitred;
    parts = worked(box);
    CHECK(part(parts, "side").length == 540_mm);
    CHECK(part(parts, "top").length == 700_mm);
    CHECK(cuts_of(part(parts, "side"), Machining::mitre).size() == 2);
    CHECK(cuts_of(part(parts, "bottom"), Machining::mitre).size() == 2);

    // Over the sides: screws down into the middle of each side's thickness.
    const std::vector<BoxPart> over = worked(small_box());
    const std::vector<PartCut> screws = cuts_of(part(over, "top"), Machining::screw_hole);
    REQUIRE(screws.size() == 4); // 200 mm less 40 at either edge is one space of 120: two an end
    CHECK(screws.front().from == 10_mm);
    CHECK(screws.back().from == 690_mm);
    CHECK(screws[0].in == 40_mm);
    CHECK(screws[1].in == 160_mm);
    CHECK(plan_of(job_of(small_box())).joint_screws == 8);
}

TEST_CASE("a back in a rebate, in grooves, on the edges, housings that stop before the front", "[boxes][work]") {
    WallBox box = small_box();
    box.corner = BoxCorner::sides_through;
    box.back = BoxBack::rebated;
    box.rebate = 12_mm;
    std::vector<BoxPart> parts = worked(box);
    const PartCut rebate = cuts_of(part(parts, "side"), Machining::rebate).back();
    CHECK(rebate.across == 12_mm);
    CHECK(rebate.depth == 10_mm); // half the board
    CHECK(rebate.along == 540_mm);
    CHECK(part(parts, "shelf").breadth == 188_mm);

    box.back = BoxBack::grooved;
    box.groove_in = 18_mm;
    parts = worked(box);
    const std::vector<PartCut> grooves = cuts_of(part(parts, "top"), Machining::groove);
    REQUIRE(grooves.size() == 1);
    CHECK(grooves.front().in == 18_mm);
    CHECK(grooves.front().across == 12_mm);
    CHECK(part(parts, "shelf").breadth == 200_mm - 18_mm - 12_mm);
    CHECK(part(parts, "back").breadth == 700_mm - 20_mm); // 10 mm in either groove

    box.back = BoxBack::planted;
    box.stop = 15_mm;
    box.clearance = 1_mm;
    parts = worked(box);
    for (const PartCut& housing : cuts_of(part(parts, "side"), Machining::housing))
        CHECK(housing.across == 185_mm);
    const std::vector<PartCut> notches = cuts_of(part(parts, "shelf"), Machining::notch);
    REQUIRE(notches.size() == 2);
    CHECK(part(parts, "shelf").work.edge == "front edge");
    CHECK(notches[0].along == 9_mm); // what enters the housing
    CHECK(notches[0].across == 15_mm);
    CHECK(notches[1].from + notches[1].along == part(parts, "shelf").length);

    // What the back of a box lies in is not seen at ends that are.
    WallBox over = small_box();
    over.back = BoxBack::rebated;
    const PartCut hidden = cuts_of(part(worked(over), "top"), Machining::rebate).front();
    CHECK(hidden.from == 10_mm);
    CHECK(hidden.from + hidden.along == 690_mm);
}

TEST_CASE("any box: its parts make up its outer size, and every housing is where its shelf is", "[boxes][work]") {
    rc::prop("parts and cuts agree with the box", [] {
        WallBox box = small_box();
        box.width = Length::mm(*rc::gen::inRange(300, 1200));
        box.height = Length::mm(*rc::gen::inRange(400, 1800));
        box.depth = Length::mm(*rc::gen::inRange(120, 500));
        box.side = Length::mm(*rc::gen::inRange(15, 28));
        box.shelves = *rc::gen::inRange(0, 5);
        box.corner = static_cast<BoxCorner>(*rc::gen::inRange(0, 3));
        box.joint = static_cast<BoxJoint>(*rc::gen::inRange(0, 2));
        box.back = static_cast<BoxBack>(*rc::gen::inRange(0, 3));
        box.housing = Length::mm(*rc::gen::inRange(5, 13));
        box.clearance = Length::mm(*rc::gen::inRange(0, 3));
        box.stop = Length::mm(*rc::gen::inRange(0, 30));
        const std::vector<BoxPart> parts = worked(box);
        const BoxPart& side = part(parts, "side");
        const BoxPart& top = part(parts, "top");
        const bool over = box.corner == BoxCorner::over_sides;
        RC_ASSERT(side.length + (over ? 2 * box.side : Length{}) == box.height);
        const bool housed = box.joint == BoxJoint::housing;
        const Length enters = housed ? box.housing - box.clearance : Length{};
        if (box.corner == BoxCorner::sides_through)
            RC_ASSERT(top.length + 2 * (box.side - enters) == box.width);
        else
            RC_ASSERT(top.length == box.width);
        // Front to back: shelf, back, and what is behind it.
        const Length behind = box.back == BoxBack::rebated   ? box.rebate
                              : box.back == BoxBack::grooved ? box.groove_in + box.back_thickness
                                                             : Length{};
        RC_ASSERT(shelf_depth(box) + behind == box.depth);
        const Length top_of_side = over ? box.top - box.side : box.top;
        const std::vector<Length> tops = shelf_tops(box);
        const std::vector<PartCut> housings = cuts_of(side, Machining::housing);
        RC_ASSERT(housings.size() == (housed ? tops.size() : 0));
        for (std::size_t i = 0; i < housings.size(); ++i)
            RC_ASSERT(top_of_side - housings[i].from == tops[i]);
        for (const BoxPart& each : parts)
            for (const PartCut& cut : each.work.cuts) {
                const bool middle = by_its_middle(cut.kind);
                const Length from = middle ? cut.from - cut.along / 2 : cut.from;
                RC_ASSERT(from >= Length{});
                RC_ASSERT(from + cut.along <= each.length);
                RC_ASSERT(cut.in >= Length{});
                RC_ASSERT((middle ? cut.in : cut.in + cut.across) <= each.breadth);
                RC_ASSERT(cut.depth <= each.thickness);
                RC_ASSERT(cut.passes >= 1u);
            }
    });
}

TEST_CASE("screws in the ends of shelves bear what the standards let them in end grain", "[boxes][work]") {
    WallBox box = small_box();
    box.joint = BoxJoint::butt;
    box.corner = BoxCorner::sides_through;
    box.material = BoardMaterial::eastern_white_pine;
    const HouseRules rules;
    // NDS-2018 12.5.2: two thirds (0.67) of what the screw bears across the grain, for stored goods 0.9 of that.
    const ScrewProperties& eight = properties(ScrewGauge::number_8);
    const Wood across{0.36, false, false};
    const double in_end = 50 - 20;
    const Force plain = lateral_strength(eight, across, {20 / 25.4, wood_bearing(0.36)}, in_end / 25.4);
    CHECK(joint_screw_bears(box, rules) == Approx(plain.in_si() * 0.67 * 0.9).epsilon(0.01));
    // Boards that are heavier than spruce count as spruce.
    WallBox dense = box;
    dense.material = BoardMaterial::mdf;
    CHECK(joint_screw_bears(dense, rules) == joint_screw_bears(box, rules));
    // EN 1995-1-1 8.3.1.2(4): a third.
    HouseRules metric;
    metric.timber = TimberSchool::en;
    const Density wood = characteristic_density(0.36);
    const Force four = en_lateral(properties(ScrewGauge::metric_4), wood, true, {20_mm, wood}, 30_mm);
    CHECK(joint_screw_bears(box, metric) == Approx(four.in_si() / 3 * en_stored));

    // Display is borne; books on a wide shelf that stands on screws alone are not, and housing it cures that.
    box.load = {LoadKind::display, 0};
    CHECK(plan_of(job_of(box)).joint.within());
    box.load = {LoadKind::own, LineMass::kg_per_metre(400)};
    const BoxPlan heavy = plan_of(job_of(box));
    CHECK(heavy.joint.over());
    const Check* over = find_check(heavy.checks, checks::box_joint_overloaded);
    REQUIRE(over);
    CHECK(holds(heavy) == Holds::no);
    Job job = job_of(box);
    REQUIRE(over->cures.front().edit);
    job = apply(*over->cures.front().edit, std::move(job));
    CHECK_FALSE(find_check(plan_of(job).checks, checks::box_joint_overloaded));
}

TEST_CASE("who leans on a shelf's front edge loads the foremost screw of its joint, one screw alone is no joint",
          "[boxes][work][safety]") {
    WallBox box = small_box(); // 200 deep: screws at 40 and 160 from the back
    box.joint = BoxJoint::butt;
    const HouseRules rules;
    const double bears = joint_screw_bears(box, rules).in_si();
    CHECK(joint_used(box, 100_n, 0, rules).number() == Approx(50 / bears));
    // By levers about the other screw: 60 N at 200 mm is carried by that at 160 as 60 x 160 / 120 = 80 N, the other is
    // lifted by 20; people lean for a shorter time than goods stand, 1.0 for 0.9.
    CHECK(joint_used(box, 0, 60_n, rules).number() == Approx(80 / (bears * 1.0 / 0.9)));
    CHECK(joint_used(box, 100_n, 60_n, rules).number() == Approx((50 + 80) / (bears * 1.0 / 0.9)));
    WallBox narrow = box;
    narrow.depth = 100_mm;
    CHECK(joint_used(narrow, 10_n, 0, rules).is_refused());
    // A low shelf within somebody's reach is judged with him, a high one without.
    box.corner = BoxCorner::sides_through;
    box.depth = 300_mm;
    const BoxPlan high = plan_of(job_of(box));
    box.top = 1200_mm;
    const BoxPlan low = plan_of(job_of(box));
    CHECK(low.joint > high.joint);
}

TEST_CASE("a rule of the house that no joint can follow is said, not followed", "[boxes][work][strange]") {
    Job job = job_of(small_box());
    job.rules.boxes.joint_every = Length::nanometres(1);
    const BoxPlan plan = plan_of(job);
    CHECK(plan.parts.empty());
    CHECK(holds(plan) != Holds::yes);
    REQUIRE_FALSE(plan.checks.empty());
}

TEST_CASE("a corner that is held by glue or by pulled end grain is not said to hold", "[boxes][work]") {
    for (const BoxCorner corner : {BoxCorner::over_sides, BoxCorner::mitred}) {
        WallBox box = small_box();
        box.corner = corner;
        Job job = job_of(box);
        const BoxPlan plan = plan_of(job);
        const Check* unknown = find_check(plan.checks, checks::box_corner_unknown);
        REQUIRE(unknown);
        CHECK(holds(plan) == Holds::unknown);
        REQUIRE(unknown->cures.front().edit);
        job = apply(*unknown->cures.front().edit, std::move(job));
        CHECK_FALSE(find_check(plan_of(job).checks, checks::box_corner_unknown));
    }
}

TEST_CASE("a box is said to hold only where what joins its boards is reckoned and on the wall",
          "[boxes][work][safety]") {
    rc::prop("no wrong yes", [] {
        WallBox box = small_box();
        box.width = Length::mm(*rc::gen::inRange(300, 1200));
        box.height = Length::mm(*rc::gen::inRange(300, 1300));
        box.depth = Length::mm(*rc::gen::inRange(120, 400));
        box.side = Length::mm(*rc::gen::inRange(12, 28));
        box.shelves = *rc::gen::inRange(0, 4);
        box.corner = static_cast<BoxCorner>(*rc::gen::inRange(0, 3));
        box.joint = static_cast<BoxJoint>(*rc::gen::inRange(0, 2));
        box.back = static_cast<BoxBack>(*rc::gen::inRange(0, 3));
        box.groove_in = Length::mm(*rc::gen::inRange(0, 30));
        box.rail_thickness = Length::mm(*rc::gen::inRange(0, 30));
        box.load = {*rc::gen::inRange(0, 2) ? LoadKind::books : LoadKind::display, 0};
        const BoxPlan plan = plan_of(job_of(box, *rc::gen::inRange(0, 2) ? TimberSchool::en : TimberSchool::nds));
        for (const Check& check : plan.checks)
            RC_ASSERT(say(check.message, {}).find("nan") == std::string::npos);
        RC_TAG(holds(plan) == Holds::yes ? "holds" : "does not, or nobody knows");
        if (holds(plan) != Holds::yes)
            return;
        RC_ASSERT(box.corner == BoxCorner::sides_through);
        RC_ASSERT(box.joint == BoxJoint::housing || plan.joint.within());
        RC_ASSERT(box.back != BoxBack::grooved || box.rail_thickness >= box.groove_in);
        RC_ASSERT(plan.hang.utilisation.within());
    });
}

TEST_CASE("a back in grooves bears on the wall by strips behind it, else it holds nothing", "[boxes][work]") {
    WallBox box = small_box();
    box.corner = BoxCorner::sides_through;
    box.back = BoxBack::grooved;
    Job job = job_of(box);
    const BoxPlan off = plan_of(job);
    const Check* check = find_check(off.checks, checks::box_back_off_wall);
    REQUIRE(check);
    CHECK(holds(off) == Holds::no);
    CHECK_FALSE(find_check(off.checks, checks::box_back_pinned));
    REQUIRE(check->cures.front().edit);
    job = apply(*check->cures.front().edit, std::move(job));
    const BoxPlan on = plan_of(job);
    CHECK_FALSE(find_check(on.checks, checks::box_back_off_wall));
    CHECK(job.walls.front().boxes.front().rail_thickness == 18_mm);
    REQUIRE(on.hang.fixing);
    CHECK(on.hang.utilisation.known());
    CHECK(std::ranges::find(on.pieces, "strip behind top and bottom", &BoxPart::what) != on.pieces.end());
}

TEST_CASE("sizes of which no box can be made are refused in words", "[boxes][work]") {
    const auto refused = [](WallBox box) {
        const BoxPlan plan = plan_of(job_of(box));
        const Check* check = find_check(plan.checks, checks::box_cannot_be_made);
        REQUIRE(check);
        CHECK(check->severity == Severity::error);
        REQUIRE_FALSE(check->cures.empty());
        CHECK(plan.parts.empty());
    };
    WallBox box = small_box();
    box.stop = 200_mm;
    refused(box);
    box = small_box();
    box.back = BoxBack::grooved;
    box.groove_in = 190_mm;
    refused(box);
    box = small_box();
    box.side = 60_mm; // joint screws of 50 do not come through
    refused(box);
    // A housing through more than half of a side is weak, and said to be.
    box = small_box();
    box.housing = 12_mm;
    const BoxPlan weak = plan_of(job_of(box));
    const Check* check = find_check(weak.checks, checks::box_cannot_be_made);
    REQUIRE(check);
    CHECK(check->severity == Severity::warning);
}

TEST_CASE("joint screws stand no farther apart than the house has them, two at least", "[boxes][work]") {
    const BoxRules rules; // 40 in, 150 apart
    CHECK(joint_places({}, 200_mm, rules) == std::vector{40_mm, 160_mm});
    CHECK(joint_places({}, 400_mm, rules) == std::vector{40_mm, 40_mm + 320_mm / 3, 40_mm + 320_mm * 2 / 3, 360_mm});
    CHECK(joint_places(20_mm, 90_mm, rules) == std::vector{55_mm});
}

TEST_CASE("the schedule joins alike parts, keeps the order along them and goes to every file",
          "[boxes][work][sheets]") {
    const Job job = job_of(small_box());
    const Plan plan = reckon(job);
    const std::vector<WorkedPart> parts = worked_parts(job, plan);
    REQUIRE(parts.size() == 3); // the two sides together, top, bottom
    CHECK(parts[0].labels.size() == 2);
    for (const WorkedPart& each : parts) {
        CHECK(std::ranges::is_sorted(each.part.work.cuts, {}, &PartCut::from));
        const Drawing drawing = draw_work(each.part.work, 180, 50, 2.6, {});
        CHECK(drawing.height > 0);
        CHECK(drawing.height <= 50);
        // Every distance stands on the drawing, in the job's unit.
        for (const PartCut& cut : each.part.work.cuts)
            if (cut.from > Length{})
                CHECK(std::ranges::any_of(drawing.shapes, [&](const Shape& shape) {
                    const auto* text = std::get_if<Text>(&shape.form);
                    return text && text->text == format_bare(cut.from, Unit::mm);
                }));
    }
}

TEST_CASE("the strips that a box hangs by are screwed to its sides, and the schedule says where", "[boxes][bench]") {
    const WallBox box = on_strips();
    const auto holes = cuts_of(part(worked(box), "side"), Machining::screw_hole);
    std::vector<Length> from;
    for (const PartCut& hole : holes)
        if (say(hole.mind, {}).find("strip") != std::string::npos) {
            from.push_back(hole.from);
            CHECK(hole.in == 9_mm); // the strip's middle, before a back on the back edges
        }
    // A strip of 120 under a top of 20 and over a bottom of 20, in a side of 540: two screws in each end.
    CHECK(from == std::vector<Length>{60_mm, 100_mm, 440_mm, 480_mm});
    WallBox grooved = box;
    grooved.back = BoxBack::grooved;
    grooved.groove_in = 18_mm;
    grooved.depth = 250_mm;
    for (const PartCut& hole : cuts_of(part(worked(grooved), "side"), Machining::screw_hole))
        if (say(hole.mind, {}).find("strip") != std::string::npos)
            CHECK(hole.in == 9_mm); // behind the back
    WallBox rebated = box;
    rebated.back = BoxBack::rebated;
    rebated.rebate = 6_mm;
    for (const PartCut& hole : cuts_of(part(worked(rebated), "side"), Machining::screw_hole))
        if (say(hole.mind, {}).find("strip") != std::string::npos)
            CHECK(hole.in == 15_mm); // 6 of the rebate, half of 18
}

TEST_CASE("all that the wall carries of a box goes through the ends of its strips", "[boxes][joints][reference]") {
    // A stud behind its middle alone: each end of a strip takes half of what its screws do.
    WallBox box = on_strips();
    box.left = 1650_mm; // 1650 to 2350, the stud at 2000 in its middle
    Job job = job_of(box);
    std::erase_if(job.walls.front().studs, [](const Stud& stud) { return stud.centre != 2000_mm; });
    const BoxPlan plan = plan_of(job);
    REQUIRE(plan.strips.known());
    double worst = 0;
    for (const std::size_t row : {std::size_t{0}, std::size_t{1}})
        for (std::size_t one = 0; one < plan.hang.loads.size(); ++one) {
            double down = 0;
            double pull = 0;
            for (const PlannedHole& hole : plan.hang.holes)
                if (hole.row == row) {
                    down += hole.demands[one].down.in_si();
                    pull += hole.demands[one].tension.in_si();
                }
            worst = std::max(worst, std::hypot(down, pull) / 2);
        }
    CHECK(plan.strips.number() == Approx(worst / 2 / joint_screw_bears(box, job.rules).in_si()));
    // Nearer one side that side takes more.
    box.left = 1850_mm;
    Job aside = job_of(box);
    aside.walls.front().studs = job.walls.front().studs;
    CHECK(plan_of(aside).strips.number() > plan.strips.number());
}

TEST_CASE("strips whose ends are not held enough are wrong", "[boxes][joints][safety]") {
    double before = 0;
    bool over = false;
    for (const double load : {20.0, 60.0, 150.0, 400.0}) {
        WallBox box = on_strips();
        box.load = {LoadKind::own, LineMass::kg_per_metre(load)};
        const BoxPlan plan = plan_of(job_of(box));
        if (!plan.strips.known())
            continue;
        CHECK(plan.strips.number() >= before);
        before = plan.strips.number();
        CHECK(std::ranges::any_of(plan.checks, [](const Check& check) {
                  return check.code == checks::box_joint_overloaded &&
                         say(check.message, {}).find("strips") != std::string::npos;
              }) == plan.strips.over());
        over |= plan.strips.over();
    }
    CHECK(over);
    // A back thick enough has none, and nothing of them is said.
    CHECK(plan_of(job_of(small_box())).strips.number() == 0);
}
