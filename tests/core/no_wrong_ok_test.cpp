#include "../random_jobs.hpp"
#include "core/boxes/new_box.hpp"
#include "core/cutting/kit.hpp"
#include "core/fitting/wall_marks.hpp"
#include "core/fixings/choose_fixing.hpp"
#include "core/fixings/drilling.hpp"
#include "core/fixings/hole_group.hpp"
#include "core/job/file.hpp"
#include "core/job/ranges.hpp"
#include "core/measure/csv_table.hpp"
#include "core/measure/entry.hpp"
#include "core/sheets/load_label.hpp"
#include "core/sheets/summary.hpp"
#include "core/sheets/tables.hpp"
#include "core/stability/inventory.hpp"
#include "core/statics/beam.hpp"
#include "core/survey/find_studs.hpp"
#include "demo_job.hpp"
#include "piece_walls.hpp"
#include "run_walls.hpp"

#include "core/runs/run_checks.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_loads.hpp"
#include "core/site/guarded.hpp"
#include "core/site/site_checks.hpp"

#include <cmath>
#include <set>

using namespace yes_square;

namespace {

ShelfPlan plan_with(Wall wall, Shelf shelf) {
    return reckon(job_with(std::move(wall), std::move(shelf))).walls.front()->shelves.front();
}

bool has(const ShelfPlan& plan, CheckCode code) {
    return std::ranges::find(plan.checks, code, &Check::code) != plan.checks.end();
}

RunPlan run_plan(const Job& job) {
    return reckon(job).walls.front()->runs.front();
}

} // namespace

TEST_CASE("a utilisation is a number, unknown or refused, and never made of what is no number", "[measure][safety]") {
    CHECK(Utilisation{0.4}.within());
    CHECK(Utilisation{std::nan("")}.is_refused());
    CHECK(Utilisation{INFINITY}.is_refused());
    CHECK(Utilisation{-1}.is_refused());
    CHECK_FALSE(Utilisation{}.within());
    CHECK_FALSE(Utilisation{}.over());
    CHECK(Utilisation::of(0, 0) == Utilisation::none());
    CHECK(Utilisation::of(1, 0).is_refused());
    CHECK_FALSE(Utilisation::of(1_n, std::optional<Force>{}).known());
    // The worst of several: what is not known is worse than what is fine, refused is worse than all.
    CHECK(std::max(Utilisation{0.9}, Utilisation{}) == Utilisation{});
    CHECK(std::max(Utilisation{1.2}, Utilisation{}) == Utilisation{1.2});
    CHECK(std::max(Utilisation{1e9}, Utilisation::refused()).is_refused());
    CHECK(say(ratio(Utilisation{}), {}) == "not known");
    CHECK(say(ratio(Utilisation::refused()), {}) == "beyond all measure");
}

TEST_CASE("pure pull is pull over withdrawal though the screw has no shear to give", "[fixings][safety]") {
    CHECK(combined_utilisation(300_n, 0_n, 246_n, 0_n).number() == Approx(300.0 / 246));
    CHECK(combined_utilisation(0_n, 100_n, 0_n, 200_n).number() == Approx(0.5));
    CHECK(combined_utilisation(0, 0, 0, 0) == Utilisation::none());
}

TEST_CASE("a chest on a far too short screw is not held", "[stability][safety]") {
    Piece chest = dresser();
    chest.restraint.kind = RestraintKind::through_frame;
    chest.restraint.gauge = ScrewGauge::number_8;
    chest.restraint.screw_length = 40_mm; // 20 mm of frame, 12.5 of lining: 7.5 mm in the stud
    const Plan plan = reckon(piece_job(chest));
    const PiecePlan& piece = plan.walls.front()->pieces.front();
    CHECK(piece.verdict != PieceVerdict::held);
    CHECK_FALSE(piece.fixing_utilisation.within());
    CHECK(inventory(piece_job(chest), plan).front().verdict == PieceVerdict::unsafe);
}

TEST_CASE("holes in one column are one column, whatever rounding does", "[fixings][safety]") {
    const double third = 0.1 + 0.2; // not 0.3
    const auto forces = hole_group_forces({{0.3, 0.1}, {third, 0.3}}, {100_n, 0.3, 5_nm});
    REQUIRE(forces.size() == 2);
    for (const HoleForce& force : forces) {
        CHECK(isfinite(force.tension));
        CHECK(force.down == Approx(50));
    }
    CHECK(greatest_share({0.3, third}, 0.3) == Approx(0.5));
}

TEST_CASE("a limp plate pulls by its top row alone, and its holes share the turning all the same",
          "[shelves][safety]") {
    // Two holes 40 mm above one another, the load 300 mm beside them: 100 N x 0.3 / 0.04 = 750 N sideways each.
    const auto stiff = hole_group_forces({{0, 0.06, true}, {0, 0.02, true}}, {100_n, 0.3, 5_nm}, 0.005);
    const auto limp = hole_group_forces({{0, 0.06, true}, {0, 0.02, false}}, {100_n, 0.3, 5_nm}, 0.005);
    REQUIRE(limp.size() == 2);
    CHECK(limp[1].tension == 0);
    for (std::size_t i = 0; i < 2; ++i) {
        CHECK(limp[i].shear() == approx(stiff[i].shear()));
        CHECK(limp[i].shear() == Approx(std::hypot(50, 750)));
    }
}

TEST_CASE("what is fixed in masonry pulls through and bears as in studs", "[fixings][safety]") {
    Wall wall = masonry_wall(MasonryKind::concrete);
    DrivenThrough thin{6_mm, wood_bearing(0.36)};
    thin.gravity = 0.36;
    thin.head = 8_mm;
    const auto choice = choose_fixing({shipped_catalogue(), {}, wall}, Substrate::masonry, thin, {{200_n, 100_n, 0.9}});
    REQUIRE(choice);
    const Force through = head_pull_through(0.36, (8_mm).in_inches(), (6_mm).in_inches()) * duration_stored;
    CHECK(choice->fixing.tension <= through * (1 + 1e-9));
    const double root = 0.64 * choice->fixing.clearance.in_inches();
    CHECK(choice->fixing.shear <= bearing_strength(root, {6 / 25.4, wood_bearing(0.36), 0}) * (1 + 1e-9));
    thin.packing = 30_mm;
    const auto packed = choose_fixing({shipped_catalogue(), {}, wall}, Substrate::masonry, thin, {{200_n, 100_n, 0.9}});
    REQUIRE(packed);
    CHECK(packed->fixing.shear < choice->fixing.shear);
}

TEST_CASE("one screw for a unit, judged at each of its rails", "[runs][safety]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm)})});
    auto& rails = job.walls.front().runs.front().units.front().rails;
    rails[0].thickness = 25_mm;
    rails[1].thickness = 8_mm;
    const UnitPlan plan = run_plan(job).units.front();
    REQUIRE(plan.fixing);
    Utilisation worst = Utilisation::none();
    for (const PlannedHole& hole : plan.holes)
        if (!hole.demands.empty()) {
            // The printed screw, through the rail that this hole is in.
            CHECK(hole.strength.penetration ==
                  plan.fixing->screw_length - rails[hole.row].thickness - Length::micrometres(12'500) - hole.packing);
            worst = std::max(worst, hole.utilisation);
        }
    CHECK(plan.utilisation == worst);
}

TEST_CASE("a unit whose rails nobody entered has unknown rails, not its 8 mm back", "[runs][safety]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm)})});
    CabinetUnit& unit = job.walls.front().runs.front().units.front();
    unit.rails.clear();
    unit.back = 8_mm;
    const RunPlan plan = run_plan(job);
    CHECK_FALSE(plan.units.front().utilisation.known());
    const auto asks = std::ranges::find(plan.checks, checks::rails_unknown, &Check::code);
    REQUIRE(asks != plan.checks.end());
    CHECK(asks->severity == Severity::error);
}

TEST_CASE("an old cabinet: whole screws, and sound top screws in two studs count as they are", "[boxes][safety]") {
    HungCabinet hung = new_hung(stud_wall());
    hung.id = "old";
    hung.unit = wall_unit("old-unit", 900_mm);
    hung.unit.loaded_mass = 22_kg;
    hung.left = 500_mm; // over the studs at 800 and 1200
    hung.top = 2000_mm;
    hung.gauge = ScrewGauge::number_10;
    hung.screw_length = 76_mm;
    hung.broad_heads = true;
    hung.studs = 2;
    hung.top_screws = 2;
    hung.bottom_screws = 0;
    Job job = bare_job();
    const auto audit = [&] {
        job.walls.front().hung = {hung};
        return reckon(job).walls.front()->hung.front();
    };
    const HungPlan top_only = audit();
    CHECK(top_only.verdict == HungVerdict::add);
    CHECK(top_only.add_top == 0); // only what is missing
    CHECK(top_only.add_bottom == 2);
    hung.bottom_screws = 1;
    const HungPlan three = audit();
    CHECK(three.utilisation <= top_only.utilisation);
    CHECK(three.add_bottom == 1);
    // A made hole takes its place: the list names another.
    hung.bottom_screws = 0;
    const auto place = std::ranges::find(top_only.wanted.holes, std::size_t{1}, &PlannedHole::row);
    REQUIRE(place != top_only.wanted.holes.end());
    MadeHole made;
    made.item = "old";
    made.x = place->x;
    made.z = place->z;
    job.walls.front().made = {made};
    const HungPlan beside = audit();
    for (const Step& step : beside.steps)
        if (step.words.pattern.starts_with("A screw is wanted"))
            CHECK_FALSE(step.words.values.front() == Value{quantity(place->x)});
}

TEST_CASE("every tier in reach is leaned on, and one low and deep enough is sat on", "[shelves][safety]") {
    Shelf shelf = new_shelf(shelf_preset("brackets"), stud_wall());
    shelf.height = 1900_mm;
    shelf.tiers = 2;
    shelf.rise = 300_mm;
    shelf.depth = 250_mm;
    CHECK(loads_of(shelf, {}).accidental == 0);
    shelf.rise = 500_mm; // the lower at 1400
    CHECK(loads_of(shelf, {}).accidental == 250_n);
    shelf.tiers = 1;
    shelf.height = 450_mm;
    CHECK(loads_of(shelf, {}).accidental == 1000_n);
    shelf.depth = 150_mm;
    CHECK(loads_of(shelf, {}).accidental == 250_n);
}

TEST_CASE("a load that walks along a shelf on 90, 880, 1030, 1790 mm", "[statics][reference][safety]") {
    // The trade's check values: greatest 250, 429, 419, 250 N, least about -1, -224, -236, -1 N, of 250 N alone.
    const Beam beam{1.7, {0, 0.79, 0.94, 1.7}, 1000.0_nm2};
    const BeamResult result = analyse(beam, {0, 0, 250_n, {}}, 0);
    const double greatest[]{250, 429, 419, 250};
    const double least[]{-1, -224, -236, -1};
    for (std::size_t i = 0; i < 4; ++i) {
        CHECK(result.reactions[i].greatest == Approx(greatest[i]).epsilon(0.005));
        CHECK(result.reactions[i].least == Approx(least[i]).margin(1.5));
    }
}

TEST_CASE("a bracket that turns only when leaned on is refused", "[shelves][safety]") {
    Job job = job_with(masonry_wall(), new_shelf(shelf_preset("brackets"), masonry_wall()));
    Bracket weak;
    weak.id = "weak";
    weak.name = "Weak";
    weak.arm = 200_mm;
    weak.leg = 60_mm;
    weak.width = 8_mm; // presses deep into the wall
    weak.thickness = 5_mm;
    weak.hole_diameter = 5_mm;
    weak.hole_drops = {20_mm};
    weak.stiffened = true;
    weak.rating = 5000_n;
    job.catalogue.brackets = {weak};
    Shelf& shelf = job.walls.front().shelves.front();
    shelf.depth = 240_mm;
    shelf.load = {LoadKind::own, 1_kg_m};
    shelf.length = 600_mm;
    shelf.height = 1200_mm;
    const ShelfPlan plan = reckon(job).walls.front()->shelves.front();
    CHECK(has(plan, checks::bracket_turns));
    job.walls.front().shelves.front().height = 1800_mm; // out of reach
    CHECK_FALSE(has(reckon(job).walls.front()->shelves.front(), checks::bracket_turns));
}

TEST_CASE("what hangs in the lining is summed, and leaned on", "[shelves][safety]") {
    Wall wall = stud_wall();
    // Holes that are made pin its brackets: one of three in a stud.
    for (const Length x : {700_mm, 1300_mm, 1900_mm}) {
        MadeHole made;
        made.item = "shelf";
        made.x = x;
        made.z = 1700_mm;
        wall.made.push_back(made);
    }
    wall.studs = {{1300_mm, StudState::proved, Length::micrometres(600), {}}};
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.left = 600_mm;
    shelf.length = 1400_mm;
    shelf.depth = 200_mm;
    shelf.height = 1800_mm;
    shelf.load = {LoadKind::own, 12_kg_m};
    const ShelfPlan plan = plan_with(wall, shelf);
    const auto one = std::ranges::find(plan.checks, checks::one_stud, &Check::code);
    REQUIRE(one != plan.checks.end());
    Force lining = 0;
    for (const BracketPlan& place : plan.brackets)
        if (!carries(place.substrate))
            lining += place.reaction.sustained;
    CHECK(one->amount->si == approx(mass_of(lining)));
    // A light shelf on the lining alone that anyone can reach is leaned on: more than an anchor's 50 N.
    wall.studs.clear();
    wall.made.clear();
    shelf.load = {LoadKind::own, 1_kg_m};
    shelf.length = 500_mm;
    shelf.height = 1200_mm;
    const ShelfPlan reached = plan_with(wall, shelf);
    const auto none = std::ranges::find(reached.checks, checks::no_stud, &Check::code);
    REQUIRE(none != reached.checks.end());
    CHECK(none->severity == Severity::error);
}

TEST_CASE("a heavy unit among light ones loads the rail's fixings near it, not their mean", "[runs][safety]") {
    Job job = kitchen_with(
        {run_of(RunLevel::wall, {wall_unit("a", 600_mm), wall_unit("b", 600_mm), wall_unit("c", 600_mm)})});
    job = apply(SetHanging{"wall-run", Hanging::suspension_rail}, job);
    auto& units = job.walls.front().runs.front().units;
    for (CabinetUnit& unit : units)
        unit.loaded_mass = 22_kg;
    units[0].loaded_mass = 120_kg;
    const RunPlan plan = run_plan(job);
    const RailHold& rail = plan.pieces.front().hold;
    REQUIRE(rail.places.size() >= 3);
    Force total = 0;
    for (const PlannedHole& place : rail.places)
        total += place.demands.front().down;
    const Force mean = total / static_cast<double>(rail.places.size());
    CHECK(rail.places.front().demands.front().down > 1.5 * mean);
    CHECK(rail.places.back().demands.front().down < mean);
}

TEST_CASE("a hole outside its own thing is an error", "[shelves][safety]") {
    Shelf shelf = new_shelf(shelf_preset("fixture"), stud_wall());
    auto& plate = std::get<Fixture>(shelf.holding).plate;
    CHECK_FALSE(has(plan_with(stud_wall(), shelf), checks::hole_outside));
    plate.holes.front().across = shelf.length + 10_mm;
    CHECK(has(plan_with(stud_wall(), shelf), checks::hole_outside));
}

TEST_CASE("edge distance is judged for the screw that is chosen", "[fixings][safety]") {
    const Framing framing;
    DrivenThrough rail{16_mm, wood_bearing(0.42)};
    rail.gravity = 0.42;
    rail.head = 13_mm;
    rail.coach = true;
    const Wall wall = stud_wall();
    rail.to_edge = 12_mm; // 5/16 and 3/8 in coach screws want 1.5 D: 11.9 and 14.3 mm
    const auto choice =
        choose_fixing({shipped_catalogue(), {}, wall}, Substrate::proved_stud, rail, {{5000_n, 100_n, 0.9}});
    if (choice) {
        CHECK(choice->fixing.clearance < 9_mm);
    }
    rail.to_edge = 5_mm;
    CHECK_FALSE(choose_fixing({shipped_catalogue(), {}, wall}, Substrate::proved_stud, rail, {{10_n, 10_n, 0.9}}));
}

TEST_CASE("the shank's hole is the first through tile and lining, and looking comes before going deep",
          "[fixings][drilling][safety]") {
    Wall wall = stud_wall();
    wall.lining.insert(wall.lining.begin(), {LiningMaterial::tile, 8_mm, {}});
    Fixing screw;
    screw.hole_diameter = 3_mm;
    screw.clearance = 5_mm;
    screw.drill_depth = 60_mm;
    const auto passes = drill_passes(wall, screw, {}, true);
    REQUIRE(passes.size() == 3);
    CHECK(passes[0].diameter == 5_mm);
    CHECK(passes[0].stage == DrillStage::tile);
    CHECK(passes[1].look);
    CHECK(passes[1].diameter == 5_mm);
    CHECK(passes[1].depth == wall.lining_thickness());
    CHECK(passes[2].diameter == 3_mm);
    for (std::size_t i = 1; i < passes.size(); ++i)
        CHECK(drilled_before(passes[i - 1], passes[i]));
}

TEST_CASE("sheet, walk and kit drill the same passes, the look first everywhere", "[fixings][drilling][safety]") {
    Wall wall = masonry_wall();
    wall.lining = {{LiningMaterial::tile, 8_mm, {}}, {LiningMaterial::plaster, 10_mm, {}}};
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    wall.services.push_back({ServiceKind::socket, 2000_mm, shelf.underside() - 100_mm, 86_mm, false, {}});
    const Job job = job_with(wall, shelf);
    const Plan plan = reckon(job);
    const ShelfPlan& reckoned = plan.walls.front()->shelves.front();
    std::vector<DrillPass> sheet;
    for (const DrillRow& row : drilling_of(reckoned.holes))
        sheet.push_back(row.pass);
    std::vector<DrillPass> walk;
    for (const WallPass& pass : walk_wall(*plan.walls.front(), job.rules.fitting))
        if (pass.drill)
            walk.push_back(*pass.drill);
    CHECK(sheet == walk);
    CHECK(std::ranges::is_sorted(walk, drilled_before));
    CHECK(std::ranges::any_of(walk, &DrillPass::look));
    std::size_t bits = 0;
    for (const KitLine& line : kit_of(job, plan).lines)
        bits += line.group == KitGroup::bits;
    std::set<std::pair<std::string_view, Length>> kinds;
    for (const DrillPass& pass : walk)
        kinds.insert({pass.bit, pass.diameter});
    CHECK(bits == kinds.size());
}

TEST_CASE("probing keeps out of strips until a detector has read clear", "[survey][safety]") {
    Wall wall = stud_wall();
    wall.studs.clear();
    wall.services.push_back({ServiceKind::socket, 1000_mm, 400_mm, 86_mm, false, {}});
    const auto advice_of = [](const Wall& on) {
        const auto strips = service_strips(on, {});
        return std::pair{advise_probe(on, std::nullopt, StudRules{}, ProbeWhere::anywhere, strips), strips};
    };
    Wall now = wall;
    for (int probe = 0; probe < 12; ++probe) {
        const auto [advice, strips] = advice_of(now);
        if (!advice)
            break;
        REQUIRE(advice->z);
        CHECK(strips_at(strips, advice->x, *advice->z, 2_mm).empty());
        now.observations.push_back({EvidenceKind::probe_miss, advice->x, advice->z});
    }
    CHECK(now.observations.size() > 3);
}

TEST_CASE("paper promises nothing that is not known", "[sheets][safety]") {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    const auto label = [&] {
        const Plan plan = reckon(job);
        return load_label(job.walls[0], job.walls[0].shelves[0], plan.walls[0]->shelves[0],
                          *capacity(job, plan, "shelf"));
    };
    job.walls[0].shelves[0].load = {LoadKind::display, 0};
    REQUIRE(label().fit);
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.rating.reset();
    CHECK_FALSE(label().fit);
    CHECK(say(label().greatest, {}) == "Not known: enter the packet's figure");
    const std::string text = summary(job, reckon(job), {});
    CHECK(text.find("Not known: enter the packet's figure") != std::string::npos);
    CHECK(text.find("limited by") == std::string::npos);
}

TEST_CASE("reckon prints every check that it counts", "[sheets]") {
    const Job job = demo_job();
    const Plan plan = reckon(job);
    const std::string text = summary(job, plan, {});
    for (const Severity severity : {Severity::error, Severity::warning, Severity::note}) {
        const std::string mark = "  " + std::string{name(severity)} + ": ";
        std::size_t printed = 0;
        for (std::size_t at = text.find(mark); at != std::string::npos; at = text.find(mark, at + 1))
            ++printed;
        CHECK(printed == count_checks(plan, severity));
    }
}

TEST_CASE("one thing that cannot be reckoned takes no other with it", "[reckon][safety]") {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("standards"), stud_wall()));
    auto& uprights = std::get<OnStandards>(job.walls[0].shelves[0].holding);
    uprights.hole_every = Length::micrometres(10); // tens of thousands of holes
    Shelf other = new_shelf(shelf_preset("brackets"), stud_wall());
    other.id = "other";
    other.height = 900_mm;
    job.walls[0].shelves.push_back(other);
    const Plan plan = reckon(job);
    CHECK(has(plan.walls[0]->shelves[0], checks::not_reckoned));
    CHECK_FALSE(plan.walls[0]->shelves[1].brackets.empty());
    CHECK_NOTHROW(summary(job, plan, {}));
}

TEST_CASE("an upright shorter than its first hole, and a cleat in a corner of no width, are said to be wrong",
          "[reckon]") {
    Shelf shelf = new_shelf(shelf_preset("standards"), stud_wall());
    std::get<OnStandards>(shelf.holding).standard = 20_mm;
    std::get<OnStandards>(shelf.holding).first_hole = 30_mm;
    CHECK(has(plan_with(stud_wall(), shelf), checks::bracket_turns));
    for (const ShelfPreset& kind : {shelf_preset("cleats"), shelf_preset("hidden_bracket")}) {
        Shelf narrow = new_shelf(kind, masonry_wall());
        for (const Length length : {1_mm, 20_mm, 60_mm}) {
            narrow.length = length;
            CHECK_NOTHROW(plan_with(masonry_wall(), narrow));
        }
    }
}
