#pragma once

#include "app/bench/day.hpp"

#include <QLabel>
#include <QSpinBox>
#include <QTableWidget>

namespace yes_square::app {

/// The packing list, ticked line by line; what is short, wrong or damaged, and what that stops.
class DeliveryPage : public QWidget {
    Q_OBJECT
public:
    DeliveryPage(Workbench& bench, Day& day, QWidget* parent = nullptr);
    void refresh();
    /// Takes the text of a packing list in. An empty answer: done; else what is wrong with it.
    QString take(const std::string& csv);

signals:
    void packing_list_wanted();

private:
    void mark(Received received);

    Workbench& bench_;
    Day& day_;
    QTableWidget* table_;
    QSpinBox* sound_;
    QLabel* findings_;
};

} // namespace yes_square::app
