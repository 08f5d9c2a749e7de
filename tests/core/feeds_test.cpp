#include "core/feeds/lead.hpp"
#include "core/feeds/reckon_feed.hpp"
#include "core/reckon/reckon.hpp"
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
