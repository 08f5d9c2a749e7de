#pragma once

#include "core/job/file.hpp"

#include <nlohmann/json_fwd.hpp>
#include <optional>

namespace yes_square {

/// Holds a document against docs/schema/yesq-1.schema.json, which is compiled in. The reader's own messages are
/// plainer and come first; this catches whatever the published schema forbids besides.
std::optional<FileProblem> schema_problem(const nlohmann::json& document);

} // namespace yes_square
