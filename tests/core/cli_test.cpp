#include <array>
#include <catch2/catch.hpp>
#include <cstdio>
#include <filesystem>
#include <fstream>
#include <nlohmann/json.hpp>
#include <string>
#include <sys/wait.h>

using nlohmann::json;

namespace {

const std::string demo = YES_SQUARE_SOURCE_DIR "/assets/demo/harbour-lane.yesq";

struct Run {
    int code = 0;
    std::string said;
};

Run run(const std::string& arguments, const char* streams = "2>&1") {
    Run run;
    FILE* pipe = popen((std::string{YES_SQUARE_CLI} + " " + arguments + " " + streams).c_str(), "r");
    REQUIRE(pipe);
    std::array<char, 4096> piece{};
    while (const std::size_t count = fread(piece.data(), 1, piece.size(), pipe))
        run.said.append(piece.data(), count);
    run.code = WEXITSTATUS(pclose(pipe));
    return run;
}

} // namespace

TEST_CASE("reckon prints marks, fixings, checks and cures", "[cli]") {
    const Run run = ::run("reckon " + demo);
    CHECK(run.code == 0);
    CHECK(run.said.find("bracket 1 at 463 mm, proved stud") != std::string::npos);
    CHECK(run.said.find("hole 1 at 463 mm, 1618 mm up") != std::string::npos);
    CHECK(run.said.find("error: Bracket 2 hangs on an assumed stud") != std::string::npos);
    CHECK(run.said.find("cure: ") != std::string::npos);
}

TEST_CASE("reckon --json states every mark, support, check and working in SI", "[cli]") {
    const Run run = ::run("reckon --json " + demo, "2>/dev/null");
    REQUIRE(run.code == 0);
    const json plan = json::parse(run.said);
    CHECK(plan["format"] == "yes-square plan");
    CHECK(plan["units"].get<std::string>().find("SI") == 0);
    const json& shelf = plan["walls"][0]["shelves"][0];
    CHECK(shelf["marks"][0]["x_m"] == Approx(0.463));
    CHECK(shelf["marks"][0]["z_m"] == Approx(1.618));
    CHECK(shelf["marks"].size() == 9);
    CHECK(shelf["supports"].size() == 3);
    CHECK(shelf["supports"][0]["fixing"]["screw_length_m"] == Approx(0.0635));
    CHECK(shelf["supports"][0]["fixing"]["source"]["provenance"] == "from memory");
    CHECK(shelf["checks"][0].contains("code"));
    for (const json& working : shelf["workings"]) {
        CHECK(working.contains("subject"));
        CHECK(working["result"].contains("unit"));
        for (const json& term : working["terms"])
            CHECK(term["source"].contains("provenance"));
    }
    CHECK(plan["walls"][0]["shelves"][1]["checks"][0]["code"] == "stud_assumed");
}

TEST_CASE("check exits 1 while an error stands and 0 without", "[cli]") {
    CHECK(run("check " + demo).code == 1);
    std::ifstream file{demo};
    json job = json::parse(file);
    job["walls"][0]["shelves"].erase(1);
    job["walls"][2]["shelves"].erase(0);
    job["walls"][12]["pieces"].erase(0); // a chest of drawers that nothing holds
    job["walls"][13]["hung"].erase(0);
    const auto path = std::filesystem::temp_directory_path() / "yes-square-cli-test.yesq";
    std::ofstream{path} << job.dump();
    CHECK(run("check " + path.string()).code == 0);
    std::filesystem::remove(path);
}

TEST_CASE("bad input ends with 2, a message on stderr and nothing on stdout", "[cli]") {
    CHECK(run("reckon /no/such/file.yesq").said.find("cannot be read") != std::string::npos);
    CHECK(run("reckon /no/such/file.yesq").code == 2);
    CHECK(run("reckon /no/such/file.yesq", "2>/dev/null").said.empty());
    CHECK(run("reckon /").code == 2);
    CHECK(run("reckon " YES_SQUARE_SOURCE_DIR "/CMakeLists.txt").code == 2);
    CHECK(run("paint " + demo).code == 2);
    CHECK(run("").code == 2);
    CHECK(run("reckon").code == 2);
}

TEST_CASE("help and version are given", "[cli]") {
    CHECK(run("--help").code == 0);
    CHECK(run("--help").said.find("reckon") != std::string::npos);
    CHECK(run("--version").said.find("yes-square-cli 0.") != std::string::npos);
    CHECK(run("reckon --help").code == 0);
}

TEST_CASE("the survey stands in the plan without a window too", "[cli][survey]") {
    const Run text = ::run("reckon " + demo);
    CHECK(text.said.find("Map wall, survey") != std::string::npos);
    CHECK(text.said.find("Fall of the floor along this wall, from 800 mm to 3200 mm: 8 mm") != std::string::npos);
    const Run run = ::run("reckon --json " + demo, "2>/dev/null");
    const json plan = json::parse(run.said);
    CHECK(plan["walls"][2]["survey"]["studs"].size() == 8);
    CHECK(plan["rooms"].size() == 7);
    const Run checks = ::run("check " + demo);
    CHECK(checks.said.find("Map wall: The ceiling was read at") != std::string::npos);
}
