#include "app/survey/room_page.hpp"

#include "app/bench/choices.hpp"
#include "app/bench/grown.hpp"
#include "app/bench/rows.hpp"

#include <QHBoxLayout>
#include <QSignalBlocker>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {

RoomPage::RoomPage(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , walls_{new QListWidget{this}}
    , earlier_{new QPushButton{tr("Earlier"), this}}
    , later_{new QPushButton{tr("Later"), this}}
    , closing_{new QLabel{this}} {
    auto* form = new BoundForm{bench, this};
    const auto room = [&bench]() -> const Room* {
        return bench.wall() ? room_of(bench.job(), *bench.wall()) : nullptr;
    };
    const auto room_in = [&bench](Job& job) {
        return std::ranges::find(job.rooms, job.walls[bench.wall_index()].room, &Room::id);
    };
    form->choice(
        tr("This wall is in"), "wall-room",
        [&bench] {
            QStringList names;
            for (const Room& of : bench.job().rooms)
                names << text(of.name);
            return names;
        },
        [&bench, room]() -> std::optional<int> {
            return room() ? std::optional{static_cast<int>(room() - bench.job().rooms.data())} : std::nullopt;
        },
        [&bench](Job& job, int row) {
            job.walls[bench.wall_index()].room = job.rooms[static_cast<std::size_t>(row)].id;
        });
    form->words(
        tr("Its name"), "room-name",
        [room]() -> std::optional<std::string> { return room() ? std::optional{room()->name} : std::nullopt; },
        [room_in](Job& job, const std::string& typed) { room_in(job)->name = typed; });
    form->choice(
        tr("It is"), "room-class", words_of<ServiceClass>(),
        [room]() -> std::optional<int> {
            return room() ? std::optional{row_for(room()->service_class)} : std::nullopt;
        },
        [room_in](Job& job, int row) { room_in(job)->service_class = at_row<ServiceClass>(row); });
    form->refresh();

    walls_->setObjectName(QStringLiteral("room-walls"));
    walls_->setAccessibleName(tr("Its walls in walking order, left to right as seen from inside"));
    grow_to_rows(*walls_);
    earlier_->setObjectName(QStringLiteral("wall-earlier"));
    later_->setObjectName(QStringLiteral("wall-later"));
    auto* add = new QPushButton{tr("Another room"), this};
    add->setObjectName(QStringLiteral("add-room"));
    closing_->setWordWrap(true);
    closing_->setObjectName(QStringLiteral("room-closing"));

    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(form);
    column->addWidget(add, 0, Qt::AlignLeft);
    auto* heading = new QLabel{tr("Its walls in walking order, left to right as seen from inside"), this};
    heading->setProperty("role", "heading");
    heading->setWordWrap(true);
    column->addWidget(heading);
    column->addWidget(walls_);
    auto* order = new QHBoxLayout;
    order->addWidget(earlier_);
    order->addWidget(later_);
    order->addStretch(1);
    column->addLayout(order);
    column->addWidget(closing_);
    column->addStretch(1);

    connect(walls_, &QListWidget::currentRowChanged, this, [this](int row) {
        if (row >= 0 && static_cast<std::size_t>(row) < indices_.size())
            bench_.select_wall(indices_[static_cast<std::size_t>(row)]);
    });
    connect(earlier_, &QPushButton::clicked, this, [this] { move_wall(-1); });
    connect(later_, &QPushButton::clicked, this, [this] { move_wall(1); });
    connect(add, &QPushButton::clicked, this, &RoomPage::add_room);
    connect(&bench_, &Workbench::changed, this, &RoomPage::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &RoomPage::refresh);
    refresh();
}

void RoomPage::move_wall(int by) {
    const auto here = std::ranges::find(indices_, bench_.wall_index());
    const auto to = here - indices_.begin() + by;
    if (here == indices_.end() || to < 0 || to >= static_cast<std::ptrdiff_t>(indices_.size()))
        return;
    const std::size_t other = indices_[static_cast<std::size_t>(to)];
    const std::size_t from = *here;
    bench_.edit(tr("Change the order of walls"), [&](Job& job) { std::swap(job.walls[from], job.walls[other]); });
    bench_.select_wall(other);
}

void RoomPage::add_room() {
    if (!bench_.wall())
        return;
    bench_.edit(tr("Add room"), [this](Job& job) {
        Room room;
        room.id = fresh_id(job, "room");
        room.name = tr("Room %1").arg(job.rooms.size() + 1).toStdString();
        job.walls[bench_.wall_index()].room = room.id;
        job.rooms.push_back(std::move(room));
    });
}

void RoomPage::refresh() {
    indices_.clear();
    closing_->clear();
    setEnabled(bench_.wall() != nullptr);
    if (!bench_.wall())
        return fill(*walls_, {});
    const Job& job = bench_.job();
    const Voice voice = bench_.voice();
    const auto room = std::ranges::find(job.rooms, bench_.wall()->room, &Room::id);
    QStringList words;
    for (std::size_t i = 0; i < job.walls.size(); ++i)
        if (job.walls[i].room == bench_.wall()->room) {
            words << QStringLiteral("%1   %2").arg(text(job.walls[i].name), text(format(job.walls[i].length, voice)));
            indices_.push_back(i);
        }
    fill(*walls_, words);
    const QSignalBlocker quiet{walls_};
    walls_->setCurrentRow(static_cast<int>(std::ranges::find(indices_, bench_.wall_index()) - indices_.begin()));
    earlier_->setEnabled(indices_.size() > 1 && bench_.wall_index() != indices_.front());
    later_->setEnabled(indices_.size() > 1 && bench_.wall_index() != indices_.back());
    if (room == job.rooms.end())
        return;
    const RoomSurvey& survey = bench_.plan().rooms[static_cast<std::size_t>(room - job.rooms.begin())];
    if (!survey.checks.empty())
        closing_->setText(text(say(survey.checks.front().message, voice)));
    else if (survey.plan.closed)
        closing_->setText(
            tr("Drawn from its readings, the room closes: %1 off, and the limits of error allow %2")
                .arg(text(format(survey.plan.closing_error, voice)), text(format(survey.plan.closing_limit, voice))));
    else
        closing_->setText(
            tr("The walls do not go round: three or more with a corner at every end make a room that can be "
               "checked"));
}

} // namespace yes_square::app
