#include "app/shell/recently_used.hpp"

#include <QDateTime>
#include <QDir>
#include <QDomDocument>
#include <QFile>
#include <QSaveFile>
#include <QStandardPaths>
#include <QUrl>

namespace yes_square::app {
namespace {

constexpr auto bookmarks = "http://www.freedesktop.org/standards/desktop-bookmarks";
constexpr auto types = "http://www.freedesktop.org/standards/shared-mime-info";

QDomElement child(QDomDocument& list, QDomElement parent, const QString& name) {
    QDomElement found = parent.firstChildElement(name);
    if (found.isNull()) {
        found = list.createElement(name);
        parent.appendChild(found);
    }
    return found;
}

QDomElement bookmark_of(QDomDocument& list, const QString& address, const QString& now) {
    QDomElement root = list.documentElement();
    for (QDomElement each = root.firstChildElement(QStringLiteral("bookmark")); !each.isNull();
         each = each.nextSiblingElement(QStringLiteral("bookmark")))
        if (each.attribute(QStringLiteral("href")) == address)
            return each;
    QDomElement made = list.createElement(QStringLiteral("bookmark"));
    made.setAttribute(QStringLiteral("href"), address);
    made.setAttribute(QStringLiteral("added"), now);
    root.appendChild(made);
    return made;
}

} // namespace

bool remember_on_desktop(const QString& path) {
    const QString folder = QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation);
    const QString name = folder + QStringLiteral("/recently-used.xbel");
    QDomDocument list;
    if (QFile file{name}; file.open(QIODevice::ReadOnly)) {
        if (!list.setContent(&file) || list.documentElement().tagName() != QStringLiteral("xbel"))
            return false;
    } else {
        QDomElement root = list.createElement(QStringLiteral("xbel"));
        root.setAttribute(QStringLiteral("version"), QStringLiteral("1.0"));
        root.setAttribute(QStringLiteral("xmlns:bookmark"), QString::fromLatin1(bookmarks));
        root.setAttribute(QStringLiteral("xmlns:mime"), QString::fromLatin1(types));
        list.appendChild(list.createProcessingInstruction(QStringLiteral("xml"),
                                                          QStringLiteral("version=\"1.0\" encoding=\"UTF-8\"")));
        list.appendChild(root);
    }
    const QString now = QDateTime::currentDateTimeUtc().toString(Qt::ISODateWithMs);
    QDomElement mark = bookmark_of(list, QString::fromLatin1(QUrl::fromLocalFile(path).toEncoded()), now);
    mark.setAttribute(QStringLiteral("modified"), now);
    mark.setAttribute(QStringLiteral("visited"), now);
    QDomElement metadata = child(list, child(list, mark, QStringLiteral("info")), QStringLiteral("metadata"));
    metadata.setAttribute(QStringLiteral("owner"), QStringLiteral("http://freedesktop.org"));
    child(list, metadata, QStringLiteral("mime:mime-type"))
        .setAttribute(QStringLiteral("type"), QStringLiteral("application/x-yesq+json"));
    QDomElement applications = child(list, metadata, QStringLiteral("bookmark:applications"));
    QDomElement application;
    for (QDomElement each = applications.firstChildElement(); !each.isNull(); each = each.nextSiblingElement())
        if (each.attribute(QStringLiteral("name")) == QStringLiteral("Yes Square"))
            application = each;
    if (application.isNull()) {
        application = list.createElement(QStringLiteral("bookmark:application"));
        application.setAttribute(QStringLiteral("name"), QStringLiteral("Yes Square"));
        application.setAttribute(QStringLiteral("exec"), QStringLiteral("'yes-square %u'"));
        applications.appendChild(application);
    }
    application.setAttribute(QStringLiteral("modified"), now);
    application.setAttribute(QStringLiteral("count"), application.attribute(QStringLiteral("count")).toInt() + 1);
    QSaveFile file{name};
    return QDir{}.mkpath(folder) && file.open(QIODevice::WriteOnly) && file.write(list.toByteArray(2)) > 0 &&
           file.commit();
}

} // namespace yes_square::app
