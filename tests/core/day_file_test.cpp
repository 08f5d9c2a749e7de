#include "core/fitting/as_found.hpp"
#include "core/job/file.hpp"
#include "core/job/schema.hpp"
#include "shelf_walls.hpp"

#include <nlohmann/json.hpp>

using namespace yes_square;
using json = nlohmann::json;

namespace {

/// A job with something in every member of the day, none at its default.
Job job_of_the_day() {
    Job job = job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()));
    job.crew = 2;
    job.fitter = "R. Field";
    job.currency = "EUR";
    job.delivery = {{"B60", "Base 60", 3, Received::short_of, 2, "one to follow", {}}};
    job.catalogue.stock = {
        {StuffKind::sheet, BoardMaterial::birch_plywood, 18_mm, 1250_mm, 2500_mm, 2, false, 61.5, {}},
        {StuffKind::rod, std::nullopt, {}, {}, Length::inches(96, {1, 2}), 0, true, std::nullopt, {}}};
    job.catalogue.supplies = {{"#10 wood screw 63.5 mm", 200, 8.25, 37, {}}};
    Wall& wall = job.walls.front();
    LightFeed feed;
    feed.id = "feed";
    feed.name = "Light";
    feed.item = "shelf";
    feed.volts = 24;
    feed.watts_per_m = 14.4;
    feed.lead = 1800_mm;
    feed.both_ends = true;
    feed.far_lead = 2500_mm;
    feed.by_gauge = true;
    feed.conductor = Conductor::awg_18;
    wall.feeds = {feed};
    wall.made = {{"shelf", 800_mm, Length::inches(60, {3, 16}), "2026-03-05T09:10:00Z", "R. Field", {}}};
    WorkReading reading;
    reading.id = "reading";
    reading.kind = ReadingKind::straightedge;
    reading.item = "shelf";
    reading.gaps = {{0_mm, 1_mm, {}}, {900_mm, Length::micrometres(2500), {}}};
    WorkReading square = reading;
    square.id = "square";
    square.kind = ReadingKind::diagonals;
    square.gaps.clear();
    square.over = 600_mm;
    square.height = 800_mm;
    square.read = 1002_mm;
    square.other = 998_mm;
    square.off_at = OffAt::back;
    wall.work_readings = {reading, square};
    tick(job, "shelf/hang/1a2b3c4d", TickState::begun, {"2026-03-05T09:00:00Z", "A"});
    tick(job, "wall/gate", TickState::could_not, {"2026-03-05T09:05:00Z", "B"}, "no detector at hand");
    LogEntry photo;
    photo.kind = LogKind::photo;
    photo.at = "2026-03-05T10:00:00Z";
    photo.file = "wall.jpg";
    photo.sha256 = std::string(64, 'a');
    LogEntry signature;
    signature.kind = LogKind::signature;
    signature.by = "A. Brook";
    signature.strokes = "M 10 20 L 300 40";
    job.log = {photo, signature};
    job.rules.cutting.kerf = Length::micrometres(2200);
    job.rules.cutting.spare_least = 5;
    job.rules.fitting.leg_pitch = Length::micrometres(1250);
    job.rules.feeds.drop_most = 0.03;
    return job;
}

std::string problem_with(const char* pointer, const json& value) {
    json document = json::parse(write_job(job_of_the_day()));
    document[json::json_pointer{pointer}] = value;
    const auto read = read_job(document.dump());
    return read ? std::string{} : read.error().text();
}

} // namespace

TEST_CASE("all that belongs to the day comes back from its file, by the published schema", "[file][day]") {
    const Job job = job_of_the_day();
    const std::string text = write_job(job);
    CHECK_FALSE(schema_problem(json::parse(text)));
    const auto loaded = read_job(text);
    if (!loaded)
        FAIL(loaded.error().text());
    CHECK(loaded->job == job);
    CHECK(write_job(loaded->job) == text);
}

TEST_CASE("bad figures of the day are refused by name", "[file][day]") {
    CHECK(problem_with("/delivery/0/received", "lost").find("delivery[0].received: \"lost\" is not known") == 0);
    CHECK(problem_with("/delivery/0/sound", -1).find("delivery[0].sound") == 0);
    CHECK(problem_with("/catalogue/stock/0/length", 0).find("catalogue.stock[0].length") == 0);
    CHECK(problem_with("/catalogue/stock/0/price", -3).find("catalogue.stock[0].price") == 0);
    CHECK(problem_with("/catalogue/supplies/0/pack", 0).find("catalogue.supplies[0].pack") == 0);
    CHECK(problem_with("/walls/0/feeds/0/volts", 0).find("walls[0].feeds[0].volts") == 0);
    CHECK(problem_with("/walls/0/feeds/0/conductor", "string").find("walls[0].feeds[0].conductor") == 0);
    CHECK(problem_with("/walls/0/made/0/x", "far").find("walls[0].made[0].x") == 0);
    CHECK(problem_with("/walls/0/work_readings/0/kind", "guess").find("walls[0].work_readings[0].kind") == 0);
    CHECK(problem_with("/walls/0/work_readings/0/gaps/1/gap", -1).find("walls[0].work_readings[0].gaps[1].gap") == 0);
    CHECK(problem_with("/walls/0/work_readings/1/over", 0).find("walls[0].work_readings[1].over") == 0);
    CHECK(problem_with("/ticks/0/state", "maybe").find("ticks[0].state") == 0);
    CHECK(problem_with("/log/0/kind", "rumour").find("log[0].kind") == 0);
    CHECK(problem_with("/crew", 0).find("crew") == 0);
    CHECK(problem_with("/rules/cutting/kerf", -1).find("rules.cutting.kerf") == 0);
    CHECK(problem_with("/rules/fitting/leg_pitch", 0).find("rules.fitting.leg_pitch") == 0);
    CHECK(problem_with("/rules/feeds/drop_most", 2).find("rules.feeds.drop_most") == 0);
    CHECK(problem_with("/walls/0/feeds/0/id", "shelf").find("\"shelf\" is used twice") != std::string::npos);
    CHECK(problem_with("/walls/0/work_readings/1/id", "reading").find("used twice") != std::string::npos);
}

TEST_CASE("what a later version adds to the day is kept", "[file][day]") {
    json document = json::parse(write_job(job_of_the_day()));
    for (const char* part : {"/delivery/0", "/ticks/0", "/log/0", "/walls/0/feeds/0", "/walls/0/made/0",
                             "/walls/0/work_readings/0", "/walls/0/work_readings/0/gaps/0", "/catalogue/stock/0",
                             "/catalogue/supplies/0", "/rules/cutting", "/rules/fitting", "/rules/feeds"})
        document[json::json_pointer{part}]["later"] = {1, 2};
    const auto read = read_job(document.dump());
    if (!read)
        FAIL(read.error().text());
    CHECK(json::parse(write_job(read->job)) == document);
}

TEST_CASE("a file of before the day opens as a job without one", "[file][day]") {
    json document = json::parse(write_job(job_with(stud_wall(), new_shelf(shelf_preset("brackets"), stud_wall()))));
    for (const char* member : {"crew", "fitter", "currency", "delivery", "ticks", "log"})
        document.erase(member);
    for (const char* member : {"feeds", "made", "work_readings"})
        document["walls"][0].erase(member);
    for (const char* member : {"stock", "supplies"})
        document["catalogue"].erase(member);
    for (const char* member : {"cutting", "fitting", "feeds"})
        document["rules"].erase(member);
    const auto read = read_job(document.dump());
    if (!read)
        FAIL(read.error().text());
    CHECK(read->job.crew == 1);
    CHECK(read->job.log.empty());
    CHECK(read->job.rules.cutting.kerf == 3_mm);
}
