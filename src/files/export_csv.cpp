#include "core/sheets/tables.hpp"
#include "files/export_job.hpp"

namespace yes_square {
namespace {

void write_tables(const Exported& what, ExportFolder& to) {
    for (const Table& table : tables_of(what.job, what.plan))
        to.put(table.name + ".csv", csv(table));
}

} // namespace

ExportFormat csv_format() {
    return {"csv", "every table", write_tables};
}

} // namespace yes_square
