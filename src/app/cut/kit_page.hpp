#pragma once

#include "app/bench/bound_form.hpp"
#include "core/cutting/cutting_plan.hpp"
#include "core/cutting/kit.hpp"

#include <QLabel>
#include <QTableWidget>

namespace yes_square::app {

/// What is taken along, with packs, what is there already, and prices.
class KitPage : public QWidget {
    Q_OBJECT
public:
    explicit KitPage(Workbench& bench, QWidget* parent = nullptr);
    void show_kit(const Kit& kit, const CuttingPlan& cutting);

private:
    std::string item() const;
    const KitSupply* supply() const;

    Workbench& bench_;
    QTableWidget* table_;
    QLabel* total_;
    BoundForm* form_;
};

} // namespace yes_square::app
