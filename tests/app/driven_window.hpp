#pragma once

#include "app/bench/fold.hpp"
#include "app/bench/length_field.hpp"
#include "app/board/board_view.hpp"
#include "app/shell/main_window.hpp"
#include "app/shell/next_line.hpp"
#include "app/survey/survey_panel.hpp"

#include <QComboBox>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QTableWidget>
#include <QTemporaryDir>
#include <QTest>
#include <QTextBrowser>
#include <catch2/catch.hpp>

namespace yes_square::app {

/// The demo job, from the repository: to be read. A window would lock it, and tests run side by side.
inline QString demo_path() {
    return QStringLiteral(YES_SQUARE_SOURCE_DIR "/assets/demo/harbour-lane.yesq");
}

/// A copy of the demo job that a test may open, lock and overwrite.
inline QString copy_of_demo(const QTemporaryDir& folder) {
    const QString path = folder.filePath(QStringLiteral("demo.yesq"));
    QFile::copy(demo_path(), path);
    QFile::setPermissions(path, QFile::ReadOwner | QFile::WriteOwner);
    return path;
}

/// The real window, shown, with its questions answered by the test.
struct DrivenWindow {
    QTemporaryDir folder; ///< of this test alone
    MainWindow window;
    QStringList told;
    QStringList asked;
    bool answer = true;
    MainWindow::Recovery recovery = MainWindow::Recovery::take_up;

    explicit DrivenWindow(QSize size = {1280, 800}) {
        window.tell = [this](const QString& message) { told << message; };
        window.ask_yes_no = [this](const QString& question) {
            asked << question;
            return answer;
        };
        window.ask_recovery = [this](const QString& what) {
            asked << what;
            return recovery;
        };
        window.resize(size);
        window.show();
        if (!QTest::qWaitForWindowExposed(&window))
            throw std::runtime_error("the window never appeared");
        window.activateWindow();
        QTest::qWait(10);
    }
    ~DrivenWindow() { bench().undo_stack().setClean(); }

    void open_demo() { REQUIRE(window.open(copy_of_demo(folder))); }

    Workbench& bench() { return window.bench(); }
    const Job& job() { return window.bench().job(); }

    template <class Widget>
    Widget* find(const char* name) {
        auto* widget = window.findChild<Widget*>(QString::fromLatin1(name));
        INFO(name);
        REQUIRE(widget);
        return widget;
    }

    /// Opens the list of what is to be put right, with its cures.
    void open_checks() {
        window.next_line().checks().setChecked(true);
        QTest::qWait(5);
    }

    void close_checks() { window.next_line().checks().setChecked(false); }

    /// Opens every fold, as somebody does who looks for a figure.
    void open_folds() {
        for (Fold* fold : window.findChildren<Fold*>())
            fold->setChecked(true);
    }

    /// Types into the field that has this name, as a person does: click, select, type, Enter.
    void type(const char* field_name, const char* keys) {
        auto* field = find<QLineEdit>(field_name);
        if (!field->isVisible())
            open_folds();
        field->setFocus();
        field->selectAll();
        QTest::keyClicks(field, keys);
        QTest::keyClick(field, Qt::Key_Return);
        QTest::qWait(1);
    }

    /// Takes the first line of a list away, as a person does.
    void delete_first(const char* list_name) {
        auto* list = find<QListWidget>(list_name);
        list->setFocus();
        list->setCurrentRow(0);
        QTest::keyClick(list, Qt::Key_Delete);
    }

    void choose(const char* name, int row) {
        auto* box = find<QComboBox>(name);
        box->setCurrentIndex(row);
        emit box->activated(row);
    }
    /// The same by what it says.
    void pick(const char* name, const char* words) {
        const int row = find<QComboBox>(name)->findText(QString::fromUtf8(words));
        INFO(words);
        REQUIRE(row >= 0);
        choose(name, row);
    }

    /// The steps of the selected thing in the fit stage, each with what is read before and beside it.
    QString steps_of_selected() {
        auto* shown = find<QComboBox>("steps-shown");
        shown->setCurrentIndex(3);
        emit shown->activated(3);
        auto* table = find<QTableWidget>("job-steps");
        QString words;
        for (int row = 0; row < table->rowCount(); ++row) {
            table->setCurrentCell(row, 1);
            words += find<QTextBrowser>("step-words")->toPlainText() + QLatin1Char('\n');
        }
        return words;
    }

    /// Drags from one place on the wall to another.
    void drag(Length from_x, Length from_z, Length to_x, Length to_z) {
        BoardView& board = window.board();
        const QPoint from = board.place(from_x, from_z).toPoint();
        const QPoint to = board.place(to_x, to_z).toPoint();
        QTest::mousePress(&board, Qt::LeftButton, {}, from);
        for (int step = 1; step <= 4; ++step)
            QTest::mouseMove(&board, from + (to - from) * step / 4);
        QTest::mouseRelease(&board, Qt::LeftButton, {}, to);
    }
    /// The menu that a right click on a place of the wall, or its key, brings up.
    QMenu* menu_at(Length x, Length z) {
        BoardView& board = window.board();
        const QPoint at = board.place(x, z).toPoint();
        QContextMenuEvent event{QContextMenuEvent::Mouse, at, board.mapToGlobal(at)};
        QCoreApplication::sendEvent(&board, &event);
        return window.findChild<QMenu*>("wall-menu");
    }
    void click(Length x, Length z) {
        BoardView& board = window.board();
        QTest::mouseClick(&board, Qt::LeftButton, {}, board.place(x, z).toPoint());
    }
};

} // namespace yes_square::app
