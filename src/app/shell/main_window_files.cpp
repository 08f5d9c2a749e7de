// What the window does with files: jobs, tables of readings, sheets.

#include "app/board/board_view.hpp"
#include "app/catalogue/own_catalogue.hpp"
#include "app/house/houses.hpp"
#include "app/sheets/sheet_writer.hpp"
#include "app/shell/main_window.hpp"
#include "app/shell/recently_used.hpp"
#include "core/job/own_entries.hpp"
#include "core/survey/readings_csv.hpp"

#include <QFileDialog>
#include <QFileInfo>
#include <QLocale>
#include <QMenu>
#include <QMessageBox>
#include <QPrintPreviewDialog>
#include <QPrinter>
#include <QSaveFile>
#include <QSettings>
#include <QTextDocument>

namespace yes_square::app {
namespace {

constexpr int most_recent = 8;

} // namespace

bool MainWindow::open(const QString& path) {
    auto opened = store_.open(path);
    if (!opened) {
        tell(opened.error());
        return false;
    }
    if (!opened->read_only.isEmpty())
        tell(opened->read_only);
    if (!opened->broken.isEmpty())
        tell(tr("Work that was never saved cannot be read. It is kept as %1").arg(opened->broken));
    remember(store_.path());
    take(std::move(opened->job), std::move(opened->recovered));
    restore_look();
    return true;
}

Job job_of_region(const QLocale& locale) {
    if (locale.language() == QLocale::C)
        return yes_square::new_job();
    return yes_square::new_job(locale.measurementSystem() == QLocale::ImperialUSSystem ? Region::inch : Region::metric);
}

void MainWindow::start_untitled() {
    auto left_over = store_.start_untitled();
    Job job = job_of_region(QLocale::system());
    QString problem;
    if (const QString wanted = house_for_new_jobs(); !wanted.isEmpty()) {
        const std::vector<House> all = houses();
        const auto house = std::ranges::find(all, wanted, &House::name);
        if (house == all.end())
            tell(tr("The house \"%1\" that new jobs begin with is gone: this one begins as shipped").arg(wanted));
        else if (const auto read = read_house(*house, problem))
            take_house(job, *read);
        else
            tell(std::exchange(problem, {}));
    }
    add_entries(job.catalogue, read_own_catalogue(problem));
    if (!problem.isEmpty())
        tell(problem);
    take(std::move(job), std::move(left_over));
    if (bench_.job().walls.empty())
        set_stage(Stage::layout); // where it is asked what is to be hung
}

void MainWindow::start() {
    for (const QString& path : QSettings{}.value(QStringLiteral("recent")).toStringList())
        if (QFileInfo::exists(path) && QFileInfo::exists(path + QStringLiteral(".autosave")) && open(path))
            return;
    start_untitled();
}

void MainWindow::take(Job job, std::optional<Job> recovered) {
    bench_.start(std::move(job));
    if (recovered)
        switch (ask_recovery(tr("Work on this job was never saved: the program ended before it was."))) {
        case Recovery::take_up:
            // As an edit, so that it can be undone and the job counts as not saved.
            bench_.edit(tr("Recover unsaved work"), [&](Job& current) { current = std::move(*recovered); });
            break;
        case Recovery::discard:
            if (ask_yes_no(tr("This throws away everything done since the job was last saved. Throw it away?"))) {
                store_.forget_autosave();
                break;
            }
            [[fallthrough]];
        case Recovery::later:
            tell(tr("It is kept as %1. File, Restore brings it back").arg(store_.keep_autosave()));
        }
    board_->fit();
    refresh_title();
}

bool MainWindow::may_leave() {
    if (bench_.undo_stack().isClean())
        return true;
    QMessageBox box{QMessageBox::Question, tr("Yes Square"), tr("This job has changes that are not saved."),
                    QMessageBox::Save | QMessageBox::Discard | QMessageBox::Cancel, this};
    switch (box.exec()) {
    case QMessageBox::Save:
        return save();
    case QMessageBox::Discard:
        store_.forget_autosave();
        return true;
    default:
        return false;
    }
}

void MainWindow::new_job() {
    if (may_leave())
        start_untitled();
}

void MainWindow::choose_and_open() {
    if (!may_leave())
        return;
    const QString path = QFileDialog::getOpenFileName(this, tr("Open a job"), {}, tr("Yes Square jobs (*.yesq)"));
    if (!path.isEmpty())
        open(path);
}

bool MainWindow::save() {
    return store_.path().isEmpty() ? save_as() : save_to(store_.path());
}

bool MainWindow::save_as() {
    QString path =
        QFileDialog::getSaveFileName(this, tr("Save the job as"), store_.path(), tr("Yes Square jobs (*.yesq)"));
    if (path.isEmpty())
        return false;
    // The dialog asked about the name it gave; ours may be another's file.
    if (QFileInfo{path}.suffix().isEmpty()) {
        path += QStringLiteral(".yesq");
        if (QFileInfo::exists(path) && QFileInfo{path}.canonicalFilePath() != store_.path() &&
            !ask_yes_no(tr("%1 exists already. Replace it with this job?").arg(path)))
            return false;
    }
    return save_to(path);
}

bool MainWindow::save_to(const QString& path) {
    bench_.withdraw();
    const QString problem = store_.save_as(path, bench_.job());
    if (!problem.isEmpty()) {
        tell(problem);
        return false;
    }
    bench_.undo_stack().setClean();
    remember(store_.path());
    put_in_book();
    refresh_title();
    return true;
}

bool MainWindow::take_in_readings(const QString& path) {
    QFile file{path};
    if (!bench_.wall()) {
        tell(tr("Add a wall first: readings belong to one"));
        return false;
    }
    if (!file.open(QIODevice::ReadOnly)) {
        tell(tr("%1 cannot be read: %2").arg(path, file.errorString()));
        return false;
    }
    Wall wall = *bench_.wall();
    const auto added = add_readings_csv(file.readAll().toStdString(), wall);
    if (!added) {
        tell(tr("%1, %2. Nothing was taken in").arg(path, text(added.error())));
        return false;
    }
    bench_.edit(tr("Take in %1 readings").arg(*added),
                [&](Job& job) { job.walls[bench_.wall_index()] = std::move(wall); });
    return true;
}

bool MainWindow::give_out_readings(const QString& path) {
    if (!bench_.wall())
        return false;
    QSaveFile file{path};
    const QByteArray table = QByteArray::fromStdString(readings_csv(*bench_.wall()));
    if (!file.open(QIODevice::WriteOnly) || file.write(table) != table.size() || !file.flush() || !file.commit()) {
        tell(tr("%1 could not be written whole. Is the disk full?").arg(path));
        return false;
    }
    return true;
}

void MainWindow::autosave() {
    // A job in step with its file has no unsaved work, however it came back to it.
    if (bench_.undo_stack().isClean()) {
        if (kept_unsaved_)
            store_.forget_autosave();
        kept_unsaved_ = false;
        return;
    }
    const QString problem = store_.autosave(bench_.job());
    kept_unsaved_ = problem.isEmpty();
    if (!problem.isEmpty() && !told_unsafe_)
        tell(tr("Unsaved work could not be kept beside the job. %1").arg(problem));
    told_unsafe_ = !problem.isEmpty();
}

void MainWindow::keep_work() {
    bench_.withdraw();
    if (!bench_.undo_stack().isClean())
        store_.autosave(bench_.job());
}

void MainWindow::save_sheets() {
    save_sheet_set(sheet_sets().front());
}

void MainWindow::save_sheet_set(const SheetSet& set) {
    const QString path = ask_where(tr("Save: %1").arg(set.words()), set.file_name + QStringLiteral(".pdf"));
    if (!path.isEmpty())
        write_sheets(path, set);
}

bool MainWindow::print_on(QPrinter& printer, const SheetSet& set) {
    printer.setFullPage(true);
    QPainter painter{&printer};
    const bool some = printer.printRange() == QPrinter::PageRange;
    if (painter.isActive())
        paint_sheets(painter, printer, bench_.job(), bench_.plan(), set, some ? printer.fromPage() : 0,
                     some ? printer.toPage() : 0);
    else
        tell(tr("The printer does not answer. Save the sheets as PDF instead"));
    return painter.isActive();
}

void MainWindow::print(const SheetSet& set) {
    QPrinter printer{QPrinter::HighResolution};
    if (set.paper)
        printer.setPageSize(set.paper_of(bench_.job()));
    if (ask_printer(tr("Print"), printer) && print_on(printer, set))
        note_printed(set);
}

void MainWindow::print_sum(QTextDocument* sum) {
    QPrinter printer{QPrinter::HighResolution};
    if (ask_printer(tr("Print this sum"), printer))
        sum->print(&printer);
}

void MainWindow::preview(const SheetSet& set) {
    QPrinter printer{QPrinter::HighResolution};
    if (set.paper)
        printer.setPageSize(set.paper_of(bench_.job()));
    QPrintPreviewDialog dialog{&printer, this};
    connect(&dialog, &QPrintPreviewDialog::paintRequested, this,
            [this, &set](QPrinter* paper) { print_on(*paper, set); });
    dialog.exec();
}

void MainWindow::remember(const QString& path) {
    QSettings settings;
    QStringList paths = settings.value(QStringLiteral("recent")).toStringList();
    paths.removeAll(path);
    paths.prepend(path);
    settings.setValue(QStringLiteral("recent"), QStringList{paths.mid(0, most_recent)});
    remember_on_desktop(path);
    refresh_recent();
}

void MainWindow::refresh_recent() {
    recent_->clear();
    for (const QString& path : QSettings{}.value(QStringLiteral("recent")).toStringList())
        recent_->addAction(path, this, [this, path] {
            if (may_leave())
                open(path);
        });
    recent_->setEnabled(!recent_->isEmpty());
}

} // namespace yes_square::app
