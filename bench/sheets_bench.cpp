#include "app/bench/theme.hpp"
#include "app/bench/workbench.hpp"
#include "app/sheets/sheet_writer.hpp"
#include "core/job/file.hpp"
#include "core/reckon/reckon.hpp"

#include <QApplication>
#include <QTemporaryDir>
#include <benchmark/benchmark.h>
#include <fstream>
#include <sstream>
#include <unistd.h>

using namespace yes_square;
using namespace yes_square::app;

/// The sheets of the whole demo as PDF, set by set; and what many edits take to remember.
namespace {

Job demo() {
    std::ifstream file{YES_SQUARE_SOURCE_DIR "/assets/demo/harbour-lane.yesq"};
    std::ostringstream text;
    text << file.rdbuf();
    return read_job(text.str()).value().job;
}

/// 2,000 edits of the demo one after another, and what remembering them takes.
void edits_2000(benchmark::State& state) {
    const auto resident_mb = [] {
        std::ifstream pages{"/proc/self/statm"};
        double whole = 0;
        double resident = 0;
        pages >> whole >> resident;
        return resident * static_cast<double>(sysconf(_SC_PAGESIZE)) / (1 << 20);
    };
    for (auto _ : state) {
        Workbench bench;
        bench.start(demo());
        const double before = resident_mb();
        for (int i = 0; i < 2000; ++i)
            bench.edit(QStringLiteral("move"), [&](Job& job) {
                Wall& wall = job.walls[static_cast<std::size_t>(i) % 2];
                wall.shelves.front().left += i % 4 < 2 ? 1_mm : -1_mm;
            });
        state.counters["MB"] = resident_mb() - before;
    }
}
BENCHMARK(edits_2000)->Unit(benchmark::kMillisecond)->Iterations(1);

void sheets_of_demo(benchmark::State& state) {
    const Job job = demo();
    const Plan plan = reckon(job);
    const QTemporaryDir folder;
    const SheetSet& set = sheet_sets()[static_cast<std::size_t>(state.range(0))];
    for (auto _ : state)
        if (!write_sheets_pdf(folder.filePath(QStringLiteral("sheets.pdf")), job, plan, set).isEmpty())
            state.SkipWithError("not written");
    state.SetLabel(set.file_name.toStdString());
}
// Every one of the list: sheets, cut and kit, steps, templates, part labels, inventory, hand-over.
BENCHMARK(sheets_of_demo)->DenseRange(0, 7)->Unit(benchmark::kMillisecond);

} // namespace

int main(int argc, char** argv) {
    qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication application{argc, argv};
    if (!use_our_font())
        return 1;
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    return 0;
}
