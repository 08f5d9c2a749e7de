// How many actions a job takes from nothing to its printed sheet, and the way from bare wall to hand-over.
#include "app/record/record_panel.hpp"
#include "driven_window.hpp"

#include <QAbstractButton>
#include <QCheckBox>
#include <QPushButton>

using namespace yes_square;
using namespace yes_square::app;

namespace {

/// A window whose hands are counted: a click, a key that does something, a figure typed is one action each.
struct CountedHands : DrivenWindow {
    using DrivenWindow::DrivenWindow;
    QTemporaryDir folder;
    QStringList written;
    int actions = 0;

    CountedHands() {
        window.set_stage(Stage::layout);
        QTest::qWait(20);
        window.ask_where = [this](const QString&, const QString& name) {
            ++actions; // the file's name
            written << folder.filePath(name);
            return written.back();
        };
    }
    void press(const char* name) {
        auto* button = find<QAbstractButton>(name);
        INFO(name);
        REQUIRE(button->isVisible());
        REQUIRE(button->isEnabled());
        ++actions;
        button->click();
        QTest::qWait(5);
    }
    /// Does what is next, as long as that is not to print; then prints.
    void go_on_until_printed() {
        for (int turn = 0; turn < 20 && window.next_line().next().kind != NextStep::Kind::print; ++turn) {
            UNSCOPED_INFO(find<QLabel>("next-words")->text().toStdString());
            press("next-act");
        }
        REQUIRE(window.next_line().next().kind == NextStep::Kind::print);
        press("next-act");
        REQUIRE(written.size() == 1);
        CHECK(QFileInfo{written.front()}.size() > 10'000);
        CHECK(told.isEmpty());
    }
    void figure(const char* name, const char* keys) {
        auto* field = find<QLineEdit>(name);
        INFO(name);
        REQUIRE(field->isVisible());
        ++actions;
        type(name, keys);
    }
};

} // namespace

TEST_CASE("from an empty job to the printed sheet of a shelf on two found studs in fifteen actions",
          "[app][face][actions]") {
    CountedHands hands;
    hands.press("begin-shelf");
    hands.figure("begin-wall-length", "3600");
    hands.figure("begin-wall-height", "2400");
    hands.figure("begin-studs", "400 800");
    hands.figure("begin-left", "350");
    hands.figure("begin-height", "1500");
    hands.figure("begin-width", "500");
    hands.figure("begin-depth", "200");
    hands.press("begin-set-out");
    REQUIRE(hands.job().walls.size() == 1);
    const Wall& wall = hands.job().walls.front();
    CHECK(wall.length == 3600_mm);
    REQUIRE(wall.shelves.size() == 1);
    CHECK(wall.shelves.front().left == 350_mm);
    CHECK(wall.shelves.front().length == 500_mm);
    CHECK(wall.shelves.front().height == 1500_mm);
    CHECK(wall.studs.size() == 2);
    // The bracket's packet is asked for, at its field.
    REQUIRE(hands.window.next_line().next().field == "bracket-rating");
    hands.press("next-act");
    hands.figure("bracket-rating", "40");
    INFO(hands.find<QLabel>("next-words")->text().toStdString());
    REQUIRE(hands.window.next_line().next().kind == NextStep::Kind::print);
    hands.press("next-act");
    REQUIRE(hands.written.size() == 1);
    CHECK(QFileInfo{hands.written.front()}.size() > 10'000);
    CHECK(hands.told.isEmpty());
    CHECK(hands.actions == 13); // as docs/interface.md says; it was 27
}

TEST_CASE("a chest is made safe in fifteen actions", "[app][face][actions]") {
    CountedHands hands;
    hands.press("begin-furniture");
    hands.figure("begin-studs", "400 800 1200 1600 2000 2400");
    hands.press("begin-set-out");
    for (int turn = 0; turn < 6 && hands.window.next_line().next().kind == NextStep::Kind::cure; ++turn)
        hands.press("next-act");
    INFO(hands.find<QLabel>("next-words")->text().toStdString());
    REQUIRE(hands.window.next_line().next().kind == NextStep::Kind::print);
    hands.press("next-act");
    CHECK(hands.written.size() == 1);
    CHECK(hands.actions == 6); // as docs/interface.md says
}

TEST_CASE("a wardrobe from an empty job to its printed sheet in twenty-five actions", "[app][face][actions]") {
    CountedHands hands;
    hands.press("begin-wardrobe");
    hands.figure("begin-wall-length", "3600");
    hands.figure("begin-wall-height", "2500");
    hands.figure("begin-studs", "400 800 1200 1600 2000 2400 2800 3200");
    hands.figure("begin-left", "200");
    hands.figure("begin-width", "2400");
    hands.figure("begin-height", "2200");
    hands.figure("begin-depth", "580");
    hands.press("begin-set-out");
    hands.go_on_until_printed();
    CHECK(hands.actions == 11); // as docs/interface.md says
}

TEST_CASE("six wall cabinets caught on studs, from an empty job to the printed sheet in thirty actions",
          "[app][face][actions]") {
    CountedHands hands;
    hands.press("begin-cabinets");
    hands.figure("begin-wall-length", "4200");
    hands.figure("begin-wall-height", "2500");
    hands.figure("begin-studs", "400 800 1200 1600 2000 2400 2800 3200 3600 4000");
    hands.figure("begin-units", "600 600 500 800 600 450");
    hands.press("begin-set-out");
    REQUIRE(hands.job().walls.front().runs.front().units.size() == 6);
    hands.go_on_until_printed();
    for (const UnitPlan& unit : hands.bench().plan().walls.front()->runs.front().units)
        for (const PlannedHole& hole : unit.holes)
            CHECK(hole.substrate == Substrate::proved_stud);
    CHECK(hands.actions == 8); // as docs/interface.md says
}

TEST_CASE("a job is walked from bare wall to hand-over by what is next", "[app][face][next]") {
    CountedHands hands;
    CHECK(hands.window.next_line().next().kind == NextStep::Kind::begin);
    hands.press("begin-shelf");
    hands.figure("begin-studs", "400 800 1200");
    hands.figure("begin-left", "350");
    hands.figure("begin-width", "900");
    hands.press("begin-set-out");
    int turns = 0;
    for (; turns < 200; ++turns) {
        const NextStep next = hands.window.next_line().next();
        const QString words = hands.find<QLabel>("next-words")->text();
        INFO(words.toStdString());
        REQUIRE_FALSE(words.isEmpty());
        REQUIRE_FALSE(hands.find<QPushButton>("next-act")->text().isEmpty());
        if (next.kind == NextStep::Kind::sign)
            break;
        // What it asks: a gate's questions are answered.
        for (QCheckBox* box : hands.window.findChildren<QCheckBox*>())
            if (box->isVisible() && box->objectName().startsWith(QStringLiteral("gate-")))
                box->setChecked(true);
        hands.press("next-act");
        if (next.field == "bracket-rating")
            hands.figure("bracket-rating", "40");
    }
    CHECK(turns > 3);
    REQUIRE(turns < 200);
    hands.window.record().sign(QStringLiteral("A. Fitter"), QStringLiteral("taken over"), {});
    QTest::qWait(5);
    CHECK(hands.window.next_line().next().kind == NextStep::Kind::over);
}

TEST_CASE("a figure that cannot be read stops the beginning, and nothing is lost", "[app][face]") {
    CountedHands hands;
    hands.press("begin-cabinets");
    hands.figure("begin-wall-length", "4 hands");
    hands.press("begin-set-out");
    CHECK(hands.job().walls.empty());
    CHECK(hands.find<QLabel>("begin-problem")->text().contains("Length of the wall"));
    hands.figure("begin-wall-length", "3000");
    hands.press("begin-set-out");
    CHECK(hands.find<QLabel>("begin-problem")->text().contains("Widths"));
    hands.figure("begin-units", "600, 600 wide");
    hands.press("begin-set-out");
    CHECK(hands.job().walls.empty());
    hands.figure("begin-units", "600 600");
    hands.figure("begin-studs", "400 3400");
    hands.press("begin-set-out");
    CHECK(hands.find<QLabel>("begin-problem")->text().contains("beyond the wall"));
    hands.figure("begin-studs", "400 800 1200 1600");
    hands.press("begin-set-out");
    REQUIRE(hands.job().walls.size() == 1);
    const Wall& wall = hands.job().walls.front();
    REQUIRE(wall.runs.size() == 1);
    CHECK(wall.runs.front().units.size() == 2);
    CHECK(hands.bench().wall_plan()->runs.front().units.front().bottom > 1000_mm); // they hang by the usual lines
    hands.bench().undo_stack().undo();
    CHECK(hands.job().walls.empty()); // one edit
}
