#pragma once

#include "core/plan/plan.hpp"

#include <string>

namespace yes_square {

/// The plan in plain text: marks, fixings, checks and cures of every shelf.
std::string summary(const Job& job, const Plan& plan, const Voice& voice);

/// Only the checks, one a line: "error  North wall, Low shelf: ...".
std::string checks_text(const Job& job, const Plan& plan, const Voice& voice);

/// One working as a person would write it: title, sum with its figures, result, terms with their provenance.
std::string working_text(const Working& working, const Voice& voice);

/// The sum of a working with its figures put in, and its result: "(1420 mm - 50 mm - 50 mm) / 2 = 660 mm". Empty where
/// the working is a list of facts.
std::string sum_text(const Working& working, const Voice& voice);

/// "measured", or "from memory: EN 622-5".
std::string source_text(const Source& source, const Voice& voice);

/// What a bracket holds in, in words: "proved stud".
std::string_view words(Substrate substrate);

} // namespace yes_square
