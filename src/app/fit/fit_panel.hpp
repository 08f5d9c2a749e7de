#pragma once

#include "app/bench/pages.hpp"
#include "app/fit/days_page.hpp"
#include "app/fit/readings_page.hpp"
#include "app/fit/steps_page.hpp"

#include <QPushButton>

namespace yes_square::app {

/// The stage "Fit": steps, readings, and the way to the wall-side mode.
class FitPanel : public QWidget {
    Q_OBJECT
public:
    FitPanel(Workbench& bench, Day& day, QWidget* parent = nullptr);
    StepsPage& steps() { return *steps_; }
    WorkReadingsPage& readings() { return *readings_; }
    bool show_page(const QString& name); ///< whether it has such a page
    /// The days, where the wall is; nullptr while another page shows: the wall itself.
    QWidget* view() { return pages_->current() == days_ ? days_->view() : nullptr; }
    QWidget* days_view() { return days_->view(); }
    /// The step that is read now: whether it is this one; going to another; ticking it off.
    bool in_sight(const std::string& key) const { return steps_->isVisible() && steps_->current() == key; }
    void go_to(const std::string& key) { steps_->go_to(key); }
    void done() { steps_->tick_off(); }

signals:
    void sheets_wanted();
    void wall_side_wanted();
    void look_wanted(const std::string& item);
    void step_shown();
    void view_changed();

private:
    Pages* pages_;
    StepsPage* steps_;
    WorkReadingsPage* readings_;
    DaysPage* days_;
};

} // namespace yes_square::app
