#pragma once

#include "app/bench/words.hpp"
#include "core/job/file.hpp"

#include <QFile>
#include <QUrl>
#include <tl/expected.hpp>

/// A job that the command line names.
namespace yes_square::app {

/// File managers and browsers give a file:// address.
inline QString path_of(const QString& argument) {
    return argument.startsWith(QStringLiteral("file://")) ? QUrl{argument}.toLocalFile() : argument;
}

/// The job in a file, or what is wrong with it and where.
inline tl::expected<Job, QString> read_named(const QString& path) {
    QFile file{path};
    if (!file.open(QIODevice::ReadOnly))
        return tl::unexpected{QStringLiteral("%1 cannot be read: %2").arg(path, file.errorString())};
    auto loaded = read_job(file.readAll().toStdString());
    if (!loaded)
        return tl::unexpected{QStringLiteral("%1: %2").arg(path, text(loaded.error().text()))};
    return std::move(loaded->job);
}

} // namespace yes_square::app
