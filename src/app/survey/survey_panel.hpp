#pragma once

#include "app/shell/bound_form.hpp"

#include <QPushButton>
#include <QWidget>

namespace yes_square::app {

/// What the wall is: its figures in the order they are taken, and the walk along it.
class SurveyPanel : public QWidget {
    Q_OBJECT
public:
    explicit SurveyPanel(Workbench& bench, QWidget* parent = nullptr);

    void add_wall();

private:
    void remove_wall();

    Workbench& bench_;
    BoundForm* form_;
    QPushButton* remove_;
};

} // namespace yes_square::app
