// What somebody hears who does not see the window: every control has a name, at every stage, and every mark is reached.
#include "app/cut/cut_panel.hpp"
#include "app/fit/fit_panel.hpp"
#include "app/fixings/fixings_panel.hpp"
#include "app/survey/survey_panel.hpp"
#include "driven_window.hpp"

#include <QAccessible>
#include <QRegularExpression>
#include <set>

using namespace yes_square;
using namespace yes_square::app;

namespace {

bool is_control(QAccessible::Role role) {
    switch (role) {
    case QAccessible::PushButton:
    case QAccessible::CheckBox:
    case QAccessible::RadioButton:
    case QAccessible::EditableText:
    case QAccessible::ComboBox:
    case QAccessible::SpinBox:
    case QAccessible::Slider:
    case QAccessible::List:
    case QAccessible::Table:
    case QAccessible::Tree:
    case QAccessible::PageTab:
    case QAccessible::MenuItem:
    case QAccessible::ListItem:
        return true;
    default:
        return false;
    }
}

/// Controls that are seen and have no name, by what they are and where they stand.
void nameless(QAccessibleInterface* at, const QString& above, std::set<QString>& found, std::size_t& controls) {
    if (!at || !at->isValid() || at->state().invisible)
        return;
    const QString own = at->object() ? at->object()->objectName() : QString{};
    const QString here = own.isEmpty() ? above : own;
    if (is_control(at->role()) && !at->state().offscreen) {
        ++controls;
        const bool separator = at->role() == QAccessible::MenuItem && !at->state().focusable;
        // What is inside a number's or a list's own field speaks by it.
        const bool inside = at->parent() && (at->parent()->role() == QAccessible::SpinBox ||
                                             at->parent()->role() == QAccessible::ComboBox);
        if (at->text(QAccessible::Name).trimmed().isEmpty() && at->text(QAccessible::Value).trimmed().isEmpty() &&
            !separator && !inside)
            found.insert(QStringLiteral("%1 in %2").arg(static_cast<int>(at->role())).arg(here));
    }
    for (int i = 0; i < at->childCount(); ++i)
        nameless(at->child(i), here, found, controls);
}

} // namespace

TEST_CASE("no control is without a name, whatever stage, page and thing", "[app][access]") {
    DrivenWindow driven;
    driven.open_demo();
    std::set<QString> found;
    std::size_t controls = 0;
    const auto look = [&] {
        QTest::qWait(5);
        nameless(QAccessible::queryAccessibleInterface(&driven.window), {}, found, controls);
    };
    for (const char* id : {"shelf-1", "unit-11", "bay-4", "piece-1", "box-1", "hung-1"}) {
        driven.bench().select(id);
        for (const Stage stage :
             {Stage::survey, Stage::lines, Stage::layout, Stage::fixings, Stage::cut, Stage::fit, Stage::record}) {
            driven.window.set_stage(stage);
            driven.open_folds();
            look();
        }
    }
    driven.window.set_stage(Stage::survey);
    for (const char* page : {"wall", "walk", "drill", "studs", "level", "face", "services", "room"}) {
        driven.window.survey().set_page(*survey_page_from_name(page));
        look();
    }
    driven.window.set_stage(Stage::fixings);
    for (const char* page : {"marks", "drilling", "holds", "fix-with", "noggings"}) {
        driven.window.fixings().set_page(*fixings_page_from_name(page));
        look();
    }
    driven.window.set_stage(Stage::cut);
    for (const char* page : {"parts", "bench", "stock", "kit", "delivery"}) {
        driven.window.cutting().show_page(page);
        look();
    }
    driven.window.set_stage(Stage::fit);
    for (const char* page : {"steps", "readings", "days"}) {
        driven.window.fit().show_page(page);
        look();
    }
    for (const QString& one : found)
        UNSCOPED_INFO(one.toStdString());
    CHECK(found.empty());
    CHECK(controls > 2000);
}

TEST_CASE("every mark of a shelf is said, row by row", "[app][access]") {
    DrivenWindow driven;
    driven.open_demo();
    driven.bench().select("shelf-1");
    driven.window.set_stage(Stage::fixings);
    driven.window.fixings().set_page(*fixings_page_from_name("marks"));
    QTest::qWait(5);
    std::size_t rows = 0;
    for (QTableWidget* table : driven.window.findChildren<QTableWidget*>()) {
        if (!table->isVisible())
            continue;
        QAccessibleInterface* said = QAccessible::queryAccessibleInterface(table);
        REQUIRE(said);
        REQUIRE(said->tableInterface());
        for (int row = 0; row < table->rowCount(); ++row) {
            ++rows;
            QString words;
            for (int column = 0; column < table->columnCount(); ++column)
                words += said->tableInterface()->cellAt(row, column)->text(QAccessible::Name) + u' ';
            CHECK(words.contains(QRegularExpression{QStringLiteral("\\d")}));
        }
    }
    CHECK(rows >= driven.bench().shelf_plan()->brackets.size());
}
