#include "app/layout/layout_panel.hpp"
#include "driven_window.hpp"

#include <QAbstractButton>
#include <QComboBox>
#include <QListWidget>
#include <QMenuBar>
#include <QPushButton>
#include <QScrollArea>
#include <QSettings>
#include <QTableWidget>
#include <QTextBrowser>
#include <QWheelEvent>
#include <algorithm>

using namespace yes_square;
using namespace yes_square::app;

namespace {

/// The window with a copy of the demo job open.
struct DemoWindow : DrivenWindow {
    DemoWindow() { open_demo(); }
    ~DemoWindow() { bench().undo_stack().setClean(); }

    const Wall& wall() { return job().walls[bench().wall_index()]; }
};

} // namespace

TEST_CASE("a wall's make is chosen and what it needs is asked for", "[app][survey]") {
    DemoWindow driven;
    driven.window.set_stage(Stage::survey);
    CHECK(driven.find<QWidget>("stud-spacing")->isVisible());
    driven.choose("wall-structure", 3);
    REQUIRE(std::holds_alternative<Masonry>(driven.wall().structure));
    CHECK(std::get<Masonry>(driven.wall().structure).kind == MasonryKind::aerated_block);
    CHECK_FALSE(driven.find<QWidget>("stud-spacing")->isVisible());
    driven.choose("wall-structure", 0);
    CHECK(std::holds_alternative<Framing>(driven.wall().structure));
    driven.choose("stud-species", 2);
    CHECK(std::get<Framing>(driven.wall().structure).species == Species::southern_pine);
    driven.type("stud-width", "45");
    driven.type("stud-depth", "95");
    driven.type("stud-spacing", "600");
    CHECK(std::get<Framing>(driven.wall().structure) == Framing{45_mm, 95_mm, 600_mm, Species::southern_pine});
}

TEST_CASE("linings are layered and taken off", "[app][survey]") {
    DemoWindow driven;
    driven.window.set_stage(Stage::survey);
    driven.choose("lining-2", 4);
    REQUIRE(driven.wall().lining.size() == 2);
    CHECK(driven.wall().lining[1].material == LiningMaterial::tile);
    driven.type("lining-2-thickness", "8.5");
    CHECK(driven.wall().lining_thickness() == 21_mm);
    driven.choose("lining-2", 0);
    CHECK(driven.wall().lining.size() == 1);
    driven.choose("lining-1", 0);
    CHECK(driven.wall().lining.empty());
}

TEST_CASE("ends and room are chosen", "[app][survey]") {
    DemoWindow driven;
    driven.window.set_stage(Stage::survey);
    driven.choose("wall-left-end", 2);
    CHECK(driven.wall().left_end == WallEnd::open);
    driven.choose("wall-left-end", 0);
    driven.choose("wall-right-end", 1);
    CHECK(driven.wall().left_end == WallEnd::corner);
    CHECK(driven.wall().right_end == WallEnd::outside_corner);
    driven.window.survey().set_page(SurveyPage::room);
    driven.choose("room-class", 1);
    CHECK(driven.job().rooms[0].service_class == ServiceClass::damp);
}

TEST_CASE("every kind of finding is entered on the walk, with the figures it needs", "[app][survey]") {
    DemoWindow driven;
    driven.bench().select_wall(1);
    driven.window.set_stage(Stage::survey);
    driven.window.survey().set_page(SurveyPage::walk);
    auto* found = driven.find<QListWidget>("walk-found");
    const int before = found->count();

    driven.pick("walk-what", "Window");
    driven.type("walk-distance", "400");
    driven.type("walk-height", "90cm");
    driven.type("walk-width", "60cm");
    CHECK(driven.wall().openings.empty());
    driven.type("walk-tall", "1 m");
    REQUIRE(driven.wall().openings.size() == 1);
    CHECK(driven.wall().openings[0] == Opening{OpeningKind::window, 400_mm, 900_mm, 600_mm, 1000_mm, {}});

    driven.pick("walk-what", "Door");
    driven.type("walk-distance", "1800");
    driven.type("walk-width", "760");
    driven.type("walk-tall", "2030");
    REQUIRE(driven.wall().openings.size() == 2);
    CHECK(driven.wall().openings[1].bottom == Length{});

    driven.pick("walk-what", "Pipe or tap");
    driven.type("walk-distance", "1500");
    CHECK(driven.wall().services.back().kind == ServiceKind::pipe);
    CHECK(found->count() == before + 3);

    // The list stands in the order of the walk; Delete takes one out.
    CHECK(found->item(0)->text().startsWith("400 mm"));
    found->setCurrentRow(0);
    found->setFocus();
    QTest::keyClick(found, Qt::Key_Delete);
    CHECK(driven.wall().openings.size() == 1);
    driven.bench().undo_stack().undo();
    CHECK(driven.wall().openings.size() == 2);
}

TEST_CASE("a distance below 0 on the walk is refused", "[app][survey]") {
    DemoWindow driven;
    driven.window.set_stage(Stage::survey);
    driven.window.survey().set_page(SurveyPage::walk);
    const Job before = driven.job();
    driven.type("walk-distance", "-5");
    CHECK(driven.job() == before);
    CHECK(driven.find<LengthField>("walk-distance")->property("refused").toBool());
}

TEST_CASE("board, load, bracket and rating are chosen for a shelf", "[app][layout]") {
    DemoWindow driven;
    driven.choose("shelf-material", static_cast<int>(BoardMaterial::red_oak));
    driven.type("shelf-thickness", "27");
    driven.type("shelf-depth", "24cm");
    CHECK(driven.bench().shelf()->material == BoardMaterial::red_oak);
    CHECK(driven.bench().shelf()->depth == 240_mm);
    CHECK_FALSE(driven.find<QWidget>("shelf-own_load_kg_per_m")->isVisible());
    driven.choose("shelf-load", static_cast<int>(LoadKind::own));
    CHECK(driven.find<QWidget>("shelf-own_load_kg_per_m")->isVisible());
    driven.type("shelf-own_load_kg_per_m", "14.5");
    CHECK(driven.bench().shelf()->load == ShelfLoad{LoadKind::own, 14.5_kg_m});

    driven.choose("shelf-bracket", 2);
    CHECK(driven.bench().shelf()->bracket == driven.job().catalogue.brackets[1].id);
    driven.type("bracket-rating", "40");
    CHECK(*driven.job().catalogue.brackets[1].rating == Approx(40 * 9.80665));
    driven.type("bracket-rating", "forty");
    auto* rating = driven.find<QLineEdit>("bracket-rating");
    CHECK(rating->property("refused").toBool());
    CHECK(driven.job().catalogue.brackets[1].rating);
    driven.type("bracket-rating", "41,5");
    CHECK(*driven.job().catalogue.brackets[1].rating == Approx(41.5 * 9.80665));
    rating->setFocus();
    rating->selectAll();
    QTest::keyClick(rating, Qt::Key_Delete);
    QTest::keyClick(rating, Qt::Key_Return);
    CHECK_FALSE(driven.job().catalogue.brackets[1].rating);
    driven.choose("shelf-bracket", 0);
    CHECK(driven.bench().shelf()->bracket.empty());
    driven.choose("sag-limit", 3);
    CHECK(driven.job().rules.sag_limit == SagLimit::l_600);
}

TEST_CASE("a shelf is added, named, removed and brought back", "[app][layout]") {
    DemoWindow driven;
    const std::size_t before = driven.wall().shelves.size();
    QTest::mouseClick(driven.find<QPushButton>("add-shelf"), Qt::LeftButton);
    REQUIRE(driven.wall().shelves.size() == before + 1);
    CHECK(driven.bench().shelf()->id == driven.wall().shelves.back().id);
    driven.type("shelf-name", "Over the desk");
    CHECK(driven.wall().shelves.back().name == "Over the desk");
    CHECK(driven.find<QComboBox>("item-picker")->currentText() == "Over the desk");
    QTest::mouseClick(driven.find<QPushButton>("remove-shelf"), Qt::LeftButton);
    CHECK(driven.wall().shelves.size() == before);
    driven.bench().undo_stack().undo();
    CHECK(driven.wall().shelves.size() == before + 1);
}

TEST_CASE("the alternatives stand side by side, each with what it gives up", "[app][layout]") {
    DemoWindow driven;
    QTest::qWait(5);
    const ShelfPlan& plan = *driven.bench().shelf_plan();
    REQUIRE(plan.alternatives.size() >= 4);
    QRegion taken;
    for (std::size_t i = 0; i < plan.alternatives.size(); ++i) {
        auto* card = driven.find<QAbstractButton>(("alternative-" + std::to_string(i + 1)).c_str());
        CHECK(card->isVisible());
        CHECK_FALSE(taken.intersects(card->geometry())); // two by two
        taken += card->geometry();
        CHECK(card->isChecked() == (i == plan.chosen));
        CHECK(card->accessibleName().contains(": "));
    }
    // By keyboard as well.
    auto* last = driven.find<QAbstractButton>("alternative-4");
    const auto wanted = plan.alternatives[3];
    last->setFocus();
    QTest::keyClick(last, Qt::Key_Space);
    CHECK(driven.bench().shelf()->school == wanted.layout.school);
    CHECK(driven.bench().shelf()->extra_brackets == wanted.extra_brackets);
    driven.window.set_stage(Stage::fit);
    CHECK_FALSE(driven.find<QAbstractButton>("alternative-1")->isVisible());
}

TEST_CASE("marks and drilling are listed, and a row shows its sum", "[app][fixings]") {
    DemoWindow driven;
    driven.window.set_stage(Stage::fixings);
    auto* marks = driven.find<QTableWidget>("marks-table");
    auto* drilling = driven.find<QTableWidget>("drilling-table");
    CHECK(marks->rowCount() == 3);
    CHECK(drilling->rowCount() == 9);
    CHECK(marks->item(1, 1)->text() == "1364 mm");
    CHECK(marks->item(1, 2)->text() == "proved stud");
    CHECK(drilling->item(0, 2)->text() == "1618 mm");
    CHECK(drilling->item(0, 5)->text() == "58.5 mm");
    CHECK(drilling->isColumnHidden(3)); // the floor there is now is the finished floor
    marks->setFocus();
    marks->selectRow(2);
    CHECK(driven.bench().subject() == "fixing/3");
    CHECK(driven.find<QTextBrowser>("scrap")->toPlainText().contains("#10 wood screw"));
}

TEST_CASE("the scrap leads from figure to figure", "[app][scrap]") {
    DemoWindow driven;
    auto* scrap = driven.find<QTextBrowser>("scrap");
    CHECK(scrap->toPlainText().contains("Sag in time"));
    emit scrap->anchorClicked(QUrl{"level"});
    CHECK(scrap->toPlainText().contains("1665 mm - 22 mm = 1643 mm"));
    emit scrap->anchorClicked(QUrl{"rating/1"});
    CHECK(scrap->toPlainText().contains("maker"));
    emit scrap->anchorClicked(QUrl{"hole/3"});
    CHECK(scrap->toPlainText().contains("1643 mm - 225 mm = 1418 mm"));
}

TEST_CASE("checks stand errors first, each with its words and cures", "[app][checks]") {
    DemoWindow driven;
    driven.open_checks();
    auto* checks = driven.find<QScrollArea>("checks");
    QStringList words;
    for (const QLabel* label : checks->findChildren<QLabel*>())
        words << label->text();
    REQUIRE_FALSE(words.isEmpty());
    CHECK(words.first().contains("Put right"));
    CHECK(words.first().contains("Low shelf"));
    CHECK(words.join(' ').contains("Probe both edges of the stud at 2719 mm"));
    driven.bench().select_wall(1);
    CHECK(checks->widget()->findChildren<QLabel*>().first()->text().contains("Nothing to put right"));
}

TEST_CASE("the wheel and the buttons bring the wall nearer, Whole wall takes it back", "[app][board]") {
    DemoWindow driven;
    BoardView& board = driven.window.board();
    const double before = board.place(1000_mm, {}).x() - board.place({}, {}).x();
    QWheelEvent wheel{
        QPointF(200, 150), board.mapToGlobal(QPointF(200, 150)), {}, {0, 120}, {}, {}, Qt::NoScrollPhase, false};
    QApplication::sendEvent(&board, &wheel);
    CHECK(board.place(1000_mm, {}).x() - board.place({}, {}).x() > 1.1 * before);
    QTest::mouseClick(driven.find<QAbstractButton>("fit-wall"), Qt::LeftButton);
    CHECK(board.place(1000_mm, {}).x() - board.place({}, {}).x() == Approx(before));
}

TEST_CASE("a click on a stud, a tick or another shelf selects what it stands for", "[app][board]") {
    DemoWindow driven;
    const Shelf low = driven.wall().shelves[1];
    driven.click(low.left + 400_mm, low.height - low.thickness / 2);
    CHECK(driven.bench().shelf()->id == "shelf-2");
    CHECK(driven.find<QComboBox>("item-picker")->currentText() == "Low shelf");
    CHECK(driven.bench().undo_stack().isClean()); // a click is no edit
}

TEST_CASE("Escape in the middle of a drag puts the shelf back", "[app][board]") {
    DemoWindow driven;
    const Job before = driven.job();
    BoardView& board = driven.window.board();
    const Shelf shelf = *driven.bench().shelf();
    const QPoint from = board.place(shelf.left + 700_mm, shelf.height - 11_mm).toPoint();
    QTest::mousePress(&board, Qt::LeftButton, {}, from);
    QTest::mouseMove(&board, from + QPoint{40, 20});
    QTest::mouseMove(&board, from + QPoint{60, 30});
    CHECK(driven.job() != before);
    QTest::keyClick(&board, Qt::Key_Escape);
    QTest::mouseRelease(&board, Qt::LeftButton, {}, from + QPoint{60, 30});
    CHECK(driven.job() == before);
    CHECK(driven.bench().undo_stack().isClean());
}

TEST_CASE("a drag is one step to undo, and re-reckons on its way", "[app][board]") {
    DemoWindow driven;
    const Shelf shelf = *driven.bench().shelf();
    int reckoned = 0;
    QObject::connect(&driven.bench(), &Workbench::changed, [&] { ++reckoned; });
    driven.drag(shelf.left + 700_mm, shelf.height - 11_mm, shelf.left + 900_mm, shelf.height - 11_mm);
    CHECK(reckoned >= 3);
    CHECK(driven.bench().undo_stack().count() == 1);
    CHECK(driven.bench().undo_stack().undoText() == "Move shelf");
}

TEST_CASE("opened files are remembered, newest first", "[app][files]") {
    DemoWindow driven;
    const QString second = driven.folder.filePath("second.yesq");
    REQUIRE(driven.window.save_to(second));
    const QStringList recent = QSettings{}.value("recent").toStringList();
    REQUIRE(recent.size() >= 2);
    CHECK(recent[0] == second);
    CHECK(recent[1].endsWith("demo.yesq"));
    CHECK(QFile::exists(second));
}

TEST_CASE("saving under another name takes that file's lock and leaves the first", "[app][files]") {
    DemoWindow driven;
    const QString second = driven.folder.filePath("second.yesq");
    REQUIRE(driven.window.save_to(second));
    JobStore other;
    CHECK(other.open(driven.folder.filePath("demo.yesq")));
    JobStore third;
    CHECK_FALSE(third.open(second));
}

TEST_CASE("a job of a newer version is shown and not saved over", "[app][files]") {
    QTemporaryDir folder;
    const QString path = copy_of_demo(folder);
    QFile file{path};
    REQUIRE(file.open(QIODevice::ReadOnly));
    QByteArray bytes = file.readAll();
    file.close();
    bytes.replace("\"version\": 1", "\"version\": 2");
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write(bytes);
    file.close();
    DrivenWindow driven;
    REQUIRE(driven.window.open(path));
    CHECK(driven.told.size() == 1);
    CHECK(driven.window.windowTitle().contains("read only"));
    driven.bench().edit("test", [](Job& job) { job.title = "changed"; });
    CHECK_FALSE(driven.window.save_to(path));
    REQUIRE(file.open(QIODevice::ReadOnly));
    CHECK(file.readAll() == bytes);
    CHECK(driven.window.save_to(folder.filePath("mine.yesq")));
}

/// For its length of life the program has the rights of an ordinary user: root may write anywhere.
struct AsOrdinaryUser {
    AsOrdinaryUser() {
        if (geteuid() == 0)
            REQUIRE(seteuid(nobody) == 0);
    }
    ~AsOrdinaryUser() {
        if (getuid() == 0)
            (void)!seteuid(0);
    }
    static constexpr uid_t nobody = 65534;
};

TEST_CASE("a job in a folder that cannot be written opens to be looked at", "[app][files][nothing-lost]") {
    QTemporaryDir folder;
    QTemporaryDir mine;
    const QString path = copy_of_demo(folder);
    DrivenWindow driven;
    using Permissions = QFileDevice::Permissions;
    const Permissions look =
        QFile::ReadOwner | QFile::ExeOwner | QFile::ReadGroup | QFile::ExeGroup | QFile::ReadOther | QFile::ExeOther;
    REQUIRE(QFile::setPermissions(path, look));
    REQUIRE(QFile::setPermissions(folder.path(), look));
    {
        const AsOrdinaryUser rights;
        const bool opened = driven.window.open(path);
        INFO(driven.told.join('\n').toStdString());
        REQUIRE(opened);
        CHECK(driven.window.windowTitle().contains("read only"));
        REQUIRE(driven.told.size() == 1);
        CHECK(driven.told.front().contains("folder"));
        driven.bench().edit("test", [](Job& job) { job.title = "changed"; });
        CHECK_FALSE(driven.window.save_to(path));
    }
    REQUIRE(QFile::setPermissions(folder.path(), QFile::ReadOwner | QFile::WriteOwner | QFile::ExeOwner));
    CHECK(driven.window.save_to(mine.filePath("mine.yesq")));
}

TEST_CASE("both themes and every stage can be shown in every unit", "[app][look]") {
    DemoWindow driven;
    for (const ThemeName name : {ThemeName::dark, ThemeName::light}) {
        driven.window.set_theme(name);
        for (const Stage stage : {Stage::survey, Stage::layout, Stage::fixings, Stage::fit}) {
            driven.window.set_stage(stage);
            for (const Unit unit : all_units()) {
                driven.bench().edit("unit", [&](Job& job) { job.unit = unit; });
                const QImage picture = driven.window.grab().toImage();
                const BoardView& board = driven.window.board();
                const QPoint clear = board.mapTo(&driven.window, QPoint{board.width() - 6, 6}); // beside the wall
                CHECK(picture.pixelColor(clear) == app::theme(name).paper);
            }
        }
    }
}
