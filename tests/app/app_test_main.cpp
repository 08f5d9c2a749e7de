#define CATCH_CONFIG_RUNNER
#include "app/bench/theme.hpp"
#include "language/language.hpp"

#include <QApplication>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <catch2/catch.hpp>

int main(int argc, char** argv) {
    if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM"))
        qputenv("QT_QPA_PLATFORM", "offscreen");
    // Each run has settings and data of its own, so that runs side by side do not meet.
    QTemporaryDir home;
    qputenv("XDG_CONFIG_HOME", home.path().toUtf8());
    qputenv("XDG_DATA_HOME", home.path().toUtf8());
    if (qEnvironmentVariableIsEmpty("XDG_RUNTIME_DIR"))
        qputenv("XDG_RUNTIME_DIR", home.path().toUtf8());
    QApplication application{argc, argv};
    QApplication::setApplicationName("yes-square-tests");
    QApplication::setOrganizationName("yes-square-tests");
    if (!yes_square::app::use_our_font())
        return 1;
    yes_square::speak(QStringLiteral("en"));
    return Catch::Session().run(argc, argv);
}
