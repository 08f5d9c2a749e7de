#pragma once

#include "app/bench/bound_form.hpp"

#include <QDialog>
#include <QPushButton>
#include <QTableWidget>

namespace yes_square::app {

/// The fixings of the job. Masonry anchors: those that ship, which are not changed, and the fitter's own, copied from
/// them and set to what the packet says. Screws: the lengths in the van.
class FixingsAtHand : public QDialog {
    Q_OBJECT
public:
    explicit FixingsAtHand(Workbench& bench, QWidget* parent = nullptr);

    void copy_selected();
    void remove_selected();

private:
    void refresh();
    void build_form();
    QWidget* screws_page();
    const MasonryAnchor* selected() const;
    MasonryAnchor* own_in(Job& job) const;

    Workbench& bench_;
    QTableWidget* table_;
    QPushButton* copy_;
    QPushButton* remove_;
    BoundForm* form_;
    std::string id_;
};

} // namespace yes_square::app
