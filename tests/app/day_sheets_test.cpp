#include "app/sheets/sheet_writer.hpp"
#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"

#include <QFile>
#include <QImage>
#include <QProcess>
#include <QTemporaryDir>
#include <catch2/catch.hpp>

using namespace yes_square;
using namespace yes_square::app;

namespace {

Job demo() {
    QFile file{QStringLiteral(YES_SQUARE_SOURCE_DIR "/assets/demo/harbour-lane.yesq")};
    REQUIRE(file.open(QIODevice::ReadOnly));
    return read_job(file.readAll().toStdString())->job;
}

QString text_of(const QString& pdf) {
    QProcess process;
    process.start(QStringLiteral("pdftotext"), {QStringLiteral("-layout"), pdf, QStringLiteral("-")});
    REQUIRE(process.waitForFinished(60000));
    return QString::fromUtf8(process.readAllStandardOutput());
}

/// A page of a PDF at 254 dots to the inch: 10 to the mm.
QImage page_of(const QTemporaryDir& folder, const QString& pdf, int page) {
    QProcess process;
    process.start(QStringLiteral("pdftoppm"),
                  {QStringLiteral("-r"), QStringLiteral("254"), QStringLiteral("-gray"), QStringLiteral("-f"),
                   QString::number(page), QStringLiteral("-l"), QString::number(page), QStringLiteral("-singlefile"),
                   pdf, folder.filePath(QStringLiteral("page"))});
    REQUIRE(process.waitForFinished(60000));
    QImage image{folder.filePath(QStringLiteral("page.pgm"))};
    REQUIRE_FALSE(image.isNull());
    return image;
}

/// The longest dark stretch of any row between two heights, in pixels.
int longest_row(const QImage& image, int from, int to) {
    int longest = 0;
    for (int y = std::max(0, from); y < std::min(image.height(), to); ++y)
        for (int x = 0, run = 0; x < image.width(); ++x) {
            run = qGray(image.pixel(x, y)) < 128 ? run + 1 : 0;
            longest = std::max(longest, run);
        }
    return longest;
}

} // namespace

TEST_CASE("a template's check line is 100 mm long on paper, and its frame as wide as the page", "[day-sheets]") {
    const QTemporaryDir folder;
    Job job = demo();
    job.walls.resize(1);
    for (const Unit unit : {Unit::mm, Unit::inch_16}) {
        job.unit = unit;
        const QString path = folder.filePath(QStringLiteral("templates.pdf"));
        REQUIRE(write_sheets_pdf(path, job, reckon(job), sheet_set(u"templates")).isEmpty());
        const QImage page = page_of(folder, path, 1);
        // Under the frame there is one long level line: the check line.
        const int paper = page.height();
        const int frame = longest_row(page, paper / 12, paper * 3 / 4);
        const int wide = page.width() - 2 * 140; // margins of 14 mm
        CHECK(std::abs(frame - wide) <= 6);
        int lowest_long = 0;
        for (int y = paper * 3 / 4; y < paper; ++y)
            if (const int here = longest_row(page, y, y + 1); here > 900 && here < 1200)
                lowest_long = std::max(lowest_long, here);
        CHECK(std::abs(lowest_long - 1000) <= 5); // half a mm, the line's own ends among it
    }
}

TEST_CASE("holes of a template lie as far apart on paper as in the wall", "[day-sheets]") {
    const QTemporaryDir folder;
    Job job = demo();
    job.walls.resize(1);
    job.walls.front().shelves.resize(1);
    const Plan plan = reckon(job);
    const auto& holes = plan.walls.front()->shelves.front().holes;
    REQUIRE(holes.size() >= 2);
    const double apart = absolute(holes[0].z - holes[1].z).in_mm();
    REQUIRE(holes[0].x == holes[1].x);
    const QString path = folder.filePath(QStringLiteral("templates.pdf"));
    REQUIRE(write_sheets_pdf(path, job, plan, sheet_set(u"templates")).isEmpty());
    const QImage page = page_of(folder, path, 1);
    // Each hole has a level cross line of 8 mm and its width: rows where just that is dark.
    std::vector<int> rows;
    for (int y = page.height() / 10; y < page.height() * 9 / 10; ++y)
        if (const int here = longest_row(page, y, y + 1); here > 85 && here < 200)
            if (rows.empty() || y > rows.back() + 20)
                rows.push_back(y);
    bool found = false;
    for (const int a : rows)
        for (const int b : rows)
            found = found || std::abs(std::abs(a - b) - 10 * apart) <= 4;
    CHECK(found);
}

TEST_CASE("cut and kit, steps and hand-over read back what they should", "[day-sheets]") {
    const QTemporaryDir folder;
    const Job job = demo();
    const Plan plan = reckon(job);
    const auto words = [&](const SheetSet& set) {
        const QString path = folder.filePath(set.file_name + QStringLiteral(".pdf"));
        REQUIRE(write_sheets_pdf(path, job, plan, set).isEmpty());
        return text_of(path);
    };
    const QString cut = words(sheet_set(u"cut-and-kit"));
    for (const char* said : {"Cut and kit", "Kerf 3 mm", "Take along", "and 2 spare", "Detector", "side panel of"})
        CHECK(cut.contains(QString::fromLatin1(said)));
    const QString steps = words(sheet_set(u"steps"));
    for (const char* said :
         {"Router and saw schedule", "From its back edge", "housing, for shelf 1", "20 mm x 245 mm", "guards on"})
        CHECK(cut.contains(QString::fromLatin1(said)));
    for (const char* said : {"Steps of the whole job", "HOLD.", "switched off and proved dead", "Day plan", "Day 2",
                             "no schedule ends", "A helper is wanted on day 1", "left alone from day"})
        CHECK(steps.contains(QString::fromLatin1(said)));
    const QString over = words(sheet_set(u"hand-over"));
    for (const char* said : {"as built", "What holds it", "from memory", "Use and care", "Otherwise than planned",
                             "Floor boards end 14 mm short", "Nobody climbs", "to be put right", "Fitted by"})
        CHECK(over.contains(QString::fromLatin1(said)));
}

TEST_CASE("an empty job's sheets say so", "[day-sheets]") {
    const QTemporaryDir folder;
    const Job job = new_job();
    for (const SheetSet& set :
         {sheet_set(u"cut-and-kit"), sheet_set(u"steps"), sheet_set(u"templates"), sheet_set(u"hand-over")}) {
        const QString path = folder.filePath(QStringLiteral("empty.pdf"));
        REQUIRE(write_sheets_pdf(path, job, reckon(job), set).isEmpty());
        CHECK(text_of(path).size() > 20);
    }
}
