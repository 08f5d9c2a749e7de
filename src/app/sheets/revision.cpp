#include "app/sheets/revision.hpp"

#include "core/job/file.hpp"

#include <QCryptographicHash>

namespace yes_square::app {

QString revision_of(Job job) {
    constexpr qsizetype shown = 6;
    job.ticks.clear();
    job.log.clear();
    const QByteArray hash =
        QCryptographicHash::hash(QByteArray::fromStdString(write_job(job)), QCryptographicHash::Sha256);
    return QString::fromLatin1(hash.toHex().left(shown).toUpper());
}

} // namespace yes_square::app
