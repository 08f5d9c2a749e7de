#include "core/site/site_checks.hpp"
#include "core/site/strip_checks.hpp"
#include "core/stability/inventory.hpp"
#include "core/stability/reckon_piece.hpp"
#include "core/stability/restraint.hpp"
#include "core/stability/tip_cases.hpp"
#include "core/stability/tipping.hpp"
#include "piece_walls.hpp"
#include "run_walls.hpp"

#include <cmath>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

namespace {

constexpr double g = 9.80665;

const TipCase& case_of(const PiecePlan& plan, TipCaseKind kind) {
    return *std::ranges::find(plan.cases, kind, &TipCase::kind);
}

} // namespace

TEST_CASE("a chest of 30 kg with a loaded drawer and a child on it tips, and 220 N governs its restraint",
          "[stability][check-value]") {
    // Worked by hand: over 9.80665 (8 x 0.18 + 27.2 x 0.38) = 115.5, righting 9.80665 x 30 x 0.22 = 64.7 N m,
    // F = (1.5 x 115.5 - 0.9 x 64.7) / 0.78 = 147 N. Common practice row of the check values.
    const TippingRules rules;
    const TipBalance balance =
        tip_balance({{"body", 30_kg, 0.22, 0.5}, {"drawer and load", 8_kg, -0.18, 0.5}, {"child", 27.2_kg, -0.38, 0.5}},
                    std::nullopt, 0);
    CHECK(balance.over == Approx(115.5).margin(0.05));
    CHECK(balance.righting == Approx(64.7).margin(0.05));
    CHECK(balance.tips());
    const Force force = restraint_force(balance, 0.78, rules);
    CHECK(force == Approx(147).margin(0.5));
    CHECK(each_restraint(force, 1, 1, rules) == 220_n);
    CHECK(each_restraint(force, 2, 1, rules) == 220_n);
}

TEST_CASE("levers, pulls and the angle at which it goes follow statics", "[stability]") {
    const TipBalance still = tip_balance({{"body", 40_kg, 0.3, 0.9}}, std::nullopt, 0);
    CHECK(still.margin() == Approx(40 * g * 0.3));
    CHECK(still.goes_at == Approx(std::atan2(0.3, 0.9)));
    // At just that lean it hangs in the balance.
    const TipBalance there = tip_balance({{"body", 40_kg, 0.3, 0.9}}, std::nullopt, still.goes_at);
    CHECK(there.margin() == Approx(0).margin(1e-9));
    const TipBalance pulled = tip_balance({{"body", 40_kg, 0.3, 0.9}}, TipPull{98_n, 0, 1.2}, 0);
    CHECK(pulled.over == Approx(117.6));
    CHECK_FALSE(pulled.tips());
    // 117.7 N m rights it: a pull of 98.07 N at 1.2 m is the most it bears.
    CHECK(tip_balance({{"body", 40_kg, 0.3, 0.9}}, TipPull{98.1_n, 0, 1.2}, 0).tips());
}

TEST_CASE("goods that may be taken out are never counted on", "[stability]") {
    const std::vector<TipWeight> full{{"body", 20_kg, 0.2, 0.5}, {"books", 90_kg, 0.2, 0.6, true}};
    CHECK(tip_balance(full, std::nullopt, 0).righting == Approx(20 * g * 0.2));
    // But where they overturn, they do.
    const std::vector<TipWeight> out{{"body", 20_kg, 0.2, 0.5}, {"drawer's load", 9_kg, -0.2, 0.6, true}};
    CHECK(tip_balance(out, std::nullopt, 0).over == Approx(9 * g * 0.2));
}

TEST_CASE("force on restraints: one bears all of it, each of two six tenths, a strap more by its slope",
          "[stability][house-rule]") {
    const TippingRules rules;
    CHECK(each_restraint(500_n, 1, 1, rules) == 500_n);
    CHECK(each_restraint(500_n, 2, 1, rules) == 300_n);
    CHECK(each_restraint(500_n, 4, 1, rules) == 300_n);
    CHECK(each_restraint(100_n, 1, 0.5, rules) == 440_n);
    CHECK(restraint_force({10_nm, 100_nm, 0}, 1, rules) == 0); // never less than nothing
}

TEST_CASE("the standard's cases: drawers at 8.5 lb/ft3, 60 lb on the open drawer, 10 lbf, carpet under the front",
          "[stability][standard]") {
    // After ASTM F2057-23, from memory: 8.5 lb/ft3 = 136 kg/m3, 60 lb = 27.2 kg, 10 lbf = 44.5 N at no more than
    // 56 in, 0.43 in under its rear.
    CHECK(8.5 * 0.45359237 / 0.028316846592 == approx(TippingRules{}.drawer_density).margin(0.5));
    CHECK(60 * 0.45359237 == approx(TippingRules{}.person_mass).margin(0.05));
    CHECK(10 * 4.4482216 == approx(TippingRules{}.child_pull).margin(0.05));
    CHECK(TippingRules{}.hand_most.in_inches() == Approx(56).margin(0.2));
    CHECK(TippingRules{}.rear_raised.in_inches() == Approx(0.43).margin(0.01));

    Piece chest = dresser();
    chest.floor = FloorUnder::hard;
    const PiecePlan plan = piece_plan(chest);
    REQUIRE(plan.cases.size() == 6);
    // By hand, about the front feet under its front: body 40 - 3 x 4 = 28 kg at 0.25 m behind.
    const double body = 28 * g * 0.25;
    // Drawers 0.9 m x 0.5 m x 0.2 m inside: 136 x 0.09 = 12.24 kg, each 4 kg empty; open their middle is 0.4 m out.
    const double drawer = (4 + 136 * 0.9 * 0.5 * 0.2) * g * (0.4 - 0.25);
    const TipCase& closed = case_of(plan, TipCaseKind::closed);
    CHECK(closed.balance.righting == Approx(body + 3 * 4 * g * 0.25));
    CHECK(closed.balance.over == Approx(0));
    const TipCase& open = case_of(plan, TipCaseKind::all_open);
    CHECK(open.balance.righting == Approx(body));
    CHECK(open.balance.over == Approx(3 * drawer));
    const TipCase& one = case_of(plan, TipCaseKind::one_open);
    CHECK(one.balance.over == Approx(drawer));
    CHECK(one.balance.righting == Approx(body + 2 * 4 * g * 0.25));
    const TipCase& climbed = case_of(plan, TipCaseKind::climbed);
    CHECK(climbed.balance.over == Approx(3 * drawer + 27.2 * g * 0.4));
    const TipCase& pulled = case_of(plan, TipCaseKind::all_open_pulled);
    CHECK(pulled.balance.over == Approx(3 * drawer + 44.5 * 0.8));
    CHECK(case_of(plan, TipCaseKind::closed_pulled).balance.over == Approx(200 * 0.8));
    CHECK(&plan.cases[plan.worst] == &climbed);
    CHECK(plan.needs == Approx((1.5 * climbed.balance.over.in_si() - 0.9 * body) / 0.75));

    SECTION("carpet raises its back, and a floor that falls towards the room leans it further") {
        chest.floor = FloorUnder::carpet;
        chest.floor_falls = 5_mm;
        const double lean = std::asin(11.0 / 500) + std::atan(5.0 / 500);
        const PiecePlan leaning = piece_plan(chest);
        CHECK(leaning.cases.front().lean == Approx(lean));
        CHECK(leaning.cases.front().balance.righting ==
              Approx(28 * g * (0.25 * std::cos(lean) - 0.4 * std::sin(lean)) +
                     4 * g * (3 * 0.25 * std::cos(lean) - (0.1 + 0.3 + 0.5) * std::sin(lean))));
    }
    SECTION("a floor nobody knows is taken as carpet") {
        chest.floor = FloorUnder::unknown;
        CHECK(piece_plan(chest).cases.front().lean == Approx(std::asin(11.0 / 500)));
    }
    SECTION("a pull takes hold no higher than 1.42 m") {
        chest.height = 2000_mm;
        CHECK(case_of(piece_plan(chest), TipCaseKind::closed_pulled).balance.over == Approx(200 * 1.42));
    }
    SECTION("a lock that lets one drawer open leaves one to tip it") {
        chest.one_at_a_time = true;
        CHECK(case_of(piece_plan(chest), TipCaseKind::all_open).balance.over == Approx(drawer));
    }
    SECTION("of doors, the corner is where somebody hangs") {
        chest.drawers.clear();
        chest.doors = 1;
        chest.door_mass = 6_kg;
        const TipCase& swung = case_of(piece_plan(chest), TipCaseKind::climbed);
        CHECK(swung.balance.over == Approx(6 * g * 0.45 + 27.2 * g * 0.9));
    }
}

TEST_CASE("a heavier load on top is never more stable, and a longer foot never less", "[stability][property]") {
    rc::prop("top load and foot", [] {
        const auto mm = [](int from, int to) { return Length::mm(*rc::gen::inRange(from, to)); };
        Piece piece;
        piece.width = mm(300, 1500);
        piece.height = mm(300, 2300);
        piece.depth = mm(250, 700);
        piece.mass = Mass::kg(*rc::gen::inRange(10, 150));
        piece.feet_back = mm(0, 100);
        piece.floor = static_cast<FloorUnder>(*rc::gen::inRange(0, 3));
        piece.floor_falls = mm(-10, 20);
        piece.top_load = Mass::kg(*rc::gen::inRange(0, 60));
        piece.contents_mass = Mass::kg(*rc::gen::inRange(0, 100));
        piece.doors = *rc::gen::inRange(0, 3);
        piece.door_mass = piece.doors > 0 ? Mass::kg(*rc::gen::inRange(0, 5)) : Mass{};
        for (int i = *rc::gen::inRange(0, 4); i > 0; --i)
            piece.drawers.push_back({mm(100, 300) + 100_mm * i, mm(100, 500), mm(80, 200), 1_kg, {}, {}});
        const TippingRules rules;
        const double at = piece.height.in_metres();
        const std::vector<TipCase> before = tip_cases(piece, rules, at);

        Piece heavier = piece;
        heavier.top_load += Mass::kg(*rc::gen::inRange(1, 80));
        const std::vector<TipCase> loaded = tip_cases(heavier, rules, at);
        Piece longer = piece;
        longer.feet_back = piece.feet_back * *rc::gen::inRange(0, 100) / 100;
        const std::vector<TipCase> braced = tip_cases(longer, rules, at);
        for (std::size_t i = 0; i < before.size(); ++i) {
            RC_ASSERT(loaded[i].balance.margin() <= before[i].balance.margin() + 1e-9_nm);
            RC_ASSERT(loaded[i].needs >= before[i].needs - 1e-9_n);
            RC_ASSERT(braced[i].balance.margin() >= before[i].balance.margin() - 1e-9_nm);
        }
    });
}

TEST_CASE("more open, heavier drawers or more people never make a piece safer", "[stability][property]") {
    rc::prop("verdicts", [] {
        Piece chest = dresser();
        chest.mass = Mass::kg(*rc::gen::inRange(15, 200));
        chest.floor = static_cast<FloorUnder>(*rc::gen::inRange(0, 3));
        chest.children = false;
        const PiecePlan alone = piece_plan(chest);
        chest.children = true;
        const PiecePlan with_children = piece_plan(chest);
        RC_ASSERT(with_children.verdict >= alone.verdict);
        Piece fuller = chest;
        for (Drawer& drawer : fuller.drawers)
            drawer.load = Mass::kg(*rc::gen::inRange(13, 60));
        RC_ASSERT(piece_plan(fuller).needs >= with_children.needs - 1e-9_n);
    });
}

TEST_CASE("the packet's 2 1/2 in screw through 1 in of frame just holds 220 N, a 3 in screw cures it",
          "[stability][check-value]") {
    // #8 x 2 1/2 in through a 1 in frame and 1/2 in lining into spruce: penetration 1 in, short of 1 1/2 in; thread in
    // wood 0.672 in; 55.4 lb = 246 N (NDS-2018 12.2, from memory).
    Piece bookcase = new_piece(stud_wall(), PieceKind::bookcase);
    bookcase.height = 800_mm; // low and heavy: its sum asks for less than the least
    bookcase.depth = 500_mm;
    bookcase.mass = 80_kg;
    bookcase.floor = FloorUnder::hard;
    bookcase.restraint.kind = RestraintKind::through_frame;
    bookcase.restraint.through = 1_in;
    bookcase.restraint.gauge = ScrewGauge::number_8;
    bookcase.restraint.screw_length = Length::inches(2, {1, 2});
    Job job = piece_job(bookcase);
    job.walls.front().lining = {{LiningMaterial::plasterboard, Length::inches(0, {1, 2}), {}}};
    std::get<Framing>(job.walls.front().structure).species = Species::spruce_pine_fir;
    const PiecePlan plan = reckon(job).walls.front()->pieces.front();
    REQUIRE(plan.fixing);
    CHECK(plan.each == 220_n);
    CHECK(plan.fixing->penetration == 1_in);
    CHECK(plan.fixing->thread.in_inches() == Approx(0.672).margin(0.0005));
    CHECK(plan.each / plan.fixing_utilisation.number() == Approx(246).margin(0.7));
    CHECK(plan.fixing_utilisation.number() < 1);
    const Check* too_short = find_check(plan.checks, checks::thread_short);
    REQUIRE(too_short);
    CHECK(too_short->severity == Severity::warning);
    REQUIRE(too_short->cures.front().edit);
    const Piece& cured = std::get<Change<Piece>>(*too_short->cures.front().edit).to;
    CHECK(cured.restraint.screw_length == 3_in);
    const PiecePlan after = reckon(apply(*too_short->cures.front().edit, job)).walls.front()->pieces.front();
    CHECK_FALSE(find_check(after.checks, checks::thread_short));
    CHECK(after.verdict == PieceVerdict::held);
}

TEST_CASE("an unsafe chest of drawers is held by its cure, at two proved studs", "[stability]") {
    const Job job = piece_job(dresser());
    const PiecePlan plan = reckon(job).walls.front()->pieces.front();
    CHECK(plan.verdict == PieceVerdict::unsafe);
    const Check* tips = find_check(plan.checks, checks::piece_tips);
    REQUIRE(tips);
    CHECK(tips->severity == Severity::error);
    REQUIRE(tips->cures.front().edit);
    const PiecePlan held = reckon(apply(*tips->cures.front().edit, job)).walls.front()->pieces.front();
    CHECK(held.verdict == PieceVerdict::held);
    REQUIRE(held.holes.size() == 2);
    for (const PlannedHole& place : held.holes)
        CHECK(place.substrate == Substrate::proved_stud);
    CHECK(held.each >= 0.6 * held.needs - 1e-9_n);
    CHECK(held.fixing_utilisation.number() <= 1);
    CHECK_FALSE(std::ranges::any_of(held.checks, [](const Check& c) { return c.severity == Severity::error; }));
    // The pull test ends its steps, and it is a hold point.
    CHECK(std::ranges::any_of(held.steps, [](const Step& step) {
        return step.hold_point && step.words.pattern.starts_with("Pull at its top with its drawers");
    }));
}

TEST_CASE("anchors in the lining, a thin back and studs that nobody proved are refused", "[stability]") {
    Piece chest = dresser();
    chest.restraint.kind = RestraintKind::through_frame;
    SECTION("lining anchors") {
        chest.restraint.in_lining = true;
        const PiecePlan plan = piece_plan(chest);
        CHECK(find_check(plan.checks, checks::restraint_refused));
        CHECK(plan.verdict == PieceVerdict::unsafe);
        CHECK_FALSE(plan.fixing);
    }
    SECTION("a thin back") {
        chest.restraint.through = 6_mm;
        const PiecePlan plan = piece_plan(chest);
        CHECK(find_check(plan.checks, checks::restraint_refused));
        CHECK(plan.verdict == PieceVerdict::unsafe);
    }
    SECTION("studs assumed or only indicated") {
        for (const StudState state : {StudState::assumed, StudState::indicated}) {
            Job job = piece_job(chest);
            for (Stud& stud : job.walls.front().studs)
                stud.state = state;
            const PiecePlan plan = reckon(job).walls.front()->pieces.front();
            CHECK(plan.holes.empty());
            CHECK(find_check(plan.checks, checks::restraint_refused));
            CHECK(plan.verdict == PieceVerdict::unsafe);
        }
    }
    SECTION("nothing but lining behind it") {
        Job job = piece_job(chest);
        job.walls.front().structure = LiningOnly{};
        CHECK(reckon(job).walls.front()->pieces.front().verdict == PieceVerdict::unsafe);
    }
    SECTION("held in its lower half") {
        chest.restraint.down = 500_mm;
        CHECK(find_check(piece_plan(chest).checks, checks::restraint_refused));
    }
    SECTION("a cable strip where its only stud stands") {
        Job job = piece_job(chest);
        for (const Length x : {1600_mm, 2000_mm, 2400_mm})
            job.walls.front().services.push_back({ServiceKind::socket, x, 300_mm, 86_mm, {}});
        const PiecePlan plan = reckon(job).walls.front()->pieces.front();
        CHECK(find_check(plan.checks, checks::detect_first));
        CHECK(plan.verdict != PieceVerdict::held);
    }
}

TEST_CASE("brackets and straps without a maker's figure are never green", "[stability]") {
    Piece chest = dresser();
    chest.restraint.kind = RestraintKind::top_brackets;
    PiecePlan plan = piece_plan(chest);
    CHECK(find_check(plan.checks, checks::restraint_unrated));
    CHECK(plan.verdict == PieceVerdict::unsafe);
    chest.restraint.rating = 2 * plan.each;
    plan = piece_plan(chest);
    CHECK(plan.verdict == PieceVerdict::held);
    CHECK(plan.rating_utilisation.number() == Approx(0.5));
    chest.restraint.rating = plan.each / 2;
    CHECK(find_check(piece_plan(chest).checks, checks::fixing_overloaded));

    // A strap rising as far as it reaches out pulls 1.414 times as hard.
    chest.restraint.kind = RestraintKind::straps;
    chest.restraint.rating = 5000_n;
    chest.restraint.strap_out = chest.restraint.strap_rise = 60_mm;
    const PiecePlan strapped = piece_plan(chest);
    CHECK(strapped.each == approx(std::max(220_n, 0.6 * strapped.needs) * std::sqrt(2.0)));
}

TEST_CASE("any piece of 27 in or more is to be held, whatever the sum says", "[stability][standard]") {
    Piece heavy = new_piece(stud_wall(), PieceKind::other);
    heavy.depth = 700_mm;
    heavy.mass = 200_kg;
    heavy.floor = FloorUnder::hard;
    heavy.height = 27_in;
    CHECK(piece_plan(heavy).verdict == PieceVerdict::advised);
    CHECK(find_check(piece_plan(heavy).checks, checks::restraint_advised));
    heavy.height = 600_mm;
    CHECK(piece_plan(heavy).verdict == PieceVerdict::stands);
    CHECK(piece_plan(heavy).checks.empty());
}

TEST_CASE("a skirting that keeps it off the wall lengthens its screw", "[stability]") {
    Piece chest = dresser();
    chest.restraint.kind = RestraintKind::through_frame;
    Job job = piece_job(chest);
    const Length close = reckon(job).walls.front()->pieces.front().fixing->screw_length;
    job.walls.front().skirting_height = 100_mm;
    job.walls.front().skirting_depth = 25_mm;
    const PiecePlan off = reckon(job).walls.front()->pieces.front();
    REQUIRE(off.fixing);
    CHECK(off.fixing->screw_length > close);
    CHECK(off.fixing->penetration >= job.rules.penetration_wanted);
}

TEST_CASE("the inventory lists pieces, wardrobes and tall cabinets with their verdicts", "[stability]") {
    Job job = piece_job(dresser());
    Wall& wall = job.walls.front();
    Piece held = dresser();
    held.id = "held";
    held.name = "Held";
    held.left = 2600_mm;
    held.restraint.kind = RestraintKind::through_frame;
    wall.pieces.push_back(held);
    StorageSystem wardrobe = new_system(job, wall);
    wardrobe.id = "wardrobe";
    wardrobe.name = "Wardrobe";
    Wall other = stud_wall();
    other.id = "other";
    other.systems = {wardrobe};
    job.walls.push_back(other);
    const std::vector<InventoryRow> rows = inventory(job, reckon(job));
    REQUIRE(rows.size() == 3);
    CHECK(rows[0].verdict == PieceVerdict::unsafe);
    CHECK(rows[1].verdict == PieceVerdict::held);
    CHECK(rows[1].held_by == "screws through its frame");
    CHECK(rows[2].name == "Wardrobe");
    CHECK(rows[2].places >= 3);
}

TEST_CASE("the frame's own screws into a cleat are counted by what the cleat's thickness holds", "[stability]") {
    Piece chest = dresser();
    chest.restraint.kind = RestraintKind::cleat;
    chest.restraint.through = 25_mm;
    const PiecePlan plan = piece_plan(chest);
    // #8 in wood of G 0.36: 61 lb for each inch of thread (NDS-2018 12.2, from memory), 25 mm less a point of 2 D.
    const double one = 61 * 4.4482216 * (25 / 25.4 - 2 * 0.164);
    CHECK(hold_in_cleat(chest.restraint) == Approx(one).epsilon(0.01));
    REQUIRE(plan.fixing);
    CHECK(plan.frame_screws == plan.holes.size() * static_cast<std::size_t>(std::ceil(plan.each.in_newtons() / one)));
    CHECK(plan.verdict == PieceVerdict::held);
    // Too thin for any thread: the screws would hold by their points.
    chest.restraint.through = 8_mm;
    const PiecePlan thin = piece_plan(chest);
    CHECK(thin.frame_screws == 0);
    CHECK(thin.verdict != PieceVerdict::held);
}

TEST_CASE("a tall cabinet of a run is held by its own tipping sum, not by the least strength alone", "[stability]") {
    CabinetUnit tall = tall_unit("tall", 600_mm, 2000_mm);
    tall.mass = 40_kg;
    tall.doors_mass = 16_kg;
    tall.hinge = DoorHinge::left;
    const RunPlan plan = plan_of(kitchen_with({run_of(RunLevel::floor, {tall})}));
    const UnitPlan& unit = plan.units.front();
    // By hand: 24 kg of body 0.28 m behind its front, its door of 16 kg, all leaning by asin(11 / 560).
    const double lean = std::asin(11.0 / 560);
    const auto lever = [&](double back, double up) { return back * std::cos(lean) - up * std::sin(lean); };
    const double right = 24 * g * lever(0.28, 1.0);
    // A child on the corner of its open door, 0.6 m out; or an adult who pulls at 1.42 m, the door shut.
    const double climbed = -16 * g * lever(-0.3, 1.0) - 27.2 * g * lever(-0.6, 1.42);
    const double pulled = 200 * 1.42 * std::cos(lean) - 16 * g * lever(0, 1.0);
    const double height = 2.0 - 0.06;
    CHECK(unit.tip_needs == Approx((1.5 * std::max(climbed, pulled) - 0.9 * right) / height));
    // Its one stud takes two screws above one another, each half of no less than 220 N.
    CHECK(unit.tension == approx(std::max(220_n, unit.tip_needs) / 2));
    // Wide doors ask more than the least strength: a child hangs 1.1 m out.
    tall.width = 1100_mm;
    tall.doors_mass = 30_kg;
    const UnitPlan wide = plan_of(kitchen_with({run_of(RunLevel::floor, {tall})})).units.front();
    CHECK(wide.tip_needs > 220_n);
    CHECK(wide.tension == approx(std::max(220_n, 0.6 * wide.tip_needs)));
}

TEST_CASE("any piece that can be drawn up is reckoned without a throw, and is never held by nothing",
          "[stability][property]") {
    rc::prop("strange pieces", [] {
        const auto mm = [](int from, int to) { return Length::mm(*rc::gen::inRange(from, to)); };
        Piece piece;
        piece.id = piece.name = "piece";
        piece.left = mm(-500, 4500);
        piece.width = mm(1, 3000);
        piece.height = mm(1, 3000);
        piece.depth = mm(1, 1000);
        piece.mass = Mass::kg(*rc::gen::inRange(0, 300));
        piece.feet_back = mm(0, 1200);
        piece.floor = static_cast<FloorUnder>(*rc::gen::inRange(0, 3));
        piece.floor_falls = mm(-500, 500);
        piece.doors = *rc::gen::inRange(0, 5);
        piece.one_at_a_time = *rc::gen::arbitrary<bool>();
        piece.children = *rc::gen::arbitrary<bool>();
        for (int i = *rc::gen::inRange(0, 6); i > 0; --i)
            piece.drawers.push_back({mm(1, 3000), mm(0, 1500), mm(1, 900), 2_kg, {}, {}});
        piece.restraint.kind = static_cast<RestraintKind>(*rc::gen::inRange(0, 5));
        piece.restraint.number = *rc::gen::inRange(1, 6);
        piece.restraint.down = mm(0, 3500);
        piece.restraint.through = mm(0, 120);
        piece.restraint.in_lining = *rc::gen::arbitrary<bool>();
        piece.restraint.strap_out = mm(1, 300);
        piece.restraint.strap_rise = mm(0, 900);
        if (*rc::gen::arbitrary<bool>())
            piece.restraint.gauge = static_cast<ScrewGauge>(*rc::gen::inRange(0, 6));
        piece.restraint.screw_length = mm(0, 200);
        const PiecePlan plan = piece_plan(piece);
        if (plan.verdict != PieceVerdict::held)
            return;
        // Sums of its own: places in proved studs, none of them below half its height, the screw bears its share.
        RC_ASSERT(!plan.holes.empty());
        RC_ASSERT(!piece.restraint.in_lining);
        Moment worst = 0;
        for (const TipCase& tip : plan.cases)
            worst = std::max(worst, 1.5 * tip.balance.over - 0.9 * tip.balance.righting);
        const double share = plan.holes.size() > 1 ? 0.6 : 1.0;
        RC_ASSERT(plan.each >= 220_n);
        RC_ASSERT(plan.each >= share * worst / piece.height - 1e-6_n);
        RC_ASSERT(plan.fixing_utilisation.number() <= 1);
        for (const PlannedHole& place : plan.holes) {
            RC_ASSERT(place.substrate == Substrate::proved_stud);
            RC_ASSERT(place.z > piece.height / 2 - piece.restraint.strap_rise);
        }
    });
}

TEST_CASE("on brick a piece is held by plugs, and its cure speaks of places, not of studs", "[stability]") {
    const Job job = piece_job(dresser(), masonry_wall());
    const PiecePlan plan = reckon(job).walls.front()->pieces.front();
    const Check* tips = find_check(plan.checks, checks::piece_tips);
    REQUIRE(tips);
    REQUIRE(tips->cures.front().edit);
    CHECK(tips->cures.front().words.pattern.find("stud") == std::string_view::npos);
    const PiecePlan held = reckon(apply(*tips->cures.front().edit, job)).walls.front()->pieces.front();
    CHECK(held.verdict == PieceVerdict::held);
    for (const PlannedHole& place : held.holes)
        CHECK(place.substrate == Substrate::masonry);
    REQUIRE(held.fixing);
    // A plug's pull alone: what each must hold over what the catalogue allows.
    CHECK(held.fixing_utilisation.number() == Approx(held.each / held.fixing->tension));
}
