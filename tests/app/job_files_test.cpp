// Files of a job in the window: opened, saved, left behind, and nothing lost.
#include "app/shell/job_store.hpp"
#include "app/versions/versions_dialog.hpp"
#include "driven_window.hpp"

#include <QFile>
#include <QFileInfo>
#include <QLabel>
#include <QProcess>

using namespace yes_square;
using namespace yes_square::app;

TEST_CASE("a file open in one window is refused in another", "[app]") {
    QTemporaryDir folder;
    const QString path = copy_of_demo(folder);
    DrivenWindow first;
    REQUIRE(first.window.open(path));
    DrivenWindow second;
    CHECK_FALSE(second.window.open(path));
    REQUIRE(second.told.size() == 1);
    CHECK(second.told[0].contains("open already"));
}

TEST_CASE("a broken file says where and leaves the job on the bench alone", "[app]") {
    QTemporaryDir folder;
    const QString path = folder.filePath("broken.yesq");
    QFile file{path};
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write("{\"format\": \"yes-square job\", \"version\": 1, \"title\": \"x\", \"unit\": \"furlong\"}");
    file.close();
    DrivenWindow driven;
    const Job before = driven.job();
    CHECK_FALSE(driven.window.open(path));
    REQUIRE(driven.told.size() == 1);
    CHECK(driven.told[0].contains("unit"));
    CHECK(driven.told[0].contains("furlong"));
    CHECK(driven.job() == before);
}

TEST_CASE("unsaved work is autosaved beside the file and offered at the next start", "[app]") {
    QTemporaryDir folder;
    const QString path = copy_of_demo(folder);
    Job edited;
    {
        DrivenWindow driven;
        REQUIRE(driven.window.open(path));
        driven.bench().edit("test", [](Job& job) { job.title = "Changed and lost"; });
        edited = driven.job();
        REQUIRE(QTest::qWaitFor([&] { return QFile::exists(path + ".autosave"); }, 8000));
        // The window goes without closing, as when the power fails.
    }
    {
        DrivenWindow driven;
        driven.window.start(); // no file named: the program remembers which it was
        REQUIRE(driven.asked.size() == 1);
        CHECK(driven.job() == edited);
        CHECK(driven.window.isWindowModified());
        REQUIRE(driven.window.save_to(path));
        CHECK_FALSE(QFile::exists(path + ".autosave"));
    }
    DrivenWindow driven;
    REQUIRE(driven.window.open(path));
    CHECK(driven.asked.isEmpty());
    CHECK(driven.job() == edited);
}

TEST_CASE("recovered work is gone only when it is thrown away", "[app][nothing-lost]") {
    QTemporaryDir folder;
    const QString path = copy_of_demo(folder);
    {
        JobStore store;
        auto opened = store.open(path);
        REQUIRE(opened);
        opened->job.title = "Never saved";
        REQUIRE(store.autosave(opened->job).isEmpty());
    }
    DrivenWindow driven;
    SECTION("later keeps it, and Restore brings it back") {
        driven.recovery = MainWindow::Recovery::later;
        REQUIRE(driven.window.open(path));
        CHECK(driven.job().title == "Reading room shelves");
        CHECK(QFile::exists(path + ".unsaved-1"));
        CHECK(driven.told.last().contains("unsaved-1"));
        VersionsDialog* versions = driven.window.show_versions();
        versions->show();
        auto* kept = versions->findChild<QListWidget*>("versions-kept");
        REQUIRE(kept->count() == 1);
        auto* changes = versions->findChild<QTableWidget*>("version-changes");
        REQUIRE(changes->rowCount() == 1);
        CHECK(changes->item(0, 2)->text() == "Never saved");
        CHECK(changes->item(0, 3)->text() == "Reading room shelves");
        versions->findChild<QPushButton*>("version-take")->click();
        CHECK(driven.job().title == "Never saved");
        driven.bench().undo_stack().undo();
        CHECK(driven.job().title == "Reading room shelves");
    }
    SECTION("discard asks once more; no keeps it") {
        driven.recovery = MainWindow::Recovery::discard;
        driven.answer = false;
        REQUIRE(driven.window.open(path));
        CHECK(driven.asked.size() == 2);
        CHECK(QFile::exists(path + ".unsaved-1"));
    }
    SECTION("discard, and yes, throws it away") {
        driven.recovery = MainWindow::Recovery::discard;
        REQUIRE(driven.window.open(path));
        CHECK(driven.job().title == "Reading room shelves");
        CHECK_FALSE(QFile::exists(path + ".autosave"));
        CHECK_FALSE(QFile::exists(path + ".unsaved-1"));
    }
}

TEST_CASE("a save keeps the version before it, and a job changed on the disk is not overwritten",
          "[app][nothing-lost]") {
    QTemporaryDir folder;
    const QString path = copy_of_demo(folder);
    DrivenWindow driven;
    REQUIRE(driven.window.open(path));
    driven.bench().edit("Title", [](Job& job) { job.title = "Second"; });
    REQUIRE(driven.window.save());
    const auto before = read_version(path + "~");
    REQUIRE(before);
    CHECK(before->title == "Reading room shelves");
    // Another program writes the file.
    QFile other{path};
    REQUIRE(other.open(QIODevice::Append));
    other.write("\n");
    other.close();
    driven.bench().edit("Title", [](Job& job) { job.title = "Third"; });
    CHECK_FALSE(driven.window.save());
    CHECK(driven.told.last().contains("another program"));
    CHECK(read_version(path)->title == "Second");
}

TEST_CASE("a new job after a new job has an autosave, and so has a second window", "[app][nothing-lost]") {
    DrivenWindow one;
    one.window.start_untitled();
    one.window.start_untitled();
    DrivenWindow two;
    two.window.start_untitled();
    JobStore third;
    third.start_untitled();
    JobStore fourth;
    fourth.start_untitled();
    CHECK(third.autosave_path() != fourth.autosave_path());
    CHECK(third.autosave(one.job()).isEmpty());
    CHECK(QFile::exists(third.autosave_path()));
    third.forget_autosave();
}

TEST_CASE("a sidecar that cannot be read is kept and told", "[app][nothing-lost]") {
    QTemporaryDir folder;
    const QString path = copy_of_demo(folder);
    QFile sidecar{path + ".autosave"};
    REQUIRE(sidecar.open(QIODevice::WriteOnly));
    sidecar.write("{ broken");
    sidecar.close();
    DrivenWindow driven;
    REQUIRE(driven.window.open(path));
    REQUIRE(driven.told.size() == 1);
    CHECK(driven.told.last().contains("unsaved-1"));
    CHECK(QFile::exists(path + ".unsaved-1"));
}

TEST_CASE("a link and what it points to are one file", "[app][nothing-lost]") {
    QTemporaryDir folder;
    const QString path = copy_of_demo(folder);
    const QString link = folder.filePath("link.yesq");
    REQUIRE(QFile::link(path, link));
    JobStore one;
    REQUIRE(one.open(path));
    JobStore two;
    CHECK_FALSE(two.open(link));
}
