// The second edition's face: room for the wall, sums beside their figures, what is next, how a job begins.
#include "../hall.hpp"
#include "app/cut/cut_panel.hpp"
#include "app/fit/fit_panel.hpp"
#include "app/notes/chit.hpp"
#include "app/record/record_panel.hpp"
#include "app/shell/next_line.hpp"
#include "core/fitting/as_found.hpp"
#include "core/sheets/lettering.hpp"
#include "driven_window.hpp"
#include "language/language.hpp"

#include <QAbstractButton>
#include <QCheckBox>
#include <QHeaderView>
#include <QPrinter>
#include <QPushButton>
#include <QScrollArea>
#include <QTableWidget>
#include <QTextDocument>
#include <map>

using namespace yes_square;
using namespace yes_square::app;

namespace {

Job one_shelf() {
    return hall_with_shelf(900_mm);
}

double share_of_wall(DrivenWindow& driven) {
    const Wall& wall = *driven.bench().wall();
    const BoardView& board = driven.window.board();
    const QPointF low = board.place({}, {});
    const QPointF high = board.place(wall.length, wall.height);
    CHECK(low.x() >= 0);
    CHECK(high.y() >= 0);
    CHECK(high.x() <= board.width());
    return (high.x() - low.x()) * (low.y() - high.y()) / driven.window.width() / driven.window.height();
}

} // namespace

TEST_CASE("the wall has a third of the window, and a quarter of a small one", "[app][face]") {
    for (const auto& [size, least] : {std::pair{QSize{1280, 800}, 1.0 / 3}, std::pair{QSize{1024, 700}, 0.25}}) {
        DrivenWindow driven{size};
        driven.bench().start(one_shelf());
        driven.window.set_stage(Stage::layout);
        driven.bench().select("shelf");
        QTest::qWait(20);
        INFO(size.width());
        CHECK(driven.window.size() == size);
        CHECK(share_of_wall(driven) >= least);
    }
}

TEST_CASE("where there is room for one, wall and figures take turns", "[app][face]") {
    DrivenWindow driven{{960, 540}}; // 1920x1080 at 200 %
    driven.bench().start(one_shelf());
    driven.window.set_stage(Stage::layout);
    QTest::qWait(20);
    CHECK(driven.window.width() == 960);
    CHECK(driven.window.height() == 540);
    auto* turn = driven.find<QPushButton>("turn");
    REQUIRE(turn->isVisible());
    CHECK(driven.window.board().isVisible());
    CHECK_FALSE(driven.find<LengthField>("shelf-left")->isVisible());
    turn->click();
    CHECK_FALSE(driven.window.board().isVisible());
    CHECK(driven.find<LengthField>("shelf-left")->isVisible());
    driven.window.resize(1280, 800);
    QTest::qWait(20);
    CHECK_FALSE(turn->isVisible());
    CHECK(driven.window.board().isVisible());
}

TEST_CASE("a sum lies beside its figure, is walked from, pinned and put away", "[app][face][chit]") {
    DrivenWindow driven;
    driven.bench().start(one_shelf());
    driven.window.set_stage(Stage::layout);
    driven.bench().select("shelf");
    QTest::qWait(20);
    auto* chit = driven.window.findChild<Chit*>(QStringLiteral("chit"));
    REQUIRE(chit);
    CHECK_FALSE(chit->isVisible());
    const Shelf& shelf = *driven.bench().shelf();
    driven.click(shelf.left + 20_mm, shelf.height - shelf.thickness / 2);
    CHECK_FALSE(chit->isVisible()); // selecting a thing asks for no sum
    const BracketPlan& bracket = driven.bench().shelf_plan()->brackets.front();
    driven.click(bracket.x, shelf.underside() - 60_mm);
    REQUIRE(chit->isVisible());
    CHECK(driven.bench().subject() == "bracket/1");
    const QPointF at = driven.window.board().place(bracket.x, shelf.underside() - 60_mm);
    CHECK_FALSE(chit->geometry().contains(at.toPoint())); // beside, not on it
    CHECK(driven.window.board().rect().contains(chit->geometry()));

    chit->setFocus();
    QTest::keyClick(chit, Qt::Key_Right);
    const std::string second = driven.bench().subject();
    CHECK(second != "bracket/1");
    QTest::keyClick(chit, Qt::Key_Left);
    CHECK(driven.bench().subject() == "bracket/1");

    driven.window.chits().pin();
    CHECK_FALSE(chit->isVisible());
    driven.bench().ask("level");
    REQUIRE(chit->isVisible());
    auto* pinned = driven.window.findChild<Chit*>(QStringLiteral("pinned-chit"));
    REQUIRE(pinned);
    CHECK(pinned->isVisible()); // several at once
    CHECK(pinned->sum().toPlainText().contains("Bracket 1"));
    CHECK(chit->sum().toPlainText() != pinned->sum().toPlainText());
    const QPoint before = pinned->pos();
    QTest::mousePress(pinned, Qt::LeftButton, {}, {20, 10});
    QTest::mouseMove(pinned, {60, 40});
    QTest::mouseRelease(pinned, Qt::LeftButton, {}, {60, 40});
    CHECK(pinned->pos() != before);
    QTest::keyClick(chit, Qt::Key_Escape);
    CHECK_FALSE(chit->isVisible());
}

TEST_CASE("no panel is broader than its place and no button's words are cut off, whatever stage and thing",
          "[app][face][look]") {
    const auto language = GENERATE(as<QString>{}, "en", "de");
    speak(language);
    for (const QSize size : {QSize{1024, 700}, QSize{1280, 800}}) {
        DrivenWindow driven{size};
        driven.open_demo();
        const auto look = [&](const std::string& where) {
            QTest::qWait(5);
            INFO(language.toStdString() << ", " << where << ", " << size.width());
            for (const QScrollArea* area : driven.window.findChildren<QScrollArea*>())
                if (area->isVisible() && area->widget()) {
                    INFO(area->objectName().toStdString());
                    CHECK(area->widget()->width() <= area->viewport()->width());
                }
            for (const QTableWidget* table : driven.window.findChildren<QTableWidget*>()) {
                const QHeaderView& header = *table->horizontalHeader();
                QFont bold = header.font();
                bold.setBold(true);
                for (int i = 0; i < table->columnCount(); ++i) {
                    if (!header.isVisible() || table->isColumnHidden(i))
                        continue;
                    const QString words = table->horizontalHeaderItem(i)->text();
                    const QRect wanted =
                        QFontMetrics{bold}.boundingRect(0, 0, header.sectionSize(i) - 6, 1000, Qt::TextWordWrap, words);
                    INFO(table->objectName().toStdString() << ": " << words.toStdString());
                    CHECK(wanted.width() <= header.sectionSize(i));
                    CHECK(wanted.height() <= header.height());
                }
            }
            for (const QPushButton* button : driven.window.findChildren<QPushButton*>()) {
                if (!button->isVisible() || button->text().isEmpty())
                    continue;
                INFO(button->text().toStdString() << ", " << button->objectName().toStdString());
                const QString words = QString{button->text()}.remove(QLatin1Char('&'));
                const int broad = button->fontMetrics().horizontalAdvance(words);
                const bool one_line = !button->hasHeightForWidth();
                CHECK((one_line ? broad + 4 : button->minimumSizeHint().width()) <= button->width());
                CHECK((one_line ? button->fontMetrics().height() : button->heightForWidth(button->width())) <=
                      button->height());
            }
        };
        for (const char* id : {"shelf-1", "unit-11", "bay-4", "piece-1", "box-1", "hung-1"}) {
            driven.bench().select(id);
            for (const Stage stage :
                 {Stage::survey, Stage::lines, Stage::layout, Stage::fixings, Stage::cut, Stage::fit, Stage::record}) {
                driven.window.set_stage(stage);
                look(id + std::string{", stage "} + std::to_string(static_cast<int>(stage)));
            }
        }
        driven.window.next_line().checks().setChecked(true);
        look("checks");
        driven.window.set_stage(Stage::cut);
        for (const char* page : {"parts", "bench", "stock", "kit", "delivery"}) {
            driven.window.cutting().show_page(page);
            look(page);
        }
        driven.window.set_stage(Stage::fit);
        for (const char* page : {"readings", "days"}) {
            driven.window.fit().show_page(page);
            look(page);
        }
    }
    speak(QStringLiteral("en"));
}

TEST_CASE("letters are as broad on the screen as the core places them by", "[app][face][lettering]") {
    for (const bool bold : {false, true}) {
        QFont font = QApplication::font();
        font.setPixelSize(200); // so that rounding to pixels is small
        font.setBold(bold);
        const QFontMetricsF metrics{font};
        for (const char* words : {"463", "1 15/16", "Long shelf", "Window side, wall", "W60", "left end may be",
                                  "0.5 mm", "Suspension rail, Larder  2060", "Probe at 2719 mm", "!"}) {
            INFO(words << (bold ? ", bold" : ""));
            CHECK(metrics.horizontalAdvance(QString::fromLatin1(words)) <= 1.01 * text_width(words, 200, bold));
            CHECK(metrics.horizontalAdvance(QString::fromLatin1(words)) >= 0.9 * text_width(words, 200, bold));
        }
    }
}

TEST_CASE("a preview prints nothing, and another set is not the sheets", "[app][face][next]") {
    DrivenWindow driven;
    QTemporaryDir folder;
    driven.bench().start(one_shelf());
    driven.bench().edit("rating", [](Job& job) {
        for (Bracket& bracket : job.catalogue.brackets)
            bracket.rating = Force::newtons(400);
    });
    REQUIRE(driven.window.next_line().next().kind == NextStep::Kind::print);
    QPrinter paper;
    paper.setOutputFormat(QPrinter::PdfFormat);
    paper.setOutputFileName(folder.filePath("seen.pdf"));
    CHECK(driven.window.print_on(paper, sheet_sets().front())); // as a preview does
    driven.window.next_line().refresh();
    CHECK(driven.window.next_line().next().kind == NextStep::Kind::print);
    CHECK(driven.window.write_sheets(folder.filePath("hand-over.pdf"), sheet_set(u"hand-over")));
    CHECK(driven.window.next_line().next().kind == NextStep::Kind::print);
    CHECK(driven.window.write_sheets(folder.filePath("sheets.pdf"), sheet_sets().front()));
    CHECK(driven.window.next_line().next().kind == NextStep::Kind::task);
    driven.bench().apply("longer", MoveShelf{"shelf", 360_mm, 1500_mm});
    CHECK(driven.window.next_line().next().kind != NextStep::Kind::task); // those sheets are of another state
}

TEST_CASE("what the button counts is listed, this wall's first", "[app][face][checks]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.bench().select_wall(1); // nothing is wrong here
    QTest::qWait(5);
    auto* button = driven.find<QPushButton>("show-checks");
    driven.window.next_line().refresh();
    const auto wrong = count_checks(driven.bench().plan(), Severity::error);
    CHECK(button->text() == QStringLiteral("%1 to put right").arg(wrong));
    button->click();
    QTest::qWait(5);
    QStringList words;
    for (const QLabel* label : driven.find<QScrollArea>("checks")->findChildren<QLabel*>())
        words << label->text();
    CHECK(words.first().contains("Nothing to put right on this wall"));
    CHECK(words.filter("<b>Put right").size() == static_cast<qsizetype>(wrong));
    CHECK(words.join(' ').contains("North wall, Low shelf"));
}

TEST_CASE("arrow keys walk the wall's own sums too", "[app][face][chit]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.bench().select_wall(2); // its studs follow from readings
    driven.bench().ask("stud/2");
    const std::string first = driven.bench().subject();
    driven.window.chits().walk(1);
    CHECK(driven.bench().subject() != first);
    const auto& sums = driven.bench().wall_plan()->survey.workings;
    CHECK(std::ranges::find(sums, driven.bench().subject(), &Working::subject) != sums.end());
    driven.window.chits().walk(-1);
    CHECK(driven.bench().subject() == first);
}

TEST_CASE("an empty job opens with the keys at its first question", "[app][face][keys]") {
    DrivenWindow driven;
    driven.window.start_untitled();
    QTest::qWait(20);
    REQUIRE(driven.window.focusWidget());
    CHECK(driven.window.focusWidget()->objectName() == "begin-shelf");
}

TEST_CASE("the first cure is a few Tabs from the wall", "[app][face][keys]") {
    DrivenWindow driven;
    Job job = one_shelf();
    job.walls.front().shelves.front().length = 4000_mm; // longer than the wall
    driven.bench().start(job);
    driven.window.set_stage(Stage::layout);
    driven.bench().select("shelf");
    driven.window.board().setFocus();
    QTest::qWait(20);
    const auto cures = [&](QWidget* widget) {
        return widget && (widget->objectName() == "next-act" || widget->objectName().startsWith("cure-"));
    };
    int tabs = 0;
    while (!cures(driven.window.focusWidget()) && tabs < 6) {
        QTest::keyClick(driven.window.focusWidget(), Qt::Key_Tab, Qt::ShiftModifier);
        ++tabs;
    }
    CHECK(tabs <= 5);
}

TEST_CASE("how near the wall was seen is kept with its job", "[app][face]") {
    QTemporaryDir folder;
    const QString path = copy_of_demo(folder);
    BoardView::Look look;
    {
        DrivenWindow driven;
        REQUIRE(driven.window.open(path));
        driven.bench().select_wall(2);
        driven.window.board().zoom_by(2.5);
        look = driven.window.board().look();
        driven.bench().undo_stack().setClean();
        driven.window.close();
    }
    DrivenWindow again;
    REQUIRE(again.window.open(path));
    CHECK(again.bench().wall_index() == 2);
    CHECK(again.window.board().look().zoom == Approx(look.zoom));
    CHECK(again.window.board().look().pan == look.pan);
    again.window.start_untitled(); // another job is seen whole
    QTest::qWait(5);
}

TEST_CASE("larger type reaches the whole window, and nothing is broader than its place", "[app][face][look]") {
    const int before = QApplication::font().pixelSize();
    DrivenWindow driven{{1920, 1200}};
    driven.bench().start(one_shelf());
    driven.window.set_stage(Stage::layout);
    set_type(22);
    QTest::qWait(20);
    CHECK(driven.window.board().font().pixelSize() == 22);
    CHECK(driven.find<LengthField>("shelf-left")->font().pixelSize() == 22);
    for (QScrollArea* area : driven.window.findChildren<QScrollArea*>())
        if (area->isVisible() && area->widget())
            CHECK(area->widget()->minimumSizeHint().width() <= area->viewport()->width());
    set_type(before);
}

TEST_CASE("the keys are not lost when the list under them is made anew", "[app][face][keys]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.window.next_line().checks().setChecked(true);
    QTest::qWait(5);
    QAbstractButton* cure = nullptr;
    for (auto* button : driven.window.findChildren<QAbstractButton*>())
        if (!cure && button->isVisible() && button->objectName().startsWith("cure-"))
            cure = button;
    REQUIRE(cure);
    cure->setFocus();
    QTest::keyClick(cure, Qt::Key_Space);
    QTest::qWait(20);
    QWidget* held = driven.window.focusWidget();
    REQUIRE(held);
    CHECK(driven.find<QScrollArea>("checks")->isAncestorOf(held));
}

TEST_CASE("a sum is printed from its chit", "[app][face][chit]") {
    QTemporaryDir folder;
    DrivenWindow driven;
    QString asked;
    const QString file = folder.filePath("sum.pdf");
    driven.window.ask_printer = [&](const QString& what, QPrinter& printer) {
        asked = what;
        printer.setOutputFormat(QPrinter::PdfFormat);
        printer.setOutputFileName(file);
        return true;
    };
    driven.bench().start(one_shelf());
    driven.bench().select("shelf");
    driven.bench().ask("sag");
    driven.find<QAbstractButton>("chit-print")->click();
    CHECK(asked == "Print this sum");
    QFile printed{file};
    REQUIRE(printed.open(QIODevice::ReadOnly));
    CHECK(printed.read(4) == "%PDF");
    CHECK(printed.size() > 1000);
}

TEST_CASE("jobs of late are on the first page, each with its wall, and open from there", "[app][face]") {
    QTemporaryDir folder;
    const QString path = copy_of_demo(folder);
    {
        DrivenWindow driven;
        REQUIRE(driven.window.open(path));
        driven.bench().undo_stack().setClean();
        driven.window.close();
    }
    DrivenWindow driven;
    driven.window.start_untitled();
    QTest::qWait(20);
    auto* recent = driven.find<QAbstractButton>("recent-1");
    CHECK(recent->isVisible());
    CHECK(recent->text().contains("Reading room"));
    recent->click();
    CHECK(driven.job().walls.size() == 16);
    CHECK(driven.told.isEmpty());
}

namespace {

/// Whose forms and buttons are walked through together: the scrolled content it stands in, else its window.
QWidget* page_of(QWidget* widget) {
    for (QWidget* up = widget->parentWidget(); up; up = up->parentWidget())
        if (auto* area = qobject_cast<QScrollArea*>(up->parentWidget() ? up->parentWidget()->parentWidget() : nullptr);
            area && area->widget() == up)
            return up;
    return nullptr;
}

/// What Tab comes to in a page of this window, in its order.
std::map<QWidget*, std::vector<QWidget*>> tab_orders(QWidget& window) {
    std::map<QWidget*, std::vector<QWidget*>> pages;
    QWidget* first = &window;
    for (QWidget* next = first->nextInFocusChain(); next != first; next = next->nextInFocusChain())
        if ((next->focusPolicy() & Qt::TabFocus) && next->isVisibleTo(&window) && next->isEnabled())
            if (QWidget* page = page_of(next))
                pages[page].push_back(next);
    return pages;
}

} // namespace

TEST_CASE("Tab goes as one reads on every page: down, and along a row", "[app][face][keys]") {
    DrivenWindow driven{{1280, 800}};
    driven.open_demo();
    for (const Stage stage :
         {Stage::survey, Stage::lines, Stage::layout, Stage::fixings, Stage::cut, Stage::fit, Stage::record}) {
        driven.window.set_stage(stage);
        QTest::qWait(20);
        driven.open_folds();
        QTest::qWait(20);
        for (const auto& [page, order] : tab_orders(driven.window))
            for (std::size_t i = 1; i < order.size(); ++i) {
                const QRect before{order[i - 1]->mapTo(page, QPoint{}), order[i - 1]->size()};
                const QRect here{order[i]->mapTo(page, QPoint{}), order[i]->size()};
                INFO(static_cast<int>(stage) << ": " << order[i - 1]->objectName().toStdString() << " then "
                                             << order[i]->objectName().toStdString());
                // Never up to what lies over all of it; from one side of a row to the other never back.
                CHECK(here.bottom() > before.top());
                if (here.top() <= before.center().y() && before.top() <= here.center().y())
                    CHECK(here.left() >= before.left());
            }
    }
}
