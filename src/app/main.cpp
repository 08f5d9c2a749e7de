#include "app/cut/cut_panel.hpp"
#include "app/fit/fit_panel.hpp"
#include "app/fixings/fixings_panel.hpp"
#include "app/practice/practice_dialog.hpp"
#include "app/sheets/sheet_writer.hpp"
#include "app/shell/main_window.hpp"
#include "app/shell/named_job.hpp"
#include "app/shell/signals.hpp"
#include "app/survey/survey_panel.hpp"
#include "app/wallside/wall_side.hpp"

#include <QApplication>
#include <QCommandLineParser>
#include <QDir>
#include <QEventLoop>
#include <QFileInfo>
#include <QIcon>
#include <QKeyEvent>
#include <QMessageBox>
#include <QSettings>
#include <QTextStream>
#include <QTimer>
#include <algorithm>
#include <memory>

using namespace yes_square;
using namespace yes_square::app;

namespace {

constexpr int bad_input = 2;

int fail(const QString& message) {
    QTextStream{stderr} << "yes-square: " << message << "\n";
    return bad_input;
}

struct Arguments {
    QString sheets;
    QString screenshot;
    QString stage;
    QString size;
    QString theme;
    QString unit;
    QString shelf;
    QString page;
    QString wall;
    QString practice;
    QString ask;
    QString type;
    QString wall_side;
    QString language;
    QStringList jobs;
    bool unattended() const { return !sheets.isEmpty() || !screenshot.isEmpty(); }
};

Arguments parse(const QStringList& words) {
    QCommandLineParser parser;
    parser.setApplicationDescription(QStringLiteral("Sets out cabinets and shelves on a wall."));
    parser.addHelpOption();
    parser.addVersionOption();
    const QCommandLineOption sheets{QStringLiteral("sheets"),
                                    QStringLiteral("Write the sheets of JOB into DIR and end."), QStringLiteral("DIR")};
    const QCommandLineOption screenshot{QStringLiteral("screenshot"),
                                        QStringLiteral("Write a picture of the window with JOB to FILE and end."),
                                        QStringLiteral("FILE")};
    const QCommandLineOption stage{QStringLiteral("stage"),
                                   QStringLiteral("survey, lines, layout, fixings, cut, fit or record."),
                                   QStringLiteral("NAME")};
    const QCommandLineOption size{QStringLiteral("size"), QStringLiteral("The window's size, such as 1280x800."),
                                  QStringLiteral("WxH")};
    const QCommandLineOption theme{QStringLiteral("theme"), QStringLiteral("light or dark."), QStringLiteral("NAME")};
    const QCommandLineOption unit{QStringLiteral("unit"),
                                  QStringLiteral("Show lengths in this unit: mm, cm, in/16, ft-in/16 and so on."),
                                  QStringLiteral("NAME")};
    const QCommandLineOption shelf{QStringLiteral("shelf"),
                                   QStringLiteral("Select the shelf, cabinet, bay or piece with this id."),
                                   QStringLiteral("ID")};
    const QCommandLineOption page{
        QStringLiteral("page"),
        QStringLiteral("The survey's page: wall, walk, drill, studs, level, face, services, room; or that of the "
                       "fixings: marks, drilling, holds, fix-with, noggings."),
        QStringLiteral("NAME")};
    const QCommandLineOption wall{QStringLiteral("wall"), QStringLiteral("Select the wall with this id."),
                                  QStringLiteral("ID")};
    const QCommandLineOption practice{
        QStringLiteral("practice"),
        QStringLiteral("With --screenshot: the practice wall of this number, a dozen holes on."), QStringLiteral("N")};
    const QCommandLineOption ask{QStringLiteral("ask"),
                                 QStringLiteral("With --screenshot: ask for this sum, such as bracket/2."),
                                 QStringLiteral("SUM")};
    const QCommandLineOption wall_side{
        QStringLiteral("wall-side"),
        QStringLiteral("With --screenshot: the wall-side mode of the selected wall, at its walk of this number."),
        QStringLiteral("N")};
    const QCommandLineOption type{QStringLiteral("type"),
                                  QStringLiteral("With --screenshot: the size of type, in pixels; 15 is usual."),
                                  QStringLiteral("PIXELS")};
    const QCommandLineOption lang{QStringLiteral("lang"),
                                  QStringLiteral("Speak this language: en or de; without it, what was chosen in the "
                                                 "window, or the desktop's."),
                                  QStringLiteral("CODE")};
    parser.addOptions(
        {sheets, screenshot, stage, size, theme, unit, shelf, page, wall, practice, ask, type, wall_side, lang});
    parser.addPositionalArgument(QStringLiteral("JOB"), QStringLiteral("A .yesq file."), QStringLiteral("[JOB]"));
    parser.process(words);
    QStringList paths;
    for (const QString& argument : parser.positionalArguments())
        paths << path_of(argument);
    return {parser.value(sheets),    parser.value(screenshot), parser.value(stage),
            parser.value(size),      parser.value(theme),      parser.value(unit),
            parser.value(shelf),     parser.value(page),       parser.value(wall),
            parser.value(practice),  parser.value(ask),        parser.value(type),
            parser.value(wall_side), parser.value(lang),       paths};
}

int write_sheets(const Job& job, const QString& folder, const QString& name) {
    if (!QDir{}.mkpath(folder))
        return fail(QStringLiteral("the folder %1 cannot be made").arg(folder));
    const Plan plan = reckon(job);
    for (const SheetSet& set : sheet_sets()) {
        const bool things = set == sheet_sets().front();
        if (!things && !set.of_the_day)
            continue;
        const QString path = QDir{folder}.filePath(things ? name + QStringLiteral(".pdf")
                                                          : QStringLiteral("%1-%2.pdf").arg(name, set.file_name));
        if (const QString problem = write_sheets_pdf(path, job, plan, set); !problem.isEmpty())
            return fail(problem);
        QTextStream{stdout} << path << "\n";
    }
    return 0;
}

/// Applies what the arguments say about the window. Error text, or empty.
QString set_up(MainWindow& window, const Arguments& arguments) {
    if (!arguments.size.isEmpty()) {
        const QStringList parts = arguments.size.split(QLatin1Char('x'));
        const QSize size = parts.size() == 2 ? QSize{parts[0].toInt(), parts[1].toInt()} : QSize{};
        if (size.width() < 320 || size.height() < 240 || size.width() > 8000 || size.height() > 8000)
            return QStringLiteral("--size %1 is no window size; write it as 1280x800").arg(arguments.size);
        window.setMinimumSize(320, 240);
        window.resize(size);
    }
    if (!arguments.theme.isEmpty()) {
        if (arguments.theme != QStringLiteral("light") && arguments.theme != QStringLiteral("dark"))
            return QStringLiteral("--theme %1 is not known; it is light or dark").arg(arguments.theme);
        window.set_theme(arguments.theme == QStringLiteral("dark") ? ThemeName::dark : ThemeName::light);
    }
    if (!arguments.wall.isEmpty()) {
        const auto& walls = window.bench().job().walls;
        const auto found = std::ranges::find(walls, arguments.wall.toStdString(), &Wall::id);
        if (found == walls.end())
            return QStringLiteral("there is no wall %1 in this job").arg(arguments.wall);
        window.bench().select_wall(static_cast<std::size_t>(found - walls.begin()));
    }
    if (!arguments.shelf.isEmpty()) {
        const std::string id = arguments.shelf.toStdString();
        window.bench().select(id);
        const Workbench& bench = window.bench();
        const bool there = (bench.shelf() && bench.shelf()->id == id) || (bench.unit() && bench.unit()->id == id) ||
                           (bench.bay() && bench.bay()->id == id) || bench.thing() == id;
        if (!there)
            return QStringLiteral("there is no shelf, cabinet or piece %1 in this job").arg(arguments.shelf);
    }
    if (!arguments.page.isEmpty()) {
        const auto survey = survey_page_from_name(arguments.page);
        const auto fixings = fixings_page_from_name(arguments.page);
        if (survey)
            window.survey().set_page(*survey);
        else if (fixings)
            window.fixings().set_page(*fixings);
        else if (!window.cutting().show_page(arguments.page) && !window.fit().show_page(arguments.page))
            return QStringLiteral(
                       "--page %1 is not known; it is wall, walk, drill, studs, level, face, services or room, "
                       "or marks, drilling, holds, fix-with or noggings, or parts, bench, stock, kit or delivery, or "
                       "steps, readings or days")
                .arg(arguments.page);
    }
    if (!arguments.stage.isEmpty()) {
        const auto stage = stage_from_name(arguments.stage);
        if (!stage)
            return QStringLiteral("--stage %1 is not known; it is survey, lines, layout, fixings, cut, fit or record")
                .arg(arguments.stage);
        window.set_stage(*stage);
    }
    return {};
}

/// No exception leaves a slot: what was asked for is not done, it is said why, and the window and its work stay.
class Application : public QApplication {
public:
    using QApplication::QApplication;
    bool notify(QObject* receiver, QEvent* event) override {
        try {
            return QApplication::notify(receiver, event);
        } catch (const std::exception& problem) {
            qCritical("not done: %s", problem.what());
            QMetaObject::invokeMethod(
                this,
                [why = QString::fromUtf8(problem.what())] {
                    QMessageBox box{QMessageBox::Warning, QStringLiteral("Yes Square"),
                                    QCoreApplication::translate("main",
                                                                "That could not be done: %1. The job is as it was; "
                                                                "please report this")
                                        .arg(why)};
                    box.setTextFormat(Qt::PlainText);
                    box.exec();
                },
                Qt::QueuedConnection);
            return false;
        }
    }
};

/// The window, or what is asked for in front of it, as a picture. @return the exit code
int take_picture(const Arguments& arguments, Job job) {
    if (!arguments.type.isEmpty()) {
        const int pixels = arguments.type.toInt();
        if (pixels < 8 || pixels > largest_type)
            return fail(
                QStringLiteral("--type %1 is no size of type; it is 8 to %2").arg(arguments.type).arg(largest_type));
        set_type(pixels);
    }
    MainWindow window;
    window.bench().start(std::move(job));
    if (const QString problem = set_up(window, arguments); !problem.isEmpty())
        return fail(problem);
    window.show();
    // Layouts settle over a few rounds of events, on a busy machine over more: until two looks are alike.
    const auto settle = [&window] {
        constexpr int look_ms = 150;
        constexpr int most_looks = 60;
        QImage seen;
        for (int look = 0; look < most_looks; ++look) {
            QEventLoop loop;
            QTimer::singleShot(look_ms, &loop, &QEventLoop::quit);
            loop.exec();
            const QImage now = window.grab().toImage();
            if (now == seen)
                return;
            seen = now;
        }
    };
    settle();
    if (!arguments.ask.isEmpty()) {
        window.bench().ask(arguments.ask.toStdString());
        settle();
    }
    QWidget* shown = &window;
    std::unique_ptr<PracticeDialog> practice;
    if (!arguments.practice.isEmpty()) {
        practice = std::make_unique<PracticeDialog>(
            arguments.practice.toULongLong(), window.bench().job().unit,
            theme(arguments.theme == QStringLiteral("dark") ? ThemeName::dark : ThemeName::light));
        practice->follow_advice(12);
        shown = practice.get();
        shown->show();
        QApplication::processEvents();
    }
    std::unique_ptr<WallSide> at_wall;
    if (!arguments.wall_side.isEmpty()) {
        at_wall.reset(window.wall_side());
        at_wall->setAttribute(Qt::WA_DeleteOnClose, false);
        shown = at_wall.get();
        shown->show();
        const auto press = [&](int key) {
            QKeyEvent event{QEvent::KeyPress, key, Qt::NoModifier};
            QApplication::sendEvent(shown, &event);
        };
        for (int walk = 1; walk < arguments.wall_side.toInt(); ++walk)
            press(Qt::Key_PageDown);
        if (at_wall->at_gate())
            for (const int key : {Qt::Key_1, Qt::Key_2, Qt::Key_3, Qt::Key_4, Qt::Key_Space})
                press(key);
        QApplication::processEvents();
    }
    if (!shown->grab().save(arguments.screenshot, "PNG"))
        return fail(QStringLiteral("%1 cannot be written").arg(arguments.screenshot));
    QTextStream{stdout} << arguments.screenshot << "\n";
    return 0;
}

} // namespace

int main(int argc, char** argv) {
    // Writing sheets or pictures, and saying what the program is, need no display.
    const auto needs_none = [](const QByteArray& word) {
        return word.startsWith("--sheets") || word.startsWith("--screenshot") || word == "--help" || word == "-h" ||
               word == "--help-all" || word == "--version" || word == "-v";
    };
    for (int i = 1; i < argc; ++i)
        if (const QByteArray word{argv[i]}; needs_none(word) && qEnvironmentVariableIsEmpty("DISPLAY") &&
                                            qEnvironmentVariableIsEmpty("WAYLAND_DISPLAY") &&
                                            qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM"))
            qputenv("QT_QPA_PLATFORM", "offscreen");
    Application application{argc, argv};
    QApplication::setApplicationName(QStringLiteral("yes-square"));
    QApplication::setOrganizationName(QStringLiteral("yes-square"));
    QApplication::setApplicationVersion(QStringLiteral(YES_SQUARE_VERSION));
    QApplication::setDesktopFileName(QStringLiteral("yes-square"));
    QApplication::setWindowIcon(QIcon::fromTheme(QStringLiteral("yes-square")));
    if (!use_our_font())
        return fail(QStringLiteral("the program's typeface is missing; install it again"));
    const Arguments arguments = parse(QApplication::arguments());
    if (!arguments.language.isEmpty() && !is_language(arguments.language))
        return fail(QStringLiteral("--lang %1 is not known; it is en or de").arg(arguments.language));
    speak(arguments.language.isEmpty() ? QSettings{}.value(QStringLiteral("language")).toString() : arguments.language);
    if (arguments.jobs.size() > 1)
        return fail(QStringLiteral("one job at a time"));

    if (!arguments.unattended()) {
        MainWindow window;
        window.restore_room();
        if (arguments.jobs.isEmpty())
            window.start();
        else if (!window.open(arguments.jobs.front()))
            window.start_untitled();
        if (const QString problem = set_up(window, arguments); !problem.isEmpty())
            return fail(problem);
        end_well_on_signals(window, [&window] { window.keep_work(); });
        window.show();
        return QApplication::exec();
    }

    if (arguments.jobs.isEmpty())
        return fail(QStringLiteral("name the job to work on"));
    auto job = read_named(arguments.jobs.front());
    if (!job)
        return fail(job.error());
    if (!arguments.unit.isEmpty()) {
        const auto unit = unit_from_file_name(arguments.unit.toStdString());
        if (!unit)
            return fail(QStringLiteral("--unit %1 is not known; it is mm, cm, in/16, ft-in/16 or the like")
                            .arg(arguments.unit));
        job->unit = *unit;
    }
    if (!arguments.sheets.isEmpty())
        if (const int failed =
                write_sheets(*job, arguments.sheets, QFileInfo{arguments.jobs.front()}.completeBaseName()))
            return failed;
    return arguments.screenshot.isEmpty() ? 0 : take_picture(arguments, std::move(*job));
}
