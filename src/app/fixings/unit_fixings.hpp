#pragma once

#include "app/bench/workbench.hpp"
#include "app/board/drawing_view.hpp"

#include <QLabel>
#include <QTableWidget>

namespace yes_square::app {

/// Where the selected unit's holes are, on the wall and on its back, with the card to drill it by.
class UnitFixings : public QWidget {
    Q_OBJECT
public:
    explicit UnitFixings(Workbench& bench, QWidget* parent = nullptr);

private:
    void refresh();
    QString words() const;

    Workbench& bench_;
    QLabel* words_;
    QTableWidget* holes_;
    DrawingView* card_;
};

} // namespace yes_square::app
