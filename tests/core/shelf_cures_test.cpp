#include "core/shelves/new_shelf.hpp"
#include "core/shelves/plate.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/site/site_checks.hpp"
#include "shelf_walls.hpp"

#include <functional>
#include <set>

using namespace yes_square;

/// What goes wrong with each kind, and that the program's own cure takes it away without making anything else worse.
namespace {

struct Trouble {
    const char* name;
    const ShelfPreset& kind;
    CheckCode code;
    std::function<void(Shelf&)> make;
    bool masonry = true;
};

template <class How>
std::function<void(Shelf&)> with(std::function<void(How&)> change) {
    return [change = std::move(change)](Shelf& shelf) { change(std::get<How>(shelf.holding)); };
}

std::set<CheckCode> errors(const ShelfPlan& plan) {
    std::set<CheckCode> found;
    for (const Check& check : plan.checks)
        if (check.severity == Severity::error)
            found.insert(check.code);
    return found;
}

const std::vector<Trouble>& troubles() {
    static const std::vector<Trouble> all{
        {"boards too long", shelf_preset("brackets"), checks::board_too_long,
         [](Shelf& s) {
             s.left = 300_mm;
             s.length = 3000_mm;
         }},
        {"joint on nothing", shelf_preset("brackets"), checks::joint_unsupported,
         [](Shelf& s) {
             s.left = 300_mm;
             s.length = 2400_mm;
             s.joints = {1111_mm};
         },
         false},
        {"tiers too close", shelf_preset("brackets"), checks::tiers_too_close,
         [](Shelf& s) {
             s.height = 2000_mm;
             s.tiers = 3;
             s.rise = 200_mm;
         }},
        {"off the slots", shelf_preset("standards"), checks::slots_missed, [](Shelf& s) { s.rise = 311_mm; }},
        {"upright too short", shelf_preset("standards"), checks::upright_too_short,
         [](Shelf& s) {
             s.rise = 416_mm;
             s.tiers = 4;
             s.height = 2300_mm;
         }},
        {"shelf too thin for its rods", shelf_preset("hidden_rods"), checks::rod_too_thick,
         [](Shelf& s) { s.thickness = 22_mm; }},
        {"rods come out at the front", shelf_preset("hidden_rods"), checks::rod_too_thick,
         with<OnHiddenRods>([](OnHiddenRods& how) { how.in_shelf = 195_mm; })},
        {"rods through the studs", shelf_preset("hidden_rods"), checks::rod_through_stud,
         with<OnHiddenRods>([](OnHiddenRods& how) { how.in_wall = 100_mm; }), false},
        {"rods in a panel's edge", shelf_preset("hidden_rods"), checks::rod_edge_unknown,
         [](Shelf& s) { s.material = BoardMaterial::mdf; }},
        {"no strip on one side", shelf_preset("cleats"), checks::cleat_sides_missing,
         [](Shelf& s) {
             s.length = 800_mm;
             std::get<OnCleats>(s.holding).left = false;
         }},
        {"goods beyond the end", shelf_preset("brackets"), checks::goods_off_shelf,
         [](Shelf& s) {
             s.goods = {{"Globe", 1000_mm, 1500_mm, 6_kg, {}}};
         }},
        {"desk too high", shelf_preset("desk"), checks::desk_height, [](Shelf& s) { s.height = 870_mm; }},
        {"plate off the studs", shelf_preset("fixture"), checks::plate_few_holes,
         [](Shelf& s) {
             s.left = 1020_mm;
             std::get<Fixture>(s.holding).plate.holes = {
                 {100_mm, 30_mm, false, {}}, {500_mm, 30_mm, false, {}}, {100_mm, 400_mm, false, {}}};
         },
         false},
        {"hole that must hold", shelf_preset("hidden_bracket"), checks::hole_must_hold,
         [](Shelf& s) {
             s.left = 1000_mm;
             auto& plate = std::get<OnHiddenBracket>(s.holding).plate;
             plate.holes = {{15_mm, 8_mm, true, {}}, {415_mm, 8_mm, true, {}}, {815_mm, 8_mm, false, {}}};
         },
         false},
    };
    return all;
}

} // namespace

TEST_CASE("what is wrong with a kind is taken away by its cure, and nothing new is wrong", "[shelves][kinds][cures]") {
    for (const Trouble& trouble : troubles()) {
        INFO(trouble.name);
        const Wall wall = trouble.masonry ? masonry_wall(MasonryKind::concrete) : stud_wall();
        Shelf shelf = new_shelf(trouble.kind, wall);
        if (Plate* plate = plate_in(shelf))
            plate->rating = 3000_n;
        trouble.make(shelf);
        const Job job = job_with(wall, shelf);
        const ShelfPlan before = shelf_plan(job);
        REQUIRE(find_check(before, trouble.code));
        const ShelfPlan after = cured(job, trouble.code);
        CHECK_FALSE(find_check(after, trouble.code));
        std::set<CheckCode> were = errors(before);
        for (const CheckCode code : errors(after)) {
            INFO(code.name());
            CHECK(were.contains(code));
        }
    }
}

TEST_CASE("a trouble the program cannot mend by itself says what the fitter does", "[shelves][kinds][cures]") {
    const auto words_for = [](const Job& job, CheckCode code) {
        const ShelfPlan plan = shelf_plan(job);
        const Check* check = find_check(plan, code);
        REQUIRE(check);
        REQUIRE_FALSE(check->cures.empty());
        return say(check->cures.back().words, {});
    };
    const Wall brick = masonry_wall();
    CHECK(words_for(job_with(brick, new_shelf(shelf_preset("cleats"), brick)), checks::cleat_wall_unknown)
              .find("trial hole") != std::string::npos);
    Shelf keyholes = new_shelf(shelf_preset("keyholes"), brick);
    keyholes.length = 1500_mm;
    std::get<OnKeyholes>(keyholes.holding).plate.holes = {{100_mm, 30_mm, false, {}}, {600_mm, 30_mm, false, {}}};
    CHECK(words_for(job_with(brick, keyholes), checks::keyhole_lifts).find("third") != std::string::npos);
    Shelf hung = new_shelf(shelf_preset("brackets"), brick);
    hung.hangers = {600_mm};
    CHECK(words_for(job_with(brick, hung), checks::hanger_misses_joist).find("joists") != std::string::npos);
}

TEST_CASE("hangers move to the joists that are there", "[shelves][kinds][cures]") {
    Wall wall = masonry_wall();
    wall.joists = {1700_mm, 2300_mm};
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.left = 1200_mm;
    shelf.length = 1600_mm;
    shelf.load.kind = LoadKind::display;
    shelf.hangers = {550_mm}; // at 1750
    const Job job = job_with(wall, shelf);
    CHECK(find_check(shelf_plan(job), checks::hanger_misses_joist));
    const ShelfPlan moved = cured(job, checks::hanger_misses_joist);
    const auto hanger = std::ranges::find_if(moved.brackets, &BracketPlan::hanger);
    REQUIRE(hanger != moved.brackets.end());
    CHECK(hanger->x == 1700_mm);
    CHECK(hanger->substrate == Substrate::joist);
}

TEST_CASE("a board that rests on one bracket beside a joint is refused", "[shelves][kinds][safety]") {
    Shelf shelf = new_shelf(shelf_preset("brackets"), masonry_wall());
    shelf.joints = {40_mm}; // nothing can stand before it
    const ShelfPlan plan = shelf_plan(job_with(masonry_wall(), shelf));
    const Check* tips = find_check(plan, checks::joint_unsupported);
    REQUIRE(tips);
    CHECK(tips->severity == Severity::error);
}

TEST_CASE("the board's strength is reckoned without brackets in the lining alone", "[shelves][safety]") {
    // Studs at 400 and 1600: whatever stands between them is in the lining and carries nothing.
    Wall wall = stud_wall();
    wall.studs = {wall.studs[0], wall.studs[3]};
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.left = 350_mm;
    shelf.length = 1300_mm;
    shelf.material = BoardMaterial::particleboard_p2;
    shelf.thickness = 18_mm;
    const ShelfPlan plan = shelf_plan(job_with(wall, shelf));
    REQUIRE(std::ranges::count(plan.brackets, Substrate::lining, &BracketPlan::substrate) > 0);
    // Self-weight and 37 kg/m of books over 1.2 m, wL2/8 less a little for the ends; 11 x 0.30 / 1.95 N/mm2.
    const double w = (37 + 700 * 0.25 * 0.018) * 9.80665;
    const double moment = w * (1.2 * 1.2 / 8 - 0.05 * 0.05 / 2);
    const double stress = moment / (0.25 * 0.018 * 0.018 / 6) / 1e6;
    CHECK(plan.board_utilisation.number() >= stress / (11 * 0.30 / 1.95) * 0.99);
    CHECK(find_check(plan, checks::board_overloaded));
}

TEST_CASE("one utilisation followed by hand from the load to the verdict", "[shelves][safety][statics]") {
    // A fixture of 24 kg, 200 deep, on two holes 60 down a plate of 300: M = 24 g 0.1, lever 300 - 60 - 5 mm.
    Shelf shelf = new_shelf(shelf_preset("fixture"), masonry_wall());
    shelf.length = 600_mm;
    shelf.thickness = 300_mm;
    shelf.depth = 200_mm;
    auto& how = std::get<Fixture>(shelf.holding);
    how.plate.holes = {{100_mm, 60_mm, false, {}}, {500_mm, 60_mm, false, {}}};
    how.plate.hole_diameter = 5_mm;
    how.mass = 24_kg;
    const ShelfPlan plan = shelf_plan(job_with(masonry_wall(), shelf));
    const double weight = 24 * 9.80665;
    const double pull = weight * 0.1 / 0.235 / 2;
    const double shear = weight / 2;
    // Nylon plug 8 x 50 in brick: 450 N pull, 600 N shear, recommended, plaster on the brick itself.
    REQUIRE(plan.brackets[0].fixing);
    CHECK(plan.brackets[0].fixing->tension == 450_n);
    CHECK(plan.brackets[0].fixing_utilisation.number() == Approx(pull / 450 + shear / 600).epsilon(1e-3));
}

TEST_CASE("a narrow plate presses its lower edge, which shortens its lever", "[shelves][safety]") {
    Shelf shelf = new_shelf(shelf_preset("hidden_bracket"), masonry_wall(MasonryKind::concrete));
    shelf.length = 400_mm;
    auto& how = std::get<OnHiddenBracket>(shelf.holding);
    how.offset = 160_mm;
    how.plate.height = 120_mm;
    how.plate.holes = {{20_mm, 15_mm, false, {}}, {60_mm, 15_mm, false, {}}};
    how.plate.width = 80_mm;
    const auto pull = [&] {
        return shelf_plan(job_with(masonry_wall(MasonryKind::concrete), shelf)).brackets[0].tension;
    };
    shelf.load = {LoadKind::own, 600_kg_m};
    const Force narrow = pull();
    how.plate.width = 2000_mm;
    CHECK(narrow > pull() * 1.01);
}

TEST_CASE("one board of a slotted upright is held by neighbouring screws", "[shelves][kinds][safety]") {
    Shelf shelf = new_shelf(shelf_preset("standards"), masonry_wall());
    shelf.tiers = 1;
    const ShelfPlan plan = shelf_plan(job_with(masonry_wall(), shelf));
    for (const BracketPlan& place : plan.brackets)
        CHECK(place.fixing_utilisation.number() * place.fixing->tension >=
              place.reaction.sustained * 0.125 / 0.250 * (1 - 1e-9));
}
