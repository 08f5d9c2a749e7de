#include "app/layout/layout_panel.hpp"

#include <QHBoxLayout>
#include <QMenu>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {

LayoutPanel::LayoutPanel(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , tabs_{new QTabWidget{this}}
    , shelves_{new QWidget}
    , runs_{new RunPanel{bench}}
    , systems_{new SystemPanel{bench}}
    , pieces_{new PiecePanel{bench}}
    , boxes_{new BoxPanel{bench}}
    , audit_{new AuditPanel{bench}}
    , battens_{new BattenPanel{bench}}
    , lights_{new LightPanel{bench}}
    , form_{new ShelfForm{bench, shelves_}}
    , parts_{new ShelfParts{bench, shelves_}}
    , add_{new QPushButton{tr("Add a shelf"), shelves_}}
    , add_kind_{new QPushButton{tr("Another kind"), shelves_}}
    , remove_{new QPushButton{tr("Remove"), shelves_}} {
    tabs_->setObjectName(QStringLiteral("layout-tabs"));
    tabs_->addTab(shelves_, tr("Shelves"));
    tabs_->addTab(runs_, tr("Cabinets"));
    tabs_->addTab(systems_, tr("Bays"));
    tabs_->addTab(pieces_, tr("Tipping"));
    tabs_->addTab(boxes_, tr("Boxes"));
    tabs_->addTab(audit_, tr("Found"));
    tabs_->addTab(lights_, tr("Light"));
    tabs_->addTab(battens_, tr("Battens"));
    tabs_->tabBar()->setExpanding(false);
    tabs_->setTabToolTip(2, tr("Wardrobes and other storage of panels and bays"));
    tabs_->setTabToolTip(3, tr("Furniture that may tip, and what holds it"));
    tabs_->setTabToolTip(4, tr("Bookcases and boxes made for the wall"));
    tabs_->setTabToolTip(5, tr("Cabinets that hang already: do they hold?"));
    tabs_->setTabToolTip(6, tr("Low-voltage light along a shelf or a run"));
    tabs_->setTabToolTip(7, tr("Straight timbers screwed to the wall, for pegs or as ledgers"));
    tabs_->setDocumentMode(true);
    auto* whole = new QVBoxLayout{this};
    whole->addWidget(tabs_);
    add_->setObjectName(QStringLiteral("add-shelf"));
    remove_->setObjectName(QStringLiteral("remove-shelf"));
    connect(add_, &QPushButton::clicked, this, [this] { add_shelf(); });
    add_kind_->setObjectName(QStringLiteral("add-kind"));
    auto* kinds = new QMenu{this};
    kinds->setObjectName(QStringLiteral("shelf-kinds"));
    for (const ShelfPreset& preset : shelf_presets())
        connect(kinds->addAction(text(preset.words)), &QAction::triggered, this, [this, preset] { add_shelf(preset); });
    kinds->addSeparator();
    connect(kinds->addAction(tr("Like the selected one, round the whole room")), &QAction::triggered, this,
            &LayoutPanel::hang_round_room);
    add_kind_->setMenu(kinds);
    connect(remove_, &QPushButton::clicked, this, &LayoutPanel::remove_shelf);
    for (QPushButton* each : {add_, add_kind_, remove_})
        each->setMinimumWidth(1); // a narrow panel shows less of a word, not less of the form
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(add_);
    buttons->addWidget(add_kind_);
    buttons->addWidget(remove_);
    auto* column = new QVBoxLayout{shelves_};
    column->setContentsMargins(0, 6, 0, 0);
    column->addLayout(buttons);
    column->addWidget(form_);
    column->addWidget(parts_);
    column->addStretch(1);

    const auto fit = [this] {
        add_->setEnabled(bench_.wall() != nullptr);
        add_kind_->setEnabled(bench_.wall() != nullptr);
        remove_->setEnabled(bench_.shelf() != nullptr);
    };
    connect(&bench_, &Workbench::selection_changed, this, &LayoutPanel::show_selected);
    connect(&bench_, &Workbench::changed, this, fit);
    connect(&bench_, &Workbench::selection_changed, this, fit);
    fit();
}

void LayoutPanel::show_selected() {
    QWidget* page = bench_.run()                       ? runs_
                    : bench_.selected<StorageSystem>() ? static_cast<QWidget*>(systems_)
                    : bench_.selected<Piece>()         ? pieces_
                    : bench_.selected<WallBox>()       ? boxes_
                    : bench_.selected<HungCabinet>()   ? audit_
                    : bench_.selected<LightFeed>()     ? lights_
                    : bench_.selected<Batten>()        ? battens_
                    : bench_.shelf()                   ? shelves_
                                                       : nullptr;
    if (page)
        tabs_->setCurrentWidget(page);
}

void LayoutPanel::add_shelf(const ShelfPreset& preset) {
    if (!bench_.wall())
        return;
    std::string id;
    bench_.edit(tr("Add shelf"), [&](Job& job) {
        Wall& wall = job.walls[bench_.wall_index()];
        Shelf shelf = new_shelf(preset, wall);
        shelf.id = id = fresh_id(job, "shelf");
        shelf.name = tr("Shelf %1").arg(wall.shelves.size() + 1).toStdString();
        wall.shelves.push_back(std::move(shelf));
    });
    bench_.select(id);
    if (auto* left = findChild<LengthField*>(QStringLiteral("shelf-left")))
        left->setFocus(Qt::OtherFocusReason);
}

void LayoutPanel::hang_round_room() {
    const Shelf* like = bench_.shelf();
    const Room* room = bench_.room();
    if (!like || !room)
        return;
    std::string first;
    bench_.edit(tr("Shelf round the room"), [&](Job& job) {
        for (auto& [wall_id, shelf] : shelves_round_room(job, room->id, *like)) {
            shelf.id = fresh_id(job, "shelf");
            if (first.empty())
                first = shelf.id;
            std::ranges::find(job.walls, wall_id, &Wall::id)->shelves.push_back(std::move(shelf));
        }
        // The pattern itself has been hung round the room with the others.
        if (Wall* wall = wall_of(job, like->id))
            std::erase_if(wall->shelves, [&](const Shelf& shelf) { return shelf.id == like->id; });
    });
    bench_.select(first);
}

void LayoutPanel::remove_selected() {
    if (bench_.unit())
        runs_->remove_unit();
    else if (bench_.bay())
        systems_->remove_bay();
    else if (const std::string thing = bench_.thing(); !thing.empty())
        bench_.apply(tr("Remove it"), RemoveThing{thing});
    else
        remove_shelf();
}

void LayoutPanel::remove_shelf() {
    if (!bench_.shelf())
        return;
    const std::string id = bench_.shelf()->id;
    bench_.edit(tr("Remove shelf"), [&](Job& job) {
        if (Wall* wall = wall_of(job, id))
            std::erase_if(wall->shelves, [&](const Shelf& shelf) { return shelf.id == id; });
    });
}

} // namespace yes_square::app
