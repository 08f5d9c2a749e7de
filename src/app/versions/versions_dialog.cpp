#include "app/versions/versions_dialog.hpp"

#include "app/bench/read_only_table.hpp"
#include "app/bench/words.hpp"
#include "core/versions/compare_jobs.hpp"

#include <QHBoxLayout>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {

VersionsDialog::VersionsDialog(Workbench& bench, std::vector<KeptVersion> versions,
                               std::function<std::optional<Job>(const QString&)> read, QWidget* parent)
    : QDialog{parent}
    , bench_{bench}
    , versions_{std::move(versions)}
    , read_{std::move(read)}
    , list_{new QListWidget{this}}
    , words_{new QLabel{this}}
    , changes_{read_only_table({tr("Where"), tr("What"), tr("Then"), tr("Now")}, "version-changes", this)}
    , take_{new QPushButton{tr("Take this version up again"), this}} {
    setObjectName(QStringLiteral("versions"));
    setWindowTitle(tr("Versions of this job"));
    resize(900, 560);
    list_->setObjectName(QStringLiteral("versions-kept"));
    list_->setAccessibleName(tr("Versions, newest first"));
    list_->setFixedWidth(300);
    list_->setWordWrap(true);
    list_->setSelectionMode(QAbstractItemView::ExtendedSelection);
    list_->setToolTip(tr("Hold Ctrl and click a second one: the two are held against one another"));
    for (const KeptVersion& version : versions_)
        list_->addItem(version.words);
    words_->setObjectName(QStringLiteral("version-words"));
    words_->setWordWrap(true);
    changes_->setAccessibleName(tr("What is different now"));
    take_->setObjectName(QStringLiteral("version-take"));
    take_->setAutoDefault(false);
    auto* close = new QPushButton{tr("Close"), this};
    close->setAutoDefault(false);
    auto* beside = new QVBoxLayout;
    beside->addWidget(words_);
    beside->addWidget(changes_, 1);
    auto* both = new QHBoxLayout;
    both->addWidget(list_);
    both->addLayout(beside, 1);
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(take_);
    buttons->addStretch(1);
    buttons->addWidget(close);
    auto* column = new QVBoxLayout{this};
    column->addLayout(both, 1);
    column->addLayout(buttons);
    connect(list_, &QListWidget::itemSelectionChanged, this, &VersionsDialog::show_changes);
    connect(&bench_, &Workbench::changed, this, &VersionsDialog::show_changes);
    connect(take_, &QPushButton::clicked, this, &VersionsDialog::take_up);
    connect(close, &QPushButton::clicked, this, &QDialog::close);
    if (!versions_.empty())
        list_->setCurrentRow(0);
    show_changes();
}

const KeptVersion* VersionsDialog::chosen() const {
    // Of two the older.
    int row = -1;
    for (const QModelIndex& index : list_->selectionModel()->selectedRows())
        row = std::max(row, index.row());
    return row >= 0 ? &versions_[static_cast<std::size_t>(row)] : nullptr;
}

const KeptVersion* VersionsDialog::later() const {
    const auto rows = list_->selectionModel()->selectedRows();
    if (rows.size() != 2)
        return nullptr;
    return &versions_[static_cast<std::size_t>(std::min(rows[0].row(), rows[1].row()))]; // the newest are first
}

void VersionsDialog::show_changes() {
    changes_->setRowCount(0);
    job_.reset();
    if (const KeptVersion* version = chosen())
        job_ = read_(version->path);
    const auto other = later() ? read_(later()->path) : std::nullopt;
    take_->setEnabled(job_.has_value() && !later());
    changes_->setVisible(job_.has_value());
    if (!chosen())
        return words_->setText(
            tr("No older version of this job is kept yet. Each time it is saved, one is: beside it, in a folder of its "
               "name with \"versions\" after it."));
    if (!job_)
        return words_->setText(tr("%1 cannot be read").arg(chosen()->path));
    if (later() && !other)
        return words_->setText(tr("%1 cannot be read").arg(later()->path));
    const auto changes = changes_between(*job_, other ? *other : bench_.job(), bench_.voice());
    words_->setText(other ? tr("%1 until %2: %3 different").arg(chosen()->words, later()->words).arg(changes.size())
                    : changes.empty()     ? tr("Nothing is different now, but perhaps what is ticked and noted.")
                    : changes.size() == 1 ? tr("One thing is different now:")
                                          : tr("%1 things are different now:").arg(changes.size()));
    for (const JobChange& change : changes)
        add_row(changes_, {change.where.empty() ? tr("The job") : text(change.where),
                           change.label.empty() ? tr("as a whole") : text(change.label),
                           change.before.empty() ? tr("not there") : text(change.before),
                           change.after.empty() ? tr("gone") : text(change.after)});
}

void VersionsDialog::take_up() {
    if (!job_)
        return;
    Job taken = *job_;
    bench_.edit(tr("Take up an older version"), [&](Job& job) { job = std::move(taken); });
    close();
}

} // namespace yes_square::app
