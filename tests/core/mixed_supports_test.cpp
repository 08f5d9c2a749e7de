// One top on unlike supports: brackets, strips on the side walls, legs and rods in one beam.
#include "core/cutting/kit.hpp"
#include "core/job/file.hpp"
#include "core/shelves/board_section.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/shelves/shelf_loads.hpp"
#include "core/site/site_checks.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

namespace {

/// A top of 1.6 m, 600 mm deep, on brackets in brick.
Shelf top(std::vector<OtherSupport> others = {}) {
    Shelf shelf = new_shelf(shelf_preset("desk"), masonry_wall());
    shelf.left = 500_mm;
    shelf.length = 1600_mm;
    shelf.depth = 600_mm;
    shelf.others = std::move(others);
    return shelf;
}

OtherSupport leg(Length at, Length out) {
    return {OtherKind::leg, at, out, {}};
}

ShelfPlan planned(const Shelf& shelf) {
    return shelf_plan(job_with(masonry_wall(), shelf));
}

Force all_reactions(const ShelfPlan& plan) {
    Force sum = 0;
    for (const BracketPlan& place : plan.brackets)
        sum += place.reaction.all_loaded;
    return sum;
}

const BracketPlan* at(const ShelfPlan& plan, Length x) {
    const auto found = std::ranges::find(plan.brackets, x, &BracketPlan::x);
    return found == plan.brackets.end() ? nullptr : &*found;
}

} // namespace

TEST_CASE("legs, end strips and rods stand where they are, brackets between, and together they carry all of it",
          "[mixed]") {
    Shelf shelf = top({leg(1500_mm, 540_mm), {OtherKind::left_strip}, {OtherKind::rod, 800_mm}});
    shelf.pins = {1300_mm};
    const ShelfPlan plan = planned(shelf);
    const BracketPlan* standing = at(plan, 2000_mm);
    const BracketPlan* strip = at(plan, 500_mm + 25_mm / 2);
    const BracketPlan* rod = at(plan, 1300_mm);
    REQUIRE((standing && strip && rod));
    CHECK(standing->substrate == Substrate::floor);
    CHECK(strip->substrate == Substrate::side_wall);
    CHECK(rod->substrate == Substrate::masonry);
    CHECK(std::ranges::any_of(plan.brackets, &BracketPlan::is_bracket));
    CHECK(all_reactions(plan).in_newtons() ==
          Approx(((plan.self_weight + plan.goods_load) * shelf.length).in_newtons()));
    // Nothing is drilled for a leg or, in this wall, for a strip; one hole for a rod, in the middle of the board.
    for (const PlannedHole& hole : plan.holes) {
        CHECK(hole.x != standing->x);
        CHECK(hole.x != strip->x);
        if (hole.x == rod->x)
            CHECK(hole.z == shelf.underside() + shelf.thickness / 2);
    }
    CHECK(std::ranges::count(plan.holes, rod->x, &PlannedHole::x) == 1);
}

TEST_CASE("what is cut and bought for unlike supports", "[mixed][cutting]") {
    const Shelf shelf = top({leg(1500_mm, 540_mm), {OtherKind::left_strip}, {OtherKind::rod, 800_mm}});
    const ShelfPlan plan = planned(shelf);
    const auto length_of = [&](std::string_view name) {
        for (const CutPart& part : plan.parts)
            if (say(part.name, {}) == name)
                return part.length;
        return Length{};
    };
    CHECK(length_of("leg of Shelf") == shelf.underside());
    CHECK(length_of("left cleat of Shelf") == 600_mm);
    CHECK(at(plan, 1300_mm)->fixing->screw_length == 10_mm + 80_mm + 150_mm);
    const auto brackets = static_cast<std::size_t>(std::ranges::count_if(plan.brackets, &BracketPlan::is_bracket));
    std::size_t bought = 0;
    for (const Supply& supply : plan.supplies)
        if (plan.bracket && supply.item == plan.bracket->id)
            bought += supply.number;
    CHECK(bought == brackets);
    const auto told = [&](std::string_view words) {
        return std::ranges::any_of(
            plan.steps, [&](const Step& step) { return say(step.words, {}).find(words) != std::string::npos; });
    };
    CHECK(told("The strip on the left wall first, its top on the level line: 600 mm long"));
    CHECK(told("its middle 2000 mm from the reference end and 540 mm out of the wall"));
}

TEST_CASE("a rod gives: what stands beside it bears no less than without it", "[mixed][safety]") {
    Shelf without = top();
    without.pins = {100_mm, 1500_mm};
    Shelf with = without;
    with.others = {{OtherKind::rod, 800_mm}};
    const auto outer = [](const ShelfPlan& plan, Length x) {
        const BracketPlan* place = at(plan, x);
        REQUIRE(place);
        return place->reaction.greatest;
    };
    const ShelfPlan mixed = planned(with);
    // The brackets that the program adds between are the same in both only where it adds none.
    const auto stiff = std::ranges::count_if(mixed.brackets, &BracketPlan::is_bracket);
    if (stiff == 2) {
        const ShelfPlan bare = planned(without);
        if (bare.brackets.size() == 2)
            for (const Length x : {600_mm, 2000_mm})
                CHECK(outer(mixed, x) >= outer(bare, x));
    }
    CHECK(mixed.sag->long_term > 0);
    const BracketPlan* rod = at(mixed, 1300_mm);
    REQUIRE(rod);
    CHECK(rod->fixing);
    CHECK(rod->rod_sink > 0);
}

TEST_CASE("a leg in front gives its back share to what holds the back beside it", "[mixed]") {
    Shelf behind = top({leg(1500_mm, 300_mm)});
    Shelf in_front = top({leg(1500_mm, 600_mm)});
    behind.pins = in_front.pins = {100_mm, 1300_mm};
    const ShelfPlan middle = planned(behind);
    const ShelfPlan front = planned(in_front);
    const BracketPlan* beside = at(middle, 1800_mm);
    const BracketPlan* loaded = at(front, 1800_mm);
    REQUIRE((beside && loaded));
    // In the middle of the depth it takes all; at the front edge half comes on the back.
    CHECK((loaded->reaction.sustained - beside->reaction.sustained).in_newtons() ==
          Approx(at(front, 2000_mm)->reaction.sustained.in_newtons() / 2));
    CHECK(at(front, 2000_mm)->reaction.sustained == at(middle, 2000_mm)->reaction.sustained);
}

TEST_CASE("unlike supports that cannot be: off the board, a leg alone, one too thin, said with where",
          "[mixed][checks]") {
    const auto raises = [](const Shelf& shelf, CheckCode code) { return find_check(planned(shelf), code) != nullptr; };
    Shelf good = top({leg(1500_mm, 540_mm)});
    good.pins = {1450_mm};
    for (const CheckCode code : {checks::other_off_board, checks::leg_back_free, checks::leg_overloaded})
        CHECK_FALSE(raises(good, code));
    CHECK(raises(top({leg(1700_mm, 540_mm)}), checks::other_off_board));
    CHECK(raises(top({leg(1500_mm, 700_mm)}), checks::other_off_board));
    Shelf alone = top({leg(1500_mm, 540_mm)});
    alone.pins = {900_mm};
    const ShelfPlan far = planned(alone);
    const bool beside = std::ranges::any_of(far.brackets, [](const BracketPlan& place) {
        return place.is_bracket() && absolute(place.x - 2000_mm) <= 300_mm;
    });
    CHECK(raises(alone, checks::leg_back_free) == !beside);
    Shelf thin = good;
    thin.other_sizes.leg = 10_mm;
    CHECK(raises(thin, checks::leg_overloaded));
    CHECK(holds(planned(thin)) == Holds::no);
    // Between studs a rod holds nothing; in one that leaves it room it does.
    Shelf rod = top({{OtherKind::rod, 600_mm}}); // 1100, studs at 800 and 1200
    rod.other_sizes.rods.diameter = 10_mm;
    CHECK(find_check(shelf_plan(job_with(stud_wall(), rod)), checks::rod_in_lining));
    rod.others.front().at = 700_mm;
    CHECK_FALSE(find_check(shelf_plan(job_with(stud_wall(), rod)), checks::rod_in_lining));
    Shelf strip = top({{OtherKind::right_strip}});
    CHECK(raises(strip, checks::cleat_wall_unknown)); // nobody surveyed that wall
}

TEST_CASE("a stretcher bends with the board and is not counted as glued to it", "[mixed]") {
    Shelf shelf = top();
    const Section plain = board_section(shelf);
    shelf.stretcher = Lip{BoardMaterial::eastern_white_pine, 20_mm, 60_mm, {}};
    const double pine = properties(BoardMaterial::eastern_white_pine).modulus.in_pascals();
    CHECK((board_section(shelf).stiffness - plain.stiffness).in_newton_square_metres() ==
          Approx(pine * 0.020 * std::pow(0.060, 3) / 12));
    CHECK(board_section(shelf).modulus == plain.modulus);
    CHECK(board_section(shelf).per_metre > plain.per_metre);
}

TEST_CASE("unlike supports are kept in the job's file", "[mixed][file]") {
    Shelf shelf = top({leg(1500_mm, 540_mm), {OtherKind::left_strip}});
    shelf.other_sizes.leg = 45_mm;
    shelf.stretcher = Lip{BoardMaterial::mdf, 20_mm, 60_mm, {}};
    const Job job = job_with(masonry_wall(), shelf);
    const auto read = read_job(write_job(job));
    REQUIRE(read);
    CHECK(read->job.walls.front().shelves == job.walls.front().shelves);
}

TEST_CASE("a leg behind the middle is pressed by the lever of what leans in front, and lifts the back",
          "[mixed][safety]") {
    Shelf middle = top({leg(1500_mm, 300_mm)});
    middle.pins = {100_mm, 1300_mm};
    Shelf front = middle;
    front.others.front().out = 600_mm;
    const ShelfPlan behind = planned(middle);
    const ShelfPlan at_edge = planned(front);
    const auto leaning = [](const ShelfPlan& plan) {
        const BracketPlan& standing = *at(plan, 2000_mm);
        return standing.reaction.greatest - standing.reaction.sustained;
    };
    // 600 mm of depth over 300 of leg: twice, and the other half of it lifts the back.
    CHECK(leaning(behind) / leaning(at_edge) == Approx(2));
    CHECK((at(at_edge, 1800_mm)->reaction.least - at(behind, 1800_mm)->reaction.least).in_newtons() ==
          Approx(leaning(at_edge).in_newtons()));
    CHECK(find_check(behind, checks::pulls_up));
}

TEST_CASE("rods among brackets are held to what rods of their own are held to", "[mixed][safety]") {
    Shelf thin = top({{OtherKind::rod, 800_mm}});
    thin.thickness = 18_mm;
    CHECK(find_check(planned(thin), checks::rod_too_thick));
    Shelf hollow = top({{OtherKind::rod, 800_mm}});
    hollow.hollow = HollowBoard{};
    CHECK(find_check(planned(hollow), checks::rods_in_hollow));
    CHECK_FALSE(find_check(cured(job_with(masonry_wall(), hollow), checks::rods_in_hollow), checks::rods_in_hollow));
    Shelf deep = top({{OtherKind::rod, 800_mm}});
    deep.other_sizes.rods.in_shelf = 595_mm;
    CHECK(find_check(planned(deep), checks::rod_too_thick));
    deep.other_sizes.rods.in_shelf = 150_mm;
    CHECK_FALSE(find_check(planned(deep), checks::rod_too_thick));
}

TEST_CASE("what carries one board is refused under several, and two in one place", "[mixed][checks]") {
    Shelf stack = top({leg(1500_mm, 540_mm)});
    CHECK_FALSE(find_check(planned(stack), checks::others_one_board));
    CHECK_FALSE(find_check(planned(stack), checks::pins_too_close));
    stack.others.push_back(leg(1500_mm, 100_mm));
    CHECK(find_check(planned(stack), checks::pins_too_close));
    stack = top({leg(1500_mm, 540_mm)});
    stack.height = 1500_mm;
    stack.tiers = 2;
    stack.rise = 600_mm;
    CHECK(find_check(planned(stack), checks::others_one_board));
    CHECK(holds(planned(stack)) == Holds::no);
}

TEST_CASE("a leg under a hole in the board is said, and no bracket is bought where none stands", "[mixed][checks]") {
    Shelf shelf = top({leg(1500_mm, 440_mm)});
    shelf.cut_outs = {{"sink", 1300_mm, 80_mm, 280_mm, 400_mm, {}}};
    CHECK(find_check(planned(shelf), checks::cut_out_over_bracket));
    shelf.cut_outs.front().across = 700_mm;
    const ShelfPlan clear = planned(shelf);
    for (const Check& check : clear.checks)
        if (check.code == checks::cut_out_over_bracket)
            CHECK(*check.x != 2000_mm);
    const ShelfPlan none = planned(top({{OtherKind::left_strip}, {OtherKind::right_strip}}));
    if (std::ranges::none_of(none.brackets, &BracketPlan::is_bracket))
        for (const Supply& supply : none.supplies)
            CHECK(supply.item != none.bracket->id);
}

TEST_CASE("whichever of several rods give, no place bears more and no board sags more than is reckoned",
          "[mixed][safety]") {
    // Springs of any stiffness by a finite-difference beam would lie between these sets: see without_rods().
    Shelf shelf = top({{OtherKind::rod, 400_mm}, {OtherKind::rod, 800_mm}, {OtherKind::rod, 1100_mm}});
    shelf.pins = {100_mm, 1500_mm};
    const ShelfPlan plan = planned(shelf);
    const Job job = job_with(masonry_wall(), shelf);
    const ShelfLoads loads = loads_of(shelf, job.rules);
    std::vector<Length> firm;
    std::vector<Length> rods;
    for (const BracketPlan& place : plan.brackets)
        (place.other ? rods : firm).push_back(place.x - shelf.left);
    REQUIRE(rods.size() == 3);
    REQUIRE(firm.size() >= 2);
    bool one_alone_is_worst = false;
    for (unsigned standing = 0; standing < 8; ++standing) {
        std::vector<Length> places = firm;
        for (std::size_t rod = 0; rod < rods.size(); ++rod)
            if (standing >> rod & 1U)
                places.push_back(rods[rod]);
        std::ranges::sort(places);
        const BeamResult beam = analyse(beam_of(shelf, places), loads.on_beam(), 0);
        for (std::size_t i = 0; i < places.size(); ++i) {
            const BracketPlan* place = at(plan, shelf.left + places[i]);
            REQUIRE(place);
            CHECK(place->reaction.greatest >= 0.9999 * beam.reactions[i].greatest);
            CHECK(place->reaction.least <= beam.reactions[i].least + 0.01_n);
            one_alone_is_worst |=
                standing != 0 && standing != 7 && place->reaction.greatest <= 1.0001 * beam.reactions[i].greatest;
        }
    }
    CHECK(one_alone_is_worst); // it is not enough to take all of them away at once
}
