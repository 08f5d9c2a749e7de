#include "app/record/book_dialog.hpp"

#include "app/bench/day.hpp"
#include "app/bench/read_only_table.hpp"

#include <QDir>
#include <QFileDialog>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QPushButton>
#include <QStandardPaths>
#include <QVBoxLayout>
#include <array>
#include <stdexcept>

namespace yes_square::app {
namespace {

constexpr std::array kind_names{"", "deviation", "photo", "signature", "reading", "delivery", "note"};

} // namespace

QString book_path() {
    const QString folder = QStandardPaths::writableLocation(QStandardPaths::AppDataLocation);
    QDir{}.mkpath(folder);
    return QDir{folder}.filePath(QStringLiteral("job-book.sqlite"));
}

BookDialog::BookDialog(JobBook& book, QWidget* parent)
    : QDialog{parent}
    , book_{book}
    , words_{new QLineEdit{this}}
    , kind_{new QComboBox{this}}
    , from_{new QLineEdit{this}}
    , until_{new QLineEdit{this}}
    , table_{read_only_table({tr("Job"), tr("Client"), tr("Place", "of a job"), tr("Last written"), tr("Found")},
                             "book", this)}
    , told_{new QLabel{this}} {
    setObjectName(QStringLiteral("book-dialog"));
    setWindowTitle(tr("Job book"));
    resize(900, 520);
    words_->setObjectName(QStringLiteral("book-words"));
    words_->setPlaceholderText(tr("Words: title, client, place, names, log"));
    words_->setClearButtonEnabled(true);
    kind_->addItems({tr("any job"), tr("something was otherwise"), tr("with photos"), tr("signed"), tr("with readings"),
                     tr("deliveries"), tr("with notes")});
    kind_->setObjectName(QStringLiteral("book-kind"));
    from_->setPlaceholderText(tr("from 2026-01-01"));
    until_->setPlaceholderText(tr("until 2026-12-31"));
    from_->setObjectName(QStringLiteral("book-from"));
    until_->setObjectName(QStringLiteral("book-until"));
    told_->setObjectName(QStringLiteral("book-told"));
    told_->setWordWrap(true);
    auto* row = new QHBoxLayout;
    row->addWidget(words_, 3);
    row->addWidget(kind_, 1);
    row->addWidget(from_, 1);
    row->addWidget(until_, 1);
    auto* open = new QPushButton{tr("Open"), this};
    open->setObjectName(QStringLiteral("book-open"));
    auto* folder = new QPushButton{tr("Go through a folder..."), this};
    auto* close = new QPushButton{tr("Close"), this};
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(told_, 1);
    buttons->addWidget(folder);
    buttons->addWidget(open);
    buttons->addWidget(close);
    auto* column = new QVBoxLayout{this};
    column->addLayout(row);
    column->addWidget(table_, 1);
    column->addLayout(buttons);
    for (QLineEdit* field : {words_, from_, until_})
        connect(field, &QLineEdit::textChanged, this, &BookDialog::search);
    connect(kind_, &QComboBox::activated, this, &BookDialog::search);
    const auto open_chosen = [this] {
        if (const QTableWidgetItem* cell = table_->item(table_->currentRow(), 0)) {
            const QString path = cell->data(Qt::UserRole).toString();
            accept();
            emit open_wanted(path);
        }
    };
    connect(open, &QPushButton::clicked, this, open_chosen);
    connect(table_, &QTableWidget::cellDoubleClicked, this, open_chosen);
    connect(folder, &QPushButton::clicked, this, &BookDialog::go_through);
    connect(close, &QPushButton::clicked, this, &QDialog::reject);
    search();
}

void BookDialog::search() {
    BookQuery query;
    query.words = words_->text().toStdString();
    query.kind = kind_names[static_cast<std::size_t>(kind_->currentIndex())];
    query.from = from_->text().trimmed().toStdString();
    query.until = until_->text().trimmed().toStdString();
    table_->setRowCount(0);
    std::vector<BookEntry> found;
    try {
        found = book_.search(query);
    } catch (const std::runtime_error& error) { // no exception may pass through Qt's loop
        told_->setText(tr("%1. Delete %2: it is built again from the job files")
                           .arg(QString::fromUtf8(error.what()), book_path()));
        return;
    }
    for (const BookEntry& entry : found)
        add_row(table_,
                {entry.title.empty() ? QFileInfo{text(entry.path)}.fileName() : text(entry.title), text(entry.client),
                 text(entry.place), shown_time(entry.last), text(entry.found).simplified()},
                text(entry.path));
    if (table_->rowCount() > 0)
        table_->setCurrentCell(0, 0);
    told_->setText(tr("%1 of %2 jobs").arg(found.size()).arg(book_.size()));
}

void BookDialog::go_through() {
    const QString folder = QFileDialog::getExistingDirectory(this, tr("Go through a folder for jobs"));
    if (folder.isEmpty())
        return;
    JobBook::Rebuilt rebuilt;
    try {
        rebuilt = book_.rebuild(folder.toStdString());
    } catch (const std::runtime_error& error) {
        told_->setText(QString::fromUtf8(error.what()));
        return;
    }
    search();
    QString words = tr("%1 taken in, %2 had not changed.").arg(rebuilt.taken).arg(rebuilt.kept);
    if (!rebuilt.unreadable.empty())
        words += tr(" Not readable: %1").arg(text(rebuilt.unreadable.front()));
    told_->setText(words);
}

} // namespace yes_square::app
