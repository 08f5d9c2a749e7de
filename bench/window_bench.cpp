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

/// The window with the large job and one of its shelves in hand.
struct Scene {
    MainWindow window;
    Shelf shelf;

    explicit Scene(benchmark::State& state) {
        window.bench().start(large(static_cast<Mix>(state.range(0))));
        window.resize(1280, 800);
        window.show();
        window.set_stage(Stage::layout);
        shelf = window.bench().job().walls[20].shelves[7];
        window.bench().select(shelf.id);
        QApplication::processEvents();
    }
    ~Scene() { window.bench().undo_stack().setClean(); }
    /// There by 1 mm and back.
    MoveShelf next() {
        step_ = 1_mm - step_;
        return {shelf.id, shelf.left + step_, shelf.height};
    }

private:
    Length step_;
};

/// One shelf of the large job moved by 1 mm, until the window is painted again and at rest.
void edit_to_painted_frame(benchmark::State& state) {
    Scene scene{state};
    for (auto _ : state) {
        scene.window.bench().apply(QStringLiteral("move"), scene.next());
        QApplication::processEvents(); // paints what has changed
    }
}
BENCHMARK(edit_to_painted_frame)->Arg(0)->Arg(1)->ArgName("mix")->Unit(benchmark::kMillisecond)->UseRealTime();

/// The same as far as every panel has been told of it: what a drag does for each move of the hand before it paints.
void edit_told_to_all(benchmark::State& state) {
    Scene scene{state};
    for (auto _ : state)
        scene.window.bench().preview([&](Job& job) { job = apply(scene.next(), std::move(job)); });
    scene.window.bench().withdraw();
}
BENCHMARK(edit_told_to_all)->Arg(0)->Arg(1)->ArgName("mix")->Unit(benchmark::kMillisecond)->UseRealTime();

/// The wall alone, as it is painted after every edit.
void paint_the_wall(benchmark::State& state) {
    Scene scene{state};
    for (auto _ : state) {
        scene.window.board().fit(); // laid out anew
        scene.window.board().repaint();
    }
}
BENCHMARK(paint_the_wall)->Arg(0)->Unit(benchmark::kMillisecond)->UseRealTime();

} // namespace

int main(int argc, char** argv) {
    qputenv("QT_QPA_PLATFORM", "offscreen");
    const QTemporaryDir home; // the benches keep nothing
    qputenv("XDG_CONFIG_HOME", home.path().toUtf8());
    qputenv("XDG_DATA_HOME", home.path().toUtf8());
    QApplication application{argc, argv};
    if (!use_our_font())
        return 1;
    benchmark::Initialize(&argc, argv);
    benchmark::RunSpecifiedBenchmarks();
    return 0;
}
