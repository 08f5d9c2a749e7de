#include "app/fixings/fixings_panel.hpp"
#include "app/layout/layout_panel.hpp"
#include "app/sheets/sheet_writer.hpp"
#include "core/shelves/new_shelf.hpp"
#include "core/shelves/shelf_checks.hpp"
#include "shelf_window.hpp"

#include <QComboBox>
#include <QFile>
#include <QLabel>
#include <QListWidget>
#include <QMenu>
#include <QPushButton>
#include <QTabWidget>
#include <QTableWidget>
#include <QTextBrowser>

using namespace yes_square;
using namespace yes_square::app;

TEST_CASE("every kind is hung from the menu, shown with its own figures and printed", "[app][kinds]") {
    for (const bool brick : {true, false}) {
        ShelfWindow driven{brick};
        for (std::size_t i = 0; i < shelf_presets().size(); ++i) {
            const ShelfPreset& kind = shelf_presets()[i];
            INFO(kind.words);
            driven.add(kind);
            CHECK(preset_of(driven.shelf()) == kind);
            CHECK(driven.find<QComboBox>("shelf-kind")->currentIndex() == static_cast<int>(i));
            CHECK_FALSE(driven.plan().steps.empty());
            QTemporaryDir folder;
            const QString path = folder.filePath("sheets.pdf");
            CHECK(write_sheets_pdf(path, driven.job(), driven.bench().plan()).isEmpty());
            CHECK(QFile{path}.size() > 2000);
            driven.bench().undo_stack().undo();
        }
    }
}

TEST_CASE("a stack on slotted uprights: shelves and slots are typed, missed slots are cured", "[app][kinds]") {
    ShelfWindow driven{true};
    driven.add(shelf_preset("standards"));
    driven.type("shelf-tiers", "4");
    CHECK(driven.shelf().tiers == 4);
    driven.type("shelf-rise", "300");
    CHECK(driven.finds(checks::slots_missed)); // 300 is no multiple of 32
    const auto check = std::ranges::find(driven.plan().checks, checks::slots_missed, &Check::code);
    REQUIRE_FALSE(check->cures.empty());
    driven.bench().apply("cure", *check->cures.front().edit);
    CHECK_FALSE(driven.finds(checks::slots_missed));
    driven.type("standards-standard", "2000");
    CHECK(std::get<OnStandards>(driven.shelf().holding).standard == 2000_mm);
}

TEST_CASE("a hidden bracket's holes are typed one after another", "[app][kinds]") {
    ShelfWindow driven{false};
    driven.add(shelf_preset("hidden_bracket"));
    driven.type("hidden_bracket-offset", "240");
    driven.type("plate-width", "500");
    driven.type("plate-rating_n", "15");
    const std::size_t before = std::get<OnHiddenBracket>(driven.shelf().holding).plate.holes.size();
    driven.type("hole-across", "30");
    driven.type("hole-down", "8");
    const auto& how = std::get<OnHiddenBracket>(driven.shelf().holding);
    CHECK(how.offset == 240_mm);
    CHECK(how.plate.rating == Approx(15 * 9.80665));
    REQUIRE(how.plate.holes.size() == before + 1);
    CHECK(how.plate.holes.back().across == 30_mm);
    CHECK(driven.plan().holes.size() == before + 1);
}

TEST_CASE("rods, keyholes, cleats, rails, poles and fixtures take their figures", "[app][kinds]") {
    ShelfWindow driven{true};
    driven.add(shelf_preset("hidden_rods"));
    driven.type("hidden_rods-diameter", "12");
    driven.choose("hidden_rods-resin", 1);
    CHECK(std::get<OnHiddenRods>(driven.shelf().holding).resin);
    CHECK(driven.plan().brackets.front().fixing->hole_diameter == 14_mm);
    driven.add(shelf_preset("keyholes"));
    driven.type("keyholes-slot", "20");
    CHECK(std::get<OnKeyholes>(driven.shelf().holding).slot == 20_mm);
    driven.add(shelf_preset("cleats"));
    driven.type("cleats-left_leans", "5");
    CHECK(driven.plan().pieces.front().front == driven.plan().pieces.front().back - 5_mm);
    driven.choose("cleats-right", 0);
    CHECK(driven.finds(checks::cleat_sides_missing));
    driven.add(shelf_preset("hook_rail"));
    driven.type("hook_rail-hooks", "8");
    driven.type("hook_rail-kg_per_hook", "3");
    CHECK(driven.plan().goods_load == Approx(24 * 9.80665));
    driven.add(shelf_preset("pole"));
    driven.choose("pole-stuff", 1);
    driven.type("pole-wall", "1.5");
    CHECK(std::get<Pole>(driven.shelf().holding).stuff == PoleStuff::steel);
    driven.add(shelf_preset("fixture"));
    driven.type("fixture-mass_kg", "32");
    CHECK(driven.plan().mass == 32_kg);
    driven.add(shelf_preset("desk"));
    CHECK(driven.plan().brackets.front().reaction.greatest > 1000_n);
    driven.choose("brackets-leg_up", 1);
    CHECK(std::get<OnBrackets>(driven.shelf().holding).leg_up);
}

TEST_CASE("joints and heavy things are put on a shelf and taken off", "[app][kinds]") {
    ShelfWindow driven{true};
    driven.add(shelf_preset("brackets"));
    driven.type("along-at", "600");
    REQUIRE(driven.shelf().joints == std::vector{600_mm});
    CHECK(driven.plan().pieces.size() == 2);
    driven.type("goods-name", "Loudspeaker");
    driven.type("goods-from", "200");
    driven.type("goods-kg", "nine");
    CHECK(driven.shelf().goods.empty());
    CHECK(driven.find<QLineEdit>("goods-kg")->property("refused").toBool());
    driven.type("goods-kg", "9.5");
    REQUIRE(driven.shelf().goods.size() == 1);
    CHECK(driven.shelf().goods[0].mass == 9.5_kg);
    CHECK(driven.shelf().goods[0].to == driven.shelf().goods[0].from);
    auto* list = driven.find<QListWidget>("goods-list");
    list->setCurrentRow(0);
    list->setFocus();
    QTest::keyClick(list, Qt::Key_Delete);
    CHECK(driven.shelf().goods.empty());
}

TEST_CASE("how much will it hold is answered, and made more at a click", "[app][kinds][study]") {
    ShelfWindow driven{true};
    driven.add(shelf_preset("brackets"));
    driven.show_page(FixingsPage::holds);
    // Nothing is promised of a bracket whose packet nobody has read.
    CHECK(driven.find<QLabel>("greatest-load")->text().contains("packet"));
    driven.bench().edit("Packet", [](Job& job) {
        for (Bracket& bracket : job.catalogue.brackets)
            bracket.rating = 5000_n;
    });
    QTest::qWait(1);
    const QString before = driven.find<QLabel>("greatest-load")->text();
    CHECK(before.contains("kg"));
    CHECK(driven.find<QLabel>("governs")->text().contains("limited by"));
    CHECK(driven.find<QTableWidget>("limits-table")->rowCount() == 4);
    CHECK(driven.find<QLabel>("capacity-caution")->text().contains("from memory"));
    const LineMass held = driven.bench().shelf_study()->capacity.per_metre;
    QPushButton* first = nullptr;
    for (QPushButton* button : driven.window.fixings().findChildren<QPushButton*>())
        if (button->isVisible() && button->property("role") == "cure" && !first)
            first = button;
    REQUIRE(first);
    QTest::mouseClick(first, Qt::LeftButton);
    CHECK(driven.bench().shelf_study()->capacity.per_metre > held);
    QTest::qWait(1);
    CHECK(driven.find<QLabel>("greatest-load")->text() != before);
}

TEST_CASE("one shelf is hung round the room and taken back by one undo", "[app][kinds]") {
    ShelfWindow driven{true};
    driven.bench().edit("a room", [](Job& job) {
        job.rooms.push_back({});
        job.rooms.back().id = job.rooms.back().name = "room";
        job.walls.front().room = "room";
        Wall next = job.walls.front();
        next.id = "wall-2";
        next.name = "Next";
        job.walls.push_back(next);
    });
    driven.add(shelf_preset("brackets"));
    driven.type("shelf-height", "2200");
    auto* menu = driven.find<QMenu>("shelf-kinds");
    menu->actions().back()->trigger();
    REQUIRE(driven.job().walls[0].shelves.size() == 1);
    REQUIRE(driven.job().walls[1].shelves.size() == 1);
    CHECK(driven.job().walls[0].shelves[0].length == 4000_mm);
    CHECK(driven.job().walls[1].shelves[0].height == 2200_mm);
    driven.bench().undo_stack().undo();
    CHECK(driven.job().walls[1].shelves.empty());
    CHECK(driven.job().walls[0].shelves[0].length == 1200_mm);
}
