#pragma once

#include "app/bench/day.hpp"
#include "app/bench/workbench.hpp"

#include <QObject>
#include <QTimer>
#include <set>

namespace yes_square::app {

/// Looks whether a wait that was begun has had its time, whatever the window shows.
class WaitWatch : public QObject {
    Q_OBJECT
public:
    WaitWatch(Workbench& bench, Day& day, QObject* parent);

    /// Looks now; tests do not wait.
    void look();

signals:
    /// Once for each.
    void over(const QString& words);

private:
    Workbench& bench_;
    Day& day_;
    QTimer timer_;
    std::set<std::string> told_; ///< by the step and when it was begun
};

} // namespace yes_square::app
