#include "app/record/photos.hpp"

#include "app/bench/words.hpp"
#include "files/beside_job.hpp"

#include <QCryptographicHash>
#include <QDir>
#include <QFile>
#include <QFileInfo>

namespace yes_square::app {
namespace {

QByteArray hash_of(const QString& path) {
    QFile file{path};
    QCryptographicHash hash{QCryptographicHash::Sha256};
    if (!file.open(QIODevice::ReadOnly) || !hash.addData(&file))
        return {};
    return hash.result().toHex();
}

/// Whether a file or folder lies under the job's own folder: links that lead out of it are not followed.
bool is_beside(const QString& job_path, const QString& path) {
    const QString home = QFileInfo{job_path}.dir().canonicalPath();
    const QString found = QFileInfo{path}.canonicalFilePath();
    return !home.isEmpty() && found.startsWith(home.endsWith(QLatin1Char('/')) ? home : home + QLatin1Char('/'));
}

} // namespace

QString photo_folder(const QString& job_path) {
    return text(yes_square::photo_folder(job_path.toStdString()));
}

tl::expected<LogEntry, QString> attach_photo(const QString& job_path, const QString& photo) {
    if (job_path.isEmpty())
        return tl::unexpected{tr("Save the job first: photos are kept in a folder beside it")};
    const QByteArray hash = hash_of(photo);
    if (hash.isEmpty())
        return tl::unexpected{tr("%1 cannot be read").arg(photo)};
    const QDir folder{photo_folder(job_path)};
    if (!folder.mkpath(QStringLiteral(".")))
        return tl::unexpected{tr("The folder %1 cannot be made").arg(folder.path())};
    if (!is_beside(job_path, folder.path()))
        return tl::unexpected{tr("%1 leads out of the job's folder: make it a folder").arg(folder.path())};
    const QFileInfo file{photo};
    QString name = file.fileName();
    // The same picture twice needs no second copy.
    for (int number = 2; QFile::exists(folder.filePath(name)) && hash_of(folder.filePath(name)) != hash; ++number)
        name = QStringLiteral("%1-%2.%3").arg(file.completeBaseName()).arg(number).arg(file.suffix());
    if (!QFile::exists(folder.filePath(name)) &&
        (!QFile::copy(photo, folder.filePath(name)) || hash_of(folder.filePath(name)) != hash)) {
        QFile::remove(folder.filePath(name));
        return tl::unexpected{tr("%1 could not be copied whole to %2. Is the disk full?").arg(photo, folder.path())};
    }
    LogEntry entry;
    entry.kind = LogKind::photo;
    entry.file = name.toStdString();
    entry.sha256 = hash.toStdString();
    return entry;
}

QStringList check_photos(const QString& job_path, const Job& job) {
    QStringList wrong;
    const QDir folder{photo_folder(job_path)};
    for (const LogEntry& entry : job.log) {
        if (entry.kind != LogKind::photo)
            continue;
        const QString path = folder.filePath(text(entry.file));
        if (QFile::exists(path) && !is_beside(job_path, path)) {
            wrong << tr("%1 leads out of the job's folder and was not looked at").arg(text(entry.file));
            continue;
        }
        const QByteArray now = hash_of(path);
        if (now.isEmpty())
            wrong << tr("%1 is not in %2 any more").arg(text(entry.file), folder.path());
        else if (now != QByteArray::fromStdString(entry.sha256))
            wrong << tr("%1 has been changed since it was attached").arg(text(entry.file));
    }
    return wrong;
}

} // namespace yes_square::app
