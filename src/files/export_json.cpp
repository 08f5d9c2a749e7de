#include "core/sheets/plan_json.hpp"
#include "files/export_job.hpp"

namespace yes_square {
namespace {

void write_plan(const Exported& what, ExportFolder& to) {
    to.put("plan.json", plan_json(what.job, what.plan, what.voice));
}

} // namespace

ExportFormat json_format() {
    return {"json", "the whole plan, with its workings", write_plan};
}

} // namespace yes_square
