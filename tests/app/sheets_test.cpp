#include "../hall.hpp"
#include "app/sheets/revision.hpp"
#include "app/sheets/sheet_writer.hpp"
#include "core/reckon/reckon.hpp"
#include "driven_window.hpp"

#include <QDate>
#include <QPrinter>
#include <QProcess>
#include <QRegularExpression>
#include <set>

using namespace yes_square;
using namespace yes_square::app;

namespace {

Job demo() {
    QFile file{demo_path()};
    REQUIRE(file.open(QIODevice::ReadOnly));
    return read_job(file.readAll().toStdString())->job;
}

QString run(const QString& program, const QStringList& arguments, int& code) {
    QProcess process;
    process.setProcessChannelMode(QProcess::MergedChannels);
    process.start(program, arguments);
    REQUIRE(process.waitForFinished(30'000));
    code = process.exitCode();
    return QString::fromUtf8(process.readAll());
}

} // namespace

TEST_CASE("the sheets hold every mark, hole, drill, caution and step of every shelf", "[app][sheets]") {
    QTemporaryDir folder;
    const QString path = folder.filePath("sheets.pdf");
    const Job job = demo();
    const Plan plan = reckon(job);
    REQUIRE(write_sheets_pdf(path, job, plan).isEmpty());
    int code = 0;
    // The typeface joins f and i; compatibility form takes them apart again.
    const QString words =
        run("pdftotext", {"-layout", path, "-"}, code).normalized(QString::NormalizationForm_KC).simplified();
    REQUIRE(code == 0);
    for (std::size_t w = 0; w < plan.walls.size(); ++w)
        for (const ShelfPlan& shelf : plan.walls[w]->shelves) {
            CHECK(words.contains(QString::fromStdString(job.walls[w].name + ", " + shelf.name)));
            for (const PlannedHole& hole : shelf.holes) {
                CHECK(words.contains(QString::fromStdString(format(hole.x, job.unit))));
                CHECK(words.contains(QString::fromStdString(format(hole.z, job.unit))));
            }
        }
    CHECK(words.contains("Not fit to hang as it stands"));
    CHECK(words.contains("assumed stud at 2719 mm"));
    CHECK(words.contains("#10 wood screw, 63.5 mm"));
    CHECK(words.contains("Before you drill"));
    CHECK(words.contains("HOLD."));
    CHECK(words.contains("from memory"));

    const QString fonts = run("pdffonts", {path}, code);
    CHECK(fonts.contains("Roboto"));
}

TEST_CASE("a sheet tells heights from both floors where the floor is still to be laid", "[app][sheets][survey]") {
    QTemporaryDir folder;
    Job job = demo();
    const QString path = folder.filePath("sheets.pdf");
    REQUIRE(write_sheets_pdf(path, job, reckon(job)).isEmpty());
    int code = 0;
    const auto words = [&] { // the typeface joins f and l into one sign
        return run("pdftotext", {"-layout", path, "-"}, code).normalized(QString::NormalizationForm_KC).simplified();
    };
    const QString text = words();
    REQUIRE(code == 0);
    CHECK(text.contains("floor now"));
    CHECK(text.contains("From the floor as it is now that line is"));
    CHECK(text.contains("measure from the datum"));
    // Without layers and readings nothing is said of a second floor.
    for (Room& room : job.rooms)
        room.floor_layers.clear();
    for (Wall& wall : job.walls)
        wall.floor.clear();
    REQUIRE(write_sheets_pdf(path, job, reckon(job)).isEmpty());
    CHECK_FALSE(words().contains("floor now"));
}

TEST_CASE("the survey's pages, a wall and the practice wall are pictured without a display", "[app][program][survey]") {
    QTemporaryDir folder;
    int code = 0;
    const QString picture = folder.filePath("page.png");
    run(YES_SQUARE_APP,
        {"--screenshot", picture, "--stage", "survey", "--page", "room", "--wall", "wall-4", demo_path()}, code);
    CHECK(code == 0);
    CHECK(QImage{picture}.size() == QSize(1280, 800));
    run(YES_SQUARE_APP, {"--screenshot", picture, "--practice", "3", demo_path()}, code);
    CHECK(code == 0);
    CHECK_FALSE(QImage{picture}.isNull());
    CHECK(run(YES_SQUARE_APP, {"--screenshot", "x.png", "--page", "attic", demo_path()}, code).contains("services"));
    CHECK(code == 2);
    CHECK(run(YES_SQUARE_APP, {"--screenshot", "x.png", "--wall", "wall-77", demo_path()}, code).contains("wall-77"));
    CHECK(code == 2);
}

TEST_CASE("metric jobs print on A4 and imperial ones on Letter", "[app][sheets]") {
    QTemporaryDir folder;
    Job job = demo();
    int code = 0;
    REQUIRE(write_sheets_pdf(folder.filePath("a4.pdf"), job, reckon(job)).isEmpty());
    CHECK(run("pdfinfo", {folder.filePath("a4.pdf")}, code).contains("595 x 842"));
    job.unit = Unit::inch_16;
    REQUIRE(write_sheets_pdf(folder.filePath("letter.pdf"), job, reckon(job)).isEmpty());
    CHECK(run("pdfinfo", {folder.filePath("letter.pdf")}, code).contains("612 x 792"));
}

TEST_CASE("the program writes sheets and a picture without a display", "[app][program]") {
    QTemporaryDir folder;
    int code = 0;
    run(YES_SQUARE_APP, {"--sheets", folder.path(), demo_path()}, code);
    CHECK(code == 0);
    CHECK(QFile::exists(folder.filePath("harbour-lane.pdf")));
    const QString picture = folder.filePath("window.png");
    run(YES_SQUARE_APP, {"--screenshot", picture, "--stage", "fit", "--size", "1100x720", demo_path()}, code);
    CHECK(code == 0);
    CHECK(QImage{picture}.size() == QSize(1100, 720));
}

TEST_CASE("bad arguments end with 2 and say what would do", "[app][program]") {
    int code = 0;
    CHECK(run(YES_SQUARE_APP, {"--screenshot", "x.png", "--size", "big", demo_path()}, code).contains("1280x800"));
    CHECK(code == 2);
    CHECK(run(YES_SQUARE_APP, {"--screenshot", "x.png", "--stage", "lunch", demo_path()}, code).contains("survey"));
    CHECK(code == 2);
    CHECK(run(YES_SQUARE_APP, {"--sheets", "x", "/no/such/job.yesq"}, code).contains("cannot be read"));
    CHECK(code == 2);
}

TEST_CASE("the real window opens on a virtual display", "[app][program][xvfb]") {
    QTemporaryDir folder;
    int code = 0;
    const QString picture = folder.filePath("x.png");
    const QString said = run("xvfb-run",
                             {"-a", "-s", "-screen 0 1280x800x24", "env", "QT_QPA_PLATFORM=xcb", YES_SQUARE_APP,
                              "--screenshot", picture, "--size", "1280x800", demo_path()},
                             code);
    INFO(said.toStdString());
    CHECK(code == 0);
    const QImage image{picture};
    REQUIRE(image.size() == QSize(1280, 800));
    // Something is drawn: paper, ink and timber at the least.
    std::set<QRgb> colours;
    for (int x = 0; x < 1280; x += 4)
        for (int y = 0; y < 800; y += 4)
            colours.insert(image.pixel(x, y));
    CHECK(colours.size() > 20);
}

TEST_CASE("printing keeps the page range, and every page says which it is of how many", "[app][sheets][nothing-lost]") {
    DrivenWindow driven;
    driven.open_demo();
    const auto printed_pages = [&](int first, int last) {
        QPrinter printer{QPrinter::ScreenResolution};
        printer.setOutputFormat(QPrinter::PdfFormat);
        const QString path = driven.folder.filePath("range.pdf");
        printer.setOutputFileName(path);
        if (first > 0) {
            printer.setPrintRange(QPrinter::PageRange);
            printer.setFromTo(first, last);
        }
        driven.window.print_on(printer, sheet_set(u"cut-and-kit"));
        int code = 0;
        return run("pdftotext", {"-layout", path, "-"}, code).simplified();
    };
    const QString all = printed_pages(0, 0);
    REQUIRE(all.contains("Sheet 1 of "));
    CHECK(all.contains("Sheet 2 of "));
    CHECK(all.contains(QString::number(QDate::currentDate().year() % 100)));
    const QString second = printed_pages(2, 2);
    CHECK(second.contains("Sheet 2 of "));
    CHECK_FALSE(second.contains("Sheet 1 of "));
    CHECK_FALSE(second.contains("Sheet 3 of "));
}

TEST_CASE("every sheet says of which state of the job it is", "[app][sheets][nothing-lost]") {
    QTemporaryDir folder;
    Job job = demo();
    const QString first = revision_of(job);
    CHECK(first.size() == 6);
    job.ticks.push_back({"any", TickState::done, {}, {}, {}, {}});
    CHECK(revision_of(job) == first); // no figure of a sheet has changed
    for (const SheetSet& set : {sheet_sets().front(), sheet_set(u"templates"), sheet_set(u"hand-over")}) {
        const QString path = folder.filePath("state.pdf");
        REQUIRE(write_sheets_pdf(path, job, reckon(job), set).isEmpty());
        int code = 0;
        const QStringList pages = run("pdftotext", {"-layout", path, "-"}, code).split('\f', Qt::SkipEmptyParts);
        REQUIRE(pages.size() > 1);
        for (const QString& page : pages)
            CHECK(page.contains("Revision " + first));
    }
    job.walls.front().length += 1_mm;
    CHECK(revision_of(job) != first);
}

TEST_CASE("one shelf fits one page, its section beside the drilling, heights told from the level line too",
          "[app][sheets]") {
    QTemporaryDir folder;
    const QString path = folder.filePath("sheet.pdf");
    for (const char* kind : {"brackets", "keyholes", "hidden_rods", "fixture"}) {
        Job job = hall_with_shelf(900_mm);
        for (Bracket& bracket : job.catalogue.brackets)
            bracket.rating = Force::newtons(400);
        Shelf& shelf = job.walls.front().shelves.front();
        Shelf other = new_shelf(shelf_preset(kind), job.walls.front());
        other.id = shelf.id;
        other.name = shelf.name;
        other.left = 350_mm;
        shelf = other;
        const Plan plan = reckon(job);
        REQUIRE_FALSE(plan.walls.front()->shelves.front().holes.empty());
        REQUIRE(write_sheets_pdf(path, job, plan).isEmpty());
        int code = 0;
        const QStringList pages = run("pdftotext", {"-layout", path, "-"}, code)
                                      .normalized(QString::NormalizationForm_KC)
                                      .split(QChar::FormFeed);
        INFO(kind);
        CHECK(pages.filter("Hall wall, Shelf 1").filter("Steps").size() == 1);
        CHECK(pages.filter("continued").isEmpty());
        CHECK(pages.front().contains("level cut through the wall at"));
        // Every row by how far it is from the line that is struck.
        const ShelfPlan& of = plan.walls.front()->shelves.front();
        const Length line = of.lines.front().z;
        for (const PlannedHole& hole : of.holes) {
            const Length off = hole.z - line;
            const QString words = text(format(absolute(off), job.unit)) + (off < Length{} ? " under" : " over");
            CHECK((off == Length{} || pages.front().simplified().contains(words.simplified())));
        }
        CHECK_FALSE(pages.front().contains(QRegularExpression{"[0-9] N\\b"})); // newtons are for the working annex
    }
}
