#pragma once

#include "app/bench/workbench.hpp"
#include "app/board/drawing_view.hpp"

#include <QComboBox>
#include <QWidget>

namespace yes_square::app {

/// Through the wall at one hole of what is selected: which one is picked here or on the wall.
class HoleView : public QWidget {
    Q_OBJECT
public:
    explicit HoleView(Workbench& bench, QWidget* parent = nullptr);

private:
    void refresh();

    Workbench& bench_;
    QComboBox* holes_;
    DrawingView* section_;
};

} // namespace yes_square::app
