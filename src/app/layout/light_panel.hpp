#pragma once

#include "app/layout/thing_panel.hpp"

#include <QTableWidget>

namespace yes_square::app {

/// Low-voltage light along a shelf or a run: its figures, and every lead weighed.
class LightPanel : public ThingPanel<LightFeed> {
    Q_OBJECT
public:
    explicit LightPanel(Workbench& bench, QWidget* parent = nullptr);
    /// Along what is selected; along nothing where nothing is.
    void add_feed();

protected:
    void refresh() override;

private:
    void build();
    void build_driver();

    QLabel* words_;
    QTableWidget* leads_;
};

} // namespace yes_square::app
