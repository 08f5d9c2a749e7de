#include "core/job/schema.hpp"

#include <nlohmann/json.hpp>

#pragma GCC diagnostic push
#pragma GCC diagnostic ignored "-Wall"
#pragma GCC diagnostic ignored "-Wextra"
#pragma GCC diagnostic ignored "-Wpedantic"
#pragma GCC diagnostic ignored "-Wshadow"
#pragma GCC diagnostic ignored "-Wconversion"
#include <valijson/adapters/nlohmann_json_adapter.hpp>
#include <valijson/schema.hpp>
#include <valijson/schema_parser.hpp>
#include <valijson/validator.hpp>
#pragma GCC diagnostic pop

namespace yes_square {
namespace {

const valijson::Schema& schema() {
    static const valijson::Schema& parsed = []() -> const valijson::Schema& {
        static valijson::Schema made;
        static const nlohmann::json text = nlohmann::json::parse(job_schema());
        const valijson::adapters::NlohmannJsonAdapter adapter{text};
        valijson::SchemaParser{}.populateSchema(adapter, made);
        return made;
    }();
    return parsed;
}

/// valijson's context is <root>[walls][0][depth]; a path reads walls[0].depth.
std::string path(const std::vector<std::string>& context) {
    std::string text;
    for (std::size_t i = 1; i < context.size(); ++i) {
        const std::string& step = context[i];
        const bool index = step.size() > 2 && step[1] >= '0' && step[1] <= '9';
        if (index)
            text += step;
        else
            text += (text.empty() ? "" : ".") + step.substr(1, step.size() - 2);
    }
    return text;
}

} // namespace

std::optional<FileProblem> schema_problem(const nlohmann::json& document) {
    valijson::Validator validator;
    valijson::ValidationResults results;
    const valijson::adapters::NlohmannJsonAdapter adapter{document};
    if (validator.validate(schema(), adapter, &results))
        return std::nullopt;
    // The deepest error is the one that names the member at fault.
    FileProblem deepest;
    std::size_t depth = 0;
    for (valijson::ValidationResults::Error error; results.popError(error);)
        if (error.context.size() >= depth) {
            depth = error.context.size();
            deepest = {path(error.context), "not as docs/schema says: " + error.description};
        }
    return deepest;
}

} // namespace yes_square
