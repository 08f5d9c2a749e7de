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
    , form_{new ShelfForm{bench, shelves_}}
    , parts_{new ShelfParts{bench, shelves_}}
    , add_{new QPushButton{tr("Add a shelf"), shelves_}}
    , add_kind_{new QPushButton{tr("Another kind"), shelves_}}
    , remove_{new QPushButton{tr("Remove"), shelves_}} {
    tabs_->setObjectName(QStringLiteral("layout-tabs"));
    tabs_->addTab(shelves_, tr("Shelves"));
    tabs_->addTab(runs_, tr("Cabinets"));
    tabs_->setDocumentMode(true);
    auto* whole = new QVBoxLayout{this};
    whole->addWidget(tabs_);
    add_->setObjectName(QStringLiteral("add-shelf"));
    remove_->setObjectName(QStringLiteral("remove-shelf"));
    connect(add_, &QPushButton::clicked, this, [this] { add_shelf(); });
    add_kind_->setObjectName(QStringLiteral("add-kind"));
    auto* kinds = new QMenu{this};
    kinds->setObjectName(QStringLiteral("shelf-kinds"));
    for (std::size_t i = 0; i < shelf_kinds; ++i) {
        const auto kind = static_cast<ShelfKind>(i);
        connect(kinds->addAction(text(words(kind))), &QAction::triggered, this, [this, kind] { add_shelf(kind); });
    }
    kinds->addSeparator();
    connect(kinds->addAction(tr("Like the selected one, round the whole room")), &QAction::triggered, this,
            &LayoutPanel::hang_round_room);
    add_kind_->setMenu(kinds);
    connect(remove_, &QPushButton::clicked, this, &LayoutPanel::remove_shelf);
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
    connect(&bench_, &Workbench::selection_changed, this, [this] {
        if (bench_.run())
            tabs_->setCurrentWidget(runs_);
        else if (bench_.shelf())
            tabs_->setCurrentWidget(shelves_);
    });
    connect(&bench_, &Workbench::changed, this, fit);
    connect(&bench_, &Workbench::selection_changed, this, fit);
    fit();
}

void LayoutPanel::add_shelf(ShelfKind kind) {
    if (!bench_.wall())
        return;
    std::string id;
    bench_.edit(tr("Add shelf"), [&](Job& job) {
        Wall& wall = job.walls[bench_.wall_index()];
        Shelf shelf = new_shelf(kind, wall);
        shelf.id = id = fresh_id(job, "shelf");
        shelf.name = tr("Shelf %1").arg(wall.shelves.size() + 1).toStdString();
        wall.shelves.push_back(std::move(shelf));
    });
    bench_.select_shelf(id);
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
    bench_.select_shelf(first);
}

void LayoutPanel::remove_selected() {
    if (bench_.unit())
        runs_->remove_unit();
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
