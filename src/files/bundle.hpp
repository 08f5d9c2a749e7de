#pragma once

#include "core/job/job.hpp"

#include <string>
#include <tl/expected.hpp>
#include <utility>
#include <vector>

/// A job in one file, to be sent or put away: a zip with the job, its photos and what was printed of it, so that
/// anybody can look into it without this program.
namespace yes_square {

/// Files of this name end with it.
inline constexpr std::string_view bundle_ending = ".yesq.zip";

struct BundleFile {
    std::string name; ///< in the bundle: "sheets/steps.pdf"
    std::string path; ///< on the disk
};

/// Writes a bundle, whole or not at all. A text: what went wrong; empty: nothing did.
/// @param job_name  without its ending: "harbour-lane"
/// @param photos    paths; they go into the folder that the job looks for them in
std::string write_bundle(const std::string& path, const std::string& job_name, const Job& job,
                         const std::vector<std::string>& photos, const std::vector<BundleFile>& files);

/// What a bundle came to on the disk.
struct Unpacked {
    std::string job_path;
    std::vector<std::string> files;
};

/// Unpacks a bundle into a folder of its own under `folder`, which must not be there yet: the job and its files, none
/// of them outside it, links and what is too large left out. The job is read before anything is written.
/// Error: what is wrong with it, naming the file; the folder is not there then.
tl::expected<Unpacked, std::string> unpack_bundle(const std::string& path, const std::string& folder);

} // namespace yes_square
