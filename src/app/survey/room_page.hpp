#pragma once

#include "app/bench/bound_form.hpp"

#include <QListWidget>
#include <QPushButton>
#include <QWidget>

namespace yes_square::app {

/// The walls of the room in the order they are walked, seen from inside, left to right.
class RoomPage : public QWidget {
    Q_OBJECT
public:
    explicit RoomPage(Workbench& bench, QWidget* parent = nullptr);

private:
    void refresh();
    void move_wall(int by);
    void add_room();

    Workbench& bench_;
    QListWidget* walls_;
    QPushButton* earlier_;
    QPushButton* later_;
    QLabel* closing_;
    std::vector<std::size_t> indices_; ///< in the job, of the rows
};

} // namespace yes_square::app
