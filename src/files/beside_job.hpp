#pragma once

#include "core/job/job.hpp"

#include <string>
#include <vector>

/// What is kept in folders beside a job's file. Their names are the same in every language, so that a job that is given
/// to somebody else finds its own.
namespace yes_square {

/// "harbour-lane photos", beside the job.
std::string photo_folder(const std::string& job_path);
/// "harbour-lane versions".
std::string versions_folder(const std::string& job_path);

/// The photos that a job's log names, each once, by their paths.
struct PhotosOfJob {
    std::vector<std::string> there;
    std::vector<std::string> gone; ///< or named so that it would lie elsewhere
};
PhotosOfJob photos_of(const std::string& job_path, const Job& job);

} // namespace yes_square
