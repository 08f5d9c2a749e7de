#include "app/wallside/speech.hpp"

#include "language/language.hpp"

#include <QProcess>
#include <QStandardPaths>

namespace yes_square::app {

Speech::Speech() {
    for (const char* name : {"spd-say", "espeak-ng", "espeak"})
        if (program_.isEmpty())
            program_ = QStandardPaths::findExecutable(QString::fromLatin1(name));
}

void Speech::say(const QString& words) const {
    if (!available())
        return;
    if (program_.endsWith(QStringLiteral("spd-say")))
        QProcess::startDetached(program_, {QStringLiteral("--cancel")});
    const QString voice_option =
        program_.endsWith(QStringLiteral("spd-say")) ? QStringLiteral("-l") : QStringLiteral("-v");
    QProcess::startDetached(program_, {voice_option, spoken(), words});
}

} // namespace yes_square::app
