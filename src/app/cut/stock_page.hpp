#pragma once

#include "app/bench/bound_form.hpp"

#include <QTableWidget>

namespace yes_square::app {

/// Sizes of stock: what lies there and what can be bought; the saw's kerf.
class StockPage : public QWidget {
    Q_OBJECT
public:
    explicit StockPage(Workbench& bench, QWidget* parent = nullptr);
    void refresh();

private:
    void add(bool offcut);
    int row() const;

    Workbench& bench_;
    QTableWidget* table_;
    BoundForm* form_;
    BoundForm* saw_;
};

} // namespace yes_square::app
