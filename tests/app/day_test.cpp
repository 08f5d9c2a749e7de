#include "app/cut/cut_panel.hpp"
#include "app/cut/delivery_page.hpp"
#include "app/fit/fit_panel.hpp"
#include "app/record/book_dialog.hpp"
#include "app/record/photos.hpp"
#include "app/record/record_panel.hpp"
#include "app/record/sign_dialog.hpp"
#include "driven_window.hpp"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QSpinBox>
#include <QTableWidget>
#include <QTextBrowser>
#include <QTimeEdit>

using namespace yes_square;
using namespace yes_square::app;

namespace {

void press(DrivenWindow& driven, const char* name) {
    auto* button = driven.find<QPushButton>(name);
    INFO(name);
    REQUIRE(button->isEnabled());
    QTest::mouseClick(button, Qt::LeftButton);
    QTest::qWait(1);
}

QTableWidget* table(DrivenWindow& driven, const char* name) {
    return driven.find<QTableWidget>(name);
}

int row_of(QTableWidget* table, const QString& key) {
    for (int row = 0; row < table->rowCount(); ++row)
        if (table->item(row, 0)->data(Qt::UserRole).toString() == key)
            return row;
    return -1;
}

} // namespace

TEST_CASE("the cutting plan is drawn where the wall was, and a part's length shows its sum", "[day]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.window.set_stage(Stage::cut);
    QTest::qWait(10);
    auto* drawing = driven.find<QWidget>("cutting-plan");
    CHECK(drawing->isVisible());
    CHECK_FALSE(driven.window.board().isVisible());
    QTableWidget* stuffs = table(driven, "stuffs");
    REQUIRE(stuffs->rowCount() > 5);
    // Another scope shows fewer.
    auto* scope = driven.find<QComboBox>("cut-scope");
    const int all = stuffs->rowCount();
    driven.bench().select("box-1");
    scope->setCurrentIndex(0);
    emit scope->activated(0);
    CHECK(stuffs->rowCount() < all);
    // The box's shelves enter housings: their length is a sum on the scrap.
    QTableWidget* parts = table(driven, "cut-parts");
    bool shown = false;
    for (int s = 0; s < stuffs->rowCount() && !shown; ++s) {
        stuffs->setCurrentCell(s, 0);
        for (int row = 0; row < parts->rowCount() && !shown; ++row)
            if (parts->item(row, 1)->text().startsWith(QStringLiteral("shelf of"))) {
                emit parts->cellClicked(row, 0);
                shown = driven.find<QTextBrowser>("scrap")->toPlainText().contains(QStringLiteral("housing"));
            }
    }
    CHECK(shown);
    driven.window.set_stage(Stage::fit);
    CHECK(driven.window.board().isVisible());
}

TEST_CASE("an offcut that is entered is used before anything is bought", "[day]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.window.set_stage(Stage::cut);
    driven.window.cutting().show_page(QStringLiteral("stock"));
    QTest::qWait(1);
    press(driven, "add-offcut");
    driven.find<QComboBox>("stock-kind")->setCurrentIndex(static_cast<int>(StuffKind::worktop));
    emit driven.find<QComboBox>("stock-kind")->activated(static_cast<int>(StuffKind::worktop));
    driven.type("stock-length", "3500");
    const Stock& offcut = driven.job().catalogue.stock.back();
    CHECK(offcut.kind == StuffKind::worktop);
    CHECK(offcut.length == 3500_mm);
    CHECK(offcut.on_hand == 1);
    CHECK_FALSE(offcut.to_buy);
    const CuttingPlan plan = cutting_plan(driven.job(), driven.bench().plan());
    const auto worktop =
        std::ranges::find_if(plan.stuffs, [](const StuffPlan& s) { return s.stuff.kind == StuffKind::worktop; });
    REQUIRE(worktop != plan.stuffs.end());
    CHECK(worktop->stock[worktop->bars.bars.front().stock].on_hand == 1);
    driven.type("kerf", "4");
    CHECK(driven.job().rules.cutting.kerf == 4_mm);
}

TEST_CASE("a delivery is ticked line by line, and what is short says what it stops", "[day]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.window.set_stage(Stage::cut);
    driven.window.cutting().show_page(QStringLiteral("delivery"));
    QTest::qWait(1);
    QTemporaryDir folder;
    QFile list{folder.filePath(QStringLiteral("list.csv"))};
    REQUIRE(list.open(QIODevice::WriteOnly));
    list.write("code,name,quantity\nB80,Sink unit,1\nB60,Base 60,1\n");
    list.close();
    REQUIRE(driven.window.take_packing_list(list.fileName()));
    REQUIRE(driven.job().delivery.size() == 2);
    press(driven, "received-whole");
    driven.find<QSpinBox>("received-sound")->setValue(0);
    press(driven, "received-damaged");
    CHECK(driven.job().delivery[0].received == Received::whole);
    CHECK(driven.job().delivery[1].received == Received::damaged);
    CHECK(driven.find<QLabel>("delivery-findings")->text().contains(QStringLiteral("It stops: Hob unit of Hob side")));
    CHECK(driven.job().log.back().kind == LogKind::delivery);
    QFile bad{folder.filePath(QStringLiteral("bad.csv"))};
    REQUIRE(bad.open(QIODevice::WriteOnly));
    bad.write("code,quantity\nB80,many\n");
    bad.close();
    CHECK_FALSE(driven.window.take_packing_list(bad.fileName()));
    CHECK(driven.told.back().contains(QStringLiteral("line 2, column quantity")));
    CHECK(driven.job().delivery.size() == 2);
}

TEST_CASE("steps are ticked in their order, a gate by its questions", "[day]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.window.set_stage(Stage::fit);
    QTest::qWait(1);
    QTableWidget* steps = table(driven, "job-steps");
    const int before = steps->rowCount();
    REQUIRE(before > 100);
    steps->setCurrentCell(0, 1);
    const std::string first = driven.window.fit().steps().current();
    press(driven, "step-done");
    CHECK(is_done(driven.job(), first));
    CHECK(driven.job().ticks.back().by == "R. Field");
    CHECK_FALSE(driven.job().ticks.back().at.empty());
    CHECK(steps->rowCount() == before - 1);
    driven.bench().undo_stack().undo();
    CHECK_FALSE(is_done(driven.job(), first));

    const int gate = row_of(steps, QStringLiteral("wall-1/gate"));
    REQUIRE(gate >= 0);
    steps->setCurrentCell(gate, 1);
    auto* done = driven.find<QPushButton>("step-done");
    CHECK_FALSE(done->isEnabled());
    for (int question = 1; question <= 4; ++question) {
        CHECK_FALSE(done->isEnabled());
        driven.find<QCheckBox>(qPrintable(QStringLiteral("gate-%1").arg(question)))->click();
    }
    press(driven, "step-done");
    CHECK(is_done(driven.job(), "wall-1/gate"));
    CHECK(driven.job().log.back().words.find("Before drilling") != std::string::npos);
    CHECK(driven.find<QLabel>("steps-progress")->text().startsWith(QStringLiteral("2 of")));
}

TEST_CASE("the job over days: hours, a helper's hour, what slips, and minutes taken over and put back",
          "[day][schedule]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.window.set_stage(Stage::fit);
    driven.window.fit().show_page(QStringLiteral("days"));
    QTest::qWait(10);
    CHECK(driven.find<QWidget>("days")->isVisible());
    CHECK_FALSE(driven.window.board().isVisible());
    const auto words = [&](const char* name) { return driven.find<QLabel>(name)->text(); };
    CHECK(words("days-end").startsWith("Done on day "));
    // Two are sooner done than one, and want a helper for nothing.
    const QString alone = words("days-end");
    CHECK(words("days-words").contains("A helper is wanted on day 1"));
    driven.type("days-crew", "2");
    CHECK(driven.job().crew == 2);
    CHECK(words("days-end") != alone);
    CHECK_FALSE(words("days-words").contains("helper"));
    driven.type("days-crew", "1");
    driven.type("days-hours", "4");
    CHECK(driven.job().days.hours == 4);

    // A helper for a quarter of an hour is too little for all, and that is said; taken off it goes on.
    driven.open_folds();
    driven.find<QTimeEdit>("helper-from")->setTime({9, 0});
    driven.find<QTimeEdit>("helper-to")->setTime({8, 30});
    press(driven, "add-helper");
    CHECK(words("helper-problem").contains("before coming"));
    CHECK(driven.job().days.helpers.empty());
    driven.find<QTimeEdit>("helper-to")->setTime({9, 15});
    press(driven, "add-helper");
    REQUIRE(driven.job().days.helpers.size() == 1);
    CHECK(words("days-end").contains("no helper is there"));
    driven.find<QListWidget>("helpers")->setCurrentRow(0);
    press(driven, "remove-helper");
    CHECK(driven.job().days.helpers.empty());
    CHECK(words("days-end").startsWith("Done on day "));

    // The parts come on the third day.
    driven.find<QSpinBox>("wait-day")->setValue(3);
    driven.choose("wait-of", 0);
    press(driven, "add-wait");
    REQUIRE(driven.job().days.not_before.size() == 1);
    CHECK(driven.find<QListWidget>("waits")->item(0)->text().contains("not before day 3"));
    CHECK(driven.job().days.not_before.front().from == 0);

    // A room is shut over noon, and not the other way round.
    driven.bench().edit("none is shut", [](Job& job) { job.days.shut.clear(); });
    driven.find<QTimeEdit>("shut-from")->setTime({13, 30});
    press(driven, "add-shut");
    CHECK(words("shut-problem").contains("put the later time second"));
    CHECK(driven.job().days.shut.empty());
    driven.find<QTimeEdit>("shut-from")->setTime({11, 30});
    press(driven, "add-shut");
    REQUIRE(driven.job().days.shut.size() == 1);
    CHECK(driven.job().days.shut.front().from == 11.5);
    CHECK(driven.job().days.shut.front().to == 13);
    CHECK(driven.job().days.shut.front().room == driven.job().rooms.front().id);
    CHECK(driven.find<QListWidget>("shut")->item(0)->text().contains("day 1, 11:30 to 13:00"));
    driven.find<QListWidget>("shut")->setCurrentRow(0);
    press(driven, "remove-shut");
    CHECK(driven.job().days.shut.empty());

    // The first step an hour longer: what waits for it is named.
    driven.choose("slip-step", 0);
    driven.find<QSpinBox>("slip-minutes")->setValue(60);
    CHECK(words("slip-words").contains("later:"));

    // Nothing was measured yet; a step begun and ticked is.
    CHECK(words("learned-minutes").contains("none measured yet"));
    CHECK_FALSE(driven.find<QPushButton>("minutes-as-measured")->isEnabled());
    const JobOrder order = job_order(driven.job(), driven.bench().plan());
    const auto hang =
        std::ranges::find_if(order.tasks, [](const Task& task) { return task.step.phase == Phase::hang; });
    REQUIRE(hang != order.tasks.end());
    Tick tick;
    tick.key = hang->key;
    tick.begun = "2026-03-05T09:00:00Z";
    tick.at = "2026-03-05T09:12:00Z";
    driven.bench().edit(QStringLiteral("Tick"), [&](Job& job) { job.ticks.push_back(tick); });
    CHECK(words("learned-minutes").contains("12 min as measured"));
    press(driven, "minutes-as-measured");
    CHECK(driven.job().rules.fitting.step_min == 12);
    press(driven, "minutes-as-house");
    CHECK(driven.job().rules.fitting.step_min == FitRules{}.step_min);
    driven.window.fit().show_page(QStringLiteral("steps"));
    CHECK(driven.window.board().isVisible());
}

TEST_CASE("a wait counts down and is not done before its time", "[day]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.bench().edit(QStringLiteral("test"), [](Job& job) {
        for (Wall& wall : job.walls)
            for (Shelf& shelf : wall.shelves)
                if (auto* rods = std::get_if<OnHiddenRods>(&shelf.holding))
                    rods->resin = true;
    });
    std::string key;
    for (const Task& task : job_order(driven.job(), driven.bench().plan()).tasks)
        if (task.step.phase == Phase::cure && !task.step.at_bench)
            key = task.key;
    REQUIRE_FALSE(key.empty());
    driven.window.set_stage(Stage::fit);
    QTest::qWait(1);
    driven.window.fit().steps().go_to(key);
    CHECK_FALSE(driven.find<QPushButton>("step-done")->isEnabled());
    press(driven, "step-begin");
    CHECK(driven.find<QLabel>("step-timer")->text().startsWith(QStringLiteral("Still 5")));
    CHECK_FALSE(driven.find<QPushButton>("step-done")->isEnabled());
    driven.bench().edit(QStringLiteral("an hour later"), [&](Job& job) {
        for (Tick& tick : job.ticks)
            if (tick.key == key)
                tick.begun = "2020-01-01T00:00:00Z";
    });
    CHECK(driven.find<QPushButton>("step-done")->isEnabled());
}

TEST_CASE("a level's reading gives its correction on the spot", "[day]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.window.set_stage(Stage::fit);
    driven.window.fit().show_page(QStringLiteral("readings"));
    driven.bench().select("unit-16"); // a base unit on legs
    QTest::qWait(1);
    press(driven, "add-reading");
    driven.type("work-off", "6");
    const std::string words = driven.find<QTextBrowser>("work-verdict")->toPlainText().toStdString();
    INFO(words);
    CHECK(words.find("to be put right") != std::string::npos);
    CHECK(words.find("front foot at") != std::string::npos);
    CHECK(words.find("turns") != std::string::npos);
    CHECK(driven.find<QTextBrowser>("scrap")->toPlainText().contains(QStringLiteral("out of level")));
    driven.find<QComboBox>("work-kind")->setCurrentIndex(static_cast<int>(ReadingKind::straightedge));
    press(driven, "add-reading");
    driven.type("work-gaps", "900 : 0 ; 1300 : 4 ; 2000");
    CHECK(driven.job().walls[7].work_readings.back().gaps.empty()); // refused: a place without its gap
    driven.type("work-gaps", "900 : 0 ; 1300 : 4 ; 2000 : 0");
    CHECK(driven.job().walls[7].work_readings.back().gaps.size() == 3);
    press(driven, "remove-reading");
    CHECK(driven.job().walls[7].work_readings.size() == 1);
}

TEST_CASE("the log is added to, searched and signed", "[day]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.window.set_stage(Stage::record);
    QTest::qWait(1);
    QTableWidget* log = table(driven, "log");
    const int before = log->rowCount();
    driven.type("log-note", "Owner wants the hooks lower");
    CHECK(log->rowCount() == before + 1);
    CHECK(driven.job().log.back().words == "Owner wants the hooks lower");
    driven.find<QLineEdit>("log-search")->setText(QStringLiteral("hooks OWNER"));
    CHECK(log->rowCount() == 1);
    driven.find<QLineEdit>("log-search")->clear();
    auto* kind = driven.find<QComboBox>("log-kind");
    kind->setCurrentIndex(3);
    emit kind->activated(3);
    for (int row = 0; row < log->rowCount(); ++row)
        CHECK(log->item(row, 1)->text().startsWith(QStringLiteral("otherwise")));

    SignDialog dialog{QStringLiteral("A. Brook"), &driven.window};
    dialog.show();
    auto* pad = dialog.findChild<SignaturePad*>();
    REQUIRE(pad);
    QTest::mousePress(pad, Qt::LeftButton, {}, {40, 60});
    QTest::mouseMove(pad, {120, 30});
    QMouseEvent move{QEvent::MouseMove, QPointF{120, 30}, QPointF{120, 30}, Qt::NoButton, Qt::LeftButton, {}};
    QApplication::sendEvent(pad, &move);
    CHECK(dialog.strokes().find('L') != std::string::npos);
    driven.window.record().sign(dialog.name(), dialog.what(), dialog.strokes());
    CHECK(driven.job().log.back().kind == LogKind::signature);
    CHECK(driven.job().log.back().by == "A. Brook");
    CHECK(signature_path(driven.job().log.back().strokes).elementCount() >= 2);
}

TEST_CASE("photos are copied beside the job and known by their hash", "[day]") {
    DrivenWindow driven;
    driven.open_demo();
    const QString photo = driven.folder.filePath(QStringLiteral("wall.png"));
    QImage image{8, 8, QImage::Format_RGB32};
    image.fill(Qt::red);
    REQUIRE(image.save(photo));
    REQUIRE(driven.window.attach_photo(photo, QStringLiteral("Behind the larder")));
    const LogEntry first = driven.job().log.back();
    CHECK(first.file == "wall.png");
    CHECK(first.sha256.size() == 64);
    const QString kept = driven.folder.filePath(QStringLiteral("demo photos/wall.png"));
    CHECK(QFile::exists(kept));
    CHECK(driven.window.check_photos());
    // Another picture of the same name gets a number; the same picture again no second copy.
    image.fill(Qt::blue);
    REQUIRE(image.save(photo));
    REQUIRE(driven.window.attach_photo(photo, {}));
    CHECK(driven.job().log.back().file == "wall-2.png");
    REQUIRE(driven.window.attach_photo(photo, {}));
    CHECK(driven.job().log.back().file == "wall-2.png");
    // One that was changed afterwards, and one that is gone, are named.
    REQUIRE(image.save(kept));
    CHECK_FALSE(driven.window.check_photos());
    CHECK(driven.told.back().contains(QStringLiteral("wall.png has been changed")));
    QFile::remove(kept);
    CHECK_FALSE(driven.window.check_photos());
    CHECK(driven.told.back().contains(QStringLiteral("wall.png is not in")));
    CHECK_FALSE(driven.window.attach_photo(QStringLiteral("/nowhere.png"), {}));
}

TEST_CASE("photos are looked for under the job's folder alone", "[day][nothing-escapes]") {
    QTemporaryDir folder;
    QTemporaryDir elsewhere;
    const QString job_path = copy_of_demo(folder);
    const QString photo = elsewhere.filePath(QStringLiteral("wall.png"));
    QImage image{8, 8, QImage::Format_RGB32};
    image.fill(Qt::red);
    REQUIRE(image.save(photo));
    Job job;
    job.log.push_back(attach_photo(job_path, photo).value());
    REQUIRE(check_photos(job_path, job).isEmpty());
    // The same picture, but behind a link out of the folder; and a folder that is such a link.
    const QDir photos{photo_folder(job_path)};
    REQUIRE(QFile::remove(photos.filePath(QStringLiteral("wall.png"))));
    REQUIRE(QFile::link(photo, photos.filePath(QStringLiteral("wall.png"))));
    REQUIRE(check_photos(job_path, job).size() == 1);
    CHECK(check_photos(job_path, job).front().contains(QStringLiteral("leads out")));
    REQUIRE(QDir{photos}.removeRecursively());
    REQUIRE(QFile::link(elsewhere.path(), photos.path()));
    REQUIRE(check_photos(job_path, job).size() == 1);
    CHECK(check_photos(job_path, job).front().contains(QStringLiteral("leads out")));
    CHECK_FALSE(attach_photo(job_path, photo));
}

TEST_CASE("a saved job is in the job book and is found there", "[day]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.bench().edit(QStringLiteral("note"), [](Job& job) {
        write_log(job, LogKind::note, {}, "A halyard block under the third tread", {"2026-03-06T08:00:00Z", "A"});
    });
    REQUIRE(driven.window.save());
    auto book = JobBook::open(book_path().toStdString());
    REQUIRE(book);
    BookDialog dialog{*book, &driven.window};
    dialog.findChild<QLineEdit*>(QStringLiteral("book-words"))->setText(QStringLiteral("halyard"));
    auto* found = dialog.findChild<QTableWidget*>(QStringLiteral("book"));
    REQUIRE(found->rowCount() >= 1);
    CHECK(found->item(0, 4)->text().contains(QStringLiteral("halyard")));
    QString wanted;
    QObject::connect(&dialog, &BookDialog::open_wanted, [&](const QString& path) { wanted = path; });
    QTest::mouseClick(dialog.findChild<QPushButton*>(QStringLiteral("book-open")), Qt::LeftButton);
    CHECK(wanted.endsWith(QStringLiteral(".yesq")));
    book->remove(wanted.toStdString());
}

TEST_CASE("a light along a run says its lead, and one too thin is cured", "[day]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.window.set_stage(Stage::layout);
    driven.bench().select("feed-1");
    QTest::qWait(1);
    CHECK(driven.find<QLabel>("light-words")->text().contains(QStringLiteral("One driver")));
    driven.find<QComboBox>("light-conductor")->setCurrentIndex(1);
    emit driven.find<QComboBox>("light-conductor")->activated(1);
    driven.type("light-watts_per_m", "60");
    const auto& feed = driven.bench().plan().walls[7]->feeds.front();
    CHECK_FALSE(feed.checks.empty());
    driven.find<QComboBox>("light-conductor")->setCurrentIndex(0);
    emit driven.find<QComboBox>("light-conductor")->activated(0);
    driven.type("light-watts_per_m", "9.6");
    CHECK(driven.bench().plan().walls[7]->feeds.front().checks.empty());

    // Its driver in a unit of that wall, then over the units: its place and what the lead wants are told.
    driven.choose("driver-at", static_cast<int>(DriverAt::in_unit));
    driven.choose("driver-unit", 1);
    const auto& in_unit = driven.bench().plan().walls[7]->feeds.front();
    REQUIRE(in_unit.driver);
    CHECK(in_unit.driver->known);
    CHECK_FALSE(in_unit.driver->holes.empty());
    driven.choose("driver-at", static_cast<int>(DriverAt::over_units));
    driven.type("driver-x", "100");
    CHECK(driven.job().walls[7].feeds.front().driver.x == 100_mm);
    driven.choose("switch-at", static_cast<int>(SwitchAt::in_unit));
    driven.choose("switch-unit", 2);
    REQUIRE(driven.bench().plan().walls[7]->feeds.front().switched);
    CHECK(driven.bench().plan().walls[7]->feeds.front().switched->known);
    press(driven, "remove-light");
    CHECK(driven.job().walls[7].feeds.empty());
}

TEST_CASE("a part that no stock gives is said, and nothing is called proved", "[day]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.bench().edit(QStringLiteral("short stock only"), [](Job& job) {
        for (Stock& stock : job.catalogue.stock)
            if (stock.kind == StuffKind::plinth)
                stock.length = 500_mm;
    });
    driven.window.set_stage(Stage::cut);
    QTest::qWait(1);
    QTableWidget* stuffs = table(driven, "stuffs");
    int plinth = -1;
    for (int row = 0; row < stuffs->rowCount(); ++row)
        if (stuffs->item(row, 0)->text().startsWith(QStringLiteral("Plinth")))
            plinth = row;
    REQUIRE(plinth >= 0);
    CHECK(stuffs->item(plinth, 2)->text() == QStringLiteral("too long"));
    stuffs->setCurrentCell(plinth, 0);
    const QString words = driven.find<QLabel>("cut-summary")->text();
    CHECK(words.contains(QStringLiteral("not all of it can be cut")));
    CHECK_FALSE(words.contains(QStringLiteral("no plan takes fewer")));
    CHECK(words.contains(QStringLiteral("no plinth at hand or to be had is")));
}
