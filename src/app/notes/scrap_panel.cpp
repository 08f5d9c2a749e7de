#include "app/notes/scrap_panel.hpp"

#include "core/sheets/summary.hpp"

#include <algorithm>

namespace yes_square::app {

ScrapPanel::ScrapPanel(Workbench& bench, QWidget* parent)
    : QTextBrowser{parent}
    , bench_{bench} {
    setObjectName(QStringLiteral("scrap"));
    setAccessibleName(tr("Working"));
    setOpenLinks(false);
    connect(this, &QTextBrowser::anchorClicked, this,
            [this](const QUrl& link) { bench_.ask(link.toString().toStdString()); });
    connect(&bench_, &Workbench::changed, this, &ScrapPanel::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &ScrapPanel::refresh);
    connect(&bench_, &Workbench::subject_changed, this, &ScrapPanel::refresh);
    refresh();
}

void ScrapPanel::refresh() {
    const ShelfPlan* plan = bench_.shelf_plan();
    if (!plan) {
        setHtml(tr("Click a tick, a bracket or a figure: the sum behind it is written here."));
        return;
    }
    const Voice voice = bench_.voice();
    const auto shown = [](const std::string& words) { return text(words).toHtmlEscaped(); };
    const std::string subject = bench_.subject().empty() ? "sag" : bench_.subject();
    auto found = std::ranges::find(plan->workings, subject, &Working::subject);
    if (found == plan->workings.end())
        found = plan->workings.begin();
    QString html;
    if (found != plan->workings.end()) {
        html += QStringLiteral("<p style=\"margin:0\"><b>%1</b></p>").arg(shown(say(found->title, voice)));
        const std::string sum = sum_text(*found, voice);
        html += QStringLiteral("<p style=\"margin:4px 0;font-size:large\">%1</p>")
                    .arg(shown(sum.empty() ? say(found->result, voice) : sum));
        html += QStringLiteral("<table cellspacing=\"0\" cellpadding=\"1\">");
        for (const Term& term : found->terms)
            html += QStringLiteral("<tr><td>%1&nbsp;&nbsp;</td><td align=\"right\">%2</td>"
                                   "<td>&nbsp;&nbsp;<i>%3</i></td></tr>")
                        .arg(shown(say(term.name, voice)), shown(say(term.value, voice)).replace(' ', "&nbsp;"),
                             shown(source_text(term.source, voice)));
        html += QStringLiteral("</table>");
    }
    html += QStringLiteral("<p style=\"margin:6px 0 0 0\">");
    for (const Working& working : plan->workings)
        html += QStringLiteral("<a href=\"%1\">%1</a> &nbsp; ").arg(shown(working.subject));
    html += QStringLiteral("</p>");
    setHtml(html);
}

} // namespace yes_square::app
