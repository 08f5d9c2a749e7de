#pragma once

#include "app/layout/alternatives_strip.hpp"
#include "app/layout/audit_panel.hpp"
#include "app/layout/batten_panel.hpp"
#include "app/layout/box_panel.hpp"
#include "app/layout/light_panel.hpp"
#include "app/layout/piece_panel.hpp"
#include "app/layout/run_panel.hpp"
#include "app/layout/shelf_form.hpp"
#include "app/layout/shelf_parts.hpp"
#include "app/layout/system_panel.hpp"
#include "core/shelves/new_shelf.hpp"

#include <QPushButton>
#include <QWidget>

namespace yes_square::app {

/// The figures of what is selected and the ways it could be set out; adding and removing. What is selected tells which
/// page is seen: there is nothing to leaf through.
class LayoutPanel : public QWidget {
    Q_OBJECT
public:
    explicit LayoutPanel(Workbench& bench, QWidget* parent = nullptr);

    void add_shelf(const ShelfPreset& preset = shelf_presets().front());
    void remove_shelf();
    /// Whatever is selected: a shelf, a cabinet, a bay, a piece of furniture.
    void remove_selected();
    RunPanel& runs() { return *runs_; }
    SystemPanel& systems() { return *systems_; }
    PiecePanel& pieces() { return *pieces_; }
    /// Opens the menu of everything that can be put on a wall.
    void offer() { add_any_->showMenu(); }
    void set_theme(const Theme& theme) { ways_->set_theme(theme); }
    /// Everything that can be put on a wall, as a menu: of the panel, of the window, of a right click on the wall.
    void offer_kinds(QMenu& menu);

private:
    void hang_round_room();
    void show_selected();
    std::vector<QWidget*> pages() const;

    Workbench& bench_;
    QPushButton* add_any_;
    QWidget* none_;
    AlternativesStrip* ways_;
    QWidget* shelves_;
    RunPanel* runs_;
    SystemPanel* systems_;
    PiecePanel* pieces_;
    BoxPanel* boxes_;
    AuditPanel* audit_;
    BattenPanel* battens_;
    LightPanel* lights_;
    ShelfForm* form_;
    ShelfParts* parts_;
    QPushButton* add_;
    QPushButton* add_kind_;
    QPushButton* remove_;
};

} // namespace yes_square::app
