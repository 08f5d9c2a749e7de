// Brackets and fixings at hand, and what a thing is fixed with.
#include "app/catalogue/at_hand.hpp"
#include "app/catalogue/entries_page.hpp"
#include "app/catalogue/own_catalogue.hpp"
#include "app/fixings/fixings_panel.hpp"
#include "core/reckon/chosen.hpp"
#include "core/storage/new_system.hpp"
#include "shelf_window.hpp"

#include <QFile>
#include <QLabel>
#include <QPushButton>
#include <QTabWidget>

using namespace yes_square;
using namespace yes_square::app;

namespace {

void choose(QWidget& in, const char* name, int row) {
    auto* box = in.findChild<QComboBox*>(name);
    INFO(name);
    REQUIRE(box);
    box->setCurrentIndex(row);
    emit box->activated(row);
    QTest::qWait(1);
}

/// Of several that are called so, the one that is seen.
template <class Widget>
Widget* seen(DrivenWindow& driven, const char* name) {
    INFO(name);
    for (auto* each : driven.window.findChildren<Widget*>(name))
        if (each->isVisible())
            return each;
    FAIL("it is not seen");
    return nullptr;
}

/// The list of what the selected thing can be fixed with, of the page that is seen.
QComboBox* fix_with(DrivenWindow& driven) {
    return seen<QComboBox>(driven, "fix-with");
}
void take(QComboBox* box, int row) {
    box->setCurrentIndex(row);
    emit box->activated(row);
    QTest::qWait(1);
}

AtHand* open_window(DrivenWindow& driven) {
    AtHand* dialog = driven.window.findChild<AtHand*>();
    REQUIRE(dialog);
    REQUIRE(QTest::qWaitForWindowExposed(dialog));
    return dialog;
}

} // namespace

TEST_CASE("a bracket in the hand is entered without leaving its shelf, and the sheet follows it", "[app][at-hand]") {
    ShelfWindow driven{false};
    driven.add(shelf_preset("brackets"));
    driven.open_folds();
    QTest::mouseClick(driven.find<QPushButton>("shelf-other-bracket"), Qt::LeftButton);
    AtHand* dialog = open_window(driven);
    CHECK(driven.shelf().bracket == "own-1");
    CHECK(dialog->findChild<QLineEdit*>("bracket-name")->hasFocus());
    enter(*dialog, "bracket-name", "Iron from the barn");
    enter(*dialog, "bracket-arm", "190");
    enter(*dialog, "bracket-leg", "240");
    enter(*dialog, "bracket-hole_drops", "35; 205");
    enter(*dialog, "bracket-hole_drops", "35; somewhere");
    CHECK(dialog->findChild<QLineEdit*>("bracket-hole_drops")->property("refused").toBool());
    enter(*dialog, "bracket-rating", "30"); // kg
    choose(*dialog, "bracket-basis", 1);    // characteristic
    const Bracket& own = driven.job().catalogue.brackets.back();
    CHECK(own.name == "Iron from the barn");
    CHECK(own.hole_drops == std::vector{35_mm, 205_mm});
    REQUIRE(driven.plan().bracket);
    CHECK(*driven.plan().bracket == own);
    CHECK(driven.plan().bracket->arm == 190_mm);
    CHECK(allowed_on(own)->in_si() == Approx(30 * 9.80665 / 3.5));
    // Its holes are where its own holes are.
    const PlannedHole& first = driven.plan().holes.front();
    CHECK(first.z == driven.shelf().underside() - 35_mm);
    dialog->accept();
    QTest::qWait(1);
    QString problem;
    REQUIRE(read_own_catalogue(problem).brackets.size() == 1);
    CHECK(read_own_catalogue(problem).brackets.front() == own);
    QFile::remove(own_catalogue_path());
}

TEST_CASE("what is being asked of a bracket stands out in its drawing", "[app][at-hand]") {
    ShelfWindow driven{false};
    AtHand dialog{driven.bench()};
    dialog.show();
    REQUIRE(QTest::qWaitForWindowExposed(&dialog));
    QTest::mouseClick(dialog.findChild<QPushButton*>("copy-bracket"), Qt::LeftButton);
    dialog.activateWindow();
    auto* drawing = dialog.findChild<DrawingView*>("bracket-drawing");
    REQUIRE(drawing);
    dialog.findChild<QLineEdit*>("bracket-name")->setFocus();
    QTest::qWait(1);
    const QImage plain = drawing->grab().toImage();
    dialog.findChild<QLineEdit*>("bracket-leg")->setFocus();
    QTest::qWait(1);
    const QImage leg = drawing->grab().toImage();
    dialog.findChild<QLineEdit*>("bracket-arm")->setFocus();
    QTest::qWait(1);
    CHECK(plain != leg);
    CHECK(drawing->grab().toImage() != leg);
    QFile::remove(own_catalogue_path());
}

TEST_CASE("brackets go out to a table and come in from it, and a table that is wrong changes nothing",
          "[app][at-hand][file]") {
    ShelfWindow driven{false};
    QTemporaryDir folder;
    AtHand dialog{driven.bench()};
    auto* page = static_cast<EntriesPage<Bracket>*>(dialog.findChild<QTabWidget*>("at-hand-tabs")->widget(0));
    auto* said = dialog.findChild<QLabel*>("bracket-said");
    page->copy_selected();
    for (const char* name : {"out.csv", "out.json"}) {
        const QString path = folder.filePath(name);
        page->give_out(path);
        CHECK(said->text() == QStringLiteral("1 written to %1").arg(path));
        driven.bench().edit("away", [](Job& job) { remove_own<Bracket>(job, "own-1"); });
        page->take_in(path);
        CHECK(said->text() == "1 taken in as your own");
        CHECK(driven.job().catalogue.brackets.back().id == "own-1");
        CHECK(driven.job().catalogue.brackets.back().own);
    }
    QFile wrong{folder.filePath("wrong.csv")};
    REQUIRE(wrong.open(QIODevice::WriteOnly));
    wrong.write("id,name,arm\na,A,broad\n");
    wrong.close();
    const Job before = driven.job();
    page->take_in(wrong.fileName());
    CHECK(driven.job() == before);
    CHECK(said->text().contains("line 2, arm"));
    page->take_in(folder.filePath("nothing.csv"));
    CHECK(said->text().contains("cannot be read"));
    QFile::remove(own_catalogue_path());
}

TEST_CASE("a thing is fixed with what is chosen from the list, and let go of again", "[app][at-hand][choose]") {
    ShelfWindow driven{false};
    driven.add(shelf_preset("brackets"));
    driven.show_page(FixingsPage::fix_with);
    const int row = fix_with(driven)->findText("#8", Qt::MatchStartsWith);
    REQUIRE(row > 0);
    take(fix_with(driven), row);
    REQUIRE(driven.shelf().fixing.all);
    CHECK(driven.shelf().fixing.all->gauge == ScrewGauge::number_8);
    CHECK(driven.plan().brackets.front().fixing->name.find("#8") == 0);
    CHECK(fix_with(driven)->currentText().startsWith("#8"));
    const int refused = fix_with(driven)->findText("(refused)", Qt::MatchContains);
    REQUIRE(refused > 0);
    take(fix_with(driven), refused);
    CHECK(holds(driven.plan()) == Holds::no);
    take(fix_with(driven), 0);
    CHECK_FALSE(driven.shelf().fixing.any());
}

TEST_CASE("a wardrobe's fixing is chosen too", "[app][at-hand][choose]") {
    ShelfWindow driven{true};
    driven.bench().edit("a wardrobe", [](Job& job) {
        StorageSystem system = new_system(job, job.walls.front());
        system.id = "system-1";
        job.walls.front().systems.push_back(system);
    });
    driven.bench().select("system-1");
    driven.window.set_stage(Stage::fixings);
    QTest::qWait(5);
    REQUIRE(fix_with(driven)->count() > 2);
    take(fix_with(driven), fix_with(driven)->count() - 1);
    REQUIRE(driven.job().walls.front().systems.front().fixing.all);
    CHECK_FALSE(driven.job().walls.front().systems.front().fixing.all->anchor.empty());
}

TEST_CASE("fixings are ranked with reasons, and the packet of the fitter's own comes first", "[app][kinds][choose]") {
    ShelfWindow driven{true};
    driven.add(shelf_preset("brackets"));
    driven.show_page(FixingsPage::fix_with);
    const QString ranks = seen<QTextBrowser>(driven, "rank-list")->toPlainText();
    CHECK(ranks.indexOf("Nylon plug") < ranks.indexOf("Refused")); // will do
    CHECK(ranks.indexOf("toggle") > ranks.indexOf("Refused"));
    CHECK(ranks.contains("it steadies"));

    AtHand dialog{driven.bench()};
    dialog.show();
    dialog.findChild<QTabWidget*>("at-hand-tabs")->setCurrentIndex(1);
    auto* anchors = dialog.findChild<QTableWidget*>("anchors-table");
    CHECK_FALSE(dialog.findChild<QLineEdit*>("anchor-tension")->isVisible()); // a shipped one is not changed
    anchors->selectRow(0);
    QTest::mouseClick(dialog.findChild<QPushButton*>("copy-anchor"), Qt::LeftButton);
    const auto& plugs = driven.job().catalogue.plugs;
    REQUIRE(plugs.back().own);
    enter(dialog, "anchor-name", "Long plug of the yellow box");
    enter(dialog, "anchor-tension", "6000");
    enter(dialog, "anchor-lengths", "60; eighty");
    CHECK(dialog.findChild<QLineEdit*>("anchor-lengths")->property("refused").toBool());
    enter(dialog, "anchor-lengths", "70; 90");
    CHECK(plugs.back().name == "Long plug of the yellow box");
    CHECK(plugs.back().tension == 6000_n);
    CHECK(plugs.back().screw_lengths == std::vector{70_mm, 90_mm});

    QString problem;
    CHECK(write_own_catalogue(driven.job().catalogue).isEmpty());
    const Catalogue kept = read_own_catalogue(problem);
    CHECK(problem.isEmpty());
    REQUIRE(kept.plugs.size() == 1);
    CHECK(kept.plugs[0].name == "Long plug of the yellow box");
    QFile broken{own_catalogue_path()};
    REQUIRE(broken.open(QIODevice::WriteOnly));
    broken.write("{ \"plugs\": 7 }");
    broken.close();
    CHECK(read_own_catalogue(problem).plugs.empty());
    CHECK(problem.contains("plugs"));
    QFile::remove(own_catalogue_path());

    QTest::mouseClick(dialog.findChild<QPushButton*>("remove-anchor"), Qt::LeftButton);
    CHECK_FALSE(driven.job().catalogue.plugs.back().own);
}

TEST_CASE("the screws in the van are what the program chooses from", "[app][kinds][choose]") {
    ShelfWindow driven{false};
    driven.add(shelf_preset("brackets"));
    const Length before = driven.plan().brackets.front().fixing->screw_length;
    AtHand dialog{driven.bench()};
    dialog.show();
    dialog.findChild<QTabWidget*>("at-hand-tabs")->setCurrentIndex(3);
    enter(dialog, "screw-1", "80; 90"); // #10
    CHECK(driven.plan().brackets.front().fixing->screw_length == 80_mm);
    CHECK(driven.plan().brackets.front().fixing->screw_length > before);
    enter(dialog, "screw-1", "long ones");
    CHECK(dialog.findChild<QLineEdit*>("screw-1")->property("refused").toBool());
    CHECK(driven.plan().brackets.front().fixing->screw_length == 80_mm);
    enter(dialog, "screw-shelf", "16");
    CHECK(driven.job().catalogue.shelf_screws == std::vector{16_mm});
}

TEST_CASE("the row that is pressed is fixed unlike the one that pulls, from the list", "[app][at-hand][choose]") {
    ShelfWindow driven{false};
    driven.add(shelf_preset("brackets"));
    driven.show_page(FixingsPage::fix_with);
    auto* where = seen<QComboBox>(driven, "fix-where");
    REQUIRE(where);
    CHECK(where->itemText(0).startsWith("All of it: pulled by up to"));
    const int lower = where->findText("row 2 from the top", Qt::MatchStartsWith);
    REQUIRE(lower > 0);
    take(where, lower);
    CHECK(fix_with(driven)->itemText(0) == "As the rest of it");
    const int row = fix_with(driven)->findText("#8", Qt::MatchStartsWith);
    REQUIRE(row > 0);
    take(fix_with(driven), row);
    REQUIRE(driven.shelf().fixing.at.size() == 1);
    CHECK_FALSE(driven.shelf().fixing.all);
    CHECK(where->currentText().endsWith("chosen by hand")); // and that row stays in hand
    for (const PlannedHole& hole : driven.plan().holes)
        CHECK((hole.fixing->name.find("#8") == 0) == (hole.spot.row == 2));
    take(fix_with(driven), 0);
    CHECK_FALSE(driven.shelf().fixing.any());
}
