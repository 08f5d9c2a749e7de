#include "app/fit/fit_panel.hpp"

#include "core/shelves/shelf_steps.hpp"
#include "core/stability/piece_words.hpp"

#include <QPushButton>
#include <QVBoxLayout>

namespace yes_square::app {

FitPanel::FitPanel(Workbench& bench, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , steps_{new QTextBrowser{this}} {
    steps_->setObjectName(QStringLiteral("steps"));
    auto* sheets = new QPushButton{tr("Save the sheets as PDF..."), this};
    sheets->setObjectName(QStringLiteral("save-sheets"));
    connect(sheets, &QPushButton::clicked, this, &FitPanel::sheets_wanted);
    auto* column = new QVBoxLayout{this};
    column->addWidget(sheets);
    column->addWidget(steps_, 1);
    connect(&bench_, &Workbench::changed, this, &FitPanel::refresh);
    connect(&bench_, &Workbench::selection_changed, this, &FitPanel::refresh);
    refresh();
}

void FitPanel::refresh() {
    const Voice voice = bench_.voice();
    const auto shown = [&](const Sentence& sentence) { return text(say(sentence, voice)).toHtmlEscaped(); };
    QString html = QStringLiteral("<p><b>%1</b></p><ul style=\"margin-left:-20px\">").arg(tr("Before you drill"));
    for (const Sentence& caution : general_cautions())
        html += QStringLiteral("<li style=\"margin-bottom:4px\">%1</li>").arg(shown(caution));
    html += QStringLiteral("</ul>");
    if (bench_.selected<Piece>() || bench_.selected<StorageSystem>()) {
        html += QStringLiteral("<p><b>%1</b></p><ul style=\"margin-left:-20px\">").arg(tr("Before you let go of it"));
        for (const Sentence& caution : tipping_cautions())
            html += QStringLiteral("<li style=\"margin-bottom:4px\">%1</li>").arg(shown(caution));
        html += QStringLiteral("</ul>");
    }
    if (const auto told = bench_.told()) {
        html += QStringLiteral("<p><b>%1</b></p><table cellpadding=\"3\">")
                    .arg(text(std::string{told->name}).toHtmlEscaped());
        int number = 1;
        for (const Step& step : *told->steps)
            html += QStringLiteral("<tr><td align=\"right\"><b>%1</b></td><td>%2%3</td></tr>")
                        .arg(number++)
                        .arg(step.hold_point ? QStringLiteral("<b>%1</b> ").arg(tr("Hold:")) : QString{},
                             shown(step.words));
        html += QStringLiteral("</table>");
    }
    steps_->setHtml(html);
}

} // namespace yes_square::app
