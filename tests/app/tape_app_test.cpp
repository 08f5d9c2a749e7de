// A wall that is measured from its right end, in the window, at the wall and on paper.
#include "app/sheets/sheet_writer.hpp"
#include "app/survey/readings_editor.hpp"
#include "at_wall.hpp"
#include "core/reckon/reckon.hpp"
#include "one_wall_window.hpp"
#include "printed_words.hpp"

#include <QLabel>

using namespace yes_square;
using namespace yes_square::app;

namespace {

/// A wall of 4 m between studs, measured from the right, with a shelf from 700 to 1900 from its left end.
struct RightHanded : OneWallWindow {
    RightHanded()
        : OneWallWindow{false} {
        window.set_stage(Stage::survey);
        window.survey().set_page(SurveyPage::wall);
        OneWallWindow::choose("wall-measured-from", 1);
        bench().edit("a shelf", [](Job& job) {
            Wall& wall = job.walls.front();
            wall.shelves = {odd_shelf(wall, "shelf-1", "Shelf 1", 1500_mm)};
        });
        bench().select("shelf-1");
    }
    const Wall& wall() { return *bench().wall(); }
    const Shelf& shelf() { return wall().shelves.front(); }
    void survey(SurveyPage page) {
        window.set_stage(Stage::survey);
        window.survey().set_page(page);
        QTest::qWait(1);
    }
    void keys(const char* typed) {
        QTest::keyClicks(QApplication::focusWidget(), typed);
        QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
        QTest::qWait(1);
    }
};

} // namespace

TEST_CASE("readings are typed as the tape reads them, and kept where they are", "[app][tape]") {
    RightHanded driven;
    CHECK(driven.wall().measured_from == TapeEnd::right);
    driven.survey(SurveyPage::level);
    driven.find<LengthField>("floor-x")->setFocus();
    driven.keys("300");
    driven.keys("1012");
    REQUIRE(driven.wall().floor.size() == 1);
    CHECK(driven.wall().floor.front().x == 3700_mm);
    CHECK(driven.find<QListWidget>("floor-found")->item(0)->text().startsWith("300 mm"));
    // Past the other end it is refused, and nothing is added.
    driven.find<LengthField>("floor-x")->setFocus();
    driven.keys("4100");
    driven.keys("1010");
    CHECK(driven.wall().floor.size() == 1);
    CHECK(driven.find<QLabel>("floor-message")->text().contains("past the left end"));

    driven.survey(SurveyPage::walk);
    driven.choose("walk-what", driven.find<QComboBox>("walk-what")->findText("Window"));
    driven.find<LengthField>("walk-distance")->setFocus();
    CHECK(driven.find<LengthField>("walk-distance")->accessibleName() == "Right edge at");
    driven.type("walk-distance", "300");
    driven.type("walk-height", "900");
    driven.type("walk-width", "1000");
    driven.type("walk-tall", "1200");
    REQUIRE(driven.wall().openings.size() == 1);
    CHECK(driven.wall().openings.front().left == 2700_mm);
}

TEST_CASE("a shelf is set by its right end, and a wall told longer keeps it there", "[app][tape]") {
    RightHanded driven;
    driven.window.set_stage(Stage::layout);
    auto* field = driven.find<LengthField>("shelf-left");
    CHECK(field->accessibleName() == "Right end at");
    CHECK(field->text() == "2070 mm"); // 4000 - 713 - 1217
    driven.type("shelf-left", "500");
    CHECK(driven.shelf().right() == 3500_mm);
    CHECK(driven.shelf().length == 1217_mm);

    driven.survey(SurveyPage::wall);
    driven.type("wall-length", "4150");
    CHECK(driven.wall().length == 4150_mm);
    CHECK(driven.shelf().right() == 3650_mm);
    CHECK(driven.wall().studs.front().centre == 550_mm);
    // Not shorter than what was measured on it: the first stud is 3600 from the right.
    driven.type("wall-length", "3000");
    CHECK(driven.wall().length == 4150_mm);
    // From the left again: the same places, told from there.
    driven.find<LengthField>("wall-length")->clear();
    static_cast<OneWallWindow&>(driven).choose("wall-measured-from", 0);
    CHECK(driven.shelf().right() == 3650_mm);
    driven.window.set_stage(Stage::layout);
    CHECK(driven.find<LengthField>("shelf-left")->accessibleName() == "Left end at");
}

TEST_CASE("at the wall and on paper the figures are those of the tape from the right", "[app][tape][sheets]") {
    RightHanded driven;
    const WallPlan& plan = *driven.bench().wall_plan();
    AtWall at_wall{driven.window};
    WallSide* mode = at_wall.mode.get();
    const QStringList& spoken = at_wall.spoken;
    QTest::keyClick(mode, Qt::Key_Space); // the level line is struck
    REQUIRE(mode->mark());
    REQUIRE(mode->mark()->kind == MarkKind::hole);
    const Length first = 4000_mm - mode->mark()->x;
    CHECK(spoken.last().contains(QString::fromStdString(format(first, Unit::mm)) + " along from the right"));
    CHECK(mode->mark()->x == std::ranges::max(plan.shelves.front().holes, {}, &PlannedHole::x).x);

    const QString path = driven.folder.filePath("sheets.pdf");
    REQUIRE(write_sheets_pdf(path, driven.job(), driven.bench().plan()).isEmpty());
    const QString words = printed_words(path);
    CHECK(words.contains("Measured from the RIGHT end of the wall"));
    for (const BracketPlan& place : plan.shelves.front().brackets) {
        const auto from_end = [](Length x) {
            return QString::fromStdString("at " + format(x, Unit::mm) + " from the reference end");
        };
        CHECK(words.contains(from_end(4000_mm - place.x)));
        CHECK_FALSE(words.contains(from_end(place.x)));
    }
    CHECK(words.contains("Left end at 3287 mm, right end at 2070 mm"));
}

TEST_CASE("the same sheets print for the other end of the wall, and the job stays as it is", "[app][tape][sheets]") {
    RightHanded driven;
    const Job before = driven.job();
    const QString path = driven.folder.filePath("other.pdf");
    const auto print = [&] {
        REQUIRE(write_sheets_pdf(path, driven.job(), driven.bench().plan(), sheet_set(u"sheets-other-ends")).isEmpty());
        return printed_words(path);
    };
    const QString left = print();
    CHECK_FALSE(left.contains("Measured from the RIGHT end of the wall"));
    CHECK(left.contains("Left end at 713 mm, right end at 1930 mm"));
    CHECK(driven.job().walls == before.walls);
    driven.bench().edit("the left", [](Job& job) { job.walls.front().measured_from = TapeEnd::left; });
    const QString right = print();
    CHECK(right.contains("Measured from the RIGHT end of the wall"));
    CHECK(right.contains("Left end at 3287 mm, right end at 2070 mm"));
}
