#include "app/fit/fit_panel.hpp"
#include "app/layout/layout_panel.hpp"
#include "app/record/record_panel.hpp"
#include "at_wall.hpp"
#include "driven_window.hpp"

#include <QComboBox>
#include <QPushButton>
#include <QTableWidget>

using namespace yes_square;
using namespace yes_square::app;

TEST_CASE("a whole job from survey to record in the real window", "[journey]") {
    QTemporaryDir folder;
    DrivenWindow driven;
    driven.window.start_untitled();
    // Survey: a wall, two proved studs by their edges, one more.
    driven.window.set_stage(Stage::survey);
    driven.window.survey().add_wall();
    driven.type("wall-length", "2400");
    driven.type("wall-height", "2500");
    driven.bench().edit(QStringLiteral("studs"), [](Job& job) {
        Wall& wall = job.walls.front();
        wall.lining = {{LiningMaterial::plasterboard, Length::micrometres(12'500), {}}};
        for (const int x : {400, 800, 1200, 1600, 2000})
            wall.studs.push_back({Length::mm(x), StudState::proved, Length::micrometres(600), {}});
        for (Bracket& bracket : job.catalogue.brackets)
            bracket.rating = 2000_n;
        job.fitter = "R. Field";
    });
    REQUIRE(driven.job().walls.size() == 1);

    // Layout: a shelf, by its figures.
    driven.window.set_stage(Stage::layout);
    driven.window.layout_panel().add_shelf();
    driven.type("shelf-left", "300");
    driven.type("shelf-length", "1500");
    driven.type("shelf-height", "1600");
    const WallPlan& planned = *driven.bench().plan().walls.front();
    REQUIRE(planned.shelves.size() == 1);
    REQUIRE(planned.shelves.front().brackets.size() >= 2);
    CHECK(count_checks(driven.bench().plan(), Severity::error) == 0);

    // Cut & kit: its board is on the list.
    driven.window.set_stage(Stage::cut);
    QTest::qWait(1);
    CHECK(driven.find<QTableWidget>("stuffs")->rowCount() >= 1);

    // Fit: the first step is in hand; at the wall all marks, the gate, all holes.
    driven.window.set_stage(Stage::fit);
    QTest::qWait(1);
    CHECK(driven.find<QTableWidget>("job-steps")->rowCount() > 5);
    AtWall at_wall{driven.window};
    WallSide* mode = at_wall.mode.get();
    for (int key = 0; key < 100; ++key) {
        if (mode->at_gate())
            for (const Qt::Key question : {Qt::Key_1, Qt::Key_2, Qt::Key_3, Qt::Key_4})
                QTest::keyClick(mode, question);
        QTest::keyClick(mode, Qt::Key_Space);
    }
    const Wall& wall = driven.job().walls.front();
    CHECK(wall.made.size() == driven.bench().plan().walls.front()->shelves.front().holes.size());
    CHECK(driven.bench().plan().walls.front()->checks.empty());
    mode->close();

    // A level on it, then every step.
    driven.window.fit().show_page(QStringLiteral("readings"));
    QTest::qWait(1);
    QTest::mouseClick(driven.find<QPushButton>("add-reading"), Qt::LeftButton);
    driven.type("work-off", "0");
    CHECK(driven.bench().plan().walls.front()->readings.front().verdict == Verdict::within);
    driven.window.fit().show_page(QStringLiteral("steps"));
    QTest::qWait(1);
    for (int step = 0; step < 200 && driven.find<QTableWidget>("job-steps")->rowCount() > 0; ++step) {
        driven.find<QTableWidget>("job-steps")->setCurrentCell(0, 1);
        auto* done = driven.find<QPushButton>("step-done");
        REQUIRE(done->isEnabled());
        QTest::mouseClick(done, Qt::LeftButton);
    }
    CHECK(driven.find<QTableWidget>("job-steps")->rowCount() == 0);

    // Record: signed, handed over, saved, and all of it is there again.
    driven.window.set_stage(Stage::record);
    driven.window.record().sign(QStringLiteral("R. Field"), QStringLiteral("All of it"), "M 10 10 L 200 150");
    REQUIRE(driven.window.write_sheets(folder.filePath(QStringLiteral("hand-over.pdf")), sheet_set(u"hand-over")));
    REQUIRE(driven.window.export_to(folder.path()));
    CHECK(QFile::exists(folder.filePath(QStringLiteral("marks.csv"))));
    CHECK(QFile::exists(folder.filePath(QStringLiteral("wall-1.dxf"))));
    const QString path = folder.filePath(QStringLiteral("job.yesq"));
    REQUIRE(driven.window.save_to(path));
    const Job before = driven.job();
    REQUIRE(driven.window.open(path));
    CHECK(driven.job() == before);
    CHECK(driven.told.isEmpty());
}
