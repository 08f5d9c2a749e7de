#pragma once

#include "core/job/job.hpp"

#include <optional>
#include <string>

/// What every command does with files; what goes wrong is said on the error stream.
namespace yes_square::cli {

constexpr int has_errors = 1;
constexpr int bad_input = 2;

std::optional<std::string> read_text(const std::string& path);
/// The job in a file; none: it has been said what is wrong and where.
std::optional<Job> load(const std::string& path);
/// Whole or not at all, and not while a window has it open.
bool save(const std::string& path, const Job& job);

} // namespace yes_square::cli
