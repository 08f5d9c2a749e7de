#include "core/job/edits.hpp"

#include <catch2/catch.hpp>

using namespace yes_square;

namespace {

Job two_walls() {
    Job job = new_job();
    job.rooms = {{"room-1", "Room", ServiceClass::dry, {}}};
    for (const char* id : {"wall-1", "wall-2"}) {
        Wall wall;
        wall.id = id;
        wall.room = "room-1";
        Shelf shelf;
        shelf.id = std::string{"shelf-of-"} + id;
        shelf.length = 900_mm;
        wall.shelves.push_back(shelf);
        job.walls.push_back(wall);
    }
    return job;
}

} // namespace

TEST_CASE("an edit changes the shelf it names and nothing else", "[job]") {
    const Job before = two_walls();
    const std::string id = "shelf-of-wall-2";
    const Job moved = apply(MoveShelf{id, 120_mm, 1500_mm}, before);
    CHECK(moved.walls[0] == before.walls[0]);
    CHECK(moved.walls[1].shelves[0].left == 120_mm);
    CHECK(moved.walls[1].shelves[0].height == 1500_mm);
    CHECK(moved.walls[1].shelves[0].length == 900_mm);

    const Job resized = apply(ResizeShelf{id, 50_mm, 700_mm}, before);
    CHECK(resized.walls[1].shelves[0].right() == 750_mm);
    CHECK(apply(ChooseBracket{id, "flat-200"}, before).walls[1].shelves[0].bracket == "flat-200");
    const Job laid_out = apply(ChooseLayout{id, School::even, 2}, before);
    CHECK(laid_out.walls[1].shelves[0].school == School::even);
    CHECK(laid_out.walls[1].shelves[0].extra_brackets == 2);
    const Job thicker = apply(ChooseBoard{id, BoardMaterial::red_oak, 27_mm}, before);
    CHECK(thicker.walls[1].shelves[0].material == BoardMaterial::red_oak);
    CHECK(thicker.walls[1].shelves[0].thickness == 27_mm);
}

TEST_CASE("an edit of a shelf that is gone leaves the job as it is", "[job]") {
    const Job before = two_walls();
    CHECK(apply(MoveShelf{"nowhere", 1_mm, 1_mm}, before) == before);
    CHECK(find_shelf(before, "nowhere") == nullptr);
    CHECK(wall_of(before, "nowhere") == nullptr);
    CHECK(wall_of(before, "shelf-of-wall-2")->id == "wall-2");
}

TEST_CASE("a fresh id is one that nothing has", "[job]") {
    Job job = two_walls();
    CHECK(fresh_id(job, "wall") == "wall-3");
    CHECK(fresh_id(job, "shelf") == "shelf-1");
    job.walls[0].shelves[0].id = "shelf-1";
    CHECK(fresh_id(job, "shelf") == "shelf-2");
}
