// What comes to the window from the desktop, and what it gives to others: files dropped on it, what is copied, another
// window, the end of a wait.
#include "app/bench/desktop.hpp"
#include "app/board/board_view.hpp"
#include "app/shell/main_window.hpp"
#include "app/shell/wait_watch.hpp"
#include "core/sheets/svg.hpp"
#include "files/bundle.hpp"

#include <QApplication>
#include <QClipboard>
#include <QDragEnterEvent>
#include <QDropEvent>
#include <QFileDialog>
#include <QFileInfo>
#include <QImageReader>
#include <QMimeData>
#include <QProcess>

namespace yes_square::app {
namespace {

QStringList files_of(const QMimeData& data) {
    QStringList paths;
    for (const QUrl& url : data.urls())
        if (url.isLocalFile())
            paths << url.toLocalFile();
    return paths;
}

bool is_picture(const QString& path) {
    return QImageReader::supportedImageFormats().contains(QFileInfo{path}.suffix().toLower().toLatin1());
}

} // namespace

void MainWindow::dragEnterEvent(QDragEnterEvent* event) {
    if (!files_of(*event->mimeData()).isEmpty())
        event->acceptProposedAction();
}

void MainWindow::dropEvent(QDropEvent* event) {
    const QStringList paths = files_of(*event->mimeData());
    event->acceptProposedAction();
    // What it asks must not hold up whoever it was dragged from.
    QMetaObject::invokeMethod(
        this, [this, paths] { take_dropped(paths); }, Qt::QueuedConnection);
}

bool MainWindow::take_dropped(const QStringList& paths) {
    bool all = !paths.isEmpty();
    for (const QString& path : paths) {
        const QString suffix = QFileInfo{path}.suffix().toLower();
        if (path.endsWith(text(bundle_ending), Qt::CaseInsensitive))
            all &= may_leave() && open_bundle_beside(path);
        else if (suffix == QStringLiteral("yesq"))
            all &= may_leave() && open(path);
        else if (is_picture(path))
            all &= attach_photo(path, {});
        else if (suffix == QStringLiteral("json"))
            all &= take_pocket_sheet(path);
        else if (suffix == QStringLiteral("csv"))
            all &= take_in_readings(path);
        else {
            tell(
                tr("%1 is nothing this window takes: jobs, bundles, pictures, readings as CSV, and what a pocket sheet "
                   "gave back can be dropped on it")
                    .arg(QFileInfo{path}.fileName()));
            all = false;
        }
    }
    return all;
}

void MainWindow::copy_drawing() {
    if (!bench_.wall())
        return tell(tr("There is no wall to copy a drawing of"));
    constexpr double width = 250; // mm
    constexpr double height = 150;
    ElevationFrame frame;
    frame.width = width;
    frame.height = height;
    frame.selected_shelf = frame.selected_run = frame.selected_thing = bench_.thing();
    const Drawing drawing = draw_elevation(*bench_.wall(), *bench_.wall_plan(), frame, bench_.voice()).drawing;
    auto* copied = new QMimeData;
    copied->setData(QStringLiteral("image/svg+xml"), QByteArray::fromStdString(svg(drawing, bench_.wall()->name)));
    constexpr double dots_per_mm = 8;
    QImage image{qRound(width * dots_per_mm), qRound(height * dots_per_mm), QImage::Format_RGB32};
    image.fill(Qt::white);
    {
        QPainter painter{&image};
        painter.setRenderHint(QPainter::Antialiasing);
        paint(painter, drawing, print_theme(), dots_per_mm);
    }
    copied->setImageData(image);
    QGuiApplication::clipboard()->setMimeData(copied);
}

bool MainWindow::open_elsewhere(const QString& path) {
    const bool begun = QProcess::startDetached(QApplication::applicationFilePath(),
                                               path.isEmpty() ? QStringList{} : QStringList{path});
    if (!begun)
        tell(tr("Another window could not be opened"));
    return begun;
}

void MainWindow::choose_for_another_window() {
    const QString path =
        QFileDialog::getOpenFileName(this, tr("Open a job in another window"), {}, tr("Yes Square jobs (*.yesq)"));
    if (!path.isEmpty())
        open_elsewhere(path);
}

void MainWindow::watch_desktop() {
    setAcceptDrops(true);
    auto* waits = new WaitWatch{bench_, day_, this};
    connect(waits, &WaitWatch::over, this, [this](const QString& words) {
        QApplication::beep();
        QApplication::alert(this);
        const QString what = tr("A wait is over: try it before you trust it");
        if (!tell_desktop(what, words))
            tell(tr("%1. %2").arg(what, words));
    });
    connect(qApp, &QGuiApplication::commitDataRequest, this, [this] { keep_work(); });
}

} // namespace yes_square::app
