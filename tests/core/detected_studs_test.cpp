// Studs whose two edges a detector gave. Where nobody may probe (tile, a papered wall) they are what there is: shelves
// hang on them with the first pilot hole as proof, what may tip or fall on somebody waits for that hole.
#include "core/site/site_checks.hpp"
#include "core/site/strip_checks.hpp"
#include "core/survey/find_studs.hpp"
#include "piece_walls.hpp"
#include "run_walls.hpp"

#include <cmath>

using namespace yes_square;

namespace {

/// The wall of studs with nothing told, each found by both its edges to so much.
Wall scanned_wall(Length error = 3_mm) {
    Wall wall = stud_wall();
    wall.studs.clear();
    for (int i = 1; i < 10; ++i) {
        wall.observations.push_back({EvidenceKind::detector_left_edge, Length::mm(400 * i - 19), {}, error});
        wall.observations.push_back({EvidenceKind::detector_right_edge, Length::mm(400 * i + 19), {}, error});
    }
    return wall;
}

StudFindings find(const Wall& wall) {
    return find_studs(wall, std::get<Framing>(wall.structure), StudRules{});
}

const Stud* at(const StudFindings& found, Length x) {
    for (const FoundStud& stud : found.studs)
        if (absolute(stud.stud.centre - x) < 19_mm)
            return &stud.stud;
    return nullptr;
}

Shelf some_shelf() {
    return new_shelf(shelf_preset("brackets"), stud_wall());
}

bool says(const ThingPlan& thing, CheckCode code) {
    return std::ranges::find(thing.checks, code, &Check::code) != thing.checks.end();
}

} // namespace

TEST_CASE("both edges by a detector, a stud's width apart, are a detected stud, its middle is better known than they",
          "[studs][detected]") {
    // Edges good to 3 mm 95 times in 100: s = 3 / (2 sqrt 2) of the middle. No detector is better than 1 mm.
    const StudFindings found = find(scanned_wall());
    for (int i = 1; i < 10; ++i) {
        const Stud* stud = at(found, Length::mm(400 * i));
        REQUIRE(stud);
        CHECK(stud->state == StudState::detected);
        CHECK(stud->centre == Length::mm(400 * i));
        CHECK(stud->uncertainty.in_mm() == Approx(3 / (2 * std::sqrt(2.0))).margin(0.01));
    }
    CHECK(at(find(scanned_wall(1_mm)), 800_mm)->uncertainty == 1_mm);
    CHECK(at(find(scanned_wall(10_mm)), 800_mm)->uncertainty.in_mm() == Approx(10 / (2 * std::sqrt(2.0))).margin(0.01));
}

TEST_CASE("edges too far apart for one plain stud are doubted, one edge alone is no stud found", "[studs][detected]") {
    Wall wall = scanned_wall();
    wall.observations[1].x += 12_mm; // 50 mm wide, its edges good to 3 mm
    const StudFindings found = find(wall);
    const Stud* stud = at(found, 406_mm);
    CHECK((!stud || stud->state != StudState::detected));
    CHECK(std::ranges::any_of(found.doubts, [](const Doubt& doubt) { return absolute(doubt.x - 406_mm) < 3_mm; }));
    Wall half = scanned_wall();
    half.observations.resize(1);
    const Stud* lone = at(find(half), 400_mm);
    CHECK((!lone || lone->state != StudState::detected));
}

TEST_CASE("the first pilot hole proves a detected stud, or says that there is none", "[studs][detected]") {
    Wall wall = scanned_wall();
    wall.observations.push_back({EvidenceKind::probe_hit, 803_mm});
    CHECK(at(find(wall), 800_mm)->state == StudState::proved);
    CHECK(at(find(wall), 1200_mm)->state == StudState::detected);
    wall.observations.back() = {EvidenceKind::probe_miss, 803_mm};
    const StudFindings missed = find(wall);
    const Stud* stud = at(missed, 800_mm);
    CHECK((!stud || stud->state == StudState::assumed));
    SECTION("holes that contradict one another prove nothing, whichever comes first") {
        for (const auto& [hit, miss] : {std::pair{805_mm, 796_mm}, std::pair{796_mm, 805_mm}}) {
            Wall both = scanned_wall();
            both.observations.push_back({EvidenceKind::probe_hit, hit});
            both.observations.push_back({EvidenceKind::probe_miss, miss});
            const StudFindings unsure = find(both);
            const Stud* disputed = at(unsure, 800_mm);
            CHECK((!disputed || disputed->state == StudState::assumed));
        }
    }
    SECTION("told as detected likewise") {
        Wall told = stud_wall();
        for (Stud& each : told.studs)
            each.state = StudState::detected;
        told.observations = {{EvidenceKind::probe_hit, 800_mm}, {EvidenceKind::probe_miss, 1200_mm}};
        const StudFindings read = find(told);
        CHECK(at(read, 800_mm)->state == StudState::proved);
        CHECK(at(read, 1600_mm)->state == StudState::detected);
        const Stud* none = at(read, 1200_mm);
        CHECK((!none || none->state == StudState::assumed));
    }
}

TEST_CASE("a shelf hangs on detected studs, and drills the proof first", "[studs][detected][shelves]") {
    const Wall wall = scanned_wall();
    const ShelfPlan plan = shelf_plan(job_with(wall, some_shelf()));
    REQUIRE_FALSE(plan.brackets.empty());
    CHECK(std::ranges::any_of(plan.brackets,
                              [](const BracketPlan& place) { return place.substrate == Substrate::detected_stud; }));
    CHECK(find_check(plan, checks::stud_detected));
    CHECK_FALSE(find_check(plan, checks::stud_indicated));
    CHECK(holds(plan) == Holds::yes);
    const auto drill = std::ranges::find(plan.steps, Phase::drill, &Step::phase);
    REQUIRE(drill != plan.steps.end());
    CHECK(drill->hold_point);
    CHECK(drill->words.pattern.find("pilot") != std::string_view::npos);
    // By proved studs there is nothing to prove.
    const ShelfPlan proved = shelf_plan(job_with(stud_wall(), some_shelf()));
    CHECK_FALSE(find_check(proved, checks::stud_detected));
    CHECK(std::ranges::find(proved.steps, Phase::drill, &Step::phase)->words.pattern.find("pilot hole in it first") ==
          std::string_view::npos);
    SECTION("edges known too loosely leave no room for a screw") {
        CHECK(holds(shelf_plan(job_with(scanned_wall(14_mm), some_shelf()))) != Holds::yes);
    }
}

TEST_CASE("a wall cabinet waits for the pilot hole, and holds once it has met wood", "[studs][detected][runs]") {
    Job job = kitchen_with({run_of(RunLevel::wall, {wall_unit("a", 900_mm)})});
    Wall& wall = job.walls.front();
    wall.structure = Framing{};
    wall.studs.clear();
    wall.observations.clear();
    wall.lining = stud_wall().lining;
    for (int i = 1; i * 400 < wall.length.in_mm(); ++i)
        wall.studs.push_back({Length::mm(400 * i), StudState::detected, 1_mm, {}});
    const RunPlan waits = reckon(job).walls.front()->runs.front();
    CHECK(says(waits, checks::pilot_first));
    CHECK(holds(waits) != Holds::yes);
    for (const Stud& stud : wall.studs)
        wall.observations.push_back({EvidenceKind::probe_hit, stud.centre});
    const RunPlan drilled = reckon(job).walls.front()->runs.front();
    CHECK_FALSE(says(drilled, checks::pilot_first));
}

TEST_CASE("nothing that may tip is held by a stud that only a detector found", "[studs][detected][stability][safety]") {
    Piece chest = dresser();
    chest.restraint.kind = RestraintKind::through_frame;
    Job job = piece_job(chest, scanned_wall());
    CHECK(reckon(job).walls.front()->pieces.front().verdict == PieceVerdict::unsafe);
    Wall& wall = job.walls.front();
    for (int i = 1; i < 10; ++i)
        wall.observations.push_back({EvidenceKind::probe_hit, Length::mm(400 * i)});
    CHECK(reckon(job).walls.front()->pieces.front().verdict == PieceVerdict::held);
}
