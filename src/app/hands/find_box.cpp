#include "app/hands/find_box.hpp"

#include <QCoreApplication>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QTimer>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

constexpr std::size_t most_shown = 200;

/// Less is better; less than 0: it does not match.
int rank(const Findable& row, const QStringList& typed) {
    const QString all = row.what + QLatin1Char(' ') + row.words;
    for (const QString& word : typed)
        if (!all.contains(word, Qt::CaseInsensitive))
            return -1;
    const QString whole = typed.join(QLatin1Char(' '));
    if (row.words.startsWith(whole, Qt::CaseInsensitive))
        return 0;
    const QStringList words = row.words.split(QLatin1Char(' '));
    const bool begins = std::ranges::all_of(typed, [&](const QString& each) {
        return std::ranges::any_of(words,
                                   [&](const QString& word) { return word.startsWith(each, Qt::CaseInsensitive); });
    });
    return begins ? 1 : 2;
}

} // namespace

std::vector<const Findable*> found(const std::vector<Findable>& all, const QString& typed) {
    const QStringList words = typed.split(QLatin1Char(' '), Qt::SkipEmptyParts);
    std::vector<const Findable*> rows;
    for (const Findable& row : all)
        if (rank(row, words) >= 0)
            rows.push_back(&row);
    std::ranges::stable_sort(rows, {}, [&](const Findable* row) { return rank(*row, words); });
    return rows;
}

FindBox::FindBox(std::vector<Findable> all, QWidget* parent)
    : QDialog{parent}
    , all_{std::move(all)}
    , words_{new QLineEdit{this}}
    , rows_{new QListWidget{this}} {
    setObjectName(QStringLiteral("find-box"));
    setWindowTitle(tr("Find or do"));
    resize(520, 420);
    auto* label = new QLabel{tr("A wall, a thing, a figure, or what is to be done"), this};
    label->setBuddy(words_);
    words_->setObjectName(QStringLiteral("find-words"));
    words_->setAccessibleName(label->text());
    words_->installEventFilter(this);
    rows_->setObjectName(QStringLiteral("find-rows"));
    rows_->setAccessibleName(tr("What was found"));
    auto* column = new QVBoxLayout{this};
    column->addWidget(label);
    column->addWidget(words_);
    column->addWidget(rows_, 1);
    connect(words_, &QLineEdit::textChanged, this, &FindBox::refresh);
    connect(words_, &QLineEdit::returnPressed, this, &FindBox::go);
    connect(rows_, &QListWidget::itemActivated, this, &FindBox::go);
    refresh();
    words_->setFocus();
}

/// The keys that choose work while one types.
bool FindBox::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::KeyPress) {
        auto* key = static_cast<QKeyEvent*>(event);
        if (key->key() == Qt::Key_Up || key->key() == Qt::Key_Down || key->key() == Qt::Key_PageUp ||
            key->key() == Qt::Key_PageDown) {
            QCoreApplication::sendEvent(rows_, event);
            return true;
        }
    }
    return QDialog::eventFilter(watched, event);
}

void FindBox::refresh() {
    shown_ = found(all_, words_->text());
    rows_->clear();
    for (std::size_t i = 0; i < std::min(most_shown, shown_.size()); ++i)
        rows_->addItem(tr("%1: %2").arg(shown_[i]->what, shown_[i]->words));
    if (shown_.empty()) {
        rows_->addItem(tr("Nothing is called that. Try a shorter word."));
        rows_->item(0)->setFlags(Qt::NoItemFlags);
    }
    rows_->setCurrentRow(0);
}

void FindBox::go() {
    const int row = rows_->currentRow();
    if (row < 0 || static_cast<std::size_t>(row) >= shown_.size())
        return;
    // After this window is gone, so that what is done may open another.
    QTimer::singleShot(0, parent(), shown_[static_cast<std::size_t>(row)]->go);
    accept();
}

} // namespace yes_square::app
