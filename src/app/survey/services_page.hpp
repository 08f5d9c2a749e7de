#pragma once

#include "app/bench/workbench.hpp"

#include <QLabel>
#include <QWidget>

namespace yes_square::app {

/// Where cables and pipes are likely, and what a detector said to that.
class ServicesPage : public QWidget {
    Q_OBJECT
public:
    explicit ServicesPage(Workbench& bench, QWidget* parent = nullptr);

private:
    void refresh();

    Workbench& bench_;
    QLabel* strips_;
};

} // namespace yes_square::app
