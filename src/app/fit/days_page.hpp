#pragma once

#include "app/bench/bound_form.hpp"
#include "app/bench/day.hpp"
#include "app/board/drawing_view.hpp"

#include <QComboBox>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QScrollArea>
#include <QSpinBox>
#include <QTimeEdit>

namespace yes_square::app {

/// The job over days: hours, when a helper is there, what cannot begin yet; when it ends; what slips when a step takes
/// longer; and how long steps really took. The plan of the days is drawn where the wall is.
class DaysPage : public QWidget {
    Q_OBJECT
public:
    DaysPage(Workbench& bench, Day& day, QWidget* parent = nullptr);

    /// The days by person, shown where the wall is.
    QWidget* view() { return scroll_; }

protected:
    void showEvent(QShowEvent* event) override;

private:
    QWidget* helpers_editor();
    QWidget* waits_editor();
    QWidget* shut_editor();
    void refresh();
    void show_lists();
    void show_steps();
    void show_slip();
    void show_learned();
    void take_minutes(bool as_measured);

    Workbench& bench_;
    Day& day_;
    BoundForm* form_;
    QLabel* ends_;
    QLabel* words_;
    QSpinBox* helper_day_;
    QTimeEdit* helper_from_;
    QTimeEdit* helper_to_;
    QLabel* helper_problem_;
    QListWidget* helpers_;
    QComboBox* wait_of_;
    QSpinBox* wait_day_;
    QTimeEdit* wait_from_;
    QListWidget* waits_;
    QComboBox* shut_room_;
    QSpinBox* shut_day_;
    QTimeEdit* shut_from_;
    QTimeEdit* shut_to_;
    QLabel* shut_problem_;
    QListWidget* shut_;
    QComboBox* step_;
    QSpinBox* longer_;
    QLabel* slip_;
    QLabel* learned_;
    QPushButton* as_measured_;
    QPushButton* as_house_;
    DrawingView* drawing_;
    QScrollArea* scroll_;
};

} // namespace yes_square::app
