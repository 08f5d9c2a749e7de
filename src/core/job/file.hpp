#pragma once

#include "core/job/job.hpp"
#include "core/job/job_problem.hpp"

#include <string>
#include <string_view>
#include <tl/expected.hpp>

/// The `.yesq` format: one JSON document per job. See docs/file-format.md and docs/schema/.
namespace yes_square {

inline constexpr int file_version = 1;
inline constexpr std::string_view file_format = "yes-square job";

struct LoadedJob {
    Job job;
    /// Written by a newer version of the program: members may mean more than this one knows, so it is not saved over.
    bool newer_version = false;
};

/// Reads and validates a whole document. Never throws on any text; the first problem found is named.
tl::expected<LoadedJob, FileProblem> read_job(std::string_view text);

/// The document for a job, with the members it was read with that this version does not know.
std::string write_job(const Job& job);

/// Reads a catalogue document, as in assets/catalogue.
tl::expected<Catalogue, FileProblem> read_catalogue(std::string_view text);
std::string write_catalogue(const Catalogue& catalogue);

} // namespace yes_square
