// Insert nuts in bare timber, that the fitter chooses.
#include "core/reckon/chosen.hpp"
#include "core/reckon/fixing_options.hpp"
#include "core/site/site_checks.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

TEST_CASE("an insert nut goes into bare timber alone, where the fitter says so, and bears what its packet says",
          "[chosen][insert]") {
    Wall bare = stud_wall();
    std::get<Framing>(bare.structure).open = true;
    const ChosenFixing nut{std::nullopt, "insert-nut-m6"};
    Job job = fixed_with(bare, nut);
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.hole_diameter = 7_mm;
    CHECK(goes_into(nut, bare, job.catalogue));
    CHECK_FALSE(goes_into(nut, stud_wall(), job.catalogue));
    CHECK_FALSE(goes_into(nut, masonry_wall(), job.catalogue));
    const auto entry = std::ranges::find(job.catalogue.plugs, nut.anchor, &MasonryAnchor::id);
    REQUIRE(entry != job.catalogue.plugs.end());
    const ShelfPlan plan = shelf_plan(job);
    REQUIRE_FALSE(names_in(plan).empty());
    CHECK(names_in(plan) == std::vector<std::string>{entry->name});
    for (const PlannedHole& hole : plan.holes) {
        REQUIRE(hole.fixing);
        const Fixing& fixing = *hole.fixing;
        CHECK(fixing.hole_diameter == entry->hole_diameter);
        CHECK(fixing.tension <= entry->tension);
        CHECK(fixing.shear <= entry->shear);
        // T / Ta + V / Va, and nothing more for a load that is soon gone.
        double worst = 0;
        for (const HoleDemand& demand : hole.demands)
            worst = std::max(worst, demand.tension / hole.strength.tension + demand.shear() / hole.strength.shear);
        CHECK(hole.utilisation.number() == Approx(worst));
        const Length inside = fixing.screw_length - job.walls.front().lining_thickness() - plan.bracket->thickness;
        CHECK(inside >= entry->embedment); // its screw fills the nut
    }
    CHECK(std::ranges::any_of(plan.steps, [](const Step& step) {
        return say(step.words, {}).find("turn each nut in flush") != std::string::npos;
    }));
    // Its packet is tested: a tenth of its figures does not do, and that is an error.
    for (MasonryAnchor& anchor : job.catalogue.plugs)
        if (anchor.id == nut.anchor)
            anchor.tension = anchor.shear = 5_n;
    CHECK(find_check(shelf_plan(job), checks::fixing_by_hand_fails));
    // A bore too near the edge of a slim stud holds nothing.
    Job slim = fixed_with(bare, nut);
    for (Bracket& bracket : slim.catalogue.brackets)
        bracket.hole_diameter = 7_mm;
    std::get<Framing>(slim.walls.front().structure).stud_width = 25_mm;
    CHECK(find_check(shelf_plan(slim), checks::fixing_by_hand_fails));
    // Through a hole that its machine screw does not pass it is not taken, and on a lined wall nobody offers it.
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.hole_diameter = 5_mm;
    CHECK(find_check(shelf_plan(job), checks::fixing_by_hand_fails));
    const Job lined = fixed_with(stud_wall(), {});
    const auto offered = fixing_options(lined, reckon(lined), lined.walls.front().shelves.front().id);
    CHECK(std::ranges::none_of(
        offered, [&](const FixingOption& option) { return option.as.anchor == nut.anchor && option.refused.empty(); }));
    // No wall of masonry takes one by itself, whatever it bears.
    Job brick = fixed_with(masonry_wall(), {});
    for (MasonryAnchor& anchor : brick.catalogue.plugs)
        if (anchor.in_timber())
            anchor.tension = anchor.shear = 50'000_n;
        else
            anchor.tension = anchor.shear = 1_n;
    for (const PlannedHole& hole : shelf_plan(brick).holes)
        CHECK((!hole.fixing || hole.fixing->name.find("nsert") == std::string::npos));
}
