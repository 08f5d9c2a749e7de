// A simulated wall scanner: swept along a hidden wall from the reference end, it shows the middle of each stud it
// thinks it meets, now and then where there is none, and a cable it passes.

#include "core/survey/hidden_wall.hpp"
#include "standins/device_server.hpp"

#include <QCommandLineParser>
#include <QCoreApplication>
#include <QTextStream>
#include <algorithm>

using namespace yes_square;
using namespace yes_square::standins;

namespace {

constexpr double limit_mm = 10;    ///< its stated limit of error
constexpr double true_share = 0.9; ///< of its middles that are a stud's

/// What the scanner shows along the wall, in order.
QList<QByteArray> sweep(std::uint64_t seed, Length length) {
    std::mt19937_64 random{seed};
    HiddenWallMix mix;
    mix.length = length;
    const HiddenWall hidden = make_hidden_wall(random, mix);
    std::normal_distribution<double> off{0, limit_mm / 2};
    std::uniform_real_distribution<double> anywhere{0, length.in_mm()};
    std::uniform_real_distribution<double> chance{0, 1};
    struct Shown {
        double x;
        QByteArray line;
    };
    std::vector<Shown> shown;
    for (const HiddenStud& stud : hidden.studs) {
        const double x = std::clamp(chance(random) < true_share ? stud.centre.in_mm() + off(random) : anywhere(random),
                                    0.0, length.in_mm());
        shown.push_back({x, "STUD " + QByteArray::number(x, 'f', 1) + " " + QByteArray::number(limit_mm, 'f', 1)});
    }
    const double cable = anywhere(random);
    shown.push_back({cable, "CABLE " + QByteArray::number(cable, 'f', 1) + " 15.0"});
    std::ranges::sort(shown, {}, &Shown::x);
    QList<QByteArray> lines;
    for (const Shown& one : shown)
        lines << one.line;
    return lines;
}

} // namespace

int main(int argc, char** argv) {
    QCoreApplication application{argc, argv};
    QCoreApplication::setApplicationVersion(QStringLiteral(YES_SQUARE_VERSION));
    QCommandLineParser parser;
    parser.setApplicationDescription(QStringLiteral(
        "A simulated wall scanner. Enter moves it on to what it shows next; any other line is sent as it stands."));
    parser.addHelpOption();
    parser.addVersionOption();
    const QCommandLineOption socket{QStringLiteral("socket"), QStringLiteral("Name of its local socket."),
                                    QStringLiteral("NAME"), in_own_folder("yes-square-scanner")};
    const QCommandLineOption seed{QStringLiteral("seed"), QStringLiteral("Which hidden wall it runs over."),
                                  QStringLiteral("N"), QStringLiteral("1")};
    const QCommandLineOption length{QStringLiteral("length"), QStringLiteral("How long the wall is, mm."),
                                    QStringLiteral("MM"), QStringLiteral("3600")};
    const QCommandLineOption every{QStringLiteral("every"), QStringLiteral("Move on every so many ms."),
                                   QStringLiteral("MS")};
    parser.addOptions({socket, seed, length, every});
    parser.process(application);
    const int mm = parser.value(length).toInt();
    if (mm < 500 || mm > 50'000) {
        QTextStream{stderr} << "yes-square-scanner: --length " << parser.value(length)
                            << " must be from 500 to 50000\n";
        return 2;
    }
    const QList<QByteArray> lines = sweep(parser.value(seed).toULongLong(), Length::mm(mm));
    qsizetype next = 0;
    DeviceServer device{QStringLiteral("wall-scanner"), QStringLiteral("Simulated wall scanner"),
                        [&] { return next < lines.size() ? lines[next++] : QByteArray{"END"}; }};
    return serve(device, QStringLiteral("yes-square-scanner"), parser.value(socket), parser.value(every));
}
