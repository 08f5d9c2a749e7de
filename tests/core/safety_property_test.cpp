#include "core/fixings/bracket_forces.hpp"
#include "core/fixings/choose_fixing.hpp"
#include "core/fixings/wood_screw.hpp"
#include "core/reckon/reckon.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/site/site_checks.hpp"
#include "core/site/strip_checks.hpp"

#include <algorithm>
#include <catch2/catch.hpp>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

/// What must never come out fine when it is not, tried on walls and shelves drawn at random. Each property looks at
/// the job and the plan from outside, with sums of its own.
namespace {

Length drawn(int from_mm, int to_mm) {
    return Length::mm(*rc::gen::inRange(from_mm, to_mm));
}

/// A framed or masonry wall with studs in any state, a socket, a pipe, a window, and one shelf.
Job random_job() {
    Job job = new_job();
    job.rooms = {{"room", "Room", static_cast<ServiceClass>(*rc::gen::inRange(0, 2)), {}}};
    Wall wall;
    wall.id = "wall";
    wall.name = "Wall";
    wall.room = "room";
    wall.length = drawn(1500, 6000);
    wall.height = drawn(2200, 2800);
    if (*rc::gen::arbitrary<bool>()) {
        wall.structure = Masonry{static_cast<MasonryKind>(*rc::gen::inRange(0, 4))};
    } else {
        wall.structure = Framing{38_mm, 89_mm, 400_mm, static_cast<Species>(*rc::gen::inRange(0, 7))};
        for (Length at = drawn(20, 400); at < wall.length; at += drawn(300, 620))
            wall.studs.push_back({at,
                                  static_cast<StudState>(*rc::gen::inRange(0, 3)),
                                  Length::micrometres(*rc::gen::inRange(300, 6000)),
                                  {}});
    }
    wall.lining = {{static_cast<LiningMaterial>(*rc::gen::inRange(0, 5)), drawn(5, 30), {}}};
    wall.services = {{ServiceKind::socket, drawn(0, 4000), drawn(200, 1600), 86_mm, {}},
                     {ServiceKind::pipe, drawn(0, 4000), drawn(200, 1600), 60_mm, {}}};
    Shelf shelf;
    shelf.id = "shelf";
    shelf.name = "Shelf";
    shelf.left = drawn(0, 1000);
    shelf.height = drawn(500, 2000);
    shelf.length = drawn(300, 2500);
    shelf.depth = drawn(140, 480);
    shelf.thickness = drawn(12, 40);
    shelf.material = static_cast<BoardMaterial>(*rc::gen::inRange(0, 13));
    shelf.load.kind = static_cast<LoadKind>(*rc::gen::inRange(1, 4));
    shelf.school = static_cast<School>(*rc::gen::inRange(0, 3));
    wall.shelves.push_back(shelf);
    job.walls.push_back(wall);
    for (Bracket& bracket : job.catalogue.brackets)
        if (*rc::gen::arbitrary<bool>())
            bracket.rating = Force::newtons(*rc::gen::inRange(100, 2000));
    return job;
}

bool has(const ShelfPlan& plan, CheckCode code, Severity least = Severity::note) {
    return std::ranges::any_of(plan.checks,
                               [&](const Check& check) { return check.code == code && check.severity >= least; });
}

bool no_errors(const ShelfPlan& plan) {
    return std::ranges::none_of(plan.checks, [](const Check& check) { return check.severity == Severity::error; });
}

} // namespace

TEST_CASE("a shelf without errors hangs on what holds it", "[reckon][safety][property]") {
    int sound = 0;
    // Most random shelves have an error: of some at a time the first that has none, so that some are sound.
    const auto likely_sound = [] {
        Job job = random_job();
        for (int more = 0; more < 9 && !no_errors(reckon(job).walls[0]->shelves[0]); ++more)
            job = random_job();
        return job;
    };
    rc::prop("no assumed stud, no overloaded or unknown fixing, no hole where a service is likely", [&] {
        const Job job = likely_sound();
        const Wall& wall = job.walls[0];
        const Shelf& shelf = wall.shelves[0];
        const Plan whole = reckon(job);
        const ShelfPlan& plan = whole.walls[0]->shelves[0];
        if (!no_errors(plan))
            return;
        ++sound;
        RC_ASSERT(plan.bracket.has_value());
        std::size_t carrying = 0;
        for (const BracketPlan& place : plan.brackets) {
            if (place.substrate == Substrate::lining)
                continue;
            ++carrying;
            RC_ASSERT(place.substrate != Substrate::assumed_stud);
            RC_ASSERT(place.fixing.has_value());
            RC_ASSERT(place.fixing_utilisation.number() <= 1.0);
            if (!place.bracket_utilisation.known())
                RC_ASSERT(has(plan, checks::bracket_unrated, Severity::warning));
            else
                RC_ASSERT(place.bracket_utilisation.number() <= 1.0);
            if (place.substrate != Substrate::masonry) {
                // Really in wood: some found stud's centre within half its width.
                RC_ASSERT(std::ranges::any_of(wall.studs, [&](const Stud& stud) {
                    return stud.state != StudState::assumed && absolute(stud.centre - place.x) <= 19_mm;
                }));
            }
        }
        if (carrying < 2)
            RC_ASSERT(has(plan, checks::no_stud, Severity::warning) || has(plan, checks::one_stud, Severity::warning));
        for (const PlannedHole& hole : plan.holes) {
            RC_ASSERT(hole.x >= Length{} && hole.x <= wall.length);
            for (const ServicePoint& service : wall.services) {
                const Length half = service.width / 2;
                if (hole.in_strip()) // held until a detector has read clear there
                    RC_ASSERT(has(plan, checks::detect_first, Severity::warning) && holds(plan) != Holds::yes);
                else
                    RC_ASSERT(absolute(hole.x - service.centre) >= half);
                if (service.kind != ServiceKind::pipe && !hole.in_strip())
                    RC_ASSERT(absolute(hole.z - service.height) >= half);
            }
        }
        RC_ASSERT(plan.sag->long_term <= plan.sag->limit);
        for (std::size_t i = 1; i < plan.brackets.size(); ++i)
            RC_ASSERT(plan.brackets[i].x - plan.brackets[i - 1].x <= 36_in + Length::nanometres(1));
        RC_ASSERT(shelf.left >= Length{} && shelf.right() <= wall.length);
    });
    CHECK(sound > 0); // or nothing was tried
}

TEST_CASE("what carries holds the whole shelf up: reactions come to the load at least", "[reckon][safety][property]") {
    rc::prop("sum of the carrying brackets' loads", [] {
        const Job job = random_job();
        const Plan whole = reckon(job);
        const ShelfPlan& plan = whole.walls[0]->shelves[0];
        Force held = 0;
        for (const BracketPlan& place : plan.brackets)
            if (place.substrate != Substrate::lining)
                held += place.reaction.sustained;
        const Force total = (plan.self_weight + plan.goods_load) * job.walls[0].shelves[0].length;
        if (held > 0 && plan.brackets.size() > 1)
            RC_ASSERT(held >= total * 0.999999);
    });
}

TEST_CASE("more to carry never uses a fixing less", "[fixings][safety][property]") {
    rc::prop("bracket forces grow with load and reach", [] {
        const auto& brackets = shipped_catalogue().brackets;
        const Bracket& bracket = brackets[*rc::gen::inRange<std::size_t>(0, brackets.size())];
        const Force load = Force::newtons(*rc::gen::inRange(10, 900));
        const Length at = drawn(40, 300);
        const BracketForces before = bracket_forces(bracket, load, at, 1_mpa);
        const BracketForces heavier = bracket_forces(bracket, load * 1.3, at, 1_mpa);
        const BracketForces farther = bracket_forces(bracket, load, at + 30_mm, 1_mpa);
        RC_ASSERT(heavier.tension.front() > before.tension.front());
        RC_ASSERT(heavier.shear > before.shear);
        RC_ASSERT(farther.tension.front() > before.tension.front());
        // Moment equilibrium: the pulls about the pivot come to the moment.
        Moment about_pivot = 0;
        for (std::size_t row = 0; row < bracket.hole_drops.size(); ++row)
            about_pivot +=
                before.tension[row] * std::max(Length{}, bracket.leg - bracket.hole_drops[row] - before.pivot);
        RC_ASSERT(abs(about_pivot - before.moment) <= 1e-3 * before.moment);
    });
    rc::prop("a lining between never helps, denser wood and deeper thread never harm", [] {
        const ScrewProperties& screw = all_gauges()[*rc::gen::inRange<std::size_t>(0, 3)];
        const double gravity = *rc::gen::inRange(36, 67) / 100.0;
        const double gap = *rc::gen::inRange(0, 40) / 25.4;
        const double depth = *rc::gen::inRange(40, 80) / 25.4;
        const SideMember close{0.16, steel_sheet_bearing, gap};
        const SideMember apart{0.16, steel_sheet_bearing, gap + 0.2};
        RC_ASSERT(lateral_strength(screw, {gravity}, apart, depth) <= lateral_strength(screw, {gravity}, close, depth));
        RC_ASSERT(lateral_strength(screw, {gravity + 0.05}, close, depth) >=
                  lateral_strength(screw, {gravity}, close, depth));
        RC_ASSERT(withdrawal_strength(screw, {gravity}, depth + 1, depth + 0.2) >=
                  withdrawal_strength(screw, {gravity}, depth + 1, depth));
    });
    rc::prop("pull and shear together use more than either alone", [] {
        const Force tension = Force::newtons(*rc::gen::inRange(1, 400));
        const Force shear = Force::newtons(*rc::gen::inRange(1, 400));
        const double used = combined_utilisation(tension, shear, 500_n, 300_n).number();
        RC_ASSERT(used >= tension / 500_n);
        RC_ASSERT(used >= shear / 300_n);
    });
}

TEST_CASE("a looser stud leaves less room for the screw, never more", "[fixings][safety][property]") {
    rc::prop("usable half width falls by twice the uncertainty", [] {
        const Framing framing;
        const Length s = Length::micrometres(*rc::gen::inRange(0, 9000));
        const Length more = s + 1_mm;
        RC_ASSERT(usable_half_width(framing, s, 0.19, {}) - usable_half_width(framing, more, 0.19, {}) == 2_mm);
        RC_ASSERT(usable_half_width(framing, s, 0.242, {}) < usable_half_width(framing, s, 0.164, {}));
    });
}
