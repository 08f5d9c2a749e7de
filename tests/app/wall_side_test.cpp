#include "at_wall.hpp"
#include "core/fitting/as_found.hpp"

using namespace yes_square;
using namespace yes_square::app;

namespace {

struct DemoOnWall {
    DrivenWindow driven;
    explicit DemoOnWall(std::size_t wall) {
        driven.open_demo();
        driven.bench().select_wall(wall);
    }
};

/// The wall-side mode over a wall of the demo, by keyboard.
struct AtTheWall : DemoOnWall, AtWall {
    explicit AtTheWall(std::size_t wall)
        : DemoOnWall{wall}
        , AtWall{driven.window} {}
    void key(Qt::Key key) { QTest::keyClick(mode.get(), key); }
    void finish_pass() {
        const WallPass* pass = mode->pass();
        const std::size_t most = pass->marks.size();
        const bool drilled = pass->drill.has_value();
        for (std::size_t i = 0; i < most; ++i) {
            if (!mode->mark() || mode->pass()->drill.has_value() != drilled)
                return;
            key(Qt::Key_Space);
        }
    }
    const Job& job() { return driven.job(); }
};

} // namespace

TEST_CASE("wall-side mode walks a wall by keyboard, stops at the gate, and records holes", "[wallside]") {
    AtTheWall at{0};
    REQUIRE(at.mode->mark());
    CHECK(at.mode->mark()->kind == MarkKind::level_line);
    CHECK(at.mode->pass()->drill == std::nullopt);
    at.finish_pass(); // lines
    REQUIRE(at.mode->mark());
    CHECK(at.mode->mark()->kind == MarkKind::hole);
    const std::string first = at.mode->mark()->key();
    CHECK(at.spoken.last().contains(QStringLiteral("along")));

    // Back, again, and on.
    at.key(Qt::Key_Space);
    CHECK(is_done(at.job(), first + "/mark"));
    at.key(Qt::Key_Backspace);
    CHECK(at.mode->mark()->key() == first);
    const auto said = at.spoken.size();
    at.key(Qt::Key_R);
    CHECK(at.spoken.size() == said + 1);
    CHECK(at.spoken.last() == at.spoken[said - 1]);

    // Nothing is drilled before the gate.
    for (int i = 0; i < 200 && !at.mode->at_gate(); ++i)
        at.key(Qt::Key_Space);
    REQUIRE(at.mode->at_gate());
    CHECK(at.job().walls.front().made.empty());
    at.key(Qt::Key_Space);
    CHECK(at.mode->at_gate());
    for (const Qt::Key question : {Qt::Key_1, Qt::Key_2, Qt::Key_3, Qt::Key_4})
        at.key(question);
    at.key(Qt::Key_Space);
    CHECK_FALSE(at.mode->at_gate());
    CHECK(is_done(at.job(), "wall-1/gate"));
    REQUIRE(at.mode->mark());
    REQUIRE(at.mode->pass()->drill);
    // While the drill is in hand the wall is seen cut through: wood under the small wall, where none was before.
    const QImage seen = at.mode->grab().toImage();
    const QColor wood = theme(ThemeName::light).fill_of(Ink::stud_proved);
    int of_wood = 0;
    for (int x = seen.width() * 2 / 3; x < seen.width(); x += 2)
        for (int y = seen.height() * 36 / 100; y < seen.height() * 62 / 100; y += 2) {
            const QColor here = seen.pixelColor(x, y);
            of_wood += here.red() > here.blue() + 15 && wood.red() > wood.blue();
        }
    CHECK(of_wood > 50);
    at.finish_pass(); // through the lining; the hole is not made yet
    CHECK(at.job().walls.front().made.empty());
    REQUIRE(at.mode->mark());
    const WallMark hole = *at.mode->mark();
    at.key(Qt::Key_Space);
    REQUIRE(at.job().walls.front().made.size() == 1);
    CHECK(at.job().walls.front().made.front().x == hole.x);
    CHECK(at.job().walls.front().made.front().by == "R. Field");
    // A click does the same as a key.
    QTest::mouseClick(at.mode.get(), Qt::LeftButton);
    CHECK(at.job().walls.front().made.size() == 2);
}

TEST_CASE("a stud that is not there is told with two keys, and the plan changes", "[wallside]") {
    AtTheWall at{0};
    at.finish_pass();
    REQUIRE(at.mode->mark());
    // Go to a hole in a proved stud of the long shelf.
    while (at.mode->mark() &&
           (at.mode->mark()->item != "shelf-1" || at.mode->mark()->substrate != Substrate::proved_stud))
        at.key(Qt::Key_Space);
    REQUIRE(at.mode->mark());
    const Length x = at.mode->mark()->x;
    const auto stands = [&](Length place) {
        const auto& brackets = at.driven.bench().plan().walls.front()->shelves.front().brackets;
        return std::ranges::any_of(brackets, [&](const BracketPlan& bracket) {
            return bracket.x == place && bracket.substrate == Substrate::proved_stud;
        });
    };
    REQUIRE(stands(x));
    at.key(Qt::Key_N);
    at.key(Qt::Key_1);
    CHECK_FALSE(stands(x));
    CHECK(at.job().log.back().kind == LogKind::deviation);
    CHECK(at.job().log.back().words.find("no stud there") != std::string::npos);
    // One key of the window undoes all of it.
    at.driven.bench().undo_stack().undo();
    CHECK(stands(x));
}

TEST_CASE("one jumps to a thing, to another walk, and lets it go on by itself", "[wallside]") {
    AtTheWall at{6}; // the kitchen's window side
    at.key(Qt::Key_PageDown);
    REQUIRE(at.mode->mark());
    const std::string here = at.mode->mark()->item;
    at.key(Qt::Key_J);
    at.key(Qt::Key_2);
    CHECK(at.mode->mark()->item != here);
    at.key(Qt::Key_A);
    CHECK(at.mode->auto_seconds() > 0);
    at.key(Qt::Key_A);
    CHECK(at.mode->auto_seconds() == 0);
    at.key(Qt::Key_PageDown);
    CHECK(at.mode->at_gate()); // drilling comes after it
    at.key(Qt::Key_PageUp);
    CHECK_FALSE(at.mode->at_gate());
    at.key(Qt::Key_Escape);
    CHECK_FALSE(at.mode->isVisible());
}

TEST_CASE("what is shown at the wall is in the job's unit and fills the screen", "[wallside]") {
    AtTheWall at{0};
    at.driven.bench().edit(QStringLiteral("inches"), [](Job& job) { job.unit = Unit::inch_16; });
    at.key(Qt::Key_R);
    CHECK(at.spoken.last().contains(QStringLiteral(" in along")));
    const QImage picture = at.mode->grab().toImage();
    // The large figure: dark ink over a good part of the upper left.
    int dark = 0;
    for (int y = 90; y < 240; ++y)
        for (int x = 20; x < 760; ++x)
            dark += qGray(picture.pixel(x, y)) < 90;
    CHECK(dark > 15'000);
}

TEST_CASE("at the wall no other key says that a mark is done", "[wallside][nothing-lost]") {
    AtTheWall at{0};
    REQUIRE(at.mode->mark());
    const std::string first = at.mode->mark()->key();
    const std::size_t before = at.job().ticks.size();
    for (const Qt::Key key : {Qt::Key_CapsLock, Qt::Key_F5, Qt::Key_X, Qt::Key_Tab, Qt::Key_Delete, Qt::Key_VolumeUp})
        at.key(key);
    QTest::keyClick(at.mode.get(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(at.mode->mark()->key() == first);
    CHECK(at.job().ticks.size() == before);
    at.key(Qt::Key_Return);
    CHECK(at.job().ticks.size() == before + 1);
    QTest::keyClick(at.mode.get(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(at.mode->mark()->key() == first);
}
