#include "core/fixings/beam_ends.hpp"
#include "core/fixings/end_grain.hpp"
#include "core/fixings/wood_screw.hpp"
#include "core/plan/check.hpp"

#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

namespace {

HoleDemand stored(double down, double pull = 0) {
    return {Force::si(pull), Force::si(down), duration_stored};
}
HoleDemand leaned_on(double down) {
    return {0, Force::si(down), duration_people};
}

constexpr TimberSchool school = TimberSchool::nds;

} // namespace

TEST_CASE("a beam's ends take what lies on it by the lever", "[noggings][boxes][reference]") {
    // Statics: 100 N a quarter of the way in are 75 N on the near end and 25 N on the far one.
    const std::vector<HoleDemand> one{stored(100)};
    const OnBeam quarter{0.25, one};
    const auto ends = beam_ends({&quarter, 1}, school);
    REQUIRE(ends);
    CHECK(ends->left.is.in_si() == Approx(75));
    CHECK(ends->right.is.in_si() == Approx(25));
    CHECK(ends->left.counts.in_si() == Approx(75)); // nothing of it is for a moment
    // Down and out are at right angles: 30 and 40 N come to 50.
    const std::vector<HoleDemand> both{stored(60, 80)};
    const OnBeam middle{0.5, both};
    CHECK(beam_ends({&middle, 1}, school)->left.is.in_si() == Approx(50));
}

TEST_CASE("only what is all for a moment counts for less", "[noggings][boxes]") {
    const std::vector<HoleDemand> people{leaned_on(100)};
    const std::vector<HoleDemand> goods{stored(100)};
    const std::vector<OnBeam> alone{{0, people}};
    CHECK(beam_ends(alone, school)->left.counts.in_si() == Approx(100 / people_share(school)));
    const std::vector<OnBeam> mixed{{0, people}, {0, goods}};
    CHECK(beam_ends(mixed, school)->left.counts.in_si() == Approx(200));
}

TEST_CASE("no case of a fixing is lost beside one that has fewer", "[noggings][boxes][safety]") {
    const std::vector<HoleDemand> two{stored(10), stored(300)};
    const std::vector<HoleDemand> one{stored(50)};
    for (const bool first : {true, false}) {
        std::vector<OnBeam> loads{{0.5, two}, {0.5, one}};
        if (first)
            std::swap(loads.front(), loads.back());
        const auto ends = beam_ends(loads, school);
        REQUIRE(ends);
        CHECK(ends->left.is.in_si() == Approx(175)); // half of the worst of each
        CHECK(ends->right.is.in_si() == Approx(175));
    }
}

TEST_CASE("what nobody knows makes the beam's ends unknown, and no load is none", "[noggings][boxes][safety]") {
    const std::vector<HoleDemand> goods{stored(100)};
    const std::vector<OnBeam> loads{{0.2, goods}, {0.7, {}}};
    CHECK_FALSE(beam_ends(loads, school));
    const auto none = beam_ends({}, school);
    REQUIRE(none);
    CHECK(none->left.is.in_si() == 0);
}

TEST_CASE("more on a beam never lightens an end", "[noggings][boxes][property]") {
    rc::prop("more is more", [] {
        const auto some = [] {
            std::vector<HoleDemand> demands;
            const int number = *rc::gen::inRange(1, 4);
            for (int i = 0; i < number; ++i)
                demands.push_back(*rc::gen::element(stored(100, 30), stored(5), leaned_on(220)));
            return demands;
        };
        const std::vector<HoleDemand> before = some();
        const std::vector<HoleDemand> more = some();
        const double here = *rc::gen::inRange(0, 101) / 100.0;
        const double there = *rc::gen::inRange(0, 101) / 100.0;
        const std::vector<OnBeam> one{{here, before}};
        const std::vector<OnBeam> both{{here, before}, {there, more}};
        const auto less = beam_ends(one, school);
        const auto all = beam_ends(both, school);
        RC_ASSERT(all->left.is.in_si() >= less->left.is.in_si() - 1e-9);
        RC_ASSERT(all->right.counts.in_si() >= less->right.counts.in_si() - 1e-9);
    });
}
