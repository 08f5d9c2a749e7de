// What is beside a board: strips on the walls of an alcove, other boards that it meets or lies between.
#include "core/reckon/chosen.hpp"
#include "core/reckon/fixing_options.hpp"
#include "core/shelves/new_shelf.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "core/site/site_checks.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

TEST_CASE("side strips take the walls of the room as they were surveyed", "[shelves][kinds]") {
    Wall wall = masonry_wall();
    wall.length = 1000_mm;
    Job job = job_with(wall, new_shelf(shelf_preset("cleats"), wall));
    Wall left = stud_wall();
    left.id = "left";
    Wall right = masonry_wall(MasonryKind::aerated_block);
    right.id = "right";
    job.walls = {left, job.walls.front(), right};
    // Its studs every 400 mm: none is within 275 mm of the corner, so the strip on it holds nowhere.
    const ShelfPlan few = reckon(job).walls[1]->shelves.front();
    CHECK(find_check(few, checks::one_stud)->severity == Severity::error);
    CHECK_FALSE(few.cleats[0].fixing);
    job.walls[0].studs.push_back({3940_mm, StudState::proved, Length::micrometres(600), {}});
    job.walls[0].studs.push_back({3760_mm, StudState::assumed, Length::micrometres(600), {}});
    CHECK(find_check(reckon(job).walls[1]->shelves.front(), checks::one_stud)); // assumed does not count
    job.walls[0].studs.back().state = StudState::proved;
    const ShelfPlan plan = reckon(job).walls[1]->shelves.front();
    REQUIRE(plan.cleats.size() == 3);
    CHECK_FALSE(find_check(plan, checks::one_stud));
    CHECK_FALSE(find_check(plan, checks::cleat_wall_unknown));
    CHECK(plan.cleats[0].screws == 2);
    REQUIRE(plan.cleats[0].fixing);
    CHECK(plan.cleats[0].fixing->name.find("wood screw") != std::string::npos);
    REQUIRE(plan.cleats[1].fixing);
    CHECK(plan.cleats[1].fixing->name.find("plug") != std::string::npos);

    // A plug chosen for the shelf goes into brick and aerated block as far as it is for them; the strip on the studs
    // beside keeps its screw. That one is chosen for itself.
    Job chosen = job;
    chosen.walls[1].shelves.front().load.kind = LoadKind::display;
    const ShelfPlan light = reckon(chosen).walls[1]->shelves.front();
    REQUIRE(holds(light) != Holds::no);
    FixingChoices& fixing = chosen.walls[1].shelves.front().fixing;
    const auto plug = std::ranges::find(chosen.catalogue.plugs, light.cleats[2].fixing->name, &MasonryAnchor::name);
    REQUIRE(plug != chosen.catalogue.plugs.end());
    fixing.all = ChosenFixing{std::nullopt, plug->id};
    const auto name_at = [](const ShelfPlan& of, std::size_t strip) {
        return of.cleats[strip].fixing ? of.cleats[strip].fixing->name : std::string{};
    };
    const Plan whole = reckon(chosen);
    const ShelfPlan& by_plug = whole.walls[1]->shelves.front();
    CHECK(name_at(by_plug, 0) == name_at(light, 0));
    CHECK(name_at(by_plug, 2) == name_at(light, 2));
    const std::vector<FixingSpot> spots = fixing_spots(by_plug);
    const auto left_strip = std::ranges::find(spots, std::string{"left"}, &FixingSpot::unit);
    REQUIRE(left_strip != spots.end());
    CHECK(say(words(*left_strip, by_plug), {}) == "the strip on the wall at its left");
    CHECK(pull_on(*left_strip, by_plug) > 0);
    const auto options = fixing_options(chosen, whole, by_plug.id, *left_strip);
    CHECK(std::ranges::all_of(options, [](const FixingOption& option) { return option.as.gauge.has_value(); }));
    CHECK_FALSE(fixing_options(chosen, whole, by_plug.id).empty());
    const ChosenFixing ten{ScrewGauge::number_10};
    REQUIRE(std::ranges::any_of(options, [&](const FixingOption& option) { return option.as.like(ten); }));
    fixing.choose(*left_strip, ten);
    const ShelfPlan unlike = reckon(chosen).walls[1]->shelves.front();
    CHECK(name_at(unlike, 0) == properties(ScrewGauge::number_10).wood_screw_words);
    CHECK(name_at(unlike, 1) == name_at(by_plug, 1));
    CHECK(name_at(unlike, 2) == name_at(by_plug, 2));
    // A screw in block: said of that strip, and letting go of it mends it.
    fixing.choose({"right", 0, 0}, ten);
    const Job spoilt = chosen;
    const ShelfPlan fails = reckon(spoilt).walls[1]->shelves.front();
    const Check* said = find_check(fails, checks::fixing_by_hand_fails);
    REQUIRE(said);
    CHECK(say(said->message, {}).find("at its right") != std::string::npos);
    CHECK(find_check(fails, checks::no_fixing));
    REQUIRE(said->cures.front().edit);
    const ShelfPlan mended = reckon(apply(*said->cures.front().edit, spoilt)).walls[1]->shelves.front();
    CHECK_FALSE(find_check(mended, checks::no_fixing));
    CHECK(name_at(mended, 0) == name_at(unlike, 0));
}

TEST_CASE("of two boards that meet on a bracket the thinner is packed by what it lacks", "[shelves][kinds]") {
    Shelf thick = new_shelf(shelf_preset("brackets"), stud_wall());
    thick.id = "thick";
    thick.name = "Thick one";
    thick.left = 300_mm;
    thick.length = 1000_mm;
    thick.thickness = 25_mm;
    Shelf thin = thick;
    thin.id = "thin";
    thin.name = "Thin one";
    thin.left = 1300_mm;
    thin.thickness = 18_mm;
    const auto packed = [&](const Shelf& first, const Shelf& second, std::size_t which) {
        Job job = job_with(stud_wall(), first);
        job.walls.front().shelves.push_back(second);
        const std::vector<Step> steps = reckon(job).walls.front()->shelves[which].steps;
        const auto found = std::ranges::find_if(
            steps, [](const Step& step) { return say(step.words, {}).find("thinner") != std::string::npos; });
        return found == steps.end() ? std::string{} : say(found->words, {});
    };
    CHECK(packed(thick, thin, 1).starts_with("It meets Shelf at 1300 mm and is 7 mm thinner"));
    CHECK(packed(thick, thin, 0).empty());
    Shelf apart = thin;
    apart.left += 20_mm;
    CHECK(packed(thick, apart, 1).empty());
    Shelf lower = thin;
    lower.height -= 40_mm;
    CHECK(packed(thick, lower, 1).empty());
}

TEST_CASE("a loose board is cut short at either end, screwed to nothing, and may not lift", "[shelves][kinds]") {
    Shelf shelf = new_shelf(shelf_preset("brackets"), stud_wall());
    shelf.left = 500_mm;
    shelf.length = 1200_mm;
    const ShelfPlan screwed = shelf_plan(job_with(stud_wall(), shelf));
    shelf.loose = true;
    const Job job = job_with(stud_wall(), shelf);
    const ShelfPlan loose = shelf_plan(job);
    const Length play = job.rules.shelves.loose_play;
    REQUIRE(loose.pieces.size() == 1);
    CHECK(loose.pieces.front().left == 500_mm + play);
    CHECK(loose.pieces.front().back == 1200_mm - 2 * play);
    CHECK(screwed.shelf_screw);
    CHECK_FALSE(loose.shelf_screw);
    const auto told = [&](const char* words) {
        return std::ranges::any_of(
            loose.steps, [&](const Step& step) { return say(step.words, {}).find(words) != std::string::npos; });
    };
    CHECK(told("drop it in on pads"));
    CHECK_FALSE(told("Screw up through the arms"));
    const auto board = std::ranges::find_if(
        loose.parts, [](const CutPart& part) { return say(part.name, {}).starts_with("board of"); });
    REQUIRE(board != loose.parts.end());
    CHECK(say(board->mind, {}).find("measure between what it stands between") != std::string::npos);
    // Brackets far in from its ends: leaned on there it tips up, which two screws may hold and nothing does not.
    shelf.thickness = 30_mm;
    shelf.pins = {300_mm, 700_mm}; // in studs at 800 and 1200
    shelf.drilled = true;
    const Job tips = job_with(stud_wall(), shelf);
    const ShelfPlan tipping = shelf_plan(tips);
    const Check* lifts = find_check(tipping, checks::loose_lifts);
    REQUIRE(lifts);
    CHECK(lifts->severity == Severity::error);
    const auto cure = std::ranges::find_if(
        lifts->cures, [](const Cure& each) { return say(each.words, {}).starts_with("Screw it down") && each.edit; });
    REQUIRE(cure != lifts->cures.end());
    const Job mended = apply(*cure->edit, tips);
    CHECK_FALSE(mended.walls.front().shelves.front().loose);
    const ShelfPlan held = shelf_plan(mended);
    const Check* still = find_check(held, checks::pulls_up);
    CHECK((!still || still->severity != Severity::error));
}
