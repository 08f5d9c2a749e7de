// Brackets and anchors of the fitter's own: copied, taken in, given out, taken away; and what ships.
#include "collisions.hpp"
#include "core/fixings/choose_fixing.hpp"
#include "core/job/own_entries.hpp"
#include "core/measure/sum.hpp"
#include "core/sheets/bracket_drawing.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

namespace {

Bracket oak_bracket() {
    Bracket bracket;
    bracket.id = "own-1";
    bracket.name = "Oak bracket, \"curved\"";
    bracket.arm = 180_mm;
    bracket.leg = 220_mm;
    bracket.width = 35_mm;
    bracket.thickness = Length::inches(0, {3, 4});
    bracket.hole_drops = {30_mm, 190_mm};
    bracket.hole_diameter = 5_mm;
    bracket.stiffened = true;
    bracket.rating = 300_n;
    bracket.basis = FigureBasis::characteristic;
    bracket.own = true;
    return bracket;
}

template <class Entry>
void comes_back(std::vector<Entry> entries) {
    const std::string table = entries_csv(entries);
    const auto read = entries_from_csv<Entry>(table);
    INFO(table);
    REQUIRE(read);
    CHECK(*read == entries);
}

std::string problem_of(const std::string& table) {
    const auto read = entries_from_csv<Bracket>(table);
    REQUIRE_FALSE(read);
    return read.error();
}

Job with_bracket(const Bracket& bracket) {
    Shelf shelf = new_shelf(shelf_preset("brackets"), stud_wall());
    shelf.depth = 250_mm;
    shelf.bracket = bracket.id;
    Job job = job_with(stud_wall(), shelf);
    job.catalogue.brackets.push_back(bracket);
    return job;
}

} // namespace

TEST_CASE("entries at hand come back from their table as they were", "[catalogue][file]") {
    comes_back(shipped_catalogue().brackets);
    comes_back(shipped_catalogue().plugs);
    comes_back(shipped_catalogue().lining_anchors);
    comes_back(std::vector{oak_bracket()});
}

TEST_CASE("a table of brackets is read as a fitter would write it", "[catalogue][file]") {
    const auto read = entries_from_csv<Bracket>("name,arm,leg,width,thickness,hole_drops,hole_diameter,stiffened\n"
                                                "Old iron,7 1/2 in,9in,1in,1/8 in,1in; 8in,5,yes\n");
    REQUIRE(read);
    REQUIRE(read->size() == 1);
    const Bracket& bracket = read->front();
    CHECK(bracket.arm == Length::inches(7, {1, 2}));
    CHECK(bracket.hole_drops == std::vector<Length>{1_in, 8_in});
    CHECK(bracket.stiffened);
    CHECK_FALSE(bracket.rating);
}

TEST_CASE("what is wrong with a table is said with its line, its column and the cure", "[catalogue][file]") {
    const std::string head = "id,name,arm,leg,width,thickness,hole_drops,hole_diameter\n";
    CHECK(problem_of("") == "the table holds nothing; its first line names the columns, each other line is an entry");
    CHECK(problem_of(head + "a,A,150,200,25,4,20 180,5\nb,B,long,200,25,4,20,5\n").find("line 3, arm: \"long\"") == 0);
    CHECK(problem_of(head + "a,A,0,200,25,4,20,5\n")
              .find("line 2, arm: 0 is not an arm length; it must be more than 0") == 0);
    CHECK(problem_of("id,name,arm,colour\na,A,150,red\n").find("line 1: there is no column \"colour\"; there are id") ==
          0);
    CHECK(problem_of("id,name,arm\na,A,150\n").find("line 2, leg: missing") == 0);
    CHECK(problem_of(head + "a b,A,150,200,25,4,20,5\n").find("line 2, id:") == 0);
    CHECK(problem_of("id,name,arm,leg,width,thickness,hole_drops,hole_diameter,basis\n"
                     "a,A,150,200,25,4,20,5,hearsay\n")
              .find("line 2, basis: \"hearsay\" is not known; it must be one of") == 0);
}

TEST_CASE("what is taken in is the fitter's own, once, and never in place of what ships", "[catalogue]") {
    Catalogue catalogue = shipped_catalogue();
    Bracket bracket = oak_bracket();
    bracket.own = false;
    take_in(catalogue, std::vector{bracket});
    bracket.arm = 190_mm;
    take_in(catalogue, std::vector{bracket});
    CHECK(std::ranges::count(catalogue.brackets, true, &Bracket::own) == 1);
    CHECK(catalogue.brackets.back().arm == 190_mm);
    bracket.id = shipped_catalogue().brackets.front().id;
    take_in(catalogue, std::vector{bracket});
    CHECK(catalogue.brackets.front() == shipped_catalogue().brackets.front());
    CHECK(catalogue.brackets.back().id == "own-2");
}

TEST_CASE("a copy is the fitter's own, says nothing of ratings yet, and goes with what was chosen of it",
          "[catalogue]") {
    Job job = with_bracket(oak_bracket());
    Bracket* copy = copy_as_own<Bracket>(job.catalogue, "own-1");
    REQUIRE(copy);
    CHECK(copy->id == "own-2");
    CHECK_FALSE(copy->rating);
    CHECK(copy->basis == FigureBasis::not_stated);
    remove_own<Bracket>(job, "own-1");
    CHECK(job.walls.front().shelves.front().bracket.empty());
    CHECK(std::ranges::count(job.catalogue.brackets, "own-1", &Bracket::id) == 0);
    const Catalogue before = job.catalogue;
    remove_own<Bracket>(job, shipped_catalogue().brackets.front().id);
    CHECK(job.catalogue == before); // what ships stays
    job.walls.front().shelves.front().fixing.all = ChosenFixing{std::nullopt, "own-1"};
    REQUIRE(copy_as_own<MasonryAnchor>(job.catalogue, "plug-brick-8"));
    remove_own<MasonryAnchor>(job, "own-1");
    CHECK_FALSE(job.walls.front().shelves.front().fixing.any());
}

TEST_CASE("a bracket's rating counts as its packet calls it", "[catalogue][verdict]") {
    Bracket bracket = oak_bracket();
    const auto used = [&](FigureBasis basis, bool pair) {
        bracket.basis = basis;
        bracket.rated_per_pair = pair;
        const ShelfPlan plan = shelf_plan(with_bracket(bracket));
        REQUIRE_FALSE(plan.brackets.empty());
        for (const Working& each : plan.workings)
            if (each.subject.find("rating") != std::string::npos) {
                std::vector<double> terms;
                for (const Term& term : each.terms)
                    terms.push_back(term.value.si);
                CHECK(redo(each.sum, terms).value() == Approx(each.result.si));
            }
        return plan.brackets.front().bracket_utilisation.number();
    };
    const double plain = used(FigureBasis::recommended, false);
    CHECK(plain > 0);
    CHECK(used(FigureBasis::recommended, true) == Approx(2 * plain));
    CHECK(used(FigureBasis::characteristic, false) == Approx(3.5 * plain));
    CHECK(used(FigureBasis::ultimate, false) == Approx(4 * plain));
    CHECK(used(FigureBasis::not_stated, true) == Approx(8 * plain));
    bracket.rating.reset();
    CHECK_FALSE(allowed_on(bracket));
}

TEST_CASE("a clip's rating on slotted uprights counts as its packet calls it too", "[catalogue][verdict]") {
    Bracket clip = oak_bracket();
    const auto used = [&] {
        Job job = with_bracket(clip);
        Shelf& shelf = job.walls.front().shelves.front();
        const std::string id = shelf.id;
        hang_as(shelf_preset("standards"), shelf, job.walls.front());
        shelf.id = id;
        shelf.bracket = clip.id;
        const ShelfPlan plan = shelf_plan(job);
        REQUIRE_FALSE(plan.brackets.empty());
        return plan.brackets.front().bracket_utilisation.number();
    };
    clip.basis = FigureBasis::recommended;
    const double each = used();
    CHECK(each > 0);
    clip.rated_per_pair = true;
    CHECK(used() == Approx(2 * each));
    clip.basis = FigureBasis::ultimate;
    CHECK(used() == Approx(8 * each));
}

TEST_CASE("a bracket that is marked through gives places on the line and no hole heights", "[catalogue][steps]") {
    Bracket bracket = oak_bracket();
    const auto steps_of_it = [&] {
        std::string words;
        for (const Step& step : shelf_plan(with_bracket(bracket)).steps)
            words += say(step.words, {}) + "\n";
        return words;
    };
    CHECK(steps_of_it().find("prick the wall through its own holes") == std::string::npos);
    bracket.marks_through = true;
    CHECK(steps_of_it().find("prick the wall through its own holes") != std::string::npos);
    const ShelfPlan plan = shelf_plan(with_bracket(bracket));
    CHECK(std::ranges::all_of(plan.holes, &PlannedHole::through_it));

    Shelf fixture = new_shelf(shelf_preset("fixture"), stud_wall());
    plate_in(fixture)->marks_through = true;
    const ShelfPlan held = shelf_plan(job_with(stud_wall(), fixture));
    std::string words;
    for (const Step& step : held.steps)
        words += say(step.words, {}) + "\n";
    CHECK(words.find("Hold it with its left end at") != std::string::npos);
    CHECK(words.find("Hole 1: mark it at") == std::string::npos);
}

TEST_CASE("a shelf of any depth from 80 to 800 mm finds a bracket that ships and suits it", "[catalogue]") {
    for (Length depth = 80_mm; depth <= 800_mm; depth += 5_mm) {
        Shelf shelf = new_shelf(shelf_preset("brackets"), stud_wall());
        shelf.depth = depth;
        const ShelfPlan plan = shelf_plan(job_with(stud_wall(), shelf));
        INFO(depth.in_mm() << " mm deep");
        REQUIRE(plan.bracket);
        CHECK_FALSE(find_check(plan, checks::arm_too_short));
        CHECK_FALSE(find_check(plan, checks::arm_too_long));
    }
}

TEST_CASE("every screw and anchor that ships passes the holes of a bracket that ships", "[catalogue]") {
    const Catalogue& shipped = shipped_catalogue();
    const Length widest = std::ranges::max(shipped.brackets, {}, &Bracket::hole_diameter).hole_diameter;
    for (const WoodScrew& screw : shipped.wood_screws)
        CHECK(Length::nearest_to_inches(properties(screw.gauge).diameter_in) <= widest);
    for (const MasonryAnchor& anchor : shipped.plugs)
        CHECK(anchor.screw_diameter <= widest);
    for (const Bracket& bracket : shipped.brackets) {
        INFO(bracket.name);
        CHECK(screw_for(shipped, TimberSchool::nds, bracket.hole_diameter));
        CHECK(screw_for(shipped, TimberSchool::en, bracket.hole_diameter));
        for (const Length drop : bracket.hole_drops)
            CHECK(drop + bracket.hole_diameter / 2 < bracket.leg);
    }
}

TEST_CASE("what is not in the van is not chosen", "[catalogue][choose]") {
    Shelf shelf = new_shelf(shelf_preset("brackets"), masonry_wall());
    Job job = job_with(masonry_wall(), shelf);
    const ShelfPlan all = shelf_plan(job);
    REQUIRE(all.bracket);
    REQUIRE(all.brackets.front().fixing);
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.at_hand = bracket.id != all.bracket->id;
    const std::string name = all.brackets.front().fixing->name;
    for (MasonryAnchor& anchor : job.catalogue.plugs)
        anchor.at_hand = anchor.name != name;
    const ShelfPlan without = shelf_plan(job);
    CHECK((!without.bracket || without.bracket->id != all.bracket->id));
    for (const BracketPlan& place : without.brackets)
        CHECK((!place.fixing || place.fixing->name != name));
}

TEST_CASE("a bracket is drawn with every measure that is asked, the asked one standing out, none on another",
          "[catalogue][drawing]") {
    for (const Bracket& bracket : shipped_catalogue().brackets)
        for (const char* asked : {"", "arm", "leg", "width", "thickness", "hole_drops", "hole_diameter"})
            for (const Unit unit : {Unit::mm, Unit::inch_16}) {
                const Drawing drawing = draw_bracket(bracket, asked, 120, 60, 3, {unit});
                INFO(bracket.name << ", " << asked);
                CHECK(collisions(drawing).empty());
                const auto bold = std::ranges::count_if(drawing.shapes, [](const Shape& shape) {
                    const Text* text = std::get_if<Text>(&shape.form);
                    return text && text->bold;
                });
                const std::string_view member = asked;
                CHECK(bold == (member.empty()           ? 0
                               : member == "hole_drops" ? static_cast<long>(bracket.hole_drops.size())
                                                        : 1));
            }
}
