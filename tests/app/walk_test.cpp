#include "../random_edits.hpp"
#include "../random_jobs.hpp"
#include "core/sheets/plan_json.hpp"
#include "driven_window.hpp"

#include <QAbstractButton>
#include <QApplication>
#include <QDialog>
#include <QElapsedTimer>
#include <QLabel>
#include <QMessageBox>
#include <QTimer>
#include <QWheelEvent>
#include <array>
#include <catch2/catch.hpp>
#include <cstdlib>
#include <random>

using namespace yes_square;
using namespace yes_square::app;

namespace {

/// So many steps, or as many as YES_SQUARE_WALK says: tests/fuzz/run walks far.
int steps_of(int usual) {
    const char* wanted = std::getenv("YES_SQUARE_WALK");
    return wanted ? std::atoi(wanted) : usual;
}
std::uint64_t seed_of_walk() {
    const char* wanted = std::getenv("YES_SQUARE_WALK_SEED");
    return wanted ? std::strtoull(wanted, nullptr, 10) : 11;
}

/// Edits of every kind through the workbench, each looked at as it is made.
class BenchWalk {
public:
    explicit BenchWalk(std::uint64_t seed)
        : random_{seed}
        , others_{seed} {}

    /// Walks so far as everything can be undone, then back.
    void leg(const Job& from, int steps) {
        bench_.start(from);
        const std::string first = write_job(bench_.job());
        for (int i = 0; i < steps; ++i) {
            INFO("step " << i);
            step();
            look();
        }
        while (bench_.undo_stack().canUndo())
            bench_.undo_stack().undo();
        look();
        REQUIRE(write_job(bench_.job()) == first);
        while (bench_.undo_stack().canRedo())
            bench_.undo_stack().redo();
        look();
    }

private:
    void step() {
        switch (random_.below(12)) {
        case 0:
            return bench_.undo_stack().undo();
        case 1:
            return bench_.undo_stack().redo();
        case 2:
        case 3:
            return cure();
        case 4:
            return bench_.edit(QStringLiteral("paste"), [&](Job& job) { random_.cross(job, others_.next()); });
        default:
            return bench_.edit(QStringLiteral("edit"), [&](Job& job) { random_.edit(job); });
        }
    }
    void cure() {
        const auto checks = all_checks(bench_.plan(), bench_.job());
        if (checks.empty())
            return;
        const auto& cures = checks[random_.below(checks.size())].check->cures;
        for (const Cure& cure : cures)
            if (cure.edit)
                return bench_.apply(QStringLiteral("cure"), *cure.edit);
    }
    /// Whatever was done, the job can be saved and the plan is the one it has afresh.
    void look() {
        const Job& job = bench_.job();
        const auto problem = job_problem(job);
        INFO((problem ? problem->text() : std::string{}));
        REQUIRE_FALSE(problem);
        REQUIRE(checks_json(job, bench_.plan(), {job.unit}) == checks_json(job, reckon(job), {job.unit}));
    }

    Workbench bench_;
    RandomEdits random_;
    RandomJobs others_;
};

/// Clicks, keys, the wheel and drags anywhere on the real window.
class WindowWalk {
public:
    explicit WindowWalk(std::uint64_t seed)
        : random_{seed} {
        driven.answer = true;
        closer_.setInterval(5);
        QObject::connect(&closer_, &QTimer::timeout, [this] { close_what_asks(); });
        closer_.start();
    }

    void walk(int steps) {
        for (int i = 0; i < steps; ++i) {
            INFO("step " << i << ": " << last_);
            QElapsedTimer taken;
            taken.start();
            step();
            QApplication::processEvents();
            if (taken.elapsed() > slowest_) {
                slowest_ = taken.elapsed();
                slowest_step_ = last_;
            }
            if (!driven.window.isVisible())
                driven.window.show();
            REQUIRE(wordless_.empty());
            const auto problem = job_problem(driven.job());
            INFO((problem ? problem->text() : std::string{}));
            REQUIRE_FALSE(problem);
        }
        INFO("slowest: " << slowest_ << " ms, " << slowest_step_);
        CHECK(write_job(driven.job()).size() > 0);
    }

    DrivenWindow driven;
    qint64 slowest_ = 0;
    std::string slowest_step_;

private:
    std::size_t below(std::size_t number) { return std::uniform_int_distribution<std::size_t>{0, number - 1}(random_); }

    template <class Widget>
    Widget* any() {
        QList<Widget*> all;
        for (Widget* each : driven.window.findChildren<Widget*>())
            if (each->isVisible() && each->isEnabled())
                all << each;
        return all.isEmpty() ? nullptr : all[static_cast<qsizetype>(below(static_cast<std::size_t>(all.size())))];
    }
    QPoint somewhere(const QWidget& in) {
        return {static_cast<int>(below(static_cast<std::size_t>(std::max(1, in.width())))),
                static_cast<int>(below(static_cast<std::size_t>(std::max(1, in.height()))))};
    }
    static std::string name_of(const QWidget& widget) {
        return std::string{widget.metaObject()->className()} + " " + widget.objectName().toStdString();
    }

    void step() {
        switch (below(10)) {
        case 0:
        case 1:
            return press();
        case 2:
        case 3:
            return type();
        case 4:
            return choose();
        case 5:
        case 6:
            return on_board();
        case 7:
            return key();
        case 8:
            return in_list();
        default:
            return act();
        }
    }
    void press() {
        if (auto* button = any<QAbstractButton>()) {
            last_ = "press " + name_of(*button) + " " + button->text().toStdString();
            QTest::mouseClick(button, Qt::LeftButton);
        }
    }
    void type() {
        static const std::array<const char*, 14> words{"900",      "0",      "12 1/2",    "-5",  "1,234",
                                                       "abc",      "1200mm", "1 m",       "3/8", "",
                                                       "99999999", "\"'<>",  "(2+3)*100", " "};
        if (auto* field = any<QLineEdit>()) {
            const char* said = words[below(words.size())];
            last_ = "type " + name_of(*field) + " " + said;
            field->setFocus();
            field->selectAll();
            QTest::keyClicks(field, QString::fromUtf8(said));
            QTest::keyClick(field, below(3) == 0 ? Qt::Key_Tab : Qt::Key_Return);
        }
    }
    void choose() {
        if (auto* box = any<QComboBox>(); box && box->count() > 0) {
            const int row = static_cast<int>(below(static_cast<std::size_t>(box->count())));
            last_ = "choose " + name_of(*box) + " " + std::to_string(row);
            box->setCurrentIndex(row);
            emit box->activated(row);
        }
    }
    void on_board() {
        BoardView& board = driven.window.board();
        if (!board.isVisible())
            return;
        const QPoint from = somewhere(board);
        const QPoint to = somewhere(board);
        const std::array keys{Qt::NoModifier, Qt::NoModifier, Qt::ShiftModifier, Qt::ControlModifier};
        const Qt::KeyboardModifier held = keys[below(keys.size())];
        last_ = "board";
        switch (below(4)) {
        case 0:
            return QTest::mouseClick(&board, Qt::LeftButton, held, from);
        case 1: {
            QTest::mousePress(&board, Qt::LeftButton, held, from);
            QTest::mouseMove(&board, (from + to) / 2);
            QTest::mouseMove(&board, to);
            return QTest::mouseRelease(&board, Qt::LeftButton, held, to);
        }
        case 2: {
            QWheelEvent turned{from, board.mapToGlobal(from), {},   {0, below(2) == 0 ? 120 : -120}, Qt::NoButton,
                               held, Qt::NoScrollPhase,       false};
            QApplication::sendEvent(&board, &turned);
            return;
        }
        default:
            return QTest::mouseClick(&board, Qt::RightButton, Qt::NoModifier, from);
        }
    }
    void key() {
        static const std::array keys{Qt::Key_Tab,  Qt::Key_Return, Qt::Key_Escape, Qt::Key_Left,     Qt::Key_Right,
                                     Qt::Key_Up,   Qt::Key_Down,   Qt::Key_Delete, Qt::Key_Space,    Qt::Key_F1,
                                     Qt::Key_Home, Qt::Key_End,    Qt::Key_PageUp, Qt::Key_PageDown, Qt::Key_Backtab};
        static const std::array with_control{Qt::Key_Z, Qt::Key_Y, Qt::Key_C, Qt::Key_V,
                                             Qt::Key_A, Qt::Key_D, Qt::Key_F};
        QWidget* to = QApplication::focusWidget();
        to = to && to->window() == &driven.window ? to : &driven.window;
        last_ = "key to " + name_of(*to);
        if (below(3) == 0)
            QTest::keyClick(to, with_control[below(with_control.size())], Qt::ControlModifier);
        else
            QTest::keyClick(to, keys[below(keys.size())]);
    }
    void in_list() {
        if (auto* list = any<QAbstractItemView>()) {
            last_ = "click in " + name_of(*list);
            QTest::mouseClick(list->viewport(), Qt::LeftButton, Qt::NoModifier, somewhere(*list->viewport()));
        }
    }
    /// Any command of the menus, but for those that start another program.
    void act() {
        QList<QAction*> all;
        for (QAction* action : driven.window.findChildren<QAction*>())
            if (action->isEnabled() && !action->text().isEmpty() && !action->menu() &&
                !action->text().contains(QLatin1String{"window"}, Qt::CaseInsensitive))
                all << action;
        if (all.isEmpty())
            return;
        QAction* action = all[static_cast<qsizetype>(below(static_cast<std::size_t>(all.size())))];
        last_ = "action " + action->text().toStdString();
        action->trigger();
    }

    /// Whatever stands in the way is read, then put away: what asks must say what.
    void close_what_asks() {
        if (QWidget* menu = QApplication::activePopupWidget())
            menu->close();
        QWidget* modal = QApplication::activeModalWidget();
        if (!modal)
            return;
        QString words = modal->windowTitle();
        for (const QLabel* label : modal->findChildren<QLabel*>())
            words += label->text();
        for (const QAbstractButton* button : modal->findChildren<QAbstractButton*>())
            words += button->text();
        if (words.trimmed().isEmpty())
            wordless_.push_back(name_of(*modal));
        if (auto* dialog = qobject_cast<QDialog*>(modal))
            dialog->reject();
        else
            modal->close();
    }

    std::mt19937_64 random_;
    QTimer closer_;
    std::string last_;
    std::vector<std::string> wordless_;
};

} // namespace

TEST_CASE("500 edits of any kind: the plan is always the one reckoned afresh, and undone they leave the first job",
          "[app][walk]") {
    BenchWalk walk{seed_of_walk()};
    RandomJobs jobs{seed_of_walk()};
    const Job demo = read_job([] {
                         QFile file{demo_path()};
                         REQUIRE(file.open(QIODevice::ReadOnly));
                         return file.readAll().toStdString();
                     }())
                         .value()
                         .job;
    constexpr int leg = 50; // far fewer than are remembered
    walk.leg(demo, leg);
    walk.leg(new_job(), leg);
    for (int steps = steps_of(500) - 2 * leg; steps > 0; steps -= leg) {
        Job job = jobs.next();
        if (!job_problem(job))
            walk.leg(job, std::min(leg, steps));
    }
}

TEST_CASE("clicks, keys and drags anywhere in the window do no harm", "[app][walk]") {
    SECTION("in the demo") {
        WindowWalk walk{seed_of_walk()};
        walk.driven.open_demo();
        walk.walk(steps_of(250));
    }
    SECTION("from nothing") {
        WindowWalk walk{seed_of_walk() + 1};
        walk.walk(steps_of(250));
    }
}
