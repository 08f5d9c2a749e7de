#include "shelf_walls.hpp"

#include <rapidcheck.h>
#include <rapidcheck/catch.h>

using namespace yes_square;

namespace {

Shelf plain_shelf() {
    Shelf shelf;
    shelf.left = 400_mm;
    shelf.height = 1500_mm;
    shelf.length = 1200_mm;
    shelf.depth = 250_mm;
    shelf.thickness = 22_mm;
    return shelf;
}

} // namespace

TEST_CASE("no shelf however strange makes reckon throw or loop", "[reckon][property]") {
    rc::prop("random shelves on random walls", [] {
        Job job = job_with(*rc::gen::arbitrary<bool>() ? stud_wall() : masonry_wall(), plain_shelf());
        Wall& wall = job.walls[0];
        const auto length = [](int from, int to) { return Length::mm(*rc::gen::inRange(from, to)); };
        wall.length = length(1, 20'000);
        wall.height = length(1, 6'000);
        for (Stud& stud : wall.studs)
            stud = {length(0, 9'000), static_cast<StudState>(*rc::gen::inRange(0, 3)), length(0, 30), {}};
        wall.services.push_back({static_cast<ServiceKind>(*rc::gen::inRange(0, 3)),
                                 length(0, 4'000),
                                 length(-10, 3'000),
                                 length(1, 400),
                                 {}});
        wall.openings.push_back(
            {OpeningKind::window, length(0, 4'000), length(0, 2'000), length(1, 3'000), length(1, 2'000), {}});
        for (int i = 0; i < 2; ++i) {
            Shelf shelf = plain_shelf();
            shelf.id = "extra-" + std::to_string(i);
            shelf.left = length(-2'000, 9'000);
            shelf.height = length(-500, 4'000);
            shelf.length = length(1, 12'000);
            shelf.depth = length(1, 900);
            shelf.thickness = length(1, 80);
            shelf.material = static_cast<BoardMaterial>(*rc::gen::inRange(0, 13));
            shelf.load = {static_cast<LoadKind>(*rc::gen::inRange(0, 5)),
                          LineMass::kg_per_metre(*rc::gen::inRange(0, 900))};
            shelf.school = static_cast<School>(*rc::gen::inRange(0, 3));
            shelf.extra_brackets = *rc::gen::inRange(0, 8);
            wall.shelves.push_back(shelf);
        }
        const Plan plan = reckon(job);
        RC_ASSERT(plan.walls[0]->shelves.size() == 3u);
        for (const ShelfPlan& shelf : plan.walls[0]->shelves)
            for (std::size_t i = 1; i < shelf.brackets.size(); ++i)
                RC_ASSERT(shelf.brackets[i].x > shelf.brackets[i - 1].x);
    });
}
