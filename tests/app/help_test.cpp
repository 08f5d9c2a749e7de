// The handbook, what a field asks, and the first job.
#include "app/bench/bound_form.hpp"
#include "app/help/first_job.hpp"
#include "app/help/help_window.hpp"
#include "app/sheets/sheet_writer.hpp"
#include "driven_window.hpp"
#include "language/language.hpp"

#include <QFrame>
#include <QRegularExpression>
#include <QTextBlock>
#include <functional>
#include <set>

using namespace yes_square;
using namespace yes_square::app;

TEST_CASE("every page of the handbook is there in every language, and each of its drawings is drawn", "[app][help]") {
    for (const Language& language : languages()) {
        const Speaking in_it{QString::fromLatin1(language.code)};
        const auto pages = handbook();
        REQUIRE(pages.size() >= 12);
        for (const HandbookPage& page : pages) {
            INFO(language.code << ", " << page.name.toStdString());
            CHECK(QFile::exists(QStringLiteral(":/handbook/%1/%2.md").arg(language.code, page.name)));
            CHECK(page.title.size() > 3);
            static const QRegularExpression drawing{QStringLiteral("\\(drawing:([^)]+)\\)")};
            for (auto all = drawing.globalMatch(page.text); all.hasNext();) {
                const QString address = all.next().captured(1);
                INFO(address.toStdString());
                const QImage image = handbook_drawing(address, 120, 2);
                REQUIRE_FALSE(image.isNull());
                // Something is drawn: not all of it is paper.
                int ink = 0;
                for (int y = 0; y < image.height(); y += 2)
                    for (int x = 0; x < image.width(); x += 2)
                        ink += image.pixelColor(x, y).lightness() < 200 ? 1 : 0;
                CHECK(ink > 200);
            }
        }
    }
    CHECK(handbook_drawing(QStringLiteral("elevation/nothing"), 100, 2).isNull());
    CHECK(handbook_drawing(QStringLiteral("nothing/shelf-1"), 100, 2).isNull());
}

TEST_CASE("F1 opens the book at the stage's page, with what the field asks on top", "[app][help]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.bench().select("shelf-1");
    driven.window.set_stage(Stage::layout);
    driven.open_folds();
    auto* field = driven.find<QWidget>("shelf-depth");
    field->setFocus();
    QTest::keyClick(field, Qt::Key_F1);
    auto* help = driven.window.findChild<HelpWindow*>();
    REQUIRE(help);
    REQUIRE(help->page());
    CHECK(help->page()->name == "04-shelves");
    auto* words = help->findChild<QTextBrowser*>("help-words");
    CHECK(words->document()->firstBlock().text().startsWith("Depth: "));
    CHECK(words->document()->firstBlock().text().contains("more than 0"));
    // Found by words, whatever their order; and nothing is said to be found where nothing is.
    auto* sought = help->findChild<QLineEdit*>("help-sought");
    QTest::keyClicks(sought, "rail hook STUD");
    auto* list = help->findChild<QListWidget*>("help-pages");
    REQUIRE(list->count() >= 1);
    CHECK(list->count() < 12);
    CHECK(words->extraSelections().size() >= 3);
    sought->setText("xylophone");
    CHECK(list->count() == 0);
    CHECK(words->toPlainText() == "No page has these words.");
    sought->clear();
    driven.window.show_help("keys");
    CHECK(words->toPlainText().contains("Ctrl+E"));
    CHECK(words->toPlainText().contains("At the wall"));
}

TEST_CASE("every field of a form says what it asks", "[app][help]") {
    DrivenWindow driven;
    driven.open_demo();
    std::set<std::string> silent;
    for (const char* id : {"shelf-1", "unit-11", "bay-4", "piece-1", "box-1", "hung-1"}) {
        driven.bench().select(id);
        for (const Stage stage :
             {Stage::survey, Stage::lines, Stage::layout, Stage::fixings, Stage::cut, Stage::fit, Stage::record}) {
            driven.window.set_stage(stage);
            QTest::qWait(5);
            for (const BoundForm* form : driven.window.findChildren<BoundForm*>())
                for (const QWidget* field : form->findChildren<QWidget*>(QString{}, Qt::FindDirectChildrenOnly))
                    if ((qobject_cast<const QLineEdit*>(field) || qobject_cast<const QComboBox*>(field)) &&
                        field->whatsThis().isEmpty())
                        silent.insert(field->objectName().toStdString());
        }
    }
    for (const std::string& name : silent)
        UNSCOPED_INFO(name);
    CHECK(silent.empty());
}

TEST_CASE("every check says how serious it is and what its buttons do", "[app][help]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.find<QPushButton>("show-checks")->click();
    QTest::qWait(20);
    std::set<QString> told;
    for (const QFrame* card : driven.window.findChild<QWidget*>(QStringLiteral("checks"))->findChildren<QFrame*>())
        if (card->property("role") == "card") {
            CHECK_FALSE(card->whatsThis().isEmpty());
            if (card->property("severity") == "error")
                CHECK(card->whatsThis().contains(QStringLiteral("fall")));
            told.insert(card->whatsThis());
        }
    CHECK(told.size() >= 2);
}

TEST_CASE("the first job goes from an empty window to the first tick, and looks at each step", "[app][help]") {
    DrivenWindow driven;
    driven.window.begin_first_job();
    auto* lesson = driven.find<FirstJob>("first-job");
    auto* words = driven.find<QLabel>("first-job-words");
    REQUIRE(lesson->isVisible());
    CHECK(lesson->step() == 0);
    CHECK(words->text().startsWith("First job, 1 of 10"));
    const auto edit = [&](const std::function<void(Wall&)>& change) {
        driven.bench().edit("edit", [&](Job& job) { change(job.walls.front()); });
    };
    edit([](Wall& wall) { wall.length = 3500_mm; });
    CHECK(lesson->step() == 0);
    edit([](Wall& wall) { wall.length = 3600_mm; });
    CHECK(lesson->step() == 1);
    edit([](Wall& wall) { wall.studs.push_back({800_mm, StudState::proved, 1_mm, {}}); });
    CHECK(lesson->step() == 1);
    edit([](Wall& wall) { wall.studs.push_back({1600_mm, StudState::proved, 1_mm, {}}); });
    CHECK(lesson->step() == 2);
    driven.window.set_stage(Stage::layout);
    QTest::mouseClick(driven.find<QPushButton>("add-shelf"), Qt::LeftButton);
    CHECK(lesson->step() == 3);
    edit([](Wall& wall) {
        wall.shelves.front().length = 1200_mm;
        wall.shelves.front().left = 600_mm;
    });
    CHECK(lesson->step() == 4);
    CHECK(words->text().contains("kitchen goods"));
    edit([](Wall& wall) { wall.shelves.front().load.kind = LoadKind::kitchen; });
    // The steps in between may hold at once; whatever is left is done in turn.
    if (lesson->step() == 5) {
        CHECK(holds(*driven.bench().shelf_plan()) != Holds::yes);
        edit([](Wall& wall) { wall.shelves.front().load.kind = LoadKind::display; });
        driven.bench().edit("rated", [](Job& job) {
            for (Bracket& bracket : job.catalogue.brackets)
                bracket.rating = Force::newtons(2000);
        });
    }
    REQUIRE(lesson->step() == 6);
    driven.window.set_stage(Stage::fixings);
    CHECK(lesson->step() == 7);
    driven.window.set_stage(Stage::cut);
    CHECK(lesson->step() == 8);
    driven.window.sheets_made();
    CHECK(lesson->step() == 9);
    driven.bench().edit("tick", [](Job& job) { job.ticks.emplace_back().key = "some-step"; });
    CHECK(lesson->step() == lesson->steps());
    CHECK(words->text().contains("a whole job"));
    QTest::mouseClick(driven.find<QPushButton>("first-job-leave"), Qt::LeftButton);
    CHECK_FALSE(lesson->isVisible());
}
