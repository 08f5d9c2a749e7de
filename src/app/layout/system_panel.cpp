#include "app/layout/system_panel.hpp"

#include "core/job/fresh_name.hpp"

#include "app/bench/field_form.hpp"
#include "core/storage/bay_widths.hpp"
#include "core/storage/new_system.hpp"
#include "core/storage/system_words.hpp"

#include <QComboBox>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QMenu>
#include <QVBoxLayout>
#include <algorithm>
#include <array>

namespace yes_square::app {
namespace {

Bay* find_bay(Job& job, const std::string& id) {
    for (Wall& wall : job.walls)
        for (StorageSystem& system : wall.systems)
            if (const auto bay = std::ranges::find(system.bays, id, &Bay::id); bay != system.bays.end())
                return &*bay;
    return nullptr;
}

bool hangs_clothes(const Bay& bay) {
    return rods_of(bay.kind) > 0;
}

} // namespace

SystemPanel::SystemPanel(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , system_{new PartForm<StorageSystem>{bench, this}}
    , bay_{new PartForm<Bay>{bench,
                             PartAccess<Bay>{[&bench] { return bench.bay(); },
                                             [&bench](Job& job, const std::function<void(Bay&)>& to) {
                                                 const Bay* chosen = bench.bay();
                                                 if (Bay* bay = chosen ? find_bay(job, chosen->id) : nullptr)
                                                     to(*bay);
                                             }},
                             this}}
    , reading_{new BoundForm{bench, this}}
    , fits_{new QLabel{this}}
    , empty_{new QLabel{this}}
    , slide_{new QPushButton{this}} {
    const auto button = [this](const QString& words, const char* name, auto&& act) {
        auto* made = new QPushButton{words, this};
        made->setObjectName(QString::fromLatin1(name));
        made->setMinimumWidth(1);
        connect(made, &QPushButton::clicked, this, act);
        return made;
    };
    auto* top = new QHBoxLayout;
    top->addWidget(button(tr("Add a wardrobe"), "add-system", [this] { add_system(); }));
    auto* remove = button(tr("Remove"), "remove-system", [this] {
        if (const StorageSystem* system = bench_.selected<StorageSystem>())
            bench_.apply(tr("Remove wardrobe"), RemoveThing{system->id});
    });
    top->addWidget(remove);
    auto* fill = button(tr("Fill the wall"), "fill-wall", [this] {
        if (const StorageSystem* system = bench_.selected<StorageSystem>())
            bench_.apply(tr("Fill the wall"),
                         Change<StorageSystem>{filling(*system, *bench_.wall(), bench_.wall_plan()->survey)});
    });
    top->addWidget(fill);
    auto* bays = new QGridLayout;
    auto* add = new QPushButton{tr("Add a bay"), this};
    add->setObjectName(QStringLiteral("add-bay"));
    auto* kinds = new QMenu{this};
    kinds->setObjectName(QStringLiteral("bay-kinds"));
    for (const auto& row : enum_names<BayKind>())
        connect(kinds->addAction(word_of(row.value)), &QAction::triggered, this,
                [this, kind = row.value] { add_bay(kind); });
    add->setMenu(kinds);
    auto* earlier = button(tr("Earlier"), "bay-earlier", [this] { move_bay(-1); });
    auto* later = button(tr("Later"), "bay-later", [this] { move_bay(1); });
    auto* drop = button(tr("Remove bay"), "remove-bay", [this] { remove_bay(); });
    const std::array of_bays{add, earlier, drop, later};
    for (std::size_t i = 0; i < of_bays.size(); ++i)
        bays->addWidget(of_bays[i], static_cast<int>(i) / 2, static_cast<int>(i) % 2);
    slide_->setObjectName(QStringLiteral("slide-system"));
    slide_->setMinimumWidth(1);
    connect(slide_, &QPushButton::clicked, this, &SystemPanel::slide);
    fits_->setTextFormat(Qt::RichText); // what stands in it is escaped
    fits_->setObjectName(QStringLiteral("bay-fits"));
    fits_->setWordWrap(true);
    build_system();
    build_bay();
    build_reading();
    empty_->setText(
        tr("A wardrobe or other storage of side panels with bays between them. Its bays are clicked on the wall."));
    empty_->setWordWrap(true);
    empty_->setProperty("role", "faint");
    of_system_ = {system_, bay_, remove, fill, add, earlier, later, drop, slide_, fits_, reading_fold_};
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 6, 0, 0);
    column->addLayout(top);
    column->addLayout(bays);
    column->addWidget(empty_);
    column->addWidget(bay_);
    column->addWidget(fits_);
    column->addWidget(slide_);
    column->addWidget(system_);
    column->addWidget(reading_fold_);
    column->addWidget(reading_);
    column->addStretch(1);
    connect(&bench_, &Workbench::changed, this, &SystemPanel::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &SystemPanel::refresh);
    for (BoundForm* form : {static_cast<BoundForm*>(system_), static_cast<BoundForm*>(bay_), reading_})
        form->refresh();
    refresh();
}

void SystemPanel::build_system() {
    const auto hung = [](const StorageSystem& system) { return system.hung; };
    system_->heading(tr("The wardrobe"));
    FieldForm<StorageSystem> rows{*system_, "system"};
    for (const char* member : {"name", "left", "width", "widths", "panel_height", "depth", "hung"})
        rows.row(member);
    rows.row("top", hung);
    system_->fold(tr("What it is made of"), "system-fold-made");
    for (const char* member : {"measured_from", "material", "panel", "rod_stuff", "rod_diameter", "end_cup",
                               "cleat_breadth", "cleat_thickness", "first_hole", "crew", "children"})
        rows.row(member);
}

void SystemPanel::build_bay() {
    const auto is = [](std::initializer_list<BayKind> kinds) {
        return [kinds = std::vector<BayKind>{kinds}](const Bay& bay) {
            return std::ranges::find(kinds, bay.kind) != kinds.end();
        };
    };
    const auto own_width = [this](const Bay&) {
        const StorageSystem* system = bench_.selected<StorageSystem>();
        return system && system->widths != BayWidths::equal;
    };
    bay_->heading(tr("The bay"));
    FieldForm<Bay>{*bay_, "bay"}
        .row("kind")
        .row("width", own_width)
        .row("garment", hangs_clothes)
        .row("garments", hangs_clothes)
        .row("rod", hangs_clothes)
        .row("low_rod", is({BayKind::double_hanging}))
        .row("loose", is({BayKind::shelves, BayKind::shoes}), tr("Loose shelves"))
        .row("loose", is({BayKind::drawers}), tr("Drawers"), "drawers")
        .row("drawer_height", is({BayKind::drawers}))
        .row("load");
    bay_->fold(tr("Sides, door and own load"), "bay-fold-door");
    FieldForm<Bay>{*bay_, "bay"}
        .row("height")
        .row("stands")
        .row("door", [](const Bay& bay) { return bay.door != DoorHinge::drawers; })
        .row("own_load_kg_per_m", [](const Bay& bay) { return bay.load.kind == LoadKind::own; });
}

PanelReading* SystemPanel::reading_in(Job& job) const {
    const StorageSystem* system = bench_.selected<StorageSystem>();
    StorageSystem* there = system ? find_part<StorageSystem>(job, system->id).part : nullptr;
    if (!there)
        return nullptr;
    const auto found = std::ranges::find(there->readings, panel_, &PanelReading::panel);
    if (found != there->readings.end())
        return &*found;
    PanelReading fresh;
    fresh.panel = panel_;
    return &there->readings.emplace_back(fresh);
}

/// One reading for each panel: what a level held against it tells.
void SystemPanel::build_reading() {
    auto* panels = new QComboBox{reading_};
    panels->setObjectName(QStringLiteral("reading-panel"));
    panels->setAccessibleName(tr("Panel"));
    panels->setWhatsThis(tr("The panel that the level is held against, counted from the left."));
    connect(panels, &QComboBox::activated, this, [this](int row) {
        panel_ = row + 1;
        reading_->refresh();
    });
    auto* level = new Fold{tr("A level on a panel"), this};
    level->setObjectName(QStringLiteral("reading-fold"));
    level->over(reading_);
    reading_fold_ = level;
    reading_->widget(panels);
    const auto list = [this, panels] {
        const SystemPlan* plan = bench_.selected_plan<StorageSystem>();
        const int number = plan ? static_cast<int>(plan->panels.size()) : 0;
        if (panels->count() != number) {
            panels->clear();
            for (int i = 1; i <= number; ++i)
                panels->addItem(tr("Panel P%1").arg(i));
            panel_ = std::clamp(panel_, 1, std::max(1, number));
            panels->setCurrentIndex(panel_ - 1);
        }
    };
    connect(&bench_, &Workbench::changed, this, list);
    connect(&bench_, &Workbench::selection_changed, this, list);
    list();
    const PartAccess<PanelReading> access{[this]() -> const PanelReading* {
                                              const StorageSystem* system = bench_.selected<StorageSystem>();
                                              if (!system)
                                                  return nullptr;
                                              const auto found =
                                                  std::ranges::find(system->readings, panel_, &PanelReading::panel);
                                              static const PanelReading none;
                                              return found == system->readings.end() ? &none : &*found;
                                          },
                                          [this](Job& job, const std::function<void(PanelReading&)>& to) {
                                              if (PanelReading* reading = reading_in(job))
                                                  to(*reading);
                                          }};
    FieldForm<PanelReading>{*reading_, access, "reading"}.row("off").row("over").row("top_to_right");
}

void SystemPanel::refresh() {
    const SystemPlan* plan = bench_.selected_plan<StorageSystem>();
    for (QWidget* each : of_system_)
        each->setVisible(plan != nullptr);
    reading_->setVisible(plan && reading_fold_->isChecked());
    empty_->setVisible(!plan);
    if (!plan)
        return;
    slide_->setEnabled(plan->slide_moves != Length{});
    slide_->setText(plan->slide.holds_now() ? tr("Every bay has its studs")
                    : plan->slide_moves != Length{}
                        ? tr("Slide for studs: %1").arg(text(format(absolute(plan->slide_moves), bench_.voice())))
                        : tr("No place along the wall gives every bay its studs"));
    slide_->setVisible(plan->slide.needed);
    QStringList lines;
    if (const BayPlan* bay = bench_.bay_plan()) {
        lines << tr("<b>%1 wide</b>").arg(text(format(bay->width, bench_.voice())));
        for (const Fits& fits : bay->fits)
            lines << text(say(words(fits, *bench_.bay()), bench_.voice())).toHtmlEscaped();
    }
    fits_->setText(lines.join(QStringLiteral("<br>")));
}

void SystemPanel::add_system() {
    if (!bench_.wall())
        return;
    std::string id;
    bench_.edit(tr("Add wardrobe"), [&](Job& job) {
        Wall& wall = job.walls[bench_.wall_index()];
        StorageSystem system = new_system(job, wall);
        system.id = id = fresh_id(job, "system");
        system.name = fresh_name(job, tr("Wardrobe %1").toStdString());
        wall.systems.push_back(std::move(system));
    });
    bench_.select(id);
}

void SystemPanel::add_bay(BayKind kind) {
    const StorageSystem* system = bench_.selected<StorageSystem>();
    if (!system)
        return;
    const auto at = bench_.bay() ? bench_.bay() - system->bays.data() + 1 : 0;
    std::string id;
    bench_.edit(tr("Add bay"), [&](Job& job) {
        Bay bay = new_bay(job, kind);
        id = bay.id;
        auto& bays = find_part<StorageSystem>(job, system->id).part->bays;
        bays.insert(bays.begin() + at, std::move(bay));
    });
    bench_.select(id);
}

void SystemPanel::remove_bay() {
    const StorageSystem* system = bench_.selected<StorageSystem>();
    if (!system || !bench_.bay())
        return;
    const std::string id = bench_.bay()->id;
    bench_.edit(tr("Remove bay"), [&](Job& job) {
        std::erase_if(find_part<StorageSystem>(job, system->id).part->bays,
                      [&](const Bay& bay) { return bay.id == id; });
    });
}

void SystemPanel::move_bay(int by) {
    const StorageSystem* system = bench_.selected<StorageSystem>();
    if (!system || !bench_.bay())
        return;
    const auto from = bench_.bay() - system->bays.data();
    const auto to = from + by;
    if (to < 0 || to >= static_cast<std::ptrdiff_t>(system->bays.size()))
        return;
    bench_.edit(tr("Reorder bays"), [&](Job& job) {
        auto& bays = find_part<StorageSystem>(job, system->id).part->bays;
        std::swap(bays[static_cast<std::size_t>(from)], bays[static_cast<std::size_t>(to)]);
    });
}

void SystemPanel::slide() {
    const StorageSystem* system = bench_.selected<StorageSystem>();
    const SystemPlan* plan = bench_.selected_plan<StorageSystem>();
    if (plan && plan->slide_moves != Length{})
        bench_.apply(tr("Slide for studs"), MoveThing{system->id, plan->slide_moves, {}});
}

} // namespace yes_square::app
