#pragma once

#include "app/bench/bound_form.hpp"
#include "core/job/own_entries.hpp"

#include <QDialog>

class QLabel;
class QLayout;
class QTabWidget;

namespace yes_square::app {

/// What is at hand for the job: brackets, anchors and screws. What ships is not changed; the fitter's own is copied
/// from it, or taken in from a file, and set to what the packet in the hand says. What is not in the van is struck off.
class AtHand : public QDialog {
    Q_OBJECT
public:
    explicit AtHand(Workbench& bench, QWidget* parent = nullptr);

    /// Begins a bracket of the fitter's own, like the one with this id.
    /// @return its id; empty: there is none to begin with
    std::string begin_bracket(const std::string& like);

    /// Keeps the fitter's own for the next job. Where that fails it is said, and the window closes only when it is
    /// closed again.
    void done(int result) override;

private:
    QWidget* screws_page();
    QLayout* packet_form(QWidget* page);

    Workbench& bench_;
    QTabWidget* tabs_;
    QLabel* said_;
};

} // namespace yes_square::app
