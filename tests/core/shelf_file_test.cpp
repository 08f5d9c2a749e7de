#include "core/job/file.hpp"
#include "core/job/schema.hpp"
#include "core/shelves/new_shelf.hpp"
#include "shelf_walls.hpp"

#include <nlohmann/json.hpp>

using namespace yes_square;

TEST_CASE("every kind goes through the file and its schema unchanged", "[file][schema][kinds]") {
    for (const ShelfPreset& kind : all_kinds()) {
        INFO(kind.words);
        Shelf shelf = new_shelf(kind, stud_wall());
        shelf.joints = {500_mm};
        shelf.hangers = {250_mm};
        shelf.lip = Lip{BoardMaterial::red_oak, 20_mm, 40_mm, {}};
        shelf.goods = {{"Loudspeaker", 200_mm, 200_mm, 8.5_kg, {}}};
        const Job job = job_with(stud_wall(), shelf);
        const std::string text = write_job(job);
        CHECK_FALSE(schema_problem(nlohmann::json::parse(text)));
        const auto again = read_job(text);
        if (!again)
            FAIL(again.error().text());
        CHECK(again->job == job);
    }
}

TEST_CASE("an unknown way of hanging is refused by name, and unknown members of a known one are kept",
          "[file][kinds]") {
    auto document =
        nlohmann::json::parse(write_job(job_with(stud_wall(), new_shelf(shelf_preset("pole"), stud_wall()))));
    auto& held = document["walls"][0]["shelves"][0]["held_by"];
    held["colour"] = "brass";
    const auto kept = read_job(document.dump());
    if (!kept)
        FAIL(kept.error().text());
    CHECK(nlohmann::json::parse(write_job(kept->job))["walls"][0]["shelves"][0]["held_by"]["colour"] == "brass");
    held["kind"] = "glue";
    const auto refused = read_job(document.dump());
    REQUIRE_FALSE(refused);
    CHECK(refused.error().text().find("walls[0].shelves[0].held_by.kind: \"glue\" is not known") == 0);
}
