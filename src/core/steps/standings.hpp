#pragma once

#include "core/steps/job_order.hpp"

#include <vector>

/// How far each stage of a job is, as one fitter would tell another.
namespace yes_square {

enum class Progress { missing, wrong, done };

struct Standing {
    Progress progress = Progress::missing;
    std::vector<Sentence> words; ///< one after the other, with commas
};

Standing survey_standing(const Job& job, const Plan& plan);
Standing lines_standing(const Job& job, const Plan& plan);
Standing layout_standing(const Job& job, const Plan& plan);
/// Of everything that hangs or is held, whether it holds (`holds`).
Standing fixings_standing(const Plan& plan);
Standing cut_standing(const Job& job, const Plan& plan);
Standing fit_standing(const Job& job, const Plan& plan, const JobOrder& order);
Standing record_standing(const Job& job);

} // namespace yes_square
