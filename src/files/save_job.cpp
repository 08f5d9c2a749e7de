#include "files/save_job.hpp"

#include "core/job/file.hpp"

#include <cerrno>
#include <csignal>
#include <fcntl.h>
#include <filesystem>
#include <fmt/format.h>
#include <fstream>
#include <iterator>
#include <unistd.h>

namespace yes_square {
namespace {

namespace fs = std::filesystem;

/// What a path comes to behind links; of a file that is not there yet, the path itself.
fs::path behind_links(const std::string& path) {
    std::error_code error;
    const fs::path real = fs::canonical(path, error);
    return error ? fs::absolute(path) : real;
}

bool written(int file, const std::string& text) {
    for (std::size_t at = 0; at < text.size();) {
        const ssize_t now = ::write(file, text.data() + at, text.size() - at);
        if (now < 0 && errno != EINTR)
            return false;
        at += now > 0 ? static_cast<std::size_t>(now) : 0;
    }
    return ::fsync(file) == 0;
}

void flush_folder(const fs::path& path) {
    if (const int folder = ::open(path.parent_path().c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC); folder >= 0) {
        ::fsync(folder);
        ::close(folder);
    }
}

/// The process that holds a job's lock; 0: none that is alive.
long held_by(const fs::path& job) {
    std::ifstream lock{job.string() + ".lock"};
    long process = 0;
    return lock >> process && process > 0 && (::kill(static_cast<pid_t>(process), 0) == 0 || errno == EPERM) ? process
                                                                                                             : 0;
}

} // namespace

std::string write_whole(const std::string& path, const std::string& text) {
    const fs::path real = behind_links(path);
    const std::string beside = real.string() + ".part";
    std::error_code error;
    const int file = ::open(beside.c_str(), O_WRONLY | O_CREAT | O_TRUNC | O_CLOEXEC, 0666);
    const bool whole = file >= 0 && written(file, text);
    if (file >= 0 && ::close(file) != 0)
        fs::remove(beside, error);
    if (!whole) {
        fs::remove(beside, error);
        return path + ": cannot be written; check the folder and that there is room";
    }
    if (const fs::file_status before = fs::status(real, error); fs::exists(before))
        fs::permissions(beside, before.permissions(), error);
    fs::rename(beside, real, error);
    flush_folder(real);
    return error ? path + ": cannot be written: " + error.message() : std::string{};
}

std::string save_job(const std::string& path, const Job& job) {
    const fs::path real = behind_links(path);
    if (const long process = held_by(real))
        return fmt::format("{}: is open in a window (process {}); close it there first", path, process);
    const std::string text = write_job(job);
    if (const auto back = read_job(text); !back)
        return fmt::format("{}: would not open again, so it was not saved: {}", path, back.error().text());
    std::error_code error;
    if (fs::exists(real, error)) {
        std::ifstream file{real, std::ios::binary};
        const std::string before{std::istreambuf_iterator<char>{file}, {}};
        if (const auto there = read_job(before); there && there->newer_version)
            return fmt::format("{}: was written by a newer Yes Square; write to another file", path);
        fs::copy_file(real, real.string() + "~", fs::copy_options::overwrite_existing, error);
    }
    return write_whole(path, text);
}

} // namespace yes_square
