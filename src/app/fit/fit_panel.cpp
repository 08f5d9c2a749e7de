#include "app/fit/fit_panel.hpp"

#include <QHBoxLayout>
#include <QVBoxLayout>

namespace yes_square::app {

FitPanel::FitPanel(Workbench& bench, Day& day, QWidget* parent)
    : QWidget{parent}
    , pages_{new Pages{this}}
    , steps_{new StepsPage{bench, day, this}}
    , readings_{new WorkReadingsPage{bench, day, this}}
    , days_{new DaysPage{bench, day, this}} {
    auto* to_wall = new QPushButton{tr("At the wall (F11)"), this};
    to_wall->setObjectName(QStringLiteral("wall-side"));
    to_wall->setToolTip(tr("One mark at a time, to be read from three metres"));
    connect(to_wall, &QPushButton::clicked, this, &FitPanel::wall_side_wanted);
    auto* sheets = new QPushButton{tr("Sheets (PDF)..."), this};
    sheets->setObjectName(QStringLiteral("save-sheets"));
    connect(sheets, &QPushButton::clicked, this, &FitPanel::sheets_wanted);
    connect(steps_, &StepsPage::look_wanted, this, &FitPanel::look_wanted);
    connect(steps_, &StepsPage::step_shown, this, &FitPanel::step_shown);
    auto* row = new QHBoxLayout;
    for (QPushButton* button : {to_wall, sheets}) {
        button->setMinimumWidth(1);
        row->addWidget(button);
    }
    pages_->add(steps_, tr("Steps"), QStringLiteral("fit-page-steps"));
    pages_->add(readings_, tr("Readings"), QStringLiteral("fit-page-readings"));
    pages_->add(days_, tr("Days"), QStringLiteral("fit-page-days"));
    connect(pages_, &Pages::page_changed, this, &FitPanel::view_changed);
    pages_->setObjectName(QStringLiteral("fit-pages"));
    auto* column = new QVBoxLayout{this};
    column->addLayout(row);
    column->addWidget(pages_, 1);
}

bool FitPanel::show_page(const QString& name) {
    const int index = pages_->index_of(QStringLiteral("fit-page-") + name);
    if (index >= 0)
        pages_->set_page(index);
    return index >= 0;
}

} // namespace yes_square::app
