#include "app/shell/job_store.hpp"
#include "driven_window.hpp"

#include "app/bench/manners.hpp"

#include <QAbstractButton>
#include <QAbstractItemView>
#include <QAction>
#include <QApplication>
#include <QComboBox>
#include <QHelpEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMap>
#include <QMessageBox>
#include <QProcess>
#include <QPushButton>
#include <QTableWidget>
#include <QTextBrowser>
#include <QTextDocument>
#include <QToolTip>
#include <QUrl>
#include <QWheelEvent>

using namespace yes_square;
using namespace yes_square::app;

TEST_CASE("a wall is typed, a shelf put on it, dragged, undone, saved and reopened", "[app]") {
    QTemporaryDir folder;
    const QString path = folder.filePath("typed.yesq");
    Job saved;
    {
        DrivenWindow driven;
        driven.window.start_untitled();
        driven.window.set_stage(Stage::survey);
        QTest::mouseClick(driven.find<QPushButton>("add-wall"), Qt::LeftButton);
        driven.type("job-title", "Hall");
        driven.type("wall-length", "2 m + 48cm");
        driven.type("wall-height", "2390");
        REQUIRE(driven.job().walls.size() == 1);
        CHECK(driven.job().title == "Hall");
        CHECK(driven.job().walls[0].length == 2480_mm);
        CHECK(driven.job().walls[0].height == 2390_mm);

        // The walk: studs by distance alone, Enter after each, no mouse.
        for (const char* centre : {"412", "812", "1212", "1612", "2012"})
            driven.type("walk-distance", centre);
        REQUIRE(driven.job().walls[0].studs.size() == 5);
        CHECK(driven.job().walls[0].studs[4].centre == 2012_mm);
        CHECK(driven.job().walls[0].studs[0].state == StudState::proved);
        CHECK(driven.find<QListWidget>("walk-found")->count() == 5);
        driven.pick("walk-what", "Socket");
        driven.type("walk-distance", "2300");
        CHECK(driven.job().walls[0].services.empty()); // its height is still wanted
        driven.type("walk-height", "30cm");
        REQUIRE(driven.job().walls[0].services.size() == 1);
        CHECK(driven.job().walls[0].services[0].height == 300_mm);

        driven.window.set_stage(Stage::layout);
        QTest::mouseClick(driven.find<QPushButton>("add-shelf"), Qt::LeftButton);
        driven.type("shelf-left", "350");
        driven.type("shelf-height", "1700");
        driven.type("shelf-length", "1320");
        REQUIRE(driven.bench().shelf());
        CHECK(driven.bench().shelf()->length == 1320_mm);
        REQUIRE(driven.bench().shelf_plan());
        CHECK(driven.bench().shelf_plan()->brackets.front().x == 412_mm);
        CHECK(driven.bench().shelf_plan()->brackets.back().x == 1612_mm);

        const Job before = driven.job();
        driven.drag(1000_mm, Length::mm(1700 - 11), 1100_mm, Length::mm(1500 - 11));
        CHECK(driven.job() != before);
        CHECK(driven.bench().shelf()->left > before.walls[0].shelves[0].left);
        CHECK(driven.bench().shelf()->height < before.walls[0].shelves[0].height);
        CHECK(driven.bench().shelf()->left.in_nanometres() % 1'000'000 == 0); // whole display steps
        QTest::keyClick(&driven.window, Qt::Key_Z, Qt::ControlModifier);
        CHECK(driven.job() == before);
        QTest::keyClick(&driven.window, Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
        CHECK(driven.job() != before);

        REQUIRE(driven.window.save_to(path));
        CHECK_FALSE(driven.window.isWindowModified());
        saved = driven.job();
        CHECK(driven.told.isEmpty());
    }
    DrivenWindow again;
    REQUIRE(again.window.open(path));
    CHECK(again.job() == saved);
    CHECK(again.asked.isEmpty());
}

TEST_CASE("a length that cannot be read stays as typed and changes nothing", "[app]") {
    DrivenWindow driven;
    driven.bench().start(read_job(write_job(new_job()))->job);
    driven.window.set_stage(Stage::survey);
    QTest::mouseClick(driven.find<QPushButton>("add-wall"), Qt::LeftButton);
    const Job before = driven.job();
    driven.type("wall-length", "12 yards");
    CHECK(driven.job() == before);
    auto* field = driven.find<LengthField>("wall-length");
    CHECK(field->text() == "12 yards");
    CHECK(field->property("refused").toBool());
    driven.type("wall-length", "0");
    CHECK(driven.job() == before);
    driven.type("wall-length", "10' 6\"");
    CHECK(driven.job().walls[0].length == 126_in);
}

TEST_CASE("a shelf is resized by its end and nudged by keys", "[app]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.window.set_stage(Stage::survey); // the wall is largest without the alternatives
    QTest::qWait(5);
    const Shelf before = *driven.bench().shelf();
    const Length middle = before.height - before.thickness / 2;
    driven.drag(before.right() - 10_mm, middle, before.right() + 300_mm, middle);
    CHECK(driven.bench().shelf()->left == before.left);
    CHECK(driven.bench().shelf()->length > before.length + 250_mm);
    QTest::keyClick(&driven.window.board(), Qt::Key_Up);
    CHECK(driven.bench().shelf()->height == before.height + 1_mm);
    QTest::keyClick(&driven.window.board(), Qt::Key_Left, Qt::ShiftModifier);
    CHECK(driven.bench().shelf()->left == before.left - 10_mm);
}

TEST_CASE("a cure's button clears its check", "[app]") {
    DrivenWindow driven;
    driven.open_demo();
    const std::size_t before = count_checks(driven.bench().plan(), Severity::error);
    driven.open_checks();
    QTest::mouseClick(driven.find<QPushButton>("cure-stud_assumed-1"), Qt::LeftButton);
    CHECK(count_checks(driven.bench().plan(), Severity::error) == before - 1);
    driven.bench().undo_stack().undo();
    CHECK(count_checks(driven.bench().plan(), Severity::error) == before);
}

TEST_CASE("an alternative clicked is chosen, and a bracket clicked shows its sum", "[app]") {
    DrivenWindow driven;
    driven.open_demo();
    QTest::mouseClick(driven.find<QAbstractButton>("alternative-2"), Qt::LeftButton);
    CHECK(driven.bench().shelf()->school == School::even);
    driven.bench().undo_stack().undo();

    const BracketPlan& second = driven.bench().shelf_plan()->brackets[1];
    driven.click(second.x, driven.bench().shelf()->underside() - 60_mm);
    CHECK(driven.bench().subject() == "bracket/2");
    CHECK(driven.find<QTextBrowser>("scrap")->toPlainText().contains("1364 mm"));
}

TEST_CASE("the unit switches what is shown and no stored length", "[app]") {
    DrivenWindow driven;
    driven.open_demo();
    const std::vector<Wall> walls = driven.job().walls;
    auto* units = driven.find<QComboBox>("unit-picker");
    emit units->activated(static_cast<int>(Unit::inch_16));
    CHECK(driven.job().unit == Unit::inch_16);
    CHECK(driven.job().walls == walls);
    CHECK(driven.find<LengthField>("shelf-left")->text() == "13 in");
    driven.window.set_stage(Stage::fixings);
    CHECK(driven.find<QTableWidget>("marks-table")->item(0, 1)->text() == "18 1/4 in");
}

TEST_CASE("the wheel turns no closed list or number that is not in hand", "[app][nothing-lost]") {
    DrivenWindow driven;
    driven.open_demo();
    const Job before = driven.job();
    for (QComboBox* list : driven.window.findChildren<QComboBox*>()) {
        if (!list->isVisible() || list->hasFocus())
            continue;
        const int row = list->currentIndex();
        QWheelEvent turn{
            {5, 5}, list->mapToGlobal(QPoint{5, 5}), {}, {0, -120}, Qt::NoButton, Qt::NoModifier, Qt::NoScrollPhase,
            false};
        QApplication::sendEvent(list, &turn);
        CHECK(list->currentIndex() == row);
    }
    CHECK(driven.job() == before);
}

TEST_CASE("no two actions share a key", "[app][nothing-lost]") {
    DrivenWindow driven;
    QMap<QString, QString> taken;
    for (QAction* action : driven.window.findChildren<QAction*>())
        for (const QKeySequence& key : action->shortcuts()) {
            INFO(key.toString().toStdString() << ": " << action->text().toStdString());
            CHECK_FALSE(taken.contains(key.toString()));
            taken[key.toString()] = action->text();
        }
    // Nor with a key that some desktop gives to a standard action of ours.
    for (const auto standard : {QKeySequence::New, QKeySequence::Open, QKeySequence::Save, QKeySequence::SaveAs,
                                QKeySequence::Print, QKeySequence::Quit, QKeySequence::Undo, QKeySequence::ZoomIn})
        for (const QKeySequence& key : QKeySequence::keyBindings(standard))
            if (taken.contains(key.toString()))
                CHECK(taken.count(key.toString()) == 1);
    CHECK(taken.value("Ctrl+Shift+S").contains("as"));
}

TEST_CASE("a name with markup is shown as it is, everywhere", "[app][nothing-lost]") {
    DrivenWindow driven;
    driven.open_demo();
    const std::string nasty = "<b>x</b><img src=/dev/zero>";
    int tips = 0;
    auto* with_tip = new QPushButton{driven.window.centralWidget()};
    with_tip->setToolTip(QString::fromStdString(nasty));
    driven.bench().edit("Names", [&](Job& job) {
        for (Room& room : job.rooms)
            for (LevelLine& line : room.lines)
                line.name = nasty;
        for (Wall& wall : job.walls) {
            wall.name = nasty;
            for (Shelf& shelf : wall.shelves)
                shelf.name = nasty;
            for (Run& run : wall.runs)
                for (CabinetUnit& unit : run.units)
                    unit.name = nasty;
            for (Piece& piece : wall.pieces)
                piece.name = nasty;
        }
    });
    for (const Stage stage :
         {Stage::survey, Stage::lines, Stage::layout, Stage::fixings, Stage::cut, Stage::fit, Stage::record}) {
        driven.window.set_stage(stage);
        QTest::qWait(20);
        for (QLabel* label : driven.window.findChildren<QLabel*>()) {
            const bool rich = label->textFormat() == Qt::RichText ||
                              (label->textFormat() == Qt::AutoText && Qt::mightBeRichText(label->text()));
            INFO(label->text().toStdString());
            CHECK_FALSE((rich && label->text().contains("<img")));
        }
        for (QTextBrowser* document : driven.window.findChildren<QTextBrowser*>()) {
            INFO(document->objectName().toStdString());
            CHECK(dynamic_cast<Document*>(document) != nullptr);
            CHECK_FALSE(document->toHtml().contains("<img"));
        }
        // Tips, of widgets and of items: the words are shown, and no picture is asked for.
        const auto shows_it = [&](QWidget* over, const QPoint& at) {
            QHelpEvent help{QEvent::ToolTip, at, over->mapToGlobal(at)};
            QApplication::sendEvent(over, &help);
            QTextDocument shown;
            shown.setHtml(QToolTip::text());
            INFO(QToolTip::text().toStdString());
            CHECK(shown.toPlainText().contains("<img"));
            CHECK_FALSE(QToolTip::text().contains("<img"));
            QToolTip::hideText();
            ++tips;
        };
        for (QWidget* widget : driven.window.findChildren<QWidget*>())
            if (widget->toolTip().contains("<img"))
                shows_it(widget, widget->rect().center());
        for (QAbstractItemView* view : driven.window.findChildren<QAbstractItemView*>())
            for (int row = 0; view->model() && row < view->model()->rowCount(); ++row)
                for (int column = 0; column < view->model()->columnCount(); ++column)
                    if (const QModelIndex index = view->model()->index(row, column);
                        index.data(Qt::ToolTipRole).toString().contains("<img") &&
                        view->viewport()->rect().contains(view->visualRect(index).center()))
                        shows_it(view->viewport(), view->visualRect(index).center());
        // Boxes are made by one helper of the toolkit: their text is a label, and goes by the same manners.
        QMessageBox box{QMessageBox::Warning, "t", QString::fromStdString(nasty)};
        box.show();
        for (const QLabel* label : box.findChildren<QLabel*>())
            CHECK(label->textFormat() != Qt::AutoText);
    }
    CHECK(tips > 0);
}

TEST_CASE("an edit that no file could keep is refused, and the job stays", "[app][nothing-lost]") {
    DrivenWindow driven;
    driven.open_demo();
    const Job before = driven.job();
    const auto refused = [&](const std::function<void(Job&)>& change, const char* place) {
        driven.told.clear();
        driven.bench().edit("Try", change);
        CHECK(driven.job() == before);
        REQUIRE(driven.told.size() == 1);
        INFO(driven.told.front().toStdString());
        CHECK(driven.told.front().contains(place));
    };
    refused([](Job& job) { job.walls[0].shelves[0].depth = -1_mm; }, "walls[0].shelves[0].depth");
    refused([](Job& job) { job.walls[0].length = 2'000'000_mm; }, "walls[0].length");
    refused([](Job& job) { job.walls[0].name = std::string(300, 'x'); }, "walls[0].name");
    refused([](Job& job) { job.walls[0].id = "../x"; }, "walls[0].id");
    refused([](Job& job) { job.walls[0].shelves[0].tiers = 900; }, "walls[0].shelves[0].tiers");
    refused([](Job& job) { job.walls[1].id = job.walls[0].id; }, "walls[1].id");
    refused(
        [](Job& job) {
            job.walls[0].scans.resize(600, {ScanResult::cable, 1_mm, 1_mm, 1_mm, 1_mm, {}});
        },
        "walls[0].scans");
    // And while dragging: what cannot be kept is neither shown nor reckoned, nor settled.
    driven.told.clear();
    driven.bench().preview([](Job& job) { job.walls[0].shelves[0].length = -5_mm; });
    CHECK(driven.job() == before);
    driven.bench().settle("Drag");
    CHECK(driven.job() == before);
    CHECK(driven.told.isEmpty());
}

TEST_CASE("a stud found again replaces what was thought of it", "[app]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.window.set_stage(Stage::survey);
    driven.window.survey().set_page(SurveyPage::walk);
    const std::size_t before = count_checks(driven.bench().plan(), Severity::error);
    REQUIRE(driven.job().walls[0].studs.size() == 7);
    driven.type("walk-distance", "2723");
    REQUIRE(driven.job().walls[0].studs.size() == 7);
    CHECK(driven.job().walls[0].studs[5].centre == 2723_mm);
    CHECK(driven.job().walls[0].studs[5].state == StudState::proved);
    CHECK(count_checks(driven.bench().plan(), Severity::error) == before - 1);
}

TEST_CASE("every stage shows at 1024x700 without losing a panel", "[app]") {
    DrivenWindow driven{{1024, 700}};
    driven.open_demo();
    CHECK(driven.window.size() == QSize(1024, 700));
    for (const char* stage : {"stage-survey", "stage-layout", "stage-fixings", "stage-fit"}) {
        QTest::mouseClick(driven.find<QAbstractButton>(stage), Qt::LeftButton);
        QTest::qWait(2);
        CHECK(driven.window.board().height() > 180);
        CHECK(driven.window.board().width() > 500);
        CHECK(driven.window.width() == 1024);
    }
    CHECK(driven.steps_of_selected().contains("Strike a level line"));
}

TEST_CASE("undo works while a field is in hand, its own text first, Ctrl+Delete deletes a word",
          "[app][nothing-lost]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.window.set_stage(Stage::survey);
    const std::string title = driven.job().title;
    driven.bench().edit("Title", [](Job& job) { job.title = "Other title"; });
    auto* field = driven.find<QLineEdit>("job-title");
    field->setFocus();
    QTest::qWait(1);
    REQUIRE(field->text() == "Other title");
    field->setCursorPosition(0);
    const std::size_t walls = driven.job().walls.size();
    QTest::keyClick(field, Qt::Key_Delete, Qt::ControlModifier);
    CHECK(field->text() == "title");
    CHECK(driven.job().walls.size() == walls);
    QTest::keyClick(field, Qt::Key_Z, Qt::ControlModifier); // its own text
    CHECK(field->text() == "Other title");
    QTest::keyClick(field, Qt::Key_Z, Qt::ControlModifier); // then the job's edit
    QTest::qWait(1);
    CHECK(driven.job().title == title);
}

TEST_CASE("help and version need no display, and a file address opens", "[app][program][nothing-lost]") {
    QProcessEnvironment bare = QProcessEnvironment::systemEnvironment();
    for (const char* name : {"DISPLAY", "WAYLAND_DISPLAY", "QT_QPA_PLATFORM"})
        bare.remove(QString::fromLatin1(name));
    for (const char* asked : {"--help", "--version"}) {
        QProcess program;
        program.setProcessEnvironment(bare);
        program.start(QStringLiteral(YES_SQUARE_APP), {QString::fromLatin1(asked)});
        REQUIRE(program.waitForFinished(20'000));
        CHECK(program.exitCode() == 0);
        CHECK(program.readAllStandardOutput().size() > 5);
    }
    QTemporaryDir folder;
    QProcess program;
    program.setProcessEnvironment(bare);
    program.start(QStringLiteral(YES_SQUARE_APP), {QStringLiteral("--screenshot"), folder.filePath("x.png"),
                                                   QUrl::fromLocalFile(demo_path()).toString()});
    REQUIRE(program.waitForFinished(30'000));
    CHECK(program.exitCode() == 0);
    CHECK(QFile::exists(folder.filePath("x.png")));
}
