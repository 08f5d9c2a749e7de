// Labels as they come out of the printer: read back by a reader of codes.
#include "app/bench/words.hpp"
#include "app/sheets/sheet_writer.hpp"
#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"
#include "core/sheets/labels.hpp"
#include "driven_window.hpp"

#include <QFile>
#include <QProcess>
#include <QRegularExpression>

using namespace yes_square;
using namespace yes_square::app;

namespace {

QByteArray run(const QString& program, const QStringList& arguments) {
    QProcess process;
    process.start(program, arguments);
    REQUIRE(process.waitForFinished(120'000));
    return process.readAllStandardOutput();
}

/// The texts of all codes on a page, as zbar reads them off the paper at 300 dots an inch.
QStringList read_codes(const QTemporaryDir& folder, const QString& pdf, int number = 1) {
    const QString page = folder.filePath("page");
    QFile::remove(page + ".png");
    const QString of_it = QString::number(number);
    run("pdftoppm", {"-r", "300", "-gray", "-f", of_it, "-l", of_it, "-singlefile", "-png", pdf, page});
    const QByteArray xml = run("zbarimg", {"--quiet", "--xml", "--nodbus", page + ".png"});
    QStringList texts;
    const QString all = QString::fromUtf8(xml);
    static const QRegularExpression data{QStringLiteral("<data><!\\[CDATA\\[(.*?)\\]\\]></data>"),
                                         QRegularExpression::DotMatchesEverythingOption};
    for (auto found = data.globalMatch(all); found.hasNext();)
        texts << found.next().captured(1);
    return texts;
}

} // namespace

TEST_CASE("a reader finds the words of each label in its code", "[app][labels]") {
    QTemporaryDir folder;
    QFile file{demo_path()};
    REQUIRE(file.open(QIODevice::ReadOnly));
    Job job = read_job(file.readAll().toStdString()).value().job;
    const Plan plan = reckon(job);
    const QString pdf = folder.filePath("labels.pdf");
    for (const LabelSheet sheet : {LabelSheet::cut_out, LabelSheet::a4_3x8, LabelSheet::letter_3x10}) {
        job.head.labels = sheet;
        for (const char16_t* set : {u"part-labels", u"load-labels"}) {
            REQUIRE(write_sheets_pdf(pdf, job, plan, sheet_set(set)).isEmpty());
            const bool parts = QStringView{set} == u"part-labels";
            QStringList wanted;
            for (const Label& label :
                 parts ? part_labels(job, plan, voice(job.unit)) : load_labels(job, plan, voice(job.unit)))
                wanted << QString::fromStdString(label.code());
            const QStringList read = read_codes(folder, pdf);
            INFO(read.size() << " of " << wanted.size() << " on paper " << static_cast<int>(sheet));
            CHECK(read.size() >= std::min<qsizetype>(10, wanted.size()));
            for (const QString& text : read)
                CHECK(std::ranges::any_of(wanted, [&](const QString& each) { return each.startsWith(text); }));
        }
    }
}

TEST_CASE("the card of a unit's back says its holes to a telephone", "[app][labels]") {
    QTemporaryDir folder;
    QFile file{demo_path()};
    REQUIRE(file.open(QIODevice::ReadOnly));
    Job job = read_job(file.readAll().toStdString()).value().job;
    // Its sheets alone: one wall with one run.
    std::erase_if(job.walls, [](const Wall& wall) { return wall.runs.empty() || wall.open_floor(); });
    job.walls.resize(1);
    Wall& wall = job.walls.front();
    wall.runs.resize(1);
    wall.shelves.clear();
    wall.feeds.clear();
    wall.hung.clear();
    const Plan plan = reckon(job);
    const RunPlan& run = plan.walls.front()->runs.front();
    QStringList wanted;
    for (std::size_t i = 0; i < run.units.size(); ++i)
        if (!run.units[i].holes.empty() && !run.units[i].on_plates)
            wanted << QString::fromStdString(
                card_label(wall.name, wall.runs.front().units[i], run.units[i], voice(job.unit)).code());
    REQUIRE_FALSE(wanted.isEmpty());
    const QString pdf = folder.filePath("sheets.pdf");
    REQUIRE(write_sheets_pdf(pdf, job, plan, sheet_set(u"sheets")).isEmpty());
    QStringList read;
    for (int page = 1; page <= 12; ++page)
        read << read_codes(folder, pdf, page);
    for (const QString& words : wanted) {
        INFO(words.toStdString());
        CHECK(
            std::ranges::any_of(read, [&](const QString& each) { return !each.isEmpty() && words.startsWith(each); }));
    }
}
