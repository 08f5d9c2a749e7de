#include <array>
#include <catch2/catch.hpp>
#include <cstdio>
#include <cstdlib>
#include <filesystem>
#include <fstream>
#include <nlohmann/json.hpp>
#include <string>
#include <sys/wait.h>
#include <unistd.h>

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

TEST_CASE("another language is spoken where it is asked for, before the command and after it", "[cli][language]") {
    const Run after = run("reckon --lang de " + demo);
    CHECK(after.code == 0);
    CHECK(after.said.find("Konsole 1 bei 463 mm, nachgew. Ständer") != std::string::npos);
    CHECK(after.said.find("Fehler: Konsole 2 hängt an einem angenommenen Ständer") != std::string::npos);
    CHECK(after.said.find("Abhilfe: ") != std::string::npos);
    CHECK(run("--lang de reckon " + demo).said == after.said);
    // A decimal comma in words, a point in JSON.
    CHECK(run("reckon --unit cm --lang de " + demo).said.find("46,3 cm") != std::string::npos);
    const json plan = json::parse(run("--lang de reckon --json " + demo, "2>/dev/null").said);
    CHECK(plan["walls"][0]["shelves"][0]["marks"][0]["x_m"] == Approx(0.463));
    // Without it, whatever the environment says.
    setenv("LC_ALL", "de_DE.UTF-8", 1);
    CHECK(run("reckon " + demo).said.find("bracket 1 at 463 mm") != std::string::npos);
    unsetenv("LC_ALL");
    const Run unknown = run("--lang fr reckon " + demo);
    CHECK(unknown.code == 2);
    CHECK(unknown.said.find("en or de") != std::string::npos);
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

namespace {

/// A folder of this test alone, gone after it.
struct Folder {
    std::filesystem::path path =
        std::filesystem::temp_directory_path() / ("yes-square-cli-" + std::to_string(getpid()));
    Folder() { std::filesystem::create_directories(path); }
    ~Folder() { std::filesystem::remove_all(path); }
    std::string operator/(const std::string& name) const { return (path / name).string(); }
    void write(const std::string& name, const std::string& text) const { std::ofstream{path / name} << text; }
    std::string read(const std::string& name) const {
        std::ifstream file{path / name};
        return {std::istreambuf_iterator<char>{file}, {}};
    }
};

} // namespace

TEST_CASE("drawings and tables are exported, all or some", "[cli]") {
    const Folder folder;
    CHECK(run("export " + demo + " --to " + (folder / "out")).code == 0);
    for (const char* name : {"wall-1.svg", "wall-1.dxf", "marks.csv", "kit.csv", "steps.csv", "cutting-1.svg"})
        CHECK(std::filesystem::exists(folder / "out" + std::string{"/"} + name));
    const json plan = json::parse(folder.read("out/plan.json"));
    CHECK(plan["order"].size() > 100);
    CHECK(plan["cutting"].size() > 3);
    CHECK(plan["walls"][7]["lights"][0]["lead"] == "mm2_0_5");
    CHECK(plan["walls"][6]["work_readings"][0]["verdict"] == "to be put right");
    CHECK(run("export " + demo + " --format csv --to " + (folder / "some")).code == 0);
    CHECK_FALSE(std::filesystem::exists(folder / "some/wall-1.dxf"));
    CHECK(std::filesystem::exists(folder / "some/marks.csv"));
    CHECK(run("export " + demo + " --format doc --to " + (folder / "some")).said.find("doc is no format") !=
          std::string::npos);
    CHECK(run("export " + demo + " --to /proc/nowhere").code == 2);
}

TEST_CASE("surveys, units, packing lists and outlines are imported", "[cli]") {
    const Folder folder;
    std::filesystem::copy_file(demo, folder / "job.yesq");
    folder.write("survey.csv", "kind,x_mm\nprobe_hit,1043\n");
    folder.write("units.csv", "code,kind,w,h,d\nZ9,wall,450,720,300\n");
    folder.write("list.csv", "code,quantity\nZ9,3\n");
    const std::string job = folder / "job.yesq";
    CHECK(run("import " + job + " --survey " + (folder / "survey.csv") + " --wall wall-1 --units " +
              (folder / "units.csv") + " --packing-list " + (folder / "list.csv") + " --to " + (folder / "new.yesq"))
              .code == 0);
    const json read = json::parse(folder.read("new.yesq"));
    CHECK(read["walls"][0]["observations"].back()["x"] == 1043);
    CHECK(read["catalogue"]["units"].size() == 1);
    CHECK(read["delivery"][0]["listed"] == 3);
    // A wall goes out as DXF and comes in as another of the same size.
    CHECK(run("export " + demo + " --format dxf --to " + (folder / "out")).code == 0);
    CHECK(run("import " + job + " --dxf " + (folder / "out/wall-2.dxf") + " --wall Copied").code == 0);
    const json drawn = json::parse(folder.read("job.yesq"));
    CHECK(drawn["walls"].back()["name"] == "Copied");
    CHECK(drawn["walls"].back()["length"] == drawn["walls"][1]["length"]);
    CHECK(drawn["walls"].back()["height"] == drawn["walls"][1]["height"]);

    const std::string before = folder.read("job.yesq");
    folder.write("bad.csv", "code,quantity\n,3\n");
    const Run told = ::run("import " + job + " --json --survey " + (folder / "survey.csv") + " --wall wall-1 --to " +
                               (folder / "told.yesq"),
                           "2>/dev/null");
    CHECK(told.code == 0);
    CHECK(json::parse(told.said)["format"] == "yes-square import");
    CHECK(json::parse(told.said)["readings"].get<int>() > 0);
    CHECK(::run("import - --json < /dev/null").code == 2);
    const Run bad = ::run("import " + job + " --packing-list " + (folder / "bad.csv"));
    CHECK(bad.code == 2);
    CHECK(bad.said.find("line 2, column code") != std::string::npos);
    CHECK(run("import " + job + " --survey " + (folder / "survey.csv")).said.find("--wall") != std::string::npos);
    CHECK(run("import " + job + " --survey " + (folder / "survey.csv") + " --wall nowhere").code == 2);
    CHECK(folder.read("job.yesq") == before); // nothing was taken in
}

TEST_CASE("the job book is built and searched from the command line", "[cli]") {
    const Folder folder;
    std::filesystem::copy_file(demo, folder / "job.yesq");
    const Run found = ::run("book " + (folder / "book.sqlite") + " \"toy emptied\" --folder " + folder.path.string());
    CHECK(found.code == 0);
    CHECK(found.said.find("job.yesq\tReading room shelves") != std::string::npos);
    CHECK(run("book " + (folder / "book.sqlite") + " unheard-of").said.empty());
    CHECK(run("book /nowhere/at/all.sqlite x").code == 2);
}

TEST_CASE("a job comes in by the standard stream and goes out by it, and every command tells in JSON", "[cli]") {
    const std::string piped = run("reckon - < " + demo).said;
    CHECK(piped == run("reckon " + demo).said);
    const Run broken = run("reckon - < /dev/null");
    CHECK(broken.code == 2);
    CHECK(broken.said.find("standard input: ") == 0);

    const Run same = run("import --to - " + demo, "2>/dev/null");
    CHECK(same.code == 0);
    const Folder folder;
    CHECK(run("import --to " + (folder / "same.yesq") + " " + demo).code == 0);
    CHECK(same.said == folder.read("same.yesq"));

    const Run checks = run("check --json " + demo, "2>/dev/null");
    CHECK(checks.code == 1);
    const json told = json::parse(checks.said);
    CHECK(told["format"] == "yes-square checks");
    std::size_t errors = 0;
    for (const json& check : told["checks"]) {
        CHECK(check["code"].get<std::string>().size() > 2);
        CHECK(check.contains("of"));
        errors += check["severity"] == "error";
    }
    CHECK(errors > 0);
    CHECK(told["errors"] == errors);

    const Run written =
        run("export --json --format svg,csv-comma --to " + (folder / "out") + " " + demo, "2>/dev/null");
    CHECK(written.code == 0);
    const json list = json::parse(written.said)["written"];
    CHECK(list.size() > 10);
    for (const json& path : list)
        CHECK(std::filesystem::file_size(path.get<std::string>()) > 0);
    CHECK(std::filesystem::exists(folder / "out/decimal-comma/marks.csv"));

    const json jobs = json::parse(
        run("book --json --folder " YES_SQUARE_SOURCE_DIR "/assets/demo " + (folder / "book"), "2>/dev/null").said);
    REQUIRE(jobs["jobs"].size() == 1);
    CHECK(jobs["jobs"][0]["walls"] == 16);
}

TEST_CASE("lengths are told in the unit that is asked for", "[cli]") {
    CHECK(run("reckon --unit in/16 " + demo).said.find("bracket 1 at 18 1/4 in") != std::string::npos);
    CHECK(run("check --unit in/16 " + demo).said.find("107 1/16 in") != std::string::npos);
    const Run wrong = run("reckon --unit ell " + demo);
    CHECK(wrong.code == 2);
    CHECK(wrong.said.find("--unit ell is not known") != std::string::npos);
}

TEST_CASE("two versions are compared, two copies merged, and a bundle made and unpacked", "[cli][versions]") {
    Folder folder;
    const auto version = [&](const char* name, const auto& change) {
        std::ifstream file{demo};
        json job = json::parse(file);
        change(job);
        const std::string path = folder / name;
        std::ofstream{path} << job.dump();
        return path;
    };
    const auto height = [](json& job) -> json& { return job["walls"][0]["shelves"][0]["height"]; };
    const std::string shared = version("shared.yesq", [](json&) {});
    const std::string mine = version("mine.yesq", [&](json& job) { height(job) = 1700; });
    const std::string theirs = version("theirs.yesq", [&](json& job) {
        height(job) = 1710;
        job["client"] = "Elsewhere";
    });
    CHECK(run("compare " + shared + " " + shared).code == 0);
    const Run compared = run("compare " + shared + " " + mine);
    CHECK(compared.code == 1);
    CHECK(compared.said.find("North wall, Long shelf") == 0);
    CHECK(compared.said.find("-> 1700 mm") != std::string::npos);
    const json told = json::parse(run("compare --json " + shared + " " + theirs, "2>/dev/null").said);
    CHECK(told.size() == 2);

    const Run merged = run("merge --to " + (folder / "merged.yesq") + " " + shared + " " + mine + " " + theirs);
    CHECK(merged.code == 1); // it collides, and is told
    CHECK(merged.said.find("1700 mm here, 1710 mm there") != std::string::npos);
    std::ifstream file{folder / "merged.yesq"};
    json job = json::parse(file);
    CHECK(height(job) == 1700);
    CHECK(job["client"] == "Elsewhere");
    CHECK(run("merge --take-theirs --to " + (folder / "merged.yesq") + " " + shared + " " + mine + " " + theirs).code ==
          1);
    std::ifstream again{folder / "merged.yesq"};
    job = json::parse(again);
    CHECK(height(job) == 1710);
    const std::string three = shared + " " + mine + " " + theirs;
    const json collided =
        json::parse(run("merge --json --to " + (folder / "m.yesq") + " " + three, "2>/dev/null").said);
    REQUIRE(collided["collisions"].size() == 1);
    CHECK(collided["collisions"][0]["mine"] == "1700 mm");
    CHECK(collided["collisions"][0]["theirs"] == "1710 mm");
    CHECK(collided["collisions"][0]["took"] == "mine");
    CHECK(run("merge --json --to - " + three).code == 2); // two things cannot both have the output

    CHECK(run("bundle --to " + (folder / "one.yesq.zip") + " --with " + mine + " -- " + theirs).code == 0);
    const Run unpacked = run("unbundle --to " + (folder / "out") + " " + (folder / "one.yesq.zip"));
    CHECK(unpacked.code == 0);
    CHECK(std::filesystem::exists(folder / "out/theirs.yesq"));
    CHECK(std::filesystem::exists(folder / "out/sheets/mine.yesq"));
    CHECK(run("compare " + theirs + " " + (folder / "out/theirs.yesq")).code == 0);
    CHECK(run("unbundle --to " + (folder / "two") + " " + demo).code == 2);
    const json packed =
        json::parse(run("bundle --json --to " + (folder / "2.yesq.zip") + " " + theirs, "2>/dev/null").said);
    CHECK(packed["bundle"] == folder / "2.yesq.zip");
    const json there =
        json::parse(run("unbundle --json --to " + (folder / "two") + " " + (folder / "one.yesq.zip")).said);
    CHECK(there["job"] == folder / "two/theirs.yesq");
    CHECK(there["files"].size() == 1);
}
