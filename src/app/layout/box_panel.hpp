#pragma once

#include "app/layout/thing_panel.hpp"

#include <QLabel>
#include <QTableWidget>

namespace yes_square::app {

/// Boxes made for a wall: the selected one's sizes and joints, and the parts that follow from them.
class BoxPanel : public ThingPanel<WallBox> {
    Q_OBJECT
public:
    explicit BoxPanel(Workbench& bench, QWidget* parent = nullptr);

    void add_box();

private:
    void build();
    void refresh() override;

    QLabel* words_;
    QTableWidget* parts_;
};

} // namespace yes_square::app
