#include "app/layout/run_panel.hpp"

#include "app/bench/fold.hpp"
#include "app/bench/grown.hpp"
#include "app/bench/rows.hpp"
#include "app/layout/cut_outs_editor.hpp"
#include "app/layout/unit_cut_outs.hpp"
#include "core/job/fresh_name.hpp"
#include "core/runs/rearrange.hpp"
#include "core/runs/slide.hpp"
#include "core/runs/unit_library.hpp"

#include <QFile>
#include <QFileDialog>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QMessageBox>
#include <QMouseEvent>
#include <QVBoxLayout>
#include <algorithm>
#include <utility>

namespace yes_square::app {
UnitList::UnitList(QWidget* parent)
    : QListWidget{parent} {
    setObjectName(QStringLiteral("unit-library"));
    setAccessibleName(tr("Units to choose from"));
}

void UnitList::mousePressEvent(QMouseEvent* event) {
    const QModelIndex pressed = indexAt(event->position().toPoint());
    several_ = event->modifiers() == Qt::NoModifier && selectionModel()->isSelected(pressed) &&
               selectionModel()->selectedRows().size() > 1;
    QListWidget::mousePressEvent(event);
}

void UnitList::mouseMoveEvent(QMouseEvent* event) {
    const bool outside = !rect().contains(event->position().toPoint());
    if ((event->buttons() & Qt::LeftButton) && currentRow() >= 0 && (outside || carrying_)) {
        carrying_ = true;
        emit carried(event->globalPosition().toPoint());
        return;
    }
    if (!several_)
        QListWidget::mouseMoveEvent(event);
}

void UnitList::mouseReleaseEvent(QMouseEvent* event) {
    if (std::exchange(carrying_, false))
        emit dropped(event->globalPosition().toPoint());
    QListWidget::mouseReleaseEvent(event);
}

namespace {

CutOutsOf run_cut_outs(Workbench& bench) {
    return {QStringLiteral("run-cut"), [&bench] { return bench.run() ? &bench.run()->cut_outs : nullptr; },
            [&bench](Wall& wall) -> std::vector<CutOut>* {
                for (Run& run : wall.runs)
                    if (bench.run() && run.id == bench.run()->id)
                        return &run.cut_outs;
                return nullptr;
            },
            [&bench]() -> std::optional<BoardFromAbove> {
                if (const RunPlan* plan = bench.run_plan())
                    for (const RunPiece& piece : plan->pieces)
                        if (auto board = from_above(piece))
                            return board;
                return std::nullopt;
            }};
}

} // namespace

RunPanel::RunPanel(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , library_{new UnitList{this}}
    , run_form_{new RunForm{bench, this}}
    , unit_form_{new UnitForm{bench, this}}
    , slide_{new QPushButton{tr("Slide for studs"), this}} {
    const auto button = [this](const QString& words, const char* name, auto&& act) {
        auto* made = new QPushButton{words, this};
        made->setObjectName(QString::fromLatin1(name));
        made->setMinimumWidth(1); // a narrow panel shows less of a word, not less of the form
        connect(made, &QPushButton::clicked, this, act);
        return made;
    };
    auto* grid = new QGridLayout;
    grid->addWidget(button(tr("Wall run"), "add-wall-run", [this] { add_run(RunLevel::wall); }), 0, 0);
    grid->addWidget(button(tr("Floor run"), "add-floor-run", [this] { add_run(RunLevel::floor); }), 0, 1);
    grid->addWidget(button(tr("Remove run"), "remove-run", [this] { remove_run(); }), 0, 2);
    grow_to_rows(*library_);
    library_->setToolTip(tr("Drag a unit to the wall, or press Enter to put it beside the selected one"));
    library_->setSelectionMode(QAbstractItemView::ExtendedSelection);
    auto* add = button(tr("Add"), "add-unit", [this] { add_chosen(); });
    auto* in_place = button(tr("In its place"), "replace-unit", [this] { put_in_place(); });
    in_place->setToolTip(tr("The chosen unit stands where the selected one does now"));
    auto* take = button(tr("Take in list..."), "take-list", [this] { choose_list(); });
    connect(library_, &QListWidget::itemActivated, this,
            [this](QListWidgetItem* item) { add_listed(library_->row(item)); });
    // What is carried is what was chosen when it was taken up: the list may be filled anew on the way.
    connect(library_, &UnitList::carried, this, [this](QPoint at) {
        if (carried_.empty())
            carried_ = chosen_units();
        emit units_carried(carried_, at);
    });
    connect(library_, &UnitList::dropped, this,
            [this](QPoint at) { emit units_dropped(std::exchange(carried_, {}), at); });
    mirror_ = button(tr("Mirror the run"), "mirror-run", [this] { mirror(); });
    mirror_->setToolTip(tr("The last unit first, hinges on the other side"));
    slide_->setMinimumWidth(1);
    slide_->setObjectName(QStringLiteral("slide-run"));
    connect(slide_, &QPushButton::clicked, this, &RunPanel::slide);
    unit_buttons_ = {button(tr("Earlier"), "unit-earlier", [this] { move_unit(-1); }),
                     button(tr("Later"), "unit-later", [this] { move_unit(1); }),
                     button(tr("Remove unit"), "remove-unit", [this] { remove_unit(); }), in_place};
    auto* list_row = new QHBoxLayout;
    list_row->addWidget(add);
    list_row->addWidget(in_place);
    list_row->addWidget(take);
    auto* unit_row = new QHBoxLayout;
    for (QPushButton* each : unit_buttons_)
        if (each != in_place)
            unit_row->addWidget(each);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 6, 0, 0);
    auto* units = new Fold{tr("Units to add"), this};
    units->setObjectName(QStringLiteral("units-fold"));
    auto* at_hand = new QWidget{this};
    auto* at_hand_column = new QVBoxLayout{at_hand};
    at_hand_column->setContentsMargins(0, 0, 0, 0);
    at_hand_column->addWidget(library_);
    at_hand_column->addLayout(list_row);
    units->over(at_hand);
    column->addLayout(grid);
    column->addWidget(units);
    column->addWidget(at_hand);
    column->addWidget(unit_form_);
    auto* panels_fold = new Fold{tr("Holes in its back and sides"), this};
    panels_fold->setObjectName(QStringLiteral("unit-fold-cut-outs"));
    auto* panels = unit_cut_outs(bench_, this);
    panels_fold->over(panels);
    panels_ = panels_fold;
    column->addWidget(panels_fold);
    column->addWidget(panels);
    column->addLayout(unit_row);
    column->addWidget(slide_);
    column->addWidget(mirror_);
    column->addWidget(run_form_);
    auto* cut_outs_fold = new Fold{tr("Cut-outs in its worktop"), this};
    cut_outs_fold->setObjectName(QStringLiteral("run-fold-cut-outs"));
    auto* cut_outs = new CutOutsEditor{bench_, run_cut_outs(bench_), this};
    cut_outs_fold->over(cut_outs);
    cut_outs_ = cut_outs_fold;
    column->addWidget(cut_outs_fold);
    column->addWidget(cut_outs);
    column->addStretch(1);
    connect(&bench_, &Workbench::changed, this, &RunPanel::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &RunPanel::refresh);
    run_form_->refresh();
    unit_form_->refresh();
    refresh();
}

void RunPanel::refresh() {
    refresh_list();
    cut_outs_->setVisible(bench_.run() && bench_.run()->level == RunLevel::floor);
    if (!cut_outs_->isVisible())
        cut_outs_->setChecked(false);
    panels_->setVisible(bench_.unit() && is_cabinet(*bench_.unit()));
    if (!panels_->isVisible())
        panels_->setChecked(false);
    const RunPlan* plan = bench_.run_plan();
    const bool can = plan && plan->slide.possible && !plan->slide.holds_now();
    slide_->setVisible(plan && plan->slide.needed);
    slide_->setEnabled(can);
    if (plan && plan->slide.needed)
        slide_->setText(plan->slide.holds_now() ? tr("Every unit has its screws in proved studs")
                        : can ? tr("Slide for studs: %1").arg(text(format(plan->slide.moved, bench_.voice())))
                              : tr("No place within the slack catches all studs"));
    mirror_->setVisible(bench_.run() && bench_.run()->units.size() > 1);
    for (QPushButton* each : unit_buttons_)
        each->setEnabled(bench_.unit() != nullptr);
}

void RunPanel::refresh_list() {
    at_hand_.clear();
    QStringList words;
    const Unit unit = bench_.job().unit;
    const auto size = [&](const CabinetUnit& each) {
        return QStringLiteral("%1 x %2 x %3")
            .arg(text(format_bare(each.width, app::voice(unit))), text(format_bare(each.height, app::voice(unit))),
                 text(format_bare(each.depth, app::voice(unit))));
    };
    for (const ListedUnit& listed : bench_.job().catalogue.units) {
        at_hand_.push_back(listed.unit);
        words << tr("%1 %2  %3  (%4 of %5 placed)")
                     .arg(text(listed.unit.code), text(listed.unit.name), size(listed.unit))
                     .arg(placed_of(listed, bench_.job()))
                     .arg(listed.quantity)
                     .trimmed();
    }
    for (CabinetUnit& each : standard_units(unit)) {
        words << core_words(each.name) + QStringLiteral("  ") + size(each);
        at_hand_.push_back(std::move(each));
    }
    fill(*library_, words);
    library_->setCurrentRow(std::max(0, library_->currentRow()));
}

void RunPanel::add_run(RunLevel level) {
    if (!bench_.wall())
        return;
    std::string id;
    bench_.edit(tr("Add run"), [&](Job& job) {
        Run run;
        run.id = id = fresh_id(job, "run");
        run.name = fresh_name(job, (level == RunLevel::wall ? tr("Wall run %1") : tr("Floor run %1")).toStdString());
        run.level = level;
        job.walls[bench_.wall_index()].runs.push_back(std::move(run));
    });
    bench_.select(id);
}

void RunPanel::remove_run() {
    if (!bench_.run())
        return;
    const std::string id = bench_.run()->id;
    bench_.edit(tr("Remove run"), [&](Job& job) {
        if (const RunOnWall found = find_run(job, id); found.run)
            std::erase_if(found.wall->runs, [&](const Run& run) { return run.id == id; });
    });
}

void RunPanel::add_listed(int row) {
    if (row >= 0 && static_cast<std::size_t>(row) < at_hand_.size())
        add_units({at_hand_[static_cast<std::size_t>(row)]});
}

/// Beside the selected one.
void RunPanel::add_units(const std::vector<CabinetUnit>& units) {
    if (!bench_.wall() || units.empty())
        return;
    const UnitPlan* beside = bench_.unit_plan();
    const Length at = beside ? beside->place.right() : bench_.wall()->length;
    const std::string run = bench_.run() ? bench_.run()->id : std::string{};
    std::string id;
    bench_.edit(units.size() == 1 ? tr("Add unit") : tr("Add units"),
                [&](Job& job) { id = put_units(job, bench_.wall_index(), units, run, at); });
    bench_.select(id);
}

/// As the list has them.
std::vector<CabinetUnit> RunPanel::chosen_units() const {
    std::vector<CabinetUnit> units;
    for (int row = 0; row < library_->count() && static_cast<std::size_t>(row) < at_hand_.size(); ++row)
        if (library_->item(row)->isSelected())
            units.push_back(at_hand_[static_cast<std::size_t>(row)]);
    return units;
}

void RunPanel::add_chosen() {
    add_units(chosen_units());
}

void RunPanel::put_in_place() {
    const int row = library_->currentRow();
    if (!bench_.unit() || row < 0 || static_cast<std::size_t>(row) >= at_hand_.size())
        return;
    const CabinetUnit unit = at_hand_[static_cast<std::size_t>(row)];
    const std::string id = bench_.unit()->id;
    bench_.edit(tr("Put %1 in its place").arg(text(unit.name)), [&](Job& job) {
        Run* run = find_run(job, bench_.run()->id).run;
        const auto place = std::ranges::find(run->units, id, &CabinetUnit::id);
        *place = in_place_of(*place, unit);
    });
    bench_.select(id);
}

void RunPanel::mirror() {
    const RunPlan* plan = bench_.run_plan();
    if (!plan || !bench_.run())
        return;
    Run turned = mirrored(*bench_.run(), plan->layout.right() - plan->layout.left());
    bench_.apply(tr("Mirror the run"), Change<Run>{std::move(turned)});
}

void RunPanel::remove_unit() {
    if (bench_.unit())
        bench_.apply(tr("Remove unit"), RemoveUnit{bench_.unit()->id});
}

void RunPanel::move_unit(int by) {
    if (!bench_.unit())
        return;
    const auto now = bench_.unit() - bench_.run()->units.data();
    if (now + by >= 0 && now + by < static_cast<std::ptrdiff_t>(bench_.run()->units.size()))
        bench_.apply(tr("Reorder units"), ReorderUnit{bench_.unit()->id, static_cast<std::size_t>(now + by)});
}

void RunPanel::slide() {
    if (const RunPlan* plan = bench_.run_plan(); plan && plan->slide.possible)
        bench_.apply(tr("Slide for studs"), place_by_slide(*bench_.run(), plan->layout, plan->slide));
}

void RunPanel::choose_list() {
    const QString path =
        QFileDialog::getOpenFileName(this, tr("Take in a list of units"), {}, tr("Tables (*.csv *.txt)"));
    if (path.isEmpty())
        return;
    if (const QString problem = take_in_list(path); !problem.isEmpty())
        QMessageBox::warning(this, tr("Yes Square"), problem);
}

QString RunPanel::take_in_list(const QString& path) {
    QFile file{path};
    if (!file.open(QIODevice::ReadOnly))
        return tr("%1 cannot be read: %2").arg(path, file.errorString());
    const auto listed = units_from_csv(file.readAll().toStdString(), bench_.job().unit);
    if (!listed)
        return tr("%1: %2").arg(path, text(listed.error()));
    bench_.edit(tr("Take in a list of units"), [&](Job& job) { job.catalogue.units = *listed; });
    return {};
}

} // namespace yes_square::app
