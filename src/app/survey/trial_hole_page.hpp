#pragma once

#include "app/bench/workbench.hpp"

#include <QLabel>
#include <QPushButton>
#include <QWidget>

namespace yes_square::app {

/// A trial hole: what the drill met at which depth, and what the wall is then made of.
class TrialHolePage : public QWidget {
    Q_OBJECT
public:
    explicit TrialHolePage(Workbench& bench, QWidget* parent = nullptr);

private:
    void refresh();
    void take();

    Workbench& bench_;
    QLabel* verdict_;
    QPushButton* take_;
};

} // namespace yes_square::app
