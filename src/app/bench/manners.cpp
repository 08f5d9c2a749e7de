#include "app/bench/manners.hpp"

#include <QAbstractItemView>
#include <QAbstractSpinBox>
#include <QApplication>
#include <QComboBox>
#include <QHelpEvent>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QTextEdit>
#include <QToolTip>

namespace yes_square::app {
namespace {

/// Keys that a line of text claims and has no use for now.
bool left_to_window(const QLineEdit& field, const QKeyEvent& key) {
    if (key.matches(QKeySequence::Undo))
        return !field.isUndoAvailable();
    if (key.matches(QKeySequence::Redo))
        return !field.isRedoAvailable();
    return key.modifiers() == Qt::ControlModifier && key.key() == Qt::Key_E; // end of line in some desktops' fields
}

/// Keys by which text is edited: a field that has the hand takes them, though the window knows them too.
bool edits_text(const QKeyEvent& key) {
    for (const auto what : {QKeySequence::DeleteEndOfWord, QKeySequence::DeleteStartOfWord,
                            QKeySequence::DeleteEndOfLine, QKeySequence::DeleteCompleteLine})
        if (key.matches(what))
            return true;
    return false;
}

bool is_typed_in(const QObject& watched) {
    if (const auto* line = qobject_cast<const QLineEdit*>(&watched))
        return !line->isReadOnly();
    const auto* words = qobject_cast<const QTextEdit*>(&watched);
    return words && !words->isReadOnly();
}

/// What is told of the place under the pointer: an item's own words, else the widget's.
QString tool_tip_at(const QWidget& widget, const QPoint& at) {
    if (const auto* view = qobject_cast<const QAbstractItemView*>(widget.parentWidget());
        view && view->viewport() == &widget)
        if (const QModelIndex index = view->indexAt(at); index.isValid())
            return index.data(Qt::ToolTipRole).toString();
    return widget.toolTip();
}

} // namespace

void Manners::install() {
    static constexpr auto name = "manners";
    if (!qApp->findChild<Manners*>(QString::fromLatin1(name), Qt::FindDirectChildrenOnly)) {
        auto* manners = new Manners{qApp};
        manners->setObjectName(QString::fromLatin1(name));
        qApp->installEventFilter(manners);
    }
}

bool Manners::eventFilter(QObject* watched, QEvent* event) {
    switch (event->type()) {
    case QEvent::Polish:
        if (auto* label = qobject_cast<QLabel*>(watched); label && label->textFormat() == Qt::AutoText)
            label->setTextFormat(Qt::PlainText);
        if (auto* label = qobject_cast<QLabel*>(watched); label && label->wordWrap() && label->minimumWidth() == 0)
            label->setMinimumWidth(1); // its words take another line rather than a broader panel
        break;
    case QEvent::ToolTip:
        if (auto* widget = qobject_cast<QWidget*>(watched)) {
            const auto* help = static_cast<QHelpEvent*>(event);
            if (const QString words = tool_tip_at(*widget, help->pos()); !words.isEmpty()) {
                // A tip guesses whether it is markup: what it gets is, and says the words as they are.
                QToolTip::showText(help->globalPos(),
                                   QStringLiteral("<p style='white-space:pre-wrap'>%1</p>").arg(words.toHtmlEscaped()),
                                   widget);
                return true;
            }
        }
        break;
    case QEvent::Wheel:
        if (auto* control = qobject_cast<QWidget*>(watched);
            control && !control->hasFocus() &&
            (qobject_cast<QComboBox*>(control) || qobject_cast<QAbstractSpinBox*>(control))) {
            event->ignore(); // what is around it scrolls
            return true;
        }
        break;
    case QEvent::ShortcutOverride:
        if (is_typed_in(*watched) && edits_text(*static_cast<QKeyEvent*>(event))) {
            event->accept();
            return true;
        }
        if (auto* field = qobject_cast<QLineEdit*>(watched);
            field && left_to_window(*field, *static_cast<QKeyEvent*>(event))) {
            event->ignore();
            return true;
        }
        break;
    case QEvent::KeyPress:
        if (auto* field = qobject_cast<QLineEdit*>(watched);
            field && left_to_window(*field, *static_cast<QKeyEvent*>(event))) {
            event->ignore();
            return true;
        }
        break;
    default:
        break;
    }
    return QObject::eventFilter(watched, event);
}

} // namespace yes_square::app
