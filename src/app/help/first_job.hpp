#pragma once

#include "app/bench/workbench.hpp"

#include <QFrame>
#include <QLabel>
#include <QPushButton>
#include <functional>
#include <set>
#include <vector>

namespace yes_square::app {

/// A first job in ten minutes: what to do now, and whether it is done. It looks at the job and its plan alone, however
/// one got there; nothing of it is kept in the job.
class FirstJob : public QFrame {
    Q_OBJECT
public:
    /// What the job does not show, told by the window.
    enum class Seen { fixings, cutting, sheets };

    explicit FirstJob(Workbench& bench, QWidget* parent = nullptr);

    void begin();
    void saw(Seen what);
    /// Of steps(); as many as there are: all of it is done.
    std::size_t step() const { return step_; }
    std::size_t steps() const { return steps_.size(); }

signals:
    void ended();

private:
    struct Step {
        std::function<QString()> words;
        std::function<bool()> done;
    };
    void look();
    void show_step();
    const Wall* wall() const;

    Workbench& bench_;
    std::vector<Step> steps_;
    std::set<Seen> seen_;
    std::size_t step_ = 0;
    QLabel* words_;
    QPushButton* leave_;
};

} // namespace yes_square::app
