#pragma once

#include "core/job/job.hpp"
#include "core/plan/plan.hpp"

#include <string>
#include <tl/expected.hpp>

namespace yes_square {

/// What came back from a phone.
struct PocketTaken {
    std::size_t ticks = 0; ///< marks and steps that were not ticked before
    std::size_t holes = 0; ///< of them, in the wall with all they take
    std::size_t notes = 0;
    std::size_t readings = 0;
    std::size_t gone = 0; ///< ticks of what the plan no longer has: they are in the logbook
};

/// Puts into a job what was ticked, read and noted on its pocket sheet, as work at the wall puts it there: a hole whose
/// every walk is ticked is in the wall. What the plan no longer has goes into the logbook by its name; nothing is lost.
/// Taking the same file in again changes nothing.
/// @param plan  of the job as it is
/// @return the job is as it was where the file cannot be taken; the text names the place and what is wrong there
tl::expected<PocketTaken, std::string> take_pocket(Job& job, const Plan& plan, std::string_view file);

} // namespace yes_square
