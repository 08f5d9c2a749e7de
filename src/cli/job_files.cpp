#include "cli/job_files.hpp"

#include "core/job/file.hpp"
#include "files/save_job.hpp"

#include <fstream>
#include <iostream>
#include <sstream>

namespace yes_square::cli {

namespace {

std::string shown(const std::string& path) {
    return path == standard_stream ? "standard input" : path;
}

} // namespace

int fail(const std::string& message) {
    std::cerr << message << "\n";
    return bad_input;
}

std::optional<std::string> read_text(const std::string& path) {
    std::ifstream file;
    if (path != standard_stream)
        file.open(path, std::ios::binary);
    std::istream& from = path == standard_stream ? std::cin : file;
    std::ostringstream text;
    if (from && from.peek() != std::istream::traits_type::eof())
        text << from.rdbuf();
    if (text.fail() || from.bad() || (path != standard_stream && !file.is_open())) {
        std::cerr << shown(path) << ": cannot be read; check the name and that it is a file\n";
        return std::nullopt;
    }
    return text.str();
}

std::optional<Job> load(const std::string& path, const std::string& unit) {
    const auto shown_in = unit_from_file_name(unit);
    if (!unit.empty() && !shown_in) {
        std::cerr << "--unit " << unit << " is not known; it is mm, cm, in/16, ft-in/16 or the like\n";
        return std::nullopt;
    }
    const auto text = read_text(path);
    if (!text)
        return std::nullopt;
    auto loaded = read_job(*text);
    if (!loaded) {
        std::cerr << shown(path) << ": " << loaded.error().text() << "\n";
        return std::nullopt;
    }
    if (loaded->newer_version)
        std::cerr << shown(path) << ": written by a newer Yes Square; members it added are not reckoned with\n";
    if (shown_in)
        loaded->job.unit = *shown_in;
    return std::move(loaded->job);
}

bool save(const std::string& path, const Job& job) {
    if (path == standard_stream) {
        std::cout << write_job(job) << std::flush;
        return !std::cout.fail();
    }
    const std::string problem = save_job(path, job);
    if (!problem.empty())
        std::cerr << problem << "\n";
    return problem.empty();
}

} // namespace yes_square::cli
