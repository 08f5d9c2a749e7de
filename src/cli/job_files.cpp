#include "cli/job_files.hpp"

#include "core/job/file.hpp"
#include "files/save_job.hpp"

#include <fstream>
#include <iostream>
#include <sstream>

namespace yes_square::cli {

std::optional<std::string> read_text(const std::string& path) {
    std::ifstream file{path, std::ios::binary};
    std::ostringstream text;
    if (file)
        text << file.rdbuf();
    if (!file || text.fail()) {
        std::cerr << path << ": cannot be read; check the name and that it is a file\n";
        return std::nullopt;
    }
    return text.str();
}

std::optional<Job> load(const std::string& path) {
    const auto text = read_text(path);
    if (!text)
        return std::nullopt;
    auto loaded = read_job(*text);
    if (!loaded) {
        std::cerr << path << ": " << loaded.error().text() << "\n";
        return std::nullopt;
    }
    if (loaded->newer_version)
        std::cerr << path << ": written by a newer Yes Square; members it added are not reckoned with\n";
    return std::move(loaded->job);
}

bool save(const std::string& path, const Job& job) {
    const std::string problem = save_job(path, job);
    if (!problem.empty())
        std::cerr << problem << "\n";
    return problem.empty();
}

} // namespace yes_square::cli
