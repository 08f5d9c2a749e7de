#include "app/fit/fit_panel.hpp"

#include <QHBoxLayout>
#include <QVBoxLayout>

namespace yes_square::app {

FitPanel::FitPanel(Workbench& bench, Day& day, QWidget* parent)
    : QWidget{parent}
    , pages_{new QTabWidget{this}}
    , steps_{new StepsPage{bench, day, this}}
    , readings_{new WorkReadingsPage{bench, day, this}} {
    auto* to_wall = new QPushButton{tr("At the wall (F11)"), this};
    to_wall->setObjectName(QStringLiteral("wall-side"));
    to_wall->setToolTip(tr("One mark at a time, to be read from three metres"));
    connect(to_wall, &QPushButton::clicked, this, &FitPanel::wall_side_wanted);
    auto* sheets = new QPushButton{tr("Sheets (PDF)..."), this};
    sheets->setObjectName(QStringLiteral("save-sheets"));
    connect(sheets, &QPushButton::clicked, this, &FitPanel::sheets_wanted);
    connect(steps_, &StepsPage::look_wanted, this, &FitPanel::look_wanted);
    auto* row = new QHBoxLayout;
    for (QPushButton* button : {to_wall, sheets}) {
        button->setMinimumWidth(1);
        row->addWidget(button);
    }
    pages_->addTab(steps_, tr("Steps"));
    pages_->addTab(readings_, tr("Readings"));
    pages_->setObjectName(QStringLiteral("fit-pages"));
    auto* column = new QVBoxLayout{this};
    column->addLayout(row);
    column->addWidget(pages_, 1);
}

void FitPanel::show_page(const QString& name) {
    pages_->setCurrentIndex(name == QStringLiteral("readings") ? 1 : 0);
}

} // namespace yes_square::app
