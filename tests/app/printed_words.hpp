#pragma once

#include <QProcess>
#include <QString>
#include <catch2/catch.hpp>

namespace yes_square::app {

/// What a printed file says, read back from it as text.
inline QString printed_words(const QString& path) {
    QProcess process;
    process.start("pdftotext", {"-layout", path, "-"});
    REQUIRE(process.waitForFinished(30'000));
    return QString::fromUtf8(process.readAllStandardOutput()).normalized(QString::NormalizationForm_KC).simplified();
}

} // namespace yes_square::app
