#pragma once

#include "app/bench/day.hpp"

#include "app/bench/manners.hpp"
#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QStringListModel>
#include <QTableWidget>
#include <QTimer>

namespace yes_square::app {

/// The job's steps in their order: which is next, what to mind before it, what it waits for. A gate is passed by
/// answering its questions.
class StepsPage : public QWidget {
    Q_OBJECT
public:
    StepsPage(Workbench& bench, Day& day, QWidget* parent = nullptr);

    /// The key of the step in hand; empty: none.
    std::string current() const;
    void go_to(const std::string& key);
    /// Ticks the step in hand off, if nothing it asks is open.
    void tick_off();

signals:
    /// The part of the wall that the step in hand is about.
    void look_wanted(const std::string& item);
    void step_shown();

protected:
    void showEvent(QShowEvent* event) override;

private:
    void refresh();
    void show_task();
    void set(TickState state, const std::string& because = {});
    void take_back();
    void show_timer();
    const Task* task();
    /// Names of the steps that come before it and are not done.
    QStringList still_before(const Task& task);

    Workbench& bench_;
    Day& day_;
    QLineEdit* who_;
    QStringListModel* names_; ///< of the house, for whoever types one
    QComboBox* crew_;
    QComboBox* shown_;
    QLabel* progress_;
    QTableWidget* table_;
    Document* words_;
    Document* before_; ///< what is minded before any hole
    QWidget* gate_;
    std::vector<QCheckBox*> questions_;
    QLabel* timer_words_;
    QPushButton* begin_;
    QPushButton* done_;
    QPushButton* could_not_;
    QPushButton* back_;
    QTimer timer_;
};

} // namespace yes_square::app
