#pragma once

#include "app/bench/workbench.hpp"

#include <QLabel>

namespace yes_square::app {

/// What the survey of the wall comes to, a line for each working whose subject begins with one of these words; a click
/// writes it on the scrap.
class WorkingLinks : public QLabel {
    Q_OBJECT
public:
    WorkingLinks(Workbench& bench, QStringList stems, const QString& when_none, QWidget* parent = nullptr);

private:
    void refresh();

    Workbench& bench_;
    QStringList stems_;
    QString when_none_;
};

} // namespace yes_square::app
