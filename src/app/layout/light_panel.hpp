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
    /// Its driver and its switch.
    void build_driver();
    template <class Place>
    void choose_unit(const PartAccess<Place>& access, const char* name,
                     const std::function<bool(const Place&)>& wanted);

    QLabel* words_;
    QTableWidget* leads_;
};

} // namespace yes_square::app
