#include "app/bench/theme.hpp"
#include "app/board/board_view.hpp"
#include "app/shell/main_window.hpp"
#include "core/job/edits.hpp"
#include "large_job.hpp"

#include <QApplication>
#include <QTemporaryDir>
#include <benchmark/benchmark.h>

using namespace yes_square;
using namespace yes_square::app;

/// What a hand waits for: the window, and the wall after an edit.
namespace {

void show(MainWindow& window, const Job& job) {
    window.bench().start(job);
    window.resize(1280, 800);
    window.show();
    QApplication::processEvents();
}

/// One shelf of the large job moved by 1 mm, until the window is painted again and at rest.
void edit_to_painted_frame(benchmark::State& state) {
    MainWindow window;
    show(window, large(static_cast<Mix>(state.range(0))));
    window.set_stage(Stage::layout);
    const Shelf shelf = window.bench().job().walls[20].shelves[7];
    window.bench().select(shelf.id);
    QApplication::processEvents();
    Length step = 1_mm;
    for (auto _ : state) {
        window.bench().apply(QStringLiteral("move"), MoveShelf{shelf.id, shelf.left + step, shelf.height});
        QApplication::processEvents();
        window.board().repaint();
        step = 1_mm - step;
    }
    window.bench().undo_stack().setClean();
}
BENCHMARK(edit_to_painted_frame)->Arg(0)->Arg(1)->ArgName("mix")->Unit(benchmark::kMillisecond)->UseRealTime();

/// The same as far as every panel has been told of it: what a drag does for each move of the hand before it paints.
void edit_told_to_all(benchmark::State& state) {
    MainWindow window;
    show(window, large(static_cast<Mix>(state.range(0))));
    window.set_stage(Stage::layout);
    const Shelf shelf = window.bench().job().walls[20].shelves[7];
    window.bench().select(shelf.id);
    QApplication::processEvents();
    Length step = 1_mm;
    for (auto _ : state) {
        window.bench().preview([&](Job& job) {
            job = apply(MoveShelf{shelf.id, shelf.left + step, shelf.height}, std::move(job));
        });
        step = 1_mm - step;
    }
    window.bench().withdraw();
    window.bench().undo_stack().setClean();
}
BENCHMARK(edit_told_to_all)->Arg(0)->Arg(1)->ArgName("mix")->Unit(benchmark::kMillisecond)->UseRealTime();

/// The wall alone, as it is painted after every edit.
void paint_the_wall(benchmark::State& state) {
    MainWindow window;
    show(window, large(Mix::usual));
    window.bench().select_wall(20);
    for (auto _ : state) {
        window.board().fit(); // laid out anew
        window.board().repaint();
    }
    window.bench().undo_stack().setClean();
}
BENCHMARK(paint_the_wall)->Unit(benchmark::kMillisecond)->UseRealTime();

} // namespace

int main(int argc, char** argv) {
    qputenv("QT_QPA_PLATFORM", "offscreen");
    const QTemporaryDir home; // the benches keep nothing
    qputenv("XDG_CONFIG_HOME", home.path().toUtf8());
    qputenv("XDG_DATA_HOME", home.path().toUtf8());
    QApplication application{argc, argv};
    if (!use_bundled_font())
        return 1;
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    return 0;
}
