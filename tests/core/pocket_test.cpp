// A job on a phone: what its sheet says, and what comes back.
#include "core/fitting/as_found.hpp"
#include "core/pocket/pocket_sheet.hpp"
#include "core/pocket/take_pocket.hpp"
#include "core/steps/job_order.hpp"
#include "shelf_walls.hpp"

#include <fmt/format.h>
#include <nlohmann/json.hpp>

using namespace yes_square;
using nlohmann::json;

namespace {

constexpr const char* noon = "2026-03-05T12:00:00Z";

Job shelf_job(const Wall& wall) {
    Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
    shelf.length = 1200_mm;
    return job_with(wall, shelf);
}

json given() {
    return {{"format", "yes-square pocket"}, {"version", 1},           {"job", "A job"},           {"by", "Ada"},
            {"ticks", json::array()},        {"notes", json::array()}, {"readings", json::array()}};
}

std::vector<WallPass> walk_of(const Job& job) {
    const Plan plan = reckon(job);
    return walk_wall(*plan.walls.front(), job.rules.fitting);
}

std::string problem_of(const json& file) {
    Job job = shelf_job(stud_wall());
    const Job before = job;
    const auto taken = take_pocket(job, reckon(job), file.dump());
    REQUIRE_FALSE(taken);
    CHECK(job == before);
    return taken.error();
}

} // namespace

TEST_CASE("a pocket sheet has every mark, every step and the gate before the first hole", "[pocket]") {
    Job job = shelf_job(stud_wall());
    job.title = "Shelf <1> & \"2\"";
    const Plan plan = reckon(job);
    const std::string page = pocket_sheet(job, plan, {job.unit, {}});
    CHECK(page.find("Shelf &lt;1&gt; &amp; &quot;2&quot;") != std::string::npos);
    CHECK(page.find("Shelf <1>") == std::string::npos);
    std::size_t keys = 0;
    for (std::size_t at = 0; (at = page.find("data-key=", at)) != std::string::npos; ++at)
        ++keys;
    std::size_t wanted = job_order(job, plan).tasks.size();
    for (const WallPass& pass : walk_of(job)) {
        wanted += pass.marks.size();
        for (const WallMark& mark : pass.marks)
            CHECK(page.find("data-key=\"" + tick_key(mark, pass) + "\"") != std::string::npos);
    }
    CHECK(keys == wanted);
    const std::size_t gate = page.find("fieldset class=\"gate\"");
    REQUIRE(gate != std::string::npos);
    CHECK(gate > page.find("/mark\""));
    CHECK(gate < page.find("/drill "));
    // Nothing is fetched: the one address is the name that every SVG bears.
    constexpr std::string_view name_of_svg = "http://www.w3.org/2000/svg";
    for (std::size_t at = 0; (at = page.find("http", at)) != std::string::npos; at += name_of_svg.size())
        CHECK(page.compare(at, name_of_svg.size(), name_of_svg) == 0);
}

TEST_CASE("ticks come back as if they were made at the wall, once", "[pocket]") {
    Job job = shelf_job(stud_wall());
    const Plan plan = reckon(job);
    json file = given();
    std::size_t holes = 0;
    for (const WallPass& pass : walk_of(job))
        for (const WallMark& mark : pass.marks) {
            file["ticks"].push_back({{"key", tick_key(mark, pass)}, {"at", noon}});
            holes += pass.drill && mark.passes.size() == 1;
        }
    file["notes"].push_back({{"wall", job.walls.front().id}, {"words", "Loose plaster"}, {"at", noon}});
    file["readings"].push_back({{"item", job.walls.front().shelves.front().id},
                                {"kind", "level"},
                                {"off_at", "right"},
                                {"off", "2.5"},
                                {"over", "1.2 m"},
                                {"at", noon}});
    const auto taken = take_pocket(job, plan, file.dump());
    REQUIRE(taken);
    CHECK(taken->ticks == file["ticks"].size());
    CHECK(taken->holes == job.walls.front().made.size());
    CHECK(taken->holes >= holes);
    CHECK(taken->holes > 0);
    CHECK(taken->gone == 0);
    REQUIRE(job.walls.front().work_readings.size() == 1);
    CHECK(job.walls.front().work_readings.front().off == Length::micrometres(2500));
    CHECK(job.walls.front().work_readings.front().over == 1200_mm);
    CHECK(job.log.back().words == "Loose plaster");
    CHECK(job.log.back().by == "Ada");

    const Job after = job;
    const auto again = take_pocket(job, reckon(job), file.dump());
    REQUIRE(again);
    CHECK(again->ticks + again->holes + again->notes + again->readings + again->gone == 0);
    CHECK(job == after);
}

TEST_CASE("a hole with one of its walks unticked is not in the wall", "[pocket]") {
    Wall tiled = stud_wall();
    tiled.lining.insert(tiled.lining.begin(), {LiningMaterial::tile, 8_mm, {}});
    Job job = shelf_job(tiled);
    const auto walk = walk_of(job);
    json file = given();
    const WallPass* last = &walk.back();
    REQUIRE(last->drill);
    REQUIRE(last->marks.front().passes.size() > 1);
    file["ticks"].push_back({{"key", tick_key(last->marks.front(), *last)}, {"at", noon}});
    const auto taken = take_pocket(job, reckon(job), file.dump());
    REQUIRE(taken);
    CHECK(taken->ticks == 1);
    CHECK(taken->holes == 0);
    CHECK(job.walls.front().made.empty());
}

TEST_CASE("what the plan no longer has is kept in the logbook", "[pocket]") {
    Job job = shelf_job(stud_wall());
    json file = given();
    file["ticks"].push_back({{"key", "shelf-gone@1,2/mark"}, {"at", noon}});
    file["readings"].push_back(
        {{"item", "shelf-gone"}, {"kind", "plumb"}, {"off_at", "front"}, {"off", "4"}, {"over", "1200"}, {"at", noon}});
    const auto taken = take_pocket(job, reckon(job), file.dump());
    REQUIRE(taken);
    CHECK(taken->gone == 2);
    CHECK(job.log[job.log.size() - 2].words.find("shelf-gone@1,2/mark") != std::string::npos);
    CHECK(job.log.back().words.find("4 mm over 1200 mm") != std::string::npos);
    const Job after = job;
    REQUIRE(take_pocket(job, reckon(job), file.dump()));
    CHECK(job == after);
}

TEST_CASE("a file that is none of ours, or is broken, says where, and the job stays", "[pocket]") {
    CHECK(problem_of(json::array()).find("no file of a pocket sheet") != std::string::npos);
    json newer = given();
    newer["version"] = 2;
    CHECK(problem_of(newer).find("newer") != std::string::npos);
    json lists = given();
    lists.erase("notes");
    CHECK(problem_of(lists) == "notes: there is no such list in it");
    json time = given();
    time["ticks"].push_back({{"key", "a"}, {"at", "yesterday"}});
    CHECK(problem_of(time).find("ticks[0].at: yesterday is no time") == 0);
    json length = given();
    length["readings"].push_back(
        {{"item", "shelf"}, {"kind", "level"}, {"off_at", "left"}, {"off", "two"}, {"over", "1200"}, {"at", noon}});
    CHECK(problem_of(length).find("readings[0].off: two is no length") == 0);
    json kind = length;
    kind["readings"][0]["kind"] = "diagonals";
    CHECK(problem_of(kind).find("readings[0].kind") == 0);
    json words = given();
    words["notes"].push_back({{"wall", 3}, {"words", "x"}, {"at", noon}});
    CHECK(problem_of(words) == "notes[0].wall: words are wanted there");
}
