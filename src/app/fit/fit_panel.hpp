#pragma once

#include "app/shell/workbench.hpp"

#include <QTextBrowser>
#include <QWidget>

namespace yes_square::app {

/// How the selected shelf or run goes up: the general cautions, then the steps with their hold points.
class FitPanel : public QWidget {
    Q_OBJECT
public:
    explicit FitPanel(Workbench& bench, QWidget* parent = nullptr);

signals:
    void sheets_wanted();

private:
    void refresh();

    Workbench& bench_;
    QTextBrowser* steps_;
};

} // namespace yes_square::app
