#pragma once

#include "app/shell/bound_form.hpp"

#include <QPushButton>
#include <QWidget>

namespace yes_square::app {

/// The figures of the selected shelf, and adding and removing shelves.
class LayoutPanel : public QWidget {
    Q_OBJECT
public:
    explicit LayoutPanel(Workbench& bench, QWidget* parent = nullptr);

    void add_shelf();
    void remove_shelf();

private:
    void build_place();
    void build_board();
    void build_bracket();

    Workbench& bench_;
    BoundForm* form_;
    QPushButton* add_;
    QPushButton* remove_;
};

} // namespace yes_square::app
