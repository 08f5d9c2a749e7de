// A simulated laser measure: its button (Enter on standard input) or MEASURE sends the next distance.

#include "standins/device_server.hpp"

#include <QCommandLineParser>
#include <QCoreApplication>
#include <QTextStream>

using namespace yes_square::standins;

int main(int argc, char** argv) {
    QCoreApplication application{argc, argv};
    QCoreApplication::setApplicationVersion(QStringLiteral(YES_SQUARE_VERSION));
    QCommandLineParser parser;
    parser.setApplicationDescription(QStringLiteral(
        "A simulated laser measure. Enter sends the next distance; any other line is sent as it stands."));
    parser.addHelpOption();
    parser.addVersionOption();
    const QCommandLineOption socket{QStringLiteral("socket"), QStringLiteral("Name of its local socket."),
                                    QStringLiteral("NAME"), in_own_folder("yes-square-laser")};
    const QCommandLineOption distances{QStringLiteral("distances"),
                                       QStringLiteral("Distances in mm, sent in turn, such as 412,812.5."),
                                       QStringLiteral("LIST"), QStringLiteral("1014,1012,1010,1010.5,1012")};
    const QCommandLineOption every{QStringLiteral("every"), QStringLiteral("Press its button every so many ms."),
                                   QStringLiteral("MS")};
    parser.addOptions({socket, distances, every});
    parser.process(application);

    QStringList readings = parser.value(distances).split(QLatin1Char(','), Qt::SkipEmptyParts);
    for (const QString& reading : readings) {
        bool readable = false;
        if (reading.toDouble(&readable) < 0 || !readable) {
            QTextStream{stderr} << "yes-square-laser: --distances \"" << reading << "\" is no distance in mm\n";
            return 2;
        }
    }
    if (readings.isEmpty()) {
        QTextStream{stderr} << "yes-square-laser: --distances names none; write them as 412,812.5\n";
        return 2;
    }
    qsizetype next = 0;
    DeviceServer device{QStringLiteral("laser-measure"), QStringLiteral("Simulated laser measure"),
                        [&] { return "DISTANCE " + readings[next++ % readings.size()].toUtf8() + " 1.5"; }};
    return serve(device, QStringLiteral("yes-square-laser"), parser.value(socket), parser.value(every));
}
