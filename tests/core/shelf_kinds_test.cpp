#include "core/fixings/bracket_forces.hpp"
#include "core/fixings/drilling.hpp"
#include "core/shelves/new_shelf.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_loads.hpp"
#include "core/site/site_checks.hpp"
#include "core/statics/back_held.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

namespace {

Shelf board(Length left, Length length, Length depth = 250_mm) {
    Shelf shelf = new_shelf(shelf_preset("brackets"), stud_wall());
    shelf.left = left;
    shelf.length = length;
    shelf.depth = depth;
    return shelf;
}

} // namespace

TEST_CASE("a shelf of every kind begins with a plan that has marks, steps and workings", "[shelves][kinds]") {
    for (const Wall& wall : {stud_wall(), masonry_wall()})
        for (const ShelfPreset& kind : all_kinds()) {
            INFO(kind.words);
            const Shelf shelf = new_shelf(kind, wall);
            CHECK(preset_of(shelf) == kind);
            const ShelfPlan plan = shelf_plan(job_with(wall, shelf));
            CHECK(plan.holes.size() + plan.cleats.size() > 0);
            CHECK_FALSE(plan.workings.empty());
            CHECK(std::ranges::any_of(plan.steps, [](const Step& step) { return step.hold_point; }));
        }
}

TEST_CASE("hanging a shelf another way and back keeps its place", "[shelves][kinds]") {
    const Wall wall = stud_wall();
    for (const ShelfPreset& kind : all_kinds()) {
        Shelf shelf = board(300_mm, 1100_mm);
        hang_as(kind, shelf, wall);
        CHECK(preset_of(shelf) == kind);
        CHECK(shelf.left == 300_mm);
        CHECK(shelf.length == 1100_mm);
        hang_as(shelf_preset("brackets"), shelf, wall);
        CHECK(preset_of(shelf) == shelf_preset("brackets"));
    }
}

TEST_CASE("a keyhole shelf two studs apart: 5, 37 and 69 in, with two holes the far end lifts",
          "[shelves][kinds][common-practice]") {
    Wall wall = stud_wall();
    wall.studs.clear();
    for (int i = 0; i < 7; ++i)
        wall.studs.push_back({Length::inches(21 + 16 * i), StudState::proved, Length::micrometres(600), {}});
    Shelf shelf = new_shelf(shelf_preset("keyholes"), wall);
    shelf.left = 16_in;
    shelf.length = 72_in;
    auto& how = std::get<OnKeyholes>(shelf.holding);
    how.plate.holes = {{5_in, 30_mm, false, {}}, {37_in, 30_mm, false, {}}, {69_in, 30_mm, false, {}}};
    const ShelfPlan three = shelf_plan(job_with(wall, shelf));
    REQUIRE(three.brackets.size() == 3);
    for (const BracketPlan& place : three.brackets)
        CHECK(place.substrate == Substrate::proved_stud);
    CHECK(three.brackets[1].x == 53_in);
    CHECK_FALSE(find_check(three, checks::keyhole_lifts));

    how.plate.holes.pop_back();
    const ShelfPlan two = shelf_plan(job_with(wall, shelf));
    const Check* lifts = find_check(two, checks::keyhole_lifts);
    REQUIRE(lifts);
    CHECK(lifts->severity == Severity::error);
    CHECK(lifts->x == 21_in);
}

TEST_CASE("a keyhole shelf needs room over it to come off", "[shelves][kinds][common-practice]") {
    Shelf shelf = new_shelf(shelf_preset("keyholes"), stud_wall());
    Job job = job_with(stud_wall(), shelf);
    Shelf above = board(shelf.left, shelf.length);
    above.id = "above";
    above.name = "Above";
    above.height = shelf.height + above.thickness + 20_mm;
    job.walls.front().shelves.push_back(above);
    const ShelfPlan plan = shelf_plan(job);
    const Check* room = find_check(plan, checks::keyhole_no_room);
    REQUIRE(room);
    CHECK(room->amount->si == Approx(0.0254 + 0.005 - 0.020)); // 1 in of slot, 5 mm over it, 20 mm there
    CHECK_FALSE(find_check(cured(job, checks::keyhole_no_room), checks::keyhole_no_room));
}

TEST_CASE("a hidden bracket's mark is the shelf's end and its offset, holes that must be used want a stud",
          "[shelves][kinds][common-practice]") {
    Shelf shelf = new_shelf(shelf_preset("hidden_bracket"), stud_wall());
    shelf.left = 1000_mm;
    shelf.length = 1300_mm;
    auto& how = std::get<OnHiddenBracket>(shelf.holding);
    how.offset = 240_mm;
    how.plate.width = 820_mm;
    how.plate.holes = {{20_mm, 8_mm, true, {}}, {420_mm, 8_mm, false, {}}, {800_mm, 8_mm, true, {}}};
    Job job = job_with(stud_wall(), shelf);
    const ShelfPlan plan = shelf_plan(job);
    CHECK(plan.brackets[0].x == 1000_mm + 240_mm + 20_mm);
    const Check* must = find_check(plan, checks::hole_must_hold);
    REQUIRE(must); // at 1260, with studs at 1200 and 1600
    CHECK(must->x == 1260_mm);

    // 800 apart instead of 780: a slide can put both on studs, and the program finds it.
    std::get<OnHiddenBracket>(job.walls.front().shelves.front().holding).plate.holes.back().across = 820_mm;
    const ShelfPlan moved = cured(job, checks::hole_must_hold);
    CHECK(moved.brackets[0].substrate == Substrate::proved_stud);
    CHECK(moved.brackets[2].substrate == Substrate::proved_stud);
    CHECK_FALSE(find_check(moved, checks::hole_must_hold));
}

TEST_CASE("a fixture's holes share its weight by levers, and its pulls come to its moment",
          "[shelves][kinds][statics]") {
    Shelf basin = new_shelf(shelf_preset("fixture"), masonry_wall());
    basin.length = 600_mm;
    basin.thickness = 500_mm;
    basin.depth = 450_mm;
    auto& how = std::get<Fixture>(basin.holding);
    how.mass = 30_kg;
    how.contents_mass = 20_kg;
    how.plate.holes = {{100_mm, 50_mm, false, {}}, {500_mm, 50_mm, false, {}}};
    const ShelfPlan plan = shelf_plan(job_with(masonry_wall(), basin));
    // M = 50 g x 0.225, holes 500 - 50 - 5 = 445 mm over the edge it turns about; half the contents on one side pull
    // that side down by (30 x 300 + 10 x 450) / 40 = 337.5 mm instead of 300.
    const double g = 9.80665;
    const double even = 50 * g * 0.225 / (2 * 0.445);
    CHECK(plan.brackets[0].tension == Approx(even).epsilon(1e-6));
    CHECK(plan.brackets[0].shear >= weight_of(25_kg) - 1e-9_n);
    CHECK(plan.mass == 30_kg);
    REQUIRE(plan.brackets[0].fixing);
    CHECK(find_check(plan, checks::bracket_unrated));
}

TEST_CASE("a fixture with one hole that holds is refused", "[shelves][kinds][safety]") {
    Shelf mirror = new_shelf(shelf_preset("fixture"), stud_wall());
    mirror.left = 350_mm;
    auto& how = std::get<Fixture>(mirror.holding);
    how.plate.holes = {{50_mm, 30_mm, false, {}}, {250_mm, 30_mm, false, {}}}; // a stud at 400 only
    const ShelfPlan plan = shelf_plan(job_with(stud_wall(), mirror));
    CHECK(find_check(plan, checks::plate_few_holes)->severity == Severity::error);
}

TEST_CASE("an alcove shelf: half on each side strip, front cut shorter where the walls lean in",
          "[shelves][kinds][statics]") {
    Wall wall = masonry_wall();
    wall.length = 1000_mm;
    Shelf shelf = new_shelf(shelf_preset("cleats"), wall);
    shelf.depth = 300_mm;
    auto& how = std::get<OnCleats>(shelf.holding);
    how.left_leans = 6_mm;
    how.right_leans = 4_mm;
    const ShelfPlan plan = shelf_plan(job_with(wall, shelf));
    REQUIRE(plan.pieces.size() == 1);
    CHECK(plan.pieces[0].back == 998_mm);
    CHECK(plan.pieces[0].front == 988_mm);
    REQUIRE(plan.cleats.size() == 3);
    const ShelfLoads loads = loads_of(shelf, {});
    CHECK(plan.cleats[0].load == approx(loads.total(shelf.length) / 2).epsilon(1e-3));
    CHECK(plan.cleats[2].load == approx(loads.total(shelf.length) / 2));
    CHECK(find_check(plan, checks::cleat_wall_unknown)); // nobody has surveyed the side walls
    // Simple span between the middles of the strips.
    const double span = 1.0 - 0.025;
    const double w = (loads.self_load + loads.goods_load).in_si();
    CHECK(plan.sag->span == Approx(span));
    // Its back lies on a strip all along: see back_held_plate_test.
    const double held = back_held_share(shelf.length, shelf.depth, shear_share(shelf.material));
    CHECK(plan.back_held == held);
    CHECK(plan.sag->instantaneous ==
          Approx(held * 5 * w * std::pow(span, 4) / (384 * way_of(shelf).section(shelf).stiffness.in_si()))
              .epsilon(0.01));
    how.back = false;
    CHECK(shelf_plan(job_with(wall, shelf)).sag->instantaneous == Approx(plan.sag->instantaneous / held));
    how.back = true;

    SECTION("without a strip on one side it is refused, and the cure puts one there") {
        how.right = false;
        const Job job = job_with(wall, shelf);
        CHECK(find_check(shelf_plan(job), checks::cleat_sides_missing)->severity == Severity::error);
        CHECK_FALSE(find_check(cured(job, checks::cleat_sides_missing), checks::cleat_sides_missing));
    }
}

TEST_CASE("on a framed wall whose neighbours nobody surveyed an alcove shelf is refused", "[shelves][kinds][safety]") {
    Wall wall = stud_wall();
    wall.length = 1000_mm;
    const ShelfPlan plan = shelf_plan(job_with(wall, new_shelf(shelf_preset("cleats"), wall)));
    CHECK(find_check(plan, checks::one_stud)->severity == Severity::error);
    CHECK(find_check(plan, checks::cleat_wall_unknown));
}

TEST_CASE("slotted uprights carry all their shelves on the top screws", "[shelves][kinds][statics]") {
    Shelf shelf = new_shelf(shelf_preset("standards"), masonry_wall(MasonryKind::concrete));
    shelf.load.kind = LoadKind::display;
    const Job job = job_with(masonry_wall(MasonryKind::concrete), shelf);
    const ShelfPlan plan = shelf_plan(job);
    const auto& how = std::get<OnStandards>(shelf.holding);
    REQUIRE_FALSE(plan.brackets.empty());
    CHECK(plan.holes.size() == 4 * plan.brackets.size()); // once for the stack: 25, 275, 525, 775 down a metre
    const BracketPlan& place = plan.brackets.front();
    // Three boards, each at half its depth, over the lever from the top screw to the lowest; or leaned on, if more.
    const Force stored = 3 * place.reaction.sustained * 125_mm / 750_mm;
    CHECK(place.tension >= stored - 1e-6_n);
    CHECK(plan.holes.front().z == shelf.underside() + how.top_over - how.first_hole);
    CHECK_FALSE(find_check(plan, checks::slots_missed));
}

TEST_CASE("shelves that miss the slots are put on them, and uprights grow to the lowest shelf", "[shelves][kinds]") {
    Shelf shelf = new_shelf(shelf_preset("standards"), stud_wall());
    shelf.rise = 330_mm;
    Job job = job_with(stud_wall(), shelf);
    const ShelfPlan missed = shelf_plan(job);
    CHECK(find_check(missed, checks::slots_missed)->amount->si == Approx(0.010)); // 330 = 10 x 32 + 10
    const ShelfPlan on = cured(job, checks::slots_missed);
    CHECK_FALSE(find_check(on, checks::slots_missed));

    job.walls.front().shelves.front().rise = 480_mm;
    CHECK(find_check(shelf_plan(job), checks::upright_too_short));
    CHECK_FALSE(find_check(cured(job, checks::upright_too_short), checks::upright_too_short));
}

TEST_CASE("tiers on brackets keep their legs clear of one another", "[shelves][kinds][common-practice]") {
    Shelf shelf = board(400_mm, 1200_mm);
    shelf.tiers = 3;
    shelf.rise = 250_mm;
    shelf.height = 1800_mm;
    const Job job = job_with(stud_wall(), shelf);
    const ShelfPlan plan = shelf_plan(job);
    REQUIRE(plan.bracket);
    const Check* close = find_check(plan, checks::tiers_too_close);
    REQUIRE(close);
    // leg + board + 20 mm of room
    CHECK(close->amount->si == Approx((plan.bracket->leg + shelf.thickness + 20_mm - 250_mm).in_metres()));
    CHECK_FALSE(find_check(cured(job, checks::tiers_too_close), checks::tiers_too_close));
    // Every tier has its own holes.
    CHECK(plan.holes.size() == 3 * plan.brackets.size() * plan.bracket->hole_drops.size());
}

TEST_CASE("a bracket with its leg up turns about its arm, and its holes are over the board", "[shelves][kinds]") {
    Shelf shelf = board(400_mm, 1200_mm);
    shelf.bracket = "ribbed-225";
    const ShelfPlan down = shelf_plan(job_with(stud_wall(), shelf));
    std::get<OnBrackets>(shelf.holding).leg_up = true;
    const ShelfPlan up = shelf_plan(job_with(stud_wall(), shelf));
    const Bracket& bracket = *up.bracket; // leg 275, holes 25, 140 and 245 from the arm
    CHECK(bracket.hole_drops == std::vector{30_mm, 135_mm, 250_mm});
    CHECK(up.holes[0].z == shelf.underside() + 245_mm);
    CHECK(down.holes[0].z == shelf.underside() - 25_mm);
    const Force reaction = up.brackets[0].reaction.sustained;
    const BracketForces forces = bracket_forces_from_moment(bracket, reaction, reaction * 125_mm, 1_mpa);
    CHECK(up.brackets[0].tension >= forces.tension.front() - 1e-9_n);
}

TEST_CASE("boards meet on the middle of a bracket in a stud", "[shelves][kinds][common-practice]") {
    Shelf shelf = board(300_mm, 2600_mm);
    const Job job = job_with(stud_wall(), shelf);
    CHECK(find_check(shelf_plan(job), checks::board_too_long)->amount->si == Approx(0.160)); // over 2440
    const ShelfPlan joined = cured(job, checks::board_too_long);
    REQUIRE(joined.pieces.size() == 2);
    CHECK(joined.pieces[0].back + joined.pieces[1].back == 2600_mm);
    const Length joint = joined.pieces[1].left;
    const auto under = std::ranges::find(joined.brackets, joint, &BracketPlan::x);
    REQUIRE(under != joined.brackets.end());
    CHECK(under->substrate == Substrate::proved_stud);

    SECTION("a joint where nothing carries is an error") {
        shelf.joints = {1350_mm}; // at 1650: no stud there
        const ShelfPlan off = shelf_plan(job_with(stud_wall(), shelf));
        CHECK(find_check(off, checks::joint_unsupported)->severity == Severity::error);
        CHECK_FALSE(
            find_check(cured(job_with(stud_wall(), shelf), checks::joint_unsupported), checks::joint_unsupported));
    }
}

TEST_CASE("a desk is leaned on with 1000 N at its front edge", "[shelves][kinds][house-rule]") {
    Shelf desk = new_shelf(shelf_preset("desk"), masonry_wall(MasonryKind::concrete));
    const ShelfPlan plan = shelf_plan(job_with(masonry_wall(MasonryKind::concrete), desk));
    for (const BracketPlan& place : plan.brackets)
        CHECK(place.reaction.greatest - place.reaction.sustained >= 1000_n - 1e-6_n);
    CHECK_FALSE(find_check(plan, checks::desk_height));
    desk.height = 900_mm;
    CHECK(find_check(shelf_plan(job_with(masonry_wall(MasonryKind::concrete), desk)), checks::desk_height));
    CHECK(std::ranges::any_of(
        plan.steps, [](const Step& step) { return step.words.pattern.find("one plane") != std::string_view::npos; }));
}

TEST_CASE("a pole sags as a round beam between its brackets", "[shelves][kinds][statics]") {
    Shelf pole = new_shelf(shelf_preset("pole"), masonry_wall());
    pole.length = 1200_mm;
    pole.load = {LoadKind::own, 6_kg_m};
    const ShelfPlan plan = shelf_plan(job_with(masonry_wall(), pole));
    REQUIRE(plan.brackets.size() == 2);
    const double span = (plan.brackets[1].x - plan.brackets[0].x).in_metres();
    const double a = plan.left_overhang.in_metres();
    const double ei = 12.5e9 * 3.14159265 / 64 * std::pow(0.028, 4);
    const double self = 700 * 3.14159265 / 4 * 0.028 * 0.028 * 9.80665;
    const double goods = 6 * 9.80665;
    // Overhangs empty, the span full: 5wL4/384EI, less what the ends' own weight lifts: w a2 L2 / 16 EI.
    const double sag = (5 * (self + goods) * std::pow(span, 4) / 384 - self * a * a * span * span / 16) / ei;
    CHECK(plan.sag->instantaneous == Approx(sag).epsilon(0.01));
}

TEST_CASE("a curtain pole reaches 4 to 6 in past the window and lies between trim and ceiling",
          "[shelves][kinds][common-practice]") {
    Wall wall = masonry_wall();
    wall.openings.push_back({OpeningKind::window, 1200_mm, 900_mm, 1000_mm, 1200_mm, 60_mm, {}});
    const Shelf pole = new_shelf(shelf_preset("pole"), wall);
    CHECK(pole.length >= 1000_mm + 8_in);
    CHECK(pole.length <= 1000_mm + 12_in);
    CHECK(pole.height >= 2100_mm + 200_mm); // half way of the 400 to the ceiling
    CHECK(pole.height <= 2100_mm + 267_mm); // two thirds
    for (const BracketPlan& place : shelf_plan(job_with(wall, pole)).brackets)
        CHECK(place.substrate == Substrate::masonry);
}

TEST_CASE("holes of a plate too near to one another are told", "[shelves][kinds][common-practice]") {
    Shelf shelf = new_shelf(shelf_preset("fixture"), masonry_wall());
    std::get<Fixture>(shelf.holding).plate.holes = {
        {50_mm, 30_mm, false, {}}, {90_mm, 30_mm, false, {}}, {550_mm, 30_mm, false, {}}};
    const ShelfPlan plan = shelf_plan(job_with(masonry_wall(), shelf));
    const Check* close = find_check(plan, checks::holes_close);
    REQUIRE(close);
    CHECK(close->amount->si == Approx(10 * plan.brackets[0].fixing->hole_diameter.in_metres() - 0.040));
    CHECK(std::ranges::count(plan.checks, checks::holes_close, &Check::code) == 1);
}

TEST_CASE("a hook rail is screwed through to studs and its hooks pull at their reach", "[shelves][kinds]") {
    Shelf rail = new_shelf(shelf_preset("hook_rail"), stud_wall());
    rail.left = 700_mm;
    const ShelfPlan plan = shelf_plan(job_with(stud_wall(), rail));
    REQUIRE(plan.brackets.size() >= 2);
    for (const BracketPlan& place : plan.brackets) {
        CHECK(place.substrate == Substrate::proved_stud);
        REQUIRE(place.fixing);
        CHECK(place.fixing->screw_length >= 20_mm + Length::micrometres(12'500) + 38_mm);
    }
    CHECK(plan.goods_load == Approx(5 * 5 * 9.80665));
    CHECK(drilling_of(plan.holes).front().pass.depth == 20_mm); // clearance through the rail first
}

TEST_CASE("a heavy thing on part of a shelf loads the brackets beside it", "[shelves][kinds]") {
    Shelf shelf = board(400_mm, 1600_mm);
    shelf.load = {LoadKind::own, 1_kg_m};
    const ShelfPlan before = shelf_plan(job_with(masonry_wall(), shelf));
    shelf.goods = {{"Aquarium", 0_mm, 500_mm, 60_kg, {}}};
    const ShelfPlan after = shelf_plan(job_with(masonry_wall(), shelf));
    CHECK(after.brackets.front().reaction.sustained > before.brackets.front().reaction.sustained + 300_n);
    CHECK(after.sag->long_term > before.sag->long_term);
    shelf.goods.front().to = 3000_mm;
    CHECK(find_check(shelf_plan(job_with(masonry_wall(), shelf)), checks::goods_off_shelf));
}

TEST_CASE("over a door a shelf hangs from the joists, and nobody's joists hold nothing", "[shelves][kinds][safety]") {
    Wall wall = masonry_wall();
    wall.openings.push_back({OpeningKind::door, 1400_mm, 0_mm, 900_mm, 2050_mm, 50_mm, {}});
    Shelf shelf = board(800_mm, 2100_mm);
    shelf.height = 2200_mm;
    shelf.load.kind = LoadKind::display;
    shelf.hangers = {1050_mm}; // at 1850, the middle of the door
    const ShelfPlan unknown = shelf_plan(job_with(wall, shelf));
    CHECK(find_check(unknown, checks::hanger_misses_joist)->severity == Severity::error);
    wall.joists = {1450_mm, 1850_mm, 2250_mm};
    const ShelfPlan plan = shelf_plan(job_with(wall, shelf));
    CHECK_FALSE(find_check(plan, checks::hanger_misses_joist));
    const auto hanger = std::ranges::find_if(plan.brackets, &BracketPlan::hanger);
    REQUIRE(hanger != plan.brackets.end());
    CHECK(hanger->substrate == Substrate::joist);
    CHECK(hanger->tension == approx(hanger->reaction.greatest));
    CHECK(hanger->shear == 0);
    for (const PlannedHole& hole : plan.holes)
        CHECK(hole.x != hanger->x); // none in the wall
}

TEST_CASE("hidden rods: the shelf is thick enough and the rods stay inside stud and shelf", "[shelves][kinds]") {
    Shelf shelf = new_shelf(shelf_preset("hidden_rods"), stud_wall());
    const ShelfPlan plan = shelf_plan(job_with(stud_wall(), shelf));
    for (const BracketPlan& place : plan.brackets) {
        REQUIRE(place.fixing);
        CHECK(place.fixing->penetration == 80_mm);
        CHECK(place.rod_sink > 0);
    }
    CHECK(plan.holes.front().z == shelf.underside() + shelf.thickness / 2);
    std::get<OnHiddenRods>(shelf.holding).in_wall = 120_mm;
    CHECK(find_check(shelf_plan(job_with(stud_wall(), shelf)), checks::rod_through_stud));
    std::get<OnHiddenRods>(shelf.holding).in_wall = 80_mm;
    shelf.thickness = 22_mm;
    CHECK(find_check(shelf_plan(job_with(stud_wall(), shelf)), checks::rod_too_thick)->amount->si ==
          Approx(0.003)); // 2.5 x 10 mm
    // 12 mm rods leave no room in a 38 mm stud: 1.5 D to its edge, 2 s and 1 mm of wander.
    shelf.thickness = 40_mm;
    std::get<OnHiddenRods>(shelf.holding).diameter = 12_mm;
    CHECK(has_error(shelf_plan(job_with(stud_wall(), shelf))));
}

TEST_CASE("shelves round a room run corner to corner and hang over its door", "[shelves][kinds]") {
    Job job = new_job();
    job.rooms.push_back({});
    job.rooms.back().id = job.rooms.back().name = "room";
    for (int i = 0; i < 4; ++i) {
        Wall wall = masonry_wall();
        wall.id = "wall-" + std::to_string(i);
        wall.room = "room";
        wall.length = i % 2 == 0 ? 4000_mm : 3000_mm;
        if (i == 2)
            wall.openings.push_back({OpeningKind::door, 1000_mm, 0_mm, 900_mm, 2050_mm, 50_mm, {}});
        job.walls.push_back(wall);
    }
    Shelf like = board({}, 1000_mm);
    like.height = 2200_mm;
    like.load.kind = LoadKind::display;
    const auto shelves = shelves_round_room(job, "room", like);
    REQUIRE(shelves.size() == 4);
    CHECK(shelves[0].second.length == 4000_mm);
    CHECK(shelves[1].second.left == 252_mm); // 250 deep and 2 mm
    CHECK(shelves[1].second.length == 2748_mm);
    CHECK(shelves[3].second.length == 3000_mm - 2 * 252_mm);
    CHECK_FALSE(shelves[2].second.hangers.empty());
    CHECK_FALSE(shelves[0].second.joints.empty()); // 4 m is longer than boards are to be had
}

TEST_CASE("from corner to corner the corner brackets come first, and the top row gets the better fixing",
          "[shelves][kinds][common-practice]") {
    Shelf shelf = board({}, 4000_mm);
    shelf.load.kind = LoadKind::display;
    shelf.joints = {2000_mm};
    const auto says = [](const ShelfPlan& plan, std::string_view words) {
        return std::ranges::any_of(
            plan.steps, [&](const Step& step) { return step.words.pattern.find(words) != std::string_view::npos; });
    };
    const ShelfPlan whole = shelf_plan(job_with(masonry_wall(), shelf));
    CHECK(says(whole, "brackets in the corners first"));
    CHECK(says(whole, "top row takes the pull"));
    const ShelfPlan part = shelf_plan(job_with(masonry_wall(), board(500_mm, 1200_mm)));
    CHECK_FALSE(says(part, "brackets in the corners first"));
}

TEST_CASE("a heavy thing out on an end lifts the far bracket, more than its screws hold", "[shelves][safety]") {
    // 25 kg at the end of a long overhang and nothing else: levers about the nearer bracket.
    Wall wall = stud_wall();
    wall.studs = {{1250_mm, StudState::proved, Length::micrometres(600), {}},
                  {1400_mm, StudState::proved, Length::micrometres(600), {}}};
    Shelf shelf = board(1200_mm, 500_mm);
    shelf.load = {LoadKind::own, 1_kg_m};
    shelf.goods = {{"Press", 500_mm, 500_mm, 60_kg, {}}};
    shelf.thickness = 18_mm;
    const ShelfPlan plan = shelf_plan(job_with(wall, shelf));
    REQUIRE(plan.shelf_screw);
    const Check* pulls = find_check(plan, checks::pulls_up);
    REQUIRE(pulls);
    CHECK(pulls->severity == Severity::error);
    CHECK_FALSE(pulls->cures.empty());
    shelf.goods.front().mass = 2_kg;
    const ShelfPlan light = shelf_plan(job_with(wall, shelf));
    const Check* little = find_check(light, checks::pulls_up);
    if (little)
        CHECK(little->severity == Severity::note);
}
