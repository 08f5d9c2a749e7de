// Units taken from the list, several at once, and what stands between them.
#include "kitchen_window.hpp"

using namespace yes_square;
using namespace yes_square::app;

TEST_CASE("two units of the list go in at once, one takes another's place, and the run is mirrored",
          "[app][runs][rearrange]") {
    Kitchen kitchen{3000_mm};
    kitchen.open_folds();
    kitchen.choose_rows({"Wall unit  300", "Wall unit  600"});
    kitchen.press("add-unit");
    REQUIRE(kitchen.run().units.size() == 2);
    const std::string last = kitchen.run().units[1].id;
    const std::string name = kitchen.run().units[1].name;
    kitchen.library().clearSelection();
    kitchen.choose_rows({"Wall unit  450"});
    kitchen.press("replace-unit");
    CHECK(kitchen.run().units[1].id == last);
    CHECK(kitchen.run().units[1].name == name); // it is the same place at the wall
    CHECK(kitchen.run().units[1].width == 450_mm);

    const Run before = kitchen.run();
    kitchen.press("mirror-run"); // and back below
    CHECK(kitchen.run().slack != before.slack);
    kitchen.press("mirror-run");
    CHECK(kitchen.run() == before);
}

TEST_CASE("several units of the list are dragged to the wall at once, beside one another, and undone at once",
          "[app][runs][rearrange]") {
    Kitchen kitchen{3000_mm};
    kitchen.open_folds();
    kitchen.choose_rows({"Wall unit  300", "Wall unit  600"});
    kitchen.carry("Wall unit  600", 1200_mm, 1800_mm); // pressed on one of the two: both stay chosen
    REQUIRE(kitchen.job().walls.front().runs.size() == 1);
    REQUIRE(kitchen.run().units.size() == 2);
    CHECK(kitchen.run().units[0].width == 300_mm);
    CHECK(kitchen.run().units[1].width == 600_mm);
    kitchen.bench().undo_stack().undo();
    CHECK(kitchen.job().walls.front().runs.empty());
    kitchen.bench().undo_stack().redo();
    // Dropped on the left half of what stands there they go before it, still in their order.
    const Length first = kitchen.plan().units[0].place.left;
    kitchen.choose_rows({"Wall unit  300", "Wall unit  600"});
    kitchen.carry("Wall unit  300", first + 10_mm, 1800_mm);
    REQUIRE(kitchen.run().units.size() == 4);
    CHECK(kitchen.run().units[0].width == 300_mm);
    CHECK(kitchen.run().units[1].width == 600_mm);
    CHECK(kitchen.run().units[2].width == 300_mm);
}

TEST_CASE("a handle channel and a corner post are set in the window and drawn on the wall", "[app][runs]") {
    Kitchen kitchen{3000_mm};
    kitchen.open_folds();
    kitchen.choose_rows({"Base unit  600"});
    kitchen.press("add-unit");
    kitchen.choose_rows({"Corner post"});
    kitchen.press("add-unit");
    REQUIRE(kitchen.run().units.size() == 2);
    CHECK(kitchen.run().units[1].kind == UnitKind::corner_post);
    kitchen.type("unit-return_width", "75");
    CHECK(kitchen.run().units[1].return_width == 75_mm);
    kitchen.type("run-channel", "40");
    CHECK(kitchen.run().channel == 40_mm);
    CHECK(std::ranges::any_of(kitchen.plan().pieces, [](const RunPiece& piece) {
        return piece.what == RunPiece::What::channel && piece.breadth == 40_mm;
    }));
}
