#include "files/beside_job.hpp"

#include <filesystem>
#include <set>

namespace yes_square {
namespace {

namespace fs = std::filesystem;

std::string beside(const std::string& job_path, const char* what) {
    const fs::path job{job_path};
    return (job.parent_path() / (job.stem().string() + " " + what)).string();
}

} // namespace

std::string photo_folder(const std::string& job_path) {
    return beside(job_path, "photos");
}

std::string versions_folder(const std::string& job_path) {
    return beside(job_path, "versions");
}

PhotosOfJob photos_of(const std::string& job_path, const Job& job) {
    const fs::path folder{photo_folder(job_path)};
    PhotosOfJob photos;
    std::set<std::string> known;
    for (const LogEntry& entry : job.log) {
        if (entry.file.empty() || !known.insert(entry.file).second)
            continue;
        const fs::path photo = folder / entry.file;
        std::error_code error;
        const bool there = fs::path{entry.file}.filename() == entry.file && fs::is_regular_file(photo, error);
        (there ? photos.there : photos.gone).push_back(photo.string());
    }
    return photos;
}

} // namespace yes_square
