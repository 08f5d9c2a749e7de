#include "app/help/help_window.hpp"

#include "app/bench/manners.hpp"
#include "app/bench/words.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QTextDocument>
#include <QVBoxLayout>

namespace yes_square::app {
namespace {

constexpr double drawing_mm = 150;
constexpr double dots_per_mm = 3.6;

/// A page with its drawings, which are made when they are come to.
class PageView : public Document {
public:
    using Document::Document;
    QVariant loadResource(int type, const QUrl& name) override {
        if (type != QTextDocument::ImageResource || name.scheme() != QStringLiteral("drawing"))
            return {};
        return handbook_drawing(name.path(), drawing_mm, dots_per_mm);
    }
};

QString page_of_keys(const std::vector<std::pair<QString, QString>>& keys) {
    QString text = HelpWindow::tr("# Keys") + QStringLiteral("\n\n| | |\n|---|---|\n");
    for (const auto& [does, key] : keys)
        text += QStringLiteral("| %1 | **%2** |\n").arg(does, key);
    return text;
}

} // namespace

HelpWindow::HelpWindow(std::vector<std::pair<QString, QString>> keys, QWidget* parent)
    : QDialog{parent}
    , pages_{handbook()}
    , sought_{new QLineEdit{this}}
    , list_{new QListWidget{this}}
    , words_{new PageView{this}} {
    setObjectName(QStringLiteral("help"));
    setWindowTitle(tr("Handbook"));
    resize(980, 680);
    pages_.push_back({QStringLiteral("keys"), tr("Keys"), page_of_keys(keys)});
    sought_->setObjectName(QStringLiteral("help-sought"));
    sought_->setPlaceholderText(tr("Words of what you look for"));
    sought_->setAccessibleName(sought_->placeholderText());
    sought_->setClearButtonEnabled(true);
    list_->setObjectName(QStringLiteral("help-pages"));
    list_->setAccessibleName(tr("Pages of the handbook"));
    list_->setWordWrap(true);
    words_->setObjectName(QStringLiteral("help-words"));
    words_->setAccessibleName(tr("What the page says"));
    auto* left = new QVBoxLayout;
    left->addWidget(sought_);
    left->addWidget(list_, 1);
    auto* both = new QHBoxLayout{this};
    both->addLayout(left, 1);
    both->addWidget(words_, 3);
    connect(sought_, &QLineEdit::textChanged, this, &HelpWindow::find);
    connect(list_, &QListWidget::currentRowChanged, this, &HelpWindow::show_words);
    find();
}

const HandbookPage* HelpWindow::page() const {
    const QListWidgetItem* item = list_->currentItem();
    return item ? &pages_[static_cast<std::size_t>(item->data(Qt::UserRole).toInt())] : nullptr;
}

/// Pages that have all of the words, in whatever order.
void HelpWindow::find() {
    const QString before = page() ? page()->name : QString{};
    const QStringList wanted = sought_->text().simplified().split(u' ', Qt::SkipEmptyParts);
    {
        const QSignalBlocker quiet{list_};
        list_->clear();
        for (std::size_t i = 0; i < pages_.size(); ++i) {
            if (!std::ranges::all_of(
                    wanted, [&](const QString& word) { return pages_[i].text.contains(word, Qt::CaseInsensitive); }))
                continue;
            auto* item = new QListWidgetItem{pages_[i].title, list_};
            item->setData(Qt::UserRole, static_cast<int>(i));
            if (pages_[i].name == before)
                list_->setCurrentItem(item);
        }
        if (!list_->currentItem() && list_->count() > 0)
            list_->setCurrentRow(0);
    }
    show_words();
}

void HelpWindow::show_page(const QString& name, const std::pair<QString, QString>& asked) {
    asked_ = asked;
    sought_->clear();
    for (int row = 0; row < list_->count(); ++row)
        if (pages_[static_cast<std::size_t>(list_->item(row)->data(Qt::UserRole).toInt())].name == name)
            list_->setCurrentRow(row);
    show_words();
    show();
    raise();
    activateWindow();
}

void HelpWindow::show_words() {
    if (!page())
        return words_->setPlainText(tr("No page has these words."));
    words_->document()->setMarkdown(page()->text);
    if (!asked_.second.isEmpty()) {
        QTextCursor start{words_->document()};
        QTextBlockFormat apart;
        apart.setBottomMargin(14);
        QTextCharFormat strong;
        strong.setFontWeight(QFont::Bold);
        start.insertBlock(apart);
        start.movePosition(QTextCursor::Start);
        start.setBlockFormat(apart);
        if (!asked_.first.isEmpty())
            start.insertText(asked_.first + QStringLiteral(": "), strong);
        start.insertText(asked_.second, QTextCharFormat{});
    }
    QList<QTextEdit::ExtraSelection> found;
    for (const QString& word : sought_->text().simplified().split(u' ', Qt::SkipEmptyParts))
        for (QTextCursor at = words_->document()->find(word); !at.isNull(); at = words_->document()->find(word, at)) {
            QTextEdit::ExtraSelection mark;
            mark.cursor = at;
            mark.format.setFontUnderline(true);
            mark.format.setFontWeight(QFont::Bold);
            found << mark;
        }
    words_->setExtraSelections(found);
    words_->moveCursor(QTextCursor::Start);
}

} // namespace yes_square::app
