#include "app/bench/desktop.hpp"

#include <QDBusConnection>
#include <QDBusMessage>
#include <QDBusVariant>
#include <QFileInfo>
#include <QVariantMap>

namespace yes_square::app {
namespace {

constexpr int patience_ms = 300;

/// Without this a library starts a bus of its own.
bool has_bus() {
    return !qEnvironmentVariableIsEmpty("DBUS_SESSION_BUS_ADDRESS") ||
           QFileInfo::exists(qEnvironmentVariable("XDG_RUNTIME_DIR") + QStringLiteral("/bus"));
}

/// One of the freedesktop appearance settings, which are numbers; 0: no wish, or nobody to ask.
unsigned appearance(const QString& name) {
    if (!has_bus())
        return 0;
    QDBusMessage ask = QDBusMessage::createMethodCall(
        QStringLiteral("org.freedesktop.portal.Desktop"), QStringLiteral("/org/freedesktop/portal/desktop"),
        QStringLiteral("org.freedesktop.portal.Settings"), QStringLiteral("Read"));
    ask << QStringLiteral("org.freedesktop.appearance") << name;
    const QDBusMessage answer = QDBusConnection::sessionBus().call(ask, QDBus::Block, patience_ms);
    if (answer.type() != QDBusMessage::ReplyMessage || answer.arguments().isEmpty())
        return 0;
    // A variant in a variant.
    QVariant value = answer.arguments().constFirst();
    while (value.canConvert<QDBusVariant>())
        value = value.value<QDBusVariant>().variant();
    return value.toUInt();
}

} // namespace

bool desktop_is_dark() {
    return appearance(QStringLiteral("color-scheme")) == 1;
}

bool desktop_wants_contrast() {
    return appearance(QStringLiteral("contrast")) == 1;
}

bool tell_desktop(const QString& title, const QString& words) {
    if (!has_bus())
        return false;
    QDBusMessage tell = QDBusMessage::createMethodCall(
        QStringLiteral("org.freedesktop.Notifications"), QStringLiteral("/org/freedesktop/Notifications"),
        QStringLiteral("org.freedesktop.Notifications"), QStringLiteral("Notify"));
    constexpr int as_long_as_usual = -1;
    QVariantMap hints{{QStringLiteral("sound-name"), QStringLiteral("complete")}};
    tell << QStringLiteral("Yes Square") << 0U << QStringLiteral("yes-square") << title << words << QStringList{}
         << hints << as_long_as_usual;
    return QDBusConnection::sessionBus().call(tell, QDBus::Block, patience_ms).type() == QDBusMessage::ReplyMessage;
}

} // namespace yes_square::app
