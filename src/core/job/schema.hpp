#pragma once

#include "core/job/file.hpp"

#include <nlohmann/json_fwd.hpp>
#include <optional>
#include <string>

namespace yes_square {

/// The JSON Schema of a job file, as `fields` names and describes the members: what docs/schema/yesq-1.schema.json is
/// made from, by `yes-square-cli schema`.
std::string job_schema();

/// Holds a document against it. The reader's own messages are
/// plainer and come first; this catches whatever the published schema forbids besides.
std::optional<FileProblem> schema_problem(const nlohmann::json& document);

} // namespace yes_square
