#pragma once

#include "core/job/job.hpp"

#include <optional>
#include <string>

namespace yes_square {

/// What is wrong with a job or its file, and where: a member's path such as walls[0].shelves[1].depth, or a line and
/// column.
struct FileProblem {
    std::string place;
    std::string message;

    std::string text() const { return place.empty() ? message : place + ": " + message; }
};

/// Why a job could be saved and not be read again: a figure, a text or a list outside its range, an id used twice, a
/// room or line that is not there. The same table of ranges as the reader's; none: it can be read.
std::optional<FileProblem> job_problem(const Job& job);

/// The same after an edit, of what it changed: walls that are as they were are not looked at again, but for their ids.
std::optional<FileProblem> job_problem(const Job& job, const Job& before);

/// The same of a shelf by itself, as one that is only tried.
std::optional<FileProblem> job_problem(const Shelf& shelf);

/// Of that, what one part says of another.
std::optional<FileProblem> reference_problem(const Job& job);

} // namespace yes_square
