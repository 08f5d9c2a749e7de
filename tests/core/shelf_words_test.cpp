#include "core/measure/entry.hpp"
#include "core/plan/cautions.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/summary.hpp"
#include "core/shelves/shelf_loads.hpp"
#include "core/shelves/shelf_steps.hpp"
#include "demo_job.hpp"

#include <algorithm>
#include <catch2/catch.hpp>
#include <fstream>
#include <sstream>

using namespace yes_square;

namespace {

std::string steps_text(const ShelfPlan& plan) {
    std::string text;
    for (const Step& step : plan.steps)
        text += (step.hold_point ? "! " : "- ") + say(step.words, {Unit::mm}) + "\n";
    return text;
}

std::size_t place_of(const std::string& text, const std::string& words) {
    const std::size_t at = text.find(words);
    INFO(words << " in\n" << text);
    REQUIRE(at != std::string::npos);
    return at;
}

} // namespace

TEST_CASE("the steps go from detector to trial pull, in the order of practice", "[shelves][common-practice]") {
    const Job job = demo_job();
    const Plan plan = reckon(job);
    const std::string text = steps_text(plan.walls[0]->shelves[0]);
    const std::size_t order[]{
        place_of(text, "detector"),
        place_of(text, "Strike a level line at 1643 mm above the datum, from 330 mm to 1950 mm"),
        place_of(text, "Bracket 1: mark its centre on the line at 463 mm"),
        place_of(text, "Bracket 3: mark its centre on the line at 1817 mm"),
        place_of(text, "These screws go 46 mm into the stud, and a cable bored through it may lie 31.8 mm"),
        place_of(text, "Drill pilots of 2.5 mm, tape on the bit at 58.5 mm"),
        place_of(text, "No wood on the bit"),
        place_of(text, "Bracket 1: top screw first"),
        place_of(text, "Bracket 3: screw its top in loosely"),
        place_of(text, "Those between"),
        place_of(text, "tighten all"),
        place_of(text, "Lay the board on"),
        place_of(text, "Set the overhang: 133 mm at the left, 133 mm at the right"),
        place_of(text, "Screw up through the arms"),
        place_of(text, "nothing may move"),
    };
    CHECK(std::ranges::is_sorted(order));
    CHECK(text.rfind("! ", 0) == 0); // nothing before the first hold point
}

TEST_CASE("a shelf that is not fit to hang says so before anything is marked", "[shelves]") {
    const std::string text = steps_text(reckon(demo_job()).walls[0]->shelves[1]);
    CHECK(place_of(text, "not fit to hang") < place_of(text, "Strike a level line"));
}

TEST_CASE("tile, masonry and a long board each have their own step", "[shelves][common-practice]") {
    Job job = demo_job();
    const auto chimney = [&] { return steps_text(reckon(job).walls[1]->shelves[0]); };
    CHECK(chimney().find("Blow out the dust") != std::string::npos);
    CHECK(chimney().find("masking tape") == std::string::npos);
    CHECK(chimney().find("With a helper") == std::string::npos);
    job.walls[1].lining.push_back({LiningMaterial::tile, 8_mm, {}});
    CHECK(chimney().find("masking tape") != std::string::npos);
    CHECK(chimney().find("hammer off") != std::string::npos);
    job.walls[1].shelves[0].length = 2000_mm;
    job.walls[1].shelves[0].left = 500_mm;
    CHECK(chimney().find("With a helper") != std::string::npos);
}

TEST_CASE("the general cautions name services, old linings, dust, ladders and the licensed trades", "[shelves]") {
    std::string text;
    for (const Sentence& caution : general_cautions())
        text += say(caution, {}) + "\n";
    for (const char* words : {"detector", "asbestos", "mask", "steps", "licensed", "local code", "packet"})
        CHECK(text.find(words) != std::string::npos);
}

TEST_CASE("a sum of lengths shown on the scrap comes to what it says", "[reckon][workings]") {
    // The sum as shown is read back by the entry, which knows nothing of how it was made.
    int read = 0;
    for (const Unit unit : {Unit::mm_tenths, Unit::inch_64}) {
        const Voice voice{unit};
        const Plan plan = reckon(demo_job());
        for (const auto& wall : plan.walls)
            for (const ShelfPlan& shelf : wall->shelves)
                for (const Working& working : shelf.workings) {
                    if (working.result.kind != Kind::length || working.sum.find(';') != std::string_view::npos)
                        continue;
                    std::string sum = sum_text(working, voice);
                    sum = sum.substr(0, sum.find(" = "));
                    std::ranges::replace(sum, 'x', '*');
                    const auto value = parse_length(sum, unit);
                    INFO(working.subject << ": " << sum);
                    REQUIRE(value);
                    const double off = value->in_metres() - working.result.si;
                    // Each term is shown rounded to half a step.
                    CHECK(std::abs(off) <= display_step(unit).in_metres() * static_cast<double>(working.terms.size()));
                    ++read;
                }
    }
    CHECK(read > 20);
}

TEST_CASE("what a row of books, a kitchen and a living room load a shelf with", "[shelves][loads]") {
    Shelf shelf;
    shelf.length = 1000_mm;
    shelf.depth = 300_mm;
    shelf.thickness = 20_mm;
    shelf.height = 1800_mm;
    shelf.material = BoardMaterial::mdf;
    const HouseRules rules;
    shelf.load.kind = LoadKind::books; // 37 kg/m, common practice
    CHECK(loads_of(shelf, rules).goods_load == Approx(37 * 9.80665));
    shelf.load.kind = LoadKind::kitchen; // 0.72 kPa, ANSI/KCMA A161.1, from memory
    CHECK(loads_of(shelf, rules).goods_load == Approx(216));
    CHECK(loads_of(shelf, rules).goods_source.publication == "ANSI/KCMA A161.1");
    shelf.load.kind = LoadKind::general; // 0.64 kPa, EN 14749, from memory
    CHECK(loads_of(shelf, rules).goods_load == Approx(192));
    shelf.load = {LoadKind::own, 12_kg_m};
    CHECK(loads_of(shelf, rules).goods_load == Approx(12 * 9.80665));
    CHECK(loads_of(shelf, rules).goods_source.provenance == Provenance::measured);
    // The board: 780 kg/m3 x 0.3 x 0.02 m.
    CHECK(loads_of(shelf, rules).board_mass == Approx(4.68));
    CHECK(loads_of(shelf, rules).accidental == 0);
    shelf.height = 1499_mm;
    CHECK(loads_of(shelf, rules).accidental == 250_n);
}

TEST_CASE("creep follows EN 1995-1-1 table 3.2 (from memory), and the worst of it where a board has no figure",
          "[shelves][standard]") {
    CHECK(creep_factor(BoardMaterial::red_oak, ServiceClass::dry) == 0.60);
    CHECK(creep_factor(BoardMaterial::red_oak, ServiceClass::damp) == 0.80);
    CHECK(creep_factor(BoardMaterial::birch_plywood, ServiceClass::dry) == 0.80);
    CHECK(creep_factor(BoardMaterial::birch_plywood, ServiceClass::damp) == 1.00);
    CHECK(creep_factor(BoardMaterial::osb3, ServiceClass::dry) == 1.50);
    CHECK(creep_factor(BoardMaterial::osb3, ServiceClass::damp) == 2.25);
    CHECK(creep_factor(BoardMaterial::particleboard_p5, ServiceClass::damp) == 3.00);
    CHECK(creep_factor(BoardMaterial::mdf, ServiceClass::dry) == 2.25);
    CHECK(creep_factor(BoardMaterial::mdf, ServiceClass::damp) == 3.00);
}

TEST_CASE("moduli of boards: Wood Handbook ch. 5, EN 622-5, EN 312, EN 300 (from memory)", "[shelves][standard]") {
    CHECK(properties(BoardMaterial::eastern_white_pine).modulus == 8.5_gpa);
    CHECK(properties(BoardMaterial::ponderosa_pine).modulus == 8.9_gpa);
    CHECK(properties(BoardMaterial::yellow_poplar).modulus == 10.9_gpa);
    CHECK(properties(BoardMaterial::douglas_fir).modulus == 13.4_gpa);
    CHECK(properties(BoardMaterial::red_oak).modulus == 12.5_gpa);
    CHECK(properties(BoardMaterial::sugar_maple).modulus == 12.6_gpa);
    CHECK(properties(BoardMaterial::mdf).modulus == 2.2_gpa);
    CHECK(properties(BoardMaterial::particleboard_p2).modulus == 1.6_gpa);
    CHECK(properties(BoardMaterial::osb3).modulus == 3.5_gpa);
    for (const BoardProperties& board : all_boards()) {
        CHECK(&properties(board.material) == &board);
        CHECK(board.kdef_dry > 0);
        CHECK(board.density > 300_kg_m3);
    }
}

TEST_CASE("the lowest density is taken for timber that nobody knows", "[fixings]") {
    for (const Species species : {Species::spruce_pine_fir, Species::southern_pine, Species::douglas_fir_larch,
                                  Species::red_oak, Species::western_cedars, Species::c16})
        CHECK(specific_gravity(Species::unknown) <= specific_gravity(species));
    // PS 20: a nominal 2 x 4 is 1 1/2 x 3 1/2 in, 38 x 89 mm.
    CHECK(Framing{}.stud_width == 38_mm);
    CHECK(Framing{}.stud_depth == 89_mm);
}
