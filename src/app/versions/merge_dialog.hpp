#pragma once

#include "app/bench/workbench.hpp"
#include "app/board/drawing_view.hpp"
#include "core/versions/merge_jobs.hpp"

#include <QDialog>
#include <QLabel>
#include <QPushButton>
#include <QTableWidget>
#include <functional>

namespace yes_square::app {

/// A copy of the job that was worked on elsewhere: what collides with what was done here, one under another, with the
/// wall as it is here and there side by side. Each is chosen; all the rest is brought together by itself.
class MergeDialog : public QDialog {
    Q_OBJECT
public:
    /// @param sign  signs a line for the log
    MergeDialog(Workbench& bench, Job shared, Job theirs, std::function<LogEntry(LogEntry)> sign, QWidget* parent);

    /// Why they cannot be brought together; empty: they can.
    const QString& problem() const { return problem_; }
    bool collides() const { return merged_ && !merged_->collisions.empty(); }

public slots:
    /// Makes one edit of it, with a line in the log for all that collided.
    void bring_together();

private:
    void show_chosen();
    void take(bool theirs);
    const Collision* chosen() const;
    Drawing wall_of(const Job& job, const Plan& plan, double width, double height, double text) const;

    Workbench& bench_;
    Job shared_;
    Job theirs_;
    Plan their_plan_;
    std::function<LogEntry(LogEntry)> sign_;
    std::optional<Merged> merged_;
    std::set<std::string> take_theirs_;
    std::string first_wall_; ///< that was changed there: shown where what collides has none
    QString problem_;
    QTableWidget* collisions_;
    DrawingView* here_;
    DrawingView* there_;
};

} // namespace yes_square::app
