#include "core/sheets/tables.hpp"
#include "files/export_job.hpp"

namespace yes_square {
namespace {

void write_tables(const Exported& what, ExportFolder& to) {
    for (const Table& table : tables_of(what.job, what.plan))
        to.put(table.name + ".csv", csv(table));
}

void write_comma_tables(const Exported& what, ExportFolder& to) {
    for (const Table& table : tables_of(what.job, what.plan))
        to.put("decimal-comma/" + table.name + ".csv", csv(table, CsvFigures::with_commas));
}

} // namespace

ExportFormat csv_format() {
    return {"csv", "every table, figures with a decimal point", write_tables};
}

ExportFormat csv_comma_format() {
    return {"csv-comma", "the same with decimal commas, in a folder of their own, for spreadsheets set so",
            write_comma_tables};
}

} // namespace yes_square
