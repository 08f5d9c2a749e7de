// What is done to things as a whole, the tape, the box that finds, what is pointed out, and the board as it is heard.
#include "../hall.hpp"
#include "app/board/board_access.hpp"
#include "app/board/drawing_view.hpp"
#include "app/cut/cut_panel.hpp"
#include "app/fit/fit_panel.hpp"
#include "app/hands/find_box.hpp"
#include "app/hands/hands.hpp"
#include "app/shell/next_line.hpp"
#include "driven_window.hpp"

#include <QAbstractButton>
#include <QAccessible>
#include <QClipboard>
#include <QContextMenuEvent>
#include <QGuiApplication>
#include <QListWidget>
#include <QMenu>
#include <QUndoView>

using namespace yes_square;
using namespace yes_square::app;

namespace {

/// Two walls, the first with two shelves of unlike height.
Job two_walls() {
    Job job = hall_with_shelf();
    Shelf second = job.walls.front().shelves.front();
    second.id = "shelf-2";
    second.name = "Shelf 2";
    second.left = 1400_mm;
    second.height += 200_mm;
    job.walls.front().shelves.push_back(second);
    Wall other = job.walls.front();
    other.id = "wall-2";
    other.name = "Back wall";
    other.shelves.clear();
    job.walls.push_back(other);
    return job;
}

struct TwoWalls : DrivenWindow {
    TwoWalls() {
        bench().start(two_walls());
        window.set_stage(Stage::layout);
        bench().select("shelf");
        window.board().setFocus();
        QTest::qWait(10);
    }
    const Shelf& shelf(std::size_t n) { return job().walls.front().shelves[n]; }
    void click_with(Qt::KeyboardModifiers held, const Shelf& shelf) {
        BoardView& board = window.board();
        QTest::mouseClick(&board, Qt::LeftButton, held,
                          board.place(shelf.left + 30_mm, shelf.height - shelf.thickness / 2).toPoint());
    }
};

QAction* row(QMenu* menu, const QString& words) {
    REQUIRE(menu);
    for (QAction* action : menu->actions())
        if (action->text() == words)
            return action;
    return nullptr;
}

} // namespace

TEST_CASE("one more like it, by its key", "[app][hands]") {
    TwoWalls driven;
    QTest::keyClick(&driven.window, Qt::Key_D, Qt::ControlModifier);
    REQUIRE(driven.job().walls.front().shelves.size() == 3);
    CHECK(driven.bench().shelf()->id == driven.shelf(2).id); // the new one is in hand
    CHECK(driven.shelf(2).name == "Shelf 3");
    driven.bench().undo_stack().undo();
    CHECK(driven.job().walls.front().shelves.size() == 2);
}

TEST_CASE("copied here, hung on another wall and reckoned there", "[app][hands]") {
    TwoWalls driven;
    QTest::keyClick(&driven.window, Qt::Key_C, Qt::ControlModifier);
    driven.bench().select_wall(1);
    QTest::keyClick(&driven.window, Qt::Key_V, Qt::ControlModifier);
    REQUIRE(driven.job().walls[1].shelves.size() == 1);
    CHECK(driven.job().walls[1].shelves.front().left == driven.shelf(0).left); // the wall is free: same place
    CHECK(driven.bench().plan().walls[1]->shelves.front().holes.size() ==
          driven.bench().plan().walls[0]->shelves.front().holes.size());
    QGuiApplication::clipboard()->setText("a shopping list");
    QTest::keyClick(&driven.window, Qt::Key_V, Qt::ControlModifier);
    REQUIRE(driven.told.size() == 1);
    CHECK(driven.told.front().contains("copy it first"));
}

TEST_CASE("several are taken in hand with Ctrl, moved by the arrows, levelled from the menu", "[app][hands]") {
    TwoWalls driven;
    driven.click_with(Qt::ControlModifier, driven.shelf(1));
    CHECK(driven.bench().selected_ids() == std::vector<std::string>{"shelf-2", "shelf"});
    CHECK(driven.bench().shelf()->id == "shelf-2");
    const Length before[]{driven.shelf(0).left, driven.shelf(1).left};
    QTest::keyClick(&driven.window.board(), Qt::Key_Right);
    CHECK(driven.shelf(0).left == before[0] + 1_mm);
    CHECK(driven.shelf(1).left == before[1] + 1_mm);
    CHECK(driven.bench().selected_ids().size() == 2); // still together
    driven.window.hands().arrange_as(Arrangement::tops_level);
    CHECK(driven.shelf(0).height == driven.shelf(1).height);
    driven.bench().undo_stack().undo();
    CHECK(driven.shelf(0).height != driven.shelf(1).height);
    driven.click_with(Qt::ControlModifier, driven.shelf(1)); // let go of again
    CHECK(driven.bench().selected_ids() == std::vector<std::string>{"shelf"});
    driven.window.hands().arrange_as(Arrangement::tops_level);
    REQUIRE_FALSE(driven.told.isEmpty());
    CHECK(driven.told.back().contains("Ctrl"));
    QTest::keyClick(&driven.window, Qt::Key_A, Qt::ControlModifier);
    CHECK(driven.bench().selected_ids().size() == 2);
}

TEST_CASE("a right click offers what can be done with what lies there", "[app][hands]") {
    TwoWalls driven;
    const Shelf on = driven.shelf(1);
    QMenu* of_shelf = driven.menu_at(on.left + 30_mm, on.height - on.thickness / 2);
    CHECK(driven.bench().shelf()->id == "shelf-2"); // what is clicked is in hand
    REQUIRE(row(of_shelf, "Duplicate"));
    REQUIRE(row(of_shelf, "Remove"));
    row(of_shelf, "Remove")->trigger();
    CHECK(driven.job().walls.front().shelves.size() == 1);
    delete of_shelf;
    QMenu* of_wall = driven.menu_at(2800_mm, 400_mm);
    CHECK(row(of_wall, "Put something on this wall"));
    CHECK(row(of_wall, "Pull a tape"));
    CHECK_FALSE(row(of_wall, "Duplicate"));
    delete of_wall;
    // By its key, of what is in hand.
    QContextMenuEvent key{QContextMenuEvent::Keyboard, QPoint{}, QPoint{}};
    QCoreApplication::sendEvent(&driven.window.board(), &key);
    CHECK(row(driven.window.findChild<QMenu*>("wall-menu"), "Duplicate"));
}

TEST_CASE("a tape is pulled between two places, with the pointer and by the keys", "[app][hands][tape]") {
    TwoWalls driven;
    BoardView& board = driven.window.board();
    const Job before = driven.job();
    QTest::keyClick(&driven.window, Qt::Key_T, Qt::ControlModifier);
    const Shelf on = driven.shelf(0);
    // A few pixels beside them it takes hold of the shelf's end and of the stud at 1200, edge 1181.
    const QPoint from = board.place(on.left, on.height).toPoint() + QPoint{2, -2};
    const QPoint to = board.place(1181_mm, on.height).toPoint() + QPoint{-1, -2};
    QTest::mousePress(&board, Qt::LeftButton, {}, from);
    QTest::mouseMove(&board, (from + to) / 2);
    QTest::mouseMove(&board, to);
    QTest::mouseRelease(&board, Qt::LeftButton, {}, to);
    CHECK(board.tape().words({}) == "831 mm along, 0 mm up"); // 1181 - 350
    CHECK(driven.job() == before);                            // measuring moves nothing
    QTest::keyClick(&board, Qt::Key_Left);
    QTest::keyClick(&board, Qt::Key_Up, Qt::ShiftModifier);
    CHECK(board.tape().words({}) == "830 mm along, 10 mm up, 830 mm across");
    QTest::keyClick(&board, Qt::Key_Escape);
    CHECK_FALSE(board.tape().out());
    QTest::keyClick(&board, Qt::Key_Right); // and the arrows move the shelf again
    CHECK(driven.shelf(0).left == on.left + 1_mm);
}

TEST_CASE("a bracket is pulled to its place and pinned there, typed, and let go of", "[app][hands][pins]") {
    TwoWalls driven;
    REQUIRE(driven.bench().shelf_plan()->brackets.size() >= 2);
    const Length at = driven.bench().shelf_plan()->brackets.front().x;
    const PlannedHole hole = driven.bench().shelf_plan()->holes.front();
    const Length under = hole.z - 50_mm; // on its leg, between its holes
    driven.drag(at, hole.z, at + 30_mm, hole.z);
    CHECK(driven.shelf(0).pins.size() == 1); // by a hole
    driven.drag(driven.shelf(0).left + driven.shelf(0).pins.front(), under, at + 60_mm, under);
    REQUIRE(driven.shelf(0).pins.size() == 1);
    const Length pinned = driven.shelf(0).left + driven.shelf(0).pins.front();
    CHECK(absolute(pinned - (at + 60_mm)) <= 5_mm); // to the pixel
    CHECK(driven.shelf(0).left == 350_mm);          // the shelf stays
    CHECK(std::ranges::any_of(driven.bench().shelf_plan()->brackets,
                              [&](const BracketPlan& place) { return place.x == pinned && place.pinned; }));
    CHECK(driven.bench().undo_stack().undoText() == "Pin a bracket");

    driven.window.ask_text = [](const QString&, const QString&) { return QStringLiteral("430"); };
    QMenu* menu = driven.menu_at(pinned, under);
    REQUIRE(row(menu, "Pin it at..."));
    row(menu, "Pin it at...")->trigger();
    CHECK(driven.shelf(0).pins == std::vector<Length>{80_mm}); // 430 - 350
    delete menu;
    driven.window.ask_text = [](const QString&, const QString&) { return QStringLiteral("4300"); };
    menu = driven.menu_at(430_mm, under);
    row(menu, "Pin it at...")->trigger();
    REQUIRE(driven.told.size() == 1); // no board there; nothing is lost
    CHECK(driven.told.front().contains("runs from 350 mm to 850 mm"));
    CHECK(driven.shelf(0).pins == std::vector<Length>{80_mm});
    delete menu;
    menu = driven.menu_at(430_mm, under);
    row(menu, "Let go of it")->trigger();
    CHECK(driven.shelf(0).pins.empty());
    delete menu;
}

TEST_CASE("found by name: walls, things, sums, what the menus do", "[app][hands][find]") {
    TwoWalls driven;
    const auto all = driven.window.findables();
    const auto first = [&](const QString& typed) {
        const auto rows = found(all, typed);
        REQUIRE_FALSE(rows.empty());
        return rows.front();
    };
    first("back wall")->go();
    CHECK(driven.bench().wall()->name == "Back wall");
    first("shelf 2")->go();
    CHECK(driven.bench().wall()->name == "Hall wall");
    CHECK(driven.bench().shelf()->id == "shelf-2");
    CHECK(driven.window.board().pointed_out());
    first("DUPLIC")->go();
    CHECK(driven.job().walls.front().shelves.size() == 3);
    const auto sums = found(all, "Sum of Shelf 1");
    REQUIRE_FALSE(sums.empty());
    sums.front()->go();
    CHECK_FALSE(driven.bench().subject().empty());
    CHECK(found(all, "no such thing at all").empty());

    QTest::keyClick(&driven.window, Qt::Key_F, Qt::ControlModifier);
    auto* box = driven.find<QDialog>("find-box");
    QTest::keyClicks(driven.find<QLineEdit>("find-words"), "back");
    CHECK(driven.find<QListWidget>("find-rows")->currentItem()->text() == "Wall: Back wall");
    QTest::keyClick(driven.find<QLineEdit>("find-words"), Qt::Key_Return);
    QTest::qWait(20);
    CHECK(driven.bench().wall()->name == "Back wall");
    CHECK(box != nullptr);
}

TEST_CASE("what was done is a list to go back in", "[app][hands]") {
    TwoWalls driven;
    const Job before = driven.job();
    QTest::keyClick(&driven.window.board(), Qt::Key_Right);
    QTest::keyClick(&driven.window, Qt::Key_D, Qt::ControlModifier);
    for (const Findable& each : driven.window.findables())
        if (each.words.contains("What was done"))
            each.go();
    auto* rows = driven.find<QUndoView>("history-rows");
    REQUIRE(rows->model()->rowCount() == 3); // as it was, moved, duplicated
    rows->setCurrentIndex(rows->model()->index(0, 0));
    CHECK(driven.job() == before);
}

TEST_CASE("the board points at what is in hand: a check, a step, a part, a hole", "[app][hands][board]") {
    DrivenWindow driven;
    driven.open_demo();
    BoardView& board = driven.window.board();
    driven.bench().select_wall(0);

    driven.window.next_line().checks().setChecked(true);
    QTest::qWait(5);
    int shown = 0;
    for (auto* button : driven.window.findChildren<QAbstractButton*>())
        if (button->objectName().startsWith("show-") && button->objectName() != "show-checks" && button->isVisible() &&
            shown < 6) {
            ++shown;
            button->click(); // the list may be made anew by it
            QTest::qWait(1);
            CHECK(board.pointed_out());
            break;
        }
    CHECK(shown > 0);

    driven.window.set_stage(Stage::fit);
    auto* steps = driven.find<QTableWidget>("job-steps");
    steps->setFocus();
    for (int row = 0; row < steps->rowCount(); ++row)
        if (!steps->item(row, 2)->text().isEmpty()) {
            steps->setCurrentCell(row, 1);
            const auto ids = driven.bench().selected_ids();
            if (ids.empty() || !whole_room(*driven.bench().wall_plan(), ids.front()) || !board.pointed_out())
                continue;
            CHECK(whole_room(*driven.bench().wall_plan(), ids.front())->left <= board.pointed_out()->left);
            break;
        }
    CHECK(board.pointed_out());

    driven.window.set_stage(Stage::cut);
    auto* parts = driven.find<QTableWidget>("cut-parts");
    REQUIRE(parts->rowCount() > 0);
    emit parts->cellClicked(0, 0);
    driven.find<QAbstractButton>("part-on-wall")->click();
    CHECK(board.isVisible());
    CHECK(board.pointed_out());
    driven.find<QAbstractButton>("part-on-wall")->click();
    CHECK_FALSE(board.isVisible());

    driven.window.set_stage(Stage::fixings);
    driven.bench().select("shelf-1");
    auto* holes = driven.find<QComboBox>("hole-picker");
    REQUIRE(holes->count() > 2);
    emit holes->activated(2);
    const PlannedHole* taken = driven.bench().hole();
    REQUIRE(taken == driven.bench().holes()[2]);
    REQUIRE(board.pointed_out());
    CHECK(board.pointed_out()->left == taken->x);
    // And the other way: clicked on the wall.
    const PlannedHole* first = driven.bench().holes()[0];
    driven.click(first->x, first->z);
    CHECK(driven.bench().hole() == first);
    CHECK(holes->currentIndex() == 0);
}

TEST_CASE("the board is heard: wall, things, their marks and figures, and a press takes them in hand",
          "[app][board][access]") {
    TwoWalls driven;
    QAccessibleInterface* board = QAccessible::queryAccessibleInterface(&driven.window.board());
    REQUIRE(board);
    CHECK(board->text(QAccessible::Name) == "Wall");
    CHECK(board->text(QAccessible::Value) == "Hall wall, 3600 mm long, 2400 mm high");
    REQUIRE(board->childCount() == 2);
    QAccessibleInterface* second = board->child(1);
    CHECK(second->text(QAccessible::Name) == "Shelf 2");
    CHECK(second->text(QAccessible::Value).startsWith("from 1400 mm to 1900 mm, top "));
    CHECK(second->parent() == board);
    CHECK(board->indexOfChild(second) == 1);
    CHECK_FALSE(second->state().selected);
    second->actionInterface()->doAction(QAccessibleActionInterface::pressAction());
    CHECK(driven.bench().shelf()->id == "shelf-2");
    CHECK(second->state().selected);
    CHECK(board->focusChild() == second);

    const ThingPlan& plan = driven.bench().plan().walls.front()->shelves[1];
    REQUIRE(second->childCount() == static_cast<int>(plan.holes.size() + plan.workings.size()));
    QAccessibleInterface* mark = second->child(0);
    CHECK(mark->text(QAccessible::Name).toStdString() == say(plan.holes.front().what, {}));
    CHECK(mark->text(QAccessible::Value).contains("from the left end"));
    CHECK(second->rect().isValid());
    CHECK(board->rect().contains(mark->rect().center()));
    QAccessibleInterface* figure = second->child(static_cast<int>(plan.holes.size()));
    CHECK_FALSE(figure->text(QAccessible::Value).isEmpty());
    figure->actionInterface()->doAction(QAccessibleActionInterface::pressAction());
    CHECK(driven.bench().subject() == plan.workings.front().subject);
    // What is gone is heard no more.
    driven.bench().apply("Remove", RemoveThing{"shelf-2"});
    CHECK_FALSE(second->isValid());
    CHECK(second->text(QAccessible::Name).isEmpty());
    CHECK(board->childCount() == 1);
}

TEST_CASE("from wall to wall by the room from above", "[app][hands][room]") {
    DrivenWindow driven;
    driven.open_demo();
    auto* key = driven.find<QComboBox>("wall-picker");
    CHECK(key->count() == 16);
    key->showPopup();
    auto* popup = driven.find<QFrame>("wall-key");
    QTest::qWait(10);
    // The room in hand comes first; its walls are walked round, and another than the one in hand is picked.
    const RoomSurvey& room = *driven.bench().room_plan();
    REQUIRE(room.plan.walls.size() >= 2);
    auto* plan = popup->findChild<DrawingView*>();
    REQUIRE(plan);
    const std::size_t before = driven.bench().wall_index();
    for (int x = 4; x < plan->width() && driven.bench().wall_index() == before; x += 6)
        for (int y = 4; y < plan->height() && driven.bench().wall_index() == before; y += 6)
            if (driven.window.findChild<QFrame*>("wall-key"))
                QTest::mouseClick(plan, Qt::LeftButton, {}, {x, y});
    CHECK(driven.bench().wall_index() != before);
    CHECK(driven.bench().room()->id == room.plan.room);
}
