#include "app/notes/scrap_panel.hpp"

#include "app/bench/words.hpp"

#include "core/sheets/summary.hpp"

#include <algorithm>
#include <map>

namespace yes_square::app {
namespace {

/// Links to the workings of a run and of one of its units.
QString links_to_run(const std::vector<Working>& workings, std::size_t unit) {
    const QString own = QStringLiteral("unit/%1/").arg(unit + 1);
    QString of_run;
    QString of_unit;
    for (const Working& working : workings) {
        const QString subject = text(working.subject);
        const QString link = QStringLiteral("<a href=\"%1\">%2</a> &nbsp;");
        if (subject.startsWith(own))
            of_unit += link.arg(subject, subject.mid(own.size()));
        else if (!subject.startsWith(QStringLiteral("unit/")))
            of_run += link.arg(subject, QString{subject}.replace(QLatin1Char('/'), QLatin1Char(' ')));
    }
    return tr("Run:") + QStringLiteral(" ") + of_run + QStringLiteral("<br>") + tr("Unit:") + QStringLiteral(" ") +
           of_unit;
}

/// Links to the workings of a wardrobe and of one of its bays, of a piece, a box or a hung cabinet.
QString links_to_thing(const std::vector<Working>& workings, std::size_t bay) {
    const QString own = QStringLiteral("bay/%1/").arg(bay);
    QString whole;
    QString of_bay;
    for (const Working& working : workings) {
        const QString subject = text(working.subject);
        const QString link = QStringLiteral("<a href=\"%1\">%2</a> &nbsp;");
        if (subject.startsWith(own))
            of_bay += link.arg(subject, subject.mid(own.size()));
        else if (!subject.startsWith(QStringLiteral("bay/")))
            whole += link.arg(subject, QString{subject}.replace(QLatin1Char('/'), QLatin1Char(' ')));
    }
    return of_bay.isEmpty() ? whole
                            : whole + QStringLiteral("<br>") + tr("Bay %1:").arg(bay) + QStringLiteral(" ") + of_bay;
}

/// Links to every working, those of one bracket on a line of their own: "Bracket 1: place, load, fixing, rating".
QString links_to(const std::vector<Working>& workings) {
    const std::map<QString, QString> of_bracket{{QStringLiteral("bracket"), tr("place")},
                                                {QStringLiteral("reaction"), tr("load")},
                                                {QStringLiteral("fixing"), tr("fixing")},
                                                {QStringLiteral("rating"), tr("rating")}};
    QString shelf;
    QString holes;
    std::map<int, QString> brackets;
    for (const Working& working : workings) {
        const QString subject = text(working.subject);
        const QString stem = subject.section(QLatin1Char('/'), 0, 0);
        const QString number = subject.section(QLatin1Char('/'), 1);
        const auto link = [&](const QString& words) {
            return QStringLiteral("<a href=\"%1\">%2</a> &nbsp;").arg(subject, words);
        };
        if (const auto found = of_bracket.find(stem); found != of_bracket.end())
            brackets[number.toInt()] += link(found->second);
        else if (stem == QStringLiteral("hole"))
            holes += link(number);
        else
            shelf += link(QString{stem}.replace(QLatin1Char('-'), QLatin1Char(' ')));
    }
    QString html = tr("Shelf:") + QStringLiteral(" ") + shelf;
    for (const auto& [number, links] : brackets)
        html += QStringLiteral("<br>%1 %2").arg(tr("Bracket %1:").arg(number), links);
    if (!holes.isEmpty())
        html += QStringLiteral("<br>%1 %2").arg(tr("Height of hole:"), holes);
    return html;
}

} // namespace

ScrapPanel::ScrapPanel(Workbench& bench, QWidget* parent)
    : Document{parent}
    , bench_{bench} {
    setObjectName(QStringLiteral("scrap"));
    setAccessibleName(tr("Working"));
    setOpenLinks(false);
    document()->setDocumentMargin(2);
    connect(this, &QTextBrowser::anchorClicked, this,
            [this](const QUrl& link) { bench_.ask(link.toString().toStdString()); });
    connect(&bench_, &Workbench::changed, this, &ScrapPanel::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &ScrapPanel::refresh);
    connect(&bench_, &Workbench::subject_changed, this, &ScrapPanel::refresh);
    refresh();
}

/// Links are written in the colour of the moment.
void ScrapPanel::changeEvent(QEvent* event) {
    Document::changeEvent(event);
    if (event->type() == QEvent::PaletteChange)
        refresh();
}

void ScrapPanel::refresh() {
    if (bench_.shown_working()) {
        write(*bench_.shown_working(), {});
        return;
    }
    const WallPlan* wall = bench_.wall_plan();
    if (wall) // what was asked may be of the wall itself
        if (const auto of_wall = std::ranges::find(wall->survey.workings, bench_.subject(), &Working::subject);
            of_wall != wall->survey.workings.end()) {
            write(*of_wall, {});
            return;
        }
    if (const RoomSurvey* room = bench_.room_plan())
        if (const auto of_room = std::ranges::find(room->lines.workings, bench_.subject(), &Working::subject);
            of_room != room->lines.workings.end()) {
            write(*of_room, {});
            return;
        }
    if (const RunPlan* run = bench_.run_plan(); run && !run->workings.empty()) {
        const std::size_t unit =
            bench_.unit() ? static_cast<std::size_t>(bench_.unit() - bench_.run()->units.data()) : 0;
        auto asked = std::ranges::find(run->workings, bench_.subject(), &Working::subject);
        if (asked == run->workings.end())
            asked = std::ranges::find(run->workings, "unit/" + std::to_string(unit + 1) + "/place", &Working::subject);
        write(asked == run->workings.end() ? run->workings.front() : *asked, links_to_run(run->workings, unit));
        return;
    }
    if (const ThingPlan* thing = bench_.thing_plan(); thing && !bench_.thing().empty() && !thing->workings.empty()) {
        auto asked = std::ranges::find(thing->workings, bench_.subject(), &Working::subject);
        if (asked == thing->workings.end())
            asked = thing->workings.begin();
        write(*asked, links_to_thing(thing->workings, bench_.bay_plan() ? bench_.bay_plan()->number : 0));
        return;
    }
    const ShelfPlan* plan = bench_.shelf_plan();
    if (!plan) {
        setHtml(tr("Click a tick, a bracket or a figure: the sum behind it is written here."));
        return;
    }
    const std::string subject = bench_.subject().empty() ? "sag" : bench_.subject();
    auto found = std::ranges::find(plan->workings, subject, &Working::subject);
    if (found == plan->workings.end())
        found = plan->workings.begin();
    const QString links = links_to(plan->workings);
    if (found == plan->workings.end()) {
        setHtml(links);
        return;
    }
    write(*found, links);
}

void ScrapPanel::write(const Working& working, const QString& links) {
    const Voice voice = bench_.voice();
    const auto shown = [](const std::string& words) { return text(words).toHtmlEscaped(); };
    const std::string sum = sum_text(working, voice);
    QString terms;
    for (const Term& term : working.terms)
        terms +=
            QStringLiteral("<tr><td>%1&nbsp;&nbsp;</td><td align=\"right\">%2</td><td>&nbsp;&nbsp;<i>%3</i></td></tr>")
                .arg(shown(term.own.empty() ? say(term.name, voice) : term.own),
                     shown(say(term.value, voice)).replace(' ', "&nbsp;"), shown(source_text(term.source, voice)));
    for (const Sentence& fact : working.facts)
        terms += QStringLiteral("<tr><td colspan=\"3\">%1</td></tr>").arg(shown(say(fact, voice)));
    // The sum, where each of its figures comes from, and the way to the others.
    const QString html =
        QStringLiteral("<b>%1</b><br><span style=\"font-size:large\">%2</span>"
                       "<table cellspacing=\"0\" cellpadding=\"1\">%4</table><p style=\"margin-top:6px\">%3</p>")
            .arg(shown(say(working.title, voice)), shown(sum.empty() ? say(working.result, voice) : sum), links, terms);
    setHtml(html);
}

} // namespace yes_square::app
