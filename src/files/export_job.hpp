#pragma once

#include "core/job/job.hpp"
#include "core/plan/plan.hpp"

#include <set>
#include <string>
#include <vector>

namespace yes_square {

enum class ExportFormat { svg, dxf, csv, json };

/// Writes an elevation of each wall as <wall>.svg and <wall>.dxf, cutting plans as svg, every table as csv and the plan
/// as json into a folder, which is made. Each file is there whole or not at all. What went wrong, a line each; empty:
/// nothing did.
std::vector<std::string> export_job(const Job& job, const Plan& plan, const Voice& voice, const std::string& folder,
                                    const std::set<ExportFormat>& formats);

} // namespace yes_square
