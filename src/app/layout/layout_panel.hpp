#pragma once

#include "app/layout/run_panel.hpp"
#include "app/shell/bound_form.hpp"

#include <QPushButton>
#include <QTabWidget>
#include <QWidget>

namespace yes_square::app {

/// The figures of what is selected: a shelf, or a run of cabinets; adding and removing them.
class LayoutPanel : public QWidget {
    Q_OBJECT
public:
    explicit LayoutPanel(Workbench& bench, QWidget* parent = nullptr);

    void add_shelf();
    void remove_shelf();
    /// The shelf or the cabinet that is selected.
    void remove_selected();
    RunPanel& runs() { return *runs_; }
    void show_runs() { tabs_->setCurrentWidget(runs_); }

private:
    void build_place();
    void build_board();
    void build_bracket();

    Workbench& bench_;
    QTabWidget* tabs_;
    QWidget* shelves_;
    RunPanel* runs_;
    BoundForm* form_;
    QPushButton* add_;
    QPushButton* remove_;
};

} // namespace yes_square::app
