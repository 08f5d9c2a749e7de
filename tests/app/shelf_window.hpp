#pragma once

#include "core/shelves/new_shelf.hpp"
#include "one_wall_window.hpp"

#include <QMenu>
#include <algorithm>

namespace yes_square::app {

/// Types into a field of the window that asks what is at hand, as a person does.
inline void enter(QWidget& dialog, const char* name, const char* keys) {
    auto* field = dialog.findChild<QLineEdit*>(name);
    INFO(name);
    REQUIRE(field);
    field->setFocus();
    field->selectAll();
    QTest::keyClick(field, Qt::Key_Delete);
    QTest::keyClicks(field, keys);
    QTest::keyClick(field, Qt::Key_Return);
    emit field->editingFinished();
    QTest::qWait(1);
}

/// Shelves on that wall.
struct ShelfWindow : OneWallWindow {
    using OneWallWindow::OneWallWindow;

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
    bool finds(CheckCode code) { return std::ranges::find(plan().checks, code, &Check::code) != plan().checks.end(); }
    void show_page(FixingsPage page) {
        window.set_stage(Stage::fixings);
        window.fixings().set_page(page);
        QTest::qWait(1);
    }
};

} // namespace yes_square::app
