// What the program asks of the desktop and tells it, over a session bus of the test's own.
#include "app/bench/desktop.hpp"

#include <QDBusConnection>
#include <QDBusMessage>
#include <QDBusVariant>
#include <QDBusVirtualObject>
#include <QProcess>
#include <catch2/catch.hpp>

using namespace yes_square::app;

namespace {

/// A bus as a desktop has one.
class PrivateBus {
public:
    PrivateBus() {
        daemon_.start("dbus-daemon", {"--session", "--print-address", "--nofork"});
        REQUIRE(daemon_.waitForStarted(10'000));
        REQUIRE(daemon_.waitForReadyRead(10'000));
        qputenv("DBUS_SESSION_BUS_ADDRESS", daemon_.readLine().trimmed());
    }
    ~PrivateBus() {
        daemon_.kill();
        daemon_.waitForFinished();
    }

private:
    QProcess daemon_;
};

/// A desktop that says dark or light, and keeps what it is told.
class Desktop : public QDBusVirtualObject {
public:
    unsigned scheme = 0;
    QList<QVariant> told;

    QString introspect(const QString&) const override { return {}; }
    bool handleMessage(const QDBusMessage& message, const QDBusConnection& connection) override {
        if (message.member() == "Read") {
            const QDBusVariant inner{QVariant{scheme}};
            connection.send(message.createReply(QVariant::fromValue(QDBusVariant{QVariant::fromValue(inner)})));
            return true;
        }
        if (message.member() != "Notify")
            return false;
        told = message.arguments();
        connection.send(message.createReply(1U));
        return true;
    }
};

} // namespace

TEST_CASE("the desktop is asked for dark or light, and told what is over", "[app][desk][bus]") {
    const PrivateBus bus;
    QDBusConnection session = QDBusConnection::sessionBus();
    REQUIRE(session.isConnected());
    // Nobody there: light, and nobody to tell.
    CHECK_FALSE(desktop_is_dark());
    CHECK_FALSE(tell_desktop("A wait is over", "Resin"));

    Desktop desktop;
    REQUIRE(session.registerVirtualObject("/org/freedesktop", &desktop, QDBusConnection::SubPath));
    REQUIRE(session.registerService("org.freedesktop.portal.Desktop"));
    REQUIRE(session.registerService("org.freedesktop.Notifications"));
    for (const unsigned scheme : {0U, 1U, 2U}) { // no wish, dark, light
        desktop.scheme = scheme;
        CHECK(desktop_is_dark() == (scheme == 1));
        CHECK(desktop_wants_contrast() == (scheme == 1));
    }
    CHECK(tell_desktop("A wait is over", "Resin"));
    REQUIRE(desktop.told.size() == 8);
    CHECK(desktop.told[3].toString() == "A wait is over");
    CHECK(desktop.told[4].toString() == "Resin");
}
