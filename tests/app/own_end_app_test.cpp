// A shelf that is measured from the other end than its wall, in the window, at the wall and on paper.
#include "app/sheets/sheet_writer.hpp"
#include "at_wall.hpp"
#include "core/reckon/reckon.hpp"
#include "one_wall_window.hpp"
#include "printed_words.hpp"

#include <QLabel>

using namespace yes_square;
using namespace yes_square::app;

namespace {

/// A wall of 4 m between studs, measured from the left, with two shelves; the first is measured from the right.
struct TwoEnds : OneWallWindow {
    TwoEnds()
        : OneWallWindow{false} {
        bench().edit("two shelves", [](Job& job) {
            Wall& wall = job.walls.front();
            wall.measured_from = TapeEnd::left;
            wall.shelves = {odd_shelf(wall, "shelf-1", "Shelf 1", 1500_mm),
                            odd_shelf(wall, "shelf-2", "Shelf 2", 1900_mm)};
        });
        bench().select("shelf-1");
        window.set_stage(Stage::layout);
        open_folds();
        choose("shelf-measured_from", 2);
    }
    const Shelf& shelf(std::size_t index) { return bench().wall()->shelves.at(index); }
};

} // namespace

TEST_CASE("a shelf's own end is chosen in the window, and its place typed from there", "[app][own-end]") {
    TwoEnds driven;
    REQUIRE(driven.shelf(0).measured_from == TapeEnd::right);
    CHECK_FALSE(driven.shelf(1).measured_from);
    auto* field = driven.find<LengthField>("shelf-left");
    CHECK(field->accessibleName() == "Right end at");
    CHECK(field->text() == "2070 mm"); // 4000 - 713 - 1217
    driven.type("shelf-left", "500");
    CHECK(driven.shelf(0).right() == 3500_mm);
    // The other one is measured as the wall is.
    driven.bench().select("shelf-2");
    CHECK(field->accessibleName() == "Left end at");
    CHECK(field->text() == "713 mm");
    // As the wall is, again.
    driven.bench().select("shelf-1");
    driven.choose("shelf-measured_from", 0);
    CHECK_FALSE(driven.shelf(0).measured_from);
    CHECK(driven.shelf(0).right() == 3500_mm);
    CHECK(field->text() == "2283 mm");
}

TEST_CASE("at the wall each mark says its end, and that it is not the usual one", "[app][own-end]") {
    TwoEnds driven;
    AtWall at_wall{driven.window};
    WallSide* mode = at_wall.mode.get();
    const QStringList& spoken = at_wall.spoken;
    bool right = false;
    bool left = false;
    for (int i = 0; i < 12 && mode->mark(); ++i) {
        const WallMark mark = *mode->mark();
        const bool turned = mark.item == "shelf-1";
        CHECK(mark.tape.turned == turned);
        const Length at = mark.tape.reads(mark.tape.near(mark.x, std::max(mark.x, mark.to_x)));
        if (!spoken.isEmpty()) {
            INFO(spoken.last().toStdString());
            CHECK(spoken.last().contains(QString::fromStdString(format(at, Unit::mm)) +
                                         (turned ? " along from the right" : " along.")));
        }
        (turned ? right : left) = true;
        QTest::keyClick(mode, Qt::Key_Space);
    }
    CHECK((right && left));
}

TEST_CASE("its sheet says its end at the head, and the other's sheet does not", "[app][own-end][sheets]") {
    TwoEnds driven;
    const QString path = driven.folder.filePath("sheets.pdf");
    REQUIRE(write_sheets_pdf(path, driven.job(), driven.bench().plan()).isEmpty());
    const QString words = printed_words(path);
    CHECK(words.count("This one is measured from the RIGHT end of the wall, other than the rest") == 1);
    CHECK_FALSE(words.contains("Measured from the RIGHT end of the wall"));
    CHECK(words.contains("Left end at 3287 mm, right end at 2070 mm")); // of the first
    CHECK(words.contains("Left end at 713 mm, right end at 1930 mm"));  // of the second
    const ShelfPlan& first = driven.bench().wall_plan()->shelves.front();
    CHECK(words.contains(QString::fromStdString(format(4000_mm - first.brackets.front().x, Unit::mm)) +
                         " (right end) from the reference end"));
}
