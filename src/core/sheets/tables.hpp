#pragma once

#include "core/job/job.hpp"
#include "core/measure/csv_table.hpp"
#include "core/plan/plan.hpp"

#include <string>
#include <vector>

namespace yes_square {

/// A table as it goes to a file: lengths in mm with a point, whatever the job shows.
struct Table {
    std::string name; ///< of its file: "marks"
    std::vector<std::string> headings;
    std::vector<std::vector<std::string>> rows;
};

/// Every table of a job: marks, studs, fixings, cut-list, bench-work, cutting-plan, kit, delivery, steps, days, checks,
/// readings, log, tipping, feeds, lines.
std::vector<Table> tables_of(const Job& job, const Plan& plan);

/// See csv_line.
std::string csv(const Table& table, CsvFigures figures = CsvFigures::with_points);

} // namespace yes_square
