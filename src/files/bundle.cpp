#include "files/bundle.hpp"

#include "core/job/file.hpp"
#include "files/beside_job.hpp"
#include "files/save_job.hpp"

#include <algorithm>
#include <array>
#include <filesystem>
#include <fmt/format.h>
#include <fstream>
#include <memory>
#include <optional>
#include <zip.h>

namespace yes_square {
namespace {

namespace fs = std::filesystem;

constexpr zip_uint64_t largest_job = 64U << 20U;   ///< bytes
constexpr zip_uint64_t largest_file = 512U << 20U; ///< bytes, of a photo or a sheet
constexpr zip_int64_t most_files = 5000;
constexpr std::string_view job_ending = ".yesq";

struct Discard {
    void operator()(zip_t* zip) const { zip_discard(zip); }
};
using Zip = std::unique_ptr<zip_t, Discard>;

/// Whether a name of a bundle stays inside the folder it is unpacked into, and is no hidden or odd one.
bool stays_inside(const std::string& name) {
    if (name.empty() || name.size() > 400 || name.front() == '/' || name.find('\\') != std::string::npos ||
        name.find('\0') != std::string::npos)
        return false;
    return std::ranges::none_of(fs::path{name}, [](const fs::path& step) {
        return step == ".." || step == "." || (!step.empty() && step.native().front() == '.');
    });
}

std::optional<std::string> read_entry(zip_t* zip, zip_uint64_t index, zip_uint64_t most) {
    zip_stat_t about;
    if (zip_stat_index(zip, index, 0, &about) != 0 || (about.valid & ZIP_STAT_SIZE) == 0 || about.size > most)
        return std::nullopt;
    const std::unique_ptr<zip_file_t, decltype(&zip_fclose)> file{zip_fopen_index(zip, index, 0), &zip_fclose};
    if (!file)
        return std::nullopt;
    // It may hold more than it says.
    std::string text;
    std::array<char, 1U << 16U> part{};
    for (zip_int64_t got = 0; (got = zip_fread(file.get(), part.data(), part.size())) != 0;) {
        if (got < 0 || text.size() + static_cast<std::size_t>(got) > most)
            return std::nullopt;
        text.append(part.data(), static_cast<std::size_t>(got));
    }
    return text;
}

} // namespace

std::string write_bundle(const std::string& path, const std::string& job_name, const Job& job,
                         const std::vector<std::string>& photos, const std::vector<BundleFile>& files) {
    const std::string document = write_job(job);
    if (const auto back = read_job(document); !back)
        return fmt::format("{}: this job would not open again, so it was not bundled: {}", path, back.error().text());
    int problem = 0;
    const std::string beside = path + ".part";
    Zip zip{zip_open(beside.c_str(), ZIP_CREATE | ZIP_TRUNCATE, &problem)};
    if (!zip)
        return path + ": cannot be written; check the folder and that there is room";
    const auto add = [&](const std::string& name, zip_source_t* source) {
        if (source && zip_file_add(zip.get(), name.c_str(), source, ZIP_FL_OVERWRITE | ZIP_FL_ENC_UTF_8) >= 0)
            return true;
        zip_source_free(source);
        return false;
    };
    if (!add(job_name + std::string{job_ending}, zip_source_buffer(zip.get(), document.data(), document.size(), 0)))
        return path + ": the job cannot be put into it";
    std::vector<BundleFile> all = files;
    for (const std::string& photo : photos)
        all.push_back(
            {photo_folder(job_name + std::string{job_ending}) + "/" + fs::path{photo}.filename().string(), photo});
    for (const BundleFile& file : all) {
        std::error_code error;
        if (!fs::is_regular_file(file.path, error))
            return fmt::format("{}: {} is not there any more", path, file.path);
        if (!add(file.name, zip_source_file(zip.get(), file.path.c_str(), 0, -1)))
            return fmt::format("{}: {} cannot be put into it", path, file.path);
    }
    std::error_code error;
    zip_t* open = zip.release();
    if (zip_close(open) != 0) {
        const std::string why = zip_strerror(open);
        zip_discard(open);
        fs::remove(beside, error);
        return fmt::format("{}: cannot be written: {}", path, why);
    }
    fs::rename(beside, path, error);
    return error ? fmt::format("{}: cannot be written: {}", path, error.message()) : std::string{};
}

tl::expected<Unpacked, std::string> unpack_bundle(const std::string& path, const std::string& folder) {
    int problem = 0;
    const Zip zip{zip_open(path.c_str(), ZIP_RDONLY | ZIP_CHECKCONS, &problem)};
    if (!zip)
        return tl::unexpected{path + ": is no bundle: it cannot be opened as a zip file"};
    const zip_int64_t entries = zip_get_num_entries(zip.get(), 0);
    if (entries > most_files)
        return tl::unexpected{fmt::format("{}: holds {} files, more than a job has", path, entries)};
    std::optional<zip_uint64_t> job_at;
    std::vector<zip_uint64_t> others;
    for (zip_uint64_t i = 0; i < static_cast<zip_uint64_t>(std::max<zip_int64_t>(0, entries)); ++i) {
        const char* named = zip_get_name(zip.get(), i, 0);
        const std::string name = named ? named : "";
        if (!stays_inside(name))
            return tl::unexpected{fmt::format("{}: \"{}\" in it would land outside its folder", path, name)};
        if (name.back() == '/')
            continue;
        const bool is_job = name.ends_with(job_ending) && name.find('/') == std::string::npos;
        if (is_job && job_at)
            return tl::unexpected{path + ": holds two jobs"};
        if (is_job)
            job_at = i;
        else
            others.push_back(i);
    }
    if (!job_at)
        return tl::unexpected{path + ": holds no job"};
    const auto document = read_entry(zip.get(), *job_at, largest_job);
    if (!document)
        return tl::unexpected{path + ": its job cannot be read"};
    const std::string job_name = zip_get_name(zip.get(), *job_at, 0);
    if (const auto job = read_job(*document); !job)
        return tl::unexpected{fmt::format("{}, {}: {}", path, job_name, job.error().text())};
    std::error_code error;
    if (fs::exists(folder, error))
        return tl::unexpected{folder + ": is there already; choose a name that is free"};
    fs::create_directories(folder, error);
    Unpacked unpacked;
    unpacked.job_path = (fs::path{folder} / job_name).string();
    // Half a bundle is none.
    const auto fail = [&](const std::string& why) {
        fs::remove_all(folder, error);
        return tl::unexpected{why};
    };
    for (const zip_uint64_t i : others) {
        const std::string name = zip_get_name(zip.get(), i, 0);
        const auto content = read_entry(zip.get(), i, largest_file);
        if (!content)
            return fail(fmt::format("{}: {} in it cannot be read whole", path, name));
        const fs::path to = fs::path{folder} / name;
        fs::create_directories(to.parent_path(), error);
        if (const std::string wrong = write_whole(to.string(), *content); !wrong.empty())
            return fail(wrong);
        unpacked.files.push_back(to.string());
    }
    // The job last: where it is, all is there.
    if (const std::string wrong = write_whole(unpacked.job_path, *document); !wrong.empty())
        return fail(wrong);
    return unpacked;
}

} // namespace yes_square
