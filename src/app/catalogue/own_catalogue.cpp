#include "app/catalogue/own_catalogue.hpp"

#include "app/bench/words.hpp"
#include "core/job/file.hpp"
#include "core/job/own_entries.hpp"

#include <QCoreApplication>
#include <QDir>
#include <QFileInfo>
#include <QSaveFile>
#include <QStandardPaths>

namespace yes_square::app {
namespace {} // namespace

QString own_catalogue_path() {
    return QDir{QStandardPaths::writableLocation(QStandardPaths::AppConfigLocation)}.filePath(
        QStringLiteral("own-fixings.json"));
}

Catalogue read_own_catalogue(QString& problem) {
    QFile file{own_catalogue_path()};
    if (!file.open(QIODevice::ReadOnly))
        return {};
    const auto read = read_catalogue(file.readAll().toStdString());
    if (read)
        return own_entries(*read);
    problem = tr("%1 cannot be read: %2. Your own fixings are left out of this job; the file is not touched.")
                  .arg(own_catalogue_path(), text(read.error().text()));
    return {};
}

QString write_own_catalogue(const Catalogue& catalogue) {
    QDir{}.mkpath(QFileInfo{own_catalogue_path()}.path());
    QSaveFile file{own_catalogue_path()};
    const QByteArray document = QByteArray::fromStdString(write_catalogue(own_entries(catalogue)));
    if (!file.open(QIODevice::WriteOnly) || file.write(document) != document.size() || !file.commit())
        return tr("%1 cannot be written: %2").arg(own_catalogue_path(), file.errorString());
    return {};
}

} // namespace yes_square::app
