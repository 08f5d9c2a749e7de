// The handbook, what a field asks, and a first job.
#include "app/help/first_job.hpp"
#include "app/help/help_window.hpp"
#include "app/sheets/revision.hpp"
#include "app/shell/main_window.hpp"
#include "app/survey/survey_panel.hpp"

#include <QAction>
#include <QApplication>
#include <QMenuBar>
#include <QWhatsThis>

namespace yes_square::app {
namespace {

void add_keys(std::vector<std::pair<QString, QString>>& keys, const QMenu& menu) {
    for (const QAction* action : menu.actions()) {
        if (action->menu())
            add_keys(keys, *action->menu());
        else if (!action->shortcut().isEmpty())
            keys.emplace_back(action->text().remove(u'&').remove(QStringLiteral("...")),
                              action->shortcut().toString(QKeySequence::NativeText));
    }
}

} // namespace

void MainWindow::build_help_menu() {
    QMenu* help = menuBar()->addMenu(tr("&Help"));
    help->addAction(tr("Handbook"), QKeySequence::HelpContents, this, &MainWindow::ask_help);
    help->addAction(tr("What is this?"), QKeySequence::WhatsThis, this, [] { QWhatsThis::enterWhatsThisMode(); });
    help->addAction(tr("Keys"), this, [this] { show_help(QStringLiteral("keys")); });
    help->addAction(tr("A first job in ten minutes"), this, &MainWindow::begin_first_job);
}

/// Of the stage, and in Layout of what is in hand.
QString MainWindow::page_of_help() const {
    switch (stages_->stage()) {
    case Stage::survey:
        return QStringLiteral("02-survey");
    case Stage::lines:
        return QStringLiteral("03-lines");
    case Stage::layout:
        return bench_.run()                       ? QStringLiteral("05-runs")
               : bench_.selected<StorageSystem>() ? QStringLiteral("06-wardrobes")
               : bench_.selected<Piece>()         ? QStringLiteral("07-tipping")
               : bench_.shelf()                   ? QStringLiteral("04-shelves")
                                                  : QStringLiteral("01-first-job");
    case Stage::fixings:
        return QStringLiteral("08-fixings");
    case Stage::cut:
        return QStringLiteral("09-cutting");
    case Stage::fit:
        return QStringLiteral("10-fitting");
    case Stage::record:
        return QStringLiteral("11-record");
    }
    std::abort();
}

void MainWindow::ask_help() {
    std::pair<QString, QString> asked;
    for (const QWidget* at = QApplication::focusWidget(); at && asked.second.isEmpty(); at = at->parentWidget())
        if (!at->whatsThis().isEmpty())
            asked = {at->accessibleName(), at->whatsThis()};
    show_help(page_of_help(), asked);
}

void MainWindow::show_help(const QString& page, const std::pair<QString, QString>& asked) {
    if (!help_) {
        std::vector<std::pair<QString, QString>> keys;
        for (const QAction* action : menuBar()->actions())
            if (action->menu())
                add_keys(keys, *action->menu());
        help_ = new HelpWindow{std::move(keys), this};
        help_->setAttribute(Qt::WA_DeleteOnClose);
    }
    help_->show_page(page, asked);
}

void MainWindow::begin_first_job() {
    if (!may_leave())
        return;
    start_untitled();
    stages_->set_stage(Stage::survey);
    show_stage(Stage::survey);
    survey_->add_wall();
    first_job_->begin();
}

void MainWindow::sheets_made() {
    printed_ = revision_of(bench_.job());
    first_job_->saw(FirstJob::Seen::sheets);
}

} // namespace yes_square::app
