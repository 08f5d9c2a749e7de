#include "app/survey/walk_list.hpp"

#include <QGridLayout>
#include <QPushButton>
#include <QShortcut>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

/// Standard uncertainties of a stud's centre by how it is known: both edges probed; a detector or a screw line; the
/// spacing alone (house rules).
Length uncertainty(StudState state) {
    switch (state) {
    case StudState::proved:
        return Length::micrometres(600);
    case StudState::indicated:
        return 5_mm;
    case StudState::assumed:
        return 15_mm;
    }
    return {};
}

/// What a list row stands for.
enum class Part { stud, opening, service };
constexpr int part_role = Qt::UserRole;
constexpr int index_role = Qt::UserRole + 1;

} // namespace

WalkList::WalkList(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , what_{new QComboBox{this}}
    , distance_{new LengthField{this}}
    , height_{new LengthField{this}}
    , width_{new LengthField{this}}
    , tall_{new LengthField{this}}
    , distance_label_{new QLabel{this}}
    , height_label_{new QLabel{this}}
    , width_label_{new QLabel{tr("Width"), this}}
    , tall_label_{new QLabel{tr("Its height"), this}}
    , list_{new QListWidget{this}} {
    what_->addItems({tr("Stud, proved"), tr("Stud, indicated"), tr("Stud, assumed"), tr("Socket"), tr("Switch"),
                     tr("Pipe or tap"), tr("Window"), tr("Door")});
    what_->setObjectName(QStringLiteral("walk-what"));
    distance_->setObjectName(QStringLiteral("walk-distance"));
    height_->setObjectName(QStringLiteral("walk-height"));
    width_->setObjectName(QStringLiteral("walk-width"));
    tall_->setObjectName(QStringLiteral("walk-tall"));
    list_->setObjectName(QStringLiteral("walk-found"));
    for (LengthField* field : {distance_, height_, width_, tall_}) {
        field->set_least({}, tr("A distance from the reference end or the floor cannot be less than 0"));
        field->setPlaceholderText(tr("type it, then Enter"));
    }

    auto* grid = new QGridLayout{this};
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setVerticalSpacing(5);
    grid->addWidget(new QLabel{tr("Found"), this}, 0, 0);
    grid->addWidget(what_, 0, 1, 1, 3);
    grid->addWidget(distance_label_, 1, 0);
    grid->addWidget(distance_, 1, 1, 1, 3);
    grid->addWidget(height_label_, 2, 0);
    grid->addWidget(height_, 2, 1, 1, 3);
    grid->addWidget(width_label_, 3, 0);
    grid->addWidget(width_, 3, 1);
    grid->addWidget(tall_label_, 3, 2);
    grid->addWidget(tall_, 3, 3);
    grid->addWidget(list_, 4, 0, 1, 4);
    auto* remove = new QPushButton{tr("Take out the selected finding"), this};
    remove->setObjectName(QStringLiteral("walk-remove"));
    grid->addWidget(remove, 5, 0, 1, 4);
    list_->setMinimumHeight(150);

    connect(what_, &QComboBox::currentIndexChanged, this, &WalkList::fit_fields);
    for (LengthField* field : {distance_, height_, width_, tall_})
        connect(field, &LengthField::committed, this, &WalkList::add);
    connect(remove, &QPushButton::clicked, this, &WalkList::remove_selected);
    auto* shortcut = new QShortcut{QKeySequence::Delete, list_};
    shortcut->setContext(Qt::WidgetShortcut);
    connect(shortcut, &QShortcut::activated, this, &WalkList::remove_selected);
    connect(&bench_, &Workbench::changed, this, &WalkList::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &WalkList::refresh);
    fit_fields();
    refresh();
}

void WalkList::fit_fields() {
    const Finding what = finding();
    const bool opening = what == Finding::window || what == Finding::door;
    const bool stud = what <= Finding::stud_assumed;
    distance_label_->setText(opening ? tr("Left edge at") : tr("Middle at"));
    height_label_->setText(opening ? tr("Lower edge, up") : tr("Middle, up"));
    const auto show = [](QWidget* label, QWidget* field, bool on) {
        label->setVisible(on);
        field->setVisible(on);
    };
    show(height_label_, height_, !stud && what != Finding::pipe && what != Finding::door);
    show(width_label_, width_, opening);
    show(tall_label_, tall_, opening);
    for (LengthField* field : {distance_, height_, width_, tall_})
        field->clear_length();
}

/// Adds the finding once every figure it needs stands; until then Enter moves to the next of them.
void WalkList::add() {
    if (!bench_.wall())
        return;
    for (LengthField* field : {distance_, height_, width_, tall_})
        if (field->isVisibleTo(this) && field->text().isEmpty())
            return;
    const auto value = [](LengthField* field) {
        return field->text().isEmpty() ? Length{} : field->read().value_or(Length{});
    };
    const Length at = value(distance_);
    const Length up = value(height_);
    const Length width = value(width_);
    const Length tall = value(tall_);
    const Finding what = finding();
    if ((what == Finding::window || what == Finding::door) && (width <= Length{} || tall <= Length{}))
        return;
    bench_.edit(tr("Add %1").arg(what_->currentText().toLower()), [&](Job& job) {
        Wall& wall = job.walls[bench_.wall_index()];
        // A stud found again replaces what was thought of it before.
        const auto stud = [&](StudState state) {
            const auto* framing = std::get_if<Framing>(&wall.structure);
            const Length near = framing ? framing->stud_width : 38_mm;
            std::erase_if(wall.studs, [&](const Stud& other) { return absolute(other.centre - at) < near; });
            wall.studs.push_back({at, state, uncertainty(state), {}});
            std::ranges::sort(wall.studs, {}, &Stud::centre);
        };
        switch (what) {
        case Finding::stud_proved:
            return stud(StudState::proved);
        case Finding::stud_indicated:
            return stud(StudState::indicated);
        case Finding::stud_assumed:
            return stud(StudState::assumed);
        case Finding::socket:
            wall.services.push_back({ServiceKind::socket, at, up, 86_mm, {}});
            return;
        case Finding::switch_:
            wall.services.push_back({ServiceKind::switch_, at, up, 86_mm, {}});
            return;
        case Finding::pipe:
            wall.services.push_back({ServiceKind::pipe, at, up, 100_mm, {}});
            return;
        case Finding::window:
            wall.openings.push_back({OpeningKind::window, at, up, width, tall, {}});
            return;
        case Finding::door:
            wall.openings.push_back({OpeningKind::door, at, {}, width, tall, {}});
            return;
        }
    });
    for (LengthField* field : {distance_, height_, width_, tall_})
        field->clear_length();
    // The field that Enter came from moves the focus on; the walk goes on at the distance.
    QMetaObject::invokeMethod(
        distance_, [this] { distance_->setFocus(Qt::OtherFocusReason); }, Qt::QueuedConnection);
}

void WalkList::remove_selected() {
    const QListWidgetItem* item = list_->currentItem();
    if (!item || !bench_.wall())
        return;
    const auto part = static_cast<Part>(item->data(part_role).toInt());
    const int index = item->data(index_role).toInt();
    bench_.edit(tr("Take out a finding"), [&](Job& job) {
        Wall& wall = job.walls[bench_.wall_index()];
        switch (part) {
        case Part::stud:
            wall.studs.erase(wall.studs.begin() + index);
            return;
        case Part::opening:
            wall.openings.erase(wall.openings.begin() + index);
            return;
        case Part::service:
            wall.services.erase(wall.services.begin() + index);
            return;
        }
    });
}

void WalkList::refresh() {
    const Unit unit = bench_.job().unit;
    for (LengthField* field : {distance_, height_, width_, tall_})
        field->set_unit(unit);
    setEnabled(bench_.wall() != nullptr);
    list_->clear();
    const Wall* wall = bench_.wall();
    if (!wall)
        return;
    struct Row {
        Length at;
        QString words;
        Part part;
        std::size_t index;
    };
    std::vector<Row> rows;
    const auto shown = [&](Length length) { return text(format(length, unit)); };
    for (std::size_t i = 0; i < wall->studs.size(); ++i) {
        const Stud& stud = wall->studs[i];
        const QString state = stud.state == StudState::proved      ? tr("stud, proved")
                              : stud.state == StudState::indicated ? tr("stud, indicated")
                                                                   : tr("stud, assumed");
        rows.push_back({stud.centre, state, Part::stud, i});
    }
    for (std::size_t i = 0; i < wall->openings.size(); ++i) {
        const Opening& opening = wall->openings[i];
        rows.push_back({opening.left,
                        tr("%1, %2 wide, %3 high, from %4 up")
                            .arg(opening.kind == OpeningKind::window ? tr("window") : tr("door"), shown(opening.width),
                                 shown(opening.height), shown(opening.bottom)),
                        Part::opening, i});
    }
    for (std::size_t i = 0; i < wall->services.size(); ++i) {
        const ServicePoint& service = wall->services[i];
        const QString kind = service.kind == ServiceKind::socket    ? tr("socket")
                             : service.kind == ServiceKind::switch_ ? tr("switch")
                                                                    : tr("pipe");
        rows.push_back({service.centre, tr("%1, %2 up").arg(kind, shown(service.height)), Part::service, i});
    }
    std::ranges::stable_sort(rows, {}, &Row::at);
    for (const Row& row : rows) {
        auto* item = new QListWidgetItem{QStringLiteral("%1   %2").arg(shown(row.at), row.words), list_};
        item->setData(part_role, static_cast<int>(row.part));
        item->setData(index_role, static_cast<int>(row.index));
    }
}

} // namespace yes_square::app
