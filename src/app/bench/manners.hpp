#pragma once

#include <QObject>
#include <QTextBrowser>

namespace yes_square::app {

/// What every control of the window keeps to, wherever it stands.
///
/// Text of a job is plain text: a label that nobody made rich shows what it is given, tags and all, and so does a tip.
/// A closed list or a number does not turn under the wheel while one scrolls past it; only the focused one does. A
/// field's own undo comes first, then the job's; and what a field has no use for, such as export, goes to the window.
class Manners : public QObject {
public:
    /// Once for the whole application.
    static void install();

    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    using QObject::QObject;
};

/// A document of our own making: it opens and fetches nothing, whatever stands in it.
class Document : public QTextBrowser {
public:
    using QTextBrowser::QTextBrowser;
    QVariant loadResource(int, const QUrl&) override { return {}; }
};

} // namespace yes_square::app
