#pragma once

#include "core/shelves/new_shelf.hpp"
#include "driven_window.hpp"

namespace yes_square::app {

/// An empty job with one wall of 4 m: brick, or studs proved every 400 mm.
struct OneWallWindow : DrivenWindow {
    explicit OneWallWindow(bool brick) {
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

    /// A shelf whose ends lie at no round figures, so that each place shows from which end it is told.
    static Shelf odd_shelf(const Wall& wall, const char* id, const char* name, Length height) {
        Shelf shelf = new_shelf(shelf_preset("brackets"), wall);
        shelf.id = id;
        shelf.name = name;
        shelf.left = 713_mm;
        shelf.length = 1217_mm;
        shelf.height = height;
        return shelf;
    }

    /// Of a list that may stand under a fold.
    void choose(const char* name, int row) {
        auto* box = find<QComboBox>(name);
        if (!box->isVisible())
            open_folds();
        REQUIRE(box->isVisible());
        box->setCurrentIndex(row);
        emit box->activated(row);
        QTest::qWait(1);
    }
};

} // namespace yes_square::app
