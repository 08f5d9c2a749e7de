#include "core/job/file.hpp"
#include "core/job/schema.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/plan_json.hpp"
#include "core/sheets/summary.hpp"
#include "core/survey/hidden_wall.hpp"

#include <algorithm>
#include <catch2/catch.hpp>
#include <cmath>
#include <fstream>
#include <nlohmann/json.hpp>
#include <set>
#include <sstream>

using namespace yes_square;
using nlohmann::json;

namespace {

const std::string& demo_text() {
    static const std::string text = [] {
        std::ifstream file{YES_SQUARE_SOURCE_DIR "/assets/demo/harbour-lane.yesq"};
        std::ostringstream all;
        all << file.rdbuf();
        return all.str();
    }();
    return text;
}
Job demo() {
    return read_job(demo_text())->job;
}
constexpr std::size_t surveyed = 2;

} // namespace

TEST_CASE("a reading that cannot be is refused by the reader with its place, and by the schema", "[file][survey]") {
    struct Case {
        const char* pointer;
        json value;
        const char* place;
    };
    const Case cases[]{
        {"/walls/2/observations/0/kind", "hunch", "walls[2].observations[0].kind"},
        {"/walls/2/observations/0/x", -5, "walls[2].observations[0].x"},
        {"/walls/2/observations/4/error", 0, "walls[2].observations[4].error"},
        {"/walls/2/floor/0/down", "deep", "walls[2].floor[0].down"},
        {"/walls/2/floor/1/x", -1, "walls[2].floor[1].x"},
        {"/walls/2/ceiling/0/up", -1, "walls[2].ceiling[0].up"},
        {"/walls/2/face/0/gap", -1, "walls[2].face[0].gap"},
        {"/walls/2/face/0/z", -20, "walls[2].face[0].z"},
        {"/walls/2/widths/0/width", 0, "walls[2].widths[0].width"},
        {"/walls/2/corner/across", 0, "walls[2].corner.across"},
        {"/walls/2/scans/0/result", "maybe", "walls[2].scans[0].result"},
        {"/walls/2/scans/0/width", 0, "walls[2].scans[0].width"},
        {"/walls/2/trial_holes/0/depth", 0, "walls[2].trial_holes[0].depth"},
        {"/walls/2/trial_holes/0/layers/0/met", "gold", "walls[2].trial_holes[0].layers[0].met"},
        {"/walls/3/obstacles/0/kind", "dragon", "walls[3].obstacles[0].kind"},
        {"/walls/3/obstacles/0/clearance", -1, "walls[3].obstacles[0].clearance"},
        {"/walls/3/openings/0/trim", -1, "walls[3].openings[0].trim"},
        {"/walls/2/right_end", "cliff", "walls[2].right_end"},
        {"/rooms/1/floor_layers/0/thickness", 0, "rooms[1].floor_layers[0].thickness"},
        {"/instrument", "eye", "instrument"},
    };
    for (const auto& [pointer, value, place] : cases) {
        json document = json::parse(demo_text());
        document[json::json_pointer(pointer)] = value;
        INFO(pointer);
        const auto loaded = read_job(document.dump());
        REQUIRE_FALSE(loaded);
        CHECK(loaded.error().text().find(place) == 0);
        CHECK(schema_problem(document));
    }
}

TEST_CASE("rules of evidence that would make a reading certain or worse than none are refused", "[file][survey]") {
    for (const auto& [name, value] : {std::pair{"probe_false", 0.0}, {"probe_false", 0.5}, {"knock_right", 1.5}}) {
        json document = json::parse(demo_text());
        document["rules"]["studs"][name] = value;
        INFO(name << " " << value);
        CHECK_FALSE(read_job(document.dump()));
    }
}

TEST_CASE("edits of a wall change that wall alone, of one that is gone, nothing", "[job][survey]") {
    const Job before = demo();
    const Job higher = apply(SetWallHeight{"wall-3", 2390_mm}, before);
    CHECK(higher.walls[2].height == 2390_mm);
    CHECK(higher.walls[1] == before.walls[1]);
    const Job taken =
        apply(TakeBuildUp{"wall-3", Masonry{MasonryKind::brick}, {{LiningMaterial::plaster, 14_mm}}}, before);
    CHECK(std::holds_alternative<Masonry>(taken.walls[2].structure));
    CHECK(taken.walls[2].lining.size() == 1);
    CHECK(apply(SetWallHeight{"wall-99", 1_mm}, before) == before);
    CHECK(apply(DropReadingsOffWall{"wall-3"}, before) == before); // all its readings are on it
}

TEST_CASE("what changes about one wall reaches the walls it bears on, and no others", "[reckon][survey]") {
    Job job = demo();
    Reckoner reckoner;
    const auto first = reckoner.reckon(job).walls;
    // A lower floor elsewhere in the room is not the high point; nothing changes for the other walls.
    job.walls[3].floor.push_back({2000_mm, 1025_mm});
    const auto second = reckoner.reckon(job).walls;
    CHECK(second[3] != first[3]);
    CHECK(second[2] == first[2]);
    // A higher one is the datum of them all.
    job.walls[3].floor.push_back({2200_mm, 1001_mm});
    const auto third = reckoner.reckon(job).walls;
    CHECK(third[2] != second[2]);
    CHECK(third[2]->survey.floor.level_line != second[2]->survey.floor.level_line);
    CHECK(third[0] == first[0]); // another room
    // Moving a shelf keeps what was found out about its wall.
    job.walls[2].shelves[0].height += 10_mm;
    const auto fourth = reckoner.reckon(job).walls;
    REQUIRE(fourth[2]->survey.studs.size() == third[2]->survey.studs.size());
    CHECK(fourth[2]->survey.studs == third[2]->survey.studs);
    CHECK(reckon(job).walls[2]->survey.studs == fourth[2]->survey.studs);
}

TEST_CASE("the plan as JSON states the survey in SI, with workings and facts", "[sheets][survey]") {
    const Job job = demo();
    const Plan plan = reckon(job);
    const json document = json::parse(plan_json(job, plan, {}));
    const json& survey = document["walls"][surveyed]["survey"];
    const WallSurvey& reckoned = plan.walls[surveyed]->survey;
    REQUIRE(survey["studs"].size() == reckoned.studs.size());
    for (std::size_t i = 0; i < reckoned.studs.size(); ++i) {
        CHECK(survey["studs"][i]["x_m"] == Approx(reckoned.studs[i].centre.in_metres()));
        CHECK(survey["studs"][i]["probability"].get<double>() > 0.5);
        CHECK((survey["studs"][i]["state"] == "proved") == (reckoned.studs[i].state == StudState::proved));
    }
    CHECK(survey["level_line_m"] == Approx(0.995));
    CHECK(survey["floor"].size() == 9);
    CHECK(survey["packing"].size() == 18);
    CHECK(survey["least_width_m"] == Approx(3.193));
    CHECK(survey["right_corner_rad"].get<double>() == Approx(1.5750).margin(0.0005));
    CHECK(survey["checks"].size() == reckoned.checks.size());
    bool facts = false;
    for (const json& working : survey["workings"])
        facts = facts || working.contains("facts");
    CHECK(facts);
    CHECK(document["rooms"][1]["closed"] == true);
    CHECK(document["rooms"][1]["closing_error_m"].get<double>() <
          document["rooms"][1]["closing_limit_m"].get<double>());
    CHECK(document["walls"][surveyed]["shelves"][0]["marks"][0]["above_floor_now_m"].get<double>() >
          document["walls"][surveyed]["shelves"][0]["marks"][0]["z_m"].get<double>());
}

TEST_CASE("the summary and the list of checks name wall, room and shelf", "[sheets][survey]") {
    Job job = demo();
    job.walls[4].length += 400_mm;
    const Plan plan = reckon(job);
    const std::string checks = checks_text(job, plan, {});
    CHECK(checks.find("warning Map room: Drawn from its readings") != std::string::npos);
    CHECK(checks.find("note    Map wall: The floor falls") != std::string::npos);
    CHECK(checks.find("error   North wall, Low shelf: Bracket 2") != std::string::npos);
    const std::string whole = summary(job, plan, {});
    CHECK(whole.find("Map wall, survey") != std::string::npos);
    CHECK(whole.find("Stud 3, proved: its middle from the reference end: 1116 mm") != std::string::npos);
    // As many as were counted.
    CHECK(static_cast<std::size_t>(std::ranges::count(checks, '\n')) == count_checks(plan, Severity::error) +
                                                                            count_checks(plan, Severity::warning) +
                                                                            count_checks(plan, Severity::note));
    CHECK(all_checks(plan, job).size() == static_cast<std::size_t>(std::ranges::count(checks, '\n')));
}

TEST_CASE("every working of the survey has a title, a source and figures that fit its sum", "[reckon][survey]") {
    const Job job = demo();
    const Plan plan = reckon(job);
    std::set<std::string> subjects;
    for (const auto& wall : plan.walls)
        for (const Working& working : wall->survey.workings) {
            INFO(working.subject);
            CHECK_FALSE(say(working.title, {}).empty());
            CHECK(std::isfinite(working.result.si));
            subjects.insert(working.subject.substr(0, working.subject.find('/')));
            if (working.subject == "floor" || working.subject == "datum")
                CHECK(working.terms[0].value.si - working.terms[1].value.si == Approx(working.result.si).margin(1e-9));
            if (working.subject == "ceiling")
                CHECK(working.terms[0].value.si + working.terms[1].value.si == Approx(working.result.si).margin(1e-9));
            CHECK(sum_text(working, {}).find('{') == std::string::npos);
        }
    for (const char* subject : {"stud", "datum", "floor", "ceiling", "face", "width", "corner"})
        CHECK(subjects.contains(subject));
}

TEST_CASE("closing an edge by the advice takes no more probes than halving, and far fewer where it is known",
          "[survey]") {
    // A stud whose place is well known from its neighbours: its edges are a few mm uncertain, not a whole width.
    std::size_t advised = 0;
    std::size_t halved = 0;
    for (int shift = -6; shift <= 6; ++shift) {
        HiddenWall hidden;
        hidden.wall.length = 3600_mm;
        hidden.wall.height = 2400_mm;
        hidden.wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500)}};
        const Length third = 1812_mm + Length::mm(shift);
        hidden.studs = {{1000_mm, 38_mm}, {1406_mm, 38_mm}, {third, 38_mm}};
        std::vector<Observation> known;
        for (const Length centre : {1000_mm, 1406_mm})
            for (const auto& [off, kind] : {std::pair{-20_mm, EvidenceKind::probe_miss},
                                            {-18_mm, EvidenceKind::probe_hit},
                                            {Length{}, EvidenceKind::probe_hit},
                                            {18_mm, EvidenceKind::probe_hit},
                                            {20_mm, EvidenceKind::probe_miss}})
                known.push_back({kind, centre + off});
        std::mt19937_64 random{1};
        const Stretch stretch{1700_mm, 1950_mm};
        const ProbeSession session = probe_by_advice(hidden, stretch, 0, random, known);
        CHECK(std::ranges::any_of(session.proved, [&](const Stud& s) { return absolute(s.centre - third) < 2_mm; }));
        advised += session.holes;
        halved += probe_by_stepping(hidden, {1780_mm, 1845_mm}, 12_mm, 0, random).holes;
    }
    CHECK(advised < halved);
    CHECK(advised <= 13 * 9);
}

TEST_CASE("a stud told beside evidence counts as the readings it came from", "[survey]") {
    Wall wall;
    wall.length = 3600_mm;
    wall.height = 2400_mm;
    wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500)}};
    wall.studs = {{1000_mm, StudState::proved, Length::micrometres(600)},
                  {1406_mm, StudState::indicated, 5_mm},
                  {3000_mm, StudState::assumed, 15_mm}};
    wall.observations = {{EvidenceKind::nail_pop, 1815_mm}};
    const StudFindings findings = find_studs(wall, Framing{}, StudRules{});
    const auto at = [&](Length x) {
        const auto found = std::ranges::find_if(
            findings.studs, [&](const FoundStud& f) { return absolute(f.stud.centre - x) < 15_mm; });
        REQUIRE(found != findings.studs.end());
        return *found;
    };
    CHECK(at(1000_mm).stud.state == StudState::proved);
    CHECK(at(1406_mm).stud.state == StudState::indicated);
    CHECK(at(3000_mm).stud.state == StudState::assumed);
    CHECK(at(1812_mm).probability > 0.9); // both studs and the nail pop say so
    // Readings against a stud told are pointed out; it is not silently believed.
    for (const double x : {985.0, 992.0, 1000.0, 1008.0, 1015.0})
        wall.observations.push_back({EvidenceKind::probe_miss, Length::nearest_to_metres(x / 1e3)});
    const StudFindings doubted = find_studs(wall, Framing{}, StudRules{});
    CHECK(std::ranges::any_of(doubted.doubts, [](const Doubt& doubt) {
        return doubt.words.pattern.find("against the stud told") != std::string_view::npos;
    }));
    for (const FoundStud& found : doubted.studs)
        if (absolute(found.stud.centre - 1000_mm) < 15_mm)
            CHECK(found.stud.state == StudState::assumed); // so that nothing is hung on it
}
