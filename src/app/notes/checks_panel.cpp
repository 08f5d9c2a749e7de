#include "app/notes/checks_panel.hpp"

#include <QFrame>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

QString severity_words(Severity severity) {
    switch (severity) {
    case Severity::error:
        return QCoreApplication::translate("ChecksPanel", "Put right");
    case Severity::warning:
        return QCoreApplication::translate("ChecksPanel", "Mind");
    case Severity::note:
        return QCoreApplication::translate("ChecksPanel", "Note");
    }
    return {};
}

} // namespace

ChecksPanel::ChecksPanel(Workbench& bench, QWidget* parent)
    : QScrollArea{parent}
    , bench_{bench} {
    setObjectName(QStringLiteral("checks"));
    setAccessibleName(tr("Checks"));
    setWidgetResizable(true);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOn);
    connect(&bench_, &Workbench::changed, this, &ChecksPanel::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &ChecksPanel::refresh);
    refresh();
}

void ChecksPanel::refresh() {
    auto* inside = new QWidget;
    auto* column = new QVBoxLayout{inside};
    column->setContentsMargins(0, 0, 4, 0);
    column->setSpacing(5);
    std::vector<OwnedCheck> rows;
    if (const WallPlan* wall = bench_.wall_plan())
        rows = checks_of(*wall);
    if (const RoomSurvey* room = bench_.room_plan())
        for (const Check& check : room->lines.checks)
            rows.push_back({{}, bench_.room()->name, &check});
    std::ranges::stable_sort(rows, std::greater{}, [](const OwnedCheck& row) { return row.check->severity; });
    for (const OwnedCheck& row : rows)
        column->addWidget(card(row));
    if (rows.empty())
        column->addWidget(new QLabel{bench_.thing_plan() ? tr("Nothing to put right on this wall.")
                                                         : tr("Nothing hangs on this wall yet.")});
    column->addStretch(1);
    // The button that was just clicked may be among the old ones.
    if (QWidget* old = takeWidget())
        old->deleteLater();
    setWidget(inside);
}

QWidget* ChecksPanel::card(const OwnedCheck& owned) {
    const Check& check = *owned.check;
    auto* frame = new QFrame;
    frame->setProperty("role", "card");
    auto* column = new QVBoxLayout{frame};
    column->setContentsMargins(8, 5, 8, 6);
    column->setSpacing(4);
    const Voice voice = bench_.voice();
    auto* words = new QLabel;
    words->setWordWrap(true);
    words->setTextFormat(Qt::RichText);
    const bool error = check.severity == Severity::error;
    words->setText(QStringLiteral("<b>%1 · %2</b><br>%3")
                       .arg(severity_words(check.severity), text(owned.owner).toHtmlEscaped(),
                            text(say(check.message, voice)).toHtmlEscaped()));
    if (error)
        frame->setProperty("severity", "error");
    column->addWidget(words);
    int number = 0;
    for (const Cure& cure : check.cures) {
        const QString what = text(say(cure.words, voice));
        if (!cure.edit) {
            auto* advice = new QLabel{what};
            advice->setWordWrap(true);
            advice->setProperty("role", "faint");
            column->addWidget(advice);
            continue;
        }
        auto* button = new QPushButton{what};
        button->setToolTip(what);
        button->setMinimumWidth(1); // a long cure must not push the words out of sight
        button->setObjectName(QStringLiteral("cure-%1-%2").arg(text(check.code.name())).arg(++number));
        connect(button, &QPushButton::clicked, this, [this, what, edit = *cure.edit] { bench_.apply(what, edit); });
        column->addWidget(button, 0, Qt::AlignLeft);
    }
    return frame;
}

} // namespace yes_square::app
