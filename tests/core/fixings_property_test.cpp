#include "core/fixings/choose_fixing.hpp"
#include "core/fixings/hidden_rod.hpp"
#include "core/fixings/hole_group.hpp"
#include "core/fixings/rank_fixings.hpp"
#include "core/shelves/shelf_loads.hpp"
#include "shelf_walls.hpp"

#include <cmath>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

namespace {

std::vector<HolePlace> some_holes() {
    std::vector<HolePlace> holes;
    const int number = *rc::gen::inRange(2, 7);
    for (int i = 0; i < number; ++i)
        holes.push_back({*rc::gen::inRange(0, 1000) / 1000.0, *rc::gen::inRange(10, 600) / 1000.0});
    return holes;
}

const std::vector<HoleDemand> light{{10_n, 10_n, duration_stored}};

DrivenThrough steel_plate(Length hole) {
    return {4_mm, steel_sheet_bearing, hole};
}

} // namespace

TEST_CASE("what the holes of a plate bear is in balance with its load", "[fixings][property]") {
    rc::prop("pulls about the edge come to the moment where the load hangs within its holes", [] {
        const std::vector<HolePlace> holes = some_holes();
        double middle = 0;
        for (const HolePlace& hole : holes)
            middle += hole.x / static_cast<double>(holes.size());
        const Moment moment = Moment::newton_metres(*rc::gen::inRange(1, 500));
        const auto forces = hole_group_forces(holes, {100_n, middle, moment});
        RC_PRE(!forces.empty());
        Moment about = 0;
        for (std::size_t i = 0; i < holes.size(); ++i)
            about += forces[i].tension * metres(holes[i].z);
        RC_ASSERT(abs(about - moment) < 1e-6 * moment);
        for (const HoleForce& force : forces)
            RC_ASSERT(abs(force.shear() - 100_n / static_cast<double>(holes.size())) < 1e-9_n);
    });
    rc::prop("a load further to one side never eases the worst hole", [] {
        const std::vector<HolePlace> holes = some_holes();
        double middle = 0;
        for (const HolePlace& hole : holes)
            middle += hole.x / static_cast<double>(holes.size());
        const double off = *rc::gen::inRange(0, 500) / 1000.0;
        const auto worst = [&](double at) {
            Force shear = 0;
            for (const HoleForce& force : hole_group_forces(holes, {100_n, at, 10_nm}))
                shear = std::max(shear, force.shear());
            return shear;
        };
        RC_PRE(worst(middle + off + 0.1) > 0 && worst(middle + off) > 0);
        // The direction matters to each hole, not to the worst of both sides.
        RC_ASSERT(std::max(worst(middle + off + 0.1), worst(middle - off - 0.1)) >=
                  std::max(worst(middle + off), worst(middle - off)) - 1e-9_n);
    });
    rc::prop("twice the load, twice the forces", [] {
        const std::vector<HolePlace> holes = some_holes();
        const GroupLoad load{80_n, 0.4, 25_nm};
        const auto once = hole_group_forces(holes, load);
        const auto twice = hole_group_forces(holes, {160_n, 0.4, 50_nm});
        RC_ASSERT(once.size() == twice.size());
        for (std::size_t i = 0; i < once.size(); ++i) {
            RC_ASSERT(abs(twice[i].tension - 2 * once[i].tension) < 1e-6_n);
            RC_ASSERT(abs(twice[i].shear() - 2 * once[i].shear()) < 1e-6_n);
        }
    });
}

TEST_CASE("a thicker rod and a deeper hole never press harder, more lining never less", "[fixings][property]") {
    rc::prop("rods", [] {
        const HiddenRod rod{*rc::gen::inRange(8, 20) / 1000.0, *rc::gen::inRange(50, 120) / 1000.0,
                            *rc::gen::inRange(0, 30) / 1000.0, 0.15};
        const Force load = Force::newtons(*rc::gen::inRange(10, 200));
        const RodStress now = rod_stress(rod, load, 0.1, 0.2);
        HiddenRod thicker = rod;
        thicker.diameter += 0.002;
        HiddenRod deeper = rod;
        deeper.in_wall += 0.01;
        HiddenRod lined = rod;
        lined.gap += 0.01;
        RC_ASSERT(rod_stress(thicker, load, 0.1, 0.2).bending < now.bending);
        RC_ASSERT(rod_stress(thicker, load, 0.1, 0.2).on_wall < now.on_wall);
        RC_ASSERT(rod_stress(deeper, load, 0.1, 0.2).on_wall < now.on_wall);
        RC_ASSERT(rod_stress(lined, load, 0.1, 0.2).on_wall > now.on_wall);
        RC_ASSERT(rod_stress(lined, load, 0.1, 0.2).sink_m > now.sink_m);
    });
}

TEST_CASE("the pressures of a hidden rod hold its load and its moment", "[fixings][statics]") {
    // In the wall the pressure varies evenly from p0 at the mouth to -p1 at the end: their sum is the load, their
    // moment about the mouth the load's.
    const double d = 0.012;
    const double l = 0.09;
    const double load = 70;
    const double arm = 0.1 + 0.013;
    const RodStress stress = rod_stress({d, l, 0.013, 0.15}, Force::newtons(load), 0.1, 0.2);
    const double mouth = stress.on_wall.in_pascals() * d; // N/m
    const double end = 2 * load / l - mouth;              // the mean pressure is load / l
    CHECK((mouth + end) / 2 * l == Approx(load));
    // Moment of a trapezium about the mouth: l^2 (p0 + 2 p1) / 6, against the load from outside.
    CHECK(l * l * (mouth + 2 * end) / 6 == Approx(-load * arm).epsilon(1e-9));
}

TEST_CASE("what ranks first is what the program takes", "[fixings][choose][property]") {
    for (const MasonryKind kind :
         {MasonryKind::brick, MasonryKind::dense_block, MasonryKind::aerated_block, MasonryKind::concrete})
        for (const Length hole : {5_mm, 7_mm, 9_mm})
            for (const double pull : {5.0, 60.0, 400.0, 1500.0})
                for (const Skill skill : {Skill::everyday, Skill::practised}) {
                    HouseRules rules;
                    rules.shelves.skill = skill;
                    const std::vector<HoleDemand> demands{
                        {Force::newtons(pull), Force::newtons(pull / 2), duration_stored}};
                    const Wall wall = masonry_wall(kind);
                    const auto ranked = rank_fixings({shipped_catalogue(), rules, wall}, Substrate::masonry,
                                                     steel_plate(hole), demands);
                    const auto chosen = choose_fixing({shipped_catalogue(), rules, wall}, Substrate::masonry,
                                                      steel_plate(hole), demands);
                    INFO(words(kind) << ", hole " << hole.in_mm() << ", pull " << pull);
                    if (ranked.front().refused.empty()) {
                        REQUIRE(chosen);
                        CHECK(chosen->fixing.name == ranked.front().choice.fixing.name);
                        CHECK(chosen->utilisation.within());
                    } else if (chosen) {
                        CHECK(chosen->utilisation.over());
                    }
                }
}

TEST_CASE("nothing in the lining alone is ever chosen", "[fixings][choose][safety]") {
    for (const Wall& wall : {stud_wall(), masonry_wall()}) {
        const auto ranked = rank_fixings({shipped_catalogue(), {}, wall}, Substrate::lining, steel_plate(6_mm), light);
        if (std::holds_alternative<Framing>(wall.structure)) {
            CHECK_FALSE(choose_fixing({shipped_catalogue(), {}, wall}, Substrate::lining, steel_plate(6_mm), light));
            for (const FixingOption& option : ranked)
                CHECK_FALSE(option.refused.empty());
        }
        for (const FixingOption& option : ranked)
            if (option.choice.fixing.name.find("toggle") != std::string::npos)
                CHECK_FALSE(option.refused.empty());
    }
    Wall partition = stud_wall();
    partition.structure = LiningOnly{};
    CHECK_FALSE(choose_fixing({shipped_catalogue(), {}, partition}, Substrate::proved_stud, steel_plate(6_mm), light));
    Wall steel = stud_wall();
    std::get<Framing>(steel.structure).material = StudMaterial::steel;
    CHECK_FALSE(choose_fixing({shipped_catalogue(), {}, steel}, Substrate::proved_stud, steel_plate(6_mm), light));
}

TEST_CASE("a coach screw is taken through steel where the wood screw does not bear it", "[fixings][choose]") {
    const Wall wall = stud_wall();
    const std::vector<HoleDemand> heavy{{600_n, 350_n, duration_stored}};
    const auto small =
        choose_fixing({shipped_catalogue(), {}, wall}, Substrate::proved_stud, steel_plate(10_mm), light);
    const auto large =
        choose_fixing({shipped_catalogue(), {}, wall}, Substrate::proved_stud, steel_plate(10_mm), heavy);
    REQUIRE(small);
    REQUIRE(large);
    CHECK_FALSE(small->fixing.coach);
    CHECK(large->fixing.coach);
    CHECK(large->fixing.clearance <= 10_mm);
    CHECK(large->utilisation.within());
    // Through wood, as a cabinet's rail, never: its head wants a washer and a socket.
    DrivenThrough rail{13_mm, wood_bearing(0.42)};
    rail.gravity = 0.42;
    rail.head = 13_mm;
    const auto cabinet = choose_fixing({shipped_catalogue(), {}, wall}, Substrate::proved_stud, rail, heavy);
    REQUIRE(cabinet);
    CHECK_FALSE(cabinet->fixing.coach);
}

TEST_CASE("a nogging holds a coach screw less in shear than a stud does", "[fixings][choose][safety]") {
    const std::vector<HoleDemand> sideways{{1_n, 900_n, duration_stored}};
    const auto in_stud =
        choose_fixing({shipped_catalogue(), {}, stud_wall()}, Substrate::proved_stud, steel_plate(10_mm), sideways);
    const auto in_nogging =
        choose_fixing({shipped_catalogue(), {}, stud_wall()}, Substrate::nogging, steel_plate(10_mm), sideways);
    REQUIRE(in_stud);
    REQUIRE(in_nogging);
    if (in_stud->fixing.name == in_nogging->fixing.name)
        CHECK(in_nogging->fixing.shear < in_stud->fixing.shear);
    CHECK(in_nogging->utilisation.number() >= in_stud->utilisation.number() - 1e-9);
}

TEST_CASE("a choice weighed again under its own load comes to its own figure", "[fixings][property]") {
    rc::prop("in wood and in masonry", [] {
        const Force pull = Force::newtons(*rc::gen::inRange(1, 900));
        const Force shear = Force::newtons(*rc::gen::inRange(1, 900));
        const HoleDemand demand{pull, shear, *rc::gen::element(duration_stored, duration_people)};
        for (const auto& [wall, hold] :
             {std::pair{stud_wall(), Substrate::proved_stud}, std::pair{masonry_wall(), Substrate::masonry}}) {
            const auto choice = choose_fixing({shipped_catalogue(), {}, wall}, hold, steel_plate(6_mm), {demand});
            RC_ASSERT(choice.has_value());
            RC_ASSERT(std::abs(utilisation_of(choice->fixing, hold, demand).number() - choice->utilisation.number()) <
                      1e-9 * (1 + choice->utilisation.number()));
            HoleDemand more = demand;
            more.tension *= 1.1;
            RC_ASSERT(utilisation_of(choice->fixing, hold, more) >= choice->utilisation);
        }
    });
}

TEST_CASE("the hole is as deep as what goes into the wall, whatever the head stands off it", "[fixings][drilling]") {
    DrivenThrough flush = steel_plate(5_mm);
    DrivenThrough proud = flush;
    proud.packing = 8_mm; // a keyhole's lip
    for (const auto& [wall, hold] :
         {std::pair{stud_wall(), Substrate::proved_stud}, std::pair{masonry_wall(), Substrate::masonry}}) {
        const auto close = choose_fixing({shipped_catalogue(), {}, wall}, hold, flush, light);
        const auto off = choose_fixing({shipped_catalogue(), {}, wall}, hold, proud, light);
        REQUIRE(close);
        REQUIRE(off);
        const Length room = hold == Substrate::masonry ? 6_mm : Length{};
        const Length in_wall = off->fixing.screw_length - proud.thickness - proud.packing;
        CHECK(off->fixing.drill_depth >= in_wall);
        CHECK(off->fixing.drill_depth <= std::max(in_wall, wall.lining_thickness() + off->fixing.penetration) + room);
        CHECK(off->fixing.shear <= close->fixing.shear + 1e-9_n);
    }
}

TEST_CASE("boards bend to their strength by EN 1995-1-1: f kmod / (1.3 x 1.5)", "[shelves][standard]") { // from memory
    const BoardProperties& mdf = properties(BoardMaterial::mdf);
    CHECK(bending_stored(mdf).in_megapascals() == Approx(20 * 0.20 / 1.95));
    CHECK(bending_leaned(mdf).in_megapascals() == Approx(20 * 0.65 / 1.95));
    for (const BoardProperties& board : all_boards())
        CHECK(bending_stored(board) < bending_leaned(board));
    Shelf shelf;
    shelf.depth = 250_mm;
    shelf.thickness = 18_mm;
    CHECK(way_of(shelf).section(shelf).modulus == Approx(0.250 * 0.018 * 0.018 / 6));
    shelf.holding = Pole{};
    shelf.thickness = 28_mm;
    CHECK(way_of(shelf).section(shelf).modulus == Approx(3.14159265 * 0.028 * 0.028 * 0.028 / 32));
}
