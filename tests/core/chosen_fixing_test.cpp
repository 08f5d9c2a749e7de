// Fixings that the fitter chooses in place of the program.
#include "../random_jobs.hpp"
#include "core/cutting/kit.hpp"
#include "core/job/file.hpp"
#include "core/reckon/chosen.hpp"
#include "core/reckon/crowding.hpp"
#include "core/reckon/fixing_options.hpp"
#include "core/sheets/fixing_words.hpp"
#include "core/site/site_checks.hpp"
#include "piece_walls.hpp"
#include "run_walls.hpp"
#include "shelf_walls.hpp"

using namespace yes_square;

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
            if constexpr (requires { thing.fixing.at; }) {
                thing.fixing.all = RandomJobs{seed + 7}.any_fixing(job.catalogue);
                thing.fixing.all->length = 65_mm;
                thing.fixing.choose(RandomJobs{seed}.any_spot(), RandomJobs{seed + 9}.any_fixing(job.catalogue));
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
            if constexpr (requires { thing.fixing.at; })
                thing.fixing = {chosen};
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
    rods.fixing.all = ChosenFixing{ScrewGauge::number_8};
    const ShelfPlan plan = shelf_plan(job_with(stud_wall(), rods));
    const Check* said = find_check(plan, checks::fixing_by_hand);
    REQUIRE(said);
    CHECK(say(said->message, {}).find("is not used") != std::string::npos);
    const Job job = job_with(stud_wall(), rods);
    CHECK(fixing_options(job, reckon(job), "shelf").empty());
}

TEST_CASE("a chest held by its own screws has nothing to choose, without them it has", "[chosen]") {
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

namespace {

Job with_row(Job job, const FixingSpot& where, ChosenFixing fixing) {
    job.walls.front().shelves.front().fixing.choose(where, std::move(fixing));
    return job;
}

const FixingSpot lower_row{{}, 0, 2};

} // namespace

TEST_CASE("rows that pull and rows that are pressed have unlike screws, each judged by its own", "[chosen]") {
    const Job plain = fixed_with(stud_wall(), {});
    const ShelfPlan before = shelf_plan(plain);
    REQUIRE(before.bracket->hole_drops.size() >= 2);
    const Job job = with_row(plain, lower_row, ChosenFixing{ScrewGauge::number_8});
    const ShelfPlan plan = shelf_plan(job);
    for (std::size_t i = 0; i < plan.holes.size(); ++i) {
        const PlannedHole& hole = plan.holes[i];
        INFO(say(hole.what, {}));
        REQUIRE(hole.fixing);
        const bool lower = hole.spot.row == 2;
        CHECK(hole.fixing->name ==
              (lower ? properties(ScrewGauge::number_8).wood_screw_words : before.holes[i].fixing->name));
        // Each is used to what its own strength says of its own loads.
        CHECK(hole.utilisation == utilisation_of(hole.fixing->strength(), hole.substrate, hole.demands));
        CHECK(
            (lower ? hole.utilisation > before.holes[i].utilisation : hole.utilisation == before.holes[i].utilisation));
    }
    // Bought, drilled, labelled and told as they are.
    std::size_t eights = 0;
    for (const KitLine& line : kit_of(job, reckon(job)).lines)
        if (say(line.name, {}).find(properties(ScrewGauge::number_8).wood_screw_words) != std::string::npos)
            eights += line.wanted;
    CHECK(eights == plan.brackets.size());
    const Voice voice;
    CHECK(std::ranges::count_if(plan.steps, [&](const Step& step) {
              return say(step.words, voice).find("Drill pilots") != std::string::npos;
          }) == 2);
}

TEST_CASE("the closest word of a fitter wins, and the last of those alike", "[chosen]") {
    FixingChoices choices{ChosenFixing{ScrewGauge::metric_4}};
    choices.choose({{}, 0, 2}, ChosenFixing{ScrewGauge::number_8});
    choices.choose({{}, 3, 0}, ChosenFixing{ScrewGauge::number_10});
    choices.choose({{}, 3, 1}, ChosenFixing{ScrewGauge::number_14});
    const auto gauge = [&](const FixingSpot& hole) { return *choices.of(hole)->gauge; };
    CHECK(gauge({{}, 1, 1}) == ScrewGauge::metric_4);
    CHECK(gauge({{}, 1, 2}) == ScrewGauge::number_8);
    CHECK(gauge({{}, 3, 2}) == ScrewGauge::number_10); // said after the row
    CHECK(gauge({{}, 3, 1}) == ScrewGauge::number_14);
    choices.choose({{}, 3, 1}, {});
    CHECK(gauge({{}, 3, 1}) == ScrewGauge::number_10);
    CHECK(choices.exactly({{}, 3, 1}) == nullptr);
}

TEST_CASE("a choice for one hole that will not do says which, and letting go of it is the cure", "[chosen][checks]") {
    const FixingSpot hole{{}, 2, 1}; // the first bracket is off the studs here
    const Job job = with_row(fixed_with(stud_wall(), {}), hole, ChosenFixing{ScrewGauge::coach_three_eighths});
    const ShelfPlan plan = shelf_plan(job);
    const Check* check = find_check(plan, checks::fixing_by_hand_fails);
    REQUIRE(check);
    CHECK(say(check->message, {}).find("place 2, row 1") != std::string::npos);
    CHECK(holds(plan) == Holds::no);
    REQUIRE(check->cures.front().edit);
    const Job healed = apply(*check->cures.front().edit, job);
    CHECK_FALSE(healed.walls.front().shelves.front().fixing.any());
    CHECK(stays_up(holds(shelf_plan(healed))));
}

TEST_CASE("what is said of a hole that is not there is said not to be used", "[chosen][checks]") {
    const Job job = with_row(fixed_with(stud_wall(), {}), {{}, 40, 0}, ChosenFixing{ScrewGauge::number_8});
    const ShelfPlan plan = shelf_plan(job);
    const Check* check = find_check(plan, checks::fixing_by_hand);
    REQUIRE(check);
    CHECK(say(check->message, {}).find("not used") != std::string::npos);
    CHECK(names_in(plan) == names_in(shelf_plan(fixed_with(stud_wall(), {}))));
}

TEST_CASE("every set of holes that is offered can be chosen for, and nothing else changes", "[chosen][property]") {
    std::size_t spots = 0;
    for (std::uint64_t seed = 1; seed <= 120; ++seed) {
        Job job = RandomJobs{seed}.next();
        for_each_thing(job.walls.front(), [&](auto& thing) {
            if constexpr (requires { thing.fixing.at; })
                thing.fixing = {};
        });
        std::vector<std::string> chosen_for_them;
        for_each_thing(job.walls.front(), [&](const auto& thing) {
            if constexpr (requires { thing.fixing.at; })
                chosen_for_them.push_back(thing.id);
        });
        const Plan plan = reckon(job);
        for_each_thing(*plan.walls.front(), [&](const ThingPlan& thing) {
            if (std::ranges::find(chosen_for_them, thing.id) == chosen_for_them.end())
                return;
            for (const FixingSpot& where : fixing_spots(thing)) {
                if (++spots % 3 != 0)
                    continue; // enough of them
                const ChosenFixing chosen = RandomJobs{seed}.any_fixing(job.catalogue);
                const Plan after = reckon(apply(ChooseFixing{thing.id, chosen, where}, job));
                for_each_thing(*after.walls.front(), [&](const ThingPlan& fixed) {
                    if (fixed.id != thing.id)
                        return;
                    INFO("seed " << seed << ", " << thing.name << ", " << say(words(where, thing), {}));
                    if (!fixed_with(fixed, where, chosen, job.catalogue)) {
                        // It does not go there: that is an error, unless nothing is screwed there at all.
                        const bool screwed = std::ranges::any_of(thing.holes, [&](const PlannedHole& hole) {
                            return where.covers(hole.spot) && !hole.spot.everywhere() && hole.fixing &&
                                   carries(hole.substrate) &&
                                   std::ranges::any_of(hole.demands, [](const HoleDemand& demand) {
                                       return demand.tension > 0 || demand.shear() > 0;
                                   }); // a base unit's only keep it where it stands
                        });
                        CHECK((!screwed || fixing_fails(fixed)));
                        return;
                    }
                    // Places of a shelf on brackets are fixed each by itself: there nothing else changes. Holes that
                    // are chosen for together may have another once the worst of them is taken out.
                    const auto& shelves = plan.walls.front()->shelves;
                    const auto shelf = std::ranges::find(shelves, thing.id, &ShelfPlan::id);
                    if (shelf == shelves.end() || !shelf->bracket || where.row > 0 ||
                        fixed.holes.size() != thing.holes.size())
                        return;
                    for (std::size_t i = 0; i < fixed.holes.size(); ++i)
                        if (const PlannedHole& hole = fixed.holes[i];
                            hole.fixing && (hole.spot.everywhere() || !where.covers(hole.spot)))
                            CHECK(hole.fixing->name == thing.holes[i].fixing->name);
                });
            }
        });
    }
    CHECK(spots > 500);
}

TEST_CASE("anchors nearer to one another or to an edge than their packet allows are errors that say by how much",
          "[chosen][checks][safety]") {
    Job job = fixed_with(masonry_wall(), {});
    const ShelfPlan plain = shelf_plan(job);
    REQUIRE(plain.holes.size() >= 4);
    const Length between = plain.holes[0].z - plain.holes[1].z; // of one leg
    for (MasonryAnchor& anchor : job.catalogue.plugs)
        anchor.apart = between;
    CHECK_FALSE(find_check(shelf_plan(job), checks::anchors_too_near)); // just as near as it may
    for (MasonryAnchor& anchor : job.catalogue.plugs)
        anchor.apart = between + 20_mm;
    const ShelfPlan crowded = shelf_plan(job);
    const Check* near = find_check(crowded, checks::anchors_too_near);
    REQUIRE(near);
    CHECK(near->amount->si == Approx(0.020));
    CHECK(holds(crowded) == Holds::no);
    // A door's edge, and the wall's own free end; a corner is no edge.
    Job edged = fixed_with(masonry_wall(), {});
    for (MasonryAnchor& anchor : edged.catalogue.plugs)
        anchor.edge = 100_mm;
    CHECK_FALSE(find_check(shelf_plan(edged), checks::anchor_near_edge));
    const Length first = plain.holes.front().x;
    Wall& wall = edged.walls.front();
    wall.left_end = WallEnd::open;
    edged = apply(MoveThing{"shelf", 60_mm - first, {}}, edged);
    const ShelfPlan at_end = shelf_plan(edged);
    const Check* edge = find_check(at_end, checks::anchor_near_edge);
    REQUIRE(edge);
    CHECK(edge->amount->si == Approx(0.040));
    edged.walls.front().left_end = WallEnd::corner;
    CHECK_FALSE(find_check(shelf_plan(edged), checks::anchor_near_edge));
    Job door = fixed_with(masonry_wall(), {});
    for (MasonryAnchor& anchor : door.catalogue.plugs)
        anchor.edge = 100_mm;
    Opening opening;
    opening.kind = OpeningKind::door;
    opening.left = plain.holes.back().x + 70_mm;
    opening.width = 800_mm;
    opening.bottom = {};
    opening.height = 2000_mm;
    door.walls.front().openings = {opening};
    const ShelfPlan beside = shelf_plan(door);
    REQUIRE(find_check(beside, checks::anchor_near_edge));
    CHECK(find_check(beside, checks::anchor_near_edge)->amount->si == Approx(0.030));
}

TEST_CASE("a unit's rails have unlike screws, and card and steps tell each row its own", "[chosen][runs]") {
    CabinetUnit unit = wall_unit("w1", 900_mm);
    Run run = run_of(RunLevel::wall, {unit});
    Job job = kitchen_with({run});
    job = apply(ChooseFixing{run.id, ChosenFixing{ScrewGauge::number_10}, {"w1", 0, 2}}, job);
    const RunPlan plan = reckon(job).walls.front()->runs.front();
    const UnitPlan& planned = plan.units.front();
    for (const PlannedHole& hole : planned.holes)
        CHECK((hole.fixing->name == properties(ScrewGauge::number_10).wood_screw_words) == (hole.row == 1));
    const auto words = words_of_fixings(planned.holes);
    REQUIRE(words.size() == 2);
    CHECK(say(words[0], {}).find("Row 1 from the top: ") == 0);
    CHECK(say(words[1], {}).find("Row 2 from the top: #10") == 0);
    for (const Step& step : plan.steps)
        if (say(step.words, {}).find("one screw in at the top") != std::string::npos)
            CHECK(say(step.words, {}).find("#10") == std::string::npos); // that is the lower rail's
    const std::vector<FixingSpot> spots = fixing_spots(plan);
    CHECK(std::ranges::find(spots, FixingSpot{{}, 0, 2}) != spots.end());
    CHECK(words_of_fixings({}).empty());
}

TEST_CASE("a chest, a wardrobe and a shelf on strips are fixed place by place and row by row", "[chosen]") {
    const std::string_view ten = properties(ScrewGauge::number_10).wood_screw_words; // the program takes #8
    const auto only = [&](const ThingPlan& before, const ThingPlan& after, const FixingSpot& where) {
        REQUIRE(before.holes.size() == after.holes.size());
        std::size_t there = 0;
        for (std::size_t i = 0; i < after.holes.size(); ++i) {
            const PlannedHole& hole = after.holes[i];
            INFO(say(hole.what, {}));
            REQUIRE(hole.fixing);
            REQUIRE_FALSE(hole.spot.everywhere());
            const bool meant = where.covers(hole.spot);
            there += meant;
            CHECK(hole.fixing->name == (meant ? ten : std::string_view{before.holes[i].fixing->name}));
            CHECK(hole.utilisation == utilisation_of(hole.strength, hole.substrate, hole.demands));
        }
        CHECK(there > 0);
        CHECK(there < after.holes.size());
        CHECK(before.holes.front().fixing->name != ten);
    };
    const auto tens_in = [&](const Job& job) {
        std::size_t number = 0;
        for (const KitLine& line : kit_of(job, reckon(job)).lines)
            if (say(line.name, {}).find(ten) != std::string::npos)
                number += line.wanted;
        return number;
    };

    Piece chest = dresser();
    chest.restraint.kind = RestraintKind::through_frame;
    chest.restraint.number = 2;
    const Job held = piece_job(chest);
    Job unlike = held;
    unlike.walls.front().pieces.front().fixing.choose({{}, 2, 0}, ChosenFixing{ScrewGauge::number_10});
    only(reckon(held).walls.front()->pieces.front(), reckon(unlike).walls.front()->pieces.front(), {{}, 2, 0});
    CHECK(tens_in(unlike) == 1);
    const std::vector<Step> steps = reckon(unlike).walls.front()->pieces.front().steps;
    CHECK(std::ranges::count_if(steps, [](const Step& step) {
              return say(step.words, {}).find("tape on the bit") != std::string::npos;
          }) == 2);

    const Job wardrobe = system_job(system_of({BayKind::long_hanging, BayKind::shelves}));
    const FixingSpot row{{}, 0, 2};
    Job rows = wardrobe;
    rows.walls.front().systems.front().fixing.choose(row, ChosenFixing{ScrewGauge::number_10});
    const SystemPlan before = system_plan(wardrobe);
    const SystemPlan after = system_plan(rows);
    only(before, after, row);
    CHECK(tens_in(rows) == static_cast<std::size_t>(std::ranges::count_if(
                               after.holes, [&](const PlannedHole& hole) { return hole.fixing->name == ten; })));

    Wall alcove = masonry_wall();
    Shelf shelf = new_shelf(shelf_preset("cleats"), alcove);
    const Job strips = job_with(alcove, shelf);
    const ShelfPlan plain = shelf_plan(strips);
    REQUIRE(plain.holes.size() > 2);
    const auto other = std::ranges::find_if(strips.catalogue.plugs, [&](const MasonryAnchor& anchor) {
        return anchor.substrate == MasonryKind::brick && anchor.name != plain.holes[1].fixing->name;
    });
    REQUIRE(other != strips.catalogue.plugs.end());
    ChosenFixing anchor;
    anchor.anchor = other->id;
    const ShelfPlan fixed = shelf_plan(with_row(strips, {{}, 2, 0}, anchor));
    for (std::size_t i = 0; i < fixed.holes.size(); ++i) {
        REQUIRE(fixed.holes[i].fixing);
        CHECK(fixed.holes[i].fixing->name == (i == 1 ? other->name : plain.holes[i].fixing->name));
    }
}
