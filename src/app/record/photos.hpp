#pragma once

#include "core/job/job.hpp"

#include <QString>
#include <QStringList>
#include <tl/expected.hpp>

/// Photos are kept as files in a folder beside the job; the job names them and knows their hash.
namespace yes_square::app {

/// "harbour-lane photos", beside the job.
QString photo_folder(const QString& job_path);

/// Copies a photo into the folder and gives the log's line for it, unsigned. A name that is taken gets a number. On
/// failure says why.
tl::expected<LogEntry, QString> attach_photo(const QString& job_path, const QString& photo);

/// A line for each photo that is gone or no longer what was attached; empty: all are as they were.
QStringList check_photos(const QString& job_path, const Job& job);

} // namespace yes_square::app
