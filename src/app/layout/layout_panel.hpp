#pragma once

#include "app/layout/run_panel.hpp"
#include "app/layout/shelf_form.hpp"
#include "app/layout/shelf_parts.hpp"
#include "core/shelves/new_shelf.hpp"

#include <QPushButton>
#include <QTabWidget>
#include <QWidget>

namespace yes_square::app {

/// The figures of what is selected: a shelf, or a run of cabinets; adding and removing them.
class LayoutPanel : public QWidget {
    Q_OBJECT
public:
    explicit LayoutPanel(Workbench& bench, QWidget* parent = nullptr);

    void add_shelf(ShelfKind kind = ShelfKind::brackets);
    void remove_shelf();
    /// The shelf or the cabinet that is selected.
    void remove_selected();
    RunPanel& runs() { return *runs_; }
    void show_runs() { tabs_->setCurrentWidget(runs_); }

private:
    void hang_round_room();

    Workbench& bench_;
    QTabWidget* tabs_;
    QWidget* shelves_;
    RunPanel* runs_;
    ShelfForm* form_;
    ShelfParts* parts_;
    QPushButton* add_;
    QPushButton* add_kind_;
    QPushButton* remove_;
};

} // namespace yes_square::app
