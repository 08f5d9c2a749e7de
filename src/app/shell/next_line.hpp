#pragma once

#include "app/bench/day.hpp"
#include "app/bench/patience.hpp"
#include "app/shell/stage_strip.hpp"
#include "core/steps/next_step.hpp"

#include <QLabel>
#include <QPushButton>
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

    const NextStep& next() {
        say_.catch_up();
        return next_;
    }
    void refresh() { say_.now(); }
    QPushButton& checks() { return *checks_; }
    QPushButton& turn() { return *turn_; }

signals:
    void pressed(const yes_square::NextStep& next);

private:
    void say_next();

    Workbench& bench_;
    Day& day_;
    NextStep next_;
    QLabel* words_;
    QPushButton* act_;
    QPushButton* checks_;
    QPushButton* turn_;
    Patience say_{[this] { say_next(); }};
};

} // namespace yes_square::app
