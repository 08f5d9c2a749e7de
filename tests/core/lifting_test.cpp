#include "core/site/lifting.hpp"
#include "core/steps/job_order.hpp"
#include "piece_walls.hpp"
#include "run_walls.hpp"

using namespace yes_square;

namespace {

const RunRules rules; // 16 kg close at knuckle height, 7 kg above the shoulder at 1400

std::string said(const Lift& lift) {
    std::string all;
    for (const Sentence& each : lift_words(lift))
        all += say(each, {}) + "\n";
    return all;
}

} // namespace

TEST_CASE("most that one lifts, by height and reach: the HSE lifting filter", "[lifting][reference]") {
    // INDG143 (from memory), women: 16 kg close at knuckle height and 10 far, 13 and 7 from elbow to shoulder, 7 and 3
    // above. Men: 25 and 15, 20 and 10, 10 and 5. Between knuckle and shoulder the lesser share is taken.
    CHECK(lift_of(1_kg, 700_mm, 700_mm, false, rules).alone == Approx(16));
    CHECK(lift_of(1_kg, 700_mm, 700_mm, true, rules).alone <= Mass::kg(10));
    CHECK(lift_of(1_kg, 1200_mm, 1200_mm, false, rules).alone <= Mass::kg(13));
    CHECK(lift_of(1_kg, 1200_mm, 1200_mm, true, rules).alone <= Mass::kg(7));
    CHECK(lift_of(1_kg, 1500_mm, 1500_mm, false, rules).alone == Approx(7));
    CHECK(lift_of(1_kg, 1500_mm, 1500_mm, true, rules).alone == Approx(3));
    RunRules men;
    men.lift_alone = 10_kg;
    men.lift_floor_alone = 25_kg;
    CHECK(lift_of(1_kg, 700_mm, 700_mm, false, men).alone == Approx(25));
    CHECK(lift_of(1_kg, 700_mm, 700_mm, true, men).alone == Approx(15));
    CHECK(lift_of(1_kg, 1200_mm, 1200_mm, false, men).alone == Approx(20));
    CHECK(lift_of(1_kg, 1200_mm, 1200_mm, true, men).alone == Approx(10));
    CHECK(lift_of(1_kg, 1500_mm, 1500_mm, true, men).alone <= Mass::kg(5));
    // Higher or farther is never more.
    for (const bool far : {false, true})
        for (int z = 0; z < 2500; z += 50)
            CHECK(lift_of(1_kg, Length::mm(z + 50), {}, far, rules).alone <=
                  lift_of(1_kg, Length::mm(z), {}, far, rules).alone);
}

TEST_CASE("two thirds of two, a jack for more, a step and a tower for hands that go high", "[lifting]") {
    const Lift two = lift_of(9_kg, 1500_mm, 1850_mm, false, rules);
    CHECK(two.persons() == 2);
    CHECK(two.by_two == Approx(7 * 4.0 / 3));
    CHECK_FALSE(two.borne());
    CHECK(said(two).find("for two: one alone lifts 7.0 kg") != std::string::npos);
    CHECK(said(two).find("step") == std::string::npos);

    const Lift jack = lift_of(18_kg, 1450_mm, 2150_mm, false, rules);
    CHECK(jack.borne());
    CHECK(said(jack).find("a jack, a ledger or a prop bears it") != std::string::npos);
    CHECK(said(jack).find("Hands go to 2150 mm: a step with a platform") != std::string::npos);
    CHECK(said(lift_of(2_kg, 2600_mm, 2900_mm, false, rules)).find("tower") != std::string::npos);
    CHECK(said(lift_of(5_kg, 900_mm, 900_mm, false, rules)).empty());
    CHECK(said(lift_of(5_kg, 1500_mm, 1600_mm, true, rules)).find("arm's length") != std::string::npos);
}

TEST_CASE("what is lifted says so in its steps, its cautions, and by the hands it takes", "[lifting][steps]") {
    // A fixture of 20 kg at 1.5 m: more than two hold above the shoulder.
    Shelf fixture = new_shelf(shelf_preset("fixture"), stud_wall());
    fixture.height = 2000_mm;
    fixture.thickness = 500_mm;
    Job job = job_with(stud_wall(), fixture);
    const Plan plan = reckon(job);
    const ShelfPlan& shelf = plan.walls.front()->shelves.front();
    const auto lifted = std::ranges::find_if(shelf.steps, [](const Step& step) { return step.lift.has_value(); });
    REQUIRE(lifted != shelf.steps.end());
    CHECK(lifted->persons == 2);
    CHECK(lifted->lift->mass == Approx(20));
    CHECK(lifted->lift->to == 1750_mm); // held about its middle
    CHECK(lifted->lift->work_up == 2000_mm);
    CHECK(lifted->lift->borne());
    const JobOrder order = job_order(job, plan);
    const auto task = std::ranges::find_if(order.tasks, [](const Task& each) { return each.step.lift.has_value(); });
    REQUIRE(task != order.tasks.end());
    CHECK(task->wants_helper);
    CHECK(std::ranges::any_of(task->cautions, [](const Sentence& each) {
        return say(each, {}).find("hands only steady it") != std::string::npos;
    }));
    // A light board low down is one person's.
    Shelf low = new_shelf(shelf_preset("brackets"), stud_wall());
    low.height = 900_mm;
    for (const Step& step : shelf_plan(job_with(stud_wall(), low)).steps)
        if (step.lift)
            CHECK(step.persons == 1);
}

TEST_CASE("a worktop is lifted at arm's length over its units, and weighs what it is", "[lifting][runs]") {
    // 1.2 m of 580 by 38 mm at 700 kg/m3 are 18.5 kg: more than one holds out before him.
    Job job = kitchen_with({run_of(RunLevel::floor, {base_unit("a", 600_mm), base_unit("b", 600_mm)})});
    const RunPlan plan = reckon(job).walls.front()->runs.front();
    const auto top = std::ranges::find(plan.pieces, RunPiece::What::worktop, &RunPiece::what);
    REQUIRE(top != plan.pieces.end());
    CHECK(top->mass == Approx(1.2 * 0.58 * 0.038 * 700));
    const auto laid = std::ranges::find_if(
        plan.steps, [](const Step& step) { return say(step.words, {}).find("worktop in") != std::string::npos; });
    REQUIRE(laid != plan.steps.end());
    REQUIRE(laid->lift);
    CHECK(laid->lift->at_arms_length);
    CHECK(laid->persons == 2);
}
