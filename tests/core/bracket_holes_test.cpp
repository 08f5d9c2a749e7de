// Brackets whose holes lie beside the middle of their leg: staggered, side by side.
#include "core/fixings/bracket_forces.hpp"
#include "core/reckon/clashes.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/site/site_checks.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

namespace {

Bracket staggered(std::vector<Length> drops, std::vector<Length> across) {
    Bracket bracket;
    bracket.id = bracket.name = "staggered";
    bracket.arm = 200_mm;
    bracket.leg = 200_mm;
    bracket.width = 50_mm;
    bracket.thickness = 5_mm;
    bracket.hole_drops = std::move(drops);
    bracket.hole_across = std::move(across);
    bracket.hole_diameter = 5_mm;
    bracket.stiffened = true;
    bracket.rating = 2000_n;
    return bracket;
}

Job shelf_on(const Bracket& bracket, Wall wall) {
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.length = 1200_mm;
    shelf.depth = 250_mm;
    shelf.bracket = bracket.id;
    Job job = job_with(std::move(wall), shelf);
    job.catalogue.brackets.push_back(bracket);
    return job;
}

} // namespace

TEST_CASE("holes staggered evenly share the load, beside the middle they turn the leg on the wall",
          "[brackets][statics]") {
    const Force load = 300_n;
    const auto forces_of = [&](std::vector<Length> across) {
        return bracket_forces(staggered({40_mm, 160_mm}, std::move(across)), load, 100_mm, 1_mpa);
    };
    const BracketForces even = forces_of({10_mm, -10_mm});
    for (const std::size_t hole : {0U, 1U}) {
        CHECK(even.down[hole].in_si() == Approx(150));
        CHECK(even.across[hole].in_si() == Approx(0).margin(1e-9));
    }
    // Both 10 mm to the right: 300 N x 10 mm turn it, held by a couple along the wall over 120 mm: 25 N.
    const BracketForces beside = forces_of({10_mm, 10_mm});
    CHECK(beside.down[0].in_si() == Approx(150));
    CHECK(std::abs(beside.across[0].in_si()) == Approx(25));
    CHECK(beside.across[0].in_si() == Approx(-beside.across[1].in_si()));
    CHECK(beside.tension == forces_of({}).tension); // what pulls does not see it
}

TEST_CASE("side by side at the top, both hold where a thin leg hangs on its top row alone", "[brackets][statics]") {
    Bracket bracket = staggered({30_mm, 30_mm, 150_mm}, {-12_mm, 12_mm});
    bracket.thickness = 2_mm;
    bracket.stiffened = false;
    const BracketForces forces = bracket_forces(bracket, 300_n, 100_mm, 1_mpa);
    CHECK(forces.tension[0] == forces.tension[1]);
    CHECK(forces.tension[2] == Force{});
    // 30 N m over the lowest hole, 120 mm below them: 250 N, half each.
    CHECK(forces.tension[0].in_si() == Approx(125));
}

TEST_CASE("on any pattern the holes balance the load, in force and in turning", "[brackets][property]") {
    std::mt19937 dice{7};
    const auto mm = [&](int from, int to) { return Length::mm(std::uniform_int_distribution{from, to}(dice)); };
    for (int round = 0; round < 500; ++round) {
        std::vector<Length> drops;
        std::vector<Length> across;
        for (int hole = std::uniform_int_distribution{1, 5}(dice); hole > 0; --hole) {
            drops.push_back(mm(10, 190));
            across.push_back(mm(-20, 20));
        }
        std::ranges::sort(drops);
        const Bracket bracket = staggered(drops, across);
        const BracketForces forces = bracket_forces(bracket, 400_n, 80_mm, 1_mpa);
        double down = 0;
        double along = 0;
        double turn = 0; // about the leg's middle, at its top
        for (std::size_t i = 0; i < drops.size(); ++i) {
            down += forces.down[i].in_si();
            along += forces.across[i].in_si();
            turn += forces.down[i].in_si() * across[i].in_mm() - forces.across[i].in_si() * drops[i].in_mm();
        }
        INFO("round " << round << ", holes " << drops.size());
        CHECK(down == Approx(400));
        CHECK(along == Approx(0).margin(1e-6));
        if (drops.size() > 1 && drops.front() != drops.back())
            CHECK(turn == Approx(0).margin(1e-6));
    }
}

TEST_CASE("one hole beside the leg's middle holds nothing: the bracket swings round it", "[brackets][safety]") {
    CHECK(bracket_forces(staggered({40_mm}, {6_mm}), 300_n, 100_mm, 1_mpa).refused);
    CHECK_FALSE(bracket_forces(staggered({40_mm}, {}), 300_n, 100_mm, 1_mpa).refused);
    CHECK(holds(shelf_plan(shelf_on(staggered({40_mm}, {6_mm}), masonry_wall()))) == Holds::no);
}

TEST_CASE("holes are drilled beside the leg's middle, and a pattern broader than its stud holds nothing in it",
          "[brackets][safety]") {
    const Job narrow = shelf_on(staggered({40_mm, 160_mm}, {3_mm, -3_mm}), stud_wall());
    const ShelfPlan plan = shelf_plan(narrow);
    REQUIRE_FALSE(plan.holes.empty());
    for (const PlannedHole& hole : plan.holes) {
        CHECK(hole.x - plan.brackets[hole.place].x == (hole.row == 0 ? 3_mm : -3_mm));
        CHECK(hole.fixing);
    }
    CHECK(stays_up(holds(plan)));
    // 38 mm of stud have no room for screws 32 mm apart.
    const ShelfPlan broad = shelf_plan(shelf_on(staggered({40_mm, 160_mm}, {16_mm, -16_mm}), stud_wall()));
    CHECK(find_check(broad, checks::no_fixing));
    CHECK(holds(broad) == Holds::no);
    CHECK(stays_up(holds(shelf_plan(shelf_on(staggered({40_mm, 160_mm}, {16_mm, -16_mm}), masonry_wall())))));
}

TEST_CASE("a hole that lies outside its bracket is an error that names it", "[brackets][checks]") {
    for (const auto& [drop, across] : {std::pair{160_mm, 24_mm}, std::pair{199_mm, 0_mm}, std::pair{1_mm, 0_mm}}) {
        const ShelfPlan plan = shelf_plan(shelf_on(staggered({drop}, {across}), masonry_wall()));
        const Check* off = find_check(plan, checks::bracket_hole_off);
        REQUIRE(off);
        CHECK(say(off->message, {}).find("Hole 1 of staggered") == 0);
    }
    CHECK_FALSE(
        find_check(shelf_plan(shelf_on(staggered({40_mm, 160_mm}, {}), masonry_wall())), checks::bracket_hole_off));
}

TEST_CASE("holes that are made beside the middle leave the bracket where it is", "[brackets][made]") {
    for (const std::vector<Length>& across :
         {std::vector<Length>{3_mm, -3_mm}, std::vector<Length>{4_mm, 4_mm}, std::vector<Length>{}}) {
        const Job job = shelf_on(staggered({40_mm, 160_mm}, across), stud_wall());
        const ShelfPlan before = shelf_plan(job);
        REQUIRE(before.brackets.size() >= 2);
        Job drilled = job;
        for (const PlannedHole& hole : before.holes) {
            drilled.walls.front().made.push_back({"shelf", hole.x, hole.z, "", ""});
            const ShelfPlan after = shelf_plan(drilled);
            REQUIRE(after.brackets.size() == before.brackets.size());
            for (std::size_t i = 0; i < before.brackets.size(); ++i)
                CHECK(after.brackets[i].x == before.brackets[i].x);
        }
        for (const PlannedHole& hole : shelf_plan(drilled).holes)
            CHECK(hole.made);
    }
    // Side by side the height does not tell them apart.
    const Job pair = shelf_on(staggered({40_mm, 40_mm, 160_mm}, {-3_mm, 3_mm}), stud_wall());
    Job drilled = pair;
    const ShelfPlan before = shelf_plan(pair);
    for (const PlannedHole& hole : before.holes)
        drilled.walls.front().made.push_back({"shelf", hole.x, hole.z, "", ""});
    const ShelfPlan after = shelf_plan(drilled);
    REQUIRE(after.brackets.size() == before.brackets.size());
    for (std::size_t i = 0; i < before.brackets.size(); ++i)
        CHECK(after.brackets[i].x == before.brackets[i].x);
}
