#include "app/notes/scrap_panel.hpp"

#include "app/bench/words.hpp"

#include "core/sheets/summary.hpp"

#include <algorithm>
#include <map>

namespace yes_square::app {
namespace {

/// "bracket/2" as words: "bracket 2", in the user's language.
QString words_of(const QString& subject) {
    QStringList steps = subject.split(u'/');
    steps.front() = core_words(QString{steps.front()}.replace(u'-', u' ').toStdString());
    return steps.join(u' ');
}

/// Links to the workings of a run and of one of its units.
QString links_to_run(const std::vector<Working>& workings, std::size_t unit) {
    const QString own = QStringLiteral("unit/%1/").arg(unit + 1);
    QString of_run;
    QString of_unit;
    for (const Working& working : workings) {
        const QString subject = text(working.subject);
        const QString link = QStringLiteral("<a href=\"%1\">%2</a> &nbsp;");
        if (subject.startsWith(own))
            of_unit += link.arg(subject, words_of(subject.mid(own.size())));
        else if (!subject.startsWith(QStringLiteral("unit/")))
            of_run += link.arg(subject, words_of(subject));
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
            of_bay += link.arg(subject, words_of(subject.mid(own.size())));
        else if (!subject.startsWith(QStringLiteral("bay/")))
            whole += link.arg(subject, words_of(subject));
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
            shelf += link(words_of(stem));
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

const std::vector<Working>* sums_in_hand(const Workbench& bench) {
    const auto asked_of = [&](const std::vector<Working>& sums) {
        return std::ranges::find(sums, bench.subject(), &Working::subject) != sums.end();
    };
    if (const WallPlan* wall = bench.wall_plan(); wall && asked_of(wall->survey.workings))
        return &wall->survey.workings;
    if (const RoomSurvey* room = bench.room_plan(); room && asked_of(room->lines.workings))
        return &room->lines.workings;
    const ThingPlan* thing = bench.thing_plan();
    return thing && !thing->workings.empty() ? &thing->workings : nullptr;
}

void ScrapPanel::refresh() {
    if (bench_.shown_working()) {
        write(*bench_.shown_working(), {});
        return;
    }
    const std::vector<Working>* sums = sums_in_hand(bench_);
    if (!sums) {
        setHtml(tr("Click a tick, a bracket or a figure: the sum behind it is written here."));
        return;
    }
    const std::size_t unit = bench_.unit() ? static_cast<std::size_t>(bench_.unit() - bench_.run()->units.data()) : 0;
    // Of what is only selected: where it stands, how it sags.
    auto found = std::ranges::find(*sums, bench_.subject(), &Working::subject);
    if (found == sums->end())
        found = std::ranges::find(*sums, bench_.run() ? "unit/" + std::to_string(unit + 1) + "/place" : "sag",
                                  &Working::subject);
    if (found == sums->end())
        found = sums->begin();
    const ThingPlan* thing = bench_.thing_plan();
    const bool of_thing = thing && sums == &thing->workings;
    write(*found, !of_thing        ? QString{}
                  : bench_.run()   ? links_to_run(*sums, unit)
                  : bench_.shelf() ? links_to(*sums)
                                   : links_to_thing(*sums, bench_.bay_plan() ? bench_.bay_plan()->number : 0));
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
