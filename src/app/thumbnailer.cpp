#include "app/bench/theme.hpp"
#include "app/board/painter.hpp"
#include "app/shell/named_job.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/small_wall.hpp"

#include <QApplication>
#include <QCommandLineParser>
#include <QImage>
#include <QTextStream>

/// Draws a job's fullest wall for a file manager.
using namespace yes_square;
using namespace yes_square::app;

namespace {

constexpr int bad_input = 2;
constexpr int largest = 4096; ///< pixels

int fail(const QString& message) {
    QTextStream{stderr} << "yes-square-thumbnailer: " << message << "\n";
    return bad_input;
}

/// As the wall is shaped, the longer side as long as asked for.
QImage picture_of(const Wall& wall, const WallPlan& plan, int pixels) {
    const double high = std::max(0.2, wall.height.in_metres());
    const double wide = std::max(0.2, wall.length.in_metres());
    const double scale = pixels / std::max(high, wide);
    QImage picture{std::max(1, qRound(wide * scale)), std::max(1, qRound(high * scale)), QImage::Format_RGB32};
    const Theme& light = theme(ThemeName::light);
    picture.fill(light.paper);
    constexpr double per_mm = 4;
    QPainter painter{&picture};
    painter.setRenderHint(QPainter::Antialiasing);
    paint(painter, draw_small_wall(wall, plan, picture.width() / per_mm, picture.height() / per_mm), light, per_mm);
    return picture;
}

} // namespace

int main(int argc, char** argv) {
    if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM"))
        qputenv("QT_QPA_PLATFORM", "offscreen");
    const QApplication application{argc, argv};
    QApplication::setApplicationName(QStringLiteral("yes-square-thumbnailer"));
    QApplication::setApplicationVersion(QStringLiteral(YES_SQUARE_VERSION));
    QCommandLineParser parser;
    parser.setApplicationDescription(QStringLiteral("Draws a small picture of a fitting job."));
    parser.addHelpOption();
    parser.addVersionOption();
    const QCommandLineOption size{QStringLiteral("size"), QStringLiteral("The longer side, in pixels."),
                                  QStringLiteral("PIXELS"), QStringLiteral("256")};
    parser.addOption(size);
    parser.addPositionalArgument(QStringLiteral("JOB"), QStringLiteral("A .yesq file."));
    parser.addPositionalArgument(QStringLiteral("PICTURE"), QStringLiteral("The PNG file to write."));
    parser.process(application);
    const QStringList names = parser.positionalArguments();
    if (names.size() != 2)
        return fail(QStringLiteral("name the job and the picture to write"));
    const int pixels = parser.value(size).toInt();
    if (pixels < 1 || pixels > largest)
        return fail(QStringLiteral("--size %1 is no size; it is 1 to %2").arg(parser.value(size)).arg(largest));
    const QString path = path_of(names[0]);
    const auto job = read_named(path);
    if (!job)
        return fail(job.error());
    const std::optional<std::size_t> wall = fullest_wall(*job);
    if (!wall)
        return fail(QStringLiteral("%1 has no wall yet").arg(path));
    const Plan plan = reckon(*job);
    if (!picture_of(job->walls[*wall], *plan.walls[*wall], pixels).save(names[1], "PNG"))
        return fail(QStringLiteral("%1 cannot be written").arg(names[1]));
    return 0;
}
