#pragma once

#include "app/bench/part_form.hpp"

namespace yes_square::app {

/// The figures of the selected unit of a run: its size, how it hangs, what it weighs, what stands in it, how its box is
/// built.
class UnitForm : public PartForm<CabinetUnit> {
    Q_OBJECT
public:
    explicit UnitForm(Workbench& bench, QWidget* parent = nullptr);

private:
    void build_size();
    void build_appliance();
    void build_box();
};

} // namespace yes_square::app
