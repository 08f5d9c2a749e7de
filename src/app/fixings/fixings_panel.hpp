#pragma once

#include "app/fixings/unit_fixings.hpp"
#include "app/shell/workbench.hpp"

#include <QLabel>
#include <QStackedWidget>
#include <QTableWidget>
#include <QWidget>

namespace yes_square::app {

/// The selected shelf's marks and drilling as tables; a row clicked shows its working. Of a cabinet its holes and the
/// card of its back.
class FixingsPanel : public QWidget {
    Q_OBJECT
public:
    explicit FixingsPanel(Workbench& bench, QWidget* parent = nullptr);
    void set_theme(const Theme& theme) { unit_->set_theme(theme); }

private:
    void refresh();

    Workbench& bench_;
    QStackedWidget* pages_;
    UnitFixings* unit_;
    QTableWidget* marks_;
    QTableWidget* drilling_;
    QLabel* fixing_words_;
};

} // namespace yes_square::app
