// Holes in a unit's back and sides, cut before it goes up.
#include "core/job/file.hpp"
#include "core/runs/run_checks.hpp"
#include "core/sheets/run_layer.hpp"
#include "core/site/site_checks.hpp"
#include "run_walls.hpp"

#include <set>

using namespace yes_square;

namespace {

Run run_with(std::vector<PanelCutOut> cut_outs) {
    CabinetUnit unit = wall_unit("w1", 600_mm);
    unit.cut_outs = std::move(cut_outs);
    Run run = run_of(RunLevel::wall, {unit}, Slack::by_hand);
    run.left = 300_mm;
    return run;
}

const PanelCutOut duct{"duct", UnitPanel::back, 225_mm, 250_mm, 150_mm, 150_mm};

} // namespace

TEST_CASE("a hole in a back is cut before the unit is lifted, and told from its edges", "[runs][panel-cut]") {
    PanelCutOut pipe{"pipe", UnitPanel::right_side, 40_mm, 600_mm, 30_mm, 30_mm};
    const Job job = kitchen_with({run_with({duct, pipe})});
    const RunPlan plan = plan_of(job);
    CHECK(place_of(plan, "cut its back for duct: 150 mm wide, 150 mm high; from the front its left edge is 225 mm") <
          place_of(plan, "keep hold until it is in"));
    CHECK(place_of(plan, "cut its right side for pipe") < place_of(plan, "keep hold until it is in"));
    CHECK_FALSE(find_check(plan.checks, checks::panel_cut_off));
    CHECK_FALSE(find_check(plan.checks, checks::panel_cut_rail));
    const auto again = read_job(write_job(job));
    REQUIRE(again);
    CHECK(again->job == job);
}

TEST_CASE("on the card the hole lies as one sees it from behind, its edges told from both sides",
          "[runs][panel-cut][drawing]") {
    const Job job = kitchen_with({run_with({{"pipe", UnitPanel::back, 100_mm, 300_mm, 60_mm, 40_mm}})});
    const CabinetUnit& unit = job.walls.front().runs.front().units.front();
    const Drawing card = draw_back_card(unit, plan_of(job).units.front(), 120, 90, 3, {});
    const Rectangle* board = nullptr;
    const Rectangle* hole = nullptr;
    std::set<std::string> figures;
    for (const Shape& shape : card.shapes) {
        if (const auto* box = std::get_if<Rectangle>(&shape.form)) {
            if (!board)
                board = box;
            if (box->ink == Ink::hole)
                hole = box;
        }
        if (const auto* words = std::get_if<Text>(&shape.form))
            figures.insert(words->text);
    }
    REQUIRE(board);
    REQUIRE(hole);
    // 100 mm from the left side is 100 mm from the card's right edge.
    CHECK(board->at.x + board->width - (hole->at.x + hole->width) == Approx(board->width * 100 / 600));
    CHECK(hole->width == Approx(board->width * 60 / 600));
    for (const char* figure : {"100", "160", "500", "440", "300", "340"})
        CHECK(figures.contains(figure));
}

TEST_CASE("a hole beyond its panel, or through the rail that the unit hangs by, is an error",
          "[runs][panel-cut][checks]") {
    PanelCutOut wide = duct;
    wide.across = 500_mm; // 650 of 600
    const RunPlan beyond = plan_of(kitchen_with({run_with({wide})}));
    const Check* off = find_check(beyond.checks, checks::panel_cut_off);
    REQUIRE(off);
    CHECK(off->amount->si == Approx(0.050));
    PanelCutOut high = duct;
    high.down = 30_mm; // its rail lies 20 to 100 below the top
    const Job job = kitchen_with({run_with({high})});
    const RunPlan through = plan_of(job);
    const Check* rail = find_check(through.checks, checks::panel_cut_rail);
    REQUIRE(rail);
    CHECK(holds(through) == Holds::no);
    REQUIRE(rail->cures.front().edit);
    CHECK_FALSE(find_check(plan_of(apply(*rail->cures.front().edit, job)).checks, checks::panel_cut_rail));
    CabinetUnit base = base_unit("b1", 600_mm); // stands by itself
    base.cut_outs = {high};
    const RunPlan standing = plan_of(kitchen_with({run_of(RunLevel::floor, {base})}));
    REQUIRE(find_check(standing.checks, checks::panel_cut_rail));
    CHECK(find_check(standing.checks, checks::panel_cut_rail)->severity == Severity::warning);
    PanelCutOut just_under = duct;
    just_under.down = 100_mm;
    CHECK_FALSE(find_check(plan_of(kitchen_with({run_with({just_under})})).checks, checks::panel_cut_rail));
    PanelCutOut side = wide;
    side.panel = UnitPanel::left_side;
    side.across = 200_mm; // 350 of its depth of 320
    CHECK(find_check(plan_of(kitchen_with({run_with({side})})).checks, checks::panel_cut_off));
}

TEST_CASE("a unit over a socket has its back cut round it at a press, and says no more of it",
          "[runs][panel-cut][checks]") {
    Job job = kitchen_with({run_with({})});
    const UnitPlan unit = plan_of(job).units.front();
    ServicePoint socket;
    socket.centre = unit.place.left + 200_mm;
    socket.height = unit.bottom + 300_mm;
    job.walls.front().services.push_back(socket);
    const RunPlan over = plan_of(job);
    const Check* covered = find_check(over.checks, checks::over_service);
    REQUIRE(covered);
    REQUIRE(covered->cures.front().edit);
    const Job cut = apply(*covered->cures.front().edit, job);
    const PanelCutOut& hole = cut.walls.front().runs.front().units.front().cut_outs.front();
    CHECK(hole.width == 106_mm); // 86 and 10 all round
    CHECK(hole.across == 200_mm - 53_mm);
    CHECK_FALSE(find_check(plan_of(cut).checks, checks::over_service));
    // At the unit's very edge no such hole can be cut.
    job.walls.front().services.front().centre = unit.place.left + 20_mm;
    const RunPlan at_edge = plan_of(job);
    REQUIRE(find_check(at_edge.checks, checks::over_service));
    CHECK_FALSE(find_check(at_edge.checks, checks::over_service)->cures.front().edit);
}
