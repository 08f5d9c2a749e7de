#pragma once

#include "app/bench/pages.hpp"
#include "app/bench/workbench.hpp"
#include "app/fixings/hole_view.hpp"
#include "app/fixings/study_panel.hpp"
#include "app/fixings/thing_fixings.hpp"
#include "app/fixings/unit_fixings.hpp"

#include <QLabel>
#include <QTableWidget>
#include <QWidget>
#include <array>
#include <optional>

namespace yes_square::app {

/// What the stage shows of a shelf.
enum class FixingsPage { marks, drilling, holds, fix_with, noggings };
std::optional<FixingsPage> fixings_page_from_name(const QString& name);

/// The selected shelf's marks and drilling as tables; a row clicked shows its working. How much it holds, what to fix
/// it with, and the wall's noggings. Of a cabinet its holes and the card of its back, of
/// furniture its marks and parts.
class FixingsPanel : public QWidget {
    Q_OBJECT
public:
    explicit FixingsPanel(Workbench& bench, QWidget* parent = nullptr);
    void set_page(FixingsPage page) { tabs_->set_page(static_cast<int>(page)); }

private:
    void refresh();
    void refresh_noggings();
    void refresh_places(const ShelfPlan& plan);
    QStringList fixing_lines(const ShelfPlan& plan) const;

    Workbench& bench_;
    /// Pages of a shelf, of a unit, of any other thing: one is shown, and the others take no height.
    std::array<QWidget*, 3> kinds_ = {};
    Pages* tabs_;
    UnitFixings* unit_;
    StudyPanel* holds_;
    HoleView* through_;
    QTableWidget* marks_;
    QTableWidget* drilling_;
    QTableWidget* bits_;
    QTableWidget* noggings_;
    QLabel* fixing_words_;
    QLabel* bit_words_;
};

} // namespace yes_square::app
