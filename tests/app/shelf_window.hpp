#pragma once

#include "core/shelves/new_shelf.hpp"
#include "driven_window.hpp"

#include <QMenu>
#include <algorithm>

namespace yes_square::app {

/// An empty job with one wall of 4 m: brick, or studs every 400 mm.
struct ShelfWindow : DrivenWindow {
    explicit ShelfWindow(bool brick) {
        bench().edit("a wall", [&](Job& made) {
            Wall wall;
            made.rooms.push_back({});
            made.rooms.back().id = made.rooms.back().name = "first-room";
            wall.room = "first-room";
            wall.id = "wall-1";
            wall.name = "Wall";
            wall.length = 4000_mm;
            wall.height = 2600_mm;
            if (brick)
                wall.structure = Masonry{};
            else
                for (int i = 1; i < 10; ++i)
                    wall.studs.push_back({Length::mm(400 * i), StudState::proved, Length::micrometres(600), {}});
            wall.lining = {{brick ? LiningMaterial::plaster : LiningMaterial::plasterboard, 12_mm, {}}};
            made.walls = {wall};
        });
        window.set_stage(Stage::layout);
        QTest::qWait(1);
    }

    /// Adds a shelf of a kind as the menu does.
    void add(const ShelfPreset& kind) {
        auto* menu = find<QMenu>("shelf-kinds");
        menu->actions().at(std::ranges::find(shelf_presets(), kind) - shelf_presets().begin())->trigger();
        QTest::qWait(1);
    }
    const Shelf& shelf() {
        REQUIRE(bench().shelf());
        return *bench().shelf();
    }
    const ShelfPlan& plan() {
        REQUIRE(bench().shelf_plan());
        return *bench().shelf_plan();
    }
    void choose(const char* name, int row) {
        auto* box = find<QComboBox>(name);
        if (!box->isVisible())
            open_folds();
        REQUIRE(box->isVisible());
        box->setCurrentIndex(row);
        emit box->activated(row);
    }
    bool finds(CheckCode code) { return std::ranges::find(plan().checks, code, &Check::code) != plan().checks.end(); }
    void show_page(FixingsPage page) {
        window.set_stage(Stage::fixings);
        window.fixings().set_page(page);
        QTest::qWait(1);
    }
};

} // namespace yes_square::app
