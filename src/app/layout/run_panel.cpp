#include "app/layout/run_panel.hpp"

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

namespace yes_square::app {
namespace {

const Length no_less = Length::nanometres(1);

/// Reads a member of the selected run or unit, and sets it.
template <class T>
BoundForm::Get<T> get_run(Workbench& bench, T Run::*member) {
    return [&bench, member]() -> std::optional<T> {
        return bench.run() ? std::optional{bench.run()->*member} : std::nullopt;
    };
}
template <class T>
BoundForm::Get<T> get_unit(Workbench& bench, T CabinetUnit::*member) {
    return [&bench, member]() -> std::optional<T> {
        return bench.unit() ? std::optional{bench.unit()->*member} : std::nullopt;
    };
}
void change_unit(Workbench& bench, Job& job, const std::function<void(CabinetUnit&)>& change) {
    if (bench.unit())
        if (const UnitInRun found = find_unit(job, bench.unit()->id); found.run)
            change(found.unit());
}
void change_run(Workbench& bench, Job& job, const std::function<void(Run&)>& change) {
    if (bench.run())
        if (Run* run = find_run(job, bench.run()->id).run)
            change(*run);
}
template <class T>
BoundForm::Set<T> set_unit(Workbench& bench, T CabinetUnit::*member) {
    return [&bench, member](Job& job, T value) {
        change_unit(bench, job, [&](CabinetUnit& unit) { unit.*member = value; });
    };
}
template <class E>
BoundForm::Get<int> row_of_unit(Workbench& bench, E CabinetUnit::*member) {
    return [&bench, member]() -> std::optional<int> {
        return bench.unit() ? std::optional{static_cast<int>(bench.unit()->*member)} : std::nullopt;
    };
}
template <class E>
BoundForm::Set<int> set_unit_row(Workbench& bench, E CabinetUnit::*member) {
    return [&bench, member](Job& job, int row) {
        change_unit(bench, job, [&](CabinetUnit& unit) { unit.*member = static_cast<E>(row); });
    };
}

} // namespace

UnitList::UnitList(QWidget* parent)
    : QListWidget{parent} {
    setObjectName(QStringLiteral("unit-library"));
    setAccessibleName(tr("Units to choose from"));
}

void UnitList::mouseMoveEvent(QMouseEvent* event) {
    const bool outside = !rect().contains(event->position().toPoint());
    if ((event->buttons() & Qt::LeftButton) && currentRow() >= 0 && (outside || carrying_)) {
        carrying_ = true;
        emit carried(currentRow(), event->globalPosition().toPoint());
        return;
    }
    QListWidget::mouseMoveEvent(event);
}

void UnitList::mouseReleaseEvent(QMouseEvent* event) {
    if (std::exchange(carrying_, false))
        emit dropped(currentRow(), event->globalPosition().toPoint());
    QListWidget::mouseReleaseEvent(event);
}

RunPanel::RunPanel(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , library_{new UnitList{this}}
    , run_form_{new BoundForm{bench, this}}
    , unit_form_{new BoundForm{bench, this}}
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
    library_->setMinimumHeight(112);
    library_->setMaximumHeight(150);
    library_->setToolTip(tr("Drag a unit to the wall, or press Enter to put it beside the selected one"));
    auto* add = button(tr("Add unit"), "add-unit", [this] { add_listed(library_->currentRow()); });
    auto* take = button(tr("Take in list..."), "take-list", [this] { choose_list(); });
    connect(library_, &QListWidget::itemActivated, this,
            [this](QListWidgetItem* item) { add_listed(library_->row(item)); });
    connect(library_, &UnitList::carried, this, [this](int row, QPoint at) {
        if (static_cast<std::size_t>(row) < at_hand_.size())
            emit unit_carried(at_hand_[static_cast<std::size_t>(row)], at);
    });
    connect(library_, &UnitList::dropped, this, [this](int row, QPoint at) {
        if (static_cast<std::size_t>(row) < at_hand_.size())
            emit unit_dropped(at_hand_[static_cast<std::size_t>(row)], at);
    });
    slide_->setMinimumWidth(1);
    slide_->setObjectName(QStringLiteral("slide-run"));
    connect(slide_, &QPushButton::clicked, this, &RunPanel::slide);
    unit_buttons_ = {button(tr("Earlier"), "unit-earlier", [this] { move_unit(-1); }),
                     button(tr("Later"), "unit-later", [this] { move_unit(1); }),
                     button(tr("Remove unit"), "remove-unit", [this] { remove_unit(); })};
    auto* list_row = new QHBoxLayout;
    list_row->addWidget(add);
    list_row->addWidget(take);
    auto* unit_row = new QHBoxLayout;
    for (QPushButton* each : unit_buttons_)
        unit_row->addWidget(each);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 6, 0, 0);
    column->addLayout(grid);
    column->addWidget(library_);
    column->addLayout(list_row);
    column->addWidget(run_form_);
    column->addWidget(slide_);
    column->addWidget(unit_form_);
    column->addLayout(unit_row);
    column->addStretch(1);
    build_run_form();
    build_unit_form();
    build_filler_rows();
    connect(&bench_, &Workbench::changed, this, &RunPanel::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &RunPanel::refresh);
    run_form_->refresh();
    unit_form_->refresh();
    refresh();
}

std::vector<std::pair<RunEnd, QString>> RunPanel::ends() const {
    std::vector<std::pair<RunEnd, QString>> all{{RunEnd{}, tr("the wall's end")}};
    const Wall* wall = bench_.wall();
    if (!wall)
        return all;
    const auto add = [&](EndKind at, int opening, const std::string& run, const QString& words) {
        RunEnd end;
        end.at = at;
        end.opening = opening;
        end.run = run;
        all.push_back({end, words});
    };
    for (std::size_t i = 0; i < wall->openings.size(); ++i)
        add(EndKind::opening, static_cast<int>(i + 1), {},
            (wall->openings[i].kind == OpeningKind::window ? tr("window, opening %1") : tr("door, opening %1"))
                .arg(i + 1));
    for (const Run& run : wall->runs)
        if (bench_.run() && run.id != bench_.run()->id)
            add(EndKind::run, 1, run.id, tr("run: %1").arg(text(run.name)));
    const WallPlan* plan = bench_.wall_plan();
    for (const auto* beside : {&plan->survey.left, &plan->survey.right})
        if (*beside)
            for (const Wall& other : bench_.job().walls)
                if (other.id == (*beside)->wall)
                    for (const Run& run : other.runs)
                        add(EndKind::run, 1, run.id, tr("front of %1, %2").arg(text(run.name), text(other.name)));
    add(EndKind::place, 1, {}, tr("a place"));
    return all;
}

void RunPanel::build_run_form() {
    run_form_->heading(tr("The run"));
    run_form_->words(tr("Name"), "run-name", get_run(bench_, &Run::name), [this](Job& job, const std::string& name) {
        change_run(bench_, job, [&](Run& run) { run.name = name; });
    });
    const auto end_choice = [this](const QString& label, const char* name, RunEnd Run::*member, bool may_be_open) {
        run_form_->choice(
            label, name,
            [this, may_be_open] {
                QStringList words;
                for (const auto& [end, said] : ends())
                    words << said;
                if (may_be_open)
                    words << tr("open");
                return words;
            },
            [this, member, may_be_open]() -> std::optional<int> {
                if (!bench_.run())
                    return std::nullopt;
                const auto all = ends();
                if (may_be_open && bench_.run()->open_end)
                    return static_cast<int>(all.size());
                const RunEnd& now = bench_.run()->*member;
                for (std::size_t i = 0; i < all.size(); ++i) {
                    const RunEnd& each = all[i].first;
                    if (each.at == now.at && (now.at != EndKind::opening || each.opening == now.opening) &&
                        (now.at != EndKind::run || each.run == now.run))
                        return static_cast<int>(i);
                }
                return -1;
            },
            [this, member, may_be_open](Job& job, int row) {
                const auto all = ends();
                change_run(bench_, job, [&](Run& run) {
                    const bool open = static_cast<std::size_t>(row) == all.size();
                    if (may_be_open)
                        run.open_end = open;
                    if (open)
                        return;
                    const RunEnd before = run.*member;
                    run.*member = all[static_cast<std::size_t>(row)].first;
                    (run.*member).place = before.place;
                    (run.*member).clear = before.clear;
                });
            });
    };
    const auto end_place = [this](const QString& label, const char* name, RunEnd Run::*member) {
        run_form_->length(
            label, name,
            [this, member]() -> std::optional<Length> {
                if (!bench_.run() || (bench_.run()->*member).at != EndKind::place)
                    return std::nullopt;
                return (bench_.run()->*member).place;
            },
            [this, member](Job& job, Length place) {
                change_run(bench_, job, [&](Run& run) { (run.*member).place = place; });
            });
    };
    end_choice(tr("Begins at"), "run-start", &Run::start, false);
    end_place(tr("Start at"), "run-start-place", &Run::start);
    end_choice(tr("Ends at"), "run-end", &Run::end, true);
    end_place(tr("End at"), "run-end-place", &Run::end);
    run_form_->choice(
        tr("Slack"), "run-slack",
        QStringList{tr("at the right"), tr("at the left"), tr("half at either end"), tr("centred on the opening"),
                    tr("hood centred on the hob"), tr("shared by the fillers"), tr("set by hand")},
        [this]() -> std::optional<int> {
            return bench_.run() ? std::optional{static_cast<int>(bench_.run()->slack)} : std::nullopt;
        },
        [this](Job& job, int row) {
            const RunPlan* plan = bench_.run_plan();
            change_run(bench_, job, [&](Run& run) {
                run.slack = static_cast<Slack>(row);
                if (run.slack == Slack::by_hand && plan)
                    run.left = plan->layout.left();
            });
        });
    run_form_->choice(
        tr("Goes up first"), "hang-first", QStringList{tr("wall units: backs are saved"), tr("base units: they carry")},
        [this]() -> std::optional<int> { return static_cast<int>(bench_.job().rules.runs.hang_first); },
        [](Job& job, int row) { job.rules.runs.hang_first = static_cast<HangFirst>(row); });
    run_form_->choice(
        tr("Begun"), "start-at", QStringList{tr("in the corner"), tr("at the free end")},
        [this]() -> std::optional<int> { return static_cast<int>(bench_.job().rules.runs.start_at); },
        [](Job& job, int row) { job.rules.runs.start_at = static_cast<StartAt>(row); });
    run_form_->length(
        tr("Left end at"), "run-left",
        [this]() -> std::optional<Length> {
            return bench_.run_plan() && !bench_.run()->units.empty() ? std::optional{bench_.run_plan()->layout.left()}
                                                                     : std::nullopt;
        },
        [this](Job& job, Length left) {
            change_run(bench_, job, [&](Run& run) {
                run.slack = Slack::by_hand;
                run.left = left;
            });
        });
}

void RunPanel::build_unit_form() {
    const QString more = tr("It must be more than 0");
    unit_form_->heading(tr("The unit"));
    unit_form_->words(tr("Name"), "unit-name", get_unit(bench_, &CabinetUnit::name),
                      set_unit(bench_, &CabinetUnit::name));
    unit_form_->length(tr("Width"), "unit-width", get_unit(bench_, &CabinetUnit::width),
                       set_unit(bench_, &CabinetUnit::width), no_less, more);
    unit_form_->length(tr("Height"), "unit-height", get_unit(bench_, &CabinetUnit::height),
                       set_unit(bench_, &CabinetUnit::height), no_less, more);
    unit_form_->length(tr("Depth"), "unit-depth", get_unit(bench_, &CabinetUnit::depth),
                       set_unit(bench_, &CabinetUnit::depth), no_less, more);
    unit_form_->choice(tr("Doors"), "unit-hinge",
                       QStringList{tr("none"), tr("hinged left"), tr("hinged right"), tr("a pair"), tr("drawers")},
                       row_of_unit(bench_, &CabinetUnit::hinge), set_unit_row(bench_, &CabinetUnit::hinge));
    unit_form_->choice(tr("Hangs by"), "unit-hanging",
                       QStringList{tr("screws through its rails"), tr("hook brackets"), tr("a suspension rail")},
                       row_of_unit(bench_, &CabinetUnit::hanging), set_unit_row(bench_, &CabinetUnit::hanging));
    unit_form_->choice(tr("Built"), "unit-construction", QStringList{tr("frameless"), tr("with a face frame")},
                       row_of_unit(bench_, &CabinetUnit::construction),
                       set_unit_row(bench_, &CabinetUnit::construction));
    const auto board = [this](const QString& label, const char* name, Length CabinetUnit::*member) {
        unit_form_->length(
            label, name,
            [this, member]() -> std::optional<Length> {
                return bench_.unit() && is_cabinet(*bench_.unit()) ? std::optional{bench_.unit()->*member}
                                                                   : std::nullopt;
            },
            set_unit(bench_, member), Length{}, tr("It must be 0 or more"));
    };
    board(tr("Side"), "unit-side", &CabinetUnit::side);
    board(tr("Back"), "unit-back", &CabinetUnit::back);
    unit_form_->length(
        tr("Stile"), "unit-stile",
        [this]() -> std::optional<Length> {
            return bench_.unit() && bench_.unit()->construction == Construction::face_frame
                       ? std::optional{bench_.unit()->stile}
                       : std::nullopt;
        },
        set_unit(bench_, &CabinetUnit::stile), Length{}, tr("It must be 0 or more"));
    unit_form_->choice(
        tr("Rails at its back"), "unit-rails", QStringList{tr("none"), tr("at the top"), tr("top and bottom")},
        [this]() -> std::optional<int> {
            return bench_.unit() && is_cabinet(*bench_.unit())
                       ? std::optional{std::min<int>(2, static_cast<int>(bench_.unit()->rails.size()))}
                       : std::nullopt;
        },
        [this](Job& job, int number) {
            change_unit(bench_, job, [&](CabinetUnit& unit) {
                const CabinetUnit usual = usual_unit(UnitKind::wall, unit.width, unit.height, unit.depth);
                const auto rails = static_cast<std::size_t>(number);
                for (std::size_t i = unit.rails.size(); i < rails && i < usual.rails.size(); ++i)
                    unit.rails.push_back(usual.rails[i]);
                unit.rails.resize(std::min(rails, unit.rails.size()));
            });
        });
    unit_form_->length(
        tr("Rails are thick"), "unit-rail-thickness",
        [this]() -> std::optional<Length> {
            return bench_.unit() && !bench_.unit()->rails.empty()
                       ? std::optional{bench_.unit()->rails.front().thickness}
                       : std::nullopt;
        },
        [this](Job& job, Length thickness) {
            change_unit(bench_, job, [&](CabinetUnit& unit) {
                for (HangingRail& rail : unit.rails)
                    rail.thickness = thickness;
            });
        },
        no_less, more);
    unit_form_->number(
        tr("Empty"), "unit-mass", tr("kg"),
        [this]() -> std::optional<std::optional<double>> {
            if (!bench_.unit() || !is_cabinet(*bench_.unit()))
                return std::nullopt;
            const double kg = bench_.unit()->mass_kg;
            return kg > 0 ? std::optional{kg} : std::optional<double>{};
        },
        [this](Job& job, std::optional<double> kg) {
            change_unit(bench_, job, [&](CabinetUnit& unit) { unit.mass_kg = kg.value_or(0); });
        });
    unit_form_->number(
        tr("Loaded"), "unit-loaded", tr("kg"),
        [this]() -> std::optional<std::optional<double>> {
            if (!bench_.unit() || !is_cabinet(*bench_.unit()))
                return std::nullopt;
            return bench_.unit()->loaded_kg;
        },
        [this](Job& job, std::optional<double> kg) {
            change_unit(bench_, job, [&](CabinetUnit& unit) { unit.loaded_kg = kg; });
        });
    unit_form_->number(
        tr("A hook bears"), "unit-hook", tr("kg"),
        [this]() -> std::optional<std::optional<double>> {
            if (!bench_.unit() || bench_.unit()->hanging == Hanging::screws)
                return std::nullopt;
            const auto& rating = bench_.unit()->hook_rating_n;
            return rating ? std::optional{*rating / standard_gravity} : std::optional<double>{};
        },
        [this](Job& job, std::optional<double> kg) {
            change_unit(bench_, job, [&](CabinetUnit& unit) {
                unit.hook_rating_n = kg ? std::optional{*kg * standard_gravity} : std::nullopt;
            });
        });
}

/// What only fillers, appliance gaps and units of an appliance have.
void RunPanel::build_filler_rows() {
    const auto filler_limit = [this](const QString& label, const char* name, Length CabinetUnit::*member) {
        unit_form_->length(
            label, name,
            [this, member]() -> std::optional<Length> {
                if (!bench_.unit() || !is_filler(*bench_.unit()))
                    return std::nullopt;
                return bench_.unit()->*member;
            },
            set_unit(bench_, member), Length{}, tr("It must be 0 or more"));
    };
    filler_limit(tr("Width at least"), "unit-least", &CabinetUnit::least);
    filler_limit(tr("Width at most"), "unit-most", &CabinetUnit::most);
    filler_limit(tr("Stock to scribe"), "unit-scribe", &CabinetUnit::scribe);
    const auto appliance_length = [this](const QString& label, const char* name, Length Appliance::*member) {
        unit_form_->length(
            label, name,
            [this, member]() -> std::optional<Length> {
                if (!bench_.unit() || !bench_.unit()->appliance)
                    return std::nullopt;
                return (*bench_.unit()->appliance).*member;
            },
            [this, member](Job& job, Length length) {
                change_unit(bench_, job, [&](CabinetUnit& unit) {
                    if (unit.appliance)
                        (*unit.appliance).*member = length;
                });
            },
            Length{}, tr("It must be 0 or more"));
    };
    appliance_length(tr("Appliance high"), "appliance-height", &Appliance::height);
    appliance_length(tr("Its clearance"), "appliance-clearance", &Appliance::clearance);
    const auto as_found = [this](const QString& label, const char* name, std::optional<Length> CabinetUnit::*member) {
        unit_form_->optional_length(
            label, name, tr("not measured"),
            [this, member]() -> std::optional<std::optional<Length>> {
                if (!bench_.unit() || bench_.unit()->kind != UnitKind::appliance_gap)
                    return std::nullopt;
                return bench_.unit()->*member;
            },
            set_unit(bench_, member));
    };
    as_found(tr("As found, front"), "gap-front", &CabinetUnit::gap_front);
    as_found(tr("As found, back"), "gap-back", &CabinetUnit::gap_back);
}

void RunPanel::refresh() {
    refresh_list();
    const RunPlan* plan = bench_.run_plan();
    const bool can = plan && plan->slide.possible && !plan->slide.holds_now();
    slide_->setVisible(plan && plan->slide.needed);
    slide_->setEnabled(can);
    if (plan && plan->slide.needed)
        slide_->setText(plan->slide.holds_now() ? tr("Every unit has its screws in proved studs")
                        : can ? tr("Slide for studs: %1").arg(text(format(plan->slide.moved, bench_.job().unit)))
                              : tr("No place within the slack catches all studs"));
    for (QPushButton* each : unit_buttons_)
        each->setEnabled(bench_.unit() != nullptr);
}

void RunPanel::refresh_list() {
    at_hand_.clear();
    QStringList words;
    const Unit unit = bench_.job().unit;
    const auto size = [&](const CabinetUnit& each) {
        return QStringLiteral("%1 x %2 x %3")
            .arg(text(format_bare(each.width, unit)), text(format_bare(each.height, unit)),
                 text(format_bare(each.depth, unit)));
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
        words << text(each.name) + QStringLiteral("  ") + size(each);
        at_hand_.push_back(std::move(each));
    }
    QStringList there;
    for (int i = 0; i < library_->count(); ++i)
        there << library_->item(i)->text();
    if (there == words)
        return;
    const int row = std::max(0, library_->currentRow());
    library_->clear();
    library_->addItems(words);
    library_->setCurrentRow(std::min<int>(row, library_->count() - 1));
}

void RunPanel::add_run(RunLevel level) {
    if (!bench_.wall())
        return;
    std::string id;
    bench_.edit(tr("Add run"), [&](Job& job) {
        Run run;
        run.id = id = fresh_id(job, "run");
        run.name = (level == RunLevel::wall ? tr("Wall units") : tr("Base units")).toStdString();
        run.level = level;
        job.walls[bench_.wall_index()].runs.push_back(std::move(run));
    });
    bench_.select_run(id);
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
    if (!bench_.wall() || row < 0 || static_cast<std::size_t>(row) >= at_hand_.size())
        return;
    const CabinetUnit unit = at_hand_[static_cast<std::size_t>(row)];
    const UnitPlan* beside = bench_.unit_plan();
    const Length at = beside ? beside->place.right() : bench_.wall()->length;
    const std::string run = bench_.run() ? bench_.run()->id : std::string{};
    std::string id;
    bench_.edit(tr("Add unit"), [&](Job& job) { id = put_unit(job, bench_.wall_index(), unit, run, at); });
    bench_.select_unit(id);
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
