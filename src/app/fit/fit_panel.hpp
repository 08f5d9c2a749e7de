#pragma once

#include "app/fit/readings_page.hpp"
#include "app/fit/steps_page.hpp"

#include <QPushButton>
#include <QTabWidget>

namespace yes_square::app {

/// The stage "Fit": steps, readings, and the way to the wall-side mode.
class FitPanel : public QWidget {
    Q_OBJECT
public:
    FitPanel(Workbench& bench, Day& day, QWidget* parent = nullptr);
    StepsPage& steps() { return *steps_; }
    WorkReadingsPage& readings() { return *readings_; }
    void show_page(const QString& name);

signals:
    void sheets_wanted();
    void wall_side_wanted();
    void look_wanted(const std::string& item);

private:
    QTabWidget* pages_;
    StepsPage* steps_;
    WorkReadingsPage* readings_;
};

} // namespace yes_square::app
