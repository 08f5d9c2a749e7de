#include "app/survey/working_links.hpp"

namespace yes_square::app {

WorkingLinks::WorkingLinks(Workbench& bench, QStringList stems, const QString& when_none, QWidget* parent)
    : QLabel{parent}
    , bench_{bench}
    , stems_{std::move(stems)}
    , when_none_{when_none} {
    setWordWrap(true);
    setTextFormat(Qt::RichText);
    setTextInteractionFlags(Qt::LinksAccessibleByMouse | Qt::LinksAccessibleByKeyboard);
    connect(this, &QLabel::linkActivated, this, [this](const QString& subject) { bench_.ask(subject.toStdString()); });
    connect(&bench_, &Workbench::changed, this, &WorkingLinks::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &WorkingLinks::refresh);
    refresh();
}

void WorkingLinks::refresh() {
    QStringList lines;
    const Voice voice = bench_.voice();
    if (const WallPlan* plan = bench_.wall_plan())
        for (const Working& working : plan->survey.workings) {
            const QString subject = app::text(working.subject);
            if (!stems_.contains(subject.section(QLatin1Char('/'), 0, 0)))
                continue;
            lines << QStringLiteral("<a href=\"%1\" style=\"text-decoration:none\"><b>%3</b></a>&nbsp; %2")
                         .arg(subject, app::text(yes_square::say(working.title, voice)).toHtmlEscaped(),
                              app::text(yes_square::say(working.result, voice)).toHtmlEscaped());
        }
    setText(lines.isEmpty() ? when_none_ : lines.join(QStringLiteral("<br>")));
}

} // namespace yes_square::app
