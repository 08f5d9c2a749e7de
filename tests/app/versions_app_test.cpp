// Versions of a job, a copy that comes back, and a bundle, in the window.
#include "app/bench/words.hpp"
#include "app/shell/job_store.hpp"
#include "app/versions/merge_dialog.hpp"
#include "app/versions/versions_dialog.hpp"
#include "core/job/file.hpp"
#include "driven_window.hpp"
#include "files/bundle.hpp"

#include <QImage>
#include <QListWidget>
#include <QProcess>
#include <zip.h>

using namespace yes_square;
using namespace yes_square::app;

namespace {

struct Opened : DrivenWindow {
    QString path = copy_of_demo(folder);
    Opened() { REQUIRE(window.open(path)); }
    Shelf& shelf_of(Job& job) { return job.walls.front().shelves.front(); }
    void raise(Length by) {
        bench().edit("raise it", [&](Job& job) { shelf_of(job).height += by; });
    }
};

} // namespace

TEST_CASE("each save keeps a version, which tells what moved and is taken up again", "[app][versions]") {
    Opened driven;
    const Length before = driven.job().walls.front().shelves.front().height;
    REQUIRE(driven.window.save());
    driven.raise(40_mm);
    REQUIRE(driven.window.save());
    VersionsDialog* versions = driven.window.show_versions();
    versions->show();
    auto* list = versions->findChild<QListWidget*>("versions-kept");
    REQUIRE(list->count() >= 2);
    auto* changes = versions->findChild<QTableWidget*>("version-changes");
    int found = -1;
    for (int row = 0; row < list->count() && found < 0; ++row) {
        list->setCurrentRow(row);
        if (changes->rowCount() == 1)
            found = row;
    }
    REQUIRE(found >= 0);
    CHECK(changes->item(0, 0)->text() == "North wall, Long shelf");
    CHECK(changes->item(0, 2)->text() == text(say(stock(before), {})));
    CHECK(changes->item(0, 3)->text() == text(say(stock(before + 40_mm), {})));
    // Two held against one another: the older one is then, whichever was clicked first.
    list->clearSelection();
    list->item(found)->setSelected(true);
    list->item(found == 0 ? 1 : 0)->setSelected(true);
    CHECK(versions->findChild<QLabel*>("version-words")->text().contains(" until "));
    CHECK_FALSE(versions->findChild<QPushButton*>("version-take")->isEnabled());
    list->clearSelection();
    list->setCurrentRow(found);
    REQUIRE(changes->rowCount() == 1);
    versions->findChild<QPushButton*>("version-take")->click();
    CHECK(driven.job().walls.front().shelves.front().height == before);
    driven.bench().undo_stack().undo();
    CHECK(driven.job().walls.front().shelves.front().height == before + 40_mm);
    // No more than some are kept, the last ones.
    for (int i = 0; i < 45; ++i) {
        driven.raise(1_mm);
        REQUIRE(driven.window.save());
    }
    const QFileInfoList kept =
        QDir{driven.folder.filePath("demo versions")}.entryInfoList({"*.yesq"}, QDir::Files, QDir::Name);
    CHECK(kept.size() == 40);
    CHECK(read_version(kept.last().filePath())->walls == driven.job().walls);
}

TEST_CASE("a copy that was worked on elsewhere is brought together, what collides is chosen", "[app][merge]") {
    Opened driven;
    REQUIRE(driven.window.save());
    Job copy = driven.job();
    driven.shelf_of(copy).height += 30_mm;
    driven.shelf_of(copy).depth -= 10_mm;
    copy.client = "Elsewhere";
    const QString other = driven.folder.filePath("copy.yesq");
    REQUIRE(write_atomically(other, write_job(copy)).isEmpty());
    driven.raise(50_mm);
    const Length mine = driven.job().walls.front().shelves.front().height;

    MergeDialog* dialog = driven.window.merge_copy(other);
    REQUIRE(dialog);
    dialog->show();
    REQUIRE(QTest::qWaitForWindowExposed(dialog));
    auto* table = dialog->findChild<QTableWidget*>("collisions");
    REQUIRE(table->rowCount() == 1);
    CHECK(table->item(0, 0)->text() == "North wall, Long shelf");
    CHECK(table->item(0, 2)->text() == text(say(stock(mine), {})));
    CHECK(table->item(0, 3)->text() == text(say(stock(copy.walls.front().shelves.front().height), {})));
    SECTION("kept as it is here") {
        dialog->findChild<QPushButton*>("merge-together")->click();
        CHECK(driven.job().walls.front().shelves.front().height == mine);
    }
    SECTION("taken from there") {
        dialog->findChild<QPushButton*>("merge-theirs")->click();
        CHECK(table->item(0, 5)->text() == "there");
        dialog->findChild<QPushButton*>("merge-together")->click();
        CHECK(driven.job().walls.front().shelves.front().height == copy.walls.front().shelves.front().height);
    }
    CHECK(driven.job().walls.front().shelves.front().depth == copy.walls.front().shelves.front().depth);
    CHECK(driven.job().client == "Elsewhere");
    CHECK(driven.job().log.back().words.find("Long shelf") != std::string::npos);
    driven.bench().undo_stack().undo();
    CHECK(driven.job().walls.front().shelves.front().height == mine);
    CHECK(driven.job().client != "Elsewhere");
}

TEST_CASE("what is no copy is said, and nothing happens", "[app][merge]") {
    Opened driven;
    const QString other = driven.folder.filePath("other.yesq");
    REQUIRE(write_atomically(other, "no job at all").isEmpty());
    CHECK_FALSE(driven.window.merge_copy(other));
    CHECK(driven.told.last().contains("other.yesq"));
}

TEST_CASE("a bundle holds job, photos and sheets, and opens again", "[app][bundle]") {
    Opened driven;
    const QString photo = driven.folder.filePath("wall.png");
    QImage{40, 30, QImage::Format_RGB32}.save(photo);
    REQUIRE(driven.window.attach_photo(photo, "before"));
    const QString bundle = driven.folder.filePath("out.yesq.zip");
    REQUIRE(driven.window.save_bundle(bundle));
    // Any unzip sees what is in it.
    QProcess unzip;
    unzip.start("python3", {"-m", "zipfile", "-l", bundle});
    REQUIRE(unzip.waitForFinished(30'000));
    const QString listed = unzip.readAllStandardOutput();
    for (const char* name : {"demo.yesq", "demo photos/wall.png", "sheets/steps.pdf", "sheets/hand-over.pdf"}) {
        INFO(name);
        CHECK(listed.contains(QString::fromLatin1(name)));
    }
    const Job job = driven.job();
    const QString folder = driven.folder.filePath("unpacked");
    REQUIRE(driven.window.save());
    DrivenWindow other;
    REQUIRE(other.window.open_bundle(bundle, folder));
    CHECK(other.job() == job);
    CHECK(QFile::exists(folder + "/demo photos/wall.png"));
    REQUIRE(other.window.check_photos());
    // A folder that is there is not written into.
    CHECK_FALSE(other.window.open_bundle(bundle, folder));
    CHECK(other.told.last().contains("is there already"));
}

TEST_CASE("a bundle that would write elsewhere, or holds no job, is refused and nothing is written", "[app][bundle]") {
    QTemporaryDir folder;
    const auto packed = [&](const char* name, const QByteArray& content) {
        const QByteArray path = folder.filePath("odd.zip").toUtf8();
        QFile::remove(path);
        int problem = 0;
        zip_t* zip = zip_open(path.constData(), ZIP_CREATE, &problem);
        REQUIRE(zip);
        zip_file_add(zip, "job.yesq",
                     zip_source_buffer(zip, content.constData(), static_cast<zip_uint64_t>(content.size()), 0), 0);
        static const char harm[] = "harm";
        zip_file_add(zip, name, zip_source_buffer(zip, harm, sizeof harm, 0), 0);
        REQUIRE(zip_close(zip) == 0);
        return unpack_bundle(path.toStdString(), folder.filePath("to").toStdString());
    };
    const QByteArray good = QByteArray::fromStdString(write_job(new_job()));
    for (const char* name :
         {"../out.txt", "/tmp/out.txt", "a/../../out.txt", ".hidden", "a/.hidden/b", "second.yesq"}) {
        INFO(name);
        const auto got = packed(name, good);
        REQUIRE_FALSE(got);
        CHECK(got.error().find("odd.zip") != std::string::npos);
        CHECK_FALSE(QFile::exists(folder.filePath("to")));
        CHECK_FALSE(QFile::exists(folder.filePath("out.txt")));
    }
    CHECK_FALSE(packed("fine.txt", "{ no job"));
    CHECK_FALSE(QFile::exists(folder.filePath("to")));
    // What cannot be unpacked whole leaves nothing: here a file wants to be the folder of another.
    CHECK_FALSE(packed("job.yesq/inside.txt", good));
    CHECK_FALSE(QFile::exists(folder.filePath("to")));
    CHECK(packed("fine.txt", good));
    QFile text{folder.filePath("text.zip")};
    REQUIRE(text.open(QIODevice::WriteOnly));
    text.write("no zip");
    text.close();
    const auto none = unpack_bundle(folder.filePath("text.zip").toStdString(), folder.filePath("two").toStdString());
    REQUIRE_FALSE(none);
    CHECK(none.error().find("no bundle") != std::string::npos);
}
