#pragma once

#include "app/shell/workbench.hpp"

#include <QLabel>
#include <QTableWidget>
#include <QWidget>

namespace yes_square::app {

/// The selected shelf's marks and drilling as tables; a row clicked shows its working.
class FixingsPanel : public QWidget {
    Q_OBJECT
public:
    explicit FixingsPanel(Workbench& bench, QWidget* parent = nullptr);

private:
    void refresh();

    Workbench& bench_;
    QTableWidget* marks_;
    QTableWidget* drilling_;
    QLabel* fixing_words_;
};

} // namespace yes_square::app
