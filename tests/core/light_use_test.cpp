// Light things on a lining, by what a packet says of its anchors: never more than light use, never what may tip or fall
// on somebody, and nothing where the packet does not speak of this lining.
#include "../random_jobs.hpp"
#include "core/cutting/kit.hpp"
#include "core/fixings/allowable.hpp"
#include "core/fixings/lining_anchor.hpp"
#include "core/reckon/fixing_options.hpp"
#include "core/sheets/load_label.hpp"
#include "core/sheets/plan_json.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_loads.hpp"
#include "core/shelves/shelf_study.hpp"
#include "core/site/site_checks.hpp"
#include "core/steps/next_step.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

namespace {

/// As a packet might rate it: 12 to 13 mm of plasterboard, figures to be used as they are.
LiningAnchor rated() {
    LiningAnchor anchor;
    anchor.id = "rated";
    anchor.name = "Rated anchor";
    anchor.hole_diameter = 10_mm;
    anchor.screw_diameter = 4_mm;
    anchor.tension = 200_n;
    anchor.shear = 250_n;
    anchor.basis = FigureBasis::recommended;
    anchor.lining_least = 12_mm;
    anchor.lining_most = 13_mm;
    anchor.own = true;
    return anchor;
}

Wall board_wall() {
    Wall wall = stud_wall();
    wall.structure = LiningOnly{};
    wall.studs.clear();
    return wall;
}

/// A picture ledge over people's reach, on nothing but plasterboard.
Job ledge_job(std::optional<LiningAnchor> anchor = rated()) {
    const Wall wall = board_wall();
    Job job = job_with(wall, new_shelf(shelf_preset("picture_ledge"), wall));
    if (anchor)
        job.catalogue.lining_anchors = {*anchor};
    return job;
}

} // namespace

TEST_CASE("a packet counts for its lining and thickness alone, both its figures by their basis", "[lining]") {
    const Wall wall = board_wall();
    CHECK(by_packet(rated(), wall)->tension == 200_n);
    LiningAnchor anchor = rated();
    anchor.basis = FigureBasis::characteristic;
    CHECK(by_packet(anchor, wall)->tension.in_newtons() == Approx(200 / 3.5));
    anchor.basis = FigureBasis::not_stated;
    CHECK(by_packet(anchor, wall)->shear.in_newtons() == Approx(250.0 / 5));
    anchor = rated();
    anchor.shear.reset();
    CHECK_FALSE(by_packet(anchor, wall));
    anchor = rated();
    anchor.lining_most = {};
    CHECK_FALSE(by_packet(anchor, wall)); // the packet does not say how thick
    anchor.lining_most = 12_mm;
    CHECK_FALSE(by_packet(anchor, wall));
    anchor = rated();
    anchor.lining = LiningMaterial::wood_panel;
    CHECK_FALSE(by_packet(anchor, wall));
    Wall tiled = wall;
    tiled.lining.insert(tiled.lining.begin(), {LiningMaterial::tile, 8_mm, {}});
    CHECK_FALSE(by_packet(rated(), tiled));
    anchor = rated();
    anchor.lining = LiningMaterial::tile;
    Wall all_tile = wall;
    all_tile.lining.front().material = LiningMaterial::tile;
    CHECK_FALSE(by_packet(anchor, all_tile));
    Wall twice = wall;
    twice.lining.push_back(twice.lining.front());
    CHECK_FALSE(by_packet(rated(), twice)); // 25 mm
}

TEST_CASE("a ledge on rated anchors is for light use, and says so wherever its verdict is told", "[lining][safety]") {
    const Job job = ledge_job();
    const Plan whole = reckon(job);
    const ShelfPlan& plan = whole.walls.front()->shelves.front();
    REQUIRE_FALSE(plan.holes.empty());
    const Check* check = find_check(plan, checks::light_use);
    REQUIRE(check);
    CHECK(check->severity == Severity::warning);
    CHECK_FALSE(find_check(plan, checks::no_stud));
    CHECK_FALSE(has_error(plan));
    CHECK(holds(plan) == Holds::light);
    for (const PlannedHole& hole : plan.holes) {
        REQUIRE(hole.fixing);
        CHECK(hole.fixing->name == "Rated anchor");
        // T / Ta + V / Va, the worst of its cases, by hand.
        double worst = 0;
        for (const HoleDemand& demand : hole.demands)
            worst = std::max(worst, demand.tension.in_newtons() / 200 + demand.shear().in_newtons() / 250);
        CHECK(hole.utilisation.number() == Approx(worst));
        CHECK(worst <= 1);
        REQUIRE_FALSE(hole.passes.empty());
        CHECK(hole.passes.back().depth == job.walls.front().lining_thickness());
        CHECK(hole.passes.back().diameter == 10_mm);
        CHECK(hole.strength.side_gravity); // a wooden strip, not steel
    }
    const auto capacity = yes_square::capacity(job, whole, "shelf");
    REQUIRE(capacity);
    const Promise promise = promise_of(job.walls.front().shelves.front(), plan, *capacity);
    CHECK(promise.made);
    CHECK(say(promise.words, {}).find("Light use") == 0);
    const LoadLabel label = load_label(job.walls.front(), job.walls.front().shelves.front(), plan, *capacity);
    CHECK(label.fit);
    CHECK(label.greatest == promise.words);
    std::string assumed;
    for (const Sentence& line : label.assumes)
        assumed += say(line, {}) + "\n";
    CHECK(assumed.find("hangs on the lining") != std::string::npos);
    CHECK(assumed.find("Rated anchor") != std::string::npos);
    // Loaded with what its anchors hold it holds; with a tenth more it wants another place, with ten times as much
    // nothing helps.
    const auto under = [&](double share) {
        Job loaded = job;
        loaded.walls.front().shelves.front().load = {LoadKind::own, capacity->by_fixing * share};
        return shelf_plan(loaded);
    };
    CHECK(holds(under(0.999)) == Holds::light);
    CHECK(under(0.999).brackets.size() == plan.brackets.size());
    CHECK(under(1.1).brackets.size() > plan.brackets.size());
    CHECK(holds(under(10)) == Holds::no);
    CHECK(plan_json(job, whole, {}).find("\"light\"") != std::string::npos);
    const auto supplied = std::ranges::count_if(
        plan.supplies, [](const Supply& supply) { return say(supply.name, {}).find("steadies") != std::string::npos; });
    CHECK(supplied == 0);
}

TEST_CASE("without a packet's word the lining's own limits hold as before", "[lining]") {
    const ShelfPlan plan = shelf_plan(ledge_job(std::nullopt));
    CHECK_FALSE(find_check(plan, checks::light_use));
    CHECK(find_check(plan, checks::no_stud));
    CHECK(holds(plan) != Holds::yes);
    CHECK(holds(plan) != Holds::light);
    // Nor where its screw does not pass the thing's hole, or it stands off the lining.
    const Job job = ledge_job();
    const FixingGround ground{job.catalogue, job.rules, job.walls.front()};
    const std::vector<HoleDemand> demands{{50_n, 50_n, 0.9, "goods"}};
    DrivenThrough through{3_mm, steel_sheet_bearing, 5_mm};
    REQUIRE(choose_lining_anchor(ground, through, demands));
    CHECK(choose_lining_anchor(ground, through, demands)->utilisation.number() == Approx(50.0 / 200 + 50.0 / 250));
    through.hole = 3_mm;
    CHECK_FALSE(choose_lining_anchor(ground, through, demands));
    through.hole = 5_mm;
    // The head of its screw tears through a thin strip of wood before the lining gives.
    DrivenThrough strip{3_mm, steel_sheet_bearing};
    strip.gravity = 0.36;
    strip.head = 8_mm;
    const auto torn = choose_lining_anchor(ground, strip, demands);
    REQUIRE(torn);
    CHECK(torn->fixing.tension < 200_n);
    CHECK(torn->utilisation > choose_lining_anchor(ground, DrivenThrough{3_mm}, demands)->utilisation);
    through.packing = 4_mm;
    CHECK_FALSE(choose_lining_anchor(ground, through, demands));
}

TEST_CASE("somebody who leans within reach counts, and nothing that people work at hangs on a lining",
          "[lining][safety]") {
    const Wall wall = board_wall();
    const auto low = [&](Length height) {
        Shelf shelf = new_shelf(shelf_preset("picture_ledge"), wall);
        shelf.height = height;
        Job job = job_with(wall, shelf);
        job.catalogue.lining_anchors = {rated()};
        return shelf_plan(job);
    };
    CHECK(holds(low(1550_mm)) == Holds::light);
    const ShelfPlan leaned = low(1200_mm); // 250 N on its lip
    CHECK(holds(leaned) != Holds::light);
    CHECK_FALSE(find_check(leaned, checks::light_use));
    Shelf desk = new_shelf(shelf_preset("desk"), wall);
    Job job = job_with(wall, desk);
    LiningAnchor strong = rated();
    strong.tension = strong.shear = 100'000_n;
    job.catalogue.lining_anchors = {strong};
    CHECK_FALSE(find_check(shelf_plan(job), checks::light_use));
    CHECK(holds(shelf_plan(job)) != Holds::light);
}

TEST_CASE("one place of two in a stud, the other by a rated anchor: light use", "[lining]") {
    Wall wall = stud_wall();
    wall.studs = {{1000_mm, StudState::proved, Length::micrometres(600), {}}};
    Shelf shelf = new_shelf(shelf_preset("picture_ledge"), wall);
    shelf.left = 970_mm;
    shelf.length = 700_mm;
    shelf.pins = {30_mm, 670_mm};
    Job job = job_with(wall, shelf);
    job.catalogue.lining_anchors = {rated()};
    const ShelfPlan plan = shelf_plan(job);
    REQUIRE(plan.brackets.size() >= 2);
    REQUIRE(std::ranges::count(plan.brackets, Substrate::proved_stud, &BracketPlan::substrate) == 1);
    REQUIRE(plan.brackets.back().substrate == Substrate::lining);
    CHECK(find_check(plan, checks::light_use));
    CHECK(holds(plan) == Holds::light);
}

TEST_CASE("rated anchors change nothing but single boards and poles, whatever hangs there",
          "[lining][safety][property]") {
    LiningAnchor strong = rated();
    strong.tension = strong.shear = 50'000_n;
    strong.lining_least = 1_mm;
    strong.lining_most = 500_mm;
    std::size_t light = 0;
    for (std::uint64_t seed = 0; seed < 400; ++seed) {
        Job job = RandomJobs{seed}.next();
        const Plan before = reckon(job);
        job.catalogue.lining_anchors = {strong};
        const Plan after = reckon(job);
        const WallPlan& was = *before.walls.front();
        const WallPlan& is = *after.walls.front();
        std::vector<Holds> verdicts;
        for_each_thing(was, [&](const ThingPlan& thing) { verdicts.push_back(holds(thing)); });
        std::size_t at = 0;
        for_each_thing(is, [&](const ThingPlan& thing) {
            const Holds then = verdicts[at++];
            const bool shelf = std::ranges::any_of(is.shelves, [&](const ShelfPlan& s) { return s.id == thing.id; });
            INFO("seed " << seed << ", " << thing.name);
            if (holds(thing) != then) {
                CHECK(shelf);
                CHECK(holds(thing) != Holds::yes);
                CHECK((holds(thing) == Holds::light || then == Holds::no));
                light += holds(thing) == Holds::light;
            }
        });
        for (std::size_t i = 0; i < is.shelves.size(); ++i) {
            const Shelf& shelf = job.walls.front().shelves[i];
            if (holds(is.shelves[i]) == Holds::light) {
                CHECK(shelf.tiers == 1);
                CHECK(shelf.load.kind != LoadKind::desk);
            }
        }
    }
    CHECK(light > 0);
}

TEST_CASE("a lining anchor is chosen by hand among those whose packet speaks of this lining", "[lining][chosen]") {
    Job job = ledge_job();
    LiningAnchor stronger = rated();
    stronger.id = "stronger";
    stronger.name = "Stronger anchor";
    stronger.tension = 400_n;
    LiningAnchor unrated = rated();
    unrated.id = "unrated";
    unrated.tension.reset();
    job.catalogue.lining_anchors = {rated(), stronger, unrated};
    const std::string id = job.walls.front().shelves.front().id;
    CHECK(shelf_plan(job).brackets.front().fixing->name == "Stronger anchor"); // used least
    const auto options = fixing_options(job, reckon(job), id);
    const auto offered = [&](const std::string& anchor) {
        return std::ranges::any_of(
            options, [&](const FixingOption& option) { return option.as.anchor == anchor && option.refused.empty(); });
    };
    CHECK(offered("rated"));
    CHECK(offered("stronger"));
    CHECK_FALSE(offered("unrated"));
    job = apply(ChooseFixing{id, ChosenFixing{std::nullopt, "rated"}}, job);
    const ShelfPlan plan = shelf_plan(job);
    CHECK(plan.brackets.front().fixing->name == "Rated anchor");
    CHECK(holds(plan) == Holds::light);
    CHECK(goes_into(ChosenFixing{std::nullopt, "rated"}, job.walls.front(), job.catalogue));
    CHECK_FALSE(goes_into(ChosenFixing{std::nullopt, "unrated"}, job.walls.front(), job.catalogue));
}

TEST_CASE("a pole's brackets bear what their sheet says, by its basis, and no more", "[lining][pole]") {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("pole"), stud_wall()));
    Shelf& shelf = job.walls.front().shelves.front();
    CHECK(find_check(shelf_plan(job), checks::bracket_unrated));
    CHECK(holds(shelf_plan(job)) != Holds::yes);
    std::get<Pole>(shelf.holding).rating = 400_n;
    const ShelfPlan rated_pole = shelf_plan(job);
    CHECK_FALSE(find_check(rated_pole, checks::bracket_unrated));
    CHECK(holds(rated_pole) == Holds::yes);
    std::get<Pole>(shelf.holding).basis = FigureBasis::ultimate;
    CHECK(shelf_plan(job).brackets.front().bracket_utilisation.number() ==
          Approx(4 * rated_pole.brackets.front().bracket_utilisation.number()));
    std::get<Pole>(shelf.holding).rating = 4_n;
    CHECK(holds(shelf_plan(job)) == Holds::no);
}

TEST_CASE("out of reach is the fitter's word: leaning is left out, said on the label, never sitting or a desk's edge",
          "[lining][reach]") {
    Shelf shelf = new_shelf(shelf_preset("brackets"), stud_wall());
    shelf.height = 1100_mm;
    const HouseRules rules;
    CHECK(loads_of(shelf, rules).accidental == rules.accidental);
    shelf.out_of_reach = true;
    CHECK(loads_of(shelf, rules).accidental == 0_n);
    shelf.height = 400_mm; // low enough to sit down on
    shelf.depth = 300_mm;
    CHECK(loads_of(shelf, rules).accidental == rules.shelves.sat_on);
    shelf.load.kind = LoadKind::desk;
    CHECK(loads_of(shelf, rules).accidental >= rules.shelves.desk_edge);
    Shelf high = new_shelf(shelf_preset("brackets"), stud_wall());
    high.height = 1100_mm;
    high.out_of_reach = true;
    const Job job = job_with(stud_wall(), high);
    const Plan plan = reckon(job);
    const auto capacity = study(job, plan, "shelf")->capacity;
    const LoadLabel label =
        load_label(job.walls.front(), job.walls.front().shelves.front(), plan.walls.front()->shelves.front(), capacity);
    CHECK(std::ranges::any_of(label.assumes,
                              [](const Sentence& line) { return say(line, {}).starts_with("Nobody can lean on it"); }));
}
