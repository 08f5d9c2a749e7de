#include "app/shell/main_window.hpp"

#include "app/bench/fold.hpp"
#include "app/bench/manners.hpp"
#include "app/board/board_view.hpp"
#include "app/fit/fit_panel.hpp"
#include "app/layout/layout_panel.hpp"
#include "app/record/record_panel.hpp"
#include "app/sheets/revision.hpp"
#include "app/shell/next_line.hpp"
#include "app/start/start_page.hpp"
#include "app/survey/survey_panel.hpp"

#include <QFile>
#include <QLineEdit>
#include <QPushButton>
#include <QStackedWidget>
#include <QVBoxLayout>
#include <algorithm>

/// What the button of the sentence "Next" does.
namespace yes_square::app {

void MainWindow::build_start() {
    start_ = new StartPage{bench_};
    views_->addWidget(start_);
    connect(start_, &StartPage::begun, this, [this] {
        set_stage(Stage::layout);
        board_->setFocus();
    });
    connect(start_, &StartPage::open_wanted, this, [this](const QString& path) {
        if (may_leave())
            open(path);
    });
    connect(start_, &StartPage::demo_wanted, this, &MainWindow::open_demo);
    connect(start_, &StartPage::practice_wanted, this, &MainWindow::practise);
    connect(start_, &StartPage::help_wanted, this, [this] { show_help(QStringLiteral("01-first-job")); });
    connect(start_, &StartPage::first_job_wanted, this, &MainWindow::begin_first_job);
    connect(start_, &StartPage::survey_wanted, this, [this] {
        set_stage(Stage::survey);
        survey_->add_wall();
    });
}

/// The demo is looked at and tried out, not saved over: it opens as a job without a file.
void MainWindow::open_demo() {
    QFile file{QStringLiteral(":/demo/harbour-lane.yesq")};
    if (!may_leave() || !file.open(QIODevice::ReadOnly))
        return;
    if (auto loaded = read_job(file.readAll().toStdString())) {
        start_untitled();
        take(std::move(loaded->job), std::nullopt);
        show_survey();
    }
}

void MainWindow::take_next(const NextStep& next) {
    if (const auto wall = std::ranges::find(bench_.job().walls, next.wall, &Wall::id); wall != bench_.job().walls.end())
        bench_.select_wall(static_cast<std::size_t>(wall - bench_.job().walls.begin()));
    if (!next.item.empty())
        bench_.select(next.item);
    switch (next.kind) {
    case NextStep::Kind::begin:
        set_stage(Stage::layout); // the start page stands in the wall's place
        start_->begin();
        break;
    case NextStep::Kind::hang:
        set_stage(Stage::layout);
        layout_->offer();
        break;
    case NextStep::Kind::find_stud:
        find_stud(next);
        break;
    case NextStep::Kind::detect:
        set_stage(Stage::survey);
        survey_->set_page(SurveyPage::services);
        break;
    case NextStep::Kind::cure:
        bench_.apply(text(say(next.button, bench_.voice())), *next.edit);
        break;
    case NextStep::Kind::put_right:
        if (!next.field.empty()) {
            type_in(next.field);
            break;
        }
        set_stage(next.item.empty() && !next.wall.empty() ? Stage::survey : Stage::layout);
        next_->checks().setChecked(true);
        if (const auto box = whole_room(*bench_.wall_plan(), next.item))
            board_->look_at(*box);
        break;
    case NextStep::Kind::print:
        save_sheets();
        break;
    case NextStep::Kind::read:
        set_stage(Stage::fit);
        fit_->show_page(QStringLiteral("readings"));
        break;
    case NextStep::Kind::task:
        if (next_->step_in_sight(next.task))
            fit_->done();
        set_stage(Stage::fit);
        fit_->show_page(QStringLiteral("steps"));
        if (next_->refresh(); next_->next().kind == NextStep::Kind::task)
            fit_->go_to(next_->next().task);
        break;
    case NextStep::Kind::sign:
        set_stage(Stage::record);
        emit record_->sign_wanted();
        break;
    case NextStep::Kind::over:
        set_stage(Stage::record);
        emit record_->hand_over_wanted();
        break;
    }
    next_->refresh();
}

/// To the field of a figure of what is laid out, out of its fold.
void MainWindow::type_in(std::string_view name) {
    set_stage(Stage::layout);
    auto* field = layout_->findChild<QLineEdit*>(QLatin1String(name.data(), static_cast<qsizetype>(name.size())));
    if (!field)
        return;
    for (Fold* fold : layout_->findChildren<Fold*>()) {
        if (field->isVisible())
            break;
        const bool was = fold->isChecked();
        fold->setChecked(true);
        if (!field->isVisible())
            fold->setChecked(was);
    }
    field->setFocus(Qt::OtherFocusReason);
    field->selectAll();
}

/// To the page of the studs, the place already in its field.
void MainWindow::find_stud(const NextStep& next) {
    set_stage(Stage::survey);
    survey_->set_page(SurveyPage::studs);
    if (next.x)
        survey_->point_at(*next.x, {});
}

/// The sheets of what hangs, not labels or a preview, are what is taken to the wall.
void MainWindow::note_printed(const SheetSet& set) {
    if (set == sheet_sets().front())
        sheets_made();
    next_->refresh();
}

bool MainWindow::sheets_printed() const {
    return !printed_.isEmpty() && printed_ == revision_of(bench_.job());
}

} // namespace yes_square::app
