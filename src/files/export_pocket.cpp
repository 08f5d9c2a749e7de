#include "core/pocket/pocket_sheet.hpp"
#include "files/export_job.hpp"

namespace yes_square {
namespace {

void write_pocket(const Exported& what, ExportFolder& to) {
    to.put("pocket.html", pocket_sheet(what.job, what.plan, what.voice));
}

} // namespace

ExportFormat pocket_format() {
    return {"pocket", "the job as one page for a phone", write_pocket};
}

} // namespace yes_square
