#pragma once

#include "app/bench/verdict_label.hpp"
#include "app/layout/thing_panel.hpp"

namespace yes_square::app {

/// Cabinets that hang already: what is ticked of their fastening, and the verdict.
class AuditPanel : public ThingPanel<HungCabinet> {
    Q_OBJECT
public:
    explicit AuditPanel(Workbench& bench, QWidget* parent = nullptr);

    void add_cabinet();

private:
    void build_cabinet();
    void build_found();
    void refresh() override;

    VerdictLabel* verdict_;
};

} // namespace yes_square::app
