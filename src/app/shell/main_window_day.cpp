#include "app/shell/main_window.hpp"

#include "app/bench/grown.hpp"

#include "app/board/board_view.hpp"
#include "app/cut/cut_panel.hpp"
#include "app/cut/delivery_page.hpp"
#include "app/fit/fit_panel.hpp"
#include "app/record/book_dialog.hpp"
#include "app/record/photos.hpp"
#include "app/record/record_panel.hpp"
#include "app/record/sign_dialog.hpp"
#include "app/sheets/revision.hpp"
#include "app/wallside/wall_side.hpp"
#include "core/pocket/pocket_sheet.hpp"
#include "core/pocket/take_pocket.hpp"
#include "files/dxf_in.hpp"
#include "files/export_job.hpp"
#include "files/save_job.hpp"

#include <QFileDialog>
#include <QFileInfo>
#include <QInputDialog>
#include <QMenuBar>
#include <QScrollArea>
#include <fmt/ranges.h>

/// The day in the window: cut and kit, fit, record.
namespace yes_square::app {

void MainWindow::build_day() {
    cut_ = new CutPanel{bench_, day_};
    fit_ = new FitPanel{bench_, day_};
    record_ = new RecordPanel{bench_, day_};
    for (QWidget* panel : {static_cast<QWidget*>(cut_), static_cast<QWidget*>(fit_), static_cast<QWidget*>(record_)})
        panels_->addWidget(scrolled(panel));
    views_->addWidget(cut_->view());
    views_->addWidget(fit_->days_view());
    connect(fit_, &FitPanel::view_changed, this, &MainWindow::show_survey);
    connect(cut_, &CutPanel::packing_list_wanted, this, [this] {
        const QString path =
            QFileDialog::getOpenFileName(this, tr("Take in a packing list"), {}, tr("Tables (*.csv *.txt)"));
        if (!path.isEmpty())
            take_packing_list(path);
    });
    connect(fit_, &FitPanel::sheets_wanted, this, &MainWindow::save_sheets);
    connect(fit_, &FitPanel::wall_side_wanted, this, [this] { wall_side()->showFullScreen(); });
    connect(fit_, &FitPanel::look_wanted, this, [this](const std::string& item) {
        if (bench_.wall())
            if (const auto box = whole_room(*bench_.wall_plan(), item))
                board_->look_at(*box);
    });
    connect(record_, &RecordPanel::photo_wanted, this, [this] {
        const QString path = QFileDialog::getOpenFileName(this, tr("Attach a photo"), {},
                                                          tr("Pictures (*.jpg *.jpeg *.png *.heic *.webp *.tif)"));
        if (path.isEmpty())
            return;
        bool said = false;
        const QString words =
            QInputDialog::getText(this, tr("Attach a photo"), tr("What it shows:"), QLineEdit::Normal, {}, &said);
        if (said)
            attach_photo(path, words);
    });
    connect(record_, &RecordPanel::photo_check_wanted, this, &MainWindow::check_photos);
    connect(record_, &RecordPanel::sign_wanted, this, [this] {
        SignDialog dialog{text(bench_.job().fitter), this};
        if (dialog.exec() == QDialog::Accepted)
            record_->sign(dialog.name(), dialog.what(), dialog.strokes());
    });
    connect(record_, &RecordPanel::book_wanted, this, &MainWindow::show_book);
    connect(record_, &RecordPanel::hand_over_wanted, this, [this] { save_sheet_set(sheet_set(u"hand-over")); });
    connect(record_, &RecordPanel::templates_wanted, this, [this] { save_sheet_set(sheet_set(u"templates")); });
}

void MainWindow::build_day_menu() {
    QMenu* day = menuBar()->addMenu(tr("&Day"));
    day->addAction(tr("At the wall"), QKeySequence{Qt::Key_F11}, this, [this] { wall_side()->showFullScreen(); });
    day->addSeparator();
    for (const SheetSet& set : sheet_sets())
        if (set.of_the_day)
            day->addAction(tr("%1 as PDF...").arg(set.words()), this, [this, &set] { save_sheet_set(set); });
    day->addSeparator();
    const auto pocket = [this](bool of_wall) {
        const QString path =
            QFileDialog::getSaveFileName(this, tr("Pocket sheet"), tr("pocket.html"), tr("Pages (*.html)"));
        if (!path.isEmpty())
            write_pocket_sheet(path, of_wall);
    };
    day->addAction(tr("Pocket sheet for a phone..."), this, [pocket] { pocket(false); });
    day->addAction(tr("Pocket sheet of this wall..."), this, [pocket] { pocket(true); });
    day->addAction(tr("Take in a pocket sheet..."), this, [this] {
        const QString path =
            QFileDialog::getOpenFileName(this, tr("Take in a pocket sheet"), {}, tr("What it gave back (*.json)"));
        if (!path.isEmpty())
            take_pocket_sheet(path);
    });
    day->addSeparator();
    day->addAction(tr("Drawings and tables for other programs..."), this, [this] {
        const QString folder = QFileDialog::getExistingDirectory(this, tr("Write drawings and tables into"));
        if (!folder.isEmpty())
            export_to(folder);
    });
}

WallSide* MainWindow::wall_side() {
    auto* mode = new WallSide{bench_, day_, *theme_, this};
    mode->setAttribute(Qt::WA_DeleteOnClose);
    mode->resize(size());
    return mode;
}

bool MainWindow::take_packing_list(const QString& path) {
    QFile file{path};
    if (!file.open(QIODevice::ReadOnly)) {
        tell(tr("%1 cannot be read: %2").arg(path, file.errorString()));
        return false;
    }
    const QString problem = cut_->delivery().take(file.readAll().toStdString());
    if (!problem.isEmpty())
        tell(tr("%1, %2. Nothing was taken in").arg(path, problem));
    return problem.isEmpty();
}

bool MainWindow::write_pocket_sheet(const QString& path, bool of_wall) {
    Scope scope;
    if (of_wall && bench_.wall())
        scope.wall = bench_.wall()->id;
    const std::string problem =
        write_whole(path.toStdString(), pocket_sheet(bench_.job(), bench_.plan(), bench_.voice(), scope,
                                                     revision_of(bench_.job()).toStdString()));
    if (!problem.empty())
        tell(text(problem));
    return problem.empty();
}

bool MainWindow::take_pocket_sheet(const QString& path) {
    QFile file{path};
    if (!file.open(QIODevice::ReadOnly)) {
        tell(tr("%1 cannot be read: %2").arg(path, file.errorString()));
        return false;
    }
    Job changed = bench_.job();
    const auto taken = take_pocket(changed, bench_.plan(), file.readAll().toStdString());
    if (!taken) {
        tell(tr("%1, %2. Nothing was taken in").arg(path, text(taken.error())));
        return false;
    }
    bench_.edit(tr("Take in a pocket sheet"), [&](Job& job) { job = std::move(changed); });
    QStringList words{tr("Ticks taken in: %1. Holes now in the wall: %2. Readings: %3. Notes: %4.")
                          .arg(taken->ticks)
                          .arg(taken->holes)
                          .arg(taken->readings)
                          .arg(taken->notes)};
    if (taken->gone > 0)
        words << tr("%1 were of what the plan no longer has: they are in the logbook.").arg(taken->gone);
    tell(words.join(QLatin1Char(' ')));
    return true;
}

bool MainWindow::attach_photo(const QString& path, const QString& words) {
    auto entry = app::attach_photo(store_.path(), path);
    if (!entry) {
        tell(entry.error());
        return false;
    }
    const Stamp stamp = day_.stamp();
    entry->at = stamp.at;
    entry->by = stamp.by;
    entry->words = words.trimmed().toStdString();
    entry->item = bench_.unit() ? bench_.unit()->id : bench_.shelf() ? bench_.shelf()->id : bench_.thing();
    bench_.edit(tr("Attach a photo"), [&](Job& job) { job.log.push_back(*entry); });
    return true;
}

bool MainWindow::check_photos() {
    const QStringList wrong = app::check_photos(store_.path(), bench_.job());
    tell(wrong.isEmpty() ? tr("All photos are as they were attached.") : wrong.join(QLatin1Char('\n')));
    return wrong.isEmpty();
}

bool MainWindow::write_sheets(const QString& path, const SheetSet& set) {
    const QString problem = write_sheets_pdf(path, bench_.job(), bench_.plan(), set);
    if (!problem.isEmpty())
        tell(problem);
    else
        note_printed(set);
    return problem.isEmpty();
}

bool MainWindow::export_to(const QString& folder) {
    QStringList problems;
    for (const std::string& problem :
         export_job({bench_.job(), bench_.plan(), bench_.voice()}, folder.toStdString()).problems)
        problems << text(problem);
    if (!problems.isEmpty())
        tell(problems.join(QLatin1Char('\n')));
    return problems.isEmpty();
}

void MainWindow::take_outline() {
    const QString path = QFileDialog::getOpenFileName(this, tr("Take in a wall's outline"), {}, tr("Drawings (*.dxf)"));
    if (path.isEmpty())
        return;
    auto drawn = wall_from_dxf(path.toStdString());
    if (!drawn)
        return tell(text(drawn.error()));
    bench_.edit(tr("Take in a wall's outline"), [&](Job& job) {
        if (job.rooms.empty()) {
            job.rooms.push_back({});
            job.rooms.back().id = fresh_id(job, "room");
            job.rooms.back().name = tr("Room").toStdString();
        }
        Wall& wall = drawn->wall;
        wall.id = fresh_id(job, "wall");
        wall.name = QFileInfo{path}.completeBaseName().toStdString();
        wall.room = bench_.wall() ? bench_.wall()->room : job.rooms.front().id;
        job.walls.push_back(wall);
    });
    bench_.select_wall(bench_.job().walls.size() - 1);
    if (!drawn->unread.empty())
        tell(tr("These layers of the drawing are not known and were left alone: %1")
                 .arg(text(fmt::format("{}", fmt::join(drawn->unread, ", ")))));
}

void MainWindow::show_book() {
    auto book = JobBook::open(book_path().toStdString());
    if (!book)
        return tell(text(book.error()));
    BookDialog dialog{*book, this};
    QString wanted;
    connect(&dialog, &BookDialog::open_wanted, this, [&](const QString& path) { wanted = path; });
    dialog.exec();
    if (!wanted.isEmpty() && may_leave())
        open(wanted);
}

/// What was saved can be found again. A book that cannot be written stops nobody: it can be built again.
void MainWindow::put_in_book() {
    if (store_.path().isEmpty())
        return;
    try {
        if (auto book = JobBook::open(book_path().toStdString()))
            book->put(QFileInfo{store_.path()}.absoluteFilePath().toStdString(), bench_.job());
    } catch (const std::runtime_error&) {
    }
}

} // namespace yes_square::app
