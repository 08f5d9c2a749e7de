// How a board is made up, what is cut out of it, what carries it besides brackets, told spacings and packets: typed in
// the real window.
#include "app/catalogue/at_hand.hpp"
#include "app/catalogue/entries_page.hpp"
#include "app/fixings/fixings_panel.hpp"
#include "app/sheets/sheet_writer.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "shelf_window.hpp"

#include <QFile>
#include <QListWidget>
#include <QPushButton>
#include <QTabWidget>

using namespace yes_square;
using namespace yes_square::app;

namespace {

bool prints(ShelfWindow& driven) {
    QTemporaryDir folder;
    const QString path = folder.filePath("sheets.pdf");
    return write_sheets_pdf(path, driven.job(), driven.bench().plan()).isEmpty() && QFile{path}.size() > 2000;
}

} // namespace

TEST_CASE("a board is made hollow in the window, its parts typed, its mass weighed", "[app][boards]") {
    ShelfWindow driven{true};
    driven.add(shelf_preset("brackets"));
    driven.open_folds();
    const Mass solid = driven.plan().mass;
    driven.choose("shelf-hollow", 1);
    REQUIRE(driven.shelf().hollow);
    driven.type("hollow-skin", "3");
    driven.type("hollow-ribs", "5");
    CHECK(driven.shelf().hollow->skin == 3_mm);
    CHECK(driven.shelf().hollow->ribs == 5);
    CHECK(driven.plan().mass < solid);
    driven.type("shelf-board_kg", "7.5");
    CHECK(driven.plan().mass.in_kg() == Approx(7.5));
    driven.choose("shelf-hollow", 0);
    CHECK_FALSE(driven.shelf().hollow);
}

TEST_CASE("cut-outs are typed one after another, drawn from above, and printed", "[app][boards]") {
    ShelfWindow driven{true};
    driven.add(shelf_preset("desk"));
    driven.open_folds();
    driven.choose("shelf-cut-what", 0);
    driven.type("shelf-cut-across", "300");
    driven.type("shelf-cut-back", "60");
    driven.type("shelf-cut-width", "80");
    driven.type("shelf-cut-depth", "70");
    driven.choose("shelf-cut-what", 3);
    driven.type("shelf-cut-across", "900");
    driven.type("shelf-cut-width", "120");
    driven.type("shelf-cut-depth", "100");
    REQUIRE(driven.shelf().cut_outs.size() == 2);
    CHECK(driven.shelf().cut_outs.front() == CutOut{"cable outlet", 300_mm, 60_mm, 80_mm, 70_mm, {}});
    CHECK(driven.shelf().cut_outs.back().back == 0_mm);
    CHECK(driven.find<QWidget>("shelf-cut-drawing")->isVisible());
    CHECK(prints(driven));
    const auto* list = driven.find<QListWidget>("shelf-cut-found");
    REQUIRE(list->count() == 2);
    driven.delete_first("shelf-cut-found");
    CHECK(driven.shelf().cut_outs.size() == 1);
}

TEST_CASE("end strips are chosen, legs and rods typed where they stand, a stretcher put under", "[app][mixed]") {
    ShelfWindow driven{true};
    driven.add(shelf_preset("desk"));
    driven.open_folds();
    driven.choose("shelf-end-strips", 1);
    CHECK(driven.shelf().others.front().kind == OtherKind::left_strip);
    driven.choose("along-what", 3);
    driven.type("along-at", "1300");
    driven.type("along-out", "500");
    driven.choose("along-what", 4);
    driven.type("along-at", "700");
    REQUIRE(driven.shelf().others.size() == 3);
    CHECK(driven.shelf().others[1] == OtherSupport{OtherKind::leg, 1300_mm, 500_mm, {}});
    CHECK(driven.shelf().others[2].kind == OtherKind::rod);
    driven.type("other-rods-diameter", "14");
    CHECK(driven.shelf().other_sizes.rods.diameter == 14_mm);
    driven.type("other-leg", "70");
    CHECK(driven.shelf().other_sizes.leg == 70_mm);
    driven.choose("shelf-stretcher", 2);
    CHECK(driven.shelf().stretcher);
    CHECK(std::ranges::any_of(driven.plan().brackets,
                              [](const BracketPlan& place) { return place.substrate == Substrate::floor; }));
    CHECK(prints(driven));
    driven.choose("shelf-end-strips", 0);
    CHECK(driven.shelf().others.size() == 2);
}

TEST_CASE("a screw at an angle is typed where no bracket has a place, and its step prints", "[app][mixed][angled]") {
    ShelfWindow driven{false};
    driven.add(shelf_preset("brackets"));
    driven.open_folds();
    driven.choose("along-what", 5);
    driven.type("along-at", "300");
    REQUIRE(driven.shelf().others.size() == 1);
    CHECK(driven.shelf().others.front() == OtherSupport{OtherKind::angled_screw, 300_mm, {}, {}});
    const auto* list = driven.find<QListWidget>("along-found");
    REQUIRE(list->count() == 1);
    CHECK(list->item(0)->text().contains("Angled screw"));
    CHECK(prints(driven));
    driven.delete_first("along-found");
    CHECK(driven.shelf().others.empty());
}

TEST_CASE("what holds a shelf is kept as one of one's own and taken for the next", "[app][at-hand]") {
    ShelfWindow driven{true};
    driven.add(shelf_preset("hidden_rods"));
    driven.open_folds();
    driven.type("hidden_rods-diameter", "14");
    QTest::mouseClick(driven.find<QPushButton>("keep-support"), Qt::LeftButton);
    REQUIRE(driven.job().catalogue.supports.size() == 1);
    driven.add(shelf_preset("hidden_rods"));
    CHECK(std::get<OnHiddenRods>(driven.shelf().holding).diameter != 14_mm);
    driven.choose("shelf-support", 1);
    CHECK(std::get<OnHiddenRods>(driven.shelf().holding).diameter == 14_mm);

    AtHand dialog{driven.bench()};
    dialog.show();
    auto* tabs = dialog.findChild<QTabWidget*>("at-hand-tabs");
    tabs->setCurrentIndex(3);
    auto* rods = dialog.findChild<QLineEdit*>("support-hidden_rods-in_wall");
    REQUIRE(rods);
    CHECK(rods->isVisible());
    enter(dialog, "support-hidden_rods-in_wall", "95");
    CHECK(std::get<OnHiddenRods>(driven.job().catalogue.supports.front().holding).in_wall == 95_mm);
}

TEST_CASE("what a packet says of its screws is typed beside their lengths", "[app][at-hand]") {
    ShelfWindow driven{false};
    AtHand dialog{driven.bench()};
    dialog.show();
    dialog.findChild<QTabWidget*>("at-hand-tabs")->setCurrentIndex(5);
    auto* screws = dialog.findChild<QComboBox*>("packet-screw");
    screws->setCurrentIndex(1);
    const ScrewGauge gauge = all_gauges()[1].gauge;
    auto* withdrawal = dialog.findChild<QLineEdit*>("packet-withdrawal_mpa");
    REQUIRE((withdrawal && withdrawal->isVisible()));
    enter(dialog, "packet-withdrawal_mpa", "12.5");
    const auto& stocks = driven.job().catalogue.wood_screws;
    const auto stock = std::ranges::find(stocks, gauge, &WoodScrew::gauge);
    REQUIRE(stock->packet);
    CHECK(stock->packet->withdrawal.in_megapascals() == Approx(12.5));
    enter(dialog, "packet-withdrawal_mpa", "");
    const auto& after = driven.job().catalogue.wood_screws;
    CHECK_FALSE(std::ranges::find(after, gauge, &WoodScrew::gauge)->packet); // says nothing again
}

TEST_CASE("a spacing and a stud that were told are entered with the wall", "[app][survey]") {
    ShelfWindow driven{false};
    driven.window.set_stage(Stage::survey);
    driven.open_folds();
    driven.choose("stud-told", 1);
    driven.type("stud-told_stud", "432");
    const auto& framing = std::get<Framing>(driven.job().walls.front().structure);
    CHECK(framing.told);
    CHECK(framing.told_stud == 432_mm);
}
