// Fixings that the fitter chooses in place of the program.
#include "../random_jobs.hpp"
#include "core/job/file.hpp"
#include "core/reckon/chosen.hpp"
#include "core/reckon/fixing_options.hpp"
#include "core/site/site_checks.hpp"
#include "piece_walls.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

namespace {

Job fixed_with(const Wall& wall, std::optional<ChosenFixing> fixing) {
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.length = 1200_mm;
    shelf.fixing = std::move(fixing);
    return job_with(wall, shelf);
}

std::vector<std::string> names_in(const ThingPlan& plan) {
    std::vector<std::string> names;
    for (const PlannedHole& hole : plan.holes)
        if (hole.fixing && std::ranges::find(names, hole.fixing->name) == names.end())
            names.push_back(hole.fixing->name);
    return names;
}

} // namespace

TEST_CASE("a thing is fixed with what the fitter chose, and says so", "[chosen]") {
    for (const ScrewGauge gauge : {ScrewGauge::number_8, ScrewGauge::number_10}) {
        const ShelfPlan plan = shelf_plan(fixed_with(stud_wall(), ChosenFixing{gauge}));
        CHECK(names_in(plan) == std::vector<std::string>{properties(gauge).wood_screw_words});
        const Check* said = find_check(plan, checks::fixing_by_hand);
        REQUIRE(said);
        CHECK(said->severity == Severity::note);
    }
    ChosenFixing long_one{ScrewGauge::number_8};
    long_one.length = 70_mm; // that no shop list has
    const ShelfPlan plan = shelf_plan(fixed_with(stud_wall(), long_one));
    REQUIRE(plan.brackets.front().fixing);
    CHECK(plan.brackets.front().fixing->screw_length == 70_mm);
    CHECK_FALSE(find_check(shelf_plan(fixed_with(stud_wall(), {})), checks::fixing_by_hand));
}

TEST_CASE("an anchor that wants a practised hand is taken where the fitter says so", "[chosen]") {
    const Job job = fixed_with(masonry_wall(), ChosenFixing{std::nullopt, "resin-brick-8"});
    Job coarse = job;
    for (Bracket& bracket : coarse.catalogue.brackets)
        bracket.hole_diameter = 10_mm;
    CHECK(coarse.rules.shelves.skill == Skill::everyday);
    REQUIRE_FALSE(names_in(shelf_plan(coarse)).empty());
    CHECK(names_in(shelf_plan(coarse)).front().find("esin") != std::string::npos);
}

TEST_CASE("what does not go there is an error, holds nothing, and the program's choice is the cure",
          "[chosen][checks]") {
    // A coach screw of 3/8 in passes no hole of this bracket; a plug holds nothing in a stud; a screw nothing in brick.
    const auto fails = [](const Job& job) {
        const ShelfPlan plan = shelf_plan(job);
        const Check* check = find_check(plan, checks::fixing_by_hand_fails);
        REQUIRE(check);
        CHECK(holds(plan) == Holds::no);
        REQUIRE(check->cures.front().edit);
        const ShelfPlan healed = shelf_plan(apply(*check->cures.front().edit, job));
        CHECK_FALSE(find_check(healed, checks::fixing_by_hand_fails));
        CHECK_FALSE(find_check(healed, checks::no_fixing));
    };
    fails(fixed_with(stud_wall(), ChosenFixing{ScrewGauge::coach_three_eighths}));
    fails(fixed_with(stud_wall(), ChosenFixing{std::nullopt, "plug-brick-8"}));
    fails(fixed_with(masonry_wall(), ChosenFixing{ScrewGauge::number_8}));
    fails(fixed_with(masonry_wall(), ChosenFixing{std::nullopt, "an anchor that was thrown away"}));
}

TEST_CASE("what was chosen is kept in the file of every kind of thing that has it", "[chosen][file]") {
    int kept_by = 0;
    for (std::uint64_t seed = 1; seed <= 120; ++seed) {
        Job job = RandomJobs{seed}.next();
        for_each_thing(job.walls.front(), [&](auto& thing) {
            if constexpr (requires { thing.fixing->gauge; }) {
                thing.fixing = RandomJobs{seed + 7}.any_fixing(job.catalogue);
                thing.fixing->length = 65_mm;
                ++kept_by;
            }
        });
        const auto again = read_job(write_job(job));
        REQUIRE(again);
        CHECK(again->job == job);
    }
    CHECK(kept_by > 100);
}

TEST_CASE("on any thing of a random job the fixing is the chosen one or none, and the verdict follows",
          "[chosen][property]") {
    int fixed = 0;
    int failed = 0;
    for (std::uint64_t seed = 1; seed <= 300; ++seed) {
        Job job = RandomJobs{seed}.next();
        const ChosenFixing chosen = RandomJobs{seed}.any_fixing(job.catalogue);
        for_each_thing(job.walls.front(), [&](auto& thing) {
            if constexpr (requires { thing.fixing->gauge; })
                thing.fixing = chosen;
        });
        const std::string name = name_of(chosen, job.catalogue);
        const Plan plan = reckon(job);
        for_each_kind(Things{}, [&]<class Kind>() {
            const auto& things = job.walls.front().*parts_of<Kind>;
            for (std::size_t i = 0; i < things.size(); ++i) {
                if (!chosen_for(things[i]))
                    continue;
                const ThingPlan& planned = ((*plan.walls.front()).*plans_of<Kind>)[i];
                INFO("seed " << seed << ", " << planned.name << ", " << name);
                for (const PlannedHole& hole : planned.holes) {
                    // Rods and hangers are fixed as their maker says, a piece with the screw that came with it.
                    if (!hole.fixing || hole.substrate == Substrate::joist)
                        continue;
                    if constexpr (std::is_same_v<Kind, Piece>)
                        if (things[i].restraint.gauge)
                            continue;
                    if constexpr (std::is_same_v<Kind, Shelf>)
                        if (std::holds_alternative<OnHiddenRods>(things[i].holding))
                            continue;
                    ++fixed;
                    CHECK(hole.fixing->name == name);
                    if (hole.utilisation.over())
                        CHECK(holds(planned) == Holds::no);
                }
                const bool fails = fixing_fails(planned);
                failed += fails ? 1 : 0;
                CHECK(fails == std::ranges::any_of(planned.checks, [](const Check& check) {
                          return check.code == checks::fixing_by_hand_fails;
                      }));
            }
        });
    }
    CHECK(fixed > 100);
    CHECK(failed > 20);
}

TEST_CASE("what is offered as doing does, for whatever thing it is chosen", "[chosen][property]") {
    int offered = 0;
    int refused = 0;
    for (std::uint64_t seed = 1; seed <= 60; ++seed) {
        const Job job = RandomJobs{seed}.next();
        const Plan plan = reckon(job);
        for_each_thing(*plan.walls.front(), [&](const ThingPlan& thing) {
            bool was_refused = false;
            for (const FixingOption& option : fixing_options(job, plan, thing.id)) {
                INFO("seed " << seed << ", " << thing.name << ", " << option.choice.fixing.name);
                CHECK((!was_refused || !option.refused.empty())); // those that will do come first
                was_refused = !option.refused.empty();
                (was_refused ? refused : offered) += 1;
                if (was_refused || (!option.as.gauge && option.as.anchor.empty()))
                    continue;
                const Plan taken = reckon(apply(ChooseFixing{thing.id, option.as}, job));
                for_each_thing(*taken.walls.front(), [&](const ThingPlan& after) {
                    if (after.id != thing.id)
                        return;
                    CHECK_FALSE(fixing_fails(after));
                    for (const PlannedHole& hole : after.holes)
                        CHECK((!hole.fixing || hole.substrate == Substrate::joist || !hole.utilisation.over()));
                });
            }
        });
    }
    CHECK(offered > 50);
    CHECK(refused > 50);
}

TEST_CASE("what is not used though it was chosen is not said to hold anything", "[chosen]") {
    Shelf rods = new_shelf(shelf_preset("hidden_rods"), stud_wall());
    rods.fixing = ChosenFixing{ScrewGauge::number_8};
    const ShelfPlan plan = shelf_plan(job_with(stud_wall(), rods));
    const Check* said = find_check(plan, checks::fixing_by_hand);
    REQUIRE(said);
    CHECK(say(said->message, {}).find("is not used") != std::string::npos);
    const Job job = job_with(stud_wall(), rods);
    CHECK(fixing_options(job, reckon(job), "shelf").empty());
}

TEST_CASE("a chest held by its own screws has nothing to choose; without them it has", "[chosen]") {
    Piece chest = dresser();
    chest.restraint.kind = RestraintKind::through_frame;
    const Job job = piece_job(chest);
    const auto options = fixing_options(job, reckon(job), chest.id);
    REQUIRE_FALSE(options.empty());
    CHECK(options.front().refused.empty());
    CHECK(fixing_options(job, reckon(job), "nothing").empty());
    chest.restraint.gauge = ScrewGauge::number_10;
    chest.restraint.screw_length = 70_mm;
    const Job own = piece_job(chest);
    CHECK(std::ranges::all_of(fixing_options(own, reckon(own), chest.id),
                              [](const FixingOption& option) { return option.as.gauge == ScrewGauge::number_10; }));
}
