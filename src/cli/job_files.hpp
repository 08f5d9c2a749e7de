#pragma once

#include "core/job/job.hpp"

#include <optional>
#include <string>
#include <string_view>

/// What every command does with files; what goes wrong is said on the error stream.
namespace yes_square::cli {

/// Instead of a file's name: what comes in, or where the result goes.
constexpr std::string_view standard_stream = "-";

constexpr int has_errors = 1;
constexpr int bad_input = 2;

constexpr const char* both_want_output = "--json and the job both want standard output: give --to a file's name";
/// Says it on the error stream. @returns the exit status of bad input
int fail(const std::string& message);

std::optional<std::string> read_text(const std::string& path);
/// The job in a file; none: it has been said what is wrong and where.
/// @param unit  by its name in files, to show lengths in; empty: the job's own
std::optional<Job> load(const std::string& path, const std::string& unit = {});
/// Whole or not at all, and not while a window has it open; or to the output stream.
bool save(const std::string& path, const Job& job);

} // namespace yes_square::cli
