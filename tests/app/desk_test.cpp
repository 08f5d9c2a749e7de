// The window on a desktop: files dropped on it, what it gives to the clipboard, waits that end.
#include "app/bench/desktop.hpp"
#include "app/bench/read_only_table.hpp"
#include "app/shell/recently_used.hpp"
#include "app/shell/wait_watch.hpp"
#include "core/steps/job_order.hpp"
#include "driven_window.hpp"

#include <QClipboard>
#include <QDateTime>
#include <QDomDocument>
#include <QDropEvent>
#include <QGuiApplication>
#include <QImage>
#include <QMimeData>
#include <QStandardPaths>

using namespace yes_square;
using namespace yes_square::app;

namespace {

void drop(DrivenWindow& driven, const QStringList& paths) {
    QMimeData data;
    QList<QUrl> urls;
    for (const QString& path : paths)
        urls << QUrl::fromLocalFile(path);
    data.setUrls(urls);
    QDragEnterEvent enter{{10, 10}, Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier};
    QApplication::sendEvent(&driven.window, &enter);
    CHECK(enter.isAccepted());
    QDropEvent dropped{{10, 10}, Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier};
    QApplication::sendEvent(&driven.window, &dropped);
    QTest::qWait(20);
}

} // namespace

TEST_CASE("a job, a bundle and a photo that are dropped on the window are taken", "[app][desk]") {
    DrivenWindow driven;
    const QString path = copy_of_demo(driven.folder);
    drop(driven, {path});
    CHECK(driven.job().title == "Reading room shelves");
    const QString photo = driven.folder.filePath("wall.png");
    QImage{20, 20, QImage::Format_RGB32}.save(photo);
    const std::size_t before = driven.job().log.size();
    drop(driven, {photo});
    REQUIRE(driven.job().log.size() == before + 1);
    CHECK(driven.job().log.back().file == "wall.png");
    REQUIRE(driven.window.save());
    const QString bundle = driven.folder.filePath("sent.yesq.zip");
    REQUIRE(driven.window.save_bundle(bundle));
    DrivenWindow other;
    drop(other, {bundle});
    CHECK(other.job().title == "Reading room shelves");
    CHECK(QFile::exists(driven.folder.filePath("sent/demo.yesq")));
    // What nobody takes is named.
    const QString odd = driven.folder.filePath("odd.mp3");
    QFile file{odd};
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.close();
    drop(driven, {odd});
    CHECK(driven.told.last().contains("odd.mp3"));
}

TEST_CASE("the drawing goes onto the clipboard as SVG and as a picture", "[app][desk]") {
    DrivenWindow driven;
    REQUIRE(driven.window.open(copy_of_demo(driven.folder)));
    driven.window.copy_drawing();
    const QMimeData* data = QGuiApplication::clipboard()->mimeData();
    REQUIRE(data);
    CHECK(data->data("image/svg+xml").contains("<svg"));
    CHECK(data->data("image/svg+xml").contains("Long shelf"));
    const QImage image = data->imageData().value<QImage>();
    CHECK(image.width() == 2000);
    bool drawn = false;
    for (int y = 0; y < image.height() && !drawn; ++y)
        for (int x = 0; x < image.width() && !drawn; ++x)
            drawn = image.pixelColor(x, y).lightness() < 100;
    CHECK(drawn);
}

TEST_CASE("a table goes into a spreadsheet as it stands, and no cell of it runs", "[app][desk]") {
    QTableWidget* table = read_only_table({"A", "B"}, "some-table", nullptr);
    add_row(table, {"1420 mm", "=cmd|x"});
    add_row(table, {"-5 mm", "two\nlines"});
    table->findChild<QAction*>("copy-table")->trigger();
    CHECK(QGuiApplication::clipboard()->text() == "A\tB\n1420 mm\t'=cmd|x\n-5 mm\ttwo lines\n");
    delete table;
}

TEST_CASE("a wait that was begun is told once when it has had its time, whatever is in hand", "[app][desk]") {
    DrivenWindow driven;
    REQUIRE(driven.window.open(copy_of_demo(driven.folder)));
    const JobOrder order = job_order(driven.job(), driven.bench().plan());
    const auto wait = std::ranges::find(order.tasks, Phase::cure, [](const Task& task) { return task.step.phase; });
    REQUIRE(wait != order.tasks.end());
    auto* watch = driven.window.findChild<WaitWatch*>();
    REQUIRE(watch);
    QStringList over;
    QObject::connect(watch, &WaitWatch::over, [&](const QString& words) { over << words; });
    const auto begun = [&](int minutes_ago) {
        const QString at = QDateTime::currentDateTimeUtc().addSecs(-60 * minutes_ago).toString(Qt::ISODate);
        driven.bench().edit("begin it", [&](Job& job) {
            std::erase_if(job.ticks, [&](const Tick& tick) { return tick.key == wait->key; });
            job.ticks.push_back({wait->key, TickState::begun, at.toStdString(), {}, {}, {}, {}});
        });
        watch->look();
    };
    begun(0);
    CHECK(over.isEmpty());
    begun(static_cast<int>(wait->minutes) + 1);
    REQUIRE(over.size() == 1);
    watch->look();
    CHECK(over.size() == 1);
    CHECK(driven.told.last().contains("A wait is over"));
}

TEST_CASE("what was opened is among the desktop's recent files, once, and others' stay", "[app][desk]") {
    const QString list = QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation) + "/recently-used.xbel";
    QFile::remove(list);
    const auto entries = [&] {
        QFile file{list};
        REQUIRE(file.open(QIODevice::ReadOnly));
        QDomDocument document;
        REQUIRE(document.setContent(&file));
        return document.documentElement().elementsByTagName("bookmark");
    };
    DrivenWindow driven;
    driven.open_demo();
    REQUIRE(entries().size() == 1);
    const QDomElement first = entries().at(0).toElement();
    CHECK(QUrl{first.attribute("href")}.toLocalFile().endsWith("/demo.yesq"));
    CHECK(first.elementsByTagName("mime:mime-type").at(0).toElement().attribute("type") == "application/x-yesq+json");
    REQUIRE(driven.window.open(driven.folder.filePath("demo.yesq")));
    REQUIRE(entries().size() == 1);
    CHECK(entries().at(0).toElement().elementsByTagName("bookmark:application").at(0).toElement().attribute("count") ==
          "2");
    // Another program's entry stays; what is no list is left as it is.
    CHECK(remember_on_desktop("/tmp/with blank & sign.yesq"));
    CHECK(entries().size() == 2);
    QFile broken{list};
    REQUIRE(broken.open(QIODevice::WriteOnly | QIODevice::Truncate));
    broken.write("<xbel><bookmark");
    broken.close();
    CHECK_FALSE(remember_on_desktop("/tmp/another.yesq"));
    REQUIRE(broken.open(QIODevice::ReadOnly));
    CHECK(broken.readAll() == "<xbel><bookmark");
    broken.close();
    QFile::remove(list);
}
