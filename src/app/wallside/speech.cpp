#include "app/wallside/speech.hpp"

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
    QProcess::startDetached(program_, {words});
}

} // namespace yes_square::app
