// A pocket sheet out of the window and back into it; bays that differ, typed.
#include "core/fitting/as_found.hpp"
#include "core/fitting/wall_marks.hpp"
#include "driven_window.hpp"

#include <QFile>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>

using namespace yes_square;
using namespace yes_square::app;

namespace {

QString read(const QString& path) {
    QFile file{path};
    REQUIRE(file.open(QIODevice::ReadOnly));
    return QString::fromUtf8(file.readAll());
}

void write(const QString& path, const QByteArray& words) {
    QFile file{path};
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write(words);
}

} // namespace

TEST_CASE("a pocket sheet is written, of the job or of a wall, and its ticks are taken in", "[pocket]") {
    DrivenWindow driven;
    driven.open_demo();
    const QString whole = driven.folder.filePath("whole.html");
    const QString one = driven.folder.filePath("wall.html");
    REQUIRE(driven.window.write_pocket_sheet(whole, false));
    REQUIRE(driven.window.write_pocket_sheet(one, true));
    CHECK(read(whole).contains("Chimney wall"));
    CHECK(read(whole).contains("Revision "));
    CHECK_FALSE(read(one).contains("<h2>Chimney wall</h2>"));
    CHECK(read(one).size() < read(whole).size() / 3);
    CHECK_FALSE(driven.window.write_pocket_sheet("/proc/nowhere.html", false));

    const auto walk = walk_wall(*driven.bench().plan().walls.front(), driven.job().rules.fitting);
    const WallPass& drilling = walk.back();
    REQUIRE(drilling.drill);
    const QJsonArray ticks{QJsonObject{{"key", QString::fromStdString(tick_key(drilling.marks.front(), drilling))},
                                       {"at", "2026-03-05T14:20:00Z"}},
                           QJsonObject{{"key", "wall-1/gate"}, {"at", "2026-03-05T14:00:00Z"}}};
    const QJsonObject given{
        {"format", "yes-square pocket"}, {"version", 1}, {"by", "Ada"}, {"ticks", ticks}, {"notes", QJsonArray{}},
        {"readings", QJsonArray{}}};
    const QString back = driven.folder.filePath("back.json");
    write(back, QJsonDocument{given}.toJson());
    REQUIRE(driven.window.take_pocket_sheet(back));
    CHECK(driven.told.back().contains("Ticks taken in: 2."));
    CHECK(is_done(driven.job(), "wall-1/gate"));
    CHECK(find_tick(driven.job(), "wall-1/gate")->by == "Ada");
    driven.bench().undo_stack().undo();
    CHECK_FALSE(is_done(driven.job(), "wall-1/gate"));

    write(back, "{");
    CHECK_FALSE(driven.window.take_pocket_sheet(back));
    CHECK(driven.told.back().contains("no file of a pocket sheet"));
    CHECK_FALSE(driven.window.take_pocket_sheet("/nowhere.json"));
}

TEST_CASE("a bay is made lower and hung in the window, and its panels follow", "[storage][unlike]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.window.set_stage(Stage::layout);
    driven.bench().select("bay-6");
    QTest::qWait(5);
    const auto plan = [&]() -> const SystemPlan& { return driven.bench().plan().walls[11]->systems.front(); };
    driven.type("bay-height", "1900");
    CHECK(plan().bays[0].sides.head == Length::mm(1900));
    CHECK(plan().panels[0].height() == Length::mm(1900));
    driven.choose("bay-stands", static_cast<int>(BayStands::hung));
    CHECK(plan().bays[0].sides.hung);
    CHECK(plan().bays[0].sides.head == Length::mm(2280));
    CHECK(plan().panels[0].foot == Length::mm(380));
    CHECK(plan().panels[1].foot == Length{}); // the bay beside it stands
    auto* height = driven.find<QLineEdit>("bay-height");
    height->setFocus();
    height->selectAll();
    QTest::keyClick(height, Qt::Key_Delete);
    QTest::keyClick(height, Qt::Key_Return);
    driven.choose("bay-stands", static_cast<int>(BayStands::as_the_rest));
    CHECK(plan().bays[0].sides.foot == Length{});
    CHECK(plan().bays[0].sides.head == Length::mm(2280));
    CHECK_FALSE(plan().bays[0].sides.hung);
}
