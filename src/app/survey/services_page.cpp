#include "app/survey/services_page.hpp"

#include "app/survey/readings.hpp"

#include <QVBoxLayout>

namespace yes_square::app {

ServicesPage::ServicesPage(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , strips_{new QLabel{this}} {
    auto* caution =
        new QLabel{tr("Strips follow from sockets, switches, taps and radiators on the page \"Walk\". Go over "
                      "them with a detector before any hole; where it reads clear, say so here and the strip "
                      "gives way. Local code decides, and a detector can be wrong."),
                   this};
    caution->setWordWrap(true);
    strips_->setWordWrap(true);
    strips_->setObjectName(QStringLiteral("strip-list"));
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(caution);
    column->addWidget(new ReadingsEditor{bench, scanned_areas(), this});
    auto* heading = new QLabel{tr("Strips on this wall"), this};
    heading->setProperty("role", "heading");
    column->addWidget(heading);
    column->addWidget(strips_);
    column->addStretch(1);
    connect(&bench_, &Workbench::changed, this, &ServicesPage::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &ServicesPage::refresh);
    refresh();
}

void ServicesPage::refresh() {
    QStringList lines;
    const Voice voice = bench_.voice();
    const auto figure = [&](Length length) { return text(format_bare(length, voice)); };
    if (const WallPlan* plan = bench_.wall_plan())
        for (const Strip& strip : plan->survey.strips)
            lines << tr("%1: from %2 to %3, %4 to %5 up")
                         .arg(text(say(strip.what, voice)), figure(strip.left), figure(strip.right),
                              figure(strip.bottom), figure(strip.top));
    strips_->setText(lines.isEmpty() ? tr("None") : lines.join(QLatin1Char('\n')));
}

} // namespace yes_square::app
