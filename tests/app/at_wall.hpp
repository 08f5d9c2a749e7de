#pragma once

#include "app/wallside/wall_side.hpp"
#include "driven_window.hpp"

#include <memory>

namespace yes_square::app {

/// The wall-side mode of the wall in hand, shown, with what it says kept.
struct AtWall {
    std::unique_ptr<WallSide> mode;
    QStringList spoken;

    explicit AtWall(MainWindow& window)
        : mode{window.wall_side()} {
        mode->setAttribute(Qt::WA_DeleteOnClose, false);
        mode->speak = [this](const QString& words) { spoken << words; };
        mode->resize(1280, 800);
        mode->show();
        REQUIRE(QTest::qWaitForWindowExposed(mode.get()));
        mode->activateWindow();
    }
    AtWall(const AtWall&) = delete;
    AtWall& operator=(const AtWall&) = delete;
};

} // namespace yes_square::app
