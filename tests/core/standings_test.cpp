// How far each stage is, and whether a thing holds: said from the plan alone.
#include "../random_jobs.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/plan_json.hpp"
#include "core/stability/inventory.hpp"
#include "core/steps/standings.hpp"
#include "shelf_walls.hpp"

#include <catch2/catch.hpp>
#include <nlohmann/json.hpp>

using namespace yes_square;

namespace {

std::string said(const Standing& standing) {
    std::string words;
    for (const Sentence& each : standing.words)
        words += (words.empty() ? "" : ", ") + say(each, {});
    return words;
}

} // namespace

TEST_CASE("an empty job has everything before it", "[standings]") {
    const Job job = new_job();
    const Plan plan = reckon(job);
    for (const Standing& standing :
         {survey_standing(job, plan), lines_standing(job, plan), layout_standing(job, plan), fixings_standing(plan),
          cut_standing(job, plan), fit_standing(job, plan, job_order(job, plan)), record_standing(job)}) {
        CHECK(standing.progress == Progress::missing);
        CHECK_FALSE(said(standing).empty());
    }
}

TEST_CASE("a shelf on proved studs holds, and says so", "[standings]") {
    const Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    const Plan plan = reckon(job);
    CHECK(holds(plan.walls.front()->shelves.front()) == Holds::yes);
    CHECK(fixings_standing(plan).progress == Progress::done);
    CHECK(said(fixings_standing(plan)) == "1 thing holds");
    CHECK(said(layout_standing(job, plan)) == "1 shelf");
}

TEST_CASE("one whose bracket nobody has rated is not known to hold", "[standings]") {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    for (Bracket& bracket : job.catalogue.brackets)
        bracket.rating.reset();
    const Plan plan = reckon(job);
    CHECK(holds(plan.walls.front()->shelves.front()) == Holds::unknown);
    CHECK(said(fixings_standing(plan)) == "1 of 1 not known to hold");
}

TEST_CASE("a thing none of whose holes carries is not known to hold", "[standings]") {
    ThingPlan thing;
    CHECK(holds(thing) == Holds::yes); // it stands by itself
    thing.holes.emplace_back().substrate = Substrate::lining;
    CHECK(holds(thing) == Holds::unknown);
    PlannedHole& carried = thing.holes.emplace_back();
    carried.substrate = Substrate::proved_stud;
    carried.utilisation = Utilisation{0.5};
    CHECK(holds(thing) == Holds::yes);
    carried.utilisation = Utilisation{1.5};
    CHECK(holds(thing) == Holds::no);
}

TEST_CASE("one that counts on a stud nobody found does not hold", "[standings]") {
    Wall wall = stud_wall();
    for (Stud& stud : wall.studs)
        stud.state = StudState::assumed;
    const Plan plan = reckon(job_with(wall, new_shelf(shelf_preset("brackets"), wall)));
    CHECK(holds(plan.walls.front()->shelves.front()) == Holds::no);
    CHECK(fixings_standing(plan).progress == Progress::wrong);
}

TEST_CASE("nothing is promised, and nothing called held, of a thing that does not hold", "[standings][property]") {
    for (std::uint64_t seed = 1; seed <= 150; ++seed) {
        const Job job = RandomJobs{seed}.next();
        const Plan plan = reckon(job);
        const nlohmann::json told = nlohmann::json::parse(plan_json(job, plan, {}));
        INFO("seed " << seed);
        for (std::size_t w = 0; w < job.walls.size(); ++w)
            for (std::size_t s = 0; s < job.walls[w].shelves.size(); ++s) {
                const ShelfPlan& shelf = plan.walls[w]->shelves[s];
                CHECK(told["walls"][w]["shelves"][s]["holds"] == name(holds(shelf)));
                const auto holding = capacity(job, plan, shelf.id);
                if (holding && promise_of(job.walls[w].shelves[s], shelf, *holding).made)
                    CHECK(holds(shelf) == Holds::yes);
            }
        for (const InventoryRow& row : inventory(job, plan))
            for (const auto& wall : plan.walls)
                for_each_thing(*wall, [&](const ThingPlan& thing) {
                    if (row.wall == wall->wall_name && row.name == thing.name && row.verdict == PieceVerdict::held)
                        CHECK(holds(thing) != Holds::no);
                });
    }
}

TEST_CASE("the survey is done when what hangs has what it needs, and not before", "[standings]") {
    Wall wall = stud_wall();
    wall.studs[8].state = StudState::assumed; // at 3600, far from the shelf
    const auto standing = [&](const Wall& on, bool hangs) {
        Shelf shelf = new_shelf(shelf_preset("brackets"), stud_wall());
        shelf.left = 340_mm;
        shelf.length = 1200_mm;
        Job job = job_with(on, shelf);
        if (!hangs)
            job.walls.front().shelves.clear();
        return survey_standing(job, reckon(job));
    };
    CHECK(standing(wall, true).progress == Progress::done); // nobody needs the last one
    CHECK(standing(wall, false).progress == Progress::missing);
    for (Stud& stud : wall.studs)
        stud.state = StudState::indicated;
    const Standing open = standing(wall, true);
    CHECK(open.progress == Progress::missing);
    CHECK(said(open).find("studs to prove") != std::string::npos);
    CHECK(standing(masonry_wall(), true).progress == Progress::done);
    wall = stud_wall();
    wall.corner = CornerReading{300_mm, 400_mm, 720_mm, {}, {}}; // no triangle has such sides
    CHECK(standing(wall, true).progress == Progress::missing);
    CHECK(said(standing(wall, true)).find("1 reading in doubt") != std::string::npos);
}
