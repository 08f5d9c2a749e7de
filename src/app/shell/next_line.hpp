#pragma once

#include "app/bench/day.hpp"
#include "app/shell/stage_strip.hpp"
#include "core/steps/next_step.hpp"

#include <QLabel>
#include <QPushButton>
#include <QTimer>
#include <QWidget>

namespace yes_square::app {

/// What is next, in one sentence with one button, and the way to everything that is to be put right.
class NextLine : public QWidget {
    Q_OBJECT
public:
    NextLine(Workbench& bench, Day& day, QWidget* parent = nullptr);

    /// Whether the sheets of the job as it is now have been printed or saved.
    std::function<bool()> printed = [] { return false; };
    /// Whether the step of this key is the one in sight, so that the button may tick it off.
    std::function<bool(const std::string& key)> step_in_sight = [](const std::string&) { return false; };

    const NextStep& next() const { return next_; }
    void refresh();
    QPushButton& checks() { return *checks_; }
    QPushButton& turn() { return *turn_; }

signals:
    void pressed(const yes_square::NextStep& next);

private:
    Workbench& bench_;
    Day& day_;
    NextStep next_;
    QLabel* words_;
    QPushButton* act_;
    QPushButton* checks_;
    QPushButton* turn_;
    QTimer soon_;
};

} // namespace yes_square::app
