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
/// Whole or not at all: beside it first, then in its place.
bool write_text(const std::string& path, const std::string& text);

} // namespace yes_square::cli
