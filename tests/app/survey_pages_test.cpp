#include "app/board/drawing_view.hpp"
#include "app/survey/readings_editor.hpp"
#include "core/job/field_visits.hpp"
#include "driven_window.hpp"

#include <QCheckBox>
#include <QClipboard>
#include <QGuiApplication>
#include <QListWidget>
#include <QPushButton>
#include <QTextBrowser>

using namespace yes_square;
using namespace yes_square::app;

namespace {

/// The demo's job in its window, in Survey.
/// The demo on one of its walls; the usual one bare, as if nobody had been there.
struct SurveyWindow : DrivenWindow {
    static constexpr std::size_t bare = 4;
    explicit SurveyWindow(SurveyPage page, std::size_t wall = bare) {
        open_demo();
        bench().select_wall(wall);
        if (wall == bare)
            bench().edit(QStringLiteral("test"), [](Job& job) {
                job.walls[bare].shelves.clear();
                job.walls[bare].studs.clear();
            });
        window.set_stage(Stage::survey);
        window.survey().set_page(page);
        QTest::qWait(1);
    }
    const Wall& wall() { return *bench().wall(); }
    const WallSurvey& survey() { return bench().wall_plan()->survey; }
    void click(const char* button) { QTest::mouseClick(find<QPushButton>(button), Qt::LeftButton); }
    QString label(const char* name) { return find<QLabel>(name)->text(); }
};

/// Keys into whatever has the focus, as a laser measure that types does.
void keys(const char* typed) {
    QTest::keyClicks(QApplication::focusWidget(), typed);
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Return);
    QTest::qWait(1);
}

void paste(LengthField* field, const QString& text) {
    QGuiApplication::clipboard()->setText(text);
    field->setFocus();
    QTest::keySequence(field, QKeySequence::Paste);
    QTest::qWait(1);
}

} // namespace

TEST_CASE("every page of the survey opens by its button", "[app][survey]") {
    SurveyWindow driven{SurveyPage::wall};
    for (const char* page : {"walk", "drill", "studs", "level", "face", "services", "room", "wall"}) {
        INFO(page);
        driven.click((std::string{"survey-page-"} + page).c_str());
        CHECK(driven.window.survey().page() == survey_page_from_name(QString::fromLatin1(page)));
    }
    CHECK_FALSE(survey_page_from_name(QStringLiteral("roof")));
}

TEST_CASE("floor readings go in with Enter from figure to figure, no mouse", "[app][survey]") {
    SurveyWindow driven{SurveyPage::level};
    driven.find<LengthField>("floor-x")->setFocus();
    for (const char* figure : {"0", "1016.5", "160 cm", "1012", "3206", "40 1/8 in"})
        keys(figure);
    REQUIRE(driven.wall().floor.size() == 3);
    CHECK(driven.wall().floor[0] == FloorReading{0_mm, Length::micrometres(1'016'500)}); // no tenth is lost
    CHECK(driven.wall().floor[1] == FloorReading{1600_mm, 1012_mm});
    CHECK(driven.wall().floor[2].down == Length::inches(40, {1, 8}));
    CHECK(QApplication::focusWidget() == driven.find<LengthField>("floor-x"));
    CHECK(driven.survey().floor.measured());

    driven.type("floor-layer-2", "6");
    const auto& rooms = driven.job().rooms;
    CHECK(rooms[1].floor_layers[1].thickness == 6_mm);
    driven.choose("floor-under-units", 1);
    CHECK_FALSE(driven.job().rooms[1].floor_under_units);

    driven.find<LengthField>("ceiling-x")->setFocus();
    keys("1600");
    keys("1395");
    CHECK(driven.wall().ceiling.size() == 1);

    // Take one out by Delete, and bring it back.
    auto* list = driven.find<QListWidget>("floor-found");
    REQUIRE(list->count() == 3);
    list->setCurrentRow(1);
    list->setFocus();
    QTest::keyClick(list, Qt::Key_Delete);
    CHECK(driven.wall().floor.size() == 2);
    driven.bench().undo_stack().undo();
    CHECK(driven.wall().floor.size() == 3);
}

TEST_CASE("a table from the clipboard goes in whole or not at all", "[app][survey]") {
    SurveyWindow driven{SurveyPage::level};
    auto* field = driven.find<LengthField>("floor-x");
    paste(field, QStringLiteral("0\t1012\n400\t1010,5 mm\n800\t1011\n"));
    REQUIRE(driven.wall().floor.size() == 3);
    CHECK(driven.wall().floor[1].down == Length::micrometres(1'010'500));
    paste(field, QStringLiteral("0\t1012\n400\n"));
    CHECK(driven.wall().floor.size() == 3);
    CHECK(driven.label("floor-message").contains("Line 2"));
    paste(field, QStringLiteral("0\t1012\nfour hundred\t9\n"));
    CHECK(driven.label("floor-message").contains("four hundred"));
    paste(field, QStringLiteral("0\t-3\n5\t6\n"));
    CHECK(driven.label("floor-message").contains("less than 0"));
    paste(field, QStringLiteral("0\t1\t2\n5\t6\t7\n"));
    CHECK(driven.label("floor-message").contains("more figures"));
    CHECK(driven.wall().floor.size() == 3);

    // A column for probes: one figure a line.
    driven.window.survey().set_page(SurveyPage::studs);
    driven.choose("evidence-what", 1);
    paste(driven.find<LengthField>("evidence-x"), QStringLiteral("412\n424\n436\n"));
    CHECK(driven.wall().observations.size() == 3);
    driven.bench().undo_stack().undo();
    CHECK(driven.wall().observations.empty());
}

TEST_CASE("the studs page says where to probe, takes the answer and moves on", "[app][survey]") {
    SurveyWindow driven{SurveyPage::studs};
    REQUIRE(driven.wall().observations.empty());
    const QString first = driven.label("probe-where");
    CHECK(first.startsWith("Probe at "));
    driven.click("probe-nothing");
    REQUIRE(driven.wall().observations.size() == 1);
    CHECK(driven.wall().observations[0].kind == EvidenceKind::probe_miss);
    CHECK(driven.label("probe-where") != first);
    driven.click("probe-wood");
    CHECK(driven.wall().observations[1].kind == EvidenceKind::probe_hit);
    CHECK(driven.label("probe-why").contains("edge"));

    // Evidence of every kind, by its own words.
    auto* kinds = driven.find<QComboBox>("evidence-what");
    REQUIRE(kinds->count() == 14);
    for (int kind = 0; kind < kinds->count(); ++kind) {
        driven.choose("evidence-what", kind);
        if (driven.find<LengthField>("evidence-error")->isVisible())
            driven.type("evidence-error", "3");
        driven.type("evidence-x", "2000");
        REQUIRE(driven.wall().observations.size() == 3 + static_cast<std::size_t>(kind));
        CHECK(driven.wall().observations.back().kind == static_cast<EvidenceKind>(kind));
    }
    CHECK(driven.survey().findings);

    // No shelf hangs here, so there is nothing to hide a hole behind.
    auto* hidden = driven.find<QCheckBox>("probe-under-work");
    hidden->setChecked(true);
    CHECK(driven.label("probe-where") == "Nothing to hide a hole behind");
    CHECK_FALSE(driven.find<QPushButton>("probe-wood")->isEnabled());
    driven.bench().select_wall(2);
    CHECK(driven.label("probe-why").contains("the shelf hides the hole"));
    driven.bench().select_wall(1); // brick
    CHECK(driven.label("probe-where") == "No timber to probe for");
}

TEST_CASE("a click on the wall fills the figure, and a stud clicked shows why it is thought there", "[app][survey]") {
    SurveyWindow driven{SurveyPage::studs, 2};
    driven.click("probe-wood"); // wakes the page; undone below
    driven.bench().undo_stack().undo();
    driven.DrivenWindow::click(2600_mm, 900_mm);
    auto* field = driven.find<LengthField>("evidence-x");
    const auto typed = field->read();
    REQUIRE(typed);
    CHECK(absolute(*typed - 2600_mm) < 12_mm);
    field->clear_length();

    const auto& studs = driven.survey().studs;
    const auto proved = std::ranges::find(studs, StudState::proved, &Stud::state);
    REQUIRE(proved != studs.end());
    driven.DrivenWindow::click(proved->centre, 900_mm);
    const QString scrap = driven.find<QTextBrowser>("scrap")->toPlainText();
    CHECK(scrap.contains("proved: its middle from the reference end"));
    CHECK(scrap.contains("both edges probed"));
}

TEST_CASE("strings, widths and the corner are read, and packing is told at any place", "[app][survey]") {
    SurveyWindow driven{SurveyPage::face};
    driven.find<LengthField>("face-z")->setFocus();
    keys("900"); // the string's height stays
    for (const char* figure : {"0", "20", "1600", "12", "3200", "20"})
        keys(figure);
    REQUIRE(driven.wall().face.size() == 3);
    CHECK(driven.wall().face[2] == FaceReading{3200_mm, 900_mm, 20_mm});
    driven.type("shim-x", "800");
    driven.type("shim-z", "900");
    CHECK(driven.label("shim-answer") == "Pack 4.0 mm there");
    driven.type("shim-z", "2000");
    CHECK(driven.label("shim-answer").startsWith("About"));
    driven.click("face-next-row");

    driven.type("width-z", "100");
    driven.type("width-width", "3206");
    CHECK(driven.wall().widths.size() == 1);

    driven.type("corner-across", "1504");
    REQUIRE(driven.wall().corner);
    CHECK(driven.wall().corner->across == 1504_mm);
    CHECK(driven.survey().corner->off > 0);
    auto* across = driven.find<LengthField>("corner-along");
    across->setFocus();
    across->selectAll();
    QTest::keyClick(across, Qt::Key_Backspace);
    QTest::keyClick(across, Qt::Key_Return);
    CHECK_FALSE(driven.wall().corner);
}

TEST_CASE("obstacles, far sides, trim and joists are met on the walk", "[app][survey]") {
    SurveyWindow driven{SurveyPage::walk};
    driven.pick("walk-what", "Radiator");
    driven.type("walk-free", "80");
    driven.type("walk-distance", "600");
    driven.type("walk-height", "120");
    driven.type("walk-width", "900");
    driven.type("walk-tall", "600");
    REQUIRE(driven.wall().obstacles.size() == 1);
    CHECK(driven.wall().obstacles[0] == Obstacle{ObstacleKind::radiator, 600_mm, 120_mm, 900_mm, 600_mm, 80_mm});
    driven.pick("walk-what", "Socket on the far side");
    driven.type("walk-distance", "2000");
    driven.type("walk-height", "300");
    CHECK(driven.wall().services.back().far_side);
    driven.pick("walk-what", "Door");
    driven.type("walk-free", "55");
    driven.type("walk-distance", "1900");
    driven.type("walk-width", "840");
    driven.type("walk-tall", "2040");
    CHECK(driven.wall().openings.back().trim == 55_mm);
    driven.pick("walk-what", "Ceiling joist");
    driven.type("walk-distance", "410");
    CHECK(driven.wall().joists.size() == 1);
    CHECK(driven.find<QListWidget>("walk-found")->count() == 4);
}

TEST_CASE("a trial hole is told layer by layer and taken as the wall's build-up", "[app][survey]") {
    SurveyWindow driven{SurveyPage::drill};
    CHECK(driven.label("hole-verdict") == "Nothing drilled yet");
    driven.type("hole-x", "900");
    driven.type("hole-z", "1500");
    driven.type("hole-depth", "60");
    REQUIRE(driven.wall().trial_holes.size() == 1);
    driven.choose("met-what", static_cast<int>(DrillMet::grey_sandy_dust));
    driven.type("met-from", "0");
    driven.choose("met-what", static_cast<int>(DrillMet::red_dust));
    driven.type("met-from", "14");
    CHECK(driven.label("hole-verdict").contains("brick"));
    driven.click("hole-take");
    CHECK(std::holds_alternative<Masonry>(driven.wall().structure));
    CHECK(driven.wall().lining_thickness() == 14_mm);
    driven.bench().undo_stack().undo();
    CHECK(std::holds_alternative<Framing>(driven.wall().structure));
}

TEST_CASE("what a detector said edits the strips", "[app][survey]") {
    SurveyWindow driven{SurveyPage::services, 5};
    const std::size_t before = driven.survey().strips.size();
    driven.choose("scan-what", 1); // a cable
    driven.type("scan-left", "600");
    driven.type("scan-bottom", "0");
    driven.type("scan-width", "20");
    driven.type("scan-height", "1200");
    CHECK(driven.survey().strips.size() == before + 1);
    CHECK(driven.label("strip-list").contains("a cable the detector found"));
}

TEST_CASE("the plan of the room picks walls, and their order can be changed", "[app][survey]") {
    SurveyWindow driven{SurveyPage::room, 2};
    auto* plan = driven.find<DrawingView>("room-plan");
    REQUIRE(plan->isVisible());
    CHECK(driven.label("room-closing").contains("closes"));
    // The right-hand side of the plan is the next wall round.
    QTest::mouseClick(plan, Qt::LeftButton, {}, QPoint{1, 1}); // nothing there
    CHECK(driven.bench().wall_index() == 2);
    for (int x = plan->width() / 2; x < plan->width() && driven.bench().wall_index() == 2; x += 2)
        QTest::mouseClick(plan, Qt::LeftButton, {}, QPoint{x, plan->height() * 2 / 3});
    CHECK(driven.bench().wall_index() == 3);

    driven.click("wall-earlier");
    CHECK(driven.job().walls[2].name == "Window wall");
    CHECK(driven.bench().wall()->name == "Window wall");
    CHECK_FALSE(driven.bench().plan().rooms[1].checks.empty()); // in that order it does not close
    driven.bench().undo_stack().undo();
    CHECK(driven.bench().plan().rooms[1].checks.empty());
    driven.find<QListWidget>("room-walls")->setCurrentRow(3);
    CHECK(driven.bench().wall()->name == "Door wall");
    driven.click("add-room");
    CHECK(driven.job().rooms.size() == 8);
    CHECK(driven.bench().wall()->room == driven.job().rooms.back().id);
}

TEST_CASE("readings come in from a table and go out to one", "[app][survey]") {
    SurveyWindow driven{SurveyPage::level};
    const QString path = driven.folder.filePath(QStringLiteral("readings.csv"));
    QFile file{path};
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write("kind,x_mm,reading_mm\nfloor,0,1010\nfloor,3206,1014\n");
    file.close();
    CHECK(driven.window.take_in_readings(path));
    CHECK(driven.wall().floor.size() == 2);
    CHECK(driven.window.give_out_readings(path));
    driven.bench().undo_stack().undo();
    CHECK(driven.wall().floor.empty());
    CHECK(driven.window.take_in_readings(path));
    CHECK(driven.wall().floor.size() == 2);

    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write("kind,x_mm\nfloor,0\n");
    file.close();
    const Job before = driven.job();
    CHECK_FALSE(driven.window.take_in_readings(path));
    CHECK(driven.told.back().contains("line 2, reading_mm"));
    CHECK(driven.job() == before);
    CHECK_FALSE(driven.window.take_in_readings(driven.folder.filePath(QStringLiteral("gone.csv"))));
}

TEST_CASE("the survey's pages hold their figures inside the window, small or large, light or dark",
          "[app][survey][look]") {
    for (const QSize size : {QSize{1024, 700}, QSize{1280, 800}, QSize{1920, 1080}}) {
        DrivenWindow driven{size};
        driven.open_demo();
        driven.bench().select_wall(2);
        driven.window.set_stage(Stage::survey);
        for (const ThemeName theme : {ThemeName::light, ThemeName::dark}) {
            driven.window.set_theme(theme);
            for (int page = 0; page <= static_cast<int>(SurveyPage::room); ++page) {
                driven.window.survey().set_page(static_cast<SurveyPage>(page));
                QTest::qWait(1);
                CHECK(driven.window.width() == size.width()); // nothing pushes it wider
                for (const LengthField* field : driven.window.survey().findChildren<LengthField*>())
                    if (field->isVisible()) {
                        INFO(field->objectName().toStdString() << " at " << size.width());
                        CHECK(field->width() >= 100);
                        CHECK(field->mapTo(&driven.window, QPoint{field->width(), 0}).x() <= size.width());
                    }
                for (const QPushButton* button : driven.window.survey().findChildren<QPushButton*>())
                    if (button->isVisible() && size.width() >= 1280) {
                        INFO(button->text().toStdString());
                        CHECK(button->fontMetrics().horizontalAdvance(button->text()) <= button->width() - 8);
                    }
            }
        }
    }
}

TEST_CASE("ten thousand readings are taken in, shown, answered and undone", "[app][survey]") {
    SurveyWindow driven{SurveyPage::studs};
    const QString path = driven.folder.filePath(QStringLiteral("many.csv"));
    QFile file{path};
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write("kind,x_mm\n");
    for (int i = 0; i < 10'000; ++i)
        file.write((i * 37 % 406 < 38 ? "probe_hit," : "probe_miss,") + QByteArray::number(i * 37 % 3206) + "\n");
    file.close();
    REQUIRE(driven.window.take_in_readings(path));
    CHECK(driven.wall().observations.size() == 10'000);
    CHECK(driven.find<QListWidget>("evidence-found")->count() == 10'000);
    CHECK_FALSE(driven.label("probe-where").isEmpty());
    for (const Stud& stud : driven.survey().studs)
        CHECK(stud.centre <= driven.wall().length);
    driven.bench().undo_stack().undo();
    CHECK(driven.wall().observations.empty());
}

TEST_CASE("the instrument chosen sets the limit of error beside each reading", "[app][survey]") {
    SurveyWindow driven{SurveyPage::level, 2};
    auto* list = driven.find<QListWidget>("floor-found");
    CHECK(list->item(0)->text().contains("± 0.7 mm")); // class II, between 1 and 2 m
    driven.window.survey().set_page(SurveyPage::wall);
    driven.choose("job-instrument", 0);
    CHECK(list->item(0)->text().contains("± 0.3 mm"));
    driven.choose("job-instrument", 2);
    CHECK(list->item(0)->text().contains("± 2.0 mm"));
    CHECK(driven.job().instrument == Instrument::laser);
}

TEST_CASE("a wall's own figures are typed: thickness, skirting, cornice, and nothing takes them out", "[app][survey]") {
    SurveyWindow driven{SurveyPage::wall};
    driven.type("wall-thickness", "114");
    CHECK(driven.wall().thickness == 114_mm);
    auto* thickness = driven.find<LengthField>("wall-thickness");
    thickness->setFocus();
    thickness->selectAll();
    QTest::keyClick(thickness, Qt::Key_Delete);
    QTest::keyClick(thickness, Qt::Key_Return);
    CHECK_FALSE(driven.wall().thickness);
    driven.type("skirting-height", "95");
    driven.type("skirting-depth", "15");
    driven.type("cornice-height", "60");
    driven.type("cornice-depth", "60");
    CHECK(driven.wall().skirting_height == 95_mm);
    CHECK(driven.wall().cornice_depth == 60_mm);
    driven.choose("wall-structure", 5);
    CHECK(std::get<Framing>(driven.wall().structure).material == StudMaterial::steel);
    CHECK(driven.find<QWidget>("stud-width")->isVisible());
    CHECK_FALSE(driven.find<QWidget>("stud-species")->isVisible());
    driven.choose("wall-structure", 6);
    CHECK(std::holds_alternative<LiningOnly>(driven.wall().structure));
    driven.choose("wall-structure", 0);
    CHECK(std::get<Framing>(driven.wall().structure).material == StudMaterial::timber);
}

TEST_CASE("a figure being typed when the window closes is kept, and asked about", "[app][survey]") {
    QTemporaryDir folder;
    DrivenWindow driven;
    const QString path = copy_of_demo(folder);
    REQUIRE(driven.window.open(path));
    driven.window.set_stage(Stage::survey);
    auto* length = driven.find<LengthField>("wall-length");
    length->setFocus();
    length->selectAll();
    QTest::keyClicks(length, "3333");
    CHECK(driven.bench().undo_stack().isClean());
    QTimer::singleShot(50, [] {
        if (auto* box = qobject_cast<QWidget*>(QApplication::activeModalWidget()))
            QTest::keyClick(box, Qt::Key_Escape);
    });
    driven.window.close();
    CHECK(driven.job().walls[0].length == 3333_mm);
    CHECK_FALSE(driven.bench().undo_stack().isClean());
    CHECK(driven.window.isVisible());
}

TEST_CASE("how a stud is looked for is told and drawn, and where to begin, cables and pipes come first",
          "[app][survey][studs]") {
    SurveyWindow driven{SurveyPage::studs};
    CHECK(driven.label("services-caution").contains("switch off before drilling"));
    auto* what = driven.find<QComboBox>("evidence-what");
    const QString probe = driven.label("evidence-how");
    CHECK(probe.contains("thin nail"));
    what->setCurrentIndex(static_cast<int>(enum_row(EvidenceKind::screw_line)));
    CHECK(driven.label("evidence-how").contains("magnet"));
    CHECK(driven.find<DrawingView>("evidence-picture")->isVisible());
    driven.bench().edit("Clear", [&](Job& job) {
        Wall& wall = job.walls[driven.bench().wall_index()];
        wall.structure = Framing{};
        wall.observations.clear();
        wall.studs.clear();
    });
    QTest::qWait(1);
    CHECK(driven.find<QLabel>("studs-begin")->isVisible());
    CHECK(driven.label("studs-begin").contains("From the left end"));
    driven.bench().edit("Seen", [&](Job& job) {
        job.walls[driven.bench().wall_index()].observations.push_back({EvidenceKind::probe_hit, 400_mm});
    });
    QTest::qWait(1);
    CHECK_FALSE(driven.find<QLabel>("studs-begin")->isVisible());
}
