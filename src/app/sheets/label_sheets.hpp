#pragma once

#include "app/sheets/page.hpp"
#include "core/job/job.hpp"
#include "core/plan/plan.hpp"

#include <QPageSize>

/// Labels to stick on parts and on shelves, on plain paper or on sheets of stickers.
namespace yes_square::app {

/// On paper to cut out, with the other sheets of a job. @return whether there was anything
bool write_plain_part_labels(Page& page, const Job& job, const Plan& plan);
bool write_plain_load_labels(Page& page, const Job& job, const Plan& plan);

/// On what the house prints its labels on.
bool write_part_labels(Page& page, const Job& job, const Plan& plan);
bool write_load_labels(Page& page, const Job& job, const Plan& plan);
QPageSize label_paper(const Job& job);

} // namespace yes_square::app
