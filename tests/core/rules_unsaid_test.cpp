// Rules of the trade that no other test said: each was found by a fault seeded into the core that nothing caught.
#include "box_walls.hpp"
#include "core/battens/reckon_batten.hpp"
#include "core/boxes/audit_cabinet.hpp"
#include "core/boxes/box_work.hpp"
#include "core/fitting/as_found.hpp"
#include "core/fixings/choose_fixing.hpp"
#include "core/fixings/drilling.hpp"
#include "core/fixings/lining_anchor.hpp"
#include "core/fixings/wood_screw.hpp"
#include "core/runs/run_checks.hpp"
#include "core/runs/unit_loads.hpp"
#include "core/sheets/labels.hpp"
#include "core/sheets/load_label.hpp"
#include "core/sheets/tables.hpp"
#include "core/shelves/noggings.hpp"
#include "core/shelves/shelf_loads.hpp"
#include "core/site/cut_outs.hpp"
#include "core/site/site_checks.hpp"
#include "core/site/strip_checks.hpp"
#include "core/stability/reckon_piece.hpp"
#include "core/stability/restraint.hpp"
#include "core/stability/tip_cases.hpp"
#include "core/statics/span_load.hpp"
#include "core/steps/standings.hpp"
#include "core/storage/system_checks.hpp"
#include "core/survey/corner.hpp"
#include "core/survey/device_lines.hpp"
#include "core/survey/floor.hpp"
#include "core/survey/strips.hpp"
#include "core/survey/trial_hole.hpp"
#include "run_walls.hpp"
#include "shelf_walls.hpp"

#include <catch2/catch.hpp>
#include <fmt/format.h>
#include <numbers>

using namespace yes_square;

namespace {

Catalogue with_screw(ScrewGauge gauge, std::vector<Length> lengths) {
    Catalogue catalogue;
    catalogue.wood_screws = {{gauge, std::move(lengths)}};
    return catalogue;
}

MasonryAnchor plug() {
    MasonryAnchor anchor;
    anchor.id = "plug";
    anchor.name = "Plug";
    anchor.kind = AnchorKind::plug;
    anchor.basis = FigureBasis::recommended;
    anchor.tension = 400_n;
    anchor.shear = 100_n;
    anchor.embedment = 50_mm;
    anchor.hole_diameter = 10_mm;
    anchor.screw_diameter = 8_mm;
    anchor.screw_lengths = {60_mm, 80_mm, 120_mm, 160_mm};
    return anchor;
}

const Check* of_code(const std::vector<Check>& checks, CheckCode code) {
    const auto found = std::ranges::find(checks, code, &Check::code);
    return found == checks.end() ? nullptr : &*found;
}

RunPlan run_in(const Job& job) {
    return reckon(job).walls.front()->runs.front();
}

Wall lined_masonry(Length lining) {
    Wall wall = masonry_wall();
    wall.lining = {{LiningMaterial::plasterboard, lining, {}}};
    return wall;
}

} // namespace

TEST_CASE("a screw in dense wood pulls no harder than its own steel", "[fixings][rules]") {
    // NDS-2018 12.2.6 (from memory): the tension of the steel at the root, 24,000 psi of it, is a limit of its own.
    Wall wall = stud_wall();
    std::get<Framing>(wall.structure).species = Species::red_oak;
    std::get<Framing>(wall.structure).stud_depth = 140_mm;
    const Catalogue catalogue = with_screw(ScrewGauge::number_8, {100_mm});
    const auto choice = choose_fixing({catalogue, {}, wall}, Substrate::proved_stud, {3_mm, steel_sheet_bearing, 5_mm},
                                      {{2000_n, 0, duration_stored}});
    REQUIRE(choice);
    const ScrewProperties& screw = properties(ScrewGauge::number_8);
    const double steel_lb = 24'000 * std::numbers::pi / 4 * screw.root_in * screw.root_in;
    CHECK(withdrawal_strength(screw, {specific_gravity(Species::red_oak)}, 100 / 25.4, 80 / 25.4) / Force::pounds(1) >
          steel_lb);
    CHECK(choice->fixing.tension / Force::pounds(1) == Approx(steel_lb * duration_stored));
}

TEST_CASE("an anchor's screw reaches through part, packing and lining, and is there with all its hold",
          "[fixings][rules]") {
    Catalogue catalogue;
    catalogue.plugs = {plug()};
    const Wall wall = lined_masonry(9_mm);
    DrivenThrough through{4_mm};
    CHECK(choose_fixing({catalogue, {}, wall}, Substrate::masonry, through, {{10_n, 10_n}})->fixing.screw_length ==
          80_mm); // 4 + 9 + 50
    through.packing = 30_mm;
    CHECK(choose_fixing({catalogue, {}, wall}, Substrate::masonry, through, {{10_n, 10_n}})->fixing.screw_length ==
          120_mm); // 4 + 30 + 9 + 50
    through.packing = 100_mm;
    CHECK_FALSE(choose_fixing({catalogue, {}, wall}, Substrate::masonry, through, {{10_n, 10_n}}));
}

TEST_CASE("an anchor under a board that stands off the masonry is sheared half as hard as at its face",
          "[fixings][rules]") {
    Catalogue catalogue;
    catalogue.plugs = {plug()};
    const HouseRules rules;
    const auto shear = [&](const Wall& wall) {
        return choose_fixing({catalogue, rules, wall}, Substrate::masonry, {4_mm}, {{10_n, 10_n}})->fixing.shear;
    };
    CHECK(shear(masonry_wall()) == 100_n);
    CHECK(shear(lined_masonry(9_mm)) == rules.lining_shear_share * 100_n);
    Wall plastered = masonry_wall();
    plastered.lining = {{LiningMaterial::plaster, 15_mm, {}}};
    CHECK(shear(plastered) == 100_n); // plaster lies on it
}

TEST_CASE("an insert nut wants a stud three of its bores broad", "[fixings][rules]") {
    MasonryAnchor nut = plug();
    nut.kind = AnchorKind::insert_nut;
    nut.hole_diameter = 10_mm;
    nut.embedment = 15_mm;
    nut.screw_diameter = 6_mm;
    nut.screw_lengths = {20_mm, 25_mm};
    Wall wall = stud_wall();
    wall.lining.clear();
    auto& framing = std::get<Framing>(wall.structure);
    framing.open = true;
    const Catalogue catalogue;
    const HouseRules rules;
    const std::vector<HeldPart> parts{{{4_mm}, {{10_n, 10_n}}}};
    const auto weighed = [&] {
        return weigh_insert(nut, {catalogue, rules, wall},
                            {wall, framing, TimberSchool::nds, Substrate::proved_stud, parts, {}});
    };
    framing.stud_width = 31_mm;
    CHECK(weighed());
    framing.stud_width = 29_mm;
    CHECK_FALSE(weighed());
}

TEST_CASE("a packet for thick board says nothing of a thin one", "[lining][rules]") {
    LiningAnchor anchor;
    anchor.tension = 200_n;
    anchor.shear = 200_n;
    anchor.lining_least = 15_mm;
    anchor.lining_most = 30_mm;
    const Wall wall = stud_wall(); // 12.5 mm of plasterboard
    CHECK_FALSE(by_packet(anchor, wall));
    anchor.lining_least = 12_mm;
    CHECK(by_packet(anchor, wall));
}

TEST_CASE("of a strip's ends the one that bears more counts, of its two strips too", "[boxes][rules]") {
    WallBox box = small_box();
    box.width = 1000_mm;
    box.side = 20_mm;
    const HouseRules rules;
    // One screw, far to one side of one of the strips.
    const auto load_at = [&](Length from_left, std::size_t row) {
        UnitPlan hang;
        hang.place = {0_mm, box.width};
        hang.side = box.side;
        PlannedHole hole;
        hole.x = box.side + from_left;
        hole.row = row;
        hole.substrate = Substrate::proved_stud;
        hole.demands = {{0, 300_n, duration_stored, "goods"}};
        hang.holes = {hole};
        return on_strip_end(box, hang, rules)->is;
    };
    const Force nearer_left = load_at(96_mm, 0); // of 960 between the sides
    CHECK(nearer_left.in_newtons() == Approx(270));
    CHECK(load_at(864_mm, 0).in_newtons() == Approx(270));
    CHECK(load_at(864_mm, 1).in_newtons() == Approx(270));
    CHECK(load_at(96_mm, 1).in_newtons() == Approx(270));
}

TEST_CASE("a joint screw turns free in the board it passes", "[boxes][rules]") {
    WallBox box = small_box();
    box.corner = BoxCorner::sides_through;
    box.joint = BoxJoint::butt;
    const Job job = job_of(box);
    const JointScrew screw = joint_screw(box, job.rules);
    std::size_t holes = 0;
    for (const BoxPart& part : reckon(job).walls.front()->boxes.front().pieces)
        for (const PartCut& cut : part.work.cuts)
            if (cut.kind == Machining::screw_hole) {
                ++holes;
                CHECK(cut.along == screw.clearance);
                CHECK(cut.across == screw.clearance);
            }
    CHECK(holes > 0);
    CHECK(screw.clearance > screw.pilot);
}

TEST_CASE("the side of a part crushes under a stout coach screw by the reduction of its table", "[fixings][rules]") {
    // NDS-2018 table 12.3.1B (from memory): from a root of 1/4 in the reduction of modes Im and Is is 4.
    const ScrewProperties& coach = properties(ScrewGauge::coach_three_eighths);
    REQUIRE(coach.root_in == 0.265);
    // 0.05 in of wood that bears 3,350 psi: 3350 x 0.265 x 0.05 / 4 = 11.1 lb, far under every other mode.
    CHECK(lateral_strength(coach, {0.42}, {0.05, wood_bearing(0.42)}, 3.5) / Force::pounds(1) ==
          Approx(11.1).margin(0.05));
}

TEST_CASE("behind a tile that is all the lining there is the drill stops and somebody looks", "[drilling][rules]") {
    Wall wall = masonry_wall();
    wall.lining = {{LiningMaterial::tile, 8_mm, {}}};
    Fixing fixing;
    fixing.hole_diameter = 8_mm;
    fixing.drill_depth = 60_mm;
    CHECK(drill_passes(wall, fixing, {}, true).front().look);
    CHECK_FALSE(drill_passes(wall, fixing, {}, false).front().look);
}

TEST_CASE("a hole lies in a strip as soon as its edge does", "[strips][rules]") {
    const std::vector<Strip> strips{{100_mm, 200_mm, {}, 2400_mm, "a cable"}};
    CHECK(strips_at(strips, 97_mm, 1000_mm, 4_mm).size() == 1);
    CHECK(strips_at(strips, 95_mm, 1000_mm, 4_mm).empty());
    // And a plan's holes are looked at with what is drilled of them.
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    const ShelfPlan before = shelf_plan(job);
    Shelf& shelf = job.walls.front().shelves.front();
    for (const BracketPlan& place : before.brackets)
        shelf.pins.push_back(place.x - shelf.left); // or it would step aside
    const PlannedHole& hole = before.holes.front();
    REQUIRE_FALSE(hole.in_strip());
    job.walls.front().scans.push_back({ScanResult::keep_out, hole.x + 1_mm, hole.z - 50_mm, 30_mm, 100_mm, {}});
    CHECK(shelf_plan(job).holes.front().in_strip());
}

TEST_CASE("a hole that something else was hung by is not this thing's", "[as-found][rules]") {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    const PlannedHole hole = shelf_plan(job).holes.front();
    MadeHole made;
    made.x = hole.x;
    made.z = hole.z;
    made.item = "what hung here";
    job.walls.front().made = {made};
    CHECK_FALSE(shelf_plan(job).holes.front().made);
    job.walls.front().made.front().item = hole.item;
    CHECK(shelf_plan(job).holes.front().made);
}

TEST_CASE("a cable that is found where a hole is drilled already stays an error", "[strips][rules]") {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    const PlannedHole hole = shelf_plan(job).holes.front();
    MadeHole made;
    made.x = hole.x;
    made.z = hole.z;
    made.item = hole.item;
    job.walls.front().made = {made};
    job.walls.front().scans.push_back({ScanResult::cable, hole.x - 10_mm, hole.z - 10_mm, 20_mm, 20_mm, {}});
    const Check* found = find_check(shelf_plan(job), checks::in_service_strip);
    REQUIRE(found);
    CHECK(found->severity == Severity::error);
}

TEST_CASE("a batten may be cut over a screw: whoever hangs from its end hangs from the end's screw",
          "[batten][rules]") {
    Job job = bare_job(stud_wall());
    Wall& wall = job.walls.front();
    Batten batten = new_batten(wall);
    batten.id = "batten";
    batten.name = "Batten";
    batten.use = BattenUse::pegs;
    batten.left = 100_mm;
    batten.length = 1800_mm;
    batten.per_metre = LineMass::kg_per_metre(60);
    kept<Batten>(wall) = {batten};
    const BattenPlan plan = ((*reckon(job).walls.front()).*plans_of<Batten>).front();
    REQUIRE(plan.holes.size() >= 3);
    for (const PlannedHole& hole : plan.holes) {
        REQUIRE(hole.demands.size() == 2);
        CHECK(hole.demands[1].down >= hole.demands[0].down + 0.99 * job.rules.accidental);
    }
}

TEST_CASE("what hangs on a lining alone is limited in mass, in reach and in pull, each by itself", "[lining][rules]") {
    Wall wall = stud_wall();
    wall.structure = LiningOnly{};
    wall.studs.clear();
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.length = 600_mm;
    shelf.depth = 150_mm;
    shelf.out_of_reach = true;
    shelf.load = {LoadKind::own, LineMass::kg_per_metre(5)};
    Job job = job_with(wall, shelf);
    HouseRules& rules = job.rules;
    rules.lining_mass_most = 1000_kg;
    rules.lining_reach_most = 5000_mm;
    rules.lining_tension_most = 100'000_n;
    const auto severity = [&] {
        const Check* found = find_check(shelf_plan(job), checks::no_stud);
        REQUIRE(found);
        return found->severity;
    };
    CHECK(severity() == Severity::warning);
    rules.lining_mass_most = 1_kg;
    CHECK(severity() == Severity::error);
    rules.lining_mass_most = 1000_kg;
    rules.lining_reach_most = 140_mm;
    CHECK(severity() == Severity::error);
    rules.lining_reach_most = 5000_mm;
    rules.lining_tension_most = 1_n;
    CHECK(severity() == Severity::error);
    rules.lining_tension_most = 100'000_n;
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.hole_drops = {bracket.leg}; // at its foot: it would turn off the wall
    CHECK(severity() == Severity::error);
}

TEST_CASE("what hangs on a plate is loaded at either side and leaned on at either end", "[plate][rules]") {
    const Wall wall = stud_wall();
    Shelf shelf = new_shelf(shelf_preset("keyholes"), wall);
    shelf.height = 1200_mm;
    shelf.out_of_reach = false;
    shelf.load = {LoadKind::books, {}};
    const ShelfPlan plan = shelf_plan(job_with(wall, shelf));
    const double middle = (shelf.left + shelf.length / 2).in_metres();
    std::vector<double> goods;
    std::vector<double> leaned;
    for (const LoadCase& load : plan.plate_loads)
        (load.duration == duration_stored ? goods : leaned).push_back(load.at_x - middle);
    std::ranges::sort(goods);
    std::ranges::sort(leaned);
    REQUIRE(goods.size() == 3);
    CHECK(goods[0] < -0.05);
    CHECK(goods[1] == Approx(0).margin(1e-9));
    CHECK(goods[2] == Approx(-goods[0]));
    REQUIRE(leaned.size() == 2);
    CHECK(leaned[0] < -0.05);
    CHECK(leaned[1] == Approx(-leaned[0]));
}

TEST_CASE("thin sheet hangs on its top row, and a plate with no hole over its foot hangs on nothing",
          "[plate][rules]") {
    const Wall wall = masonry_wall();
    Shelf shelf = new_shelf(shelf_preset("keyholes"), wall);
    Plate& plate = *plate_in(shelf);
    const HungPlate hung = plate_of(shelf);
    const Length high = hung.height;
    plate.holes = {{50_mm, high / 4}, {200_mm, high / 4}, {50_mm, high / 2}, {200_mm, high / 2}};
    const auto pull_of_row = [&](int row) {
        Force most = 0;
        for (const PlannedHole& hole : shelf_plan(job_with(wall, shelf)).holes)
            if (hole.spot.row == row)
                for (const HoleDemand& demand : hole.demands)
                    most = std::max(most, demand.tension);
        return most;
    };
    plate.thickness = 6_mm;
    CHECK(pull_of_row(1) > 0);
    CHECK(pull_of_row(2) > 0);
    plate.thickness = 2_mm;
    CHECK(pull_of_row(1) > 0);
    CHECK(pull_of_row(2) == Force{});
    plate.thickness = 6_mm;
    for (PlateHole& hole : plate.holes)
        hole.down = high; // at its foot, under what it turns about
    CHECK(shelf_plan(job_with(wall, shelf)).plate_turns);
}

TEST_CASE("what bears a shelf bears whoever leans on it too, whatever bears it", "[shelves][rules]") {
    const auto used_by_leaning = [](Shelf shelf, const Wall& wall, auto&& used) {
        shelf.height = 1200_mm;
        shelf.out_of_reach = true;
        const double alone = used(shelf_plan(job_with(wall, shelf)));
        shelf.out_of_reach = false;
        const double leaned = used(shelf_plan(job_with(wall, shelf)));
        CHECK(leaned > alone);
        return leaned - alone;
    };
    const Wall wall = masonry_wall();
    {
        Shelf shelf = new_shelf(shelf_preset("keyholes"), wall);
        plate_in(shelf)->rating = 500_n;
        const double more =
            used_by_leaning(shelf, wall, [](const ShelfPlan& plan) { return plan.plate_utilisation.number(); });
        CHECK(more == Approx(HouseRules{}.accidental / 500_n));
    }
    {
        Wall under_joists = wall;
        Shelf shelf = new_shelf(shelf_preset("brackets"), under_joists);
        shelf.hangers = {200_mm, 1000_mm};
        under_joists.joists = {shelf.left + 200_mm, shelf.left + 1000_mm};
        const double more = used_by_leaning(shelf, under_joists, [](const ShelfPlan& plan) {
            const auto hung = std::ranges::find_if(plan.brackets, &BracketPlan::hanger);
            REQUIRE(hung != plan.brackets.end());
            REQUIRE(hung->fixing);
            double pull = 0;
            for (const HoleDemand& demand : hung->row_demands.front())
                pull = std::max(pull, demand.tension.in_newtons());
            return pull;
        });
        CHECK(more > 10);
    }
    used_by_leaning(new_shelf(shelf_preset("cleats"), wall), wall, [](const ShelfPlan& plan) {
        REQUIRE_FALSE(plan.cleats.empty());
        return plan.cleats.front().utilisation.number();
    });
    for (const OtherKind kind : {OtherKind::leg, OtherKind::left_strip}) {
        Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
        shelf.left = 0_mm;
        shelf.others = {{kind, 20_mm, 100_mm, {}}};
        used_by_leaning(shelf, wall, [&](const ShelfPlan& plan) {
            const auto place =
                std::ranges::find_if(plan.brackets, [&](const BracketPlan& each) { return each.is(kind); });
            REQUIRE(place != plan.brackets.end());
            REQUIRE(place->fixing_utilisation.known());
            return place->fixing_utilisation.number();
        });
    }
}

TEST_CASE("of two legs alike the longer bears less: it buckles", "[shelves][rules]") {
    const Wall wall = masonry_wall();
    const auto used = [&](Length height) {
        Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
        shelf.height = height;
        shelf.out_of_reach = true;
        shelf.others = {{OtherKind::leg, 20_mm, 100_mm, {}}};
        shelf.other_sizes.leg = 15_mm;
        const ShelfPlan plan = shelf_plan(job_with(wall, shelf));
        const auto leg = std::ranges::find_if(plan.brackets, [](const BracketPlan& p) { return p.is(OtherKind::leg); });
        REQUIRE(leg != plan.brackets.end());
        return leg->fixing_utilisation.number();
    };
    // Euler: as the square of the length.
    CHECK(used(1622_mm) / used(822_mm) == Approx(4).epsilon(0.02)); // undersides of a board of 22 mm
}

TEST_CASE("an upright carries every tier", "[shelves][rules]") {
    const Wall wall = masonry_wall();
    Shelf shelf = new_shelf(shelf_preset("standards"), wall);
    shelf.tiers = 3;
    const ShelfPlan plan = shelf_plan(job_with(wall, shelf));
    for (const BracketPlan& upright : plan.brackets) {
        REQUIRE_FALSE(upright.loads.empty());
        CHECK(upright.loads.front().down.in_newtons() == Approx(3 * upright.reaction.sustained.in_newtons()));
    }
}

TEST_CASE("a heavy thing at one end lies on that end's cleat", "[shelves][rules]") {
    Wall wall = masonry_wall();
    Shelf shelf = new_shelf(shelf_preset("cleats"), wall);
    shelf.goods = {{"Heavy thing", 50_mm, {}, 30_kg, {}}};
    const ShelfPlan plan = shelf_plan(job_with(wall, shelf));
    const auto load_on = [&](std::string_view where) {
        const auto cleat = std::ranges::find(plan.cleats, where, &CleatPlan::wall);
        REQUIRE(cleat != plan.cleats.end());
        return cleat->load;
    };
    CHECK(load_on("left") > load_on("right") + 0.7 * weight_of(30_kg));
}

TEST_CASE("a nogging's ends bear all that hangs on it, of whatever thing", "[noggings][rules]") {
    Wall wall = stud_wall();
    wall.lining.clear();
    std::get<Framing>(wall.structure).open = true;
    const Plan plan = reckon(job_with(wall, new_shelf(shelf_preset("brackets"), wall)));
    const WallSurvey& survey = plan.walls.front()->survey;
    REQUIRE(survey.studs.size() >= 2);
    const Length middle = (survey.studs[0].centre + survey.studs[1].centre) / 2;
    const auto hung = [&](const std::string& id) {
        ShelfPlan shelf;
        shelf.id = shelf.name = id;
        PlannedHole hole;
        hole.x = middle;
        hole.z = 1500_mm;
        hole.substrate = Substrate::nogging;
        hole.demands = {{0, 100_n, duration_stored, "goods"}};
        shelf.holes = {hole};
        return shelf;
    };
    const auto ends = [&](const std::vector<ShelfPlan>& shelves) {
        const std::vector<Nogging> noggings = noggings_of(wall, survey, shelves, HouseRules{});
        REQUIRE(noggings.size() == 1);
        return noggings.front().end_load;
    };
    CHECK(ends({hung("a")}).in_newtons() == Approx(50));
    CHECK(ends({hung("a"), hung("b")}).in_newtons() == Approx(100));
}

TEST_CASE("a hidden rod stays in its stud, and its board is not crushed", "[rods][rules]") {
    Wall wall = stud_wall();
    Shelf shelf = new_shelf(shelf_preset("hidden_rods"), wall);
    auto& rods = std::get<OnHiddenRods>(shelf.holding);
    std::get<Framing>(wall.structure).stud_depth = 140_mm;
    rods.in_wall = 100_mm;
    const auto fixed = [&] {
        const ShelfPlan plan = shelf_plan(job_with(wall, shelf));
        return std::ranges::any_of(plan.brackets, [](const BracketPlan& place) { return place.fixing.has_value(); });
    };
    CHECK(fixed());
    for (const BracketPlan& place : shelf_plan(job_with(wall, shelf)).brackets)
        if (place.fixing)
            CHECK(place.fixing->drill_depth >= wall.lining_thickness() + rods.in_wall);
    std::get<Framing>(wall.structure).stud_depth = 89_mm;
    CHECK_FALSE(fixed());

    // In a short hole the board gives first, so soft pine bears less than oak.
    const Wall brick = masonry_wall();
    Shelf on_brick = new_shelf(shelf_preset("hidden_rods"), brick);
    std::get<OnHiddenRods>(on_brick.holding).in_shelf = 20_mm;
    on_brick.board_mass = 4_kg; // weighed, whatever it is of
    const auto used = [&](BoardMaterial material) {
        on_brick.material = material;
        const ShelfPlan plan = shelf_plan(job_with(brick, on_brick));
        REQUIRE(plan.brackets.front().fixing_utilisation.known());
        return plan.brackets.front().fixing_utilisation.number();
    };
    CHECK(used(BoardMaterial::eastern_white_pine) > used(BoardMaterial::red_oak));
}

TEST_CASE("boards that meet over a support pass no bending there", "[shelves][rules]") {
    Shelf shelf = new_shelf(shelf_preset("brackets"), masonry_wall());
    shelf.length = 1800_mm;
    const std::vector<Length> places{100_mm, 900_mm, 1700_mm};
    CHECK(beam_of(shelf, places).joints.empty());
    shelf.joints = {900_mm};
    CHECK(beam_of(shelf, places).joints == std::vector<std::size_t>{1});
    shelf.joints = {1300_mm}; // over nothing, which is said elsewhere
    CHECK(beam_of(shelf, places).joints.empty());
}

TEST_CASE("a tall unit is tilted up under the ceiling that was read, not the one that was told", "[runs][rules]") {
    Run run = run_of(RunLevel::floor, {tall_unit("t", 600_mm, 2000_mm)}, Slack::by_hand);
    run.left = 600_mm;
    Job job = kitchen_with({run});
    Wall& wall = job.walls.front();
    wall.height = 2600_mm;
    CHECK_FALSE(of_code(run_in(job).checks, checks::unit_cannot_tilt));
    wall.floor = {{0_mm, 1000_mm, {}}, {wall.length, 1000_mm, {}}};
    wall.ceiling = {{0_mm, 1600_mm, {}}, {900_mm, 1120_mm, {}}, {wall.length, 1600_mm, {}}};
    CHECK(of_code(run_in(job).checks, checks::unit_cannot_tilt));
}

TEST_CASE("the layout is wrong as long as something on it is", "[standings][rules]") {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    job.walls.front().shelves.front().load = {LoadKind::books, {}};
    job.walls.front().shelves.front().length = 3000_mm;
    job.walls.front().shelves.front().material = BoardMaterial::particleboard_p5;
    job.walls.front().shelves.front().pins = {20_mm};
    job.walls.front().studs.clear();
    const Plan plan = reckon(job);
    REQUIRE(count_checks(plan, Severity::error) > 0);
    CHECK(layout_standing(job, plan).progress == Progress::wrong);
}

TEST_CASE("the tables say of a hole what the plan says of it", "[tables][rules]") {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    Wall& wall = job.walls.front();
    job.rooms.front().floor_layers = {{"screed", 40_mm, {}}};
    wall.floor = {{0_mm, 1000_mm, {}}, {wall.length, 1000_mm, {}}};
    const Plan plan = reckon(job);
    const auto& holes = plan.walls.front()->shelves.front().holes;
    REQUIRE_FALSE(holes.empty());
    std::size_t screws = 0;
    const std::vector<Table> tables = tables_of(job, plan);
    const auto table = [&](std::string_view name) { return *std::ranges::find(tables, name, &Table::name); };
    const auto column = [](const Table& of, std::string_view heading) {
        return static_cast<std::size_t>(std::ranges::find(of.headings, heading) - of.headings.begin());
    };
    const Table fixings = table("fixings");
    for (const auto& row : fixings.rows) {
        const auto hole = std::ranges::find_if(holes, [&](const PlannedHole& each) {
            return each.fixing && each.fixing->name == row[column(fixings, "fixing")];
        });
        REQUIRE(hole != holes.end());
        CHECK(std::stod(row[column(fixings, "tape_at_mm")]) == Approx(hole->fixing->drill_depth.in_mm()).margin(0.01));
        CHECK(std::stod(row[column(fixings, "in_wall_mm")]) == Approx(hole->fixing->penetration.in_mm()).margin(0.01));
        CHECK(hole->fixing->drill_depth != hole->fixing->penetration);
        screws += std::stoul(row[column(fixings, "number")]);
    }
    std::size_t planned = 0;
    for (const PlannedHole& hole : holes)
        planned += hole.fixing ? hole.screws : 0;
    CHECK(screws == planned);
    const Table marks = table("marks");
    bool below = false;
    for (const auto& row : marks.rows)
        for (const PlannedHole& hole : holes)
            if (row[column(marks, "x_mm")] == fmt::format("{:.6g}", hole.x.in_mm())) {
                below = true;
                CHECK(std::stod(row[column(marks, "above_floor_now_mm")]) - std::stod(row[column(marks, "z_mm")]) ==
                      Approx(40).margin(0.01));
            }
    CHECK(below);
}

TEST_CASE("a shelf that nobody can answer for has no figure on its label, and says why", "[label][rules]") {
    Wall wall = stud_wall();
    wall.structure = LiningOnly{};
    wall.studs.clear();
    Job job = job_with(wall, new_shelf(shelf_preset("brackets"), wall));
    const Plan plan = reckon(job);
    const Shelf& shelf = job.walls.front().shelves.front();
    const auto holds = capacity(job, plan, shelf.id);
    REQUIRE(holds);
    const LoadLabel label = load_label(wall, shelf, plan.walls.front()->shelves.front(), *holds);
    CHECK_FALSE(label.fit);
    CHECK(label.assumes.size() == 1);
}

TEST_CASE("of several cut-outs the one that leaves least of a board counts", "[cut-outs][rules]") {
    const std::vector<CutOut> cuts{{"small", 100_mm, 0_mm, 50_mm, 40_mm, {}},
                                   {"large", 600_mm, 100_mm, 200_mm, 300_mm, {}},
                                   {"small too", 1200_mm, 0_mm, 50_mm, 40_mm, {}}};
    CHECK(least_left(cuts, 0_mm, 600_mm) == 300_mm);
}

TEST_CASE("what stands on a wall ends under its cornice", "[clashes][rules]") {
    Job job = bare_job(stud_wall());
    Wall& wall = job.walls.front();
    WallBox box = small_box();
    box.top = wall.height - 50_mm;
    wall.boxes = {box};
    const auto checked = [&] { return reckon(job).walls.front()->boxes.front().checks; };
    CHECK_FALSE(of_code(checked(), checks::over_ceiling));
    wall.cornice_height = 80_mm;
    const std::vector<Check> found = checked();
    REQUIRE(of_code(found, checks::over_ceiling));
    CHECK(of_code(found, checks::over_ceiling)->amount->si == Approx(0.03));
}

TEST_CASE("a unit's doors hang open before it, and its goods may all stand at one side", "[runs][rules]") {
    // By hand: 600 x 720 x 320, 14 kg and two doors of 3 kg, 60 kg of goods.
    CabinetUnit unit = wall_unit("u", 600_mm);
    unit.depth = 320_mm;
    unit.hinge = DoorHinge::both;
    unit.doors_mass = 6_kg;
    const ScrewPattern pattern = screw_grid({0.1, 0.5}, {0.1, 0.66});
    const UnitForces forces = unit_forces(unit, 20_kg, 80_kg, pattern, HouseRules{}.lining_pressure);
    REQUIRE(forces.cases.size() == 3);
    constexpr double g = 9.80665;
    // Each door's middle is 150 mm in front of the carcass.
    CHECK(forces.cases[0].load.moment.in_newton_metres() == Approx(g * (74 * 0.16 + 6 * (0.32 + 0.15))));
    CHECK(forces.cases[1].load.at_x == Approx((20 * 0.3 + 30 * 0.15) / 50));
    CHECK(forces.cases[2].load.at_x == Approx((20 * 0.3 + 30 * 0.45) / 50));
    unit.hinge = DoorHinge::right;
    const UnitForces right = unit_forces(unit, 20_kg, 80_kg, pattern, HouseRules{}.lining_pressure);
    CHECK(right.cases[0].load.moment.in_newton_metres() == Approx(g * (74 * 0.16 + 6 * (0.32 + 0.30))));
    CHECK(right.cases[0].load.at_x == Approx((14 * 0.3 + 6 * 0.6 + 60 * 0.3) / 80));
}

TEST_CASE("both plates of a hooked unit are in something that holds, or it hangs on nothing", "[runs][rules]") {
    // Studs at 400, 800: plates 40 mm in from 360 and 960 meet one of them alone.
    CabinetUnit unit = wall_unit("w", 600_mm);
    unit.hanging = Hanging::hook_brackets;
    unit.mass = 20_kg;
    unit.loaded_mass = 60_kg;
    unit.hook_rating = weight_of(65_kg);
    unit.hook_plate.in = 40_mm;
    Run run = run_of(RunLevel::wall, {unit}, Slack::by_hand);
    run.left = 360_mm;
    const UnitPlan one = run_in(kitchen_with({run})).units.front();
    CHECK(std::ranges::count_if(one.holes, [](const PlannedHole& hole) { return carries(hole.substrate); }) > 0);
    CHECK_FALSE(one.fixing);
    run.units.front().width = 480_mm; // 400 and 800
    CHECK(run_in(kitchen_with({run})).units.front().fixing);
}

TEST_CASE("a tall unit with no stud behind it is wrong, a base unit is not", "[runs][rules]") {
    Run run = run_of(RunLevel::floor, {tall_unit("t", 300_mm, 2000_mm)}, Slack::by_hand);
    run.left = 450_mm; // between studs at 400 and 800
    const RunPlan tall = run_in(kitchen_with({run}));
    REQUIRE(of_code(tall.checks, checks::few_studs));
    CHECK(of_code(tall.checks, checks::few_studs)->severity == Severity::error);
    run.units = {base_unit("b", 300_mm)};
    const RunPlan low = run_in(kitchen_with({run}));
    REQUIRE(of_code(low.checks, checks::few_studs));
    CHECK(of_code(low.checks, checks::few_studs)->severity == Severity::note);
}

TEST_CASE("a unit stands clear of what is in its way, and covers no socket of its own room", "[runs][rules]") {
    Run run = run_of(RunLevel::wall, {wall_unit("w", 600_mm)}, Slack::by_hand);
    run.left = 1000_mm;
    Job job = kitchen_with({run});
    Wall& wall = job.walls.front();
    const UnitPlan unit = run_in(job).units.front();
    CHECK_FALSE(of_code(run_in(job).checks, checks::over_obstacle));
    wall.obstacles.push_back({ObstacleKind::pipe_run, 1550_mm, unit.bottom, 100_mm, 300_mm, 20_mm, {}});
    REQUIRE(of_code(run_in(job).checks, checks::over_obstacle));
    CHECK(of_code(run_in(job).checks, checks::over_obstacle)->amount->si == Approx(0.07)); // 20 mm of it kept free
    wall.obstacles.clear();
    wall.services = {{ServiceKind::socket, 1300_mm, unit.bottom + 200_mm, 86_mm, true, {}}};
    CHECK_FALSE(of_code(run_in(job).checks, checks::over_service));
    wall.services.front().far_side = false;
    CHECK(of_code(run_in(job).checks, checks::over_service));
}

TEST_CASE("a run keeps clear of both its ends", "[runs][rules]") {
    Run run = run_of(RunLevel::wall, {wall_unit("w", 600_mm)}, Slack::right_end);
    run.start.clear = 30_mm;
    run.end.clear = 50_mm;
    const RunLayout layout = run_in(kitchen_with({run})).layout;
    CHECK(layout.from == 30_mm);
    REQUIRE(layout.to);
    CHECK(*layout.to == 3550_mm);
    CHECK(layout.left() == 30_mm);
}

TEST_CASE("a trace beside a hole that met no stud is taken away with it", "[as-found][rules]") {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    Wall& wall = job.walls.front();
    wall.studs.clear();
    Observation trace;
    trace.kind = EvidenceKind::nail_pop;
    trace.x = 1000_mm;
    Observation far = trace;
    far.x = 1600_mm;
    wall.observations = {trace, far};
    WallMark mark;
    mark.x = 1010_mm;
    mark.z = 1500_mm;
    record_could_not(job, wall.id, mark, "key", CouldNot::no_stud, {"2026-03-05T09:00:00Z", "Kim"});
    const auto& left = job.walls.front().observations;
    CHECK(std::ranges::none_of(
        left, [](const Observation& seen) { return seen.kind == EvidenceKind::nail_pop && seen.x == 1000_mm; }));
    CHECK(std::ranges::any_of(left, [](const Observation& seen) { return seen.x == 1600_mm; }));
    CHECK(std::ranges::any_of(left, [](const Observation& seen) { return seen.kind == EvidenceKind::probe_miss; }));
}

TEST_CASE("the card of a unit's back tells its holes from the left edge as one looks at the front", "[labels][rules]") {
    Run run = run_of(RunLevel::wall, {wall_unit("w", 600_mm)}, Slack::by_hand);
    run.left = 300_mm; // a stud at 400: 100 mm from its left
    const Job job = kitchen_with({run});
    const UnitPlan plan = run_in(job).units.front();
    const Label card = card_label("Wall", job.walls.front().runs.front().units.front(), plan, {Unit::mm});
    REQUIRE_FALSE(card.lines.empty());
    CHECK(card.lines.front().starts_with("100 mm from the left edge, 500 mm from the right"));
}

TEST_CASE("a piece is tried with somebody on it, whatever opens first, and with what stands on its top",
          "[tipping][rules]") {
    const TippingRules rules;
    Piece piece = dresser();
    piece.doors = 0;
    piece.drawers.clear();
    const auto case_of = [&](TipCaseKind kind) {
        const std::vector<TipCase> cases = tip_cases(piece, rules, 1);
        const auto found = std::ranges::find(cases, kind, &TipCase::kind);
        REQUIRE(found != cases.end());
        return *found;
    };
    CHECK(std::ranges::any_of(case_of(TipCaseKind::climbed).weights,
                              [&](const TipWeight& weight) { return weight.mass == rules.person_mass; }));
    CHECK(case_of(TipCaseKind::closed).weights.size() == 1);
    piece.top_load = 12_kg;
    REQUIRE(case_of(TipCaseKind::closed).weights.size() == 2);
    CHECK(case_of(TipCaseKind::closed).weights.back().mass == 12_kg);
    CHECK(case_of(TipCaseKind::closed).weights.back().up > piece.height.in_metres());
    // Of several drawers the one that tips it most, in whatever order they come.
    const Drawer heavy{400_mm, 400_mm, 200_mm, 6_kg, 20_kg, {}};
    const Drawer light{800_mm, 300_mm, 100_mm, 1_kg, 1_kg, {}};
    piece.drawers = {heavy, light};
    CHECK(case_of(TipCaseKind::one_open).open == std::vector<std::size_t>{0});
    piece.drawers = {light, heavy};
    CHECK(case_of(TipCaseKind::one_open).open == std::vector<std::size_t>{1});
}

TEST_CASE("anchors in a lining hold no piece back", "[tipping][rules]") {
    Piece piece = dresser();
    piece.restraint.kind = RestraintKind::through_frame;
    piece.restraint.in_lining = true;
    CHECK(refusal(piece, {}));
    const PiecePlan plan = piece_plan(piece);
    CHECK(plan.verdict != PieceVerdict::held);
    CHECK(of_code(plan.checks, checks::restraint_refused));
}

TEST_CASE("a piece is held where no cable runs, where there is such a place", "[tipping][rules]") {
    Piece piece = dresser();
    piece.restraint.kind = RestraintKind::through_frame;
    piece.restraint.number = 1;
    Job job = piece_job(piece);
    const auto plan_of_it = [&] { return reckon(job).walls.front()->pieces.front(); };
    REQUIRE(plan_of_it().holes.size() == 1);
    const PlannedHole first = plan_of_it().holes.front();
    job.walls.front().scans.push_back({ScanResult::cable, first.x - 20_mm, 0_mm, 40_mm, 2400_mm, {}});
    REQUIRE(plan_of_it().holes.size() == 1);
    CHECK(plan_of_it().holes.front().x != first.x);
    CHECK_FALSE(plan_of_it().holes.front().in_strip());
}

TEST_CASE("where children are about, what they do decides, and a screw too weak holds nothing", "[tipping][rules]") {
    // A tall cupboard whose open doors a child hangs from.
    Piece piece = dresser();
    piece.drawers.clear();
    piece.height = 1500_mm;
    piece.depth = 400_mm;
    piece.doors = 2;
    piece.door_mass = 2_kg;
    piece.mass = 30_kg;
    piece.children = false;
    const PiecePlan alone = piece_plan(piece);
    REQUIRE(alone.tips);
    REQUIRE(alone.verdict == PieceVerdict::advised);
    piece.children = true;
    CHECK(piece_plan(piece).verdict == PieceVerdict::unsafe);

    piece.restraint.kind = RestraintKind::through_frame;
    piece.restraint.number = 2;
    piece.restraint.through = 20_mm;
    CHECK(piece_plan(piece).verdict == PieceVerdict::held);
    piece.restraint.gauge = ScrewGauge::number_8;
    piece.restraint.screw_length = 45_mm; // 20 of frame, 12.5 of lining: hardly a point in the wood
    const PiecePlan weak = piece_plan(piece);
    REQUIRE(weak.fixing_utilisation.over());
    CHECK(weak.verdict == PieceVerdict::unsafe);
}

TEST_CASE("a load over part of a span ends where it ends, and one beyond a place turns it", "[statics][rules]") {
    // Simple span of 1 m, 100 N/m over its left half: 37.5 N at the left, and 3.125 N m three quarters along.
    SpanLoad half;
    half.parts = {{0, 0.5, LineLoad::newtons_per_metre(100)}};
    CHECK(half.moment(1, 0.75) == Approx(3.125));
    CHECK(half.moment(1, 0.25) == Approx(37.5 * 0.25 - 100 * 0.25 * 0.25 / 2));
    SpanLoad end;
    end.points = {{0.5, 10_n}};
    CHECK(end.cantilever_moment(0) == Approx(5));
    CHECK(end.cantilever_moment(0.2) == Approx(3));
    CHECK(end.cantilever_moment(0.6) == Approx(0));
}

TEST_CASE("a wardrobe's boards, rods and drawers are each held to their limits", "[storage][rules]") {
    const auto has = [](const StorageSystem& system, CheckCode code, ServiceClass room = ServiceClass::dry) {
        Job job = system_job(system);
        job.rooms.front().service_class = room;
        return of_code(system_plan(job).checks, code) != nullptr;
    };
    StorageSystem shelves = system_of({BayKind::shelves, BayKind::shelves});
    shelves.bays.front().load = shelves.bays.back().load = {LoadKind::own, LineMass::kg_per_metre(2)};
    CHECK_FALSE(has(shelves, checks::sag_over_limit));
    CHECK_FALSE(has(shelves, checks::board_overloaded));
    shelves.bays.front().load = {LoadKind::own, LineMass::kg_per_metre(80)};
    CHECK(has(shelves, checks::sag_over_limit));
    shelves.bays.front().load = {LoadKind::own, LineMass::kg_per_metre(900)};
    CHECK(has(shelves, checks::board_overloaded));

    StorageSystem hanging =
        system_of({BayKind::long_hanging, BayKind::long_hanging, BayKind::long_hanging, BayKind::long_hanging});
    CHECK_FALSE(has(hanging, checks::rod_sags));
    CHECK_FALSE(has(hanging, checks::rod_overloaded));
    hanging.rod_stuff = PoleStuff::wood;
    hanging.rod_diameter = 14_mm;
    CHECK(has(hanging, checks::rod_sags));
    hanging.rod_diameter = 8_mm;
    CHECK(has(hanging, checks::rod_overloaded));

    StorageSystem drawers = system_of({BayKind::drawers, BayKind::shelves});
    drawers.bays.front().loose = 3;
    CHECK_FALSE(has(drawers, checks::goods_do_not_fit));
    drawers.bays.front().loose = 12; // of 200 mm each
    CHECK(has(drawers, checks::goods_do_not_fit));

    StorageSystem damp = system_of({BayKind::shelves});
    damp.material = BoardMaterial::mdf;
    CHECK_FALSE(has(damp, checks::board_not_for_damp));
    CHECK(has(damp, checks::board_not_for_damp, ServiceClass::damp));
}

TEST_CASE("a bay weighs what hangs in it, and its cleats hold in studs that were proved", "[storage][rules]") {
    Job job = system_job(system_of({BayKind::long_hanging, BayKind::shelves}));
    const BayPlan bay = system_plan(job).bays.front();
    REQUIRE_FALSE(bay.rods.empty());
    Force goods = 0;
    for (const BayShelf& shelf : bay.shelves)
        goods += shelf.load;
    for (const BayRod& rod : bay.rods) {
        CHECK(rod.load > 0);
        goods += rod.load;
    }
    CHECK((bay.loaded_mass - bay.mass).in_kg() == Approx(mass_of(goods).in_kg()));
    REQUIRE_FALSE(bay.cleats.empty());
    CHECK_FALSE(bay.cleats.front().screws.empty());
    for (const StudState state : {StudState::assumed, StudState::indicated, StudState::detected}) {
        for (Stud& stud : job.walls.front().studs)
            stud.state = state;
        for (const BayPlan& none : system_plan(job).bays)
            for (const BayCleat& cleat : none.cleats)
                CHECK(cleat.screws.empty());
    }
}

TEST_CASE("the lowest place of a ceiling may lie between two readings' ends", "[survey][rules]") {
    const std::vector<ProfilePoint> ceiling{{0_mm, 2400_mm}, {1000_mm, 2200_mm}, {2000_mm, 2400_mm}};
    CHECK(lowest_between(ceiling, 500_mm, 1500_mm) == 2200_mm);
    CHECK(lowest_between(ceiling, 0_mm, 500_mm) == 2300_mm);
}

TEST_CASE("an outside corner opens the other way, and a corner within its readings' error is square",
          "[survey][rules]") {
    const Reader reader{Instrument::tape_class_2, {}};
    const auto angle = [&](Length across, WallEnd end) {
        return std::get<CornerAngle>(corner_angle({600_mm, 800_mm, across, {}, {}}, end, reader));
    };
    CHECK(angle(1000_mm, WallEnd::corner).square);
    CHECK(
        angle(Length::micrometres(1'000'300), WallEnd::corner).square); // a class II tape may be 0.5 mm out at a metre
    CHECK_FALSE(angle(1020_mm, WallEnd::corner).square);
    CHECK(angle(1020_mm, WallEnd::corner).off > 0);
    CHECK(angle(1020_mm, WallEnd::outside_corner).off == Approx(-angle(1020_mm, WallEnd::corner).off));
}

TEST_CASE("a void deeper than dabs or battens hides no masonry to be counted on", "[survey][rules]") {
    const auto read = [](Length to) {
        TrialHole hole;
        hole.layers = {
            {DrillMet::white_soft_dust, 0_mm, {}}, {DrillMet::nothing, 13_mm, {}}, {DrillMet::red_dust, to, {}}};
        hole.depth = to + 40_mm;
        return build_up_of(hole, LiningOnly{});
    };
    CHECK(read(60_mm).structure);
    CHECK(std::holds_alternative<Masonry>(*read(60_mm).structure));
    CHECK_FALSE(read(200_mm).structure);
}

TEST_CASE("what a device sends is read line by line, broken off or too long as it may be", "[devices][rules]") {
    DeviceLines lines;
    CHECK(lines.take("DISTANCE 1014.5 2\nSTUD 812.5 6\n") ==
          std::vector<DeviceWord>{DeviceDistance{Length::micrometres(1'014'500)},
                                  DeviceFind{ScannerFind::stud, Length::micrometres(812'500), 6_mm}});
    CHECK(lines.take("DISTANCE 90").empty());
    CHECK(lines.break_off());
    CHECK(lines.take("0\n") == std::vector<DeviceWord>{DeviceNonsense{"0"}}); // not 900
    CHECK_FALSE(lines.break_off());
    const std::string endless(250, 'x');
    CHECK(lines.take(endless) == std::vector<DeviceWord>{DeviceEndless{}});
    CHECK(lines.take(" DISTANCE 5\n").empty()); // still of that line
    CHECK(lines.take("END\n") == std::vector<DeviceWord>{DeviceAtEnd{}});
    CHECK(lines.take("CABLE -1 5\n") == std::vector<DeviceWord>{DeviceNonsense{"CABLE -1 5"}});
    CHECK(lines.take("HELLO 2 laser-measure\n") == std::vector<DeviceWord>{DeviceHello{"2", "laser-measure"}});
}
