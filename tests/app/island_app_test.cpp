#include "one_wall_window.hpp"

#include "core/job/edits.hpp"
#include "core/lines/room_lines.hpp"

#include <QLabel>
#include <QListWidget>
#include <QPushButton>

using namespace yes_square;
using namespace yes_square::app;

namespace {

/// A brick wall in a room with the usual lines, in Survey.
struct IslandWindow : OneWallWindow {
    IslandWindow()
        : OneWallWindow{true} {
        const HouseLines house = house_lines(Unit::mm, job().rules.runs);
        bench().apply("lines", TakeLines{job().rooms.front().id, house.lines, house.relations});
        window.set_stage(Stage::survey);
        window.survey().set_page(SurveyPage::wall);
        QTest::qWait(1);
    }
    void press(const char* button) {
        QTest::mouseClick(find<QPushButton>(button), Qt::LeftButton);
        QTest::qWait(1);
    }
    const OpenFloor& floor() { return std::get<OpenFloor>(bench().wall()->structure); }
    /// From the list of units to the wall in hand, by keyboard.
    void hang(const char* words) {
        window.set_stage(Stage::layout);
        QTest::qWait(1);
        auto* library = find<QListWidget>("unit-library");
        for (int row = 0; row < library->count(); ++row)
            if (library->item(row)->text().startsWith(QString::fromLatin1(words)))
                library->setCurrentRow(row);
        library->setFocus();
        QTest::keyClick(library, Qt::Key_Return);
        QTest::qWait(1);
    }
};

} // namespace

TEST_CASE("an island is added before a wall, its other side behind it, units on both", "[app][islands]") {
    IslandWindow driven;
    driven.press("add-island");
    REQUIRE(driven.job().walls.size() == 2);
    CHECK(driven.bench().wall_index() == 1);
    CHECK(driven.floor().from == "wall-1");
    CHECK(driven.floor().faces_wall);
    driven.type("wall-length", "1800");
    driven.type("island-along", "1000");
    driven.type("island-out", "2150");
    CHECK(driven.floor().along == 1000_mm);
    CHECK(driven.floor().out == 2150_mm);
    // Boards are asked for where the floor is of boards.
    CHECK_FALSE(driven.find<QLineEdit>("island-boards")->isVisible());
    driven.pick("island-floor", "Boards on joists");
    QTest::qWait(1);
    CHECK(driven.find<QLineEdit>("island-boards")->isVisible());
    driven.type("island-boards", "19");
    CHECK(driven.floor().boards == 19_mm);
    // Nothing of a wall's own is asked for.
    for (const char* of_a_wall : {"lining-1", "wall-left-end", "stud-species"})
        CHECK_FALSE(driven.find<QComboBox>(of_a_wall)->isVisible());
    driven.type("island-out", "-5");
    CHECK(driven.floor().out == 2150_mm);

    CHECK(driven.find<QPushButton>("add-island")->text() == "Add its other side");
    driven.press("add-island");
    REQUIRE(driven.job().walls.size() == 3);
    CHECK(driven.floor().from == driven.job().walls[1].id);
    CHECK(driven.floor().boards == 19_mm); // the same floor
    CHECK(driven.bench().wall()->length == 1800_mm);
    CHECK_FALSE(driven.find<QLineEdit>("island-along")->isVisible());
    driven.type("island-gap", "40");
    CHECK(driven.floor().out == 40_mm);

    driven.hang("Base unit  600");
    REQUIRE(driven.bench().wall()->runs.size() == 1);
    driven.bench().select_wall(1);
    driven.hang("Base unit  600");
    const RunPlan& run = driven.bench().wall_plan()->runs.front();
    REQUIRE(run.islands.size() == 1);
    CHECK(run.islands.front().pull > 0);
    CHECK(holds(run) == Holds::yes);
    // The room from above is the key from wall to wall: three to go to.
    CHECK(driven.bench().plan().rooms.front().plan.islands.size() == 2);
}

TEST_CASE("a wall that is told to be none asks where it stands", "[app][islands]") {
    IslandWindow driven;
    driven.press("add-wall");
    driven.pick("wall-structure", "No wall: an island");
    QTest::qWait(1);
    CHECK(driven.find<QComboBox>("island-from")->currentText() == "Not said yet");
    const auto unplaced = [&] {
        return std::ranges::any_of(driven.bench().wall_plan()->survey.checks, [](const Check& check) {
            return check.code.name() == std::string_view{"island_unplaced"};
        });
    };
    CHECK(unplaced());
    driven.pick("island-from", "Wall");
    CHECK(driven.floor().from == "wall-1");
    CHECK_FALSE(unplaced());
    driven.bench().undo_stack().undo();
    CHECK(unplaced());
}
