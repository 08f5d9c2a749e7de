#include "app/versions/merge_dialog.hpp"

#include "app/bench/read_only_table.hpp"
#include "app/bench/words.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/elevation.hpp"
#include "core/versions/compare_jobs.hpp"

#include <QHBoxLayout>
#include <QVBoxLayout>

namespace yes_square::app {

MergeDialog::MergeDialog(Workbench& bench, Job shared, Job theirs, std::function<LogEntry(LogEntry)> sign,
                         QWidget* parent)
    : QDialog{parent}
    , bench_{bench}
    , shared_{std::move(shared)}
    , theirs_{std::move(theirs)}
    , their_plan_{reckon(theirs_)}
    , sign_{std::move(sign)}
    , collisions_{read_only_table({tr("Where"), tr("What"), tr("Here"), tr("There"), tr("Before"), tr("Takes")},
                                  "collisions", this)} {
    setObjectName(QStringLiteral("merge"));
    setWindowTitle(tr("Bring a copy together with this job"));
    resize(1000, 680);
    auto merged = merge_jobs(shared_, bench_.job(), theirs_, {}, bench_.voice());
    if (merged)
        merged_ = std::move(*merged);
    else
        problem_ = text(merged.error().text());
    const auto picture = [this](bool other) {
        return new DrawingView{[this, other](double width, double height, double size) {
                                   return other ? wall_of(theirs_, their_plan_, width, height, size)
                                                : wall_of(bench_.job(), bench_.plan(), width, height, size);
                               },
                               this};
    };
    here_ = picture(false);
    there_ = picture(true);
    const auto theirs_did = changes_between(shared_, theirs_, bench_.voice());
    const std::size_t taken = theirs_did.size();
    for (const JobChange& change : theirs_did)
        if (first_wall_.empty())
            first_wall_ = change.wall;
    auto* words = new QLabel{this};
    words->setObjectName(QStringLiteral("merge-words"));
    words->setWordWrap(true);
    words->setText(
        !merged_     ? tr("They cannot be brought together: %1").arg(problem_)
        : collides() ? tr("Both were changed here, each in its own way: choose. All else is brought together by "
                          "itself, and nothing is dropped.")
        : taken == 1 ? tr("Nothing collides: the one thing that was changed there comes in by itself.")
                     : tr("Nothing collides: the %1 things that were changed there come in by themselves.").arg(taken));
    auto* mine = new QPushButton{tr("Keep what is here"), this};
    mine->setObjectName(QStringLiteral("merge-mine"));
    auto* other = new QPushButton{tr("Take what is there"), this};
    other->setObjectName(QStringLiteral("merge-theirs"));
    auto* together = new QPushButton{tr("Bring together"), this};
    together->setObjectName(QStringLiteral("merge-together"));
    together->setEnabled(merged_.has_value());
    auto* leave = new QPushButton{tr("Leave it"), this};
    for (QPushButton* button : {mine, other, together, leave})
        button->setAutoDefault(false);
    auto* choose = new QHBoxLayout;
    choose->addWidget(mine);
    choose->addWidget(other);
    choose->addStretch(1);
    auto* walls = new QHBoxLayout;
    for (const auto& [view, name] : {std::pair{here_, tr("Here")}, std::pair{there_, tr("There")}}) {
        auto* side = new QVBoxLayout;
        auto* title = new QLabel{name, this};
        view->setAccessibleName(name);
        side->addWidget(title);
        side->addWidget(view, 1);
        walls->addLayout(side, 1);
    }
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(together);
    buttons->addStretch(1);
    buttons->addWidget(leave);
    auto* column = new QVBoxLayout{this};
    column->addWidget(words);
    column->addWidget(collisions_, 2);
    column->addLayout(choose);
    column->addLayout(walls, 3);
    column->addLayout(buttons);
    const bool any = collides();
    collisions_->setVisible(any);
    mine->setVisible(any);
    other->setVisible(any);
    if (any)
        for (const Collision& collision : merged_->collisions)
            add_row(collisions_, {collision.where.empty() ? tr("The job") : text(collision.where),
                                  collision.label.empty() ? tr("as a whole") : text(collision.label),
                                  collision.mine.empty() ? tr("taken out") : text(collision.mine),
                                  collision.theirs.empty() ? tr("taken out") : text(collision.theirs),
                                  collision.shared.empty() ? tr("not there") : text(collision.shared),
                                  collision.mine.empty() || collision.theirs.empty() ? tr("stays in") : tr("here")});
    connect(collisions_, &QTableWidget::currentCellChanged, this, &MergeDialog::show_chosen);
    connect(mine, &QPushButton::clicked, this, [this] { take(false); });
    connect(other, &QPushButton::clicked, this, [this] { take(true); });
    connect(together, &QPushButton::clicked, this, &MergeDialog::bring_together);
    connect(leave, &QPushButton::clicked, this, &QDialog::close);
    if (any)
        collisions_->setCurrentCell(0, 0);
}

const Collision* MergeDialog::chosen() const {
    const int row = collisions_->currentRow();
    return collides() && row >= 0 && row < static_cast<int>(merged_->collisions.size())
               ? &merged_->collisions[static_cast<std::size_t>(row)]
               : nullptr;
}

void MergeDialog::show_chosen() {
    here_->redraw();
    there_->redraw();
}

/// Of what one took out and the other changed nothing is chosen: it stays, and is taken out by hand.
void MergeDialog::take(bool theirs) {
    const Collision* collision = chosen();
    if (!collision || collision->mine.empty() || collision->theirs.empty())
        return;
    if (theirs)
        take_theirs_.insert(collision->path);
    else
        take_theirs_.erase(collision->path);
    collisions_->item(collisions_->currentRow(), collisions_->columnCount() - 1)
        ->setText(theirs ? tr("there") : tr("here"));
}

/// The wall of the chosen collision, with what collides picked out; of none that has a wall the first that differs.
Drawing MergeDialog::wall_of(const Job& job, const Plan& plan, double width, double height, double text) const {
    const Collision* collision = chosen();
    const std::string& id = collision && !collision->wall.empty() ? collision->wall : first_wall_;
    const auto wall = std::ranges::find(job.walls, id, &Wall::id);
    if (wall == job.walls.end())
        return {width, height, {}};
    ElevationFrame frame;
    frame.width = width;
    frame.height = height;
    frame.text = text;
    frame.rods = false;
    if (collision)
        for_each_kind(Things{}, [&]<class Kind>() {
            for (const Kind& thing : (*wall).*parts_of<Kind>)
                if (collision->path.find("/" + thing.id) != std::string::npos)
                    frame.selected_shelf = frame.selected_run = frame.selected_thing = thing.id;
        });
    return draw_elevation(*wall, *plan.walls[static_cast<std::size_t>(wall - job.walls.begin())], frame,
                          voice(bench_.job().unit))
        .drawing;
}

void MergeDialog::bring_together() {
    if (!merged_)
        return;
    auto merged = merge_jobs(shared_, bench_.job(), theirs_, take_theirs_, bench_.voice());
    if (!merged)
        return;
    QStringList told;
    for (const Collision& collision : merged->collisions)
        told << (take_theirs_.contains(collision.path) ? tr("took what was there. %1") : tr("kept what was here. %1"))
                    .arg(text(say(words(collision), bench_.voice())));
    LogEntry entry;
    entry.words = (told.isEmpty() ? tr("Brought together with a copy; nothing collided")
                                  : tr("Brought together with a copy: %1").arg(told.join(QStringLiteral("; "))))
                      .left(9000)
                      .toStdString();
    merged->job.log.push_back(sign_(std::move(entry)));
    bench_.edit(tr("Bring a copy together"), [&](Job& job) { job = std::move(merged->job); });
    accept();
}

} // namespace yes_square::app
