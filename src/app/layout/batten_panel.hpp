#pragma once

#include "app/bench/verdict_label.hpp"
#include "app/layout/thing_panel.hpp"

namespace yes_square::app {

/// Straight timbers on a wall, for pegs or as ledgers.
class BattenPanel : public ThingPanel<Batten> {
    Q_OBJECT
public:
    explicit BattenPanel(Workbench& bench, QWidget* parent = nullptr);

    void add_batten();

private:
    void refresh() override;

    VerdictLabel* verdict_;
};

} // namespace yes_square::app
