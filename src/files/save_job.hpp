#pragma once

#include "core/job/job.hpp"

#include <string>

/// How the command line puts files on the disk: as carefully as the window does.
namespace yes_square {

/// Writes a file beside its place first, flushes it, then puts it there: the file that a link points to, with the
/// rights it had. A text: what went wrong; empty: nothing did.
std::string write_whole(const std::string& path, const std::string& text);

/// Saves a job: not while a window has it open, not what could not be read again, and the version before stays beside
/// it as NAME~. A text: what went wrong; empty: nothing did.
std::string save_job(const std::string& path, const Job& job);

} // namespace yes_square
