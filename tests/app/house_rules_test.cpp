// Every house rule in one window, and houses that jobs begin with.
#include "app/bench/picture_box.hpp"
#include "app/hands/find_box.hpp"
#include "app/house/house_rules_window.hpp"
#include "app/house/houses.hpp"
#include "app/sheets/sheet_writer.hpp"
#include "core/shelves/new_shelf.hpp"
#include "driven_window.hpp"
#include "printed_words.hpp"

#include <QImage>
#include <QListWidget>
#include <QProcess>
#include <QPushButton>
#include <QScrollArea>

using namespace yes_square;
using namespace yes_square::app;

namespace {

struct RulesOpen : DrivenWindow {
    HouseRulesWindow* rules = nullptr;

    RulesOpen() {
        window.show_house_rules();
        QTest::qWait(10);
        rules = window.findChild<HouseRulesWindow*>();
        REQUIRE(rules);
    }
    QString note(const char* object) {
        auto* label = rules->findChild<QLabel*>(QString::fromLatin1(object) + "-note");
        REQUIRE(label);
        return label->text();
    }
    QString words() { return find<QLabel>("house-words")->text(); }
    void click(const char* button) { QTest::mouseClick(find<QPushButton>(button), Qt::LeftButton); }
};

} // namespace

TEST_CASE("every house rule has its row, with a name, a figure, and what it is", "[app][house]") {
    RulesOpen driven;
    std::size_t rows = 0;
    for (const RuleRow& row : rule_rows({}, {}, {Unit::mm})) {
        const QString object = QStringLiteral("rule-%1-%2")
                                   .arg(QString::fromStdString(row.group.empty() ? "house" : row.group),
                                        QString::fromStdString(row.member));
        INFO(object.toStdString());
        auto* field = driven.rules->findChild<QWidget*>(object);
        REQUIRE(field);
        CHECK_FALSE(field->accessibleName().isEmpty());
        CHECK(driven.rules->findChild<QLabel*>(object + "-note"));
        ++rows;
    }
    CHECK(rows > 200);
}

TEST_CASE("a rule that is typed changes the job, says so, and is put back", "[app][house]") {
    RulesOpen driven;
    const Length usual = HouseRules{}.shelves.nogging_screw;
    driven.find<QListWidget>("rule-kinds")->setCurrentRow(4);
    driven.type("rule-shelves-nogging_screw", "90");
    CHECK(driven.job().rules.shelves.nogging_screw == 90_mm);
    CHECK(driven.note("rule-shelves-nogging_screw").contains("Changed here"));
    CHECK(driven.note("rule-shelves-nogging_screw").contains("usually 75 mm"));
    CHECK(driven.find<QListWidget>("rule-kinds")->item(4)->text().contains("1 changed"));
    emit driven.rules->findChild<QLabel*>("rule-shelves-nogging_screw-note")->linkActivated("shelves/nogging_screw");
    CHECK(driven.job().rules.shelves.nogging_screw == usual);
    CHECK_FALSE(driven.note("rule-shelves-nogging_screw").contains("Changed here"));
    driven.bench().undo_stack().undo();
    CHECK(driven.job().rules.shelves.nogging_screw == 90_mm);
    // What is no length is refused, and what was there stays.
    driven.type("rule-shelves-nogging_screw", "long");
    CHECK(driven.job().rules.shelves.nogging_screw == 90_mm);
}

TEST_CASE("a search leaves what has its words", "[app][house]") {
    RulesOpen driven;
    QTest::keyClicks(driven.find<QLineEdit>("rule-search"), "hob");
    QTest::qWait(1);
    auto* kinds = driven.find<QListWidget>("rule-kinds");
    CHECK(kinds->item(0)->isHidden());
    CHECK_FALSE(kinds->item(2)->isHidden());
    CHECK(kinds->currentRow() == 2);
    CHECK(driven.rules->findChild<QWidget*>("rule-runs-hood_over_hob")->isVisible());
    CHECK_FALSE(driven.rules->findChild<QWidget*>("rule-runs-rail_stock")->isVisible());
    driven.find<QLineEdit>("rule-search")->clear();
    CHECK(driven.rules->findChild<QWidget*>("rule-runs-rail_stock")->isVisible());
    QTest::keyClicks(driven.find<QLineEdit>("rule-search"), "no rule is called so");
    CHECK(driven.words().contains("No rule"));
}

TEST_CASE("a house is kept, compared, taken, and begun with", "[app][house]") {
    {
        RulesOpen driven;
        driven.bench().edit("the fitter's ways", [](Job& job) {
            job.unit = Unit::cm;
            job.crew = 3;
            job.rules.runs.start_at = StartAt::end;
            job.rules.shelves.nogging_screw = 100_mm;
        });
        CHECK(keep_house("My van", driven.job()).isEmpty());
        CHECK_FALSE(keep_house("Inch, NDS", driven.job()).isEmpty()); // ships
        CHECK_FALSE(keep_house("../out", driven.job()).isEmpty());
        CHECK_FALSE(keep_house("  ", driven.job()).isEmpty());
    }
    {
        RulesOpen other;
        other.pick("house", "My van");
        other.click("house-compare");
        CHECK(other.words().contains("nogging screw: 75 mm here, 100 mm there"));
        other.click("house-take");
        CHECK(other.job().rules.shelves.nogging_screw == 100_mm);
        other.click("house-compare");
        CHECK(other.words().contains("are those of"));
        other.bench().undo_stack().undo();
        CHECK(other.job().rules.shelves.nogging_screw == 75_mm);
        other.click("house-for-new");
    }
    DrivenWindow begun;
    begun.window.new_job();
    CHECK(begun.job().unit == Unit::cm);
    CHECK(begun.job().crew == 3);
    CHECK(begun.job().rules.shelves.nogging_screw == 100_mm);
    CHECK(begun.job().walls.empty());
    // One that is gone is said, and the job begins as shipped.
    set_house_for_new_jobs("Nobody's");
    DrivenWindow shipped;
    shipped.window.new_job();
    CHECK(shipped.told.join(' ').contains("Nobody's"));
    CHECK(shipped.job().rules.shelves.nogging_screw == 75_mm);
    set_house_for_new_jobs({});
}

TEST_CASE("the box that finds goes to a rule", "[app][house]") {
    DrivenWindow driven;
    const std::vector<Findable> all = driven.window.findables();
    const auto rows = found(all, "hood over hob");
    REQUIRE_FALSE(rows.empty());
    CHECK(rows.front()->what.startsWith("House rule"));
    rows.front()->go();
    QTest::qWait(10);
    auto* rules = driven.window.findChild<HouseRulesWindow*>();
    REQUIRE(rules);
    CHECK(rules->focusWidget() == rules->findChild<QWidget*>("rule-runs-hood_over_hob"));
}

TEST_CASE("names, prices and the head of the sheets are the house's too", "[app][house][sheets]") {
    RulesOpen driven;
    auto* kinds = driven.find<QListWidget>("rule-kinds");
    kinds->setCurrentRow(kinds->count() - 1);
    const auto type = [&](const char* name, const char* words) {
        auto* field = driven.find<QLineEdit>(name);
        REQUIRE(field->isVisible());
        field->setFocus();
        field->selectAll();
        QTest::keyClicks(field, words);
        QTest::keyClick(field, Qt::Key_Return);
    };
    type("house-fitters", "Ana Plumb;  Bo Level ;");
    type("house-currency", "EUR");
    type("house-firm", "Two and a Bit, fitters");
    type("house-address", "1 Sawdust Row");
    REQUIRE(driven.job().fitters.size() == 2);
    CHECK(driven.job().fitters[1].name == "Bo Level");
    CHECK(driven.job().currency == "EUR");
    // The logo comes from a file of the user's.
    const QString logo = driven.folder.filePath("logo.png");
    QImage image{60, 30, QImage::Format_RGB32};
    image.fill(Qt::darkGreen);
    REQUIRE(image.save(logo));
    driven.rules->findChild<PictureBox*>()->take(logo);
    CHECK_FALSE(driven.job().head.logo.empty());

    driven.bench().edit("a wall and a shelf", [](Job& job) {
        job.rooms = {{}};
        job.rooms.front().id = job.rooms.front().name = "room";
        Wall wall;
        wall.id = wall.name = "wall";
        wall.room = "room";
        wall.length = 3000_mm;
        wall.height = 2400_mm;
        wall.structure = Masonry{};
        Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
        shelf.id = shelf.name = "shelf";
        wall.shelves = {shelf};
        job.walls = {wall};
        job.catalogue.stock.front().price = 12.5;
    });
    const QString pdf = driven.folder.filePath("sheets.pdf");
    REQUIRE(write_sheets_pdf(pdf, driven.job(), driven.bench().plan()).isEmpty());
    const QString words = printed_words(pdf);
    CHECK(words.contains("Two and a Bit, fitters"));
    CHECK(words.contains("1 Sawdust Row"));
    QProcess images;
    images.start("pdfimages", {"-list", pdf});
    REQUIRE(images.waitForFinished(30'000));
    CHECK(images.readAllStandardOutput().contains("image")); // the logo, over a sheet that has no other
    REQUIRE(write_sheets_pdf(pdf, driven.job(), driven.bench().plan(), sheet_set(u"steps")).isEmpty());
    CHECK(printed_words(pdf).contains("Ana Plumb"));

    CHECK(keep_house("Ours", driven.job()).isEmpty());
    RulesOpen other;
    other.pick("house", "Ours");
    other.click("house-take");
    CHECK(other.job().head.firm.empty()); // its rules alone
    other.click("house-take-all");
    CHECK(other.job().head == driven.job().head);
    CHECK(other.job().fitters == driven.job().fitters);
    CHECK(other.job().catalogue.stock == driven.job().catalogue.stock);
    CHECK(other.job().walls.empty());
}
