#pragma once

#include "core/plan/plan.hpp"

#include <string>

namespace yes_square {

/// The plan as JSON: every mark, support, check and working under stable names, figures in SI with the unit stated.
/// The texts beside them are in the job's unit. See docs/plan-json.md.
std::string plan_json(const Job& job, const Plan& plan, const Voice& voice);

/// Its checks alone, with whose they are, and how many errors stand.
std::string checks_json(const Job& job, const Plan& plan, const Voice& voice);

} // namespace yes_square
