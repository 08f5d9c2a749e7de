#include "kitchen_window.hpp"

#include "app/layout/layout_panel.hpp"
#include "core/runs/run_checks.hpp"
#include "core/sheets/run_layer.hpp"

#include <QComboBox>
#include <QImage>
#include <QListWidget>
#include <QProcess>
#include <QPushButton>
#include <QTableWidget>
#include <QTextBrowser>

using namespace yes_square;
using namespace yes_square::app;

TEST_CASE("a run is built by dragging units to the wall, pushed along, lifted out and put back", "[app][runs]") {
    Kitchen kitchen{3000_mm};
    kitchen.carry("Wall unit  600", 500_mm, 1800_mm);
    REQUIRE(kitchen.job().walls.front().runs.size() == 1);
    kitchen.carry("Wall unit  450", 2500_mm, 1800_mm);
    kitchen.carry("Wall unit  300", 10_mm, 1800_mm); // before the others
    REQUIRE(kitchen.run().units.size() == 3);
    CHECK(kitchen.run().units[0].width == 300_mm);
    CHECK(kitchen.run().units[1].width == 600_mm);
    CHECK(kitchen.run().units[2].width == 450_mm);
    CHECK(kitchen.bench().unit()->width == 300_mm); // the last one dropped is selected

    // Pushed along its line: the whole run slides.
    const Length up = kitchen.half_up(1) - 200_mm;
    kitchen.drag(kitchen.middle(1), up, kitchen.middle(1) + 250_mm, up);
    CHECK(kitchen.run().slack == Slack::by_hand);
    CHECK(kitchen.plan().layout.left() > 200_mm);
    CHECK(kitchen.plan().layout.left() < 300_mm);

    // Lifted out upward and let down behind the last: reordered.
    const std::string lifted = kitchen.run().units[0].id;
    kitchen.drag(kitchen.middle(0), kitchen.half_up(0) - 150_mm, kitchen.plan().layout.right() - 20_mm,
                 kitchen.half_up(0) + 300_mm);
    CHECK(kitchen.run().units[2].id == lifted);
    kitchen.bench().undo_stack().undo();
    CHECK(kitchen.run().units[0].id == lifted);

    // Carried past the wall, it is left where it was.
    const auto edits = kitchen.bench().undo_stack().count();
    kitchen.carry("Wall unit  300", 500_mm, -20'000_mm);
    CHECK(kitchen.run().units.size() == 3);
    CHECK(kitchen.bench().undo_stack().count() == edits);
}

TEST_CASE("a run is built, reordered, widened and slid by keyboard alone", "[app][runs]") {
    Kitchen kitchen;
    kitchen.library().setFocus();
    kitchen.library().setCurrentRow(kitchen.row("Wall unit  600"));
    QTest::keyClick(&kitchen.library(), Qt::Key_Return);
    kitchen.library().setFocus();
    kitchen.library().setCurrentRow(kitchen.row("Wall unit  450"));
    QTest::keyClick(&kitchen.library(), Qt::Key_Return);
    REQUIRE(kitchen.run().units.size() == 2);
    kitchen.type("unit-width", "500");
    CHECK(kitchen.run().units[1].width == 500_mm);
    CHECK(kitchen.plan().layout.right() == 1100_mm); // re-reckoned

    BoardView& board = kitchen.window.board();
    board.setFocus();
    QTest::keyClick(&board, Qt::Key_Left, Qt::ControlModifier);
    CHECK(kitchen.run().units[0].width == 500_mm);
    QTest::keyClick(&board, Qt::Key_Right, Qt::ShiftModifier); // ten steps
    CHECK(kitchen.plan().layout.left() == 10_mm);
    kitchen.type("unit-loaded_kg", "75");
    CHECK(kitchen.run().units[0].loaded_mass == 75_kg);
    QTest::keyClick(&kitchen.window, Qt::Key_Delete, Qt::ControlModifier);
    CHECK(kitchen.run().units.size() == 1);
    QTest::keyClick(&kitchen.window, Qt::Key_Z, Qt::ControlModifier);
    CHECK(kitchen.run().units.size() == 2);
}

TEST_CASE("a run that misses its studs is slid by its button and by the card", "[app][runs]") {
    Kitchen kitchen;
    kitchen.carry("Wall unit  600", 100_mm, 1800_mm);
    // 0..600 holds 400 only: it may be slid to hold 400 and 800.
    REQUIRE_FALSE(kitchen.plan().slide.holds_now());
    auto* slide = kitchen.find<QPushButton>("slide-run");
    REQUIRE(slide->isEnabled());
    CHECK(kitchen.find<QAbstractButton>("alternative-1")->isChecked());
    kitchen.press("slide-run");
    CHECK(kitchen.plan().slide.holds_now());
    CHECK_FALSE(slide->isEnabled());
    kitchen.bench().undo_stack().undo();
    QTest::mouseClick(kitchen.find<QAbstractButton>("alternative-2"), Qt::LeftButton);
    QTest::qWait(1);
    CHECK(kitchen.plan().slide.holds_now());
    // The last card hangs it on a rail instead, at any place.
    QTest::mouseClick(kitchen.find<QAbstractButton>("alternative-2"), Qt::LeftButton);
    QTest::qWait(1);
    CHECK(kitchen.run().units.front().hanging == Hanging::suspension_rail);
}

TEST_CASE("a run broken by one unit too many is cured by the check's button", "[app][runs]") {
    Kitchen kitchen;
    for (int i = 0; i < 3; ++i)
        kitchen.carry("Wall unit  600", 1400_mm, 1800_mm);
    CHECK(kitchen.plan().layout.right() == 1800_mm); // 300 too long
    REQUIRE(std::ranges::find(kitchen.plan().checks, checks::run_overruns, &Check::code) !=
            kitchen.plan().checks.end());
    kitchen.open_checks();
    QTest::mouseClick(kitchen.find<QPushButton>("cure-run_overruns-1"), Qt::LeftButton);
    QTest::qWait(1);
    CHECK(std::ranges::find(kitchen.plan().checks, checks::run_overruns, &Check::code) == kitchen.plan().checks.end());
    CHECK(kitchen.run().units.size() == 2);
}

TEST_CASE("a unit's box, its appliance and what its run lies between are set in the form", "[app][runs]") {
    Kitchen kitchen{3000_mm};
    kitchen.carry("Wall unit  600", 500_mm, 1800_mm);
    const auto choose = [&](const char* name, const char* words) {
        auto* box = kitchen.find<QComboBox>(name);
        const int row = box->findText(QString::fromLatin1(words));
        REQUIRE(row >= 0);
        box->setCurrentIndex(row);
        emit box->activated(row);
        QTest::qWait(1);
    };
    choose("unit-rails", "at the top");
    CHECK(kitchen.run().units.front().rails.size() == 1);
    CHECK(std::ranges::find(kitchen.plan().checks, checks::unit_top_only, &Check::code) != kitchen.plan().checks.end());
    choose("unit-rails", "top and bottom");
    CHECK(kitchen.run().units.front().rails.size() == 2);
    kitchen.type("rail-thickness", "12");
    kitchen.type("lower-rail-thickness", "19"); // unlike
    CHECK(kitchen.run().units.front().rails[0].thickness == 12_mm);
    CHECK(kitchen.run().units.front().rails[1].thickness == 19_mm);
    choose("unit-appliance", "microwave under it");
    kitchen.type("appliance-height", "500");
    CHECK(kitchen.bench().room_plan()->lines.height_of(line_id::wall_bottom) == 1400_mm); // the worktop's 900 and 500
    choose("unit-hanging", "hook brackets");
    kitchen.type("unit-hook_rating_n", "65");
    CHECK(*kitchen.run().units.front().hook_rating == Approx(65 * standard_gravity));
    kitchen.type("hook-plate-in", "55");
    kitchen.type("hook-plate-down", "48");
    const UnitPlan& hung = kitchen.plan().units.front();
    CHECK(hung.from_left(hung.holes.front()) == 55_mm);
    CHECK(hung.top - hung.holes.front().z == 48_mm);
    QTest::mouseClick(kitchen.find<QPushButton>("keep-gear"), Qt::LeftButton);
    REQUIRE(kitchen.job().catalogue.hanging_gear.size() == 1);
    kitchen.type("hook-plate-in", "60");
    choose("run-gear", "Hook brackets, mine 1");
    CHECK(kitchen.run().units.front().hook_plate.in == 55_mm); // as it was kept
    choose("unit-hanging", "a suspension rail");
    kitchen.type("run-rail-drop", "36");
    CHECK(kitchen.plan().units.front().top - kitchen.plan().pieces.front().z == 36_mm);
    choose("run-end", "a place");
    kitchen.type("run-end-place", "2000");
    CHECK(kitchen.plan().layout.to == 2000_mm);
    choose("run-slack", "at the left");
    CHECK(kitchen.plan().layout.right() == 2000_mm);
    choose("run-end", "open");
    CHECK_FALSE(kitchen.plan().layout.to);
    choose("start-at", "at the free end");
    CHECK(kitchen.job().rules.runs.start_at == StartAt::end);
}

TEST_CASE("lines are taken, pulled on the wall, typed, and let fall again", "[app][lines]") {
    Kitchen kitchen{3000_mm};
    kitchen.carry("Wall unit  600", 500_mm, 1800_mm);
    kitchen.window.set_stage(Stage::lines);
    QTest::qWait(1);
    const auto height = [&](const char* line) { return kitchen.bench().room_plan()->lines.height_of(line); };
    REQUIRE(height(line_id::wall_top) == 2070_mm);
    // Pulled up 80 at a place where no unit hangs; what hangs on it goes along.
    kitchen.drag(2000_mm, 1350_mm, 2000_mm, 1430_mm);
    CHECK(height(line_id::wall_bottom) > 1400_mm);
    CHECK(height(line_id::wall_top) == height(line_id::wall_bottom) + 720_mm);
    kitchen.click(2000_mm, height(line_id::wall_bottom));
    CHECK(kitchen.bench().subject() == "line/wall-bottom");
    CHECK(kitchen.find<QTextBrowser>("scrap")->toPlainText().contains(QStringLiteral("Wall unit bottom")));

    auto* table = kitchen.find<QTableWidget>("lines-table");
    for (int row = 0; row < table->rowCount(); ++row)
        if (table->item(row, 0)->text() == QStringLiteral("Wall unit bottom"))
            table->selectRow(row);
    kitchen.type("line-wanted", "1500");
    CHECK(height(line_id::wall_bottom) == 1500_mm);
    auto* wanted = kitchen.find<QLineEdit>("line-wanted");
    wanted->setFocus();
    wanted->selectAll();
    QTest::keyClick(wanted, Qt::Key_Backspace);
    QTest::keyClick(wanted, Qt::Key_Return);
    QTest::qWait(1);
    CHECK(height(line_id::wall_bottom) == 1350_mm);

    auto* relations = kitchen.find<QTableWidget>("relations-table");
    relations->selectRow(0); // the plinth
    kitchen.type("relation-by", "100");
    CHECK(height(line_id::plinth) == 100_mm);
    CHECK(height(line_id::wall_top) == 2020_mm);
    kitchen.press("add-line");
    CHECK(kitchen.job().rooms.front().lines.back().name == "Line 1");
    kitchen.press("remove-line");
    kitchen.press("usual-lines");
    CHECK(height(line_id::plinth) == 150_mm);
}

TEST_CASE("a list of units is taken in, a bad one is refused by line and column", "[app][runs]") {
    Kitchen kitchen;
    QTemporaryDir folder;
    const auto write = [&](const char* text) {
        QFile file{folder.filePath(QStringLiteral("list.csv"))};
        REQUIRE(file.open(QIODevice::WriteOnly));
        file.write(text);
        return file.fileName();
    };
    RunPanel& runs = kitchen.window.layout_panel().runs();
    CHECK(runs.take_in_list(write("code;kind;w;h;d;mass;qty\nW55;wall;550;720;320;19,5;2\nB90;base;90 cm;720;560;;1\n"))
              .isEmpty());
    REQUIRE(kitchen.job().catalogue.units.size() == 2);
    CHECK(kitchen.job().catalogue.units[0].unit.mass == 19.5_kg);
    CHECK(kitchen.job().catalogue.units[1].unit.width == 900_mm);
    kitchen.carry("W55", 300_mm, 1800_mm);
    CHECK(kitchen.run().units.front().code == "W55");
    CHECK(kitchen.library().item(0)->text().contains(QStringLiteral("1 of 2 placed")));
    CHECK(runs.take_in_list(write("kind,w,h,d\nwall,five,720,320\n")).contains(QStringLiteral("line 2, w")));
    CHECK(runs.take_in_list(write("kind,w,h\nwall,500,720\n")).contains(QStringLiteral("\"d\"")));
    CHECK(runs.take_in_list(write("kind,w,h,d\nsofa,500,720,320\n")).contains(QStringLiteral("sofa")));
    CHECK(runs.take_in_list(write("kind,w,h,d,qty\nwall,500,720,320,0\n")).contains(QStringLiteral("qty")));
    CHECK(kitchen.job().catalogue.units.size() == 2); // nothing lost
}

TEST_CASE("the demo kitchen's fixings, card, steps and sheets say what the plan says", "[app][runs][sheets]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.bench().select("unit-11");
    REQUIRE(driven.bench().unit());
    const UnitPlan& unit = *driven.bench().unit_plan();
    driven.window.set_stage(Stage::fixings);
    QTest::qWait(1);
    auto* holes = driven.find<QTableWidget>("unit-holes");
    CHECK(holes->rowCount() == static_cast<int>(unit.holes.size()));
    CHECK(holes->item(0, 2)->text() == text(format_bare(unit.inside_left(unit.holes.front()), Unit::mm)));
    // The card is the back: a hole near the unit's left stands at the right of the paper.
    const Drawing card = draw_back_card(*driven.bench().unit(), unit, 100, 100, 3, driven.bench().voice());
    std::vector<double> circles;
    for (const Shape& shape : card.shapes)
        if (const auto* circle = std::get_if<Circle>(&shape.form))
            circles.push_back(circle->centre.x);
    REQUIRE(circles.size() == unit.holes.size());
    CHECK((unit.holes[0].x < unit.holes[1].x) == (circles[0] > circles[1]));
    driven.window.set_stage(Stage::fit);
    QTest::qWait(1);
    CHECK(driven.steps_of_selected().contains(QStringLiteral("keep hold until it is in")));

    QProcess writer;
    writer.start(QStringLiteral(YES_SQUARE_APP), {QStringLiteral("--sheets"), driven.folder.path(), demo_path()});
    REQUIRE(writer.waitForFinished(60'000));
    REQUIRE(writer.exitCode() == 0);
    QProcess reader;
    reader.start(
        QStringLiteral("pdftotext"),
        {QStringLiteral("-layout"), driven.folder.filePath(QStringLiteral("harbour-lane.pdf")), QStringLiteral("-")});
    REQUIRE(reader.waitForFinished());
    const QString words = QString::fromUtf8(reader.readAllStandardOutput()).normalized(QString::NormalizationForm_KC);
    CHECK(words.contains(QStringLiteral("Cards for the backs: Window side, wall")));
    CHECK(words.contains(QStringLiteral("Scribe at full size: Filler in the corner")));
    CHECK(words.contains(QStringLiteral("check: this line is 100 mm")));
    CHECK(words.contains(QStringLiteral("Worktop")));
    CHECK(words.contains(QStringLiteral("inside, from left")));
}

TEST_CASE("a scribe's strip is printed at full size: its check line measures 100 mm", "[app][runs][sheets]") {
    QTemporaryDir folder;
    QProcess writer;
    writer.start(QStringLiteral(YES_SQUARE_APP), {QStringLiteral("--sheets"), folder.path(), demo_path()});
    REQUIRE(writer.waitForFinished(60'000));
    const QString pdf = folder.filePath(QStringLiteral("harbour-lane.pdf"));
    int page = 0;
    for (int i = 1; i <= 60 && page == 0; ++i) {
        QProcess reader;
        const QString number = QString::number(i);
        reader.start(QStringLiteral("pdftotext"),
                     {QStringLiteral("-f"), number, QStringLiteral("-l"), number, pdf, QStringLiteral("-")});
        REQUIRE(reader.waitForFinished());
        const QString words = QString::fromUtf8(reader.readAllStandardOutput());
        if (words.normalized(QString::NormalizationForm_KC).contains(QStringLiteral("Scribe at full size")))
            page = i;
    }
    REQUIRE(page > 0);
    QProcess painter;
    const QString number = QString::number(page);
    painter.start(QStringLiteral("pdftoppm"),
                  {QStringLiteral("-r"), QStringLiteral("254"), QStringLiteral("-f"), number, QStringLiteral("-l"),
                   number, QStringLiteral("-png"), QStringLiteral("-singlefile"), pdf,
                   folder.filePath(QStringLiteral("page"))});
    REQUIRE(painter.waitForFinished(60'000));
    const QImage image{folder.filePath(QStringLiteral("page.png"))};
    REQUIRE_FALSE(image.isNull());
    // The longest unbroken dark stretch in any row below the strip: 254 dots an inch are 10 a millimetre. The rule
    // under a heading is longer, and above.
    int longest = 0;
    for (int y = image.height() * 2 / 3; y < image.height(); ++y)
        for (int x = 0, stretch = 0; x < image.width(); ++x) {
            stretch = qGray(image.pixel(x, y)) < 128 ? stretch + 1 : 0;
            longest = std::max(longest, stretch);
        }
    CHECK(std::abs(longest - 1000) <= 8); // the end marks' breadth
}

TEST_CASE("heights that fight are made peace between by a check's button", "[app][lines]") {
    Kitchen kitchen{3000_mm};
    kitchen.carry("Wall unit  600", 500_mm, 1800_mm);
    kitchen.window.set_stage(Stage::lines);
    QTest::qWait(1);
    kitchen.press("add-relation");
    auto* over = kitchen.find<QComboBox>("relation-line");
    over->setCurrentIndex(over->findText(QStringLiteral("Wall unit top")));
    emit over->activated(over->currentIndex());
    auto* how = kitchen.find<QComboBox>("relation-how");
    how->setCurrentIndex(2); // at most
    emit how->activated(2);
    kitchen.type("relation-by", "2000");
    kitchen.type("relation-reason", "beam");
    const auto fights = [&] {
        const auto& checks = kitchen.bench().room_plan()->lines.checks;
        return std::ranges::find(checks, checks::lines_conflict, &Check::code) != checks.end();
    };
    REQUIRE(fights()); // 2070 is wanted
    const auto undone = kitchen.bench().undo_stack().count();
    kitchen.open_checks();
    QTest::mouseClick(kitchen.find<QPushButton>("cure-lines_conflict-1"), Qt::LeftButton);
    QTest::qWait(1);
    CHECK_FALSE(fights());
    CHECK(kitchen.bench().undo_stack().count() == undone + 1);
    kitchen.bench().undo_stack().undo();
    CHECK(fights());
    kitchen.press("remove-relation");
    CHECK_FALSE(fights());
}

TEST_CASE("a line tells its heights where the pointer is", "[app][lines]") {
    Kitchen kitchen{3000_mm};
    kitchen.bench().edit(QStringLiteral("read"), [](Job& job) {
        job.walls.front().floor = {{Length{}, 1000_mm, {}}, {3000_mm, 1030_mm, {}}};
    });
    kitchen.window.set_stage(Stage::lines);
    QTest::qWait(1);
    BoardView& board = kitchen.window.board();
    QTest::mouseMove(&board, board.place(1500_mm, 900_mm).toPoint() + QPoint{0, 40});
    QTest::mouseMove(&board, board.place(1500_mm, 900_mm).toPoint());
    const QString words = board.toolTip();
    CHECK(words.contains(QStringLiteral("Worktop: 900 mm above the finished floor")));
    CHECK(words.contains(QStringLiteral("above the floor as it is at 1")));
    CHECK(words.contains(QStringLiteral("100 mm down from the level line")));
}

TEST_CASE("a unit's screw is pulled to its place and pinned there, and let go of from its menu", "[app][runs][pins]") {
    Kitchen kitchen{3000_mm};
    kitchen.carry("Wall unit  600", 500_mm, 1800_mm);
    REQUIRE(kitchen.plan().units.front().holes.size() >= 2);
    const PlannedHole hole = kitchen.plan().units.front().holes.front();
    const Length left = kitchen.plan().layout.left();
    kitchen.drag(hole.x, hole.z, hole.x + 60_mm, hole.z);
    REQUIRE(kitchen.run().units.front().pins.size() == 1);
    const Length pin = kitchen.run().units.front().pins.front();
    CHECK(absolute(left + pin - (hole.x + 60_mm)) <= 5_mm); // to the pixel
    CHECK(kitchen.plan().layout.left() == left);            // the run stays
    CHECK(kitchen.bench().undo_stack().undoText() == "Pin a screw");
    CHECK(std::ranges::any_of(kitchen.plan().units.front().holes,
                              [&](const PlannedHole& each) { return each.x == left + pin; }));
    QMenu* menu = kitchen.menu_at(left + pin, hole.z);
    const auto row = [&](const char* words) -> QAction* {
        for (QAction* action : menu->actions())
            if (action->text() == QString::fromLatin1(words))
                return action;
        return nullptr;
    };
    REQUIRE(row("Let go of it"));
    CHECK(row("Let go of all pins"));
    row("Let go of it")->trigger();
    CHECK(kitchen.run().units.front().pins.empty());
    delete menu;
}

TEST_CASE("a hole in a unit's back is typed from its edges, and taken out again", "[app][runs][panel-cut]") {
    Kitchen kitchen{3000_mm};
    kitchen.carry("Wall unit  600", 500_mm, 1800_mm);
    kitchen.open_folds();
    for (const auto& [field, figure] : {std::pair{"unit-cut-across", "225"}, std::pair{"unit-cut-down", "250"},
                                        std::pair{"unit-cut-width", "150"}, std::pair{"unit-cut-height", "140"}}) {
        auto* entry = kitchen.find<LengthField>(field);
        entry->setFocus();
        QTest::keyClicks(entry, QString::fromLatin1(figure));
        QTest::keyClick(entry, Qt::Key_Return);
        QTest::qWait(1);
    }
    REQUIRE(kitchen.run().units.front().cut_outs.size() == 1);
    const PanelCutOut& cut = kitchen.run().units.front().cut_outs.front();
    CHECK(cut.name == "duct");
    CHECK(cut.across == 225_mm);
    CHECK(cut.height == 140_mm);
    auto* list = kitchen.find<QListWidget>("unit-cut-found");
    REQUIRE(list->count() == 1);
    CHECK(list->item(0)->text().contains("225 mm from the left"));
    list->setCurrentRow(0);
    list->setFocus();
    QTest::keyClick(list, Qt::Key_Delete);
    CHECK(kitchen.run().units.front().cut_outs.empty());
}
