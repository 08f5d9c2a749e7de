#include "core/cutting/kit.hpp"
#include "core/feeds/lead.hpp"
#include "core/feeds/reckon_feed.hpp"
#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"
#include "core/steps/job_order.hpp"
#include "run_walls.hpp"
#include "shelf_walls.hpp"

#include <Eigen/Dense>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

TEST_CASE("copper's resistance is that of the wire table", "[feeds]") {
    // 18 AWG, 1.0236 mm, 1.7241e-8 ohm m: 6.386 ohm per 1000 ft (IEC 60028; ASTM B258 for the diameter).
    CHECK(properties(Conductor::awg_18).ohm_per_m * 304.8 == Approx(6.386).margin(0.01));
    CHECK(properties(Conductor::awg_18).section_mm2 == Approx(0.8230).margin(0.0005));
    // NBS Handbook 100, copper wire tables, ohm per 1000 ft at 20 C (from memory).
    CHECK(properties(Conductor::awg_22).ohm_per_m * 304.8 == Approx(16.14).margin(0.02));
    CHECK(properties(Conductor::awg_20).ohm_per_m * 304.8 == Approx(10.15).margin(0.02));
    CHECK(properties(Conductor::awg_16).ohm_per_m * 304.8 == Approx(4.016).margin(0.01));
    CHECK(properties(Conductor::awg_14).ohm_per_m * 304.8 == Approx(2.525).margin(0.01));
    CHECK(properties(Conductor::mm2_1).ohm_per_m == Approx(0.017241));
}

TEST_CASE("an even load drops half, fed at both ends an eighth", "[feeds]") {
    // 2 x length x current x ohm/m for a load at the far end; half for one that is spread; a quarter of that half.
    const double along = 2 * 6.0 * 0.02;
    const FeedDrop one = drop_of({5, 0, along, 0, false});
    CHECK(one.volts == Approx(5 * along / 2));
    CHECK(one.darkest == Approx(1));
    const FeedDrop both = drop_of({5, 0, along, 0, true});
    CHECK(both.volts == Approx(5 * along / 2 / 4));
    CHECK(both.darkest == Approx(0.5));
    CHECK(drop_of({5, 0.1, 0, 0, false}).volts == Approx(0.5)); // all of it beyond a lead
}

TEST_CASE("a loop with unequal arms drops as a network of resistors does", "[feeds][property]") {
    // Nodal analysis of a ladder of many small lamps, solved as a linear system.
    rc::prop("network", [] {
        const auto figure = [](int from, int to) { return *rc::gen::inRange(from, to) / 100.0; };
        const FeedCircuit circuit{figure(10, 900), figure(0, 100), figure(1, 100), figure(0, 100), true};
        constexpr int lamps = 400;
        Eigen::MatrixXd conductance = Eigen::MatrixXd::Zero(lamps, lamps);
        Eigen::VectorXd current = Eigen::VectorXd::Constant(lamps, -circuit.amps / lamps);
        const double step = circuit.along_ohm / lamps;
        const auto join = [&](int node, double ohm) { conductance(node, node) += 1 / ohm; };
        for (int i = 0; i + 1 < lamps; ++i) {
            join(i, step);
            join(i + 1, step);
            conductance(i, i + 1) -= 1 / step;
            conductance(i + 1, i) -= 1 / step;
        }
        join(0, circuit.near_ohm + step / 2); // to the driver, 0 V of drop
        join(lamps - 1, circuit.far_ohm + step / 2);
        const Eigen::VectorXd drop = -conductance.ldlt().solve(current);
        RC_ASSERT(std::abs(drop.maxCoeff() - drop_of(circuit).volts) <= 0.002 * drop.maxCoeff() + 1e-9);
    });
}

namespace {

Job lit_shelf(LightFeed feed) {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    Shelf& shelf = job.walls.front().shelves.front();
    shelf.left = 200_mm;
    shelf.length = 3600_mm;
    feed.id = feed.name = "light";
    feed.item = "shelf";
    job.walls.front().feeds = {feed};
    return job;
}

FeedPlan feed_plan(const Job& job) {
    return reckon(job).walls.front()->feeds.front();
}

} // namespace

TEST_CASE("a feed takes its length from the drawing and the thinnest lead that will do", "[feeds]") {
    LightFeed feed;
    feed.volts = 12;
    feed.watts_per_m = 10;
    feed.lead = 1000_mm;
    const FeedPlan plan = feed_plan(lit_shelf(feed));
    CHECK(plan.length() == 3600_mm);
    CHECK(plan.watts == Approx(36));
    CHECK(plan.amps == Approx(3));
    REQUIRE(plan.lead);
    // 2 x (1 + 3.6 / 2) m x 3 A x r <= 5 % of 12 V: r <= 0.0357 ohm/m, so 0.48 mm2; and 3 A at 6 A/mm2: 0.5 mm2.
    CHECK(plan.leads[*plan.lead].conductor == Conductor::mm2_0_5);
    CHECK(plan.leads[*plan.lead].drop_v == Approx(2 * 2.8 * 3 * 0.017241 / 0.5));
    CHECK(plan.drivers == 1);
    CHECK(plan.driver_watts == Approx(45));
    for (std::size_t i = 1; i < plan.leads.size(); ++i)
        CHECK(plan.leads[i].drop_v < plan.leads[i - 1].drop_v);
    feed.by_gauge = true;
    const FeedPlan gauge = feed_plan(lit_shelf(feed));
    REQUIRE(gauge.lead);
    CHECK(gauge.leads[*gauge.lead].conductor == Conductor::awg_20); // 0.518 mm2, the first of 0.48 or more
}

TEST_CASE("a lead too thin is an error, and its cure puts it right", "[feeds]") {
    LightFeed feed;
    feed.watts_per_m = 15;
    feed.by_gauge = true;
    feed.conductor = Conductor::awg_22;
    Job job = lit_shelf(feed);
    FeedPlan plan = feed_plan(job);
    REQUIRE(plan.checks.size() >= 1);
    CHECK(plan.checks.front().code == checks::feed_drops);
    CHECK(plan.checks.front().severity == Severity::error);
    job = yes_square::apply(*plan.checks.front().cures.front().edit, job);
    plan = feed_plan(job);
    CHECK(plan.checks.empty());

    job.walls.front().feeds.front().item = "gone";
    plan = feed_plan(job);
    REQUIRE(plan.checks.size() == 1);
    CHECK(plan.checks.front().code == checks::feed_along_nothing);
    CHECK(plan.steps.empty());
}

TEST_CASE("mains is said to be licensed work, and a big load has several drivers", "[feeds]") {
    LightFeed feed;
    feed.volts = 24;
    feed.watts_per_m = 40;
    const FeedPlan plan = feed_plan(lit_shelf(feed));
    CHECK(plan.watts == Approx(144));
    CHECK(plan.drivers == 3); // 144 / 0.8 = 180 W in drivers of 60
    CHECK(plan.driver_watts == Approx(60));
    REQUIRE_FALSE(plan.steps.empty());
    CHECK(say(plan.steps.front().words, {}).find("licensed electrician") != std::string::npos);
    CHECK(plan.steps.front().hold_point);
    // The drop is of the lead along it: a strip's own thinner copper is held for, not called good.
    CHECK(std::ranges::any_of(plan.steps, [](const Step& step) {
        return step.hold_point && say(step.words, {}).find("its own thin copper") != std::string::npos;
    }));
}

namespace {

/// Three wall units of 600 mm from 400 mm on, their bottoms lit.
Job lit_units(const DriverPlace& driver, Length lead = 5000_mm) {
    Run run = run_of(RunLevel::wall, {wall_unit("a", 600_mm), wall_unit("b", 600_mm), wall_unit("c", 600_mm)},
                     Slack::by_hand);
    run.left = 400_mm;
    Job job = kitchen_with({run});
    LightFeed feed;
    feed.id = feed.name = "light";
    feed.item = run.id;
    feed.lead = lead;
    feed.driver = driver;
    job.walls.front().feeds = {feed};
    return job;
}

std::vector<std::string> holes_in(const FeedPlan& plan) {
    std::vector<std::string> told;
    for (const LeadHole& hole : plan.driver->holes)
        told.push_back(hole.unit + " " + std::string{words(hole.panel)});
    return told;
}

} // namespace

TEST_CASE(
    "a driver over the units: its lead comes down through the unit at the light's end, drilled before that goes up",
    "[feeds][driver]") {
    const Job job = lit_units({DriverAt::over_units, 1900_mm});
    const Plan whole = reckon(job);
    const FeedPlan& plan = whole.walls.front()->feeds.front();
    REQUIRE(plan.driver);
    CHECK(plan.driver->known);
    // 1500 along from 1900 to the left end at 400, and down the unit's 720.
    CHECK(plan.driver->lead == 2220_mm);
    CHECK(plan.driver->far_lead == 1020_mm);
    CHECK(holes_in(plan) == std::vector<std::string>{"a top", "a bottom"});
    CHECK(plan.driver->holes.front().in == 16_mm + job.rules.feeds.lead_in); // its side and the way in
    const JobOrder order = job_order(job, whole);
    std::optional<std::size_t> drilled;
    std::optional<std::size_t> hung;
    for (std::size_t t = 0; t < order.tasks.size(); ++t) {
        if (say(order.tasks[t].step.words, {}).find("through its bottom for the lead") != std::string::npos)
            drilled = t;
        if (!hung && order.tasks[t].item == "wall-run" && order.tasks[t].step.phase == Phase::hang)
            hung = t;
    }
    REQUIRE((drilled && hung));
    CHECK(*drilled < *hung);
    const Kit kit = kit_of(job, whole);
    const auto grommets = std::ranges::find(kit.lines, std::string{"grommet"}, &KitLine::item);
    REQUIRE(grommets != kit.lines.end());
    CHECK(grommets->wanted == 2);
}

TEST_CASE("a driver in a unit: its lead goes through every side on the way, and through none where it is at home",
          "[feeds][driver]") {
    const auto with = [](const char* unit) {
        DriverPlace driver{DriverAt::in_unit};
        driver.unit = unit;
        return reckon(lit_units(driver)).walls.front()->feeds.front();
    };
    CHECK(holes_in(with("c")) ==
          std::vector<std::string>{"a right side", "b left side", "b right side", "c left side", "a bottom"});
    CHECK(holes_in(with("a")) == std::vector<std::string>{"a bottom"});
    CHECK(with("c").driver->x == 1900_mm);
    // A filler on the way has nothing to drill.
    DriverPlace beyond{DriverAt::in_unit};
    beyond.unit = "c";
    Job filled = lit_units(beyond);
    auto& units = filled.walls.front().runs.front().units;
    units.insert(units.begin() + 1, filler("f", 40_mm, 20_mm, 60_mm));
    CHECK(holes_in(feed_plan(filled)) == holes_in(with("c")));
    const FeedPlan gone = with("no such unit");
    CHECK_FALSE(gone.driver->known);
    CHECK(find_check(gone.checks, checks::driver_nowhere));
}

TEST_CASE("a light's own switch: the lead goes by it, through holes of its own, and it bears the light's current",
          "[feeds][driver]") {
    DriverPlace driver{DriverAt::in_unit};
    driver.unit = "c";
    Job job = lit_units(driver);
    const FeedPlan before = feed_plan(job);
    SwitchPlace& place = job.walls.front().feeds.front().switched;
    place = {SwitchAt::in_unit};
    place.unit = "b";
    const FeedPlan plan = feed_plan(job);
    REQUIRE(plan.switched);
    CHECK(plan.switched->known);
    CHECK(plan.switched->x == 1300_mm);
    REQUIRE(plan.switched->holes.size() == 1); // the sides on its way are drilled for the light's lead
    CHECK(plan.switched->holes.front().unit == "b");
    CHECK(plan.switched->holes.front().panel == LeadPanel::bottom);
    CHECK(plan.lead_holes().size() == before.lead_holes().size() + 1);
    // On the way along, down to the bottoms that the light is at: nothing more of lead.
    CHECK(plan.driver->lead == before.driver->lead);
    CHECK(std::ranges::any_of(plan.supplies,
                              [&](const Supply& supply) { return supply.name.pattern == "Switch for {0} or more"; }));

    place.unit = "a";
    CHECK(feed_plan(job).switched->holes.empty()); // its bottom has the light's own
    SECTION("past the light's end it is a way back") {
        job.walls.front().feeds.front().lead = 3500_mm;
        place = {SwitchAt::on_wall, 3000_mm, 1200_mm};
        const FeedPlan past = feed_plan(job);
        const Length across = 3000_mm - past.driver->x;
        CHECK(past.driver->lead ==
              across + (past.driver->z - 1200_mm) + (3000_mm - past.left) + (past.height - 1200_mm));
        CHECK(past.driver->lead > 3500_mm);
        // Fed at both ends, the other lead goes by it too.
        CHECK(past.driver->far_lead ==
              across + (past.driver->z - 1200_mm) + (3000_mm - past.right) + (past.height - 1200_mm));
        CHECK(find_check(past.checks, checks::lead_short));
    }
    SECTION("a unit over which the driver lies is drilled through its top too") {
        job.walls.front().feeds.front().driver = {DriverAt::over_units, 1900_mm};
        place.unit = "c";
        const FeedPlan over = feed_plan(job);
        REQUIRE(over.switched->holes.size() == 2);
        CHECK(over.switched->holes.back().panel == LeadPanel::top);
    }
    SECTION("nowhere to put it is said") {
        place.unit = "none";
        CHECK(find_check(feed_plan(job).checks, checks::switch_nowhere));
        place = {SwitchAt::on_wall, 9000_mm, 1200_mm};
        CHECK(find_check(feed_plan(job).checks, checks::switch_nowhere));
    }
}

TEST_CASE("a lead that does not reach from its driver is lengthened by its cure, and then reaches", "[feeds][driver]") {
    const Job job = lit_units({DriverAt::over_units, 1900_mm}, 1500_mm);
    const FeedPlan plan = feed_plan(job);
    const Check* check = find_check(plan.checks, checks::lead_short);
    REQUIRE(check);
    REQUIRE(check->cures.front().edit);
    const Job longer = apply(*check->cures.front().edit, job);
    CHECK(longer.walls.front().feeds.front().lead == 2300_mm);
    CHECK_FALSE(find_check(feed_plan(longer).checks, checks::lead_short));
    // Fed at both ends the far one is held to its own way.
    Job both = longer;
    both.walls.front().feeds.front().both_ends = true;
    both.walls.front().feeds.front().far_lead = 500_mm;
    const FeedPlan short_far = feed_plan(both);
    const Check* far = find_check(short_far.checks, checks::lead_short);
    REQUIRE(far);
    CHECK(apply(*far->cures.front().edit, both).walls.front().feeds.front().far_lead == 1100_mm);
}

TEST_CASE("a driver wants air over it, a wall behind it, a plinth before it", "[feeds][driver]") {
    Job low = lit_units({DriverAt::over_units, 1900_mm});
    const Length tops = reckon(low).walls.front()->runs.front().units.front().top;
    low.walls.front().height = tops + 60_mm;
    CHECK(find_check(feed_plan(low).checks, checks::driver_no_air));
    low.walls.front().height = tops + 80_mm;
    CHECK_FALSE(find_check(feed_plan(low).checks, checks::driver_no_air));
    CHECK(find_check(feed_plan(lit_units({DriverAt::over_units, 3000_mm})).checks, checks::driver_nowhere));
    CHECK(find_check(feed_plan(lit_units({DriverAt::behind_plinth, 800_mm})).checks, checks::driver_nowhere));
    // A base unit under the light is not what it lies on.
    Job kitchen = lit_units({DriverAt::over_units, 2600_mm});
    Run base = run_of(RunLevel::floor, {base_unit("d", 600_mm)}, Slack::by_hand);
    base.left = 2300_mm;
    kitchen.walls.front().runs.push_back(base);
    CHECK(find_check(feed_plan(kitchen).checks, checks::driver_nowhere));

    Job on_wall = lit_units({DriverAt::on_wall, 3200_mm, 1800_mm});
    CHECK_FALSE(find_check(feed_plan(on_wall).checks, checks::driver_nowhere));
    on_wall.walls.front().openings.push_back({OpeningKind::window, 2800_mm, 1200_mm, 700_mm, 900_mm, {}});
    CHECK(find_check(feed_plan(on_wall).checks, checks::driver_nowhere));
    on_wall.walls.front().feeds.front().driver.x = 4000_mm; // beyond the wall
    on_wall.walls.front().openings.clear();
    CHECK(find_check(feed_plan(on_wall).checks, checks::driver_nowhere));

    const auto back = read_job(write_job(on_wall));
    REQUIRE(back);
    CHECK(back->job.walls.front().feeds == on_wall.walls.front().feeds);
}
