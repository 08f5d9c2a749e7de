// Hollow boards and what is cut out of boards and worktops: what they weigh and bear, what is said of them.
#include "core/cutting/cut_list.hpp"
#include "core/shelves/board_section.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/site/cut_outs.hpp"
#include "shelf_walls.hpp"

#include <map>
#include <random>
#include <tuple>

using namespace yes_square;

namespace {

/// 40 mm: skins of 4 mm MDF on 40 mm strips of white pine, three ribs.
Shelf hollow_shelf() {
    Shelf shelf = new_shelf(shelf_preset("brackets"), stud_wall());
    shelf.length = 1200_mm;
    shelf.depth = 250_mm;
    shelf.thickness = 40_mm;
    shelf.material = BoardMaterial::mdf;
    shelf.hollow = HollowBoard{};
    return shelf;
}

Shelf desk() {
    Shelf shelf = new_shelf(shelf_preset("desk"), stud_wall());
    shelf.length = 1600_mm;
    shelf.depth = 600_mm;
    return shelf;
}

CutOut outlet(Length across, Length back = 60_mm, Length size = 60_mm) {
    return {"cable outlet", across, back, size, size, {}};
}

bool raises(const Shelf& shelf, CheckCode code) {
    return find_check(shelf_plan(job_with(stud_wall(), shelf)), code) != nullptr;
}

} // namespace

TEST_CASE("a hollow board by hand: its mass, its stiffness, what its strips give by shear", "[boards]") {
    const Shelf shelf = hollow_shelf();
    const Section section = board_section(shelf);
    const double skin = properties(BoardMaterial::mdf).modulus.in_pascals();
    const double pine = properties(BoardMaterial::eastern_white_pine).modulus.in_pascals();
    // Skins between 16 and 20 mm off the middle: 80 mm on the strips, and of the 170 between them 0.2 x 400 (shear lag
    // of fibre boards; buckling leaves 30 x 4 = 120). Strips: 80 mm in all, 32 mm high.
    const double of_skins = skin * 0.160 * (std::pow(0.040, 3) - std::pow(0.032, 3)) / 12;
    const double of_strips = pine * 0.080 * std::pow(0.032, 3) / 12;
    CHECK(section.stiffness.in_newton_square_metres() == Approx(of_skins + of_strips).epsilon(1e-9));
    // Mass of a metre: skins, strips, and three ribs of 40 x 170 x 32 on 1.2 m.
    const double mdf = properties(BoardMaterial::mdf).density.in_si();
    const double wood = properties(BoardMaterial::eastern_white_pine).density.in_si();
    const double per_metre = mdf * 0.008 * 0.250 + wood * 0.032 * (0.080 + 3 * 0.040 / 1.2 * 0.170);
    CHECK(section.per_metre.in_si() == Approx(per_metre).epsilon(1e-9));
    // A sandwich: G b d^2 / c, d between the skins' middles.
    CHECK(section.shear.in_newtons() == Approx(pine / 16 * 0.080 * 0.036 * 0.036 / 0.032).epsilon(1e-9));
    const double k = section.stiffness.in_newton_square_metres() / (section.shear.in_newtons() * 0.8 * 0.8);
    CHECK(with_shear(section, 800_mm, 50_mm, 2) / section.stiffness == Approx(1 / (1 + 9.6 * k)));
    CHECK(with_shear(section, 800_mm, 50_mm, 3) < with_shear(section, 800_mm, 50_mm, 2));
    // An overhang that governs: q a^4 / 8 EI by bending, q a^2 / 2 GA by shear.
    const double end = section.stiffness.in_newton_square_metres() / (section.shear.in_newtons() * 0.3 * 0.3);
    CHECK(with_shear(section, 400_mm, 300_mm, 2) / section.stiffness ==
          Approx(1 / (1 + std::max(4 * end, 9.6 * end * 0.3 * 0.3 / 0.4 / 0.4))));
}

TEST_CASE("a hollow board weighs a fraction of a solid one and is nearly as stiff", "[boards]") {
    Shelf solid = hollow_shelf();
    solid.hollow.reset();
    const Section hollow = board_section(hollow_shelf());
    CHECK(hollow.per_metre < 0.5 * board_section(solid).per_metre);
    CHECK(hollow.stiffness > 0.6 * board_section(solid).stiffness);
    CHECK(hollow.stiffness < 3 * board_section(solid).stiffness); // its strips are stiffer stuff than MDF
    Shelf weighed = hollow_shelf();
    weighed.board_mass = Mass::kg(5.4);
    CHECK(board_section(weighed).per_metre.in_si() == Approx(4.5)); // what the scales say wins
    CHECK(shelf_plan(job_with(stud_wall(), weighed)).mass.in_kg() == Approx(5.4));
    weighed.hollow->core = Density::kg_per_cubic_metre(30);
    weighed.board_mass = 0;
    CHECK(board_section(weighed).per_metre > hollow.per_metre);
    CHECK(board_section(weighed).stiffness == hollow.stiffness);
}

// EN 1995-1-1 9.1.2 and table 9.1 (from memory): shear lag 0.1 l of plywood, 0.2 l of fibre boards; buckling 20 and 30
// times the flange; half of that beside a web that stands at its edge.
TEST_CASE("of a skin between strips only so much counts, half as much beside one strip alone", "[boards][reference]") {
    Shelf shelf = hollow_shelf();
    const double skin = properties(BoardMaterial::mdf).modulus.in_pascals();
    const double pine = properties(BoardMaterial::eastern_white_pine).modulus.in_pascals();
    const auto counts = [&](double modulus) {
        const double strips = (shelf.hollow->front + shelf.hollow->back).in_metres();
        const double c = 0.040 - 2 * shelf.hollow->skin.in_metres();
        const double of_strips = pine * strips * c * c * c / 12;
        return (board_section(shelf).stiffness.in_newton_square_metres() - of_strips) * 12 /
               (modulus * (std::pow(0.040, 3) - c * c * c));
    };
    CHECK(counts(skin) == Approx(0.160));
    shelf.hollow->back = {};
    CHECK(counts(skin) == Approx(0.040 + 0.040));
    shelf.hollow->skin = 2_mm; // buckles: 30 x 2
    CHECK(counts(skin) == Approx(0.040 + 0.030));
    shelf = hollow_shelf();
    shelf.material = BoardMaterial::birch_plywood;
    CHECK(counts(properties(BoardMaterial::birch_plywood).modulus.in_pascals()) == Approx(0.080 + 0.040));
}

TEST_CASE("skins that nothing joins bend each by itself, and that is said", "[boards][checks]") {
    Shelf loose = hollow_shelf();
    loose.hollow->front = loose.hollow->back = {};
    const double skin = properties(BoardMaterial::mdf).modulus.in_pascals();
    CHECK(board_section(loose).stiffness.in_newton_square_metres() ==
          Approx(2 * skin * 0.250 * std::pow(0.004, 3) / 12));
    CHECK(raises(loose, checks::skins_loose));
    CHECK(holds(shelf_plan(job_with(stud_wall(), loose))) == Holds::no);
    loose.hollow->back = 40_mm; // its front edge bears nobody
    CHECK(raises(loose, checks::skins_loose));
    CHECK_FALSE(raises(hollow_shelf(), checks::skins_loose));
    Shelf full = hollow_shelf();
    full.hollow->skin = 20_mm;
    CHECK(raises(full, checks::skins_meet));
    CHECK_FALSE(raises(hollow_shelf(), checks::skins_meet));
}

TEST_CASE("a frame that creeps more or bears less than its skins counts as it is", "[boards][safety]") {
    Shelf shelf = hollow_shelf();
    shelf.material = BoardMaterial::red_oak;
    shelf.hollow->frame = BoardMaterial::mdf;
    CHECK(creep_factor(shelf, ServiceClass::dry) == creep_factor(BoardMaterial::mdf, ServiceClass::dry));
    const Section section = board_section(shelf);
    const BoardProperties& frame = properties(BoardMaterial::mdf);
    const BoardProperties& skin = properties(BoardMaterial::red_oak);
    // Stored goods: what the strips are stressed when the section is used up, against what they may bear for good.
    const Moment all = section.modulus * bending_stored(skin);
    const Pressure at_strip = all / section.stiffness * frame.modulus * metres(0.016);
    CHECK(at_strip <= bending_stored(frame) * 1.0000001);
}

TEST_CASE("rods find no wood in a hollow board: it does not hold, and a solid one does", "[boards][safety]") {
    Shelf rods = new_shelf(shelf_preset("hidden_rods"), stud_wall());
    CHECK_FALSE(raises(rods, checks::rods_in_hollow));
    rods.hollow = HollowBoard{};
    const Job job = job_with(stud_wall(), rods);
    const ShelfPlan plan = shelf_plan(job);
    CHECK(find_check(plan, checks::rods_in_hollow));
    CHECK(holds(plan) == Holds::no);
    CHECK_FALSE(find_check(cured(job, checks::rods_in_hollow), checks::rods_in_hollow));
}

TEST_CASE("a hollow board is cut as skins, strips and ribs, its cut-outs on the skins", "[boards][cutting]") {
    Shelf shelf = hollow_shelf();
    shelf.cut_outs = {outlet(500_mm)};
    const ShelfPlan plan = shelf_plan(job_with(stud_wall(), shelf));
    std::map<std::string, std::vector<const CutPart*>> by_name;
    for (const CutPart& part : plan.parts)
        by_name[say(part.name, {})].push_back(&part);
    REQUIRE(by_name["skin of Shelf"].size() == 2);
    REQUIRE(by_name["front strip of Shelf"].size() == 1);
    REQUIRE(by_name["back strip of Shelf"].size() == 1);
    REQUIRE(by_name["rib of Shelf"].size() == 3);
    CHECK(by_name["skin of Shelf"].front()->stuff.thickness == 4_mm);
    CHECK(by_name["rib of Shelf"].front()->length == 170_mm);
    CHECK(by_name["rib of Shelf"].front()->thickness() == 32_mm);
    for (const CutPart* skin : by_name["skin of Shelf"])
        CHECK(say(skin->mind, {}) == "cable outlet: 60 mm x 60 mm, 500 mm from the left end, 60 mm from the back edge");
    CHECK(by_name["rib of Shelf"].front()->mind.empty());
    CHECK(by_name.count("board of Shelf") == 0);
}

TEST_CASE("what is left of a board beside its cut-outs is the least at any place along it",
          "[boards][property][slow]") {
    std::mt19937 draw{9};
    const auto mm = [&](int most) { return Length::mm(std::uniform_int_distribution<int>{0, most}(draw)); };
    for (int round = 0; round < 300; ++round) {
        std::vector<CutOut> cuts;
        for (int i = 0; i < 4; ++i)
            cuts.push_back({"", mm(500), mm(250), 1_mm + mm(200), 1_mm + mm(120), {}});
        // Millimetre by millimetre.
        int least = 300;
        for (int x = 0; x < 900; ++x) {
            int left = 0;
            for (int y = 0; y < 300; ++y)
                left += std::ranges::none_of(cuts, [&](const CutOut& cut) {
                    return Length::mm(x) >= cut.across && Length::mm(x) < cut.right() && Length::mm(y) >= cut.back &&
                           Length::mm(y) < cut.front();
                });
            least = std::min(least, left);
        }
        CHECK(least_left(cuts, Length{}, 300_mm) == Length::mm(least));
    }
}

TEST_CASE("a cut-out takes its breadth off the board's stiffness and strength, never adds", "[boards]") {
    Shelf shelf = desk();
    const Section whole = board_section(shelf);
    shelf.cut_outs = {outlet(700_mm, 60_mm, 150_mm)};
    const Section cut = board_section(shelf);
    CHECK(cut.stiffness / whole.stiffness == Approx(450.0 / 600));
    CHECK(cut.modulus / whole.modulus == Approx(450.0 / 600));
    CHECK(cut.per_metre == whole.per_metre);
    // A strip that is cut through joins nothing there.
    Shelf hollow = hollow_shelf();
    const Section before = board_section(hollow);
    hollow.cut_outs = {{"notch", 300_mm, 0_mm, 80_mm, 40_mm, {}}};
    const Section notched = board_section(hollow);
    CHECK(notched.shear / before.shear == Approx(0.5));
    CHECK(notched.stiffness < before.stiffness);
}

TEST_CASE("a lip and cut-outs: what stiffens the front stays", "[boards]") {
    Shelf shelf = hollow_shelf();
    shelf.lip = Lip{BoardMaterial::red_oak, 20_mm, 60_mm, {}};
    shelf.depth = 270_mm;
    CHECK(board_section(shelf).stiffness > board_section(hollow_shelf()).stiffness);
    CHECK(board_section(shelf).shear == board_section(hollow_shelf()).shear);
}

TEST_CASE("brackets keep clear of what is cut out over them", "[boards][checks]") {
    Shelf shelf = desk();
    const ShelfPlan plain = shelf_plan(job_with(stud_wall(), shelf));
    REQUIRE(plain.brackets.size() >= 3);
    const Length middle = plain.brackets[1].x - shelf.left;
    shelf.cut_outs = {outlet(middle - 30_mm)};
    const ShelfPlan cut = shelf_plan(job_with(stud_wall(), shelf));
    CHECK_FALSE(find_check(cut, checks::cut_out_over_bracket));
    for (const BracketPlan& place : cut.brackets)
        CHECK(absolute(place.x - shelf.left - middle) >= 30_mm);
    shelf.pins = {middle}; // the fitter's own word
    CHECK(raises(shelf, checks::cut_out_over_bracket));
    shelf.cut_outs.front().back = 560_mm; // in front of every arm
    shelf.cut_outs.front().depth = 20_mm;
    CHECK_FALSE(raises(shelf, checks::cut_out_over_bracket));
}

TEST_CASE("cut-outs beyond the board, too near its edge, into one another: each says where", "[boards][checks]") {
    Shelf shelf = desk();
    shelf.cut_outs = {outlet(700_mm)};
    CHECK_FALSE(raises(shelf, checks::cut_out_off_board));
    CHECK_FALSE(raises(shelf, checks::cut_out_leaves_little));
    CHECK_FALSE(raises(shelf, checks::cut_outs_meet));
    shelf.cut_outs = {outlet(1590_mm)};
    CHECK(raises(shelf, checks::cut_out_off_board));
    shelf.cut_outs = {outlet(700_mm, 580_mm)};
    CHECK(raises(shelf, checks::cut_out_off_board));
    shelf.cut_outs = {{"sink", 400_mm, 40_mm, 500_mm, 520_mm, {}}}; // 40 mm before and behind, 50 wanted
    CHECK(raises(shelf, checks::cut_out_leaves_little));
    shelf.cut_outs.front().back = 0_mm; // a notch leaves nothing behind on purpose; 80 mm before it
    CHECK_FALSE(raises(shelf, checks::cut_out_leaves_little));
    shelf.cut_outs = {outlet(700_mm), outlet(740_mm)};
    CHECK(raises(shelf, checks::cut_outs_meet));
    const ShelfPlan plan = shelf_plan(job_with(stud_wall(), shelf));
    const auto told = std::ranges::count_if(plan.steps, [](const Step& step) {
        return say(step.words, {}).starts_with("Cut out cable outlet: 60 mm x 60 mm");
    });
    CHECK(told == 2);
}

TEST_CASE("hidden rods: line and centres, depths, what is cut, resin by the hole, an eccentric turn",
          "[boards][rods]") {
    Shelf shelf = new_shelf(shelf_preset("hidden_rods"), masonry_wall(MasonryKind::aerated_block));
    auto& how = std::get<OnHiddenRods>(shelf.holding);
    shelf.thickness = 50_mm;
    how.diameter = 12_mm;
    how.in_wall = 100_mm;
    how.in_shelf = 150_mm;
    how.resin = true;
    const auto steps_say = [&](const Job& job, std::string_view words) {
        const ShelfPlan plan = shelf_plan(job);
        return std::ranges::any_of(
            plan.steps, [&](const Step& step) { return say(step.words, {}).find(words) != std::string::npos; });
    };
    const Job job = job_with(masonry_wall(MasonryKind::aerated_block), shelf);
    const ShelfPlan plan = shelf_plan(job);
    // 50 mm shelf, line struck under it: rod centres 25 mm above the line, and the sheet says both.
    for (const PlannedHole& hole : plan.holes)
        CHECK(hole.z == shelf.underside() + 25_mm);
    CHECK(steps_say(job, "The holes' centres stand 25 mm over the line"));
    // 10 mm of plaster, 100 in the block, 150 in the shelf.
    CHECK(steps_say(job, "110 mm deep from its face"));
    CHECK(steps_say(job, "Cut the rods 260 mm long"));
    for (const BracketPlan& place : plan.brackets)
        CHECK(place.fixing->screw_length == 260_mm); // as the kit has them
    // pi/4 (14^2 - 12^2) x 100 = 4.08 ml, half as much again: 6; the ring is 26.5 % of the hole: 40 mm of it.
    CHECK(steps_say(job, "with resin for 39.8 mm of its depth, 6 ml a hole"));

    Job turned = job;
    std::get<OnHiddenRods>(turned.walls.front().shelves.front().holding).off_centre = 2_mm;
    CHECK(steps_say(turned, "a quarter turn lifts or lowers that place by 2.0 mm"));
    CHECK_FALSE(find_check(shelf_plan(turned), checks::rod_off_centre));
    std::get<OnHiddenRods>(turned.walls.front().shelves.front().holding).off_centre = 7_mm;
    CHECK(find_check(shelf_plan(turned), checks::rod_off_centre));
    CHECK_FALSE(find_check(cured(turned, checks::rod_off_centre), checks::rod_off_centre));
}

TEST_CASE("a hole thinner than its rod is a choice in soft block alone", "[boards][rods][safety]") {
    const auto plan_of = [](MasonryKind kind, Length tight, bool resin) {
        Shelf shelf = new_shelf(shelf_preset("hidden_rods"), masonry_wall(kind));
        auto& how = std::get<OnHiddenRods>(shelf.holding);
        how.tight = tight;
        how.resin = resin;
        return shelf_plan(job_with(masonry_wall(kind), shelf));
    };
    const ShelfPlan driven = plan_of(MasonryKind::aerated_block, 1_mm, false);
    CHECK_FALSE(find_check(driven, checks::rod_hole_tight));
    REQUIRE(driven.brackets.front().fixing);
    CHECK(driven.brackets.front().fixing->hole_diameter == 9_mm);
    for (const auto& [kind, tight, resin] :
         {std::tuple{MasonryKind::brick, 1_mm, false}, std::tuple{MasonryKind::concrete, 1_mm, false},
          std::tuple{MasonryKind::aerated_block, 1_mm, true}}) {
        const ShelfPlan plan = plan_of(kind, tight, resin);
        CHECK(find_check(plan, checks::rod_hole_tight));
        CHECK(holds(plan) == Holds::no);
        CHECK_FALSE(plan.brackets.front().fixing);
    }
    CHECK(find_check(plan_of(MasonryKind::aerated_block, 3_mm, false), checks::rod_hole_tight));
}
