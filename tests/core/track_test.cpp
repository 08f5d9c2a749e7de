// A strip or track that carries its current itself, fed at places along it.
#include "core/feeds/lead.hpp"
#include "core/feeds/reckon_feed.hpp"
#include "core/feeds/track.hpp"
#include "core/reckon/reckon.hpp"
#include "shelf_walls.hpp"

#include <Eigen/Dense>
#include <cmath>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>
#include <set>

using namespace yes_square;

namespace {

/// What a current of one ampere at each of `drawn` drops where, by nodal analysis of the whole cut into pieces: the
/// rails, the bus wire beside them with its taps, and the lead to the driver.
class Network {
public:
    Network(const TrackCircuit& track, int pieces)
        : pieces_{pieces}
        , conductance_{Eigen::MatrixXd::Zero(nodes(track), nodes(track))} {
        const double step = track.length / pieces;
        for (int i = 0; i < pieces; ++i)
            if (!track.loop || i + 1 < pieces)
                join(i, i + 1, track.rail_ohm * step);
        if (track.loop) // the last node of the rails is the first again
            join(pieces - 1, 0, track.rail_ohm * step);
        // Bus nodes are one with the rails' where it is tapped.
        double from = 0;
        int before = -1;
        for (const double at : track.fed_at) {
            const int tap = static_cast<int>(std::lround(at / step)) % (track.loop ? pieces : pieces + 1);
            if (before < 0)
                conductance_(tap, tap) += 1 / (track.lead_ohm + track.bus_ohm * at);
            else
                join(before, tap, track.bus_ohm * (at - from));
            before = tap;
            from = at;
        }
        ohm_ = conductance_.inverse();
    }

    double spread(double amps) const {
        const long number = ohm_.rows();
        Eigen::VectorXd drawn = Eigen::VectorXd::Constant(number, amps / pieces_);
        if (number == pieces_ + 1)
            drawn(0) = drawn(number - 1) = amps / pieces_ / 2;
        return (ohm_ * drawn).maxCoeff();
    }
    double moving(double amps) const { return amps * ohm_.diagonal().maxCoeff(); }

private:
    long nodes(const TrackCircuit& track) const { return track.loop ? pieces_ : pieces_ + 1; }
    void join(int a, int b, double ohm) {
        if (a == b)
            return;
        conductance_(a, a) += 1 / ohm;
        conductance_(b, b) += 1 / ohm;
        conductance_(a, b) -= 1 / ohm;
        conductance_(b, a) -= 1 / ohm;
    }
    int pieces_;
    Eigen::MatrixXd conductance_;
    Eigen::MatrixXd ohm_;
};

Job lit(LightFeed feed) {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    job.walls.front().shelves.clear();
    feed.id = feed.name = "track";
    feed.right = 4000_mm;
    feed.height = 2000_mm;
    job.walls.front().feeds = {feed};
    return job;
}
FeedPlan plan_of(const Job& job) {
    return reckon(job).walls.front()->feeds.front();
}

} // namespace

TEST_CASE("between two good feeds a load draws through (x - a)(b - x)/(b - a) of the rails", "[feeds][track]") {
    // No bus wire to speak of: 10 m of rails of 0.1 ohm/m fed at both ends; 2 A in the middle lose 2 x 0.1 x 25 / 10.
    const TrackCircuit both{10, 0.1, 0, 0, {0, 10}, false};
    CHECK(moving_drop(both, 2).volts == Approx(2 * 0.1 * 5 * 5 / 10));
    CHECK(moving_drop(both, 2).at == Approx(5));
    // Fed at one end: all of the rails.
    CHECK(moving_drop({10, 0.1, 0, 0, {0}, false}, 2).volts == Approx(2));
    // A loop fed at one place is fed from both sides: a quarter at its far point.
    const TrackCircuit ring{10, 0.1, 0, 0, {0}, true};
    CHECK(moving_drop(ring, 2).volts == Approx(0.5));
    CHECK(moving_drop(ring, 2).at == Approx(5));
    // In two opposite places: a quarter of that again.
    CHECK(moving_drop({10, 0.1, 0, 0, {0, 5}, true}, 2).volts == Approx(2 * 0.1 * 2.5 * 2.5 / 5));
    // The same spread evenly: half as much at one end, an eighth between two.
    CHECK(spread_drop({10, 0.1, 0, 0, {0}, false}, 2).volts == Approx(1));
    CHECK(spread_drop(both, 2).volts == Approx(2 * 0.1 * 10 / 8));
    // Fed in its middle, both halves by themselves: half the current through half the rails, spread.
    CHECK(spread_drop({10, 0.1, 0, 0, {5}, false}, 2).volts == Approx(1 * 0.5 / 2));
    // The lead before it loses its own.
    CHECK(moving_drop({10, 0.1, 0, 0.3, {0, 10}, false}, 2).volts == Approx(1.1));
}

TEST_CASE("rails, bus wire and taps lose what a network of resistors does", "[feeds][track][property]") {
    rc::prop("network", [] {
        const auto figure = [](int from, int to) { return *rc::gen::inRange(from, to) / 1000.0; };
        constexpr int pieces = 120;
        TrackCircuit track{figure(500, 12000),         figure(5, 800), figure(1, 200), figure(1, 500), {},
                           *rc::gen::arbitrary<bool>()};
        const int feeds = *rc::gen::inRange(1, 6);
        std::set<int> places;
        while (static_cast<int>(places.size()) < feeds)
            places.insert(*rc::gen::inRange(0, pieces));
        for (const int place : places)
            track.fed_at.push_back(track.length * place / pieces);
        const Network network{track, pieces};
        const double amps = figure(100, 9000);
        const auto near = [](double one, double other) { return std::abs(one - other) <= 0.004 * other + 1e-9; };
        RC_ASSERT(near(spread_drop(track, amps).volts, network.spread(amps)));
        RC_ASSERT(near(moving_drop(track, amps).volts, network.moving(amps)));
    });
}

TEST_CASE("one more feed, a loop, or a thicker bus wire never makes it darker", "[feeds][track][property]") {
    rc::prop("more is no worse", [] {
        const auto figure = [](int from, int to) { return *rc::gen::inRange(from, to) / 1000.0; };
        TrackCircuit track{figure(500, 12000), figure(5, 800), figure(1, 200), figure(0, 500), {}, false};
        track.fed_at = {track.length * figure(0, 500), track.length * figure(500, 1000)};
        TrackCircuit more = track;
        more.fed_at.push_back(track.length);
        TrackCircuit thick = track;
        thick.bus_ohm /= 2;
        TrackCircuit ring = track;
        ring.loop = true;
        for (const TrackCircuit& better : {more, thick, ring})
            RC_ASSERT(moving_drop(better, 2).volts <= moving_drop(track, 2).volts + 1e-9);
        RC_ASSERT(spread_drop(thick, 2).volts <= spread_drop(track, 2).volts + 1e-9);
        // A loop draws some of an even load through the far feed instead, and so through more of the bus wire.
        const double through_bus = 2 * track.bus_ohm * track.length;
        RC_ASSERT(spread_drop(ring, 2).volts <= spread_drop(track, 2).volts + through_bus + 1e-9);
    });
}

TEST_CASE("a track that loses too much is fed at as many places as make it good", "[feeds][track]") {
    LightFeed feed;
    feed.volts = 12;
    feed.load = FeedLoad::moving;
    feed.moving_watts = 24;
    feed.own_ohm = 0.4; // 4 m of it: 2 A through 1.6 ohm lose 3.2 of 12 V
    const Job job = lit(feed);
    const FeedPlan plan = plan_of(job);
    const Check* drops = nullptr;
    for (const Check& check : plan.checks)
        if (check.code == checks::feed_drops)
            drops = &check;
    REQUIRE(drops);
    REQUIRE(drops->cures.front().edit);
    const Job cured = apply(*drops->cures.front().edit, job);
    const FeedPlan good = plan_of(cured);
    REQUIRE(good.lead);
    CHECK(good.leads[*good.lead].drop_v <= 0.6);
    CHECK(good.fed_at.size() == cured.walls.front().feeds.front().fed_at.size());
    CHECK(good.fed_at.size() >= 2);
    // With one fewer no lead would do.
    Job fewer = job;
    for (const double at : evenly_fed(4, static_cast<int>(good.fed_at.size()) - 1, false))
        fewer.walls.front().feeds.front().fed_at.push_back(Length::mm(std::llround(at * 1000)));
    CHECK_FALSE(plan_of(fewer).lead);
    // Each feed is a step, and the bus wire's length is bought.
    std::size_t taps = 0;
    for (const Step& step : good.steps)
        taps += say(step.words, {}).find("feed it at") != std::string::npos;
    CHECK(taps == good.fed_at.size());
}

TEST_CASE("a place beyond the track is said and left out", "[feeds][track]") {
    LightFeed feed;
    feed.own_ohm = 0.05;
    feed.fed_at = {1000_mm, 5000_mm};
    const FeedPlan plan = plan_of(lit(feed));
    CHECK(plan.fed_at == std::vector<Length>{1000_mm});
    CHECK(std::ranges::find(plan.checks, checks::feed_place_off, &Check::code) != plan.checks.end());
}

TEST_CASE("a moving load on a lead beside it is fed at its left end and nowhere else", "[feeds][track][safety]") {
    // Feeds and a loop along it would count the lead twice, and find half of what is lost.
    LightFeed feed;
    feed.volts = 12;
    feed.load = FeedLoad::moving;
    feed.moving_watts = 24;
    const FeedPlan plain = plan_of(lit(feed));
    feed.fed_at = {{}, 2000_mm, 4000_mm};
    feed.loop = true;
    const FeedPlan told = plan_of(lit(feed));
    CHECK(told.fed_at == std::vector<Length>{told.left});
    REQUIRE(plain.leads.size() == told.leads.size());
    for (std::size_t i = 0; i < plain.leads.size(); ++i) {
        CHECK(told.leads[i].drop_v == Approx(plain.leads[i].drop_v));
        // Out and back to the far end: 4 m and what comes before, 2 A.
        const double ohm = 2 * properties(told.leads[i].conductor).ohm_per_m * (4 + told.near_lead.in_metres());
        CHECK(told.leads[i].drop_v == Approx(2 * ohm));
    }
    for (const Step& step : told.steps)
        CHECK(say(step.words, {}).find("join its ends") == std::string::npos);
}

TEST_CASE("the sum tells what one, two and three feeds would make of it", "[feeds][track]") {
    LightFeed feed;
    feed.own_ohm = 0.1;
    feed.watts_per_m = 5;
    const FeedPlan plan = plan_of(lit(feed));
    const auto drop = std::ranges::find(plan.workings, std::string{"drop"}, &Working::subject);
    REQUIRE(drop != plan.workings.end());
    std::vector<double> told;
    for (const Sentence& fact : drop->facts)
        if (fact.pattern.starts_with("Fed at"))
            told.push_back(std::get<Quantity>(fact.values[1]).si);
    REQUIRE(told.size() == 3);
    CHECK(told[0] > told[1]);
    CHECK(told[1] > told[2]);
}
