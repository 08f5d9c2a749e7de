// What the plan's JSON promises to other programs: docs/schema/plan-1.schema.json.
#include "../random_jobs.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/plan_json.hpp"
#include "demo_job.hpp"

#include <catch2/catch.hpp>
#include <fstream>
#include <memory>
#include <nlohmann/json.hpp>
#include <valijson/adapters/nlohmann_json_adapter.hpp>
#include <valijson/schema.hpp>
#include <valijson/schema_parser.hpp>
#include <valijson/validator.hpp>

using namespace yes_square;
using nlohmann::json;

namespace {

const valijson::Schema& promised() {
    static const auto made = [] {
        std::ifstream file{YES_SQUARE_SOURCE_DIR "/docs/schema/plan-1.schema.json"};
        const json text = json::parse(file);
        auto schema = std::make_unique<valijson::Schema>();
        const valijson::adapters::NlohmannJsonAdapter adapter{text};
        valijson::SchemaParser{}.populateSchema(adapter, *schema);
        return schema;
    }();
    return *made;
}

/// What breaks the promise, and where; empty: nothing does.
std::string broken(const json& plan) {
    valijson::Validator validator;
    valijson::ValidationResults results;
    const valijson::adapters::NlohmannJsonAdapter adapter{plan};
    if (validator.validate(promised(), adapter, &results))
        return {};
    std::string words;
    for (const auto& error : results) {
        for (const std::string& step : error.context)
            words += step;
        words += ": " + error.description + "\n";
    }
    return words;
}

json plan_of(const Job& job) {
    return json::parse(plan_json(job, reckon(job), {}));
}

} // namespace

TEST_CASE("the plan as JSON holds to its schema, for the demo and for random jobs", "[json][schema]") {
    CHECK(broken(plan_of(demo_job())) == "");
    RandomJobs jobs{2026};
    for (int i = 0; i < 80; ++i) {
        INFO("job " << i);
        CHECK(broken(plan_of(jobs.next())) == "");
    }
    for (int i = 0; i < 6; ++i) {
        INFO("room " << i);
        CHECK(broken(plan_of(jobs.room(4))) == "");
    }
}

TEST_CASE("the schema sees a member that is gone, a new one and one of another kind", "[json][schema]") {
    const json plan = plan_of(demo_job());
    json gone = plan;
    gone["walls"][0].erase("shelves");
    CHECK(broken(gone).find("shelves") != std::string::npos);
    json more = plan;
    more["walls"][0]["shelves"][0]["colour"] = "red";
    CHECK(broken(more).find("colour") != std::string::npos);
    json other = plan;
    other["walls"][0]["shelves"][0]["supports"][0]["x_m"] = "0.463";
    CHECK_FALSE(broken(other).empty());
    json older = plan;
    older["version"] = 2;
    CHECK_FALSE(broken(older).empty());
}
