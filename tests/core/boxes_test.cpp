#include "core/boxes/audit_cabinet.hpp"
#include "core/boxes/box_parts.hpp"
#include "core/boxes/new_box.hpp"
#include "core/boxes/reckon_box.hpp"
#include "core/measure/conversions.hpp"
#include "core/site/site_checks.hpp"
#include "piece_walls.hpp"

#include <cmath>

using namespace yes_square;

namespace {

/// 700 wide, 19 mm sides, 10 mm housings with 1 mm clearance at each end, 235 mm boards with an 8 mm rebate.
WallBox bookcase() {
    WallBox box;
    box.id = "box";
    box.name = "Bookcase";
    box.left = 1500_mm;
    box.top = 1900_mm;
    box.width = 700_mm;
    box.height = 800_mm;
    box.depth = 235_mm;
    box.back_thickness = 12_mm;
    return box;
}

Job box_job(const WallBox& box, Wall wall = stud_wall()) {
    Job job = bare_job(std::move(wall));
    job.walls.front().boxes = {box};
    return job;
}

BoxPlan box_plan(const Job& job) {
    return reckon(job).walls.front()->boxes.front();
}

const BoxPart& part(const std::vector<BoxPart>& parts, std::string_view what) {
    return *std::ranges::find(parts, what, &BoxPart::what);
}

HungCabinet found_cabinet() {
    HungCabinet hung = old_cabinet();
    hung.top_screws = 3;
    hung.bottom_screws = 3;
    hung.studs = 3;
    hung.gauge = ScrewGauge::number_10;
    hung.screw_length = 3_in;
    hung.broad_heads = true;
    return hung;
}

HungPlan hung_plan(const HungCabinet& hung, Wall wall = stud_wall()) {
    Job job = bare_job(std::move(wall));
    job.walls.front().hung = {hung};
    return reckon(job).walls.front()->hung.front();
}

} // namespace

TEST_CASE("housings lengthen what enters them, a rebated back shortens the shelves", "[boxes][check-value]") {
    // Common practice rows of the check values: 700 wide, 19 mm sides, 10 mm housings, 1 mm clearance at each end:
    // centre shelf 680; a 235 mm board less an 8 mm rebate: 227.
    const std::vector<BoxPart> parts = box_parts(bookcase());
    CHECK(part(parts, "shelf").length == 680_mm);
    CHECK(part(parts, "shelf").breadth == 227_mm);
    CHECK(part(parts, "shelf").number == 2);
    CHECK(part(parts, "top").length == 680_mm);
    CHECK(part(parts, "top").breadth == 235_mm);
    CHECK(part(parts, "side").length == 800_mm);
    CHECK(part(parts, "back").breadth == 700_mm - 19_mm - 2_mm);

    WallBox butt = bookcase();
    butt.joint = BoxJoint::butt;
    butt.back = BoxBack::planted;
    const std::vector<BoxPart> plain = box_parts(butt);
    CHECK(part(plain, "shelf").length == 662_mm);
    CHECK(part(plain, "shelf").breadth == 235_mm);
    CHECK(part(plain, "back").length == 800_mm);
    CHECK(part(plain, "back").breadth == 700_mm);
}

TEST_CASE("square when both diagonals are equal, else its top goes back by what they differ", "[boxes][check-value]") {
    // 600 x 800, diagonals 1002 and 998: (1002^2 - 998^2) / (4 x 600) = 3.33 mm over 800.
    const BoxRules rules;
    const Squareness off = squareness(600_mm, 800_mm, 1002_mm, 998_mm, rules);
    CHECK(off.top_moves.in_mm() == Approx(3.333).margin(0.001));
    CHECK_FALSE(off.to_right); // the rising one is longer: it leans to the right
    CHECK(off.angle == Approx(std::asin(3.3333 / 800)).epsilon(1e-4));
    CHECK_FALSE(off.within);
    const Squareness square = squareness(600_mm, 800_mm, 1000_mm, 1000_mm, rules);
    CHECK(square.top_moves == Length{});
    CHECK(square.within);
    // 900, 1200, 1500: a right angle.
    WallBox box = bookcase();
    box.width = 900_mm;
    box.height = 1200_mm;
    CHECK(box_plan(box_job(box)).diagonal == 1500_mm);
    box.diagonal_rising = 1505_mm;
    box.diagonal_falling = 1495_mm;
    const BoxPlan plan = box_plan(box_job(box));
    const Check* out = find_check(plan.checks, checks::box_not_square);
    REQUIRE(out);
    CHECK(out->amount->si == Approx((1.505 * 1.505 - 1.495 * 1.495) / 3.6).margin(1e-6));
}

TEST_CASE("a box's mass comes from its parts, its load from its shelves, top and bottom", "[boxes]") {
    const BoxPlan plan = box_plan(box_job(bookcase()));
    double mass = 0;
    const double pine = properties(BoardMaterial::eastern_white_pine).density.in_si();
    const double ply = properties(BoardMaterial::plywood).density.in_si();
    mass += 2 * 0.8 * 0.235 * 0.019 * pine;  // sides
    mass += 2 * 0.68 * 0.235 * 0.019 * pine; // top and bottom
    mass += 2 * 0.68 * 0.227 * 0.019 * pine; // shelves
    mass += 0.779 * 0.679 * 0.012 * ply;     // back
    CHECK(plan.mass == Approx(mass));
    CHECK(plan.loaded_mass == Approx(mass + 4 * 37 * 0.662)); // books, 37 kg/m (common practice)
    // Two shelves between: (800 - 4 x 19) / 3 = 241.33 clear.
    REQUIRE(plan.shelf_tops.size() == 2);
    CHECK((1900_mm - plan.shelf_tops[0]).in_mm() == Approx(19 + 241.333).margin(0.001));
}

TEST_CASE("a bookcase full of books hangs by coach screws, as deep in the stud as before it", "[boxes]") {
    const BoxPlan plan = box_plan(box_job(bookcase()));
    REQUIRE(plan.hang.fixing);
    CHECK(plan.hang.fixing->coach);
    CHECK(plan.hang.fixing->penetration >= 12_mm + Length::micrometres(12'500));
    CHECK(plan.hang.fixing->clearance > plan.hang.fixing->hole_diameter);
    REQUIRE(plan.hang.utilisation.known());
    CHECK(plan.hang.utilisation.number() <= 1);
    CHECK(plan.hang.holes.size() >= 2);
    for (const PlannedHole& hole : plan.hang.holes)
        CHECK(hole.substrate == Substrate::proved_stud);
    CHECK(std::ranges::any_of(
        plan.steps, [](const Step& step) { return step.words.pattern.starts_with("Wax or grease the coach screws"); }));
    // In brick plugs take their place.
    const BoxPlan brick = box_plan(box_job(bookcase(), masonry_wall()));
    REQUIRE(brick.hang.fixing);
    CHECK_FALSE(brick.hang.fixing->coach);
}

TEST_CASE("a back that is pinned or thin is refused, and its cure makes it good", "[boxes]") {
    WallBox box = bookcase();
    box.back_screwed = false;
    Job job = box_job(box);
    BoxPlan plan = box_plan(job);
    const Check* pinned = find_check(plan.checks, checks::box_back_pinned);
    REQUIRE(pinned);
    CHECK_FALSE(plan.hang.fixing);
    CHECK(box_plan(apply(*pinned->cures.front().edit, job)).hang.fixing);

    box = bookcase();
    box.back_thickness = 4_mm;
    job = box_job(box);
    plan = box_plan(job);
    const Check* thin = find_check(plan.checks, checks::box_back_thin);
    REQUIRE(thin);
    CHECK_FALSE(plan.hang.fixing);
    const BoxPlan cured = box_plan(apply(*thin->cures.front().edit, job));
    CHECK_FALSE(find_check(cured.checks, checks::box_back_thin));
    CHECK(cured.hang.fixing);
}

TEST_CASE("a box that cannot be made says why", "[boxes]") {
    WallBox box = bookcase();
    SECTION("housing through the side") {
        box.housing = 19_mm;
    }
    SECTION("no room between") {
        box.width = 38_mm;
    }
    SECTION("more shelves than height") {
        box.shelves = 60;
    }
    SECTION("rebate deeper than the box") {
        box.rebate = 235_mm;
    }
    SECTION("nothing enters") {
        box.clearance = 10_mm;
    }
    const BoxPlan plan = box_plan(box_job(box));
    CHECK(find_check(plan.checks, checks::box_cannot_be_made));
    CHECK(plan.pieces.empty());
}

TEST_CASE("a cabinet with a screw through each rail in each of three studs is sound", "[audit]") {
    const HungPlan plan = hung_plan(found_cabinet());
    CHECK(plan.verdict == HungVerdict::sound);
    CHECK(find_check(plan.checks, checks::hung_unsound) == nullptr);
    REQUIRE(plan.utilisation.known());
    CHECK(plan.utilisation.number() <= 1);
    CHECK(plan.counts == 6);
    CHECK(plan.checks.empty());
}

TEST_CASE("what was found is judged by what counts, and what is missing is named with its screws", "[audit]") {
    HungCabinet hung = found_cabinet();
    SECTION("no screws in the bottom rail: add them") {
        hung.bottom_screws = 0;
        const HungPlan plan = hung_plan(hung);
        CHECK(plan.verdict != HungVerdict::sound);
        CHECK(plan.add_bottom >= 2);
        const Check* check = find_check(plan.checks, checks::hung_unsound);
        REQUIRE(check);
        CHECK(std::ranges::any_of(check->cures,
                                  [](const Cure& cure) { return cure.words.pattern.starts_with("Add {0} screws"); }));
        REQUIRE(plan.wanted.fixing);
    }
    SECTION("lining screws, or screws that nobody knows, count for nothing") {
        hung.gauge.reset();
        CHECK(hung_plan(hung).verdict == HungVerdict::unload);
        CHECK(hung_plan(hung).add_top >= 2);
    }
    SECTION("screws through a thin back alone") {
        hung.unit.rails.clear();
        hung.unit.back = 4_mm;
        hung.back_screws = 6;
        const HungPlan plan = hung_plan(hung);
        CHECK(plan.verdict == HungVerdict::unload);
        CHECK_FALSE(plan.utilisation.known());
    }
    SECTION("screws in nothing but lining") {
        hung.top_screws = hung.bottom_screws = 0;
        hung.stray_screws = 4;
        CHECK(hung_plan(hung).verdict == HungVerdict::unload);
    }
    SECTION("studs that nobody proved") {
        Wall wall = stud_wall();
        for (Stud& stud : wall.studs)
            stud.state = StudState::assumed;
        CHECK(hung_plan(hung, wall).verdict == HungVerdict::unload);
    }
    SECTION("on one stud it wants a neighbour") {
        hung.studs = 1;
        hung.unit.loaded_mass = 30_kg;
        const HungPlan alone = hung_plan(hung);
        CHECK(alone.verdict != HungVerdict::sound);
    }
    SECTION("too short") {
        hung.screw_length = 25_mm;
        CHECK(hung_plan(hung).verdict == HungVerdict::unload);
    }
    SECTION("plugs in masonry whose figures nobody knows") {
        CHECK(hung_plan(hung, masonry_wall()).verdict == HungVerdict::unload);
    }
    SECTION("too heavy") {
        hung.unit.loaded_mass = 400_kg;
        const HungPlan plan = hung_plan(hung);
        CHECK(plan.verdict == HungVerdict::unload);
        REQUIRE(plan.utilisation.known());
        CHECK(plan.utilisation.number() > 1);
    }
}

TEST_CASE("fewer screws are never better held", "[audit][property]") {
    HungCabinet hung = found_cabinet();
    double before = 0;
    for (int screws = 6; screws >= 1; --screws) {
        hung.top_screws = hung.bottom_screws = screws;
        const HungPlan plan = hung_plan(hung);
        REQUIRE(plan.utilisation.known());
        CHECK(plan.utilisation.number() >= before - 1e-12);
        before = plan.utilisation.number();
    }
}

TEST_CASE("nothing hangs on a stud that is only indicated", "[boxes][audit]") {
    Wall wall = stud_wall();
    for (Stud& stud : wall.studs)
        stud.state = StudState::indicated;
    const BoxPlan box = box_plan(box_job(bookcase(), wall));
    CHECK_FALSE(box.hang.fixing);
    CHECK(find_check(box.checks, checks::few_studs)->severity == Severity::error);
    CHECK(hung_plan(found_cabinet(), wall).verdict == HungVerdict::unload);
}

TEST_CASE("two screws side by side on one stud do not stop a cabinet from turning", "[audit]") {
    HungCabinet hung = found_cabinet();
    hung.studs = 1;
    hung.bottom_screws = 0;
    hung.top_screws = 2;
    hung.joined_left = true;
    hung.unit.rails.resize(1);
    hung.left = 1700_mm; // its one stud lies well beside its middle
    hung.unit.width = 500_mm;
    const HungPlan plan = hung_plan(hung);
    CHECK(plan.verdict == HungVerdict::unload);
    REQUIRE(plan.utilisation.known());
    CHECK(std::isinf(plan.utilisation.number()));
}

TEST_CASE("on one stud it is said what the box holds, and moving it puts the stud behind its middle",
          "[boxes][safety]") {
    Wall wall = stud_wall();
    std::erase_if(wall.studs, [](const Stud& stud) { return stud.centre != 2000_mm; });
    WallBox box = bookcase();
    box.width = 500_mm;
    box.left = 1900_mm; // the stud is 150 from its middle
    box.load = {LoadKind::books, 0};
    const Job job = box_job(box, wall);
    const BoxPlan plan = box_plan(job);
    const Check* one = find_check(plan.checks, checks::few_studs);
    REQUIRE(one);
    CHECK(one->amount->si == Approx(0.150));
    REQUIRE(plan.holds);
    // As much as it says it holds, and two kilograms more it does not, unless that is all it is made for.
    const auto with = [&](Mass goods) {
        Job other = job;
        WallBox& changed = other.walls.front().boxes.front();
        const double boards = changed.shelves + 2;
        changed.load = {LoadKind::own, LineMass::kg_per_metre(goods.in_si() / boards / 0.462)};
        return box_plan(other).hang.utilisation;
    };
    CHECK_FALSE(with(*plan.holds).over());
    if (*plan.holds < plan.loaded_mass - plan.mass)
        CHECK(with(*plan.holds + 2_kg).over());
    const auto move = std::ranges::find_if(one->cures, [](const Cure& cure) { return cure.edit.has_value(); });
    REQUIRE(move != one->cures.end());
    const BoxPlan moved = box_plan(apply(*move->edit, job));
    REQUIRE(moved.holds);
    CHECK(find_check(moved.checks, checks::few_studs)->amount->si == Approx(0));
    CHECK(*moved.holds >= *plan.holds);
    // On two studs nothing of the kind is said.
    CHECK_FALSE(box_plan(box_job(bookcase())).holds);
}

TEST_CASE("a stud at a box's edge, where no driver inside comes, is named and not counted", "[boxes][safety]") {
    Wall wall = stud_wall();
    std::erase_if(wall.studs, [](const Stud& stud) { return stud.centre > 2000_mm || stud.centre < 1600_mm; });
    WallBox box = bookcase();
    box.left = 1575_mm; // the stud at 1600 lies 25 in, behind its side and a driver's room
    box.width = 600_mm;
    const BoxPlan plan = box_plan(box_job(box, wall));
    CHECK(plan.hang.out_of_reach == std::vector<Length>{1600_mm});
    for (const PlannedHole& hole : plan.hang.holes)
        CHECK(hole.x == 2000_mm);
    const Check* one = find_check(plan.checks, checks::few_studs);
    REQUIRE(one);
    CHECK(std::ranges::any_of(one->cures, [](const Cure& cure) {
        return say(cure.words, {}).find("1600 mm lies behind its edge") != std::string::npos;
    }));
}
