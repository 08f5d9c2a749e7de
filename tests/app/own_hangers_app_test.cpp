// Hangers kept as one's own in the window, and pictures of what is in the van.
#include "app/bench/picture_box.hpp"
#include "app/bench/rows.hpp"
#include "app/catalogue/at_hand.hpp"
#include "app/catalogue/entries_page.hpp"
#include "app/fixings/fixings_panel.hpp"
#include "core/job/file.hpp"
#include "shelf_window.hpp"

#include <QFile>
#include <QLabel>
#include <QPainter>
#include <QPushButton>
#include <QTabWidget>
#include <QTemporaryDir>

using namespace yes_square;
using namespace yes_square::app;

namespace {

/// Sized and coloured so that one knows it again.
QString drawn_picture(const QTemporaryDir& folder, int wide, int high) {
    QImage image{wide, high, QImage::Format_RGB32};
    image.fill(Qt::red);
    QPainter{&image}.fillRect(0, 0, wide / 2, high, Qt::blue);
    const QString path = folder.filePath(QStringLiteral("picture.png"));
    image.save(path);
    return path;
}

} // namespace

TEST_CASE("a hanger is entered with its shelf, kept, and hangs the next one", "[app][at-hand][hangers]") {
    ShelfWindow driven{true};
    driven.add(shelf_preset("brackets"));
    driven.open_folds();
    driven.choose("along-what", 1);
    driven.type("along-at", "500");
    REQUIRE(driven.shelf().hangers == std::vector{500_mm});
    driven.open_folds();
    driven.type("hanger-plate", "4");
    driven.type("shelf-hanger_spacer", "30");
    driven.type("shelf-hanger_rating_n", "50");
    CHECK(driven.shelf().hanger.plate == 4_mm);
    CHECK(driven.shelf().hanger_spacer == 30_mm);
    REQUIRE(driven.shelf().hanger_rating);
    QTest::mouseClick(driven.find<QPushButton>("keep-hanger"), Qt::LeftButton);
    REQUIRE(driven.job().catalogue.hanging_gear.size() == 1);

    driven.add(shelf_preset("brackets"));
    driven.choose("along-what", 1);
    driven.type("along-at", "500");
    driven.open_folds();
    REQUIRE(driven.shelf().hanger.plate == 3_mm);
    driven.choose("shelf-hanger", 1);
    CHECK(driven.shelf().hanger.plate == 4_mm);
    CHECK(driven.shelf().hanger_rating == driven.job().catalogue.hanging_gear.front().rating);
    // It stands among hooks and rails, and no run is offered it.
    AtHand dialog{driven.bench()};
    dialog.show();
    auto* table = dialog.findChild<QTableWidget*>("gears-table");
    REQUIRE(table);
    REQUIRE(table->rowCount() == 1);
    CHECK(table->item(0, 1)->text() == QStringLiteral("ceiling hanger"));
}

TEST_CASE("a bracket of one's own has a picture, made small, that goes with it", "[app][at-hand][file]") {
    ShelfWindow driven{false};
    QTemporaryDir folder;
    driven.bench().edit(QStringLiteral("own"),
                        [](Job& job) { copy_as_own<Bracket>(job.catalogue, job.catalogue.brackets.front().id); });
    const std::string own = driven.job().catalogue.brackets.back().id;
    AtHand dialog{driven.bench()};
    dialog.show();
    auto* page = static_cast<EntriesPage<Bracket>*>(dialog.findChild<QTabWidget*>("at-hand-tabs")->widget(0));
    auto* box = page->findChild<PictureBox*>();
    REQUIRE(box);
    // What ships has none, and takes none.
    page->select(driven.job().catalogue.brackets.front().id);
    CHECK_FALSE(box->isVisible());
    page->select(own);
    CHECK(box->isVisible());
    box->take(drawn_picture(folder, 2400, 1200));
    const std::string kept = driven.job().catalogue.brackets.back().picture;
    const QImage small = picture_of(kept);
    REQUIRE_FALSE(small.isNull());
    CHECK(small.size() == QSize{320, 160});
    CHECK(small.pixelColor(10, 80) == QColor{Qt::blue});
    CHECK(small.pixelColor(310, 80) == QColor{Qt::red});
    auto* shown = box->findChild<QLabel*>("bracket-picture");
    CHECK_FALSE(shown->pixmap(Qt::ReturnByValue).isNull());
    // It is in the job's file and in the document that is given out.
    const auto read = read_job(write_job(driven.job()));
    REQUIRE(read);
    CHECK(read->job.catalogue.brackets.back().picture == kept);
    const QString given = folder.filePath(QStringLiteral("mine.json"));
    page->give_out(given);
    QFile file{given};
    REQUIRE(file.open(QIODevice::ReadOnly));
    CHECK(file.readAll().contains(QByteArray::fromStdString(kept)));
    // What is no picture is said, and nothing is lost.
    box->take(given);
    CHECK(driven.job().catalogue.brackets.back().picture == kept);
    CHECK(shown->text().contains(QStringLiteral("no picture")));
    box->take(folder.filePath(QStringLiteral("nowhere.png")));
    CHECK(driven.job().catalogue.brackets.back().picture == kept);
    QTest::mouseClick(box->findChild<QPushButton*>("bracket-remove-picture"), Qt::LeftButton);
    CHECK(driven.job().catalogue.brackets.back().picture.empty());
    driven.bench().undo_stack().undo();
    CHECK(driven.job().catalogue.brackets.back().picture == kept);
}

TEST_CASE("a list that follows the job lets rows be that read the same", "[app][lists]") {
    QListWidget list;
    fill(list, {QStringLiteral("a"), QStringLiteral("b"), QStringLiteral("c")});
    const QListWidgetItem* first = list.item(0);
    list.setCurrentRow(2);
    fill(list, {QStringLiteral("a"), QStringLiteral("x")});
    CHECK(list.count() == 2);
    CHECK(list.item(0) == first);
    CHECK(list.item(1)->text() == QStringLiteral("x"));
    list.setCurrentRow(1);
    fill(list, {QStringLiteral("a"), QStringLiteral("x"), QStringLiteral("y")});
    CHECK(list.currentRow() == 1);
    fill(list, {QStringLiteral("a"), QStringLiteral("of another wall")});
    CHECK(list.currentRow() == -1); // what "Take out the selected one" would take out
    fill(list, {});
    CHECK(list.count() == 0);
    QComboBox choice;
    fill(choice, {QStringLiteral("a"), QStringLiteral("b")}, {1, 2});
    choice.setCurrentIndex(1);
    fill(choice, {QStringLiteral("a"), QStringLiteral("c"), QStringLiteral("d")}, {1, 3, 4});
    CHECK(choice.currentIndex() == 1);
    CHECK(choice.itemText(2) == QStringLiteral("d"));
    CHECK(choice.findData(3) == 1);
    fill(choice, {QStringLiteral("a")}, {1});
    CHECK(choice.count() == 1);
}
