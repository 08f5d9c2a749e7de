#include "app/shell/manners.hpp"

#include <QAbstractSpinBox>
#include <QApplication>
#include <QComboBox>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>

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
