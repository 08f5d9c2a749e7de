#include "app/notes/checks_panel.hpp"

#include "app/bench/heading.hpp"
#include "app/bench/wordy_button.hpp"

#include <QAbstractButton>
#include <QFrame>
#include <QHBoxLayout>
#include <QLabel>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

constexpr std::size_t most_cards = 40;

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

/// How sure it is and what is to be done, for who asks what a card is.
QString severity_explained(Severity severity) {
    switch (severity) {
    case Severity::error:
        return QCoreApplication::translate(
            "ChecksPanel",
            "This can fall, tip, miss its hold or not fit: put it right before a hole is made. Each button "
            "below is one way to put it right; nothing is changed until it is pressed.");
    case Severity::warning:
        return QCoreApplication::translate(
            "ChecksPanel", "This may go wrong, or is not known well enough to say: look at it and decide. Each button "
                           "below is one way to put it right; nothing is changed until it is pressed.");
    case Severity::note:
        return QCoreApplication::translate("ChecksPanel", "Good to know at the wall; nothing has to be done.");
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

void ChecksPanel::showEvent(QShowEvent* event) {
    QScrollArea::showEvent(event);
    refresh();
}

/// This wall's and its room's, then what is wrong elsewhere; while it is looked at.
void ChecksPanel::refresh() {
    if (!isVisible())
        return; // dozens of cards for nobody would be most of what an edit costs
    auto* inside = new QWidget;
    auto* column = new QVBoxLayout{inside};
    column->setContentsMargins(0, 0, 4, 0);
    column->setSpacing(5);
    std::vector<OwnedCheck> here;
    std::vector<OwnedCheck> elsewhere;
    const std::string wall = bench_.wall() ? bench_.wall()->name : std::string{};
    const std::string room = bench_.room() ? bench_.room()->name : std::string{};
    for (const OwnedCheck& row : all_checks(bench_.plan(), bench_.job()))
        if (row.place.empty() ? row.owner == room : row.place == wall)
            here.push_back(row);
        else if (row.check->severity != Severity::note)
            elsewhere.push_back(row);
    const auto list = [&](std::vector<OwnedCheck>& rows) {
        std::ranges::stable_sort(rows, std::greater{}, [](const OwnedCheck& row) { return row.check->severity; });
        for (std::size_t i = 0; i < std::min(most_cards, rows.size()); ++i)
            column->addWidget(card(rows[i]));
        if (rows.size() > most_cards)
            column->addWidget(new QLabel{tr("And %1 more like these.").arg(rows.size() - most_cards)});
    };
    list(here);
    if (here.empty())
        column->addWidget(new QLabel{bench_.thing_plan() ? tr("Nothing to put right on this wall.")
                                                         : tr("Nothing hangs on this wall yet.")});
    if (!elsewhere.empty())
        column->addWidget(heading_label(tr("On other walls")));
    list(elsewhere);
    column->addStretch(1);
    // The button that was just pressed may be among the old ones; the keys stay here, at the like of it.
    QWidget* held = window()->focusWidget();
    const bool held_here = held && held != this && isAncestorOf(held);
    const QString name = held_here ? held->objectName() : QString{};
    if (QWidget* old = takeWidget())
        old->deleteLater();
    setWidget(inside);
    if (!held_here)
        return;
    auto* like_it = inside->findChild<QAbstractButton*>(name);
    if (!like_it)
        like_it = inside->findChild<QAbstractButton*>();
    like_it ? like_it->setFocus(Qt::OtherFocusReason) : setFocus(Qt::OtherFocusReason);
}

/// Where a check says something is, as near as it says it: the place, the thing, the wall.
void ChecksPanel::show_place(const std::string& wall, const std::string& thing, std::optional<Length> x,
                             std::optional<Length> z) {
    const auto found = std::ranges::find(bench_.job().walls, wall, &Wall::id);
    if (found == bench_.job().walls.end())
        return;
    const auto number = static_cast<std::size_t>(found - bench_.job().walls.begin());
    const Length top = found->height;
    if (!thing.empty()) {
        bench_.point_out(thing);
        if (!x && !z)
            return;
    }
    const auto room = whole_room(*bench_.plan().walls[number], thing);
    const Outline all = room ? *room : Outline{{}, found->length, {}, top};
    bench_.point_out(number,
                     {x.value_or(all.left), x.value_or(all.right), z.value_or(all.bottom), z.value_or(all.top)});
}

QWidget* ChecksPanel::card(const OwnedCheck& owned) {
    const Check& check = *owned.check;
    auto* frame = new QFrame;
    frame->setProperty("role", "card");
    frame->setWhatsThis(severity_explained(check.severity));
    auto* column = new QVBoxLayout{frame};
    column->setContentsMargins(8, 5, 8, 6);
    column->setSpacing(4);
    const Voice voice = bench_.voice();
    const bool on_other_wall = !owned.place.empty() && bench_.wall() && owned.place != bench_.wall()->name;
    const QString owner = on_other_wall && owned.place != owned.owner
                              ? tr("%1, %2").arg(text(owned.place), text(owned.owner))
                              : text(owned.owner);
    auto* words = new QLabel;
    words->setWordWrap(true);
    words->setTextFormat(Qt::RichText);
    const bool error = check.severity == Severity::error;
    words->setText(QStringLiteral("<b>%1 · %2</b><br>%3")
                       .arg(severity_words(check.severity), owner.toHtmlEscaped(),
                            text(say(check.message, voice)).toHtmlEscaped()));
    if (error)
        frame->setProperty("severity", "error");
    auto* row = new QHBoxLayout;
    row->addWidget(words, 1);
    if (!owned.wall.empty()) {
        auto* show = new QToolButton;
        show->setText(tr("Show"));
        show->setToolTip(tr("Show where on the wall"));
        show->setAccessibleName(tr("Show where on the wall: %1").arg(owner));
        show->setObjectName(QStringLiteral("show-%1").arg(text(check.code.name())));
        connect(show, &QToolButton::clicked, this,
                [this, wall = std::string{owned.wall}, thing = std::string{owned.thing}, x = check.x, z = check.z] {
                    show_place(wall, thing, x, z);
                });
        row->addWidget(show, 0, Qt::AlignTop);
    }
    column->addLayout(row);
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
        auto* button = new WordyButton{what};
        button->setObjectName(QStringLiteral("cure-%1-%2").arg(text(check.code.name())).arg(++number));
        connect(button, &QPushButton::clicked, this, [this, what, edit = *cure.edit] { bench_.apply(what, edit); });
        column->addWidget(button);
    }
    return frame;
}

} // namespace yes_square::app
