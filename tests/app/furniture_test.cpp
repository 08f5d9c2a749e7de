#include "app/cut/cut_panel.hpp"
#include "app/layout/layout_panel.hpp"
#include "app/sheets/sheet_writer.hpp"
#include "core/site/site_checks.hpp"
#include "one_wall_window.hpp"

#include <QAbstractButton>
#include <QComboBox>
#include <QFile>
#include <QLabel>
#include <QListWidget>
#include <QMenu>
#include <QProcess>
#include <QPushButton>
#include <QTableWidget>
#include <QTextBrowser>
#include <algorithm>

using namespace yes_square;
using namespace yes_square::app;

namespace {

/// What stands along a framed wall.
struct FurnitureWindow : OneWallWindow {
    FurnitureWindow()
        : OneWallWindow{false} {}
    const Wall& wall() { return job().walls.front(); }
    const StorageSystem& system() {
        REQUIRE(bench().selected<StorageSystem>());
        return *bench().selected<StorageSystem>();
    }
    const SystemPlan& system_plan() { return *bench().selected_plan<StorageSystem>(); }
    const PiecePlan& piece_plan() {
        REQUIRE(bench().selected_plan<Piece>());
        return *bench().selected_plan<Piece>();
    }
    void press(const char* name) {
        auto* button = find<QAbstractButton>(name);
        INFO(name);
        REQUIRE(button->isEnabled());
        button->click();
        QTest::qWait(1);
    }
    void pick(const char* menu, int row) {
        find<QMenu>(menu)->actions().at(row)->trigger();
        QTest::qWait(1);
    }
    QString words(const char* label) { return find<QLabel>(label)->text(); }
};

/// What a PDF says, by Poppler's own reader.
QString words_of_pdf(const QString& path) {
    QProcess reader;
    reader.start(QStringLiteral("pdftotext"), {QStringLiteral("-layout"), path, QStringLiteral("-")});
    REQUIRE(reader.waitForFinished());
    return QString::fromUtf8(reader.readAllStandardOutput());
}

} // namespace

TEST_CASE("a wardrobe is built by mouse and keyboard, slid for its studs, and its labels printed", "[app][furniture]") {
    FurnitureWindow driven;
    // The keyboard: the shortcut adds one, its figures are typed.
    QTest::keyClick(&driven.window, Qt::Key_B, Qt::ControlModifier | Qt::ShiftModifier);
    QTest::qWait(1);
    REQUIRE(driven.wall().systems.size() == 1);
    driven.type("system-left", "100");
    driven.type("system-width", "2.4m");
    driven.type("system-name", "Landing wardrobe");
    CHECK(driven.system().left == 100_mm);
    CHECK(driven.system().width == 2400_mm);
    REQUIRE(driven.system().bays.size() == 3);
    CHECK(driven.system_plan().bays.front().width == 776_mm);

    // The mouse: a bay is clicked on the wall, changed, another added after it, one dragged away.
    driven.click(500_mm, 900_mm);
    REQUIRE(driven.bench().bay());
    CHECK(driven.bench().bay()->id == driven.system().bays[0].id);
    CHECK(driven.words("bay-fits").contains("776 mm wide"));
    driven.choose("bay-garment", static_cast<int>(Garment::jackets));
    driven.type("bay-garments", "20");
    CHECK(driven.system().bays[0].garments == 20);
    driven.pick("bay-kinds", static_cast<int>(BayKind::drawers));
    REQUIRE(driven.system().bays.size() == 4);
    CHECK(driven.bench().bay()->kind == BayKind::drawers);
    driven.type("bay-drawers", "3");
    CHECK(driven.bench().bay()->loose == 3);
    driven.press("bay-later");
    CHECK(driven.system().bays[2].kind == BayKind::drawers);
    driven.press("bay-earlier");
    CHECK(driven.system().bays[1].kind == BayKind::drawers);

    // Dragged along the wall it goes where the pointer takes it; what that costs is told as it goes.
    const Length before = driven.system().left;
    driven.drag(1200_mm, 1700_mm, 1400_mm, 1700_mm);
    CHECK(driven.system().left > before + 150_mm);
    driven.bench().undo_stack().undo();
    CHECK(driven.system().left == before);
    // The arrows push it by one step of the display.
    driven.window.board().setFocus();
    QTest::keyClick(&driven.window.board(), Qt::Key_Right);
    CHECK(driven.system().left == before + 1_mm);

    // Its ways of sharing the width lie under the wall.
    driven.press("alternative-3");
    CHECK(driven.system().widths == BayWidths::by_garments);
    driven.press("alternative-1");
    CHECK(driven.system().widths == BayWidths::equal);

    // Where a bay misses its studs the button slides all of it.
    for (int i = 0; i < 3; ++i)
        driven.pick("bay-kinds", static_cast<int>(BayKind::open));
    driven.type("system-width", "2600");
    for (int left = 0; left < 400 && driven.system_plan().slide_moves == Length{}; left += 10)
        driven.type("system-left", std::to_string(left).c_str());
    REQUIRE(driven.system_plan().slide_moves != Length{});
    CHECK(driven.words("bay-fits").contains("wide"));
    driven.press("slide-system");
    CHECK(driven.system_plan().slide.holds_now());
    driven.press("remove-bay");
    CHECK(driven.system().bays.size() == 6);

    // A level on the third panel.
    driven.choose("reading-panel", 2);
    driven.type("reading-off", "4");
    driven.choose("reading-top_to_right", 1);
    REQUIRE(driven.system().readings.size() == 1);
    CHECK(driven.system().readings.front().panel == 3);
    CHECK(driven.system_plan().corrections.front().foot_moves == 7_mm); // 4 mm in 1.2 m, over 2.1 m

    // Its marks and parts, its steps, and the labels.
    driven.window.set_stage(Stage::fixings);
    QTest::qWait(1);
    CHECK(driven.find<QTableWidget>("thing-marks")->rowCount() > 6);
    CHECK(driven.find<QTableWidget>("thing-parts")->rowCount() == static_cast<int>(driven.system_plan().parts.size()));
    driven.window.set_stage(Stage::fit);
    QTest::qWait(1);
    CHECK(driven.steps_of_selected().contains("until one screw through the cleat"));
    QTemporaryDir folder;
    const QString labels = folder.filePath("labels.pdf");
    REQUIRE(write_sheets_pdf(labels, driven.job(), driven.bench().plan(), sheet_set(u"part-labels")).isEmpty());
    const QString printed = words_of_pdf(labels);
    for (const CutPart& part : driven.system_plan().parts)
        CHECK(printed.contains(QString::fromStdString(part.label)));
    CHECK(printed.contains("wardrobe"));
    CHECK(driven.told.isEmpty());
}

TEST_CASE("in a job in inches a mass is typed and shown in pounds, and nothing bad is taken", "[app][furniture]") {
    FurnitureWindow driven;
    QTest::keyClick(&driven.window, Qt::Key_D, Qt::ControlModifier | Qt::ShiftModifier);
    QTest::qWait(1);
    driven.bench().edit("in inches", [](Job& job) { job.unit = Unit::inch_16; });
    driven.type("piece-mass_kg", "100");
    CHECK(driven.bench().selected<Piece>()->mass == Approx(45.359237)); // 100 lb, exact
    CHECK(driven.find<QLineEdit>("piece-mass_kg")->text() == "100");
    driven.bench().edit("in millimetres", [](Job& job) { job.unit = Unit::mm; });
    QTest::qWait(1);
    CHECK(driven.find<QLineEdit>("piece-mass_kg")->text() == "45.4");
    driven.type("piece-mass_kg", "-3");
    CHECK(driven.bench().selected<Piece>()->mass == Approx(45.359237));
    CHECK(driven.find<QLineEdit>("piece-mass_kg")->toolTip().contains("0 or more"));
    driven.type("piece-mass_kg", "38,5"); // a decimal comma is as good
    CHECK(driven.bench().selected<Piece>()->mass == 38.5_kg);
}

TEST_CASE("a chest of drawers goes from unsafe to held by its cure, and into the inventory", "[app][furniture]") {
    FurnitureWindow driven;
    QTest::keyClick(&driven.window, Qt::Key_D, Qt::ControlModifier | Qt::ShiftModifier);
    QTest::qWait(1);
    REQUIRE(driven.wall().pieces.size() == 1);
    driven.type("piece-name", "Child's chest");
    driven.type("piece-left", "1500");
    driven.type("piece-width", "900");
    driven.type("piece-mass_kg", "38");
    driven.choose("piece-floor", static_cast<int>(FloorUnder::carpet));
    driven.choose("piece-drawers", 5);
    driven.type("drawer-reach", "380");
    driven.type("drawer-load_kg", "9");
    REQUIRE(driven.bench().selected<Piece>()->drawers.size() == 5);
    // The top one by itself.
    driven.choose("drawer-which", 1);
    driven.type("drawer-load_kg", "4");
    CHECK(driven.bench().selected<Piece>()->drawers[0].load == 4_kg);
    CHECK(driven.bench().selected<Piece>()->drawers[4].load == 9_kg);
    driven.choose("drawer-which", 0);
    driven.type("drawer-load_kg", "9");
    CHECK(driven.piece_plan().verdict == PieceVerdict::unsafe);
    CHECK(driven.words("piece-verdict").contains("not safe"));
    // Six side views lie under the wall; one clicked tells its sum.
    CHECK(driven.find<QAbstractButton>("alternative-6")->isVisible());
    driven.press("alternative-6");
    CHECK(driven.find<QTextBrowser>("scrap")->toPlainText().contains("somebody on its front edge"));

    driven.open_checks();
    driven.press("cure-piece_tips-1");
    driven.close_checks();
    CHECK(driven.piece_plan().verdict == PieceVerdict::held);
    CHECK(driven.words("piece-verdict").contains("held"));
    CHECK(driven.piece_plan().holes.size() == 2);
    CHECK(driven.bench().selected<Piece>()->restraint.kind == RestraintKind::through_frame);
    // Anchors in the lining are refused at once.
    driven.choose("restraint-in_lining", 1);
    CHECK(driven.piece_plan().verdict == PieceVerdict::unsafe);
    driven.bench().undo_stack().undo();
    CHECK(driven.piece_plan().verdict == PieceVerdict::held);
    // The packet's short screw is told, and its cure takes a longer one.
    driven.choose("restraint-gauge", 1);
    driven.type("restraint-through", "1 in");
    REQUIRE(driven.bench().selected<Piece>()->restraint.gauge);
    CHECK(std::ranges::find(driven.piece_plan().checks, checks::thread_short, &Check::code) !=
          driven.piece_plan().checks.end());
    driven.open_checks();
    driven.press("cure-thread_short-1");
    driven.close_checks();
    CHECK(driven.piece_plan().verdict == PieceVerdict::held);

    QTemporaryDir folder;
    const QString path = folder.filePath("inventory.pdf");
    REQUIRE(write_sheets_pdf(path, driven.job(), driven.bench().plan(), sheet_set(u"inventory")).isEmpty());
    const QString printed = words_of_pdf(path);
    CHECK(printed.contains("Child's chest"));
    CHECK(printed.contains("held"));
    CHECK(printed.contains("Pulled, by whom"));
    CHECK(driven.told.isEmpty());
}

TEST_CASE("a box's parts follow from what is typed, and its back is made good by its cure", "[app][furniture]") {
    FurnitureWindow driven;
    driven.press("add-box");
    REQUIRE(driven.bench().selected<WallBox>());
    driven.type("box-width", "700");
    driven.type("box-depth", "235");
    driven.type("box-back_thickness", "12");
    auto* parts = driven.find<QTableWidget>("box-parts");
    QStringList shelf;
    for (int row = 0; row < parts->rowCount(); ++row)
        if (parts->item(row, 1)->text() == "shelf")
            for (int column = 0; column < parts->columnCount(); ++column)
                shelf << parts->item(row, column)->text();
    REQUIRE(shelf.size() == 5);
    CHECK(shelf[2] == "680 mm"); // 700 - 2 x 19 + 2 x 10 - 2 x 1
    CHECK(shelf[3] == "227 mm");
    driven.choose("box-back_screwed", 0);
    driven.open_checks();
    driven.press("cure-box_back_pinned-1");
    driven.close_checks();
    CHECK(driven.bench().selected<WallBox>()->back_screwed);
    driven.type("box-diagonal_rising", "1146");
    driven.type("box-diagonal_falling", "1136");
    CHECK(driven.words("box-words").contains("to the left"));
    driven.press("remove-box");
    CHECK(driven.wall().boxes.empty());
}

TEST_CASE("a box with its top over the sides: corners, passes and housings are read at the bench", "[app][furniture]") {
    FurnitureWindow driven;
    driven.press("add-box");
    driven.type("box-width", "700");
    driven.type("box-height", "540");
    driven.type("box-depth", "200");
    driven.type("box-shelves", "1");
    driven.type("box-side", "20");
    driven.type("box-clearance", "0");
    driven.choose("box-corner", static_cast<int>(BoxCorner::over_sides));
    driven.choose("box-back", static_cast<int>(BoxBack::planted));
    CHECK(driven.bench().selected<WallBox>()->corner == BoxCorner::over_sides);
    driven.window.set_stage(Stage::cut);
    driven.window.cutting().show_page(QStringLiteral("bench"));
    QTest::qWait(1);
    auto* parts = driven.find<QTableWidget>("worked-parts");
    REQUIRE(parts->rowCount() == 3); // both sides, top, bottom
    int side = 0;
    while (side < 3 && !parts->item(side, 1)->text().startsWith("side"))
        ++side;
    REQUIRE(side < 3);
    parts->setCurrentCell(side, 0);
    CHECK(parts->item(side, 0)->text().contains(", ")); // two of them
    auto* cuts = driven.find<QTableWidget>("part-cuts");
    REQUIRE(cuts->rowCount() == 1);
    CHECK(cuts->item(0, 0)->text() == "240"); // 500 less its own 20, halved
    CHECK(cuts->item(0, 2)->text().contains("20 mm broad, 10 mm deep, 2 passes"));
    CHECK(driven.words("bench-words").contains("top end"));
    // What hangs on pulled end grain is not said to hold, and its cure lets the sides run through.
    driven.window.set_stage(Stage::layout);
    driven.open_checks();
    driven.press("cure-box_corner_unknown-1");
    driven.close_checks();
    CHECK(driven.bench().selected<WallBox>()->corner == BoxCorner::sides_through);
}

TEST_CASE("a cabinet that hangs already is ticked off and judged", "[app][furniture]") {
    FurnitureWindow driven;
    driven.press("add-hung");
    INFO(driven.told.join("\n").toStdString());
    REQUIRE(driven.bench().selected<HungCabinet>());
    CHECK(driven.words("hung-verdict").contains("to be emptied"));
    driven.type("hung-left", "1550");
    driven.type("hung-width", "500");
    driven.type("hung-loaded_kg", "30");
    driven.choose("hung-bottom-rail", 1);
    driven.type("hung-top_screws", "2");
    driven.type("hung-bottom_screws", "2");
    driven.type("hung-studs", "2");
    driven.choose("hung-gauge", 2); // #10
    driven.type("hung-screw_length", "3 in");
    CHECK(driven.words("hung-verdict").contains("sound"));
    driven.type("hung-bottom_screws", "0");
    CHECK(driven.words("hung-verdict-lines").contains("To add"));
    driven.press("remove-hung");
    CHECK(driven.wall().hung.empty());
}

TEST_CASE("a hanging cabinet is told screw by screw, judged by them, and found for its owner on paper",
          "[app][furniture]") {
    FurnitureWindow driven;
    driven.press("add-hung");
    driven.type("hung-left", "1550"); // studs 400 apart: 50 and 450 from its left side
    driven.type("hung-width", "500");
    driven.type("hung-loaded_kg", "30");
    driven.choose("hung-bottom-rail", 1);
    driven.choose("hung-gauge", 2); // #10
    driven.type("hung-screw_length", "3 in");
    const auto found = [&](int what, const char* across, const char* down) {
        driven.open_folds();
        driven.choose("found-screw-what", what);
        driven.type("found-screw-across", across);
        driven.type("found-screw-down", down);
    };
    found(0, "50", "60");
    found(0, "450", "60");
    REQUIRE(driven.bench().selected<HungCabinet>()->found.size() == 2);
    CHECK(driven.bench().selected<HungCabinet>()->found.front().gauge == ScrewGauge::number_10);
    CHECK(driven.words("hung-verdict-lines").contains("To add"));
    found(0, "50", "660");
    found(1, "450", "660"); // it moved
    CHECK_FALSE(driven.words("hung-verdict").contains("sound"));
    auto* list = driven.find<QListWidget>("found-screw-found");
    REQUIRE(list->count() == 4);
    QStringList told;
    for (int row = 0; row < list->count(); ++row)
        told << list->item(row)->text();
    CHECK(told.filter("does not count, it moved when it was pulled").size() == 1);
    CHECK(told.filter("counts, in the stud at 1600 mm").size() == 2);
    found(0, "450", "650");
    CHECK(driven.words("hung-verdict").contains("sound"));

    QTemporaryDir folder;
    const QString path = folder.filePath("finding.pdf");
    REQUIRE(write_sheets_pdf(path, driven.job(), driven.bench().plan(), sheet_set(u"finding")).isEmpty());
    const QString printed = words_of_pdf(path);
    for (const char* words : {"Finding: cabinets that hang already", "It may stay as it is", "through a rail",
                              "moved when it was pulled", "Only screws through a rail in a proved stud count"})
        CHECK(printed.simplified().contains(QString::fromLatin1(words)));
}

TEST_CASE("a batten is added, typed, pushed, marked, printed and taken off by a form made from its members",
          "[app][battens]") {
    FurnitureWindow driven;
    driven.press("add-batten");
    const auto batten = [&]() -> const Batten& {
        REQUIRE(driven.bench().selected<Batten>());
        return *driven.bench().selected<Batten>();
    };
    CHECK(batten().name == "Batten 1");
    driven.type("battens-left", "300");
    driven.type("battens-length", "1300");
    CHECK(batten().left == 300_mm);
    CHECK(batten().length == 1300_mm);
    driven.choose("battens-use", 1);
    CHECK(batten().use == BattenUse::ledger);
    driven.type("battens-kg_per_m", "25");
    CHECK(batten().per_metre == 25_kg_m);
    driven.type("battens-length", "0"); // refused: the field says why, the job keeps what it had
    CHECK(batten().length == 1300_mm);
    const BattenPlan& plan = *driven.bench().selected_plan<Batten>();
    REQUIRE(plan.holes.size() == 3); // studs at 400, 800 and 1200
    driven.window.board().setFocus();
    QTest::keyClick(&driven.window.board(), Qt::Key_Right);
    CHECK(batten().left == 301_mm);

    driven.window.set_stage(Stage::fixings);
    QTest::qWait(1);
    CHECK(driven.find<QTableWidget>("thing-marks")->rowCount() ==
          static_cast<int>(driven.bench().selected_plan<Batten>()->holes.size()));
    CHECK(driven.find<QTableWidget>("thing-parts")->rowCount() == 1);
    QTemporaryDir folder;
    const QString sheets = folder.filePath("sheets.pdf");
    REQUIRE(write_sheets_pdf(sheets, driven.job(), driven.bench().plan()).isEmpty());
    CHECK(words_of_pdf(sheets).contains("Batten 1"));

    driven.window.set_stage(Stage::layout);
    QTest::qWait(1);
    driven.press("remove-batten");
    CHECK(kept<Batten>(driven.wall()).empty());
    driven.bench().undo_stack().undo();
    CHECK(kept<Batten>(driven.wall()).size() == 1);
    CHECK(driven.told.isEmpty());
}
