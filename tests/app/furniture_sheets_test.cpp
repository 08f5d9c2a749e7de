#include "app/layout/layout_panel.hpp"
#include "app/sheets/sheet_writer.hpp"
#include "core/job/file.hpp"
#include "driven_window.hpp"

#include <QComboBox>
#include <QFile>
#include <QProcess>
#include <QTextBrowser>

using namespace yes_square;
using namespace yes_square::app;

namespace {

Job demo_job() {
    QFile file{demo_path()};
    REQUIRE(file.open(QIODevice::ReadOnly));
    return read_job(file.readAll().toStdString()).value().job;
}

QString printed(const Job& job, const SheetSet& set = sheet_sets().front()) {
    QTemporaryDir folder;
    const QString path = folder.filePath("sheets.pdf");
    REQUIRE(write_sheets_pdf(path, job, reckon(job), set).isEmpty());
    QProcess reader;
    reader.start(QStringLiteral("pdftotext"), {QStringLiteral("-layout"), path, QStringLiteral("-")});
    REQUIRE(reader.waitForFinished());
    return QString::fromUtf8(reader.readAllStandardOutput()).normalized(QString::NormalizationForm_KC).simplified();
}

} // namespace

TEST_CASE("the demo's sheets tell of its furniture: bays, cases, cut list, what was found",
          "[app][sheets][furniture]") {
    const QString words = printed(demo_job());
    for (const char* expected : {"Bays, left to right", "Shelves and rods, from the top", "to its middle cut to",
                                 "pins in hole", "Cleats: screws in studs", "loose shelf of", "Verdict: not safe",
                                 "Verdict: held", "Held by screws through its frame", "Cut list", "lies in the rebates",
                                 "Verdict: to be emptied", "What could tip, and what holds it", "Handed over on"})
        CHECK(words.contains(expected));
    // A sheet with an error says that it is wrong before anything else.
    CHECK(words.contains("WRONG: Chest of drawers tips"));
    // What a lift asks of hands stands under its step.
    CHECK(words.contains("a jack, a ledger or a prop bears it"));
    // The pull test is a hold point, the panel is not let go.
    CHECK(words.contains("HOLD. Pull at its top with its drawers and doors open"));
    CHECK(words.contains("until one screw through the cleat"));
}

TEST_CASE("part labels and inventory come alone when they are asked for, in the job's unit",
          "[app][sheets][furniture]") {
    Job job = demo_job();
    job.unit = Unit::inch_16;
    const QString labels = printed(job, sheet_set(u"part-labels"));
    CHECK(labels.contains("Shoes and"));
    CHECK_FALSE(labels.contains("Before you drill"));
    CHECK(labels.contains("89 3/4 in")); // panels of 2280 mm
    const QString inventory = printed(job, sheet_set(u"inventory"));
    CHECK(inventory.contains("Tall bookcase"));
    CHECK(inventory.contains("lb")); // what each place must hold
    CHECK_FALSE(inventory.contains("Wardrobe return, bay"));
    // A job without furniture says so instead of printing an empty page.
    for (Wall& wall : job.walls) {
        wall.systems.clear();
        wall.pieces.clear();
        wall.runs.clear();
        wall.shelves.clear();
        wall.boxes.clear();
        wall.hung.clear();
    }
    CHECK(printed(job, sheet_set(u"part-labels")).contains("Nothing in this job is cut"));
    CHECK(printed(job, sheet_set(u"inventory")).contains("Nothing in this job is so tall"));
}

TEST_CASE("the fit stage tells the steps of whatever is selected, tipping cautions before them", "[app][furniture]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.window.set_stage(Stage::fit);
    const auto steps = [&] { return driven.steps_of_selected(); };
    driven.bench().select("piece-2");
    CHECK(steps().contains("Tall bookcase"));
    CHECK(steps().contains("it falls faster than one can step aside"));
    driven.bench().select("box-1");
    CHECK(steps().contains("Wax or grease"));
    driven.bench().select("hung-1");
    CHECK(steps().contains("Empty Old toy cabinet now"));
    driven.bench().select("system-2");
    CHECK(steps().contains("Lean the waiting panels"));
}

TEST_CASE("furniture stays readable small, in inches and in the dark", "[app][look][furniture]") {
    DrivenWindow driven{QSize{1024, 700}};
    driven.open_demo();
    driven.window.set_theme(ThemeName::dark);
    driven.window.set_stage(Stage::layout);
    driven.bench().edit("inches", [](Job& job) { job.unit = Unit::inch_16; });
    for (const char* id : {"system-1", "piece-1", "box-1", "hung-1"}) {
        driven.bench().select(id);
        QTest::qWait(1);
        CHECK(driven.bench().thing() == id);
        // No form is wider than the room it has: nothing is cut off at its right.
        INFO(id);
        const LayoutPanel& panel = driven.window.layout_panel();
        CHECK(panel.minimumSizeHint().width() <= panel.width());
        CHECK(panel.parentWidget()->parentWidget()->width() >= panel.parentWidget()->width());
        CHECK_FALSE(driven.window.grab().isNull());
    }
    driven.window.set_theme(ThemeName::light);
}
