// Versions of a job, copies of it that come back, and bundles.
#include "app/shell/main_window.hpp"

#include "app/sheets/sheet_writer.hpp"
#include "app/versions/merge_dialog.hpp"
#include "app/versions/versions_dialog.hpp"
#include "core/versions/merge_jobs.hpp"
#include "files/beside_job.hpp"
#include "files/bundle.hpp"

#include <QFileDialog>
#include <QFileInfo>
#include <QLocale>
#include <QTemporaryDir>

namespace yes_square::app {

VersionsDialog* MainWindow::show_versions() {
    std::vector<KeptVersion> versions;
    for (const QString& path : store_.older_versions()) {
        const QFileInfo file{path};
        const QString when = spoken_locale().toString(file.lastModified(), QLocale::ShortFormat);
        versions.push_back(
            {path, file.dir() == QFileInfo{store_.path()}.dir()
                       ? tr("%1 (%2)").arg(when, file.fileName().endsWith(u'~') ? tr("before the last save")
                                                                                : tr("put aside"))
                       : when});
    }
    auto* dialog = new VersionsDialog{bench_, std::move(versions), &read_version, this};
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    return dialog;
}

void MainWindow::open_versions() {
    show_versions()->show();
}

MergeDialog* MainWindow::merge_copy(const QString& path) {
    auto theirs = read_version(path);
    if (!theirs) {
        tell(tr("%1 cannot be read as a job").arg(path));
        return nullptr;
    }
    std::vector<Job> versions;
    const QStringList kept = store_.older_versions();
    for (auto version = kept.rbegin(); version != kept.rend(); ++version)
        if (auto job = read_version(*version))
            versions.push_back(std::move(*job));
    if (!store_.path().isEmpty())
        if (auto job = read_version(store_.path()))
            versions.push_back(std::move(*job));
    const auto shared = shared_version(versions, *theirs);
    if (!shared) {
        tell(tr(
            "No version of this job is kept that the copy could have begun as. Save the job once, give that out, and "
            "what comes back can be brought together with it"));
        return nullptr;
    }
    const auto sign = [this](LogEntry entry) {
        const Stamp stamp = day_.stamp();
        entry.at = stamp.at;
        entry.by = stamp.by;
        return entry;
    };
    auto* dialog = new MergeDialog{bench_, std::move(versions[*shared]), std::move(*theirs), sign, this};
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    return dialog;
}

void MainWindow::choose_copy() {
    const QString path = QFileDialog::getOpenFileName(this, tr("A copy of this job that was worked on elsewhere"), {},
                                                      tr("Yes Square jobs (*.yesq)"));
    if (path.isEmpty())
        return;
    if (MergeDialog* dialog = merge_copy(path))
        dialog->show();
}

bool MainWindow::save_bundle(const QString& path) {
    const QString name = store_.path().isEmpty() ? tr("job") : QFileInfo{store_.path()}.completeBaseName();
    std::vector<BundleFile> files;
    const QTemporaryDir sheets;
    for (const SheetSet& set : sheet_sets()) {
        const QString pdf = sheets.filePath(set.file_name + QStringLiteral(".pdf"));
        if (const QString problem = write_sheets_pdf(pdf, bench_.job(), bench_.plan(), set); !problem.isEmpty()) {
            tell(problem);
            return false;
        }
        files.push_back({("sheets/" + set.file_name + ".pdf").toStdString(), pdf.toStdString()});
    }
    const PhotosOfJob photos = photos_of(store_.path().toStdString(), bench_.job());
    const std::string problem = write_bundle(path.toStdString(), name.toStdString(), bench_.job(), photos.there, files);
    if (!problem.empty()) {
        tell(text(problem));
    } else if (!photos.gone.empty()) {
        QStringList gone;
        for (const std::string& photo : photos.gone)
            gone << QFileInfo{text(photo)}.fileName();
        tell(tr("The bundle is written, without photos that are gone: %1").arg(gone.join(QStringLiteral(", "))));
    }
    return problem.empty();
}

bool MainWindow::open_bundle(const QString& path, const QString& folder) {
    const auto unpacked = unpack_bundle(path.toStdString(), folder.toStdString());
    if (!unpacked) {
        tell(text(unpacked.error()));
        return false;
    }
    return open(text(unpacked->job_path));
}

void MainWindow::choose_bundle_to_save() {
    const QString name = store_.path().isEmpty() ? tr("job") : QFileInfo{store_.path()}.completeBaseName();
    const QString path = ask_where(tr("Save as a bundle"), name + text(bundle_ending));
    if (!path.isEmpty() && save_bundle(path))
        tell(tr("The job, its photos and its sheets are in %1").arg(path));
}

void MainWindow::choose_bundle_to_open() {
    if (!may_leave())
        return;
    const QString path =
        QFileDialog::getOpenFileName(this, tr("Open a bundle"), {}, tr("Bundles (*%1)").arg(text(bundle_ending)));
    if (path.isEmpty())
        return;
    open_bundle_beside(path);
}

/// Into a folder of its name, beside it.
bool MainWindow::open_bundle_beside(const QString& path) {
    QString folder = path;
    folder.chop(path.endsWith(text(bundle_ending)) ? static_cast<qsizetype>(bundle_ending.size()) : 0);
    const QString name = folder;
    for (int number = 2; QFileInfo::exists(folder); ++number)
        folder = name + QStringLiteral(" %1").arg(number);
    return open_bundle(path, folder);
}

} // namespace yes_square::app
