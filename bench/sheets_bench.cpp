#include "app/sheets/sheet_writer.hpp"
#include "app/shell/theme.hpp"
#include "core/job/file.hpp"
#include "core/plan/reckon.hpp"

#include <QApplication>
#include <QTemporaryDir>
#include <benchmark/benchmark.h>
#include <fstream>
#include <sstream>

using namespace yes_square;
using namespace yes_square::app;

/// The sheets of the whole demo as PDF, set by set.
namespace {

void sheets_of_demo(benchmark::State& state) {
    std::ifstream file{YES_SQUARE_SOURCE_DIR "/assets/demo/harbour-lane.yesq"};
    std::ostringstream text;
    text << file.rdbuf();
    const Job job = read_job(text.str()).value().job;
    const Plan plan = reckon(job);
    const QTemporaryDir folder;
    const auto set = static_cast<SheetSet>(state.range(0));
    for (auto _ : state)
        if (!write_sheets_pdf(folder.filePath(QStringLiteral("sheets.pdf")), job, plan, set).isEmpty())
            state.SkipWithError("not written");
    state.SetLabel(file_name(set).toStdString());
}
BENCHMARK(sheets_of_demo)
    ->Arg(static_cast<int>(SheetSet::all))
    ->Arg(static_cast<int>(SheetSet::cut_and_kit))
    ->Arg(static_cast<int>(SheetSet::steps))
    ->Arg(static_cast<int>(SheetSet::templates))
    ->Arg(static_cast<int>(SheetSet::hand_over))
    ->Unit(benchmark::kMillisecond);

} // namespace

int main(int argc, char** argv) {
    qputenv("QT_QPA_PLATFORM", "offscreen");
    QApplication application{argc, argv};
    if (!use_bundled_font())
        return 1;
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    return 0;
}
