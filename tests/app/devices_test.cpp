#include "app/devices/devices_bar.hpp"
#include "app/practice/practice_dialog.hpp"
#include "driven_window.hpp"

#include <QDir>
#include <QFileInfo>
#include <QLocalServer>
#include <QLocalSocket>
#include <QProcess>
#include <QPushButton>
#include <QSignalSpy>
#include <QStandardPaths>
#include <QUuid>
#include <random>

using namespace yes_square;
using namespace yes_square::app;

namespace {

QString fresh_socket() {
    return QStringLiteral("yes-square-test-") + QUuid::createUuid().toString(QUuid::Id128);
}

/// A stand-in as a process of its own, at the other end of a real socket.
struct StandIn {
    QProcess process;
    QString socket = fresh_socket();

    StandIn(const char* program, QStringList arguments) { start(program, std::move(arguments)); }
    void start(const char* program, QStringList arguments) {
        process.start(QString::fromLatin1(program), arguments << QStringLiteral("--socket") << socket);
        REQUIRE(process.waitForStarted());
        REQUIRE(QTest::qWaitFor([&] {
            QLocalSocket probe;
            probe.connectToServer(socket);
            return probe.waitForConnected(50);
        }));
    }
    void hand(const char* line = "") {
        process.write(QByteArray{line} + "\n");
        process.waitForBytesWritten();
    }
    void vanish() {
        process.kill();
        process.waitForFinished();
    }
    ~StandIn() { vanish(); }
};

bool linked(DeviceLink& link) {
    return QTest::qWaitFor([&] { return link.state() == DeviceLink::State::linked && !link.device().isEmpty(); });
}

} // namespace

TEST_CASE("a laser's readings go where the cursor is", "[app][devices]") {
    StandIn laser{YES_SQUARE_LASER, {"--distances", "0,1014.5,1600,1012"}};
    qputenv("YES_SQUARE_LASER", laser.socket.toUtf8());
    DrivenWindow driven;
    qunsetenv("YES_SQUARE_LASER");
    driven.open_demo();
    driven.bench().select_wall(4);
    driven.window.set_stage(Stage::survey);
    driven.window.survey().set_page(SurveyPage::level);
    DeviceLink& link = driven.window.survey().devices().laser();
    auto* button = driven.find<QPushButton>("link-laser");
    CHECK(button->text() == "Laser: not linked");
    QTest::mouseClick(button, Qt::LeftButton);
    REQUIRE(linked(link));
    CHECK(button->text() == "Laser: linked");
    CHECK(link.device() == "Simulated laser measure");

    driven.find<LengthField>("floor-x")->setFocus();
    for (int reading = 0; reading < 4; ++reading) {
        QSignalSpy taken{&link, &DeviceLink::distance};
        reading % 2 == 0 ? laser.hand() : link.measure();
        REQUIRE(QTest::qWaitFor([&] { return !taken.isEmpty(); }));
        QTest::qWait(5);
    }
    REQUIRE(driven.bench().wall()->floor.size() == 2);
    CHECK(driven.bench().wall()->floor[0] == FloorReading{0_mm, Length::micrometres(1'014'500)});
    CHECK(driven.bench().wall()->floor[1] == FloorReading{1600_mm, 1012_mm});

    // With no figure waiting nothing is lost in silence.
    driven.window.board().setFocus();
    laser.hand();
    CHECK(
        QTest::qWaitFor([&] { return driven.find<QLabel>("device-words")->text().contains("no figure is waiting"); }));
}

TEST_CASE("nonsense on the line is passed over and said to be", "[app][devices]") {
    StandIn laser{YES_SQUARE_LASER, {"--distances", "500"}};
    DeviceLink link{laser.socket};
    QSignalSpy distances{&link, &DeviceLink::distance};
    link.start();
    REQUIRE(linked(link));
    const std::string endless(5000, 'x');
    for (const char* nonsense :
         {"DISTANCE", "DISTANCE twelve", "DISTANCE -4", "DISTANCE nan", "DISTANCE inf", "DISTANCE 1e300",
          "DISTANCE 4 five", "STUD 4", "\xff\xfe\x01", "GOODBYE 7", endless.c_str()}) {
        laser.hand(nonsense);
        INFO(nonsense);
        CHECK(QTest::qWaitFor([&] { return !link.trouble().isEmpty(); }));
        laser.hand("DISTANCE 812.5 1.5"); // and the next reading is taken again
        const auto before = distances.size();
        CHECK(QTest::qWaitFor([&] { return distances.size() > before || link.trouble().isEmpty(); }));
    }
    CHECK(distances.size() == 11);
    CHECK(link.state() == DeviceLink::State::linked);
}

TEST_CASE("whatever bytes come down the line, only whole readings are taken", "[app][devices]") {
    const QString socket = fresh_socket();
    QLocalServer server;
    REQUIRE(server.listen(socket));
    DeviceLink link{socket};
    QSignalSpy distances{&link, &DeviceLink::distance};
    link.start();
    REQUIRE(QTest::qWaitFor([&] { return server.hasPendingConnections(); }));
    QLocalSocket* end = server.nextPendingConnection();
    std::mt19937 random{8};
    qsizetype sent = 0;
    for (int i = 0; i < 300; ++i) {
        QByteArray noise;
        for (auto n = random() % 90; n > 0; --n)
            noise += static_cast<char>(random() % 256);
        noise.replace("DISTANCE", "distance");
        end->write(noise + "\nDISTANCE " + QByteArray::number(i) + ".5\n");
        ++sent;
        if (i % 7 == 0) { // torn across two writes
            end->write("DISTA");
            end->flush();
            QTest::qWait(1);
            end->write("NCE 77\n");
            ++sent;
        }
    }
    end->flush();
    CHECK(QTest::qWaitFor([&] { return distances.size() >= sent; }));
    CHECK(distances.size() == sent);
    CHECK(distances.back()[0].value<Length>() == Length::micrometres(299'500));
    CHECK(link.state() == DeviceLink::State::linked);
}

TEST_CASE("a device that vanishes in the middle of a reading leaves nothing behind and is found again",
          "[app][devices]") {
    const QString socket = fresh_socket();
    auto server = std::make_unique<QLocalServer>();
    REQUIRE(server->listen(socket));
    DeviceLink link{socket};
    QSignalSpy distances{&link, &DeviceLink::distance};
    link.start();
    REQUIRE(QTest::qWaitFor([&] { return server->hasPendingConnections(); }));
    QLocalSocket* end = server->nextPendingConnection();
    end->write("HELLO 1 laser-measure Torn laser\nDISTANCE 10");
    end->flush();
    REQUIRE(linked(link));
    server.reset(); // it and its sockets are gone, "DISTANCE 10" of "DISTANCE 1043" on the line
    REQUIRE(QTest::qWaitFor([&] { return link.state() == DeviceLink::State::looking; }));
    CHECK(distances.isEmpty());
    CHECK(link.trouble().contains("middle of a reading"));

    server = std::make_unique<QLocalServer>();
    QLocalServer::removeServer(socket);
    REQUIRE(server->listen(socket));
    REQUIRE(QTest::qWaitFor([&] { return server->hasPendingConnections(); }, 6000));
    end = server->nextPendingConnection();
    end->write("HELLO 1 laser-measure Mended laser\n43\nDISTANCE 1043\n");
    end->flush();
    REQUIRE(QTest::qWaitFor([&] { return distances.size() == 1; }));
    CHECK(distances[0][0].value<Length>() == 1043_mm);
    link.stop();
    CHECK(link.state() == DeviceLink::State::off);
}

TEST_CASE("a wall scanner fills the evidence of the wall looked at", "[app][devices]") {
    StandIn scanner{YES_SQUARE_SCANNER, {"--seed", "4", "--length", "3206"}};
    qputenv("YES_SQUARE_SCANNER", scanner.socket.toUtf8());
    DrivenWindow driven;
    qunsetenv("YES_SQUARE_SCANNER");
    driven.open_demo();
    driven.bench().select_wall(4);
    driven.window.set_stage(Stage::survey);
    DeviceLink& link = driven.window.survey().devices().scanner();
    QTest::mouseClick(driven.find<QPushButton>("link-scanner"), Qt::LeftButton);
    REQUIRE(linked(link));
    for (int i = 0; i < 40 && !link.trouble().contains("end of the wall"); ++i) {
        link.measure();
        QTest::qWait(10);
    }
    const Wall& wall = *driven.bench().wall();
    CHECK(wall.observations.size() > 4);
    for (const Observation& seen : wall.observations) {
        CHECK(seen.kind == EvidenceKind::detector);
        CHECK(seen.error == 10_mm);
    }
    REQUIRE(wall.scans.size() == 1);
    CHECK(wall.scans[0].result == ScanResult::cable);
    CHECK(wall.scans[0].height == wall.height);
    scanner.hand("PIPE 900 25");
    CHECK(QTest::qWaitFor([&] { return driven.bench().wall()->scans.size() == 2; }));
}

TEST_CASE("the stand-ins refuse bad words and a socket already taken", "[app][devices]") {
    StandIn laser{YES_SQUARE_LASER, {}};
    const auto code = [](const char* program, QStringList arguments) {
        QProcess process;
        process.start(QString::fromLatin1(program), arguments);
        process.waitForFinished(5000);
        CHECK_FALSE(process.readAllStandardError().isEmpty());
        return process.exitCode();
    };
    CHECK(code(YES_SQUARE_LASER, {"--socket", laser.socket}) == 2);
    CHECK(code(YES_SQUARE_LASER, {"--distances", "near"}) == 2);
    CHECK(code(YES_SQUARE_SCANNER, {"--length", "3"}) == 2);
    // One left behind by a kill does not stand in the way.
    laser.vanish();
    laser.start(YES_SQUARE_LASER, {});
}

TEST_CASE("the practice wall is probed by click and by key, judged and kept", "[app][practice]") {
    QFile::remove(QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + "/practice.json");
    PracticeDialog dialog{17, Unit::mm, theme(ThemeName::light)};
    dialog.show();
    REQUIRE(QTest::qWaitForWindowExposed(&dialog));
    auto* said = dialog.findChild<QLabel*>(QStringLiteral("practice-said"));
    auto* at = dialog.findChild<LengthField*>(QStringLiteral("practice-at"));
    const auto traces = dialog.exercise().readings().size();
    CHECK(said->text() == "No hole yet");

    at->setFocus();
    QTest::keyClicks(at, "1200");
    QTest::keyClick(at, Qt::Key_Return);
    CHECK(said->text().startsWith("Hole 1, at 1200 mm: "));
    auto* board = dialog.findChild<BoardView*>();
    QTest::mouseClick(board, Qt::LeftButton, {}, board->place(1500_mm, 1000_mm).toPoint());
    CHECK(dialog.exercise().readings().size() == traces + 2);
    QTest::keyClicks(at, "9000");
    QTest::keyClick(at, Qt::Key_Return);
    CHECK(said->text().startsWith("The wall ends at"));
    QTest::mouseClick(dialog.findChild<QPushButton*>(QStringLiteral("practice-advice")), Qt::LeftButton);
    CHECK(said->text().startsWith("At "));

    auto* finish = dialog.findChild<QPushButton*>(QStringLiteral("practice-finish"));
    QTest::mouseClick(finish, Qt::LeftButton);
    REQUIRE(dialog.exercise().result());
    CHECK(dialog.exercise().result()->holes == 2);
    CHECK(said->text().contains("By the advice alone it would have taken"));
    CHECK_FALSE(finish->isEnabled());
    const auto kept = kept_results();
    REQUIRE(kept.size() == 1);
    CHECK(kept[0].result.advice_holes == dialog.exercise().result()->advice_holes);
    CHECK(dialog.findChild<QLabel*>(QStringLiteral("practice-results"))->text().startsWith("So far: 1 walls"));

    QTest::mouseClick(dialog.findChild<QPushButton*>(QStringLiteral("practice-another")), Qt::LeftButton);
    CHECK_FALSE(dialog.exercise().result());
}

TEST_CASE("results of practice that cannot be read count as none, and new ones are kept again", "[app][practice]") {
    const QString path = QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + "/practice.json";
    QFile file{path};
    REQUIRE(QDir{}.mkpath(QFileInfo{path}.path()));
    for (const char* broken : {"", "not json", "{}", "[1, 2]"}) {
        REQUIRE(file.open(QIODevice::WriteOnly));
        file.write(broken);
        file.close();
        INFO(broken);
        for (const KeptResult& kept : kept_results())
            CHECK(kept.result.holes == 0);
    }
    file.remove();
    CHECK(kept_results().empty());
    CHECK(keep_result({21, 4, 4, 0, 19}).isEmpty());
    CHECK(keep_result({30, 5, 3, 1, 22}).isEmpty());
    const auto kept = kept_results();
    REQUIRE(kept.size() == 2);
    CHECK(kept[0].result.holes == 21);
    CHECK(kept[1].result.wrong == 1);
    CHECK(kept[1].when.isValid());
    file.remove();
}
