#include "app/bench/job_snapshot.hpp"
#include "app/shell/job_store.hpp"
#include "app/shell/signals.hpp"
#include "driven_window.hpp"

#include <QDir>
#include <QFile>
#include <QProcess>
#include <QTimer>
#include <catch2/catch.hpp>
#include <csignal>
#include <random>
#include <sys/mount.h>
#include <sys/types.h>
#include <unistd.h>

using namespace yes_square;
using namespace yes_square::app;

namespace {

std::string read_all(const QString& path) {
    QFile file{path};
    return file.open(QIODevice::ReadOnly) ? file.readAll().toStdString() : std::string{};
}

} // namespace

TEST_CASE("a save killed at any moment leaves the old file or the new one, whole", "[app][save]") {
    QTemporaryDir folder;
    const QString path = folder.filePath("job.yesq");
    std::mt19937 random{7};
    std::uniform_int_distribution<int> microseconds{0, 40'000};
    const int rounds =
        qEnvironmentVariableIsSet("YES_SQUARE_KILLS") ? qEnvironmentVariableIntValue("YES_SQUARE_KILLS") : 60;
    int interrupted = 0;
    for (int round = 0; round < rounds; ++round) {
        QProcess saver;
        saver.start(QStringLiteral(YES_SQUARE_SAVE_LOOP), {demo_path(), path});
        REQUIRE(saver.waitForStarted());
        // The first save is announced, so that there is an old file to keep.
        REQUIRE(saver.waitForReadyRead(10'000));
        usleep(static_cast<useconds_t>(microseconds(random)));
        ::kill(static_cast<pid_t>(saver.processId()), SIGKILL);
        saver.waitForFinished();
        interrupted += saver.exitStatus() == QProcess::CrashExit;
        const auto loaded = read_job(read_all(path));
        INFO((loaded ? std::string{} : loaded.error().text()));
        REQUIRE(loaded);
        const bool one_of_the_two = loaded->job.title == "first" || loaded->job.title == "second";
        REQUIRE(one_of_the_two);
    }
    CHECK(interrupted == rounds);
}

TEST_CASE("a lock left by a killed program does not shut the file for good", "[app][save]") {
    QTemporaryDir folder;
    const QString path = copy_of_demo(folder);
    QProcess holder;
    holder.start(QStringLiteral(YES_SQUARE_SAVE_LOOP), {demo_path(), path});
    REQUIRE(holder.waitForStarted());
    REQUIRE(holder.waitForReadyRead(10'000));
    {
        JobStore store;
        CHECK_FALSE(store.open(path));
    }
    ::kill(static_cast<pid_t>(holder.processId()), SIGKILL);
    holder.waitForFinished();
    JobStore store;
    CHECK(store.open(path));
}

TEST_CASE("a full disk keeps the old file and says so", "[app][save]") {
    QTemporaryDir folder;
    if (::mount("tmpfs", folder.path().toUtf8().constData(), "tmpfs", 0, "size=64k") != 0) {
        WARN("no tmpfs can be mounted here; the full disk is not tried");
        return;
    }
    const QString path = folder.filePath("job.yesq");
    CHECK(write_atomically(path, "small").isEmpty());
    const QString problem = write_atomically(path, std::string(200'000, 'x'));
    CHECK(problem.contains("Is the disk full?"));
    CHECK(read_all(path) == "small");
    ::umount2(folder.path().toUtf8().constData(), MNT_DETACH);
}

TEST_CASE("told to end from outside, the program keeps the work", "[app][save][nothing-lost]") {
    for (const int signal : {SIGTERM, SIGINT, SIGHUP}) {
        QTemporaryDir folder;
        const QString path = copy_of_demo(folder);
        {
            DrivenWindow driven;
            REQUIRE(driven.window.open(path));
            driven.bench().edit("test", [](Job& job) { job.title = "not saved yet"; });
            end_well_on_signals(driven.window, [&] { driven.window.keep_work(); });
            QTimer::singleShot(0, [signal] { ::raise(signal); });
            CHECK(QCoreApplication::exec() == 1);
            driven.bench().undo_stack().setClean();
            ::signal(signal, SIG_DFL);
        }
        JobStore store;
        const auto opened = store.open(path);
        REQUIRE(opened);
        REQUIRE(opened->recovered);
        CHECK(opened->recovered->title == "not saved yet");
    }
}

TEST_CASE("an edit keeps what it changed and shares the rest", "[app][undo]") {
    Job job = read_job(read_all(demo_path()))->job;
    const JobSnapshot first{job};
    CHECK(first.job() == job);
    const std::size_t parts = job.walls.size() + 3; // and catalogue, log, ticks
    Job edited = job;
    edited.walls[1].length += 1_mm;
    const JobSnapshot second{edited, first};
    CHECK(second.job() == edited);
    CHECK(second.shared_with(first) == parts - 1);
    // A wall less moves those after it: they are still the same.
    edited.walls.erase(edited.walls.begin());
    edited.log.push_back({});
    const JobSnapshot third{edited, second};
    CHECK(third.job() == edited);
    CHECK(third.shared_with(second) == parts - 2);
}
