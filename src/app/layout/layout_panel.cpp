#include "app/layout/layout_panel.hpp"

#include "core/job/fresh_name.hpp"
#include "core/job/trade_sizes.hpp"

#include "app/bench/choices.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {

LayoutPanel::LayoutPanel(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , add_any_{new QPushButton{tr("Put something on this wall"), this}}
    , none_{new QWidget{this}}
    , ways_{new AlternativesStrip{bench, this}}
    , shelves_{new QWidget{this}}
    , runs_{new RunPanel{bench, this}}
    , systems_{new SystemPanel{bench, this}}
    , pieces_{new PiecePanel{bench, this}}
    , boxes_{new BoxPanel{bench, this}}
    , audit_{new AuditPanel{bench, this}}
    , battens_{new BattenPanel{bench, this}}
    , lights_{new LightPanel{bench, this}}
    , form_{new ShelfForm{bench, shelves_}}
    , parts_{new ShelfParts{bench, shelves_}}
    , add_{new QPushButton{tr("Another shelf"), shelves_}}
    , remove_{new QPushButton{tr("Remove"), shelves_}} {
    add_any_->setObjectName(QStringLiteral("add-kind"));
    auto* kinds = new QMenu{this};
    kinds->setObjectName(QStringLiteral("thing-kinds"));
    offer_kinds(*kinds);
    add_any_->setMenu(kinds);
    add_->setObjectName(QStringLiteral("add-shelf"));
    remove_->setObjectName(QStringLiteral("remove-shelf"));
    connect(add_, &QPushButton::clicked, this, [this] { add_shelf(); });
    connect(remove_, &QPushButton::clicked, this, &LayoutPanel::remove_shelf);
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(add_);
    buttons->addWidget(remove_);
    auto* column = new QVBoxLayout{shelves_};
    column->setContentsMargins(0, 0, 0, 0);
    column->addLayout(buttons);
    column->addWidget(form_);
    column->addWidget(parts_);
    auto* nothing = new QVBoxLayout{none_};
    nothing->setContentsMargins(0, 0, 0, 0);
    auto* words =
        new QLabel{tr("Nothing on this wall is selected. Put something on it, or click what hangs there."), none_};
    words->setWordWrap(true);
    nothing->addWidget(words);
    auto* whole = new QVBoxLayout{this};
    whole->setContentsMargins(0, 0, 0, 0);
    whole->addWidget(add_any_);
    for (QWidget* page : pages())
        whole->addWidget(page);
    whole->addWidget(ways_);
    whole->addStretch(1);

    const auto fit = [this] {
        add_any_->setEnabled(bench_.wall() != nullptr);
        add_->setEnabled(bench_.wall() != nullptr);
        remove_->setEnabled(bench_.shelf() != nullptr);
    };
    connect(&bench_, &Workbench::selection_changed, this, &LayoutPanel::show_selected);
    connect(&bench_, &Workbench::changed, this, &LayoutPanel::show_selected);
    connect(&bench_, &Workbench::changed, this, fit);
    connect(&bench_, &Workbench::selection_changed, this, fit);
    fit();
    show_selected();
}

std::vector<QWidget*> LayoutPanel::pages() const {
    return {none_, shelves_, runs_, systems_, pieces_, boxes_, audit_, lights_, battens_};
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
                                                       : none_;
    for (QWidget* each : pages())
        if (each != page)
            each->hide();
    page->show();
}

void LayoutPanel::offer_kinds(QMenu& menu) {
    const auto offer = [this](QMenu& in, const QString& words, auto&& act) {
        connect(in.addAction(words), &QAction::triggered, this, act);
    };
    QMenu* shelves = menu.addMenu(tr("Shelf, pole or rail"));
    shelves->setObjectName(QStringLiteral("shelf-kinds"));
    for (const ShelfPreset& preset : shelf_presets())
        offer(*shelves, core_words(preset.words), [this, preset] { add_shelf(preset); });
    shelves->addSeparator();
    offer(*shelves, tr("Like the selected one, round the whole room"), [this] { hang_round_room(); });
    offer(menu, tr("Run of wall cabinets"), [this] { runs_->add_run(RunLevel::wall); });
    offer(menu, tr("Run of base cabinets"), [this] { runs_->add_run(RunLevel::floor); });
    offer(menu, tr("Wardrobe of bays"), [this] { systems_->add_system(); });
    QMenu* pieces = menu.addMenu(tr("Furniture that could tip"));
    for (const auto& row : enum_names<PieceKind>())
        offer(*pieces, word_of(row.value), [this, kind = row.value] { pieces_->add_piece(kind); });
    offer(menu, tr("Bookcase or box hung on the wall"), [this] { boxes_->add_box(); });
    offer(menu, tr("Cabinet that hangs here already"), [this] { audit_->add_cabinet(); });
    offer(menu, tr("Batten for pegs or as a ledger"), [this] { battens_->add_batten(); });
    offer(menu, tr("Light along what is selected"), [this] { lights_->add_feed(); });
}

void LayoutPanel::add_shelf(const ShelfPreset& preset) {
    if (!bench_.wall())
        return;
    std::string id;
    bench_.edit(tr("Add shelf"), [&](Job& job) {
        Wall& wall = job.walls[bench_.wall_index()];
        Shelf shelf = new_shelf(preset, wall);
        if (Shelf traded = shelf; to_trade_sizes(traded, job.unit), traded.right() <= wall.length)
            shelf = std::move(traded);
        shelf.id = id = fresh_id(job, "shelf");
        shelf.name = fresh_name(job, tr("Shelf %1").toStdString());
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
