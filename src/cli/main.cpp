#include "core/job/file.hpp"
#include "core/plan/reckon.hpp"
#include "core/sheets/plan_json.hpp"
#include "core/sheets/summary.hpp"

#include <CLI/CLI.hpp>
#include <fstream>
#include <iostream>
#include <sstream>

namespace {

constexpr int has_errors = 1;
constexpr int bad_input = 2;

/// Reads a whole file and the job in it; on failure says what is wrong, where, and ends the program's work.
std::optional<yes_square::Job> load(const std::string& path) {
    std::ifstream file{path, std::ios::binary};
    std::ostringstream text;
    if (file)
        text << file.rdbuf();
    if (!file || text.fail()) {
        std::cerr << path << ": cannot be read; check the name and that it is a file\n";
        return std::nullopt;
    }
    auto loaded = yes_square::read_job(text.str());
    if (!loaded) {
        std::cerr << path << ": " << loaded.error().text() << "\n";
        return std::nullopt;
    }
    if (loaded->newer_version)
        std::cerr << path << ": written by a newer Yes Square; members it added are not reckoned with\n";
    return std::move(loaded->job);
}

} // namespace

int main(int argc, char** argv) {
    CLI::App app{"Sets out cabinets and shelves on a wall: reckons a job file and prints what follows from it."};
    app.set_version_flag("--version", std::string{"yes-square-cli "} + YES_SQUARE_VERSION);
    app.require_subcommand(1);
    std::string path;
    bool as_json = false;

    CLI::App* reckon = app.add_subcommand("reckon", "Print the plan: marks, fixings, sag, checks with their cures");
    reckon->add_option("JOB", path, "A .yesq file")->required();
    reckon->add_flag("--json", as_json, "The whole plan as JSON, with workings, in SI units");
    CLI::App* check = app.add_subcommand("check", "Print the checks; exit 1 when one of severity error stands");
    check->add_option("JOB", path, "A .yesq file")->required();

    try {
        app.parse(argc, argv);
    } catch (const CLI::ParseError& error) {
        return app.exit(error) == 0 ? 0 : bad_input;
    }

    try {
        const auto job = load(path);
        if (!job)
            return bad_input;
        const yes_square::Plan plan = yes_square::reckon(*job);
        const yes_square::Voice voice{job->unit};
        if (reckon->parsed()) {
            std::cout << (as_json ? yes_square::plan_json(*job, plan, voice) : yes_square::summary(*job, plan, voice));
            return 0;
        }
        std::cout << yes_square::checks_text(*job, plan, voice);
        return yes_square::count_checks(plan, yes_square::Severity::error) > 0 ? has_errors : 0;
    } catch (const std::exception& error) {
        std::cerr << path << ": " << error.what() << "\n";
        return bad_input;
    }
}
