#include "../random_jobs.hpp"
#include "core/job/file.hpp"
#include "core/job/schema.hpp"

#include <catch2/catch.hpp>
#include <fstream>
#include <nlohmann/json.hpp>
#include <rapidcheck.h>
#include <rapidcheck/catch.h>
#include <sstream>

using namespace yes_square;
using nlohmann::json;

namespace {

std::string demo_text() {
    std::ifstream file{YES_SQUARE_SOURCE_DIR "/assets/demo/harbour-lane.yesq"};
    std::ostringstream text;
    text << file.rdbuf();
    return text.str();
}

json demo() {
    return json::parse(demo_text());
}

/// What is said of the demo job with one member changed.
std::string problem(const std::string& pointer, const json& value) {
    json document = demo();
    document[json::json_pointer(pointer)] = value;
    const auto loaded = read_job(document.dump());
    INFO(pointer << " = " << value);
    REQUIRE_FALSE(loaded);
    return loaded.error().text();
}

std::string problem_without(const std::string& parent, const std::string& member) {
    json document = demo();
    document[json::json_pointer(parent)].erase(member);
    const auto loaded = read_job(document.dump());
    REQUIRE_FALSE(loaded);
    return loaded.error().text();
}

} // namespace

TEST_CASE("the demo job is read, and written the same", "[file]") {
    const auto loaded = read_job(demo_text());
    REQUIRE(loaded);
    CHECK(loaded->job.walls.size() == 16);
    CHECK(loaded->job.walls[0].shelves[0].left == 330_mm);
    CHECK(loaded->job.walls[0].lining_thickness() == Length::micrometres(12'500));
    const auto again = read_job(write_job(loaded->job));
    REQUIRE(again);
    CHECK(again->job == loaded->job);
    CHECK(write_job(again->job) == write_job(loaded->job));
}

TEST_CASE("an error names the member and what was expected", "[file]") {
    CHECK(problem("/walls/0/shelves/1/depth", 0) ==
          "walls[0].shelves[1].depth: 0 is not a depth; it must be more than 0");
    CHECK(problem("/walls/0/shelves/1/depth", "deep") ==
          "walls[0].shelves[1].depth: \"deep\" is not a depth; it must be a number");
    CHECK(problem("/walls/0/length", 1e300).find("walls[0].length: 1e+300 is not a length; it must be at most") == 0);
    CHECK(problem("/walls/1/structure/of", "jelly") ==
          "walls[1].structure.of: \"jelly\" is not known; it must be one of \"brick\", \"dense_block\", "
          "\"aerated_block\", \"concrete\"");
    CHECK(problem("/walls/0/structure/kind", "tent").find("walls[0].structure.kind") == 0);
    CHECK(problem("/walls/0/studs/2/state", 1).find("walls[0].studs[2].state: 1 is not known") == 0);
    CHECK(problem("/walls/0/studs", "many") == "walls[0].studs: \"many\" is not a list; it must be [ ... ]");
    CHECK(problem("/walls/0/studs/0", 463) == "walls[0].studs[0]: 463 is not a group of members; it must be { ... }");
    CHECK(problem("/walls/0/room", "attic") == "walls[0].room: there is no room \"attic\"; add it under rooms");
    CHECK(problem("/walls/1/id", "wall-1") == "walls[1].id: \"wall-1\" is used twice; ids must differ");
    CHECK(problem("/walls/1/shelves/0/id", "shelf-1").find("walls[1].shelves[0].id") == 0);
    CHECK(problem("/walls/0/shelves/0/extra_brackets", 1.5).find("walls[0].shelves[0].extra_brackets") == 0);
    CHECK(problem("/walls/0/shelves/0/extra_brackets", -1).find("0 or more") != std::string::npos);
    CHECK(problem("/rules/arm_least_share", 1.2).find("rules.arm_least_share") == 0);
    CHECK(problem("/unit", "furlong").find("unit: \"furlong\" is not known") == 0);
    CHECK(problem("/format", "something else").find("not a Yes Square job") != std::string::npos);
    CHECK(problem("/version", "one").find("version") == 0);
    CHECK(problem_without("/walls/0", "length") == "walls[0].length: missing; it must be a length in mm");
    CHECK(problem_without("/walls/0/shelves/0", "material").find("missing; it must be one of \"mdf\"") !=
          std::string::npos);
}

TEST_CASE("text that is no JSON is refused at its line and column", "[file]") {
    const auto cut = read_job("{\n  \"format\": \"yes-square job\",\n  \"version\": }");
    REQUIRE_FALSE(cut);
    CHECK(cut.error().place == "line 3, column 14");
    CHECK_FALSE(read_job(""));
    CHECK_FALSE(read_job("null"));
    CHECK_FALSE(read_job("[]"));
    CHECK_FALSE(read_job("{\"format\": \"yes-square job\", \"version\": 1e999}"));
    CHECK(read_job(std::string(100'000, '[')).error().message.find("too deep") != std::string::npos);
}

TEST_CASE("members this version does not know are kept on rewrite, wherever they stand", "[file]") {
    json document = demo();
    document["photo"] = {{"file", "wall.jpg"}, {"taken", json::array({1, 2, 3})}};
    document["walls"][0]["colour"] = "sage";
    document["walls"][0]["studs"][1]["note"] = nullptr;
    document["walls"][0]["shelves"][0]["lit"] = true;
    document["rules"]["radius"] = 3.5;
    document["catalogue"]["brackets"][0]["finish"] = "black";
    const auto loaded = read_job(document.dump());
    REQUIRE(loaded);
    const json written = json::parse(write_job(loaded->job));
    CHECK(written["photo"] == document["photo"]);
    CHECK(written["walls"][0]["colour"] == "sage");
    CHECK(written["walls"][0]["studs"][1].contains("note"));
    CHECK(written["walls"][0]["shelves"][0]["lit"] == true);
    CHECK(written["rules"]["radius"] == 3.5);
    CHECK(written["catalogue"]["brackets"][0]["finish"] == "black");
}

TEST_CASE("a file of a newer version is read as far as it goes and marked", "[file]") {
    json document = demo();
    document["version"] = 7;
    document["walls"][0]["hologram"] = 1;
    const auto loaded = read_job(document.dump());
    REQUIRE(loaded);
    CHECK(loaded->newer_version);
    CHECK(loaded->job.walls.size() == 16);
}

TEST_CASE("a job without a catalogue gets the one that ships", "[file]") {
    json document = demo();
    document.erase("catalogue");
    const auto loaded = read_job(document.dump());
    REQUIRE(loaded);
    CHECK(loaded->job.catalogue == shipped_catalogue());
    CHECK(shipped_catalogue().brackets.size() >= 5);
}

TEST_CASE("every length survives the file to the nanometre", "[file][property]") {
    rc::prop("write, read, compare", [] {
        Job job = new_job();
        job.title = "property";
        job.rooms = {{"r", "R", ServiceClass::dry, {}}};
        Wall wall;
        wall.id = "w";
        wall.name = *rc::gen::container<std::string>(rc::gen::inRange<char>(32, 126));
        wall.room = "r";
        wall.length = Length::nanometres(*rc::gen::inRange<std::int64_t>(1, 1'000'000'000'000));
        wall.height = Length::nanometres(*rc::gen::inRange<std::int64_t>(1, 1'000'000'000'000));
        wall.studs.push_back({Length::inches(0, {*rc::gen::inRange<std::int64_t>(0, 20'000), 64}),
                              StudState::proved,
                              Length::nanometres(*rc::gen::inRange<std::int64_t>(0, 50'000'000)),
                              {}});
        job.walls.push_back(wall);
        const auto loaded = read_job(write_job(job));
        RC_ASSERT(loaded.has_value());
        RC_ASSERT(loaded->job == job);
    });
}

TEST_CASE("no bytes crash the reader", "[file][property]") {
    rc::prop("any text", [](const std::string& text) { (void)read_job(text); });
    const std::string whole = demo_text();
    rc::prop("the demo job with bytes changed or cut", [&] {
        std::string text = whole;
        const auto cut = *rc::gen::inRange<std::size_t>(0, text.size());
        if (*rc::gen::arbitrary<bool>())
            text.resize(cut);
        for (int i = 0; i < 5 && !text.empty(); ++i)
            text[*rc::gen::inRange<std::size_t>(0, text.size())] = *rc::gen::arbitrary<char>();
        (void)read_job(text);
    });
}

TEST_CASE("the published schema is what the members are described as", "[file][schema]") {
    std::ostringstream published;
    published << std::ifstream{YES_SQUARE_SOURCE_DIR "/docs/schema/yesq-1.schema.json"}.rdbuf();
    INFO("make it anew: build/release/src/cli/yes-square-cli schema > docs/schema/yesq-1.schema.json");
    CHECK(published.str() == job_schema());
}

TEST_CASE("what the program writes is as the published schema says, and the schema refuses what the reader refuses",
          "[file][schema]") {
    CHECK_FALSE(schema_problem(json::parse(write_job(read_job(demo_text())->job))));
    CHECK_FALSE(schema_problem(demo()));
    const std::pair<const char*, json> broken[]{
        {"/walls/0/shelves/1/depth", 0},       {"/walls/0/length", "long"},
        {"/walls/0/structure/kind", "tent"},   {"/walls/0/studs/0/state", "sure"},
        {"/rules/arm_least_share", 1.5},       {"/unit", "furlong"},
        {"/walls/0/openings/0/width", -5},     {"/walls/0/services/0/kind", "ghost"},
        {"/catalogue/plugs/0/tension_n", 0.0}, {"/walls/0/shelves/0/extra_brackets", -1}};
    for (const auto& [pointer, value] : broken) {
        json document = demo();
        document[json::json_pointer(pointer)] = value;
        INFO(pointer);
        CHECK(schema_problem(document));
        CHECK_FALSE(read_job(document.dump()));
    }
}

TEST_CASE("what no file could keep is found without one, and named as the reader names it", "[file][nothing-lost]") {
    const Job job = read_job(demo_text())->job;
    CHECK_FALSE(job_problem(job));
    const auto same = [](const Job& spoilt) {
        const auto found = job_problem(spoilt);
        const auto read = read_job(write_job(spoilt));
        REQUIRE(found);
        REQUIRE_FALSE(read);
        CHECK(found->place == read.error().place);
    };
    const auto spoil = [&](const std::function<void(Job&)>& how) {
        Job spoilt = job;
        how(spoilt);
        same(spoilt);
    };
    spoil([](Job& each) { each.walls[2].openings.push_back({OpeningKind::window, 1_mm, 1_mm, 0_mm, 1_mm, 0_mm, {}}); });
    spoil([](Job& each) { each.walls[0].services.push_back({ServiceKind::pipe, 1_mm, 1_mm, -1_mm, false, {}}); });
    spoil([](Job& each) {
        each.rules.sag_limit = {};
        each.rules.accidental = Force::newtons(-1);
    });
    spoil([](Job& each) { each.walls[0].shelves[0].name = "a\x01"; });
    spoil([](Job& each) { each.rooms[0].name = std::string(201, 'x'); });
    spoil([](Job& each) { each.walls[0].room = "nowhere"; });
    // Random jobs that can be read are without a problem, and the other way round.
    for (std::uint64_t seed = 1; seed < 300; ++seed) {
        const Job random = RandomJobs{seed}.next();
        CHECK(job_problem(random).has_value() == !read_job(write_job(random)).has_value());
    }
}
