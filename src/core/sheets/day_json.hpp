#pragma once

#include "core/job/job.hpp"
#include "core/plan/plan.hpp"
#include "core/sheets/json_parts.hpp"

namespace yes_square {

/// Adds the day's parts of a wall: marks, lights, judged readings, what was made and is not wanted.
void write_day(Json& json, const WallPlan& plan, const JsonParts& parts);

/// Adds those of the whole job: its steps in their order, its parts and what they are cut from, its kit.
void write_job_day(Json& json, const Job& job, const Plan& plan, const Voice& voice);

} // namespace yes_square
